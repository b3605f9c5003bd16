package fit

import (
	"slices"

	"zaino/internal/core/fitout"
)

// Rule is one thing that an experienced eye would see. Its id is stable: what
// was accepted under it stays accepted.
type Rule struct {
	ID    string
	Check func(s *Scene) []fitout.Finding
}

// Rules are all rules by their id. A new rule is a file, a line here and its case in
// the tests.
func Rules() []Rule {
	return []Rule{
		{"bad-neighbours", badNeighbours},
		{"bed-headroom", bedHeadroom},
		{"bed-narrow", bedNarrow},
		{"bed-short", bedShort},
		{"bed-uneven", bedUneven},
		{"buried", buried},
		{"cable-follows", cableFollows},
		{"dirty-beside-food", dirtyBesideFood},
		{"door-load", doorLoad},
		{"emergency-buried", emergencyBuried},
		{"faces-wall", facesWall},
		{"fridge-lid", fridgeLid},
		{"fuel-inside", fuelInside},
		{"hammock-meets", hammockMeets},
		{"hammock-pull", hammockPull},
		{"hammock-short", hammockShort},
		{"hatch-lean", hatchLean},
		{"heavy-high", heavyHigh},
		{"heavy-tail", heavyTail},
		{"hides", hides},
		{"latch-missing", latchMissing},
		{"latch-weak", latchWeak},
		{"lid-blocked", lidBlocked},
		{"lift-out", liftOut},
		{"lip", lip},
		{"live-load", liveLoad},
		{"locked-in", lockedIn},
		{"marks-unsaid", marksUnsaid},
		{"mount-far", mountFar},
		{"mount-over", mountOver},
		{"needs-away", needsAway},
		{"needs-cool", needsCool},
		{"needs-dry", needsDry},
		{"needs-hidden", needsHidden},
		{"needs-lock", needsLock},
		{"needs-upright", needsUpright},
		{"no-barrier", noBarrier},
		{"open-together", openTogether},
		{"opening-frame", openingFrame},
		{"outside-bay", outsideBay},
		{"not-placed", notPlaced},
		{"panel-sag", panelSag},
		{"part-in-way", partInWay},
		{"parts-clash", partsClash},
		{"rating-unsaid", ratingUnsaid},
		{"reach-depth", reachDepth},
		{"reach-height", reachHeight},
		{"restraint", restraint},
		{"rim-height", rimHeight},
		{"runner-length", runnerLength},
		{"runner-load", runnerLoad},
		{"seat-built-over", seatBuiltOver},
		{"seat-folded", seatFolded},
		{"seat-turn", seatTurn},
		{"service-reach", serviceReach},
		{"shut-in", shutIn},
		{"sleep-exits", sleepExits},
		{"opening-covered", openingCovered},
		{"window-uncovered", windowUncovered},
		{"stands-on-nothing", standsOnNothing},
		{"strut-force", strutForce},
		{"strut-swing", strutSwing},
		{"tight", tight},
		{"tip-unit", tipUnit},
		{"topples", topples},
		{"tip-vehicle", tipVehicle},
		{"ventilation", ventilation},
		{"way-blocked", wayBlocked},
		{"vapour-closed", vapourClosed},
		{"way-in", wayIn},
	}
}

// Check holds a prepared scene against every rule, in every stance: what opens and
// lies elsewhere is looked at by the rules themselves, and a stance in which
// something stands elsewhere inside is held against all of them once more as it
// stands then. What is wrong on the road is not told again for each stance.
func (s *Scene) Check() []fitout.Finding {
	told := map[string]bool{}
	var found []fitout.Finding
	rules, placed := Rules(), 0
	tell := func(on *Scene, stance *fitout.Stance) {
		for _, rule := range rules {
			for _, f := range rule.Check(on) {
				f.Rule = rule.ID
				key := f.Names() + f.Title
				if told[key] {
					continue
				}
				told[key] = true
				if f.Rule != "restraint" && on.rough(&f) {
					f.Severity = fitout.Note
					f.Sentence += " Its place and size are those of the ledger, which may be rough."
				}
				if stance != nil {
					f.Stance = stance.ID
					f.Sentence += " In “" + stance.Name + "”."
				}
				f.Fixes = slices.DeleteFunc(f.Fixes, func(fix fitout.Fix) bool { return !on.soundMove(&f, &fix) })
				if p := on.part(f.Subject.ID); p != nil && len(f.Fixes) == 0 && stance == nil && f.Stance == "" &&
					placed < mostPlaced {
					switch {
					case replaced[f.Rule]:
						f.Fixes = append(on.otherPlace(p), on.smaller(p, &f)...)
						placed++
					case suits[f.Rule] != nil:
						f.Fixes = on.otherSpace(p, f.Rule)
						placed++
					}
				}
				found = append(found, f)
			}
		}
	}
	tell(s, nil)
	for i := range s.Stances {
		if on, moved := s.rearranged(&s.Stances[i]); moved {
			tell(on, &s.Stances[i])
		}
	}
	return found
}

// rough tells whether a finding is about a thing of the ledger, whose box nobody drew: as its subject, or as all the parts
// that it is told with. Where a drawn part is among them, what is told holds of that.
func (s *Scene) rough(f *fitout.Finding) bool {
	ledger, drawn := false, false
	for _, id := range f.With {
		p := s.part(id)
		ledger = ledger || p != nil && p.Ledger
		drawn = drawn || p != nil && !p.Ledger || p == nil && f.Rule == "parts-clash" // what stands in the space was measured
	}
	subject := s.part(f.Subject.ID)
	return subject != nil && subject.Ledger || ledger && !drawn
}

// rearranged is a scene as it stands in a stance, where something is put elsewhere
// inside; what stands outside is left out of it.
func (s *Scene) rearranged(stance *fitout.Stance) (*Scene, bool) {
	on, moved := *s, false
	on.Stances = nil
	on.Parts = nil
	for i := range s.Parts {
		p := s.Parts[i]
		at := slices.IndexFunc(stance.Loose, func(l fitout.LoosePlace) bool { return l.Item == p.ID })
		if at >= 0 && stance.Loose[at].Outside {
			continue
		}
		if at >= 0 {
			moved = true
			from, to := p.Box.Middle(), stance.Loose[at].At
			p = p.movedBy(to.X-from.X, to.Y-from.Y, to.Z-from.Z)
			p.Bay, p.Away = s.bayAt(to), true
		}
		on.Parts = append(on.Parts, p)
	}
	if moved {
		on.Postures = nil
		on.Prepare()
	}
	return &on, moved
}

// movedBy is a part with all that moves of it, shifted.
func (p Part) movedBy(dx, dy, dz float64) Part {
	p.Box = p.Box.Moved(dx, dy, dz)
	p.Leaves = slices.Clone(p.Leaves)
	for i := range p.Leaves {
		for _, b := range []*fitout.Box{&p.Leaves[i].Closed, &p.Leaves[i].Open, &p.Leaves[i].Swept} {
			*b = b.Moved(dx, dy, dz)
		}
	}
	p.Cells = slices.Clone(p.Cells)
	for i := range p.Cells {
		p.Cells[i].Outer, p.Cells[i].Inside = p.Cells[i].Outer.Moved(dx, dy, dz), p.Cells[i].Inside.Moved(dx, dy, dz)
	}
	return p
}

// bayAt is the id of the bay whose room holds a place, or empty for none.
func (s *Scene) bayAt(at fitout.Point) string {
	for i := range s.Bays {
		room := s.Bays[i].Room
		if room.Around(fitout.Box{From: at, To: at}) == room {
			return s.Bays[i].ID
		}
	}
	return ""
}

// each runs a check in every posture and marks what it finds with its stance.
func (s *Scene) each(check func(p *Posture) []fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Postures {
		p := &s.Postures[i]
		for _, f := range check(p) {
			f.Stance = p.Stance.ID
			f.Sentence += p.in()
			found = append(found, f)
		}
	}
	return found
}
