package load

import (
	"maps"
	"math"
	"slices"

	"zaino/internal/core/gauss"
)

// combined is what readings say together.
type combined struct {
	axles Axles
	sigma Axles            // standard uncertainty of each axle, kg
	total float64          // and of their sum
	split bool             // the axles were read apart
	own   covariance       // apart from what the masses of parts do
	parts map[string]Axles // what a kilogram more of a part makes the axles
}

// fit solves for the front and the rear axle x from the readings y = A x + e of all
// tickets but one (-1 for none) by generalised least squares: with V the covariance
// of e, x = (Aᵀ V⁻¹ A)⁻¹ Aᵀ V⁻¹ y, whose covariance is (Aᵀ V⁻¹ A)⁻¹ (Aitken). Without
// axles that were read apart only their sum is known, which is split by frontShare.
func fit(tickets []DryReading, masses map[string]float64, frontShare float64, without int) combined {
	var all []reading
	var errors [][]float64               // one standard deviation each, by reading
	partErrors := map[string][]float64{} // of a kilogram of each part
	split := false
	for i := range tickets {
		if t := &tickets[i]; t.Index != without {
			split = split || t.ReadAxles
			all = append(all, t.readings...)
		}
	}
	if len(all) == 0 {
		return combined{}
	}
	at := 0
	for i := range tickets {
		t := &tickets[i]
		if t.Index == without {
			continue
		}
		for _, e := range t.aboard {
			errors = append(errors, make([]float64, len(all)))
			for k, r := range t.readings {
				if r.front == r.rear && e.Front == -e.Rear {
					continue // a slope leaves the total alone, to the last digit
				}
				errors[len(errors)-1][at+k] = r.front*e.Front + r.rear*e.Rear
			}
		}
		for id, per := range t.parts {
			if partErrors[id] == nil {
				partErrors[id] = make([]float64, len(all))
			}
			for k, r := range t.readings {
				partErrors[id][at+k] = r.front*per.Front + r.rear*per.Rear
			}
		}
		at += len(t.readings)
	}
	v := make([][]float64, len(all))
	for i := range v {
		v[i] = make([]float64, len(all))
		v[i][i] = all[i].sigma * all[i].sigma
	}
	spread := func(e []float64, times float64) {
		for i := range e {
			for k := range e {
				v[i][k] += e[i] * e[k] * times
			}
		}
	}
	for _, e := range errors {
		spread(e, 1)
	}
	for _, id := range slices.Sorted(maps.Keys(partErrors)) { // in one order, so that sums come out alike
		spread(partErrors[id], masses[id]*masses[id])
	}
	return solve(all, v, split, frontShare, partErrors, masses)
}

// solve is the algebra of fit.
func solve(all []reading, v [][]float64, split bool, frontShare float64, parts map[string][]float64,
	masses map[string]float64) combined {
	root := gauss.Cholesky(v)
	front, rear, y := make([]float64, len(all)), make([]float64, len(all)), make([]float64, len(all))
	for i, r := range all {
		front[i], rear[i], y[i] = r.front, r.rear, r.kg
	}
	// gains are what each reading adds to the front and to the rear axle: the rows of
	// (Aᵀ V⁻¹ A)⁻¹ Aᵀ V⁻¹.
	vf, vr := root.Over(front), root.Over(rear)
	ff, fr, rr := gauss.Dot(front, vf), gauss.Dot(front, vr), gauss.Dot(rear, vr)
	gainFront, gainRear := make([]float64, len(all)), make([]float64, len(all))
	c := combined{split: split, parts: map[string]Axles{}}
	if split {
		det := ff*rr - fr*fr
		c.own = covariance{rr / det, -fr / det, ff / det}
		for i := range all {
			gainFront[i] = c.own.front*vf[i] + c.own.both*vr[i]
			gainRear[i] = c.own.both*vf[i] + c.own.rear*vr[i]
		}
	} else { // every reading is of the whole: front and rear are alike
		share := Axles{frontShare, 1 - frontShare}
		c.own = covariance{share.Front * share.Front / ff, share.Front * share.Rear / ff, share.Rear * share.Rear / ff}
		for i := range all {
			gainFront[i], gainRear[i] = share.Front*vf[i]/ff, share.Rear*vf[i]/ff
		}
	}
	c.axles = Axles{gauss.Dot(gainFront, y), gauss.Dot(gainRear, y)}
	c.sigma, c.total = Axles{math.Sqrt(c.own.front), math.Sqrt(c.own.rear)}, c.own.total()
	for _, id := range slices.Sorted(maps.Keys(parts)) {
		e := parts[id]
		per := Axles{gauss.Dot(gainFront, e), gauss.Dot(gainRear, e)}
		c.parts[id] = per
		kg := masses[id]
		c.own.front -= per.Front * per.Front * kg * kg
		c.own.both -= per.Front * per.Rear * kg * kg
		c.own.rear -= per.Rear * per.Rear * kg * kg
	}
	return c
}
