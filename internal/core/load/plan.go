package load

import "zaino/internal/core/fitout"

// Placed is one item or tank as the load engine sees it.
type Placed struct {
	ID      string
	Name    string
	Mass    Mass    // with its present content; what it would weigh if it is not aboard; nothing where it rides on the trailer
	Towed   float64 // what it puts on the axles of the trailer, kg
	Trailer bool    // rides on the trailer
	Present bool    // aboard in the state shown
	Later   bool    // would be aboard, but is kept for later or fitted by others
}

// Effect is what the thing puts on each axle when aboard, kg.
func (p Placed) Effect(wheelbase float64) Axles {
	return Moments{}.Add(p.Mass).Axles(wheelbase)
}

// Plan is a job's vehicle and one variant, resolved to masses at places. It
// changes nothing of the job and may be asked any number of times.
type Plan struct {
	Wheelbase, TrackFront, TrackRear float64

	Dry          Mass // as listed, dry, nobody aboard, wheelbase extended
	NoDriverSeat bool // see Dry.NoDriverSeat
	Unladen      Moments
	Items        []Placed // in the variant's order
	Tanks        []Placed // contents of the vehicle's tanks, in its order
	Trailer      *fitout.Trailer
	Towing       Towing // of the trailer, whether coupled or not

	vehicle *fitout.Vehicle
	variant *fitout.Variant
}

// NewPlan resolves a valid job's chosen variant.
func NewPlan(j *fitout.Job) *Plan {
	v, variant := &j.Vehicle, j.ChosenVariant()
	p := &Plan{
		Wheelbase: v.ExtendedWheelbase(), TrackFront: v.TrackFront, TrackRear: v.TrackRear,
		Trailer: j.Trailer, vehicle: v, variant: variant,
	}
	dry := DryVehicle(v)
	p.Dry, p.NoDriverSeat = Extend(dry.Mass, v.Extension), dry.NoDriverSeat
	p.Unladen = Moments{}.Add(p.Dry)
	shift := 0.0
	if v.Extension != nil {
		shift = v.Extension.By
	}
	for i := range v.Parts {
		change := PartChange(&v.Parts[i], shift)
		p.Unladen = p.Unladen.Add(change[0]).Add(change[1])
	}
	for i := range v.Modifications {
		p.Unladen = p.Unladen.Add(ModificationChange(&v.Modifications[i], shift))
	}
	p.Tanks = make([]Placed, len(v.Tanks))
	for i := range v.Tanks {
		p.Tanks[i] = placedTank(&v.Tanks[i], shift)
	}
	p.Items = make([]Placed, len(variant.Items))
	present := newPresence(variant)
	for i := range variant.Items {
		item := &variant.Items[i]
		aboard, now := present.of(item), item.Work.Now()
		p.Items[i] = Placed{ID: item.ID, Name: item.Name, Present: aboard && now, Later: aboard && !now, Mass: placedItem(v, item, shift)}
		if item.OnTrailer && j.Trailer != nil {
			p.Items[i].Trailer, p.Items[i].Towed, p.Items[i].Mass = true, p.Items[i].Mass.Kg, Mass{}
		}
	}
	if j.Trailer != nil {
		p.Towing = Tow(j.Trailer, p.Wheelbase, v.Hitch.Overhang)
	}
	return p
}

func placedTank(tank *fitout.Tank, shift float64) Placed {
	m := at(tank.At, tank.Now*tank.Density)
	if tank.Behind {
		m.X += shift
	}
	return Placed{ID: tank.ID, Name: tank.Name, Mass: m, Present: true}
}

func placedItem(v *fitout.Vehicle, item *fitout.Item, shift float64) Mass {
	kg := item.Mass + item.Presence.Content()
	if seat := seatByID(v, item.Seat); item.Seat != "" && seat != nil {
		return at(seat.At, kg)
	}
	m := at(item.At, kg)
	if item.Behind {
		m.X += shift
	}
	return m
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

// onto adds a thing to moments; what rides on a trailer counts while that is
// coupled.
func (p *Placed) onto(m Moments, coupled bool) Moments {
	if coupled {
		m.Towed += p.Towed
	}
	return m.Add(p.Mass)
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

// presence knows which switches and choices hold in the state shown.
type presence struct {
	switches map[string]*fitout.Switch
	chosen   map[string]string
}

func newPresence(variant *fitout.Variant) presence {
	p := presence{make(map[string]*fitout.Switch, len(variant.Switches)), make(map[string]string, len(variant.Choices))}
	for i := range variant.Switches {
		p.switches[variant.Switches[i].ID] = &variant.Switches[i]
	}
	for i := range variant.Choices {
		p.chosen[variant.Choices[i].ID] = variant.Choices[i].Chosen
	}
	return p
}

// of reports whether an item is aboard: a switched one only with everything
// that its switch requires.
func (p presence) of(item *fitout.Item) bool {
	switch item.Presence.Kind {
	case fitout.BySwitch:
		return p.on(item.Presence.Switch)
	case fitout.ByChoice:
		return p.chosen[item.Presence.Choice] == item.Presence.Member
	}
	return true
}

func (p presence) on(id string) bool {
	s := p.switches[id]
	if s == nil || !s.On {
		return false
	}
	switch r := s.Requires; {
	case r == nil:
		return true
	case r.Switch != "":
		return p.on(r.Switch)
	default:
		return p.chosen[r.Choice] == r.Member
	}
}
