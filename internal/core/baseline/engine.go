// Package baseline tells what the empty vehicle weighs, how far its tickets agree, and
// what of it nobody has weighed.
package baseline

import (
	"fmt"

	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// Figures are what the tickets of a weighed baseline say together.
type Figures struct {
	Split   bool            `json:"split" doc:"at least one ticket read the axles apart"`
	Sigma   load.Axles      `json:"sigma" doc:"standard uncertainty of each axle, kg"`
	Tickets []TicketFigures `json:"tickets"`
}

// TicketFigures is one ticket, made comparable: the dry vehicle that it gives.
type TicketFigures struct {
	ID        string     `json:"id"`
	Axles     load.Axles `json:"axles" doc:"dry, kg; 0 where only the whole was weighed"`
	Gross     float64    `json:"gross" doc:"dry, kg"`
	ReadAxles bool       `json:"readAxles"`
}

// Engine tells what the tickets say together, and what is doubtful about them.
func Engine() plan.Engine[Figures] {
	return plan.Engine[Figures]{Figures: figures, Rules: []plan.Rule{
		overBefore, assumed, driverSeatMissing, ticketMissing, scaleNotLevel, ticketsContradict, tray,
	}}
}

func figures(p *plan.Plan) Figures {
	weighing := &p.Load.Weighing
	f := Figures{Split: weighing.Split, Sigma: weighing.Sigma, Tickets: []TicketFigures{}}
	for _, t := range weighing.Tickets {
		f.Tickets = append(f.Tickets, TicketFigures{p.Given.Vehicle.Baseline.Tickets[t.Index].ID, t.Axles, t.Gross,
			t.ReadAxles})
	}
	return f
}

// ticketName names a ticket in a sentence.
func ticketName(p *plan.Plan, i int) string {
	t := &p.Given.Vehicle.Baseline.Tickets[i]
	if t.Date == "" {
		return fmt.Sprintf("“%s”", t.Name)
	}
	return fmt.Sprintf("“%s” of %s", t.Name, t.Date)
}
