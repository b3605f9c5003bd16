// Package strength is the rules of fit about what holds and carries: mounts, latches, struts, runners, panels,
// tipping.
package strength

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// lightest is the mass below which a thing is not held against the table, kg: it
// belongs into something that shuts.
const lightest = 3

// Restraint cautions about what is held by too few mounting points, each by
// itself, and about all that nothing holds, together: friction, a tight fit and
// magnets count as nothing. It is cargo practice, not a crash rating.
func Restraint(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	var loose []*scene.Part
	for i := range s.Parts {
		p := &s.Parts[i]
		if !MustBeHeld(s, p) {
			continue
		}
		share, way := mostOf(s.Practice.Restraint)
		need := share * p.Kg()
		held, unknown, fixed := 0.0, false, 0
		for _, m := range Mounts(s, p) {
			fixed++
			held += m.Rating
			unknown = unknown || m.Rating == 0
		}
		if !quantity.Exceeds(need, held) || unknown {
			continue
		}
		if fixed == 0 {
			loose = append(loose, p)
			continue
		}
		f := scene.About("restraint", fitout.Caution, p)
		f.Title = fmt.Sprintf("%s is not held enough", p.Name())
		f.Sentence = fmt.Sprintf(
			"%s with what lies in it is %s; %.1f g %s ask for %s of holding force. Its %d fixings "+
				"hold %s. %s",
			p.Name(),
			s.Say.Mass(p.Kg()),
			share,
			way,
			s.Say.MassAtLeast(need),
			fixed,
			s.Say.Mass(held),
			more(s, need-held),
		)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = need, held, held-need, "kg", "practice"
		found = append(found, f)
	}
	if len(loose) == 0 {
		return found
	}
	slices.SortStableFunc(loose, func(a, b *scene.Part) int { return cmp.Compare(b.Kg(), a.Kg()) })
	share, way := mostOf(s.Practice.Restraint)
	kg, names := 0.0, []string{}
	for _, p := range loose {
		kg += p.Kg()
		names = append(names, words.Lower(p.Name()))
	}
	if rest := len(names) - mostNamed; rest > 1 {
		names = append(names[:mostNamed], fmt.Sprintf("%d more", rest))
	}
	f := scene.About("restraint", fitout.Caution, loose[0])
	for _, p := range loose[1:] {
		f.With = append(f.With, p.ID)
	}
	f.Title = fmt.Sprintf("%s is not held", loose[0].Name())
	if len(loose) > 1 {
		f.Title = fmt.Sprintf("%d things are not held", len(loose))
	}
	f.Sentence = fmt.Sprintf(
		"Nothing holds %s, %s together: friction and a tight fit count as nothing. %.1f g %s ask "+
			"for %s of holding force. Say which mounting points hold each. %s",
		words.List(names),
		s.Say.Mass(kg),
		share,
		way,
		s.Say.MassAtLeast(share*kg),
		more(s, share*kg),
	)
	f.Value, f.Limit, f.Margin, f.Unit, f.Source = share*kg, 0, -share*kg, "kg", "practice"
	for _, p := range loose[:min(len(loose), mostNamed)] {
		if p.Item != nil && p.Item.Module != nil {
			f.Fixes = append(
				f.Fixes,
				scene.Edit("Hold "+words.Lower(p.Name())+" by points nearby, or bolts", "hold", p.ID, 0),
			)
		}
	}
	return append(found, f)
}

// MustBeHeld tells whether a part is held against the table at all: what is light, soft, bolted to the roof or, in
// the ledger, stands for the cables is not. What stands on a slide is: the slide carries it, and holds it no more
// than a floor does.
func MustBeHeld(s *scene.Scene, p *scene.Part) bool {
	return p.Kg() >= lightest && !p.Traits().OnRoof &&
		(p.Item == nil || p.Item.Form != fitout.FormSoft && (!p.Ledger || !p.Item.Cables))
}

// Asks is the holding force that the table asks for a part, kg.
func Asks(s *scene.Scene, p *scene.Part) float64 {
	share, _ := mostOf(s.Practice.Restraint)
	return share * p.Kg()
}

// mostNamed is how many things a sentence names before it counts the rest.
const mostNamed = 4

// more tells how many mounting points a force takes, kg.
func more(s *scene.Scene, kg float64) string {
	best := 0.0
	for i := range s.Vehicle.Mounts {
		best = max(best, s.Vehicle.Mounts[i].Rating)
	}
	if best == 0 {
		return "Enter the vehicle's mounting points first."
	}
	return fmt.Sprintf("It takes %.0f of the strongest here, rated %s each.", math.Ceil(kg/best), s.Say.Mass(best))
}

// mostOf returns the largest of the accelerations, and the way that it goes.
func mostOf(r fitout.Restraint) (share float64, way string) {
	for _, a := range []struct {
		share float64
		way   string
	}{{r.Forward, "forward"}, {r.Rearward, "rearward"}, {r.Sideways, "sideways"}, {r.Upward, "upward"}} {
		if a.share > share {
			share, way = a.share, a.way
		}
	}
	return share, way
}

// Mounts are the mounting points that hold a part.
func Mounts(s *scene.Scene, p *scene.Part) []*fitout.Mount {
	var all []*fitout.Mount
	for _, f := range p.Module().Fixings {
		for i := range s.Vehicle.Mounts {
			if s.Vehicle.Mounts[i].ID == f.Mount {
				all = append(all, &s.Vehicle.Mounts[i])
			}
		}
	}
	return all
}

// MostHeldAnew is for how many parts of a mounting point other ones are offered.
const MostHeldAnew = 3

// MountOver stops a mounting point that all the parts on it ask more of than it
// is rated; each part shares its force over its fixings alike.
func MountOver(s *scene.Scene) []fitout.Finding {
	share, way := mostOf(s.Practice.Restraint)
	asked := map[string]float64{}
	pull := map[string][]*scene.Part{}
	each := func(p *scene.Part) float64 { return share * p.Kg() / float64(len(Mounts(s, p))) }
	for i := range s.Parts {
		p := &s.Parts[i]
		for _, m := range Mounts(s, p) {
			asked[m.ID] += each(p)
			pull[m.ID] = append(pull[m.ID], p)
		}
	}
	var found []fitout.Finding
	for i := range s.Vehicle.Mounts {
		m := &s.Vehicle.Mounts[i]
		if m.Rating == 0 || !quantity.Exceeds(asked[m.ID], m.Rating) {
			continue
		}
		// The one that pulls most first.
		slices.SortFunc(pull[m.ID], func(a, b *scene.Part) int {
			return cmp.Or(cmp.Compare(each(b), each(a)), cmp.Compare(a.ID, b.ID))
		})
		most := pull[m.ID][0]
		f := scene.About("mount-over", fitout.Stop, most)
		f.With = []string{m.ID}
		f.Title = fmt.Sprintf("%s is asked too much", m.Name)
		f.Sentence = fmt.Sprintf(
			"What is fixed to it pulls with %s at %.1f g %s; it is rated %s. Use a further mounting "+
				"point. Beneath it: %s.",
			s.Say.MassAtLeast(asked[m.ID]),
			share,
			way,
			s.Say.Mass(m.Rating),
			orNothing(m.Beneath),
		)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = asked[m.ID], m.Rating, m.Rating-asked[m.ID], "kg", "data sheet"
		f.Lines = []fitout.Line{scene.Line(most.Box.Middle(), m.At, s.Say.Mass(asked[m.ID]))}
		for _, p := range pull[m.ID][:min(len(pull[m.ID]), MostHeldAnew)] {
			after := ""
			if quantity.Exceeds(asked[m.ID]-each(p), m.Rating) {
				after = " (not enough alone)"
			}
			if anew, ok := HoldAnew(s, p, m.ID, after); ok {
				f.Fixes = append(f.Fixes, anew)
			} else {
				f.Fixes = append(f.Fixes, unfix(p, m, after))
			}
		}
		found = append(found, f)
	}
	return found
}

// HoldAnew offers to hold a part that must be held by other points than one, with words that come after.
func HoldAnew(s *scene.Scene, p *scene.Part, without, after string) (fitout.Fix, bool) {
	anew := scene.Edit("Hold "+words.Lower(p.Name())+" by other points, or bolts"+after, "hold-anew", p.ID, 0)
	anew.Edit.With = without
	return anew, MustBeHeld(s, p)
}

func orNothing(beneath string) string {
	if beneath == "" {
		return "look before drilling"
	}
	return beneath
}
