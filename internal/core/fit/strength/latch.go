package strength

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// gravity in m/s².
const gravity = 9.81

// latched tells whether a part is held shut by something that counts: a rated
// latch, or runners that lock.
func latched(p *scene.Part) bool {
	m := p.Module()
	return m.Latch == fitout.RatedLatch || m.Lock != fitout.NoLock
}

// LatchMissing cautions about everything that moves and is not held by a rated
// latch on the road.
func LatchMissing(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if len(p.Leaves) == 0 || latched(p) {
			continue
		}
		what := map[fitout.Latch]string{fitout.NoLatch: "Nothing holds it", fitout.FrictionLatch: "Friction holds it",
			fitout.MagnetLatch: "A magnet holds it", fitout.HatchLatch: "The hatch presses on it"}[p.Module().Latch]
		f := scene.About("latch-missing", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s has no latch that counts", p.Name())
		f.Sentence = fmt.Sprintf(
			"%s on the road; friction, magnets and a hatch that presses count as nothing. Fit a latch "+
				"rated for %.0f N forward, or runners that lock.",
			what,
			math.Ceil(s.Practice.Restraint.Forward*gravity*p.Kg()),
		)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = 0, 1, -1, "", "practice"
		f.Fixes = []fitout.Fix{scene.Edit("Fit a rated latch", "latch", p.ID, 0)}
		found = append(found, f)
	}
	return found
}

// LatchWeak stops a latch that holds less than what it has to hold.
func LatchWeak(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		m := p.Module()
		if len(p.Leaves) == 0 || m.Latch != fitout.RatedLatch || m.Holds == 0 {
			continue
		}
		r := s.Practice.Restraint
		share := map[fitout.Face]float64{fitout.FaceRear: r.Rearward, fitout.FaceFront: r.Forward,
			fitout.FaceLeft: r.Sideways, fitout.FaceRight: r.Sideways, fitout.FaceTop: r.Upward}[m.Faces]
		need := share * gravity * p.Kg()
		if !quantity.Exceeds(need, m.Holds) {
			continue
		}
		f := scene.About("latch-weak", fitout.Stop, p)
		f.Title = fmt.Sprintf("Latch of %s is too weak", words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf(
			"Toward its face %s pushes with %.0f N (%.1f g on %s); the latch holds %.0f N. Fit one "+
				"that holds %.0f N.",
			words.Lower(p.Name()),
			need,
			share,
			s.Say.Mass(p.Kg()),
			m.Holds,
			math.Ceil(need),
		)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = need, m.Holds, m.Holds-need, "N", "data sheet"
		strong := 10 * math.Ceil(need/10)
		f.Fixes = []fitout.Fix{scene.Edit(fmt.Sprintf("A latch that holds %.0f N", strong), "latch", p.ID, strong)}
		found = append(found, f)
	}
	return found
}
