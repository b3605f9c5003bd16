// Package exchange reads and writes the open formats that are not the job
// document itself: so far, items as CSV.
package exchange

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"math"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
)

// MaxRows is how many items one CSV file may bring.
const MaxRows = 2000

// Row is one line of a CSV file as the preview shows it: an item, or why it
// cannot become one.
type Row struct {
	Line   int          `json:"line" doc:"line in the file, from 1"`
	Cells  []string     `json:"cells"`
	Item   *fitout.Item `json:"item,omitempty" doc:"without id; missing when there are errors"`
	Errors []string     `json:"errors"`
}

// Preview is a CSV file as it was understood. Nothing is imported by it.
type Preview struct {
	Columns []string `json:"columns" doc:"what each column was taken for; empty for one that is ignored"`
	Header  []string `json:"header"`
	Rows    []Row    `json:"rows"`
	Good    int      `json:"good" doc:"rows that can become items"`
}

// column is a field that a CSV column can hold.
type column string

const (
	colName   column = "name"
	colGroup  column = "group"
	colMass   column = "mass"
	colX      column = "station"
	colY      column = "side"
	colZ      column = "height"
	colSource column = "source"
	colNote   column = "note"
	colTows   column = "trailer"
)

// headings are the header words by which columns are matched, lower case.
var headings = map[string]column{
	"name": colName, "item": colName, "description": colName, "what": colName,
	"group": colGroup, "category": colGroup,
	"mass": colMass, "weight": colMass, "kg": colMass, "lb": colMass, "lbs": colMass,
	"station": colX, "x": colX, "position": colX,
	"side": colY, "y": colY,
	"height": colZ, "z": colZ,
	"source": colSource, "note": colNote, "notes": colNote, "remark": colNote, "trailer": colTows,
}

// heading matches a header such as "Mass (lb)" and returns the unit it names.
func heading(text string) (c column, unit string) {
	words := strings.FieldsFunc(
		strings.ToLower(text),
		func(r rune) bool { return strings.ContainsRune(" ()[]/_-,:", r) },
	)
	for _, word := range words {
		if found, ok := headings[word]; ok && c == "" {
			c = found
		}
		if slices.Contains(
			[]string{"kg", "g", "t", "lb", "lbs", "oz", "mm", "cm", "m", "in", "inch", "inches", "ft"},
			word,
		) {
			unit = word
		}
	}
	return c, unit
}

// ReadItems reads items from CSV text. The first line names the columns in any
// order; name, mass and station are needed. Separator may be comma, semicolon
// or tab; decimals may have commas; a byte order mark is skipped. Stations are
// in the job's datum and, like masses, in the unit that cell or header names,
// else in the job's units.
func ReadItems(text string, j *fitout.Job) (Preview, error) {
	reader, header, err := openCSV(text, "name, mass and station")
	if err != nil {
		return Preview{}, err
	}
	r := itemReader{job: j, columns: make([]column, len(header)), units: make([]string, len(header))}
	preview := Preview{Header: header, Columns: make([]string, len(header)), Rows: []Row{}}
	for i, text := range header {
		c, unit := heading(text)
		if c != "" && slices.Contains(r.columns, c) {
			c = "" // the first column of a kind counts
		}
		r.columns[i], r.units[i], preview.Columns[i] = c, unit, string(c)
	}
	for _, needed := range []column{colName, colMass, colX} {
		if !slices.Contains(r.columns, needed) {
			return preview, fmt.Errorf(
				"no column is headed %s; the header has %s; needed are name, mass and station",
				needed,
				strings.Join(header, ", "),
			)
		}
	}
	err = eachRow(reader, MaxRows, "items", func(line int, cells []string) {
		row := r.row(line, cells)
		if row.Item != nil {
			preview.Good++
		}
		preview.Rows = append(preview.Rows, row)
	})
	return preview, err
}

// eachRow reads the rows of CSV text that are not empty, up to a number of things.
func eachRow(reader *csv.Reader, most int, things string, take func(line int, cells []string)) error {
	for rows := 0; ; {
		cells, err := reader.Read()
		if errors.Is(err, io.EOF) {
			return nil
		}
		var broken *csv.ParseError
		if errors.As(err, &broken) {
			return fmt.Errorf("line %d cannot be read: %w", broken.StartLine, broken.Err)
		}
		line, _ := reader.FieldPos(0)
		if strings.TrimSpace(strings.Join(cells, "")) == "" {
			continue
		}
		if rows++; rows > most {
			return fmt.Errorf("the file has more than %d %s; accepted are up to %d", most, things, most)
		}
		take(line, cells)
	}
}

// openCSV begins to read CSV text: its header line, with commas, semicolons or tabs between; a byte
// order mark is skipped.
func openCSV(text, wanted string) (*csv.Reader, []string, error) {
	text = strings.TrimPrefix(text, "\ufeff")
	if !utf8.ValidString(text) {
		return nil, nil, errors.New("the file is not UTF-8 text; save it as CSV in UTF-8 and try again")
	}
	if strings.TrimSpace(text) == "" {
		return nil, nil, fmt.Errorf(
			"the file is empty; accepted is a CSV file with a header line that names at least %s",
			wanted,
		)
	}
	reader := csv.NewReader(strings.NewReader(text))
	reader.Comma = separator(text)
	reader.FieldsPerRecord = -1
	reader.TrimLeadingSpace = true
	header, err := reader.Read()
	if err != nil {
		return nil, nil, fmt.Errorf("the header line cannot be read: %w", err)
	}
	return reader, header, nil
}

// separator is the candidate that the header line has most of.
func separator(text string) rune {
	line, _, _ := strings.Cut(text, "\n")
	best := ','
	for _, candidate := range []rune{';', '\t'} {
		if strings.Count(line, string(candidate)) > strings.Count(line, string(best)) {
			best = candidate
		}
	}
	return best
}

type itemReader struct {
	job     *fitout.Job
	columns []column
	units   []string
}

func (r *itemReader) row(line int, cells []string) Row {
	row := Row{Line: line, Cells: cells, Errors: []string{}}
	item := fitout.Item{Form: fitout.FormBox, Source: fitout.Estimate, Presence: fitout.Presence{Kind: fitout.Always}}
	fail := func(i int, err error) {
		row.Errors = append(row.Errors, fmt.Sprintf("%s: %v", r.columns[i], err))
	}
	read := func(i int, text string, kind quantity.Kind) float64 {
		value, err := r.quantity(i, text, kind)
		if err != nil {
			fail(i, err)
		}
		return value
	}
	for i, c := range r.columns {
		text := ""
		if i < len(cells) {
			text = strings.TrimSpace(cells[i])
		}
		switch c {
		case colName:
			item.Name = text
		case colGroup:
			item.Group = text
		case colNote:
			item.Note = text
		case colTows:
			item.OnTrailer = strings.EqualFold(text, "yes")
		case colMass:
			item.Mass = read(i, text, quantity.Mass)
		case colX:
			item.At.X = r.job.Vehicle.FromDatum(r.job.Datum, read(i, text, quantity.Length))
		case colY, colZ:
			if text == "" {
				continue
			}
			if value := read(i, text, quantity.Length); c == colY {
				item.At.Y = value
			} else {
				item.At.Z = value
			}
		case colSource:
			if text != "" {
				item.Source = fitout.MassSource(strings.ReplaceAll(strings.ToLower(text), " ", "-"))
			}
		}
	}
	if len(row.Errors) == 0 {
		row.Errors = append(row.Errors, refused(&item)...)
	}
	if len(row.Errors) == 0 {
		row.Item = &item
	}
	return row
}

// quantity reads a cell; its own unit counts before the header's, and that
// before the job's.
func (r *itemReader) quantity(i int, text string, kind quantity.Kind) (float64, error) {
	if unit := r.units[i]; unit != "" {
		if value, err := quantity.Parse("("+text+") "+unit, kind, quantity.System(r.job.Units)); err == nil {
			return value, nil
		}
	}
	return quantity.Parse(text, kind, quantity.System(r.job.Units))
}

// refused holds an item against the rules of the document and returns what
// they refuse.
func refused(item *fitout.Item) []string {
	trial := fitout.NewJob("trial", "trial", fitout.AustraliaNZ)
	probe := *item
	probe.ID = "item"
	trial.Variants[0].Items = []fitout.Item{probe}
	var problems fitout.Problems
	if !errors.As(fitout.Validate(&trial), &problems) {
		return nil
	}
	sentences := make([]string, len(problems))
	for i, p := range problems {
		p.Name = ""
		p.Path = strings.TrimPrefix(p.Path, "variants[0].items[0].")
		sentences[i] = p.Error()
	}
	return sentences
}

// WriteItems writes the chosen variant's items as CSV that ReadItems reads
// back, in the job's datum, in mm and kg, with what each puts on the axles.
func WriteItems(j *fitout.Job) ([]byte, error) {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	rows := [][]string{{"Name", "Group", "Mass (kg)", "Station (mm)", "Side (mm)", "Height (mm)", "Source", "Present",
		"On trailer", "On front axle (kg)", "On rear axle (kg)", "Note"}}
	p := plan.Of(j)
	plain := p.Load.Plain()
	for i := range p.Variant.Items {
		item, thing := &p.Variant.Items[i], &plain.Items[i]
		at, effect := thing.Mass, thing.Effect(p.Load.Wheelbase)
		if thing.Trailer { // its place is that on the vehicle, to which it comes back
			at = load.Mass{X: item.At.X, Y: item.At.Y, Z: item.At.Z}
		}
		rows = append(rows, []string{
			plainText(item.Name), plainText(item.Group), number(thing.Kg()),
			number(j.Vehicle.ToDatum(j.Datum, at.X)), number(at.Y), number(at.Z), string(item.Source),
			yesNo(
				thing.Present,
			), yesNo(thing.Trailer), number(effect.Front), number(effect.Rear), plainText(item.Note),
		})
	}
	err := w.WriteAll(rows)
	return out.Bytes(), err
}

// plainText keeps a spreadsheet from running a cell as a formula.
func plainText(text string) string {
	if text != "" && strings.ContainsRune("=+-@\t\r", rune(text[0])) {
		return "'" + text
	}
	return text
}

func yesNo(yes bool) string {
	if yes {
		return "yes"
	}
	return "no"
}

func number(value float64) string {
	return strconv.FormatFloat(math.Round(value*1000)/1000, 'f', -1, 64)
}
