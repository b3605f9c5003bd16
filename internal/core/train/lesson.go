package train

import (
	"slices"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Lesson is what came of an exercise.
type Lesson struct {
	Found   []LessonLine `json:"found" doc:"mistakes on a thing that was marked"`
	Missed  []LessonLine `json:"missed" doc:"mistakes on nothing that was marked"`
	InVain  []LessonLine `json:"inVain" doc:"marks on things that nothing is wrong with"`
	AlsoSo  []LessonLine `json:"alsoSo" doc:"marks on things with which something is wrong that nobody put in"`
	Mistake int          `json:"mistakes" doc:"how many there are"`
}

// LessonLine is a mistake or a mark with its reason.
type LessonLine struct {
	Of    string `json:"of" doc:"id of the thing"`
	Name  string `json:"name" doc:"of the thing"`
	Title string `json:"title"`
	Told  string `json:"told" doc:"why: what the rule says"`
	Rule  string `json:"rule" doc:"that tells it; empty for a mark in vain"`
	What  string `json:"what" doc:"what the learner wrote of it"`
}

// Compare holds what the learner marked against the mistakes that are in an exercise. A mark on any of the
// things on which a mistake can be seen finds it. A thing with which something else is wrong, a stop or a
// caution that was there before, is not marked in vain.
func Compare(j *fitout.Job) Lesson {
	l := Lesson{Found: []LessonLine{}, Missed: []LessonLine{}, InVain: []LessonLine{}, AlsoSo: []LessonLine{}}
	t := j.Training
	if t == nil {
		return l
	}
	name := names(j)
	l.Mistake = len(t.Made)
	counted := map[string]bool{}
	for i := range t.Made {
		m := &t.Made[i]
		line := LessonLine{Title: m.Title, Told: m.Told, Rule: m.Rule}
		if len(m.Things) > 0 {
			line.Of = m.Things[0].Of
		}
		found := false
		for k := range t.Marked {
			if mark := &t.Marked[k]; slices.Contains(m.Things, fitout.ThingNote{Of: mark.Of}) {
				counted[mark.Of] = true
				if !found {
					found, line.What = true, mark.What
				}
			}
		}
		line.Name = name(line.Of)
		if found {
			l.Found = append(l.Found, line)
		} else {
			l.Missed = append(l.Missed, line)
		}
	}
	findings := assess.Findings(plan.Of(j))
	for k := range t.Marked {
		mark := &t.Marked[k]
		if counted[mark.Of] {
			continue
		}
		line := LessonLine{Of: mark.Of, Name: name(mark.Of), Title: name(mark.Of), What: mark.What,
			Told: "Nothing was found about it, neither stop nor caution."}
		at := slices.IndexFunc(findings, func(f fitout.Finding) bool {
			return f.Severity != fitout.Note && (f.Subject.ID == mark.Of || slices.Contains(f.With, mark.Of))
		})
		if at < 0 {
			l.InVain = append(l.InVain, line)
			continue
		}
		line.Title, line.Told, line.Rule = findings[at].Title, findings[at].Sentence, findings[at].Rule
		l.AlsoSo = append(l.AlsoSo, line)
	}
	return l
}

// names tells what an item or a space is called; what is gone is called by its id.
func names(j *fitout.Job) func(id string) string {
	all := map[string]string{}
	for i := range j.Vehicle.Bays {
		all[j.Vehicle.Bays[i].ID] = j.Vehicle.Bays[i].Name
	}
	for i := range j.ChosenVariant().Items {
		item := &j.ChosenVariant().Items[i]
		all[item.ID] = item.Name
	}
	return func(id string) string {
		if name := all[id]; name != "" {
			return name
		}
		return id
	}
}
