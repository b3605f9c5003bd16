package module

import (
	"cmp"
	"slices"

	"zaino/internal/core/fitout"
)

// nearly is how much one thing may reach over another before it counts as
// lying on it, mm.
const nearly = 0.5

// Lie lays things into a compartment in the given order, the first deepest, and
// returns their boxes: each goes as low as it can, then as far toward the back
// and to the left as it can, turned by a quarter where only that fits. It comes
// to lie on whatever is under it, as one packs by hand. What fits nowhere lies
// where it sticks out least; that it does not fit is said elsewhere.
func Lie(inside fitout.Box, things []fitout.Size) []fitout.Box {
	boxes := make([]fitout.Box, 0, len(things))
	for _, size := range things {
		best, found := lowest(inside, boxes, size)
		turned, foundTurned := fitout.Box{}, false
		if !found || best.To.Z > inside.To.Z+nearly {
			turned, foundTurned = lowest(inside, boxes, fitout.Size{Length: size.Width, Width: size.Length, Height: size.Height})
		}
		if foundTurned && (!found || turned.From.Z < best.From.Z) {
			best, found = turned, true
		}
		if !found { // larger than the floor: in the middle of it, on what lies there
			at := inside.Middle()
			half := fitout.Point{X: size.Length / 2, Y: size.Width / 2}
			best = fitout.Box{From: fitout.Point{X: at.X - half.X, Y: at.Y - half.Y}, To: fitout.Point{X: at.X + half.X,
				Y: at.Y + half.Y}}
			best = dropped(inside, boxes, best, size.Height)
		}
		boxes = append(boxes, best)
	}
	return boxes
}

// lowest returns the lowest place for a thing as it is turned, of those against
// the walls and against what lies there already.
func lowest(inside fitout.Box, boxes []fitout.Box, size fitout.Size) (fitout.Box, bool) {
	xs, ys := []float64{inside.From.X}, []float64{inside.From.Y}
	for _, b := range boxes {
		xs, ys = append(xs, b.To.X), append(ys, b.To.Y)
	}
	slices.Sort(xs)
	slices.Sort(ys)
	xs, ys = slices.Compact(xs), slices.Compact(ys)
	var best fitout.Box
	found := false
	for _, x := range xs {
		for _, y := range ys {
			b := fitout.Box{From: fitout.Point{X: x, Y: y}, To: fitout.Point{X: x + size.Length, Y: y + size.Width}}
			if b.To.X > inside.To.X+nearly || b.To.Y > inside.To.Y+nearly {
				continue
			}
			b = dropped(inside, boxes, b, size.Height)
			if !found || before(b.From, best.From) {
				best, found = b, true
			}
			if b.From.Z == inside.From.Z { // the rest stands further back or to the right
				return best, found
			}
		}
	}
	return best, found
}

// before orders places: lower first, then further forward, then further left.
func before(a, b fitout.Point) bool {
	return cmp.Or(cmp.Compare(a.Z, b.Z), cmp.Compare(a.X, b.X), cmp.Compare(a.Y, b.Y)) < 0
}

// dropped lets a thing down onto what is under it.
func dropped(inside fitout.Box, boxes []fitout.Box, b fitout.Box, height float64) fitout.Box {
	b.From.Z = inside.From.Z
	for i := range boxes {
		o := &boxes[i]
		if o.To.Z > b.From.Z && o.From.X < b.To.X-nearly && o.To.X > b.From.X+nearly && o.From.Y < b.To.Y-nearly &&
			o.To.Y > b.From.Y+nearly {
			b.From.Z = o.To.Z
		}
	}
	b.To.Z = b.From.Z + height
	return b
}

// Above returns for each thing of a compartment how many lie on it, directly or
// on what lies on it, and have to be moved before it can be taken out.
func Above(boxes []fitout.Box) []int {
	order := make([]int, len(boxes))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(boxes[a].From.Z, boxes[b].From.Z) })
	counts := make([]int, len(boxes))
	for i, b := range boxes {
		on := map[int]bool{i: true}
		for _, k := range order {
			for under := range on {
				o := boxes[k]
				if by := o.Overlap(boxes[under]); !on[k] && by.X > nearly && by.Y > nearly &&
					o.From.Z >= boxes[under].To.Z-nearly && o.From.Z >= b.From.Z {
					on[k] = true
					break
				}
			}
		}
		counts[i] = len(on) - 1
	}
	return counts
}
