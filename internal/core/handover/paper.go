package handover

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Wanted is a paper that the plan asks for.
type Wanted struct {
	Kind fitout.PaperKind `json:"kind" enum:"engineering,gas,low-voltage,mains,seats,weighbridge,tyres,manual,receipt,other"`
	Why  string           `json:"why" doc:"what asks for it"`
	Have bool             `json:"have" doc:"it is among the papers, with its number or file"`
}

// Papers are what a plan asks for, each with what asks. Local rules may ask for more; the licensed person says.
func Papers(p *plan.Plan) []Wanted {
	all := []Wanted{}
	ask := func(kind fitout.PaperKind, why string) {
		for i := range all {
			if all[i].Kind == kind {
				return
			}
		}
		all = append(all, Wanted{Kind: kind, Why: why, Have: has(p.Job, kind)})
	}
	f, e := &p.Variant.Plumbing, &p.Variant.Electrics
	for i := range f.Vessels {
		if f.Vessels[i].Holds == fitout.HoldsGas {
			ask(fitout.PaperGas, "gas is fixed aboard")
		}
	}
	for i := range e.Inverters {
		ask(fitout.PaperMains, words.Lower(e.Inverters[i].Name)+" makes mains voltage")
	}
	for i := range e.Sources {
		if e.Sources[i].Kind == fitout.Mains {
			ask(fitout.PaperMains, "mains is plugged in")
		}
	}
	for i := range p.Job.Vehicle.Modifications {
		if m := &p.Job.Vehicle.Modifications[i]; m.Counted && m.Certificate != fitout.NotNeeded {
			ask(fitout.PaperEngineering, words.Lower(m.Name)+" moves a limit or the vehicle itself")
		}
	}
	if p.Job.Vehicle.Extension != nil {
		ask(fitout.PaperEngineering, "the wheelbase is extended")
	}
	if len(e.Loads) > 0 {
		ask(fitout.PaperLowVoltage, "wiring was laid")
	}
	ask(fitout.PaperWeighbridge, "it is heavier than it left the factory")
	return all
}

// has tells whether a paper of a kind is there: with its number, its file, or who gave it and when.
func has(j *fitout.Job, kind fitout.PaperKind) bool {
	for i := range j.Handover.Papers {
		if paper := &j.Handover.Papers[i]; paper.Kind == kind && there(paper) {
			return true
		}
	}
	return false
}

func there(paper *fitout.Paper) bool {
	return paper.File != "" || paper.Number != "" || paper.By != "" && paper.Issued != ""
}
