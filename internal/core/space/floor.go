package space

import (
	"math"

	"zaino/internal/core/fitout"
)

// floor are the six readings of a four-sided floor, mm.
type floor [6]float64

// Places of the readings in a floor.
const (
	lengthLeft = iota
	lengthRight
	widthFront
	widthRear
	diagonalLeft  // front left to rear right
	diagonalRight // front right to rear left
)

// measures are the fields of a bay that hold them.
var measures = [6]string{"lengthLeft", "lengthRight", "widthFront", "widthRear", "diagonalLeft", "diagonalRight"}

func floorOf(b *fitout.Bay) floor {
	return floor{b.LengthLeft, b.LengthRight, b.WidthFront, b.WidthRear, b.DiagonalLeft, b.DiagonalRight}
}

// otherDiagonal returns the right diagonal that the four sides and the left
// diagonal p leave: the floor is two triangles on p, and the right diagonal
// joins their far corners. ok is false when one of the triangles cannot close.
func (f floor) otherDiagonal() (mm float64, ok bool) {
	p := f[diagonalLeft]
	// With front left at (0, 0) and rear right at (p, 0): front right is
	// widthFront and lengthRight from them, rear left lengthLeft and widthRear.
	x1, y1, ok1 := apex(p, f[widthFront], f[lengthRight])
	x2, y2, ok2 := apex(p, f[lengthLeft], f[widthRear])
	return math.Hypot(x1-x2, y1+y2), ok1 && ok2
}

// apex returns the corner of a triangle on a base of p from the origin, at a
// distance a from the origin and b from the other end, above the base.
func apex(p, a, b float64) (x, y float64, ok bool) {
	x = (p*p + a*a - b*b) / (2 * p)
	square := a*a - x*x
	return x, math.Sqrt(max(0, square)), square >= 0
}

// irregular is how far a floor is from a rectangle: what opposite sides and the
// diagonals differ by, mm.
func (f floor) irregular() float64 {
	return math.Abs(f[lengthLeft]-f[lengthRight]) + math.Abs(f[widthFront]-f[widthRear]) +
		math.Abs(f[diagonalLeft]-f[diagonalRight])
}

// suspect returns the measure that is most likely wrong and what it should be:
// each in turn is changed until the floor closes, and the one that leaves the
// most regular floor is it.
func (f floor) suspect() (measure int, should float64) {
	least := math.Inf(1)
	for i := range f {
		for _, value := range f.closings(i) {
			g := f
			g[i] = value
			if r := g.irregular(); r < least {
				least, measure, should = r, i, value
			}
		}
	}
	if math.IsInf(least, 1) { // no single measure closes it: the diagonal that is furthest from a rectangle's
		ideal := math.Hypot((f[lengthLeft]+f[lengthRight])/2, (f[widthFront]+f[widthRear])/2)
		measure, should = diagonalLeft, ideal
		if math.Abs(f[diagonalRight]-ideal) > math.Abs(f[diagonalLeft]-ideal) {
			measure = diagonalRight
		}
	}
	return measure, should
}

// closings returns the values near which measure i closes the floor, found by
// stepping through half to twice its reading and halving where the gap changes
// its sign.
func (f floor) closings(i int) []float64 {
	gap := func(value float64) (float64, bool) {
		g := f
		g[i] = value
		expected, ok := g.otherDiagonal()
		return expected - g[diagonalRight], ok
	}
	if i == diagonalRight {
		if expected, ok := f.otherDiagonal(); ok {
			return []float64{expected}
		}
		return nil
	}
	const steps = 300
	var found []float64
	low, high := f[i]*0.5, f[i]*2
	at := low
	before, okBefore := gap(at)
	for n := 1; n <= steps; n++ {
		next := low + (high-low)*float64(n)/steps
		after, okAfter := gap(next)
		if okBefore && okAfter && (before < 0) != (after < 0) {
			found = append(found, halve(gap, at, next))
		}
		at, before, okBefore = next, after, okAfter
	}
	return found
}

// halve narrows a change of sign down to a hundredth of a millimetre.
func halve(gap func(float64) (float64, bool), a, b float64) float64 {
	start, _ := gap(a)
	for b-a > 0.01 {
		middle := (a + b) / 2
		if g, _ := gap(middle); (g < 0) == (start < 0) {
			a = middle
		} else {
			b = middle
		}
	}
	return (a + b) / 2
}
