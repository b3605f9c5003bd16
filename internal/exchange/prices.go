package exchange

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"math"
	"slices"
	"strings"

	"github.com/xuri/excelize/v2"

	"zaino/internal/core/fitout"
)

// PriceRow is one line of a price list: a sheet, a bar or goods, or why it cannot become one.
type PriceRow struct {
	Line   int             `json:"line" doc:"line in the file, from 1"`
	Cells  []string        `json:"cells"`
	Sheet  *fitout.Sheet   `json:"sheet,omitempty"`
	Bar    *fitout.Profile `json:"bar,omitempty"`
	Goods  *fitout.Goods   `json:"goods,omitempty"`
	Known  bool            `json:"known" doc:"the list has it already, by its id; this one takes its place"`
	Errors []string        `json:"errors"`
}

// PricesRead is a price list as it was understood. Nothing is changed by it.
type PricesRead struct {
	Header []string   `json:"header"`
	Rows   []PriceRow `json:"rows"`
	Good   int        `json:"good" doc:"rows that can be taken"`
}

// MaxPrices is how many lines one price list may have.
const MaxPrices = 1000

// MaxPriceFile is how large one may be, bytes.
const MaxPriceFile = 4 << 20

// priceColumns are the columns of a price list, in mm, whole pieces, and the currency of the job.
var priceColumns = []string{
	"id",
	"what",
	"name",
	"material",
	"thickness",
	"length",
	"width",
	"pack",
	"price",
	"have",
	"more",
	"grain",
	"offcut",
	"measured",
	"place",
	"supplier",
	"number",
	"days",
}

// WritePrices writes stock and price list of a job as CSV that ReadPrices reads back.
func WritePrices(j *fitout.Job) ([]byte, error) {
	b := &j.Build
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	rows := [][]string{priceColumns}
	price := func(cents int) string {
		if cents == 0 {
			return ""
		}
		return exactly(float64(cents) / 100)
	}
	mm := func(value float64) string {
		if value == 0 {
			return ""
		}
		return exactly(value)
	}
	for _, s := range b.Sheets {
		rows = append(
			rows,
			[]string{
				s.ID,
				"sheet",
				plainText(s.Name),
				string(s.Of),
				mm(s.Thickness),
				mm(s.Length),
				mm(s.Width),
				"",
				price(s.Price),
				fmt.Sprint(
					s.Have,
				),
				yesNo(s.More),
				yesNo(s.Grained),
				yesNo(s.Offcut),
				mm(s.Measured),
				plainText(s.Place),
				plainText(s.Supply.From),
				plainText(s.Supply.Number),
				mm(s.Supply.Days),
			},
		)
	}
	for _, s := range b.Bars {
		rows = append(
			rows,
			[]string{
				s.ID,
				"bar",
				plainText(s.Name),
				"",
				"",
				mm(s.Length),
				"",
				"",
				price(s.Price),
				fmt.Sprint(s.Have),
				yesNo(s.More),
				"",
				"",
				"",
				plainText(s.Place),
				plainText(s.Supply.From),
				plainText(s.Supply.Number),
				mm(s.Supply.Days),
			},
		)
	}
	for _, g := range b.Goods {
		rows = append(
			rows,
			[]string{
				g.ID,
				string(g.What),
				plainText(g.Name),
				"",
				"",
				mm(g.Length),
				"",
				mm(g.Pack),
				price(g.Price),
				exactly(g.Have),
				"",
				"",
				"",
				"",
				"",
				plainText(g.Supply.From),
				plainText(g.Supply.Number),
				mm(g.Supply.Days),
			},
		)
	}
	err := w.WriteAll(rows)
	return out.Bytes(), err
}

// ReadPrices reads a price list and stock, as CSV or as the first sheet of a workbook. The first line names the
// columns in any order; what and name are needed. The job is only looked at for what it has already.
func ReadPrices(data []byte, j *fitout.Job) (PricesRead, error) {
	if len(data) > MaxPriceFile {
		return PricesRead{}, fmt.Errorf(
			"the file has more than %d MB; accepted is a price list up to that",
			MaxPriceFile>>20,
		)
	}
	text := string(data)
	if bytes.HasPrefix(data, []byte("PK")) {
		var err error
		if text, err = firstSheet(data); err != nil {
			return PricesRead{}, err
		}
	}
	reader, header, err := openCSV(text, "what and name")
	if err != nil {
		return PricesRead{}, err
	}
	columns := make([]string, len(header))
	for i, name := range header {
		word := strings.ToLower(strings.TrimSpace(name))
		if slices.Contains(priceColumns, word) && !slices.Contains(columns, word) {
			columns[i] = word
		}
	}
	out := PricesRead{Header: header, Rows: []PriceRow{}}
	if !slices.Contains(columns, "what") || !slices.Contains(columns, "name") {
		return out, fmt.Errorf("the header has %s; needed are what and name", strings.Join(header, ", "))
	}
	taken := map[string]bool{}
	err = eachRow(reader, MaxPrices, "lines", func(line int, cells []string) {
		row := priceRow(line, cells, columns, j, taken)
		if len(row.Errors) == 0 {
			out.Good++
		}
		out.Rows = append(out.Rows, row)
	})
	return out, err
}

// firstSheet is the first sheet of a workbook as CSV.
func firstSheet(data []byte) (string, error) {
	f, err := excelize.OpenReader(
		bytes.NewReader(data),
		excelize.Options{UnzipSizeLimit: 64 << 20, UnzipXMLSizeLimit: 16 << 20, RawCellValue: true},
	)
	if err != nil {
		return "", errors.New("the file is not a workbook that can be read; save it as XLSX or CSV and try again")
	}
	defer func() { _ = f.Close() }()
	names := f.GetSheetList()
	if len(names) == 0 {
		return "", errors.New("the workbook has no sheet; accepted is one with a header line")
	}
	rows, err := f.GetRows(names[0])
	if err != nil {
		return "", errors.New("the first sheet of the workbook cannot be read; save it as CSV and try again")
	}
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	if err := w.WriteAll(rows[:min(len(rows), MaxPrices+2)]); err != nil {
		return "", errors.New("the first sheet of the workbook cannot be read; save it as CSV and try again")
	}
	return out.String(), nil
}

// cellsOf reads the cells of one line by their column.
type cellsOf struct {
	at     map[string]string
	errors []string
}

func (c *cellsOf) text(name string) string { return unquoted(c.at[name]) }

// figure reads a number; an empty cell is 0.
func (c *cellsOf) figure(name string) float64 {
	if c.at[name] == "" {
		return 0
	}
	value, err := plainFigure(c.at[name])
	if err != nil {
		c.errors = append(c.errors, name+": "+err.Error())
	}
	return value
}

func (c *cellsOf) price() int {
	if c.at["price"] == "" {
		return 0
	}
	value := c.figure("price")
	if len(c.errors) == 0 && (value <= 0 || value > 1e9) {
		c.errors = append(
			c.errors,
			fmt.Sprintf("price: %q; accepted is more than 0, or an empty cell where it is not known", c.at["price"]),
		)
	}
	return int(math.Round(max(0, min(1e9, value)) * 100))
}

func (c *cellsOf) whole(name string) int {
	value := c.figure(name)
	if value != math.Trunc(value) || value < 0 || value > 10000 {
		c.errors = append(c.errors, fmt.Sprintf("%s: %q; accepted is a whole number up to 10000", name, c.at[name]))
		return 0
	}
	return int(value)
}

func (c *cellsOf) yes(name string) bool {
	switch strings.ToLower(c.at[name]) {
	case "yes", "y", "1", "x", "true":
		return true
	case "", "no", "n", "0", "false":
	default:
		c.errors = append(c.errors, fmt.Sprintf("%s: %q is neither yes nor no", name, c.at[name]))
	}
	return false
}

// idOf is the id of a line: its own, or one from its name.
func (c *cellsOf) id(taken map[string]bool) string {
	id := c.text("id")
	if id == "" {
		var made strings.Builder
		for _, r := range strings.ToLower(c.text("name")) {
			switch {
			case r >= 'a' && r <= 'z' || r >= '0' && r <= '9':
				made.WriteRune(r)
			case made.Len() > 0 && !strings.HasSuffix(made.String(), "-"):
				made.WriteByte('-')
			}
		}
		id = strings.Trim(made.String(), "-")
		id = id[:min(len(id), 50)]
		if id == "" {
			id = "line"
		}
	}
	own := id
	for n := 2; taken[own]; n++ {
		own = fmt.Sprintf("%s-%d", id, n)
	}
	taken[own] = true
	return own
}

func priceRow(line int, cells, columns []string, j *fitout.Job, taken map[string]bool) PriceRow {
	c := cellsOf{at: map[string]string{}}
	for i, name := range columns {
		if name != "" && i < len(cells) {
			c.at[name] = strings.TrimSpace(cells[i])
		}
	}
	row := PriceRow{Line: line, Cells: cells}
	id, supply := c.id(taken), fitout.Supply{From: c.text("supplier"), Number: c.text("number"), Days: c.figure("days")}
	trial := fitout.NewJob("trial", "trial", fitout.AustraliaNZ)
	prefix := ""
	switch what := strings.ToLower(c.at["what"]); what {
	case "sheet":
		s := fitout.Sheet{
			ID:        id,
			Name:      c.text("name"),
			Of:        fitout.Material(strings.ToLower(c.at["material"])),
			Thickness: c.figure("thickness"),
			Measured: c.figure(
				"measured",
			),
			Length:  c.figure("length"),
			Width:   c.figure("width"),
			Grained: c.yes("grain"),
			Price:   c.price(),
			Have:    c.whole("have"),
			More:    c.yes("more"),
			Offcut:  c.yes("offcut"),
			Place:   c.text("place"),
			Supply:  supply,
		}
		row.Sheet, prefix = &s, "build.sheets[0]."
		trial.Build.Sheets = []fitout.Sheet{s}
		row.Known = slices.ContainsFunc(j.Build.Sheets, func(o fitout.Sheet) bool { return o.ID == id })
	case "bar":
		b := fitout.Profile{
			ID:     id,
			Name:   c.text("name"),
			Length: c.figure("length"),
			Price:  c.price(),
			Have:   c.whole("have"),
			More:   c.yes("more"),
			Place:  c.text("place"),
			Supply: supply,
		}
		row.Bar, prefix = &b, "build.bars[0]."
		trial.Build.Bars = []fitout.Profile{b}
		row.Known = slices.ContainsFunc(j.Build.Bars, func(o fitout.Profile) bool { return o.ID == id })
	default:
		g := fitout.Goods{
			ID:     id,
			Name:   c.text("name"),
			What:   fitout.What(what),
			Length: c.figure("length"),
			Pack:   c.figure("pack"),
			Price:  c.price(),
			Have:   c.figure("have"),
			Supply: supply,
		}
		row.Goods, prefix = &g, "build.goods[0]."
		trial.Build.Goods = []fitout.Goods{g}
		row.Known = slices.ContainsFunc(j.Build.Goods, func(o fitout.Goods) bool { return o.ID == id })
	}
	row.Errors = append([]string{}, c.errors...)
	if len(row.Errors) == 0 {
		var problems fitout.Problems
		if errors.As(fitout.Validate(&trial), &problems) {
			for _, p := range problems {
				p.Name, p.Path = "", strings.TrimPrefix(p.Path, prefix)
				if p.Path == "what" {
					p.Accepted = "sheet, bar, or " + p.Accepted
				}
				row.Errors = append(row.Errors, p.Error())
			}
		}
	}
	if len(row.Errors) > 0 {
		row.Sheet, row.Bar, row.Goods = nil, nil, nil
	}
	return row
}
