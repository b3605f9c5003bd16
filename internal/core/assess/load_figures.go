package assess

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
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

// LimitBand is how sure a load is.
type LimitBand struct {
	ID        string      `json:"id"`
	Title     string      `json:"title"`
	Load      float64     `json:"load" doc:"kg"`
	Limit     float64     `json:"limit" doc:"kg; 0 = not stated"`
	Sigma     float64     `json:"sigma" doc:"kg"`
	Over      float64     `json:"over" doc:"probability of being over in the state shown, 0 to 1"`
	Likeliest float64     `json:"likeliest" doc:"probability of being over in the likeliest state that was found"`
	State     string      `json:"state" doc:"that state, in words"`
	Next      []WeighNext `json:"next" doc:"what to weigh next, by what it buys"`
}

// WeighNext is one thing that could be weighed.
type WeighNext struct {
	ID    string  `json:"id"`
	Name  string  `json:"name"`
	After float64 `json:"after" doc:"σ of the load after it, kg"`
	Over  float64 `json:"over" doc:"probability of being over after it, if it weighs what it is taken to"`
}

// CurvePoint is one step of using up.
type CurvePoint struct {
	Of     string  `json:"of" doc:"name of the tank or vessel that was used last; empty for full"`
	Litres float64 `json:"litres" doc:"of it that is left"`
	Front  float64 `json:"front" doc:"kg"`
	Rear   float64 `json:"rear" doc:"kg"`
	Gross  float64 `json:"gross" doc:"kg"`
	Share  float64 `json:"share" doc:"front axle of the gross, 0 to 1"`
}

// CurveTurn is where something happens on the way from full to empty.
type CurveTurn struct {
	At   float64 `json:"at" doc:"place among the points of the curve: 2.5 is halfway from the third to the fourth"`
	Axle string  `json:"axle" enum:"front,rear"`
	Text string  `json:"text"`
}

// mostNext is how many things to weigh are named.
const mostNext = 5

// LoadOf looks at the load of a job's chosen variant in all its cases.
func LoadOf(j *fitout.Job) LoadFigures {
	s := newSubject(j)
	f := LoadFigures{Cases: []CaseFigures{}, Confidence: []LimitBand{}, Turns: []CurveTurn{}}
	columns := s.columns()
	s.worst(columns)
	for _, c := range columns {
		f.Columns = append(f.Columns, c.LimitColumn)
	}
	shown := s.plan.Shown()
	f.Cases = append(f.Cases, s.caseFigures("", "", "State shown", &shown, columns))
	for i := range s.variant.Cases {
		c := &s.variant.Cases[i]
		state := s.plan.Case(c)
		f.Cases = append(f.Cases, s.caseFigures(c.ID, "case:"+c.ID, c.Name, &state, columns))
	}
	for i := range s.limits {
		l := &s.limits[i]
		f.Cases = append(f.Cases, s.caseFigures("", "worst:"+l.id, "Worst for "+lower(l.title), &l.worst, columns))
		f.Confidence = append(f.Confidence, s.band(l))
	}
	share := s.plan.Worst(s.plan.FrontShareForm(s.job.Practice.FrontShare))
	f.Cases = append(f.Cases, s.caseFigures("", "worst:"+targetFrontShare, "Lightest front", &share, columns))
	f.Curve, f.Turns = s.curve()
	return f
}

func (s *subject) band(l *limit) LimitBand {
	b := LimitBand{ID: l.id, Title: l.title, Load: l.load, Limit: l.limit.Kg, Sigma: l.sigma, Next: []WeighNext{}}
	u := &s.job.Practice.Uncertainty
	if l.stated() {
		b.Over = load.Over(l.load, l.limit.Kg, l.sigma)
		state, likely := s.plan.Likeliest(l.form, l.limit.Kg, s.baseline, u)
		b.Likeliest, b.State = likely, s.say.state(s.variant, state)
	}
	next := load.Next(l.form, s.plan.Errors(s.baseline, u, nil))
	for _, n := range next[:min(len(next), mostNext)] {
		item := &s.variant.Items[n.Item]
		w := WeighNext{ID: item.ID, Name: item.Name, After: n.After}
		if l.stated() {
			w.Over = load.Over(l.load, l.limit.Kg, n.After)
		}
		b.Next = append(b.Next, w)
	}
	return b
}
