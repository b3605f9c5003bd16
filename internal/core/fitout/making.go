package fitout

// Making is how a part comes about, and what else was thought of.
type Making struct {
	How  HowMade   `json:"how" enum:",here,bought,out,reused" doc:"empty: built ones here, others bought"`
	Ways []MakeWay `json:"ways" key:"how" maxItems:"4" doc:"what is known of each way"`
}

// HowMade is how a part comes about.
type HowMade string

// Not said; made here, bought, cut or coated elsewhere and put together here, reused.
const (
	MadeNotSaid HowMade = ""
	MadeHere    HowMade = "here"
	MadeBought  HowMade = "bought"
	MadeOut     HowMade = "out"
	MadeReused  HowMade = "reused"
)

// MakeWay is what is known of one way to come by a part.
type MakeWay struct {
	How    HowMade `json:"how" enum:"here,bought,out,reused"`
	Cost   int     `json:"cost" minimum:"0" maximum:"100000000000" unit:"cents" doc:"in cents, without the workshop's own hours; 0 = not known, or by its panels"`
	Kg     float64 `json:"kg" minimum:"0" maximum:"20000" unit:"kg" doc:"mass, kg; 0 = as the item"`
	Hours  float64 `json:"hours" minimum:"0" maximum:"10000" unit:"h" doc:"of the workshop, h; 0 = not known, or by its steps"`
	Proof  string  `json:"proof" maxLength:"400" doc:"why it fits: a drawing, a dry fit, a maker's word"`
	Supply Supply  `json:"supply"`
}

// Gaps are what a drawer leaves free around it, mm.
type Gaps struct {
	Below  float64 `json:"below" minimum:"0" maximum:"100" unit:"mm" doc:"mm"`
	Above  float64 `json:"above" minimum:"0" maximum:"100" unit:"mm" doc:"mm"`
	Behind float64 `json:"behind" minimum:"0" maximum:"500" unit:"mm" doc:"mm"`
}

// DrawerGaps are the usual ones of a workshop.
var DrawerGaps = Gaps{Below: 3, Above: 5, Behind: 2}

// Grain is how the grain of a module's panels must run.
type Grain string

// As the saw likes it, along the longer side, along the shorter.
const (
	GrainFree   Grain = ""
	GrainAlong  Grain = "along"
	GrainAcross Grain = "across"
)

// Finish is how panels are treated.
type Finish string

// As they come, painted, oiled.
const (
	NoFinish    Finish = ""
	PaintFinish Finish = "paint"
	OilFinish   Finish = "oil"
)

// Hole is a hole or cut-out in a panel of a module.
type Hole struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	For    HoleFor `json:"for" enum:"handle,finger,cable,vent,device,drain,other" doc:"what it is for"`
	Panel  string  `json:"panel" maxLength:"120" doc:"name of the panel: left side, top, back …"`
	U      float64 `json:"u" minimum:"0" maximum:"15000" unit:"mm" doc:"to its middle along the panel's length, mm"`
	V      float64 `json:"v" minimum:"0" maximum:"15000" unit:"mm" doc:"to its middle along the panel's width, mm"`
	Length float64 `json:"length" minimum:"0" maximum:"5000" unit:"mm" doc:"along the panel's length, mm"`
	Width  float64 `json:"width" minimum:"0" maximum:"5000" unit:"mm" doc:"mm; 0 = round, its length is its diameter"`
	Radius float64 `json:"radius" minimum:"0" maximum:"500" unit:"mm" doc:"of its corners, mm"`
	Depth  float64 `json:"depth" minimum:"0" maximum:"2000" unit:"mm" doc:"that a device wants behind it, mm"`
}

// HoleFor is what a hole is for.
type HoleFor string

// What holes are for.
const (
	HandleHole HoleFor = "handle"
	FingerHole HoleFor = "finger"
	CableHole  HoleFor = "cable"
	VentHole   HoleFor = "vent"
	DeviceHole HoleFor = "device"
	DrainHole  HoleFor = "drain"
	OtherHole  HoleFor = "other"
)

// CurvedWall is a wall of a bay that is not straight: distances from a straight edge laid along it.
type CurvedWall struct {
	ID      string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Side    Side     `json:"side" enum:"left,right"`
	Above   float64  `json:"above" minimum:"0" maximum:"5000" unit:"mm" doc:"above the floor, mm"`
	Offsets []Offset `json:"offsets" key:"id" maxItems:"200"`
}

// Offset is one distance from a straight edge to a wall.
type Offset struct {
	ID  string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	At  float64 `json:"at" minimum:"0" maximum:"15000" unit:"mm" doc:"from the bay's front, mm"`
	Off float64 `json:"off" minimum:"0" maximum:"3000" unit:"mm" doc:"from the straight edge to the wall, mm"`
}

// StepDone is what was noted of a step of the build.
type StepDone struct {
	Step    string  `json:"step" maxLength:"160"`
	Done    bool    `json:"done"`
	On      string  `json:"on" maxLength:"40" doc:"when it was ticked, as 2026-03-30T15:04"`
	By      string  `json:"by" maxLength:"120"`
	Minutes float64 `json:"minutes" minimum:"0" maximum:"100000" doc:"that it took; 0 = not noted"`
	Kg      float64 `json:"kg" minimum:"0" maximum:"20000" unit:"kg" doc:"what the part weighed, kg; 0 = not weighed"`
	Trouble string  `json:"trouble" maxLength:"1000"`
}
