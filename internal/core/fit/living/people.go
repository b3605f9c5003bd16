// Package living is the rules of fit about people inside: where they lie and hang, barriers, windows and ways out.
package living

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit/clearance"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// seatBack is how high above its floor a bay may be filled behind people before
// what stands there can fly over the seats, mm.
const seatBack = 350

// NoBarrier cautions about hard things behind people with nothing between,
// in a space that the people share. It tells what would be held by what.
func NoBarrier(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for b := range s.Bays {
		bay := &s.Bays[b]
		if !bay.Shared || bay.Kind != fitout.BayWagonCargo && (bay.Kind != fitout.BayLivingBox || !ridesIn(s, bay)) {
			continue
		}
		var highest *scene.Part
		kg, past, barrier := 0.0, 0.0, (*scene.Part)(nil)
		for i := range s.Parts {
			p := &s.Parts[i]
			by, before := pastBarrier(s, p)
			if p.Traits().Barrier || by <= getsPast {
				continue
			}
			if p.Bay != bay.ID || p.Box.To.Z < bay.Room.From.Z+seatBack || p.Item == nil ||
				p.Item.Form == fitout.FormSoft {
				continue
			}
			kg += p.Kg()
			if before != nil && by > past {
				past, barrier = by, before
			}
			if highest == nil || p.Box.To.Z > highest.Box.To.Z {
				highest = p
			}
		}
		if highest == nil {
			continue
		}
		f := scene.About("no-barrier", fitout.Caution, highest)
		f.Title = "No barrier between load and people"
		f.Sentence = fmt.Sprintf(
			"In %s %s of hard things reach above %s, up to %s, and only their own fixings hold them "+
				"from flying forward. Fit a cargo barrier rated for that; some leave it out where the load is soft.",
			words.Lower(bay.Name),
			s.Say.Mass(kg),
			s.Say.Length(seatBack),
			words.Lower(highest.Name()),
		)
		f.Value, f.Limit, f.Margin, f.Source = highest.Box.To.Z-bay.Room.From.Z, seatBack,
			bay.Room.From.Z+seatBack-highest.Box.To.Z, "practice"
		f.Lines = []fitout.Line{s.Upright(highest.Box, bay.Room.From.Z, highest.Box.To.Z)}
		if barrier != nil {
			f.With = []string{barrier.ID}
			f.Title = barrier.Name() + " does not hold all of the load"
			f.Sentence = fmt.Sprintf(
				"In %s %s of hard things reach above %s and stand beside or above %s, by up to %s: there it holds nothing. "+
					"A wider or higher one, or put them behind it.",
				words.Lower(
					bay.Name,
				),
				s.Say.Mass(kg),
				s.Say.Length(seatBack),
				words.Lower(barrier.Name()),
				s.Say.LengthAtLeast(past),
			)
			f.Over(past, getsPast, "mm")
			f.Source = "practice"
		}
		found = append(found, f)
	}
	return found
}

// getsPast is how much of a hard thing may stand beside or above a barrier and be held by it still, mm. Practice.
const getsPast = 150

// pastBarrier is how far a part stands beside or above the barriers between it and those who sit ahead of it, mm,
// and one of them; without any it is without end, and nil.
func pastBarrier(s *scene.Scene, p *scene.Part) (by float64, before *scene.Part) {
	var all []*scene.Part
	for i := range s.Parts {
		if q := &s.Parts[i]; q.Traits().Barrier && q.Box.From.X <= p.Box.From.X+scene.Slack {
			all = append(all, q)
		}
	}
	if len(all) == 0 {
		return math.Inf(1), nil
	}
	// Between the edges of all of them it is one piece after the other: as high as the highest before it, or free.
	edges := []float64{p.Box.From.Y, p.Box.To.Y}
	for _, q := range all {
		for _, y := range []float64{q.Box.From.Y, q.Box.To.Y} {
			if y > p.Box.From.Y && y < p.Box.To.Y {
				edges = append(edges, y)
			}
		}
	}
	slices.Sort(edges)
	free := 0.0
	for k := range edges[1:] {
		middle, top := (edges[k]+edges[k+1])/2, math.Inf(-1)
		for _, q := range all {
			if q.Box.From.Y <= middle && middle <= q.Box.To.Y {
				top = max(top, q.Box.To.Z)
			}
		}
		if above := p.Box.To.Z - top; math.IsInf(top, -1) {
			free += edges[k+1] - edges[k]
		} else {
			free, by = 0, max(by, above)
		}
		by = max(by, free)
	}
	return by, all[0]
}

// ridesIn tells whether a seat stands in a space: only then does somebody ride before its furniture.
func ridesIn(s *scene.Scene, bay *scene.Bay) bool {
	for _, seat := range s.Vehicle.Seats {
		if bay.Room.Around(fitout.Box{From: seat.At, To: seat.At}) == bay.Room {
			return true
		}
	}
	return false
}

// exitRoom is the clear depth that a way out needs behind its opening, mm, and
// exitGap the least opening that one climbs through.
const (
	exitRoom = 300
	exitGap  = 450
)

// SleepExits stops a stance in which people sleep inside and have fewer than two
// ways out that open from where they lie: openings large enough with nothing
// standing before them.
func SleepExits(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	lies(s, func(b *bed) {
		ways, joins := 0, roomOf(s, b)
		blocked := ""
		for k := range s.Bays {
			bay := &s.Bays[k]
			if !bay.Shared || !joins[bay.ID] {
				continue
			}
			for _, o := range bay.Exits() {
				if min(o.Width, o.Height) < exitGap {
					continue
				}
				if by := exitBlocked(s, b, o); by != "" {
					blocked = by
					continue
				}
				ways++
			}
		}
		if ways >= 2 {
			return
		}
		f := aboutBed(s, b, fitout.Stop)
		f.Title = "Sleepers have fewer than two ways out"
		f.Sentence = fmt.Sprintf(
			"%d opening of at least %s is free from the bed; there must be two that open from inside.",
			ways,
			s.Say.Length(exitGap),
		)
		if blocked != "" {
			f.Sentence += fmt.Sprintf(" Take %s from before one.", words.Lower(blocked))
		} else {
			f.Sentence += " Mark the spaces that people sleep in, and their doors, in the measures."
		}
		f.Sentence += b.posture.In()
		f.Value, f.Limit, f.Margin, f.Unit = float64(ways), 2, float64(ways-2), ""
		found = append(found, f)
	})
	return found
}

// roomOf are the spaces that one reaches from a bed inside: that in which it lies, and those that join it. Where
// the bed lies in none that was measured, every one counts.
func roomOf(s *scene.Scene, b *bed) map[string]bool {
	joins := map[string]bool{}
	for k := range s.Bays {
		if by := s.Bays[k].Room.Overlap(b.around); by.X > scene.Slack && by.Y > scene.Slack {
			joins[s.Bays[k].ID] = true
		}
	}
	if len(joins) == 0 {
		for k := range s.Bays {
			joins[s.Bays[k].ID] = true
		}
	}
	for grown := true; grown; {
		grown = false
		for i := range s.Bays {
			for k := range s.Bays {
				if joins[s.Bays[i].ID] && !joins[s.Bays[k].ID] &&
					scene.Least(clearance.Larger(s.Bays[i].Room).Overlap(s.Bays[k].Room)) > 0 {
					joins[s.Bays[k].ID], grown = true, true
				}
			}
		}
	}
	return joins
}

// exitBlocked names what leaves less than half of an opening free, from the
// height of the bed upward.
func exitBlocked(s *scene.Scene, b *bed, o *scene.Opening) string {
	gap := o.Gap
	gap.From.Z = max(gap.From.Z, min(b.around.To.Z, gap.To.Z))
	above := *o
	above.Gap = gap
	room := before(&above, exitRoom)
	free, most, by := area(gap), 0.0, ""
	whole := free
	for i := range s.Parts {
		if b.posture.Gone[i] || s.Parts[i].Traits().Bed || scene.Least(room.Overlap(b.posture.Boxes[i])) <= scene.Slack {
			continue
		}
		taken := area(gap.Cut(flattened(b.posture.Boxes[i], gap)))
		free -= taken
		if taken > most {
			most, by = taken, s.Parts[i].Name()
		}
	}
	if free*2 >= whole && whole > 0 {
		return ""
	}
	return by
}

// flattened is a box pressed into the plane of an opening.
func flattened(b, gap fitout.Box) fitout.Box {
	s := gap.Size()
	if s.Length == 0 {
		b.From.X, b.To.X = gap.From.X, gap.To.X
	}
	if s.Width == 0 {
		b.From.Y, b.To.Y = gap.From.Y, gap.To.Y
	}
	if s.Height == 0 {
		b.From.Z, b.To.Z = gap.From.Z, gap.To.Z
	}
	return b
}

// area is that of a flat box, mm².
func area(b fitout.Box) float64 {
	s := b.Size()
	return max(s.Length*s.Width, s.Length*s.Height, s.Width*s.Height)
}
