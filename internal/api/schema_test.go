package api

import (
	"encoding/json"
	"fmt"
	"maps"
	"os"
	"slices"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/go-chi/chi/v5"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

var theSchema = sync.OnceValues(documentSchema)

// fits holds a document against its schema and returns what does not fit.
func fits(t require.TestingT, text []byte) []string {
	root, schemas := theSchema()
	var tree any
	require.NoError(t, json.Unmarshal(text, &tree))
	result := &huma.ValidateResult{}
	huma.Validate(schemas, root, huma.NewPathBuffer([]byte{}, 0), huma.ModeReadFromServer, tree, result)
	var told []string
	for _, err := range result.Errors {
		told = append(told, err.Error())
	}
	return told
}

// required leaves of a value only what its schema requires.
func required(schemas huma.Registry, s *huma.Schema, value any) any {
	if s.Ref != "" {
		s = schemas.SchemaFromRef(s.Ref)
	}
	switch value := value.(type) {
	case map[string]any:
		left := map[string]any{}
		for _, name := range s.Required {
			left[name] = required(schemas, s.Properties[name], value[name])
		}
		return left
	case []any:
		for i := range value {
			value[i] = required(schemas, s.Items, value[i])
		}
	}
	return value
}

// The least document that the reader takes is valid by the schema, and says the version that the page says.
func TestTheSchemaTakesWhatTheReaderTakes(t *testing.T) {
	j := fitout.NewJob("least", "Least", fitout.AustraliaNZ)
	data, err := fitout.Encode(&j)
	require.NoError(t, err)
	var tree any
	require.NoError(t, json.Unmarshal(data, &tree))
	root, schemas := theSchema()
	least, err := json.Marshal(required(schemas, root, tree))
	require.NoError(t, err)
	assert.Less(t, len(least), len(data)/3)
	assert.Empty(t, fits(t, least))
	_, err = fitout.Decode(least)
	assert.NoError(t, err, "%s", least)
	golden, err := os.ReadFile(fmt.Sprintf("../core/fitout/testdata/v%d.zaino.json", fitout.Version))
	require.NoError(t, err)
	assert.Empty(t, fits(t, golden))
	assert.Empty(t, fits(t, []byte(demoText(t))))
	assert.NotEmpty(t, fits(t, []byte(strings.Replace(string(golden), `"version": `, `"version": 1`, 1))))
	page, err := os.ReadFile("../../docs/file-format.md")
	require.NoError(t, err)
	assert.Contains(t, string(page), fmt.Sprintf("`version` is %d.", fitout.Version))
	schema, err := DocumentSchema()
	require.NoError(t, err)
	assert.NotContains(t, string(schema), "#/components")
	assert.True(t, json.Valid(schema))
}

// A field is taken out of a valid document, anywhere: the schema takes what is left whenever the reader does, and what
// the schema refuses the reader refuses.
func TestWhatIsMissingIsReadAsTheSchemaSays(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		data, err := fitout.Encode(&j)
		require.NoError(t, err)
		var tree any
		require.NoError(t, json.Unmarshal(data, &tree))
		at := tree
		for {
			if list, ok := at.([]any); ok {
				at = list[rapid.IntRange(0, len(list)-1).Draw(t, "element")]
				continue
			}
			fields := at.(map[string]any)
			name := rapid.SampledFrom(slices.Sorted(maps.Keys(fields))).Draw(t, "field")
			deeper, object := fields[name].(map[string]any)
			list, ok := fields[name].([]any)
			ok = ok && len(list) > 0
			if ok {
				_, ok = list[0].(map[string]any)
			}
			if (object && len(deeper) > 0 || ok) && rapid.Bool().Draw(t, "deeper") {
				at = fields[name]
				continue
			}
			delete(fields, name)
			break
		}
		left, err := json.Marshal(tree)
		require.NoError(t, err)
		_, err = fitout.Decode(left)
		if told := fits(t, left); err == nil {
			require.Empty(t, told)
		} else if len(told) > 0 {
			require.Error(t, err)
		}
	})
}

func TestFilesAreDeclaredAsWhatTheyAre(t *testing.T) {
	contract := register(chi.NewRouter(), Options{}, newGate("", nil, time.Now)).OpenAPI()
	for path, item := range contract.Paths {
		if item.Get == nil {
			continue
		}
		for kind, media := range item.Get.Responses["200"].Content {
			if media.Schema != nil && media.Schema.ContentEncoding == "base64" {
				t.Errorf("%s is declared as %s in base64", path, kind)
			}
		}
	}
	kinds := maps.Keys(contract.Paths["/api/jobs/{id}/account.pdf"].Get.Responses["200"].Content)
	assert.Equal(t, []string{"application/pdf"}, slices.Collect(kinds))
}
