package build

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"zaino/internal/core/fitout"
	"zaino/internal/core/order"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// practice are the minutes of each operation, and what they are of. Practice figures of workshops; the workshop's
// own pace replaces them.
var practice = []struct {
	work    string
	minutes float64
	each    string
}{
	{"level", 30, "space"}, {"measure", 45, "space"}, {"saw", 4, "panel or profile"}, {"edge", 4, "edge"},
	{"drill", 3, "hole"}, {"glue", 5, "joint"}, {"assemble", 6, "joint"}, {"frame", 4, "bracket"}, {"sand", 6, "m²"},
	{"paint", 8, "m² and coat"}, {"lining", 14, "m²"}, {"runners", 18, "pair"}, {"hinge", 10, "hinge"},
	{"weigh", 5, "part"}, {"fit", 25, "part"}, {"wire", 20, "line"}, {"plumb", 25, "tap or tank"}, {"torque", 1.5, "bracket"},
	{"clean", 60, "build"}, {"decide", 10, "question"},
}

// minutesOf is how long an operation takes each.
func minutesOf(work string, b *fitout.Build) float64 {
	for _, p := range b.Pace {
		if p.Work == work {
			return p.Minutes
		}
	}
	for k := range practice {
		if practice[k].work == work {
			return practice[k].minutes
		}
	}
	return 0
}

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
	Day     int      `json:"day" doc:"from 1"`
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

// Work is all steps in their order, and the ring of reasons if there is one.
type Work struct {
	Steps   []BuildStep
	Reasons []order.Reason // between the steps as they were gathered
	Ring    []string       // reasons that run in a ring, in words
	Days    int
	Hours   float64
	byID    map[string]int // of the steps as they were gathered
	steps   []BuildStep
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
	s := BuildStep{ID: id, Work: work, Module: of, Title: title, Minutes: math.Ceil(minutes), People: 1, Parts: []string{}, Takes: []string{},
		After: []string{}, Makers: []string{}}
	if change != nil {
		change(&s)
	}
	g.w.byID[id] = len(g.w.steps)
	g.w.steps = append(g.w.steps, s)
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
	g := &gather{l, &Work{byID: make(map[string]int, most), steps: make([]BuildStep, 0, most), Reasons: make([]order.Reason, 0, 2*most)}}
	b := &l.Job.Build
	min := func(work string) float64 { return minutesOf(work, b) }
	bays := map[string]bool{}
	for k := range l.List.Made {
		bay := l.List.Made[k].item.Bay
		if own := l.Bay(bay); own != nil && !bays[bay] {
			bays[bay] = true
			g.add("level", bay, "Level "+words.Lower(own.Name), min("level"), func(s *BuildStep) { s.Module, s.Tools = "", "jack, level" })
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
		for _, f := range m.item.Module.Fixings {
			for _, mount := range g.l.Vehicle.Mounts {
				if mount.ID == f.Mount && mount.Beneath != "" && mount.Beneath != "nothing" {
					s.Caution = "Before drilling at " + words.Lower(mount.Name) + ": beneath lies " + mount.Beneath + "."
				}
			}
		}
		if people > 1 {
			s.Caution = strings.TrimSpace(s.Caution + fmt.Sprintf(" %s: lift it with %d.", g.l.Say.Mass(m.Kg), people))
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

// made gathers how a part is built.
func (g *gather) made(m *Made) {
	b, id, d := &g.l.Job.Build, m.ID, m.item.Module
	each := func(work string) float64 { return minutesOf(work, b) }
	name := words.Lower(m.Name)
	skill := map[fitout.Material]string{fitout.Plywood: string(fitout.Joinery), fitout.FoamCore: string(fitout.Joinery),
		fitout.Aluminium: string(fitout.Metalwork), fitout.Extrusion: string(fitout.Metalwork)}[d.Wall]
	with := func(tools string, parts bool, takes ...string) func(*BuildStep) {
		return func(s *BuildStep) {
			s.Skill, s.Tools = skill, tools
			for _, t := range takes {
				if t != "" {
					s.Takes = append(s.Takes, t)
				}
			}
			if parts {
				for _, p := range m.Panels {
					s.Parts = append(s.Parts, g.l.List.Panels[p].Mark)
				}
				for _, r := range m.Rods {
					s.Parts = append(s.Parts, g.l.List.Rods[r].Mark)
				}
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
	g.add("saw", id, "Saw the panels of "+name, each("saw")*float64(len(m.Panels)+len(m.Rods)), with("panel saw; guard, eyes, ears, dust", true))
	if banded > 0 {
		g.add("edge", id, "Band the edges of "+name, each("edge")*float64(banded), with("iron or edge bander, flush cutter", false,
			fmt.Sprintf("%d edges", banded)))
	}
	if holes > 0 {
		g.add("drill", id, "Make the holes of "+name, each("drill")*float64(holes), with("drill, hole saw, router", false,
			fmt.Sprintf("%d holes and cut-outs", holes)))
	}
	if len(devices) > 0 {
		g.add("devices", id, "Put devices into the panels of "+name, 10*float64(len(devices)), func(s *BuildStep) { s.Parts = devices })
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
		g.add("paint", id, map[fitout.Finish]string{fitout.PaintFinish: "Paint ", fitout.OilFinish: "Oil "}[d.Finish]+name,
			each("paint")*2*area*b.Shop.Coats, func(s *BuildStep) {
				s.Skill, s.Tools, s.Wait, s.Why = string(fitout.Painting), "brush or gun; air and a mask", b.Shop.PaintDries, "the paint dries"
				s.Caution = "Oily rags heat up by themselves: into a closed tin, outside."
			})
	}
	lined := 0.0
	for _, lining := range m.anatomy.Linings {
		lined += lining.Area
	}
	if lined > 0 {
		g.add("lining", id, "Line "+name, each("lining")*lined, with("knife, roller", false, fmt.Sprintf("%.1f m² of lining", lined)))
	}
	if n := len(m.anatomy.Runners); n > 0 {
		var takes []string
		for _, r := range m.anatomy.Runners {
			takes = append(takes, fmt.Sprintf("runners %.0f", StandardRunner(b.Runners, r.Depth)))
		}
		g.add("runners", id, "Runners and drawers of "+name, each("runners")*float64(n), with("driver, spacers", false, takes...))
	}
	if n := hinges(m, &b.Shop); n > 0 {
		g.add("hinge", id, "Hang the lid or door of "+name, each("hinge")*float64(n), with("driver", false, fmt.Sprintf("%d hinges", n)))
	}
}

// framed gathers how a frame of profile is put together: what must be in a slot goes in before the slot is closed.
func (g *gather) framed(m *Made) {
	b := &g.l.Job.Build
	nuts, takes, parts, brackets := 0, []string{}, []string{}, 0
	for _, k := range m.Rods {
		r := &g.l.List.Rods[k]
		n := 0
		for _, of := range r.Nuts {
			n += of.Count
		}
		if r.Butts {
			brackets += 2
		}
		if n > 0 && r.Butts {
			nuts += n
			parts = append(parts, r.Mark)
			takes = append(takes, fmt.Sprintf("%d nuts into %s %s", n, r.Mark, r.Name))
		}
	}
	name := words.Lower(m.Name)
	if !b.Shop.SwingIn && nuts > 0 {
		g.add("nuts", m.ID, "Put slot nuts into the rails of "+name+" before they are closed", float64(nuts), func(s *BuildStep) {
			s.Parts, s.Takes, s.Skill = parts, takes, string(fitout.Metalwork)
			s.Caution = "A nut that is forgotten here costs taking the frame apart."
		})
	}
	g.add("frame", m.ID, "Put the frame of "+name+" together, panels into their slots", minutesOf("frame", b)*float64(brackets), func(s *BuildStep) {
		s.Skill, s.Tools = string(fitout.Metalwork), "hex keys, square"
		for _, k := range m.Rods {
			s.Parts = append(s.Parts, g.l.List.Rods[k].Mark)
		}
		for _, k := range m.Panels {
			s.Parts = append(s.Parts, g.l.List.Panels[k].Mark)
		}
		s.Takes = []string{fmt.Sprintf("%d brackets", brackets)}
	})
	g.add("torque", m.ID, "Tighten and mark the joints of "+name+"; again after the first roads", minutesOf("torque", b)*float64(brackets),
		func(s *BuildStep) { s.Tools, s.Skill = "torque key, marker, thread lock", string(fitout.Metalwork) })
}

// services gathers wires, hoses and what is connected at the end.
func (g *gather) services() {
	e, p, b := &g.l.Variant.Electrics, &g.l.Variant.Plumbing, &g.l.Job.Build
	lines := float64(len(e.Loads) + len(e.Sources) + len(e.Chargers) + len(e.Inverters) + len(e.Links))
	taps := float64(len(p.Outlets) + len(p.Pumps))
	if lines+taps == 0 {
		return
	}
	g.add("lay", "", "Lay wires and hoses, grommets where they pass metal", (minutesOf("wire", b)*lines+minutesOf("plumb", b)*taps)*0.6,
		func(s *BuildStep) { s.Tools = "cable shears, crimper, grommets, labels" })
	g.add("connect", "", "Connect lines and taps, and test them", (minutesOf("wire", b)*lines+minutesOf("plumb", b)*taps)*0.4,
		func(s *BuildStep) {
			if lines > 0 {
				s.Skill = string(fitout.Electric)
			}
			s.Caution = "Do not switch on until every line is fused and tested. Mains and gas belong to licensed people."
		})
	for k := range g.l.List.Made {
		m := &g.l.List.Made[k]
		if len(m.Panels) > 1 {
			g.before("lay", "fit/"+m.ID, "wires and hoses before the panels that hide them")
		}
		if m.item.Bay != "" {
			g.before("measure/"+m.item.Bay, "lay", "measured before holes are made")
		}
		g.before("fit/"+m.ID, "connect", "connected where it stands")
	}
}

// places gathers what follows from where the parts stand: what carries before what stands on it, what is behind
// before what closes its way in.
func (g *gather) places() {
	made := g.l.List.Made
	for a := range made {
		if made[a].item.Bay == "" || made[a].item.In != nil {
			continue
		}
		for b := range made {
			if a == b || made[a].item.Bay != made[b].item.Bay || made[b].item.In != nil {
				continue
			}
			x, y := made[a].Box, made[b].Box
			o := x.Overlap(y)
			if o.X > touching && o.Y > touching && math.Abs(y.From.Z-x.To.Z) < 3 {
				why := words.Lower(made[b].Name) + " stands on " + words.Lower(made[a].Name)
				if k := made[a].item.Module.Kind; k == fitout.FalseFloor {
					why = "floor before what stands on it"
				}
				g.before("fit/"+made[a].ID, "fit/"+made[b].ID, why)
				continue
			}
			if g.closes(&made[a], &made[b]) {
				g.before("fit/"+made[a].ID, "fit/"+made[b].ID, words.Lower(made[b].Name)+" closes the way in of "+words.Lower(made[a].Name))
			}
		}
	}
	for k := range made {
		if in := made[k].item.In; in != nil {
			g.before("fit/"+in.Module, "fit/"+made[k].ID, "it stands in it")
		}
	}
}

// closes tells whether a part stands in the straight way from a bay's opening to another.
func (g *gather) closes(behind, front *Made) bool {
	bay := g.l.Bay(behind.item.Bay)
	if bay == nil {
		return false
	}
	x, y := behind.Box, front.Box
	o := x.Overlap(y)
	switch bay.Opening.Face {
	case fitout.FaceRear:
		return o.Y > touching && o.Z > touching && y.From.X >= x.To.X-touching
	case fitout.FaceFront:
		return o.Y > touching && o.Z > touching && y.To.X <= x.From.X+touching
	case fitout.FaceLeft:
		return o.X > touching && o.Z > touching && y.To.Y <= x.From.Y+touching
	case fitout.FaceRight:
		return o.X > touching && o.Z > touching && y.From.Y >= x.To.Y-touching
	case fitout.FaceTop:
		return o.X > touching && o.Y > touching && y.From.Z >= x.To.Z-touching
	}
	return false
}

// decisions gathers questions that are open, and what waits for their answer.
func (g *gather) decisions() {
	b := &g.l.Job.Build
	for _, d := range b.Decisions {
		if d.Answer != "" {
			continue
		}
		id := g.add("decide", d.ID, d.Question, minutesOf("decide", b), func(s *BuildStep) {
			s.Module = ""
			if d.Who != "" {
				s.Takes = []string{"answered by " + d.Who}
			}
			if days, ok := daysBetween(b.Start, d.Until); ok && days > 0 {
				s.Wait, s.Why = float64(days)*24, "the answer comes by "+d.Until
			}
		})
		for _, work := range []string{"order", "saw"} {
			g.before(id, work+"/"+d.Before, "it is decided first: "+d.Question)
		}
		if _, made := g.w.byID["order/"+d.Before]; !made {
			g.before(id, "weigh/"+d.Before, "it is decided first: "+d.Question)
		}
	}
}

// daysBetween are the days from one date to another, as 2026-03-30.
func daysBetween(from, to string) (int, bool) {
	a, one := time.Parse(time.DateOnly, from)
	b, other := time.Parse(time.DateOnly, to)
	if one != nil || other != nil {
		return 0, false
	}
	return int(b.Sub(a).Hours() / 24), true
}

// workday is the date of a day of work from 0: Saturdays and Sundays are none.
func workday(start string, day int) string {
	at, err := time.Parse(time.DateOnly, start)
	if err != nil || day > 3000 {
		return ""
	}
	for off(at) {
		at = at.AddDate(0, 0, 1)
	}
	for range day {
		for at = at.AddDate(0, 0, 1); off(at); at = at.AddDate(0, 0, 1) {
		}
	}
	return at.Format(time.DateOnly)
}

func off(day time.Time) bool { return day.Weekday() == time.Saturday || day.Weekday() == time.Sunday }

// gathered are all steps with their reasons and hours, not yet in their order.
func (l *Look) gathered() *Work {
	if l.raw != nil {
		return l.raw
	}
	w := l.gatherWork()
	for i := range w.steps {
		w.Hours += w.steps[i].Minutes / 60 * float64(max(1, w.steps[i].People))
	}
	for _, r := range order.Ring(len(w.steps), w.Reasons) {
		w.Ring = append(w.Ring, fmt.Sprintf("%s before %s (%s)", w.steps[r.First].Title, words.Lower(w.steps[r.Then].Title), r.Why))
	}
	l.raw = w
	return w
}

// workOf puts all steps into their order.
func (l *Look) workOf() *Work {
	w := l.gathered()
	b := &l.Job.Build
	steps := make([]order.Step, len(w.steps))
	for i := range w.steps {
		s := &w.steps[i]
		steps[i] = order.Step{ID: s.ID, Minutes: s.Minutes, Wait: s.Wait, Skill: s.Skill, People: s.People}
		if s.Work == "weigh" {
			steps[i].Next = "fit/" + s.Module
		}
	}
	makers := order.Makers{Day: b.Shop.Day}
	for _, m := range b.Makers {
		makers.Skills = append(makers.Skills, string(m.Skill))
	}
	schedule := order.Sort(steps, w.Reasons, makers)
	after := make([][]string, len(w.steps))
	for _, r := range w.Reasons {
		if r.Why != "" {
			after[r.Then] = append(after[r.Then], w.steps[r.First].Title+": "+r.Why)
		}
	}
	for _, slot := range schedule.Slots {
		s := w.steps[slot.Step]
		s.Day, s.From, s.To = slot.Day+1, slot.From, slot.To
		s.Date = workday(b.Start, slot.Day)
		s.After = append(s.After, after[slot.Step]...)
		for _, who := range slot.Makers {
			if who < len(b.Makers) {
				s.Makers = append(s.Makers, b.Makers[who].Name)
			}
		}
		if n := l.noted(s.ID); n != nil {
			s.Done, s.Noted = n.Done, Noted{n.On, n.By, n.Minutes, n.Kg, n.Trouble}
		}
		w.Steps = append(w.Steps, s)
	}
	w.Days = schedule.Days
	return w
}

// noted is what was noted of a step, or nil.
func (l *Look) noted(step string) *fitout.StepDone {
	for i := range l.Variant.Done {
		if l.Variant.Done[i].Step == step {
			return &l.Variant.Done[i]
		}
	}
	return nil
}

// Learned is what the workshop really needs for an operation, by what was noted.
type Learned struct {
	Work    string  `json:"work"`
	Each    string  `json:"each" doc:"what the minutes are of"`
	Minutes float64 `json:"minutes" doc:"as planned"`
	Needed  float64 `json:"needed" doc:"by the steps that were noted; 0: none was"`
	Steps   int     `json:"steps" doc:"that were noted"`
	Own     bool    `json:"own" doc:"the planned minutes are the workshop's own"`
}

// learned compares what was noted with what was planned, operation by operation.
func (l *Look) learned() []Learned {
	w := l.Work()
	all := []Learned{}
	for _, p := range practice {
		o := Learned{Work: p.work, Each: p.each, Minutes: minutesOf(p.work, &l.Job.Build)}
		for _, own := range l.Job.Build.Pace {
			o.Own = o.Own || own.Work == p.work
		}
		planned, needed := 0.0, 0.0
		for i := range w.Steps {
			if s := &w.Steps[i]; s.Work == p.work && s.Noted.Minutes > 0 {
				planned, needed = planned+s.Minutes, needed+s.Noted.Minutes
				o.Steps++
			}
		}
		if planned > 0 {
			o.Needed = math.Round(o.Minutes*needed/planned*10) / 10
		}
		all = append(all, o)
	}
	return all
}

// PaceLearned is the workshop's pace with what was noted taken over.
func PaceLearned(p *plan.Plan) []fitout.Pace {
	pace := slices.Clone(p.Job.Build.Pace)
	for _, o := range LookAt(p).learned() {
		if o.Steps == 0 {
			continue
		}
		at := slices.IndexFunc(pace, func(own fitout.Pace) bool { return own.Work == o.Work })
		if at < 0 {
			pace, at = append(pace, fitout.Pace{Work: o.Work}), len(pace)
		}
		pace[at].Minutes = o.Needed
	}
	return pace
}
