package edit

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	modules "zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Added is what came of adding a part.
type Added struct {
	Job      fitout.Job
	ID       string   // of the new part
	Proposed []string // what was proposed with it, in words
}

// NoRoomError says that a part does not go into a space beside what is there.
type NoRoomError struct {
	Part, Space string
	Lacks       string // how much it needs, in words
	Unmeasured  bool   // nothing is known of the space yet
}

// Error is that as a sentence.
func (e NoRoomError) Error() string {
	if e.Unmeasured {
		return fmt.Sprintf(
			"%s is not measured yet, so that nothing can be fitted into it. Measure it under Vehicle, Space, or add %s "+
				"anyway and move it to where it stands.",
			words.Capital(e.Space),
			words.Lower(e.Part),
		)
	}
	return fmt.Sprintf(
		"%s does not fit into %s beside what is there: it needs %s. Choose a smaller one, another space, or "+
			"add it anyway and make room.",
		e.Part,
		words.Lower(e.Space),
		e.Lacks,
	)
}

// Add puts a component into a space: facing its open side, on its floor, at the first place
// where it fits beside what is there, with the latch, lock, runners and fixings proposed that
// the rules would ask for. Where it does not fit it says how much it needs, unless it is to be
// added anyway; then it stands in the front left corner.
func Add(j *fitout.Job, components []fitout.Component, component, bay string, anyway bool) (Added, error) {
	k := slices.IndexFunc(components, func(c fitout.Component) bool { return c.ID == component })
	if k < 0 {
		return Added{
				Job: *j,
			}, fitout.Problem{
				Path:     "id",
				Given:    component,
				Accepted: "the id of a component of the catalogue",
			}
	}
	s := scene.Of(plan.Of(j))
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
		item.At = fitout.Point{
			X: math.Round((o.Headboard + j.Vehicle.Wheelbase) / 2),
			Z: o.FloorHeight + item.Size.Height/2,
		}
	case !anyway:
		return Added{
				Job: *j,
			}, NoRoomError{
				item.Name,
				space.Name,
				shortage(s, space, &item),
				min(space.Room.Size().Length, space.Room.Size().Width, space.Room.Size().Height) <= 0,
			}
	default:
		from := space.Room.From
		item.At = fitout.Point{
			X: from.X + item.Size.Length/2,
			Y: from.Y + item.Size.Width/2,
			Z: from.Z + item.Size.Height/2,
		}
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
	if m == nil || m.Faces == fitout.FaceNone || m.Faces == fitout.FaceTop || open == fitout.FaceNone ||
		open == fitout.FaceTop ||
		open == "" ||
		m.Faces == open {
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
func firstPlace(j *fitout.Job, s *scene.Scene, space *scene.Bay, item *fitout.Item) (fitout.Point, bool) {
	if space == nil || space.Room.Size().Length == 0 || space.Room.Size().Width == 0 {
		return fitout.Point{}, false
	}
	room := space.Upright()
	if space.Open {
		room.To.Z = room.From.Z + 3000
	}
	occupied := space.Occupied()
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
	xs := starts(
		room.From.X,
		room.To.X,
		size.Length,
		air,
		faces,
		func(b fitout.Box) (float64, float64) { return b.From.X, b.To.X },
	)
	ys := starts(
		room.From.Y,
		room.To.Y,
		size.Width,
		air,
		faces,
		func(b fitout.Box) (float64, float64) { return b.From.Y, b.To.Y },
	)
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
		box := fitout.Box{
			From: fitout.Point{X: x, Y: y, Z: z},
			To:   fitout.Point{X: x + size.Length, Y: y + size.Width, Z: z + size.Height},
		}
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
	for _, f := range fit.Check(scene.Of(plan.Of(j))) {
		if f.Severity != fitout.Note {
			n += 1 + len(f.With)
		}
	}
	return n
}

// starts are where a part of a length may begin between two walls: at each of them, and at the
// faces of what stands there, with and without room for air; the least first.
func starts(
	from, to, long, air float64,
	occupied []fitout.Box,
	faces func(fitout.Box) (low, high float64),
) []float64 {
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
func shortage(s *scene.Scene, space *scene.Bay, item *fitout.Item) string {
	type lack struct {
		mm   float64
		what string
	}
	best := lack{math.Inf(1), ""}
	for _, b := range scene.Free(space, s.Parts, fitout.Size{}) {
		free := b.Size()
		most := lack{}
		for _, l := range []lack{{item.Size.Length - free.Length, "length along the vehicle"}, {item.Size.Width - free.Width,
			"width across the vehicle"}, {item.Size.Height - free.Height, "height"}} {
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
