package weigh

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// WeighView is all that there is to know of how a plan was weighed.
type WeighView struct {
	Parts    []PartWeight  `json:"parts" doc:"in the order in which they go in"`
	Sum      PartSum       `json:"sum"`
	WeighIns []WeighInView `json:"weighIns" doc:"newest first"`
	Expected []Expected    `json:"expected" doc:"what a scale would read now, in the state shown"`
	State    string        `json:"state" doc:"the state shown, in words"`
}

// WeighInView is one weighing beside the plan.
type WeighInView struct {
	Look
	Results []Result `json:"results" doc:"against each limit"`
	Legal   bool     `json:"legal" doc:"the ticket of a public weighbridge is attached"`
	Since   float64  `json:"since" doc:"changed since, kg"`
}

// Expected is what one wheel is expected to read now.
type Expected struct {
	Name  string  `json:"name" enum:"front-left,front-right,rear-left,rear-right"`
	Kg    float64 `json:"kg" doc:"kg"`
	Sigma float64 `json:"sigma" doc:"kg"`
}

// ViewOf is all of it.
func ViewOf(p *plan.Plan) WeighView {
	v := WeighView{WeighIns: []WeighInView{}, Expected: []Expected{}, State: p.State(&p.Shown)}
	v.Parts, v.Sum = Parts(p)
	for i := len(p.Variant.WeighIns) - 1; i >= 0; i-- {
		w := &p.Variant.WeighIns[i]
		v.WeighIns = append(v.WeighIns, WeighInView{LookAt(p, w), Results(p, w), Legal(p.Job, w), changed(p, w)})
	}
	now := Begin(p, "now", "Now")
	now.FrontLeft, now.FrontRight, now.RearLeft, now.RearRight, now.Class, now.Level = 1, 1, 1, 1, 0.01, true
	for _, f := range LookAt(p, &now).Figures {
		v.Expected = append(v.Expected, Expected{f.Name, f.Planned, f.Sigma})
	}
	return v
}

// Legal tells whether the ticket of a public weighbridge stands behind a weighing.
func Legal(j *fitout.Job, w *fitout.WeighIn) bool {
	for i := range j.Handover.Papers {
		if paper := &j.Handover.Papers[i]; w.Public && paper.ID == w.Paper && paper.Kind == fitout.PaperWeighbridge {
			return true
		}
	}
	return false
}
