package sense

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// limitOdd cautions of limits of which one cannot be: a part of the vehicle that may weigh more than the whole, less
// with brakes than without, more on the road than parked.
func limitOdd(p *plan.Plan) []fitout.Finding {
	l := &p.Given.Vehicle.Limits
	gross := p.Say.Term(fitout.TermGross)
	var found []fitout.Finding
	for _, pair := range []struct {
		id           fitout.LimitID
		less, more   fitout.Limit
		small, large string
	}{
		{fitout.LimitFrontAxle, l.FrontAxle, l.Gross, p.Say.Term(fitout.TermFrontAxle), gross},
		{fitout.LimitRearAxle, l.RearAxle, l.Gross, p.Say.Term(fitout.TermRearAxle), gross},
		{fitout.LimitCombination, l.Gross, l.Combination, gross, p.Say.Term(fitout.TermCombination)},
		{fitout.LimitTrailerUnbraked, l.TrailerUnbraked, l.TrailerBraked, "limit of a trailer without brakes", "limit of a trailer with brakes"},
		{fitout.LimitBall, l.Ball, l.TrailerBraked, p.Say.Term(fitout.TermBall), "limit of a trailer with brakes"},
		{fitout.LimitPlacard, l.Placard, l.Gross, p.Say.Term(fitout.TermPlacard), gross},
		{fitout.LimitRoofMoving, l.RoofMoving, l.RoofParked, "roof limit while driving", "roof limit while parked"},
	} {
		if pair.less.Kg == 0 || pair.more.Kg == 0 || pair.less.Kg <= pair.more.Kg {
			continue
		}
		f := about("limit-odd", "limit", string(pair.id))
		f.Title = fmt.Sprintf("%s is above %s", words.Capital(pair.small), pair.large)
		f.Sentence = fmt.Sprintf(
			"%s is entered as %s and %s as %s, which cannot be. Read the plate and papers again.",
			p.Say.Mass(pair.less.Kg),
			pair.small,
			p.Say.Mass(pair.more.Kg),
			pair.large,
		)
		f.Over(pair.less.Kg, pair.more.Kg, "kg")
		found = append(found, f)
	}
	for _, part := range []struct {
		id    fitout.LimitID
		limit fitout.Limit
		most  float64 // share of the gross limit; practice, wide of what is sold
		name  string
	}{
		{fitout.LimitCombination, l.Combination, 6, p.Say.Term(fitout.TermCombination)},
		{fitout.LimitTrailerBraked, l.TrailerBraked, 5, "limit of a trailer with brakes"},
		{fitout.LimitBall, l.Ball, 0.4, p.Say.Term(fitout.TermBall)},
		{fitout.LimitRoofMoving, l.RoofMoving, 0.3, "roof limit while driving"},
		{fitout.LimitRoofParked, l.RoofParked, 0.4, "roof limit while parked"},
	} {
		most := part.most * l.Gross.Kg
		if l.Gross.Kg == 0 || part.limit.Kg <= most {
			continue
		}
		f := about("limit-odd", "limit", string(part.id))
		f.Source = "practice"
		f.Title = fmt.Sprintf("%s is too high for this vehicle", words.Capital(part.name))
		f.Sentence = fmt.Sprintf(
			"%s is entered as %s, of a vehicle with %s (%s): more than %s is not sold. Read the plate and papers again.",
			p.Say.Mass(part.limit.Kg),
			part.name,
			p.Say.Mass(l.Gross.Kg),
			gross,
			p.Say.Mass(most),
		)
		f.Over(part.limit.Kg, most, "kg")
		found = append(found, f)
	}
	return found
}

// The share of an empty vehicle that stands on its front axle, where somebody assumed it. Practice, wide of what is
// sold.
const (
	leastFront = 0.35
	mostFront  = 0.75
)

// splitOdd cautions of an assumed split of the empty vehicle that none has.
func splitOdd(p *plan.Plan) []fitout.Finding {
	b := &p.Given.Vehicle.Baseline
	if b.Definition == fitout.AsWeighed || b.Split != fitout.SplitAssumed ||
		b.FrontShare >= leastFront && b.FrontShare <= mostFront {
		return nil
	}
	f := about("split-odd", "baseline", "")
	f.Title = "No vehicle stands like that"
	f.Sentence = fmt.Sprintf(
		"%s of the empty vehicle are assumed on its front axle; between %s and %s are usual. Every axle load "+
			"goes by it: weigh it axle by axle.",
		p.Say.Percent(b.FrontShare),
		p.Say.Percent(leastFront),
		p.Say.Percent(mostFront),
	)
	f.Source = "practice"
	outside(&f, 100*b.FrontShare, 100*leastFront, 100*mostFront, "%")
	return []fitout.Finding{f}
}

// leastEmpty is the share of the gross limit below which no vehicle that is driven weighs empty, and mostFuel the
// share of the empty vehicle above which no tank of it holds fuel. Practice, wide of what is sold.
const (
	leastEmpty = 0.3
	mostFuel   = 0.12
)

// baselineLight cautions of an empty vehicle that weighs less than a vehicle of its gross limit can: all that is
// left of its payload is not there.
func baselineLight(p *plan.Plan) []fitout.Finding {
	empty, gross := p.Load.Unladen.Kg, p.Given.Vehicle.Limits.Gross.Kg
	if empty <= 0 || gross == 0 || empty >= leastEmpty*gross {
		return nil
	}
	f := about("baseline-light", "baseline", "")
	f.Title = "The empty vehicle is too light"
	f.Sentence = fmt.Sprintf(
		"Without fuel and people it weighs %s by its baseline, of %s (%s): no vehicle carries so much more "+
			"than itself. Check the baseline, what was aboard when it was weighed, and the limit.",
		p.Say.Mass(empty),
		p.Say.Mass(gross),
		p.Say.Term(fitout.TermGross),
	)
	f.Under(empty, leastEmpty*gross, "kg")
	return []fitout.Finding{f}
}

// tankOdd cautions of a fuel tank of the vehicle that would hold more than any of its size does. Where the baseline
// was taken with a full tank, the empty vehicle is too light by it as well.
func tankOdd(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	empty := p.Load.Unladen.Kg
	for i := range p.Vehicle.Tanks {
		t := &p.Vehicle.Tanks[i]
		full := t.Capacity * t.Density
		// Of what the vehicle would weigh with it, so that a tank that eats up its own baseline is seen.
		if t.Kind != fitout.TankFuel || empty <= 0 || full <= mostFuel*(empty+full) {
			continue
		}
		f := about("tank-odd", "tank", t.ID)
		f.Title = words.Capital(t.Name) + " holds too much for this vehicle"
		f.Sentence = fmt.Sprintf(
			"%s of fuel weigh %s, beside %s of the empty vehicle. Read its capacity again; litres are not "+
				"gallons.",
			p.Say.Volume(t.Capacity),
			p.Say.Mass(full),
			p.Say.Mass(empty),
		)
		f.Over(full, mostFuel*(empty+full), "kg")
		found = append(found, f)
	}
	return found
}

// driverOdd cautions of a vehicle of whose seats not exactly one is the driver's.
func driverOdd(p *plan.Plan) []fitout.Finding {
	var names []string
	for i := range p.Vehicle.Seats {
		if p.Vehicle.Seats[i].Driver {
			names = append(names, words.Lower(p.Vehicle.Seats[i].Name))
		}
	}
	if len(names) == 1 || len(p.Vehicle.Seats) == 0 {
		return nil
	}
	f := about("driver-odd", "seat", p.Vehicle.Seats[0].ID)
	f.Title = "No seat is the driver's"
	if len(names) > 1 {
		f.Title = words.Capital(words.List(names)) + " are all the driver's"
	}
	f.Sentence = "One drives: who must reach what while driving, and what a reference mass has aboard, go by that seat. Say " +
		"which one it is."
	f.Value, f.Limit = float64(len(names)), 1
	for i := range p.Vehicle.Seats {
		s := &p.Vehicle.Seats[i]
		if (s.Driver || len(names) == 0) && len(f.Fixes) < mostDrivers {
			f.Fixes = append(f.Fixes, fitout.Fix{Label: words.Capital(s.Name) + " is the driver's",
				Edit: fitout.FixEdit{Kind: "driver-seat", ID: s.ID}})
		}
	}
	return []fitout.Finding{f}
}

// mostDrivers is how many seats are offered as the driver's.
const mostDrivers = 3

// besideSeat is how near the middles of two who sit side by side can be, mm. Practice: three on a narrow bench.
const besideSeat = 250.0

// seatTwice cautions of two seats in one place: one of them was entered twice or measured wrongly, and somebody
// would ride without one.
func seatTwice(p *plan.Plan) []fitout.Finding {
	seats := p.Vehicle.Seats
	var found []fitout.Finding
	for i := range seats {
		for k := range i {
			off := math.Hypot(seats[i].At.X-seats[k].At.X, seats[i].At.Y-seats[k].At.Y)
			if off >= besideSeat-words.Enough {
				continue
			}
			f := about("seat-twice", "seat", seats[i].ID)
			f.With = []string{seats[k].ID}
			f.Title = fmt.Sprintf("%s and %s are in one place", seats[i].Name, words.Lower(seats[k].Name))
			f.Sentence = fmt.Sprintf(
				"Their middles are %s apart, and two cannot sit nearer than %s. Remove one of them, or measure it again: they "+
					"lie %s too near.",
				p.Say.Length(off),
				p.Say.Length(besideSeat),
				p.Say.LengthAtLeast(besideSeat-off),
			)
			f.Under(off, besideSeat, "mm")
			f.Source = "practice"
			found = append(found, f)
			break
		}
	}
	return found
}
