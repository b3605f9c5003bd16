package living

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
)

// flat is how far the parts of a bed may differ in height, mm.
const flat = 10

// bed is where people lie in a sleeping stance.
type bed struct {
	posture  *scene.Posture
	tops     []fitout.Box // of each platform and each piece that is unfolded, where they stand
	parts    []int
	around   fitout.Box
	sleepers []*fitout.Traveller
}

// beds returns every bed of each stance in which someone sleeps inside, with those who lie on it.
func beds(s *scene.Scene, tell func(b *bed)) {
	for n := range s.Postures {
		p := &s.Postures[n]
		if p.Stance.Use != fitout.StanceSleep || len(p.Stance.Sleepers) == 0 {
			continue
		}
		var tops []fitout.Box
		var parts []int
		for i := range s.Parts {
			if s.Parts[i].Traits().Bed && !p.Gone[i] {
				tops, parts = append(tops, p.Boxes[i]), append(parts, i)
			}
		}
		for _, o := range p.Open {
			if q := &s.Parts[o.Part]; q.Traits().Bed && q.Module().Unfolds > 0 {
				piece := o.Leaf.Open
				piece.To.Z = s.Parts[o.Part].Box.To.Z
				tops, parts = append(tops, piece), append(parts, o.Part)
			}
		}
		var sleepers []*fitout.Traveller
		for _, sleeper := range p.Stance.Sleepers {
			for i := range s.Brief.Travellers {
				t := &s.Brief.Travellers[i]
				if t.ID == sleeper.Traveller && t.Kind == fitout.TravellerPerson && !hangs(p, t.ID) {
					sleepers = append(sleepers, t)
				}
			}
		}
		all := apartBeds(p, tops, parts)
		layDown(s, all, sleepers)
		for _, b := range all {
			if len(b.sleepers) > 0 {
				tell(b)
			}
		}
	}
}

// lies calls back for every bed as beds does, and for every hammock as for a bed of its own.
func lies(s *scene.Scene, tell func(b *bed)) {
	beds(s, tell)
	hammocks(s, func(h *hung) {
		if !h.hangsFree() {
			return
		}
		b := &bed{posture: h.posture, sleepers: []*fitout.Traveller{h.who}}
		for k, piece := range h.body(s) {
			if k == 0 {
				b.around = piece.Box
			}
			b.around = b.around.Around(piece.Box)
		}
		b.around.To.Z = h.said.Low // what one climbs out from
		tell(b)
	})
}

// bunkApart is how far two lying faces are apart in height when they are bunks and no longer parts of one bed, mm,
// and bedGap how far beside each other.
const (
	bunkApart = 300
	bedGap    = 150
)

// apartBeds puts together what makes one bed: faces near each other and of about one height.
func apartBeds(p *scene.Posture, tops []fitout.Box, parts []int) []*bed {
	var all []*bed
	for k, top := range tops {
		own := &bed{posture: p}
		own.add(parts[k], top)
		rest := all[:0:0]
		for _, b := range all {
			if !b.joins(top) {
				rest = append(rest, b)
				continue
			}
			for n := range b.tops {
				own.add(b.parts[n], b.tops[n])
			}
		}
		all = append(rest, own)
	}
	for _, b := range all {
		b.inOrder()
	}
	return all
}

// joins tells whether a lying face is part of a bed.
func (b *bed) joins(top fitout.Box) bool {
	for _, own := range b.tops {
		by := own.Overlap(top)
		if math.Abs(own.To.Z-top.To.Z) < bunkApart && by.X > -bedGap && by.Y > -bedGap {
			return true
		}
	}
	return false
}

// inOrder puts the faces of a bed into the order of the parts, so that a finding is about the same one every time.
func (b *bed) inOrder() {
	order := make([]int, len(b.parts))
	for k := range order {
		order[k] = k
	}
	slices.SortStableFunc(order, func(x, y int) int { return b.parts[x] - b.parts[y] })
	sorted := &bed{posture: b.posture}
	for _, k := range order {
		sorted.add(b.parts[k], b.tops[k])
	}
	*b = *sorted
}

// layDown lays the tallest first, each onto the longest bed on which there is room beside those who lie there;
// where there is none, onto the one with most room left.
func layDown(s *scene.Scene, beds []*bed, sleepers []*fitout.Traveller) {
	if len(beds) == 0 {
		return
	}
	sides := func(b *bed) (long, wide float64) {
		z := b.around.Size()
		return max(z.Length, z.Width), min(z.Length, z.Width)
	}
	slices.SortStableFunc(beds, func(a, b *bed) int {
		long, _ := sides(a)
		other, _ := sides(b)
		return cmp.Compare(other, long)
	})
	tallest := slices.Clone(sleepers)
	slices.SortStableFunc(tallest, func(a, b *fitout.Traveller) int { return cmp.Compare(b.Height, a.Height) })
	left := make([]float64, len(beds))
	for k, b := range beds {
		_, left[k] = sides(b)
	}
	for _, t := range tallest {
		need := widthOf(s, t)
		best := -1
		for k := range beds {
			if left[k] >= need-scene.Slack {
				best = k
				break
			}
		}
		for k := range beds {
			if best < 0 || left[best] < need-scene.Slack && left[k] > left[best] {
				best = k
			}
		}
		beds[best].sleepers = append(beds[best].sleepers, t)
		left[best] -= need
	}
}

// widthOf is the width that somebody lies on, mm.
func widthOf(s *scene.Scene, t *fitout.Traveller) float64 {
	return cmp.Or(t.Shoulder, usualShoulder) + s.Brief.Assumptions.BedWidth
}

func (b *bed) add(i int, top fitout.Box) {
	if len(b.tops) == 0 {
		b.around = top
	}
	b.around = b.around.Around(top)
	b.tops, b.parts = append(b.tops, top), append(b.parts, i)
}

func aboutBed(s *scene.Scene, b *bed, severity fitout.Severity) fitout.Finding {
	f := fitout.Finding{Severity: severity, Unit: "mm", Subject: fitout.Subject{Kind: "stance", ID: b.posture.Stance.ID}}
	if len(b.parts) > 0 {
		f = scene.About("", severity, &s.Parts[b.parts[0]])
	}
	f.Stance, f.Source = b.posture.Stance.ID, "practice"
	return f
}

// BedShort stops a bed that is shorter than its tallest sleeper, and cautions
// about one that leaves less than the allowance beyond.
func BedShort(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	beds(s, func(b *bed) {
		tallest := b.sleepers[0]
		for _, t := range b.sleepers {
			if t.Height > tallest.Height {
				tallest = t
			}
		}
		need := tallest.Height + s.Brief.Assumptions.BedLength
		long := max(b.around.Size().Length, b.around.Size().Width)
		if tallest.Height == 0 || long >= need-scene.Slack {
			return
		}
		f := aboutBed(s, b, fitout.Caution)
		if long < tallest.Height {
			f.Severity = fitout.Stop
		}
		f.Title = fmt.Sprintf("Bed %s short", s.Say.Length(need-long))
		f.Sentence = fmt.Sprintf(
			"The bed is %s long; %s needs %s, the body and %s beyond. Lengthen it by %s, or let a "+
				"piece of that length unfold.%s",
			s.Say.Length(long),
			tallest.Name,
			s.Say.Length(need),
			s.Say.Length(s.Brief.Assumptions.BedLength),
			s.Say.LengthAtLeast(need-long),
			b.posture.In(),
		)
		f.Value, f.Limit, f.Margin = long, need, long-need
		from, to := b.around.Middle(), b.around.Middle()
		from.X, to.X = b.around.From.X, b.around.To.X
		f.Lines = []fitout.Line{scene.Line(from, to, s.Say.Length(long))}
		found = append(found, f)
	})
	return found
}

// usualShoulder is a shoulder width where nobody asked, mm.
const usualShoulder = 450

// BedNarrow cautions about a bed that is narrower than its sleepers side by side.
func BedNarrow(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	beds(s, func(b *bed) {
		need := 0.0
		for _, t := range b.sleepers {
			need += widthOf(s, t)
		}
		wide := min(b.around.Size().Length, b.around.Size().Width)
		if wide >= need-scene.Slack {
			return
		}
		f := aboutBed(s, b, fitout.Caution)
		f.Title = fmt.Sprintf("Bed %s narrow", s.Say.Length(need-wide))
		f.Sentence = fmt.Sprintf(
			"The bed is %s wide; %d side by side take %s. Widen it by %s, or let one sleep elsewhere.%s",
			s.Say.Length(wide),
			len(b.sleepers),
			s.Say.Length(need),
			s.Say.LengthAtLeast(need-wide),
			b.posture.In(),
		)
		f.Value, f.Limit, f.Margin = wide, need, wide-need
		from, to := b.around.Middle(), b.around.Middle()
		from.Y, to.Y = b.around.From.Y, b.around.To.Y
		f.Lines = []fitout.Line{scene.Line(from, to, s.Say.Length(wide))}
		found = append(found, f)
	})
	return found
}

// BedUneven cautions about a bed whose parts are not on one height.
func BedUneven(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	beds(s, func(b *bed) {
		low, high := b.tops[0].To.Z, b.tops[0].To.Z
		for _, top := range b.tops {
			low, high = min(low, top.To.Z), max(high, top.To.Z)
		}
		if high-low <= flat {
			return
		}
		f := aboutBed(s, b, fitout.Caution)
		f.Title = fmt.Sprintf("Bed has a step of %s", s.Say.Length(high-low))
		f.Sentence = fmt.Sprintf(
			"The parts of the bed differ by %s in height; up to %s is not felt. Raise the lower one "+
				"by %s.%s",
			s.Say.Length(high-low),
			s.Say.Length(flat),
			s.Say.Length(high-low),
			b.posture.In(),
		)
		f.Value, f.Limit, f.Margin = high-low, flat, flat-(high-low)
		f.Lines = []fitout.Line{s.Upright(b.around, low, high)}
		found = append(found, f)
	})
	return found
}

// BedHeadroom cautions about a bed with too little room above it, to the
// ceiling of the bays that it lies in and to what hangs there.
func BedHeadroom(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	beds(s, func(b *bed) {
		for k, top := range b.tops {
			room := headroom(s, b, top)
			if room >= s.Practice.Headroom-scene.Slack {
				continue
			}
			f := aboutBed(s, b, fitout.Caution)
			f.Subject.ID = s.Parts[b.parts[k]].ID
			f.Title = fmt.Sprintf("%s above the bed", s.Say.Length(room))
			f.Sentence = fmt.Sprintf(
				"Above the platform, mattress not counted, there are %s; the workshop wants %s to turn "+
					"over and sit on an elbow. Lower the bed by %s: what is under it sets its height.%s",
				s.Say.Length(room),
				s.Say.Length(s.Practice.Headroom),
				s.Say.LengthAtLeast(s.Practice.Headroom-room),
				b.posture.In(),
			)
			f.Value, f.Limit, f.Margin, f.Source = room, s.Practice.Headroom, room-s.Practice.Headroom, "workshop rule"
			f.Lines = []fitout.Line{s.Upright(top, top.To.Z, top.To.Z+room)}
			found = append(found, f)
			return
		}
	})
	return found
}

func headroom(s *scene.Scene, b *bed, top fitout.Box) float64 {
	room := 10 * s.Practice.Headroom
	for i := range s.Bays {
		bay := &s.Bays[i]
		if by := bay.Room.Overlap(top); !bay.Open && scene.Least(by) > scene.Slack {
			room = min(room, bay.Room.To.Z-top.To.Z)
		}
	}
	for i, box := range b.posture.Boxes {
		by := box.Overlap(top)
		// What only touches the edge of the bed hangs over nobody.
		if !b.posture.Gone[i] && by.X > 100 && by.Y > 100 && box.From.Z >= top.To.Z-scene.Slack {
			room = min(room, box.From.Z-top.To.Z)
		}
	}
	return room
}
