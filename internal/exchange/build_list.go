package exchange

import (
	"bytes"
	"context"
	"fmt"
	"strconv"
	"strings"

	"codeberg.org/go-pdf/fpdf"
	"github.com/xuri/excelize/v2"

	"zaino/internal/core/build"
	"zaino/internal/core/cost"
	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
)

// built is the whole build of a job as it goes out, its sheets laid out as well as it gets.
func built(j *fitout.Job) (*plan.Plan, build.BuildView) {
	p := plan.Of(j)
	return p, build.ViewOf(context.Background(), p, cut.Thorough, nil)
}

// cutRow is one line of the cut list: panels that are the same.
type cutRow struct {
	p     *build.CutPanel
	marks []string
}

// cutRows gathers panels of a module that are the same, in the order of the list.
func cutRows(v *build.BuildView) []cutRow {
	var rows []cutRow
	at := map[string]int{}
	for i := range v.Panels {
		p := &v.Panels[i]
		if !p.Here {
			continue
		}
		key := fmt.Sprint(p.Module, p.Name, p.CutLength, p.CutWidth, p.Thickness, p.Grain, p.BandLong, p.BandShort, p.Holes)
		k, known := at[key]
		if !known {
			k = len(rows)
			at[key], rows = k, append(rows, cutRow{p: p})
		}
		rows[k].marks = append(rows[k].marks, p.Mark)
	}
	return rows
}

// banding is which edges of a panel are banded, in words.
func banding(p *build.CutPanel) string {
	var all []string
	if p.BandLong > 0 {
		all = append(all, fmt.Sprintf("%d long", p.BandLong))
	}
	if p.BandShort > 0 {
		all = append(all, fmt.Sprintf("%d short", p.BandShort))
	}
	return strings.Join(all, ", ")
}

var grainWords = map[fitout.Grain]string{fitout.GrainAlong: "along", fitout.GrainAcross: "across"}

// cutTables are the cut list and the bar list as tables of figures in mm.
func cutTables(v *build.BuildView) []report.Table {
	list := report.Table{Name: "Cut list", Head: []string{"marks", "count", "part", "panel", "length mm", "width mm", "thick mm", "material",
		"grain", "banded", "holes", "note"}}
	for _, r := range cutRows(v) {
		p, note := r.p, ""
		if p.Scribed {
			note = "fit by hand"
		}
		list.Rows = append(list.Rows, []string{strings.Join(r.marks, " "), strconv.Itoa(len(r.marks)), p.Of, p.Name, tenths(p.CutLength),
			tenths(p.CutWidth), tenths(p.Thickness), string(p.Material), grainWords[p.Grain], banding(p), strconv.Itoa(len(p.Holes)), note})
	}
	bars := report.Table{Name: "Bar list", Head: []string{"bar", "length mm", "pieces", "left mm"}}
	for _, g := range v.Bars {
		for k, on := range g.Bars {
			left, pieces := g.Length, []string{}
			for _, r := range on {
				pieces = append(pieces, v.Rods[r].Mark+" "+tenths(v.Rods[r].Length))
				left -= v.Rods[r].Length
			}
			bars.Rows = append(bars.Rows, []string{fmt.Sprintf("%s %d", g.Name, k+1), tenths(g.Length), strings.Join(pieces, ", "), tenths(max(0, left))})
		}
	}
	nuts := report.Table{Name: "Slot nuts", Head: []string{"profile", "where", "closed by others", "nuts"}}
	for i := range v.Rods {
		r := &v.Rods[i]
		var all []string
		for _, n := range r.Nuts {
			all = append(all, fmt.Sprintf("%d for %s", n.Count, n.For))
		}
		if len(all) > 0 {
			nuts.Rows = append(nuts.Rows, []string{r.Mark, r.Of + ", " + r.Name, yesNo(r.Butts), strings.Join(all, "; ")})
		}
	}
	return []report.Table{list, bars, nuts}
}

func tenths(mm float64) string { return strconv.FormatFloat(mm, 'f', 1, 64) }

// WriteCutCSV writes the cut list as CSV: one line for panels that are the same.
func WriteCutCSV(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	return writeSheetCSV(&report.Sheet{Tables: cutTables(&v)[:1]})
}

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
	cutSheet := [][]any{{"Part", "Panel", "Count", "Length mm", "Width mm", "Thick mm", "Material", "Grain", "Banded", "Area m²", "Marks"}}
	for _, r := range cutRows(&v) {
		n := len(cutSheet) + 1
		cutSheet = append(cutSheet, []any{r.p.Of, r.p.Name, len(r.marks), r.p.CutLength, r.p.CutWidth, r.p.Thickness, string(r.p.Material),
			grainWords[r.p.Grain], banding(r.p), formula(fmt.Sprintf("C%d*D%d*E%d/1000000", n, n, n)), strings.Join(r.marks, " ")})
	}
	n := len(cutSheet)
	cutSheet = append(cutSheet, []any{"Together", "", formula(sumOf("C", n)), "", "", "", "", "", "", formula(sumOf("J", n))})
	b.sheet("Cut list", 16, cutSheet)
	bars := [][]any{{"Bar", "Profile", "Where", "Length mm"}}
	for _, g := range v.Bars {
		for k, on := range g.Bars {
			for _, r := range on {
				bars = append(bars, []any{k + 1, v.Rods[r].Mark, v.Rods[r].Of + ", " + v.Rods[r].Name, v.Rods[r].Length})
			}
		}
	}
	n = len(bars)
	b.sheet("Bars", 22, append(bars, []any{"Together", "", "", formula(sumOf("D", n))}))
	b.sheet("Buy", 20, buyRows(p, &v))
	b.sheet("Cost", 22, costRows(&v, &p.Job.Build.Money))
	steps := [][]any{{"Day", "Date", "Step", "Minutes", "People", "Who", "Wait h", "Takes", "Waits for"}}
	for i := range v.Steps {
		s := &v.Steps[i]
		steps = append(steps, []any{s.Day, s.Date, s.Title, s.Minutes, s.People, strings.Join(s.Makers, ", "), s.Wait, strings.Join(s.Takes, "; "),
			strings.Join(s.After, "; ")})
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

// supplyOf is where something comes from, by the id of its goods, sheet or bar.
func supplyOf(b *fitout.Build, id string) fitout.Supply {
	for i := range b.Goods {
		if b.Goods[i].ID == id {
			return b.Goods[i].Supply
		}
	}
	for i := range b.Sheets {
		if b.Sheets[i].ID == id {
			return b.Sheets[i].Supply
		}
	}
	for i := range b.Bars {
		if b.Bars[i].ID == id {
			return b.Bars[i].Supply
		}
	}
	return fitout.Supply{}
}

// Buy is one line of the purchase list.
type Buy struct {
	Name   string
	Needed float64
	Unit   string
	Have   float64
	Buy    int
	Of     string // what is bought: packs, sheets, bars
	Supply fitout.Supply
}

// buys is the purchase list: sheets, bars, hardware, whole parts.
func buys(p *plan.Plan, v *build.BuildView) []Buy {
	b := &p.Job.Build
	var all []Buy
	for _, g := range v.Groups {
		for _, k := range g.Kinds {
			all = append(all, Buy{k.Name, float64(k.Used), "sheets", float64(k.Used - k.Buy), k.Buy, "sheets", supplyOf(b, k.Sheet)})
		}
	}
	for _, g := range v.Bars {
		n := len(g.Bars)
		all = append(all, Buy{g.Name, float64(n), "bars", float64(n - g.Buy), g.Buy, "bars", supplyOf(b, g.Bar)})
	}
	for _, n := range v.Hardware {
		all = append(all, Buy{n.Name, n.Count, n.Unit, n.Have, n.Packs, "packs", supplyOf(b, n.Goods)})
	}
	for i := range v.Parts {
		if m := &v.Parts[i]; m.How == fitout.MadeBought || m.How == fitout.MadeOut {
			all = append(all, Buy{m.Name, 1, "pieces", 0, 1, "pieces", build.WayOf(&p.Items[p.Index(m.ID)]).Supply})
		}
	}
	return all
}

func buyRows(p *plan.Plan, v *build.BuildView) [][]any {
	rows := [][]any{{"What", "Needed", "Unit", "In stock", "Buy", "Of", "Supplier", "Number", "Days"}}
	for _, b := range buys(p, v) {
		rows = append(rows, []any{b.Name, b.Needed, b.Unit, b.Have, b.Buy, b.Of, b.Supply.From, b.Supply.Number, b.Supply.Days})
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
	material, hardware, bought := part("Material", v.Lines.Material), part("Hardware", v.Lines.Hardware), part("Bought", v.Lines.Bought)
	work := part("Work", v.Lines.Work)
	round := func(f string) formula { return formula(fmt.Sprintf("ROUND(%s,%d)", f, m.Decimals)) }
	add := func(name string, f formula) string {
		rows = append(rows, []any{name, "", "", "", f})
		return fmt.Sprintf("E%d", len(rows))
	}
	parts := add("Parts with mark-up", round(fmt.Sprintf("(%s+%s+%s)*(1+%s)", material, hardware, bought, exactly(m.MarkUp))))
	net := add("Net", formula(parts+"+"+work))
	tax := add("Tax", round(net+"*"+exactly(m.Tax)))
	add("Total", formula(net+"+"+tax))
	return rows
}

// WriteCutPDF writes the cut list, the bars, and every sheet with the order of its cuts as pages.
func WriteCutPDF(j *fitout.Job) ([]byte, error) {
	p, v := built(j)
	s := report.Sheet{Job: j.Name, Customer: j.Customer, Variant: p.Variant.Name, Subject: "cut list",
		About: fmt.Sprintf("%d panels; sizes in mm, banding taken off", len(v.Panels)), Tables: cutTables(&v),
		Cautions: []string{"Measure the first panel of each size before the rest is cut. Guard, eyes, ears and dust."}}
	return writeSheetPDF(&s, noPicture, func(pdf *fpdf.Fpdf, text func(string) string) {
		n := 0
		for g := range v.Groups {
			for k := range v.Groups[g].Sheets {
				n++
				sheetPage(pdf, text, &v, &v.Groups[g].Sheets[k], n)
			}
		}
	})
}

// sheetPage draws one sheet with its pieces and the order of its cuts on a page of its own.
func sheetPage(pdf *fpdf.Fpdf, text func(string) string, v *build.BuildView, s *build.SheetCut, n int) {
	pdf.AddPage()
	pdf.SetFont(sans, "B", 12)
	pdf.MultiCell(0, 6, text(fmt.Sprintf("Sheet %d: %s, %.0f × %.0f", n, s.Name, s.Length, s.Width)), "", "L", false)
	pdf.SetFont(sans, "", 8)
	about := fmt.Sprintf("%d pieces, %.0f %% used", len(s.Pieces), 100*s.Used)
	if s.Trim > 0 {
		about += fmt.Sprintf("; first %.0f mm off every edge", s.Trim)
	}
	if s.Place != "" {
		about += "; kept in " + s.Place
	}
	pdf.MultiCell(0, 5, text(about), "", "L", false)
	x0, y0 := pdf.GetX(), pdf.GetY()+2
	scale := min(pageWidth/s.Length, 110/s.Width)
	pdf.SetLineWidth(0.3)
	pdf.Rect(x0, y0, s.Length*scale, s.Width*scale, "D")
	pdf.SetLineWidth(0.15)
	for _, q := range s.Pieces {
		p := &v.Panels[q.Panel]
		pdf.SetFillColor(236, 231, 220)
		pdf.Rect(x0+q.X*scale, y0+q.Y*scale, q.Length*scale, q.Width*scale, "FD")
		high := min(3.2, q.Width*scale/2.4)
		pdf.SetFont(sans, "B", high*2.4)
		label := text(p.Mark)
		if pdf.GetStringWidth(label) < q.Length*scale-1 {
			pdf.Text(x0+q.X*scale+0.8, y0+q.Y*scale+high, label)
		}
		size := text(fmt.Sprintf("%s  %s × %s", p.Name, tenths(q.Length), tenths(q.Width)))
		pdf.SetFont(sans, "", high*2)
		if pdf.GetStringWidth(size) < q.Length*scale-1 && q.Width*scale > 2.3*high {
			pdf.Text(x0+q.X*scale+0.8, y0+q.Y*scale+2.1*high, size)
		}
	}
	pdf.SetDrawColor(176, 58, 46)
	pdf.SetTextColor(176, 58, 46)
	pdf.SetFont(sans, "B", 6)
	for k, c := range s.Cuts {
		x, y := x0+c.X*scale, y0+c.Y*scale
		to := [2]float64{x, y + c.Length*scale}
		if c.Rip {
			to = [2]float64{x + c.Length*scale, y}
		}
		pdf.Line(x, y, to[0], to[1])
		pdf.Text((x+to[0])/2+0.4, (y+to[1])/2-0.3, strconv.Itoa(k+1))
	}
	pdf.SetDrawColor(0, 0, 0)
	pdf.SetTextColor(0, 0, 0)
	pdf.SetXY(x0, y0+s.Width*scale+4)
	pdf.SetFont(sans, "", 8)
	var order []string
	for k, c := range s.Cuts {
		way, at := "across at", c.X
		if c.Rip {
			way, at = "along at", c.Y
		}
		order = append(order, fmt.Sprintf("%d %s %s", k+1, way, tenths(at)))
	}
	pdf.MultiCell(0, 4.2, text("Cuts in their order, from the corner at the top left: "+strings.Join(order, "; ")+"."), "", "L", false)
	for _, r := range s.Rests {
		pdf.MultiCell(0, 4.2, text(fmt.Sprintf("Keep: %s × %s", tenths(r.Length), tenths(r.Width))), "", "L", false)
	}
}

// WriteSheetsSVG writes every sheet as one picture, 1:10.
func WriteSheetsSVG(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	const scale, gap, letter = 0.1, 20.0, 5.0
	var out bytes.Buffer
	wide, high := 0.0, gap
	for _, g := range v.Groups {
		for k := range g.Sheets {
			wide = max(wide, g.Sheets[k].Length*scale)
			high += g.Sheets[k].Width*scale + gap
		}
	}
	fmt.Fprintf(&out, `<svg xmlns="http://www.w3.org/2000/svg" width="%.1fmm" height="%.1fmm" viewBox="0 0 %.1f %.1f" font-family="sans-serif">`+"\n",
		wide+2*gap, high, wide+2*gap, high)
	y := gap
	for _, g := range v.Groups {
		for k := range g.Sheets {
			s := &g.Sheets[k]
			fmt.Fprintf(&out, `<text x="%.1f" y="%.1f" font-size="%.1f">%s</text>`+"\n", gap, y-2, letter, escaped(s.Name))
			fmt.Fprintf(&out, `<rect x="%.2f" y="%.2f" width="%.2f" height="%.2f" fill="none" stroke="#000"/>`+"\n", gap, y, s.Length*scale, s.Width*scale)
			for _, q := range s.Pieces {
				fmt.Fprintf(&out, `<rect x="%.2f" y="%.2f" width="%.2f" height="%.2f" fill="#ece7dc" stroke="#000" stroke-width="0.3"/>`+"\n",
					gap+q.X*scale, y+q.Y*scale, q.Length*scale, q.Width*scale)
				fmt.Fprintf(&out, `<text x="%.2f" y="%.2f" font-size="3">%s</text>`+"\n", gap+q.X*scale+1, y+q.Y*scale+4, escaped(v.Panels[q.Panel].Mark))
			}
			y += s.Width*scale + gap
		}
	}
	out.WriteString("</svg>\n")
	return out.Bytes(), nil
}
