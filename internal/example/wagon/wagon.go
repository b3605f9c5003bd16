// Package wagon is a sound build as the rules of fit look at it, with which their tests begin: one slip in it, and
// exactly one rule has something to say.
package wagon

import (
	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// Box is so long, wide and high, from its corner to the front, left and down, mm.
func Box(x, y, z, l, w, h float64) fitout.Box {
	return fitout.Box{From: fitout.Point{X: x, Y: y, Z: z}, To: fitout.Point{X: x + l, Y: y + w, Z: z + h}}
}

// Slide is a leaf that comes straight out.
func Slide(b fitout.Box, cell string, dx, dy, dz float64) scene.Leaf {
	open := b.Moved(dx, dy, dz)
	return scene.Leaf{Cell: cell, Closed: b, Open: open, Swept: b.Around(open)}
}

// lidAlong is a lid that stands up along the front edge of a box.
func lidAlong(b fitout.Box) scene.Leaf {
	swept := b
	swept.From.Z, swept.To.Z = b.To.Z, b.To.Z+b.Size().Length
	open := swept
	open.To.X = open.From.X + 20
	closed := b
	closed.From.Z = b.To.Z
	return scene.Leaf{Closed: closed, Open: open, Swept: swept}
}

// Part is a part in the cargo area that opens in a motion, with the leaves that go with it; its mass in kg.
func Part(id string, kind fitout.ModuleKind, motion scene.Motion, b fitout.Box, kg float64) scene.Part {
	item := &fitout.Item{
		ID:   id,
		Name: "The " + id,
		Form: fitout.FormBox,
		Size: b.Size(),
		At:   b.Middle(),
		Bay:  "cargo",
		Mass: kg,
		Module: &fitout.Module{Kind: kind, Faces: fitout.FaceRear, Wall: fitout.NoMaterial, Latch: fitout.RatedLatch,
			Follows: fitout.Chain, Fixings: []fitout.Fixing{{Mount: "ring"}}},
	}
	p := scene.Part{ID: id, Bay: "cargo", Box: b, Item: item, Motion: motion, Mass: kg}
	switch motion {
	case scene.Slides, scene.Drawers:
		cell := ""
		if motion == scene.Drawers {
			cell = "drawer"
			p.Cells = []scene.Compartment{{ID: "drawer", Name: "Drawer", Outer: b, Inside: b}}
			item.Module.Cells = []fitout.Cell{{ID: "drawer", Name: "Drawer"}}
		}
		item.Module.Travel = b.Size().Length - 50
		item.Module.Runner = fitout.BallRunner
		p.Leaves = []scene.Leaf{Slide(b, cell, item.Module.Travel, 0, 0)}
	case scene.LidUp:
		item.Module.Struts, item.Module.Force = 2, 1000
		p.Leaves = []scene.Leaf{lidAlong(b)}
	case scene.DoorOut:
		face := b
		face.From.X = b.To.X
		swept := face
		swept.To.X += b.Size().Width
		p.Leaves = []scene.Leaf{{Closed: face, Open: swept, Swept: swept}}
	}
	return p
}

// Eyes puts two eyes on the right side, so far apart and 1600 high, that hold so many kg each.
func Eyes(s *scene.Scene, apart, kg float64) {
	for n, id := range []string{"eye-0", "eye-1"} {
		s.Vehicle.Mounts = append(s.Vehicle.Mounts, fitout.Mount{ID: id, Name: "Eye",
			At: fitout.Point{X: 2300 + float64(n)*apart, Y: 350, Z: 1600}, Rating: kg})
	}
}

// Sound is a wagon with a fitout that has nothing wrong with it: a drawer unit
// and a fridge side by side on a floor that clears the lip, a board and a battery
// at the front with a barrier, a box for gear with room above its lid, a bed for
// one above, and two ways out.
func Sound() *scene.Scene {
	cargo := scene.Bay{
		ID: "cargo", Name: "Cargo area", Kind: fitout.BayWagonCargo, Room: Box(2600, -700, 600, 1400, 1400, 1100),
		Opening: scene.Opening{Opening: fitout.Opening{Face: fitout.FaceRear, Width: 1200, Height: 900, Sill: 30,
			Hinge: fitout.HingeTop, Swing: 90}, Gap: Box(4000, -600, 630, 0, 1200, 900), Known: true},
		Obstacles: []scene.Obstacle{{ID: "arch", Name: "Left wheel arch", Box: Box(2600, -700, 600, 500, 100, 250)}},
		Sealed:    true, Lockable: true, Shared: true,
	}
	row := scene.Bay{
		ID: "row", Name: "Second row", Kind: fitout.BaySecondRow, Room: Box(1800, -700, 600, 800, 1400, 1100), Shared: true,
		Sealed: true, Lockable: true,
		Opening: scene.Opening{
			Opening: fitout.Opening{Face: fitout.FaceLeft, Width: 700, Height: 900, Hinge: fitout.HingeLeft,
				Swing: 70},
			Gap:   Box(1850, -700, 640, 700, 0, 900),
			Known: true,
		},
	}
	unit := Part("unit", fitout.Drawers, scene.Drawers, Box(3000, -590, 640, 1000, 580, 300), 30)
	unit.Cells[0].Load = 20
	fridge := Part("fridge", fitout.FridgeSlide, scene.Slides, Box(3300, 20, 640, 700, 420, 400), 30)
	platform := Part("platform", fitout.Platform, scene.Still, Box(1900, -590, 990, 1950, 600, 30), 12)
	platform.Leaves, platform.Bay, platform.Item.Bay = nil, "", ""
	board := Part("board", fitout.Board, scene.DoorOut, Box(2700, 100, 800, 100, 300, 300), 10)
	barrier := Part("barrier", fitout.Barrier, scene.Still, Box(2610, 100, 700, 20, 500, 500), 12)
	chest := Part("chest", fitout.LiddedBox, scene.LidUp, Box(3000, 460, 640, 250, 200, 200), 6)
	s := &scene.Scene{
		Vehicle: &fitout.Vehicle{
			Mounts: []fitout.Mount{{ID: "ring", Name: "Ring", At: fitout.Point{X: 3100, Y: -200, Z: 640}, Rating: 900,
				Beneath: "a fuel line"}},
			Seats: []fitout.Seat{{ID: "rear", Name: "Rear seat"}},
			Marks: []fitout.Mark{
				{ID: "plate", Name: "Number plate", Kind: fitout.PlateMark, At: fitout.Point{X: 4100, Z: 500},
					From: fitout.FaceRear},
			},
		},
		Brief: &fitout.Brief{
			Travellers: []fitout.Traveller{
				{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Height: 1700, Shoulder: 400},
			},
			Gear:        []fitout.Gear{{ID: "stove", Name: "Stove", Used: fitout.UsedDaily, Dry: true, Locked: true}},
			Assumptions: fitout.Assumptions{BedLength: 100, BedWidth: 150},
		},
		Practice: fitout.NewPractice(fitout.AustraliaNZ), Wheelbase: 3300, Unladen: 2000,
		Say:   words.Speaker{Units: quantity.Metric, Region: fitout.AustraliaNZ},
		Bays:  []scene.Bay{cargo, row},
		Parts: []scene.Part{unit, fridge, platform, board, barrier, chest},
		Reach: brief.Reach{Grip: 2000, Rim: 1250, Arm: 740, Who: "Ann"},
		Stances: []fitout.Stance{
			{
				ID:   "cook",
				Name: "Cook",
				Use:  fitout.StanceCook,
				Open: []fitout.Opened{{Module: "unit"}, {Module: "fridge"}},
			},
			{ID: "sleep", Name: "Sleep", Use: fitout.StanceSleep, Sleepers: []fitout.Sleeper{{Traveller: "ann"}},
				Folded: []fitout.SeatKept{{Seat: "rear"}}},
		},
	}
	stove := fitout.Item{ID: "stove", Name: "Stove", Size: fitout.Size{Length: 300, Width: 300, Height: 120},
		At: Box(3100, -500, 660, 300, 300, 120).Middle()}
	s.Things = []scene.Thing{{Item: &stove, Part: "unit", Cell: "drawer"}}
	return s
}

// Put moves a part and what moves of it.
func Put(s *scene.Scene, id string, dx, dy, dz float64) {
	p := s.Part(id)
	*p = p.MovedBy(dx, dy, dz)
}

// Add puts a further part into a scene.
func Add(s *scene.Scene, p scene.Part) *scene.Part {
	s.Parts = append(s.Parts, p)
	return &s.Parts[len(s.Parts)-1]
}

// WithHammock is a sound build in which Ann sleeps in a hammock on the right, on eyes that hold 400 kg each.
func WithHammock(low float64) *scene.Scene {
	s := Sound()
	Eyes(s, 1900, 400)
	s.Stances[1].Hung = []fitout.Hung{{Traveller: "ann", Head: "eye-0", Foot: "eye-1", Low: low, Kg: 2}}
	s.Brief.Travellers[0].Mass = 70
	return s
}
