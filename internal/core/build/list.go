// Package build knows what it takes to make a fitout: the one list of panels and profiles, hardware, sheets, steps
// and their reasons, and the money.
package build

import (
	"math"
	"strconv"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
)

// CutPanel is one board of the cut list.
type CutPanel struct {
	Mark      string          `json:"mark" doc:"its number: of the module, and in it"`
	Module    string          `json:"module" doc:"id"`
	Of        string          `json:"of" doc:"name of the module"`
	Name      string          `json:"name"`
	Cell      string          `json:"cell" doc:"id of the compartment that it belongs to; empty for the carcass"`
	Material  fitout.Material `json:"material" enum:"plywood,aluminium,extrusion,foam-core"`
	Thickness float64         `json:"thickness" doc:"mm"`
	Length    float64         `json:"length" doc:"finished, the longer side, mm"`
	Width     float64         `json:"width" doc:"finished, mm"`
	CutLength float64         `json:"cutLength" doc:"without its banding, mm"`
	CutWidth  float64         `json:"cutWidth" doc:"mm"`
	Grain     fitout.Grain    `json:"grain" enum:",along,across"`
	BandLong  int             `json:"bandLong" doc:"banded edges along its length"`
	BandShort int             `json:"bandShort" doc:"banded edges along its width"`
	Scribed   bool            `json:"scribed" doc:"it is fitted to the vehicle by hand"`
	Here      bool            `json:"here" doc:"it is cut in this workshop"`
	Kg        float64         `json:"kg"`
	Box       fitout.Box      `json:"box" doc:"where it is on the vehicle"`
	Holes     []fitout.Hole   `json:"holes"`
	Thin      int             `json:"thin" doc:"the side of the box that is its thickness: 0 length, 1 width, 2 height"`
	Drilled   []Drilled       `json:"drilled" doc:"for the screws of runners and hinges, beside its holes"`
	Outline   []Spot          `json:"outline" doc:"its shape, closed; empty for a rectangle"`
	Ends      []float64       `json:"ends" doc:"of a tapered bearer: its heights at the front and at the rear, or left and right, mm; empty for others"`
}

// Rod is one length of profile to saw.
type Rod struct {
	Mark   string     `json:"mark"`
	Module string     `json:"module"`
	Of     string     `json:"of"`
	Name   string     `json:"name"`
	Length float64    `json:"length" doc:"mm"`
	Butts  bool       `json:"butts" doc:"its slots are closed once it stands between others"`
	Nuts   []Nuts     `json:"nuts" doc:"that must be in its slots"`
	Kg     float64    `json:"kg"`
	Box    fitout.Box `json:"box"`
}

// Nuts are slot nuts in one profile.
type Nuts struct {
	Count int    `json:"count"`
	For   string `json:"for" doc:"what they hold"`
}

// Made is a module of the build.
type Made struct {
	Number  int            `json:"number"`
	ID      string         `json:"id"`
	Name    string         `json:"name"`
	How     fitout.HowMade `json:"how" enum:"here,bought,out,reused"`
	Kg      float64        `json:"kg"`
	Panels  []int          `json:"panels" doc:"of the cut list"`
	Rods    []int          `json:"rods"`
	Joints  int            `json:"joints"`
	Joint   float64        `json:"joint" doc:"of all joints together, m"`
	Box     fitout.Box     `json:"box"`
	Gaps    fitout.Gaps    `json:"gaps" doc:"what its drawers leave free"`
	anatomy module.Anatomy
	item    *fitout.Item
	joined  []joint
}

// List is all that is built.
type List struct {
	Made   []Made
	Panels []CutPanel
	Rods   []Rod
}

// joint is where two panels of one module meet.
type joint struct {
	a, b   int // in the anatomy
	length float64
	region fitout.Box // where they touch: flat in one direction
}

// HowOf is how a part comes about: as somebody said, or made here if it is built and bought if it is not.
func HowOf(i *fitout.Item) fitout.HowMade {
	if i.Making != nil && i.Making.How != fitout.MadeNotSaid {
		return i.Making.How
	}
	if i.Module != nil && i.Module.Wall != fitout.NoMaterial && module.Of(i.Module.Kind).Shape != module.Bought {
		return fitout.MadeHere
	}
	return fitout.MadeBought
}

// WayOf is what is known of the way that was chosen for a part.
func WayOf(i *fitout.Item) fitout.MakeWay {
	how := HowOf(i)
	if i.Making != nil {
		for _, w := range i.Making.Ways {
			if w.How == how {
				return w
			}
		}
	}
	return fitout.MakeWay{How: how}
}

// ListOf gathers what is built of a plan. Parts that are there already, come later or are fitted by others are
// none of it.
func ListOf(p *plan.Plan) *List {
	l := &List{Made: make([]Made, 0, len(p.Items))}
	panels, rods := 0, 0
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil || !item.Work.Now() || item.Work == fitout.WorkExisting ||
			item.Module.Kind == fitout.PlainGear {
			continue
		}
		m := Made{
			Number: len(l.Made) + 1,
			ID:     item.ID,
			Name:   item.Name,
			How:    HowOf(item),
			Kg:     item.Mass,
			Box:    item.Box(),
			Gaps:   module.GapsOf(item.Module),
			item:   item,
		}
		if m.How == fitout.MadeHere || m.How == fitout.MadeOut {
			m.anatomy = module.AnatomyOf(item, p.Job.Build.Runners)
			panels, rods = panels+len(m.anatomy.Panels), rods+len(m.anatomy.Rods)
		}
		l.Made = append(l.Made, m)
	}
	l.Panels, l.Rods = make([]CutPanel, 0, panels), make([]Rod, 0, rods)
	for k := range l.Made {
		l.cut(&l.Made[k])
		l.shape(&l.Made[k], p)
		l.drill(&l.Made[k], &p.Job.Build)
	}
	return l
}

// cut adds the panels and profiles of a module to the list.
func (l *List) cut(m *Made) {
	m.Panels, m.Rods = make([]int, 0, len(m.anatomy.Panels)), make([]int, 0, len(m.anatomy.Rods))
	for k := range m.anatomy.Panels {
		p := &m.anatomy.Panels[k]
		own := CutPanel{Mark: mark(m.Number, "-", k+1), Module: m.ID, Of: m.Name, Name: p.Name, Cell: p.Cell,
			Material: m.item.Module.Wall, Thickness: p.Thickness, Length: p.Length, Width: p.Width, Grain: m.item.Module.Grain,
			Scribed: m.item.Module.Scribed && p.Name == "back", Here: m.How == fitout.MadeHere, Kg: p.Kg, Box: p.Box,
			Holes: []fitout.Hole{}, Thin: thin(p.Box),
			Drilled: []Drilled{}, Outline: []Spot{}, Ends: []float64{}}
		own.CutLength, own.CutWidth = p.Length, p.Width
		if band := m.item.Module.Banding; band > 0 {
			own.BandLong, own.BandShort = p.Banded[0], p.Banded[1]
			own.CutWidth -= band * float64(own.BandLong)
			own.CutLength -= band * float64(own.BandShort)
		}
		for _, h := range m.item.Module.Holes {
			if h.Panel == p.Name {
				own.Holes = append(own.Holes, h)
			}
		}
		m.Panels = append(m.Panels, len(l.Panels))
		l.Panels = append(l.Panels, own)
	}
	m.joined = jointsOf(m.anatomy.Panels)
	for _, j := range m.joined {
		m.Joint += j.length / 1000
	}
	m.Joints = len(m.joined)
	nuts := nutsOf(m)
	for k := range m.anatomy.Rods {
		r := &m.anatomy.Rods[k]
		m.Rods = append(m.Rods, len(l.Rods))
		l.Rods = append(l.Rods, Rod{Mark: mark(m.Number, "-P", k+1), Module: m.ID, Of: m.Name, Name: r.Name,
			Length: r.Length, Butts: r.Butts, Nuts: nuts[k], Kg: r.Kg, Box: r.Box})
	}
}

// mark is the number of a panel or profile.
func mark(module int, between string, k int) string {
	if k < 10 {
		between += "0"
	}
	return strconv.Itoa(module) + between + strconv.Itoa(k)
}

// thin is the side of a box that is shortest.
func thin(b fitout.Box) int {
	s := b.Size()
	switch min(s.Length, s.Width, s.Height) {
	case s.Length:
		return 0
	case s.Width:
		return 1
	}
	return 2
}

// touching is how near two boards are that are joined, mm.
const touching = 0.5

// jointsOf finds where panels of one compartment, or of the carcass, touch, by their places.
func jointsOf(panels []module.Panel) []joint {
	var all []joint
	for a := range panels {
		for b := a + 1; b < len(panels); b++ {
			if panels[a].Cell != panels[b].Cell {
				continue
			}
			if j, ok := meet(panels[a].Box, panels[b].Box); ok {
				j.a, j.b = a, b
				all = append(all, j)
			}
		}
	}
	return all
}

// meet is where two boxes touch with a face: two of their sides overlap, the third has no room between.
func meet(a, b fitout.Box) (joint, bool) {
	from := fitout.Point{X: max(a.From.X, b.From.X), Y: max(a.From.Y, b.From.Y), Z: max(a.From.Z, b.From.Z)}
	to := fitout.Point{X: min(a.To.X, b.To.X), Y: min(a.To.Y, b.To.Y), Z: min(a.To.Z, b.To.Z)}
	sides := [3]float64{to.X - from.X, to.Y - from.Y, to.Z - from.Z}
	flat, length := 0, 0.0
	for _, s := range sides {
		switch {
		case s < -touching:
			return joint{}, false
		case s <= touching:
			flat++
		default:
			length = max(length, s)
		}
	}
	return joint{length: length, region: fitout.Box{From: from, To: to}}, flat == 1
}

// nutsOf are the slot nuts that each profile of a frame must have: one at each end of a rail and one in what it
// stands against, for their bracket; those of runners, hinges and fixings.
func nutsOf(m *Made) [][]Nuts {
	rods := m.anatomy.Rods
	all := make([][]Nuts, len(rods))
	for k := range all {
		all[k] = []Nuts{}
	}
	add := func(k, count int, what string) {
		if count > 0 {
			all[k] = append(all[k], Nuts{count, what})
		}
	}
	for a := range rods {
		if !rods[a].Butts {
			continue
		}
		add(a, 2, "its own brackets")
		for b := range rods {
			if a == b {
				continue
			}
			if _, ok := meet(rods[a].Box, rods[b].Box); ok && standsAgainst(&rods[a], &rods[b]) {
				add(b, 1, "the bracket of "+rods[a].Name)
			}
		}
	}
	low, upright := -1, -1
	for k := range rods {
		if rods[k].Butts && low < 0 {
			low = k
		}
		if !rods[k].Butts && upright < 0 {
			upright = k
		}
	}
	if low >= 0 {
		add(low, len(m.item.Module.Fixings), "what holds it to the vehicle")
		add(low, 4*len(m.anatomy.Runners), "the runners")
	}
	if upright >= 0 {
		add(upright, 2*hinges(m, &usualShop), "the hinge blocks")
	}
	return all
}

// standsAgainst tells whether an end of one profile, and not its side, is at another.
func standsAgainst(a, b *module.Rod) bool {
	s := a.Box.Size()
	along := func(f func(fitout.Point) float64) bool {
		return math.Abs(f(a.Box.From)-f(b.Box.To)) <= touching || math.Abs(f(b.Box.From)-f(a.Box.To)) <= touching
	}
	switch a.Length {
	case s.Length:
		return along(func(p fitout.Point) float64 { return p.X })
	case s.Width:
		return along(func(p fitout.Point) float64 { return p.Y })
	}
	return along(func(p fitout.Point) float64 { return p.Z })
}
