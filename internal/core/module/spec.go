// Package module knows the parts of the trade: what each kind is built of, what
// its outside leaves inside, what it weighs, and where it goes when it opens.
package module

import "zaino/internal/core/fitout"

// Motion is how a kind of module opens.
type Motion string

// The motions.
const (
	Still   Motion = "still"
	Slides  Motion = "slides"   // as a whole, toward the side that it faces
	Drawers Motion = "drawers"  // each compartment by itself
	LidUp   Motion = "lid-up"   // a lid on top, hinged at the far side
	FlapOut Motion = "flap-out" // its face comes down, hinged at the bottom
	DoorOut Motion = "door-out" // its face swings out, hinged at one side
)

// Shape is how a built kind is made of panels.
type Shape string

// The shapes.
const (
	Bought  Shape = "bought"  // whole; its mass is what the data sheet says
	Carcass Shape = "carcass" // top, bottom, sides, back and dividers
	OpenBox Shape = "box"     // bottom, four sides and a lid
	Plate   Shape = "plate"   // one panel on bearers
	Frame   Shape = "frame"   // a tray and its runners
)

// Spec is what is true of every module of a kind.
type Spec struct {
	Kind   fitout.ModuleKind `json:"kind"`
	Label  string            `json:"label"`
	Motion Motion            `json:"motion" enum:"still,slides,drawers,lid-up,flap-out,door-out"`
	Shape  Shape             `json:"shape" enum:"bought,carcass,box,plate,frame"`
	Holds  bool              `json:"holds" doc:"it has compartments that gear can lie in"`
	Form   fitout.Form       `json:"form" enum:"box,tank,wheel,person,animal,soft"`
}

// Specs are all kinds, in the order in which they are offered.
var Specs = [...]Spec{
	{fitout.Drawers, "Drawer unit", Drawers, Carcass, true, fitout.FormBox},
	{fitout.FridgeSlide, "Fridge on a slide", Slides, Bought, true, fitout.FormBox},
	{fitout.UprightFridge, "Upright fridge", DoorOut, Bought, true, fitout.FormBox},
	{fitout.Pantry, "Pantry pull-out", Slides, Carcass, true, fitout.FormBox},
	{fitout.SlideTable, "Slide-out table", Slides, Plate, false, fitout.FormBox},
	{fitout.KitchenSlide, "Kitchen slide", Slides, Frame, true, fitout.FormBox},
	{fitout.Shelf, "Shelf", Still, Plate, false, fitout.FormBox},
	{fitout.DropShelf, "Drop-down shelf", FlapOut, Plate, false, fitout.FormBox},
	{fitout.FalseFloor, "False floor", Still, Plate, false, fitout.FormBox},
	{fitout.WingPanels, "Wing panels with lids", LidUp, Plate, true, fitout.FormBox},
	{fitout.LiddedBox, "Lidded box", LidUp, OpenBox, true, fitout.FormBox},
	{fitout.Locker, "Locker", DoorOut, Carcass, true, fitout.FormBox},
	{fitout.Platform, "Sleeping platform", LidUp, Plate, false, fitout.FormBox},
	{fitout.WaterTank, "Water tank", Still, Bought, false, fitout.FormTank},
	{fitout.WasteTank, "Waste tank", Still, Bought, false, fitout.FormTank},
	{fitout.ToiletModule, "Toilet", Slides, Bought, false, fitout.FormBox},
	{fitout.BatteryBox, "Battery box", LidUp, Bought, false, fitout.FormBox},
	{fitout.PowerStation, "Power station", Still, Bought, false, fitout.FormBox},
	{fitout.Board, "Electrical board", DoorOut, Bought, false, fitout.FormBox},
	{fitout.FuelTank, "Fuel tank", Still, Bought, false, fitout.FormTank},
	{fitout.CanHolder, "Can holder", Still, Bought, false, fitout.FormBox},
	{fitout.RearCarrier, "Rear-wall carrier", DoorOut, Bought, false, fitout.FormBox},
	{fitout.RackModule, "Roof rack", Still, Bought, false, fitout.FormBox},
	{fitout.UnderTrayBox, "Under-tray box", FlapOut, Carcass, true, fitout.FormBox},
	{fitout.Trundle, "Trundle drawer", Drawers, Carcass, true, fitout.FormBox},
	{fitout.Heater, "Heater", Still, Bought, false, fitout.FormBox},
	{fitout.Barrier, "Cargo barrier", Still, Bought, false, fitout.FormBox},
	{fitout.StepModule, "Step", Slides, Bought, false, fitout.FormBox},
	{fitout.Crate, "Animal crate", DoorOut, Bought, true, fitout.FormBox},
	{fitout.PlainGear, "Gear", Still, Bought, false, fitout.FormBox},
}

// Of returns the spec of a kind; an unknown kind is plain gear.
func Of(kind fitout.ModuleKind) Spec {
	for _, s := range Specs {
		if s.Kind == kind {
			return s
		}
	}
	return Specs[len(Specs)-1]
}
