package module

import "zaino/internal/core/fitout"

// Traits are what the rules of fit look for in a kind of module: what it does to its
// neighbours, what people do with it, what it needs. A new kind is a line in Specs and,
// where any of these is so, a line here.
type Traits struct {
	Cools       bool    // a fridge
	ReachedInto bool    // one reaches in over its rim
	CarriesOut  bool    // what stands on it comes out with it
	SatOn       bool    // somebody sits on it when it is out
	StoodOn     bool    // somebody stands or lies on it
	Bed         bool    // somebody sleeps on it
	Hinged      bool    // it hangs on hinges or a bracket of its own
	Step        bool    // one steps on it to reach higher
	Barrier     bool    // it holds load from people
	HungBelow   bool    // it is hung from below, through no opening
	OnRoof      bool    // it is bolted to the roof
	Shelf       bool    // a panel that carries between its ends
	Floor       bool    // a panel that carries on bearers
	HeavyLid    bool    // its lid is what lies on top of it as well
	SmallLid    bool    // its lid is a cover that weighs nothing to speak of
	WiredDrawer bool    // its drawers have cable or hose
	Stores      bool    // a battery: what matters of it is what it feeds
	Water       bool    // it holds fresh water
	Waste       bool    // it takes up what was used
	Burns       bool    // fuel or gas is in it
	Sparks      bool    // it may spark
	Hot         bool    // it is hot
	Wet         bool    // water may run out of it
	KeepDry     bool    // water must not run into it
	Stands      bool    // it stands on a floor or on something else; nobody screws it to a wall
	Yields      bool    // loose gear: it is lifted out of the way
	Air         float64 // room for air that it wants at two sides, mm
	Served      string  // what somebody has to reach of it for years
}

// traits of the kinds that have any. Room for air is a practice figure of generic
// devices; a data sheet that asks for more has the last word.
var traits = map[fitout.ModuleKind]Traits{
	fitout.Drawers:       {Stands: true, SatOn: true},
	fitout.Trundle:       {SatOn: true},
	fitout.FridgeSlide:   {Stands: true, Cools: true, ReachedInto: true, Air: 20},
	fitout.UprightFridge: {Stands: true, Cools: true, Air: 40},
	fitout.Pantry:        {Stands: true},
	fitout.ToiletModule:  {Stands: true},
	fitout.Crate:         {Stands: true},
	fitout.LiddedBox:     {Stands: true, ReachedInto: true},
	fitout.SlideTable:    {CarriesOut: true, SatOn: true, Shelf: true},
	fitout.KitchenSlide:  {Stands: true, CarriesOut: true, WiredDrawer: true},
	fitout.Shelf:         {Shelf: true},
	fitout.DropShelf:     {Shelf: true},
	fitout.FalseFloor:    {StoodOn: true, Floor: true},
	fitout.Platform:      {StoodOn: true, Floor: true, Bed: true, HeavyLid: true},
	fitout.WingPanels:    {HeavyLid: true},
	fitout.RackModule:    {StoodOn: true, OnRoof: true},
	fitout.StepModule:    {StoodOn: true, Step: true},
	fitout.RearCarrier:   {Hinged: true},
	fitout.Barrier:       {Barrier: true},
	fitout.UnderTrayBox:  {HungBelow: true},
	fitout.FuelTank:      {Stands: true, Burns: true, Served: "filler and valve"},
	fitout.CanHolder:     {Burns: true},
	fitout.BatteryBox: {
		Stands: true, Stores: true, Sparks: true, KeepDry: true, SmallLid: true, Air: 10, Served: "terminals",
	},
	fitout.Board:        {Sparks: true, KeepDry: true, Air: 30, Served: "fuses and wiring"},
	fitout.PowerStation: {Stands: true, Stores: true, Sparks: true, KeepDry: true, Air: 40, Served: "sockets"},
	fitout.Heater:       {Sparks: true, Hot: true, Air: 80, Served: "exhaust and combustion air"},
	fitout.WaterTank:    {Stands: true, Wet: true, Water: true, Served: "filler, valve and drain"},
	fitout.WasteTank:    {Stands: true, Wet: true, Waste: true, Served: "drain"},
	fitout.PlainGear:    {Stands: true, Yields: true},
}

// TraitsOf returns the traits of a kind.
func TraitsOf(kind fitout.ModuleKind) Traits { return traits[kind] }

// Gear is what a thing of the ledger is as a part: loose gear, held by nothing.
func Gear() *fitout.Module {
	return &fitout.Module{
		Kind: fitout.PlainGear, Faces: fitout.FaceNone, Wall: fitout.NoMaterial, Runner: fitout.NoRunner, Stack: fitout.Beside,
	}
}

// CutRound tells whether a part goes round what rises at the sides of its space: a floor of one panel that lies flat.
func CutRound(i *fitout.Item) bool {
	return i.Module != nil && i.Module.Kind == fitout.FalseFloor && i.Module.Wall != fitout.NoMaterial &&
		i.Size.Height <= i.Module.Panel+0.5
}
