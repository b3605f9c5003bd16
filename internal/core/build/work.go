package build

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/order"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Work is all steps in their order, and the ring of reasons if there is one.
type Work struct {
	Steps   []BuildStep    // what hangs on the ring comes last, without a day
	Reasons []order.Reason // between the steps as they were gathered
	Ring    []string       // reasons that run in a ring, in words
	Days    int
	Hours   float64
	byID    map[string]int // of the steps as they were gathered
	steps   []BuildStep
}

// gathered are all steps with their reasons and hours, not yet in their order.
func (l *Look) gathered() *Work {
	if l.raw != nil {
		return l.raw
	}
	w := l.gatherWork()
	for i := range w.steps {
		w.Hours += w.steps[i].Minutes / 60 * float64(max(1, w.steps[i].People))
	}
	for _, r := range order.Ring(len(w.steps), w.Reasons) {
		w.Ring = append(
			w.Ring,
			fmt.Sprintf("%s before %s (%s)", w.steps[r.First].Title, words.Lower(w.steps[r.Then].Title), r.Why),
		)
	}
	l.raw = w
	return w
}

// workOf puts all steps into their order.
func (l *Look) workOf() *Work {
	w := l.gathered()
	b := &l.Job.Build
	steps := make([]order.Step, len(w.steps))
	for i := range w.steps {
		s := &w.steps[i]
		steps[i] = order.Step{ID: s.ID, Minutes: s.Minutes, Wait: s.Wait, Skill: s.Skill, People: s.People}
		if s.Work == "weigh" {
			steps[i].Next = "fit/" + s.Module
		}
	}
	makers := order.Makers{Day: b.Shop.Day}
	for _, m := range b.Makers {
		makers.Skills = append(makers.Skills, string(m.Skill))
	}
	schedule := order.Sort(steps, w.Reasons, makers)
	after := make([][]string, len(w.steps))
	for _, r := range w.Reasons {
		if r.Why != "" {
			after[r.Then] = append(after[r.Then], w.steps[r.First].Title+": "+r.Why)
		}
	}
	waiting := make([]bool, len(w.steps))
	for i := range waiting {
		waiting[i] = true
	}
	for _, slot := range schedule.Slots {
		waiting[slot.Step] = false
		s := w.steps[slot.Step]
		s.Day, s.From, s.To = slot.Day+1, slot.From, slot.To
		s.Date = workday(b.Start, slot.Day)
		s.After = append(s.After, after[slot.Step]...)
		for _, who := range slot.Makers {
			if who < len(b.Makers) {
				s.Makers = append(s.Makers, b.Makers[who].Name)
			}
		}
		w.Steps = append(w.Steps, l.withNotes(s))
	}
	for i, s := range w.steps {
		if waiting[i] {
			s.After = append(s.After, after[i]...)
			w.Steps = append(w.Steps, l.withNotes(s))
		}
	}
	w.Days = schedule.Days
	return w
}

// withNotes is a step with what was noted of it.
func (l *Look) withNotes(s BuildStep) BuildStep {
	if n := l.noted(s.ID); n != nil {
		s.Done, s.Noted = n.Done, Noted{n.On, n.By, n.Minutes, n.Kg, n.Trouble}
	}
	return s
}

// noted is what was noted of a step, or nil.
func (l *Look) noted(step string) *fitout.StepDone {
	for i := range l.Variant.Done {
		if l.Variant.Done[i].Step == step {
			return &l.Variant.Done[i]
		}
	}
	return nil
}

// FittingOrder is the order in which parts are fitted, by their ids.
func FittingOrder(p *plan.Plan) []string {
	var ids []string
	for _, s := range LookAt(p).workOf().Steps {
		if s.Work == "fit" {
			ids = append(ids, s.Module)
		}
	}
	return ids
}
