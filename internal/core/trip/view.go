package trip

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// RangeView is the whole course of a trip, to be drawn along its way. Figures are estimates.
type RangeView struct {
	Typed     bool               `json:"typed" doc:"somebody entered the way; otherwise it is that of the brief"`
	Stops     []fitout.RouteStop `json:"route" doc:"the stops that were followed, those of the brief where nobody entered any"`
	Days      int                `json:"days" doc:"n nights are n + 1 days"`
	Vessels   []VesselView       `json:"vessels" doc:"in the order in which they are used up"`
	Limits    []LimitView        `json:"limits" doc:"what is stated of front, rear, gross and combination"`
	Points    []PointView        `json:"points" doc:"between two of them that follow each other all is linear in the km"`
	AtStops   []StopView         `json:"stops" doc:"in the order of the route"`
	OnLegs    []LegView          `json:"legs" doc:"one less"`
	Lacks     []LackView         `json:"lacks" doc:"what gives out"`
	Proposals []ProposalView     `json:"proposals" doc:"ways to fill fuel"`
	Fuel      float64            `json:"fuel" doc:"that all legs take, litres"`
	Cost      int                `json:"cost" doc:"of the fuel that is bought, in cents"`
}

// VesselView is one vessel.
type VesselView struct {
	ID       string          `json:"id"`
	Name     string          `json:"name"`
	Holds    fitout.Contents `json:"holds" enum:",fuel,drinking,wash,waste,gas,food,other"`
	Capacity float64         `json:"capacity" doc:"litres to the brim"`
	Full     float64         `json:"full" doc:"litres when it is full, with the room for expansion left free"`
	Unusable float64         `json:"unusable" doc:"litres"`
	Density  float64         `json:"density" doc:"kg/L"`
}

// LimitView is one limit.
type LimitView struct {
	ID    string  `json:"id" enum:"front,rear,gross,combination"`
	Title string  `json:"title"`
	Most  float64 `json:"most" doc:"kg"`
}

// PointView is a place on the way.
type PointView struct {
	Km     float64   `json:"km"`
	Leg    int       `json:"leg"`
	Levels []float64 `json:"levels" doc:"litres, in the order of the vessels"`
	Loads
}

// StopView is a stop as it is reached and left.
type StopView struct {
	Km     float64   `json:"km"`
	Open   bool      `json:"open" doc:"what it has can be had on that day"`
	Day    int       `json:"day" doc:"on which it is reached, from 1"`
	Leave  int       `json:"leave" doc:"day on which it is left"`
	Cold   float64   `json:"cold" doc:"coldest night, °C"`
	Arrive []float64 `json:"arrive" doc:"litres in each vessel on arriving"`
	Levels []float64 `json:"levels" doc:"and on leaving"`
	Filled []float64 `json:"filled" doc:"litres that go in, negative: out"`
	Fills  []bool    `json:"fills" doc:"the stop has what the vessel holds"`
	Cost   int       `json:"cost" doc:"of the fuel, in cents"`
	Towing bool      `json:"towing"`
	Tasks  []string  `json:"tasks" doc:"what to do there, in words"`
	Loads
}

// LegView is a leg as it is driven.
type LegView struct {
	Fuel    float64 `json:"fuel" doc:"litres"`
	Used    float64 `json:"used" doc:"L/100 km; 0 of a leg without a way"`
	Mass    float64 `json:"mass" doc:"gross on leaving, kg"`
	Reserve float64 `json:"reserve" doc:"that must be left at its end, litres"`
	Left    float64 `json:"left" doc:"that can be drawn at its end, litres"`
	Turn    float64 `json:"turn" doc:"km from the start beyond which there is not enough to go back to the last sure pump; 0: not on this leg"`
}

// LackView is something that gives out.
type LackView struct {
	Of   string  `json:"of" enum:"fuel,drinking,wash,waste,food,burner"`
	Km   float64 `json:"km"`
	Text string  `json:"text"`
}

// ProposalView is one way to fill fuel.
type ProposalView struct {
	Manner   Manner  `json:"manner" enum:"lightest,cheapest,axles"`
	Name     string  `json:"name"`
	Possible bool    `json:"possible"`
	Start    float64 `json:"start" doc:"fuel with which the start is left, litres"`
	Litres   float64 `json:"litres" doc:"bought in all"`
	Cost     int     `json:"cost" doc:"in cents"`
	Share    float64 `json:"share" doc:"greatest load over its limit on the way; 0: no limit is stated"`
	Told     string  `json:"told" doc:"what is worst of it, or why it is not possible"`
	Same     bool    `json:"same" doc:"it is what is planned now"`
}

// ViewOf follows the trip of a plan and proposes how to fill.
func ViewOf(p *plan.Plan) RangeView {
	l := LookAt(p)
	v := RangeView{
		Typed:     l.Typed,
		Stops:     l.C.Route.Stops,
		Days:      l.W.Days.Count(),
		Vessels:   []VesselView{},
		Limits:    []LimitView{},
		Points:    make([]PointView, len(l.W.Points)),
		AtStops:   make([]StopView, len(l.W.Stops)),
		OnLegs:    make([]LegView, len(l.W.Legs)),
		Lacks:     []LackView{},
		Proposals: []ProposalView{},
	}
	for i := range l.C.Vessels {
		w := &l.C.Vessels[i]
		v.Vessels = append(v.Vessels, VesselView{w.ID, w.Name, w.Holds, w.Capacity, w.Full, w.Unusable, w.Density})
	}
	for _, b := range l.C.bounds() {
		v.Limits = append(v.Limits, LimitView{b.id, b.title, b.most})
	}
	for i := range l.W.Points {
		point := &l.W.Points[i]
		v.Points[i] = PointView{point.Km, point.Leg, point.Levels, point.Loads}
	}
	for i := range l.W.Stops {
		v.AtStops[i] = l.stopView(i)
		v.Cost += l.W.Stops[i].Cost
	}
	for i := range l.W.Legs {
		leg := &l.W.Legs[i]
		v.OnLegs[i] = LegView{Fuel: leg.Fuel, Mass: leg.Mass, Reserve: leg.Reserve, Left: leg.Left}
		if km := l.stop(i).Leg.Km; km > 0 {
			v.OnLegs[i].Used = 100 * leg.Fuel / km
		}
		v.Fuel += leg.Fuel
	}
	for leg, km := range l.turns() {
		v.OnLegs[leg].Turn = km
	}
	for i := range l.W.Lacks {
		lack := &l.W.Lacks[i]
		v.Lacks = append(v.Lacks, LackView{string(lack.Of), lack.Km, l.lackText(lack)})
	}
	if len(l.C.fuel) > 0 {
		for _, manner := range Manners {
			v.Proposals = append(v.Proposals, l.proposalView(manner))
		}
	}
	return v
}

func (l *Look) stopView(i int) StopView {
	at := &l.W.Stops[i]
	v := StopView{Km: at.Km, Open: at.Open, Day: l.W.Days.Arrive[i], Leave: l.W.Days.Leave[i], Cold: l.C.ColdAt(i),
		Arrive: at.Arrive, Levels: at.Leave, Filled: at.Filled, Fills: make([]bool, len(l.C.Vessels)), Cost: at.Cost,
		Towing: at.Towing, Loads: at.Loads, Tasks: l.tasks(i)}
	for k := range l.C.Vessels {
		v.Fills[k] = l.C.Has(i, &l.C.Vessels[k])
	}
	return v
}

// tasks is what is done at a stop, in words.
func (l *Look) tasks(stop int) []string {
	tasks := []string{}
	at, s := &l.W.Stops[stop], l.stop(stop)
	for k := range l.C.Vessels {
		v := &l.C.Vessels[k]
		litres := at.Filled[k]
		switch {
		case v.Holds == fitout.HoldsWaste && litres < -0.05:
			tasks = append(tasks, "Empty "+words.Lower(v.Name))
		case litres > 0.05 && (v.Holds == fitout.HoldsGas || v.Holds == fitout.HoldsFood):
			tasks = append(tasks, fmt.Sprintf("Fill %s: %s", words.Lower(v.Name), l.Say.Mass(litres*v.Density)))
		case litres < -0.05:
			tasks = append(tasks, fmt.Sprintf("Start with %s in %s, not %s", l.Say.Volume(at.Leave[k]), words.Lower(v.Name),
				l.Say.Volume(at.Arrive[k])))
		case litres > 0.05:
			tasks = append(
				tasks,
				fmt.Sprintf("Fill %s to %s: %s", words.Lower(v.Name), l.Say.Volume(at.Leave[k]), l.Say.Volume(litres)),
			)
		case v.Holds == fitout.HoldsFuel && l.C.Has(stop, v) && at.Open && at.Leave[k] < v.Full-0.5 && stop < len(l.W.Legs):
			tasks = append(tasks, fmt.Sprintf("Leave %s at %s", words.Lower(v.Name), l.Say.Volume(at.Leave[k])))
		}
	}
	if at.Cost > 0 {
		tasks = append(
			tasks,
			fmt.Sprintf("Pay about %s %s", l.Job.Brief.Currency, words.Money(at.Cost, l.Job.Build.Money.Decimals)),
		)
	}
	if s.Sure == fitout.Unsure && len(s.Fuels) > 0 {
		tasks = append(tasks, "Ask before whether the pump works")
	}
	if math.Floor(s.Nights) > 0 && l.C.ColdAt(stop) < 0 {
		if steps := l.drain(); len(steps) > 0 {
			tasks = append(tasks, "Before the night, against frost: "+strings.Join(steps, "; "))
		}
	}
	if stop < len(l.W.Legs) {
		for _, p := range l.pressures() {
			if p.Leg == stop && (p.Front > 0 || p.Rear > 0) {
				told := "Tyres"
				if p.Front > 0 {
					told += " front " + l.Say.Pressure(p.Front)
				}
				if p.Rear > 0 {
					told += " rear " + l.Say.Pressure(p.Rear)
				}
				if p.Bags > 0 {
					told += ", bags " + l.Say.Pressure(p.Bags)
				}
				if p.Note != "" {
					told += ", " + p.Note
				}
				tasks = append(tasks, told)
			}
		}
	}
	return tasks
}

// turns are the places beyond which there is not enough fuel to go back to the last sure pump, by
// the leg on which they lie: what is left above the reserve there is what came here.
func (l *Look) turns() map[int]float64 {
	turns := map[int]float64{}
	for i := range l.W.Legs {
		if !l.C.planned(i) {
			continue
		}
		d := drawer{vessels: l.C.Vessels, levels: l.W.Stops[i].Leave}
		spare := d.left(l.C.fuel) - l.W.Legs[i].Reserve
		used := 0.0
		for k := i; k < len(l.W.Legs) && (k == i || !l.C.planned(k)); k++ {
			fuel := l.W.Legs[k].Fuel
			if 2*(used+fuel) > spare && fuel > 0 {
				share := max(0, (spare/2-used)/fuel)
				turns[k] = l.W.Stops[k].Km + share*l.stop(k).Leg.Km
				break
			}
			used += fuel
		}
	}
	return turns
}

var wantNames = map[Want]string{WantFuel: "Fuel", WantDrinking: "Drinking water", WantWash: "Water for washing",
	WantWaste: "Room for waste water", WantFood: "Food"}

func (l *Look) lackText(lack *Lack) string {
	name := wantNames[lack.Of]
	if burner, _, known := l.burns(lack.Burner); known {
		name = "What " + words.Lower(burner) + " burns"
	}
	return fmt.Sprintf("%s gives out %s", name, l.when(lack))
}

func (l *Look) proposalView(manner Manner) ProposalView {
	p := l.Propose(manner)
	v := ProposalView{Manner: manner, Name: MannerNames[manner], Possible: p.Refuse == nil && len(p.Fills) > 0}
	if p.Refuse != nil {
		v.Told = fmt.Sprintf("%s are missing between %s and %s with full tanks.", l.Say.Volume(p.Refuse.Lacking),
			l.stop(p.Refuse.From).Name, l.stop(min(p.Refuse.To, len(l.W.Legs))).Name)
		return v
	}
	if !v.Possible {
		v.Told = "No stop that is sure has fuel."
		return v
	}
	v.Same = true
	for _, k := range l.C.fuel {
		v.Start += p.Way.Stops[0].Leave[k]
	}
	for i := range p.Way.Stops {
		v.Cost += p.Way.Stops[i].Cost
		for _, k := range l.C.fuel {
			v.Litres += max(0, p.Way.Stops[i].Filled[k])
			if math.Abs(p.Way.Stops[i].Leave[k]-l.W.Stops[i].Leave[k]) > settled {
				v.Same = false
			}
		}
	}
	if p.Worst.Limit == "" {
		v.Told = "No axle limit is stated."
		return v
	}
	v.Share = p.Worst.Share()
	title := ""
	for _, b := range l.C.bounds() {
		if b.id == p.Worst.Limit {
			title = b.title
		}
	}
	left := p.Worst.Most - p.Worst.Load
	state := l.Say.Mass(left) + " left"
	if left < 0 {
		state = l.Say.Mass(-left) + " over"
	}
	v.Told = fmt.Sprintf("%s nearest: %s %s.", title, state, l.where(p.Worst.Km, p.Worst.Leg))
	if manner == WithinAxle && !p.Exact {
		v.Told = words.Sentences(
			v.Told,
			fmt.Sprintf("Best found with tanks used up one after the other; drawn from freely it could be "+
				"%s of the limit.", l.Say.Percent(p.Bound)),
		)
	}
	return v
}

// InAll is what a trip whose way somebody entered takes of fuel, litres, and the greatest load over
// its limit on the way; 0 where nobody did.
func InAll(p *plan.Plan) (fuel, share float64) {
	l := LookAt(p)
	if !l.Typed {
		return 0, 0
	}
	for i := range l.W.Legs {
		fuel += l.W.Legs[i].Fuel
	}
	if worst := l.C.worst(l.W); worst.Limit != "" {
		share = worst.Share()
	}
	return fuel, share
}

// CardLines are what to do at each stop, for the card; nothing where nobody entered the way.
func CardLines(p *plan.Plan) []string {
	l, lines := LookAt(p), []string{}
	if !l.Typed {
		return lines
	}
	for i := range l.W.Stops {
		if tasks := l.tasks(i); len(tasks) > 0 {
			lines = append(lines, fmt.Sprintf("%s, %s: %s.", l.stop(i).Name, l.Say.Distance(l.W.Stops[i].Km),
				words.Lower(strings.Join(tasks, "; "))))
		}
	}
	return lines
}

// PressureLines are what the workshop's table says that the tyres want in the state shown, for the
// card; nothing where it has no line.
func PressureLines(p *plan.Plan) []string {
	table, lines := p.Variant.Plumbing.Pressures, []string{}
	if len(table) == 0 {
		return lines
	}
	axles := p.Load.Axles()
	for _, of := range []struct {
		axle fitout.WhichAxle
		load float64
	}{{fitout.FrontAxle, axles.Front}, {fitout.RearAxle, axles.Rear}} {
		var said []string
		add := func(on, surface string, own bool) {
			line, known := Pressure(table, of.axle, surface, of.load)
			if !known || own && line.Surface == "" {
				return
			}
			text := on + p.Say.Pressure(line.KPa)
			if line.Bags > 0 {
				text += ", bags " + p.Say.Pressure(line.Bags)
			}
			if line.Note != "" {
				text += ", " + line.Note
			}
			said = append(said, text)
		}
		add("", "", false)
		for _, s := range p.Job.Brief.Surfaces {
			add("on "+words.Lower(s.Name)+" ", s.ID, true)
		}
		told := strings.Join(said, "; ")
		if told == "" {
			told = "not in the workshop's table"
		}
		lines = append(lines, fmt.Sprintf("Tyres %s, for %s: %s. Cold; the tyre maker's table has the last word.", of.axle,
			p.Say.Mass(of.load), told))
	}
	return lines
}
