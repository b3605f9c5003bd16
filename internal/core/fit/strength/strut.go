package strength

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// heavyLid is what one hand still holds up, kg.
const heavyLid = 6

// Angles between a gas strut and the lid that it lifts: shut and open.
const (
	shutAngle = 25.0
	openAngle = 60.0
)

// StrutForce cautions about gas struts that do not lift their lid, or do not hold
// it in the wind, and about a heavy lid that has none. With n struts of force F
// taking a lid of mass m and length l at a from its hinge, they lift it when
// n F a sin 25° ≥ m g l / 2, and hold it against wind p on its area A when
// n F a sin 60° ≥ p A l / 2 (angles of a usual mounting).
func StrutForce(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		m := p.Module()
		lid, _, ok := lidOf(s, p)
		if !ok || m.Pivots != nil {
			continue // where its struts turn is said: the whole swing is looked at
		}
		kg, length := lid.Kg, lid.Length
		lifts := kg * gravity * length / 2
		wind := lid.Wind * length / 2
		at := m.StrutAt
		if at == 0 {
			at = length / 2
		}
		sin := func(degrees float64) float64 { return math.Sin(degrees * math.Pi / 180) }
		need := max(lifts/(at*sin(shutAngle)), wind/(at*sin(openAngle)))
		has := m.Struts * m.Force
		if !quantity.Exceeds(kg, heavyLid) && m.Struts == 0 || !quantity.Exceeds(need, has) {
			continue
		}
		f := scene.About("strut-force", fitout.Caution, p)
		n := max(2, m.Struts)
		each := math.Ceil(need/n/10) * 10
		f.Title = fmt.Sprintf("Lid of %s does not stay up", words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf("The lid is about %s and %s long; with wind of %.0f N/m² it takes %.0f N at %s from the "+
			"hinge, and there are %.0f N. Fit %.0f struts of %.0f N; an estimate, try it with one strut first.", s.Say.Mass(kg),
			s.Say.Length(length), s.Practice.Wind, need, s.Say.Length(at), has, n, each)
		f.Value, f.Limit, f.Margin, f.Unit = has, need, has-need, "N"
		f.Fixes = []fitout.Fix{scene.Edit(fmt.Sprintf("Fit %.0f struts of %.0f N", n, each), "strut-force", p.ID, each)}
		f.Lines = []fitout.Line{s.Upright(p.Box, p.Box.To.Z, p.Box.To.Z+length)}
		found = append(found, f)
	}
	return found
}

// lidMass is about what the lid of a part weighs: its share of the outside.
func lidMass(s *scene.Scene, p *scene.Part) float64 {
	size := p.Box.Size()
	top := size.Length * size.Width
	outside := 2 * (top + size.Length*size.Height + size.Width*size.Height)
	if outside == 0 {
		return 0
	}
	if p.Traits().HeavyLid {
		return p.Mass // all of it is the lid
	}
	if p.Traits().SmallLid {
		return 0 // a light cover
	}
	return p.Mass * top / outside
}
