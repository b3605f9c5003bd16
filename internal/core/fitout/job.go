// Package fitout is the vocabulary of the trade: a Job with its vehicle and
// its variants, the items that stand in them, and what an engine can say about
// them. One set of types serves the engines, the API, the store and the
// .zaino.json file.
//
// Units are mm, kg, litres and degrees throughout. The frame is fixed to the
// unladen vehicle on level ground: x rearward of the front axle line, y to the
// right of the centre line looking forward, z above the ground.
package fitout

// Format and Version mark a document as a Zaino job of the shape that this
// package describes. Older versions are lifted by Decode, newer ones refused.
const (
	Format  = "zaino.job"
	Version = 15
)

// Job is one customer's build: the vehicle, shared by all variants, and the
// variants, each a whole arrangement of items.
type Job struct {
	Format   string     `json:"format" enum:"zaino.job" doc:"always zaino.job"`
	Version  int        `json:"version" doc:"version of the format, 15"`
	ID       string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string     `json:"name" minLength:"1" maxLength:"120"`
	Customer string     `json:"customer" maxLength:"200"`
	Note     string     `json:"note" maxLength:"4000"`
	Region   Region     `json:"region" enum:"anz,uk-eu,na" doc:"whose words are shown"`
	Units    Units      `json:"units" enum:"metric,us" doc:"units shown; the file itself is always in mm, kg and litres"`
	Datum    Datum      `json:"datum" enum:"front-axle,rear-axle,headboard,front-end,rear-end" doc:"where shown stations are measured from"`
	Brief    Brief      `json:"brief"`
	Vehicle  Vehicle    `json:"vehicle"`
	Practice Practice   `json:"practice" doc:"the workshop's own rules"`
	Accepted []Accepted `json:"accepted" key:"key,stance" maxItems:"500" doc:"findings that the specialist lets stand, each with a reason"`
	Route    Route      `json:"route" doc:"the way of the trip, with its stops"`
	Build    Build      `json:"build" doc:"what the workshop has, pays and does to make it"`
	Handover Handover   `json:"handover" doc:"what the customer is told and given, and what is due afterwards"`
	Training *Training  `json:"training,omitempty" doc:"present for an exercise"`
	Trailer  *Trailer   `json:"trailer,omitempty" doc:"what the vehicle tows, if it tows"`
	Variants []Variant  `json:"variants" key:"id" minItems:"1" maxItems:"20"`
	Chosen   string     `json:"chosen" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the variant that is shown and assessed"`
}

// Variant is one arrangement of items for the job's vehicle, with the switches
// and choices by which their presence varies.
type Variant struct {
	ID       string      `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string      `json:"name" minLength:"1" maxLength:"120"`
	Items    []Item      `json:"items" key:"id" maxItems:"2000"`
	Switches []Switch    `json:"switches" key:"id" maxItems:"200"`
	Choices  []Choice    `json:"choices" key:"id" maxItems:"100"`
	Stances  []Stance    `json:"stances" key:"id" maxItems:"30" doc:"how it stands for each purpose, beside the road"`
	Cases    []Case      `json:"cases" key:"id" maxItems:"40" doc:"named settings of everything that may vary"`
	UsedUp   []UsedFirst `json:"usedUp" key:"of" order:"meant" maxItems:"60" doc:"tanks and vessels in the order in which they are used up; those not named follow"`
	From     string      `json:"from" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the variant that it was made from; empty for none"`
	Stance   string      `json:"stance" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the stance in which loads are shown; empty for the road"`
	Why      string      `json:"why" maxLength:"1000" doc:"why it was adopted, or why not"`

	Electrics Electrics  `json:"electrics" doc:"what stores, charges and runs"`
	Plumbing  Plumbing   `json:"plumbing" doc:"what tanks and vessels hold, how they are filled, and what is drawn from them"`
	Fills     []StopFill `json:"fills" key:"stop,of" maxItems:"2000" doc:"how full tanks and vessels leave the stops of the route, where somebody decided it"`
	Done      []StepDone `json:"done" key:"step" maxItems:"3000" doc:"steps of the build that were ticked, weighed or noted"`
	WeighIns  []WeighIn  `json:"weighIns" key:"id" maxItems:"50" doc:"weighings of the vehicle with this fitout"`
	Tests     []TestDone `json:"tests" key:"test" maxItems:"2000" doc:"what came of the tests of the commissioning"`
}

// Point is a place in the vehicle's frame, mm.
type Point struct {
	X float64 `json:"x" minimum:"-20000" maximum:"20000" unit:"mm" doc:"mm rearward of the front axle"`
	Y float64 `json:"y" minimum:"-5000" maximum:"5000" unit:"mm" doc:"mm to the right of the centre line"`
	Z float64 `json:"z" minimum:"-2000" maximum:"8000" unit:"mm" doc:"mm above the ground"`
}

// Size is the outer size of a thing, mm, each side 0 or more.
type Size struct {
	Length float64 `json:"length" minimum:"0" maximum:"15000" unit:"mm" doc:"along the vehicle, mm"`
	Width  float64 `json:"width" minimum:"0" maximum:"15000" unit:"mm" doc:"across the vehicle, mm"`
	Height float64 `json:"height" minimum:"0" maximum:"15000" unit:"mm" doc:"mm"`
}

// ChosenVariant returns the variant that the job shows, or the first when the
// chosen id names none. It returns nil only for a job without variants, which
// Validate refuses.
func (j *Job) ChosenVariant() *Variant {
	for i := range j.Variants {
		if j.Variants[i].ID == j.Chosen {
			return &j.Variants[i]
		}
	}
	if len(j.Variants) == 0 {
		return nil
	}
	return &j.Variants[0]
}

// NewJob returns a job that can be opened and assessed at once: a generic
// dual-cab whose plate still has to be filled in, and no items.
func NewJob(id, name string, region Region) Job {
	units := Metric
	if region == NorthAmerica {
		units = US
	}
	return Job{
		Format: Format, Version: Version, ID: id, Name: name,
		Region: region, Units: units, Datum: DatumFrontAxle, Brief: NewBrief(), Practice: NewPractice(region),
		Route: NewRoute(),
		Build: NewBuild(), Handover: NewHandover(),
		Accepted: []Accepted{},
		Vehicle: Vehicle{
			Name:      "Dual-cab ute (replace by the plate)",
			Wheelbase: 3100, TrackFront: 1550, TrackRear: 1550, TyreRadius: 385,
			Outline: Outline{
				Body: BodyTray, FrontOverhang: 900, RearOverhang: 1250, Height: 1850, Width: 1880, BonnetHeight: 1150,
				CabFront: 350, CabRear: 2050, Headboard: 2150, FloorHeight: 880, SillHeight: 450,
			},
			Limits: UnstatedLimits(),
			Baseline: Baseline{
				Definition: Kerb, Split: SplitAssumed, Total: 2050, FrontShare: 0.57,
				CGHeight: 700, Tickets: []Ticket{},
			},
			Tanks: []Tank{{ID: "fuel", Name: "Fuel tank", Kind: TankFuel, Capacity: 75, Density: 0.84,
				At: Point{X: 2000, Z: 550}, Now: 75}},
			Seats: []Seat{
				{ID: "driver", Name: "Driver", Driver: true, At: Point{X: 1350, Y: 360, Z: 950}},
				{ID: "passenger", Name: "Front passenger", At: Point{X: 1350, Y: -360, Z: 950}},
				{ID: "rear-left", Name: "Rear left", At: Point{X: 2000, Y: -360, Z: 950}},
				{ID: "rear-right", Name: "Rear right", At: Point{X: 2000, Y: 360, Z: 950}},
			},
			Parts: []Part{}, LowPoints: []LowPoint{}, Mounts: []Mount{}, Marks: []Mark{}, Bays: []Bay{}, BodyMounts: []BodyMount{},
			Modifications: []Modification{},
			Hitch:         Hitch{Overhang: 1200, Height: 450},
		},
		Variants: []Variant{{ID: "a", Name: "A", Items: []Item{}, Switches: []Switch{}, Choices: []Choice{},
			Stances: []Stance{}, Cases: []Case{}, UsedUp: []UsedFirst{}, Electrics: NewElectrics(), Plumbing: NewPlumbing(), Fills: []StopFill{},
			Done: []StepDone{}, WeighIns: []WeighIn{}, Tests: []TestDone{}}},
		Chosen: "a",
	}
}
