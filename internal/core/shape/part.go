package shape

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// Part is the form of one thing: what stands still, and what moves when it opens.
type Part struct {
	ID     string
	Box    fitout.Box // its closed outside, mm
	Still  []Prism
	Leaves []Moving
}

// Moving is what moves when a part opens: it slides by a way, or turns about an edge.
type Moving struct {
	Cell     string       // id of the compartment; empty for the whole
	Slides   fitout.Point // how far it goes, mm
	About    Axis         // axis that it turns about; empty for what slides
	Through  fitout.Point // a place of that axis, mm
	Quarters int          // how far it turns, in quarters
	Solids   []Prism      // shut
}

// Opened returns the solids of what moves, open by a share of its way. What turns is drawn shut or open,
// by what it is nearer to.
func (m *Moving) Opened(share float64) []Prism {
	open := make([]Prism, len(m.Solids))
	for i, s := range m.Solids {
		switch {
		case m.About == "":
			by := fitout.Point{X: share * m.Slides.X, Y: share * m.Slides.Y, Z: m.Slides.Z}
			if share < 1 && by != (fitout.Point{Z: by.Z}) {
				by.Z = 0 // it comes down only at its end
			} else if share < 1 {
				by.Z *= share
			}
			open[i] = s.Moved(by)
		case share >= 0.5:
			open[i] = s.Turned(m.About, m.Through, m.Quarters)
		default:
			open[i] = s
		}
	}
	return open
}

// Solids are all of a part: shut, but for the leaves that open tells to be open by a share above 0; nil
// for none.
func (p *Part) Solids(open func(cell string) float64) []Prism {
	all := append([]Prism{}, p.Still...)
	for i := range p.Leaves {
		if l := &p.Leaves[i]; open != nil && open(l.Cell) > 0 {
			all = append(all, l.Opened(open(l.Cell))...)
		} else {
			all = append(all, l.Solids...)
		}
	}
	return all
}

// least is the least size that a thing is drawn with, mm, so that it can be seen and taken.
const least = 60.0

// Of is the form of an item, resolved and standing where it stands.
func Of(item *fitout.Item) Part {
	drawn := *item
	for _, side := range []*float64{&drawn.Size.Length, &drawn.Size.Width, &drawn.Size.Height} {
		if item.Module == nil {
			*side = max(*side, least)
		} else {
			*side = max(*side, 1)
		}
	}
	p := Part{ID: item.ID, Box: drawn.Box(), Still: []Prism{}, Leaves: []Moving{}}
	b := newBuilder(&drawn, &p)
	if item.Module != nil {
		families[item.Module.Kind](b)
		b.hang(module.Leaves(&drawn))
	} else {
		gear(b)
	}
	return p
}

// families are the forms of the kinds of module, each in a file of its own.
var families = map[fitout.ModuleKind]func(*builder){
	fitout.Drawers: drawers, fitout.Trundle: drawers, fitout.FridgeSlide: chestFridge, fitout.UprightFridge: uprightFridge,
	fitout.Pantry: pantry, fitout.SlideTable: slideTable, fitout.KitchenSlide: kitchen, fitout.Shelf: shelf,
	fitout.DropShelf: dropShelf, fitout.FalseFloor: falseFloor, fitout.WingPanels: falseFloor,
	fitout.LiddedBox: liddedBox, fitout.Locker: locker, fitout.Platform: platform, fitout.WaterTank: (*builder).tank,
	fitout.WasteTank: (*builder).tank, fitout.FuelTank: (*builder).tank, fitout.ToiletModule: toilet, fitout.BatteryBox: battery,
	fitout.PowerStation: powerStation, fitout.Board: board, fitout.CanHolder: canHolder, fitout.RearCarrier: rearCarrier,
	fitout.RackModule: rack, fitout.UnderTrayBox: underTrayBox, fitout.Heater: heater, fitout.Barrier: barrier,
	fitout.StepModule: step, fitout.Crate: crate, fitout.PlainGear: gear,
}
