package load

import (
	"cmp"
	"math"
	"slices"

	"zaino/internal/core/fitout"
)

// Err is one independent source of error in the masses of a plan: what one
// standard deviation of it does to the moments. Parts that err together (all
// panels of one material) are one Err of several.
type Err struct {
	Parts []ErrPart
}

// ErrPart is what one item adds to an error.
type ErrPart struct {
	Item    int     // index in the variant; −1 for the vehicle itself
	Tank    bool    // the index is one of a tank
	Delta   Moments // for one standard deviation
	Weighed Moments // what would be left of it after the item was weighed; of a station all
	Mass    bool    // an error of mass, which weighing takes off
}

// Of is what one standard deviation of an error does to a form.
func (e *Err) Of(f Form) float64 {
	sum := 0.0
	for i := range e.Parts {
		sum += f.Of(e.Parts[i].Delta)
	}
	return sum
}

// Sigma is the standard uncertainty of a form: the root of the sum of squares over
// independent errors, σ² = Σ (Σ ∂/∂mᵢ σᵢ)² + Σ (∂/∂xᵢ σₓ)² + σ²baseline.
func Sigma(f Form, errors []Err) float64 {
	sum := 0.0
	for i := range errors {
		e := errors[i].Of(f)
		sum += e * e
	}
	return math.Sqrt(sum)
}

// Over is the probability that a load is over its limit, 1 − Φ((limit − load)/σ);
// 0 or 1 where nothing is uncertain.
func Over(load, limit, sigma float64) float64 {
	if sigma <= 0 {
		if load > limit {
			return 1
		}
		return 0
	}
	return 0.5 * math.Erfc((limit-load)/(sigma*math.Sqrt2))
}

// Baseline is the uncertainty of the empty vehicle: of each axle, kg, and of an
// assumed split, as a share of the total.
type Baseline struct {
	Front, Rear  float64
	Total, Split float64 // where one total was split by an assumption, instead of the axles
}

// BaselineOf returns the uncertainty of a vehicle's baseline: of weighed ones what
// the tickets say together, of papers their share of each axle, of an assumed
// split their share of the total and of the split.
func BaselineOf(v *fitout.Vehicle, w *Weighing, u *fitout.Uncertainty) Baseline {
	b := &v.Baseline
	switch {
	case b.Definition == fitout.AsWeighed && w != nil && w.Split:
		return Baseline{Front: w.Sigma.Front, Rear: w.Sigma.Rear}
	case b.Definition == fitout.AsWeighed && w != nil:
		gross := w.Axles.Gross()
		return Baseline{Total: math.Max(w.Sigma.Front, w.Sigma.Rear), Split: u.Split * gross}
	case b.Split == fitout.SplitAssumed:
		return Baseline{Total: u.DataSheet * b.Total, Split: u.Split * b.Total}
	}
	return Baseline{Front: u.DataSheet * b.Front, Rear: u.DataSheet * b.Rear}
}

// Errors returns the independent errors of what is aboard in a state, or in the
// state shown for nil.
func (p *Plan) Errors(b Baseline, u *fitout.Uncertainty, state *State) []Err {
	errors := p.baselineErrors(b)
	materials := map[fitout.Material]int{}
	p.eachError(u, state, func(e *source) {
		part := ErrPart{Item: e.item, Tank: e.tank, Delta: e.one.Times(e.sigma), Weighed: e.one.Times(e.weighed), Mass: e.mass}
		at, together := materials[e.wall]
		switch {
		case e.wall == "":
			errors = append(errors, Err{[]ErrPart{part}})
		case together:
			errors[at].Parts = append(errors[at].Parts, part)
		default:
			materials[e.wall] = len(errors)
			errors = append(errors, Err{[]ErrPart{part}})
		}
	})
	return errors
}

// source is one source of error: what a kilogram or a millimetre of it does to the
// moments, and how many of those are one standard deviation.
type source struct {
	item           int
	tank, mass     bool
	wall           fitout.Material // parts of one material err together; empty for by itself
	one            Moments
	sigma, weighed float64 // as it is, and once the item was weighed
}

// eachError visits every source of error of what is aboard; visit must not keep it.
func (p *Plan) eachError(u *fitout.Uncertainty, state *State, visit func(*source)) {
	for i := range p.Tanks {
		m := p.Tanks[i].Mass
		if state != nil {
			m.Kg = state.TankFills[p.vehicle.Tanks[i].ID] * p.vehicle.Tanks[i].Density
		}
		if m.Kg > 0 {
			sigma := u.Weighed * m.Kg
			m.Kg = 1
			visit(&source{item: i, tank: true, mass: true, one: Moments{}.Add(m), sigma: sigma, weighed: sigma})
		}
	}
	for i := range p.Items {
		thing, aboard := p.Items[i], p.Items[i].Present
		if state != nil {
			thing, aboard = p.In(i, state)
		}
		if aboard && (!thing.Trailer || p.coupledIn(state)) {
			p.errorsOf(i, &thing, u, visit)
		}
	}
}

// errorsOf visits the sources of error of one item as it is in a state: of its
// place, of what is in it, and of its own mass.
func (p *Plan) errorsOf(i int, thing *Placed, u *fitout.Uncertainty, visit func(*source)) {
	item, kg := &p.variant.Items[i], thing.Kg()
	if kg == 0 {
		return
	}
	e := source{item: i, mass: true, one: Moments{Towed: 1}}
	if m := &thing.Mass; !thing.Trailer {
		visit(&source{item: i, one: Moments{X: kg, XY: kg * m.Y}, sigma: u.Station, weighed: u.Station})
		e.one = Moments{1, m.X, m.Y, m.Z, m.X * m.Y, 0}
	}
	if l := item.Presence.Level; item.Presence.Kind == fitout.ByLevel && l != nil {
		content := kg - item.Mass
		e.sigma, e.weighed, kg = u.Weighed*content, u.Weighed*content, item.Mass
		visit(&e)
	}
	e.sigma, e.weighed = sigmaOf(item.Source, kg, u), sigmaOf(fitout.ByScale, kg, u)
	if item.Source == fitout.ByMaterial && item.Module != nil {
		e.wall = item.Module.Wall
	}
	visit(&e)
}

func (p *Plan) baselineErrors(b Baseline) []Err {
	L := p.Wheelbase
	vehicle := func(m Moments) Err { return Err{[]ErrPart{{Item: -1, Delta: m, Weighed: m}}} }
	if b.Total > 0 || b.Split > 0 {
		centre := p.Unladen.Centre()
		return []Err{vehicle(Moments{Kg: b.Total, X: b.Total * centre.X}), vehicle(Moments{X: b.Split * L})}
	}
	return []Err{vehicle(Moments{Kg: b.Front}), vehicle(Moments{Kg: b.Rear, X: b.Rear * L})}
}

// In returns an item as it is in a state, and whether it is aboard.
func (p *Plan) In(i int, state *State) (Placed, bool) {
	item := &p.variant.Items[i]
	thing := p.Items[i]
	if !item.Work.Now() || state.Out[item.ID] {
		return thing, false
	}
	if at, elsewhere := state.At[item.ID]; elsewhere && !thing.Trailer {
		thing.Mass = Mass{thing.Mass.Kg, at.X, at.Y, at.Z}
		if item.Behind && p.vehicle.Extension != nil {
			thing.Mass.X += p.vehicle.Extension.By
		}
	}
	switch item.Presence.Kind {
	case fitout.BySwitch:
		return thing, state.Switches[item.Presence.Switch]
	case fitout.ByChoice:
		return thing, state.Choices[item.Presence.Choice] == item.Presence.Member
	case fitout.ByLevel:
		if l := item.Presence.Level; l != nil {
			thing.setKg(item.Mass + state.Levels[item.ID]*l.Density)
		}
	}
	return thing, true
}

// Kg is what a thing weighs, wherever it rides.
func (p *Placed) Kg() float64 { return p.Mass.Kg + p.Towed }

func (p *Placed) setKg(kg float64) {
	if p.Trailer {
		p.Towed = kg
	} else {
		p.Mass.Kg = kg
	}
}

// coupledIn tells whether the trailer is on in a state, or in the one shown for nil.
func (p *Plan) coupledIn(state *State) bool {
	if state == nil {
		return p.Coupled()
	}
	return state.Coupled
}

// sigmaOf is the standard uncertainty of a mass by its source, kg: of a weighed
// one the larger of its share and the scale's step over √12.
func sigmaOf(source fitout.MassSource, kg float64, u *fitout.Uncertainty) float64 {
	kg = math.Abs(kg)
	switch source {
	case fitout.ByScale:
		return max(u.Weighed*kg, u.Resolution/math.Sqrt(12))
	case fitout.DataSheet:
		return u.DataSheet * kg
	case fitout.ByMaterial:
		return u.Material * kg
	}
	return u.Estimate * kg
}

// WeighNext is what weighing one item would do to the uncertainty of a form.
type WeighNext struct {
	Item  int
	After float64 // σ of the form after it, kg
	Takes float64 // what it takes off σ²
}

// Next ranks what one weighing takes off σ², the most first; only what takes
// something off.
func Next(f Form, errors []Err) []WeighNext {
	sigma := Sigma(f, errors)
	takes := map[int]float64{}
	for i := range errors {
		e := &errors[i]
		whole := e.Of(f)
		for _, part := range e.Parts {
			if part.Item < 0 || part.Tank || !part.Mass {
				continue
			}
			rest, weighed := whole-f.Of(part.Delta), f.Of(part.Weighed)
			takes[part.Item] += whole*whole - rest*rest - weighed*weighed
		}
	}
	var all []WeighNext
	for item, t := range takes {
		if t > 1e-9 {
			all = append(all, WeighNext{item, math.Sqrt(max(0, sigma*sigma-t)), t})
		}
	}
	slices.SortFunc(all, func(a, b WeighNext) int { return cmp.Or(cmp.Compare(b.Takes, a.Takes), cmp.Compare(a.Item, b.Item)) })
	return all
}
