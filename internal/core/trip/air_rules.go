package trip

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// AirFigures are what comes of the compressor and its hose. They are estimates.
type AirFigures struct {
	Minutes   float64      `json:"minutes" doc:"to fill all tyres, with the compressor running; 0: not enough is said"`
	WithRests float64      `json:"withRests" doc:"and with the rests that it wants, minutes"`
	Volume    float64      `json:"volume" doc:"of one tyre, L; 0: not enough is said"`
	Wheels    []WheelReach `json:"wheels" doc:"what hose each wheel wants from the nearest coupling"`
}

// WheelReach is the hose that a wheel wants.
type WheelReach struct {
	Wheel    string  `json:"wheel"`
	Hose     float64 `json:"hose" doc:"m"`
	Coupling string  `json:"coupling" doc:"name of the coupling from which it is shortest"`
	Reached  bool    `json:"reached"`
}

func (l *Look) air() AirFigures {
	a := &l.Variant.Plumbing.Air
	f := AirFigures{Wheels: []WheelReach{}}
	if a.Width > 0 && a.Rim > 0 {
		f.Volume = TyreVolume(a.Width, l.Vehicle.TyreRadius, a.Rim)
	}
	n := a.Tyres
	if n == 0 {
		n = 4
	}
	if a.Free > 0 && f.Volume > 0 {
		f.Minutes = InflationTime(n, f.Volume, a.Low, a.High, a.Free)
		f.WithRests = WithRests(f.Minutes, a.Minutes, a.Rest)
	}
	wheels := WheelsOf(l.Vehicle, l.Load.Wheelbase)
	for i := range wheels {
		best := WheelReach{Wheel: wheels[i].Name, Hose: math.Inf(1)}
		for _, c := range a.Couplings {
			if hose := HoseTo(l.Vehicle, l.Load.Wheelbase, c.At, &wheels[i]); hose < best.Hose {
				best.Hose, best.Coupling = hose, c.Name
			}
		}
		if best.Coupling != "" {
			best.Reached = best.Hose <= a.Hose
			f.Wheels = append(f.Wheels, best)
		}
	}
	return f
}

// hoseShort cautions of wheels that the hose does not reach.
func hoseShort(l *Look) []fitout.Finding {
	a := &l.Variant.Plumbing.Air
	if a.Hose == 0 {
		return nil
	}
	longest := 0.0
	var names []string
	for _, w := range l.air().Wheels {
		if !w.Reached {
			names = append(names, w.Wheel)
			longest = max(longest, w.Hose)
		}
	}
	if len(names) == 0 {
		return nil
	}
	f := about("hose-short", fitout.Caution, "plumbing", "air")
	f.Title = "The air hose does not reach the " + words.List(names)
	metres := math.Ceil(longest*2) / 2
	f.Sentence = fmt.Sprintf("It has %s; along the body and the ground %s are wanted, an estimate. A longer hose, or a coupling on the "+
		"other side.", l.Say.Way(a.Hose), l.Say.Way(longest))
	f.Under(1000*a.Hose, 1000*longest, "mm")
	f.Fixes = []fitout.Fix{{Label: "A hose of " + l.Say.Way(metres),
		Edit: fitout.FixEdit{Kind: "air-hose", Value: 1000 * metres}}}
	return []fitout.Finding{f}
}

// longInflation is from how many minutes on filling tyres is a chore. Practice.
const longInflation = 15.0

// inflationLong notes tyres that take long to fill.
func inflationLong(l *Look) []fitout.Finding {
	air := l.air()
	if air.Minutes <= longInflation {
		return nil
	}
	f := about("inflation-long", fitout.Note, "plumbing", "air")
	f.Title = fmt.Sprintf("Filling the tyres takes %.0f min", air.Minutes)
	f.Sentence = fmt.Sprintf("From %s to %s at %s of free air, an estimate. A compressor with more of it would be quicker.",
		l.Say.Pressure(l.Variant.Plumbing.Air.Low), l.Say.Pressure(l.Variant.Plumbing.Air.High),
		l.Say.Airflow(l.Variant.Plumbing.Air.Free))
	f.Over(air.Minutes, longInflation, "min")
	return []fitout.Finding{f}
}

// compressorHot cautions of a compressor that has to rest before all tyres are full.
func compressorHot(l *Look) []fitout.Finding {
	a, air := &l.Variant.Plumbing.Air, l.air()
	if a.Minutes == 0 || air.Minutes <= a.Minutes {
		return nil
	}
	f := about("compressor-hot", fitout.Caution, "plumbing", "air")
	f.Title = "The compressor has to rest before all tyres are full"
	f.Sentence = fmt.Sprintf("It runs %.0f min at once, and the tyres take %.0f min, an estimate; with its rests that is %.0f min.",
		a.Minutes, air.Minutes, air.WithRests)
	f.Source = "data sheet"
	f.Over(air.Minutes, a.Minutes, "min")
	return []fitout.Finding{f}
}

// bagWithoutValve notes helper bags that only the compressor fills.
func bagWithoutValve(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, bag := range l.Variant.Plumbing.Air.Bags {
		if bag.Manual != fitout.IsNotSo {
			continue
		}
		f := about("bag-without-valve", fitout.Note, "plumbing", bag.ID)
		f.Title = words.Capital(bag.Name) + " cannot be filled by hand"
		f.Sentence = "When its valve block fails, nothing lifts the vehicle any more. A valve by hand in its line costs little."
		f.Margin = -1
		found = append(found, f)
	}
	return found
}

// pressuresMissing notes an axle load of the way for which the workshop's table has no pressure.
func pressuresMissing(l *Look) []fitout.Finding {
	table := l.Variant.Plumbing.Pressures
	if !l.Typed || len(table) == 0 && l.Variant.Plumbing.Air.Free == 0 {
		return nil
	}
	var found []fitout.Finding
	for _, axle := range []fitout.WhichAxle{fitout.FrontAxle, fitout.RearAxle} {
		heaviest, leg := 0.0, 0
		for i := range l.W.Points {
			load := l.W.Points[i].Loads.Front
			if axle == fitout.RearAxle {
				load = l.W.Points[i].Loads.Rear
			}
			if load > heaviest {
				heaviest, leg = load, max(0, l.W.Points[i].Leg)
			}
		}
		if _, known := Pressure(table, axle, l.C.surface(leg), heaviest); known {
			continue
		}
		f := about("no-pressure", fitout.Note, "plumbing", "pressures")
		f.With = []string{string(axle)}
		f.Title = fmt.Sprintf("No tyre pressure entered for the %s axle", axle)
		f.Sentence = fmt.Sprintf("It carries up to %s on the way, and the table has no line for that. Enter it by the tyre maker's "+
			"table, cold.", l.Say.Mass(heaviest))
		f.Over(heaviest, 0, "kg")
		found = append(found, f)
	}
	return found
}

// What tyres of such vehicles measure, mm. Practice, wide of what is sold: a light wagon has 175 mm on rims of 330, a truck
// 445 on 600.
const (
	leastTyre = 120.0
	leastRim  = 130.0
)

// airOdd cautions of air that cannot be meant: let down to more than it is pumped up to, or tyres that no such vehicle has.
// How long filling takes, and what the compressor must give, go by it.
func airOdd(l *Look) []fitout.Finding {
	a := &l.Variant.Plumbing.Air
	var found []fitout.Finding
	tell := func(measure, title, sentence string, value, least float64, unit string) {
		f := about("air-odd", fitout.Caution, "plumbing", "air")
		f.Subject.Measure, f.Title, f.Sentence, f.Source = measure, title, sentence, "practice"
		f.Under(value, least, unit)
		found = append(found, f)
	}
	if a.Low > 0 && a.High > 0 && a.High <= a.Low {
		tell("high", "Let down to more than the road's pressure",
			fmt.Sprintf("%s are entered for soft ground, and %s for the road again. The other way round?",
				l.Say.Pressure(a.Low), l.Say.Pressure(a.High)), a.High, a.Low, "kPa")
	}
	for _, size := range []struct {
		measure, what string
		mm, least     float64
	}{{"width", "wide", a.Width, leastTyre}, {"rim", "from hub to edge of the rim", a.Rim, leastRim}} {
		if size.mm > 0 && size.mm < size.least {
			tell(size.measure, fmt.Sprintf("Tyres %s %s", l.Say.Length(size.mm), size.what),
				fmt.Sprintf("Tyres of such vehicles have %s and more. Read their side again: how much air they take goes by it.",
					l.Say.Length(size.least)), size.mm, size.least, "mm")
		}
	}
	return found
}

// Tyre pressures between which a table for four-wheel drives is, kPa, cold: below the first the bead comes off the
// rim, above the second no tyre of them is filled. Practice.
const (
	leastKPa = 80.0
	mostKPa  = 650.0
)

// pressureOdd cautions of a line of the workshop's table that cannot be meant: a pressure that no tyre is driven
// with, or less for a heavier axle than for a lighter one on the same surface.
func pressureOdd(l *Look) []fitout.Finding {
	var found []fitout.Finding
	table := l.Variant.Plumbing.Pressures
	tell := func(line *fitout.TyrePressure, why string, value, limit float64) {
		f := about("pressure-odd", fitout.Caution, "plumbing", "pressures")
		f.With = []string{line.ID}
		f.Title = fmt.Sprintf("%s for the tyres of the %s axle", l.Say.Pressure(line.KPa), line.Axle)
		f.Sentence = fmt.Sprintf("The line up to %s says %s. Take it from the tyre maker's table, cold.",
			l.Say.Mass(line.UpTo), why)
		f.Value, f.Limit, f.Unit, f.Margin = value, limit, "kPa", -math.Abs(value-limit)
		found = append(found, f)
	}
	for i := range table {
		line := &table[i]
		switch {
		case line.KPa < leastKPa:
			tell(line, fmt.Sprintf("less than %s, at which a tyre comes off its rim", l.Say.Pressure(leastKPa)), line.KPa, leastKPa)
			continue
		case line.KPa > mostKPa:
			tell(line, fmt.Sprintf("more than %s, with which no tyre of such a vehicle is filled", l.Say.Pressure(mostKPa)),
				line.KPa, mostKPa)
			continue
		}
		for k := range table {
			lighter := &table[k]
			if lighter.Axle == line.Axle && lighter.Surface == line.Surface && lighter.UpTo < line.UpTo &&
				lighter.KPa > line.KPa && lighter.KPa <= mostKPa {
				tell(line, fmt.Sprintf("less than the one up to %s, which says %s: more load wants more pressure",
					l.Say.Mass(lighter.UpTo), l.Say.Pressure(lighter.KPa)), line.KPa, lighter.KPa)
				break
			}
		}
	}
	return found
}

// surface is the surface of most of a leg, by its id; empty where nobody said.
func (c *Course) surface(leg int) string {
	best, id := 0.0, ""
	for _, s := range c.Route.Stops[leg].Leg.Surfaces {
		if s.Share > best {
			best, id = s.Share, s.Surface
		}
	}
	return id
}
