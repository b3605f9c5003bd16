package build

import (
	"context"
	"math"

	"zaino/internal/core/cost"
	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// BuildView is the whole of a build: what is cut from what, bought, paid and done in which order.
type BuildView struct {
	Parts    []Made         `json:"parts" doc:"every part of the build"`
	Panels   []CutPanel     `json:"panels" doc:"the cut list"`
	Rods     []Rod          `json:"rods" doc:"profiles"`
	Groups   []CutGroup     `json:"groups" doc:"by material and thickness, on sheets"`
	Bars     []BarGroup     `json:"bars"`
	Hardware []HardwareNeed `json:"hardware"`
	Buy      []Purchase     `json:"buy" doc:"the purchase list"`
	Lines    cost.CostLines `json:"lines" doc:"what it costs, before mark-up"`
	Quote    cost.Quote     `json:"quote"`
	Budget   int            `json:"budget" doc:"cents; 0 = not stated"`
	Steps    []BuildStep    `json:"steps" doc:"in their order"`
	Ring     []string       `json:"ring" doc:"reasons that run in a ring, in words"`
	Days     int            `json:"days"`
	Hours    float64        `json:"hours"`
	Learned  []Learned      `json:"pace"`
	Others   []OtherWall    `json:"others" doc:"the same in each other material"`
	Ways     []PartWays     `json:"ways" doc:"make, buy, have made or reuse, side by side"`
}

// OtherWall is what the build would be in another material.
type OtherWall struct {
	Wall   fitout.Material `json:"wall" enum:"plywood,aluminium,extrusion,foam-core"`
	Panel  float64         `json:"panel" doc:"mm"`
	Kg     float64         `json:"kg" doc:"of all that is made here"`
	Rear   float64         `json:"rear" doc:"axle load in the state shown, kg"`
	Sheets int             `json:"sheets" doc:"at least"`
	Hours  float64         `json:"hours"`
	Total  int             `json:"total" doc:"at least, cents"`
	Now    bool            `json:"now" doc:"as it is planned, mixed as it may be"`
}

// PartWays are the ways to come by one part.
type PartWays struct {
	Module string   `json:"module" doc:"id"`
	Name   string   `json:"name"`
	Ways   []AWay   `json:"ways"`
	Chosen string   `json:"chosen"`
	Marks  []string `json:"marks"`
}

// AWay is one way to come by a part.
type AWay struct {
	How   fitout.HowMade `json:"how" enum:"here,bought,out,reused"`
	Cost  int            `json:"cost" doc:"in cents, with the workshop's hours, without mark-up; 0 = not known"`
	Kg    float64        `json:"kg"`
	Hours float64        `json:"hours"`
	Days  float64        `json:"days" doc:"until it is there"`
	Proof string         `json:"proof"`
}

// TaperedBearer is how high a bearer is at its high end: length · tan(tilt) + least height, mm.
func TaperedBearer(length, tilt, least float64) float64 {
	return length*math.Tan(math.Abs(tilt)*math.Pi/180) + least
}

// ViewOf is the whole build of a plan, its sheets laid out with so much effort; told is given the share that is
// done, and ending the context returns the best so far.
func ViewOf(ctx context.Context, p *plan.Plan, effort cut.Effort, told func(share float64)) BuildView {
	l := LookAt(p)
	l.Nest(ctx, effort, told)
	w := l.Work()
	v := BuildView{
		Parts:    l.List.Made,
		Panels:   l.List.Panels,
		Rods:     l.List.Rods,
		Groups:   l.Groups,
		Bars:     l.Bars,
		Hardware: l.Hardware, Buy: l.purchases(),
		Lines:   l.lines(),
		Budget:  p.Job.Brief.Budget,
		Steps:   w.Steps,
		Ring:    w.Ring,
		Days:    w.Days,
		Hours:   roundHours(w.Hours),
		Learned: l.learned(),
		Others:  l.others(),
		Ways:    l.ways(),
	}
	v.Quote = cost.QuoteOf(&v.Lines, &p.Job.Build.Money)
	fill(&v)
	return v
}

// fill makes lists that are not there empty.
func fill(v *BuildView) {
	v.Parts, v.Panels, v.Rods = orEmpty(v.Parts), orEmpty(v.Panels), orEmpty(v.Rods)
	v.Groups, v.Bars, v.Hardware = orEmpty(v.Groups), orEmpty(v.Bars), orEmpty(v.Hardware)
	v.Steps, v.Ring, v.Ways = orEmpty(v.Steps), orEmpty(v.Ring), orEmpty(v.Ways)
}

func orEmpty[T any](list []T) []T {
	if list == nil {
		return []T{}
	}
	return list
}

// usualThickness is of what panels of each material usually are, mm.
var usualThickness = []struct {
	wall  fitout.Material
	panel float64
}{{fitout.Plywood, 12}, {fitout.FoamCore, 15}, {fitout.Aluminium, 2}, {fitout.Extrusion, 6}}

// OtherwiseBuilt is a job with all that is made here built of another material; what it weighs then follows.
func OtherwiseBuilt(j *fitout.Job, wall fitout.Material, panel float64) fitout.Job {
	changed := *j
	changed.Variants = append([]fitout.Variant{}, j.Variants...)
	v := changed.ChosenVariant()
	v.Items = append([]fitout.Item{}, v.Items...)
	for k := range v.Items {
		i := &v.Items[k]
		if i.Module == nil || HowOf(i) != fitout.MadeHere {
			continue
		}
		m := *i.Module
		m.Wall, m.Panel = wall, panel
		i.Module, i.Source = &m, fitout.ByMaterial
	}
	return changed
}

// others are the build in each material, and as it is.
func (l *Look) others() []OtherWall {
	of := func(p *plan.Plan) OtherWall {
		look := LookAt(p)
		o := OtherWall{Rear: p.Now.Axles(p.Load.Wheelbase).Rear}
		for k := range look.List.Made {
			if m := &look.List.Made[k]; m.How == fitout.MadeHere {
				o.Kg += m.Kg
			}
		}
		o.Sheets = look.leastSheets()
		lines := look.lines()
		o.Hours, o.Total = roundHours(look.gathered().Hours), cost.QuoteOf(&lines, &p.Job.Build.Money).Total
		return o
	}
	now := of(l.Plan)
	now.Now = true
	all := []OtherWall{now}
	if !l.makes() {
		return all
	}
	for _, u := range usualThickness {
		j := OtherwiseBuilt(l.Given, u.wall, u.panel)
		o := of(plan.Of(&j))
		o.Wall, o.Panel = u.wall, u.panel
		all = append(all, o)
	}
	return all
}

// makes tells whether anything is built here.
func (l *Look) makes() bool {
	for k := range l.List.Made {
		if l.List.Made[k].How == fitout.MadeHere {
			return true
		}
	}
	return false
}

// ways are the ways to come by each part that somebody thought of, with what it takes to make it here.
func (l *Look) ways() []PartWays {
	var all []PartWays
	b := &l.Job.Build
	w := l.Work()
	for k := range l.List.Made {
		m := &l.List.Made[k]
		if m.item.Making == nil && m.How == fitout.MadeBought {
			continue
		}
		hours := 0.0
		for i := range w.Steps {
			if w.Steps[i].Module == m.ID && w.Steps[i].Work != "weigh" && w.Steps[i].Work != "fit" {
				hours += w.Steps[i].Minutes / 60
			}
		}
		here := AWay{How: fitout.MadeHere, Kg: m.Kg, Hours: roundHours(hours)}
		for _, at := range m.Panels {
			here.Cost += l.shareOf(at)
		}
		for i := range l.Hardware {
			n := &l.Hardware[i]
			for _, id := range n.Modules {
				if id == m.ID {
					here.Cost += n.Sum / len(n.Modules)
				}
			}
		}
		here.Cost += times(b.Money.Rate, here.Hours, b.Money.Decimals)
		own := PartWays{Module: m.ID, Name: m.Name, Chosen: string(m.How), Ways: []AWay{}, Marks: []string{}}
		if m.How == fitout.MadeHere {
			own.Ways = append(own.Ways, here)
		}
		if m.item.Making != nil {
			for _, way := range m.item.Making.Ways {
				if way.How == fitout.MadeHere && m.How == fitout.MadeHere {
					continue
				}
				kg := way.Kg
				if kg == 0 {
					kg = m.Kg
				}
				cents := way.Cost
				if cents > 0 || way.How == fitout.MadeReused {
					cents += times(b.Money.Rate, way.Hours, b.Money.Decimals)
				}
				own.Ways = append(own.Ways, AWay{way.How, cents, kg, way.Hours, way.Supply.Days, way.Proof})
			}
		}
		all = append(all, own)
	}
	return all
}

// shareOf is what a panel costs by its area of its sheet, in cents.
func (l *Look) shareOf(panel int) int {
	p := &l.List.Panels[panel]
	for k := range l.Groups {
		g := &l.Groups[k]
		if g.Material != p.Material || math.Abs(g.Thickness-p.Thickness) > 0.05 {
			continue
		}
		for i := range g.stock {
			if s := &g.kinds[i]; g.stock[i].Count < 0 && s.Length*s.Width > 0 {
				return times(s.Price, p.Length*p.Width/(s.Length*s.Width), l.Job.Build.Money.Decimals)
			}
		}
	}
	return 0
}
