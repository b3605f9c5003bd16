package assess

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/rating"
)

// limit is one of the limits that the pads show.
type limit struct {
	id    string // front, rear, gross, combination
	name  string // in the middle of a sentence, in the region's words
	title string
	limit fitout.Limit // of all ratings, the one that binds
	known rating.Rating
	binds string // in words, where it is not the plate
	load  float64
	form  load.Form
	worst load.State
	ratio bool    // a workshop rule of balance: its form may be 0 at most
	place bool    // counts what is at one place: its form is only near the effect of a change
	later float64 // what comes later puts on it, kg
	close float64 // share of the limit below which what is left is close
	sigma float64 // standard uncertainty of the load, kg
}

// limits are the axles, the gross and, when it tows, the combination.
func limits(s *subject) []limit {
	plan, axles := s.plan, s.plan.Axles()
	all := []limit{
		{id: "front", title: "Front axle", known: s.rating(fitout.LimitFrontAxle), load: axles.Front, form: plan.FrontForm(), name: s.say.term(fitout.TermFrontAxle)},
		{id: "rear", title: "Rear axle", known: s.rating(fitout.LimitRearAxle), load: axles.Rear, form: plan.RearForm(), name: s.say.term(fitout.TermRearAxle)},
		{id: "gross", title: "Gross", known: s.rating(fitout.LimitGross), load: axles.Gross(), form: plan.GrossForm(), name: s.say.term(fitout.TermGross)},
	}
	if s.job.Trailer != nil {
		all = append(all, limit{id: "combination", title: "Combination", known: s.rating(fitout.LimitCombination), load: plan.Combination(),
			form: plan.CombinationForm(), name: s.say.term(fitout.TermCombination)})
	}
	for i := range all {
		l := &all[i]
		l.limit = fitout.Limit{Kg: l.known.Kg, Source: l.known.Source}
		l.binds = s.binds(l.known)
	}
	errors := plan.Errors(s.baseline, &s.job.Practice.Uncertainty, nil)
	for i := range all {
		all[i].close = s.job.Practice.Close
		all[i].sigma = load.Sigma(all[i].form, errors)
		all[i].worst = plan.Worst(all[i].form)
		all[i].later = all[i].form.Of(plan.Later())
	}
	return all
}

// over is how much the load is over the limit, kg; negative within it.
func (l *limit) over() float64 { return l.load - l.limit.Kg }

func (l *limit) stated() bool { return l.ratio || l.limit.Kg > 0 }

// state is the state of a load against its limit, in one word.
func (l *limit) state() string {
	switch {
	case !l.stated():
		return "unknown"
	case l.over() > 0:
		return "over"
	case l.load > l.limit.Kg*(1-l.close):
		return "close"
	}
	return "within"
}

// told is the limit's name in a sentence, with what binds where it is not the
// plate: "rear axle rating, here the tyres".
func (l *limit) told() string {
	if l.binds == "" {
		return l.name
	}
	return l.name + ", here " + l.binds
}

func (l *limit) subject() fitout.Subject {
	switch l.id {
	case "front":
		return fitout.Subject{Kind: "front-axle"}
	case "rear":
		return fitout.Subject{Kind: "rear-axle"}
	}
	return fitout.Subject{Kind: l.id}
}

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

func (l *limit) pad() Pad {
	p := Pad{ID: l.id, Title: l.title, Term: l.name, Load: l.load, Limit: l.limit.Kg, State: l.state(), Worst: l.worst.Value, Done: l.load + l.later, Binds: l.binds, Sigma: l.sigma}
	if l.stated() {
		p.Over = load.Over(l.load, l.limit.Kg, l.sigma)
		p.Left = -l.over()
	}
	return p
}

// WorstState is the exact extreme of one figure over everything that varies.
type WorstState struct {
	Figure string  `json:"figure" doc:"front, front-least, rear, gross, combination, left or right"`
	Title  string  `json:"title"`
	Load   float64 `json:"load" doc:"kg"`
	State  string  `json:"state" doc:"the state in words"`
}

func (l *limit) worstStates(s *subject) []WorstState {
	states := []WorstState{{l.id, "Most on " + lower(l.title), l.worst.Value, s.say.state(s.variant, l.worst)}}
	if l.id == "gross" || l.id == "combination" {
		states[0].Title = "Most " + lower(l.title)
	}
	if l.id == "front" {
		least := s.plan.Worst(l.form.Negative())
		states = append(states, WorstState{"front-least", "Least on front axle", -least.Value, s.say.state(s.variant, least)})
	}
	return states
}

func sideStates(s *subject) []WorstState {
	left, right := s.plan.Worst(s.plan.LeftForm()), s.plan.Worst(s.plan.RightForm())
	return []WorstState{
		{"left", "Most on left wheels", left.Value, s.say.state(s.variant, left)},
		{"right", "Most on right wheels", right.Value, s.say.state(s.variant, right)},
	}
}
