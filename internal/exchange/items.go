// Package exchange reads and writes the open formats that are not the job
// document itself: so far, items as CSV.
package exchange

import (
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"math"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"

	"zaino/internal/core/fitout"
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

// ReadItems reads items from CSV text. The first line names the columns in any
// order; name, mass and station are needed. A head that is exactly one of those that
// WriteItems writes is taken for it, any other by the words in it. Separator may be comma, semicolon
// or tab; decimals may have commas; a byte order mark is skipped. Stations are
// in the job's datum and, like masses, in the unit that cell or header names,
// else in the job's units.
func ReadItems(text string, j *fitout.Job) (Preview, error) {
	reader, header, err := openCSV(text, "name, mass and station")
	if err != nil {
		return Preview{}, err
	}
	r := itemReader{job: j, columns: make([]column, len(header)), units: make([]string, len(header)),
		commas: reader.Comma == ';'}
	preview := Preview{Header: header, Columns: make([]string, len(header)), Rows: []Row{}}
	for i, text := range header { // exact heads first, wherever they stand
		if c, unit, exact := exactHeading(text); exact && !slices.Contains(r.columns, c) {
			r.columns[i], r.units[i] = c, unit
		}
	}
	for i, text := range header {
		c, unit := heading(text)
		if r.columns[i] == "" && c != "" && !slices.Contains(r.columns, c) { // the first column of a kind counts
			r.columns[i], r.units[i] = c, unit
		}
		if r.columns[i] == colDerived {
			r.columns[i] = ""
		}
		preview.Columns[i] = string(r.columns[i])
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
	reader.TrimLeadingSpace = reader.Comma != '\t' // a tab is a space too, and so would be an empty cell
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
	commas  bool        // decimals have commas: the cells are parted by semicolons
	trial   *fitout.Job // an item is held against the rules in it
}

func (r *itemReader) row(line int, cells []string) Row {
	row := Row{Line: line, Cells: cells, Errors: []string{}}
	item := fitout.Item{Form: fitout.FormBox, Source: fitout.Estimate, Presence: fitout.Presence{Kind: fitout.Always}}
	for i, c := range r.columns {
		text := ""
		if i < len(cells) {
			text = strings.TrimSpace(cells[i])
		}
		if c == "" || text == "" && c != colMass && c != colX {
			continue
		}
		if err := r.take(&item, i, text); err != nil {
			row.Errors = append(row.Errors, fmt.Sprintf("%s: %v", c, err))
		}
	}
	if item.Presence.Level != nil && item.Presence.Kind != fitout.ByLevel {
		item.Presence.Level = nil
	}
	if len(row.Errors) == 0 {
		row.Errors = append(row.Errors, r.refused(&item)...)
	}
	if len(row.Errors) == 0 {
		row.Item = &item
	}
	return row
}

// furthest is how far from the front axle a thing may stand, mm.
const furthest = 20_000.0

// take puts what a cell says into an item.
func (r *itemReader) take(item *fitout.Item, i int, text string) error {
	var err error
	read := func(kind quantity.Kind) (value float64) {
		value, err = r.quantity(i, text, kind)
		return value
	}
	level := func() *fitout.Level {
		if item.Presence.Level == nil {
			item.Presence.Level = &fitout.Level{Density: 1}
		}
		return item.Presence.Level
	}
	switch r.columns[i] {
	case colName:
		item.Name = fromPlain(text)
	case colGroup:
		item.Group = fromPlain(text)
	case colNote:
		item.Note = fromPlain(text)
	case colTows:
		item.OnTrailer = strings.EqualFold(text, "yes")
	case colBehind:
		item.Behind = strings.EqualFold(text, "yes")
	case colMass:
		item.Mass = read(quantity.Mass)
	case colX:
		x := r.job.Vehicle.FromDatum(r.job.Datum, read(quantity.Length))
		// What adding and taking off the datum leaves behind the point is no measure, nor is it beyond the range.
		item.At.X = math.Round(x*1e6) / 1e6
		if beyond := math.Abs(item.At.X) - furthest; beyond > 0 && beyond < 1e-4 {
			item.At.X = math.Copysign(furthest, x)
		}
	case colY:
		item.At.Y = read(quantity.Length)
	case colZ:
		item.At.Z = read(quantity.Length)
	case colLong:
		item.Size.Length = read(quantity.Length)
	case colWide:
		item.Size.Width = read(quantity.Length)
	case colTall:
		item.Size.Height = read(quantity.Length)
	case colSource:
		item.Source = fitout.MassSource(strings.ReplaceAll(strings.ToLower(text), " ", "-"))
	case colForm:
		item.Form = fitout.Form(strings.ToLower(text))
	case colSubstance:
		item.Substance = fitout.Substance(strings.ToLower(text))
	case colPresent:
		err = r.present(item, text)
	case colSeat:
		item.Seat, err = r.seat(text)
	case colNow:
		level().Now = read(quantity.Volume)
	case colLeast:
		level().Min = read(quantity.Volume)
	case colMost:
		level().Max = read(quantity.Volume)
	case colDensity:
		level().Density = read(quantity.Plain)
	}
	return err
}

// present reads when an item is aboard: always, by its content, with a switch or a choice's member, by name or id.
func (r *itemReader) present(item *fitout.Item, text string) error {
	kind, of, _ := strings.Cut(text, ":")
	of = strings.TrimSpace(of)
	v := r.job.ChosenVariant()
	var known []string
	switch strings.ToLower(strings.TrimSpace(kind)) {
	case "always":
		item.Presence.Kind = fitout.Always
		return nil
	case "content":
		item.Presence.Kind = fitout.ByLevel
		if item.Presence.Level == nil {
			item.Presence.Level = &fitout.Level{Density: 1}
		}
		return nil
	case "switch":
		for _, s := range v.Switches {
			if s.ID == of || s.Name == of {
				item.Presence.Kind, item.Presence.Switch = fitout.BySwitch, s.ID
				return nil
			}
			known = append(known, "switch: "+s.Name)
		}
	case "choice":
		for _, c := range v.Choices {
			for _, m := range c.Members {
				if of == c.ID+" / "+m.ID || of == c.Name+" / "+m.Name {
					item.Presence.Kind, item.Presence.Choice, item.Presence.Member = fitout.ByChoice, c.ID, m.ID
					return nil
				}
				known = append(known, "choice: "+c.Name+" / "+m.Name)
			}
		}
	}
	return fmt.Errorf("%q was given; accepted is always, content%s", text, listed(known))
}

// seat is the id of the seat that a cell names by name or id.
func (r *itemReader) seat(text string) (string, error) {
	text = fromPlain(text)
	var known []string
	for _, s := range r.job.Vehicle.Seats {
		if s.ID == text || s.Name == text {
			return s.ID, nil
		}
		known = append(known, s.Name)
	}
	return "", fmt.Errorf("%q was given; accepted is nothing%s", text, listed(known))
}

// listed are the first few things that are accepted too.
func listed(known []string) string {
	if len(known) == 0 {
		return ""
	}
	return ", or one of " + strings.Join(known[:min(len(known), 8)], ", ")
}

var (
	plainNumber  = regexp.MustCompile(`^-?[0-9]{1,15}(\.[0-9]+)?$`)
	decimalComma = regexp.MustCompile(`^-?[0-9]+,[0-9]+$`)
)

// quantity reads a cell; its own unit counts before the header's, and that
// before the job's.
func (r *itemReader) quantity(i int, text string, kind quantity.Kind) (float64, error) {
	if r.commas && decimalComma.MatchString(text) {
		text = strings.Replace(text, ",", ".", 1)
	}
	unit := r.units[i]
	if (unit == "kg" || unit == "mm" || unit == "l") && plainNumber.MatchString(text) {
		return strconv.ParseFloat(text, 64) // in the document's own unit a figure stays what it is
	}
	if unit != "" {
		if value, err := quantity.Parse("("+text+") "+unit, kind, quantity.System(r.job.Units)); err == nil {
			return value, nil
		}
	}
	return quantity.Parse(text, kind, quantity.System(r.job.Units))
}

// refused holds an item against the rules of the document, in the vehicle and with the switches of the job that it is
// read for, and returns what they refuse.
func (r *itemReader) refused(item *fitout.Item) []string {
	if r.trial == nil {
		trial := fitout.NewJob("trial", "trial", fitout.AustraliaNZ)
		v := r.job.ChosenVariant()
		trial.Vehicle.Seats = r.job.Vehicle.Seats
		trial.Variants[0].Switches, trial.Variants[0].Choices = v.Switches, v.Choices
		r.trial = &trial
	}
	probe := *item
	probe.ID = "item"
	r.trial.Variants[0].Items = []fitout.Item{probe}
	var problems fitout.Problems
	if !errors.As(fitout.Validate(r.trial), &problems) {
		return nil
	}
	sentences := []string{}
	for _, p := range problems {
		path, of := strings.CutPrefix(p.Path, "variants[0].items[0].")
		if !of {
			continue
		}
		p.Name, p.Path = "", path
		sentences = append(sentences, p.Error())
	}
	return sentences
}
