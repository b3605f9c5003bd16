package load

import (
	"math"

	"zaino/internal/core/fitout"
)

// Weighing is what the tickets of a baseline say together: the dry vehicle
// with factory parts as listed and nobody aboard.
type Weighing struct {
	Axles   Axles // dry, kg
	Split   bool  // at least one ticket read the axles apart
	Side    float64
	HasSide bool         // at least one ticket read the corners
	Sigma   Axles        // standard uncertainty of each axle, kg
	Tickets []DryReading // those that count, in their order
	Doubts  []Doubt
}

// DryReading is one ticket with everything taken off that was not the dry
// vehicle, kg.
type DryReading struct {
	Index       int // in the baseline's list
	Axles       Axles
	Gross       float64
	ReadAxles   bool
	sigma       Axles
	grossSigma  float64
	side        float64
	ownTotal    float64 // dry, where the whole was weighed beside the axles
	ownSigma    float64
	hasOwnTotal bool
}

// Doubt is a reading that another contradicts: they differ by more than twice
// the uncertainty of their difference.
type Doubt struct {
	Ticket  int    // index of the doubtful ticket
	Against int    // index of the ticket that it contradicts; -1 for all others together; its own index for its own total
	Figure  string // front, rear or gross
	Given   float64
	Other   float64
	Allowed float64 // difference that the scales explain, kg
}

// slopeUnknown is the slope that is allowed for on a scale that was not level.
const slopeUnknown = 2 * math.Pi / 180

// Weigh combines the tickets that count by weighted least squares. Each is made
// comparable first: fuel, people and parts that it lists are taken off at their
// stations, baseline parts that it does not list are added. A reading's standard
// uncertainty is the larger of 1 % and the scale's step / √12; on a scale that
// was not level, what 2° of slope move, M z tan θ / L, comes on top for axles.
// Without any axle reading the split is the baseline's assumed share.
func Weigh(v *fitout.Vehicle) Weighing {
	w := Weighing{}
	for i := range v.Baseline.Tickets {
		if t := &v.Baseline.Tickets[i]; t.Counted && readsSomething(t) {
			w.Tickets = append(w.Tickets, dryReading(v, i))
		}
	}
	w.Axles, w.Sigma, w.Split = fit(w.Tickets, v.Baseline.FrontShare, -1)
	w.Side, w.HasSide = meanSide(v, w.Tickets)
	w.Doubts = doubts(w.Tickets, v.Baseline.FrontShare)
	return w
}

func readsSomething(t *fitout.Ticket) bool {
	front, rear, _ := t.AxleReadings()
	return front+rear > 0 || t.Total > 0
}

func dryReading(v *fitout.Vehicle, i int) DryReading {
	t := &v.Baseline.Tickets[i]
	off := aboard(v, t)
	offAxles := off.Axles(v.Wheelbase)
	r := DryReading{Index: i}
	front, rear, apart := t.AxleReadings()
	if !apart {
		r.Gross, r.grossSigma = t.Total-off.Kg, readingSigma(t.Total, t.Resolution)
		return r
	}
	r.ReadAxles = true
	r.Axles = Axles{front - offAxles.Front, rear - offAxles.Rear}
	r.Gross = r.Axles.Gross()
	r.sigma = Axles{readingSigma(front, t.Resolution), readingSigma(rear, t.Resolution)}
	r.grossSigma = math.Hypot(r.sigma.Front, r.sigma.Rear)
	if t.Total > 0 {
		r.hasOwnTotal, r.ownTotal, r.ownSigma = true, t.Total-off.Kg, readingSigma(t.Total, t.Resolution)
	}
	if !t.Level {
		shift := (front + rear) * v.Baseline.CGHeight * math.Tan(slopeUnknown) / v.Wheelbase
		r.sigma = Axles{math.Hypot(r.sigma.Front, shift), math.Hypot(r.sigma.Rear, shift)}
	}
	if t.Reading == fitout.ReadCorners && r.Gross > 0 {
		y := (t.FrontRight-t.FrontLeft)*v.TrackFront/2 + (t.RearRight-t.RearLeft)*v.TrackRear/2
		r.side = (y - off.Y) / r.Gross
	}
	return r
}

// readingSigma is the standard uncertainty of a scale's reading, kg.
func readingSigma(kg, step float64) float64 {
	return max(0.01*kg, step/math.Sqrt(12), 0.1)
}

// aboard is what stood on the scale besides the dry vehicle with its baseline
// parts; baseline parts that were off that day count as negative.
func aboard(v *fitout.Vehicle, t *fitout.Ticket) Moments {
	m := Moments{}
	for _, tank := range t.Tanks {
		for k := range v.Tanks {
			if v.Tanks[k].ID == tank.Tank {
				m = m.Add(at(v.Tanks[k].At, tank.Litres*v.Tanks[k].Density))
			}
		}
	}
	for _, person := range t.People {
		if seat := seatByID(v, person.Seat); seat != nil {
			m = m.Add(at(seat.At, person.Kg))
		}
	}
	on := make(map[string]bool, len(t.Parts))
	for _, part := range t.Parts {
		on[part.Part] = true
	}
	differs := func(id string, inBaseline bool, place fitout.Point, kg float64) {
		switch {
		case on[id] && !inBaseline:
			m = m.Add(at(place, kg))
		case !on[id] && inBaseline:
			m = m.Add(at(place, -kg))
		}
	}
	for i := range v.Parts {
		differs(v.Parts[i].ID, v.Parts[i].InBaseline, v.Parts[i].At, v.Parts[i].Mass)
	}
	for i := range v.Modifications {
		differs(v.Modifications[i].ID, v.Modifications[i].InBaseline, v.Modifications[i].At, v.Modifications[i].Mass)
	}
	return m
}

// fit solves the weighted normal equations for front and rear, leaving out the
// ticket at an index (-1 for none).
func fit(readings []DryReading, frontShare float64, without int) (axles, sigma Axles, split bool) {
	var a11, a12, a22, b1, b2 float64
	total := func(kg, s float64) {
		w := 1 / (s * s)
		a11, a12, a22 = a11+w, a12+w, a22+w
		b1, b2 = b1+w*kg, b2+w*kg
	}
	for _, r := range readings {
		switch {
		case r.Index == without:
		case !r.ReadAxles:
			total(r.Gross, r.grossSigma)
		default:
			split = true
			wf, wr := 1/(r.sigma.Front*r.sigma.Front), 1/(r.sigma.Rear*r.sigma.Rear)
			a11, b1 = a11+wf, b1+wf*r.Axles.Front
			a22, b2 = a22+wr, b2+wr*r.Axles.Rear
			if r.hasOwnTotal {
				total(r.ownTotal, r.ownSigma)
			}
		}
	}
	switch {
	case a11 == 0:
		return Axles{}, Axles{}, false
	case !split: // only the whole was ever weighed: a11 = a12 = a22
		gross, s := b1/a11, 1/math.Sqrt(a11)
		return Axles{gross * frontShare, gross * (1 - frontShare)}, Axles{s, s}, false
	}
	det := a11*a22 - a12*a12
	axles = Axles{(a22*b1 - a12*b2) / det, (a11*b2 - a12*b1) / det}
	return axles, Axles{math.Sqrt(a22 / det), math.Sqrt(a11 / det)}, true
}

// meanSide is the mean side of the centre of gravity over tickets with corners.
func meanSide(v *fitout.Vehicle, readings []DryReading) (side float64, ok bool) {
	n := 0.0
	for _, r := range readings {
		if v.Baseline.Tickets[r.Index].Reading == fitout.ReadCorners {
			side, n = side+r.side, n+1
		}
	}
	if n == 0 {
		return 0, false
	}
	return side / n, true
}

// doubts finds contradictions: a ticket against its own total, two tickets
// against each other, and of three or more the one that is furthest, measured
// in uncertainties, from what all others say.
func doubts(readings []DryReading, frontShare float64) []Doubt {
	var all []Doubt
	for _, r := range readings {
		if allowed := 2 * math.Hypot(r.grossSigma, r.ownSigma); r.hasOwnTotal && math.Abs(r.Gross-r.ownTotal) > allowed {
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
		axles, sigma, split := fit(readings, frontShare, r.Index)
		if len(readings) < 3 {
			break
		}
		d, ratio := worstDoubt(r, axles, sigma, axles.Gross(), math.Hypot(sigma.Front, sigma.Rear), split)
		if d != nil && ratio > most {
			worst, most = d, ratio
		}
	}
	if worst != nil {
		all = append(all, *worst)
	}
	return all
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
