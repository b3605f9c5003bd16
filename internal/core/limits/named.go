package limits

import (
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/words"
)

// Named is a state with what it is called and what to ask for it.
type Named struct {
	At    string // "" for the state shown, "case:" and the id of a case, "worst:" and the id of a limit
	Case  string // id of the case, if it is one
	Name  string
	State load.State
}

// States are the state shown, every case, and the exact worst of every limit that is
// not told by another.
func (t *Table) States() []Named {
	p := t.plan
	all := []Named{{Name: "State shown", State: p.Shown}}
	for i := range p.Variant.Cases {
		c := &p.Variant.Cases[i]
		all = append(all, Named{"case:" + c.ID, c.ID, c.Name, p.Load.Case(c)})
	}
	for _, l := range t.All {
		f := l.Facts()
		if f.Echo {
			continue
		}
		name := "Worst for " + words.Lower(f.Title)
		if f.ID == "front-share" {
			name = "Lightest front"
		}
		all = append(all, Named{At: "worst:" + f.ID, Name: name, State: *l.Worst()})
	}
	return all
}

// StateAt is the state that is asked for by its name. It refuses any other.
func (t *Table) StateAt(at string) (Named, error) {
	var ids []string
	for _, s := range t.States() {
		if s.At == at {
			return s, nil
		}
		if id, worst := strings.CutPrefix(s.At, "worst:"); worst {
			ids = append(ids, id)
		}
	}
	return Named{}, fitout.Problem{
		Path: "state", Given: at,
		Accepted: "nothing for the state shown, case: and the id of a case, or worst: and one of " + strings.Join(ids, ", "),
	}
}
