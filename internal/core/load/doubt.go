package load

import "math"

// doubts finds contradictions: a ticket against its own total, two tickets
// against each other, and of three or more the one that is furthest, measured
// in uncertainties, from what all others say.
func doubts(readings []DryReading, masses map[string]float64, frontShare float64) []Doubt {
	var all []Doubt
	for _, r := range readings {
		if !r.hasOwnTotal {
			continue
		}
		if allowed := 2 * math.Hypot(r.scaleSigma(), r.ownSigma); math.Abs(r.Gross-r.ownTotal) > allowed {
			all = append(all, Doubt{r.Index, r.Index, "gross", r.Gross, r.ownTotal, allowed})
		}
	}
	if len(readings) == 2 {
		a, b := readings[0], readings[1]
		if d, _ := worstDoubt(b, a.Axles, a.sigma, a.Gross, a.grossSigma, a.ReadAxles); d != nil {
			d.Against = a.Index
			all = append(all, *d)
		}
		return all
	}
	var worst *Doubt
	most := 1.0
	for _, r := range readings {
		if len(readings) < 3 {
			break
		}
		others := fit(readings, masses, frontShare, r.Index)
		d, ratio := worstDoubt(r, others.axles, others.sigma, others.axles.Gross(), others.total, others.split)
		if d != nil && ratio > most {
			worst, most = d, ratio
		}
	}
	if worst != nil {
		all = append(all, *worst)
	}
	return all
}

// scaleSigma is the standard uncertainty of the sum of both axles by the scale alone:
// what was aboard is in its own total as well.
func (r *DryReading) scaleSigma() float64 {
	return math.Hypot(r.readings[0].sigma, r.readings[1].sigma)
}

// worstDoubt compares a reading with others and returns the figure that
// differs most beyond what is allowed, and how many times over.
func worstDoubt(r DryReading, axles, sigma Axles, gross, grossSigma float64, apart bool) (worst *Doubt, most float64) {
	most = 1
	compare := func(figure string, given, other, s1, s2 float64) {
		allowed := 2 * math.Hypot(s1, s2)
		if ratio := math.Abs(given-other) / allowed; ratio > most {
			worst, most = &Doubt{r.Index, -1, figure, given, other, allowed}, ratio
		}
	}
	compare("gross", r.Gross, gross, r.grossSigma, grossSigma)
	if r.ReadAxles && apart {
		compare("front", r.Axles.Front, axles.Front, r.sigma.Front, sigma.Front)
		compare("rear", r.Axles.Rear, axles.Rear, r.sigma.Rear, sigma.Rear)
	}
	return worst, most
}
