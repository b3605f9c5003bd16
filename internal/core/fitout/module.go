package fitout

// Module makes an item a part of the fitout: what it is, how it is built, and
// how it opens. The item's place is the middle of its closed box and its size
// the outside; what follows from them (inside sizes, mass, sweep) is for the
// module engine.
type Module struct {
	Kind     ModuleKind `json:"kind" enum:"drawers,fridge-slide,upright-fridge,pantry,slide-table,kitchen-slide,shelf,drop-shelf,false-floor,wing-panels,lidded-box,locker,platform,water-tank,waste-tank,toilet,battery-box,power-station,board,fuel-tank,can-holder,rear-carrier,roof-rack,under-tray-box,trundle,heater,barrier,step,crate,gear"`
	Faces    Face       `json:"faces" enum:"none,rear,left,right,front,top" doc:"where it opens or slides out to"`
	Wall     Material   `json:"wall" enum:"none,plywood,aluminium,extrusion,foam-core" doc:"what it is built of; none for what is bought whole"`
	Panel    float64    `json:"panel" minimum:"0" maximum:"60" unit:"mm" doc:"thickness of carcass and drawer panels, mm"`
	Profile  float64    `json:"profile" minimum:"0" maximum:"100" unit:"mm" doc:"width of the profiles that it is framed of, mm; 0 = 30"`
	Lining   float64    `json:"lining" minimum:"0" maximum:"30" unit:"mm" doc:"lining inside, mm"`
	Runner   Runner     `json:"runner" enum:"none,ball,strip,roller" doc:"what its drawers run on"`
	Lock     Lock       `json:"lock" enum:",one,both" doc:"runners that lock: one side takes one hand, both sides take two; empty for none"`
	Travel   float64    `json:"travel" minimum:"0" maximum:"3000" unit:"mm" doc:"how far it slides out, mm; 0 = as far as it is deep"`
	Drop     float64    `json:"drop" minimum:"0" maximum:"1000" unit:"mm" doc:"how far it comes down when it is out, mm"`
	Tilt     float64    `json:"tilt" minimum:"0" maximum:"60" unit:"°" doc:"how far it tips toward its face when it is out, °"`
	Unfolds  float64    `json:"unfolds" minimum:"0" maximum:"2000" unit:"mm" doc:"length of the piece that folds out beyond its face, mm; 0 = none"`
	Stack    Stack      `json:"stack" enum:"beside,above" doc:"how its compartments lie to each other"`
	Cells    []Cell     `json:"cells" key:"id" order:"meant" maxItems:"12" doc:"drawers, shelves or compartments, from the left or from the bottom"`
	Watts    float64    `json:"watts" minimum:"0" maximum:"20000" unit:"W" doc:"what it draws when it runs, W"`
	Rated    float64    `json:"rated" minimum:"0" maximum:"5000" unit:"kg" doc:"what its runners, hinges or top carry by data sheet, kg; 0 = not stated"`
	Latch    Latch      `json:"latch" enum:",rated,friction,magnet,hatch" doc:"what holds it shut on the road; empty for nothing"`
	Holds    float64    `json:"holds" minimum:"0" maximum:"100000" unit:"N" doc:"what its latch holds, N; 0 = not stated"`
	Struts   float64    `json:"struts" minimum:"0" maximum:"8" doc:"gas struts on its lid"`
	Force    float64    `json:"force" minimum:"0" maximum:"5000" unit:"N" doc:"of each gas strut, N"`
	StrutAt  float64    `json:"strutAt" minimum:"0" maximum:"3000" unit:"mm" doc:"along the lid from its hinge to where a strut takes it, mm"`
	Pivots   *Pivots    `json:"pivots,omitempty" doc:"where its gas struts turn; absent: not said, angles of a usual mounting are reckoned with"`
	Keyed    bool       `json:"keyed" doc:"it has a lock of its own"`
	Follows  Follows    `json:"follows" enum:",chain,fold,elastic" doc:"how cable or hose follows what slides; empty for not said"`
	Fixings  []Fixing   `json:"fixings" key:"mount" maxItems:"40" doc:"mounting points that hold it"`
	Gaps     *Gaps      `json:"gaps,omitempty" doc:"what its drawers leave free; absent: 3 mm below, 5 above, 2 behind"`
	Grain    Grain      `json:"grain" enum:",along,across" doc:"along or across the longer side of its panels; empty: as the saw likes it"`
	Banding  float64    `json:"banding" minimum:"0" maximum:"20" unit:"mm" doc:"on the edges of its face, taken off the cut size, mm"`
	Finish   Finish     `json:"finish" enum:",paint,oil"`
	Scribed  bool       `json:"scribed" doc:"its back is fitted to the vehicle by hand"`
	Holes    []Hole     `json:"holes" key:"id" maxItems:"200" doc:"holes and cut-outs in its panels"`
	Mirrored bool       `json:"mirrored" doc:"hinges and compartments the other way round"`
}

// Pivots say where a gas strut turns and how long it is, in the plane of the lid's swing; where it takes the lid along
// its length is Module.StrutAt.
type Pivots struct {
	Along  float64 `json:"along" minimum:"-1000" maximum:"3000" unit:"mm" doc:"on the box: from the hinge toward the lid's free edge, mm; negative is behind the hinge"`
	Below  float64 `json:"below" minimum:"-1000" maximum:"3000" unit:"mm" doc:"on the box: below the hinge, mm"`
	Lid    float64 `json:"lid" minimum:"-500" maximum:"500" unit:"mm" doc:"on the lid: below the hinge when it is shut, mm"`
	Length float64 `json:"length" minimum:"0" maximum:"3000" unit:"mm" doc:"of the strut between its pivots, out all the way, mm"`
	Stroke float64 `json:"stroke" minimum:"0" maximum:"2000" unit:"mm" doc:"by which it goes in, mm"`
}

// ModuleKind is what a module is.
type ModuleKind string

// The kinds of module.
const (
	Drawers       ModuleKind = "drawers"
	FridgeSlide   ModuleKind = "fridge-slide"
	UprightFridge ModuleKind = "upright-fridge"
	Pantry        ModuleKind = "pantry"
	SlideTable    ModuleKind = "slide-table"
	KitchenSlide  ModuleKind = "kitchen-slide"
	Shelf         ModuleKind = "shelf"
	DropShelf     ModuleKind = "drop-shelf"
	FalseFloor    ModuleKind = "false-floor"
	WingPanels    ModuleKind = "wing-panels"
	LiddedBox     ModuleKind = "lidded-box"
	Locker        ModuleKind = "locker"
	Platform      ModuleKind = "platform"
	WaterTank     ModuleKind = "water-tank"
	WasteTank     ModuleKind = "waste-tank"
	ToiletModule  ModuleKind = "toilet"
	BatteryBox    ModuleKind = "battery-box"
	PowerStation  ModuleKind = "power-station"
	Board         ModuleKind = "board"
	FuelTank      ModuleKind = "fuel-tank"
	CanHolder     ModuleKind = "can-holder"
	RearCarrier   ModuleKind = "rear-carrier"
	RackModule    ModuleKind = "roof-rack"
	UnderTrayBox  ModuleKind = "under-tray-box"
	Trundle       ModuleKind = "trundle"
	Heater        ModuleKind = "heater"
	Barrier       ModuleKind = "barrier"
	StepModule    ModuleKind = "step"
	Crate         ModuleKind = "crate"
	PlainGear     ModuleKind = "gear"
)

// Material is what panels are made of.
type Material string

// The materials.
const (
	NoMaterial Material = "none"
	Plywood    Material = "plywood"
	Aluminium  Material = "aluminium" // welded sheet and tube
	Extrusion  Material = "extrusion" // slotted profiles with thin panels
	FoamCore   Material = "foam-core" // foam between aluminium skins
)

// Runner is what a drawer runs on.
type Runner string

// The runners.
const (
	NoRunner     Runner = "none"
	BallRunner   Runner = "ball"   // ball-bearing slide, full extension, locks
	StripRunner  Runner = "strip"  // low-friction plastic strip
	RollerRunner Runner = "roller" // rollers in a channel
)

// Lock is on how many sides of a drawer its runners lock, out and in.
type Lock string

// No lock, on one side, on both.
const (
	NoLock    Lock = ""
	OneLock   Lock = "one"
	BothLocks Lock = "both"
)

// Latch is what holds a module shut on the road.
type Latch string

// Nothing, a rated latch, or what does not count: friction, a magnet, a hatch that
// presses on it.
const (
	NoLatch       Latch = ""
	RatedLatch    Latch = "rated"
	FrictionLatch Latch = "friction"
	MagnetLatch   Latch = "magnet"
	HatchLatch    Latch = "hatch"
)

// Follows is how a cable or hose follows what slides.
type Follows string

// Not said, in a chain, folded at mid-point, taken up by elastic.
const (
	NotSaid Follows = ""
	Chain   Follows = "chain"
	Fold    Follows = "fold"
	Elastic Follows = "elastic"
)

// Fixing is one mounting point that holds a module.
type Fixing struct {
	Mount string `json:"mount" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a mount of the vehicle"`
}

// Stack is how compartments lie to each other.
type Stack string

// Side by side, or one above the other.
const (
	Beside Stack = "beside"
	Above  Stack = "above"
)

// Cell is one drawer, shelf or compartment of a module.
type Cell struct {
	ID    string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name  string  `json:"name" minLength:"1" maxLength:"120"`
	Share float64 `json:"share" minimum:"0" maximum:"100" doc:"its part of the room against its fellows; 0 counts as 1"`
	Walls int     `json:"walls" minimum:"0" maximum:"20" doc:"partitions across it; each part is then so much shorter"`
	Cover bool    `json:"cover" doc:"a lift-out cover lies over it"`
}

// InCell says that an item lies in a compartment of a module; its station is
// then that of the compartment.
type InCell struct {
	Module string `json:"module" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of an item that is a module"`
	Cell   string `json:"cell" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of one of its compartments"`
}

// Work is who makes a thing, and when.
type Work string

// What is there already, what this build makes, what comes later, and what
// others fit. The last two count when everything is finished, not now.
const (
	WorkBuild    Work = ""
	WorkExisting Work = "existing"
	WorkLater    Work = "later"
	WorkOthers   Work = "others"
)

// Now reports whether a thing is there when this build is handed over.
func (w Work) Now() bool { return w != WorkLater && w != WorkOthers }
