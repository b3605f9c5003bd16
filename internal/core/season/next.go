package season

import (
	"math"
	"slices"
	"strings"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Next is a job with a further variant that begins with what the seasons showed: the brief's figures as they were read,
// without the gear that nobody used, with a note and an open question at every part that was not opened, broke,
// rattled, leaked or was moved. The brief is the customer's and holds for all variants; those before stay as they are.
func Next(j *fitout.Job, log []Entry, name, today string) (fitout.Job, error) {
	p := plan.Of(j)
	v := Learn(p, log, today)
	next, err := edit.Branch(j, j.Chosen, name)
	if err != nil {
		return *j, err
	}
	next.Brief.Surfaces = slices.Clone(next.Brief.Surfaces)
	next.Brief.Travellers = slices.Clone(next.Brief.Travellers)
	for i := range v.Assumed {
		take(&next, &v.Assumed[i])
	}
	variant := next.ChosenVariant()
	variant.Why = clip("Begins with what the seasons showed: "+strings.Join(v.Next, " "), 1000)
	variant.Done, variant.Tests = []fitout.StepDone{}, []fitout.TestDone{}
	gone := map[string]bool{}
	for i := range v.Unused {
		if u := &v.Unused[i]; u.ID != "" && !u.Part {
			gone[u.ID] = true
		}
	}
	variant.Items = slices.DeleteFunc(
		slices.Clone(variant.Items),
		func(item fitout.Item) bool { return gone[item.ID] },
	)
	next.Build.Decisions = slices.Clone(next.Build.Decisions)
	ask := func(of, question, note string) {
		for i := range variant.Items {
			if item := &variant.Items[i]; item.ID == of {
				item.Note = clip(strings.TrimSpace(item.Note+"\n"+note), 4000)
			}
		}
		d := fitout.Decision{ID: clip("season-"+of, 64), Question: clip(question, 400)}
		if slices.ContainsFunc(next.Build.Decisions, func(o fitout.Decision) bool { return o.ID == d.ID }) ||
			len(next.Build.Decisions) >= 100 {
			return
		}
		next.Build.Decisions = append(next.Build.Decisions, d)
	}
	for i := range v.Assumed {
		if a := &v.Assumed[i]; strings.HasPrefix(a.ID, "power/") && a.Readings > 0 && a.takes() {
			ask("power", a.Name+" was "+figureIn(p, a.Found, a.Unit)+": which loads were planned wrongly?", "")
		}
	}
	for i := range v.Unused {
		if u := &v.Unused[i]; u.Part {
			ask(u.ID, "Nobody opened "+u.Name+": build it again, smaller, or not at all?", noteOf(u, nil))
		}
	}
	for i := range v.Complaints {
		if c := &v.Complaints[i]; c.ID != "" && p.Index(c.ID) >= 0 {
			ask(c.ID, c.Name+" "+happened[c.Kind]+": how is it built otherwise?", noteOf(nil, c))
		}
	}
	return next, fitout.Validate(&next)
}

// take puts what was found in the place of what was assumed.
func take(j *fitout.Job, a *Assumed) {
	if a.Readings == 0 || !a.takes() {
		return
	}
	b := &j.Brief
	share := a.Found / a.Planned
	rounded := func(x float64) float64 { return math.Round(x*1000) / 1000 }
	switch {
	case strings.HasPrefix(a.ID, "fuel/"):
		for i := range b.Surfaces {
			if s := &b.Surfaces[i]; s.ID == a.ID[len("fuel/"):] {
				s.Factor = max(0.5, min(5, rounded(s.Factor*share)))
			}
		}
	case a.ID == "water":
		b.Assumptions.WaterDrink = min(50, rounded(b.Assumptions.WaterDrink*share))
		b.Assumptions.WaterBowl = min(100, rounded(b.Assumptions.WaterBowl*share))
		b.Assumptions.WaterShower = min(200, rounded(b.Assumptions.WaterShower*share))
		for i := range b.Travellers {
			if t := &b.Travellers[i]; t.Kind == fitout.TravellerPerson {
				t.Water = min(100, rounded(t.Water*share))
			}
		}
	}
}

// clip leaves of a text so many letters.
func clip(text string, most int) string {
	if letters := []rune(text); len(letters) > most {
		return string(letters[:most])
	}
	return text
}
