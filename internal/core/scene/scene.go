// Package scene is a plan as a fitter sees it, with nothing judged: what stands where in which bay, on the road and
// in each stance, what moves when it opens, how much room is left between, what follows when a part changes its
// size, and what it takes to get at things. It knows boxes only; what they are is for the module engine.
package scene

import (
	"slices"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

// Scene is everything that the rules of fit look at: the measured bays, the
// modules in them with what moves when they open, what lies in those, who uses
// it, and the stances in which it is held against the rules.
type Scene struct {
	Vehicle   *fitout.Vehicle
	Brief     *fitout.Brief
	Practice  fitout.Practice
	Wheelbase float64 // with its extension, mm
	Unladen   float64 // mass of the vehicle, kg
	Bays      []Bay
	Parts     []Part // modules that stand by themselves and are aboard
	Unplaced  []Part // those that have a space and no place in it yet
	Things    []Thing
	Stances   []fitout.Stance
	Reach     brief.Reach
	Seated    map[string]string // who sits in a seat on the road, by its id
	Say       words.Speaker
	ComesOff  map[string]bool // what comes off with the carrier, by its id
	Lockers   map[string]bool // what stands in a locker of its own that is shut to the inside, by its id

	Postures []Posture                // on the road first, then each stance; made by Prepare
	Cells    map[string][]CellFigures // compartments of every module, by its id, and what lies in them
}

// Thing is what lies in a compartment of a part.
type Thing struct {
	Item  *fitout.Item
	Part  string // id of the part whose compartment it is
	Cell  string
	Moves int // how many things lie on it
}

// Leaf is what moves when a part opens.
type Leaf = module.Leaf

// Motion is how a part opens.
type Motion = module.Motion

// The motions.
const (
	Still   = module.Still
	Slides  = module.Slides
	Drawers = module.Drawers
	LidUp   = module.LidUp
	FlapOut = module.FlapOut
	DoorOut = module.DoorOut
)

// Compartment is one drawer or room of a part.
type Compartment struct {
	ID, Name      string
	Outer, Inside fitout.Box
	Load          float64 // what lies in it, kg
}

// Module returns the module of a part, or an empty one for a bare box.
func (p *Part) Module() *fitout.Module {
	if p.Item == nil || p.Item.Module == nil {
		return &fitout.Module{}
	}
	return p.Item.Module
}

// Traits are those of its kind.
func (p *Part) Traits() module.Traits { return module.TraitsOf(p.Module().Kind) }

// Name is what a sentence calls a part.
func (p *Part) Name() string {
	if p.Item == nil {
		return p.ID
	}
	return p.Item.Name
}

// Kg is the mass of a part with all that lies in it.
func (p *Part) Kg() float64 { return p.Mass + p.Load() }

// Load is the mass of all that lies in a part, kg.
func (p *Part) Load() float64 {
	sum := 0.0
	for _, c := range p.Cells {
		sum += c.Load
	}
	return sum
}

// Part returns a part by its id, or nil.
func (s *Scene) Part(id string) *Part {
	if i := IndexOf(s.Parts, id); i >= 0 {
		return &s.Parts[i]
	}
	return nil
}

// BayOf returns the bay of a part, or nil for none that was measured.
func (s *Scene) BayOf(p *Part) *Bay {
	b := BayOf(s.Bays, p.Bay)
	if b == nil || b.Room.Size().Length == 0 || b.Room.Size().Width == 0 {
		return nil
	}
	return b
}

// Gear returns what the brief says of a thing, or nil.
func (s *Scene) Gear(id string) *fitout.Gear {
	for i := range s.Brief.Gear {
		if s.Brief.Gear[i].ID == id {
			return &s.Brief.Gear[i]
		}
	}
	return nil
}

// Often tells whether the brief has a thing taken out daily or more.
func (s *Scene) Often(id string) bool {
	g := s.Gear(id)
	return g != nil && (g.Used == fitout.UsedOften || g.Used == fitout.UsedDaily)
}

// About begins a finding about a part.
func About(rule string, severity fitout.Severity, p *Part) fitout.Finding {
	kind := "module"
	if p.Ledger {
		kind = "item"
	}
	return fitout.Finding{
		Rule:     rule,
		Severity: severity,
		Subject:  fitout.Subject{Kind: kind, ID: p.ID},
		Unit:     "mm",
		Source:   "physics",
	}
}

// With names what else a finding is about; nothing for a wall.
func With(id string) []string {
	if id == "" {
		return nil
	}
	return []string{id}
}

// AboutThing begins a finding about what lies in a compartment.
func AboutThing(rule string, severity fitout.Severity, t *Thing) fitout.Finding {
	return fitout.Finding{Rule: rule, Severity: severity, Subject: fitout.Subject{Kind: "module", ID: t.Item.ID},
		Unit: "mm", Source: "practice"}
}

// Line is a measure drawn in the scene.
func Line(from, to fitout.Point, label string) fitout.Line {
	return fitout.Line{From: from, To: to, Label: label}
}

// Upright is a measure from a height down or up to another, at the middle of a box.
func (s *Scene) Upright(b fitout.Box, from, to float64) fitout.Line {
	m := b.Middle()
	return Line(fitout.Point{X: m.X, Y: m.Y, Z: from}, fitout.Point{X: m.X, Y: m.Y, Z: to},
		s.Say.Length(max(from-to, to-from)))
}

// Edit is a fix that sets one value of a part.
func Edit(label, kind, id string, value float64) fitout.Fix {
	return fitout.Fix{Label: label, Edit: fitout.FixEdit{Kind: kind, ID: id, Value: value}}
}

// IsCarried tells whether a part stands on something that slides out.
func (s *Scene) IsCarried(p *Part) bool {
	for i := range s.Parts {
		if s.Parts[i].Traits().CarriesOut && slices.Contains(s.StandOn(i), IndexOf(s.Parts, p.ID)) {
			return true
		}
	}
	return false
}

// SeatIndex is where the seat of an id is in a list, or −1.
func SeatIndex(seats []fitout.Seat, id string) int {
	for k := range seats {
		if seats[k].ID == id {
			return k
		}
	}
	return -1
}
