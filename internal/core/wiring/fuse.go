package wiring

import (
	"math"

	"zaino/internal/core/fitout"
)

// make of a fuse.
type fuse struct {
	kind   fitout.FuseKind
	sizes  []float64
	volts  float64 // that it is rated for
	breaks float64 // greatest current that it can break, A
}

// fuses by make, smallest first.
var fuses = []fuse{
	{fitout.BladeFuse, []float64{3, 5, 7.5, 10, 15, 20, 25, 30, 40}, 32, 1000},
	{fitout.MaxiFuse, []float64{20, 30, 40, 50, 60, 70, 80}, 32, 1000},
	{fitout.MidiFuse, []float64{30, 40, 50, 60, 70, 80, 100, 125, 150, 200}, 58, 2000},
	{fitout.MegaFuse, []float64{100, 125, 150, 175, 200, 225, 250, 300, 350, 400, 500}, 58, 2000},
	{fitout.ClassTFuse, []float64{110, 125, 150, 175, 200, 225, 250, 300, 350, 400}, 58, 20000},
}

func fuseOf(kind fitout.FuseKind) *fuse {
	for i := range fuses {
		if fuses[i].kind == kind {
			return &fuses[i]
		}
	}
	return nil
}

// fuseMargin is how much more than the lasting current a fuse is rated for.
const fuseMargin = 1.25

// size is the next size of a make from a current upward, A; false where it has none.
func (f *fuse) size(least float64) (float64, bool) {
	for _, size := range f.sizes {
		if size >= least-1e-9 {
			return size, true
		}
	}
	return 0, false
}

// FuseFor proposes a fuse: the next standard size of 1.25 times the lasting current, of the
// first make that breaks a short circuit in A and is rated for the voltage. short may be
// math.Inf(1). false where none is made.
func FuseFor(amps, short, volts float64) (kind fitout.FuseKind, size float64, ok bool) {
	for i := range fuses {
		f := &fuses[i]
		if f.kind == fitout.MaxiFuse || f.volts < volts || f.breaks < short && f.kind != fitout.ClassTFuse {
			continue
		}
		if size, made := f.size(amps * fuseMargin); made {
			return f.kind, size, true
		}
	}
	return fitout.NoFuse, 0, false
}

// ShortCircuit is the current into a short circuit, A: V_full/(R + R_cable); R of the
// battery in Ω, 0 where nobody knows it; without any resistance math.Inf(1).
func ShortCircuit(full, battery, cable float64) float64 {
	if battery+cable <= 0 {
		return math.Inf(1)
	}
	return full / (battery + cable)
}

// How far a fuse may be from what feeds it, mm: 180, sheathed 1800 from a battery's post and
// 1000 from another source (ABYC E-11).
const (
	fuseNear         = 180
	fuseSheathedPost = 1800
	fuseSheathed     = 1000
)

// RelayShare is the share of its rating that a relay or switch carries for long. Practice.
const RelayShare = 0.8
