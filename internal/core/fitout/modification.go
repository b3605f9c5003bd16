package fitout

// Modification is something done to the vehicle that may move a limit, an axle
// or its height: an upgrade, springs, tyres, a rack, a bar.
type Modification struct {
	ID          string           `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name        string           `json:"name" minLength:"1" maxLength:"120"`
	Kind        ModificationKind `json:"kind" enum:"gross-upgrade,axle-rating,springs,airbags,tyres,roof-rack,bar,winch,long-range-tank,towing,other"`
	Counted     bool             `json:"counted" doc:"the plan counts with it, fitted or planned: its mass and the limits that it moves"`
	Mass        float64          `json:"mass" minimum:"-5000" maximum:"5000" unit:"kg" doc:"what it adds to the empty vehicle, kg; negative for what is lighter than what it replaces"`
	At          Point            `json:"at"`
	Source      MassSource       `json:"source" enum:"weighed,data-sheet,material,estimate"`
	InBaseline  bool             `json:"inBaseline" doc:"the baseline mass already contains it"`
	Behind      bool             `json:"behind" doc:"moves rearward with a wheelbase extension"`
	Certificate Certificate      `json:"certificate" enum:"not-needed,planned,before-first,after-first"`
	Limits      []LimitMoved     `json:"limits" key:"limit" maxItems:"20" doc:"limits that it moves: an upgrade replaces the plate's, anything else can only lower them"`
	Axle        WhichAxle        `json:"axle" enum:"none,front,rear,both" doc:"for springs, airbags and tyres: where"`
	Rate        float64          `json:"rate" minimum:"0" maximum:"2000" unit:"N/mm" doc:"springs: the new rate at the wheel; airbags: what they add to it; N/mm, 0 = unknown"`
	Second      float64          `json:"second" minimum:"0" maximum:"2000" unit:"N/mm" doc:"springs: their rate at the wheel from a deflection on, N/mm; 0 = one rate"`
	From        float64          `json:"from" minimum:"0" maximum:"1000" unit:"mm" doc:"springs: how far the axle is down from unladen where the second rate begins, mm"`
	Lift        float64          `json:"lift" minimum:"-500" maximum:"500" unit:"mm" doc:"raises the unladen vehicle at that axle, mm"`
	Tyre        Tyre             `json:"tyre" doc:"for tyres: the new ones"`
	Note        string           `json:"note" maxLength:"1000"`
}

// ModificationKind is what a modification is.
type ModificationKind string

// The kinds of modification.
const (
	GrossUpgrade  ModificationKind = "gross-upgrade"
	AxleRating    ModificationKind = "axle-rating"
	Springs       ModificationKind = "springs"
	Airbags       ModificationKind = "airbags"
	NewTyres      ModificationKind = "tyres"
	RoofRack      ModificationKind = "roof-rack"
	Bar           ModificationKind = "bar"
	Winch         ModificationKind = "winch"
	LongRangeTank ModificationKind = "long-range-tank"
	Towing        ModificationKind = "towing"
	OtherChange   ModificationKind = "other"
)

// Certificate is the paper that a modification has or waits for. In many
// places it matters whether an upgrade was certified before or after the first
// registration.
type Certificate string

// The certificates.
const (
	NotNeeded   Certificate = "not-needed"
	Planned     Certificate = "planned"
	BeforeFirst Certificate = "before-first"
	AfterFirst  Certificate = "after-first"
)

// WhichAxle names the axle of a modification.
type WhichAxle string

// The axles.
const (
	NoAxle    WhichAxle = "none"
	FrontAxle WhichAxle = "front"
	RearAxle  WhichAxle = "rear"
	BothAxles WhichAxle = "both"
)

// On reports whether the modification is on an axle.
func (w WhichAxle) On(axle WhichAxle) bool { return w == axle || w == BothAxles }

// LimitMoved is a limit as a modification leaves it.
type LimitMoved struct {
	Limit LimitID `json:"limit" enum:"gross,frontAxle,rearAxle,combination,ball,trailerBraked,trailerUnbraked,roofMoving,roofParked"`
	Kg    float64 `json:"kg" minimum:"0" maximum:"100000" unit:"kg" doc:"kg; 0 = not stated"`
}

// LimitID names a limit as the fields of Limits do.
type LimitID string

// The limits.
const (
	LimitGross           LimitID = "gross"
	LimitFrontAxle       LimitID = "frontAxle"
	LimitRearAxle        LimitID = "rearAxle"
	LimitCombination     LimitID = "combination"
	LimitBall            LimitID = "ball"
	LimitTrailerBraked   LimitID = "trailerBraked"
	LimitTrailerUnbraked LimitID = "trailerUnbraked"
	LimitPlacard         LimitID = "placard"
	LimitRoofMoving      LimitID = "roofMoving"
	LimitRoofParked      LimitID = "roofParked"
)

// LimitIDs are all limits, in the order in which they are listed.
var LimitIDs = [...]LimitID{LimitGross, LimitFrontAxle, LimitRearAxle, LimitCombination, LimitBall,
	LimitTrailerBraked, LimitTrailerUnbraked, LimitPlacard, LimitRoofMoving, LimitRoofParked}

// Get returns the limit with an id as it was read off plate and papers; an
// unknown id gives a limit that nobody stated.
func (l *Limits) Get(id LimitID) Limit {
	switch id {
	case LimitGross:
		return l.Gross
	case LimitFrontAxle:
		return l.FrontAxle
	case LimitRearAxle:
		return l.RearAxle
	case LimitCombination:
		return l.Combination
	case LimitBall:
		return l.Ball
	case LimitTrailerBraked:
		return l.TrailerBraked
	case LimitTrailerUnbraked:
		return l.TrailerUnbraked
	case LimitPlacard:
		return l.Placard
	case LimitRoofMoving:
		return l.RoofMoving
	case LimitRoofParked:
		return l.RoofParked
	}
	return Limit{}
}

// Tyre is what stands on an axle, by the load index on its side wall.
type Tyre struct {
	Index     int  `json:"index" minimum:"0" maximum:"300" doc:"load index; 0 = not read"`
	Dual      bool `json:"dual" doc:"two tyres on each side"`
	DualIndex int  `json:"dualIndex" minimum:"0" maximum:"300" doc:"load index as dual tyres, the second figure; 0 = as index"`
}

// Axle is what is known of one axle besides its limit.
type Axle struct {
	Rate   float64     `json:"rate" minimum:"0" maximum:"2000" unit:"N/mm" doc:"spring rate at the wheel, N/mm; 0 = unknown"`
	Second float64     `json:"second" minimum:"0" maximum:"2000" unit:"N/mm" doc:"spring rate at the wheel from a deflection on, N/mm; 0 = one rate"`
	From   float64     `json:"from" minimum:"0" maximum:"1000" unit:"mm" doc:"how far it is down from unladen where the second rate begins, mm"`
	Wanted *RideWanted `json:"wanted,omitempty" doc:"how it should stand when it is loaded; absent: nobody said"`
	Bump   float64     `json:"bump" minimum:"0" maximum:"1000" unit:"mm" doc:"from the unladen height to the bump stop, mm; 0 = unknown"`
	Tyre   Tyre        `json:"tyre"`
}

// RideWanted is how an axle should stand: the springs have to bring it there.
type RideWanted struct {
	Case string  `json:"case" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the case in which; empty for the state shown"`
	Down float64 `json:"down" minimum:"-500" maximum:"500" unit:"mm" doc:"at most below the unladen height, mm; negative is above"`
}

// LowPoint is a low point of the underside, which decides the angles.
type LowPoint struct {
	ID     string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string `json:"name" minLength:"1" maxLength:"120"`
	At     Point  `json:"at" doc:"its lowest edge, vehicle unladen"`
	Behind bool   `json:"behind" doc:"moves rearward with a wheelbase extension"`
}

// Mount is a point of the vehicle that things can be fixed to.
type Mount struct {
	ID      string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name    string  `json:"name" minLength:"1" maxLength:"120"`
	At      Point   `json:"at"`
	Rating  float64 `json:"rating" minimum:"0" maximum:"50000" unit:"kg" doc:"what it holds, kg of force; 0 = unknown"`
	Beneath string  `json:"beneath" maxLength:"200" doc:"what lies beneath: fuel line, wiring, chassis rail, nothing"`
	Behind  bool    `json:"behind" doc:"moves rearward with a wheelbase extension"`
}

// Mark is what has to stay in sight or in reach once the fitout is in: a lamp,
// the plate, the filler, the ball, the jack.
type Mark struct {
	ID     string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string   `json:"name" minLength:"1" maxLength:"120"`
	Kind   MarkKind `json:"kind" enum:"lamp,plate,filler,ball,spare,jack,drain,battery,camera,aerial,exhaust,shaft,line,other"`
	At     Point    `json:"at"`
	From   Face     `json:"from" enum:"none,rear,left,right,front,top" doc:"side that it is seen or reached from"`
	Shield bool     `json:"shield" doc:"of an exhaust: a shield of sheet with air behind it stands there"`
	Behind bool     `json:"behind" doc:"moves rearward with a wheelbase extension"`
}

// MarkKind is what a mark is.
type MarkKind string

// The kinds of mark.
const (
	LampMark    MarkKind = "lamp"
	PlateMark   MarkKind = "plate"
	FillerMark  MarkKind = "filler"
	BallMark    MarkKind = "ball"
	SpareMark   MarkKind = "spare"
	JackMark    MarkKind = "jack"
	DrainMark   MarkKind = "drain"
	BatteryMark MarkKind = "battery"
	CameraMark  MarkKind = "camera"
	AerialMark  MarkKind = "aerial"  // at is its tip
	ExhaustMark MarkKind = "exhaust" // a place of its pipe or muffler, which is hot
	ShaftMark   MarkKind = "shaft"   // a place of the middle of a shaft, which turns and rises with the axle
	LineMark    MarkKind = "line"    // a place of a brake or fuel line, or of the loom, under the body
	OtherMark   MarkKind = "other"
)
