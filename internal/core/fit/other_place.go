package fit

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Where a part stands in what is not free, and no move along one way frees it, another place in its space is
// offered; of no more than so many parts at once, and in no space that holds more: it takes time.
const (
	mostPlaced   = 3
	mostBesides  = 40
	stillTheSame = 5  // mm: no other place
	highestLip   = 60 // mm that a floor is raised by
)

// replaced are the rules that another place mends.
var replaced = map[string]bool{"outside-bay": true, "parts-clash": true, "hatch-lean": true, "opening-frame": true}

// suits are the rules that another space mends, and which spaces do.
var suits = map[string]func(*scene.Bay, *scene.Part) bool{
	"fuel-inside": keeping.AwayFromPeople, "needs-away": keeping.AwayFromPeople, "needs-dry": keeping.Dry, "needs-lock": keeping.Locked,
	"vapour-closed": func(b *scene.Bay, _ *scene.Part) bool { return !b.Sealed && !b.Shared },
}

// otherPlace offers the nearest free place of its space in which a part stands on something, or over a lip that it
// has to clear, and in which it opens wherever a stance opens it.
func otherPlace(s *scene.Scene, p *scene.Part) []fitout.Fix {
	bay := s.BayOf(p)
	if bay == nil || !movable(s, p) {
		return nil
	}
	best := nearestFree(s, p, bay)
	if best == nil {
		return nil
	}
	way := saidWay(s, p.Box.Middle(), *best)
	fix := scene.Edit("Put "+words.Lower(p.Name())+" to the nearest free place: "+way, "part-place", p.ID, 0)
	fix.Edit.At = best
	return []fitout.Fix{fix}
}

// otherSpace offers the nearest free place in another space that suits a rule, for a part of which nothing comes out:
// what opens has another side to open to there. What held it is held anew by the edit.
func otherSpace(s *scene.Scene, p *scene.Part, rule string) []fitout.Fix {
	if !movable(s, p) || len(p.Leaves) > 0 {
		return nil
	}
	var best fitout.Fix
	nearest := math.Inf(1)
	for i := range s.Bays {
		bay := &s.Bays[i]
		if bay.ID == p.Bay || bay.Kind == fitout.BayRoof || !suits[rule](bay, p) {
			continue
		}
		on := *s
		on.Parts = slices.Clone(s.Parts)
		there := on.Part(p.ID)
		there.Bay = bay.ID
		if s.BayOf(there) == nil {
			continue
		}
		to := nearestFree(&on, there, bay)
		if to == nil {
			continue
		}
		if far := farAway(p.Box.Middle(), *to); far < nearest {
			nearest = far
			best = scene.Edit("Put "+words.Lower(p.Name())+" into "+words.Lower(bay.Name), "part-place", p.ID, 0)
			best.Edit.At, best.Edit.With = to, bay.ID
		}
	}
	if math.IsInf(nearest, 1) {
		return nil
	}
	return []fitout.Fix{best}
}

// farAway is the way between two places along the three axes, mm.
func farAway(a, b fitout.Point) float64 {
	return math.Abs(b.X-a.X) + math.Abs(b.Y-a.Y) + math.Abs(b.Z-a.Z)
}

// movable tells whether a part may be put elsewhere: what stands on it would be left behind.
func movable(s *scene.Scene, p *scene.Part) bool {
	return !p.Fixed && p.Item != nil &&
		len(s.StandOn(scene.IndexOf(s.Parts, p.ID))) == 0
}

// nearestFree is the middle of the nearest free place of a space that takes a part, or nil.
func nearestFree(s *scene.Scene, p *scene.Part, bay *scene.Bay) *fitout.Point {
	var others []scene.Part
	for i := range s.Parts {
		if q := &s.Parts[i]; q.ID != p.ID && scene.Least(q.Box.Overlap(bay.Room)) > scene.Slack {
			beside := *q
			if q.Motion == scene.Slides || q.Motion == scene.Drawers || p.Motion == scene.Slides || p.Motion == scene.Drawers {
				beside.Box.From.Y -= s.Practice.Clearance
				beside.Box.To.Y += s.Practice.Clearance
			}
			others = append(others, beside)
		}
	}
	if len(others) > mostBesides {
		return nil
	}
	size, at := p.Box.Size(), p.Box.Middle()
	var best *fitout.Point
	nearest := 0.0
	for _, free := range scene.Free(bay, others, size) {
		to := fitout.Point{
			X: min(max(at.X, free.From.X+size.Length/2), free.To.X-size.Length/2),
			Y: min(max(at.Y, free.From.Y+size.Width/2), free.To.Y-size.Width/2),
			Z: free.From.Z + size.Height/2,
		}
		moved := p.MovedBy(to.X-at.X, to.Y-at.Y, to.Z-at.Z)
		if !carried(s, &moved, bay) {
			continue
		}
		if lip := s.InFrame(&moved); lip > scene.Slack && lip <= highestLip { // on a floor that clears it
			to.Z += lip
			moved = p.MovedBy(to.X-at.X, to.Y-at.Y, to.Z-at.Z)
		}
		by := fitout.Point{X: to.X - at.X, Y: to.Y - at.Y, Z: to.Z - at.Z}
		far := farAway(at, to)
		if far < stillTheSame || best != nil && far >= nearest || s.InFrame(&moved) > scene.Slack ||
			!s.StandsAs(p.ID, func(b fitout.Box) fitout.Box { return b.Moved(by.X, by.Y, by.Z) }) || !opensAt(s, &moved) {
			continue
		}
		best, nearest = &to, far
	}
	return best
}

// opensAt tells whether a part that stands elsewhere opens there, where a stance opens it, and stands in the way of
// nothing that a stance opens.
func opensAt(s *scene.Scene, moved *scene.Part) bool {
	k := scene.IndexOf(s.Parts, moved.ID)
	was := s.Parts[k].Box
	for i := range s.Postures {
		p := &s.Postures[i]
		if p.Gone[k] || p.Elsewhere(moved.ID) {
			continue // it stands elsewhere then
		}
		carried := p.Boxes[k].From // it moves with what carries it out, if that is open
		carried.X, carried.Y, carried.Z = carried.X-was.From.X, carried.Y-was.From.Y, carried.Z-was.From.Z
		then := moved.Box.Moved(carried.X, carried.Y, carried.Z)
		for n, box := range p.Boxes {
			if n != k && !p.Gone[n] && (then != moved.Box || box != s.Parts[n].Box) &&
				scene.Least(then.Overlap(box)) > scene.Slack {
				return false // what a stance puts there
			}
		}
		if then != moved.Box {
			continue
		}
		for _, o := range p.Open {
			if o.Part != k {
				if scene.Least(scene.Meets(&o, moved.Box)) > scene.Slack {
					return false
				}
				continue
			}
			for _, leaf := range moved.Leaves {
				if leaf.Cell != o.Leaf.Cell {
					continue
				}
				for n, box := range p.Boxes {
					if n != k && !p.Gone[n] && scene.Least(leaf.Swept.Overlap(box)) > scene.Slack && !s.Clears(p, n, leaf.Swept) {
						return false
					}
				}
			}
		}
	}
	return true
}

// saidWay is a way in words.
func saidWay(s *scene.Scene, from, to fitout.Point) string {
	var ways []string
	for _, m := range []struct {
		mm        float64
		way, back string
	}{{to.X - from.X, "toward the rear", "toward the front"}, {to.Y - from.Y, "to the right", "to the left"},
		{to.Z - from.Z, "up", "down"}} {
		switch {
		case m.mm >= 0.5:
			ways = append(ways, s.Say.Length(m.mm)+" "+m.way)
		case m.mm <= -0.5:
			ways = append(ways, s.Say.Length(-m.mm)+" "+m.back)
		}
	}
	return words.List(ways)
}

// carried tells whether a part stands with at least half of its foot on the floor of its space or on other parts.
func carried(s *scene.Scene, p *scene.Part, bay *scene.Bay) bool {
	if p.Traits().HungBelow || math.Abs(p.Box.From.Z-bay.Room.From.Z) <= scene.Touching {
		return true
	}
	on := 0.0
	for i := range s.Parts {
		q := &s.Parts[i]
		by := q.Box.Overlap(p.Box)
		if q.ID != p.ID && math.Abs(q.Box.To.Z-p.Box.From.Z) <= scene.Touching && by.X > 0 && by.Y > 0 {
			on += by.X * by.Y
		}
	}
	size := p.Box.Size()
	return on*2 >= size.Length*size.Width
}

// mostOff is by how much of a side a part is made smaller, as a share of it: with more taken off it is another part.
const mostOff = 0.35

// smaller offers to make a part that is built here smaller, by as much as it stands out of its space or in one
// other part, where all that lies in it still goes in.
func smaller(s *scene.Scene, p *scene.Part, f *fitout.Finding) []fitout.Fix {
	bay := s.BayOf(p)
	if bay == nil || p.Fixed || p.Item == nil || p.Module().Wall == fitout.NoMaterial || p.Item.Source == fitout.ByScale {
		return nil
	}
	var small fitout.Box
	switch f.Rule {
	case "outside-bay":
		small = p.Box.Cut(bay.Room)
	case "parts-clash":
		if len(f.With) != 1 || s.Part(f.With[0]) == nil {
			return nil
		}
		small = cutClear(p.Box, s.Part(f.With[0]).Box)
	default:
		return nil
	}
	was, is := p.Box.Size(), small.Size()
	less := ""
	for _, side := range []struct {
		was, is float64
		word    string
	}{{was.Length, is.Length, "shorter"}, {was.Width, is.Width, "narrower"}, {was.Height, is.Height, "lower"}} {
		off := side.was - side.is
		switch {
		case off <= 0:
		case off > mostOff*side.was:
			return nil
		case less == "":
			less = s.Say.Length(off) + " " + side.word
		default:
			less += ", " + s.Say.Length(off) + " " + side.word
		}
	}
	item := *p.Item
	item.Size, item.At = is, small.Middle()
	if less == "" || !stillHolds(s, &item) || !s.StandsAs(p.ID, func(fitout.Box) fitout.Box { return small }) {
		return nil
	}
	fix := scene.Edit(fmt.Sprintf("Build %s %s", words.Lower(p.Name()), less), "part-place", p.ID, 0)
	at := small.Middle()
	fix.Edit.At, fix.Edit.Size = &at, &is
	return []fitout.Fix{fix}
}

// cutClear is what is left of a box when it is cut off along one side until it is clear of another: the largest such.
func cutClear(own, other fitout.Box) fitout.Box {
	best := own
	most := 0.0
	for _, left := range scene.Without(own, other, fitout.Size{}) {
		if litres := left.Litres(); litres > most {
			best, most = left, litres
		}
	}
	return best
}

// stillHolds tells whether all that lies in a part goes into it as it is built now.
func stillHolds(s *scene.Scene, item *fitout.Item) bool {
	for i := range s.Things {
		t := &s.Things[i]
		if t.Part != item.ID {
			continue
		}
		for _, c := range module.Cells(item) {
			if c.ID == t.Cell && len(keeping.TooLarge(t.Item.Size, c.Inside.Size())) > 0 {
				return false
			}
		}
	}
	return true
}
