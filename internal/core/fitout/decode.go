package fitout

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"reflect"
	"slices"
	"strconv"
	"strings"
)

// MaxBytes is the largest job document that is read.
const MaxBytes = 4 << 20

// Decode reads a job document. It refuses, with Problems or a plain error:
// more than MaxBytes, what is not JSON, another format, a newer version
// (checked before unknown fields, so that the sentence is the helpful one),
// unknown fields and fields twice, values of the wrong kind, numbers that no measurement has,
// and everything that Validate refuses. Missing fields are empty; of names what nobody sees is shown.
func Decode(data []byte) (Job, error) {
	var job Job
	if len(data) > MaxBytes {
		return job, fmt.Errorf(
			"the document has %.1f MB; accepted is up to %d MB",
			float64(len(data))/(1<<20),
			MaxBytes>>20,
		)
	}
	data = bytes.TrimPrefix(data, []byte("\xef\xbb\xbf"))
	quick := reader{data: data}
	if quick.quickly(&job) {
		fillLists(reflect.ValueOf(&job).Elem())
		return job, Validate(&job)
	}
	if quick.long != nil {
		return Job{}, quick.long
	}
	return carefully(data)
}

// carefully reads what the quick way left: a document of an older version, or one that is not right, which it
// refuses with the place, what was given and what is accepted.
func carefully(data []byte) (Job, error) {
	var job Job
	decoder := json.NewDecoder(bytes.NewReader(data))
	decoder.UseNumber()
	var document any
	if err := decoder.Decode(&document); err != nil {
		return job, notJSON(data, err)
	}
	if decoder.More() {
		return job, errors.New("the document goes on after the end of the job; accepted is one job")
	}
	version, err := checkVersion(document)
	if err != nil {
		return job, err
	}
	if name, twice := RepeatedField(data); twice {
		return job, Problem{Path: shown(name), Given: "this field twice", Accepted: "each field once"}
	}
	if version < Version {
		if data, err = lift(document, version); err != nil {
			return job, err
		}
	}
	shape := validator{}
	shape.shape("", document, reflect.TypeFor[Job](), "")
	if len(shape.problems) > 0 {
		return job, shape.problems[:min(len(shape.problems), most)]
	}
	if err := json.Unmarshal(data, &job); err != nil {
		return job, fmt.Errorf("the document cannot be read: %w", err)
	}
	fillLists(reflect.ValueOf(&job).Elem())
	showHidden(reflect.ValueOf(&job).Elem())
	return job, Validate(&job)
}

// Encode writes a job document in its one canonical form, so that the same job
// is always the same bytes.
func Encode(j *Job) ([]byte, error) {
	if err := Validate(j); err != nil {
		return nil, err
	}
	var out bytes.Buffer
	encoder := json.NewEncoder(&out)
	encoder.SetEscapeHTML(false)
	encoder.SetIndent("", " ")
	err := encoder.Encode(j)
	return out.Bytes(), err
}

func notJSON(data []byte, err error) error {
	var syntax *json.SyntaxError
	at := len(data)
	if errors.As(err, &syntax) {
		at = int(syntax.Offset)
	}
	line := 1 + bytes.Count(data[:min(at, len(data))], []byte("\n"))
	return fmt.Errorf("line %d is not JSON (%s); accepted is a job document as Zaino writes it", line,
		strings.TrimPrefix(err.Error(), "json: "))
}

// checkVersion reads format and version alone.
func checkVersion(document any) (int, error) {
	fields, ok := document.(map[string]any)
	if !ok {
		return 0, errors.New("the document is not an object; accepted is a job document as Zaino writes it")
	}
	if fields["format"] != Format {
		return 0, Problem{Path: "format", Given: given(fields["format"]), Accepted: strconv.Quote(Format)}
	}
	number, _ := fields["version"].(json.Number)
	version, err := strconv.Atoi(number.String())
	if err != nil || version < 1 {
		return 0, Problem{Path: "version", Given: given(fields["version"]),
			Accepted: fmt.Sprintf("a whole number from 1 to %d", Version)}
	}
	if version > Version {
		return 0, Problem{Path: "version", Given: fmt.Sprintf("version %d, written by a newer Zaino,", version),
			Accepted: fmt.Sprintf("up to version %d; bring this installation up to date", Version)}
	}
	return version, nil
}

// shape checks that a document has only known fields, each of its kind.
func (v *validator) shape(path string, value any, t reflect.Type, name string) {
	switch t.Kind() {
	case reflect.Pointer:
		if value != nil {
			v.shape(path, value, t.Elem(), name)
		}
	case reflect.Struct:
		v.fields(path, value, t, name)
	case reflect.Slice:
		list, ok := value.([]any)
		if !ok && value != nil {
			v.refuse(path, name, given(value), "a list")
		}
		for i, element := range list {
			v.shape(fmt.Sprintf("%s[%d]", path, i), element, t.Elem(), name)
		}
	case reflect.String:
		if _, ok := value.(string); !ok {
			v.refuse(path, name, given(value), "a text in quotes")
		}
	case reflect.Bool:
		if _, ok := value.(bool); !ok {
			v.refuse(path, name, given(value), "true or false")
		}
	case reflect.Int:
		v.whole(path, value, name)
	default:
		v.numeral(path, value, name)
	}
}

// plainlyRight tells whether a text or a yes or no is one: most fields are, and
// need no path for a refusal.
func plainlyRight(value any, kind reflect.Kind) bool {
	switch value.(type) {
	case string:
		return kind == reflect.String
	case bool:
		return kind == reflect.Bool
	}
	return false
}

func (v *validator) fields(path string, value any, t reflect.Type, name string) {
	fields, ok := value.(map[string]any)
	if !ok {
		v.refuse(path, name, given(value), "an object in braces")
		return
	}
	if called, _ := fields["name"].(string); called != "" {
		name = called
	}
	own, met := rules[t], 0
	for i := range own {
		field, present := fields[own[i].name]
		if !present {
			continue
		}
		met++
		if typ := t.Field(i).Type; !plainlyRight(field, typ.Kind()) {
			v.shape(join(path, own[i].name), field, typ, name)
		}
	}
	if met == len(fields) {
		return
	}
	known := make([]string, len(own))
	for i := range own {
		known[i] = own[i].name
	}
	unknown := []string{}
	for key := range fields {
		if !slices.Contains(known, key) {
			unknown = append(unknown, key)
		}
	}
	slices.Sort(unknown)
	for _, key := range unknown {
		v.refuse(join(path, key), name, "an unknown field", "only "+strings.Join(known, ", "))
	}
}

// longest is how many characters a number may have: more digits than any
// scale or tape gives, and enough for every float64.
const longest = 32

func (v *validator) numeral(path string, value any, name string) {
	number, ok := value.(json.Number)
	if !ok {
		v.refuse(path, name, given(value), "a number")
		return
	}
	if _, err := number.Float64(); err != nil || len(number) > longest {
		v.refuse(
			path,
			name,
			"the number "+shown(number.String()),
			fmt.Sprintf("a number of up to %d characters", longest),
		)
	}
}

// whole checks a number that counts something.
func (v *validator) whole(path string, value any, name string) {
	number, _ := value.(json.Number)
	if _, err := strconv.Atoi(number.String()); err != nil {
		v.refuse(path, name, given(value), "a whole number")
	}
}

// given names a JSON value in a sentence.
func given(value any) string {
	switch value := value.(type) {
	case nil:
		return "nothing"
	case string:
		return "the text " + shown(value)
	case json.Number:
		return "the number " + value.String()
	case bool:
		return strconv.FormatBool(value)
	case []any:
		return "a list"
	}
	return "an object"
}

// Fill makes missing lists empty, as Decode does.
func (j *Job) Fill() { fillLists(reflect.ValueOf(j).Elem()) }

// fillLists makes missing lists empty, so that a document never says null.
func fillLists(value reflect.Value) {
	switch value.Kind() {
	case reflect.Pointer:
		if !value.IsNil() {
			fillLists(value.Elem())
		}
	case reflect.Struct:
		for i := range value.NumField() {
			fillLists(value.Field(i))
		}
	case reflect.Slice:
		if value.IsNil() {
			value.Set(reflect.MakeSlice(value.Type(), 0, 0))
		}
		for i := range value.Len() {
			fillLists(value.Index(i))
		}
	}
}

// CopyVariant returns a variant of a job with everything in it copied, so that
// neither changes with the other.
func (j *Job) CopyVariant(index int) (Variant, error) {
	data, err := json.Marshal(j.Variants[index])
	if err != nil {
		return Variant{}, err
	}
	var v Variant
	err = json.Unmarshal(data, &v)
	return v, err
}
