package api

import (
	"encoding/json"
	"maps"
	"path"
	"reflect"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/go-chi/chi/v5"

	"zaino/internal/core/fitout"
)

// documentSchema is the JSON Schema of a .zaino.json file of this version: the types of the contract, but for what may be
// left out. The server's answers are always whole; of a file what is missing is empty, so that only what may not be
// empty is required.
func documentSchema() (*huma.Schema, huma.Registry) {
	schemas := register(chi.NewRouter(), Options{}, newGate("", nil, time.Now)).OpenAPI().Components.Schemas
	relaxed := map[*huma.Schema]bool{}
	root := schemas.SchemaFromRef(schemas.Schema(reflect.TypeFor[fitout.Job](), true, "").Ref)
	relax(schemas, root, relaxed)
	root.Properties["format"].Enum = []any{fitout.Format}
	version := float64(fitout.Version)
	root.Properties["version"].Minimum, root.Properties["version"].Maximum = &version, &version
	root.Required = append(root.Required, "format", "version")
	root.PrecomputeMessages()
	return root, schemas
}

// relax requires of every object only the fields that may not be empty.
func relax(schemas huma.Registry, s *huma.Schema, relaxed map[*huma.Schema]bool) {
	if s == nil || relaxed[s] {
		return
	}
	relaxed[s] = true
	if s.Ref != "" {
		relax(schemas, schemas.SchemaFromRef(s.Ref), relaxed)
		return
	}
	relax(schemas, s.Items, relaxed)
	s.Required = slices.DeleteFunc(s.Required, func(name string) bool { return mayBeEmpty(schemas, s.Properties[name]) })
	for _, p := range s.Properties {
		relax(schemas, p, relaxed)
	}
	s.PrecomputeMessages()
}

// mayBeEmpty tells whether a field may have the value that one which is left out has.
func mayBeEmpty(schemas huma.Registry, s *huma.Schema) bool {
	if s.Ref != "" {
		s = schemas.SchemaFromRef(s.Ref)
	}
	switch s.Type {
	case huma.TypeString:
		if len(s.Enum) > 0 {
			return slices.Contains(s.Enum, any(""))
		}
		return (s.MinLength == nil || *s.MinLength == 0) && !strings.HasSuffix(s.Pattern, "+$")
	case huma.TypeNumber, huma.TypeInteger:
		return (s.Minimum == nil || *s.Minimum <= 0) && (s.ExclusiveMinimum == nil || *s.ExclusiveMinimum < 0)
	case huma.TypeArray:
		return s.MinItems == nil || *s.MinItems == 0
	case huma.TypeObject:
		return !slices.ContainsFunc(slices.Collect(maps.Keys(s.Properties)), func(name string) bool {
			return slices.Contains(s.Required, name) && !mayBeEmpty(schemas, s.Properties[name])
		})
	}
	return true
}

// DocumentSchema is the JSON Schema (2020-12) of a .zaino.json file of this version.
func DocumentSchema() ([]byte, error) {
	root, schemas := documentSchema()
	defs := map[string]*huma.Schema{}
	var reach func(s *huma.Schema)
	reach = func(s *huma.Schema) {
		if s == nil {
			return
		}
		if s.Ref != "" {
			if name := path.Base(s.Ref); defs[name] == nil {
				defs[name] = schemas.SchemaFromRef(s.Ref)
				reach(defs[name])
			}
			return
		}
		reach(s.Items)
		for _, p := range s.Properties {
			reach(p)
		}
	}
	reach(root)
	whole, err := json.Marshal(root)
	if err != nil {
		return nil, err
	}
	var out map[string]any
	if err := json.Unmarshal(whole, &out); err != nil {
		return nil, err
	}
	out["$schema"], out["title"], out["$defs"] = "https://json-schema.org/draft/2020-12/schema", "Zaino job", defs
	data, err := json.MarshalIndent(out, "", " ")
	return []byte(strings.ReplaceAll(string(data), `"#/components/schemas/`, `"#/$defs/`)), err
}
