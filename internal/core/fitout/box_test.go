package fitout

import (
	"testing"

	"pgregory.net/rapid"
)

// anyBox is a box with whole sides, small enough to be counted out.
func anyBox(t *rapid.T, name string) Box {
	at := func() float64 { return float64(rapid.IntRange(-4, 4).Draw(t, name)) }
	side := func() float64 { return float64(rapid.IntRange(1, 5).Draw(t, name)) }
	from := Point{X: at(), Y: at(), Z: at()}
	return Box{from, Point{X: from.X + side(), Y: from.Y + side(), Z: from.Z + side()}}
}

// cubes are the unit cubes of a box.
func cubes(b Box) map[Point]bool {
	all := map[Point]bool{}
	for x := b.From.X; x < b.To.X; x++ {
		for y := b.From.Y; y < b.To.Y; y++ {
			for z := b.From.Z; z < b.To.Z; z++ {
				all[Point{X: x, Y: y, Z: z}] = true
			}
		}
	}
	return all
}

// What boxes have in common, and the room around them, is what counting cube by
// cube gives.
func TestBoxesAreWhatTheirCubesAre(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a, b := anyBox(t, "a"), anyBox(t, "b")
		inA, inB := cubes(a), cubes(b)
		common := 0
		for cube := range inA {
			if inB[cube] {
				common++
			}
		}
		cut := a.Cut(b)
		if got := cut.Size(); int(got.Length*got.Width*got.Height) != common {
			t.Fatalf("%+v and %+v have %d cubes in common, the cut %+v", a, b, common, cut)
		}
		o := a.Overlap(b)
		if overlaps := o.X > 0 && o.Y > 0 && o.Z > 0; overlaps != (common > 0) {
			t.Fatalf("overlap %+v with %d cubes in common", o, common)
		}
		if common > 0 && int(o.X*o.Y*o.Z) < common {
			t.Fatalf("overlap %+v is less than the %d cubes", o, common)
		}
		around := cubes(a.Around(b))
		for _, in := range []map[Point]bool{inA, inB} {
			for cube := range in {
				if !around[cube] {
					t.Fatalf("%+v is not around %+v", a.Around(b), cube)
				}
			}
		}
		if len(inA) != int(a.Litres()*1e6+0.5) {
			t.Fatalf("%d cubes, %f litres", len(inA), a.Litres())
		}
	})
}

func TestBoxesMoveWithWhatTheyHaveInCommon(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a, b := anyBox(t, "a"), anyBox(t, "b")
		if a.Around(b) != b.Around(a) {
			t.Fatal("around is not the same both ways")
		}
		if a.Overlap(b) != b.Overlap(a) {
			t.Fatal("overlap is not the same both ways")
		}
		x, y, z := float64(rapid.IntRange(-9, 9).Draw(t, "x")), float64(rapid.IntRange(-9, 9).Draw(t, "y")),
			float64(rapid.IntRange(-9, 9).Draw(t, "z"))
		if a.Moved(x, y, z).Overlap(b.Moved(x, y, z)) != a.Overlap(b) {
			t.Fatal("moved together they overlap otherwise")
		}
		if a.Moved(x, y, z).Moved(-x, -y, -z) != a {
			t.Fatal("moved back it is elsewhere")
		}
		m := a.Moved(x, y, z).Middle()
		if m != (Point{X: a.Middle().X + x, Y: a.Middle().Y + y, Z: a.Middle().Z + z}) {
			t.Fatalf("the middle is %+v", m)
		}
		i := Item{At: a.Middle(), Size: a.Size()}
		if i.Box() != a {
			t.Fatalf("an item of its size and place has the box %+v", i.Box())
		}
	})
}
