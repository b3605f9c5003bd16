package exchange

import (
	"bytes"
	"encoding/csv"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"

	"zaino/internal/core/assess"
	"zaino/internal/demo"
)

// What is handed over says what the screen says, in every format.
func TestTheAccountIsTheSameInEveryFormat(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for _, j := range jobs {
		a, err := assess.AccountOf(&j, "")
		require.NoError(t, err)
		data, err := WriteAccountCSV(&a)
		require.NoError(t, err)
		rows, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
		require.NoError(t, err)
		require.Len(t, rows, len(a.Rows)+2)
		for _, row := range rows[1:] {
			for _, figure := range row[3:] {
				_, err := strconv.ParseFloat(figure, 64)
				require.NoError(t, err, "%s: figures are figures, negative ones too", row[1])
			}
		}
		rear, err := strconv.ParseFloat(rows[len(rows)-1][9], 64)
		require.NoError(t, err)
		assert.InDelta(t, assess.Of(&j).Axles.Rear, rear, 0.051)

		data, err = WriteAccountXLSX(&a)
		require.NoError(t, err)
		book, err := excelize.OpenReader(bytes.NewReader(data))
		require.NoError(t, err)
		cells, err := book.GetRows("Masses")
		require.NoError(t, err)
		require.Len(t, cells, len(a.Rows)+2)
		assert.Equal(t, a.Rows[1].Name, cells[2][1])
		assert.Contains(t, book.GetSheetList(), "Formulas")

		data, err = WriteAccountPDF(&a)
		require.NoError(t, err)
		assert.True(t, bytes.HasPrefix(data, []byte("%PDF-")))
		assert.Greater(t, len(data), 4000)
	}
}
