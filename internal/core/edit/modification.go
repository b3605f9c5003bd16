package edit

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/ride"
	"zaino/internal/core/words"
)

// Edits that plan a change of the vehicle: they enter it as counted on and not
// certified.
var (
	rating = planned(
		"For certified people under local rules; whether it may be done before or after first registration, and whether "+
			"other ratings rise with it, "+
			"differs from place to place. Until it is certified the plate holds. Airbags and springs raise no rating.",
		func(m *fitout.Modification, e *fitout.FixEdit) {
			m.Kind, m.Name = fitout.AxleRating, "Certified axle rating"
			if e.ID == string(fitout.LimitGross) || e.ID == string(fitout.LimitCombination) {
				m.Kind, m.Name = fitout.GrossUpgrade, "Certified mass upgrade"
			}
			m.Certificate = fitout.Planned
			m.Limits = []fitout.LimitMoved{{Limit: fitout.LimitID(e.ID), Kg: e.Value}}
		})
	tyres = planned("Tyres and wheels have to be allowed for the vehicle; set their pressure by the maker's table.",
		func(m *fitout.Modification, e *fitout.FixEdit) {
			m.Kind, m.Name = fitout.NewTyres, fmt.Sprintf("Tyres of load index %.0f", e.Value)
			m.Axle, m.Tyre = fitout.WhichAxle(e.ID), fitout.Tyre{Index: int(e.Value)}
		})
	// springs fits springs of one rate; with "second" ones of the first rate that there is and another second one.
	springs = Kind{Apply: func(j *fitout.Job, components []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		return planned("", func(m *fitout.Modification, e *fitout.FixEdit) {
			say := words.For(j)
			m.Kind, m.Name = fitout.Springs, "Springs of "+say.Rate(e.Value)
			m.Axle, m.Rate = fitout.WhichAxle(e.ID), e.Value
			if s := ride.On(&j.Vehicle, m.Axle); e.With == "second" {
				m.Name = fmt.Sprintf("Springs of %s and %s", say.Rate(s.Rate-s.Added), say.Rate(e.Value))
				m.Rate, m.Second, m.From = s.Rate-s.Added, e.Value, s.From
			}
		}).Apply(j, components, e)
	}}
)

func planned(caution string, plan func(m *fitout.Modification, e *fitout.FixEdit)) Kind {
	return Kind{Caution: caution, Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		changed := *j
		v := &changed.Vehicle
		m := fitout.Modification{
			ID: unused(v), Counted: true, Source: fitout.Estimate, Certificate: fitout.NotNeeded, Axle: fitout.NoAxle,
			Limits: []fitout.LimitMoved{},
		}
		plan(&m, e)
		v.Modifications = append(slices.Clone(v.Modifications), m)
		return changed, true
	}}
}

// unused is an id that no modification and no part has yet.
func unused(v *fitout.Vehicle) string {
	for n := 1; ; n++ {
		id := fmt.Sprintf("planned-%d", n)
		if !slices.ContainsFunc(v.Modifications, func(m fitout.Modification) bool { return m.ID == id }) &&
			!slices.ContainsFunc(v.Parts, func(p fitout.Part) bool { return p.ID == id }) {
			return id
		}
	}
}
