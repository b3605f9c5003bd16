package fitout

// Bay is a measured space to build in. Its fields are the measures as the tape
// gave them; what they make together is for the space engine. Inside a bay,
// "front" is toward the front of the vehicle, left and right as looking forward.
type Bay struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	Kind   BayKind `json:"kind" enum:"wagon-cargo,tub,canopy-left,canopy-right,canopy-rear,living-box,under-tray,between-rails,headboard,roof,rear-wall,second-row,cab"`
	At     Point   `json:"at" doc:"middle of the front edge of its floor: z is the floor's height above ground"`
	Behind bool    `json:"behind" doc:"moves rearward with a wheelbase extension"`

	TiltAlong  float64 `json:"tiltAlong" minimum:"-30" maximum:"30" unit:"°" doc:"floor against level along the vehicle, front low is positive, °"`
	TiltAcross float64 `json:"tiltAcross" minimum:"-30" maximum:"30" unit:"°" doc:"floor against level across, right low is positive, °"`
	Levelled   bool    `json:"levelled" doc:"the floor was levelled, or found level, before the rest was measured"`

	LengthLeft    float64 `json:"lengthLeft" minimum:"0" maximum:"15000" unit:"mm" doc:"along the left side at the floor, mm; 0 = not measured"`
	LengthRight   float64 `json:"lengthRight" minimum:"0" maximum:"15000" unit:"mm" doc:"along the right side at the floor, mm"`
	LengthTop     float64 `json:"lengthTop" minimum:"0" maximum:"15000" unit:"mm" doc:"along the middle at the top, where a hatch leans in or a face is raked, mm; 0 = as at the floor"`
	WidthFront    float64 `json:"widthFront" minimum:"0" maximum:"6000" unit:"mm" doc:"across at the front, clear of the arches, mm"`
	WidthRear     float64 `json:"widthRear" minimum:"0" maximum:"6000" unit:"mm" doc:"across at the rear, clear of the arches, mm"`
	BetweenArches float64 `json:"betweenArches" minimum:"0" maximum:"6000" unit:"mm" doc:"clear width between the wheel arches, mm; 0 = none there"`
	HeightFront   float64 `json:"heightFront" minimum:"0" maximum:"5000" unit:"mm" doc:"floor to ceiling at the front, mm"`
	HeightRear    float64 `json:"heightRear" minimum:"0" maximum:"5000" unit:"mm" doc:"floor to ceiling at the rear, mm"`
	DiagonalLeft  float64 `json:"diagonalLeft" minimum:"0" maximum:"16000" unit:"mm" doc:"front left corner to rear right corner at the floor, mm"`
	DiagonalRight float64 `json:"diagonalRight" minimum:"0" maximum:"16000" unit:"mm" doc:"front right corner to rear left corner at the floor, mm"`

	Opening   Opening       `json:"opening"`
	More      []MoreOpening `json:"more" key:"id" maxItems:"20" doc:"further openings: windows, hatches, a second door"`
	Obstacles []Obstacle    `json:"obstacles" key:"id" maxItems:"50"`
	Walls     []CurvedWall  `json:"walls" key:"id" maxItems:"20" doc:"walls that are not straight"`

	Rating       float64 `json:"rating" minimum:"0" maximum:"50000" unit:"kg" doc:"most that it may carry moving, kg; 0 = not stated"`
	RatingParked float64 `json:"ratingParked" minimum:"0" maximum:"50000" unit:"kg" doc:"most that it may carry parked, kg; 0 = as moving"`
	Sealed       bool    `json:"sealed" doc:"against dust and water"`
	Heated       bool    `json:"heated"`
	Insulated    bool    `json:"insulated"`
	Lockable     bool    `json:"lockable"`
	Shared       bool    `json:"shared" doc:"people travel or sleep in it"`
	Note         string  `json:"note" maxLength:"1000"`
}

// BayKind is what a bay is.
type BayKind string

// The kinds of bay.
const (
	BayWagonCargo   BayKind = "wagon-cargo"
	BayTub          BayKind = "tub"
	BayCanopyLeft   BayKind = "canopy-left"
	BayCanopyRight  BayKind = "canopy-right"
	BayCanopyRear   BayKind = "canopy-rear"
	BayLivingBox    BayKind = "living-box"
	BayUnderTray    BayKind = "under-tray"
	BayBetweenRails BayKind = "between-rails"
	BayHeadboard    BayKind = "headboard"
	BayRoof         BayKind = "roof"
	BayRearWall     BayKind = "rear-wall"
	BaySecondRow    BayKind = "second-row"
	BayCab          BayKind = "cab"
)

// Opening is the door, tailgate or hatch of a bay: always smaller than the bay.
type Opening struct {
	Face   Face    `json:"face" enum:"none,rear,left,right,front,top"`
	Width  float64 `json:"width" minimum:"0" maximum:"15000" unit:"mm" doc:"clear, mm; 0 = not measured"`
	Height float64 `json:"height" minimum:"0" maximum:"15000" unit:"mm" doc:"clear, mm; of a top opening its length"`
	Sill   float64 `json:"sill" minimum:"0" maximum:"3000" unit:"mm" doc:"lip that a floor must clear, above the bay's floor, mm"`
	Hinge  Hinge   `json:"hinge" enum:"none,top,bottom,left,right,lift-off,roll" doc:"side that it hangs on, seen from outside"`
	Swing  float64 `json:"swing" minimum:"0" maximum:"270" unit:"°" doc:"how far it opens, °"`
}

// Face is a side of a bay.
type Face string

// The faces.
const (
	FaceNone  Face = "none"
	FaceRear  Face = "rear"
	FaceLeft  Face = "left"
	FaceRight Face = "right"
	FaceFront Face = "front"
	FaceTop   Face = "top"
)

// Hinge is the side that a door hangs on.
type Hinge string

// The hinges.
const (
	HingeNone    Hinge = "none"
	HingeTop     Hinge = "top"
	HingeBottom  Hinge = "bottom"
	HingeLeft    Hinge = "left"
	HingeRight   Hinge = "right"
	HingeLiftOff Hinge = "lift-off"
	HingeRoll    Hinge = "roll"
)

// Obstacle is what stands in a bay: a box from the bay's front, from its left
// or right wall, and above its floor.
type Obstacle struct {
	ID     string       `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string       `json:"name" minLength:"1" maxLength:"120"`
	Kind   ObstacleKind `json:"kind" enum:"wheel-arch,strut,lip,step,other"`
	Side   Side         `json:"side" enum:"left,right"`
	Front  float64      `json:"front" minimum:"0" maximum:"15000" unit:"mm" doc:"from the bay's front to where it begins, mm"`
	Inset  float64      `json:"inset" minimum:"0" maximum:"6000" unit:"mm" doc:"from the wall of its side to it, mm"`
	Above  float64      `json:"above" minimum:"0" maximum:"5000" unit:"mm" doc:"above the floor, mm"`
	Length float64      `json:"length" minimum:"0" maximum:"15000" unit:"mm" doc:"along the vehicle, mm; 0 = not measured"`
	Width  float64      `json:"width" minimum:"0" maximum:"6000" unit:"mm" doc:"into the bay, mm"`
	Height float64      `json:"height" minimum:"0" maximum:"5000" unit:"mm" doc:"mm"`
}

// ObstacleKind is what an obstacle is.
type ObstacleKind string

// The kinds of obstacle.
const (
	WheelArch     ObstacleKind = "wheel-arch"
	Strut         ObstacleKind = "strut"
	Lip           ObstacleKind = "lip"
	Step          ObstacleKind = "step"
	OtherObstacle ObstacleKind = "other"
)

// Side is left or right of the centre line, looking forward.
type Side string

// The sides.
const (
	Left  Side = "left"
	Right Side = "right"
)
