package scene

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// Posture is a scene in one stance: where each part stands, and what is open.
type Posture struct {
	Stance fitout.Stance // on the road its id is empty
	Boxes  []fitout.Box  // of the parts, in their order; carried along and put elsewhere
	Gone   []bool        // stands outside
	Open   []OpenLeaf
	Doors  []int // bays whose opening is open: as the stance says, and as what is open needs
}

// OpenLeaf is one leaf that is open.
type OpenLeaf struct {
	Part int
	Leaf
	Share float64 // how far, above 0 up to 1
}

// Prepare makes the postures of a scene. Parts that stand on a table or a
// kitchen that slides are carried along.
func (s *Scene) Prepare() {
	s.Postures = append(s.Postures[:0], s.posture(fitout.Stance{Use: fitout.StanceDrive}))
	for _, stance := range s.Stances {
		s.Postures = append(s.Postures, s.posture(stance))
	}
}

func (s *Scene) posture(stance fitout.Stance) Posture {
	p := Posture{Stance: stance, Boxes: make([]fitout.Box, len(s.Parts)), Gone: make([]bool, len(s.Parts))}
	for i := range s.Parts {
		p.Boxes[i] = s.Parts[i].Box
	}
	for i := range s.Parts {
		p.Gone[i] = stance.Off && s.ComesOff[s.Parts[i].ID]
	}
	for _, l := range stance.Loose {
		i := IndexOf(s.Parts, l.Item)
		if i < 0 {
			continue
		}
		p.Gone[i] = l.Outside
		from := p.Boxes[i].Middle()
		p.Boxes[i] = p.Boxes[i].Moved(l.At.X-from.X, l.At.Y-from.Y, l.At.Z-from.Z)
	}
	for _, o := range stance.Open {
		i := IndexOf(s.Parts, o.Module)
		if i < 0 || p.Gone[i] {
			continue
		}
		for _, leaf := range s.Parts[i].Leaves {
			if o.Cell == "" || o.Cell == leaf.Cell {
				p.Open = append(p.Open, OpenLeaf{i, leaf.PartWay(o.Share, s.Parts[i].slides()), shareOf(o.Share)})
			}
		}
	}
	for k := range p.Open {
		s.carry(&p, k)
	}
	for i := range s.Bays {
		said := slices.ContainsFunc(stance.Doors, func(d fitout.Door) bool { return d.Bay == s.Bays[i].ID })
		if said || slices.ContainsFunc(p.Open, func(o OpenLeaf) bool { return s.leaves(o, i) }) {
			p.Doors = append(p.Doors, i)
		}
	}
	return p
}

// shareOf is how far something is open that says so: nothing said is all the way.
func shareOf(said float64) float64 {
	if said <= 0 {
		return 1
	}
	return said
}

// Share is how far a leaf is open in a posture, 0 to 1.
func (p *Posture) Share(part int, cell string) float64 {
	for _, o := range p.Open {
		if o.Part == part && o.Leaf.Cell == cell {
			return o.Share
		}
	}
	return 0
}

// slides tells whether what opens of a part goes along a line and does not turn.
func (p *Part) slides() bool {
	return (p.Motion == Slides || p.Motion == Drawers) && p.Module().Unfolds == 0
}

// Door is where the door of a bay stands in a posture, and the room that it takes on its way; ok is false
// for one that takes none.
func (p *Posture) Door(b *Bay) (open, swept fitout.Box, ok bool) {
	for _, d := range p.Stance.Doors {
		if d.Bay == b.ID && d.Share > 0 && d.Share < 1 {
			ajar := *b
			ajar.Opening.Swing *= d.Share
			return ajar.Door()
		}
	}
	return b.Door()
}

// carry moves all that stands on an open table or kitchen out with it, the
// leaves of what is carried too.
func (s *Scene) carry(p *Posture, k int) {
	o := p.Open[k]
	if !s.Parts[o.Part].Traits().CarriesOut {
		return
	}
	a, b := o.Closed.From, o.Open.From
	for _, i := range s.StandOn(o.Part) {
		p.Boxes[i] = p.Boxes[i].Moved(b.X-a.X, b.Y-a.Y, b.Z-a.Z)
		for m := range p.Open {
			if leaf := &p.Open[m]; leaf.Part == i {
				for _, box := range []*fitout.Box{&leaf.Closed, &leaf.Open, &leaf.Swept} {
					*box = box.Moved(b.X-a.X, b.Y-a.Y, b.Z-a.Z)
				}
			}
		}
	}
}

// StandOn returns the parts that stand on one, and what stands on those.
func (s *Scene) StandOn(on int) []int {
	found := []int{on}
	for n := 0; n < len(found); n++ {
		under := &s.Parts[found[n]]
		for i := range s.Parts {
			q := &s.Parts[i]
			by := q.Box.Overlap(under.Box)
			if slices.Contains(found, i) || by.Z < -Touching || by.Z > Touching ||
				q.Box.From.Z < under.Box.Middle().Z {
				continue
			}
			if size := q.Box.Size(); by.X > Slack && by.Y > Slack && by.X*by.Y*2 > size.Length*size.Width {
				found = append(found, i)
			}
		}
	}
	return found[1:]
}

// leaves tells whether an open leaf comes out through the opening of a bay.
func (s *Scene) leaves(o OpenLeaf, bay int) bool {
	b := &s.Bays[bay]
	return b.ID == s.Parts[o.Part].Bay && b.Through(o.Swept)
}

// Moved tells whether a part stands elsewhere than on the road.
func (p *Posture) Moved(s *Scene, i int) bool { return p.Gone[i] || p.Boxes[i] != s.Parts[i].Box }

// Elsewhere tells whether the stance puts a part to another place than on the road.
func (p *Posture) Elsewhere(id string) bool {
	return slices.ContainsFunc(p.Stance.Loose, func(l fitout.LoosePlace) bool { return l.Item == id })
}

// OnLegs tells whether a thing stands, in a posture, in the carrier that is off the vehicle: where it always stands
// in it.
func (s *Scene) OnLegs(p *Posture, id string) bool {
	return p.Stance.Off && s.ComesOff[id] && !p.Elsewhere(id)
}

// LeaveShut offers to open a part no more in a stance.
func (p *Posture) LeaveShut(q *Part) fitout.Fix {
	shut := Edit("Leave "+words.Lower(q.Name())+" shut in “"+p.Stance.Name+"”", "leave-shut", q.ID, 0)
	shut.Edit.With = p.Stance.ID
	return shut
}

// In returns the words that put a finding into its stance.
func (p *Posture) In() string {
	if p.Stance.ID == "" {
		return ""
	}
	return " In “" + p.Stance.Name + "”."
}

// Each runs a check in every posture and marks what it finds with its stance.
func (s *Scene) Each(check func(p *Posture) []fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Postures {
		p := &s.Postures[i]
		for _, f := range check(p) {
			f.Stance = p.Stance.ID
			f.Sentence += p.In()
			found = append(found, f)
		}
	}
	return found
}
