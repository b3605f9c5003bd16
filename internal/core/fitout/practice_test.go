package fitout

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every figure of the workshop's rules that a document has is found by its path, and none by another.
func TestEveryFigureOfTheWorkshopsRulesHasItsPath(t *testing.T) {
	p := NewPractice(AustraliaNZ)
	data, err := json.Marshal(p)
	require.NoError(t, err)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(data, &doc))
	figures := map[string]float64{}
	for name, v := range doc {
		group, isGroup := v.(map[string]any)
		if !isGroup {
			figures[name] = v.(float64)
		}
		for inner, w := range group {
			figures[name+"/"+inner] = w.(float64)
		}
	}
	assert.Greater(t, len(figures), 20)
	for path, value := range figures {
		if figure := p.Figures()[path]; assert.NotNil(t, figure, path) {
			assert.Equal(t, value, *figure, path)
			*figure = -1
			assert.Equal(t, -1.0, *p.Figures()[path], "%s is the rule's own", path)
		}
	}
	assert.Len(t, p.Figures(), len(figures))
}
