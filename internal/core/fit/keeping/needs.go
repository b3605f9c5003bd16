// Package keeping is the rules of fit about what things want of their place: to be dry, cool, locked, upright, away
// from what harms them, and within reach of those who use them.
package keeping

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// What the brief says that a thing needs, and which place gives it.
var (
	// NeedsDry cautions of what the brief wants dry and that lies in a space that is not sealed.
	NeedsDry = needs("dry", "needs a dry place", "is not sealed", "Seal that space, or put it into a sealed box.",
		func(g *fitout.Gear) bool { return g.Dry }, Dry)
	// NeedsLock cautions of what is to be locked away and lies where no lock is.
	NeedsLock = needs("locked", "needs a lock", "cannot be locked", "Fit a lock there, or put it elsewhere.",
		func(g *fitout.Gear) bool { return g.Locked }, Locked)
	// NeedsAway cautions of what belongs away from people and lies where they travel or sleep.
	NeedsAway = needs("away", "belongs away from people", "is where people travel or sleep", "Put it into another space.",
		func(g *fitout.Gear) bool { return g.Away }, AwayFromPeople)
	// NeedsCool cautions of what needs cooling and lies in nothing that cools.
	NeedsCool = needs("cool", "needs cooling", "does not cool it", "Put it into a fridge.",
		func(g *fitout.Gear) bool {
			return g.Cool
		}, func(_ *scene.Bay, holder *scene.Part) bool { return holder != nil && holder.Traits().Cools })
)

// Dry tells whether nothing gets wet or dusty in a bay.
func Dry(b *scene.Bay, _ *scene.Part) bool { return b.Sealed || b.Shared }

// Locked tells whether what lies in a bay, or in what holds it there, is under lock and key.
func Locked(b *scene.Bay, holder *scene.Part) bool { return b.Lockable || keyed(holder) }

// AwayFromPeople tells whether nobody shares the air of a bay.
func AwayFromPeople(b *scene.Bay, _ *scene.Part) bool { return !b.Shared }

// needs makes the rule for one need of the brief's gear, held against the bay and
// the module that it lies in.
func needs(id, what, but, fix string, wants func(*fitout.Gear) bool,
	has func(*scene.Bay, *scene.Part) bool) func(s *scene.Scene) []fitout.Finding {
	return func(s *scene.Scene) []fitout.Finding {
		var found []fitout.Finding
		hold := func(itemID, name, bayID string, holder *scene.Part) {
			g, bay := s.Gear(itemID), scene.BayOf(s.Bays, bayID)
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
			if id == "locked" && lockable(holder) {
				f.Fixes = []fitout.Fix{scene.Edit("Fit a lock to "+words.Lower(holder.Name()), "keyed", holder.ID, 0)}
			}
			found = append(found, f)
		}
		for i := range s.Parts {
			p := &s.Parts[i]
			hold(p.ID, p.Name(), p.Bay, p)
		}
		for i := range s.Things {
			t := &s.Things[i]
			if p := s.Part(t.Part); p != nil {
				hold(t.Item.ID, t.Item.Name, p.Bay, p)
			}
		}
		return found
	}
}

// keyed tells whether a part has a lock of its own and is held: what stands free is carried off locked.
func keyed(p *scene.Part) bool { return p != nil && p.Module().Keyed && len(p.Module().Fixings) > 0 }

// lockable tells whether a lock on a part would keep what lies in it.
func lockable(p *scene.Part) bool {
	return p != nil && !p.Module().Keyed && len(p.Module().Fixings) > 0 && p.Motion != scene.Still
}
