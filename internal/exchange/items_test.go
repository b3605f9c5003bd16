package exchange

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/demo"
	"zaino/internal/example"
)

func job() *fitout.Job {
	j := fitout.NewJob("csv", "CSV", fitout.AustraliaNZ)
	return &j
}

func TestReadsWhatSpreadsheetsWrite(t *testing.T) {
	cases := []struct {
		name, text string
		kg, x      float64
	}{
		{"plain", "Name,Mass,Station\nKettle,1.2,3300", 1.2, 3300},
		{"columns in another order", "x;kg;item\n3300;1.2;Kettle", 1.2, 3300},
		{"byte order mark, semicolons, decimal commas", "\ufeffItem;Weight (kg);Position (mm)\nKettle;1,2;3300,0\n", 1.2,
			3300},
		{"tabs and Windows lines", "Name\tMass\tStation\r\nKettle\t1.2\t3300\r\n", 1.2, 3300},
		{"pounds and inches in the head", "Name,Weight (lb),Station (in)\nKettle,10,100", 4.5359237, 2540},
		{"the cell's unit before the head's", "Name,Weight (lb),Station (in)\nKettle,1.2 kg,3.3 m", 1.2, 3300},
		{"sums and quotes", "\"Name\",\"Mass\",\"Station\"\n\"Kettle\",\"2*0.6\",\"3000+300\"", 1.2, 3300},
		{"empty lines and extra columns", "Name,Colour,Mass,Station\n\n,,,\nKettle,red,1.2,3300\n", 1.2, 3300},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			p, err := ReadItems(c.text, job())
			require.NoError(t, err)
			require.Equal(t, 1, p.Good, "%+v", p)
			item := p.Rows[len(p.Rows)-1].Item
			assert.Equal(t, "Kettle", item.Name)
			assert.InDelta(t, c.kg, item.Mass, 1e-9)
			assert.InDelta(t, c.x, item.At.X, 1e-9)
		})
	}
}

func TestBadFilesAreRefusedWithASentence(t *testing.T) {
	cases := []struct{ name, text, sentence string }{
		{"empty", "", "the file is empty"},
		{"only a byte order mark", "\ufeff \n", "the file is empty"},
		{"no header", "Kettle,1.2,3300\n", "no column is headed name; the header has Kettle, 1.2, 3300"},
		{"no station", "Name,Mass\nKettle,1", "no column is headed station"},
		{"not text", "Name,Mass,Station\n\xff\xfe", "not UTF-8"},
		{"an open quote", "Name,Mass,Station\n\"Kettle,1,2", "line 2 cannot be read"},
		{"far too much", "Name,Mass,Station\n" + strings.Repeat("a,1,2\n", MaxRows+1), "accepted are up to 2000"},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			_, err := ReadItems(c.text, job())
			assert.ErrorContains(t, err, c.sentence)
		})
	}
}

func TestEachBadLineSaysWhy(t *testing.T) {
	p, err := ReadItems("Name,Mass,Station,Source\nKettle,heavy,3300,\n,1,3300,\nAnvil,90 "+
		"t,100,\nSpoon,NaN,1,\nCup,1,2,guess\nFork,\"1,200\",5,\nPan,1,2,weighed\n", job())
	require.NoError(t, err)
	assert.Equal(t, 1, p.Good)
	why := func(line int) string {
		row := p.Rows[line-2]
		require.Equal(t, line, row.Line)
		require.Nil(t, row.Item)
		return strings.Join(row.Errors, "; ")
	}
	assert.Contains(t, why(2), "mass: a number is missing")
	assert.Contains(t, why(3), "name: an empty text was given")
	assert.Contains(t, why(4), "mass: 90000 kg was given; accepted is a number from 0 to 20000 kg")
	assert.Contains(t, why(5), "mass: a number is missing")
	assert.Contains(t, why(6), `source: "guess" was given; accepted is one of weighed, data-sheet, material, estimate`)
	assert.Contains(t, why(7), "can mean two numbers")
}

func TestStationsAreInTheJobsDatum(t *testing.T) {
	j := job()
	j.Datum = fitout.DatumRearAxle
	p, err := ReadItems("Name,Mass,Station\nKettle,1,-420", j)
	require.NoError(t, err)
	assert.InDelta(t, j.Vehicle.Wheelbase-420, p.Rows[0].Item.At.X, 1e-9)
}

// What is written reads back as the same masses at the same places.
func TestItemsRoundTrip(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for _, j := range jobs {
		t.Run(j.Name, func(t *testing.T) {
			data, err := WriteItems(&j)
			require.NoError(t, err)
			p, err := ReadItems(string(data), &j)
			require.NoError(t, err)
			require.Equal(t, len(j.Variants[0].Items), p.Good, "%+v", p.Rows)
			for i, item := range j.Variants[0].Items {
				got := p.Rows[i].Item
				assert.Equal(t, item.Name, got.Name)
				assert.InDelta(t, item.Mass+item.Presence.Content(), got.Mass, 0.001)
				if item.Seat == "" {
					assert.InDelta(t, item.At.X, got.At.X, 0.001)
				}
			}
		})
	}
}

func TestACellIsNeverAFormula(t *testing.T) {
	j := job()
	j.Variants[0].Items = []fitout.Item{{ID: "a", Name: "=1+1", Form: fitout.FormBox, Source: fitout.ByScale,
		Presence: fitout.Presence{Kind: fitout.Always}}}
	data, err := WriteItems(j)
	require.NoError(t, err)
	assert.Contains(t, string(data), "'=1+1")
}

func TestNothingBreaksTheReader(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		body := rapid.StringOf(rapid.RuneFrom([]rune("ab1290,;\t\"\n\r .-+kglb\ufeffé"))).Draw(t, "text")
		p, err := ReadItems("name,kg,x\n"+body, job())
		if err == nil {
			for _, row := range p.Rows {
				assert.Equal(t, row.Item == nil, len(row.Errors) > 0, "a line becomes an item or says why not")
			}
		}
		_, _ = ReadItems(body, job())
	})
}

// What rides on the trailer keeps its station on the vehicle, to which it comes back, and
// the file says where it rides; reading it gives both again.
func TestWhatRidesOnTheTrailerKeepsItsStation(t *testing.T) {
	j := example.Travelling()
	drum := &j.Variants[0].Items[4]
	require.True(t, drum.OnTrailer)
	drum.At = fitout.Point{X: 3000, Y: -120, Z: 950}
	text, err := WriteItems(&j)
	require.NoError(t, err)
	p, err := ReadItems(string(text), &j)
	require.NoError(t, err)
	for i, row := range p.Rows {
		assert.Equal(t, j.Variants[0].Items[i].OnTrailer, row.Item.OnTrailer, row.Item.Name)
		if row.Item.OnTrailer {
			assert.Equal(t, drum.At, row.Item.At)
			assert.InDelta(t, 50, row.Item.Mass, 1e-9)
		}
	}
}
