package api

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"

	"github.com/danielgtaylor/huma/v2"
)

// strictJSON reads bodies as huma does, but for one thing: a field that stands twice is refused, as nobody knows
// which of the two was meant.
func strictJSON() huma.Format {
	f := huma.DefaultJSONFormat
	read := f.Unmarshal
	f.Unmarshal = func(data []byte, v any) error {
		if name, twice := repeated(data); twice {
			return fmt.Errorf("the field %.60q is there twice; accepted is each field once", name)
		}
		return read(data, v)
	}
	return f
}

// repeated returns a field that an object of a JSON text has twice. What is no JSON is left to who reads it.
func repeated(data []byte) (string, bool) {
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
