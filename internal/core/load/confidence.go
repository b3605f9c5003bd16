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

	name  string // of one of the empty vehicle
	known known  // what weighings say of it; nil for nothing
}

// ErrPart is what one carrier adds to an error.
type ErrPart struct {
	Carrier Carrier
	Delta   Moments // for one standard deviation
	Weighed Moments // what would be left of it after the item was weighed; of a station all
	Mass    bool    // an error of mass, which weighing takes off
}

// Of is what one standard deviation of an error does to a count.
func (e *Err) Of(count Count) float64 {
	sum := 0.0
	for i := range e.Parts {
		sum += count(e.Parts[i].Carrier, e.Parts[i].Delta)
	}
	return sum
}

// Sigma is the standard uncertainty of a count: the root of the sum of squares over
// independent errors, σ² = Σ (Σ ∂/∂mᵢ σᵢ)² + Σ (∂/∂xᵢ σₓ)² + σ²baseline, less what weighings of the whole took
// off it.
func Sigma(count Count, errors []Err) float64 {
	sum, off := 0.0, known{}
	for i := range errors {
		e := errors[i].Of(count)
		sum += e * e
		off.add(errors[i].known, e)
	}
	return math.Sqrt(max(0, sum-off.square()))
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

// Errors returns the independent errors of what is aboard in a state, or in the
// state shown for nil.
func (p *Plan) Errors(b Baseline, u *fitout.Uncertainty, state *State) []Err {
	if state == nil {
		shown := p.Shown()
		state = &shown
	}
	errors := append(p.baselineErrors(b), p.partErrors(b, u)...)
	materials := map[fitout.Material]int{}
	p.eachError(u, state, func(e *source) {
		part := ErrPart{
			Carrier: e.carrier,
			Delta:   e.one.Times(e.sigma),
			Weighed: e.one.Times(e.weighed),
			Mass:    e.mass,
		}
		at, together := materials[e.wall]
		switch {
		case e.wall == "":
			errors = append(errors, Err{Parts: []ErrPart{part}, known: p.known(e.key)})
		case together:
			errors[at].Parts = append(errors[at].Parts, part)
		default:
			materials[e.wall] = len(errors)
			errors = append(errors, Err{Parts: []ErrPart{part}, known: p.known(e.key)})
		}
	})
	return errors
}

// source is one source of error: what a kilogram or a millimetre of it does to the
// moments, and how many of those are one standard deviation.
type source struct {
	carrier        Carrier
	mass           bool
	wall           fitout.Material // parts of one material err together; empty for by itself
	key            sourceKey
	one            Moments
	sigma, weighed float64 // as it is, and once the item was weighed
}

// eachError visits every source of error of what is aboard besides the empty
// vehicle; visit must not keep it.
func (p *Plan) eachError(u *fitout.Uncertainty, state *State, visit func(*source)) {
	p.restErrors(u, state, visit)
	for i := range p.Items {
		if thing, aboard := p.In(i, state); aboard && (!thing.Trailer || state.Coupled) {
			p.errorsOf(i, &thing, u, visit)
		}
	}
}

// restErrors visits those of what is in the vehicle's tanks, and of the trailer.
func (p *Plan) restErrors(u *fitout.Uncertainty, state *State, visit func(*source)) {
	for i := range p.Tanks {
		m := p.Tanks[i].Mass
		m.Kg = state.TankFills[p.vehicle.Tanks[i].ID] * p.vehicle.Tanks[i].Density
		if m.Kg > 0 {
			sigma := u.Weighed * m.Kg
			m.Kg = 1
			visit(&source{carrier: p.tank(i), mass: true, one: Moments{}.Add(m), sigma: sigma, weighed: sigma})
		}
	}
	if state.Coupled && p.Trailer != nil {
		p.trailerErrors(u, visit)
	}
}

// trailerErrors visits those of the trailer's mass and of what it puts on the ball,
// each as far as its source is believed.
func (p *Plan) trailerErrors(u *fitout.Uncertainty, visit func(*source)) {
	t := *p.Trailer
	share := func(kg float64) source {
		sigma := MassSigma(t.Source, kg, u)
		return source{carrier: Carrier{Kind: TheTrailer}, sigma: sigma, weighed: sigma}
	}
	mass := share(t.Mass)
	mass.one = Moments{Towed: 1}
	visit(&mass)
	ball := share(t.Ball)
	more := t
	more.Ball++
	ball.one = Tow(
		&more,
		p.Wheelbase,
		p.vehicle.Hitch.Overhang,
	).Moments(p.Wheelbase).
		Minus(p.Towing.Moments(p.Wheelbase))
	visit(&ball)
}

// errorsOf visits the sources of error of one item as it is in a state: of its
// place along, across and up, of what is in it, and of its own mass.
func (p *Plan) errorsOf(i int, thing *Placed, u *fitout.Uncertainty, visit func(*source)) {
	item, stood := &p.variant.Items[i], p.stood(i, thing)
	kg := stood.Kg + thing.Towed
	if kg == 0 {
		return
	}
	e := source{carrier: p.Carrier(i), mass: true, one: Moments{Towed: 1}}
	if !thing.Trailer {
		at := func(key sourceKey, one Moments) {
			visit(&source{carrier: e.carrier, key: key, one: one, sigma: u.Station, weighed: u.Station})
		}
		along, across := placeKeys(item.ID, stood)
		at(along, Moments{X: kg, XY: kg * stood.Y})
		at(across, Moments{Y: kg, XY: kg * stood.X})
		at(sourceKey{}, Moments{Z: kg})
		e.one = Moments{Kg: 1, X: stood.X, Y: stood.Y, Z: stood.Z, XY: stood.X * stood.Y}
	}
	if level(item) != nil {
		content := kg - item.Mass
		e.sigma, e.weighed = u.Weighed*content, u.Weighed*content
		visit(&e)
	}
	e.key = massKey(item.ID, item.Mass, item.Source)
	e.sigma, e.weighed = MassSigma(item.Source, item.Mass, u), MassSigma(fitout.ByScale, item.Mass, u)
	if item.Source == fitout.ByMaterial && item.Module != nil {
		e.wall, e.key = item.Module.Wall, wallKey(item.Module.Wall)
	}
	visit(&e)
}

// MassSigma is the standard uncertainty of a mass by its source, kg: of a weighed
// one the larger of its share and the scale's step over √12.
func MassSigma(source fitout.MassSource, kg float64, u *fitout.Uncertainty) float64 {
	kg = math.Abs(kg)
	switch source {
	case fitout.ByScale:
		if kg == 0 {
			return 0
		}
		return max(u.Weighed*kg, u.Resolution/math.Sqrt(12))
	case fitout.DataSheet:
		return u.DataSheet * kg
	case fitout.ByMaterial:
		return u.Material * kg
	}
	return u.Estimate * kg
}

// WeighNext is what weighing one item would do to the uncertainty of a count.
type WeighNext struct {
	Item  int     // index in the variant
	After float64 // σ of the count after it
	Takes float64 // what it takes off σ²
}

// Next ranks what one weighing takes off σ², the most first; only what takes
// something off.
func Next(count Count, errors []Err) []WeighNext {
	sigma := Sigma(count, errors)
	takes := map[int]float64{}
	off := known{}
	for i := range errors {
		off.add(errors[i].known, errors[i].Of(count))
	}
	for i := range errors {
		e := &errors[i]
		whole := e.Of(count)
		for _, part := range e.Parts {
			if part.Carrier.Kind != OneItem || !part.Mass {
				continue
			}
			rest, weighed := whole-count(part.Carrier, part.Delta), count(part.Carrier, part.Weighed)
			takes[part.Carrier.Index] += whole*whole - rest*rest - weighed*weighed - off.without(e.known, whole-rest)
		}
	}
	var all []WeighNext
	for item, t := range takes {
		if t > 1e-9 {
			all = append(all, WeighNext{item, math.Sqrt(max(0, sigma*sigma-t)), t})
		}
	}
	slices.SortFunc(all, func(a, b WeighNext) int {
		return cmp.Or(cmp.Compare(b.Takes, a.Takes), cmp.Compare(a.Item, b.Item))
	})
	return all
}
