package build

import (
	"zaino/internal/core/cost"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// BuildFigures are what is said of the build with every assessment; its sheets are laid out when they are asked for.
// They are estimates.
type BuildFigures struct {
	Panels int     `json:"panels"`
	Area   float64 `json:"area" doc:"of the panels cut here, m²"`
	Sheets int     `json:"sheets" doc:"at least"`
	Hours  float64 `json:"hours"`
	Total  int     `json:"total" doc:"at least, with tax, in cents; 0: nothing is priced"`
	Done   int     `json:"done" doc:"steps that are ticked"`
	Steps  int     `json:"steps"`
}

// Engine gathers what a build takes, and finds what of it cannot be made.
func Engine() plan.Engine[BuildFigures] {
	all := []func(*Look) []fitout.Finding{
		panelTooLarge, sheetUseless, sheetMissing, stockShort, holeNearEdge, holeInJoint, holeNowhere, screwInHole, deviceDeep, runnerNone, runnerTravel, drawerWide,
		drawerThin, screwFoam, nutsFirst, nutBehind, hingeNoBlock, metalsTouch, stainlessSalt, bodyUnsealed, scribedBlind, licensed,
		proofMissing, orderRing, tooFew, overBudget, priceMissing, deliveredLate, decisionOpen,
	}
	rules := make([]plan.Rule, len(all))
	for i, rule := range all {
		rules[i] = func(p *plan.Plan) []fitout.Finding { return rule(LookAt(p)) }
	}
	return plan.Engine[BuildFigures]{
		Figures: func(p *plan.Plan) BuildFigures { return figuresOf(LookAt(p)) },
		Rules:   rules,
	}
}

// InAll is what the build of a plan takes in all.
func InAll(p *plan.Plan) BuildFigures { return figuresOf(LookAt(p)) }

func figuresOf(l *Look) BuildFigures {
	f := BuildFigures{Panels: len(l.List.Panels)}
	for k := range l.Groups {
		f.Area += l.Groups[k].Area
	}
	f.Sheets = l.leastSheets()
	w := l.gathered()
	f.Hours, f.Steps = roundHours(w.Hours), len(w.steps)
	for i := range l.Variant.Done {
		if _, known := w.byID[l.Variant.Done[i].Step]; known && l.Variant.Done[i].Done {
			f.Done++
		}
	}
	lines := l.lines()
	f.Total = cost.QuoteOf(&lines, &l.Job.Build.Money).Total
	return f
}
