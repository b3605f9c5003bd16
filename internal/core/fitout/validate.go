package fitout

import (
	"fmt"
	"math"
	"reflect"
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
	v.value("", "", reflect.ValueOf(j).Elem(), "")
	v.references(j)
	if len(v.problems) == 0 {
		return nil
	}
	return v.problems[:min(len(v.problems), most)]
}

// Least is the smallest figure of a document that is not nothing, in its own unit.
const Least = 1e-6

type validator struct{ problems Problems }

func (v *validator) refuse(path, name, given, accepted string) {
	v.problems = append(v.problems, Problem{Path: path, Name: name, Given: given, Accepted: accepted})
}

// value checks one value and all below it. name is the nearest named thing.
func (v *validator) value(path, name string, value reflect.Value, tag reflect.StructTag) {
	switch value.Kind() {
	case reflect.Pointer:
		if !value.IsNil() {
			v.value(path, name, value.Elem(), tag)
		}
	case reflect.Struct:
		if f := value.FieldByName("Name"); f.IsValid() && f.String() != "" {
			name = f.String()
		}
		for i := range value.NumField() {
			field := value.Type().Field(i)
			v.value(join(path, jsonName(field)), name, value.Field(i), field.Tag)
		}
	case reflect.Slice:
		if limit, ok := bound(tag, "maxItems"); ok && value.Len() > int(limit) {
			v.refuse(path, name, fmt.Sprintf("a list of %d", value.Len()), fmt.Sprintf("a list of up to %d", int(limit)))
			return
		}
		v.twice(path, name, value, keyOf(tag))
		for i := range value.Len() {
			v.value(fmt.Sprintf("%s[%d]", path, i), name, value.Index(i), "")
		}
	case reflect.Float64:
		if math.Abs(value.Float()) < Least && value.Float() != 0 {
			value.SetFloat(0)
		}
		v.number(path, name, value.Float(), tag)
	case reflect.Int:
		v.number(path, name, float64(value.Int()), tag)
	case reflect.String:
		v.text(path, name, value.String(), tag)
	}
}

func (v *validator) number(path, name string, given float64, tag reflect.StructTag) {
	low, okLow := bound(tag, "minimum")
	high, okHigh := bound(tag, "maximum")
	finite := !math.IsNaN(given) && !math.IsInf(given, 0)
	if finite && (!okLow || given >= low) && (!okHigh || given <= high) {
		return
	}
	unit := strings.TrimRight(" "+tag.Get("unit"), " ")
	v.refuse(path, name, plain(given)+unit, fmt.Sprintf("a number from %s to %s%s", plain(low), plain(high), unit))
}

func (v *validator) text(path, name, given string, tag reflect.StructTag) {
	if enum := tag.Get("enum"); enum != "" {
		if !oneOf(given, enum) {
			v.refuse(path, name, shown(given), "one of "+strings.ReplaceAll(enum, ",", ", "))
		}
		return
	}
	if pattern := tag.Get("pattern"); pattern != "" {
		if !isID(given) && (given != "" || !strings.Contains(pattern, "{0,")) {
			v.refuse(path, name, shown(given), "an id of 1 to 64 letters, digits, - or _")
		}
		return
	}
	length := utf8.RuneCountInString(given)
	if least, ok := bound(tag, "minLength"); ok && length < int(least) {
		v.refuse(path, name, "an empty text", fmt.Sprintf("a text of %d to %s characters", int(least), tag.Get("maxLength")))
	}
	if longest, ok := bound(tag, "maxLength"); ok && length > int(longest) {
		v.refuse(path, name, fmt.Sprintf("a text of %d characters", length), fmt.Sprintf("up to %d characters", int(longest)))
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

func oneOf(given, enum string) bool {
	for choice := range strings.SplitSeq(enum, ",") {
		if given == choice {
			return true
		}
	}
	return false
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
