// Package wiring finds the cable and the fuse of every line of the electrics: proposed from
// currents and places, or held against what was changed. Nobody has to draw a graph: what
// has to be joined follows from what there is.
package wiring

import (
	"cmp"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// WiringFigures is the wiring of what is aboard now.
type WiringFigures struct {
	Lines   []Wire       `json:"lines"`
	Cables  []CableBill  `json:"cables" doc:"to buy, thinnest first"`
	Fuses   []FuseBill   `json:"fuses" doc:"to buy"`
	Mass    float64      `json:"mass" doc:"of all cables, kg"`
	Drawing BoardDrawing `json:"drawing"`
}

// CableBill is how much of one cable is needed.
type CableBill struct {
	Area   float64 `json:"area" doc:"of its copper, mm²"`
	Length float64 `json:"length" doc:"of one conductor, with a tenth more, mm"`
	Mass   float64 `json:"mass" doc:"kg"`
}

// FuseBill is how many of one fuse are needed.
type FuseBill struct {
	Kind  fitout.FuseKind `json:"kind" enum:"none,blade,maxi,midi,mega,class-t"`
	Amps  float64         `json:"amps" doc:"A"`
	Count int             `json:"count"`
}

// spare is how much more cable is bought than is laid.
const spare = 1.1

// Engine finds cables and fuses, and what of them is wrong.
func Engine() plan.Engine[WiringFigures] {
	all := allRules()
	rules := make([]plan.Rule, len(all))
	for i, rule := range all {
		rules[i] = func(p *plan.Plan) []fitout.Finding { return rule(BoardOf(p)) }
	}
	return plan.Engine[WiringFigures]{Figures: func(p *plan.Plan) WiringFigures {
		return figuresOf(BoardOf(p))
	}, Rules: rules}
}

func figuresOf(b *Board) WiringFigures {
	f := WiringFigures{Lines: slices.Clone(b.Lines), Cables: []CableBill{}, Fuses: []FuseBill{}, Drawing: b.draw()}
	if f.Lines == nil {
		f.Lines = []Wire{}
	}
	cables := map[float64]*CableBill{}
	fuses := map[FuseBill]int{}
	for i := range f.Lines {
		line := &f.Lines[i]
		f.Mass += line.Mass
		if cables[line.Area] == nil {
			cables[line.Area] = &CableBill{Area: line.Area}
		}
		ways := 2.0
		if line.body {
			ways = 1
		}
		bill := cables[line.Area]
		bill.Length += line.Length * ways * spare
		bill.Mass += line.Mass
		for _, amps := range []float64{line.Fuse, line.FarFuse} {
			if amps > 0 {
				fuses[FuseBill{Kind: line.FuseKind, Amps: amps}]++
			}
		}
	}
	for _, bill := range cables {
		f.Cables = append(f.Cables, *bill)
	}
	slices.SortFunc(f.Cables, func(a, b CableBill) int { return cmp.Compare(a.Area, b.Area) })
	for bill, count := range fuses {
		bill.Count = count
		f.Fuses = append(f.Fuses, bill)
	}
	slices.SortFunc(f.Fuses, func(a, b FuseBill) int {
		return cmp.Or(cmp.Compare(a.Kind, b.Kind), cmp.Compare(a.Amps, b.Amps))
	})
	return f
}

// Middle is where the cables run on the mean, and what they weigh, kg.
func (b *Board) Middle() (fitout.Point, float64) {
	var at fitout.Point
	mass := 0.0
	for i := range b.Lines {
		line := &b.Lines[i]
		for _, item := range []string{line.fromItem, line.item} {
			k := b.Index(item)
			if k < 0 {
				continue
			}
			half := line.Mass / 2
			at.X, at.Y, at.Z = at.X+half*b.Items[k].At.X, at.Y+half*b.Items[k].At.Y, at.Z+half*b.Items[k].At.Z
			mass += half
		}
	}
	if mass == 0 {
		return fitout.Point{X: b.Job.Vehicle.Wheelbase, Z: 1000}, figuresOf(b).Mass
	}
	return fitout.Point{X: at.X / mass, Y: at.Y / mass, Z: at.Z / mass}, figuresOf(b).Mass
}
