package demo

import (
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// each makes a slip on one thing of a list; it is asked for every one of them.
type each struct {
	name string
	of   func(j *fitout.Job) int                   // how many things there are
	make func(j *fitout.Job, k int) (string, bool) // the id of the thing, and whether it is a slip there
}

func items(name string, spoil func(j *fitout.Job, i *fitout.Item) bool) each {
	return each{
		name,
		func(j *fitout.Job) int { return len(j.ChosenVariant().Items) },
		func(j *fitout.Job, k int) (string, bool) {
			i := &j.ChosenVariant().Items[k]
			return i.ID, spoil(j, i)
		},
	}
}

// part tells whether an item is a part that is always there and stands in a space with walls.
func part(j *fitout.Job, i *fitout.Item) bool {
	return i.Module != nil && i.In == nil && !i.OnTrailer && i.Presence.Kind == fitout.Always &&
		slices.ContainsFunc(j.Vehicle.Bays, func(b fitout.Bay) bool { return b.ID == i.Bay && b.LengthLeft > 0 })
}

// withPeople tells whether an item is in a space where people travel or sleep.
func withPeople(j *fitout.Job, i *fitout.Item) bool {
	return i.Presence.Kind == fitout.Always &&
		slices.ContainsFunc(j.Vehicle.Bays, func(b fitout.Bay) bool { return b.ID == i.Bay && b.Shared })
}

func moved(name string, x, y, z float64) each {
	return items(name, func(j *fitout.Job, i *fitout.Item) bool {
		i.At.X, i.At.Y, i.At.Z = i.At.X+x, i.At.Y+y, i.At.Z+z
		return part(j, i) && module.Of(i.Module.Kind).Holds
	})
}

var everySlip = []each{
	moved("stands 150 mm further back", 150, 0, 0), moved("stands 150 mm further in front", -150, 0, 0),
	moved("stands 120 mm further left", 0, -120, 0), moved("stands 120 mm further right", 0, 120, 0),
	moved("stands 400 mm higher", 0, 0, 400), moved("stands 150 mm lower", 0, 0, -150),
	items("is held by nothing", func(_ *fitout.Job, i *fitout.Item) bool {
		was := i.Module != nil && len(i.Module.Fixings) > 0
		if was {
			i.Module.Fixings = nil
		}
		return was && i.Mass > 5 && i.Presence.Kind == fitout.Always && i.Form != fitout.FormSoft &&
			!module.TraitsOf(i.Module.Kind).OnRoof
	}),
	items("lost its latch", func(_ *fitout.Job, i *fitout.Item) bool {
		if i.Module == nil || i.Module.Latch != fitout.RatedLatch || !module.Of(i.Module.Kind).Holds {
			return false
		}
		i.Module.Latch, i.Module.Lock = "", ""
		return true
	}),
	items("weighs five times as much", func(_ *fitout.Job, i *fitout.Item) bool {
		i.Mass *= 5
		return i.Mass > 100 && i.Form != fitout.FormPerson
	}),
	items("in its compartment weighs 80 kg more", func(_ *fitout.Job, i *fitout.Item) bool {
		i.Mass += 80
		return i.In != nil
	}),
	items("in its compartment is twice as long, wide and high", func(_ *fitout.Job, i *fitout.Item) bool {
		i.Size.Length, i.Size.Width, i.Size.Height = 2*i.Size.Length, 2*i.Size.Width, 2*i.Size.Height
		return i.In != nil && i.Size.Length > 200 && i.Size.Height > 200
	}),
	items("is turned round", func(j *fitout.Job, i *fitout.Item) bool {
		if !part(j, i) {
			return false
		}
		o := map[fitout.Face]fitout.Face{fitout.FaceRear: fitout.FaceFront, fitout.FaceLeft: fitout.FaceRight,
			fitout.FaceRight: fitout.FaceLeft, fitout.FaceFront: fitout.FaceRear}[i.Module.Faces]
		i.Module.Faces = o
		return o != "" && module.Of(i.Module.Kind).Holds
	}),
	items("is a fifth larger", func(j *fitout.Job, i *fitout.Item) bool {
		i.Size.Length, i.Size.Width, i.Size.Height = 1.2*i.Size.Length, 1.2*i.Size.Width, 1.2*i.Size.Height
		return part(j, i) && module.Of(i.Module.Kind).Holds && i.Size.Length > 500
	}),
	items("holds petrol, among people", func(j *fitout.Job, i *fitout.Item) bool {
		was := i.Substance
		i.Substance = fitout.SubstancePetrol
		return (was == "" || was == fitout.SubstanceNone) && i.In == nil && i.Module != nil && withPeople(j, i)
	}),
	items("holds gas, among people", func(j *fitout.Job, i *fitout.Item) bool {
		was := i.Substance
		i.Substance = fitout.SubstanceGas
		return (was == "" || was == fitout.SubstanceNone) && i.In == nil && i.Module != nil && withPeople(j, i)
	}),
	items("is dirty and lies with food", func(j *fitout.Job, i *fitout.Item) bool {
		was := i.Substance
		i.Substance = fitout.SubstanceDirt
		return was == fitout.SubstanceFood && i.In != nil && (strings.HasPrefix(i.In.Module, "fridge") ||
			strings.HasPrefix(i.In.Module, "pantry"))
	}),
	items("has runners for 10 kg", func(_ *fitout.Job, i *fitout.Item) bool {
		was := i.Module != nil && i.Module.Rated > 10 && i.Module.Runner != fitout.NoRunner
		if was {
			i.Module.Rated = 10
		}
		return was
	}),
	items("has panels of 3 mm", func(_ *fitout.Job, i *fitout.Item) bool {
		was := i.Module != nil && i.Module.Panel > 6
		if was {
			i.Module.Panel = 3
		}
		return was
	}),
	items("lies where new things are put", func(_ *fitout.Job, i *fitout.Item) bool {
		i.At = fitout.Point{}
		return i.Seat == "" && i.In == nil && i.Mass > 0 && !i.OnTrailer
	}),
	items("has no seat", func(_ *fitout.Job, i *fitout.Item) bool {
		was := i.Seat
		i.Seat, i.At = "", fitout.Point{X: 2600, Z: 1000}
		return was != "" && i.Form == fitout.FormPerson
	}),
	items("is left behind", func(j *fitout.Job, i *fitout.Item) bool {
		id, was := i.ID, i.Form
		known := false
		for _, g := range j.Brief.Gear {
			known = known || g.ID == id
		}
		v := j.ChosenVariant()
		for k := range v.Items {
			if v.Items[k].ID == id {
				v.Items = append(v.Items[:k:k], v.Items[k+1:]...)
				break
			}
		}
		return known || was == fitout.FormPerson
	}),
	list("circuit has a fifth of its copper", circuits, func(_ *fitout.Job, c *fitout.Circuit) (string, bool) {
		c.Area /= 5
		return c.Of, c.Area > 0.1
	}),
	list("circuit has a fuse four times as large", circuits, func(_ *fitout.Job, c *fitout.Circuit) (string, bool) {
		c.Fuse *= 4
		return c.Of, c.Fuse > 0 && c.Fuse <= 1000
	}),
	list("circuit is five times as long", circuits, func(_ *fitout.Job, c *fitout.Circuit) (string, bool) {
		c.Length = max(c.Length, 2000) * 6
		return c.Of, c.Area > 0
	}),
	list("circuit has its fuse 2 m away", circuits, func(_ *fitout.Job, c *fitout.Circuit) (string, bool) {
		c.FuseAt, c.Sheathed = 2000, false
		return c.Of, c.Fuse > 0
	}),
	list("circuit has no fuse", circuits, func(_ *fitout.Job, c *fitout.Circuit) (string, bool) {
		was := c.Fuse
		c.FuseKind, c.Fuse = "none", 0
		return c.Of, was > 0
	}),
	list("load draws thirty times as much", loads, func(_ *fitout.Job, l *fitout.PowerLoad) (string, bool) {
		l.Watts = min(20000, 30*l.Watts)
		return l.ID, l.Watts > 0
	}),
	list("battery holds a tenth", systems, func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
		s.Battery.Capacity /= 10
		return s.ID, s.Kind != fitout.StartSystem
	}),
	list("battery is of flooded lead", systems, func(_ *fitout.Job, s *fitout.PowerSystem) (string, bool) {
		was := s.Battery.Chemistry
		s.Battery.Chemistry = fitout.Flooded
		return s.ID, was != fitout.Flooded && s.Kind == fitout.HouseSystem
	}),
	list("charger gives ten times as much", chargers, func(_ *fitout.Job, c *fitout.Charger) (string, bool) {
		c.Amps = min(1000, 10*c.Amps)
		return c.ID, true
	}),
	list("inverter is a tenth", inverters, func(j *fitout.Job, i *fitout.Inverter) (string, bool) {
		i.Watts, i.Surge = i.Watts/10, i.Surge/10
		used := false
		for _, l := range j.ChosenVariant().Electrics.Loads {
			used = used || l.Inverter == i.ID
		}
		return i.ID, used
	}),
	list("tank has no breather", vessels, func(_ *fitout.Job, v *fitout.Vessel) (string, bool) {
		was := v.Breather
		v.Breather = fitout.IsNotSo
		return v.Of, was == fitout.IsSo
	}),
	{
		"leg is four times as long",
		func(j *fitout.Job) int { return max(0, len(j.Route.Stops)-1) },
		func(j *fitout.Job, k int) (string, bool) {
			j.Route.Stops[k].Leg.Km *= 4
			return j.Route.Stops[k].Name, j.Route.Stops[k].Leg.Km > 400
		},
	},
	{
		"stop lasts five nights more",
		func(j *fitout.Job) int { return max(0, len(j.Route.Stops)-1) },
		func(j *fitout.Job, k int) (string, bool) {
			j.Route.Stops[k].Nights += 5
			return j.Route.Stops[k].Name, true
		},
	},
	{
		"seat is gone",
		func(j *fitout.Job) int { return len(j.Vehicle.Seats) },
		func(j *fitout.Job, k int) (string, bool) {
			id := j.Vehicle.Seats[k].ID
			taken := false
			for _, i := range j.ChosenVariant().Items {
				taken = taken || i.Seat == id
			}
			j.Vehicle.Seats = append(j.Vehicle.Seats[:k:k], j.Vehicle.Seats[k+1:]...)
			return id, taken
		},
	},
	list("space is 120 mm narrower", bays, func(j *fitout.Job, b *fitout.Bay) (string, bool) {
		b.WidthFront, b.WidthRear = b.WidthFront-120, b.WidthRear-120
		return b.Name, inBay(j, b.ID)
	}),
	list("space is 150 mm shorter", bays, func(j *fitout.Job, b *fitout.Bay) (string, bool) {
		b.LengthLeft, b.LengthRight = b.LengthLeft-150, b.LengthRight-150
		return b.Name, inBay(j, b.ID)
	}),
	list("space is 200 mm lower", bays, func(j *fitout.Job, b *fitout.Bay) (string, bool) {
		was := b.HeightFront
		b.HeightFront, b.HeightRear = b.HeightFront-200, b.HeightRear-200
		return b.Name, was > 200 && inBay(j, b.ID)
	}),
	list("opening is 300 mm lower", bays, func(j *fitout.Job, b *fitout.Bay) (string, bool) {
		was := b.Opening.Height
		b.Opening.Height -= 300
		return b.Name, was > 400 && inBay(j, b.ID)
	}),
	list("opening is half as wide", bays, func(j *fitout.Job, b *fitout.Bay) (string, bool) {
		b.Opening.Width /= 2
		return b.Name, b.Opening.Width > 200 && inBay(j, b.ID)
	}),
	list("mounts bear a hundredth", mounts, func(j *fitout.Job, m *fitout.Mount) (string, bool) {
		m.Rating /= 100
		used := false
		for _, i := range j.ChosenVariant().Items {
			if i.Module != nil {
				for _, f := range i.Module.Fixings {
					used = used || f.Mount == m.ID
				}
			}
		}
		return m.Name, m.Rating > 0 && used
	}),
	once("limit of the rear axle is a fifth lower", func(j *fitout.Job) bool {
		j.Vehicle.Limits.RearAxle.Kg *= 0.8
		return j.Vehicle.Limits.RearAxle.Kg > 0
	}),
	once("limit of the front axle is a fifth lower", func(j *fitout.Job) bool {
		j.Vehicle.Limits.FrontAxle.Kg *= 0.8
		return j.Vehicle.Limits.FrontAxle.Kg > 0
	}),
	once("gross limit is a fifth lower", func(j *fitout.Job) bool {
		j.Vehicle.Limits.Gross.Kg *= 0.8
		return j.Vehicle.Limits.Gross.Kg > 0
	}),
	once("tyres bear 20 classes less", func(j *fitout.Job) bool {
		j.Vehicle.Rear.Tyre.Index -= 20
		return j.Vehicle.Rear.Tyre.Index > 60
	}),
	{
		"traveller weighs 60 kg more in the brief",
		func(j *fitout.Job) int { return len(j.Brief.Travellers) },
		func(j *fitout.Job, k int) (string, bool) {
			j.Brief.Travellers[k].Mass += 60
			return j.Brief.Travellers[k].Name, true
		},
	},
	once("one more travels", func(j *fitout.Job) bool {
		n := j.Brief.Travellers[0]
		n.ID, n.Name = "one-more", "One more"
		j.Brief.Travellers = append(j.Brief.Travellers, n)
		return true
	}),
}

func inBay(j *fitout.Job, id string) bool {
	for _, i := range j.ChosenVariant().Items {
		if i.Bay == id && i.Module != nil && i.In == nil && i.Presence.Kind == fitout.Always {
			return true
		}
	}
	return false
}
