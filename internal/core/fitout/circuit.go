package fitout

// Circuit is the cable to one end of the electrics, with what protects and switches it.
// A field that is 0 or empty is as proposed, so that a circuit says only what was changed
// or agreed to.
type Circuit struct {
	Of         string     `json:"of" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the load, source, charger, inverter, panel, link or system at its end"`
	From       string     `json:"from" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the panel or system that feeds it; empty: as proposed"`
	Area       float64    `json:"area" minimum:"0" maximum:"240" unit:"mm²" doc:"of its copper, mm²; 0 = as proposed"`
	Insulation float64    `json:"insulation" minimum:"0" maximum:"105" unit:"°C" doc:"75 or 105, °C; 0 = 105"`
	Length     float64    `json:"length" minimum:"0" maximum:"50000" unit:"mm" doc:"one way, measured, mm; 0 = by places"`
	Body       bool       `json:"body" doc:"the body returns the current: one way of copper"`
	Bundle     float64    `json:"bundle" minimum:"0" maximum:"200" doc:"loaded cables that lie together with it; 0 = none"`
	Hot        HotPlace   `json:"hot" enum:",open,canopy,engine" doc:"hottest place that it passes: free air, a closed canopy, the engine bay; empty: a closed canopy"`
	FuseKind   FuseKind   `json:"fuseKind" enum:",none,blade,maxi,midi,mega,class-t" doc:"empty: as proposed"`
	Fuse       float64    `json:"fuse" minimum:"0" maximum:"1000" unit:"A" doc:"A; 0 = as proposed"`
	FuseAt     float64    `json:"fuseAt" minimum:"0" maximum:"50000" unit:"mm" doc:"from what feeds it, mm; 0 = at it"`
	FuseVolts  float64    `json:"fuseVolts" minimum:"0" maximum:"1000" unit:"V" doc:"that the fuse is rated for, V; 0 = 32 V of blade and maxi, 58 V of midi, mega and class T"`
	FarFuse    float64    `json:"farFuse" minimum:"0" maximum:"1000" unit:"A" doc:"fuse at the other end, where that can feed too, A; 0 = as proposed"`
	NoFarFuse  bool       `json:"noFarFuse" doc:"the other end can feed and has none"`
	Sheathed   bool       `json:"sheathed" doc:"the stretch before the fuse runs in a sheath"`
	Relay      float64    `json:"relay" minimum:"0" maximum:"1000" unit:"A" doc:"rating of a relay or switch that carries it, A; 0 = none"`
	Plug       string     `json:"plug" maxLength:"60" doc:"kind of its plug; empty: none"`
	Coded      bool       `json:"coded" doc:"its plug fits one socket only"`
	Latched    bool       `json:"latched" doc:"its plug is held"`
	Crossings  []Crossing `json:"crossings" key:"id" maxItems:"20" doc:"what its cable passes"`
	PastMeter  bool       `json:"pastMeter" doc:"its current does not pass the shunt"`
	OffBattery bool       `json:"offBattery" doc:"stays live when the isolator is open"`
	Tested     float64    `json:"tested" minimum:"0" maximum:"60" unit:"V" doc:"lost under load when it was tested, V; 0 = not tested"`
	Agreed     bool       `json:"agreed" doc:"was looked at and agreed to"`
}

// Crossing is something that a cable passes.
type Crossing struct {
	ID      string       `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Kind    CrossingKind `json:"kind" enum:"slide,door,edge,parting"`
	Guarded bool         `json:"guarded" doc:"guided over the slide, in a gaiter at the door, a grommet at the edge, a connector at the parting line"`
}

// CrossingKind is what a cable passes.
type CrossingKind string

// The crossings.
const (
	OverSlide   CrossingKind = "slide"
	DoorGap     CrossingKind = "door"
	OverEdge    CrossingKind = "edge"
	PartingLine CrossingKind = "parting" // where a unit lifts out
)

// HotPlace is the hottest place that a cable passes.
type HotPlace string

// The places: 30, 50 and 80 °C.
const (
	OpenAir      HotPlace = "open"
	ClosedCanopy HotPlace = "canopy"
	EngineBay    HotPlace = "engine"
)

// FuseKind is the make of a fuse, which decides its sizes and what it can break.
type FuseKind string

// The kinds of fuse.
const (
	NoFuse     FuseKind = "none"
	BladeFuse  FuseKind = "blade"
	MaxiFuse   FuseKind = "maxi"
	MidiFuse   FuseKind = "midi"
	MegaFuse   FuseKind = "mega"
	ClassTFuse FuseKind = "class-t"
)

// SwitchPanel is a plate with switches, sockets and meters, or a box of fuses, that
// circuits start from.
type SwitchPanel struct {
	ID      string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name    string   `json:"name" minLength:"1" maxLength:"120"`
	System  string   `json:"system" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the system that feeds it"`
	Ways    float64  `json:"ways" minimum:"0" maximum:"100" doc:"fused ways that it has; 0 = not said"`
	Amps    float64  `json:"amps" minimum:"0" maximum:"2000" unit:"A" doc:"that it carries altogether, A; 0 = not said"`
	Width   float64  `json:"width" minimum:"0" maximum:"3000" unit:"mm" doc:"of its plate, mm; 0 = not said"`
	Height  float64  `json:"height" minimum:"0" maximum:"3000" unit:"mm" doc:"of its plate, mm"`
	Depth   float64  `json:"depth" minimum:"0" maximum:"1000" unit:"mm" doc:"room behind it, mm; 0 = not said"`
	Cutouts []Cutout `json:"cutouts" key:"id" maxItems:"80"`
	Item    string   `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
}

// Cutout is a hole in a panel for a switch, a socket, a meter, or a blank for later.
type Cutout struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120" doc:"its label"`
	Kind   string  `json:"kind" enum:"switch,socket,meter,blank"`
	X      float64 `json:"x" minimum:"0" maximum:"3000" unit:"mm" doc:"of its left edge from the panel's, mm"`
	Y      float64 `json:"y" minimum:"0" maximum:"3000" unit:"mm" doc:"of its top edge from the panel's, mm"`
	Width  float64 `json:"width" minimum:"1" maximum:"1000" unit:"mm" doc:"mm"`
	Height float64 `json:"height" minimum:"1" maximum:"1000" unit:"mm" doc:"mm"`
	Depth  float64 `json:"depth" minimum:"0" maximum:"1000" unit:"mm" doc:"behind the plate, with its plug, mm"`
	Of     string  `json:"of" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of what it switches or feeds"`
}

// Control is a switch or a changeover that people turn.
type Control struct {
	ID        string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name      string     `json:"name" minLength:"1" maxLength:"120"`
	Positions []Position `json:"positions" key:"id" maxItems:"12" doc:"of a changeover; none: it is on or off"`
	At        string     `json:"at" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the position that it stands in on the usual day; on or off for a switch"`
}

// Position is one of a changeover's.
type Position struct {
	ID   string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name string `json:"name" minLength:"1" maxLength:"120"`
}

// Output says when a charger, load, source or inverter is on: while any of its lines
// holds entirely. Without lines it is on.
type Output struct {
	ID        string      `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Of        string      `json:"of" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the charger, load, source, inverter or link that it switches"`
	Lines     []LogicLine `json:"lines" key:"id" maxItems:"12"`
	LockedOn  string      `json:"lockedOn" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a switch that turns it on whatever the lines say"`
	LockedOff string      `json:"lockedOff" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a switch that turns it off whatever else"`
	OffAfter  float64     `json:"offAfter" minimum:"0" maximum:"100000" unit:"min" doc:"minutes after which it goes off by itself; 0 = never"`
}

// LogicLine holds while all of its conditions do.
type LogicLine struct {
	ID         string      `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Conditions []Condition `json:"conditions" key:"id" maxItems:"12"`
}

// Condition is one thing that has to be so.
type Condition struct {
	ID    string        `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	What  ConditionKind `json:"what" enum:"engine,ignition,reversing,high-beam,mains,charge,voltage,temperature,door,control,hours,output"`
	Not   bool          `json:"not" doc:"it has to be otherwise: below the value, not on"`
	Of    string        `json:"of" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the system, control or output, or of the bay whose door it is"`
	Place string        `json:"place" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the control's position; empty: on"`
	Value float64       `json:"value" minimum:"-100" maximum:"1000" doc:"state of charge 0 to 1, V, or °C"`
	From  float64       `json:"from" minimum:"0" maximum:"24" unit:"h" doc:"for hours"`
	To    float64       `json:"to" minimum:"0" maximum:"24" unit:"h" doc:"for hours; before from: past midnight"`
}

// ConditionKind is what a condition looks at.
type ConditionKind string

// The conditions.
const (
	IfEngine      ConditionKind = "engine"
	IfIgnition    ConditionKind = "ignition"
	IfReversing   ConditionKind = "reversing"
	IfHighBeam    ConditionKind = "high-beam"
	IfMains       ConditionKind = "mains"
	IfCharge      ConditionKind = "charge"
	IfVoltage     ConditionKind = "voltage"
	IfTemperature ConditionKind = "temperature"
	IfDoor        ConditionKind = "door"
	IfControl     ConditionKind = "control"
	IfHours       ConditionKind = "hours"
	IfOutput      ConditionKind = "output"
)
