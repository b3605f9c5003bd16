package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// sitter is the room of somebody in a seat about the middle of their body that nothing may stand in, mm: chest and
// thighs of a small person, so that what is told is told with certainty.
var sitter = fitout.Box{From: fitout.Point{X: -150, Y: -170, Z: -150}, To: fitout.Point{X: 150, Y: 170, Z: 350}}

// SeatBuiltOver stops what stands where somebody sits, and cautions of a seat that the brief wants kept.
func SeatBuiltOver(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	out := map[int]bool{} // what is lifted out, or away, before anybody sits there is in nobody's way
	s.LiftsOut(func(i int, _ *fitout.LiftOut) { out[i] = true })
	for i := range s.Vehicle.Seats {
		seat := &s.Vehicle.Seats[i]
		who := s.Seated[seat.ID]
		kept := slices.ContainsFunc(s.Brief.Daily.Seats, func(k fitout.SeatKept) bool { return k.Seat == seat.ID })
		if who == "" && !kept {
			continue
		}
		room := sitter.Moved(seat.At.X, seat.At.Y, seat.At.Z)
		for k := range s.Parts {
			p := &s.Parts[k]
			by := room.Overlap(p.Box)
			if scene.Least(by) <= scene.Slack || who == "" && (p.Traits().Yields || out[k]) {
				continue
			}
			f := scene.About("seat-built-over", fitout.Caution, p)
			f.With = []string{seat.ID}
			f.Title = fmt.Sprintf("%s stands in %s", p.Name(), words.Lower(seat.Name))
			f.Sentence = fmt.Sprintf(
				"The brief keeps %s; %s reaches %s into the room of whoever sits there.",
				words.Lower(seat.Name),
				words.Lower(p.Name()),
				s.Say.Length(scene.Least(by)),
			)
			if who != "" {
				f.Severity = fitout.Stop
				f.Sentence = fmt.Sprintf("%s sits there; %s reaches %s into the room.", who, words.Lower(p.Name()),
					s.Say.Length(scene.Least(by)))
			}
			f.Sentence += " " + s.Clearing("it", p, nil, scene.Steps(p.Box, room), "give up the seat")
			f.Value, f.Margin = scene.Least(by), -scene.Least(by)
			f.Lines = []fitout.Line{scene.Line(seat.At, p.Box.Middle(), words.Lower(seat.Name))}
			f.Fixes = s.Moves(p, room, nil)
			found = append(found, f)
		}
	}
	return found
}

// SeatFolded cautions of a seat that the brief keeps, and that a stance for driving folds.
func SeatFolded(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Postures {
		p := &s.Postures[i]
		if p.Stance.Use != fitout.StanceDrive {
			continue
		}
		for k := range s.Vehicle.Seats {
			seat := &s.Vehicle.Seats[k]
			is := func(f fitout.SeatKept) bool { return f.Seat == seat.ID }
			if !slices.ContainsFunc(s.Brief.Daily.Seats, is) || !slices.ContainsFunc(p.Stance.Folded, is) {
				continue
			}
			f := fitout.Finding{
				Severity: fitout.Caution,
				Subject:  fitout.Subject{Kind: "seat", ID: seat.ID},
				Stance:   p.Stance.ID,
				Source:   "brief",
			}
			f.Title = fmt.Sprintf("%s is folded while driving", seat.Name)
			f.Sentence = fmt.Sprintf(
				"The brief keeps %s, and “%s” is for driving. Unfold it there, or give up the seat.",
				words.Lower(seat.Name),
				p.Stance.Name,
			)
			f.Margin = -1
			found = append(found, f)
		}
	}
	return found
}
