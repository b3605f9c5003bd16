package exchange

import (
	"context"
	"fmt"
	"strconv"
	"strings"

	"zaino/internal/core/build"
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
		key := fmt.Sprint(
			p.Module,
			p.Name,
			p.CutLength,
			p.CutWidth,
			p.Thickness,
			p.Grain,
			p.BandLong,
			p.BandShort,
			p.Holes,
			p.Drilled,
			p.Outline,
			p.Ends,
		)
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

// cutTables are the cut list and the bar list as tables of figures in the job's units.
func cutTables(v *build.BuildView, z sizes) []report.Table {
	list := report.Table{
		Name: "Cut list",
		Head: []string{
			"marks",
			"count",
			"part",
			"panel",
			"length " + z.unit(),
			"width " + z.unit(),
			"thick " + z.unit(),
			"material",
			"grain",
			"banded",
			"holes",
			"note",
		},
	}
	for _, r := range cutRows(v) {
		p := r.p
		var notes []string
		if p.Scribed {
			notes = append(notes, "fit by hand")
		}
		if len(p.Drilled) > 0 {
			notes = append(notes, fmt.Sprintf("%d screw holes", len(p.Drilled)))
		}
		switch {
		case len(p.Ends) > 0:
			notes = append(
				notes,
				fmt.Sprintf("tapered: %s high at the front, %s at the rear", z.say(p.Ends[0]), z.say(p.Ends[1])),
			)
		case len(p.Outline) > 0:
			notes = append(notes, "cut to shape: DXF or template")
		}
		list.Rows = append(
			list.Rows,
			[]string{strings.Join(r.marks, " "), strconv.Itoa(len(r.marks)), p.Of, p.Name, z.say(p.CutLength),
				z.say(
					p.CutWidth,
				), z.say(p.Thickness), string(p.Material), grainWords[p.Grain], banding(p), strconv.Itoa(len(p.Holes)), strings.Join(notes, "; ")},
		)
	}
	bars := report.Table{Name: "Bar list", Head: []string{"bar", "length " + z.unit(), "pieces", "left " + z.unit()}}
	for _, g := range v.Bars {
		for k, on := range g.Bars {
			left, pieces := g.Length, []string{}
			for _, r := range on {
				pieces = append(pieces, v.Rods[r].Mark+" "+z.say(v.Rods[r].Length))
				left -= v.Rods[r].Length
			}
			bars.Rows = append(
				bars.Rows,
				[]string{
					fmt.Sprintf("%s %d", g.Name, k+1),
					z.say(g.Length),
					strings.Join(pieces, ", "),
					z.say(max(0, left)),
				},
			)
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
			nuts.Rows = append(
				nuts.Rows,
				[]string{r.Mark, r.Of + ", " + r.Name, yesNo(r.Butts), strings.Join(all, "; ")},
			)
		}
	}
	return []report.Table{list, bars, nuts}
}

// sizes puts measures into the units of a job, as finely as they are cut: tenths of a mm, thousandths of an inch.
type sizes struct{ us bool }

func sizesOf(j *fitout.Job) sizes { return sizes{j.Units == fitout.US} }

func (z sizes) unit() string {
	if z.us {
		return "in"
	}
	return "mm"
}

func (z sizes) say(mm float64) string {
	if z.us {
		return strconv.FormatFloat(mm/25.4, 'f', 3, 64)
	}
	return strconv.FormatFloat(mm, 'f', 1, 64)
}

// WriteCutCSV writes the cut list as CSV: one line for panels that are the same.
func WriteCutCSV(j *fitout.Job) ([]byte, error) {
	_, v := built(j)
	return writeSheetCSV(&report.Sheet{Tables: cutTables(&v, sizesOf(j))[:1]})
}
