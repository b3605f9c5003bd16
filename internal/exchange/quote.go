package exchange

import (
	"bytes"
	"fmt"
	"strings"
	"time"

	"zaino/internal/core/fitout"
)

// WriteQuotePDF writes what is offered to the customer: the parts and what they cost together, how long the offer
// holds, what is not included, and how it is paid. Mark-up and hours are the workshop's and are not told.
func WriteQuotePDF(j *fitout.Job) ([]byte, error) {
	p, v := built(j)
	m := &j.Build.Money
	pdf, text := pages(j.Name+", quote", j.Name+", quote "+m.Number)
	say := func(size float64, style, s string) {
		pdf.SetFont(sans, style, size)
		pdf.MultiCell(0, size*0.5, text(s), "", "L", false)
	}
	price := func(cents int) string {
		return strings.TrimSpace(fmt.Sprintf("%.*f %s", m.Decimals, float64(cents)/100, j.Brief.Currency))
	}
	if m.Workshop != "" {
		say(9, "", m.Workshop)
		pdf.Ln(4)
	}
	say(16, "B", strings.TrimSpace("Quote "+m.Number))
	about := "For " + j.Customer
	if j.Customer == "" {
		about = "For " + j.Name
	}
	if m.Date != "" {
		about += ", " + m.Date
		if at, err := time.Parse(time.DateOnly, m.Date); err == nil && m.Valid > 0 {
			about += ", holds until " + at.AddDate(0, 0, m.Valid).Format(time.DateOnly)
		}
	} else if m.Valid > 0 {
		about += fmt.Sprintf(", holds for %d days", m.Valid)
	}
	say(10, "", about+".")
	say(10, "", j.Name+", variant "+p.Variant.Name+", on "+j.Vehicle.Name+".")
	pdf.Ln(3)
	say(11, "B", "What is built and fitted")
	for i := range v.Parts {
		made := &v.Parts[i]
		line := made.Name
		if made.How == fitout.MadeHere && len(made.Panels) > 0 {
			line += fmt.Sprintf(", made to measure (%s)", wallWords[v.Panels[made.Panels[0]].Material])
		}
		if made.How == fitout.MadeReused {
			line += ", yours, fitted again"
		}
		say(9, "", "·  "+line)
	}
	pdf.Ln(3)
	row := func(name, value, style string) {
		pdf.SetFont(sans, style, 10)
		pdf.CellFormat(120, 6, text(name), "B", 0, "L", false, 0, "")
		pdf.CellFormat(pageWidth-120, 6, text(value), "B", 1, "R", false, 0, "")
	}
	row("Material, hardware and parts", price(v.Quote.Parts), "")
	row("Work", price(v.Quote.Work), "")
	row("Net", price(v.Quote.Net), "")
	row(fmt.Sprintf("Tax %s %%", exactly(m.Tax*100)), price(v.Quote.Tax), "")
	row("Total", price(v.Quote.Total), "B")
	pdf.Ln(2)
	if v.Quote.Deposit+v.Quote.Midway > 0 {
		row("Paid before it begins", price(v.Quote.Deposit), "")
		row("Paid when half is done", price(v.Quote.Midway), "")
		row("Paid at hand-over", price(v.Quote.Rest), "")
	}
	pdf.Ln(3)
	if m.Excluded != "" {
		say(10, "B", "Not included")
		say(9, "", m.Excluded)
		pdf.Ln(2)
	}
	open := 0
	for _, d := range j.Build.Decisions {
		if d.Answer == "" {
			if open == 0 {
				say(10, "B", "Still to decide")
			}
			open++
			until := ""
			if d.Until != "" {
				until = ", until " + d.Until
			}
			say(9, "", "·  "+d.Question+until)
		}
	}
	pdf.Ln(3)
	say(
		8,
		"",
		"Masses and hours are estimates. Limits come from the vehicle's plate and papers. Brakes, seat belts, gas, mains voltage, fuel "+
			"systems and structural changes belong to licensed or certified people under local rules.",
	)
	var out bytes.Buffer
	err := pdf.Output(&out)
	return out.Bytes(), err
}

var wallWords = map[fitout.Material]string{
	fitout.Plywood:   "plywood",
	fitout.Aluminium: "aluminium sheet",
	fitout.Extrusion: "aluminium profile",
	fitout.FoamCore:  "foam core",
}
