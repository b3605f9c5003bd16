package build

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

// panelTooLarge stops a panel that lies on no sheet of its material, and cautions of one that would if its grain
// did not matter.
func panelTooLarge(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Groups {
		g := &l.Groups[k]
		for i, at := range g.Pieces {
			c, p := g.cuts[i], &l.List.Panels[at]
			if g.lies(&c) || g.useless() {
				continue
			}
			f := about("panel-too-large", fitout.Stop, p.Module)
			f.With, f.Waivable = []string{p.Mark}, false
			f.Title = fmt.Sprintf("%s of %s is larger than any sheet", words.Capital(p.Name), words.Lower(p.Of))
			length, width := g.largest()
			f.Sentence = fmt.Sprintf(
				"It is %s × %s; the largest sheet of %s %s has %s × %s inside its trimmed edges. Make it of two, or "+
					"put a larger sheet on the list.",
				l.Say.Length(p.CutLength),
				l.Say.Length(p.CutWidth),
				materialName[p.Material],
				l.fine(p.Thickness),
				l.Say.Length(length),
				l.Say.Length(width),
			)
			f.Over(p.CutLength, length, "mm")
			free := cut.Piece{Length: c.Length, Width: c.Width, Turn: true}
			if !c.Turn && g.lies(&free) {
				f.Rule, f.Severity, f.Waivable = "grain-not-kept", fitout.Caution, true
				f.Title = fmt.Sprintf("Grain of %s cannot be kept", words.Lower(p.Name))
				f.Sentence = fmt.Sprintf(
					"%s of %s lies on the sheet only across its grain. Let the grain run free, or make it of two.",
					words.Capital(p.Name),
					words.Lower(p.Of),
				)
			}
			f.Margin = -1
			found = append(found, f)
		}
	}
	return found
}

// materialName is what materials are called.
var materialName = map[fitout.Material]string{fitout.Plywood: "plywood", fitout.Aluminium: "aluminium",

	fitout.Extrusion: "panel for profile", fitout.FoamCore: "foam core"}

func (g *CutGroup) lies(p *cut.Piece) bool {
	return slices.ContainsFunc(g.stock, func(s cut.Stock) bool {
		return s.Count != 0 &&
			(p.Length <= s.Length+0.01 && p.Width <= s.Width+0.01 || p.Turn && p.Width <= s.Length+0.01 && p.Length <= s.Width+0.01)
	})
}

func (g *CutGroup) largest() (length, width float64) {
	for _, s := range g.stock {
		if s.Count != 0 && s.Length*s.Width > length*width {
			length, width = s.Length, s.Width
		}
	}
	return length, width
}

// useless tells whether no sheet of a group has anything inside its trimmed edges.
func (g *CutGroup) useless() bool {
	return !slices.ContainsFunc(g.stock, func(s cut.Stock) bool { return s.Length > 0 && s.Width > 0 })
}

// sheetUseless cautions of a sheet of which the trimmed edges leave nothing, and stops where no other is there.
func sheetUseless(l *Look) []fitout.Finding {
	var found []fitout.Finding
	b := &l.Job.Build
	for k := range b.Sheets {
		s := &b.Sheets[k]
		if s.Offcut || min(s.Length, s.Width) > 2*b.Shop.Trim {
			continue
		}
		f := about("sheet-too-small", fitout.Caution, "")
		f.With = []string{s.ID}
		f.Title = s.Name + " has nothing inside its edges"
		f.Sentence = fmt.Sprintf(
			"It is %s wide, and %s are cut off each edge. Enter it as an offcut, whose edges are cut already.",
			l.Say.Length(min(s.Length, s.Width)),
			l.Say.Length(b.Shop.Trim),
		)
		f.Under(min(s.Length, s.Width), 2*b.Shop.Trim, "mm")
		f.Margin = min(f.Margin, -1)
		found = append(found, f)
	}
	return found
}

// sheetMissing notes a material of which no sheet is on the list.
func sheetMissing(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Groups {
		g := &l.Groups[k]
		if !g.Assumed || len(l.Job.Build.Sheets) == 0 {
			continue // nobody has begun a list
		}
		f := about("sheet-missing", fitout.Note, "")
		f.With = []string{string(g.Material), fmt.Sprint(g.Thickness)}
		f.Title = fmt.Sprintf("No sheet of %s %s on the list", materialName[g.Material], l.fine(g.Thickness))
		f.Sentence = fmt.Sprintf(
			"A sheet of %s × %s without a price is assumed for %d pieces. Add the one that is bought.",
			l.Say.Length(usualSheet.Length),
			l.Say.Length(usualSheet.Width),
			len(g.Pieces),
		)
		f.Margin = -1
		found = append(found, f)
	}
	return found
}

// stockShort stops where sheets that cannot be bought do not reach, by their area.
func stockShort(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.Groups {
		g := &l.Groups[k]
		have, more := 0.0, false
		for _, s := range g.stock {
			more = more || s.Count < 0
			have += float64(max(0, s.Count)) * s.Length * s.Width / 1e6
		}
		if more || g.Area <= have {
			continue
		}
		f := about("stock-short", fitout.Stop, "")
		f.With = []string{string(g.Material), fmt.Sprint(g.Thickness)}
		f.Title = fmt.Sprintf("Not enough %s %s", materialName[g.Material], l.fine(g.Thickness))
		f.Sentence = fmt.Sprintf(
			"The pieces have %s, the stock %s, and no sheet of it is marked as one that can be bought.",
			l.Say.Area(g.Area),
			l.Say.Area(have),
		)
		f.Under(have, g.Area, "m²")
		found = append(found, f)
	}
	return found
}

func (l *Look) made(id string) *Made {
	for k := range l.List.Made {
		if l.List.Made[k].ID == id {
			return &l.List.Made[k]
		}
	}
	return nil
}

// runnerNone stops a drawer that is shorter than any runner.
func runnerNone(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.List.Made {
		m := &l.List.Made[k]
		for _, r := range m.anatomy.Runners {
			if m.How != fitout.MadeHere || module.StandardRunner(l.Job.Build.Runners, r.Depth).Length > 0 {
				continue
			}
			least := math.Inf(1)
			for _, s := range l.Job.Build.Runners {
				least = min(least, s.Length)
			}
			f := about("runner-none", fitout.Stop, m.ID)
			f.With = []string{r.Cell}
			f.Title = "No runner is as short as the drawer of " + words.Lower(m.Name)
			f.Sentence = fmt.Sprintf(
				"The drawer is %s long; the shortest runner on the list has %s.",
				l.Say.Length(r.Depth),
				l.Say.Length(least),
			)
			if math.IsInf(least, 1) {
				f.Sentence, least = "No length of runner is on the workshop's list.", 0
			}
			f.Under(r.Depth, least, "mm")
			f.Margin = min(f.Margin, -1)
			found = append(found, f)
			break
		}
	}
	return found
}

// runnerTravel cautions where the drawer is planned to come out further than its runner does.
func runnerTravel(l *Look) []fitout.Finding {
	return l.each(func(m *Made) *fitout.Finding {
		for _, r := range m.anatomy.Runners {
			s := module.StandardRunner(l.Job.Build.Runners, r.Depth)
			out := cmp.Or(m.item.Module.Travel, r.Depth)
			if m.How != fitout.MadeHere || s.Travel == 0 || out <= s.Travel+touching {
				continue
			}
			f := about("runner-travel", fitout.Caution, m.ID)
			f.With = []string{r.Cell}
			f.Title = "Runners of " + words.Lower(m.Name) + " come out less than is planned"
			f.Sentence = fmt.Sprintf(
				"Its runners are %s long and come out %s, %s less than is planned. Enter %s as how far it comes out, or take runners that come out further.",
				l.Say.Length(s.Length),
				l.Say.Length(s.Travel),
				l.Say.Length(out-s.Travel),
				l.Say.Length(s.Travel),
			)
			f.Over(out, s.Travel, "mm")
			return &f
		}
		return nil
	})
}

// drawerWide cautions where sheets measure thicker than they are sold: the drawer then is wider than its room.
func drawerWide(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.List.Made {
		m := &l.List.Made[k]
		if m.How != fitout.MadeHere || len(m.anatomy.Runners) == 0 ||
			module.Of(m.item.Module.Kind).Motion != module.Drawers {
			continue
		}
		d := m.item.Module
		for i := range l.Job.Build.Sheets {
			s := &l.Job.Build.Sheets[i]
			over := 2 * (s.Measured - s.Thickness)
			if s.Of != d.Wall || math.Abs(s.Thickness-d.Panel) > 0.05 || s.Measured == 0 || over < 0.5 {
				continue
			}
			f := about("drawer-wide", fitout.Caution, m.ID)
			f.With = []string{s.ID}
			f.Title = "Drawer of " + words.Lower(m.Name) + " is wider than its room"
			f.Sentence = fmt.Sprintf(
				"%s measures %s, not %s: between the sides %s are lost. Enter %s as the panels' thickness, and cut after that.",
				s.Name,
				l.fine(s.Measured),
				l.fine(s.Thickness),
				l.fine(over),
				l.fine(s.Measured),
			)
			f.Over(s.Measured, s.Thickness, "mm")
			f.Fixes = []fitout.Fix{
				{
					Label: "Panels of " + l.fine(s.Measured),
					Edit:  fitout.FixEdit{Kind: "panel-thickness", ID: m.ID, Value: s.Measured},
				},
			}
			found = append(found, f)
			break
		}
	}
	return found
}

// drawerThin cautions of a drawer whose bottom bends more than a 200th of its width under what lies in it.
func drawerThin(l *Look) []fitout.Finding {
	var found []fitout.Finding
	loads := map[fitout.InCell]float64{}
	for i := range l.Items {
		if in := l.Items[i].In; in != nil && l.Load.Items[i].Road && l.Items[i].Work.Now() {
			loads[*in] += l.Load.Items[i].Mass.Kg
		}
	}
	for k := range l.List.Panels {
		p := &l.List.Panels[k]
		load := loads[fitout.InCell{Module: p.Module, Cell: p.Cell}]
		if p.Name != "drawer bottom" || load == 0 {
			continue
		}
		most := p.Width * module.SagShare
		if sag := module.Sag(p.Material, load, p.Width, p.Length, p.Thickness); sag > most {
			thick := p.Thickness
			for module.Sag(p.Material, load, p.Width, p.Length, thick) > most {
				thick += 0.5
			}
			f := about("drawer-thin", fitout.Caution, p.Module)
			f.With = []string{p.Mark}
			f.Title = "Drawer of " + words.Lower(p.Of) + " bends"
			f.Sentence = fmt.Sprintf(
				"Under %s its bottom of %s bends %s over %s; a 200th, %s, is held to be sound. Make it %s thick, or set a "+
					"batten under it.",
				l.Say.Mass(load),
				l.fine(p.Thickness),
				l.fine(sag),
				l.Say.Length(p.Width),
				l.fine(most),
				l.fine(thick),
			)
			f.Over(sag, most, "mm")
			f.Fixes = []fitout.Fix{
				{
					Label: "Panels of " + l.fine(thick),
					Edit:  fitout.FixEdit{Kind: "panel-thickness", ID: p.Module, Value: thick},
				},
			}
			found = append(found, f)
		}
	}
	return found
}
