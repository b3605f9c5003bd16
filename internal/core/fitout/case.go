package fitout

// Case is a named setting of what may vary: leaving home full, the end of the
// trip, the trailer on. What it does not name is as in the state shown; names of
// things that are gone are passed over.
type Case struct {
	ID       string       `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string       `json:"name" minLength:"1" maxLength:"120"`
	Switches []CaseSwitch `json:"switches" key:"switch" maxItems:"200"`
	Choices  []CaseChoice `json:"choices" key:"choice" maxItems:"100"`
	Levels   []CaseLevel  `json:"levels" key:"of" maxItems:"200"`
	People   []CasePerson `json:"people" key:"item" maxItems:"60"`
	Coupled  bool         `json:"coupled" doc:"the trailer is coupled, where there is one"`
	Charges  []CaseCharge `json:"charges" key:"system" maxItems:"20" doc:"what batteries hold when it begins; those not named are as planned"`
	Stance   string       `json:"stance" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the stance that belongs to it; empty for the road"`
}

// CaseSwitch sets a switch.
type CaseSwitch struct {
	Switch string `json:"switch" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	On     bool   `json:"on"`
}

// CaseChoice sets a choice; an empty member is none.
type CaseChoice struct {
	Choice string `json:"choice" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Member string `json:"member" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64"`
}

// CaseLevel sets the content of a tank of the vehicle or of a level item.
type CaseLevel struct {
	Of     string  `json:"of" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a tank or of an item"`
	Litres float64 `json:"litres" minimum:"0" maximum:"5000" unit:"L"`
}

// CasePerson says who comes along, and on which seat.
type CasePerson struct {
	Item   string `json:"item" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the item that is the person or animal"`
	Aboard bool   `json:"aboard" doc:"false: stays at home, whatever else is set"`
	Seat   string `json:"seat" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the seat; empty for where they sit in the plan"`
}

// CaseCharge sets what a battery holds when the days begin: a trailer that stood empty.
type CaseCharge struct {
	System string  `json:"system" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a system of the electrics"`
	Charge float64 `json:"charge" minimum:"0" maximum:"1" doc:"state of charge, 0 to 1"`
}

// UsedFirst names a tank or level item in the order of use.
type UsedFirst struct {
	Of string `json:"of" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a tank or of an item"`
}
