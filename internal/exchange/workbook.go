package exchange

import (
	"fmt"
	"strconv"
	"strings"

	"github.com/xuri/excelize/v2"

	"zaino/internal/core/build"
	"zaino/internal/core/cost"
	"zaino/internal/core/fitout"
)

// book is a workbook that is being written.
type book struct {
	f   *excelize.File
	err error
}

func newBook() *book { return &book{f: excelize.NewFile()} }

// sheet adds a sheet; figures stay figures, and what begins with "=" and is a formula a formula.
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
			if f, isFormula := value.(formula); isFormula {
				b.err = b.f.SetCellFormula(name, cell, string(f))
			} else {
				b.err = b.f.SetCellValue(name, cell, value)
			}
			if b.err != nil {
				return
			}
		}
	}
	b.err = b.f.SetColWidth(name, "A", "L", wide)
}

// formula is a formula of a workbook.
type formula string

func (b *book) bytes() ([]byte, error) {
	defer func() { _ = b.f.Close() }()
	if b.err == nil {
		b.err = b.f.DeleteSheet("Sheet1")
	}
	if b.err != nil {
		return nil, b.err
	}
	if err := b.f.UpdateLinkedValue(); err != nil {
		return nil, err
	}
	out, err := b.f.WriteToBuffer()
	if err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

// WriteBuildXLSX writes the build as a workbook: cut list, bars, purchase list, cost and steps, its figures as
// figures and its sums as formulas.
func WriteBuildXLSX(j *fitout.Job) ([]byte, error) {
	p, v := built(j)
	b := newBook()
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
