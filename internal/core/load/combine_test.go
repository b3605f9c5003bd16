package load

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// weighings are kinds of weighing days: what the scale was, and what was aboard.
func weighings() map[string][]fitout.Ticket {
	level := axleTicket(1300, 900)
	sloping := axleTicket(1300, 900)
	sloping.Level = false
	bound := sloping
	bound.Total = 2200
	loaded := axleTicket(1300, 900)
	loaded.Tanks = []fitout.WeighedTank{{Tank: "fuel", Litres: 60}}
	loaded.People = []fitout.WeighedPerson{{ID: "a", Seat: "driver", Kg: 88}, {ID: "b", Seat: "driver", Kg: 60}}
	without := axleTicket(1300, 900)
	without.Parts = []fitout.WeighedPart{}
	whole := fitout.Ticket{Reading: fitout.ReadTotal, Total: 2200, Counted: true, Level: true}
	coarse := axleTicket(1300, 900)
	coarse.Resolution = 100
	return map[string][]fitout.Ticket{
		"one level ticket":                  {level},
		"a sloping scale":                   {sloping},
		"a sloping scale and the whole":     {bound},
		"fuel and people aboard":            {loaded},
		"the tub was off":                   {without},
		"two days, the tub off on both":     {without, without},
		"axles one day, the whole another":  {sloping, whole},
		"a coarse scale and a fine":         {coarse, level},
		"everything":                        {bound, loaded, without, whole},
		"the same sloping scale three days": {sloping, sloping, sloping},
	}
}

// drawn is what tickets would have read of a vehicle if every scale, slope and mass had
// erred by chance as far as it is believed to.
func drawn(v fitout.Vehicle, truth Axles, rng *rand.Rand, u *fitout.Uncertainty) fitout.Vehicle {
	tub := rng.NormFloat64() * MassSigma(v.Parts[0].Source, v.Parts[0].Mass, u) // the same on every day
	tickets := append([]fitout.Ticket{}, v.Baseline.Tickets...)
	for i := range tickets {
		t := &tickets[i]
		on := truth
		put := func(kg, x float64) {
			on.Front, on.Rear = on.Front+kg*(1-x/v.Wheelbase), on.Rear+kg*x/v.Wheelbase
		}
		for _, fuel := range t.Tanks {
			kg := fuel.Litres * v.Tanks[0].Density
			put(kg*(1+u.Weighed*rng.NormFloat64()), v.Tanks[0].At.X)
		}
		for _, person := range t.People {
			put(person.Kg*(1+u.DataSheet*rng.NormFloat64()), v.Seats[0].At.X)
		}
		if len(t.Parts) == 0 {
			put(-v.Parts[0].Mass-tub, v.Parts[0].At.X)
		}
		read := func(kg float64) float64 { return kg + rng.NormFloat64()*readingSigma(kg, t.Resolution, u) }
		slope := 0.0
		if !t.Level {
			slope = rng.NormFloat64() * on.Gross() * v.Baseline.CGHeight * math.Tan(slopeUnknown) / v.Wheelbase
		}
		if t.Reading == fitout.ReadTotal || t.Total > 0 {
			t.Total = read(on.Gross())
		}
		if t.Reading == fitout.ReadAxles {
			t.Front, t.Rear = read(on.Front+slope), read(on.Rear-slope)
		}
	}
	v.Baseline.Tickets = tickets
	return v
}

// The uncertainties of a weighed vehicle are those with which ten thousand drawn
// weighings scatter, of each axle, of the sum, and of the vehicle once the tub is off.
func TestWeighingsScatterAsFarAsTheyAreBelieved(t *testing.T) {
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	truth := Axles{1250, 830}
	for name, tickets := range weighings() {
		t.Run(name, func(t *testing.T) {
			v := weighed(tickets...)
			v.Parts = []fitout.Part{
				{ID: "tub", Name: "Tub", Mass: 140, At: fitout.Point{X: 3400, Z: 900}, InBaseline: true,
					State: fitout.Removed, Source: fitout.Estimate},
			}
			for i := range v.Baseline.Tickets {
				if tk := &v.Baseline.Tickets[i]; tk.Parts == nil {
					tk.Parts = []fitout.WeighedPart{{Part: "tub"}}
				}
			}
			rng := rand.New(rand.NewPCG(7, 11))
			first := drawn(v, truth, rng, &u)
			j := worked()
			j.Vehicle = first
			p := NewPlan(&j)
			b := BaselineOf(&first, &p.Weighing, &u)
			b.Side = 0
			errors := append(p.baselineErrors(b), p.partErrors(b, &u)...)

			const draws = 10000
			samples := map[string][]float64{}
			for range draws {
				d := drawn(v, truth, rng, &u)
				w := Weigh(&d, &u)
				samples["front"] = append(samples["front"], w.Axles.Front)
				samples["rear"] = append(samples["rear"], w.Axles.Rear)
				j := worked()
				j.Vehicle = d
				unladen := NewPlan(&j).Unladen.Axles(d.Wheelbase)
				samples["rear without tub"] = append(samples["rear without tub"], unladen.Rear)
				samples["gross without tub"] = append(samples["gross without tub"], unladen.Gross())
			}
			near := func(of string, sigma float64) {
				assert.InEpsilon(t, scatter(samples[of]), sigma, 0.05, of)
			}
			near("front", p.Weighing.Sigma.Front)
			near("rear", p.Weighing.Sigma.Rear)
			// Removing the tub is a change by a mass that errs; on days when it was off that was
			// weighed already, and the two take each other away.
			near(
				"rear without tub",
				math.Sqrt(
					square(
						Sigma(p.RearForm().Count(), errors),
					)-square(
						tubError(p, &u, p.RearForm()),
					)+square(
						trueTub(p, b, &u,
							p.RearForm()),
					),
				),
			)
			near(
				"gross without tub",
				math.Sqrt(
					square(
						Sigma(p.GrossForm().Count(), errors),
					)-square(
						tubError(p, &u, p.GrossForm()),
					)+square(
						trueTub(p, b,
							&u, p.GrossForm()),
					),
				),
			)
		})
	}
}

func square(x float64) float64 { return x * x }

// tubError is what the tub's own error does to a form in the plan, and trueTub what it
// does in drawn weighings, in which the plan goes on with the mass that was written down.
func tubError(p *Plan, u *fitout.Uncertainty, f Form) float64 {
	b := BaselineOf(&fitout.Vehicle{Baseline: fitout.Baseline{Definition: fitout.AsWeighed}}, &p.Weighing, u)
	for _, e := range p.partErrors(b, u) {
		return e.Of(f.Count())
	}
	return 0
}

func trueTub(p *Plan, b Baseline, u *fitout.Uncertainty, f Form) float64 {
	part := p.vehicle.Parts[0]
	per := b.Parts[part.ID]
	m := Moments{}.Add(Mass{Kg: per.Front}).Add(Mass{Kg: per.Rear, X: p.weighedAt})
	return f.Of(m) * MassSigma(part.Source, part.Mass, u)
}

func scatter(samples []float64) float64 {
	mean, sum := 0.0, 0.0
	for _, x := range samples {
		mean += x / float64(len(samples))
	}
	for _, x := range samples {
		sum += square(x-mean) / float64(len(samples)-1)
	}
	return math.Sqrt(sum)
}

// A part that is off, and was off when it was weighed, is as sure as the scale: its mass
// does not matter.
func TestAPartThatWasOffOnTheScaleIsAsSureAsTheScale(t *testing.T) {
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	sigma := func(parts []fitout.WeighedPart, source fitout.MassSource) float64 {
		ticket := axleTicket(1200, 800)
		ticket.Parts = parts
		j := worked()
		j.Vehicle = weighed(ticket)
		j.Vehicle.Parts = []fitout.Part{
			{ID: "tub", Name: "Tub", Mass: 140, At: fitout.Point{X: 3400}, InBaseline: true,
				State: fitout.Removed, Source: source},
		}
		p := NewPlan(&j)
		b := BaselineOf(&j.Vehicle, &p.Weighing, &u)
		return Sigma(p.RearForm().Count(), append(p.baselineErrors(b), p.partErrors(b, &u)...))
	}
	off, on := []fitout.WeighedPart{}, []fitout.WeighedPart{{Part: "tub"}}
	assert.InDelta(t, 8, sigma(off, fitout.Estimate), 0.01, "1 %% of 800 kg")
	assert.InDelta(t, sigma(off, fitout.ByScale), sigma(off, fitout.Estimate), 1e-6)
	assert.Greater(t, sigma(on, fitout.Estimate), 20.0, "it was on: what comes off is a guess of 15 %% of 140 kg")
}

// With an extension the axle that was weighed stands at the old wheelbase: what it erred
// by is shared by the new one.
func TestAnExtensionMovesTheArmOfTheBaseline(t *testing.T) {
	j := worked()
	j.Vehicle.Extension = &fitout.Extension{By: 350, Cut: 2400, BehindCut: 310}
	p := NewPlan(&j)
	errors := p.baselineErrors(Baseline{Rear: 10})
	assert.InDelta(t, 10*3150.0/3500, Sigma(p.RearForm().Count(), errors), 1e-9)
	assert.InDelta(t, 10*350.0/3500, Sigma(p.FrontForm().Count(), errors), 1e-9)
	assert.InDelta(t, 10, Sigma(p.GrossForm().Count(), errors), 1e-9)
}

// Of a total that was split, the total errs as it was split, and the split moves load
// from one axle to the other.
func TestASingleTotalErrsByItsSplit(t *testing.T) {
	j := worked()
	u := j.Practice.Uncertainty
	j.Vehicle.Baseline = fitout.Baseline{
		Definition: fitout.Kerb,
		Split:      fitout.SplitAssumed,
		Total:      2000,
		FrontShare: 0.6,
		CGHeight:   690,
	}
	j.Vehicle.Parts = []fitout.Part{
		{ID: "bar", Name: "Bar", Mass: 80, At: fitout.Point{X: -700}, State: fitout.Fitted,
			Source: fitout.ByScale},
	}
	p := NewPlan(&j)
	errors := p.baselineErrors(BaselineOf(&j.Vehicle, &p.Weighing, &u))
	total, split := 0.03*2000, 0.03*2000.0
	assert.InDelta(t, math.Hypot(0.6*total, split), Sigma(p.FrontForm().Count(), errors), 1e-6)
	assert.InDelta(t, math.Hypot(0.4*total, split), Sigma(p.RearForm().Count(), errors), 1e-6)
	assert.InDelta(t, total, Sigma(p.GrossForm().Count(), errors), 1e-6)
}

// What the trailer weighs and puts on the ball is believed as far as its source.
func TestATrailerCarriesItsOwnUncertainty(t *testing.T) {
	j := hauling()
	j.Variants[0].Items = nil
	j.Trailer.Source = fitout.Estimate
	u := j.Practice.Uncertainty
	p := NewPlan(&j)
	errors := p.Errors(Baseline{}, &u, nil)
	ball := func(_ Carrier, m Moments) float64 { return m.Ball }
	mass := func(c Carrier, m Moments) float64 {
		if c.Kind == TheTrailer {
			return m.Kg + m.Towed
		}
		return 0
	}
	assert.InDelta(t, 0.15*80, Sigma(ball, errors), 1e-9)
	assert.InDelta(t, 0.15*900, Sigma(mass, errors), 1e-9)
	with := square(Sigma(p.RearForm().Count(), errors))
	j.Trailer.Coupled = false
	q := NewPlan(&j)
	without := square(Sigma(q.RearForm().Count(), q.Errors(Baseline{}, &u, nil)))
	assert.InDelta(t, square(0.15*80*(3150+1180)/3150), with-without, 1e-6)
	j.Trailer.Source = fitout.ByScale
	require.Less(t, Sigma(ball, NewPlan(&j).Errors(Baseline{}, &u, nil)), 1.0)
}

// How sure the sides are: a thing that lies 10 mm further over moves its mass by that.
func TestSidesErrByWhereThingsLieAcross(t *testing.T) {
	j := worked()
	j.Variants[0].Items = []fitout.Item{item("block", 100, 3150, 0, 900)}
	j.Variants[0].Items[0].Source = fitout.ByScale
	u := j.Practice.Uncertainty
	p := NewPlan(&j)
	sure := u
	sure.Station = 0
	loose := square(Sigma(p.LeftForm().OfVehicle(), p.Errors(Baseline{}, &u, nil)))
	firm := square(Sigma(p.LeftForm().OfVehicle(), p.Errors(Baseline{}, &sure, nil)))
	assert.InDelta(t, square(100*10.0/1560), loose-firm, 1e-3)
}
