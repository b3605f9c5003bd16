package exchange

import (
	"bytes"
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/core/weigh"
)

// WriteWeighPDF writes the certificate of a weighing: what was read on which device by whom, what was aboard, and the
// result against each limit with its uncertainty. It is no legal weighing unless a public weighbridge's ticket is
// attached.
func WriteWeighPDF(j *fitout.Job, id string) ([]byte, error) {
	p := plan.Of(j)
	var w *fitout.WeighIn
	for i := range p.Variant.WeighIns {
		if p.Variant.WeighIns[i].ID == id {
			w = &p.Variant.WeighIns[i]
		}
	}
	if w == nil {
		return nil, fitout.Problem{Path: "weighing", Given: id, Accepted: "the id of a weighing of this job"}
	}
	pdf, text := pages(j.Name+", weighing", j.Name+", weighing "+w.Name)
	pages := packPages{pdf, text}
	pages.say(18, "B", "Certificate of weighing")
	pages.say(10, "", strings.Join(filled(j.Name, j.Vehicle.Name, j.Customer, j.Build.Money.Workshop), "\n"))
	pages.say(9.5, "B", legalOf(j, w))
	said := func(what, said string) []string { return []string{what, said} }
	level := "not looked at"
	if w.Level {
		level = "level, or its slope was measured: " + p.Say.Plain(w.Slope) + "° nose up"
	}
	device := w.Device
	if w.Resolution > 0 {
		device += fmt.Sprintf(", steps of %s", p.Say.Mass(w.Resolution))
	}
	pages.section(
		&report.PackSection{Title: "How", Tables: []report.PackTable{{Heads: []string{"", ""}, Rows: [][]string{
			said(
				"Weighing",
				w.Name,
			), said("When", strings.Replace(w.At, "T", " ", 1)), said("Device", device), said("By", w.Operator), said("Stood", level),
			said("Brakes off", saidSo(w.BrakesOff)), said("Weighed twice", saidSo(w.Twice)),
		}}}},
	)
	results := report.PackTable{Heads: []string{"Load", "Read", "± 2 σ", "Limit", "Left", "Over, probably"}}
	for _, r := range weigh.Results(p, w) {
		limit, left, over := "not stated", "", ""
		if r.Limit > 0 {
			limit, left, over = p.Say.Mass(r.Limit)+" "+r.Term, p.Say.Mass(r.Left), p.Say.Percent(r.Over)
		}
		results.Rows = append(
			results.Rows,
			[]string{r.Title, p.Say.Mass(r.Read), p.Say.Mass(math.Round(20*r.Sigma) / 10), limit, left, over},
		)
	}
	figures := report.PackTable{Heads: []string{"Reading", "Read", "By the plan of that day"}}
	look := weigh.LookAt(p, w)
	for _, f := range look.Figures {
		figures.Rows = append(
			figures.Rows,
			[]string{spaced(f.Name), p.Say.Mass(f.Read), p.Say.Mass(math.Round(10*f.Planned) / 10)},
		)
	}
	pages.section(
		&report.PackSection{Title: "Result", Lines: look.Sentences, Tables: []report.PackTable{results, figures}},
	)
	aboard := report.PackTable{Heads: []string{"Aboard", "Mass", "In it"}}
	for i := range w.Aboard {
		a := &w.Aboard[i]
		kg, content := "", ""
		if a.Kg > 0 {
			kg = p.Say.Mass(math.Round(10*a.Kg) / 10)
		}
		if a.Content > 0 {
			content = p.Say.Mass(math.Round(10*a.Content) / 10)
		}
		if kg+content != "" {
			aboard.Rows = append(aboard.Rows, []string{a.Name, kg, content})
		}
	}
	pages.section(
		&report.PackSection{Title: "What was aboard, by the plan of that day", Tables: []report.PackTable{aboard}},
	)
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

// legalOf says what a certificate is worth.
func legalOf(j *fitout.Job, w *fitout.WeighIn) string {
	if weigh.Legal(j, w) {
		return "With the ticket of a public weighbridge, which is attached."
	}
	return "Not a legal weighing. The last word has a public weighbridge."
}

func saidSo(yes bool) string {
	if yes {
		return "yes"
	}
	return "not said"
}

// spaced is a name with dashes as words.
func spaced(name string) string { return strings.ReplaceAll(name, "-", " ") }
