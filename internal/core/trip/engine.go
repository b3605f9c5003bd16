package trip

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// TripFigures are what is said of the trip with every assessment; its whole course is asked for by
// itself. They are estimates.
type TripFigures struct {
	Typed   bool            `json:"typed" doc:"somebody entered the way; otherwise it is that of the brief"`
	Km      float64         `json:"km" doc:"km"`
	Days    int             `json:"days" doc:"n nights are n + 1 days"`
	Fuel    float64         `json:"fuel" doc:"litres"`
	Cost    int             `json:"cost" doc:"of the fuel that is bought, in cents"`
	Worst   []WorstOnWay    `json:"worst" doc:"where each limit is nearest"`
	Air     AirFigures      `json:"air"`
	Drain   []string        `json:"drain" doc:"what to do before frost, in its order; empty where no water is in the cold"`
	Warmers []WarmerFigures `json:"warmers" doc:"what warming water takes"`
	Pumps   []PumpFigures   `json:"pumps" doc:"what pumps take"`
	Taps    []TapFigures    `json:"taps" doc:"outlets by their own weight"`
	Legs    []LegPressure   `json:"pressures" doc:"what the tyres want on each leg, as far as the table says"`
}

// WorstOnWay is where one limit is nearest on the way.
type WorstOnWay struct {
	Limit string  `json:"limit" doc:"front, rear, gross or combination"`
	Load  float64 `json:"load" doc:"kg"`
	Most  float64 `json:"most" doc:"kg"`
	Km    float64 `json:"km"`
	Where string  `json:"where" doc:"in words"`
}

// TapFigures are what a tap by its own weight gives.
type TapFigures struct {
	ID    string  `json:"id"`
	Full  float64 `json:"full" doc:"with its tank full, L/min"`
	Third float64 `json:"third" doc:"with its tank a third full, L/min"`
	Empty float64 `json:"empty" doc:"seconds from full until it stops; 0: not known"`
}

// LegPressure is what the tyres want on a leg.
type LegPressure struct {
	Leg   int     `json:"leg"`
	Front float64 `json:"front" doc:"kPa; 0: the table does not say"`
	Rear  float64 `json:"rear" doc:"kPa; 0: the table does not say"`
	Bags  float64 `json:"bags" doc:"of helper bags, kPa; 0: none"`
	Note  string  `json:"note"`
}

// Engine follows the trip, and finds what of it cannot work.
func Engine() plan.Engine[TripFigures] {
	all := allRules()
	rules := make([]plan.Rule, len(all))
	for i, rule := range all {
		rules[i] = func(p *plan.Plan) []fitout.Finding { return rule(LookAt(p)) }
	}
	return plan.Engine[TripFigures]{Figures: func(p *plan.Plan) TripFigures { return figuresOf(LookAt(p)) }, Rules: rules}
}

func figuresOf(l *Look) TripFigures {
	f := TripFigures{Typed: l.Typed, Km: l.C.Route.Km(), Days: l.W.Days.Count(), Air: l.air(), Drain: l.drain(),
		Worst: []WorstOnWay{}, Taps: l.taps(), Warmers: l.warming(), Pumps: l.Pumping(), Legs: l.pressures()}
	if f.Drain == nil {
		f.Drain = []string{}
	}
	for i := range l.W.Legs {
		f.Fuel += l.W.Legs[i].Fuel
	}
	for i := range l.W.Stops {
		f.Cost += l.W.Stops[i].Cost
	}
	for _, w := range l.C.WorstOf(l.W) {
		f.Worst = append(f.Worst, WorstOnWay{w.Limit, w.Load, w.Most, w.Km, l.where(w.Km, w.Leg)})
	}
	return f
}

func (l *Look) taps() []TapFigures {
	all := []TapFigures{}
	l.byWeight(func(o *fitout.Outlet, v *Vessel, bottom, high float64) []fitout.Finding {
		f := TapFigures{ID: o.ID}
		if o.Bore > 0 {
			c := TapCoefficient(o.Loss, o.Hose*1000, o.Bore)
			above := func(share float64) float64 { return max(0, bottom+share*high-o.At.Z) / 1000 }
			f.Full, f.Third = TapFlow(c, o.Bore, above(1)), TapFlow(c, o.Bore, above(1.0/3))
			area := v.Said.Plan
			if box, known := l.box(v); known && area == 0 {
				area = (box.To.X - box.From.X) * (box.To.Y - box.From.Y) / 1e6
			}
			f.Empty = TapTime(area, c, o.Bore, above(1), above(0))
		}
		all = append(all, f)
		return nil
	})
	return all
}

// pressures are what the tyres want on each leg, leaving its stop.
func (l *Look) pressures() []LegPressure {
	all := []LegPressure{}
	table := l.Variant.Plumbing.Pressures
	if len(table) == 0 {
		return all
	}
	for i := range l.W.Legs {
		loads, surface := &l.W.Stops[i].Loads, l.C.surface(i)
		f := LegPressure{Leg: i}
		if line, known := Pressure(table, fitout.FrontAxle, surface, loads.Front); known {
			f.Front, f.Bags, f.Note = line.KPa, line.Bags, line.Note
		}
		if line, known := Pressure(table, fitout.RearAxle, surface, loads.Rear); known {
			f.Rear, f.Bags = line.KPa, max(f.Bags, line.Bags)
			if line.Note != "" {
				f.Note = line.Note
			}
		}
		all = append(all, f)
	}
	return all
}
