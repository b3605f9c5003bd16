package report

import (
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

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

// mostNext is how many things to weigh are named.
const mostNext = 5

// confidence is how sure every load in kg is that has a limit of its own, and those of
// both sides.
func confidence(p *plan.Plan, t *limits.Table) []LimitBand {
	all := []LimitBand{}
	for _, l := range t.All {
		m, isMass := l.(*limits.Mass)
		if !isMass || m.Facts().Echo || m.Facts().Towing && !p.Load.Coupled() {
			continue
		}
		f := m.Facts()
		all = append(all, band(p, t, f.ID, f.Title, m.Load(t.Shown()), f.Bound.Figure(), m.Counts()[0]))
	}
	sides := p.Now.Corners(p.Load.Wheelbase, p.Load.TrackFront, p.Load.TrackRear)
	all = append(all, band(p, t, "left", "Left wheels", sides.Left(), 0, p.Load.LeftForm().OfVehicle()))
	return append(all, band(p, t, "right", "Right wheels", sides.Right(), 0, p.Load.RightForm().OfVehicle()))
}

func band(p *plan.Plan, t *limits.Table, id, title string, carries, most float64, count load.Count) LimitBand {
	u := &p.Job.Practice.Uncertainty
	errors := p.Load.Errors(t.Baseline(), u, &p.Shown)
	b := LimitBand{ID: id, Title: title, Load: carries, Limit: most, Sigma: load.Sigma(count, errors), Next: []WeighNext{}}
	if most > 0 {
		b.Over = load.Over(carries, most, b.Sigma)
		state, likely := p.Load.Likeliest(count, most, t.Baseline(), u)
		b.Likeliest, b.State = likely, p.State(&state)
	}
	next := load.Next(count, errors)
	for _, n := range next[:min(len(next), mostNext)] {
		item := &p.Variant.Items[n.Item]
		w := WeighNext{ID: item.ID, Name: item.Name, After: n.After}
		if most > 0 {
			w.Over = load.Over(carries, most, n.After)
		}
		b.Next = append(b.Next, w)
	}
	return b
}
