package scene

import (
	"slices"

	"zaino/internal/core/fitout"
)

// Remainder returns the largest empty box of a bay around a place, by volume: the
// room that is left for a unit made to measure there. Where the place is taken,
// it is the largest in the whole bay. It stands clear of every part and obstacle.
// ok is false when nothing is left that is at least as large as the least size
// on each side.
//
// Every largest empty box touches something on each side, so only the faces of
// room, parts and obstacles need be tried; boxes that hold an occupied one are
// split at it until none does.
func Remainder(bay *Bay, parts []Part, near fitout.Point, least fitout.Size) (box fitout.Box, ok bool) {
	most, around := 0.0, false
	for _, f := range Free(bay, parts, least) {
		holds := f.Around(fitout.Box{From: near, To: near}) == f
		if litres := f.Litres(); holds && !around || holds == around && litres > most {
			box, most, around, ok = f, litres, holds, true
		}
	}
	return box, ok
}

// Free are all largest empty boxes of a bay that are at least as large as the least size.
func Free(bay *Bay, parts []Part, least fitout.Size) []fitout.Box {
	occupied := bay.Occupied()
	for i := range parts {
		occupied = append(occupied, parts[i].Box)
	}
	free := []fitout.Box{bay.Upright()}
	for _, o := range occupied {
		var next []fitout.Box
		for _, f := range free {
			next = append(next, Without(f, o, least)...)
		}
		free = distinct(next)
	}
	return free
}

// Without returns the up to six largest parts of a box that an occupied one
// leaves, of those that are large enough.
func Without(f, o fitout.Box, least fitout.Size) []fitout.Box {
	by := f.Overlap(o)
	if min(by.X, by.Y, by.Z) <= 0 {
		if large(f, least) {
			return []fitout.Box{f}
		}
		return nil
	}
	front, rear, left, right, below, above := f, f, f, f, f, f
	front.To.X, rear.From.X = o.From.X, o.To.X
	left.To.Y, right.From.Y = o.From.Y, o.To.Y
	below.To.Z, above.From.Z = o.From.Z, o.To.Z
	var all []fitout.Box
	for _, b := range []fitout.Box{front, rear, left, right, below, above} {
		if large(b, least) {
			all = append(all, b)
		}
	}
	return all
}

func large(b fitout.Box, least fitout.Size) bool {
	s := b.Size()
	return s.Length >= max(1, least.Length) && s.Width >= max(1, least.Width) && s.Height >= max(1, least.Height)
}

// distinct drops boxes that lie in another one.
func distinct(boxes []fitout.Box) []fitout.Box {
	var kept []fitout.Box
	for i, b := range boxes {
		held := slices.ContainsFunc(boxes[:i], func(o fitout.Box) bool { return o.Around(b) == o }) ||
			slices.ContainsFunc(boxes[i+1:], func(o fitout.Box) bool { return o.Around(b) == o && o != b })
		if !held {
			kept = append(kept, b)
		}
	}
	return kept
}
