package load

import (
	"maps"
	"math"
	"slices"

	"zaino/internal/core/fitout"
)

// Weighing is what the tickets of a baseline say together: the dry vehicle
// with factory parts as listed and nobody aboard.
type Weighing struct {
	Axles     Axles // dry, kg
	Split     bool  // at least one ticket read the axles apart
	Side      float64
	SideSigma float64      // standard uncertainty of it, mm
	HasSide   bool         // at least one ticket read the corners
	Sigma     Axles        // standard uncertainty of each axle, kg
	Tickets   []DryReading // those that count, in their order
	Doubts    []Doubt

	covariance covariance       // apart from what the masses of parts do
	parts      map[string]Axles // see Baseline.Parts
}

// DryReading is one ticket with everything taken off that was not the dry
// vehicle, kg.
type DryReading struct {
	Index       int // in the baseline's list
	Axles       Axles
	Gross       float64
	ReadAxles   bool
	sigma       Axles   // of each axle: the scale, its slope, and what was aboard
	grossSigma  float64 // of the sum of the axles, or of the whole where only that was read
	side        float64
	sideSigma   float64
	ownTotal    float64 // dry, where the whole was weighed beside the axles
	ownSigma    float64
	hasOwnTotal bool

	readings []reading
	aboard   []aboardError // errors of what was aboard, each by itself
	parts    map[string]Axles
}

// reading is one figure of a ticket, made dry: so much of the front axle and so
// much of the rear.
type reading struct {
	front, rear float64 // 1 where it reads that axle
	kg, sigma   float64 // sigma is the scale's own
}

// aboardError is one standard deviation of something that a ticket lists, or of
// the slope of its scale, as it bears on the axles.
type aboardError Axles

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

// Weigh combines the tickets that count by generalised least squares, with the full
// covariance of their readings. Each is made comparable first: fuel, people and
// parts that it lists are taken off at their stations, baseline parts that it does
// not list are added. A reading's standard uncertainty is the larger of the
// workshop's share for what is weighed and the scale's step / √12; a scale that was
// not level moves up to what 2° of slope move, M z tan θ / L, from one axle to the
// other and leaves the total alone; what was taken off errs by its source, parts in
// all tickets alike. A total that was weighed beside the axles binds their sum.
// Without any axle reading the split is the baseline's assumed share.
func Weigh(v *fitout.Vehicle, u *fitout.Uncertainty) Weighing {
	w := Weighing{}
	for i := range v.Baseline.Tickets {
		if t := &v.Baseline.Tickets[i]; t.Counted && readsSomething(t) {
			w.Tickets = append(w.Tickets, dryReading(v, i, u))
		}
	}
	masses := partSigmas(v, u)
	fitted := fit(w.Tickets, masses, v.Baseline.FrontShare, -1)
	w.Axles, w.Sigma, w.Split, w.covariance, w.parts = fitted.axles, fitted.sigma, fitted.split, fitted.own, fitted.parts
	w.Side, w.SideSigma, w.HasSide = meanSide(v, w.Tickets)
	w.Doubts = doubts(w.Tickets, masses, v.Baseline.FrontShare)
	return w
}

func readsSomething(t *fitout.Ticket) bool {
	front, rear, _ := t.AxleReadings()
	return front+rear > 0 || t.Total > 0
}

// dryReading makes a ticket comparable.
func dryReading(v *fitout.Vehicle, i int, u *fitout.Uncertainty) DryReading {
	t := &v.Baseline.Tickets[i]
	r := DryReading{Index: i, parts: map[string]Axles{}}
	off := r.takeOff(v, t, u)
	offAxles := off.Axles(v.Wheelbase)
	sigma := func(kg float64) float64 { return readingSigma(kg, t.Resolution, u) }
	front, rear, apart := t.AxleReadings()
	if !apart {
		r.Gross = t.Total - off.Kg
		r.readings = []reading{{1, 1, r.Gross, sigma(t.Total)}}
		r.grossSigma = r.sigmaOf(1, 1, sigma(t.Total), partSigmas(v, u))
		return r
	}
	r.ReadAxles = true
	r.Axles = Axles{front - offAxles.Front, rear - offAxles.Rear}
	r.Gross = r.Axles.Gross()
	scale := Axles{sigma(front), sigma(rear)}
	if t.Reading == fitout.ReadCorners {
		scale.Front = math.Hypot(sigma(t.FrontLeft), sigma(t.FrontRight))
		scale.Rear = math.Hypot(sigma(t.RearLeft), sigma(t.RearRight))
	}
	if !t.Level {
		shift := (front + rear) * v.Baseline.CGHeight * math.Tan(slopeUnknown) / v.Wheelbase
		r.aboard = append(r.aboard, aboardError{shift, -shift})
	}
	r.readings = []reading{{1, 0, r.Axles.Front, scale.Front}, {0, 1, r.Axles.Rear, scale.Rear}}
	if t.Total > 0 {
		r.hasOwnTotal, r.ownTotal, r.ownSigma = true, t.Total-off.Kg, sigma(t.Total)
		r.readings = append(r.readings, reading{1, 1, r.ownTotal, r.ownSigma})
	}
	masses := partSigmas(v, u)
	r.sigma = Axles{r.sigmaOf(1, 0, scale.Front, masses), r.sigmaOf(0, 1, scale.Rear, masses)}
	r.grossSigma = r.sigmaOf(1, 1, math.Hypot(scale.Front, scale.Rear), masses)
	if t.Reading == fitout.ReadCorners && r.Gross > 0 {
		y := (t.FrontRight-t.FrontLeft)*v.TrackFront/2 + (t.RearRight-t.RearLeft)*v.TrackRear/2
		r.side = (y - off.Y) / r.Gross
		r.sideSigma = math.Hypot(scale.Front*v.TrackFront/2, scale.Rear*v.TrackRear/2) / r.Gross
	}
	return r
}

// sigmaOf is the standard uncertainty of so much of the front and so much of the
// rear axle, with that of the scale beside what was aboard, kg.
func (r *DryReading) sigmaOf(front, rear, scale float64, masses map[string]float64) float64 {
	sum := scale * scale
	for _, e := range r.aboard {
		of := front*e.Front + rear*e.Rear
		sum += of * of
	}
	for _, id := range slices.Sorted(maps.Keys(r.parts)) {
		per := r.parts[id]
		of := (front*per.Front + rear*per.Rear) * masses[id]
		sum += of * of
	}
	return math.Sqrt(sum)
}

// readingSigma is the standard uncertainty of a scale's reading, kg. A ticket that
// does not say the step of its scale has the workshop's.
func readingSigma(kg, step float64, u *fitout.Uncertainty) float64 {
	if step == 0 {
		step = u.Resolution
	}
	return max(u.Weighed*kg, step/math.Sqrt(12), leastSigma)
}

// leastSigma is what no reading is surer than, kg: it keeps the sums solvable.
const leastSigma = 0.01

// partSigmas are the standard uncertainties of the masses of parts and
// modifications by their id, kg.
func partSigmas(v *fitout.Vehicle, u *fitout.Uncertainty) map[string]float64 {
	all := make(map[string]float64, len(v.Parts)+len(v.Modifications))
	for i := range v.Parts {
		all[v.Parts[i].ID] = MassSigma(v.Parts[i].Source, v.Parts[i].Mass, u)
	}
	for i := range v.Modifications {
		all[v.Modifications[i].ID] = MassSigma(v.Modifications[i].Source, v.Modifications[i].Mass, u)
	}
	return all
}

// takeOff is what stood on the scale besides the dry vehicle with its baseline
// parts; baseline parts that were off that day count as negative. It keeps how far
// each of these is believed: fuel as what is measured out, people as what is told.
func (r *DryReading) takeOff(v *fitout.Vehicle, t *fitout.Ticket, u *fitout.Uncertainty) Moments {
	m := Moments{}
	off := func(mass Mass, sigma float64) {
		m = m.Add(mass)
		mass.Kg = sigma
		r.aboard = append(r.aboard, aboardError(Moments{}.Add(mass).Axles(v.Wheelbase)))
	}
	for _, tank := range t.Tanks {
		for k := range v.Tanks {
			if v.Tanks[k].ID == tank.Tank {
				kg := tank.Litres * v.Tanks[k].Density
				off(at(v.Tanks[k].At, kg), u.Weighed*kg)
			}
		}
	}
	for _, person := range t.People {
		if seat := seatByID(v, person.Seat); seat != nil {
			off(at(seat.At, person.Kg), u.DataSheet*person.Kg)
		}
	}
	on := make(map[string]bool, len(t.Parts))
	for _, part := range t.Parts {
		on[part.Part] = true
	}
	differs := func(id string, inBaseline bool, place fitout.Point, kg float64) {
		if on[id] == inBaseline {
			return
		}
		sign := 1.0
		if inBaseline {
			sign = -1
		}
		m = m.Add(at(place, sign*kg))
		r.parts[id] = Moments{}.Add(at(place, -sign)).Axles(v.Wheelbase) // a kilogram more of it leaves so much less
	}
	for i := range v.Parts {
		differs(v.Parts[i].ID, v.Parts[i].InBaseline, v.Parts[i].At, v.Parts[i].Mass)
	}
	for i := range v.Modifications {
		differs(v.Modifications[i].ID, v.Modifications[i].InBaseline, v.Modifications[i].At, v.Modifications[i].Mass)
	}
	return m
}

// meanSide is the mean side of the centre of gravity over tickets with corners,
// with its standard uncertainty, mm.
func meanSide(v *fitout.Vehicle, readings []DryReading) (side, sigma float64, ok bool) {
	n := 0.0
	for _, r := range readings {
		if v.Baseline.Tickets[r.Index].Reading == fitout.ReadCorners {
			side, sigma, n = side+r.side, math.Hypot(sigma, r.sideSigma), n+1
		}
	}
	if n == 0 {
		return 0, 0, false
	}
	return side / n, sigma / n, true
}
