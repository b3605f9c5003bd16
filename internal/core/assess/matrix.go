package assess

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/rating"
)

// column is one limit of the matrix, with what it holds against it in a state.
type column struct {
	LimitColumn
	of    func(f *stateFigures) float64
	count load.Count // greatest in the state that is worst for it; nil for what is for information
}

// by counts a form of all moments.
func by(f load.Form) load.Count {
	return func(_ load.Of, m load.Moments) float64 { return f.Of(m) }
}

// massBy counts the mass of the items that pass.
func (s *subject) massBy(passes func(item *fitout.Item) bool) load.Count {
	return func(of load.Of, m load.Moments) float64 {
		if of.Item < 0 || !passes(&s.variant.Items[of.Item]) {
			return 0
		}
		return m.Kg
	}
}

// stateFigures are what the columns are worked out from, in one state.
type stateFigures struct {
	state   *load.State
	moments load.Moments // without trailer
	axles   load.Axles   // with it, where it is coupled
	corners load.Corners
	ball    float64 // kg; 0 uncoupled
	trailer float64 // mass of the coupled trailer, kg
	people  float64
}

func (s *subject) figuresIn(state *load.State) *stateFigures {
	f := &stateFigures{state: state, moments: s.plan.MomentsIn(state)}
	f.axles = f.moments.Axles(s.plan.Wheelbase)
	f.corners = f.moments.Corners(s.plan.Wheelbase, s.plan.TrackFront, s.plan.TrackRear)
	if state.Coupled && s.plan.Trailer != nil {
		f.axles = f.axles.Plus(s.plan.Towing.Vehicle)
		f.ball, f.trailer = s.job.Trailer.Ball, s.job.Trailer.Mass+f.moments.Towed
	}
	for i := range s.variant.Items {
		if item := &s.variant.Items[i]; item.Seat != "" && isTraveller(item) {
			if _, aboard := s.plan.In(i, state); aboard {
				f.people++
			}
		}
	}
	return f
}

// columns are the limits that a case is held against, in the order of the matrix:
// those of the pads, what else plates and papers state, ratings of places, the
// workshop's rules of balance, and what is shown for information.
func (s *subject) columns() []column {
	all := s.padColumns()
	all = append(all, s.tyreColumns()...)
	all = append(all, s.towingColumns()...)
	all = append(all, s.placeColumns()...)
	return append(all, s.balanceColumns()...)
}

func (s *subject) padColumns() []column {
	var all []column
	for i := range s.limits {
		l := &s.limits[i]
		all = append(all, column{LimitColumn{ID: l.id, Title: l.title, Limit: l.limit.Kg, Unit: "kg", Note: l.told()}, func(f *stateFigures) float64 {
			return l.form.Of(f.moments) + s.plan.Towed(l.form, f.state)
		}, by(l.form)})
	}
	if gross, empty := s.rating(fitout.LimitGross), s.plan.Unladen.Kg; gross.Kg > 0 {
		all = append(all, column{LimitColumn{ID: "payload", Title: "Payload", Limit: gross.Kg - empty, Unit: "kg", Note: "what the gross leaves for all that is put on the vehicle as it stands empty and dry"},
			func(f *stateFigures) float64 { return f.axles.Gross() - empty }, by(s.plan.GrossForm())})
	}
	if r := s.rating(fitout.LimitPlacard); r.Kg > 0 {
		all = append(all, column{LimitColumn{ID: "placard", Title: capital(s.say.term(fitout.TermPlacard)), Limit: r.Kg, Unit: "kg", Note: "people, fitout, cargo and what the trailer puts on the ball"},
			func(f *stateFigures) float64 { return s.peopleAndCargoIn(f.state) }, s.placardCount})
	}
	return all
}

func (s *subject) tyreColumns() []column {
	var all []column
	for _, axle := range []fitout.WhichAxle{fitout.FrontAxle, fitout.RearAxle} {
		tyre, _ := rating.TyreOn(&s.job.Vehicle, axle)
		kg, known := rating.AxleKg(tyre)
		if !known {
			continue
		}
		all = append(all, column{LimitColumn{ID: "tyres-" + string(axle), Title: fmt.Sprintf("%ss, %s", capital(s.say.term(fitout.TermTyre)), axle), Limit: kg, Unit: "kg", Note: fmt.Sprintf("load index %d on every wheel of the axle", tyre.Index)},
			func(f *stateFigures) float64 {
				if axle == fitout.FrontAxle {
					return f.axles.Front
				}
				return f.axles.Rear
			}, by(map[fitout.WhichAxle]load.Form{fitout.FrontAxle: s.plan.FrontForm(), fitout.RearAxle: s.plan.RearForm()}[axle])})
	}
	return all
}

func (s *subject) towingColumns() []column {
	t := s.job.Trailer
	if t == nil {
		return nil
	}
	title := "Trailer, unbraked"
	if t.Braked {
		title = "Trailer, braked"
	}
	tow, ball := s.towRating(), s.rating(fitout.LimitBall)
	share := func(f *stateFigures) float64 { return 100 * f.ball / max(1, f.trailer) }
	all := []column{
		{LimitColumn{ID: "trailer", Title: title, Limit: tow.Kg, Unit: "kg", Note: "uncoupled, with what rides on it; the limit of " + s.bindsOrVehicle(tow)}, func(f *stateFigures) float64 { return f.trailer }, by(load.Form{Towed: 1})},
		{LimitColumn{ID: "ball", Title: capital(s.say.term(fitout.TermBall)), Limit: ball.Kg, Unit: "kg", Note: "the limit of " + s.bindsOrVehicle(ball)}, func(f *stateFigures) float64 { return f.ball }, by(load.Form{Towed: 1})},
		{LimitColumn{ID: "ball-most", Title: "Ball share", Limit: 100 * s.job.Practice.BallMost, Unit: "%", Note: "of the trailer's mass; workshop rule"}, share, s.ballCount(-1)},
		{LimitColumn{ID: "ball-least", Title: "Ball share", Limit: 100 * s.job.Practice.BallLeast, Least: true, Unit: "%", Note: "of the trailer's mass; workshop rule"}, share, s.ballCount(1)},
	}
	for i := range all {
		all[i].Towing = true
	}
	return all
}

func (s *subject) placeColumns() []column {
	var all []column
	onRoof := func(item *fitout.Item) bool { return s.onRoof(item.Bay) }
	roof := func(f *stateFigures) float64 { return s.aboard(f.state, onRoof) }
	if r := s.rating(fitout.LimitRoofMoving); r.Kg > 0 {
		all = append(all, column{LimitColumn{ID: "roof", Title: "Roof, moving", Limit: r.Kg, Unit: "kg", Note: "the limit of " + s.bindsOrRoof(r.Limit)}, roof, s.massBy(onRoof)})
	}
	if r := s.rating(fitout.LimitRoofParked); r.Kg > 0 {
		all = append(all, column{LimitColumn{ID: "roof-parked", Title: "Roof, parked", Limit: r.Kg, Unit: "kg", Note: "with those who sleep up there"}, func(f *stateFigures) float64 {
			return roof(f) + s.roofSleepers()
		}, s.massBy(onRoof)})
	}
	for i := range s.job.Vehicle.Bays {
		if b := &s.job.Vehicle.Bays[i]; b.Rating > 0 && b.Kind != fitout.BayRoof {
			inBay := func(item *fitout.Item) bool { return item.Bay == b.ID }
			all = append(all, column{LimitColumn{ID: "bay:" + b.ID, Title: b.Name, Limit: b.Rating, Unit: "kg", Note: "its rating"},
				func(f *stateFigures) float64 { return s.aboard(f.state, inBay) }, s.massBy(inBay)})
		}
	}
	return all
}

func (s *subject) balanceColumns() []column {
	practice := &s.job.Practice
	_, unladen := load.Stability(s.plan.TrackFront, s.plan.TrackRear, max(1, s.plan.Unladen.Centre().Z))
	onGrade := func(f *stateFigures) load.Axles { return f.moments.OnGrade(s.plan.Wheelbase, gradeDegrees) }
	grade := fmt.Sprintf("nose up %d°, without trailer; for grip and braking feel, never held against a rating", gradeDegrees)
	return []column{
		{LimitColumn{ID: "front-share", Title: "Front share", Limit: 100 * practice.FrontShare, Least: true, Unit: "%", Note: "of the gross; workshop rule"}, func(f *stateFigures) float64 {
			return 100 * f.axles.Front / max(1, f.axles.Gross())
		}, by(s.plan.FrontShareForm(practice.FrontShare))},
		{LimitColumn{ID: "sides", Title: "Sides differ", Limit: 100 * practice.SideShare, Unit: "%", Note: "of the gross; an estimate; workshop rule"}, func(f *stateFigures) float64 {
			return 100 * math.Abs(f.corners.Left()-f.corners.Right()) / max(1, f.moments.Kg)
		}, s.sidesCount()},
		{LimitColumn{ID: "tip", Title: "Tip angle lost", Limit: practice.TipLoss, Unit: "°", Note: "of the unladen vehicle's side tip angle, an upper bound; workshop rule"}, func(f *stateFigures) float64 {
			_, tip := load.Stability(s.plan.TrackFront, s.plan.TrackRear, max(1, f.moments.Centre().Z))
			return unladen - tip
		}, by(s.plan.TipForm(unladen - practice.TipLoss))},
		{LimitColumn{ID: "seats", Title: "Seats", Limit: float64(len(s.job.Vehicle.Seats)), Unit: "people", Note: "people and animals in seats"}, func(f *stateFigures) float64 { return f.people }, s.peopleCount},
		{LimitColumn{ID: "grade-front", Title: "Front, nose up", Info: true, Unit: "kg", Note: grade}, func(f *stateFigures) float64 { return onGrade(f).Front }, nil},
		{LimitColumn{ID: "grade-rear", Title: "Rear, nose up", Info: true, Unit: "kg", Note: grade}, func(f *stateFigures) float64 { return onGrade(f).Rear }, nil},
	}
}

// placardCount is the mass that a placard counts.
func (s *subject) placardCount(of load.Of, m load.Moments) float64 {
	switch {
	case of.Item >= 0, of.Tank >= 0 && s.job.Vehicle.Tanks[of.Tank].Kind != fitout.TankFuel:
		return m.Kg
	case m.Towed > 0: // the trailer
		return m.Kg
	}
	return 0
}

// ballCount is worst for the share of the ball where the coupled trailer carries
// most (1) or least (−1).
func (s *subject) ballCount(sign float64) load.Count {
	return func(of load.Of, m load.Moments) float64 {
		if of.Item < 0 {
			return m.Towed // coupled at all
		}
		return sign * m.Towed
	}
}

// sidesCount is by how much a side is heavier than it may be, of the two sides the
// one that can be worse.
func (s *subject) sidesCount() load.Count {
	left, right := s.sideForm(true), s.sideForm(false)
	if s.plan.Worst(right).Value > s.plan.Worst(left).Value {
		return by(right)
	}
	return by(left)
}

func (s *subject) peopleCount(of load.Of, m load.Moments) float64 {
	if of.Item >= 0 && m.Kg > 0 && s.variant.Items[of.Item].Seat != "" && isTraveller(&s.variant.Items[of.Item]) {
		return 1
	}
	return 0
}

// worst puts the exact worst state of each limit into its column.
func (s *subject) worst(columns []column) {
	for i := range columns {
		c := &columns[i]
		if c.count == nil {
			continue
		}
		state := s.plan.WorstBy(c.count)
		c.Worst = &WorstOf{CaseCell: cell(c.of(s.figuresIn(&state)), &c.LimitColumn, s.job.Practice.Close), Words: s.say.state(s.variant, state)}
	}
}

// spread is how sure the loads on the pads are, in any state.
func (s *subject) spread() *load.Spread {
	if s.spreads == nil {
		forms := make([]load.Form, len(s.limits))
		for i := range s.limits {
			forms[i] = s.limits[i].form
		}
		s.spreads = load.NewSpread(s.plan, forms, s.baseline, &s.job.Practice.Uncertainty)
	}
	return s.spreads
}

func (s *subject) caseFigures(id, at, name string, state *load.State, columns []column) CaseFigures {
	c := CaseFigures{ID: id, At: at, Name: name, State: s.say.state(s.variant, *state), Cells: make([]CaseCell, len(columns))}
	figures := s.figuresIn(state)
	sigmas := s.spread().In(state)
	for i := range columns {
		if columns[i].Towing && !state.Coupled {
			c.Cells[i].State = "absent" // there is nothing to hold against it
			continue
		}
		c.Cells[i] = cell(columns[i].of(figures), &columns[i].LimitColumn, s.job.Practice.Close)
		if i < len(sigmas) { // the pads come first
			c.Cells[i].Sigma = sigmas[i]
		}
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

// roofSleepers is what those weigh who sleep on the roof, kg.
func (s *subject) roofSleepers() float64 {
	if s.job.Brief.Camp.SleepWhere != fitout.SleepRoof {
		return 0
	}
	sum := 0.0
	for _, t := range s.job.Brief.Travellers {
		if t.Sleeps {
			sum += t.Mass
		}
	}
	return sum
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
	const rounding = 1e-9
	switch {
	case c.Limit == 0:
		out.Left, out.State = 0, "unknown"
	case out.Left < -rounding:
		out.State = "over"
	case out.Left < closeShare*c.Limit && c.Unit == "kg":
		out.State = "close"
	}
	return out
}
