package load

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/gauss"
)

// Calibration is what weighings of the loaded vehicle say of a plan. It lies over the plan's own figures and can be
// taken off: what was changed or weighed by itself since is believed anew.
type Calibration struct {
	Weighings []string          // ids of those that count
	Of        map[string]Change // by id of the item
	Vehicle   Moments           // what the empty vehicle has more

	planned Axles // of the empty vehicle by the plan's own figures
	at      map[sourceKey]int
	after   gauss.Posterior
}

// Change is how an item turned out to be.
type Change struct {
	Kg   float64 // more than planned
	X, Y float64 // further to the rear, further to the right, mm
}

// Calibration returns what weighings say of the plan, or nil where none calibrates it.
func (p *Plan) Calibration() *Calibration { return p.calibration }

// calibrate corrects the plan by the weighings that calibrate it, all at once.
func (p *Plan) calibrate() {
	var ids []string
	for i := range p.variant.WeighIns {
		if p.variant.WeighIns[i].Calibrates {
			ids = append(ids, p.variant.WeighIns[i].ID)
		}
	}
	if len(ids) == 0 {
		return
	}
	u := &p.Job.Practice.Uncertainty
	b := p.baseline(u)
	c := &Calibration{Weighings: ids, Of: map[string]Change{}, at: map[sourceKey]int{},
		planned: p.Unladen.Axles(p.Wheelbase)}
	var sources []ScaleSource
	var readings []gauss.Reading
	for i := range p.variant.WeighIns {
		w := &p.variant.WeighIns[i]
		if !w.Calibrates {
			continue
		}
		scale := p.OnScale(w, b, u)
		first := len(readings)
		for _, f := range scale.Figures {
			readings = append(readings, gauss.Reading{Off: f.Read - f.Planned, Own: f.Own})
		}
		for _, s := range scale.Sources {
			at, known := c.at[s.key]
			if !known {
				at = len(sources)
				c.at[s.key] = at
				sources = append(sources, s)
			}
			for k, move := range s.Moves {
				r := &readings[first+k]
				for len(r.Moves) <= at {
					r.Moves = append(r.Moves, 0)
				}
				r.Moves[at] += move
			}
		}
	}
	c.after = gauss.Update(len(sources), readings)
	p.calibration = c
	p.correct(b, u)
}

// baseline is how sure the empty vehicle is.
func (p *Plan) baseline(u *fitout.Uncertainty) Baseline {
	return BaselineOf(&p.of.Vehicle, &p.Weighing, u)
}

// correct puts what weighings say on the plan's masses and places.
func (p *Plan) correct(b Baseline, u *fitout.Uncertainty) {
	c := p.calibration
	for _, e := range append(p.baselineErrors(b), p.partErrors(b, u)...) {
		c.Vehicle = c.Vehicle.Plus(e.Parts[0].Delta.Times(c.mean(p.vehicleKey(e.name))))
	}
	for i := range p.Items {
		item, thing := &p.variant.Items[i], &p.Items[i]
		if thing.Trailer {
			continue
		}
		var change Change
		key := massKey(item.ID, item.Mass, item.Source)
		if item.Source == fitout.ByMaterial && item.Module != nil {
			key = wallKey(item.Module.Wall)
		}
		change.Kg = max(-item.Mass, c.mean(key)*MassSigma(item.Source, item.Mass, u))
		along, across := placeKeys(item.ID, thing.Mass)
		change.X, change.Y = c.mean(along)*u.Station, c.mean(across)*u.Station
		if change == (Change{}) {
			continue
		}
		c.Of[item.ID] = change
		thing.Mass.Kg += change.Kg
		thing.Mass.X += change.X
		thing.Mass.Y += change.Y
		p.road[i] = thing.Mass
	}
	p.Unladen = p.Unladen.Plus(c.Vehicle)
}

// mean is how far a source turned out to be off, in its standard deviations.
func (c *Calibration) mean(key sourceKey) float64 {
	if at, known := c.at[key]; known {
		return c.after.Mean[at]
	}
	return 0
}

// own is what an item weighs without what is in it, kg.
func (p *Plan) own(i int) float64 {
	item := &p.variant.Items[i]
	if p.calibration == nil {
		return item.Mass
	}
	return item.Mass + p.calibration.Of[item.ID].Kg
}

// stood is an item by the plan's own mass and place: its errors are those of what was believed, whatever it turned out
// to be.
func (p *Plan) stood(i int, thing *Placed) Mass {
	m := thing.Mass
	if p.calibration != nil {
		change := p.calibration.Of[thing.ID]
		m.Kg, m.X, m.Y = m.Kg-change.Kg, m.X-change.X, m.Y-change.Y
	}
	return m
}

// known is what weighings say of a sum of errors: what they take off its variance is the square of its length.
type known []float64

// known is what weighings say of one source; nil for nothing.
func (p *Plan) known(key sourceKey) known {
	if p.calibration == nil {
		return nil
	}
	if at, calibrated := p.calibration.at[key]; calibrated {
		return p.calibration.after.Whitened[at]
	}
	return nil
}

func (k *known) add(of known, times float64) {
	for len(*k) < len(of) {
		*k = append(*k, 0)
	}
	for i, x := range of {
		(*k)[i] += x * times
	}
}

func (k known) square() float64 { return gauss.Dot(k, k) }

// without is what less is known once so much of one source is known by itself.
func (k known) without(of known, much float64) float64 {
	return 2*much*gauss.Dot(k, of) - much*much*gauss.Dot(of, of)
}
