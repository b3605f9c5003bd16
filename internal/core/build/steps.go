package build

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/order"
	"zaino/internal/core/words"
)

// BuildStep is one piece of work of the build, as it is done.
type BuildStep struct {
	ID      string   `json:"id" doc:"its operation and its module"`
	Work    string   `json:"work"`
	Module  string   `json:"module" doc:"id; empty for the whole build"`
	Title   string   `json:"title"`
	Minutes float64  `json:"minutes" doc:"an estimate"`
	Wait    float64  `json:"wait" doc:"h before what follows may begin"`
	Why     string   `json:"why" doc:"why what follows waits"`
	Skill   string   `json:"skill" doc:"empty: anybody"`
	People  int      `json:"people" doc:"that it takes"`
	Parts   []string `json:"parts" doc:"marks of panels and profiles"`
	Takes   []string `json:"takes" doc:"hardware and material, in words"`
	Tools   string   `json:"tools"`
	Caution string   `json:"caution"`
	After   []string `json:"after" doc:"what it waits for, in words"`
	Kg      float64  `json:"kg" doc:"that is lifted, kg"`
	Day     int      `json:"day" doc:"from 1; 0 = it hangs on a ring of reasons"`
	Date    string   `json:"date" doc:"empty while nobody said when it begins"`
	From    float64  `json:"from" doc:"h from the start of the first day, nights counted"`
	To      float64  `json:"to"`
	Makers  []string `json:"makers" doc:"names; empty: somebody from outside"`
	Done    bool     `json:"done"`
	Noted   Noted    `json:"noted"`
}

// Noted is what was noted of a step.
type Noted struct {
	On      string  `json:"on"`
	By      string  `json:"by"`
	Minutes float64 `json:"minutes"`
	Kg      float64 `json:"kg"`
	Trouble string  `json:"trouble"`
}

// gather collects steps and reasons.
type gather struct {
	l *Look
	w *Work
}

func (g *gather) add(work, of, title string, minutes float64, change func(*BuildStep)) string {
	id := work
	if of != "" {
		id += "/" + of
	}
	if _, twice := g.w.byID[id]; twice {
		return id
	}
	n := len(g.w.steps)
	g.w.byID[id] = n
	g.w.steps = append(g.w.steps, BuildStep{
		ID:      id,
		Work:    work,
		Module:  of,
		Title:   title,
		Minutes: math.Ceil(minutes),
		People:  1,
		Parts:   []string{},
		Takes:   []string{},
		After:   []string{},
		Makers:  []string{},
	})
	if change != nil {
		change(&g.w.steps[n])
	}
	return id
}

// before says that a step waits for another, if both are there.
func (g *gather) before(first, then, why string) {
	a, known := g.w.byID[first]
	b, also := g.w.byID[then]
	if known && also && a != b {
		g.w.Reasons = append(g.w.Reasons, order.Reason{First: a, Then: b, Why: why})
	}
}

// chain says that each of some steps waits for the one before it; those that are not there are passed over.
func (g *gather) chain(whys map[string]string, steps ...string) {
	last := ""
	for _, id := range steps {
		if _, known := g.w.byID[id]; !known {
			continue
		}
		if last != "" {
			work, _, _ := strings.Cut(id, "/")
			g.before(last, id, whys[work])
		}
		last = id
	}
}

// whys are why an operation waits for the one before it in its module.
var whys = map[string]string{
	"saw": "what is cut follows the template", "edge": "edges are banded before panels are drilled", "drill": "holes are made in flat panels",
	"nuts": "slot nuts go in before the slot is closed", "frame": "slot nuts go in before the slot is closed",
	"devices": "devices go into their panel before it is closed", "glue": "holes and devices come before the box is closed",
	"assemble": "holes and devices come before the box is closed", "dry": "it is tried dry before its surface is finished",
	"sand": "it is tried dry before its surface is finished", "paint": "sanded before it is painted",
	"lining": "painted before it is lined", "runners": "lined before runners, which the lining narrows", "hinge": "its surface is finished first",
	"weigh": "it is weighed before it is fitted", "fit": "it is weighed before it is fitted", "torque": "fitted first",
}

func (l *Look) gatherWork() *Work {
	most := 12*len(l.List.Made) + 8
	g := &gather{
		l,
		&Work{
			byID:    make(map[string]int, most),
			steps:   make([]BuildStep, 0, most),
			Reasons: make([]order.Reason, 0, 2*most),
		},
	}
	b := &l.Job.Build
	min := func(work string) float64 { return minutesOf(work, b) }
	bays := map[string]bool{}
	for k := range l.List.Made {
		bay := l.List.Made[k].item.Bay
		if own := l.Bay(bay); own != nil && !bays[bay] {
			bays[bay] = true
			g.add(
				"level",
				bay,
				"Level "+words.Lower(own.Name),
				min("level"),
				func(s *BuildStep) { s.Module, s.Tools = "", "jack, level" },
			)
			g.add("measure", bay, "Measure "+words.Lower(own.Name)+" and take its template", min("measure"),
				func(s *BuildStep) { s.Module, s.Tools = "", "tape, square, template board" })
			g.before("level/"+bay, "measure/"+bay, "level before the template: levelling after it spoils it")
		}
	}
	for k := range l.List.Made {
		g.module(&l.List.Made[k])
	}
	g.services()
	g.places()
	g.decisions()
	for _, r := range b.Reasons {
		g.before(r.First, r.Then, r.Why)
	}
	if len(l.List.Made) == 0 {
		return g.w
	}
	g.add("clean", "", "Clean up, go through the list, tighten what is marked", min("clean"), nil)
	for k := range l.List.Made {
		for _, work := range []string{"fit", "torque"} {
			g.before(work+"/"+l.List.Made[k].ID, "clean", "everything is fitted")
		}
	}
	g.before("connect", "clean", "everything is connected")
	return g.w
}

// module gathers the steps of one part.
func (g *gather) module(m *Made) {
	b, id := &g.l.Job.Build, m.ID
	each := func(work string) float64 { return minutesOf(work, b) }
	name := words.Lower(m.Name)
	people := max(1, int(math.Ceil(m.Kg/g.l.Job.Practice.OneLifts-1e-9)))
	lifted := func(s *BuildStep) { s.Kg, s.People = m.Kg, people }
	if m.How == fitout.MadeHere {
		g.made(m)
	} else if m.How != fitout.MadeReused {
		way := WayOf(m.item)
		g.add("order", id, "Order "+name, 10, func(s *BuildStep) {
			s.Wait = way.Supply.Days * 24
			if s.Wait > 0 {
				s.Why = fmt.Sprintf("delivery takes %.0f days", way.Supply.Days)
			}
		})
	}
	g.add("weigh", id, "Weigh "+name, each("weigh"), func(s *BuildStep) {
		lifted(s)
		s.Tools, s.Takes = "scale", []string{"planned " + g.l.Say.Mass(m.Kg)}
	})
	g.add("fit", id, "Fit "+name, each("fit")+4*float64(len(m.item.Module.Fixings)), func(s *BuildStep) {
		lifted(s)
		s.Tools = "driver, torque key"
		s.Caution = beneath(g.l.Vehicle.Mounts, m.item.Module.Fixings)
		if people > 1 {
			s.Caution = strings.TrimSpace(
				s.Caution + fmt.Sprintf(" %s: lift it with %d.", g.l.Say.Mass(m.Kg), people),
			)
		}
		if len(m.item.Module.Fixings) > 0 {
			s.Takes = append(s.Takes, fmt.Sprintf("%d fixings", len(m.item.Module.Fixings)))
		}
	})
	if m.item.Bay != "" {
		g.before("measure/"+m.item.Bay, "saw/"+id, "the template before anything is cut after it")
		g.before("measure/"+m.item.Bay, "fit/"+id, "measured before anything is fitted")
	}
	g.before("order/"+id, "weigh/"+id, "it is there")
	all := []string{}
	for _, work := range []string{"saw", "edge", "drill", "nuts", "frame", "devices", "glue", "assemble", "dry", "sand", "paint", "lining",
		"runners", "hinge", "weigh", "fit", "torque"} {
		all = append(all, work+"/"+id)
	}
	g.chain(whys, all...)
}

// marksOf are the numbers of the panels and profiles of a part.
func (g *gather) marksOf(m *Made) []string {
	marks := make([]string, 0, len(m.Panels)+len(m.Rods))
	for _, p := range m.Panels {
		marks = append(marks, g.l.List.Panels[p].Mark)
	}
	for _, r := range m.Rods {
		marks = append(marks, g.l.List.Rods[r].Mark)
	}
	return marks
}

// made gathers how a part is built.
func (g *gather) made(m *Made) {
	b, id, d := &g.l.Job.Build, m.ID, m.item.Module
	each := func(work string) float64 { return minutesOf(work, b) }
	name := words.Lower(m.Name)
	skill := map[fitout.Material]string{fitout.Plywood: string(fitout.Joinery), fitout.FoamCore: string(fitout.Joinery),
		fitout.Aluminium: string(fitout.Metalwork), fitout.Extrusion: string(fitout.Metalwork)}[d.Wall]
	marks := g.marksOf(m)
	with := func(tools string, parts bool, takes ...string) func(*BuildStep) {
		return func(s *BuildStep) {
			s.Skill, s.Tools = skill, tools
			for _, t := range takes {
				if t != "" {
					s.Takes = append(s.Takes, t)
				}
			}
			if parts {
				s.Parts = marks
			}
		}
	}
	area, banded, holes, devices := 0.0, 0, 0, []string{}
	for _, k := range m.Panels {
		p := &g.l.List.Panels[k]
		area += p.Length * p.Width / 1e6
		banded += p.BandLong + p.BandShort
		holes += len(p.Holes)
		for _, h := range p.Holes {
			if h.For == fitout.DeviceHole {
				devices = append(devices, p.Mark)
			}
		}
	}
	g.add(
		"saw",
		id,
		"Saw the panels of "+name,
		each("saw")*float64(len(m.Panels)+len(m.Rods)),
		with("panel saw; guard, eyes, ears, dust", true),
	)
	if banded > 0 {
		g.add(
			"edge",
			id,
			"Band the edges of "+name,
			each("edge")*float64(banded),
			with("iron or edge bander, flush cutter", false,
				fmt.Sprintf("%d edges", banded)),
		)
	}
	if holes > 0 {
		g.add(
			"drill",
			id,
			"Make the holes of "+name,
			each("drill")*float64(holes),
			with("drill, hole saw, router", false,
				fmt.Sprintf("%d holes and cut-outs", holes)),
		)
	}
	if len(devices) > 0 {
		g.add(
			"devices",
			id,
			"Put devices into the panels of "+name,
			10*float64(len(devices)),
			func(s *BuildStep) { s.Parts = devices },
		)
	}
	if d.Wall == fitout.Extrusion {
		g.framed(m)
	} else {
		work, tools, wait, why := "assemble", "welder, clamps, square; guard eyes and lungs", 0.0, ""
		takes := ""
		if d.Wall != fitout.Aluminium {
			work, tools, wait, why = "glue", "clamps, square, driver", b.Shop.GlueDries, "the glue dries"
			if d.Wall == fitout.Plywood {
				takes = "screws and glue"
			} else {
				takes = "structural adhesive; no screws into the foam"
			}
		}
		if m.Joints > 0 {
			g.add(work, id, "Put "+name+" together", each(work)*float64(m.Joints), func(s *BuildStep) {
				with(tools, true, takes)(s)
				s.Wait, s.Why = wait, why
			})
		}
	}
	g.add("dry", id, "Try "+name+" dry", each("fit"), func(s *BuildStep) {
		s.Kg, s.People = m.Kg, max(1, int(math.Ceil(m.Kg/g.l.Job.Practice.OneLifts-1e-9)))
	})
	if d.Finish != fitout.NoFinish {
		g.add("sand", id, "Sand "+name, each("sand")*2*area, with("sander, dust mask", false))
		verb, why, caution := "Paint ", "the paint dries",
			"Its vapour burns and makes giddy: air, a mask, and nothing near that sparks."
		if d.Finish == fitout.OilFinish {
			verb, why, caution = "Oil ", "the oil dries", "Oily rags heat up by themselves: into a closed tin, outside."
		}
		g.add("paint", id, verb+name, each("paint")*2*area*b.Shop.Coats, func(s *BuildStep) {
			s.Skill, s.Tools, s.Wait, s.Why = string(fitout.Painting), "brush or gun; air and a mask", b.Shop.PaintDries, why
			s.Caution = caution
		})
	}
	lined := 0.0
	for _, lining := range m.anatomy.Linings {
		lined += lining.Area
	}
	if lined > 0 {
		g.add(
			"lining",
			id,
			"Line "+name,
			each("lining")*lined,
			with("knife, roller", false, g.l.Say.Area(lined)+" of lining"),
		)
	}
	if n := len(m.anatomy.Runners); n > 0 {
		var takes []string
		for _, r := range m.anatomy.Runners {
			takes = append(takes, "runners of "+g.l.Say.Length(r.Length))
		}
		g.add(
			"runners",
			id,
			"Runners and drawers of "+name,
			each("runners")*float64(n),
			with("driver, spacers", false, takes...),
		)
	}
	if n := hinges(m, &b.Shop); n > 0 {
		g.add(
			"hinge",
			id,
			"Hang the lid or door of "+name,
			each("hinge")*float64(n),
			with("driver", false, fmt.Sprintf("%d hinges", n)),
		)
	}
}
