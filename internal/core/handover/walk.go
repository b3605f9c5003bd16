package handover

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// WalkPoint is one thing that is gone through with the customer at the vehicle.
type WalkPoint struct {
	ID    string `json:"id"`
	Where string `json:"where" doc:"where one stands for it"`
	Title string `json:"title"`
	Show  string `json:"show" doc:"what is shown or said"`
	Done  bool   `json:"done"`
	Note  string `json:"note"`
}

// Walk is the walk-round, in the order in which one goes around the vehicle.
func Walk(p *plan.Plan) []WalkPoint {
	all := []WalkPoint{}
	add := func(id, where, title, show string) {
		w := WalkPoint{ID: id, Where: where, Title: title, Show: show}
		for _, done := range p.Job.Handover.Walk {
			if done.Point == id {
				w.Done, w.Note = done.Done, done.Note
			}
		}
		all = append(all, w)
	}
	e, f := &p.Variant.Electrics, &p.Variant.Plumbing
	add(
		"load",
		"At the cab",
		"What it may still carry",
		"the loading card of each case they drive, and what stands on the rear axle",
	)
	add(
		"pressures",
		"At the cab",
		"Tyre pressures",
		"by load and surface, and when they are let down and filled again",
	)
	add(
		"keys",
		"Around it",
		"Every lock with its key",
		"which are keyed alike, where the spare is, and how one gets out from inside",
	)
	add(
		"drive-away",
		"Around it",
		"Before driving off",
		fmt.Sprintf("the list of %d things to shut, latch, lower and stow", len(scene.Of(p).DriveAway())),
	)
	for i := range p.Variant.Stances {
		s := &p.Variant.Stances[i]
		add("stance/"+s.ID, "Around it", "Set up: "+words.Lower(s.Name), "once by the workshop, once by the customer")
	}
	for i := range p.Items {
		item := &p.Items[i]
		if m := item.Module; m != nil && item.Work.Now() && m.Runner != fitout.NoRunner && m.Runner != "" {
			add(
				"slide/"+item.ID,
				"Around it",
				words.Capital(words.Lower(item.Name)),
				"locks out and in; what it carries at most",
			)
		}
	}
	for i := range e.Systems {
		if s := &e.Systems[i]; s.Isolator {
			add(
				"isolator/"+s.ID,
				"At the battery",
				"Isolator of "+words.Lower(s.Name),
				"what it cuts off, what stays live, where the fuses and spares are",
			)
		}
	}
	if len(e.Loads) > 0 {
		add(
			"empty",
			"At the battery",
			"When the battery is empty",
			"what drops first, what may be switched off, how it is charged",
		)
	}
	for i := range f.Vessels {
		v := &f.Vessels[i]
		name := p.Name(v.Of)
		switch {
		case name == "":
		case v.Holds == fitout.HoldsGas:
			add(
				"gas/"+v.Of,
				"At the gas",
				words.Capital(words.Lower(name)),
				"how it is shut, changed, and smelled for; that nothing burns while it is driven or filled",
			)
		default:
			add(
				"vessel/"+v.Of,
				"At the water",
				words.Capital(words.Lower(name)),
				"how it is filled, drained and made safe from frost",
			)
		}
	}
	for i := range f.Burners {
		if b := &f.Burners[i]; b.Inside || b.Heater {
			add("burner/"+b.ID, "Inside", b.Name, "fresh air and the alarm; carbon monoxide has no smell")
		}
	}
	add(
		"first-aid",
		"Around it",
		"First aid, extinguisher, tools, spare wheel",
		"where each is, and that it can be reached with everything packed",
	)
	add(
		"again",
		"At the papers",
		"What is due",
		"wheel nuts after 50 to 100 km, bolts after the first trip, then as the list says",
	)
	add("voids", "At the papers", "Warranties and what voids them", "and whom to ask")
	add("left", "At the papers", "What was left for later or for others", "and what was agreed to with a reason")
	return all
}
