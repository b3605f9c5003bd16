package fitout

// Stance is how the vehicle stands for one purpose: what is open, where each
// loose piece lies, which seats are folded. Shut and loaded for the road is a
// stance too, and needs no entry. Names of things that are gone are passed over.
type Stance struct {
	ID       string        `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string        `json:"name" minLength:"1" maxLength:"120"`
	Use      StanceUse     `json:"use" enum:"drive,cook,sleep,other" doc:"what it is for"`
	Open     []Opened      `json:"open" key:"module,cell" maxItems:"200" doc:"what is open"`
	Doors    []Door        `json:"doors" key:"bay" maxItems:"60" doc:"whose doors, hatches and lids are open"`
	Loose    []LoosePlace  `json:"loose" key:"item" maxItems:"200" doc:"things that lie elsewhere than on the road"`
	Folded   []SeatKept    `json:"folded" key:"seat" maxItems:"60" doc:"seats that are folded or out"`
	Turned   []SeatTurned  `json:"turned" key:"seat" maxItems:"60" doc:"seats that are turned"`
	Hung     []Hung        `json:"hung" key:"traveller" maxItems:"20" doc:"hammocks, each for one of those who sleep inside"`
	Sleepers []Sleeper     `json:"sleepers" key:"traveller" maxItems:"60" doc:"who sleeps inside"`
	People   []Placed      `json:"people" key:"traveller" maxItems:"60" doc:"who stands, sits, dresses, passes or works where"`
	Off      bool          `json:"off" doc:"the carrier stands off the vehicle, on its legs, with all that comes off with it"`
	Ground   []GroundThing `json:"ground" key:"id" maxItems:"60" doc:"what stands around the vehicle"`
}

// StanceUse is what a stance is for; it decides which rules hold in it.
type StanceUse string

// The uses of a stance.
const (
	StanceDrive StanceUse = "drive" // on the road, or about town
	StanceCook  StanceUse = "cook"
	StanceSleep StanceUse = "sleep"
	StanceOther StanceUse = "other"
)

// Opened is a module that is open, or one of its drawers.
type Opened struct {
	Module string  `json:"module" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the module"`
	Cell   string  `json:"cell" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the drawer; empty for the whole module"`
	Share  float64 `json:"share" minimum:"0" maximum:"1" doc:"how far it is open; 0: all the way"`
}

// Door is the opening of a bay.
type Door struct {
	Bay   string  `json:"bay" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the bay"`
	Share float64 `json:"share" minimum:"0" maximum:"1" doc:"how far it is open; 0: all the way"`
}

// SeatTurned is a seat that looks elsewhere than ahead.
type SeatTurned struct {
	Seat string  `json:"seat" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a seat of the vehicle"`
	By   float64 `json:"by" minimum:"-360" maximum:"360" unit:"°" doc:"toward the right; negative toward the left"`
}

// Hung is a hammock that hangs on two mounting points of the vehicle.
type Hung struct {
	Traveller string  `json:"traveller" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the traveller of the brief who lies in it"`
	Head      string  `json:"head" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the mounting point at the head; empty for not chosen"`
	Foot      string  `json:"foot" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the mounting point at the feet; empty for not chosen"`
	Low       float64 `json:"low" minimum:"-5000" maximum:"10000" unit:"mm" doc:"height of its lowest point with somebody in it, mm"`
	Kg        float64 `json:"kg" minimum:"0" maximum:"100" unit:"kg" doc:"of the hammock with its bedding, kg"`
}

// LoosePlace is where a thing lies in a stance.
type LoosePlace struct {
	Item    string `json:"item" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the item"`
	Outside bool   `json:"outside" doc:"stands on the ground, in nobody's way"`
	At      Point  `json:"at" doc:"middle of its box, where it is not outside"`
}

// Sleeper is a traveller who sleeps inside.
type Sleeper struct {
	Traveller string `json:"traveller" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a traveller of the brief"`
}
