package train

import (
	"math/rand/v2"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// slip is one kind of mistake that somebody makes on one thing.
type slip struct {
	title string   // with the name of the thing
	rules []string // of which one has to tell it
	make  func(j *fitout.Job, i *fitout.Item, r *rand.Rand) bool
}

// own is a slip of a module that stands by itself and is always aboard.
func own(title string, rules []string, spoil func(j *fitout.Job, i *fitout.Item, r *rand.Rand) bool) slip {
	return slip{title, rules, func(j *fitout.Job, i *fitout.Item, r *rand.Rand) bool {
		return i.Module != nil && i.In == nil && !i.OnTrailer && i.Presence.Kind != fitout.ByChoice &&
			i.Module.Kind != fitout.PlainGear &&
			spoil(j, i, r)
	}}
}

// moved is a slip of something that stands where it should not.
func moved(title string, rules []string, by func(r *rand.Rand) fitout.Point) slip {
	return own(title, rules, func(_ *fitout.Job, i *fitout.Item, r *rand.Rand) bool {
		d := by(r)
		i.At.X, i.At.Y, i.At.Z = i.At.X+d.X, i.At.Y+d.Y, i.At.Z+d.Z
		return i.Bay != ""
	})
}

func either(r *rand.Rand) float64 {
	if r.IntN(2) == 0 {
		return -1
	}
	return 1
}

// some draws a length in steps of 10 mm.
func some(r *rand.Rand, from, to int) float64 {
	return float64(10 * (from/10 + r.IntN((to-from)/10+1)))
}

// slips are all that an exercise draws from.
var slips = []slip{
	own("%s is held by nothing", []string{"restraint"}, func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
		was := len(i.Module.Fixings)
		i.Module.Fixings = nil
		return was > 0
	}),
	own("%s has no latch", []string{"latch-missing"}, func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
		was := i.Module.Latch
		i.Module.Latch, i.Module.Lock = "", ""
		return was == fitout.RatedLatch
	}),
	own(
		"%s is held shut by a magnet",
		[]string{"latch-missing"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			was := i.Module.Latch
			i.Module.Latch, i.Module.Lock = fitout.MagnetLatch, ""
			return was == fitout.RatedLatch
		},
	),
	own(
		"The latch of %s is too weak",
		[]string{"latch-weak"},
		func(_ *fitout.Job, i *fitout.Item, r *rand.Rand) bool {
			i.Module.Holds = some(r, 20, 60)
			return i.Module.Latch == fitout.RatedLatch
		},
	),
	moved("%s stands in what is beside it", []string{"parts-clash"}, func(r *rand.Rand) fitout.Point {
		return fitout.Point{X: either(r) * some(r, 60, 200)}
	}),
	moved("%s stands in what is across from it", []string{"parts-clash"}, func(r *rand.Rand) fitout.Point {
		return fitout.Point{Y: either(r) * some(r, 60, 160)}
	}),
	moved("%s stands out of its space", []string{"outside-bay", "hatch-lean"}, func(r *rand.Rand) fitout.Point {
		return fitout.Point{X: either(r) * some(r, 100, 400), Z: some(r, 0, 60)}
	}),
	moved("%s is lower than its floor", []string{"outside-bay", "lip"}, func(r *rand.Rand) fitout.Point {
		return fitout.Point{Z: -some(r, 30, 120)}
	}),
	moved(
		"%s is out of reach",
		[]string{"rim-height", "reach-height", "reach-depth", "heavy-high"},
		func(r *rand.Rand) fitout.Point {
			return fitout.Point{Z: some(r, 150, 500)}
		},
	),
	own(
		"%s holds gas where people are",
		[]string{"fuel-inside"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			was := i.Substance
			i.Substance = fitout.SubstanceGas
			return was == fitout.SubstanceNotSaid || was == fitout.SubstanceNone
		},
	),
	own(
		"%s with petrol is beside what sparks",
		[]string{"bad-neighbours"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			was := i.Substance
			i.Substance = fitout.SubstancePetrol
			return (was == fitout.SubstanceNotSaid || was == fitout.SubstanceNone) &&
				!module.TraitsOf(i.Module.Kind).Stores
		},
	),
	own(
		"%s opens toward a wall or what is beside it",
		[]string{"faces-wall", "shut-in", "way-blocked", "opening-frame"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			turned := map[fitout.Face]fitout.Face{fitout.FaceRear: fitout.FaceFront, fitout.FaceLeft: fitout.FaceRight,
				fitout.FaceRight: fitout.FaceLeft, fitout.FaceFront: fitout.FaceRear}[i.Module.Faces]
			if turned == "" {
				return false
			}
			i.Module.Faces = turned
			return true
		},
	),
	own(
		"%s carries more than its runners",
		[]string{"runner-load", "door-load", "live-load"},
		func(_ *fitout.Job, i *fitout.Item, r *rand.Rand) bool {
			i.Module.Rated = some(r, 10, 10)
			return true
		},
	),
	own(
		"The panels of %s are too thin",
		[]string{"panel-sag"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			was := i.Module.Panel
			i.Module.Panel = 4
			return was > 4
		},
	),
	own(
		"The struts of %s do not lift it",
		[]string{"strut-force"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			if i.Module.Struts == 0 {
				i.Module.Struts = 1
			}
			i.Module.Force = 20
			return true
		},
	),
	own(
		"Nobody has said how the cable of %s follows",
		[]string{"cable-follows"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			was := i.Module.Follows
			i.Module.Follows = fitout.NotSaid
			return was != fitout.NotSaid
		},
	),
	own(
		"%s is far too heavy for its place",
		[]string{"mount-over", "heavy-high", "heavy-tail", "tip-unit", "lift-out", "door-load"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			i.Mass, i.Source = 3*i.Mass+60, fitout.ByScale
			return true
		},
	),
	own(
		"%s runs beside the bed at night",
		[]string{"noise-at-bed"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			i.Noise, i.Nights = 55, true
			return true
		},
	),
	{
		"%s does not go into its compartment",
		[]string{"gear-too-large", "cell-overfull"},
		func(_ *fitout.Job, i *fitout.Item, r *rand.Rand) bool {
			i.Size.Height += some(r, 250, 400)
			i.Size.Length += some(r, 100, 300)
			return i.In != nil
		},
	},
	{
		"%s makes its drawer too heavy",
		[]string{"runner-load"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			i.Mass += 90
			return i.In != nil
		},
	},
	{"%s rides without a seat", []string{"no-seat"}, func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
		was := i.Seat
		i.Seat, i.At = "", fitout.Point{X: 2600, Z: 1000}
		return was != "" && i.Form == fitout.FormPerson && i.Presence.Kind == fitout.Always
	}},
	{"%s sits where somebody sits", []string{"seat-shared"}, func(j *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
		all := j.ChosenVariant().Items
		k := slices.IndexFunc(all, func(o fitout.Item) bool {
			return o.ID != i.ID && o.Seat != "" && o.Form == fitout.FormPerson && o.Presence.Kind == fitout.Always
		})
		if k < 0 || i.Seat == "" || i.Form != fitout.FormPerson || i.Presence.Kind != fitout.Always ||
			i.Seat == all[k].Seat {
			return false
		}
		i.Seat = all[k].Seat
		return true
	}},
	{
		"%s was left where a new thing is put",
		[]string{"station-unset"},
		func(_ *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			i.At = fitout.Point{}
			return i.Seat == "" && i.In == nil && i.Mass > 0 && !i.OnTrailer
		},
	},
	{
		"%s stands upright only, and lies",
		[]string{"needs-upright"},
		func(j *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
			for k := range j.Brief.Gear {
				if g := &j.Brief.Gear[k]; g.ID == i.ID && i.In == nil {
					g.Upright = true
					g.Size = fitout.Size{Length: i.Size.Height, Width: i.Size.Width, Height: i.Size.Length + 200}
					return true
				}
			}
			return false
		},
	},
	{"%s has no breather", []string{"no-breather"}, func(j *fitout.Job, i *fitout.Item, _ *rand.Rand) bool {
		vessels := j.ChosenVariant().Plumbing.Vessels
		for k := range vessels {
			if vessels[k].Of == i.ID && vessels[k].Breather == fitout.IsSo {
				vessels[k].Breather = fitout.IsNotSo
				return true
			}
		}
		return false
	}},
}
