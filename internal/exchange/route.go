package exchange

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
)

// StopRow is one line of a CSV file of stops: a stop, or why it cannot become one.
type StopRow struct {
	Line   int               `json:"line" doc:"line in the file, from 1"`
	Cells  []string          `json:"cells"`
	Stop   *fitout.RouteStop `json:"stop,omitempty" doc:"missing when there are errors"`
	Errors []string          `json:"errors"`
}

// StopsRead is a CSV file of stops as it was understood. Nothing is changed by it.
type StopsRead struct {
	Header []string  `json:"header"`
	Rows   []StopRow `json:"rows"`
	Good   int       `json:"good" doc:"rows that can become stops"`
}

// stopColumn reads and writes one column of stops. Figures are in km, h, °C and degrees; prices in
// the currency of the job a litre.
type stopColumn struct {
	name  string
	write func(s *fitout.RouteStop) string
	read  func(s *fitout.RouteStop, text string) error
}

// stopColumns are the columns in the order in which they are written.
var stopColumns = []stopColumn{
	{"Stop", func(s *fitout.RouteStop) string { return plainText(s.Name) },
		func(s *fitout.RouteStop, text string) error { s.Name = unquoted(text); return nil }},
	figure("km", func(s *fitout.RouteStop) *float64 { return &s.Leg.Km }),
	figure("hours", func(s *fitout.RouteStop) *float64 { return &s.Leg.Hours }),
	figure("nights", func(s *fitout.RouteStop) *float64 { return &s.Nights }),
	{"sure", func(s *fitout.RouteStop) string { return string(s.Sure) }, func(s *fitout.RouteStop, text string) error {
		s.Sure = fitout.Sureness(text)
		return nil
	}},
	fuelColumn(fitout.Diesel), fuelColumn(fitout.Petrol),
	{"water", func(s *fitout.RouteStop) string { return string(s.Water) }, func(s *fitout.RouteStop, text string) error {
		s.Water = fitout.WaterHad(text)
		return nil
	}},
	flag("wash", func(s *fitout.RouteStop) *bool { return &s.Wash }), flag("gas", func(s *fitout.RouteStop) *bool { return &s.Gas }),
	flag("mains", func(s *fitout.RouteStop) *bool { return &s.Mains }), flag("food", func(s *fitout.RouteStop) *bool { return &s.Food }),
	flag("dump", func(s *fitout.RouteStop) *bool { return &s.Dump }), flag("shower", func(s *fitout.RouteStop) *bool { return &s.Shower }),
	{"closed", func(s *fitout.RouteStop) string {
		var days []string
		for _, c := range s.Closed {
			days = append(days, string(c.Day))
		}
		return strings.Join(days, " ")
	}, func(s *fitout.RouteStop, text string) error {
		for day := range strings.FieldsSeq(strings.ToLower(text)) {
			s.Closed = append(s.Closed, fitout.Closed{Day: fitout.Weekday(day)})
		}
		return nil
	}},
	{"surfaces", func(s *fitout.RouteStop) string {
		var all []string
		for _, of := range s.Leg.Surfaces {
			all = append(all, of.Surface+":"+exactly(of.Share))
		}
		return strings.Join(all, " ")
	}, func(s *fitout.RouteStop, text string) error {
		for word := range strings.FieldsSeq(text) {
			id, share, _ := strings.Cut(word, ":")
			percent, err := strconv.ParseFloat(share, 64)
			if err != nil {
				return fmt.Errorf("%q is not understood; accepted is such as sealed:60 gravel:40", word)
			}
			s.Leg.Surfaces = append(s.Leg.Surfaces, fitout.LegSurface{Surface: id, Share: percent})
		}
		return nil
	}},
	figure("wind", func(s *fitout.RouteStop) *float64 { return &s.Leg.Wind }),
	{"towing", func(s *fitout.RouteStop) string { return string(s.Leg.Towing) }, func(s *fitout.RouteStop, text string) error {
		s.Leg.Towing = fitout.LegTowing(text)
		return nil
	}},
	figure("idle", func(s *fitout.RouteStop) *float64 { return &s.Leg.Idle }),
	{"cold", func(s *fitout.RouteStop) string {
		if s.Cold == nil {
			return ""
		}
		return exactly(s.Cold.Night)
	}, func(s *fitout.RouteStop, text string) error {
		value, err := plainFigure(text)
		s.Cold = &fitout.Cold{Night: value}
		return err
	}},
	placeColumn("latitude", func(p *fitout.Place) *float64 { return &p.Latitude }),
	placeColumn("longitude", func(p *fitout.Place) *float64 { return &p.Longitude }),
	{"note", func(s *fitout.RouteStop) string { return plainText(s.Note) },
		func(s *fitout.RouteStop, text string) error { s.Note = unquoted(text); return nil }},
}

func exactly(value float64) string { return strconv.FormatFloat(value, 'f', -1, 64) }

// plainFigure reads a number with a point or a comma.
func plainFigure(text string) (float64, error) {
	value, err := strconv.ParseFloat(strings.Replace(strings.TrimSpace(text), ",", ".", 1), 64)
	if err != nil || math.IsNaN(value) || math.IsInf(value, 0) {
		return 0, fmt.Errorf("%q is not a number", text)
	}
	return value, nil
}

// unquoted takes off what plainText put before a text.
func unquoted(text string) string {
	if len(text) > 1 && text[0] == '\'' && strings.ContainsRune("=+-@\t\r", rune(text[1])) {
		return text[1:]
	}
	return text
}

func figure(name string, of func(*fitout.RouteStop) *float64) stopColumn {
	return stopColumn{name, func(s *fitout.RouteStop) string {
		if *of(s) == 0 {
			return ""
		}
		return exactly(*of(s))
	}, func(s *fitout.RouteStop, text string) (err error) {
		*of(s), err = plainFigure(text)
		return err
	}}
}

func flag(name string, of func(*fitout.RouteStop) *bool) stopColumn {
	return stopColumn{name, func(s *fitout.RouteStop) string { return yesNo(*of(s)) },
		func(s *fitout.RouteStop, text string) error {
			switch strings.ToLower(text) {
			case "yes", "y", "1", "x":
				*of(s) = true
			case "no", "n", "0":
			default:
				return fmt.Errorf("%q is neither yes nor no", text)
			}
			return nil
		}}
}

// fuelColumn has the price of a fuel, "yes" where it is had at a price that nobody knows.
func fuelColumn(fuel fitout.Fuel) stopColumn {
	return stopColumn{string(fuel), func(s *fitout.RouteStop) string {
		for _, f := range s.Fuels {
			if f.Fuel == fuel && f.Price == 0 {
				return "yes"
			}
			if f.Fuel == fuel {
				return exactly(float64(f.Price) / 10000)
			}
		}
		return ""
	}, func(s *fitout.RouteStop, text string) error {
		had := fitout.FuelHad{Fuel: fuel}
		switch strings.ToLower(text) {
		case "no":
			return nil
		case "yes", "y", "x":
		default:
			price, err := plainFigure(text)
			if err != nil {
				return fmt.Errorf("%q is neither yes, no nor a price of a litre", text)
			}
			had.Price = int(math.Round(max(-1, min(1e6, price)) * 10000))
		}
		s.Fuels = append(s.Fuels, had)
		return nil
	}}
}

func placeColumn(name string, of func(*fitout.Place) *float64) stopColumn {
	return stopColumn{name, func(s *fitout.RouteStop) string {
		if s.Place == nil {
			return ""
		}
		return exactly(*of(s.Place))
	}, func(s *fitout.RouteStop, text string) (err error) {
		if s.Place == nil {
			s.Place = &fitout.Place{}
		}
		*of(s.Place), err = plainFigure(text)
		return err
	}}
}

// MaxStops is how many stops one CSV file may bring.
const MaxStops = 200

// ReadStops reads stops from CSV text. The first line names the columns in any order; stop and km
// are needed. What a cell leaves empty is not said.
func ReadStops(text string) (StopsRead, error) {
	reader, header, err := openCSV(text, "stop and km")
	if err != nil {
		return StopsRead{}, err
	}
	columns := make([]*stopColumn, len(header))
	for i, name := range header {
		word := strings.ToLower(strings.TrimSpace(name))
		for k := range stopColumns {
			if c := &stopColumns[k]; strings.ToLower(c.name) == word && !slices.Contains(columns, c) {
				columns[i] = c
			}
		}
	}
	out := StopsRead{Header: header, Rows: []StopRow{}}
	if !slices.Contains(columns, &stopColumns[0]) || !slices.Contains(columns, &stopColumns[1]) {
		return out, fmt.Errorf("the header has %s; needed are stop and km", strings.Join(header, ", "))
	}
	err = eachRow(reader, MaxStops, "stops", func(line int, cells []string) {
		row := stopRow(line, cells, columns, len(out.Rows)+1)
		if row.Stop != nil {
			out.Good++
		}
		out.Rows = append(out.Rows, row)
	})
	return out, err
}

func stopRow(line int, cells []string, columns []*stopColumn, n int) StopRow {
	row := StopRow{Line: line, Cells: cells, Errors: []string{}}
	s := fitout.NewStop(fmt.Sprint("stop-", n), "")
	for i, c := range columns {
		if c == nil || i >= len(cells) || strings.TrimSpace(cells[i]) == "" {
			continue
		}
		if err := c.read(&s, strings.TrimSpace(cells[i])); err != nil {
			row.Errors = append(row.Errors, fmt.Sprintf("%s: %v", c.name, err))
		}
	}
	if len(row.Errors) == 0 {
		trial := fitout.NewJob("trial", "trial", fitout.AustraliaNZ)
		trial.Route.Stops = []fitout.RouteStop{s}
		var problems fitout.Problems
		if errors.As(fitout.Validate(&trial), &problems) {
			for _, p := range problems {
				p.Name, p.Path = "", strings.TrimPrefix(p.Path, "route.stops[0].")
				row.Errors = append(row.Errors, p.Error())
			}
		}
	}
	if len(row.Errors) == 0 {
		row.Stop = &s
	}
	return row
}

// WriteStops writes the stops of a job as CSV that ReadStops reads back.
func WriteStops(j *fitout.Job) ([]byte, error) {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	row := make([]string, len(stopColumns))
	for i := range stopColumns {
		row[i] = stopColumns[i].name
	}
	if err := w.Write(row); err != nil {
		return nil, err
	}
	for k := range j.Route.Stops {
		for i := range stopColumns {
			row[i] = stopColumns[i].write(&j.Route.Stops[k])
		}
		if err := w.Write(row); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return out.Bytes(), w.Error()
}

// WriteRangeXLSX writes what the customer carries along of the trip as a workbook.
func WriteRangeXLSX(j *fitout.Job) ([]byte, error) {
	s := report.RangeSheetOf(j)
	return writeSheetXLSX(&s)
}

// WriteRangePDF writes it as pages.
func WriteRangePDF(j *fitout.Job) ([]byte, error) {
	s := report.RangeSheetOf(j)
	return writeSheetPDF(&s, noPicture)
}
