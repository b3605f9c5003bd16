package fitout

import (
	"bytes"
	"encoding/json"
	"io"
	"reflect"
	"strings"
	"unicode"
	"unicode/utf8"
)

// showHidden makes characters of names seen that nobody sees: control characters, those without width, those that turn
// the writing round. A document with one is read, since nothing may be lost, but two names that look alike are not alike
// any more. Blanks alone are a name that nobody sees either.
func showHidden(v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			showHidden(v.Elem())
		}
	case reflect.Slice:
		for i := range v.Len() {
			showHidden(v.Index(i))
		}
	case reflect.Struct:
		for i := range v.NumField() {
			field := v.Field(i)
			if field.Kind() == reflect.String {
				if name, _, _ := strings.Cut(v.Type().Field(i).Tag.Get("json"), ","); name == "name" {
					field.SetString(visible(field.String()))
				}
				continue
			}
			showHidden(field)
		}
	}
}

// visible puts the sign for a character that cannot be shown in the place of each that is not.
func visible(name string) string {
	name = strings.Map(func(r rune) rune {
		if unicode.IsGraphic(r) {
			return r
		}
		return utf8.RuneError
	}, name)
	if name != "" && strings.TrimSpace(name) == "" {
		return string(utf8.RuneError)
	}
	return name
}

// mayHide tells whether a document may have a character in it that nobody sees; it is quick, and wrong on the safe side.
func mayHide(data []byte) bool {
	if bytes.IndexByte(data, '\\') >= 0 || bytes.Contains(data, []byte(`"name": " `)) ||
		bytes.Contains(data, []byte(`"name":" `)) {
		return true
	}
	for i := 0; i < len(data); {
		if data[i] < utf8.RuneSelf {
			i++
			continue
		}
		r, size := utf8.DecodeRune(data[i:])
		if !unicode.IsGraphic(r) || unicode.IsSpace(r) {
			return true
		}
		i += size
	}
	return false
}

// RepeatedField returns a field that an object of a JSON text has twice, where nobody knows which of the two was meant.
// What is no JSON is left to who reads it.
func RepeatedField(data []byte) (string, bool) {
	decoder := json.NewDecoder(bytes.NewReader(data))
	decoder.UseNumber()
	var open []map[string]bool // fields of each object that is open; nil for a list
	key := false               // what comes next in the innermost object is a field's name
	for {
		token, err := decoder.Token()
		if err == io.EOF || err != nil {
			return "", false
		}
		inObject := len(open) > 0 && open[len(open)-1] != nil
		if delimiter, ok := token.(json.Delim); ok {
			switch delimiter {
			case '{':
				open, key = append(open, map[string]bool{}), true
				continue
			case '[':
				open = append(open, nil)
				continue
			}
			open = open[:len(open)-1]
			key = true
			continue
		}
		if !inObject {
			continue
		}
		if name, ok := token.(string); ok && key {
			if open[len(open)-1][name] {
				return name, true
			}
			open[len(open)-1][name] = true
			key = false
			continue
		}
		key = true
	}
}
