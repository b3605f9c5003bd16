package assess

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
)

// LoadFigures answer in every state that it will be driven in, how sure, and
// what happens as it is used up.
type LoadFigures struct {
	Columns    []LimitColumn `json:"columns" doc:"the limits, in the order of the cells"`
	Cases      []CaseFigures `json:"cases" doc:"the state shown, each case, and the exact worst of each limit"`
	Confidence []LimitBand   `json:"confidence"`
	Curve      []CurvePoint  `json:"curve" doc:"from everything full to everything empty"`
	Turns      []string      `json:"turns" doc:"where along it a limit is passed or the front becomes too light"`
}

// LimitColumn is one limit of the matrix.
type LimitColumn struct {
	ID    string  `json:"id"`
	Title string  `json:"title"`
	Limit float64 `json:"limit" doc:"in unit; 0 = not stated"`
	Least bool    `json:"least" doc:"a least that has to be reached, not a most"`
	Unit  string  `json:"unit" enum:"kg,%"`
}

// CaseFigures is one row of the matrix.
type CaseFigures struct {
	ID    string     `json:"id" doc:"of the case; empty for the state shown and the worst states"`
	Name  string     `json:"name"`
	State string     `json:"state" doc:"the state in words"`
	Cells []CaseCell `json:"cells"`
}

// CaseCell is one limit in one case.
type CaseCell struct {
	Load  float64 `json:"load" doc:"in the column's unit"`
	Left  float64 `json:"left" doc:"what is left; negative is over, or missing"`
	State string  `json:"state" enum:"within,close,over,unknown"`
}

// LimitBand is how sure a load is.
type LimitBand struct {
	ID        string      `json:"id"`
	Title     string      `json:"title"`
	Load      float64     `json:"load" doc:"kg"`
	Limit     float64     `json:"limit" doc:"kg; 0 = not stated"`
	Sigma     float64     `json:"sigma" doc:"kg"`
	Over      float64     `json:"over" doc:"probability of being over in the state shown, 0 to 1"`
	Likeliest float64     `json:"likeliest" doc:"probability of being over in the likeliest state that was found"`
	State     string      `json:"state" doc:"that state, in words"`
	Next      []WeighNext `json:"next" doc:"what to weigh next, by what it buys"`
}

// WeighNext is one thing that could be weighed.
type WeighNext struct {
	ID    string  `json:"id"`
	Name  string  `json:"name"`
	After float64 `json:"after" doc:"σ of the load after it, kg"`
	Over  float64 `json:"over" doc:"probability of being over after it, if it weighs what it is taken to"`
}

// CurvePoint is one step of using up.
type CurvePoint struct {
	Of     string  `json:"of" doc:"name of the tank or vessel that was used last; empty for full"`
	Litres float64 `json:"litres" doc:"of it that is left"`
	Front  float64 `json:"front" doc:"kg"`
	Rear   float64 `json:"rear" doc:"kg"`
	Gross  float64 `json:"gross" doc:"kg"`
	Share  float64 `json:"share" doc:"front axle of the gross, 0 to 1"`
}

// mostNext is how many things to weigh are named.
const mostNext = 5

// LoadOf looks at the load of a job's chosen variant in all its cases.
func LoadOf(j *fitout.Job) LoadFigures {
	s := newSubject(j)
	f := LoadFigures{Cases: []CaseFigures{}, Confidence: []LimitBand{}, Turns: []string{}}
	f.Columns = s.columns()
	shown := s.plan.Shown()
	f.Cases = append(f.Cases, s.caseFigures("", "State shown", &shown, f.Columns))
	for i := range s.variant.Cases {
		c := &s.variant.Cases[i]
		state := s.plan.Case(c)
		f.Cases = append(f.Cases, s.caseFigures(c.ID, c.Name, &state, f.Columns))
	}
	for i := range s.limits {
		l := &s.limits[i]
		f.Cases = append(f.Cases, s.caseFigures("", "Worst for "+lower(l.title), &l.worst, f.Columns))
		f.Confidence = append(f.Confidence, s.band(l))
	}
	share := s.plan.Worst(s.plan.FrontShareForm(s.job.Practice.FrontShare))
	f.Cases = append(f.Cases, s.caseFigures("", "Lightest front", &share, f.Columns))
	f.Curve, f.Turns = s.curve()
	return f
}

func (s *subject) columns() []LimitColumn {
	var all []LimitColumn
	for i := range s.limits {
		all = append(all, LimitColumn{ID: s.limits[i].id, Title: s.limits[i].title, Limit: s.limits[i].limit.Kg, Unit: "kg"})
	}
	for _, more := range []struct {
		id    string
		limit fitout.LimitID
		title string
	}{{"placard", fitout.LimitPlacard, capital(s.say.term(fitout.TermPlacard))}, {"ball", fitout.LimitBall, capital(s.say.term(fitout.TermBall))}, {"roof", fitout.LimitRoofMoving, "Roof, moving"}} {
		if r := s.rating(more.limit); r.Kg > 0 && (more.id != "ball" || s.job.Trailer != nil) {
			all = append(all, LimitColumn{ID: more.id, Title: more.title, Limit: r.Kg, Unit: "kg"})
		}
	}
	for i := range s.job.Vehicle.Bays {
		if b := &s.job.Vehicle.Bays[i]; b.Rating > 0 && b.Kind != fitout.BayRoof {
			all = append(all, LimitColumn{ID: "bay:" + b.ID, Title: b.Name, Limit: b.Rating, Unit: "kg"})
		}
	}
	all = append(all, LimitColumn{ID: "front-share", Title: "Front share", Limit: 100 * s.job.Practice.FrontShare, Least: true, Unit: "%"},
		LimitColumn{ID: "sides", Title: "Sides differ", Limit: 100 * s.job.Practice.SideShare, Unit: "%"})
	return all
}

func (s *subject) caseFigures(id, name string, state *load.State, columns []LimitColumn) CaseFigures {
	c := CaseFigures{ID: id, Name: name, State: s.say.state(s.variant, *state)}
	m := s.plan.MomentsIn(state)
	axles := m.Axles(s.plan.Wheelbase)
	if state.Coupled && s.plan.Trailer != nil {
		axles = axles.Plus(s.plan.Towing.Vehicle)
	}
	corners := m.Corners(s.plan.Wheelbase, s.plan.TrackFront, s.plan.TrackRear)
	for i, column := range columns {
		value := 0.0
		switch column.ID {
		case "front-share":
			value = 100 * axles.Front / max(1, axles.Gross())
		case "sides":
			value = 100 * math.Abs(corners.Left()-corners.Right()) / max(1, m.Kg)
		case "placard":
			value = s.peopleAndCargoIn(state)
		case "ball":
			if state.Coupled {
				value = s.job.Trailer.Ball
			}
		case "roof":
			value = s.aboard(state, func(item *fitout.Item) bool { return s.onRoof(item.Bay) })
		default:
			if bay, ok := strings.CutPrefix(column.ID, "bay:"); ok {
				value = s.aboard(state, func(item *fitout.Item) bool { return item.Bay == bay })
				break
			}
			value = s.limits[i].form.Of(m) + s.plan.Towed(s.limits[i].form, state)
		}
		c.Cells = append(c.Cells, cell(value, &column, s.job.Practice.Close))
	}
	return c
}

// aboard is the mass of what is aboard in a state and passes, kg.
func (s *subject) aboard(state *load.State, passes func(item *fitout.Item) bool) float64 {
	sum := 0.0
	for i := range s.variant.Items {
		if thing, ok := s.plan.In(i, state); ok && passes(&s.variant.Items[i]) {
			sum += thing.Mass.Kg
		}
	}
	return sum
}

// onRoof tells whether a bay is a roof.
func (s *subject) onRoof(bay string) bool {
	for i := range s.job.Vehicle.Bays {
		if b := &s.job.Vehicle.Bays[i]; b.ID == bay {
			return b.Kind == fitout.BayRoof
		}
	}
	return false
}

// peopleAndCargoIn is what a door placard counts, in a state: everything aboard,
// what is in tanks other than fuel, and the ball.
func (s *subject) peopleAndCargoIn(state *load.State) float64 {
	sum := s.aboard(state, func(*fitout.Item) bool { return true })
	for _, tank := range s.job.Vehicle.Tanks {
		if tank.Kind != fitout.TankFuel {
			sum += state.TankFills[tank.ID] * tank.Density
		}
	}
	if state.Coupled && s.job.Trailer != nil {
		sum += s.job.Trailer.Ball
	}
	return sum
}

func cell(value float64, c *LimitColumn, closeShare float64) CaseCell {
	out := CaseCell{Load: value, Left: c.Limit - value, State: "within"}
	if c.Least {
		out.Left = -out.Left
	}
	switch {
	case c.Limit == 0:
		out.Left, out.State = 0, "unknown"
	case out.Left < 0:
		out.State = "over"
	case out.Left < closeShare*c.Limit:
		out.State = "close"
	}
	return out
}

func (s *subject) band(l *limit) LimitBand {
	b := LimitBand{ID: l.id, Title: l.title, Load: l.load, Limit: l.limit.Kg, Sigma: l.sigma, Next: []WeighNext{}}
	u := &s.job.Practice.Uncertainty
	if l.stated() {
		b.Over = load.Over(l.load, l.limit.Kg, l.sigma)
		state, likely := s.plan.Likeliest(l.form, l.limit.Kg, s.baseline, u)
		b.Likeliest, b.State = likely, s.say.state(s.variant, state)
	}
	next := load.Next(l.form, s.plan.Errors(s.baseline, u, nil))
	for _, n := range next[:min(len(next), mostNext)] {
		item := &s.variant.Items[n.Item]
		w := WeighNext{ID: item.ID, Name: item.Name, After: n.After}
		if l.stated() {
			w.Over = load.Over(l.load, l.limit.Kg, n.After)
		}
		b.Next = append(b.Next, w)
	}
	return b
}

// curve is the way from full to empty, with what happens on it.
func (s *subject) curve() ([]CurvePoint, []string) {
	gains, loses := map[string]bool{}, map[string]bool{}
	names := map[string]string{}
	for i := range s.job.Vehicle.Tanks {
		names[s.job.Vehicle.Tanks[i].ID] = s.job.Vehicle.Tanks[i].Name
	}
	for i := range s.variant.Items {
		item := &s.variant.Items[i]
		names[item.ID] = item.Name
		if item.Module != nil && item.Module.Kind == fitout.WasteTank {
			gains[item.ID] = true
		} else if item.Module != nil && module.Of(item.Module.Kind).Form == fitout.FormTank && item.Module.Kind == fitout.WaterTank {
			loses[item.ID] = true
		}
	}
	var points []CurvePoint
	var turns []string
	rear := s.rating(fitout.LimitRearAxle).Kg
	least := s.job.Practice.FrontShare
	for i, step := range s.plan.UseUp(gains, loses) {
		axles := s.plan.MomentsIn(&step.State).Axles(s.plan.Wheelbase)
		if step.State.Coupled && s.plan.Trailer != nil {
			axles = axles.Plus(s.plan.Towing.Vehicle)
		}
		p := CurvePoint{Of: names[step.Of], Litres: step.Litres, Front: axles.Front, Rear: axles.Rear, Gross: axles.Gross(), Share: axles.Front / max(1, axles.Gross())}
		if i > 0 {
			before := points[i-1]
			at := fmt.Sprintf("with %s left in %s", s.say.volume(step.Litres), lower(p.Of))
			if before.Share >= least && p.Share < least {
				turns = append(turns, fmt.Sprintf("The front becomes too light to steer, below %.0f %% of the gross, %s.", 100*least, at))
			}
			if rear > 0 && before.Rear <= rear && p.Rear > rear {
				turns = append(turns, fmt.Sprintf("The rear axle passes its limit of %s, %s.", s.say.mass(rear), at))
			}
			if rear > 0 && before.Rear > rear && p.Rear <= rear {
				turns = append(turns, fmt.Sprintf("The rear axle comes within its limit of %s, %s.", s.say.mass(rear), at))
			}
		}
		points = append(points, p)
	}
	if turns == nil {
		turns = []string{}
	}
	return points, turns
}
