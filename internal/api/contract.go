package api

import (
	"path"
	"reflect"
	"strings"

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
	for at, item := range contract.Paths {
		if item.Get != nil {
			declareFile(at, item.Get)
		}
	}
}

// fileKinds are the content types of files by how their addresses end, or what they go through.
var fileKinds = map[string]string{
	"csv": "text/csv", "pdf": "application/pdf", "svg": "image/svg+xml", "dxf": "application/dxf",
	"xlsx": "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", "zip": "application/zip",
	"ics": "text/calendar", "json": "application/json", "export": "application/json", "glb": "model/gltf-binary",
	"gpx": "application/gpx+xml", "html": "text/html", "bundle": "application/zip",
}

// declareFile says of an answer of bytes which kind of file it is.
func declareFile(at string, o *huma.Operation) {
	answer := o.Responses["200"]
	if answer == nil {
		return
	}
	media := answer.Content["application/json"]
	if media == nil || media.Schema == nil || media.Schema.ContentEncoding != "base64" {
		return
	}
	kind := "application/octet-stream"
	for part := range strings.SplitSeq(at, "/") {
		name := part[strings.LastIndex(part, ".")+1:]
		if known, ok := fileKinds[name]; ok {
			kind = known
		}
	}
	answer.Content = map[string]*huma.MediaType{kind: {Schema: &huma.Schema{Type: "string", Format: "binary"}}}
}
