package exchange

import (
	"bytes"
	"encoding/csv"
	"regexp"
	"strings"
)

// CSVStyle is how a table is written for the program that opens it. Zaino reads all of them.
type CSVStyle string

// The styles.
const (
	Commas     CSVStyle = "commas"     // commas, decimal points
	Marked     CSVStyle = "marked"     // the same, with a byte order mark
	Semicolons CSVStyle = "semicolons" // semicolons, decimal commas, with a byte order mark
)

var pointed = regexp.MustCompile(`^-?[0-9]+\.[0-9]+$`)

// Restyle writes a table with commas and decimal points in another style.
func Restyle(table []byte, style CSVStyle) ([]byte, error) {
	const mark = "\ufeff"
	switch style {
	case Marked:
		return append([]byte(mark), table...), nil
	case Semicolons:
	default:
		return table, nil
	}
	reader := csv.NewReader(bytes.NewReader(table))
	reader.FieldsPerRecord = -1
	rows, err := reader.ReadAll()
	if err != nil {
		return nil, err
	}
	for _, row := range rows {
		for i, cell := range row {
			if pointed.MatchString(cell) {
				row[i] = strings.Replace(cell, ".", ",", 1)
			}
		}
	}
	out := bytes.NewBufferString(mark)
	w := csv.NewWriter(out)
	w.Comma = ';'
	err = w.WriteAll(rows)
	return out.Bytes(), err
}
