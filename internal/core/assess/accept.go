package assess

import (
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Fallen is something that was let stand and does not hold any more, because it has
// become worse or is about something else.
type Fallen struct {
	Finding string `json:"finding" doc:"key of the finding that asks again"`
	Why     string `json:"why" doc:"the reason that was given"`
	Told    string `json:"told" doc:"why it does not hold any more"`
}

// waivable tells whether the specialist may let a finding stand: what plate and
// papers forbid, and a load over a rating, are not the workshop's to allow.
func waivable(f *fitout.Finding) bool {
	return f.Severity != fitout.Stop || f.Mend == "" && (f.Subject.Kind == "module" || f.Subject.Kind == "bay")
}

// Open counts the stops and cautions that nobody lets stand: what is still to be done.
func (a *Assessment) Open() (stops, cautions int) {
	for i := range a.Findings {
		switch f := &a.Findings[i]; {
		case f.Accepted != "":
		case f.Severity == fitout.Stop:
			stops++
		case f.Severity == fitout.Caution:
			cautions++
		}
	}
	return stops, cautions
}

// accept marks the findings that the specialist lets stand with the reason, and tells
// of those that were let stand as something better than they are now.
func accept(p *plan.Plan, findings []fitout.Finding) []Fallen {
	fallen := []Fallen{}
	for i := range findings {
		f := &findings[i]
		f.Waivable = waivable(f)
		if !f.Waivable {
			continue
		}
		for k := range p.Given.Accepted {
			a := &p.Given.Accepted[k]
			if !a.About(f) {
				continue
			}
			switch a.Stands(f) {
			case fitout.Holds:
				f.Accepted = a.Why
			case fitout.Graver:
				fallen = append(fallen, fell(f, a, fmt.Sprintf("as a %s, and it is a %s now", a.Severity, f.Severity)))
			case fitout.Grown:
				fallen = append(fallen, fell(f, a, fmt.Sprintf("at %s beyond, and it is %s now", amount(p, f.Unit, a.Beyond),
					amount(p, f.Unit, -f.Margin))))
			case fitout.Ambiguous:
				fallen = append(fallen, fell(f, a, "without saying against what"))
			}
		}
	}
	return fallen
}

func fell(f *fitout.Finding, a *fitout.Accepted, how string) Fallen {
	return Fallen{f.Key, a.Why, fmt.Sprintf("%s was let stand %s. Look at it again.", f.Title, how)}
}

// amount puts a figure of a finding into words.
func amount(p *plan.Plan, unit string, value float64) string {
	switch unit {
	case "mm":
		return p.Say.Length(value)
	case "kg":
		return p.Say.Mass(value)
	}
	return strings.TrimSpace(p.Say.Plain(value) + " " + unit)
}
