package season

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// say puts an assumption and what became of it into words.
func (a *Assumed) say(p *plan.Plan) {
	figure := func(x float64) string { return figureIn(p, x, a.Unit) }
	switch {
	case a.Readings == 0:
		a.Sentence = fmt.Sprintf("Nothing noted yet; %s is what was assumed.", figure(a.Planned))
	case a.Denied:
		a.Sentence = fmt.Sprintf(
			"%s instead of %s: %s σ off what was assumed. Go by what was read.",
			figure(a.Found),
			figure(a.Planned),
			p.Say.Plain(math.Round(10*math.Abs(a.Sigmas))/10),
		)
	default:
		a.Sentence = fmt.Sprintf(
			"%s ± %s, where %s was assumed.",
			figure(a.Found),
			figure(a.Sigma),
			figure(a.Planned),
		)
	}
}

// figureIn is a figure of an assumption in the units of the job.
func figureIn(p *plan.Plan, x float64, unit string) string {
	switch unit {
	case "L/100 km":
		if p.Job.Units == fitout.US {
			return fmt.Sprintf("%.1f gal/100 mi", x/3.785411784*1.609344)
		}
		return fmt.Sprintf("%.1f L/100 km", x)
	case "L a day":
		return p.Say.Volume(math.Round(10*x)/10) + " a day"
	}
	return p.Say.Energy(math.Round(x)) + " a day"
}

// find tells what the seasons say that somebody has to do.
func (s *season) find() {
	v, p := s.view, s.p
	add := func(f fitout.Finding) {
		f.Subject.Kind = "season"
		f.Source = "practice"
		v.Findings = append(v.Findings, f)
	}
	for i := range v.Assumed {
		a := &v.Assumed[i]
		if !a.Denied {
			continue
		}
		next := "the next version goes by the one that was read"
		if strings.HasPrefix(a.ID, "power/") {
			next = "the next version asks which loads it was"
		}
		add(fitout.Finding{Rule: "assumption-denied", Severity: fitout.Caution, Subject: fitout.Subject{ID: a.ID},
			Title: a.Name + " is not as assumed",
			Sentence: fmt.Sprintf("%s: %d readings say %s, where %s was assumed. It is planned with the wrong figure; %s.",
				a.Name, a.Readings, figureIn(p, a.Found, a.Unit), figureIn(p, a.Planned, a.Unit), next),
			Value: math.Abs(a.Sigmas), Limit: contradicts, Margin: contradicts - math.Abs(a.Sigmas)})
	}
	for _, d := range v.Dues {
		switch d.State {
		case "overdue":
			add(
				fitout.Finding{
					Rule:     "due-over",
					Severity: fitout.Caution,
					Subject:  fitout.Subject{ID: d.ID},
					Title:    d.What + " is overdue",
					Sentence: fmt.Sprintf("%s was due (%s). Do it, and note it in the log.", d.What, d.Why),
				},
			)
		case "soon":
			add(
				fitout.Finding{
					Rule:     "due-soon",
					Severity: fitout.Note,
					Subject:  fitout.Subject{ID: d.ID},
					Title:    d.What + " is due soon",
					Sentence: fmt.Sprintf("%s is due (%s).", d.What, d.Why),
				},
			)
		}
	}
	broken := map[string]int{}
	for _, c := range v.Complaints {
		if c.Kind == Broke || c.Kind == Leaked {
			broken[c.Name+c.ID]++
		}
	}
	for _, c := range v.Complaints {
		if broken[c.Name+c.ID] >= 2 && c.Name != "" {
			add(
				fitout.Finding{
					Rule:     "broke-again",
					Severity: fitout.Caution,
					Subject:  fitout.Subject{ID: c.ID},
					Title:    c.Name + " broke more than once",
					Sentence: fmt.Sprintf(
						"%s broke or leaked %d times. Mend its cause, not it; build the next one otherwise.",
						c.Name,
						broken[c.Name+c.ID],
					),
				},
			)
			broken[c.Name+c.ID] = 0
		}
	}
}

// next says what the next version begins with.
func (s *season) next() {
	v, p := s.view, s.p
	for i := range v.Assumed {
		if a := &v.Assumed[i]; a.Readings > 0 && a.takes() {
			v.Next = append(
				v.Next,
				fmt.Sprintf(
					"%s: %s instead of %s.",
					a.Name,
					figureIn(p, a.Found, a.Unit),
					figureIn(p, a.Planned, a.Unit),
				),
			)
		}
	}
	for i := range v.Unused {
		u := &v.Unused[i]
		switch {
		case u.Part:
			v.Next = append(v.Next, fmt.Sprintf("%s: nobody opened it; asked again whether it is built.", u.Name))
		case u.ID != "":
			v.Next = append(
				v.Next,
				fmt.Sprintf("%s stays at home (%s never used).", u.Name, p.Say.Mass(math.Round(10*u.Kg)/10)),
			)
		}
	}
	for _, c := range v.Complaints {
		if name := c.Name; name != "" || c.Text != "" {
			if name == "" {
				name = c.Text
			}
			v.Next = append(v.Next, fmt.Sprintf("%s: %s on %s, asked how it is built.", name, happened[c.Kind], c.On))
		}
	}
}

// happened is what became of a thing, in a sentence.
var happened = map[Kind]string{
	Broke:   "broke",
	Rattled: "rattled",
	Leaked:  "leaked",
	Missed:  "was missing",
	Moved:   "was moved",
}

// takes tells whether the next version takes what was found: it differs by more than a fiftieth.
func (a *Assumed) takes() bool { return math.Abs(a.Found-a.Planned) > 0.02*a.Planned }

// noteOf is what is written to an item whose use told something.
func noteOf(u *Idle, c *Complaint) string {
	if u != nil {
		return "Nobody used it in the seasons before."
	}
	text := words.Capital(happened[c.Kind]) + " on " + c.On
	if c.Text != "" {
		text += ": " + c.Text
	}
	return text + "."
}
