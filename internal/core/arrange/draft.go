package arrange

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/propose"
	"zaino/internal/core/scene"
)

// draft is a job being arranged.
type draft struct {
	*plan.Plan
	scene  *scene.Scene
	before map[string]bool // what stops the arrangement as it stands
	parts  []*scene.Part   // to be placed
	stays  []*scene.Part
	places [][]place
	asIs   []int // the choice that is the arrangement as it stands; nil where that breaks a rule
	aims   map[Aim]float64
	open   map[string]map[string]bool // pairs of parts that are open together in a stance
}

// place is one place of one part.
type place struct {
	bay    *scene.Bay
	item   fitout.Item // as it stands there
	part   scene.Part
	swept  []fitout.Box
	open   []fitout.Box
	out    fitout.Box // from the part to the opening of its bay
	onTop  bool       // not on the floor: something must be under it
	asIs   bool       // where the part stands now
	option propose.Option
}

// aimWeights are what the aims count by their rank.
var aimWeights = [...]float64{1, 0.6, 0.36, 0.22, 0.13, 0.08}

// newDraft makes ready to arrange what the wishes name.
func newDraft(p *plan.Plan, wishes Wishes) *draft {
	s := scene.Of(p)
	d := &draft{Plan: p, scene: s, before: stops(p), aims: map[Aim]float64{}, open: map[string]map[string]bool{}}
	ranked := slices.Clone(wishes.Aims)
	for _, aim := range Aims {
		if !slices.Contains(ranked, aim) {
			ranked = append(ranked, aim)
		}
	}
	for rank, aim := range ranked {
		if rank < len(aimWeights) {
			d.aims[aim] = aimWeights[rank]
		}
	}
	for i := range s.Parts {
		part := &s.Parts[i]
		named := len(wishes.Parts) == 0 || slices.Contains(wishes.Parts, part.ID)
		if bay := s.Bay(part.Bay); named && !part.Fixed && bay != nil && movable(bay) {
			d.parts = append(d.parts, part)
		} else {
			d.stays = append(d.stays, part)
		}
	}
	for _, stance := range p.Variant.Stances {
		for _, a := range stance.Open {
			for _, b := range stance.Open {
				if d.open[a.Module] == nil {
					d.open[a.Module] = map[string]bool{}
				}
				d.open[a.Module][b.Module] = true
			}
		}
	}
	return d
}

// movable tells whether parts may be arranged in a bay: one with walls, a ceiling
// and a floor, for load.
func movable(b *scene.Bay) bool {
	switch b.Kind {
	case fitout.BayWagonCargo, fitout.BayTub, fitout.BayCanopyLeft, fitout.BayCanopyRight, fitout.BayCanopyRear,
		fitout.BayLivingBox, fitout.BayHeadboard:
		size := b.Room.Size()
		return !b.Open && size.Length > 0 && size.Width > 0
	}
	return false
}

// turned is a part as it can stand in a bay: what moves faces the opening, what
// does not stands as it is or a quarter turned.
func turned(item *fitout.Item, bay *scene.Bay) []fitout.Item {
	plain := *item
	m := *item.Module
	plain.Module, plain.Bay, plain.In = &m, bay.ID, nil
	quarter := plain
	n := m
	quarter.Module = &n
	quarter.Size.Length, quarter.Size.Width = plain.Size.Width, plain.Size.Length
	if m.Faces == fitout.FaceNone || m.Faces == fitout.FaceTop || m.Faces == "" || !bay.Opening.Known {
		return []fitout.Item{plain, quarter}
	}
	side := func(f fitout.Face) bool { return f == fitout.FaceLeft || f == fitout.FaceRight }
	if side(m.Faces) != side(bay.Opening.Face) {
		quarter.Module.Faces = bay.Opening.Face
		return []fitout.Item{quarter}
	}
	plain.Module.Faces = bay.Opening.Face
	return []fitout.Item{plain}
}

// floor is where a part stands in a bay: on the floor, or so that what slides out
// clears the lip.
func (d *draft) floor(p *scene.Part, bay *scene.Bay) float64 {
	z := bay.Room.From.Z
	if bay.Opening.Known && bay.Opening.Face != fitout.FaceTop && (p.Motion == scene.Slides || p.Motion == scene.Drawers) {
		panel := 0.0
		if p.Motion == scene.Drawers {
			panel = p.Module().Panel
		}
		z = max(z, bay.Opening.Gap.From.Z-panel)
	}
	return z
}

// try puts a part to a place and holds it against the hard rules that it breaks
// or keeps by itself. Where it stands now it may open otherwise than through the
// opening: something may carry it out first.
func (d *draft) try(item fitout.Item, bay *scene.Bay, now bool) (place, bool) {
	pl := place{bay: bay, item: item}
	box := item.Box()
	if _, side := scene.Outside(box, bay); side != "" {
		return pl, false
	}
	inTheWay := func(o fitout.Box) bool { return overlaps(box, o) }
	if slices.ContainsFunc(bay.Obstacles, func(o scene.Obstacle) bool { return inTheWay(o.Box) }) || slices.ContainsFunc(d.stays, func(q *scene.Part) bool {
		return inTheWay(q.Box)
	}) {
		return pl, false
	}
	pl.part = scene.PartOf(&pl.item)
	for _, leaf := range pl.part.Leaves {
		if !now && (pl.part.Motion == scene.Slides || pl.part.Motion == scene.Drawers) {
			// What slides must get out, clear of the frame and the lip.
			if !bay.Opening.Known || !bay.Through(leaf.Open) {
				return pl, false
			}
			if mm, _ := bay.Frame(leaf.Closed); mm > 0.5 {
				return pl, false
			}
		}
		pl.swept, pl.open = append(pl.swept, leaf.Swept), append(pl.open, leaf.Open)
	}
	for _, q := range d.stays {
		if now {
			break
		}
		if d.sweeps(&pl, q.Box) {
			return pl, false
		}
		for _, leaf := range q.Leaves {
			if overlaps(leaf.Swept, box) {
				return pl, false
			}
		}
	}
	pl.out = bay.Path(box)
	pl.option = d.worth(&pl)
	return pl, true
}

// overlaps tells whether two boxes share more room than a saw cut.
func overlaps(a, b fitout.Box) bool {
	by := a.Overlap(b)
	return min(by.X, by.Y, by.Z) > 0.5
}

// sweeps tells whether what moves of a part passes through a box.
func (d *draft) sweeps(pl *place, box fitout.Box) bool {
	return slices.ContainsFunc(pl.swept, func(b fitout.Box) bool { return overlaps(b, box) })
}

// worth is what a place is worth by itself, by the aims: a kg off the rear axle,
// 3 kg·m lower, 100 mm nearer to the opening or within reach, 5 L of drawer count
// 1 each before they are weighted.
func (d *draft) worth(pl *place) propose.Option {
	p := d.scenePart(pl.item.ID)
	at := pl.part.Box.Middle()
	kg := p.Kg()
	value := -d.aims[AimRear] * kg * at.X / d.Load.Wheelbase
	value -= d.aims[AimLow] * kg * at.Z / 1000 / 3
	if d.daily(pl.item.ID) {
		value -= d.aims[AimAccess] * max(0, pl.bay.Behind(pl.part.Box)) / 100
		value -= d.aims[AimAccess] * max(0, at.Z-1300) / 100
	}
	if module.Of(pl.item.Module.Kind).Shape != module.Bought {
		for _, c := range module.Cells(&pl.item) {
			value += d.aims[AimRoom] * c.Inside.Litres() / 5
		}
	}
	return propose.Option{Value: value, Side: kg * at.Y}
}

// scenePart is a part as it stands now.
func (d *draft) scenePart(id string) *scene.Part {
	for i := range d.scene.Parts {
		if d.scene.Parts[i].ID == id {
			return &d.scene.Parts[i]
		}
	}
	return nil
}

// daily tells whether a part, or something in it, is used daily.
func (d *draft) daily(id string) bool {
	used := func(id string) bool {
		for i := range d.Job.Brief.Gear {
			if g := &d.Job.Brief.Gear[i]; g.ID == id && (g.Used == fitout.UsedDaily || g.Used == fitout.UsedOften) {
				return true
			}
		}
		return false
	}
	if used(id) {
		return true
	}
	return slices.ContainsFunc(d.scene.Things, func(t scene.Thing) bool { return t.Part == id && used(t.Item.ID) })
}

// stepCost is what one part before another that is used daily costs, before it is
// weighted.
const stepCost = 8

// problem is what the search solves: a place for each part.
func (d *draft) problem() *propose.Problem {
	p := &propose.Problem{SideWeight: d.aims[AimSides] / 1000 / 3, Holds: d.holds}
	for i := range d.places {
		options := make([]propose.Option, len(d.places[i]))
		for a := range d.places[i] {
			options[a] = d.places[i][a].option
		}
		p.Options = append(p.Options, options)
	}
	for _, q := range d.stays {
		p.Base += q.Kg() * q.Box.Middle().Y
	}
	p.Excludes = func(i, a, k, b int) bool { return d.excludes(&d.places[i][a], &d.places[k][b]) }
	// A few centimetres make no other arrangement.
	p.Alike = func(i, a, b int) bool {
		x, y := &d.places[i][a], &d.places[i][b]
		s, t := x.item.At, y.item.At
		return x.bay == y.bay && math.Abs(s.X-t.X) < alike && math.Abs(s.Y-t.Y) < alike && math.Abs(s.Z-t.Z) < alike
	}
	for i := range d.places {
		for a := range d.places[i] {
			pl := &d.places[i][a]
			if least := math.Nextafter(half(pl.part.Box), math.Inf(1)) - d.under(pl.part.Box, nil); pl.onTop &&
				least > 0 {
				p.Needs = append(
					p.Needs,
					propose.Need{Part: i, Option: a, Least: least, Gives: func(k, b int) float64 {
						return under(pl.part.Box, d.places[k][b].part.Box)
					}},
				)
			}
		}
	}
	daily := make([]bool, len(d.parts))
	for i := range d.parts {
		daily[i] = d.daily(d.parts[i].ID)
	}
	p.Pair = func(i, a, k, b int) float64 {
		x, y := &d.places[i][a], &d.places[k][b]
		cost := 0.0
		if daily[i] && overlaps(x.out, y.part.Box) {
			cost -= stepCost
		}
		if daily[k] && overlaps(y.out, x.part.Box) {
			cost -= stepCost
		}
		return cost * d.aims[AimSteps]
	}
	return p
}

// excludes tells whether two places cannot both be taken: in one place, one in
// the way of what the other opens, or both open in one place in a stance.
func (d *draft) excludes(x, y *place) bool {
	if x.asIs && y.asIs {
		return false // as they stand now, with nothing against it
	}
	if overlaps(x.part.Box, y.part.Box) || d.sweeps(x, y.part.Box) || d.sweeps(y, x.part.Box) {
		return true
	}
	// What slides wants its clearance beside it.
	if x.bay == y.bay && (x.part.Motion == scene.Slides || y.part.Motion == scene.Slides) {
		wide := x.part.Box
		c := d.Job.Practice.Clearance - 0.5
		wide.From.X, wide.From.Y, wide.To.X, wide.To.Y = wide.From.X-c, wide.From.Y-c, wide.To.X+c, wide.To.Y+c
		if overlaps(wide, y.part.Box) {
			return true
		}
	}
	if !d.open[x.item.ID][y.item.ID] {
		return false
	}
	for _, a := range x.open {
		for _, b := range y.open {
			if overlaps(a, b) {
				return true
			}
		}
	}
	return false
}
