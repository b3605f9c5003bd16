package exchange

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/catalogue"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/example"
)

// The whole generic catalogue goes out and comes back in: unchanged as JSON, and
// as CSV, whatever program had it between.
func TestCatalogueRoundTrip(t *testing.T) {
	all, err := catalogue.Components()
	require.NoError(t, err)
	data, err := WriteComponentsJSON(all)
	require.NoError(t, err)
	again, err := ReadComponents(string(data))
	require.NoError(t, err)
	require.Len(t, again, len(all))
	for i := range all {
		all[i].Own = true
		assert.Equal(t, all[i], again[i])
	}

	data, err = WriteComponentsCSV(all)
	require.NoError(t, err)
	for how, keep := range spreadsheets {
		t.Run(how, func(t *testing.T) {
			again, err := ReadComponents(keep(t, string(data)))
			require.NoError(t, err)
			require.Len(t, again, len(all))
			for i := range all {
				assert.Equal(t, all[i], again[i])
			}
		})
	}
}

// Whatever parts a workshop makes of its own go out as a table and come back the same.
func TestDrawnComponentsRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		var own []fitout.Component
		for _, i := range j.ChosenVariant().Items {
			if i.Module == nil {
				continue
			}
			c := fitout.Component{ID: i.ID, Why: "as measured", Own: true, Item: i}
			c.Loosen()
			c.Item.Making, c.Item.Planned = nil, nil
			i := &c.Item
			for _, text := range []*string{&i.Name, &i.Group, &i.Note} {
				*text = strings.TrimSpace(strings.ReplaceAll(*text, "\r", ""))
			}
			if c.Fill(); fitout.CheckComponent(&c) == nil {
				own = append(own, c)
			}
		}
		if len(own) == 0 {
			return
		}
		data, err := WriteComponentsCSV(own)
		require.NoError(t, err)
		again, err := ReadComponents(string(data))
		require.NoError(t, err)
		for i := range again {
			again[i].Fill()
		}
		assert.Equal(t, own, again)
	})
}

func TestACatalogueWithUnitsAndLittleElse(t *testing.T) {
	all, err := ReadComponents("Name;Length;Width;Height;Mass\nHoney strainer;14 in;1 ft;300;2*1.5\n")
	require.NoError(t, err)
	require.Len(t, all, 1)
	c := all[0]
	assert.Equal(t, "honey-strainer", c.ID)
	assert.InDelta(t, 355.6, c.Item.Size.Length, 1e-9)
	assert.InDelta(t, 304.8, c.Item.Size.Width, 1e-9)
	assert.InDelta(t, 3, c.Item.Mass, 1e-9)
	assert.Equal(t, module.Of("gear"), module.Of(c.Item.Module.Kind))
}

func TestBadCataloguesAreRefusedWithASentence(t *testing.T) {
	cases := map[string]string{
		"":                                           "the file is empty",
		"Name,Mass\nStrainer,2":                      "no column is headed length",
		"Name,Length,Width,Height\nBox,far,1,1":      "line 2: length:",
		"Name,Length,Width,Height\n,1,1,1":           "component 1: item.name",
		"Name,Length,Width,Height\nBox,-1,1,1":       "component 1: item.size.length (Box): -1 mm was given",
		"Name,Length,Width,Height,Kind\nB,1,1,1,x":   "component 1: item.module.kind (B)",
		"Name,Length,Width,Height\nB,1,1,1\nB,1,1,1": "a second time",
		`[{"id":"a","novelty":1}]`:                   "the file is not a catalogue",
		`[{"id":"a","item":{"name":"A"}}]`:           "item.module",
		`[1`:                                         "the file is not a catalogue",
		strings.Repeat("x", 10) + "\"":               "the file cannot be read",
	}
	for text, want := range cases {
		_, err := ReadComponents(text)
		assert.ErrorContains(t, err, want, "%q", text)
	}
}
