package demo

import (
	"slices"

	"zaino/internal/core/fitout"
)

// measureSlips are figures that were read, typed or measured wrongly.
var measureSlips = []each{
	list(
		"mounting point is measured 3,000 mm further back",
		mounts,
		func(_ *fitout.Job, m *fitout.Mount) (string, bool) {
			m.At.X += 3000
			return m.ID, true
		},
	),
	list("mark is measured 5,000 mm further back", func(j *fitout.Job) []fitout.Mark { return j.Vehicle.Marks },
		func(_ *fitout.Job, m *fitout.Mark) (string, bool) {
			m.At.X += 5000
			return m.ID, true
		}),
	list("low point hangs 200 mm lower", func(j *fitout.Job) []fitout.LowPoint { return j.Vehicle.LowPoints },
		func(_ *fitout.Job, l *fitout.LowPoint) (string, bool) {
			l.At.Z -= 200
			return l.ID, l.At.Z < 150
		}),
	list("filler is 1,500 mm higher", vessels, func(_ *fitout.Job, v *fitout.Vessel) (string, bool) {
		if v.Filler == nil {
			return v.Of, false
		}
		v.Filler.At.Z += 1500
		return v.Of, true
	}),
	list("outlet is measured 6,000 mm further back", outlets, func(_ *fitout.Job, o *fitout.Outlet) (string, bool) {
		o.At.X += 6000
		return o.ID, true
	}),
	list("pressure has a figure too few", func(j *fitout.Job) []fitout.TyrePressure { return plumbing(j).Pressures },
		func(_ *fitout.Job, p *fitout.TyrePressure) (string, bool) {
			p.KPa /= 10
			return p.ID, true
		}),
	list("fuel weighs what another kind does", func(j *fitout.Job) []fitout.Tank { return j.Vehicle.Tanks },
		func(j *fitout.Job, t *fitout.Tank) (string, bool) {
			t.Density = map[bool]float64{true: 0.745, false: 0.84}[t.Density >= 0.8]
			return t.ID, t.Kind == fitout.TankFuel && j.Vehicle.Fuel != fitout.NoFuel
		}),
	once("cab ends 400 mm further back", func(j *fitout.Job) bool {
		j.Vehicle.Outline.CabRear += 400
		return j.Vehicle.Outline.Body != fitout.BodyWagon
	}),
	list(
		"under-tray part hangs where the exhaust runs",
		func(j *fitout.Job) []fitout.Item { return j.ChosenVariant().Items },
		func(j *fitout.Job, i *fitout.Item) (string, bool) {
			b := i.Box()
			j.Vehicle.Marks = append(
				j.Vehicle.Marks,
				fitout.Mark{ID: "muffler", Name: "Muffler", Kind: fitout.ExhaustMark,
					At: fitout.Point{X: i.At.X, Y: b.From.Y - 40, Z: b.From.Z}, From: fitout.FaceNone},
			)
			return i.ID, i.Module != nil && b.To.Z < j.Vehicle.Outline.FloorHeight
		},
	),
	list("weighs nothing", func(j *fitout.Job) []fitout.Item { return j.ChosenVariant().Items },
		func(_ *fitout.Job, i *fitout.Item) (string, bool) {
			told := i.Mass > 0 && i.Presence.Level == nil && !i.Cables && i.Source != fitout.ByMaterial
			i.Mass = 0
			return i.ID, told
		}),
	list("stands in its place and in no space", func(j *fitout.Job) []fitout.Item { return j.ChosenVariant().Items },
		func(j *fitout.Job, i *fitout.Item) (string, bool) {
			was := i.Bay
			i.Bay = ""
			return i.ID, i.Module != nil && i.In == nil && (was == "cargo" || was == "bed" || was == "canopy-left" ||
				was == "canopy-right")
		}),
	list("tank hangs at a tenth of its height", func(j *fitout.Job) []fitout.Tank { return j.Vehicle.Tanks },
		func(_ *fitout.Job, t *fitout.Tank) (string, bool) {
			t.At.Z /= 10
			return t.ID, true
		}),
	list("mark is at a tenth of its height", func(j *fitout.Job) []fitout.Mark { return j.Vehicle.Marks },
		func(_ *fitout.Job, m *fitout.Mark) (string, bool) {
			m.At.Z /= 10
			return m.ID, m.At.Z < 150
		}),
	list("moved part is 3,000 mm to the right", func(j *fitout.Job) []fitout.Part { return j.Vehicle.Parts },
		func(_ *fitout.Job, p *fitout.Part) (string, bool) {
			if p.State != fitout.Moved {
				return p.ID, false
			}
			p.MovedTo.Y += 3000
			return p.ID, true
		}),
	list("traveller is a tenth as wide", func(j *fitout.Job) []fitout.Traveller { return j.Brief.Travellers },
		func(_ *fitout.Job, t *fitout.Traveller) (string, bool) {
			t.Shoulder /= 10
			return t.ID, t.Kind == fitout.TravellerPerson && t.Shoulder > 0
		}),
	once("rear springs have a figure too many", func(j *fitout.Job) bool {
		j.Vehicle.Rear.Rate *= 10
		return j.Vehicle.Rear.Rate > 0
	}),
	once("ball is a tenth as far back", func(j *fitout.Job) bool {
		j.Vehicle.Hitch.Overhang /= 10
		return j.Trailer != nil
	}),
	list("is no load under Power", loads, func(j *fitout.Job, l *fitout.PowerLoad) (string, bool) {
		was := l.Item
		l.Item = ""
		return was, slices.ContainsFunc(j.ChosenVariant().Items, func(i fitout.Item) bool {
			return i.ID == was && i.Module != nil && (i.Module.Watts > 0 || i.Module.Kind == fitout.FridgeSlide)
		})
	}),
	list("fuel tank holds ten times as much", func(j *fitout.Job) []fitout.Tank { return j.Vehicle.Tanks },
		func(_ *fitout.Job, t *fitout.Tank) (string, bool) {
			t.Capacity *= 10
			return t.ID, t.Kind == fitout.TankFuel
		}),
	list("is a second driver's seat", func(j *fitout.Job) []fitout.Seat { return j.Vehicle.Seats },
		func(_ *fitout.Job, s *fitout.Seat) (string, bool) {
			was := s.Driver
			s.Driver = true
			return s.ID, !was
		}),
	once("coldest night and hottest day are exchanged", func(j *fitout.Job) bool {
		trip := &j.Brief.Trip
		trip.Coldest, trip.Hottest = trip.Hottest, trip.Coldest
		return true
	}),
	once("front axle limit has a figure too many", func(j *fitout.Job) bool {
		j.Vehicle.Limits.FrontAxle.Kg *= 10
		return true
	}),
	once("body is a tenth as wide", func(j *fitout.Job) bool {
		j.Vehicle.Outline.Width /= 10
		return j.Vehicle.Outline.Width > 0
	}),
	once("somebody drinks half a litre", func(j *fitout.Job) bool {
		j.Brief.Assumptions.WaterDrink = 0.5
		return true
	}),
}
