package exchange

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"github.com/xuri/excelize/v2"

	"zaino/internal/core/build"
	"zaino/internal/core/cost"
	"zaino/internal/core/fitout"
)

// book is a workbook that is being written.
type book struct {
	f    *excelize.File
	err  error
	head int // style of the first row of every sheet
	body int // style of figures

	shown map[string]int // styles of figures with a unit, by their format
}

// newBook begins a workbook with its title.
func newBook(title string) *book {
	b := &book{f: excelize.NewFile(), shown: map[string]int{}}
	do := func(err error) {
		if b.err == nil {
			b.err = err
		}
	}
	do(b.f.SetDocProps(&excelize.DocProperties{Title: title, Creator: "Zaino", LastModifiedBy: "Zaino", Language: "en"}))
	do(b.f.SetAppProps(&excelize.AppProperties{Application: "Zaino"}))
	load := true
	do(b.f.SetCalcProps(&excelize.CalcPropsOptions{FullCalcOnLoad: &load}))
	var err error
	b.head, err = b.f.NewStyle(&excelize.Style{Font: &excelize.Font{Bold: true},
		Alignment: &excelize.Alignment{WrapText: true, Vertical: "top"},
		Border:    []excelize.Border{{Type: "bottom", Color: "1D2B2A", Style: 1}}})
	do(err)
	figures := "0.0##"
	b.body, err = b.f.NewStyle(&excelize.Style{CustomNumFmt: &figures})
	do(err)
	return b
}

// sheet adds a sheet whose first row is its head, which stays in sight; figures stay figures, and what is a formula a
// formula.
func (b *book) sheet(name string, wide float64, rows [][]any) {
	if b.err != nil {
		return
	}
	if _, b.err = b.f.NewSheet(name); b.err != nil {
		return
	}
	for i, row := range rows {
		for k, value := range row {
			cell, _ := excelize.CoordinatesToCellName(k+1, i+1)
			if b.put(name, cell, value); b.err != nil {
				return
			}
		}
	}
	if b.err = b.f.SetRowStyle(name, 1, 1, b.head); b.err != nil {
		return
	}
	if b.err = b.f.SetPanes(name, &excelize.Panes{Freeze: true, YSplit: 1, TopLeftCell: "A2", ActivePane: "bottomLeft"}); b.err != nil {
		return
	}
	b.err = b.f.SetColWidth(name, "A", "L", wide)
}

func (b *book) put(sheet, cell string, value any) {
	switch value := value.(type) {
	case formula:
		if b.err = b.f.SetCellFormula(sheet, cell, string(value)); b.err == nil {
			b.err = b.f.SetCellStyle(sheet, cell, cell, b.body)
		}
	case summed:
		if b.err = b.f.SetCellFormula(sheet, cell, string(value.formula)); b.err == nil {
			b.show(sheet, cell, value.decimals, value.unit)
		}
	case measure:
		if b.err = b.f.SetCellValue(sheet, cell, value.value); b.err == nil {
			b.show(sheet, cell, value.decimals, value.unit)
		}
	case float64:
		if b.err = b.f.SetCellValue(sheet, cell, value); b.err == nil && value != math.Trunc(value) {
			b.err = b.f.SetCellStyle(sheet, cell, cell, b.body)
		}
	default:
		b.err = b.f.SetCellValue(sheet, cell, value)
	}
}

// show shows a figure with decimals and a unit.
func (b *book) show(sheet, cell string, decimals int, unit string) {
	format := "0"
	if decimals > 0 {
		format += "." + strings.Repeat("0", decimals)
	}
	if unit != "" {
		format += "\"\u00a0" + unit + "\""
	}
	style, there := b.shown[format]
	if !there {
		if style, b.err = b.f.NewStyle(&excelize.Style{CustomNumFmt: &format}); b.err != nil {
			return
		}
		b.shown[format] = style
	}
	b.err = b.f.SetCellStyle(sheet, cell, cell, style)
}

// formula is a formula of a workbook.
type formula string

// summed is the formula of a sum, with how it is shown.
type summed struct {
	formula
	decimals int
	unit     string
}

// bytes ends a workbook. Formulas keep what they come to beside them, for who shows a workbook without working it out.
func (b *book) bytes() ([]byte, error) {
	defer func() { _ = b.f.Close() }()
	if b.err == nil {
		b.err = b.f.DeleteSheet("Sheet1")
	}
	if b.err != nil {
		return nil, b.err
	}
	for _, sheet := range b.f.GetSheetList() {
		rows, err := b.f.GetRows(sheet)
		if err != nil {
			return nil, err
		}
		for i := range rows {
			for k := range rows[i] {
				cell, _ := excelize.CoordinatesToCellName(k+1, i+1)
				if f, err := b.f.GetCellFormula(sheet, cell); err != nil || f == "" {
					continue
				} else if err := b.workOut(sheet, cell, f); err != nil {
					return nil, err
				}
			}
		}
	}
	out, err := b.f.WriteToBuffer()
	if err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

func (b *book) workOut(sheet, cell, f string) error {
	text, err := b.f.CalcCellValue(sheet, cell, excelize.Options{RawCellValue: true})
	if err != nil {
		return fmt.Errorf("%s, %s: %w", sheet, cell, err)
	}
	value, err := strconv.ParseFloat(text, 64)
	if err != nil {
		return fmt.Errorf("%s, %s comes to %q", sheet, cell, text)
	}
	if err := b.f.SetCellValue(sheet, cell, value); err != nil {
		return err
	}
	return b.f.SetCellFormula(sheet, cell, f)
}

// WriteBuildXLSX writes the build as a workbook: cut list, bars, purchase list, cost and steps, its figures as
// figures and its sums as formulas.
func WriteBuildXLSX(j *fitout.Job) ([]byte, error) {
	p, v := built(j)
	b := newBook(j.Name + ", build")
	cutSheet := [][]any{
		{
			"Part",
			"Panel",
			"Count",
			"Length mm",
			"Width mm",
			"Thick mm",
			"Material",
			"Grain",
			"Banded",
			"Area m²",
			"Marks",
		},
	}
	for _, r := range cutRows(&v) {
		n := len(cutSheet) + 1
		cutSheet = append(
			cutSheet,
			[]any{r.p.Of, r.p.Name, len(r.marks), r.p.CutLength, r.p.CutWidth, r.p.Thickness, string(r.p.Material),
				grainWords[r.p.Grain], banding(r.p), formula(fmt.Sprintf("C%d*D%d*E%d/1000000", n, n, n)), strings.Join(r.marks, " ")},
		)
	}
	n := len(cutSheet)
	cutSheet = append(
		cutSheet,
		[]any{"Together", "", formula(sumOf("C", n)), "", "", "", "", "", "", formula(sumOf("J", n))},
	)
	b.sheet("Cut list", 16, cutSheet)
	bars := [][]any{{"Bar", "Profile", "Where", "Length mm"}}
	for _, g := range v.Bars {
		for k, on := range g.Bars {
			for _, r := range on {
				bars = append(
					bars,
					[]any{k + 1, v.Rods[r].Mark, v.Rods[r].Of + ", " + v.Rods[r].Name, v.Rods[r].Length},
				)
			}
		}
	}
	n = len(bars)
	b.sheet("Bars", 22, append(bars, []any{"Together", "", "", formula(sumOf("D", n))}))
	b.sheet("Buy", 20, buyRows(&v))
	b.sheet("Cost", 22, costRows(&v, &p.Job.Build.Money))
	steps := [][]any{{"Day", "Date", "Step", "Minutes", "People", "Who", "Wait h", "Takes", "Waits for"}}
	for i := range v.Steps {
		s := &v.Steps[i]
		steps = append(
			steps,
			[]any{
				s.Day,
				s.Date,
				s.Title,
				s.Minutes,
				s.People,
				strings.Join(s.Makers, ", "),
				s.Wait,
				strings.Join(s.Takes, "; "),
				strings.Join(s.After, "; "),
			},
		)
	}
	n = len(steps)
	b.sheet("Steps", 18, append(steps, []any{"", "", "Hours", formula("SUM(D2:D" + strconv.Itoa(n) + ")/60")}))
	return b.bytes()
}

// sumOf is the formula of the sum of a column from its second to its last row.
func sumOf(column string, last int) string {
	if last < 2 {
		return "0"
	}
	return fmt.Sprintf("SUM(%s2:%s%d)", column, column, last)
}

func buyRows(v *build.BuildView) [][]any {
	rows := [][]any{{"What", "Needed", "Unit", "In stock", "Buy", "Of", "Supplier", "Number", "Days"}}
	for _, b := range v.Buy {
		rows = append(
			rows,
			[]any{b.Name, b.Needed, b.Unit, b.Have, b.Buy, b.Of, b.Supply.From, b.Supply.Number, b.Supply.Days},
		)
	}
	return rows
}

// costRows are the lines of the quote with formulas that add them up.
func costRows(v *build.BuildView, m *fitout.Money) [][]any {
	rows := [][]any{{"What", "Count", "Unit", "Each", "Sum"}}
	money := func(cents int) float64 { return float64(cents) / 100 }
	part := func(name string, lines []cost.CostLine) string {
		from := len(rows) + 1
		for _, l := range lines {
			rows = append(rows, []any{l.What, l.Count, l.Unit, money(l.Each), money(l.Sum)})
		}
		sum := "0"
		if len(lines) > 0 {
			sum = fmt.Sprintf("SUM(E%d:E%d)", from, len(rows))
		}
		rows = append(rows, []any{name, "", "", "", formula(sum)})
		return fmt.Sprintf("E%d", len(rows))
	}
	material, hardware, bought := part(
		"Material",
		v.Lines.Material,
	), part(
		"Hardware",
		v.Lines.Hardware,
	), part(
		"Bought",
		v.Lines.Bought,
	)
	work := part("Work", v.Lines.Work)
	round := func(f string) formula { return formula(fmt.Sprintf("ROUND(%s,%d)", f, m.Decimals)) }
	add := func(name string, f formula) string {
		rows = append(rows, []any{name, "", "", "", f})
		return fmt.Sprintf("E%d", len(rows))
	}
	parts := add(
		"Parts with mark-up",
		round(fmt.Sprintf("(%s+%s+%s)*(1+%s)", material, hardware, bought, exactly(m.MarkUp))),
	)
	net := add("Net", formula(parts+"+"+work))
	tax := add("Tax", round(net+"*"+exactly(m.Tax)))
	add("Total", formula(net+"+"+tax))
	return rows
}
