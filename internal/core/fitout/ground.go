package fitout

// Placed is a person in a stance: where, and what that person does there.
type Placed struct {
	Traveller string `json:"traveller" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the traveller"`
	Does      Does   `json:"does" enum:"stands,sits,dresses,passes,works" doc:"decides how much room a person takes"`
	At        Point  `json:"at" doc:"between the feet, or the middle of the seat: z is what one stands or sits on"`
	On        string `json:"on" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the module on whose top is worked; empty where none is"`
}

// Does is what a person does in a stance.
type Does string

// What people do.
const (
	Stands  Does = "stands"
	Sits    Does = "sits"
	Dresses Does = "dresses" // on the knees
	Passes  Does = "passes"  // through where at is
	Works   Does = "works"   // standing at the top of a module
)

// GroundThing is what stands on the ground around a vehicle in a stance, as a box.
type GroundThing struct {
	ID   string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name string     `json:"name" minLength:"1" maxLength:"120"`
	Kind GroundKind `json:"kind" enum:"awning,tent,table,chair,ladder,trailer,fire,other" doc:"an awning is a roof on legs: only its height is taken"`
	At   Point      `json:"at" doc:"middle of its foot; z is the ground that it stands on against that under the wheels, mm"`
	Size Size       `json:"size"`
}

// GroundKind is what a thing on the ground is.
type GroundKind string

// The kinds of thing on the ground.
const (
	GroundAwning  GroundKind = "awning"
	GroundTent    GroundKind = "tent"
	GroundTable   GroundKind = "table"
	GroundChair   GroundKind = "chair"
	GroundLadder  GroundKind = "ladder"
	GroundTrailer GroundKind = "trailer"
	GroundFire    GroundKind = "fire"
	GroundOther   GroundKind = "other"
)

// Box is where it stands.
func (g *GroundThing) Box() Box {
	return Box{
		From: Point{g.At.X - g.Size.Length/2, g.At.Y - g.Size.Width/2, g.At.Z},
		To:   Point{g.At.X + g.Size.Length/2, g.At.Y + g.Size.Width/2, g.At.Z + g.Size.Height},
	}
}

// MoreOpening is a further opening of a bay: a window, a hatch in the roof, a second door, a way through.
type MoreOpening struct {
	ID      string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name    string     `json:"name" minLength:"1" maxLength:"120"`
	Use     OpeningUse `json:"use" enum:"load,exit,air,sight" doc:"what it is for: an exit is one for loads and air too"`
	Along   float64    `json:"along" minimum:"0" maximum:"15000" unit:"mm" doc:"from the front of the bay, or its left side, to where it begins, mm"`
	Above   float64    `json:"above" minimum:"0" maximum:"5000" unit:"mm" doc:"from the floor of the bay to its lower edge, mm; of one in the top from the left side"`
	Cover   Yes        `json:"cover" enum:",yes,no" doc:"something covers it against cold, insects and looks; empty: not said"`
	Opening Opening    `json:"opening"`
}

// OpeningUse is what an opening is for.
type OpeningUse string

// The uses of an opening.
const (
	ForLoad  OpeningUse = "load"
	ForExit  OpeningUse = "exit"
	ForAir   OpeningUse = "air"
	ForSight OpeningUse = "sight"
)

// BodyMount is one point on which a body, tray or box stands on the frame.
type BodyMount struct {
	ID     string        `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string        `json:"name" minLength:"1" maxLength:"120"`
	Kind   BodyMountKind `json:"kind" enum:"rigid,rubber,sprung,pivot" doc:"a pivot turns along the vehicle and takes no twist"`
	At     Point         `json:"at"`
	Rating float64       `json:"rating" minimum:"0" maximum:"50000" unit:"kg" doc:"what it carries, kg; 0 = not stated"`
	Travel float64       `json:"travel" minimum:"0" maximum:"500" unit:"mm" doc:"how far it lets the body rise off the frame, mm"`
	Behind bool          `json:"behind" doc:"moves rearward with a wheelbase extension"`
}

// BodyMountKind is how a mount lets the frame twist under the body.
type BodyMountKind string

// The kinds of body mount.
const (
	MountRigid  BodyMountKind = "rigid"
	MountRubber BodyMountKind = "rubber"
	MountSprung BodyMountKind = "sprung"
	MountPivot  BodyMountKind = "pivot"
)

// Loading is how a heavy thing comes into the vehicle and out.
type Loading struct {
	Ramp  float64 `json:"ramp" minimum:"0" maximum:"10000" unit:"mm" doc:"length of the ramp, mm; 0 = it is lifted"`
	Rise  float64 `json:"rise" minimum:"0" maximum:"3000" unit:"mm" doc:"height that it comes up by, mm"`
	Winch float64 `json:"winch" minimum:"0" maximum:"100000" unit:"N" doc:"what the winch pulls, N; 0 = it is pushed by hand"`
	Line  float64 `json:"line" minimum:"0" maximum:"200000" unit:"N" doc:"what its line may be pulled with, N; 0 = not stated"`
	Belly float64 `json:"belly" minimum:"0" maximum:"1000" unit:"mm" doc:"free below its middle between its wheels, mm; 0 = not said"`
	Wheel float64 `json:"wheel" minimum:"0" maximum:"5000" unit:"mm" doc:"from its front wheels to its rear wheels, mm"`
}
