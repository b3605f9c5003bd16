package rating

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// ratingsShort notes axle ratings that together do not reach the gross limit.
func ratingsShort(p *plan.Plan) []fitout.Finding {
	front, rear, gross := In(p).Get(fitout.LimitFrontAxle), In(p).Get(fitout.LimitRearAxle), In(p).Get(fitout.LimitGross)
	sum := front.Kg + rear.Kg
	if front.Kg == 0 || rear.Kg == 0 || gross.Kg <= sum {
		return nil
	}
	return []fitout.Finding{{
		Rule: "ratings-short", Severity: fitout.Note, Subject: fitout.Subject{Kind: "limit", ID: "gross"},
		Title: "Axle limits bind before the gross",
		Sentence: fmt.Sprintf("The axle limits add up to %s, less than the %s of %s. Check the figures against the plate; "+
			"if they are right, the %s can never be used up.",
			p.Say.Mass(sum), p.Say.Term(fitout.TermGross), p.Say.Mass(gross.Kg), p.Say.Term(fitout.TermGross)),
		Value: gross.Kg, Limit: sum, Margin: sum - gross.Kg, Unit: "kg", Source: words.Source(gross.Source),
	}}
}

// extensionUncertified cautions about a wheelbase extension on trust.
func extensionUncertified(p *plan.Plan) []fitout.Finding {
	e := p.Given.Vehicle.Extension
	if e == nil || e.Certificated || e.By == 0 {
		return nil
	}
	return []fitout.Finding{{
		Rule: "extension-uncertified", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "vehicle"},
		Title: "Wheelbase extension without certificate",
		Sentence: fmt.Sprintf("The figures count with a wheelbase of %s. A structural change belongs to certified people "+
			"under local rules; ratings may change with it.", p.Say.Length(p.Load.Wheelbase)),
		Value: e.By, Unit: "mm", Source: "practice",
	}}
}

// upgradeUncertified cautions about limits that are counted on before there is
// a certificate, and notes those certified after the first registration.
func upgradeUncertified(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Vehicle.Modifications {
		m := p.Vehicle.Modifications[i]
		if !m.Counted || m.Kind != fitout.GrossUpgrade && m.Kind != fitout.AxleRating {
			continue
		}
		f := fitout.Finding{Subject: fitout.Subject{Kind: "modification", ID: m.ID}, Source: "papers", Unit: "kg"}
		switch m.Certificate {
		case fitout.Planned, fitout.NotNeeded:
			f.Rule, f.Severity, f.Title = "upgrade-uncertified", fitout.Caution, m.Name+" is not certified yet"
			f.Sentence = fmt.Sprintf("The plan counts on %s. Until certified people have approved it under local rules, the "+
				"plate's limits hold; axle ratings do not always rise with it.", words.Lower(m.Name))
		case fitout.AfterFirst:
			f.Rule, f.Severity, f.Title = "upgrade-after-first", fitout.Note, m.Name+" was certified after first registration"
			f.Sentence = "In many places it matters whether an upgrade was certified before or after the first registration, " +
				"and it may not hold where the vehicle is registered next. Ask before counting on it elsewhere."
		default:
			continue
		}
		found = append(found, f)
	}
	return found
}

// raisesNothing says so where a limit was written to springs or airbags.
func raisesNothing(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for i := range p.Vehicle.Modifications {
		m := p.Vehicle.Modifications[i]
		if !m.Counted || m.Kind != fitout.Airbags && m.Kind != fitout.Springs {
			continue
		}
		for _, moved := range m.Limits {
			if moved.Kg == 0 {
				continue
			}
			found = append(found, fitout.Finding{
				Rule: "raises-no-rating", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "modification", ID: m.ID},
				Title: m.Name + " raises no rating",
				Sentence: fmt.Sprintf("%s levels the vehicle and may carry it better, but raises no limit: the %s written to it "+
					"does not count. Only a certified upgrade moves a limit.",
					m.Name, p.Say.Mass(moved.Kg)),
				Value: moved.Kg, Unit: "kg", Source: "practice",
			})
		}
	}
	return found
}

// tyreUnknown cautions about a load index that the table does not have.
func tyreUnknown(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for _, axle := range []fitout.WhichAxle{fitout.FrontAxle, fitout.RearAxle} {
		tyre, _ := TyreOn(p.Vehicle, axle)
		index := tyre.Index
		if tyre.Dual && tyre.DualIndex != 0 {
			index = tyre.DualIndex
		}
		if _, ok := AxleKg(tyre); ok || index == 0 {
			continue
		}
		found = append(found, fitout.Finding{
			Rule: "tyre-index-unknown", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "limit", ID: string(axle) +
				"-tyre"},
			Title: fmt.Sprintf("Load index %d is not in the table", index),
			Sentence: fmt.Sprintf("The %s axle's %ss are entered with load index %d; the table goes from %d to %d. Read the "+
				"side wall again: the index is the number before the speed letter. Until then nothing is known of what the %ss "+
				"carry.",
				axle, p.Say.Term(fitout.TermTyre), index, FirstIndex, LastIndex, p.Say.Term(fitout.TermTyre)),
			Value: float64(index), Limit: LastIndex, Source: "data sheet",
		})
	}
	return found
}
