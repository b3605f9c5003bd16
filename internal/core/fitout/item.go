package fitout

// Item is any mass with a station: a module, gear, a person, water.
type Item struct {
	ID        string       `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name      string       `json:"name" minLength:"1" maxLength:"120"`
	Group     string       `json:"group" maxLength:"200" doc:"heading under which the ledger lists it"`
	Form      Form         `json:"form" enum:"box,tank,wheel,person,animal,soft" doc:"how the scene draws it"`
	Mass      float64      `json:"mass" minimum:"0" maximum:"20000" unit:"kg" doc:"kg; for a level item the mass of the empty vessel"`
	At        Point        `json:"at" doc:"centre of mass"`
	Size      Size         `json:"size"`
	Source    MassSource   `json:"source" enum:"weighed,data-sheet,material,estimate" doc:"where the mass comes from"`
	Presence  Presence     `json:"presence"`
	Seat      string       `json:"seat" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the seat that it travels in; its station is then the seat's"`
	Bay       string       `json:"bay" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the bay that it stands in; empty for none"`
	Behind    bool         `json:"behind" doc:"moves rearward with a wheelbase extension"`
	Note      string       `json:"note" maxLength:"4000"`
	Substance Substance    `json:"substance" enum:",none,water,petrol,diesel,gas,spirits,acid,bleach,food,dirt" doc:"what it holds or is; empty: not said"`
	Work      Work         `json:"work" enum:",existing,later,others" doc:"there already, kept for later, or fitted by others; empty is of this build"`
	Locked    bool         `json:"locked" doc:"stays where it is on the bench"`
	OnTrailer bool         `json:"onTrailer" doc:"rides on the trailer, over its axle, where there is one"`
	In        *InCell      `json:"in,omitempty" doc:"the compartment that it lies in"`
	Module    *Module      `json:"module,omitempty" doc:"present for a part of the fitout"`
	Component string       `json:"component" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the component of the catalogue that it was"`
	Price     int          `json:"price" minimum:"0" maximum:"100000000000" unit:"cents" doc:"in cents of the brief's currency; 0 = not said"`
	Cables    bool         `json:"cables" doc:"it stands for cables of the board: what they weigh is counted in it"`
	Noise     float64      `json:"noise" minimum:"0" maximum:"140" unit:"dB" doc:"how loud it is at 1 m when it runs, dB; 0 = not said"`
	Nights    bool         `json:"nights" doc:"it runs while people sleep"`
	Hung      bool         `json:"hung" doc:"it stands on rubber or is hung, so that the body does not sound with it"`
	Loading   *Loading     `json:"loading,omitempty" doc:"how it comes in and out where it is not carried; absent: by hand"`
	Planned   *PlannedMass `json:"planned,omitempty" doc:"what it was taken to weigh before it was weighed; absent: not weighed as a part"`
	Making    *Making      `json:"making,omitempty" doc:"how it comes about; absent: built ones are made here, others bought"`
}

// Form is the shape by which the scene shows an item.
type Form string

// The forms.
const (
	FormBox    Form = "box"
	FormTank   Form = "tank"
	FormWheel  Form = "wheel"
	FormPerson Form = "person"
	FormAnimal Form = "animal"
	FormSoft   Form = "soft"
)

// MassSource is where a mass comes from, which decides how far it is believed.
type MassSource string

// The sources of a mass, surest first.
const (
	ByScale    MassSource = "weighed"
	DataSheet  MassSource = "data-sheet"
	ByMaterial MassSource = "material"
	Estimate   MassSource = "estimate"
)

// Presence says when an item is aboard.
type Presence struct {
	Kind   PresenceKind `json:"kind" enum:"always,switch,level,choice"`
	Switch string       `json:"switch" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the switch, for kind switch"`
	Choice string       `json:"choice" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the choice, for kind choice"`
	Member string       `json:"member" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the choice's member, for kind choice"`
	Level  *Level       `json:"level,omitempty" doc:"for kind level"`
}

// PresenceKind is one of the four ways in which presence varies.
type PresenceKind string

// The kinds of presence.
const (
	Always   PresenceKind = "always"
	BySwitch PresenceKind = "switch"
	ByLevel  PresenceKind = "level"
	ByChoice PresenceKind = "choice"
)

// Level is a content that varies between Min and Max.
type Level struct {
	Min     float64 `json:"min" minimum:"0" maximum:"5000" unit:"L" doc:"litres"`
	Max     float64 `json:"max" minimum:"0" maximum:"5000" unit:"L" doc:"litres"`
	Now     float64 `json:"now" minimum:"0" maximum:"5000" unit:"L" doc:"litres in the state shown"`
	Density float64 `json:"density" minimum:"0.1" maximum:"20" unit:"kg/L" doc:"kg per litre"`
}

// Switch turns the items that name it on and off together. It may require
// another switch, or a member of a choice: it then counts only with that.
type Switch struct {
	ID       string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string   `json:"name" minLength:"1" maxLength:"120"`
	On       bool     `json:"on" doc:"in the state shown"`
	Requires *Require `json:"requires,omitempty"`
}

// Require names what a switch hangs on: a switch, or a member of a choice.
type Require struct {
	Switch string `json:"switch,omitempty" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64"`
	Choice string `json:"choice,omitempty" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64"`
	Member string `json:"member,omitempty" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64"`
}

// Choice is an exclusive set: one member at a time, or none where None allows it.
type Choice struct {
	ID      string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name    string   `json:"name" minLength:"1" maxLength:"120"`
	Members []Member `json:"members" key:"id" maxItems:"50"`
	None    bool     `json:"none" doc:"none of the members is possible too"`
	Chosen  string   `json:"chosen" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the member in the state shown, or empty for none"`
}

// Member is one alternative of a Choice; several items may belong to it.
type Member struct {
	ID   string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name string `json:"name" minLength:"1" maxLength:"120"`
}

// Content returns the mass of what a level item holds now, kg; 0 for others.
func (p Presence) Content() float64 {
	if p.Kind != ByLevel || p.Level == nil {
		return 0
	}
	return p.Level.Now * p.Level.Density
}
