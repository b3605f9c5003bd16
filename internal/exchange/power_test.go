package exchange_test

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"

	"zaino/internal/demo"
	"zaino/internal/exchange"
)

// What an electrician is handed has every circuit with its copper and fuse, in the units of
// the job, whichever format it is in.
func TestThePowerSheetHasEveryCircuit(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	bees := &jobs[2]
	data, err := exchange.WritePowerXLSX(bees)
	require.NoError(t, err)
	book, err := excelize.OpenReader(bytes.NewReader(data))
	require.NoError(t, err)
	rows, err := book.GetRows("Circuits")
	require.NoError(t, err)
	circuits := map[string][]string{}
	for _, row := range rows[1:] {
		circuits[row[1]] = row
	}
	assert.Equal(t, "14\u00a0AWG", circuits["Extractor drive"][5])
	assert.Equal(t, "30\u00a0A blade", circuits["Extractor drive"][6])
	assert.Equal(t, "agreed", circuits["Incubator"][8])
	charge := 0.0
	runs, err := book.GetRows("What runs")
	require.NoError(t, err)
	for i := range runs[1:] {
		cell := fmt.Sprintf("D%d", i+2)
		raw, err := book.GetCellValue("What runs", cell, excelize.Options{RawCellValue: true})
		require.NoError(t, err)
		value, err := strconv.ParseFloat(raw, 64)
		require.NoError(t, err, "%s is a figure", cell)
		if i+2 < len(runs) {
			charge += value
			continue
		}
		f, err := book.GetCellFormula("What runs", cell)
		require.NoError(t, err)
		assert.Equal(t, fmt.Sprintf("SUM(D2:D%d)", i+1), f)
		assert.InDelta(t, charge, value, 1e-6, "all together")
	}
	assert.Positive(t, charge)
	for _, l := range bees.Variants[0].Electrics.Loads {
		if l.Inverter == "" {
			assert.Contains(t, circuits, l.Name)
		}
	}
	text, err := exchange.WritePowerCSV(bees)
	require.NoError(t, err)
	reader := csv.NewReader(bytes.NewReader(text))
	reader.FieldsPerRecord = -1
	lines, err := reader.ReadAll()
	require.NoError(t, err)
	count := 0
	for _, line := range lines {
		if len(line) == 9 {
			count++
		}
	}
	assert.Equal(t, len(rows), count, "the same circuits, with their head")
	pdf, err := exchange.WritePowerPDF(bees)
	require.NoError(t, err)
	assert.GreaterOrEqual(t, bytes.Count(pdf, []byte("/Type /Page\n")), 2)
}

// A name that a spreadsheet would take for a formula stays text, and one with a mark-up of
// drawings stays a name.
func TestNamesStayNames(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := &jobs[0]
	j.Variants[0].Electrics.Loads[0].Name = `=HYPERLINK("x")`
	j.Variants[0].Electrics.Loads[1].Name = "<script>&"
	text, err := exchange.WritePowerCSV(j)
	require.NoError(t, err)
	for _, line := range strings.Split(string(text), "\n") {
		assert.False(t, strings.HasPrefix(line, "=") || strings.HasPrefix(line, `"=`), line)
	}
	svg, err := exchange.WriteBoardSVG(j)
	require.NoError(t, err)
	assert.NotContains(t, string(svg), "<script>")
	assert.Contains(t, string(svg), "&lt;script&gt;&amp;")
}
