package fitout

import (
	"fmt"
	"math"
	"reflect"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"
)

// Validate checks every value of a job against the ranges that its field tags
// state, then that ids are unique, that every reference names something, and
// that requirements form trees. It returns nil or Problems.
//
// A job that is merely overloaded or badly planned is valid: that is for the
// findings.
//
// A figure nearer to 0 than Least, which no tape and no scale reads, becomes 0 on the
// way: whatever is divided by a figure that is not 0 has an answer then.
func Validate(j *Job) error {
	v := validator{}
	v.object("", reflect.ValueOf(j).Elem())
	v.references(j)
	if len(v.problems) == 0 {
		return nil
	}
	return v.problems[:min(len(v.problems), most)]
}

// Least is the smallest figure of a document that is not nothing, in its own unit.
const Least = 1e-6

type validator struct {
	problems Problems
	at       []step // the way to what is looked at
}

func (v *validator) refuse(path, name, given, accepted string) {
	v.problems = append(v.problems, Problem{Path: path, Name: name, Given: given, Accepted: accepted})
}

// rule is what the tags of one field say, read once for all documents.
type rule struct {
	name              string // in JSON
	unit              string
	low, high         float64
	bounded           bool
	enum              []string
	words             string // the enum as it stands
	id, mayBeEmpty    bool
	shortest, longest int
	mostItems         int
	key               []int // fields by which the things of a list are told apart
	keys              ListKey
}

// rules are those of every struct of the document, field by field.
var rules = func() map[reflect.Type][]rule {
	all := map[reflect.Type][]rule{}
	gatherRules(reflect.TypeFor[Job](), all)
	gatherRules(reflect.TypeFor[Component](), all)
	return all
}()

func gatherRules(t reflect.Type, all map[reflect.Type][]rule) {
	switch t.Kind() {
	case reflect.Pointer, reflect.Slice:
		gatherRules(t.Elem(), all)
	case reflect.Struct:
		if _, done := all[t]; done {
			return
		}
		own := make([]rule, t.NumField())
		all[t] = own
		for i := range own {
			own[i] = ruleOf(t.Field(i))
			gatherRules(t.Field(i).Type, all)
		}
	}
}

func ruleOf(field reflect.StructField) rule {
	tag := field.Tag
	whole := func(key string, otherwise int) int {
		if value, ok := bound(tag, key); ok {
			return int(value)
		}
		return otherwise
	}
	r := rule{
		name: jsonName(field), unit: strings.TrimRight(" "+tag.Get("unit"), " "), words: tag.Get("enum"),
		id: tag.Get("pattern") != "", mayBeEmpty: strings.HasSuffix(tag.Get("pattern"), "*$"),
		shortest: whole("minLength", 0), longest: whole("maxLength", -1), mostItems: whole("maxItems", -1), keys: keyOf(tag),
	}
	low, okLow := bound(tag, "minimum")
	high, okHigh := bound(tag, "maximum")
	r.low, r.high, r.bounded = low, high, okLow && okHigh
	if r.words != "" {
		r.enum = strings.Split(r.words, ",")
	}
	if field.Type.Kind() == reflect.Slice && field.Type.Elem().Kind() == reflect.Struct {
		for _, name := range r.keys.Fields {
			for k := range field.Type.Elem().NumField() {
				if jsonName(field.Type.Elem().Field(k)) == name {
					r.key = append(r.key, k)
				}
			}
		}
	}
	return r
}

// step is one step of the way to a value: a field, or a place in a list. The way is put
// into words only for a refusal.
type step struct {
	field string
	index int
}

func (v *validator) way() string {
	var path strings.Builder
	for _, s := range v.at {
		switch {
		case s.field == "":
			fmt.Fprintf(&path, "[%d]", s.index)
		case path.Len() > 0:
			path.WriteString("." + s.field)
		default:
			path.WriteString(s.field)
		}
	}
	return path.String()
}

func (v *validator) object(name string, value reflect.Value) {
	if f := value.FieldByName("Name"); f.IsValid() && f.String() != "" {
		name = f.String()
	}
	own := rules[value.Type()]
	for i := range own {
		v.at = append(v.at, step{field: own[i].name})
		v.value(name, value.Field(i), &own[i])
		v.at = v.at[:len(v.at)-1]
	}
}

// value checks one value and all below it. name is the nearest named thing.
func (v *validator) value(name string, value reflect.Value, r *rule) {
	switch value.Kind() {
	case reflect.Pointer:
		if !value.IsNil() {
			v.value(name, value.Elem(), r)
		}
	case reflect.Struct:
		v.object(name, value)
	case reflect.Slice:
		if r.mostItems >= 0 && value.Len() > r.mostItems {
			v.refuse(v.way(), name, fmt.Sprintf("a list of %d", value.Len()), fmt.Sprintf("a list of up to %d", r.mostItems))
			return
		}
		v.twice(name, value, r)
		for i := range value.Len() {
			v.at = append(v.at, step{index: i})
			v.value(name, value.Index(i), &rule{})
			v.at = v.at[:len(v.at)-1]
		}
	case reflect.Float64:
		if math.Abs(value.Float()) < Least && value.Float() != 0 {
			value.SetFloat(0)
		}
		v.number(name, value.Float(), r)
	case reflect.Int:
		v.number(name, float64(value.Int()), r)
	case reflect.String:
		v.text(name, value.String(), r)
	}
}

func (v *validator) number(name string, given float64, r *rule) {
	finite := !math.IsNaN(given) && !math.IsInf(given, 0)
	if finite && (!r.bounded || given >= r.low && given <= r.high) {
		return
	}
	v.refuse(v.way(), name, plain(given)+r.unit, fmt.Sprintf("a number from %s to %s%s", plain(r.low), plain(r.high),
		r.unit))
}

func (v *validator) text(name, given string, r *rule) {
	if r.enum != nil {
		if !slices.Contains(r.enum, given) {
			named := strings.ReplaceAll(r.words, ",", ", ")
			if r.enum[0] == "" {
				named = `""` + named // where it is not said
			}
			v.refuse(v.way(), name, shown(given), "one of "+named)
		}
		return
	}
	if r.id {
		if !isID(given) && (given != "" || !r.mayBeEmpty) {
			v.refuse(v.way(), name, shown(given), "an id of 1 to 64 letters, digits, - or _")
		}
		return
	}
	if r.longest < 0 || len(given) <= r.longest && len(given) >= r.shortest && r.shortest <= 1 {
		return
	}
	length := utf8.RuneCountInString(given)
	if length < r.shortest {
		v.refuse(v.way(), name, "an empty text", fmt.Sprintf("a text of %d to %d characters", r.shortest, r.longest))
	}
	if length > r.longest {
		v.refuse(v.way(), name, fmt.Sprintf("a text of %d characters", length), fmt.Sprintf("up to %d characters", r.longest))
	}
}

// isID reports whether a text is what the pattern tags ask for; it is looked at
// by hand because a large job has thousands of ids.
func isID(text string) bool {
	for _, r := range text {
		if !(r >= 'a' && r <= 'z' || r >= 'A' && r <= 'Z' || r >= '0' && r <= '9' || r == '-' || r == '_') {
			return false
		}
	}
	return len(text) >= 1 && len(text) <= 64
}

func bound(tag reflect.StructTag, key string) (float64, bool) {
	text, ok := tag.Lookup(key)
	if !ok {
		return 0, false
	}
	value, err := strconv.ParseFloat(text, 64)
	return value, err == nil
}

func plain(value float64) string { return strconv.FormatFloat(value, 'f', -1, 64) }

func join(path, field string) string {
	if path == "" {
		return field
	}
	return path + "." + field
}

func jsonName(field reflect.StructField) string {
	name, _, _ := strings.Cut(field.Tag.Get("json"), ",")
	return name
}
