package load

import "zaino/internal/core/fitout"

// Placed is one item or tank as the load engine sees it.
type Placed struct {
	ID   string
	Name string
	// with its present content; what it would weigh if it is not aboard; nothing where it rides on the trailer
	Mass    Mass
	Towed   float64 // what it puts on the axles of the trailer, kg
	Trailer bool    // rides on the trailer
	Present bool    // aboard in the state shown
	Later   bool    // would be aboard, but is kept for later or fitted by others
	Road    bool    // aboard, now or later, as it stands on the road, whatever stance is shown
}

// Effect is what the thing puts on each axle when aboard, kg.
func (p Placed) Effect(wheelbase float64) Axles {
	return Moments{}.Add(p.Mass).Axles(wheelbase)
}

// Kg is what a thing weighs, wherever it rides.
func (p *Placed) Kg() float64 { return p.Mass.Kg + p.Towed }

func (p *Placed) setKg(kg float64) {
	if p.Trailer {
		p.Towed = kg
	} else {
		p.Mass.Kg = kg
	}
}

// onto adds a thing to moments; what rides on a trailer counts while that is
// coupled.
func (p *Placed) onto(m Moments, coupled bool) Moments {
	if coupled {
		m.Towed += p.Towed
	}
	return m.Add(p.Mass)
}

// Plan is a job's vehicle and one variant, resolved to masses at places. It
// changes nothing of the job and may be asked any number of times.
type Plan struct {
	Wheelbase, TrackFront, TrackRear float64

	Job          *fitout.Job // as it stands, with its wheelbase extension
	Weighing     Weighing    // what the tickets say together, where the baseline is as weighed
	Dry          Mass        // as listed, dry, nobody aboard, wheelbase extended
	NoDriverSeat bool        // see Dry.NoDriverSeat
	Unladen      Moments
	Items        []Placed // in the variant's order
	Tanks        []Placed // contents of the vehicle's tanks, in its order
	Trailer      *fitout.Trailer
	Towing       Towing // of the trailer, whether coupled or not

	weighedAt float64     // wheelbase at which the baseline was read, before any extension, mm
	of        *fitout.Job // as it was given
	vehicle   *fitout.Vehicle
	variant   *fitout.Variant
	road      []Mass  // of the items, where they are on the road, whatever is shown
	holders   []int   // index of the module that an item lies in, or −1
	variety   variety // what may vary, and what hangs on what

	calibration *Calibration // nil where no weighing calibrates the plan
}

// NewPlan resolves a valid job's chosen variant. Its places are as the document
// keeps them; the plan has them as they stand with a wheelbase extension.
func NewPlan(j *fitout.Job) *Plan { return newPlan(j, true) }

// Plain returns the plan by its own figures, without what weighings of the loaded vehicle say.
func (p *Plan) Plain() *Plan {
	if p.calibration == nil {
		return p
	}
	return newPlan(p.of, false)
}

func newPlan(j *fitout.Job, calibrated bool) *Plan {
	standing := j.Standing()
	v, variant := &standing.Vehicle, standing.ChosenVariant()
	p := &Plan{
		Wheelbase: v.Wheelbase, TrackFront: v.TrackFront, TrackRear: v.TrackRear, Job: &standing,
		Trailer: j.Trailer, weighedAt: j.Vehicle.Wheelbase, of: j, vehicle: v, variant: variant,
	}
	if j.Vehicle.Baseline.Definition == fitout.AsWeighed {
		p.Weighing = Weigh(&j.Vehicle, &j.Practice.Uncertainty)
	}
	dry := DryVehicle(&j.Vehicle, &p.Weighing)
	p.Dry, p.NoDriverSeat = Extend(dry.Mass, j.Vehicle.Extension), dry.NoDriverSeat
	p.Unladen = Moments{}.Add(p.Dry)
	for i := range v.Parts {
		change := PartChange(&v.Parts[i])
		p.Unladen = p.Unladen.Add(change[0]).Add(change[1])
	}
	for i := range v.Modifications {
		p.Unladen = p.Unladen.Add(ModificationChange(&v.Modifications[i]))
	}
	p.Tanks = make([]Placed, len(v.Tanks))
	for i := range v.Tanks {
		t := &v.Tanks[i]
		p.Tanks[i] = Placed{ID: t.ID, Name: t.Name, Mass: at(t.At, t.Now*t.Density), Present: true}
	}
	p.place()
	if calibrated {
		p.calibrate()
	}
	p.holders = holders(variant.Items)
	p.variety = newVariety(p)
	shown, road := p.Shown(), p.asSet()
	p.settleRequirements(&road)
	for i := range p.Items {
		thing := &p.Items[i]
		aboard, now := p.aboard(i, &shown), p.now(i)
		thing.Present, thing.Later, thing.Road = aboard && now, aboard && !now, p.aboard(i, &road)
		if place, elsewhere := shown.At[thing.ID]; elsewhere && !thing.Trailer {
			thing.Mass = at(place, thing.Mass.Kg)
		}
	}
	if j.Trailer != nil {
		p.Towing = Tow(j.Trailer, p.Wheelbase, v.Hitch.Overhang)
	}
	return p
}

// place puts every item where it stands, sits or rides.
func (p *Plan) place() {
	p.Items, p.road = make([]Placed, len(p.variant.Items)), make([]Mass, len(p.variant.Items))
	for i := range p.variant.Items {
		item := &p.variant.Items[i]
		thing := Placed{ID: item.ID, Name: item.Name, Mass: at(item.At, item.Mass+item.Presence.Content())}
		if seat := seatByID(p.vehicle, item.Seat); item.Seat != "" && seat != nil {
			thing.Mass = at(seat.At, thing.Mass.Kg)
		}
		if item.OnTrailer && p.Trailer != nil {
			thing.Trailer, thing.Towed, thing.Mass = true, thing.Mass.Kg, Mass{}
		}
		p.Items[i], p.road[i] = thing, thing.Mass
	}
}

// holders are the indices of the modules that items lie in, −1 for what lies in none.
func holders(items []fitout.Item) []int {
	index := make(map[string]int, len(items))
	for i := range items {
		index[items[i].ID] = i
	}
	all := make([]int, len(items))
	for i := range items {
		all[i] = -1
		if in := items[i].In; in != nil {
			if k, known := index[in.Module]; known {
				all[i] = k
			}
		}
	}
	return all
}

// within visits an item and every module that it lies in, however deep, until visit
// returns false; it tells whether all were visited.
func (p *Plan) within(i int, visit func(i int) bool) bool {
	for depth := 0; i >= 0 && depth <= len(p.holders); depth++ {
		if !visit(i) {
			return false
		}
		i = p.holders[i]
	}
	return true
}

// now tells whether an item, and every module that it lies in, is there when this
// build is handed over.
func (p *Plan) now(i int) bool {
	return p.within(i, func(k int) bool { return p.variant.Items[k].Work.Now() })
}

// Now returns the moments of the state shown, without trailer.
func (p *Plan) Now() Moments {
	m := p.Unladen
	for i := range p.Tanks {
		m = m.Add(p.Tanks[i].Mass)
	}
	for i := range p.Items {
		if p.Items[i].Present {
			m = p.Items[i].onto(m, p.Coupled())
		}
	}
	return m
}

// TrailerMass is what the trailer weighs uncoupled in the state shown, with what
// rides on it, kg; 0 without one.
func (p *Plan) TrailerMass() float64 {
	if p.Trailer == nil {
		return 0
	}
	sum := p.Trailer.Mass
	for i := range p.Items {
		if p.Items[i].Present {
			sum += p.Items[i].Towed
		}
	}
	return sum
}

// Later returns the moments of what comes later or from others, in the state
// shown: what the finished vehicle carries more than now.
func (p *Plan) Later() Moments {
	m := Moments{}
	for i := range p.Items {
		if p.Items[i].Later {
			m = p.Items[i].onto(m, p.Coupled())
		}
	}
	return m
}

// Coupled reports whether the trailer is coupled in the state shown.
func (p *Plan) Coupled() bool { return p.Trailer != nil && p.Trailer.Coupled }

// Axles returns the axle loads of the state shown, with the trailer if it is
// coupled.
func (p *Plan) Axles() Axles {
	axles := p.Now().Axles(p.Wheelbase)
	if p.Coupled() {
		axles = axles.Plus(p.Towing.Vehicle)
	}
	return axles
}

// Combination returns the mass of vehicle and trailer together, kg: the
// vehicle's gross plus what rests on the trailer's own axles.
func (p *Plan) Combination() float64 {
	gross := p.Axles().Gross()
	if p.Coupled() {
		gross += p.Towing.TrailerAxle + p.Now().Towed
	}
	return gross
}
