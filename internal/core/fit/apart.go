package fit

import "zaino/internal/core/fitout"

// step is a move along one axis: how far, and which way in words.
type step struct {
	mm    float64
	way   string
	moves fitout.Point // a millimetre of it
}

// steps are the six moves by which one box comes clear of another. Where one lies within the other's reach, that is more
// than they overlap.
func steps(own, other fitout.Box) []step {
	return []step{
		{other.To.X - own.From.X, "toward the rear", fitout.Point{X: 1}},
		{own.To.X - other.From.X, "toward the front", fitout.Point{X: -1}},
		{other.To.Y - own.From.Y, "to the right", fitout.Point{Y: 1}},
		{own.To.Y - other.From.Y, "to the left", fitout.Point{Y: -1}},
		{other.To.Z - own.From.Z, "up", fitout.Point{Z: 1}},
		{own.To.Z - other.From.Z, "down", fitout.Point{Z: -1}},
	}
}

// apart is the least move by which one box comes clear of another; where a way is asked for, the least of those that
// have it.
func apart(own, other fitout.Box, may func(step) bool) step {
	best := step{mm: -1}
	for _, s := range steps(own, other) {
		if (best.mm < 0 || s.mm < best.mm) && (may == nil || may(s)) {
			best = s
		}
	}
	return best
}

// said is a move in words.
func (s *Scene) said(m step) string { return s.Say.Length(m.mm) + " " + m.way }
