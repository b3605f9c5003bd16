// Package report makes what is shown or handed over whole: the load in every case, the
// account of a state, the loading card, and variants side by side.
package report

import (
	"fmt"

	"zaino/internal/core/balance"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// LoadFigures answer in every state that it will be driven in, how sure, and
// what happens as it is used up.
type LoadFigures struct {
	Columns    []LimitColumn `json:"columns" doc:"the limits, in the order of the cells"`
	Cases      []CaseFigures `json:"cases" doc:"the state shown, each case, and the exact worst of each limit"`
	Confidence []LimitBand   `json:"confidence"`
	Curve      []CurvePoint  `json:"curve" doc:"from everything full to everything empty"`
	Turns      []CurveTurn   `json:"turns" doc:"where along it a limit is passed or the front becomes too light"`
}

// LimitColumn is one limit of the matrix.
type LimitColumn struct {
	ID     string   `json:"id"`
	Title  string   `json:"title"`
	Limit  float64  `json:"limit" doc:"in unit; 0 = not stated, or for information only"`
	Least  bool     `json:"least" doc:"a least that has to be reached, not a most"`
	Towing bool     `json:"towing" doc:"says something only while the trailer is coupled"`
	Info   bool     `json:"info" doc:"for information: nothing holds it against a limit"`
	Unit   string   `json:"unit" enum:"kg,%,°,people"`
	Note   string   `json:"note" doc:"where the limit comes from, or what the figure is"`
	Worst  *WorstOf `json:"worst,omitempty" doc:"its exact worst, whatever the cases; absent for what is for information"`
}

// WorstOf is the exact worst of one limit.
type WorstOf struct {
	CaseCell
	Words string `json:"words" doc:"the state in words"`
}

// CaseFigures is one row of the matrix.
type CaseFigures struct {
	ID    string     `json:"id" doc:"of the case; empty for the state shown and the worst states"`
	At    string     `json:"at" doc:"what to ask the account of this state for"`
	Name  string     `json:"name"`
	State string     `json:"state" doc:"the state in words"`
	Cells []CaseCell `json:"cells"`
}

// CaseCell is one limit in one case.
type CaseCell struct {
	Load  float64 `json:"load" doc:"in the column's unit"`
	Left  float64 `json:"left" doc:"what is left; negative is over, or missing"`
	Sigma float64 `json:"sigma" doc:"standard uncertainty of the load, kg; 0 where none is worked out"`
	State string  `json:"state" enum:"within,close,over,unknown,absent" doc:"unknown: no limit is stated; absent: there is nothing to hold against it"`
}

// LoadOf looks at the load of a job's chosen variant in all its cases.
func LoadOf(j *fitout.Job) LoadFigures {
	p := plan.Of(j)
	t := limits.Of(p)
	f := LoadFigures{Cases: []CaseFigures{}, Turns: []CurveTurn{}}
	for _, l := range t.All {
		f.Columns = append(f.Columns, column(p, l))
	}
	f.Columns = append(f.Columns, gradeColumns()...)
	for _, s := range rows(t) {
		f.Cases = append(f.Cases, caseFigures(p, t, &s))
	}
	f.Confidence = confidence(p, t)
	f.Curve, f.Turns = curve(p)
	return f
}

// rows are the states of the matrix: the state shown, the cases, and the worst states of
// what the pads show and of the front.
func rows(t *limits.Table) []limits.Named {
	var all []limits.Named
	padded := map[string]bool{"worst:front-share": true}
	for _, pad := range t.Pads {
		padded["worst:"+pad.Facts().ID] = true
	}
	for _, s := range t.States() {
		if s.At == "" || s.Case != "" || padded[s.At] {
			all = append(all, s)
		}
	}
	return all
}

func column(p *plan.Plan, l limits.Limit) LimitColumn {
	f := l.Facts()
	_, least := f.Bound.(limits.Least)
	c := LimitColumn{ID: f.ID, Title: f.Title, Limit: f.Bound.Figure(), Least: least, Towing: f.Towing, Unit: f.Unit,
		Note: f.Note}
	worst := limits.In(p, l.Worst())
	c.Worst = &WorstOf{CaseCell: cell(p, f, l.Load(worst)), Words: p.State(l.Worst())}
	return c
}

// gradeColumns are for information: no rating holds the load nose up.
func gradeColumns() []LimitColumn {
	note := fmt.Sprintf("nose up %d°, without trailer; for grip and braking feel, never held against a rating",
		balance.GradeDegrees)
	return []LimitColumn{
		{ID: "grade-front", Title: "Front, nose up", Info: true, Unit: "kg", Note: note},
		{ID: "grade-rear", Title: "Rear, nose up", Info: true, Unit: "kg", Note: note},
	}
}

func cell(p *plan.Plan, f *limits.Facts, value float64) CaseCell {
	c := CaseCell{Load: value, State: f.State(value, p.Job.Practice.Close)}
	if f.Stated() {
		c.Left = f.Bound.Left(value)
	}
	return c
}

func caseFigures(p *plan.Plan, t *limits.Table, s *limits.Named) CaseFigures {
	c := CaseFigures{ID: s.Case, At: s.At, Name: s.Name, State: p.State(&s.State)}
	in := limits.In(p, &s.State)
	sigmas := t.Sigmas(&s.State)
	for i, l := range t.All {
		f := l.Facts()
		if f.Towing && !s.State.Coupled {
			c.Cells = append(c.Cells, CaseCell{State: limits.Absent}) // there is nothing to hold against it
			continue
		}
		one := cell(p, f, l.Load(in))
		one.Sigma = sigmas[i]
		c.Cells = append(c.Cells, one)
	}
	grade := in.Moments.OnGrade(p.Load.Wheelbase, balance.GradeDegrees)
	return withGrade(c, grade)
}

func withGrade(c CaseFigures, grade load.Axles) CaseFigures {
	for _, kg := range []float64{grade.Front, grade.Rear} {
		c.Cells = append(c.Cells, CaseCell{Load: kg, State: limits.Unknown})
	}
	return c
}
