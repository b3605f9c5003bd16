package exchange

import (
	"encoding/csv"
	"os"
	"slices"
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

// told is what the table says of an item; the station of what sits, hangs or lies elsewhere is where it is then.
func told(i *fitout.Item) fitout.Item {
	line := func(text string) string { return strings.TrimSpace(strings.ReplaceAll(text, "\r\n", "\n")) }
	presence := i.Presence
	if presence.Kind != fitout.ByLevel {
		presence.Level = nil
	}
	switch presence.Kind {
	case fitout.Always, fitout.ByLevel:
		presence.Switch, presence.Choice, presence.Member = "", "", ""
	case fitout.BySwitch:
		presence.Choice, presence.Member = "", ""
	case fitout.ByChoice:
		presence.Switch = ""
	}
	return fitout.Item{Name: line(i.Name), Group: line(i.Group), Mass: i.Mass, Source: i.Source, Presence: presence, Behind: i.Behind,
		Seat: i.Seat, OnTrailer: i.OnTrailer, Size: i.Size, Form: i.Form, Substance: i.Substance, Note: line(i.Note)}
}

// spreadsheets are what programs that open a table make of it when they keep it again.
var spreadsheets = map[string]func(t *testing.T, text string) string{
	"as it is": func(_ *testing.T, text string) string { return text },
	"every cell in quotes, Windows lines, a mark": func(t *testing.T, text string) string {
		var out strings.Builder
		out.WriteString("\ufeff")
		for _, row := range rowsOf(t, text) {
			for i, cell := range row {
				if i > 0 {
					out.WriteString(",")
				}
				out.WriteString(`"` + strings.ReplaceAll(cell, `"`, `""`) + `"`)
			}
			out.WriteString("\r\n")
		}
		return out.String()
	},
	"semicolons and decimal commas": func(t *testing.T, text string) string {
		data, err := Restyle([]byte(text), Semicolons)
		require.NoError(t, err)
		return string(data)
	},
	"tabs, truths in capitals": func(t *testing.T, text string) string {
		var out strings.Builder
		for _, row := range rowsOf(t, text) {
			for i, cell := range row {
				if cell == "true" || cell == "false" {
					row[i] = strings.ToUpper(cell)
				}
				if strings.ContainsAny(cell, "\t\"\n") {
					row[i] = `"` + strings.ReplaceAll(cell, `"`, `""`) + `"`
				}
			}
			out.WriteString(strings.Join(row, "\t") + "\n")
		}
		return out.String()
	},
	"columns the other way round": func(t *testing.T, text string) string {
		rows := rowsOf(t, text)
		for _, row := range rows {
			slices.Reverse(row)
		}
		var out strings.Builder
		require.NoError(t, csv.NewWriter(&out).WriteAll(rows))
		return out.String()
	},
}

func rowsOf(t *testing.T, text string) [][]string {
	t.Helper()
	rows, err := csv.NewReader(strings.NewReader(text)).ReadAll()
	require.NoError(t, err)
	return rows
}

// What is written reads back as the same things, whatever program had it between.
func TestItemsRoundTrip(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for _, j := range jobs {
		for how, keep := range spreadsheets {
			t.Run(j.Name+", "+how, func(t *testing.T) {
				data, err := WriteItems(&j)
				require.NoError(t, err)
				p, err := ReadItems(keep(t, string(data)), &j)
				require.NoError(t, err)
				require.Equal(t, len(j.Variants[0].Items), p.Good, "%+v", p.Rows)
				for i, item := range j.Variants[0].Items {
					got := p.Rows[i].Item
					assert.Equal(t, told(&item), told(got))
					if item.Seat == "" {
						assert.InDelta(t, item.At.X, got.At.X, 0.001)
					}
				}
			})
		}
	}
}

// Files that a spreadsheet program opened and kept again, with commas, with tabs, out of a workbook, and in German, with
// semicolons and decimal commas: all of them hold what they held.
func TestWhatASpreadsheetProgramKeptIsTheSame(t *testing.T) {
	data, err := os.ReadFile("../core/fitout/testdata/v11.zaino.json")
	require.NoError(t, err)
	j, err := fitout.Decode(data)
	require.NoError(t, err)
	data, err = os.ReadFile("testdata/kept/components.json")
	require.NoError(t, err)
	want, err := ReadComponents(string(data))
	require.NoError(t, err)
	for _, how := range []string{"commas", "tabs", "workbook", "german"} {
		data, err := os.ReadFile("testdata/kept/items-" + how + ".csv")
		require.NoError(t, err)
		p, err := ReadItems(string(data), &j)
		require.NoError(t, err, how)
		require.Len(t, p.Rows, len(j.ChosenVariant().Items), how)
		for i, item := range j.ChosenVariant().Items {
			require.NotNil(t, p.Rows[i].Item, "%s: %v", how, p.Rows[i].Errors)
			assert.Equal(t, told(&item), told(p.Rows[i].Item), how)
		}
		data, err = os.ReadFile("testdata/kept/components-" + how + ".csv")
		require.NoError(t, err)
		got, err := ReadComponents(string(data))
		require.NoError(t, err, how)
		assert.Equal(t, want, got, how)
	}
}

// Drawn jobs have names with signs, switches with equal names, contents with a density of their own.
func TestDrawnItemsRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := example.Any(t)
		data, err := WriteItems(&j)
		require.NoError(t, err)
		p, err := ReadItems(string(data), &j)
		require.NoError(t, err)
		require.Len(t, p.Rows, len(j.ChosenVariant().Items))
		for i, item := range j.ChosenVariant().Items {
			if p.Rows[i].Item == nil && (item.In != nil || item.Seat != "") {
				continue // a compartment or seat may be further away than a thing by itself may stand
			}
			require.NotNil(t, p.Rows[i].Item, p.Rows[i].Errors)
			require.Equal(t, told(&item), told(p.Rows[i].Item), "%s", data)
		}
	})
}

// A thing at the end of the range comes back to it, whatever the lengths are counted from and in.
func TestAPlaceAtTheEndOfItsRangeComesBack(t *testing.T) {
	for wheelbase := 2500.0; wheelbase < 2501; wheelbase += 0.1234567 {
		for _, end := range []float64{-20_000, 20_000} {
			j := job()
			j.Vehicle.Wheelbase, j.Datum = wheelbase, fitout.DatumRearAxle
			j.Variants[0].Items = []fitout.Item{{ID: "a", Name: "Rope", Form: fitout.FormBox, Source: fitout.ByScale,
				At: fitout.Point{X: end}, Presence: fitout.Presence{Kind: fitout.Always}}}
			data, err := WriteItems(j)
			require.NoError(t, err)
			p, err := ReadItems(string(data), j)
			require.NoError(t, err)
			require.NotNil(t, p.Rows[0].Item, "%v: %v", wheelbase, p.Rows[0].Errors)
			assert.Equal(t, end, p.Rows[0].Item.At.X)
		}
	}
	p, err := ReadItems("Name,Mass,Station\nRope,9,20000.001\n", job())
	require.NoError(t, err)
	assert.NotEmpty(t, p.Rows[0].Errors, "what is typed beyond the range is refused")
}

func TestItemsNameSwitchesAndSeatsOfTheJob(t *testing.T) {
	j := job()
	j.Vehicle.Seats = []fitout.Seat{{ID: "s1", Name: "Driver"}}
	j.Variants[0].Switches = []fitout.Switch{{ID: "w1", Name: "Winter"}}
	p, err := ReadItems("Name,Mass,Station,Present when,Seat\nSkis,9,3000,switch: Winter,\nAda,70,1500,always,Driver\n"+
		"Oars,4,3000,switch: Summer,\nBo,70,1500,,Rear\n", j)
	require.NoError(t, err)
	require.Equal(t, 2, p.Good, "%+v", p.Rows)
	assert.Equal(t, "w1", p.Rows[0].Item.Presence.Switch)
	assert.Equal(t, "s1", p.Rows[1].Item.Seat)
	assert.Equal(t, []string{`present when: "switch: Summer" was given; accepted is always, content, or one of switch: Winter`},
		p.Rows[2].Errors)
	assert.Equal(t, []string{`seat: "Rear" was given; accepted is nothing, or one of Driver`}, p.Rows[3].Errors)
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
