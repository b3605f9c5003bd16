package module

import (
	"cmp"
	"fmt"

	"zaino/internal/core/fitout"
)

// Anatomy is all that a module is built of. Its mass, its inside sizes, its pictures, its cut list
// and its hours come from it.
type Anatomy struct {
	Panels  []Panel
	Rods    []Rod
	Runners []RunnerPair
	Linings []Lining
}

// Panel is one board of a module as it is in place.
type Panel struct {
	Name      string
	Cell      string // id of the compartment that it belongs to; empty for the carcass
	Box       fitout.Box
	Length    float64 // longer side, mm
	Width     float64 // shorter side, mm
	Thickness float64 // mm
	Banded    [2]int  // edges along the length and along the width that show at the face
	Kg        float64
}

// Rod is one length of slotted profile.
type Rod struct {
	Name   string
	Box    fitout.Box
	Length float64 // mm
	Butts  bool    // both ends stand against other rods, which close its slots
	Kg     float64
}

// RunnerPair are the runners of one drawer or slide.
type RunnerPair struct {
	Cell   string
	Box    fitout.Box
	Depth  float64 // of what runs on them, mm
	Length float64 // of the runners: the next shorter standard length; as deep as what runs on them where none is as short
	Kg     float64
}

// Lining lies on the bottom and the sides of a box.
type Lining struct {
	Cell string
	Box  fitout.Box
	Area float64 // m²
	Kg   float64
}

// usualProfile is the width of a slotted profile of which nothing is said, slotDepth how deep a panel stands in its
// slot, mm.
const (
	usualProfile = 30.0
	slotDepth    = 8.0
)

// ProfileWidth is the width of the profiles that a module is framed of, mm.
func ProfileWidth(m *fitout.Module) float64 { return cmp.Or(m.Profile, usualProfile) }

// BarWidth is the width of a profile as it is bought, mm.
func BarWidth(p *fitout.Profile) float64 { return cmp.Or(p.Width, usualProfile) }

// StandardRunner is the longest of some lengths that is not longer than a drawer; of no length where none is as short.
func StandardRunner(lengths []fitout.RunnerLength, drawer float64) fitout.RunnerLength {
	var best fitout.RunnerLength
	for _, l := range lengths {
		if l.Length <= drawer+1e-6 && l.Length > best.Length {
			best = l
		}
	}
	return best
}

// wall is what the sides of a carcass take of its width: its panels, or the profiles that they stand
// between.
func wall(m *fitout.Module) float64 {
	switch m.Wall {
	case fitout.NoMaterial:
		return 0
	case fitout.Extrusion:
		return ProfileWidth(m)
	}
	return m.Panel
}

// AnatomyOf returns what a module is built of; nothing for what is bought whole. A carcass of
// W × H × D with panels t, open at its face, has top and bottom W × D, sides (H − 2t) × D, an end
// (W − 2t) × (H − 2t), and dividers between. A drawer of w × h × d has its bottom w × d, sides
// (h − t) × d that stand on it, and ends (w − 2t) × (h − t) between them. runners are the lengths in which they come.
func AnatomyOf(i *fitout.Item, runners []fitout.RunnerLength) Anatomy {
	if !built(i) {
		return Anatomy{}
	}
	return anatomyInto(Anatomy{Panels: make([]Panel, 0, 6+8*len(i.Module.Cells))}, i, runners)
}

// built tells whether a module is made of panels or profiles, and not bought whole.
func built(i *fitout.Item) bool {
	return i.Module != nil && i.Module.Wall != fitout.NoMaterial && Of(i.Module.Kind).Shape != Bought
}

// anatomyInto is the anatomy of a built module, in the memory of another one that nobody needs any more.
func anatomyInto(was Anatomy, i *fitout.Item, runners []fitout.RunnerLength) Anatomy {
	b := builder{i: i, m: i.Module, box: i.Box(), t: i.Module.Panel, p: ProfileWidth(i.Module), runners: runners}
	b.made = Anatomy{Panels: was.Panels[:0], Rods: was.Rods[:0], Runners: was.Runners[:0], Linings: was.Linings[:0]}
	b.w, b.d, b.h = i.Size.Width, i.Size.Length, i.Size.Height
	if across(i.Module.Faces) {
		b.w, b.d = b.d, b.w
	}
	switch spec := Of(i.Module.Kind); spec.Shape {
	case Plate:
		b.plate()
	case Frame:
		b.panel("tray", "", [3]span{{0, b.w}, {0, b.d}, {0, b.t}}, [2]int{})
		b.run("", b.box, b.d)
	default:
		b.leaf(spec)
		if i.Module.Wall == fitout.Extrusion {
			b.framed(spec.Shape == OpenBox)
		} else {
			b.carcass(spec.Shape == OpenBox)
		}
		cells := Cells(i)
		b.dividers(cells, spec.Shape == OpenBox)
		if spec.Motion == Drawers {
			for _, c := range cells {
				b.drawer(c)
			}
		} else {
			b.line("", b.box)
		}
	}
	return b.made
}

// span is from where to where along one side of a module, mm.
type span [2]float64

func (s span) size() float64 { return s[1] - s[0] }

// builder gathers the parts of a module in the frame of its face: a along the face, d from the face
// to the back, h upward.
type builder struct {
	i          *fitout.Item
	m          *fitout.Module
	box        fitout.Box
	w, d, h, t float64
	p          float64 // width of the profiles, mm
	runners    []fitout.RunnerLength
	made       Anatomy
}

// place is where spans along a, d and h are on the vehicle.
func (b *builder) place(at [3]span) fitout.Box {
	a, d, h := at[0], at[1], at[2]
	x, y := span{b.box.To.X - d[1], b.box.To.X - d[0]}, span{b.box.From.Y + a[0], b.box.From.Y + a[1]}
	switch b.m.Faces {
	case fitout.FaceFront:
		x = span{b.box.From.X + d[0], b.box.From.X + d[1]}
	case fitout.FaceLeft:
		x, y = span{b.box.From.X + a[0], b.box.From.X + a[1]}, span{b.box.From.Y + d[0], b.box.From.Y + d[1]}
	case fitout.FaceRight:
		x, y = span{b.box.From.X + a[0], b.box.From.X + a[1]}, span{b.box.To.Y - d[1], b.box.To.Y - d[0]}
	}
	return fitout.Box{From: fitout.Point{X: x[0], Y: y[0], Z: b.box.From.Z + h[0]},
		To: fitout.Point{X: x[1], Y: y[1], Z: b.box.From.Z + h[1]}}
}

// panel adds a board; one without a size is none. banded are its edges at the face: along a, and
// upward or along d.
func (b *builder) panel(name, cell string, at [3]span, banded [2]int) {
	b.board(name, cell, b.place(at), banded)
}

func (b *builder) board(name, cell string, box fitout.Box, banded [2]int) {
	s := box.Size()
	thick, most := min(s.Length, s.Width, s.Height), max(s.Length, s.Width, s.Height)
	if thick <= 0 {
		return
	}
	length, width := most, s.Length+s.Width+s.Height-thick-most
	b.made.Panels = append(b.made.Panels, Panel{Name: name, Cell: cell, Box: box, Length: length, Width: width,
		Thickness: thick, Banded: banded, Kg: box.Litres() / 1000 * density(b.m.Wall)})
}

// leafGap is what a door or flap leaves free all round, mm.
const leafGap = 2.0

// hasLeaf tells whether a kind is shut by a door or a flap that stands between its sides.
func hasLeaf(s Spec) bool { return s.Shape == Carcass && (s.Motion == DoorOut || s.Motion == FlapOut) }

// leaf is the door or flap between the sides of a carcass.
func (b *builder) leaf(s Spec) {
	if hasLeaf(s) {
		in := wall(b.m) + leafGap
		name := map[Motion]string{DoorOut: "door", FlapOut: "flap"}[s.Motion]
		b.panel(name, "", [3]span{{in, b.w - in}, {0, b.t}, {in, b.h - in}}, [2]int{})
	}
}

// sides are what the two sides of a module are called.
func (b *builder) sides() (first, second string) {
	if across(b.m.Faces) {
		return "front side", "rear side"
	}
	return "left side", "right side"
}

// band tells which edges of a panel with sides along the face and into the depth are banded: its one
// edge at the face.
func (b *builder) band(face, depth float64) [2]int {
	switch {
	case b.m.Banding == 0:
		return [2]int{}
	case face >= depth:
		return [2]int{1, 0}
	}
	return [2]int{0, 1}
}

// carcass is top, bottom, both sides and the end away from the face; with all four sides, the face too.
func (b *builder) carcass(closed bool) {
	t, w, d, h := b.t, b.w, b.d, b.h
	first, second := b.sides()
	topName := "top"
	if closed {
		topName = "lid"
	}
	b.panel(topName, "", [3]span{{0, w}, {0, d}, {h - t, h}}, b.band(w, d))
	b.panel("bottom", "", [3]span{{0, w}, {0, d}, {0, t}}, b.band(w, d))
	b.panel(first, "", [3]span{{0, t}, {0, d}, {t, h - t}}, b.band(h-2*t, d))
	b.panel(second, "", [3]span{{w - t, w}, {0, d}, {t, h - t}}, b.band(h-2*t, d))
	b.panel("back", "", [3]span{{t, w - t}, {d - t, d}, {t, h - t}}, [2]int{})
	if closed {
		b.panel("face", "", [3]span{{t, w - t}, {0, t}, {t, h - t}}, [2]int{})
	}
}

// dividers stand between compartments, from the face to the back. Between profiles each stands on rails
// of its own.
func (b *builder) dividers(cells []Cell, closed bool) {
	n := len(b.m.Cells)
	if n < 2 || len(cells) != n {
		return
	}
	side, t := wall(b.m), b.t
	face := 0.0
	if closed || hasLeaf(Of(b.m.Kind)) {
		face = side
	}
	room := b.w - float64(n+1)*side
	if b.m.Stack == fitout.Above {
		room = b.h - float64(n+1)*side
	}
	total := 0.0
	for _, c := range b.m.Cells {
		total += share(c)
	}
	at := side
	for k := range n - 1 {
		c := b.m.Cells[k]
		name := "divider"
		if b.m.Mirrored && b.m.Stack != fitout.Above {
			c = b.m.Cells[n-1-k]
		}
		at += max(0, room) * share(c) / total
		middle := span{at + side/2 - t/2, at + side/2 + t/2}
		lies := [3]span{middle, {face, b.d - side}, {side, b.h - side}}
		if b.m.Stack == fitout.Above {
			name = "shelf"
			lies = [3]span{{side, b.w - side}, {face, b.d - side}, middle}
		}
		if b.m.Wall == fitout.Extrusion {
			b.railsOf(k, at, &lies)
		}
		if n > 2 {
			name = fmt.Sprintf("%s %d", name, k+1)
		}
		b.panel(name, "", lies, b.band(max(lies[0].size(), lies[2].size()), b.d-side))
		at += side
	}
}

// plate is one panel, on two bearers along its length where it stands higher.
func (b *builder) plate() {
	plate := b.box
	plate.From.Z = max(b.box.From.Z, b.box.To.Z-b.t)
	b.board("panel", "", plate, [2]int{})
	if below := plate.From.Z - b.box.From.Z; below > 0 {
		for k, y := range []float64{b.box.From.Y, b.box.To.Y - b.t} {
			b.board([]string{"bearer, left", "bearer, right"}[k], "", fitout.Box{
				From: fitout.Point{X: b.box.From.X, Y: y, Z: b.box.From.Z},
				To:   fitout.Point{X: b.box.To.X, Y: y + b.t, Z: plate.From.Z}}, [2]int{})
		}
	}
}

func (b *builder) run(cell string, box fitout.Box, depth float64) {
	if kg := runnerKg(b.m.Runner); kg > 0 {
		pair := RunnerPair{cell, box, depth, depth, kg * depth / 1000}
		if s := StandardRunner(b.runners, depth); s.Length > 0 {
			pair.Length, pair.Kg = s.Length, cmp.Or(s.Kg, kg*s.Length/1000)
		}
		b.made.Runners = append(b.made.Runners, pair)
	}
}

func (b *builder) line(cell string, box fitout.Box) {
	if b.m.Lining > 0 {
		s := box.Size()
		area := (s.Length*s.Width + 2*s.Height*(s.Length+s.Width)) / 1e6
		b.made.Linings = append(b.made.Linings, Lining{cell, box, area, liningKg * area})
	}
}
