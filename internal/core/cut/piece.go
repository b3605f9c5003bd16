// Package cut lays pieces out on sheets so that a panel saw can cut them, edge to edge, and on bars. It knows
// lengths and widths only; what the pieces are for is for who asks.
package cut

import "math"

// slack is below what a saw can tell, mm.
const slack = 0.01

// Piece is one panel to cut, finished size without banding, mm.
type Piece struct {
	Length float64
	Width  float64
	Turn   bool // it may be turned by 90° on the sheet
}

// Stock is one size of sheet, mm. What is cut off its edges is off already.
type Stock struct {
	Length float64
	Width  float64
	Count  int // how many there are; negative: as many as it takes
}

// Placed is where a piece lies on its sheet: from the sheet's corner, mm.
type Placed struct {
	Piece  int // which, by its place in the list
	X, Y   float64
	Length float64 // along x, as it lies
	Width  float64 // along y
	Turned bool
}

// Cut is one cut from edge to edge of what is left of a sheet, in the order in which they are made.
type Cut struct {
	X, Y   float64 // where it begins, mm
	Length float64 // how long it is, mm
	Rip    bool    // along x; otherwise across
}

// Rest is a rectangle that is left, mm.
type Rest struct {
	X, Y, Length, Width float64
}

// Area is its area, m².
func (r Rest) Area() float64 { return r.Length * r.Width / 1e6 }

// Layout is one sheet as it is cut.
type Layout struct {
	Stock  int // which size, by its place in the list
	Length float64
	Width  float64
	Pieces []Placed
	Cuts   []Cut
	Rests  []Rest // largest first
}

// Used is the share of a sheet that is not its largest rest.
func (l *Layout) Used() float64 {
	if len(l.Rests) == 0 {
		return 1
	}
	return 1 - l.Rests[0].Area()*1e6/(l.Length*l.Width)
}

// Nesting is how pieces lie on sheets.
type Nesting struct {
	Layouts []Layout
	Left    []int   // pieces for which there is no sheet
	Bound   int     // fewer sheets of which there are as many as it takes are not possible
	Gap     float64 // (whole sheets − 1 + share used of the last) over the area with kerf in sheets, less 1
	Proven  bool    // as few of them as the bound
}

// fits tells whether a piece lies on a sheet, as it is or turned.
func fits(p *Piece, length, width float64) bool {
	return p.Length <= length+slack && p.Width <= width+slack ||
		p.Turn && p.Width <= length+slack && p.Length <= width+slack
}

// Bound is the fewest sheets of one size that pieces can lie on: by their area with kerf, and by those that
// are so large that no two of them share a sheet.
func Bound(pieces []Piece, length, width, kerf float64) int {
	area, alone := 0.0, 0
	for i := range pieces {
		p := &pieces[i]
		area += (p.Length + kerf) * (p.Width + kerf)
		if lonely(p, length, width, kerf) {
			alone++
		}
	}
	return max(alone, int(math.Ceil(area/((length+kerf)*(width+kerf))-1e-9)))
}

// lonely tells whether no other piece of its kind fits beside a piece, whichever way it lies: in each way in which it
// lies on the sheet at all it takes more than half of both sides.
func lonely(p *Piece, length, width, kerf float64) bool {
	half := func(l, w float64) bool {
		return l > length+slack || w > width+slack || 2*l+kerf > length+slack && 2*w+kerf > width+slack
	}
	return half(p.Length, p.Width) && (!p.Turn || half(p.Width, p.Length))
}
