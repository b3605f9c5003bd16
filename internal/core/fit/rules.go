// Package fit is what an experienced eye sees in a scene: every rule in one list, held against the scene in each
// stance, and the moves that are offered. The rules are in folders of their own: clearance (what is in whose way),
// strength (what holds and carries), keeping (what things want of their place) and living (beds, hammocks, ways
// out).
package fit

import (
	"slices"

	"zaino/internal/core/fit/clearance"
	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fit/living"
	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
)

// Rule is one thing that an experienced eye would see. Its id is stable: what
// was accepted under it stays accepted.
type Rule struct {
	ID    string
	Check func(s *scene.Scene) []fitout.Finding
}

// Rules are all rules by their id. A new rule is a file, a line here and its case in
// the tests.
func Rules() []Rule {
	return []Rule{
		{"bad-neighbours", keeping.BadNeighbours},
		{"bed-headroom", living.BedHeadroom},
		{"bed-narrow", living.BedNarrow},
		{"bed-short", living.BedShort},
		{"bed-uneven", living.BedUneven},
		{"buried", keeping.Buried},
		{"cable-follows", keeping.CableFollows},
		{"dirty-beside-food", keeping.DirtyBesideFood},
		{"door-load", strength.DoorLoad},
		{"emergency-buried", keeping.EmergencyBuried},
		{"faces-wall", clearance.FacesWall},
		{"fridge-lid", clearance.FridgeLid},
		{"fuel-inside", keeping.FuelInside},
		{"hammock-meets", living.HammockMeets},
		{"hammock-pull", living.HammockPulls},
		{"hammock-short", living.HammockShort},
		{"hatch-lean", clearance.HatchLean},
		{"heavy-high", strength.HeavyHigh},
		{"heavy-tail", strength.HeavyTail},
		{"hides", clearance.Hides},
		{"latch-missing", strength.LatchMissing},
		{"latch-weak", strength.LatchWeak},
		{"lid-blocked", clearance.LidBlocked},
		{"lift-out", clearance.LiftOut},
		{"lip", clearance.Lip},
		{"live-load", strength.LiveLoad},
		{"locked-in", clearance.LockedIn},
		{"marks-unsaid", clearance.MarksUnsaid},
		{"mount-far", strength.MountFar},
		{"mount-over", strength.MountOver},
		{"needs-away", keeping.NeedsAway},
		{"needs-cool", keeping.NeedsCool},
		{"needs-dry", keeping.NeedsDry},
		{"needs-hidden", keeping.NeedsHidden},
		{"needs-lock", keeping.NeedsLock},
		{"needs-upright", keeping.NeedsUpright},
		{"no-barrier", living.NoBarrier},
		{"open-together", clearance.OpenTogether},
		{"opening-frame", clearance.OpeningFrame},
		{"outside-bay", clearance.OutsideBay},
		{"not-placed", notPlaced},
		{"panel-sag", strength.PanelSag},
		{"part-in-way", clearance.PartInWay},
		{"parts-clash", clearance.PartsClash},
		{"rating-unsaid", keeping.RatingUnsaid},
		{"reach-depth", keeping.ReachDepth},
		{"reach-height", keeping.ReachHeight},
		{"restraint", strength.Restraint},
		{"rim-height", keeping.RimHeight},
		{"runner-length", strength.RunnerLength},
		{"runner-load", strength.RunnerLoad},
		{"seat-built-over", clearance.SeatBuiltOver},
		{"seat-folded", clearance.SeatFolded},
		{"seat-turn", clearance.SeatTurn},
		{"service-reach", clearance.ServiceReach},
		{"shut-in", keeping.ShutIn},
		{"sleep-exits", living.SleepExits},
		{"opening-covered", living.OpeningCovered},
		{"window-uncovered", living.WindowUncovered},
		{"stands-on-nothing", clearance.StandsOnNothing},
		{"strut-force", strength.StrutForce},
		{"strut-swing", strength.StrutSwing},
		{"tight", clearance.Tight},
		{"tip-unit", strength.TipUnit},
		{"topples", clearance.Topples},
		{"tip-vehicle", strength.TipVehicle},
		{"ventilation", keeping.Ventilation},
		{"way-blocked", clearance.WayBlocked},
		{"vapour-closed", keeping.VapourClosed},
		{"way-in", clearance.WayIn},
	}
}

// Check holds a prepared scene against every rule, in every stance: what opens and
// lies elsewhere is looked at by the rules themselves, and a stance in which
// something stands elsewhere inside is held against all of them once more as it
// stands then. What is wrong on the road is not told again for each stance.
func Check(s *scene.Scene) []fitout.Finding {
	told := map[string]bool{}
	var found []fitout.Finding
	rules, placed := Rules(), 0
	tell := func(on *scene.Scene, stance *fitout.Stance) {
		for _, rule := range rules {
			for _, f := range rule.Check(on) {
				f.Rule = rule.ID
				key := f.Names() + f.Title
				if told[key] {
					continue
				}
				told[key] = true
				if f.Rule != "restraint" && rough(on, &f) {
					f.Severity = fitout.Note
					f.Sentence += " Its place and size are those of the ledger, which may be rough."
				}
				if stance != nil {
					f.Stance = stance.ID
					f.Sentence += " In “" + stance.Name + "”."
				}
				f.Fixes = slices.DeleteFunc(f.Fixes, func(fix fitout.Fix) bool { return !on.SoundMove(&f, &fix) })
				if p := on.Part(f.Subject.ID); p != nil && len(f.Fixes) == 0 && stance == nil && f.Stance == "" &&
					placed < mostPlaced {
					switch {
					case replaced[f.Rule]:
						f.Fixes = append(otherPlace(on, p), smaller(on, p, &f)...)
						placed++
					case suits[f.Rule] != nil:
						f.Fixes = otherSpace(on, p, f.Rule)
						placed++
					}
				}
				found = append(found, f)
			}
		}
	}
	tell(s, nil)
	for i := range s.Stances {
		if on, moved := s.Rearranged(&s.Stances[i]); moved {
			tell(on, &s.Stances[i])
		}
	}
	return found
}

// rough tells whether a finding is about a thing of the ledger, whose box nobody drew: as its subject, or as all the
// parts that it is told with. Where a drawn part is among them, what is told holds of that.
func rough(s *scene.Scene, f *fitout.Finding) bool {
	ledger, drawn := false, false
	for _, id := range f.With {
		p := s.Part(id)
		ledger = ledger || p != nil && p.Ledger
		drawn = drawn || p != nil && !p.Ledger || p == nil && f.Rule == "parts-clash" // what stands in the space was measured
	}
	subject := s.Part(f.Subject.ID)
	return subject != nil && subject.Ledger || ledger && !drawn
}
