package answer

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// caseGone notes a case that says something of what is not there any more, so that it is counted as if it had not said it:
// a kit that was taken out, a tank that is another one now, somebody who stays at home for good. What is off, empty or not
// aboard in it changes nothing.
func caseGone(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for k := range p.Variant.Cases {
		c := &p.Variant.Cases[k]
		if gone := missing(p, c); len(gone) > 0 {
			found = append(found, fitout.Finding{
				Rule: "case-gone", Severity: fitout.Note, Subject: fitout.Subject{Kind: "gross"}, With: []string{c.ID},
				Source: "brief", Margin: -1, Title: "“" + c.Name + "” speaks of what is gone",
				Sentence: fmt.Sprintf(
					"It sets %s, which is not there any more: its loads are counted without that. Say in the case "+
						"what takes its place.",
					words.List(gone),
				),
			})
		}
	}
	return found
}

// missing are what a case puts aboard and nothing answers to, in words.
func missing(p *plan.Plan, c *fitout.Case) []string {
	var gone []string
	v := p.Variant
	for _, s := range c.Switches {
		if s.On && !slices.ContainsFunc(v.Switches, func(x fitout.Switch) bool { return x.ID == s.Switch }) {
			gone = append(gone, "the kit “"+s.Switch+"”")
		}
	}
	for _, set := range c.Choices {
		i := slices.IndexFunc(v.Choices, func(x fitout.Choice) bool { return x.ID == set.Choice })
		if set.Member != "" && (i < 0 ||
			!slices.ContainsFunc(v.Choices[i].Members, func(m fitout.Member) bool { return m.ID == set.Member })) {
			gone = append(gone, "“"+set.Member+"” of the choice “"+set.Choice+"”")
		}
	}
	for _, l := range c.Levels {
		k := p.Index(l.Of)
		level := k >= 0 && p.Items[k].Presence.Level != nil
		if l.Litres > 0 && !level &&
			!slices.ContainsFunc(p.Vehicle.Tanks, func(t fitout.Tank) bool { return t.ID == l.Of }) {
			gone = append(gone, p.Say.Volume(l.Litres)+" in “"+l.Of+"”")
		}
	}
	for _, rider := range c.People {
		if rider.Aboard && p.Index(rider.Item) < 0 {
			gone = append(gone, "“"+rider.Item+"” aboard")
		}
	}
	return gone
}
