package fitout

// Electrics is the electrical installation of a variant: what stores, what charges, what
// runs, and how it is joined. What a thing weighs and where it stands says the item that
// it names; a name of something that is gone is a finding, not an error, so that nothing
// is lost when two people edit at once. A figure of 0 that its comment calls "not said"
// stands for what is usual of its kind.
type Electrics struct {
	Systems   []PowerSystem `json:"systems" key:"id" maxItems:"20"`
	Chargers  []Charger     `json:"chargers" key:"id" maxItems:"40"`
	Sources   []PowerSource `json:"sources" key:"id" maxItems:"60"`
	Inverters []Inverter    `json:"inverters" key:"id" maxItems:"20"`
	Loads     []PowerLoad   `json:"loads" key:"id" maxItems:"300"`
	Links     []PowerLink   `json:"links" key:"id" maxItems:"40"`
	Panels    []SwitchPanel `json:"panels" key:"id" maxItems:"30"`
	Circuits  []Circuit     `json:"circuits" key:"of" maxItems:"400" doc:"what was changed or agreed to of the circuits that are proposed"`
	Controls  []Control     `json:"controls" key:"id" maxItems:"60" doc:"switches and changeovers that people turn"`
	Outputs   []Output      `json:"outputs" key:"id" maxItems:"60" doc:"when a thing is on by itself"`
	Days      PowerDays     `json:"days"`
}

// PowerSystem is a battery, or several alike, with all that hangs on it.
type PowerSystem struct {
	ID       string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string     `json:"name" minLength:"1" maxLength:"120"`
	Kind     SystemKind `json:"kind" enum:"house,start,reserve,station,trailer"`
	Voltage  float64    `json:"voltage" minimum:"6" maximum:"60" unit:"V" doc:"class of the system, 12 or 24 V"`
	Battery  Battery    `json:"battery"`
	Full     float64    `json:"full" minimum:"0" maximum:"1" doc:"state of charge at the start, 0 to 1"`
	Reserve  float64    `json:"reserve" minimum:"0" maximum:"1" doc:"state of charge that is kept for the worst, 0 to 1; 0 = none"`
	Isolator bool       `json:"isolator" doc:"an isolator in reach cuts it off"`
	Meter    bool       `json:"meter" doc:"one shunt counts all of its current"`
	Item     string     `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that the battery or the power station is"`
	Ports    []Port     `json:"ports" key:"id" maxItems:"20" doc:"inputs and sockets of a power station, each with its limit"`
}

// SystemKind is what a system is for.
type SystemKind string

// The kinds of system.
const (
	HouseSystem   SystemKind = "house"
	StartSystem   SystemKind = "start"   // starts the engine
	ReserveSystem SystemKind = "reserve" // a second one that starts it, which nothing else can touch
	StationSystem SystemKind = "station" // a portable power station
	TrailerSystem SystemKind = "trailer"
)

// Battery is what a system stores in.
type Battery struct {
	Chemistry  Chemistry `json:"chemistry" enum:"lfp,agm,gel,flooded"`
	Capacity   float64   `json:"capacity" minimum:"0.1" maximum:"10000" unit:"Ah" doc:"of one at 20 h, Ah"`
	Parallel   float64   `json:"parallel" minimum:"1" maximum:"50" doc:"how many in parallel"`
	Usable     float64   `json:"usable" minimum:"0" maximum:"1" doc:"share that may be used; 0 = not said: 0.9 of lithium, 0.5 of lead"`
	Charge     float64   `json:"charge" minimum:"0" maximum:"5000" unit:"A" doc:"greatest charging current of all together, A; 0 = not said"`
	Discharge  float64   `json:"discharge" minimum:"0" maximum:"10000" unit:"A" doc:"greatest lasting current that it gives, all together, A; 0 = not said"`
	Resistance float64   `json:"resistance" minimum:"0" maximum:"1000" unit:"mΩ" doc:"inside, of all together, mΩ; 0 = not known"`
	Heated     bool      `json:"heated" doc:"warms itself before it charges"`
	Vented     bool      `json:"vented" doc:"its box breathes to the outside"`
	Warmer     float64   `json:"warmer" minimum:"-40" maximum:"60" unit:"°C" doc:"than the air outside, where it stands, degrees"`
}

// Chemistry is what a battery is made of.
type Chemistry string

// The chemistries: lithium iron phosphate, and three of lead.
const (
	LFP     Chemistry = "lfp"
	AGM     Chemistry = "agm"
	Gel     Chemistry = "gel"
	Flooded Chemistry = "flooded"
)

// Port is an input or a socket of a power station.
type Port struct {
	ID    string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name  string  `json:"name" minLength:"1" maxLength:"120"`
	Input bool    `json:"input" doc:"charges it; otherwise a socket"`
	Watts float64 `json:"watts" minimum:"0" maximum:"20000" unit:"W" doc:"most, W; 0 = not said"`
	Amps  float64 `json:"amps" minimum:"0" maximum:"1000" unit:"A" doc:"most, A; 0 = not said"`
	Volts float64 `json:"volts" minimum:"0" maximum:"1000" unit:"V" doc:"most of an input, V; 0 = not said"`
}

// Charger is a box that charges a system, from another one or from sources, which share
// its current.
type Charger struct {
	ID         string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name       string  `json:"name" minLength:"1" maxLength:"120"`
	System     string  `json:"system" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the system that it charges"`
	From       string  `json:"from" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the system that feeds it; empty: its sources do"`
	Amps       float64 `json:"amps" minimum:"0.1" maximum:"1000" unit:"A" doc:"most that it gives, A"`
	Efficiency float64 `json:"efficiency" minimum:"0" maximum:"1" doc:"0 = not said: 0.9"`
	For        string  `json:"for" enum:"any,lfp,agm,gel,flooded" doc:"chemistry that it is set for; any: it can be set"`
	Volts      float64 `json:"volts" minimum:"0" maximum:"1000" unit:"V" doc:"greatest voltage of a string of panels, V; 0 = not said"`
	Always     bool    `json:"always" doc:"works with the engine off too"`
	Port       string  `json:"port" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the input of a power station that it goes into; empty: to the battery"`
	Item       string  `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
}

// PowerSource is what energy comes from.
type PowerSource struct {
	ID      string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name    string     `json:"name" minLength:"1" maxLength:"120"`
	Kind    SourceKind `json:"kind" enum:"alternator,solar,mains,generator"`
	System  string     `json:"system" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the system that it charges, where no charger is named"`
	Charger string     `json:"charger" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the charger that it works through"`
	Amps    float64    `json:"amps" minimum:"0" maximum:"1000" unit:"A" doc:"most into the system, A; for the vehicle's own alternator its rating; 0 = by its watts"`
	Watts   float64    `json:"watts" minimum:"0" maximum:"20000" unit:"W" doc:"rated, W; 0 = by its amps"`
	Mount   Mounting   `json:"mount" enum:"flat,tilted,turned" doc:"of a solar panel"`
	Tilt    float64    `json:"tilt" minimum:"0" maximum:"90" unit:"°" doc:"of a tilted panel toward the equator, °"`
	Loose   bool       `json:"loose" doc:"a panel that is put up at camp, so that it gives nothing while driving"`
	Open    float64    `json:"open" minimum:"0" maximum:"1000" unit:"V" doc:"open-circuit voltage of the string at 25 °C, V; 0 = not said"`
	Shades  []Shade    `json:"shades" key:"id" maxItems:"24" doc:"of a solar panel"`
	Spans   []Span     `json:"spans" key:"id" maxItems:"24" doc:"hours at which a generator runs"`
	Fuel    float64    `json:"fuel" minimum:"0" maximum:"50" unit:"L" doc:"that a generator burns in an hour, L"`
	Exhaust bool       `json:"exhaust" doc:"a generator's exhaust goes outside, away from openings"`
	Item    string     `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
}

// SourceKind is where energy comes from.
type SourceKind string

// The kinds of source.
const (
	Alternator SourceKind = "alternator"
	Solar      SourceKind = "solar"
	Mains      SourceKind = "mains"
	Generator  SourceKind = "generator"
)

// Mounting is how a solar panel lies to the sun.
type Mounting string

// The mountings.
const (
	FlatPanel   Mounting = "flat"
	TiltedPanel Mounting = "tilted"
	TurnedPanel Mounting = "turned" // by hand, all day
)

// Shade is a share of a panel that is shaded at some hours.
type Shade struct {
	ID    string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	From  float64 `json:"from" minimum:"0" maximum:"24" unit:"h" doc:"hour of the day"`
	To    float64 `json:"to" minimum:"0" maximum:"24" unit:"h" doc:"hour of the day; before from: past midnight"`
	Share float64 `json:"share" minimum:"0" maximum:"1" doc:"of what it would give that is lost"`
}

// Span is some hours of the day.
type Span struct {
	ID    string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	From  float64 `json:"from" minimum:"0" maximum:"24" unit:"h" doc:"hour of the day"`
	To    float64 `json:"to" minimum:"0" maximum:"24" unit:"h" doc:"hour of the day; before from: past midnight"`
	Share float64 `json:"share" minimum:"0" maximum:"1" doc:"of the span in which it runs, 0 to 1"`
}

// Inverter makes mains voltage out of a battery's.
type Inverter struct {
	ID         string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name       string  `json:"name" minLength:"1" maxLength:"120"`
	System     string  `json:"system" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the system that feeds it"`
	Watts      float64 `json:"watts" minimum:"1" maximum:"50000" unit:"W" doc:"continuous, W"`
	Surge      float64 `json:"surge" minimum:"0" maximum:"100000" unit:"W" doc:"for a moment, W; 0 = not said"`
	Standby    float64 `json:"standby" minimum:"0" maximum:"1000" unit:"W" doc:"that it draws while it is on, W"`
	Efficiency float64 `json:"efficiency" minimum:"0" maximum:"1" doc:"0 = not said: 0.88"`
	Always     bool    `json:"always" doc:"stays on; otherwise it is on only with its loads"`
	Remote     bool    `json:"remote" doc:"a switch for it is in reach when all is packed"`
	Bonded     bool    `json:"bonded" doc:"its sockets are protected by a residual-current device that was proven with it"`
	Item       string  `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
}

// PowerLink joins two systems.
type PowerLink struct {
	ID         string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name       string   `json:"name" minLength:"1" maxLength:"120"`
	Kind       LinkKind `json:"kind" enum:"relay,changeover,emergency,lead"`
	From       string   `json:"from" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a system"`
	To         string   `json:"to" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the other"`
	Amps       float64  `json:"amps" minimum:"0" maximum:"5000" unit:"A" doc:"rating, A; 0 = not said"`
	Close      float64  `json:"close" minimum:"0" maximum:"60" unit:"V" doc:"voltage above which a relay joins them; 0 = 13.3 V, twice at 24 V"`
	Open       float64  `json:"open" minimum:"0" maximum:"60" unit:"V" doc:"voltage below which it parts them; 0 = 12.8 V, twice at 24 V"`
	BreakFirst bool     `json:"breakFirst" doc:"a changeover parts the one before it joins the other, and never feeds both"`
	ByHand     bool     `json:"byHand" doc:"somebody has to hold or press it"`
	Item       string   `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
}

// LinkKind is what joins two systems.
type LinkKind string

// The kinds of link.
const (
	RelayLink      LinkKind = "relay"      // senses the voltage
	ChangeoverLink LinkKind = "changeover" // turned by hand
	EmergencyLink  LinkKind = "emergency"  // in parallel, to start the engine
	LeadLink       LinkKind = "lead"       // to the trailer; from what starts the engine it is live while the engine runs
)

// NewElectrics returns electrics in which nothing is entered, with the days of the brief.
func NewElectrics() Electrics {
	return Electrics{
		Systems: []PowerSystem{}, Chargers: []Charger{}, Sources: []PowerSource{}, Inverters: []Inverter{},
		Loads: []PowerLoad{}, Links: []PowerLink{}, Panels: []SwitchPanel{}, Circuits: []Circuit{},
		Controls: []Control{}, Outputs: []Output{}, Days: NewPowerDays(),
	}
}

// Device is what a component of the catalogue is electrically: what comes into the
// electrics with it. At most one of each is there.
type Device struct {
	System   *PowerSystem `json:"system,omitempty"`
	Charger  *Charger     `json:"charger,omitempty"`
	Source   *PowerSource `json:"source,omitempty"`
	Inverter *Inverter    `json:"inverter,omitempty"`
	Load     *PowerLoad   `json:"load,omitempty"`
	Link     *PowerLink   `json:"link,omitempty"`
	Panel    *SwitchPanel `json:"panel,omitempty"`
}

// Take adds what a device is to the electrics, as it is.
func (e *Electrics) Take(d *Device) {
	add(&e.Systems, d.System)
	add(&e.Chargers, d.Charger)
	add(&e.Sources, d.Source)
	add(&e.Inverters, d.Inverter)
	add(&e.Loads, d.Load)
	add(&e.Links, d.Link)
	add(&e.Panels, d.Panel)
}

func add[T any](list *[]T, thing *T) {
	if thing != nil {
		*list = append(*list, *thing)
	}
}

// Named is one thing of the electrics with its name and the item that it is.
type Named struct{ ID, Name, Item string }

// Named are all things of the electrics that an id may name.
func (e *Electrics) Named() []Named {
	var all []Named
	for _, t := range e.Systems {
		all = append(all, Named{t.ID, t.Name, t.Item})
	}
	for _, t := range e.Chargers {
		all = append(all, Named{t.ID, t.Name, t.Item})
	}
	for _, t := range e.Sources {
		all = append(all, Named{t.ID, t.Name, t.Item})
	}
	for _, t := range e.Inverters {
		all = append(all, Named{t.ID, t.Name, t.Item})
	}
	for _, t := range e.Loads {
		all = append(all, Named{t.ID, t.Name, t.Item})
	}
	for _, t := range e.Links {
		all = append(all, Named{t.ID, t.Name, t.Item})
	}
	for _, t := range e.Panels {
		all = append(all, Named{t.ID, t.Name, t.Item})
	}
	return all
}

// NameOf is what a thing of the electrics is called; false for what is not there.
func (e *Electrics) NameOf(id string) (string, bool) {
	for _, named := range e.Named() {
		if named.ID == id {
			return named.Name, true
		}
	}
	return "", false
}
