package fitout

// Vehicle is the vehicle as it stands before the build: its axles, what it may
// carry, what it weighs, and what of it can be filled, sat in or taken off.
type Vehicle struct {
	Name          string         `json:"name" maxLength:"200"`
	Wheelbase     float64        `json:"wheelbase" minimum:"1000" maximum:"12000" unit:"mm" doc:"front axle line to rear axle line before any extension, mm"`
	TrackFront    float64        `json:"trackFront" minimum:"500" maximum:"4000" unit:"mm" doc:"mm"`
	TrackRear     float64        `json:"trackRear" minimum:"500" maximum:"4000" unit:"mm" doc:"mm"`
	Fuel          Fuel           `json:"fuel" enum:",diesel,petrol" doc:"what the engine burns; empty: by the density of its fuel tanks"`
	TyreRadius    float64        `json:"tyreRadius" minimum:"150" maximum:"1000" unit:"mm" doc:"mm"`
	TyreWidth     float64        `json:"tyreWidth" minimum:"0" maximum:"600" unit:"mm" doc:"of the tyre as it stands, mm; 0 = not measured"`
	SteeringLock  float64        `json:"steeringLock" minimum:"0" maximum:"60" unit:"°" doc:"how far the front wheels turn, °; 0 = not measured"`
	MirrorWidth   float64        `json:"mirrorWidth" minimum:"0" maximum:"5000" unit:"mm" doc:"over both mirrors, mm; 0 = not measured"`
	Front         Axle           `json:"front" doc:"the front axle: spring, bump clearance, tyres"`
	Rear          Axle           `json:"rear"`
	Outline       Outline        `json:"outline"`
	Limits        Limits         `json:"limits"`
	Baseline      Baseline       `json:"baseline"`
	Tanks         []Tank         `json:"tanks" key:"id" maxItems:"20"`
	Seats         []Seat         `json:"seats" key:"id" maxItems:"60"`
	Parts         []Part         `json:"parts" key:"id" maxItems:"200"`
	Hitch         Hitch          `json:"hitch"`
	LowPoints     []LowPoint     `json:"lowPoints" key:"id" maxItems:"50"`
	Mounts        []Mount        `json:"mounts" key:"id" maxItems:"200" doc:"points that things can be fixed to"`
	Marks         []Mark         `json:"marks" key:"id" maxItems:"100" doc:"what has to stay in sight or in reach"`
	Bays          []Bay          `json:"bays" key:"id" maxItems:"60" doc:"measured spaces to build in"`
	BodyMounts    []BodyMount    `json:"bodyMounts" key:"id" maxItems:"40" doc:"points on which body, tray or box stand on the frame"`
	Modifications []Modification `json:"modifications" key:"id" maxItems:"100"`
	Carrier       *Carrier       `json:"carrier,omitempty" doc:"canopy or box that comes off and stands on its legs, if one does"`
	Extension     *Extension     `json:"extension,omitempty" doc:"wheelbase extension, if one is fitted or planned"`
}

// Outline is what the drawing needs to show the body to scale. It bears on no
// load figure, except that fixes move things only between headboard and rear end.
type Outline struct {
	Body          Body    `json:"body" enum:"wagon,tub,tray" doc:"wagon, tub (bed) or tray (flat body)"`
	FrontOverhang float64 `json:"frontOverhang" minimum:"0" maximum:"5000" unit:"mm" doc:"front axle to front end, mm"`
	RearOverhang  float64 `json:"rearOverhang" minimum:"0" maximum:"8000" unit:"mm" doc:"rear axle to rear end of the body, mm"`
	Height        float64 `json:"height" minimum:"500" maximum:"5000" unit:"mm" doc:"ground to roof of the cab, mm"`
	Width         float64 `json:"width" minimum:"0" maximum:"4000" unit:"mm" doc:"without mirrors, mm; 0 = not measured"`
	BonnetHeight  float64 `json:"bonnetHeight" minimum:"300" maximum:"4000" unit:"mm" doc:"ground to bonnet, mm"`
	CabFront      float64 `json:"cabFront" minimum:"-5000" maximum:"12000" unit:"mm" doc:"x of the foot of the windscreen, mm"`
	CabRear       float64 `json:"cabRear" minimum:"-5000" maximum:"20000" unit:"mm" doc:"x of the back of the cab, mm"`
	Headboard     float64 `json:"headboard" minimum:"-5000" maximum:"20000" unit:"mm" doc:"x of the front of the load space, mm"`
	FloorHeight   float64 `json:"floorHeight" minimum:"100" maximum:"4000" unit:"mm" doc:"ground to load floor, mm"`
	SillHeight    float64 `json:"sillHeight" minimum:"50" maximum:"3000" unit:"mm" doc:"ground to the underside of the body, mm"`
}

// Body is the kind of load space.
type Body string

// The bodies that the scene draws.
const (
	BodyWagon Body = "wagon"
	BodyTub   Body = "tub"
	BodyTray  Body = "tray"
)

// Limits are what the vehicle may weigh, from its plate and papers, kg.
type Limits struct {
	Gross           Limit `json:"gross"`
	FrontAxle       Limit `json:"frontAxle"`
	RearAxle        Limit `json:"rearAxle"`
	Combination     Limit `json:"combination"`
	Ball            Limit `json:"ball"`
	TrailerBraked   Limit `json:"trailerBraked"`
	TrailerUnbraked Limit `json:"trailerUnbraked"`
	Placard         Limit `json:"placard" doc:"most of people and cargo together, where a door placard states it"`
	RoofMoving      Limit `json:"roofMoving" doc:"on the roof while driving"`
	RoofParked      Limit `json:"roofParked" doc:"on the roof while parked"`
}

// Limit is one figure and where it was read. Kg 0 means that nobody has stated
// it yet.
type Limit struct {
	Kg     float64     `json:"kg" minimum:"0" maximum:"100000" unit:"kg" doc:"kg; 0 = not stated"`
	Source LimitSource `json:"source" enum:"plate,papers,data-sheet,estimate"`
}

// UnstatedLimits are the limits of a vehicle whose plate nobody has read yet.
func UnstatedLimits() Limits {
	unstated := Limit{Source: FromPlate}
	return Limits{unstated, unstated, unstated, unstated, unstated, unstated, unstated, unstated, unstated, unstated}
}

// LimitSource is where a limit was read.
type LimitSource string

// Where a limit can have been read.
const (
	FromPlate     LimitSource = "plate"
	FromPapers    LimitSource = "papers"
	FromDataSheet LimitSource = "data-sheet"
	FromEstimate  LimitSource = "estimate"
)

// Baseline is the mass that the plan starts from, with a definition of what
// was in it.
type Baseline struct {
	Definition    Definition `json:"definition" enum:"tare,kerb,running-order,unladen,as-weighed"`
	Split         Split      `json:"split" enum:"known,assumed" doc:"known: front and rear are used; assumed: total and frontShare are used"`
	Front         float64    `json:"front" minimum:"0" maximum:"50000" unit:"kg" doc:"load on the front axle, kg"`
	Rear          float64    `json:"rear" minimum:"0" maximum:"50000" unit:"kg" doc:"load on the rear axle, kg"`
	Total         float64    `json:"total" minimum:"0" maximum:"50000" unit:"kg" doc:"total without a known split, kg"`
	FrontShare    float64    `json:"frontShare" minimum:"0" maximum:"1" doc:"assumed share of the total on the front axle, 0 to 1"`
	Tray          TraySaid   `json:"tray" enum:",held,bare" doc:"of papers of a vehicle with a tray: held: the figure holds the tray; bare: cab and chassis alone; empty: not said"`
	CGHeight      float64    `json:"cgHeight" minimum:"0" maximum:"4000" unit:"mm" doc:"height of the centre of gravity, mm"`
	CGHeightKnown bool       `json:"cgHeightKnown" doc:"false: the height is assumed"`
	CGSide        float64    `json:"cgSide" minimum:"-1000" maximum:"1000" unit:"mm" doc:"centre of gravity right of the centre line, mm"`
	Tickets       []Ticket   `json:"tickets" key:"id" maxItems:"50" doc:"for the definition as-weighed: the weighings, which replace the figures above except the height"`
}

// Definition says what a baseline contains besides the bare vehicle.
type Definition string

// The definitions. Fuel means the fuel tanks; other tanks are empty in all but
// AsWeighed.
const (
	Tare         Definition = "tare"          // 10 L of fuel, nobody
	Kerb         Definition = "kerb"          // full fuel, nobody
	RunningOrder Definition = "running-order" // 90 % of the fuel and a 75 kg driver
	Unladen      Definition = "unladen"       // no fuel, nobody
	AsWeighed    Definition = "as-weighed"    // what Tickets list
)

// TraySaid says whether a figure from papers holds the tray that carries the fitout.
type TraySaid string

// What can be said of the tray.
const (
	TrayNotSaid TraySaid = ""
	TrayHeld    TraySaid = "held"
	TrayBare    TraySaid = "bare" // cab and chassis alone
)

// Split says whether the axle readings of a baseline are known.
type Split string

// A split is read off a scale or plate, or assumed.
const (
	SplitKnown   Split = "known"
	SplitAssumed Split = "assumed"
)

// Tank is a tank of the vehicle. Its content is not part of the dry vehicle.
type Tank struct {
	ID       string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string   `json:"name" minLength:"1" maxLength:"120"`
	Kind     TankKind `json:"kind" enum:"fuel,other"`
	Capacity float64  `json:"capacity" minimum:"0" maximum:"5000" unit:"L" doc:"litres"`
	Density  float64  `json:"density" minimum:"0.1" maximum:"20" unit:"kg/L" doc:"kg per litre"`
	At       Point    `json:"at"`
	Min      float64  `json:"min" minimum:"0" maximum:"5000" unit:"L" doc:"least that it is driven with, litres"`
	Now      float64  `json:"now" minimum:"0" maximum:"5000" unit:"L" doc:"litres in it in the state shown"`
	Behind   bool     `json:"behind" doc:"moves rearward with a wheelbase extension"`
}

// TankKind tells fuel, which definitions of the baseline speak of, from the rest.
type TankKind string

// The kinds of tank.
const (
	TankFuel  TankKind = "fuel"
	TankOther TankKind = "other"
)

// Seat is a place where a person or an animal travels.
type Seat struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	Driver bool    `json:"driver" doc:"true for the driver's seat"`
	At     Point   `json:"at" doc:"centre of the person who sits there"`
	Turns  float64 `json:"turns" minimum:"0" maximum:"360" unit:"°" doc:"how far it turns from looking ahead; 0: it does not turn"`
	Size   Size    `json:"size" doc:"outside of the seat that turns, cushion and back: about the station, upward from half a metre below it"`
}

// Part is a part of the vehicle that can be taken off or moved, or was added
// to it: tub, seat, spare wheel, bull bar.
type Part struct {
	ID         string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name       string     `json:"name" minLength:"1" maxLength:"120"`
	Mass       float64    `json:"mass" minimum:"0" maximum:"20000" unit:"kg" doc:"kg"`
	At         Point      `json:"at" doc:"where it sits in the baseline, or where it is fitted"`
	InBaseline bool       `json:"inBaseline" doc:"the baseline mass already contains it"`
	Size       Size       `json:"size" doc:"outside of what takes room where the fitout could stand, about its place; 0 = not measured, and in nobody's way"`
	State      PartState  `json:"state" enum:"fitted,removed,moved"`
	MovedTo    *Point     `json:"movedTo,omitempty" doc:"where it is now, for state moved"`
	Source     MassSource `json:"source" enum:"weighed,data-sheet,material,estimate"`
	Behind     bool       `json:"behind" doc:"moves rearward with a wheelbase extension"`
}

// Now is where a part is: where it was moved to, or where it sits in the baseline.
func (p *Part) Now() Point {
	if p.State == Moved && p.MovedTo != nil {
		return *p.MovedTo
	}
	return p.At
}

// Room is the room that a part takes where it is now; false for one that was taken off, or of which nobody said how large
// it is.
func (p *Part) Room() (Box, bool) {
	item := Item{At: p.Now(), Size: p.Size}
	return item.Box(), p.State != Removed && min(p.Size.Length, p.Size.Width, p.Size.Height) > 0
}

// PartState is what has become of a part.
type PartState string

// The states of a part.
const (
	Fitted  PartState = "fitted"
	Removed PartState = "removed"
	Moved   PartState = "moved"
)

// Hitch is where a trailer couples, with the ratings on its own plate; kg 0 is
// not stated.
type Hitch struct {
	Overhang float64 `json:"overhang" minimum:"0" maximum:"8000" unit:"mm" doc:"ball behind the rear axle, mm"`
	Height   float64 `json:"height" minimum:"0" maximum:"3000" unit:"mm" doc:"ball above the ground, mm"`
	Ball     float64 `json:"ball" minimum:"0" maximum:"10000" unit:"kg" doc:"most download, kg"`
	Trailer  float64 `json:"trailer" minimum:"0" maximum:"50000" unit:"kg" doc:"most trailer mass, kg"`
}

// Trailer is what the vehicle tows.
type Trailer struct {
	Name         string     `json:"name" maxLength:"200"`
	Coupled      bool       `json:"coupled" doc:"coupled in the state shown"`
	Mass         float64    `json:"mass" minimum:"0" maximum:"50000" unit:"kg" doc:"loaded mass, uncoupled, kg"`
	Ball         float64    `json:"ball" minimum:"0" maximum:"10000" unit:"kg" doc:"download on the ball before weight distribution, kg"`
	Braked       bool       `json:"braked"`
	BallToAxle   float64    `json:"ballToAxle" minimum:"0" maximum:"20000" unit:"mm" doc:"ball to trailer axle, mm"`
	Source       MassSource `json:"source" enum:"weighed,data-sheet,material,estimate" doc:"where mass and ball come from"`
	Distribution float64    `json:"distribution" minimum:"0" maximum:"10000000" unit:"kg·mm" doc:"moment of a weight-distributing hitch, kg·mm; 0 without one"`
}
