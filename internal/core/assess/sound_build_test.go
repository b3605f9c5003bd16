package assess_test

import (
	"zaino/internal/core/fitout"
)

// soundBuild is a workshop's job that can be built as it is planned: a drawer unit of plywood, a rack framed in
// profile with a door, a box of sheet aluminium below the tray; stock, prices, people and hours for all of it.
func soundBuild() fitout.Job {
	j := fitout.NewJob("job", "Job", fitout.AustraliaNZ)
	bay := func(id string, kind fitout.BayKind, at fitout.Point, face fitout.Face) fitout.Bay {
		return fitout.Bay{
			ID:          id,
			Name:        id,
			Kind:        kind,
			At:          at,
			Sealed:      true,
			LengthLeft:  1800,
			LengthRight: 1800,
			WidthFront:  1500,
			WidthRear:   1500,
			HeightFront: 900,
			HeightRear:  900,
			Walls:       []fitout.CurvedWall{},
			Opening: fitout.Opening{
				Face:   face,
				Width:  1400,
				Height: 850,
				Hinge:  fitout.HingeTop,
				Swing:  90,
			},
			Obstacles: []fitout.Obstacle{},
		}
	}
	j.Vehicle.Bays = []fitout.Bay{bay("tray", fitout.BayCanopyRear, fitout.Point{X: 2200, Z: 900}, fitout.FaceRear),
		bay("below", fitout.BayUnderTray, fitout.Point{X: 2200, Z: 400}, fitout.FaceLeft)}
	part := func(id, bay string, kind fitout.ModuleKind, faces fitout.Face, wall fitout.Material, panel float64, at fitout.Point,
		size fitout.Size, cells ...string) fitout.Item {
		m := &fitout.Module{
			Kind:    kind,
			Faces:   faces,
			Wall:    wall,
			Panel:   panel,
			Runner:  fitout.NoRunner,
			Stack:   fitout.Above,
			Latch:   fitout.RatedLatch,
			Holes:   []fitout.Hole{},
			Fixings: []fitout.Fixing{},
		}
		for _, c := range cells {
			m.Cells = append(m.Cells, fitout.Cell{ID: c, Name: c})
		}
		return fitout.Item{
			ID:       id,
			Name:     id,
			Form:     fitout.FormBox,
			Source:   fitout.ByMaterial,
			Bay:      bay,
			At:       at,
			Size:     size,
			Presence: fitout.Presence{Kind: fitout.Always},
			Module:   m,
		}
	}
	unit := part(
		"unit",
		"tray",
		fitout.Drawers,
		fitout.FaceRear,
		fitout.Plywood,
		9,
		fitout.Point{X: 3550, Y: 0, Z: 1050},
		fitout.Size{Length: 900, Width: 640, Height: 300},
		"drawer",
	)
	unit.Module.Runner, unit.Module.Lining = fitout.BallRunner, 3
	unit.Module.Holes = []fitout.Hole{
		{
			ID:     "grip",
			For:    fitout.FingerHole,
			Panel:  "drawer front",
			U:      283,
			V:      200,
			Length: 110,
			Width:  30,
			Radius: 14,
		},
	}
	unit.Module.Fixings = []fitout.Fixing{{Mount: "ring"}}
	j.Vehicle.Mounts = []fitout.Mount{{ID: "ring", Name: "Ring", At: fitout.Point{X: 3550, Z: 900}, Rating: 400}}
	rack := part(
		"rack",
		"tray",
		fitout.Locker,
		fitout.FaceRear,
		fitout.Extrusion,
		6,
		fitout.Point{X: 2600, Y: 400, Z: 1250},
		fitout.Size{Length: 600, Width: 500, Height: 700},
		"a",
		"b",
	)
	box := part(
		"box",
		"below",
		fitout.UnderTrayBox,
		fitout.FaceLeft,
		fitout.Aluminium,
		2,
		fitout.Point{X: 3000, Y: -500, Z: 600},
		fitout.Size{Length: 600, Width: 400, Height: 300},
		"box",
	)
	battery := part(
		"battery",
		"tray",
		fitout.BatteryBox,
		fitout.FaceTop,
		fitout.NoMaterial,
		0,
		fitout.Point{X: 2400, Y: -500, Z: 1000},
		fitout.Size{Length: 300, Width: 200, Height: 200},
	)
	battery.Mass, battery.Source, battery.Price = 20, fitout.DataSheet, 90000
	weights := fitout.Item{
		ID:     "tools",
		Name:   "tools",
		Form:   fitout.FormBox,
		Mass:   15,
		Source: fitout.ByScale,
		Size: fitout.Size{Length: 300,
			Width: 200, Height: 100},
		Presence: fitout.Presence{Kind: fitout.Always},
		In:       &fitout.InCell{Module: "unit", Cell: "drawer"},
	}
	j.Variants[0].Items = []fitout.Item{unit, rack, box, battery, weights}
	sheet := func(id string, of fitout.Material, thick float64) fitout.Sheet {
		return fitout.Sheet{
			ID:        id,
			Name:      id,
			Of:        of,
			Thickness: thick,
			Length:    2440,
			Width:     1220,
			Price:     10000,
			Have:      1,
			More:      true,
		}
	}
	b := &j.Build
	b.Sheets = []fitout.Sheet{
		sheet("ply", fitout.Plywood, 9),
		sheet("alu", fitout.Aluminium, 2),
		sheet("panel", fitout.Extrusion, 6),
	}
	b.Bars = []fitout.Profile{{ID: "bar", Name: "bar", Length: 6000, Price: 7000, More: true}}
	for _, what := range []fitout.What{fitout.RunnerBall, fitout.HingeGoods, fitout.HingeBlock, fitout.LatchGoods, fitout.HandleGoods, fitout.ScrewGoods,
		fitout.Bracket, fitout.Bolt, fitout.SlotNut, fitout.FixingGoods, fitout.Adhesive, fitout.LiningGoods, fitout.Sealant} {
		b.Goods = append(b.Goods, fitout.Goods{ID: string(what), Name: string(what), What: what, Price: 500})
	}
	b.Makers = []fitout.Maker{
		{ID: "a", Name: "A", Skill: fitout.AllSkills},
		{ID: "b", Name: "B", Skill: fitout.AllSkills},
	}
	b.Money.Rate, b.Start = 8000, "2026-03-30"
	b.Shop.Screws, b.Shop.Salt, b.Shop.Parted, b.Shop.SwingIn = fitout.StainlessA4, fitout.IsSo, fitout.IsSo, true
	j.Brief.Budget, j.Brief.Currency = 1_500_000, "$"
	return j
}

func partOf(j *fitout.Job, id string) *fitout.Item {
	for i := range j.Variants[0].Items {
		if j.Variants[0].Items[i].ID == id {
			return &j.Variants[0].Items[i]
		}
	}
	panic(id)
}

// without takes goods of one kind off the list.
func without(j *fitout.Job, what fitout.What) {
	kept := []fitout.Goods{}
	for _, g := range j.Build.Goods {
		if g.What != what {
			kept = append(kept, g)
		}
	}
	j.Build.Goods = kept
}
