package fitout

// Handover is what the customer is told and given, and what is due afterwards. It is shared by all variants.
type Handover struct {
	Papers     []Paper     `json:"papers" key:"id" maxItems:"200" doc:"certificates, tickets and other papers"`
	Locks      []Locked    `json:"locks" key:"id" maxItems:"100"`
	Warranties []Warranty  `json:"warranties" key:"id" maxItems:"200"`
	Intervals  []Interval  `json:"intervals" key:"id" maxItems:"200" doc:"what is due again and again"`
	Walk       []Walked    `json:"walk" key:"point" maxItems:"500" doc:"what was gone through with the customer"`
	Signed     []Signature `json:"signed" key:"id" maxItems:"20"`
	Pack       PackMade    `json:"pack" doc:"the pack that was given"`
	Delivered  string      `json:"delivered" maxLength:"10" doc:"day of the handover, as 2026-03-30; empty: not yet"`
	Km         float64     `json:"km" minimum:"0" maximum:"5000000" unit:"km" doc:"on the clock at the handover, km"`
	Care       string      `json:"care" maxLength:"4000" doc:"how it is cared for, in the workshop's words"`
	Cautions   string      `json:"cautions" maxLength:"4000" doc:"what the customer must know, in the workshop's words"`
	Left       string      `json:"left" maxLength:"4000" doc:"what was left for later or for others"`
	Contact    string      `json:"contact" maxLength:"400" doc:"whom to ask"`
}

// Paper is a certificate, a ticket, or what else is kept with the vehicle.
type Paper struct {
	ID      string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name    string    `json:"name" minLength:"1" maxLength:"120"`
	Kind    PaperKind `json:"kind" enum:"engineering,gas,low-voltage,mains,seats,weighbridge,tyres,manual,receipt,other"`
	By      string    `json:"by" maxLength:"120" doc:"who did the work or gave it"`
	Licence string    `json:"licence" maxLength:"120" doc:"for what they are licensed, and its number"`
	Number  string    `json:"number" maxLength:"120"`
	Issued  string    `json:"issued" maxLength:"10" doc:"as 2026-03-30"`
	Expires string    `json:"expires" maxLength:"10" doc:"as 2028-03-30; empty: never"`
	Of      string    `json:"of" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is of; empty: the whole"`
	File    string    `json:"file" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the file that is kept of it; empty for none"`
	Needed  bool      `json:"needed" doc:"it is not handed over without it"`
}

// PaperKind is what a paper is about.
type PaperKind string

// The kinds of paper.
const (
	PaperEngineering PaperKind = "engineering"
	PaperGas         PaperKind = "gas"
	PaperLowVoltage  PaperKind = "low-voltage"
	PaperMains       PaperKind = "mains"
	PaperSeats       PaperKind = "seats"
	PaperWeighbridge PaperKind = "weighbridge"
	PaperTyres       PaperKind = "tyres"
	PaperManual      PaperKind = "manual"
	PaperReceipt     PaperKind = "receipt"
	PaperOther       PaperKind = "other"
)

// Locked is one lock with its keys.
type Locked struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120" doc:"what it locks"`
	Of     string  `json:"of" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is on; empty for none"`
	Number string  `json:"number" maxLength:"120" doc:"on the key"`
	Alike  string  `json:"alike" maxLength:"60" doc:"those with the same word here are keyed alike"`
	Keys   float64 `json:"keys" minimum:"0" maximum:"100" doc:"how many keys there are"`
	Holder string  `json:"holder" maxLength:"200" doc:"who has one"`
}

// Warranty is what somebody stands for.
type Warranty struct {
	ID    string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name  string `json:"name" minLength:"1" maxLength:"120"`
	Of    string `json:"of" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is of; empty: the whole"`
	By    string `json:"by" maxLength:"120" doc:"who stands for it"`
	Until string `json:"until" maxLength:"10" doc:"as 2028-03-30"`
	Voids string `json:"voids" maxLength:"400" doc:"what voids it"`
}

// Interval is something that is due after a time or a way, once or again and again.
type Interval struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	Months float64 `json:"months" minimum:"0" maximum:"240" doc:"months after which it is due; 0 = not by time"`
	Km     float64 `json:"km" minimum:"0" maximum:"500000" unit:"km" doc:"km after which it is due; 0 = not by way"`
	Rough  bool    `json:"rough" doc:"its km are those of rough roads alone"`
	Once   bool    `json:"once" doc:"once after the handover, not again"`
	LastOn string  `json:"lastOn" maxLength:"10" doc:"when it was done last, as 2026-03-30; empty: at the handover"`
	LastKm float64 `json:"lastKm" minimum:"0" maximum:"5000000" unit:"km" doc:"on the clock when it was done last, km; 0 = at the handover"`
}

// Walked is one point of the walk-round with the customer.
type Walked struct {
	Point string `json:"point" maxLength:"160"`
	Done  bool   `json:"done"`
	Note  string `json:"note" maxLength:"1000"`
}

// Signature is a name that was drawn by hand on the screen.
type Signature struct {
	ID      string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Role    Signer `json:"role" enum:"workshop,customer"`
	Name    string `json:"name" minLength:"1" maxLength:"120"`
	On      string `json:"on" maxLength:"40" doc:"when, as 2026-03-30T15:04"`
	Strokes string `json:"strokes" maxLength:"40000" doc:"as drawn, in a field of 600 by 200: M x y L x y …"`
	Sum     string `json:"sum" maxLength:"64" doc:"fingerprint of what was signed"`
}

// Signer is one of the two who sign.
type Signer string

// The workshop and the customer.
const (
	SignsWorkshop Signer = "workshop"
	SignsCustomer Signer = "customer"
)

// PackMade says when a pack was made, and of what.
type PackMade struct {
	On  string `json:"on" maxLength:"40" doc:"when, as 2026-03-30T15:04; empty: not yet"`
	Sum string `json:"sum" maxLength:"64" doc:"fingerprint of what it was made of"`
}

// TestDone is what came of one test of the commissioning.
type TestDone struct {
	Test     string  `json:"test" maxLength:"160"`
	Passed   Yes     `json:"passed" enum:",yes,no" doc:"empty: not tried yet"`
	Measured float64 `json:"measured" minimum:"-100000" maximum:"100000" doc:"in the unit of the test; 0 = nothing noted"`
	By       string  `json:"by" maxLength:"120"`
	On       string  `json:"on" maxLength:"40" doc:"when, as 2026-03-30T15:04"`
	Note     string  `json:"note" maxLength:"1000"`
	Tagged   bool    `json:"tagged" doc:"locked out and tagged until it passes"`
	Photo    string  `json:"photo" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a photo of it; empty for none"`
}

// NewHandover returns a handover with the usual intervals of the trade, and nothing else said.
func NewHandover() Handover {
	return Handover{
		Papers: []Paper{}, Locks: []Locked{}, Warranties: []Warranty{}, Walk: []Walked{}, Signed: []Signature{},
		Intervals: []Interval{
			{ID: "wheel-nuts", Name: "Wheel nuts: torque again", Km: 100, Once: true},
			{ID: "fixings", Name: "Bolts of the fitout: torque again", Km: 500, Once: true},
			{ID: "runners", Name: "Runners and hinges: look, clean, torque", Km: 5000, Rough: true},
			{ID: "seals", Name: "Seals, hoses and vents", Months: 12},
			{ID: "pressures", Name: "Tyre pressures, by the load carried", Months: 1},
		},
	}
}
