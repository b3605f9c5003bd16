package fitout

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"encoding/json"
)

// A field that stands twice in one object is seen wherever that is; the same name in two objects, or as a
// value, is none.
func TestRepeatedFields(t *testing.T) {
	for text, name := range map[string]string{
		`{"a":1,"a":2}`: "a", `{"b":{"c":[{"d":1,"e":{},"d":2}]}}`: "d", `[{"x":[],"y":[[{}]],"x":0}]`: "x", `{"a":{"q":1},"a":1}`: "a",
		`{"a":1,"b":{"a":1},"c":["a","a"],"d":"a"}`: "", `{"a":"b","b":"a"}`: "", `{}`: "", `not json`: "", `[[],[]]`: "", `{"a":[],"b":[]}`: "",
	} {
		is, twice := RepeatedField([]byte(text))
		assert.Equal(t, name, is, text)
		assert.Equal(t, name != "", twice, text)
	}
	rapid.Check(t, func(t *rapid.T) {
		var value func(deep int) any
		value = func(deep int) any {
			switch rapid.IntRange(0, 3-min(deep, 2)).Draw(t, "kind") {
			case 0:
				return rapid.SampledFrom([]string{"a", "b", "{", "["}).Draw(t, "text")
			case 1:
				return rapid.IntRange(0, 9).Draw(t, "number")
			case 2:
				all := map[string]any{}
				for _, key := range []string{"a", "b", "c"} {
					if rapid.Bool().Draw(t, "has") {
						all[key] = value(deep + 1)
					}
				}
				return all
			}
			return []any{value(deep + 1), value(deep + 1)}
		}
		data, err := json.Marshal(value(0))
		if err != nil {
			t.Fatal(err)
		}
		if name, twice := RepeatedField(data); twice {
			t.Fatalf("%s: %s", data, name)
		}
	})
}

func TestNamesThatNobodySeesAreShown(t *testing.T) {
	j := NewJob("a", "Wagon", AustraliaNZ)
	data, err := Encode(&j)
	require.NoError(t, err)
	for given, want := range map[string]string{
		`Wagon`: "Wagon", `Żółw №5 Ключ`: "Żółw №5 Ключ", `W\u200bagon`: "W\ufffdagon", "W\u200bagon": "W\ufffdagon",
		`Wa\u0007gon`: "Wa\ufffdgon", `\u202enogaW`: "\ufffdnogaW", `   `: "\ufffd", "\u00a0": "\ufffd", `a\tb`: "a\ufffdb",
	} {
		text := strings.Replace(string(data), `"name": "Wagon"`, `"name": "`+given+`"`, 1)
		read, err := Decode([]byte(text))
		require.NoError(t, err, "%+q", given)
		assert.Equal(t, want, read.Name, "%+q", given)
		careful, err := carefully([]byte(text))
		require.NoError(t, err)
		assert.Equal(t, read, careful)
		again, err := Encode(&read)
		require.NoError(t, err)
		twice, err := Decode(again)
		require.NoError(t, err)
		assert.Equal(t, read, twice)
	}
	_, err = Decode([]byte(strings.Replace(string(data), `"name": "Wagon"`, `"name": "Wagon", "name": "Van"`, 1)))
	assert.ErrorContains(t, err, "this field twice was given; accepted is each field once")
}
