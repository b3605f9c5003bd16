package api

import (
	"path"
	"reflect"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// schemaName names a type in the contract as in the code; what every engine calls its
// Figures has the engine's name before it.
func schemaName(t reflect.Type, hint string) string {
	name := huma.DefaultSchemaNamer(t, hint)
	for t.Kind() == reflect.Pointer || t.Kind() == reflect.Slice {
		t = t.Elem()
	}
	if t.Name() == "Figures" {
		return words.Capital(path.Base(t.PkgPath())) + name
	}
	return name
}

// describe adds to the contract what no single type says: the kinds of edit that fixes
// make, from the table of them, and by which fields the things of each list of the job
// are told apart.
func describe(contract *huma.OpenAPI) {
	kinds := contract.Components.Schemas.Map()["FixEdit"].Properties["kind"]
	for _, kind := range edit.Kinds() {
		kinds.Enum = append(kinds.Enum, kind)
	}
	if contract.Extensions == nil {
		contract.Extensions = map[string]any{}
	}
	contract.Extensions["x-list-keys"] = fitout.ListKeys()
}
