package clearance

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// markSize is how large a lamp, plate or filler is taken about its place, mm.
const markSize = 60

// sight is how far from a mark something still hides it, mm.
const sight = 1500

// Hides cautions about what the fitout puts in front of a lamp, the plate, the
// filler, the ball, the jack or the battery, on the side from which it has to be
// seen or reached.
func Hides(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Vehicle.Marks {
		m := &s.Vehicle.Marks[i]
		at := m.At
		// The room from the mark's face out to whoever looks at it.
		b := fitout.Box{From: fitout.Point{X: at.X - markSize, Y: at.Y - markSize, Z: at.Z - markSize},
			To: fitout.Point{X: at.X + markSize, Y: at.Y + markSize, Z: at.Z + markSize}}
		if m.Kind == fitout.ShaftMark || m.Kind == fitout.LineMark {
			continue // they are kept clear of, and seen by nobody
		}
		switch m.From {
		case fitout.FaceRear:
			b.From.X, b.To.X = at.X, at.X+sight
		case fitout.FaceFront:
			b.From.X, b.To.X = at.X-sight, at.X
		case fitout.FaceRight:
			b.From.Y, b.To.Y = at.Y, at.Y+sight
		case fitout.FaceLeft:
			b.From.Y, b.To.Y = at.Y-sight, at.Y
		case fitout.FaceTop:
			b.From.Z, b.To.Z = at.Z, at.Z+sight
		default:
			continue
		}
		for k := range s.Parts {
			p := &s.Parts[k]
			if scene.Least(b.Overlap(p.Box)) <= scene.Slack ||
				Yields(s, p) && m.Kind != fitout.LampMark && m.Kind != fitout.PlateMark {
				continue
			}
			f := scene.About("hides", fitout.Caution, p)
			f.With = []string{m.ID}
			f.Title = fmt.Sprintf("%s hides %s", p.Name(), words.Lower(m.Name))
			f.Sentence = fmt.Sprintf(
				"%s stands before %s on the side from which it has to be seen or reached. %s",
				p.Name(),
				words.Lower(m.Name),
				s.Clearing("it", p, nil, beside(m.From, scene.Steps(p.Box, b)),
					"move or repeat "+words.Lower(m.Name)+" where it stays free"),
			)
			f.Value, f.Margin, f.Source = scene.Least(b.Overlap(p.Box)), -scene.Least(b.Overlap(p.Box)), "practice"
			f.Lines = []fitout.Line{scene.Line(at, p.Box.Middle(), words.Lower(m.Name))}
			f.Fixes = s.MovesBy(p, beside(m.From, scene.Steps(p.Box, b)), nil)
			found = append(found, f)
		}
	}
	return found
}

// beside are those of some moves that leave the line of sight of who looks from a side, to its sides or behind the
// mark: the further way, toward who looks, never ends.
func beside(from fitout.Face, ways []scene.Step) []scene.Step {
	return slices.DeleteFunc(ways, func(m scene.Step) bool {
		switch from {
		case fitout.FaceFront:
			return m.Moves.X < 0
		case fitout.FaceRear:
			return m.Moves.X > 0
		case fitout.FaceLeft:
			return m.Moves.Y < 0
		case fitout.FaceRight:
			return m.Moves.Y > 0
		}
		return m.Moves.Z > 0
	})
}
