package keeping

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fit/clearance"
	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// mostInNeed is how many steps to what is wanted in an emergency are still borne: a door, and a drawer or a strap.
const mostInNeed = 2

// EmergencyBuried cautions of what is wanted in an emergency and takes more steps than anybody has time for.
func EmergencyBuried(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for _, g := range s.GetsOf(func(g *fitout.Gear) bool { return g.Used == fitout.UsedEmergency }) {
		n := len(g.Steps)
		if n <= mostInNeed {
			continue
		}
		f := fitout.Finding{
			Severity: fitout.Caution,
			Subject:  fitout.Subject{Kind: "module", ID: g.ID},
			Source:   "practice",
		}
		f.Title = fmt.Sprintf("%s is %d steps away in an emergency", g.Name, n)
		f.Sentence = fmt.Sprintf("To get at it: %s. In an emergency up to %d are borne; put it nearer, by a door.",
			scene.Sentence(g.Steps), mostInNeed)
		f.Value, f.Limit, f.Margin = float64(n), mostInNeed, float64(mostInNeed-n)
		found = append(found, f)
	}
	return found
}

// gearItems calls back for everything of the brief that is aboard, free or in a compartment.
func gearItems(s *scene.Scene, tell func(g *fitout.Gear, item *fitout.Item, holder *scene.Part)) {
	for i := range s.Parts {
		if g := s.Gear(s.Parts[i].ID); g != nil && s.Parts[i].Item != nil {
			tell(g, s.Parts[i].Item, nil)
		}
	}
	for i := range s.Things {
		if g := s.Gear(s.Things[i].Item.ID); g != nil {
			tell(g, s.Things[i].Item, s.Part(s.Things[i].Part))
		}
	}
}

// uprightSlack is how far a height may differ from the brief's before a thing counts as laid down, mm.
const uprightSlack = 5

// NeedsUpright cautions of what stands upright only and lies on another side: its height is another of its sides.
func NeedsUpright(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	gearItems(s, func(g *fitout.Gear, item *fitout.Item, holder *scene.Part) {
		up := g.Size.Height
		is := func(mm float64) bool { return math.Abs(item.Size.Height-mm) <= uprightSlack }
		if !g.Upright || up == 0 || is(up) || !is(g.Size.Length) && !is(g.Size.Width) {
			return
		}
		f := fitout.Finding{
			Severity: fitout.Caution,
			Subject:  fitout.Subject{Kind: "module", ID: item.ID},
			Source:   "brief",
			Unit:     "mm",
		}
		f.Title = item.Name + " lies, and stands upright only"
		f.Sentence = fmt.Sprintf(
			"The brief says that %s stands upright only, %s high; here it is %s high: it lies on its side. Stand it "+
				"up, or find a higher place.",
			words.Lower(item.Name),
			s.Say.Length(up),
			s.Say.Length(item.Size.Height),
		)
		f.Value, f.Limit, f.Margin = item.Size.Height, up, item.Size.Height-up
		stood := func(b fitout.Box) fitout.Box { // on the same foot
			at := b.Middle()
			return fitout.Box{
				From: fitout.Point{X: at.X - g.Size.Length/2, Y: at.Y - g.Size.Width/2, Z: b.From.Z},
				To:   fitout.Point{X: at.X + g.Size.Length/2, Y: at.Y + g.Size.Width/2, Z: b.From.Z + up},
			}
		}
		if holder == nil && min(g.Size.Length, g.Size.Width) > 0 && s.StandsAs(item.ID, stood) {
			f.Fixes = []fitout.Fix{scene.Edit("Stand it up", "stand-up", item.ID, 0)}
		}
		found = append(found, f)
	})
	return found
}

// NeedsHidden cautions of what is to be out of sight and stands free where one looks in: behind windows of which not
// every one that was measured is said to have a cover, or in the open.
func NeedsHidden(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	gearItems(s, func(g *fitout.Gear, item *fitout.Item, holder *scene.Part) {
		bay := scene.BayOf(s.Bays, item.Bay)
		if !g.Hidden || holder != nil || bay == nil || !bay.Shared && !bay.Open {
			return
		}
		measured, bare := windows(bay)
		if measured && len(bare) == 0 && !bay.Open {
			return
		}
		where := "people look in through its windows"
		switch {
		case bay.Open:
			where = "it stands in the open"
		case measured:
			where = fmt.Sprintf("nothing is said to cover %s, through which people look in", words.List(bare))
		}
		f := fitout.Finding{
			Severity: fitout.Caution,
			Subject:  fitout.Subject{Kind: "module", ID: item.ID},
			Source:   "brief",
			Margin:   -1,
		}
		f.Title = item.Name + " is in sight"
		f.Sentence = fmt.Sprintf(
			"The brief wants it out of sight; %s: %s. Put it into a drawer or a box, or cover it.",
			words.Lower(bay.Name),
			where,
		)
		found = append(found, f)
	})
	return found
}

// windows tells whether windows of a bay were measured, and which of them nothing is said to cover.
func windows(b *scene.Bay) (measured bool, bare []string) {
	for i := range b.More {
		switch o := b.More[i].Said; o.Use {
		case fitout.ForAir, fitout.ForSight:
			measured = true
			if o.Cover != fitout.IsSo {
				bare = append(bare, words.Lower(o.Name))
			}
		}
	}
	return measured, bare
}

// RatingUnsaid notes what is held by mounting points of which nobody stated the rating, where the stated ones do not
// hold it alone.
func RatingUnsaid(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if !strength.MustBeHeld(s, p) {
			continue
		}
		held, unsaid := 0.0, []string{}
		for _, m := range strength.Mounts(s, p) {
			held += m.Rating
			if m.Rating == 0 {
				unsaid = append(unsaid, m.Name)
			}
		}
		need := strength.Asks(s, p)
		if len(unsaid) == 0 || held >= need {
			continue
		}
		f := scene.About("rating-unsaid", fitout.Note, p)
		f.Title = fmt.Sprintf("Nobody stated what holds %s", words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf(
			"It asks for %s of holding force; of %s no rating is stated, so that nobody knows whether it is held. "+
				"Enter the rating, or add fixings that hold %s.",
			s.Say.Mass(need),
			words.List(unsaid),
			s.Say.MassAtLeast(need-held),
		)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = need, held, held-need, "kg", "practice"
		found = append(found, f)
	}
	return found
}

// ShutIn cautions of what opens in no stance and could not: what stands in its way neither slides nor is lifted away.
func ShutIn(s *scene.Scene) []fitout.Finding {
	opened := map[string]bool{}
	for i := range s.Stances {
		for _, o := range s.Stances[i].Open {
			opened[o.Module] = true
		}
	}
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Motion == scene.Still || opened[p.ID] {
			continue
		}
		var carried []int
		for n, leaf := range p.Leaves {
			if n == 0 {
				carried = s.StandOn(i)
			}
			k := standsBefore(s, i, leaf, carried)
			if k < 0 {
				continue
			}
			q := &s.Parts[k]
			by := scene.Apart(q.Box, leaf.Swept, nil)
			f := scene.About("shut-in", fitout.Caution, p)
			f.With = []string{q.ID}
			f.Title = fmt.Sprintf("%s cannot open for %s", p.Name(), words.Lower(q.Name()))
			f.Sentence = fmt.Sprintf(
				"No stance opens it, and none could: %s stands in its way. %s",
				words.Lower(q.Name()),
				s.Clearing("that", q, nil, scene.Steps(q.Box, leaf.Swept), "turn one of them"),
			)
			f.Value, f.Margin = by.MM, -by.MM
			f.Lines = []fitout.Line{scene.Line(p.Box.Middle(), q.Box.Cut(leaf.Swept).Middle(), s.Say.Length(by.MM))}
			f.Fixes = s.Moves(q, leaf.Swept, nil)
			found = append(found, f)
			break
		}
	}
	return found
}

// standsBefore is the first part in the way of a leaf that stays there whatever one does without tools, or −1.
func standsBefore(s *scene.Scene, i int, leaf scene.Leaf, carried []int) int {
	o := scene.OpenLeaf{Part: i, Leaf: leaf, Share: 1}
	for k := range s.Parts {
		q := &s.Parts[k]
		// What is cheap to tell comes first: this is asked of every pair.
		if k == i || q.Motion != scene.Still || scene.Least(scene.Meets(&o, q.Box)) <= scene.Slack ||
			scene.Least(leaf.Closed.Overlap(q.Box)) > scene.Slack ||
			slices.Contains(carried, k) ||
			clearance.Yields(s, q) {
			continue
		}
		return k
	}
	return -1
}
