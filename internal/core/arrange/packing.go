package arrange

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// How often a packing is begun, how many that worked out are enough, and the
// share of the whole that it takes.
const (
	packTries  = 240
	packEnough = 60
	packShare  = 0.7
)

// between is the room that is left between parts, mm.
const between = 3

// pack arranges the parts again and again, each time in another order, and keeps
// every place that was part of a whole arrangement. It returns those arrangements
// as choices among the places, for the search to start from. What it finds does
// not depend on chance: the same job is packed the same way.
func (d *draft) pack(ctx context.Context, progress func(float64)) [][]int {
	rng := rand.New(rand.NewPCG(1, uint64(len(d.parts))))
	d.places = make([][]place, len(d.parts))
	var seeds [][]int
	if now, ok := d.standing(); ok {
		d.asIs = d.keep(now)
		seeds = append(seeds, d.asIs)
	}
	for try := 0; try < packTries && len(seeds) < packEnough && ctx.Err() == nil; try++ {
		if packed, ok := d.packOnce(rng, -1, try == 0); ok {
			seeds = append(seeds, d.keep(packed))
		}
		if try%20 == 19 {
			progress(packShare * max(float64(try+1)/packTries, float64(len(seeds))/packEnough))
		}
	}
	return seeds
}

// standing is the arrangement as it stands, where no hard rule is against it.
func (d *draft) standing() ([]place, bool) {
	if len(d.before) > 0 {
		return nil, false
	}
	var now []place
	for _, p := range d.parts {
		pl, ok := d.try(*p.Item, d.scene.Bay(p.Bay), true)
		if !ok {
			return nil, false
		}
		pl.asIs = true
		now = append(now, pl)
	}
	return now, true
}

// keep adds the places of an arrangement to those of the parts and returns it as a
// choice among them.
func (d *draft) keep(packed []place) []int {
	choice := make([]int, len(packed))
	for i := range packed {
		at := slices.IndexFunc(d.places[i], func(o place) bool {
			return o.bay == packed[i].bay && o.item.At == packed[i].item.At && o.item.Size == packed[i].item.Size &&
				o.asIs == packed[i].asIs
		})
		if at < 0 {
			at = len(d.places[i])
			d.places[i] = append(d.places[i], packed[i])
		}
		choice[i] = at
	}
	return choice
}

// packOnce places the parts one after another, what slides and what is large
// first, each at one of the best corners that are left. skip leaves one part out.
func (d *draft) packOnce(rng *rand.Rand, skip int, plain bool) ([]place, bool) {
	order := make([]int, 0, len(d.parts))
	size := make([]float64, len(d.parts))
	for i, p := range d.parts {
		if i != skip {
			order = append(order, i)
		}
		size[i] = p.Box.Litres()
		if p.Motion == scene.Slides || p.Motion == scene.Drawers {
			size[i] *= 3
		}
		if !plain {
			size[i] *= math.Exp(rng.NormFloat64() * 0.7)
		}
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(size[b], size[a]) })
	packed := make([]place, len(d.parts))
	var done []*place
	for _, i := range order {
		best := d.corners(d.parts[i], done)
		if len(best) == 0 {
			return nil, false
		}
		pick := 0
		if !plain {
			pick = min(len(best)-1, int(rng.ExpFloat64()*1.5))
		}
		packed[i] = best[pick]
		done = append(done, &packed[i])
	}
	return packed, true
}

// mostCorners is how many of the best corners one is picked from.
const mostCorners = 12

// corners are the best places of a part against walls, frames and what is placed
// already.
func (d *draft) corners(p *scene.Part, done []*place) []place {
	var all []place
	for b := range d.scene.Bays {
		bay := &d.scene.Bays[b]
		if !movable(bay) || bay.Shared != d.scene.Bay(p.Bay).Shared {
			continue
		}
		floor := d.floor(p, bay)
		for _, item := range turned(p.Item, bay) {
			size := item.Size
			xs := edges(bay.Room.From.X, bay.Room.To.X, bay.Opening, size.Length, done, bay, func(q fitout.Point) float64 {
				return q.X
			})
			ys := edges(bay.Room.From.Y, bay.Room.To.Y, bay.Opening, size.Width, done, bay, func(q fitout.Point) float64 {
				return q.Y
			})
			for _, z := range d.levels(p, bay, floor, done) {
				for _, x := range xs {
					for _, y := range ys {
						item.At = fitout.Point{X: x + size.Length/2, Y: y + size.Width/2, Z: z + size.Height/2}
						box := item.Box()
						if slices.ContainsFunc(done, func(q *place) bool {
							return overlaps(box, q.part.Box)
						}) || z > floor+1 && !d.carried(box, done) {
							continue
						}
						pl, ok := d.try(item, bay, false)
						if !ok || slices.ContainsFunc(done, func(q *place) bool { return d.excludes(&pl, q) }) {
							continue
						}
						pl.onTop = z > floor+1
						all = append(all, pl)
					}
				}
			}
		}
	}
	worth := func(pl *place) float64 {
		value := pl.option.Value
		for _, q := range done { // close together leaves room for the rest
			if q.bay == pl.bay {
				value += 0.5
			}
		}
		return value
	}
	slices.SortStableFunc(all, func(a, b place) int { return cmp.Compare(worth(&b), worth(&a)) })
	all = all[:min(len(all), mostCorners)]
	// Where it stands now is a place too, and for what hangs on a wall the only one.
	if len(d.before) > 0 {
		return all
	}
	now, ok := d.try(*p.Item, d.scene.Bay(p.Bay), true)
	now.asIs = true
	if ok && !slices.ContainsFunc(done, func(q *place) bool { return d.excludes(&now, q) }) {
		all = append(all, now)
	}
	return all
}

// edges are where a part can begin along one axis: against the walls, the frame of
// the opening, and what stands in the bay already.
func edges(from, to float64, opening scene.Opening, size float64, done []*place, bay *scene.Bay,
	of func(fitout.Point) float64) []float64 {
	at := []float64{from, to - size}
	if opening.Known {
		at = append(at, of(opening.Gap.From), of(opening.Gap.To)-size)
	}
	for _, q := range done {
		if q.bay == bay {
			at = append(at, of(q.part.Box.To)+between, of(q.part.Box.From)-between-size)
		}
	}
	at = slices.DeleteFunc(at, func(x float64) bool { return x < from-0.01 || x+size > to+0.01 })
	slices.Sort(at)
	return slices.CompactFunc(at, func(b, a float64) bool { return b-a < 1 })
}

// levels are the floor, and for what is light and does not slide the tops of what
// is placed in the bay or stays there.
func (d *draft) levels(p *scene.Part, bay *scene.Bay, floor float64, done []*place) []float64 {
	all := []float64{floor}
	if p.Kg() >= d.Job.Practice.HeavyFrom || p.Motion == scene.Slides || p.Motion == scene.Drawers {
		return all
	}
	for _, q := range done {
		if q.bay == bay && q.part.Motion != scene.LidUp {
			all = append(all, q.part.Box.To.Z)
		}
	}
	for _, q := range d.stays {
		if q.Bay == bay.ID && q.Motion != scene.LidUp {
			all = append(all, q.Box.To.Z)
		}
	}
	slices.Sort(all)
	return slices.CompactFunc(all, func(b, a float64) bool { return b-a < 1 })
}

// carried tells whether more than half of a box lies on what is placed or stays.
func (d *draft) carried(b fitout.Box, done []*place) bool {
	return d.under(b, done) > half(b)
}

// half is half of the area of a box, mm².
func half(b fitout.Box) float64 { return b.Size().Length * b.Size().Width / 2 }

// under is how much of a box lies on what is placed or stays, mm².
func (d *draft) under(b fitout.Box, done []*place) (area float64) {
	for _, q := range done {
		area += under(b, q.part.Box)
	}
	for _, q := range d.stays {
		area += under(b, q.Box)
	}
	return area
}

// under is how much of a box lies on another, mm².
func under(b, other fitout.Box) float64 {
	by := b.Overlap(other)
	if math.Abs(other.To.Z-b.From.Z) > 5 || by.X <= 0 || by.Y <= 0 {
		return 0
	}
	return by.X * by.Y
}

// impossibleAlone names a part that fits nowhere by itself.
func (d *draft) impossibleAlone() string {
	if len(d.parts) == 0 {
		return "Nothing can be placed: no part stands in a measured space with walls and a ceiling, or all are locked."
	}
	if len(d.before) == 0 {
		return "" // it stands somewhere already
	}
	for _, p := range d.parts {
		if len(d.corners(p, nil)) > 0 || d.onSomething(p) {
			continue
		}
		size := p.Box.Size()
		why := "it does not go in clear of walls, obstacles and what stays"
		if p.Motion == scene.Slides || p.Motion == scene.Drawers {
			why = "it does not slide out of any opening clear of the frame, the lip and what stays"
		}
		return fmt.Sprintf("%s (%s × %s × %s) fits nowhere: %s. Make it smaller, unlock what stands in its way, or leave "+
			"it out.", p.Name(), d.Say.Length(size.Length), d.Say.Length(size.Width), d.Say.Length(size.Height), why)
	}
	return ""
}

// onSomething tells whether a part may still find a place on another one.
func (d *draft) onSomething(p *scene.Part) bool {
	if p.Kg() >= d.Job.Practice.HeavyFrom || p.Motion == scene.Slides || p.Motion == scene.Drawers {
		return false
	}
	return slices.ContainsFunc(d.scene.Bays, func(b scene.Bay) bool {
		size, room := p.Box.Size(), b.Room.Size()
		long, wide := max(size.Length, size.Width), min(size.Length, size.Width)
		return movable(&b) && long <= max(room.Length, room.Width) && wide <= min(room.Length, room.Width)
	})
}

// whyNot names the demand without which there would be an arrangement: one part
// left out, or two.
func (d *draft) whyNot(ctx context.Context) string {
	var without []string
	for i := range d.parts {
		rng := rand.New(rand.NewPCG(2, uint64(i)))
		for try := 0; try < packTries/len(d.parts) && ctx.Err() == nil; try++ {
			if _, ok := d.packOnce(rng, i, try == 0); ok {
				without = append(without, words.Lower(d.parts[i].Name()))
				break
			}
		}
	}
	if len(without) > 0 {
		return fmt.Sprintf("All of it does not fit at once, each with a free way to open. It would without one of these: %s.",
			strings.Join(without, ", "))
	}
	return "More is asked than the spaces hold: even without any one of the parts no arrangement was found for the " +
		"rest. Leave out or make smaller two of them."
}
