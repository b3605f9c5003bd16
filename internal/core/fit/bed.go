package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
)

// flat is how far the parts of a bed may differ in height, mm.
const flat = 10

// bed is where people lie in a sleeping stance.
type bed struct {
	posture  *Posture
	tops     []fitout.Box // of each platform and each piece that is unfolded, where they stand
	parts    []int
	around   fitout.Box
	sleepers []*fitout.Traveller
}

// beds returns the bed of every stance in which someone sleeps inside.
func (s *Scene) beds(tell func(b *bed)) {
	for n := range s.Postures {
		p := &s.Postures[n]
		if p.Stance.Use != fitout.StanceSleep || len(p.Stance.Sleepers) == 0 {
			continue
		}
		b := &bed{posture: p}
		for i := range s.Parts {
			if s.Parts[i].Traits().Bed && !p.Gone[i] {
				b.add(i, p.Boxes[i])
			}
		}
		for _, o := range p.Open {
			if q := &s.Parts[o.Part]; q.Traits().Bed && q.Module().Unfolds > 0 {
				piece := o.Leaf.Open
				piece.To.Z = s.Parts[o.Part].Box.To.Z
				b.add(o.Part, piece)
			}
		}
		for _, sleeper := range p.Stance.Sleepers {
			for i := range s.Brief.Travellers {
				if t := &s.Brief.Travellers[i]; t.ID == sleeper.Traveller && t.Kind == fitout.TravellerPerson {
					b.sleepers = append(b.sleepers, t)
				}
			}
		}
		if len(b.tops) > 0 && len(b.sleepers) > 0 {
			tell(b)
		}
	}
}

func (b *bed) add(i int, top fitout.Box) {
	if len(b.tops) == 0 {
		b.around = top
	}
	b.around = b.around.Around(top)
	b.tops, b.parts = append(b.tops, top), append(b.parts, i)
}

func (s *Scene) aboutBed(b *bed, severity fitout.Severity) fitout.Finding {
	f := about("", severity, &s.Parts[b.parts[0]])
	f.Stance, f.Source = b.posture.Stance.ID, "practice"
	return f
}

// bedShort stops a bed that is shorter than its tallest sleeper, and cautions
// about one that leaves less than the allowance beyond.
func bedShort(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.beds(func(b *bed) {
		tallest := b.sleepers[0]
		for _, t := range b.sleepers {
			if t.Height > tallest.Height {
				tallest = t
			}
		}
		need := tallest.Height + s.Brief.Assumptions.BedLength
		long := max(b.around.Size().Length, b.around.Size().Width)
		if tallest.Height == 0 || long >= need-slack {
			return
		}
		f := s.aboutBed(b, fitout.Caution)
		if long < tallest.Height {
			f.Severity = fitout.Stop
		}
		f.Title = fmt.Sprintf("Bed %s short", s.Say.Length(need-long))
		f.Sentence = fmt.Sprintf("The bed is %s long; %s needs %s, the body and %s beyond. Lengthen it by %s, or let a "+
			"piece of that length unfold.%s", s.Say.Length(long), tallest.Name, s.Say.Length(need),
			s.Say.Length(s.Brief.Assumptions.BedLength), s.Say.Length(need-long), b.posture.in())
		f.Value, f.Limit, f.Margin = long, need, long-need
		from, to := b.around.Middle(), b.around.Middle()
		from.X, to.X = b.around.From.X, b.around.To.X
		f.Lines = []fitout.Line{line(from, to, s.Say.Length(long))}
		found = append(found, f)
	})
	return found
}

// usualShoulder is a shoulder width where nobody asked, mm.
const usualShoulder = 450

// bedNarrow cautions about a bed that is narrower than its sleepers side by side.
func bedNarrow(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.beds(func(b *bed) {
		need := 0.0
		for _, t := range b.sleepers {
			shoulder := t.Shoulder
			if shoulder == 0 {
				shoulder = usualShoulder
			}
			need += shoulder + s.Brief.Assumptions.BedWidth
		}
		wide := min(b.around.Size().Length, b.around.Size().Width)
		if wide >= need-slack {
			return
		}
		f := s.aboutBed(b, fitout.Caution)
		f.Title = fmt.Sprintf("Bed %s narrow", s.Say.Length(need-wide))
		f.Sentence = fmt.Sprintf("The bed is %s wide; %d side by side take %s. Widen it by %s, or let one sleep elsewhere.%s",
			s.Say.Length(wide), len(b.sleepers), s.Say.Length(need), s.Say.Length(need-wide), b.posture.in())
		f.Value, f.Limit, f.Margin = wide, need, wide-need
		from, to := b.around.Middle(), b.around.Middle()
		from.Y, to.Y = b.around.From.Y, b.around.To.Y
		f.Lines = []fitout.Line{line(from, to, s.Say.Length(wide))}
		found = append(found, f)
	})
	return found
}

// bedUneven cautions about a bed whose parts are not on one height.
func bedUneven(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.beds(func(b *bed) {
		low, high := b.tops[0].To.Z, b.tops[0].To.Z
		for _, top := range b.tops {
			low, high = min(low, top.To.Z), max(high, top.To.Z)
		}
		if high-low <= flat {
			return
		}
		f := s.aboutBed(b, fitout.Caution)
		f.Title = fmt.Sprintf("Bed has a step of %s", s.Say.Length(high-low))
		f.Sentence = fmt.Sprintf("The parts of the bed differ by %s in height; up to %s is not felt. Raise the lower one "+
			"by %s.%s", s.Say.Length(high-low), s.Say.Length(flat), s.Say.Length(high-low), b.posture.in())
		f.Value, f.Limit, f.Margin = high-low, flat, flat-(high-low)
		f.Lines = []fitout.Line{s.upright(b.around, low, high)}
		found = append(found, f)
	})
	return found
}

// bedHeadroom cautions about a bed with too little room above it, to the
// ceiling of the bays that it lies in and to what hangs there.
func bedHeadroom(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.beds(func(b *bed) {
		for k, top := range b.tops {
			room := s.headroom(b, top)
			if room >= s.Practice.Headroom-slack {
				continue
			}
			f := s.aboutBed(b, fitout.Caution)
			f.Subject.ID = s.Parts[b.parts[k]].ID
			f.Title = fmt.Sprintf("%s above the bed", s.Say.Length(room))
			f.Sentence = fmt.Sprintf("Above the platform, mattress not counted, there are %s; the workshop wants %s to turn "+
				"over and sit on an elbow. Lower the bed by %s: what is under it sets its height.%s", s.Say.Length(room),
				s.Say.Length(s.Practice.Headroom), s.Say.Length(s.Practice.Headroom-room), b.posture.in())
			f.Value, f.Limit, f.Margin, f.Source = room, s.Practice.Headroom, room-s.Practice.Headroom, "workshop rule"
			f.Lines = []fitout.Line{s.upright(top, top.To.Z, top.To.Z+room)}
			found = append(found, f)
			return
		}
	})
	return found
}

func (s *Scene) headroom(b *bed, top fitout.Box) float64 {
	room := 10 * s.Practice.Headroom
	for i := range s.Bays {
		bay := &s.Bays[i]
		if by := bay.Room.Overlap(top); !bay.Open && least(by) > slack {
			room = min(room, bay.Room.To.Z-top.To.Z)
		}
	}
	for i, box := range b.posture.Boxes {
		by := box.Overlap(top)
		// What only touches the edge of the bed hangs over nobody.
		if !b.posture.Gone[i] && by.X > 100 && by.Y > 100 && box.From.Z >= top.To.Z-slack {
			room = min(room, box.From.Z-top.To.Z)
		}
	}
	return room
}
