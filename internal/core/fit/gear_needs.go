package fit

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// mostInNeed is how many steps to what is wanted in an emergency are still borne: a door, and a drawer or a strap.
const mostInNeed = 2

// emergencyBuried cautions of what is wanted in an emergency and takes more steps than anybody has time for.
func emergencyBuried(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for _, g := range s.gets(func(g *fitout.Gear) bool { return g.Used == fitout.UsedEmergency }) {
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
			sentence(g.Steps), mostInNeed)
		f.Value, f.Limit, f.Margin = float64(n), mostInNeed, float64(mostInNeed-n)
		found = append(found, f)
	}
	return found
}

// gearItems calls back for everything of the brief that is aboard, free or in a compartment.
func (s *Scene) gearItems(tell func(g *fitout.Gear, item *fitout.Item, holder *Part)) {
	for i := range s.Parts {
		if g := s.gear(s.Parts[i].ID); g != nil && s.Parts[i].Item != nil {
			tell(g, s.Parts[i].Item, nil)
		}
	}
	for i := range s.Things {
		if g := s.gear(s.Things[i].Item.ID); g != nil {
			tell(g, s.Things[i].Item, s.part(s.Things[i].Part))
		}
	}
}

// uprightSlack is how far a height may differ from the brief's before a thing counts as laid down, mm.
const uprightSlack = 5

// needsUpright cautions of what stands upright only and lies on another side: its height is another of its sides.
func needsUpright(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.gearItems(func(g *fitout.Gear, item *fitout.Item, holder *Part) {
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
			f.Fixes = []fitout.Fix{edit("Stand it up", "stand-up", item.ID, 0)}
		}
		found = append(found, f)
	})
	return found
}

// needsHidden cautions of what is to be out of sight and stands free where one looks in: behind windows, or in the
// open.
func needsHidden(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	s.gearItems(func(g *fitout.Gear, item *fitout.Item, holder *Part) {
		bay := bayOf(s.Bays, item.Bay)
		if !g.Hidden || holder != nil || bay == nil || !bay.Shared && !bay.Open {
			return
		}
		where := "people look in through its windows"
		if bay.Open {
			where = "it stands in the open"
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

// ratingUnsaid notes what is held by mounting points of which nobody stated the rating, where the stated ones do not
// hold it alone.
func ratingUnsaid(s *Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if !s.MustBeHeld(p) {
			continue
		}
		held, unsaid := 0.0, []string{}
		for _, m := range s.Mounts(p) {
			held += m.Rating
			if m.Rating == 0 {
				unsaid = append(unsaid, m.Name)
			}
		}
		need := s.Asks(p)
		if len(unsaid) == 0 || held >= need {
			continue
		}
		f := about("rating-unsaid", fitout.Note, p)
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

// shutIn cautions of what opens in no stance and could not: what stands in its way neither slides nor is lifted away.
func shutIn(s *Scene) []fitout.Finding {
	opened := map[string]bool{}
	for i := range s.Stances {
		for _, o := range s.Stances[i].Open {
			opened[o.Module] = true
		}
	}
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Motion == Still || opened[p.ID] {
			continue
		}
		var carried []int
		for n, leaf := range p.Leaves {
			if n == 0 {
				carried = s.standOn(i)
			}
			k := s.standsBefore(i, leaf, carried)
			if k < 0 {
				continue
			}
			q := &s.Parts[k]
			by := apart(q.Box, leaf.Swept, nil)
			f := about("shut-in", fitout.Caution, p)
			f.With = []string{q.ID}
			f.Title = fmt.Sprintf("%s cannot open for %s", p.Name(), words.Lower(q.Name()))
			f.Sentence = fmt.Sprintf(
				"No stance opens it, and none could: %s stands in its way. Move that %s, or turn one of them.",
				words.Lower(q.Name()),
				s.said(by),
			)
			f.Value, f.Margin = by.mm, -by.mm
			f.Lines = []fitout.Line{line(p.Box.Middle(), q.Box.Cut(leaf.Swept).Middle(), s.Say.Length(by.mm))}
			f.Fixes = s.moves(q, leaf.Swept, nil)
			found = append(found, f)
			break
		}
	}
	return found
}

// standsBefore is the first part in the way of a leaf that stays there whatever one does without tools, or −1.
func (s *Scene) standsBefore(i int, leaf Leaf, carried []int) int {
	o := OpenLeaf{i, leaf, 1}
	for k := range s.Parts {
		q := &s.Parts[k]
		// What is cheap to tell comes first: this is asked of every pair.
		if k == i || q.Motion != Still || least(meets(&o, q.Box)) <= slack ||
			least(leaf.Closed.Overlap(q.Box)) > slack ||
			contains(carried, k) ||
			s.yields(q) {
			continue
		}
		return k
	}
	return -1
}
