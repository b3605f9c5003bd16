package fit

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// told are rule, subject, stance and figure of what a scene has to say, in order.
func told(s *scene.Scene) []string {
	s.Prepare()
	var all []string
	for _, f := range Check(s) {
		all = append(all, fmt.Sprintf("%s %s %s %.2f", f.Rule, f.Subject.ID, f.Stance, f.Value))
	}
	slices.Sort(all)
	return all
}

func mirroredBox(b fitout.Box) fitout.Box {
	b.From.Y, b.To.Y = -b.To.Y, -b.From.Y
	return b
}

func mirroredFace(f fitout.Face) fitout.Face {
	switch f {
	case fitout.FaceLeft:
		return fitout.FaceRight
	case fitout.FaceRight:
		return fitout.FaceLeft
	}
	return f
}

// mirror is a scene as a looking glass at its centre line shows it.
func mirror(s *scene.Scene) {
	for i := range s.Bays {
		b := &s.Bays[i]
		b.Room, b.Opening.Gap, b.Opening.Face = mirroredBox(
			b.Room,
		), mirroredBox(
			b.Opening.Gap,
		), mirroredFace(
			b.Opening.Face,
		)
		switch b.Opening.Hinge {
		case fitout.HingeLeft:
			b.Opening.Hinge = fitout.HingeRight
		case fitout.HingeRight:
			b.Opening.Hinge = fitout.HingeLeft
		}
		for k := range b.Obstacles {
			b.Obstacles[k].Box = mirroredBox(b.Obstacles[k].Box)
		}
		for k := range b.More {
			b.More[k].Gap, b.More[k].Face = mirroredBox(b.More[k].Gap), mirroredFace(b.More[k].Face)
		}
	}
	for i := range s.Parts {
		p := &s.Parts[i]
		p.Box = mirroredBox(p.Box)
		p.Item.At.Y = -p.Item.At.Y
		p.Item.Module.Faces = mirroredFace(p.Item.Module.Faces)
		for k := range p.Leaves {
			l := &p.Leaves[k]
			l.Closed, l.Open, l.Swept = mirroredBox(l.Closed), mirroredBox(l.Open), mirroredBox(l.Swept)
		}
		for k := range p.Cells {
			p.Cells[k].Outer, p.Cells[k].Inside = mirroredBox(p.Cells[k].Outer), mirroredBox(p.Cells[k].Inside)
		}
	}
	for i := range s.Things {
		s.Things[i].Item.At.Y = -s.Things[i].Item.At.Y
	}
	for i := range s.Vehicle.Marks {
		s.Vehicle.Marks[i].At.Y = -s.Vehicle.Marks[i].At.Y
		s.Vehicle.Marks[i].From = mirroredFace(s.Vehicle.Marks[i].From)
	}
	for i := range s.Vehicle.Seats {
		s.Vehicle.Seats[i].At.Y = -s.Vehicle.Seats[i].At.Y
	}
	for i := range s.Vehicle.Parts {
		s.Vehicle.Parts[i].At.Y = -s.Vehicle.Parts[i].At.Y
	}
	for i := range s.Vehicle.Mounts {
		s.Vehicle.Mounts[i].At.Y = -s.Vehicle.Mounts[i].At.Y
	}
	for i := range s.Stances {
		for k := range s.Stances[i].Turned {
			s.Stances[i].Turned[k].By = -s.Stances[i].Turned[k].By
		}
		for k := range s.Stances[i].Loose {
			s.Stances[i].Loose[k].At.Y = -s.Stances[i].Loose[k].At.Y
		}
	}
}

// A fitout for a vehicle that is driven on the other side of the road, mirrored in
// all, is told the same of, down to the millimetre.
func TestAMirroredFitoutIsToldTheSameOf(t *testing.T) {
	for id, trip := range trips {
		t.Run(id, func(t *testing.T) {
			plain, glass := wagon.Sound(), wagon.Sound()
			trip.spoil(plain)
			trip.spoil(glass)
			mirror(glass)
			assert.Equal(t, told(plain), told(glass))
		})
	}
}

// It does not matter in which order parts, things and stances are listed.
func TestTheOrderOfTheListDoesNotMatter(t *testing.T) {
	// These speak of several parts in one finding, whose subject is the one that is
	// listed first.
	pairs := []string{
		"parts-clash",
		"tight",
		"open-together",
		"no-barrier",
		"restraint",
		"latch-missing",
		"heavy-tail",
		"needs-away",
		"mount-over",
		"fuel-inside",
		"bed-uneven",
	}
	rapid.Check(t, func(t *rapid.T) {
		ids := make([]string, 0, len(trips))
		for id := range trips {
			if !slices.Contains(pairs, id) {
				ids = append(ids, id)
			}
		}
		slices.Sort(ids)
		id := rapid.SampledFrom(ids).Draw(t, "rule")
		listed, shuffled := wagon.Sound(), wagon.Sound()
		trips[id].spoil(listed)
		trips[id].spoil(shuffled)
		order := make([]int, len(shuffled.Parts))
		for i := range order {
			order[i] = i
		}
		for to, from := range rapid.Permutation(order).Draw(t, "order") {
			shuffled.Parts[to] = listed.Parts[from]
		}
		slices.Reverse(shuffled.Stances)
		of := func(s *scene.Scene) []string {
			return slices.DeleteFunc(told(s), func(f string) bool {
				return slices.ContainsFunc(
					pairs,
					func(p string) bool { return len(f) > len(p) && f[:len(p)+1] == p+" " },
				)
			})
		}
		if a, b := of(listed), of(shuffled); !slices.Equal(a, b) {
			t.Fatalf("%s: listed %v, shuffled %v", id, a, b)
		}
	})
}

// Looking twice says the same, and changes nothing of what is looked at.
func TestLookingChangesNothing(t *testing.T) {
	for id, trip := range trips {
		s := wagon.Sound()
		trip.spoil(s)
		first := told(s)
		assert.Equal(t, first, told(s), id)
	}
}

// made makes an edit of a fix on a scene, as the document's edit would.
func made(t *testing.T, s *scene.Scene, edit fitout.FixEdit) {
	t.Helper()
	for i := range s.Stances {
		if s.Stances[i].ID != edit.With {
			continue
		}
		switch edit.Kind {
		case "leave-shut":
			s.Stances[i].Open = slices.DeleteFunc(s.Stances[i].Open, func(o fitout.Opened) bool { return o.Module == edit.ID })
			return
		case "turn-back":
			s.Stances[i].Turned = nil
			return
		case "hang":
			s.Stances[i].Hung[0].Low = edit.Value
			return
		}
	}
	if k := scene.IndexOf(s.Unplaced, edit.ID); k >= 0 {
		wagon.Add(s, s.Unplaced[k])
		s.Unplaced = slices.Delete(s.Unplaced, k, k+1)
	}
	p := s.Part(edit.ID)
	require.NotNil(t, p, "%s is about a part", edit.Kind)
	at := p.Box.Middle()
	switch edit.Kind {
	case "part-x":
		wagon.Put(s, edit.ID, edit.Value-at.X, 0, 0)
	case "part-y":
		wagon.Put(s, edit.ID, 0, edit.Value-at.Y, 0)
	case "part-z":
		wagon.Put(s, edit.ID, 0, 0, edit.Value-at.Z)
	case "travel":
		p.Module().Travel = edit.Value
		for i := range p.Leaves {
			p.Leaves[i] = wagon.Slide(p.Box, p.Leaves[i].Cell, edit.Value, 0, 0)
		}
	case "drop":
		p.Module().Drop = edit.Value
		for i := range p.Leaves {
			p.Leaves[i] = wagon.Slide(p.Box, p.Leaves[i].Cell, p.Module().Travel, 0, -edit.Value)
		}
	case "latch":
		p.Module().Latch = fitout.RatedLatch
		if edit.Value > 0 {
			p.Module().Holds = edit.Value
		}
	case "turn":
		p.Module().Faces = fitout.Face(edit.With)
		p.Leaves = module.Leaves(p.Item)
	case "stand-up":
		g := s.Gear(edit.ID)
		p.Item.Size = g.Size
		p.Box = p.Item.Box()
	case "runners":
		p.Module().Rated = edit.Value
	case "panel-thickness":
		p.Module().Panel = edit.Value
	case "unfix":
		p.Module().Fixings = slices.DeleteFunc(p.Module().Fixings, func(f fitout.Fixing) bool { return f.Mount == edit.With })
	case "hold", "hold-anew":
		s.Vehicle.Mounts = append(s.Vehicle.Mounts, fitout.Mount{ID: "bolt-" + p.ID, Name: "Bolt", At: p.Box.From,
			Rating: 1000})
		p.Module().Fixings = []fitout.Fixing{{Mount: "bolt-" + p.ID}}
	case "part-place":
		*p = p.MovedBy(edit.At.X-at.X, edit.At.Y-at.Y, edit.At.Z-at.Z)
		if edit.Size != nil {
			p.Item.Size, p.Item.At = *edit.Size, *edit.At
			p.Box = p.Item.Box()
			p.Leaves = module.Leaves(p.Item)
		}
	case "keyed":
		p.Module().Keyed = true
	case "strut-pivots":
		w, ok := strength.StrutsFor(s, p)
		require.True(t, ok)
		m := p.Module()
		m.Struts, m.Force, m.StrutAt = w.Count, w.Force, w.At
		m.Pivots = &fitout.Pivots{Along: w.Along, Below: w.Below, Lid: w.Under, Length: w.Length, Stroke: w.Stroke}
	case "strut-force":
		p.Module().Struts, p.Module().Force = 2, edit.Value
	case "outside":
		for i := range s.Stances {
			if s.Stances[i].ID == edit.With {
				s.Stances[i].Loose = append(s.Stances[i].Loose, fitout.LoosePlace{Item: edit.ID, Outside: true})
			}
		}
	default:
		require.FailNow(t, "no such edit", edit.Kind)
	}
}

// Every fix that a rule offers mends what it is offered for.
func TestWhatARuleOffersMendsIt(t *testing.T) {
	offered := 0
	for _, rule := range Rules() {
		t.Run(rule.ID, func(t *testing.T) {
			s := wagon.Sound()
			trips[rule.ID].spoil(s)
			s.Prepare()
			for _, f := range rule.Check(s) {
				for _, fix := range f.Fixes {
					offered++
					mended := wagon.Sound()
					trips[rule.ID].spoil(mended)
					made(t, mended, fix.Edit)
					mended.Prepare()
					for _, still := range rule.Check(mended) {
						assert.False(
							t,
							still.Subject.ID == f.Subject.ID && still.Stance == f.Stance &&
								!strings.HasSuffix(fix.Label, "(not enough alone)"),
							"%s: %s",
							fix.Label,
							still.Sentence,
						)
					}
				}
			}
		})
	}
	assert.GreaterOrEqual(t, offered, 9, "so many rules have a fix in numbers")
}

// A fix in millimetres is as small as it can be: with 2 mm less of it the rule
// still speaks.
func TestAFixIsNoLargerThanItHasToBe(t *testing.T) {
	for _, id := range []string{"outside-bay", "hatch-lean", "lip", "opening-frame"} {
		t.Run(id, func(t *testing.T) {
			s := wagon.Sound()
			trips[id].spoil(s)
			s.Prepare()
			rule := Rules()[slices.IndexFunc(Rules(), func(r Rule) bool { return r.ID == id })]
			f := rule.Check(s)[0]
			require.NotEmpty(t, f.Fixes)
			edit := f.Fixes[0].Edit
			at := s.Part(edit.ID).Box.Middle()
			from := map[string]float64{"part-x": at.X, "part-y": at.Y, "part-z": at.Z}[edit.Kind]
			if edit.Value > from {
				edit.Value -= 2
			} else {
				edit.Value += 2
			}
			short := wagon.Sound()
			trips[id].spoil(short)
			made(t, short, edit)
			short.Prepare()
			assert.NotEmpty(t, rule.Check(short), "2 mm less of it do not do")
		})
	}
}
