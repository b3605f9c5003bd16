package api

import (
	"bytes"
	"encoding/json"
	"fmt"
	"reflect"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
)

// strictJSON reads bodies as huma does, but for one thing: a field that stands twice is refused, as nobody knows
// which of the two was meant. An answer that cannot be written is a problem before any byte of it.
func strictJSON() huma.Format {
	f := huma.DefaultJSONFormat
	f.Marshal = writeJSON
	read := f.Unmarshal
	f.Unmarshal = func(data []byte, v any) error {
		if name, twice := fitout.RepeatedField(data); twice {
			return fmt.Errorf("the field %.60q is there twice; accepted is each field once", name)
		}
		return read(data, v)
	}
	return f
}

// exactFields refuses an object with a field twice, or with one that differs in case from the field of a struct that it
// was read into. What is in the fields is not looked at.
func exactFields(body []byte, into any) error {
	known := map[string]bool{}
	for t, i := reflect.TypeOf(into).Elem(), 0; i < t.NumField(); i++ {
		name, _, _ := strings.Cut(t.Field(i).Tag.Get("json"), ",")
		known[name] = true
	}
	decoder := json.NewDecoder(bytes.NewReader(body))
	if _, err := decoder.Token(); err != nil {
		return err
	}
	seen := map[string]bool{}
	for decoder.More() {
		token, err := decoder.Token()
		if err != nil {
			return err
		}
		name, _ := token.(string)
		switch {
		case !known[name]:
			return fmt.Errorf("unknown field %.60q; accepted are only the fields of the contract", name)
		case seen[name]:
			return fmt.Errorf("the field %.60q is there twice; accepted is each field once", name)
		}
		seen[name] = true
		var skipped json.RawMessage
		if err := decoder.Decode(&skipped); err != nil {
			return err
		}
	}
	return nil
}
