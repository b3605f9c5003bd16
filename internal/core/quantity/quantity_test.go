package quantity

import (
	"encoding/json"
	"math"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// vector is one line of the file that the front end's parser is held to as well.
type vector struct {
	Text    string
	Kind    Kind
	System  System
	Value   float64
	Refused bool
}

func vectors(t *testing.T) (parse, format []vector) {
	data, err := os.ReadFile("testdata/vectors.json")
	require.NoError(t, err)
	var all struct{ Parse, Format []vector }
	require.NoError(t, json.Unmarshal(data, &all))
	require.NotEmpty(t, all.Parse)
	require.NotEmpty(t, all.Format)
	return all.Parse, all.Format
}

func TestReadsWhatPeopleWrite(t *testing.T) {
	parse, _ := vectors(t)
	for _, v := range parse {
		t.Run(string(v.System)+" "+v.Text, func(t *testing.T) {
			got, err := Parse(v.Text, v.Kind, v.System)
			if v.Refused {
				require.Error(t, err, "read as %v", got)
				return
			}
			require.NoError(t, err)
			assert.InDelta(t, v.Value, got, 1e-9*math.Max(1, math.Abs(v.Value)))
		})
	}
}

func TestWritesAsTheTradeReads(t *testing.T) {
	_, format := vectors(t)
	for _, v := range format {
		t.Run(v.Text, func(t *testing.T) {
			assert.Equal(t, v.Text, strings.NewReplacer(narrow, " ", before, " ").Replace(Format(v.Value, v.Kind, v.System)))
		})
	}
}

// What is shown can be typed back and means the same, within what is shown.
func TestShownValuesReadBack(t *testing.T) {
	steps := map[Kind]map[System]float64{
		Length:   {Metric: 0.5, US: MMPerInch / 32},
		Mass:     {Metric: 0.5, US: KgPerPound / 2},
		Volume:   {Metric: 0.5, US: LitresPerGal / 20},
		Distance: {Metric: 0.5, US: KmPerMile / 2}, Rate: {Metric: 0.05, US: RatePerLbIn / 20},
		Temperature: {Metric: 0.5, US: 0.5 / 1.8}, Angle: {Metric: 0.05, US: 0.05},
	}
	rapid.Check(t, func(t *rapid.T) {
		kind := rapid.SampledFrom([]Kind{Length, Mass, Volume, Distance, Rate, Temperature, Angle}).Draw(t, "kind")
		system := rapid.SampledFrom([]System{Metric, US}).Draw(t, "system")
		value := rapid.Float64Range(-50000, 50000).Draw(t, "value")
		got, err := Parse(Format(value, kind, system), kind, system)
		require.NoError(t, err)
		assert.InDelta(t, value, got, steps[kind][system]+1e-9)
	})
}

func TestNoInputBreaksTheParser(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		text := rapid.StringOf(rapid.RuneFrom([]rune(`0123456789.,+-*/() '"inftlbkgmé`))).Draw(t, "text")
		value, err := Parse(text, Length, Metric)
		if err == nil && (math.IsNaN(value) || math.IsInf(value, 0)) {
			t.Fatalf("%q read as %v", text, value)
		}
	})
}

func TestRefusalsSayWhatIsAccepted(t *testing.T) {
	_, err := Parse("12 kg", Length, Metric)
	assert.ErrorContains(t, err, `"kg" is not a unit of length; accepted are "`)
	_, err = Parse("1,200", Mass, Metric)
	assert.EqualError(t, err, `"1,200" can mean two numbers; accepted is 1200 or 1.200`)
}
