package load

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// hauling is the worked vehicle with a trailer and a drum that rides on it.
func hauling() fitout.Job {
	j := worked()
	j.Vehicle.Hitch.Overhang = 1180
	j.Trailer = &fitout.Trailer{Source: fitout.DataSheet, Name: "Box", Coupled: true, Mass: 900, Ball: 80}
	drum := item("drum", 60, 3900, 0, 900)
	drum.OnTrailer = true
	j.Variants[0].Items = append(j.Variants[0].Items, drum)
	return j
}

func TestWhatRidesOnTheTrailerIsOnNoAxleOfTheVehicle(t *testing.T) {
	j := hauling()
	p := NewPlan(&j)
	assert.InDelta(t, 960, p.TrailerMass(), 1e-9)
	with, combination := p.Axles(), p.Combination()

	// Taken onto the vehicle the combination is as heavy, and the rear axle is not.
	j.Variants[0].Items[0].OnTrailer = false
	q := NewPlan(&j)
	assert.InDelta(t, combination, q.Combination(), 1e-9)
	assert.InDelta(t, 60*3900/3150.0, q.Axles().Rear-with.Rear, 1e-9)
	assert.InDelta(t, 900, q.TrailerMass(), 1e-9)

	// Uncoupled, it stays with the trailer.
	j.Variants[0].Items[0].OnTrailer, j.Trailer.Coupled = true, false
	r := NewPlan(&j)
	assert.InDelta(t, r.Axles().Gross(), r.Combination(), 1e-9)
	assert.InDelta(t, 960, r.TrailerMass(), 1e-9, "it is weighed with it, coupled or not")

	// Without a trailer there is nothing to ride on.
	j.Trailer = nil
	assert.InDelta(t, q.Now().Kg, NewPlan(&j).Now().Kg, 1e-9)
	assert.Zero(t, NewPlan(&j).TrailerMass())
}

func TestWeighingWhatRidesOnTheTrailerMakesTheCombinationSurer(t *testing.T) {
	j := hauling()
	j.Variants[0].Items[0].Source = fitout.Estimate
	p := NewPlan(&j)
	u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
	errors := p.Errors(Baseline{Front: 10, Rear: 10}, &u, nil)
	next := Next(p.CombinationForm().Count(), errors)
	if assert.NotEmpty(t, next) {
		assert.Equal(t, 0, next[0].Item)
		assert.Less(t, next[0].After, Sigma(p.CombinationForm().Count(), errors))
	}
	assert.Empty(t, Next(p.RearForm().Count(), errors), "the rear axle does not get surer by it")

	parked := p.Shown()
	parked.Coupled = false
	without := p.Errors(Baseline{Front: 10, Rear: 10}, &u, &parked)
	assert.Less(t, Sigma(p.CombinationForm().Count(), without), Sigma(p.CombinationForm().Count(), errors))
}

// crew are two in their seats, and a box with a stove in it.
func crew() fitout.Job {
	j := worked()
	j.Vehicle.Seats = []fitout.Seat{
		{ID: "driver", Name: "Driver", Driver: true, At: fitout.Point{X: 1390, Y: 360, Z: 980}},
		{ID: "passenger", Name: "Passenger", At: fitout.Point{X: 1390, Y: -360, Z: 980}},
		{ID: "back", Name: "Back", At: fitout.Point{X: 2200, Y: 0, Z: 980}},
	}
	v := &j.Variants[0]
	for _, who := range []string{"driver", "passenger"} {
		person := item(who, 80, 0, 0, 0)
		person.Form, person.Seat = fitout.FormPerson, who
		v.Items = append(v.Items, person)
	}
	box := item("box", 10, 3500, 200, 900)
	stove := item("stove", 12, 3520, 210, 950)
	stove.In = &fitout.InCell{Module: "box", Cell: "c"}
	v.Items = append(v.Items, box, stove)
	v.Stances = []fitout.Stance{
		{ID: "cook", Name: "Cook", Loose: []fitout.LoosePlace{{Item: "box", Outside: true}}},
		{ID: "camp", Name: "Camp", Loose: []fitout.LoosePlace{{Item: "box", At: fitout.Point{X: 2500, Y: 0, Z: 1000}}}},
	}
	return j
}

func TestACaseMovesPeopleAndLooseThings(t *testing.T) {
	j := crew()
	p := NewPlan(&j)
	shown := p.MomentsIn(ptr(p.Shown()))
	in := func(c fitout.Case) Moments { return p.MomentsIn(ptr(p.Case(&c))) }

	home := in(fitout.Case{People: []fitout.CasePerson{{Item: "passenger"}}})
	assert.InDelta(t, -80, home.Kg-shown.Kg, 1e-9, "the passenger stays at home")
	assert.InDelta(t, -80*1390, home.X-shown.X, 1e-6)

	back := in(fitout.Case{People: []fitout.CasePerson{{Item: "passenger", Aboard: true, Seat: "back"}}})
	assert.InDelta(t, 0, back.Kg-shown.Kg, 1e-9)
	assert.InDelta(t, 80*(2200-1390), back.X-shown.X, 1e-6, "on another seat")
	assert.InDelta(t, 80*360, back.Y-shown.Y, 1e-6)

	cook := in(fitout.Case{Stance: "cook"})
	assert.InDelta(t, -22, cook.Kg-shown.Kg, 1e-9, "the box stands outside, and the stove in it too")
	camp := in(fitout.Case{Stance: "camp"})
	assert.InDelta(t, 0, camp.Kg-shown.Kg, 1e-9)
	assert.InDelta(t, -22*1000, camp.X-shown.X, 1e-6, "what lies in it goes with it")
	assert.InDelta(t, -22*200, camp.Y-shown.Y, 1e-6)
	assert.Equal(t, shown,
		in(fitout.Case{Stance: "gone", People: []fitout.CasePerson{{Item: "nobody"}, {Item: "driver", Aboard: true,
			Seat: "gone"}}}), "names of things that are gone are passed over")
}

func ptr[T any](value T) *T { return &value }

// A state in which nothing is set but what is shown has the moments of the plan,
// whatever rides where.
func TestTheStateShownHasThePlansMoments(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		p := NewPlan(&j)
		// A switch that lacks what it requires is off in the state, and its items
		// are not aboard in the plan either.
		shown := p.Shown()
		m, now := p.MomentsIn(&shown), p.Now()
		for _, d := range [][2]float64{{m.Kg, now.Kg}, {m.X, now.X}, {m.Y, now.Y}, {m.Z, now.Z}, {m.XY, now.XY},
			{m.Towed, now.Towed}} {
			if diff := d[0] - d[1]; diff > 1e-3 || diff < -1e-3 {
				t.Fatalf("state %+v, plan %+v", m, now)
			}
		}
		for name, f := range map[string]Form{"rear": p.RearForm(), "combination": p.CombinationForm()} {
			want := p.Axles().Rear
			if name == "combination" {
				want = p.Combination()
			}
			if got := p.Value(f.Count(), &shown); got-want > 1e-6 || want-got > 1e-6 {
				t.Fatalf("%s is %f, the plan says %f", name, got, want)
			}
		}
	})
}

// Moments add and take off: a mass put aboard and taken off again leaves nothing.
func TestMomentsAddAndTakeOff(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		number := func(name string) float64 { return float64(rapid.IntRange(-5000, 5000).Draw(t, name)) }
		a := Moments{}.Add(Mass{number("kg"), number("x"), number("y"), number("z")})
		b := Moments{}.Add(Mass{number("kg"), number("x"), number("y"), number("z")})
		if got := a.Minus(b).Minus(a); got != (Moments{}).Minus(b) {
			t.Fatalf("%+v", got)
		}
	})
}

// A spread gives in each state what Sigma gives for its errors.
func TestASpreadIsThatOfTheErrors(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		j := anyJob(t)
		for i := range j.Variants[0].Items {
			item := &j.Variants[0].Items[i]
			item.Source = rapid.SampledFrom([]fitout.MassSource{fitout.ByScale, fitout.DataSheet, fitout.ByMaterial,
				fitout.Estimate}).Draw(t, "source")
			if rapid.Bool().Draw(t, "built") {
				item.Module = &fitout.Module{Wall: rapid.SampledFrom([]fitout.Material{fitout.Plywood, fitout.FoamCore}).Draw(t,
					"wall")}
			}
		}
		p := NewPlan(&j)
		u := fitout.NewPractice(fitout.AustraliaNZ).Uncertainty
		b := Baseline{Front: 8, Rear: 11}
		forms := []Form{p.FrontForm(), p.RearForm(), p.GrossForm(), p.CombinationForm(), p.LeftForm()}
		counts := make([]Count, len(forms))
		for i, f := range forms {
			counts[i] = f.Count()
		}
		worst := p.Worst(p.RearForm().Count())
		spread := NewSpread(p, counts, b, &u)
		shown, emptied := p.Shown(), p.Shown()
		for id := range emptied.Levels {
			emptied.Levels[id] = 1
		}
		for _, item := range j.Variants[0].Items {
			emptied.At[item.ID] = fitout.Point{X: 1234, Y: 56, Z: 789}
		}
		for _, state := range []*State{&shown, &worst, &emptied} {
			sigmas := spread.In(state)
			errors := p.Errors(b, &u, state)
			for i, f := range forms {
				if d := sigmas[i] - Sigma(f.Count(), errors); d > 1e-9 || d < -1e-9 {
					t.Fatalf("form %d: %.6f and %.6f", i, sigmas[i], Sigma(f.Count(), errors))
				}
			}
		}
	})
}
