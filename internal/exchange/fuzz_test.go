package exchange

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/catalogue"
	"zaino/internal/core/fitout"
	"zaino/internal/demo"
)

// Whatever text comes as a table of items, each line becomes an item that a job may have, or says why not.
func FuzzReadItems(f *testing.F) {
	jobs, err := demo.Jobs()
	if err != nil {
		f.Fatal(err)
	}
	table, err := WriteItems(&jobs[0])
	if err != nil {
		f.Fatal(err)
	}
	f.Add(string(table))
	f.Add("Name;Mass;Station;Present when;Seat\nKettle;1,2 kg;3 m;switch: x;'=1\n")
	f.Fuzz(func(t *testing.T, text string) {
		j := jobs[0]
		preview, err := ReadItems(text, &j)
		if err != nil {
			assert.NotEmpty(t, err.Error())
			return
		}
		for _, row := range preview.Rows {
			assert.Equal(t, row.Item == nil, len(row.Errors) > 0)
			if row.Item != nil {
				v := j.ChosenVariant()
				items := v.Items
				row.Item.ID = "fuzzed"
				v.Items = append(items[:len(items):len(items)], *row.Item)
				assert.NoError(t, fitout.Validate(&j))
				v.Items = items
			}
		}
	})
}

// Whatever text comes as a catalogue, it is refused with a sentence or read into parts that a job may have.
func FuzzReadComponents(f *testing.F) {
	all, err := catalogue.Components()
	if err != nil {
		f.Fatal(err)
	}
	table, err := WriteComponentsCSV(all[:12])
	if err != nil {
		f.Fatal(err)
	}
	list, err := WriteComponentsJSON(all[:3])
	if err != nil {
		f.Fatal(err)
	}
	f.Add(string(table))
	f.Add(string(list))
	f.Fuzz(func(t *testing.T, text string) {
		read, err := ReadComponents(text)
		if err != nil {
			assert.NotEmpty(t, err.Error())
			return
		}
		for i := range read {
			assert.NoError(t, fitout.CheckComponent(&read[i]))
		}
	})
}

// Whatever bytes come as a log, each line is read or says why not.
func FuzzReadLog(f *testing.F) {
	data, _ := demo.Log("sound-recordist")
	f.Add(data)
	f.Fuzz(func(_ *testing.T, data []byte) { _, _ = ReadLogCSV(data) })
}

// Whatever bytes come as prices, they are read or refused.
func FuzzReadPrices(f *testing.F) {
	jobs, err := demo.Jobs()
	if err != nil {
		f.Fatal(err)
	}
	table, err := WritePrices(&jobs[0])
	if err != nil {
		f.Fatal(err)
	}
	f.Add(table)
	f.Fuzz(func(_ *testing.T, data []byte) { _, _ = ReadPrices(data, &jobs[0]) })
}
