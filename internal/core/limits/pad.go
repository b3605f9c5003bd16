package limits

import (
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Pad is a limit as the pads show it.
type Pad struct {
	ID    string  `json:"id" enum:"front,rear,gross,combination"`
	Title string  `json:"title"`
	Term  string  `json:"term" doc:"the region's word for the limit"`
	Load  float64 `json:"load" doc:"kg"`
	Limit float64 `json:"limit" doc:"kg; 0 = not stated"`
	Left  float64 `json:"left" doc:"limit − load, kg; negative is over; 0 when the limit is not stated"`
	State string  `json:"state" enum:"within,close,over,unknown"`
	Worst float64 `json:"worst" doc:"load in the exact worst state, kg"`
	Done  float64 `json:"done" doc:"load when everything is finished, with what comes later and from others, kg"`
	Sigma float64 `json:"sigma" doc:"standard uncertainty of the load, kg; what is shown is the load ± 2 of it"`
	Over  float64 `json:"over" doc:"probability of being over the limit, 0 to 1; 0 when the limit is not stated"`
	Binds string  `json:"binds" doc:"which rating is the limit, where it is not the plate's: upgrade, tyres, rack, hitch"`
}

// PadsIn are the pads as they are loaded in a situation.
func (t *Table) PadsIn(in *Situation) []Pad {
	pads := make([]Pad, len(t.Pads))
	counts := make([]load.Count, len(t.Pads))
	for i, m := range t.Pads {
		counts[i] = m.count
	}
	sigmas := load.NewSpread(t.plan.Load, counts, t.baseline, &t.plan.Job.Practice.Uncertainty).In(in.State)
	for i, m := range t.Pads {
		f, carries := &m.facts, m.Load(in)
		pads[i] = Pad{
			ID: f.ID, Title: f.Title, Term: f.Term, Load: carries, Limit: f.Bound.Figure(),
			State: f.State(carries, t.plan.Job.Practice.Close), Worst: m.Worst().Value, Done: carries + m.Later(),
			Sigma: sigmas[i], Binds: f.Binds,
		}
		if f.Stated() {
			pads[i].Left, pads[i].Over = f.Bound.Left(carries), load.Over(carries, f.Bound.Figure(), sigmas[i])
		}
	}
	return pads
}

// Margins are what is left on the pads, and how bad it can get.
type Margins struct {
	Pads  []Pad        `json:"pads"`
	Worst []WorstState `json:"worst"`
}

// WorstState is the exact extreme of one figure over everything that varies.
type WorstState struct {
	Figure string  `json:"figure" doc:"front, front-least, rear, gross, combination, left or right"`
	Title  string  `json:"title"`
	Load   float64 `json:"load" doc:"kg"`
	State  string  `json:"state" doc:"the state in words"`
}

func margins(p *plan.Plan) Margins {
	t := Of(p)
	m := Margins{Pads: t.PadsIn(t.Shown()), Worst: []WorstState{}}
	add := func(figure, title string, value float64, state *load.State) {
		m.Worst = append(m.Worst, WorstState{figure, title, value, p.State(state)})
	}
	for _, pad := range t.Pads {
		title := "Most on " + words.Lower(pad.facts.Title)
		if pad.facts.ID == "gross" || pad.facts.ID == "combination" {
			title = "Most " + words.Lower(pad.facts.Title)
		}
		add(pad.facts.ID, title, pad.Worst().Value, pad.Worst())
		if pad.facts.ID == "front" {
			least := p.Load.Worst(p.Load.FrontForm().Negative().Count())
			add("front-least", "Least on front axle", -least.Value, &least)
		}
	}
	left, right := p.Load.Worst(p.Load.LeftForm().OfVehicle()), p.Load.Worst(p.Load.RightForm().OfVehicle())
	add("left", "Most on left wheels", left.Value, &left)
	add("right", "Most on right wheels", right.Value, &right)
	return m
}

// Engine tells what is left on the pads and which limits are passed, or can be.
func Engine() plan.Engine[Margins] {
	return plan.Engine[Margins]{Figures: margins, Rules: []plan.Rule{
		over, worstOver, missing, estimated, frontLight, sidesUneven, tipLost, ballShare,
	}}
}
