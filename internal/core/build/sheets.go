package build

import (
	"cmp"
	"context"
	"fmt"
	"maps"
	"math"
	"slices"

	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// CutGroup is all pieces of one material and thickness, and the sheets that they are cut from.
type CutGroup struct {
	Material  fitout.Material `json:"material" enum:"plywood,aluminium,extrusion,foam-core"`
	Thickness float64         `json:"thickness" doc:"mm"`
	Pieces    []int           `json:"pieces" doc:"of the cut list"`
	Area      float64         `json:"area" doc:"of the pieces, m²"`
	Assumed   bool            `json:"assumed" doc:"no sheet of it is on the list; a usual one is assumed"`
	Sheets    []SheetCut      `json:"sheets"`
	Kinds     []KindUsed      `json:"kinds" doc:"how many of which sheet"`
	Left      []int           `json:"left" doc:"pieces for which there is no sheet"`
	Bound     int             `json:"bound" doc:"fewer sheets are not possible"`
	Proven    bool            `json:"proven"`
	Gap       float64         `json:"gap" doc:"sheets used over what the pieces with kerf would fill, less 1"`

	kinds []fitout.Sheet
	stock []cut.Stock
	cuts  []cut.Piece
}

// SheetCut is one sheet with its pieces.
type SheetCut struct {
	Sheet  string     `json:"sheet" doc:"id"`
	Name   string     `json:"name"`
	Length float64    `json:"length" doc:"of the whole sheet, mm"`
	Width  float64    `json:"width" doc:"mm"`
	Trim   float64    `json:"trim" doc:"cut off each edge first, mm"`
	Pieces []PieceCut `json:"pieces"`
	Cuts   []CutTold  `json:"cuts" doc:"in their order"`
	Rests  []RestTold `json:"rests" doc:"what is left, largest first"`
	Used   float64    `json:"used" doc:"share that is not the largest rest"`
	Offcut bool       `json:"offcut"`
	Place  string     `json:"place"`
}

// PieceCut is one piece on a sheet, from the sheet's corner, mm.
type PieceCut struct {
	Panel  int     `json:"panel" doc:"of the cut list"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Length float64 `json:"length" doc:"along the sheet"`
	Width  float64 `json:"width"`
	Turned bool    `json:"turned"`
}

// CutTold is one cut from edge to edge of what is left.
type CutTold struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Length float64 `json:"length" doc:"mm"`
	Rip    bool    `json:"rip" doc:"along the sheet; otherwise across"`
}

// RestTold is a rectangle that is left.
type RestTold struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Length float64 `json:"length"`
	Width  float64 `json:"width"`
}

// KindUsed is how many sheets of one kind are used, and bought.
type KindUsed struct {
	Sheet string `json:"sheet" doc:"id; empty for one that is assumed"`
	Name  string `json:"name"`
	Used  int    `json:"used"`
	Buy   int    `json:"buy"`
	Each  int    `json:"each" doc:"cents; 0 = not known"`
	Sum   int    `json:"sum" doc:"of those used, in cents"`
}

// BarGroup is all profiles, and the bars that they are sawn from.
type BarGroup struct {
	Bar     string  `json:"bar" doc:"id; empty for one that is assumed"`
	Name    string  `json:"name"`
	Length  float64 `json:"length" doc:"mm"`
	Bars    [][]int `json:"bars" doc:"rods on each bar"`
	Left    []int   `json:"left"`
	Bound   int     `json:"bound"`
	Proven  bool    `json:"proven"`
	Buy     int     `json:"buy"`
	Each    int     `json:"each"`
	Sum     int     `json:"sum"`
	Assumed bool    `json:"assumed"`
}

// usualSheet is assumed of what the stock has no sheet, and usualBar of what it has no bar, mm.
var usualSheet = fitout.Sheet{Length: 2440, Width: 1220, Grained: true, More: true}

const usualBar = 6000.0

// smallestRest is the shortest side of a rest that is worth keeping, mm.
const smallestRest = 120.0

// groupsOf puts the panels that are cut here into groups, with the sheets for each.
func groupsOf(l *List, b *fitout.Build) []CutGroup {
	var groups []CutGroup
	for i := range l.Panels {
		p := &l.Panels[i]
		if !p.Here {
			continue
		}
		at := -1
		for k := range groups {
			if groups[k].Material == p.Material && math.Abs(groups[k].Thickness-p.Thickness) < 0.05 {
				at = k
			}
		}
		if at < 0 {
			groups = append(groups, CutGroup{Material: p.Material, Thickness: p.Thickness})
			at = len(groups) - 1
		}
		groups[at].Pieces = append(groups[at].Pieces, i)
		groups[at].Area += p.Length * p.Width / 1e6
	}
	slices.SortStableFunc(groups, func(a, b CutGroup) int {
		return cmp.Or(cmp.Compare(a.Material, b.Material), cmp.Compare(b.Thickness, a.Thickness))
	})
	for k := range groups {
		groups[k].sheets(l, b)
	}
	return groups
}

// sheets finds what a group can be cut from. Where several kinds can be bought, the one that costs least for its
// area is taken.
func (g *CutGroup) sheets(l *List, b *fitout.Build) {
	best, worth := -1, math.Inf(1)
	for k := range b.Sheets {
		s := &b.Sheets[k]
		if s.Of != g.Material || !thick(s, g.Thickness) {
			continue
		}
		own := cut.Stock{Length: s.Length, Width: s.Width, Count: s.Have}
		if !s.Offcut {
			own.Length, own.Width = own.Length-2*b.Shop.Trim, own.Width-2*b.Shop.Trim
		}
		if s.More && !s.Offcut {
			each := float64(s.Price) / (s.Length * s.Width)
			if s.Price == 0 {
				each = 1e6 / (s.Length * s.Width) // not known: a large one, and after those that are priced
			}
			if all := g.fitting(l, own); all > 0 && each/float64(all) < worth {
				best, worth = len(g.kinds), each/float64(all)
			}
		}
		g.kinds, g.stock = append(g.kinds, *s), append(g.stock, own)
	}
	if len(g.kinds) == 0 {
		s := usualSheet
		s.Of, s.Thickness, s.Name = g.Material, g.Thickness, fmt.Sprintf(
			"Sheet %.0f × %.0f, assumed",
			s.Length,
			s.Width,
		)
		g.kinds, g.Assumed, best = []fitout.Sheet{s}, true, 0
		g.stock = []cut.Stock{{Length: s.Length - 2*b.Shop.Trim, Width: s.Width - 2*b.Shop.Trim}}
	}
	if best >= 0 {
		g.stock[best].Count = -1
	}
	for _, i := range g.Pieces {
		g.cuts = append(g.cuts, pieceOf(&l.Panels[i], g.grained(), b.Shop.Turn))
	}
}

// thick tells whether a sheet is of a thickness, as it is sold or as it measures.
func thick(s *fitout.Sheet, mm float64) bool {
	return math.Abs(s.Thickness-mm) <= 0.05 || s.Measured > 0 && math.Abs(s.Measured-mm) <= 0.05
}

// fitting is how many pieces of a group lie on a size.
func (g *CutGroup) fitting(l *List, s cut.Stock) int {
	n := 0
	for _, i := range g.Pieces {
		p := &l.Panels[i]
		if min(p.CutLength, p.CutWidth) <= min(s.Length, s.Width) &&
			max(p.CutLength, p.CutWidth) <= max(s.Length, s.Width) {
			n++
		}
	}
	return n
}

// grained tells whether the grain of the sheets counts.
func (g *CutGroup) grained() bool {
	return slices.ContainsFunc(g.kinds, func(s fitout.Sheet) bool { return s.Grained })
}

// pieceOf is a panel as it is cut: with its grain along the sheet where that counts.
func pieceOf(p *CutPanel, grained, turn bool) cut.Piece {
	c := cut.Piece{Length: p.CutLength, Width: p.CutWidth, Turn: turn}
	if grained && p.Grain != fitout.GrainFree {
		c.Turn = false
		if p.Grain == fitout.GrainAcross {
			c.Length, c.Width = c.Width, c.Length
		}
	}
	return c
}

// nest lays a group out.
func (g *CutGroup) nest(ctx context.Context, b *fitout.Build, effort cut.Effort, told func(float64)) {
	n := cut.Nest(ctx, g.cuts, g.stock, b.Shop.Kerf, effort, told)
	g.Bound, g.Proven, g.Gap = n.Bound, n.Proven, n.Gap
	g.Left, g.Sheets, g.Kinds = []int{}, []SheetCut{}, []KindUsed{}
	for _, i := range n.Left {
		g.Left = append(g.Left, g.Pieces[i])
	}
	used := make([]int, len(g.kinds))
	for _, l := range n.Layouts {
		used[l.Stock]++
		g.Sheets = append(g.Sheets, g.told(&l, b.Shop.Trim))
	}
	for k := range g.kinds {
		if s := &g.kinds[k]; used[k] > 0 {
			g.Kinds = append(g.Kinds, KindUsed{s.ID, s.Name, used[k], max(0, used[k]-s.Have), s.Price,
				times(s.Price, float64(used[k]), b.Money.Decimals)})
		}
	}
}

func (g *CutGroup) told(l *cut.Layout, trim float64) SheetCut {
	s := &g.kinds[l.Stock]
	if s.Offcut {
		trim = 0
	}
	out := SheetCut{
		Sheet:  s.ID,
		Name:   s.Name,
		Length: s.Length,
		Width:  s.Width,
		Trim:   trim,
		Used:   l.Used(),
		Offcut: s.Offcut,
		Place:  s.Place,
		Pieces: []PieceCut{},
		Cuts:   []CutTold{},
		Rests:  []RestTold{},
	}
	for _, p := range l.Pieces {
		out.Pieces = append(
			out.Pieces,
			PieceCut{g.Pieces[p.Piece], p.X + trim, p.Y + trim, p.Length, p.Width, p.Turned},
		)
	}
	for _, c := range l.Cuts {
		out.Cuts = append(out.Cuts, CutTold{c.X + trim, c.Y + trim, c.Length, c.Rip})
	}
	for _, r := range l.Rests {
		if min(r.Length, r.Width) >= smallestRest {
			out.Rests = append(out.Rests, RestTold{r.X + trim, r.Y + trim, r.Length, r.Width})
		}
	}
	return out
}

// barsOf lays the profiles of each width out on the bars of the stock that need fewest metres, proven where that is told.
func barsOf(l *List, b *fitout.Build) []BarGroup {
	byWidth := map[float64][]int{}
	for k := range l.Made {
		if m := &l.Made[k]; m.How == fitout.MadeHere && len(m.Rods) > 0 {
			width := module.ProfileWidth(m.item.Module)
			byWidth[width] = append(byWidth[width], m.Rods...)
		}
	}
	all := []BarGroup{}
	for _, width := range slices.Sorted(maps.Keys(byWidth)) {
		var kinds []fitout.Profile
		for _, bar := range b.Bars {
			if module.BarWidth(&bar) == width {
				kinds = append(kinds, bar)
			}
		}
		all = append(all, barGroup(l, b, byWidth[width], kinds, width))
	}
	return all
}

// barGroup lays some profiles of one width out on the best of some bars; on one that is assumed where there is none.
func barGroup(l *List, b *fitout.Build, rods []int, kinds []fitout.Profile, width float64) BarGroup {
	assumed := len(kinds) == 0
	if assumed {
		name := fmt.Sprintf("Profile %.0f wide, %.0f, assumed", width, usualBar)
		kinds = []fitout.Profile{{Name: name, Length: usualBar, More: true}}
	}
	lengths := make([]float64, len(rods))
	for k, r := range rods {
		lengths[k] = l.Rods[r].Length
	}
	var best *BarGroup
	worth := math.Inf(1)
	for k := range kinds {
		bar := &kinds[k]
		n := cut.Bars(lengths, bar.Length, b.Shop.Kerf)
		cost := float64(len(n.Bars)) * bar.Length
		if bar.Price > 0 {
			cost = float64(len(n.Bars) * bar.Price)
		}
		if !bar.More && len(n.Bars) > bar.Have {
			cost += 1e12
		}
		if cost += 1e13 * float64(len(n.Left)); cost >= worth {
			continue
		}
		worth = cost
		best = &BarGroup{
			Bar:     bar.ID,
			Name:    bar.Name,
			Length:  bar.Length,
			Bound:   n.Bound,
			Proven:  n.Proven,
			Each:    bar.Price,
			Buy:     max(0, len(n.Bars)-bar.Have),
			Sum:     times(bar.Price, float64(len(n.Bars)), b.Money.Decimals),
			Bars:    [][]int{},
			Left:    []int{},
			Assumed: assumed,
		}
		for _, on := range n.Bars {
			all := make([]int, len(on))
			for i := range on {
				all[i] = rods[on[i]]
			}
			best.Bars = append(best.Bars, all)
		}
		for _, i := range n.Left {
			best.Left = append(best.Left, rods[i])
		}
	}
	return *best
}
