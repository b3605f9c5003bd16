package exchange

import (
	"bytes"
	"encoding/json"
	"fmt"
	"reflect"
	"strings"
)

// Further columns of a table hold the fields that its usual ones do not tell. A column is headed by the names that lead
// to the field in the document, with dots between; a cell holds yes or no, the field as JSON, or text that is none of these
// as it is. Programs that open a table leave yes and no alone, and put true and false into capitals or another language.

// differing are the fields of a thing that differ from another of its kind, by the head of their column.
func differing(from, to any) (map[string]string, error) {
	var flat [2]map[string]any
	for i, v := range []any{from, to} {
		tree, err := treeOf(v)
		if err != nil {
			return nil, err
		}
		flat[i] = map[string]any{}
		flatten(flat[i], "", tree)
	}
	told := map[string]string{}
	for head, value := range flat[1] {
		if was, there := flat[0][head]; !there || !reflect.DeepEqual(was, value) {
			text, err := cellText(value)
			if err != nil {
				return nil, err
			}
			told[head] = text
		}
	}
	for head := range flat[0] {
		if _, there := flat[1][head]; !there {
			told[head] = "null"
		}
	}
	return told, nil
}

func treeOf(v any) (any, error) {
	data, err := json.Marshal(v)
	if err != nil {
		return nil, err
	}
	var tree any
	return tree, json.Unmarshal(data, &tree)
}

// flatten puts every field that holds no further fields under the names that lead to it.
func flatten(flat map[string]any, head string, value any) {
	fields, ok := value.(map[string]any)
	if !ok || len(fields) == 0 {
		flat[head] = value
		return
	}
	for name, field := range fields {
		if head != "" {
			name = head + "." + name
		}
		flatten(flat, name, field)
	}
}

func cellText(value any) (string, error) {
	if is, ok := value.(bool); ok {
		return yesNo(is), nil
	}
	if text, ok := value.(string); ok && text != "" && strings.TrimSpace(text) == text &&
		cellValue(text) == any(text) {
		return text, nil
	}
	data, err := json.Marshal(value)
	return string(data), err
}

// cellValue is what a cell holds.
func cellValue(text string) any {
	switch strings.ToLower(text) {
	case "yes", "true":
		return true
	case "no", "false":
		return false
	}
	var value any
	if err := json.Unmarshal([]byte(text), &value); err != nil {
		return text
	}
	return value
}

// putFurther sets the fields that further cells tell, by the head of their column; an empty cell leaves a field as it is.
func putFurther(into any, cells map[string]string) error {
	tree, err := treeOf(into)
	if err != nil {
		return err
	}
	changed := false
	for head, text := range cells {
		if text == "" {
			continue
		}
		changed = true
		if err := put(tree, strings.Split(head, "."), cellValue(text)); err != nil {
			return fmt.Errorf("%s: %w", head, err)
		}
	}
	if !changed {
		return nil
	}
	data, err := json.Marshal(tree)
	if err != nil {
		return err
	}
	decoder := json.NewDecoder(bytes.NewReader(data))
	decoder.DisallowUnknownFields()
	fresh := reflect.New(reflect.TypeOf(into).Elem())
	if err := decoder.Decode(fresh.Interface()); err != nil {
		return fmt.Errorf("%s; accepted are fields of the document with values of their kind",
			strings.TrimPrefix(err.Error(), "json: "))
	}
	reflect.ValueOf(into).Elem().Set(fresh.Elem())
	return nil
}

func put(tree any, path []string, value any) error {
	fields, ok := tree.(map[string]any)
	if !ok {
		return fmt.Errorf("nothing is called %q there", path[0])
	}
	if len(path) > 1 {
		if next, there := fields[path[0]]; !there || next == nil {
			fields[path[0]] = map[string]any{}
		}
		return put(fields[path[0]], path[1:], value)
	}
	if value == nil {
		delete(fields, path[0])
	} else {
		fields[path[0]] = value
	}
	return nil
}
