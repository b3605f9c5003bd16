package build

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// HardwareNeed is hardware that the build takes.
type HardwareNeed struct {
	What    fitout.What `json:"what"`
	Name    string      `json:"name"`
	Length  float64     `json:"length" doc:"of a runner, mm; 0 for the others"`
	Count   float64     `json:"count"`
	Unit    string      `json:"unit" enum:"pieces,pairs,m,L,m²"`
	Modules []string    `json:"modules" doc:"ids"`
	Goods   string      `json:"goods" doc:"id of what it is bought as; empty: nothing on the list"`
	Have    float64     `json:"have"`
	Packs   int         `json:"packs" doc:"to buy"`
	Each    int         `json:"each" doc:"of one, in cents; 0 = not known"`
	Sum     int         `json:"sum" doc:"of what the build takes, in cents"`
}

// goodsNames are what hardware is called and counted in, in the order of the list.
var goodsNames = []struct {
	what       fitout.What
	name, unit string
}{
	{fitout.RunnerBall, "Ball runners", "pairs"}, {fitout.RunnerRoller, "Roller runners", "pairs"},
	{fitout.RunnerStrip, "Runner strips", "pairs"}, {fitout.HingeGoods, "Hinges", "pieces"},
	{fitout.HingeBlock, "Hinge blocks for profile", "pieces"}, {fitout.StrutGoods, "Gas struts", "pieces"},
	{fitout.LatchGoods, "Latches", "pieces"}, {fitout.HandleGoods, "Handles", "pieces"},
	{fitout.ScrewGoods, "Screws", "pieces"}, {fitout.Bracket, "Brackets", "pieces"}, {fitout.Bolt, "Bolts", "pieces"},
	{fitout.SlotNut, "Slot nuts", "pieces"}, {fitout.FixingGoods, "Fixings to the vehicle", "pieces"},
	{
		fitout.Adhesive,
		"Adhesive",
		"L",
	}, {fitout.PaintGoods, "Paint or oil", "L"}, {fitout.LiningGoods, "Lining", "m²"},
	{fitout.Edging, "Edging", "m"}, {fitout.Sealant, "Sealant", "pieces"}, {fitout.OtherGoods, "Other", "pieces"},
}

var runnerGoods = map[fitout.Runner]fitout.What{
	fitout.BallRunner:   fitout.RunnerBall,
	fitout.RollerRunner: fitout.RunnerRoller,
	fitout.StripRunner:  fitout.RunnerStrip,
}

// opens are how many lids, flaps, doors, drawers or slides a module has.
func opens(m *Made) int {
	spec := module.Of(m.item.Module.Kind)
	if spec.Motion == module.Still {
		return 0
	}
	if spec.Motion == module.Drawers {
		return max(1, len(m.item.Module.Cells))
	}
	return 1
}

// usualShop are the figures of a workshop that has entered none.
var usualShop = fitout.NewBuild().Shop

// hinges are how many a lid, flap or door takes: by its length and by its mass, two at least.
func hinges(m *Made, shop *fitout.Shop) int {
	spec := module.Of(m.item.Module.Kind)
	length := module.Width(m.item)
	switch spec.Motion {
	case module.DoorOut:
		length = m.item.Size.Height
	case module.LidUp, module.FlapOut:
	default:
		return 0
	}
	kg := 0.0
	for k := range m.anatomy.Panels {
		if name := m.anatomy.Panels[k].Name; name == "lid" || name == "door" || name == "flap" {
			kg = max(kg, m.anatomy.Panels[k].Kg)
		}
	}
	return max(2, int(math.Ceil(length/shop.HingeEvery-1e-9)), int(math.Ceil(kg/shop.HingeBears-1e-9)))
}

// hardwareOf is all hardware of a list, by rules that the workshop's figures feed, priced by its goods.
func hardwareOf(l *List, b *fitout.Build) []HardwareNeed {
	var needs []HardwareNeed
	add := func(what fitout.What, length, count float64, of string) {
		if count <= 0 {
			return
		}
		for k := range needs {
			if needs[k].What == what && needs[k].Length == length {
				needs[k].Count += count
				if !slices.Contains(needs[k].Modules, of) {
					needs[k].Modules = append(needs[k].Modules, of)
				}
				return
			}
		}
		needs = append(needs, HardwareNeed{What: what, Length: length, Count: count, Modules: []string{of}})
	}
	for k := range l.Made {
		m := &l.Made[k]
		d := m.item.Module
		add(fitout.FixingGoods, 0, float64(len(d.Fixings)), m.ID)
		if m.How != fitout.MadeHere {
			continue
		}
		for _, r := range m.anatomy.Runners {
			if length := module.StandardRunner(b.Runners, r.Depth).Length; length > 0 {
				add(runnerGoods[d.Runner], length, 1, m.ID)
			}
		}
		n := float64(hinges(m, &b.Shop))
		add(fitout.HingeGoods, 0, n, m.ID)
		add(fitout.StrutGoods, 0, d.Struts, m.ID)
		if d.Latch == fitout.RatedLatch || d.Latch == fitout.FrictionLatch || d.Latch == fitout.MagnetLatch {
			add(fitout.LatchGoods, 0, float64(opens(m)), m.ID)
		}
		add(fitout.HandleGoods, 0, float64(opens(m)), m.ID)
		joints(m, &b.Shop, add)
		if d.Wall == fitout.Extrusion {
			add(fitout.HingeBlock, 0, n, m.ID)
		}
		surface := 0.0
		for _, p := range m.Panels {
			surface += 2 * l.Panels[p].Length * l.Panels[p].Width / 1e6
			add(
				fitout.Edging,
				0,
				(float64(l.Panels[p].BandLong)*l.Panels[p].Length+float64(l.Panels[p].BandShort)*l.Panels[p].Width)/1000,
				m.ID,
			)
		}
		if d.Finish != fitout.NoFinish {
			add(fitout.PaintGoods, 0, surface*b.Shop.Paint*b.Shop.Coats, m.ID)
		}
		for _, lining := range m.anatomy.Linings {
			add(fitout.LiningGoods, 0, lining.Area, m.ID)
		}
	}
	for k := range b.Goods {
		if g := &b.Goods[k]; g.What == fitout.OtherGoods || g.What == fitout.Sealant {
			needs = append(
				needs,
				HardwareNeed{What: g.What, Name: g.Name, Count: max(1, g.Pack), Modules: []string{}, Goods: g.ID},
			)
		}
	}
	for k := range needs {
		priced(&needs[k], b)
	}
	slices.SortStableFunc(needs, func(x, y HardwareNeed) int {
		return cmp.Or(place(x.What)-place(y.What), cmp.Compare(x.Length, y.Length))
	})
	return needs
}

func place(what fitout.What) int {
	for k := range goodsNames {
		if goodsNames[k].what == what {
			return k
		}
	}
	return len(goodsNames)
}

// joints adds what holds panels and profiles together: plywood is glued and screwed, foam core bonded on both
// faces of a joint, a frame bracketed; sheet aluminium is welded.
func joints(m *Made, shop *fitout.Shop, add func(what fitout.What, length, count float64, of string)) {
	switch m.item.Module.Wall {
	case fitout.Plywood:
		screws := 0.0
		for _, j := range m.joined {
			screws += max(2, math.Ceil(j.length/shop.ScrewEvery-1e-9))
		}
		add(fitout.ScrewGoods, 0, screws, m.ID)
		add(fitout.Adhesive, 0, m.Joint*shop.Adhesive, m.ID)
	case fitout.FoamCore:
		add(fitout.Adhesive, 0, 2*m.Joint*shop.Adhesive, m.ID)
	case fitout.Extrusion:
		brackets, nuts := 0.0, 0.0
		for k := range m.anatomy.Rods {
			if m.anatomy.Rods[k].Butts {
				brackets += 2
			}
		}
		for _, all := range nutsOf(m) {
			for _, n := range all {
				nuts += float64(n.Count)
			}
		}
		add(fitout.Bracket, 0, brackets, m.ID)
		add(fitout.Bolt, 0, nuts, m.ID)
		add(fitout.SlotNut, 0, nuts, m.ID)
	}
}

// priced names a need, and finds what it is bought as: of its length first, then of any.
func priced(n *HardwareNeed, b *fitout.Build) {
	n.Unit = goodsNames[min(place(n.What), len(goodsNames)-1)].unit
	if n.Name == "" {
		n.Name = goodsNames[min(place(n.What), len(goodsNames)-1)].name
		if n.Length > 0 {
			n.Name = fmt.Sprintf("%s %.0f", n.Name, n.Length)
		}
	}
	var found *fitout.Goods
	for k := range b.Goods {
		g := &b.Goods[k]
		if n.Goods != "" && g.ID != n.Goods ||
			n.Goods == "" && (g.What != n.What || g.Length != 0 && g.Length != n.Length) {
			continue
		}
		if found == nil || g.Length == n.Length && found.Length != n.Length {
			found = g
		}
	}
	if found == nil {
		n.Packs = int(math.Ceil(n.Count - 1e-9))
		return
	}
	n.Goods, n.Name, n.Have = found.ID, found.Name, found.Have
	pack := found.Pack
	if pack <= 0 {
		pack = 1
	}
	n.Packs = int(math.Ceil(max(0, n.Count-found.Have)/pack - 1e-9))
	n.Each = int(math.Round(float64(found.Price) / pack))
	n.Sum = times(found.Price, n.Count/pack, b.Money.Decimals)
}
