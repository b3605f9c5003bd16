package fitout

import (
	"bytes"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"os"
	"reflect"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// latest is the latest document that people have in their hands.
func latest(t testing.TB) []byte {
	data, err := os.ReadFile(fmt.Sprintf("testdata/v%d.zaino.json", Version))
	require.NoError(t, err)
	return data
}

// What is read quickly is what the careful way reads, however it is written: in another order, without blanks,
// with what is written specially, with nothing for a list.
func TestQuickAndCarefulReadTheSame(t *testing.T) {
	data := latest(t)
	var tree map[string]any
	require.NoError(t, json.Unmarshal(data, &tree)) // in the order of the names
	shuffled, err := json.Marshal(tree)
	require.NoError(t, err)
	var compact bytes.Buffer
	require.NoError(t, json.Compact(&compact, data))
	special := strings.Replace(string(data), `"Golden job"`, `"G\u00f6lden \"job\"\n\ud83d\ude99 \\ \/"`, 1)
	for name, text := range map[string]string{
		"as written": string(data), "in another order": string(shuffled), "without blanks": compact.String(), "specially": special,
		"nothing for a list": strings.Replace(string(data), `"marked": [`, `"marked": null, "made": [`, 1),
		"without most":       `{"version":15,"format":"zaino.job","id":"a"}`,
		"numbers":            strings.Replace(compact.String(), `"seed":7`, `"seed":70`, 1),
	} {
		job := Job{}
		r := reader{data: []byte(text)}
		if r.quickly(&job) {
			fillLists(reflect.ValueOf(&job).Elem())
			was := Validate(&job)
			careful, err := carefully([]byte(text))
			assert.Equal(t, was, err, name)
			assert.Equal(t, careful, job, name)
		} else {
			assert.Equal(t, "nothing for a list", name, "read quickly")
		}
	}
}

// Whatever is done to a document, what the quick way takes the careful way takes too, and reads alike.
func TestTheQuickWayTakesNothingElse(t *testing.T) {
	data := latest(t)
	r := rand.New(rand.NewPCG(7, 11))
	pieces := []string{
		`"`,
		`{`,
		`}`,
		`[`,
		`]`,
		`,`,
		`:`,
		`null`,
		`true`,
		`0`,
		`-`,
		`1e9`,
		`1.`,
		`01`,
		`.5`,
		"\x00",
		"\xff",
		`\`,
		`\u12`,
		` `,
		`"a":1,`,
		`"name":"x",`,
		`1e400`,
		`0.00000000000000000000000000000000001`,
		`3.5`,
		`"version": 10,`,
		"\xef\xbb\xbf",
		`[]`,
		`{}`,
	}
	taken := 0
	for range 3000 {
		text := append([]byte{}, data...)
		for range 1 + r.IntN(2) {
			at := r.IntN(len(text))
			piece := pieces[r.IntN(len(pieces))]
			cut := min(len(text), at+r.IntN(4))
			text = append(append(append([]byte{}, text[:at]...), piece...), text[cut:]...)
		}
		job := Job{}
		quick := reader{data: text}
		if !quick.quickly(&job) {
			continue
		}
		taken++
		fillLists(reflect.ValueOf(&job).Elem())
		was := Validate(&job)
		careful, err := carefully(text)
		require.Equal(t, was, err, "%s", text)
		if was == nil {
			require.Equal(t, careful, job)
		}
	}
	assert.Greater(t, taken, 100, "some of it is still right")
}

// A list that is longer than any may be is refused before its things fill the memory.
func TestAListWithoutEndIsRefusedWhileItIsRead(t *testing.T) {
	text := `{"format":"zaino.job","version":15,"variants":[{"id":"a","items":[` + strings.Repeat(
		"{},",
		1_300_000,
	) + `{}]}]}`
	require.Less(t, len(text), MaxBytes)
	quick := reader{data: []byte(text)}
	job := Job{}
	require.False(t, quick.quickly(&job))
	require.ErrorContains(t, quick.long, "variants[0].items")
	require.ErrorContains(t, quick.long, "a list of up to 2000")
	assert.Less(t, quick.at, len(text)/100, "most of it was never looked at")
	_, err := Decode([]byte(text))
	assert.Equal(t, quick.long, err)
}

func BenchmarkDecode(b *testing.B) {
	data := latest(b)
	b.SetBytes(int64(len(data)))
	for b.Loop() {
		if _, err := Decode(data); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkDecodeCarefully(b *testing.B) {
	data := latest(b)
	b.SetBytes(int64(len(data)))
	for b.Loop() {
		if _, err := carefully(data); err != nil {
			b.Fatal(err)
		}
	}
}

// A document of version 10 told by its name what stands for the cables; since then it is said, and a name says nothing.
func TestWhatStandsForTheCablesIsSaid(t *testing.T) {
	data, err := os.ReadFile("testdata/v10.zaino.json")
	require.NoError(t, err)
	var tree map[string]any
	require.NoError(t, json.Unmarshal(data, &tree))
	items := list(object(list(tree["variants"])[0])["items"])
	plain := slices.IndexFunc(items, func(item any) bool { return object(item)["module"] == nil })
	built := slices.IndexFunc(items, func(item any) bool { return object(item)["module"] != nil })
	object(items[plain])["name"], object(items[built])["name"] = "Wiring and lights", "Cable drum locker"
	older, err := json.Marshal(tree)
	require.NoError(t, err)
	j, err := Decode(older)
	require.NoError(t, err)
	assert.True(t, j.Variants[0].Items[plain].Cables)
	assert.False(t, j.Variants[0].Items[built].Cables, "a locker is none, whatever lies in it")
	tree["version"] = 11
	newer, err := json.Marshal(tree)
	require.NoError(t, err)
	j, err = Decode(newer)
	require.NoError(t, err)
	assert.False(t, j.Variants[0].Items[plain].Cables)
}
