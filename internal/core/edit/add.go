package edit

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	modules "zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Added is what came of adding a part.
type Added struct {
	Job      fitout.Job
	ID       string   // of the new part
	Proposed []string // what was proposed with it, in words
}

// Add puts a component into a space: facing its open side, on its floor, at the first place
// where it fits beside what is there, with the latch, lock, runners and fixings proposed that
// the rules would ask for. Where it does not fit it says how much it needs, unless it is to be
// added anyway; then it stands in the front left corner.
func Add(j *fitout.Job, components []fitout.Component, component, bay string, anyway bool) (Added, error) {
	k := slices.IndexFunc(components, func(c fitout.Component) bool { return c.ID == component })
	if k < 0 {
		return Added{Job: *j}, fitout.Problem{Path: "id", Given: component, Accepted: "the id of a component of the catalogue"}
	}
	s := fit.Of(plan.Of(j))
	space := s.Bay(bay)
	item := copied(j, &components[k])
	item.Bay = bay
	if space != nil {
		faceOut(&item, space.Opening.Face)
	}
	added := Added{ID: item.ID}
	at, ok := firstPlace(j, s, space, &item)
	switch {
	case ok:
		item.At = at
	case space == nil:
		o := &j.Vehicle.Outline
		item.At = fitout.Point{X: math.Round((o.Headboard + j.Vehicle.Wheelbase) / 2), Z: o.FloorHeight + item.Size.Height/2}
	case !anyway:
		return Added{Job: *j}, fitout.Problem{Path: "bay", Name: space.Name,
			Given:    fmt.Sprintf("%s, which does not fit: it needs %s", item.Name, shortage(s, space, &item)),
			Accepted: "a part that goes in beside what is there, or one of another size"}
	default:
		from := space.Room.From
		item.At = fitout.Point{X: from.X + item.Size.Length/2, Y: from.Y + item.Size.Width/2, Z: from.Z + item.Size.Height/2}
	}
	item.At.X = j.Vehicle.Stored(item.At.X, item.Behind)
	added.Job = withItem(j, item)
	added.Job, added.Proposed = proposed(&added.Job, item.ID)
	return added, fitout.Validate(&added.Job)
}

// copied is a component as an item of its own under an id that nothing has yet.
func copied(j *fitout.Job, c *fitout.Component) fitout.Item {
	v := j.ChosenVariant()
	item := c.Item
	item.ID = freshID(c.Item.ID, func(id string) bool {
		return slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == id })
	})
	if c.Item.Module != nil {
		m := *c.Item.Module
		m.Cells, m.Fixings = slices.Clone(m.Cells), slices.Clone(m.Fixings)
		item.Module = &m
	}
	return item
}

// withItem is the job with one more item, whose module is its own.
func withItem(j *fitout.Job, item fitout.Item) fitout.Job {
	if item.Module != nil {
		m := *item.Module
		item.Module = &m
	}
	edited := *j
	edited.Variants = slices.Clone(j.Variants)
	v := edited.ChosenVariant()
	v.Items = append(slices.Clone(v.Items), item)
	return edited
}

// faceOut turns a part that opens to a side toward the open side of a space.
func faceOut(item *fitout.Item, open fitout.Face) {
	m := item.Module
	if m == nil || m.Faces == fitout.FaceNone || m.Faces == fitout.FaceTop || open == fitout.FaceNone || open == fitout.FaceTop ||
		open == "" || m.Faces == open {
		return
	}
	sideways := func(f fitout.Face) bool { return f == fitout.FaceLeft || f == fitout.FaceRight }
	if sideways(m.Faces) != sideways(open) {
		item.Size.Length, item.Size.Width = item.Size.Width, item.Size.Length
	}
	m.Faces = open
}

// firstPlace is the first place of a space where a part stands clear of everything and no
// rule has a stop or caution to tell of it; else the first where it stands clear.
func firstPlace(j *fitout.Job, s *fit.Scene, space *fit.Bay, item *fitout.Item) (fitout.Point, bool) {
	if space == nil || space.Room.Size().Length == 0 || space.Room.Size().Width == 0 {
		return fitout.Point{}, false
	}
	room := space.Upright()
	if space.Open {
		room.To.Z = room.From.Z + 3000
	}
	occupied := slices.Clone(space.Obstacles)
	for i := range s.Parts {
		occupied = append(occupied, s.Parts[i].Box)
	}
	size := item.Size
	air := 0.0
	if item.Module != nil {
		air = modules.TraitsOf(item.Module.Kind).Air
	}
	faces := occupied
	if space.Opening.Known {
		faces = append(slices.Clone(occupied), space.Opening.Gap)
	}
	xs := starts(room.From.X, room.To.X, size.Length, air, faces, func(b fitout.Box) (float64, float64) { return b.From.X, b.To.X })
	ys := starts(room.From.Y, room.To.Y, size.Width, air, faces, func(b fitout.Box) (float64, float64) { return b.From.Y, b.To.Y })
	zs := []float64{room.From.Z}
	for i := range s.Parts {
		if p := &s.Parts[i]; p.Bay == space.ID && (p.Traits().Floor || p.Traits().Shelf || p.Traits().StoodOn) {
			zs = append(zs, p.Box.To.Z)
		}
	}
	slices.Sort(zs)
	// Its face stands at the open side; beside that it begins at the front, or at the left.
	switch space.Opening.Face {
	case fitout.FaceRear:
		slices.Reverse(xs)
	case fitout.FaceRight:
		slices.Reverse(ys)
	}
	var clear []fitout.Point
	try := func(x, y, z float64) {
		box := fitout.Box{From: fitout.Point{X: x, Y: y, Z: z}, To: fitout.Point{X: x + size.Length, Y: y + size.Width, Z: z + size.Height}}
		if box.Around(room) != room || slices.ContainsFunc(occupied, func(o fitout.Box) bool {
			by := o.Overlap(box)
			return min(by.X, by.Y, by.Z) > 1e-6
		}) {
			return
		}
		clear = append(clear, box.Middle())
	}
	for _, z := range zs {
		if space.Opening.Face == fitout.FaceLeft || space.Opening.Face == fitout.FaceRight {
			for _, y := range ys {
				for _, x := range xs {
					try(x, y, z)
				}
			}
			continue
		}
		for _, x := range xs {
			for _, y := range ys {
				try(x, y, z)
			}
		}
	}
	if len(clear) == 0 {
		return fitout.Point{}, false
	}
	const tried = 150
	best, fewest := clear[0], math.MaxInt
	before := graves(j)
	// What the rules ask of its hardware is the same everywhere, and not what is looked for here.
	first := *item
	first.At = clear[0]
	first.At.X = j.Vehicle.Stored(first.At.X, item.Behind)
	job := withItem(j, first)
	job, _ = proposed(&job, item.ID)
	for _, at := range clear[:min(tried, len(clear))] {
		trial := WithItems(&job, func(i *fitout.Item) {
			if i.ID == item.ID {
				i.At = at
				i.At.X = j.Vehicle.Stored(at.X, item.Behind)
			}
		})
		if n := graves(&trial) - before; n < fewest {
			best, fewest = at, n
		}
		if fewest <= 0 {
			break
		}
	}
	return best, true
}

// graves counts the stops and cautions about modules.
func graves(j *fitout.Job) int {
	n := 0
	for _, f := range fit.Of(plan.Of(j)).Check() {
		if f.Severity != fitout.Note {
			n += 1 + len(f.With)
		}
	}
	return n
}

// starts are where a part of a length may begin between two walls: at each of them, and at the
// faces of what stands there, with and without room for air; the least first.
func starts(from, to, long, air float64, occupied []fitout.Box, faces func(fitout.Box) (low, high float64)) []float64 {
	const slides = 4 // what slides wants a little on each side
	var all []float64
	beside := func(low, high float64) {
		for _, gap := range []float64{0, slides, air} {
			all = append(all, high+gap, low-long-gap)
		}
	}
	beside(to, from)
	for _, o := range occupied {
		beside(faces(o))
		low, high := faces(o)
		beside(high, low) // within what is an opening
	}
	all = slices.DeleteFunc(all, func(at float64) bool { return at < from-1e-6 || at+long > to+1e-6 })
	slices.Sort(all)
	return slices.CompactFunc(all, func(a, b float64) bool { return math.Abs(a-b) < 0.5 })
}

// shortage tells how much more room a part needs in the space that is left where it lacks
// least.
func shortage(s *fit.Scene, space *fit.Bay, item *fitout.Item) string {
	type lack struct {
		mm   float64
		what string
	}
	best := lack{math.Inf(1), ""}
	for _, b := range fit.Free(space, s.Parts, fitout.Size{}) {
		free := b.Size()
		most := lack{}
		for _, l := range []lack{{item.Size.Length - free.Length, "length along the vehicle"}, {item.Size.Width - free.Width,
			"width across it"}, {item.Size.Height - free.Height, "height"}} {
			if l.mm > most.mm {
				most = l
			}
		}
		if most.mm > 0 && most.mm < best.mm {
			best = most
		}
	}
	if math.IsInf(best.mm, 1) {
		return "room where nothing is left"
	}
	return s.Say.Length(math.Ceil(best.mm)) + " more " + best.what
}

// asked are the edits by which a new part gets what the rules ask of its hardware.
var asked = map[string]string{"latch": "a rated latch", "travel": "its travel", "drop": "its drop",
	"strut-force": "stronger gas struts"}

// proposed gives a part what the rules would ask of its hardware, as long as that mends without
// a new finding, and fixings that hold it; it tells what.
func proposed(j *fitout.Job, id string) (fitout.Job, []string) {
	job := *j
	var said []string
	for range 6 {
		fixed := false
		for _, f := range fit.Of(plan.Of(&job)).Check() {
			if f.Subject.ID != id {
				continue
			}
			for _, fix := range f.Fixes {
				what, known := asked[fix.Edit.Kind]
				if !known || fix.Edit.ID != id {
					continue
				}
				if next, err := Apply(&job, nil, []fitout.FixEdit{fix.Edit}); err == nil && graves(&next) < graves(&job) {
					job, fixed = next, true
					if !slices.Contains(said, what) {
						said = append(said, what)
					}
					break
				}
			}
			if fixed {
				break
			}
		}
		if !fixed {
			break
		}
	}
	if chained, ok := follows(&job, id); ok {
		job, said = chained, append(said, "a chain for its cable or hose")
	}
	if n := fix(&job, id); n > 0 {
		said = append(said, fmt.Sprintf("%d fixings", n))
	}
	if len(said) == 0 {
		return job, nil
	}
	return WithItems(&job, func(i *fitout.Item) {
		if i.ID == id && i.Note == "" {
			i.Note = words.Capital(words.List(said)) + " proposed: check each before it is built or drilled."
		}
	}), said
}

// follows gives a part that slides with a cable or hose a chain, where the rules ask how that
// follows.
func follows(j *fitout.Job, id string) (fitout.Job, bool) {
	next := WithItems(j, func(i *fitout.Item) {
		if i.ID == id && i.Module != nil && i.Module.Follows == fitout.NotSaid {
			m := *i.Module
			m.Follows, i.Module = fitout.Chain, &m
		}
	})
	return next, graves(&next) < graves(j)
}

// Fixings that are proposed: what one holds, kg of force, and how many at most. A practice
// figure for an M8 bolt through sheet with a plate beneath.
const (
	boltHolds = 250.0
	mostBolts = 12
)

// fix holds a part by the nearest mounting points of the vehicle that have force left, or by
// bolts proposed under its corners; it tells by how many. What is light, or carried, or soft
// needs none.
func fix(job *fitout.Job, id string) int {
	s := fit.Of(plan.Of(job))
	k := slices.IndexFunc(s.Parts, func(p fit.Part) bool { return p.ID == id })
	if k < 0 || len(s.Parts[k].Module().Fixings) > 0 || !s.MustBeHeld(&s.Parts[k]) {
		return 0
	}
	p := &s.Parts[k]
	need := s.Asks(p) * 1.5 // what lies in it comes on top
	if n := onMounts(job, s, p, need); n > 0 {
		return n
	}
	n := min(mostBolts, max(4, int(math.Ceil(need/boltHolds))))
	edited := *job
	edited.Vehicle.Mounts = slices.Clone(job.Vehicle.Mounts)
	b := p.Box
	var fixings []fitout.Fixing
	behind := p.Item.Behind
	for i := range n {
		// Round the foot of the part: its corners first.
		x, y := b.From.X, b.From.Y
		if i%2 == 1 {
			x = b.To.X
		}
		if i/2%2 == 1 {
			y = b.To.Y
		}
		if i >= 4 {
			share := float64(i/2-1) / float64((n-2)/2+1)
			x = b.From.X + (b.To.X-b.From.X)*share
			y = []float64{b.From.Y, b.To.Y}[i%2]
		}
		mount := fitout.Mount{
			ID: freshID("bolt", func(m string) bool {
				return slices.ContainsFunc(edited.Vehicle.Mounts, func(o fitout.Mount) bool { return o.ID == m })
			}),
			Name: cut(fmt.Sprintf("Proposed bolt %d of %s", i+1, words.Lower(p.Name())), 120),
			At:   fitout.Point{X: job.Vehicle.Stored(x, behind), Y: y, Z: b.From.Z}, Rating: boltHolds, Behind: behind,
			Beneath: "not looked at yet: look before drilling",
		}
		edited.Vehicle.Mounts = append(edited.Vehicle.Mounts, mount)
		fixings = append(fixings, fitout.Fixing{Mount: mount.ID})
	}
	if len(edited.Vehicle.Mounts) > mostMounts {
		return 0
	}
	*job = WithItems(&edited, func(i *fitout.Item) {
		if i.ID == id {
			m := *i.Module
			m.Fixings, i.Module = fixings, &m
		}
	})
	return n
}

// near is how far from a part a mounting point may be that is proposed for it, mm.
const near = 250.0

// onMounts fixes a part to mounting points of the vehicle that are near and hold nothing else
// yet, where they are enough; it tells by how many.
func onMounts(job *fitout.Job, s *fit.Scene, p *fit.Part, need float64) int {
	used := map[string]bool{}
	for i := range s.Parts {
		for _, f := range s.Parts[i].Module().Fixings {
			used[f.Mount] = true
		}
	}
	off := func(m *fitout.Mount) float64 {
		x := max(p.Box.From.X-m.At.X, m.At.X-p.Box.To.X, 0)
		y := max(p.Box.From.Y-m.At.Y, m.At.Y-p.Box.To.Y, 0)
		z := max(p.Box.From.Z-m.At.Z, m.At.Z-p.Box.To.Z, 0)
		return math.Hypot(math.Hypot(x, y), z)
	}
	var free []*fitout.Mount
	for i := range s.Vehicle.Mounts {
		if m := &s.Vehicle.Mounts[i]; !used[m.ID] && m.Rating > 0 && off(m) <= near {
			free = append(free, m)
		}
	}
	slices.SortStableFunc(free, func(a, b *fitout.Mount) int { return cmp.Compare(off(a), off(b)) })
	held := 0.0
	var fixings []fitout.Fixing
	for _, m := range free {
		if held >= need {
			break
		}
		held += m.Rating
		fixings = append(fixings, fitout.Fixing{Mount: m.ID})
	}
	if held < need {
		return 0
	}
	*job = WithItems(job, func(i *fitout.Item) {
		if i.ID == p.ID {
			m := *i.Module
			m.Fixings, i.Module = fixings, &m
		}
	})
	return len(fixings)
}

// mostMounts is how many mounting points a vehicle may have.
const mostMounts = 200

func cut(text string, most int) string {
	if r := []rune(text); len(r) > most {
		return string(r[:most])
	}
	return text
}
