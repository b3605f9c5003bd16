package fit

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// What the brief says that a thing needs, and which place gives it.
var (
	// needsDry cautions of what the brief wants dry and that lies in a space that is not sealed.
	needsDry = needs("dry", "needs a dry place", "is not sealed", "Seal that space, or put it into a sealed box.",
		func(g *fitout.Gear) bool { return g.Dry }, dry)
	// needsLock cautions of what is to be locked away and lies where no lock is.
	needsLock = needs("locked", "needs a lock", "cannot be locked", "Fit a lock there, or put it elsewhere.",
		func(g *fitout.Gear) bool { return g.Locked }, locked)
	// needsAway cautions of what belongs away from people and lies where they travel or sleep.
	needsAway = needs("away", "belongs away from people", "is where people travel or sleep", "Put it into another space.",
		func(g *fitout.Gear) bool { return g.Away }, awayFromPeople)
	// needsCool cautions of what needs cooling and lies in nothing that cools.
	needsCool = needs("cool", "needs cooling", "does not cool it", "Put it into a fridge.",
		func(g *fitout.Gear) bool {
			return g.Cool
		}, func(_ *Bay, holder *Part) bool { return holder != nil && holder.Traits().Cools })
)

func dry(b *Bay, _ *Part) bool { return b.Sealed || b.Shared }

func locked(b *Bay, holder *Part) bool { return b.Lockable || holder.keyed() }

func awayFromPeople(b *Bay, _ *Part) bool { return !b.Shared }

// needs makes the rule for one need of the brief's gear, held against the bay and
// the module that it lies in.
func needs(id, what, but, fix string, wants func(*fitout.Gear) bool,
	has func(*Bay, *Part) bool) func(s *Scene) []fitout.Finding {
	return func(s *Scene) []fitout.Finding {
		var found []fitout.Finding
		hold := func(itemID, name, bayID string, holder *Part) {
			g, bay := s.gear(itemID), bayOf(s.Bays, bayID)
			if g == nil || !wants(g) || bay == nil || has(bay, holder) {
				return
			}
			where := bay.Name
			if id == "cool" && holder != nil {
				where = holder.Name()
			}
			f := fitout.Finding{
				Severity: fitout.Caution, Subject: fitout.Subject{Kind: "module", ID: itemID}, Source: "practice", Margin: -1,
				Title:    fmt.Sprintf("%s %s", name, what),
				Sentence: fmt.Sprintf("The brief says that it %s; %s %s. %s", what, words.Lower(where), but, fix),
			}
			if id == "locked" && holder.lockable() {
				f.Fixes = []fitout.Fix{edit("Fit a lock to "+words.Lower(holder.Name()), "keyed", holder.ID, 0)}
			}
			found = append(found, f)
		}
		for i := range s.Parts {
			p := &s.Parts[i]
			hold(p.ID, p.Name(), p.Bay, p)
		}
		for i := range s.Things {
			t := &s.Things[i]
			if p := s.part(t.Part); p != nil {
				hold(t.Item.ID, t.Item.Name, p.Bay, p)
			}
		}
		return found
	}
}

// keyed tells whether a part has a lock of its own and is held: what stands free is carried off locked.
func (p *Part) keyed() bool { return p != nil && p.Module().Keyed && len(p.Module().Fixings) > 0 }

// lockable tells whether a lock on a part would keep what lies in it.
func (p *Part) lockable() bool {
	return p != nil && !p.Module().Keyed && len(p.Module().Fixings) > 0 && p.Motion != Still
}
