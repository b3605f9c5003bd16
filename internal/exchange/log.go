package exchange

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/season"
)

// logHeads are the columns of a log as CSV.
var logHeads = []string{
	"id",
	"kind",
	"at",
	"by",
	"km",
	"litres",
	"full",
	"cost",
	"surfaces",
	"nights",
	"people",
	"wh",
	"charge",
	"of",
	"text",
	"photo",
	"replaces",
}

// MostLogLines is how many lines a log that is read may have.
const MostLogLines = 5000

// WriteLogCSV writes a log as CSV: all entries, those too that others stand in the place of. Cost is in cents, surfaces
// are id:share with spaces between.
func WriteLogCSV(log []season.Entry) ([]byte, error) {
	rows := [][]string{logHeads}
	for i := range log {
		e := &log[i]
		var on []string
		for _, s := range e.Surfaces {
			on = append(on, s.Surface+":"+strconv.FormatFloat(s.Share, 'f', -1, 64))
		}
		full := ""
		if e.Full {
			full = "yes"
		}
		rows = append(
			rows,
			[]string{e.ID, string(e.Kind), e.At, e.By, cellOf(e.Km), cellOf(e.Litres), full, cellOf(float64(e.Cost)),
				strings.Join(
					on,
					" ",
				), cellOf(e.Nights), cellOf(e.People), cellOf(e.Wh), cellOf(e.Charge), e.Of, e.Text, e.Photo, e.Replaces},
		)
	}
	return csvOf(rows)
}

// cellOf is a figure in a table; nothing for 0.
func cellOf(x float64) string {
	if x == 0 {
		return ""
	}
	return strconv.FormatFloat(x, 'f', -1, 64)
}

// csvOf writes rows as CSV. What a spreadsheet would take for a formula gets an apostrophe, which the readers take off.
func csvOf(rows [][]string) ([]byte, error) {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	for _, row := range rows {
		safe := make([]string, len(row))
		for i := range row {
			if safe[i] = plainText(row[i]); strings.HasPrefix(row[i], "'") {
				safe[i] = "'" + row[i] // so that taking one off gives it back
			}
		}
		if err := w.Write(safe); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return out.Bytes(), w.Error()
}

// LogRead is a log that was read, before it is taken.
type LogRead struct {
	Entries  []season.Entry `json:"entries"`
	Problems []string       `json:"problems" doc:"lines that are not taken, each with why"`
}

// ReadLogCSV reads a log as CSV, with a comma, semicolon or tab between columns, in any order; columns that it does not
// know are passed over. Lines that cannot be are told, the others come along. It refuses what is no table, or has no
// columns kind and at.
func ReadLogCSV(data []byte) (LogRead, error) {
	read := LogRead{Entries: []season.Entry{}, Problems: []string{}}
	text := strings.TrimPrefix(strings.ToValidUTF8(string(data), "�"), "\ufeff")
	r := csv.NewReader(strings.NewReader(text))
	first, _, _ := strings.Cut(text, "\n")
	for _, comma := range ";\t" {
		if strings.Count(first, string(comma)) > strings.Count(first, ",") {
			r.Comma = comma
		}
	}
	r.FieldsPerRecord, r.LazyQuotes = -1, true
	heads, err := r.Read()
	if err != nil {
		return read, fitout.Problem{
			Path:     "file",
			Given:    "no table",
			Accepted: "CSV whose first line names columns such as kind, at, km, litres",
		}
	}
	at := map[string]int{}
	for i, head := range heads {
		at[strings.ToLower(strings.TrimSpace(head))] = i
	}
	for _, needed := range []string{"kind", "at"} {
		if _, ok := at[needed]; !ok {
			return read, fitout.Problem{
				Path:  "file",
				Given: "no column " + needed,
				Accepted: "columns kind and at, and any of " +
					strings.Join(logHeads, ", "),
			}
		}
	}
	for line := 2; ; line++ {
		cells, err := r.Read()
		if err == io.EOF {
			return read, nil
		}
		if line > MostLogLines+1 {
			return read, fitout.Problem{
				Path:     "file",
				Given:    "more lines",
				Accepted: fmt.Sprintf("up to %d lines", MostLogLines),
			}
		}
		if err != nil {
			read.Problems = append(read.Problems, fmt.Sprintf("Line %d: %v.", line, err))
			continue
		}
		e, err := entryOf(line, func(name string) string {
			if i, ok := at[name]; ok && i < len(cells) {
				return bare(strings.TrimSpace(cells[i]))
			}
			return ""
		})
		if err == nil {
			err = e.Check()
		}
		if err != nil {
			read.Problems = append(read.Problems, fmt.Sprintf("Line %d: %v.", line, err))
			continue
		}
		read.Entries = append(read.Entries, e)
	}
}

// bare takes off the apostrophe that csvOf puts before what looks like a formula.
func bare(text string) string {
	if len(text) > 1 && text[0] == '\'' && strings.ContainsRune("'=+-@\t\r", rune(text[1])) {
		return text[1:]
	}
	return text
}

// entryOf is one line of a log.
func entryOf(line int, cell func(string) string) (season.Entry, error) {
	var wrong error
	figure := func(name string) float64 {
		text := strings.ReplaceAll(cell(name), ",", ".")
		if text == "" {
			return 0
		}
		x, err := strconv.ParseFloat(text, 64)
		if err != nil && wrong == nil {
			wrong = fitout.Problem{Path: name, Given: fmt.Sprintf("%q", cell(name)), Accepted: "a number"}
		}
		return x
	}
	clip := func(text string, most int) string {
		if letters := []rune(text); len(letters) > most {
			return string(letters[:most])
		}
		return text
	}
	e := season.Entry{
		ID:   cell("id"),
		Kind: season.Kind(strings.ToLower(cell("kind"))),
		At:   clip(cell("at"), 40),
		By:   clip(cell("by"), 120),
		Km: figure(
			"km",
		),
		Litres: figure("litres"),
		Cost:   int(figure("cost")),
		Nights: figure("nights"),
		People: figure("people"),
		Wh:     figure("wh"),
		Charge: figure(
			"charge",
		),
		Of:       clip(cell("of"), 80),
		Text:     clip(cell("text"), 1000),
		Photo:    cell("photo"),
		Replaces: cell("replaces"),
		Full: slices.Contains(
			[]string{"yes", "true", "1", "x"},
			strings.ToLower(cell("full")),
		),
		Surfaces: []season.OnGround{},
	}
	for _, on := range strings.Fields(cell("surfaces")) {
		id, share, _ := strings.Cut(on, ":")
		x, err := strconv.ParseFloat(share, 64)
		if (err != nil || !plainID(id)) && wrong == nil {
			wrong = fitout.Problem{
				Path:     "surfaces",
				Given:    fmt.Sprintf("%q", clip(on, 60)),
				Accepted: "id:share, such as gravel:60",
			}
		}
		e.Surfaces = append(e.Surfaces, season.OnGround{Surface: id, Share: x})
	}
	if e.ID == "" {
		e.ID = fmt.Sprintf("csv-%d", line)
	}
	for name, id := range map[string]string{"id": e.ID, "photo": e.Photo, "replaces": e.Replaces} {
		if id != "" && !plainID(id) && wrong == nil {
			wrong = fitout.Problem{
				Path:     name,
				Given:    fmt.Sprintf("%q", clip(id, 60)),
				Accepted: "an id of 1 to 64 letters, digits, - or _",
			}
		}
	}
	return e, wrong
}

// plainID tells whether a text is an id.
func plainID(id string) bool {
	if id == "" || len(id) > 64 {
		return false
	}
	return strings.Trim(id, "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789_-") == ""
}
