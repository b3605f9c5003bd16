package demo

import (
	"maps"
	"math"
	"regexp"
	"slices"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/example"
)

// toward are the ways that sentences name, as steps of a millimetre.
var toward = map[string]fitout.Point{
	"toward the rear": {X: 1}, "toward the front": {X: -1}, "to the right": {Y: 1}, "to the left": {Y: -1},
	"up": {Z: 1}, "down": {Z: -1},
}

// someWay is the pattern of one of them.
const someWay = "(toward the rear|toward the front|to the right|to the left|up|down)"

func itemOf(j *fitout.Job, id string) *fitout.Item {
	items := j.ChosenVariant().Items
	if k := slices.IndexFunc(items, func(i fitout.Item) bool { return i.ID == id }); k >= 0 {
		return &items[k]
	}
	return nil
}

// onSubject is a change of the part or thing that a finding is about.
func onSubject(says string, kind quantity.Kind, do func(i *fitout.Item, by float64)) follower {
	return follower{says: says, kind: kind, do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
		i := itemOf(j, f.Subject.ID)
		if i != nil {
			do(i, by)
		}
		return i != nil
	}}
}

// moving moves the part that a finding is about, or the first other that it names, the way that the sentence says;
// what is put elsewhere in the stance that the finding speaks of does not stand where it would be moved.
func moving(says string, other bool) follower {
	return follower{says: says + " " + someWay, kind: quantity.Length, free: true,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, said []string) bool {
			id := f.Subject.ID
			if other && len(f.With) > 0 {
				id = f.With[0]
			}
			i := itemOf(j, id)
			elsewhere := slices.ContainsFunc(j.ChosenVariant().Stances, func(s fitout.Stance) bool {
				return s.ID == f.Stance &&
					slices.ContainsFunc(s.Loose, func(l fitout.LoosePlace) bool { return l.Item == id })
			})
			if i == nil || i.In != nil || elsewhere {
				return false
			}
			way := toward[said[len(said)-1]]
			i.At.X, i.At.Y, i.At.Z = i.At.X+by*way.X, i.At.Y+by*way.Y, i.At.Z+by*way.Z
			return true
		}}
}

// ofModule is a change of the module that a finding is about.
func ofModule(says string, kind quantity.Kind, do func(m *fitout.Module, by float64)) follower {
	return follower{says: says, kind: kind, do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
		i := itemOf(j, f.Subject.ID)
		if i == nil || i.Module == nil {
			return false
		}
		do(i.Module, by)
		return true
	}}
}

// one changes the entry of a list that a finding is about.
func one[T any](says string, kind quantity.Kind, list func(j *fitout.Job) []T, id func(*T) string,
	do func(of *T, by float64)) follower {
	return follower{says: says, kind: kind, do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
		for k, all := 0, list(j); k < len(all); k++ {
			if id(&all[k]) == f.Subject.ID {
				do(&all[k], by)
				return true
			}
		}
		return false
	}}
}

// asFar moves a place along the straight line from another, further off, or nearer where by is below 0; where both
// are one, to the right.
func asFar(at *fitout.Point, from fitout.Point, by float64) {
	dx, dy, dz := at.X-from.X, at.Y-from.Y, at.Z-from.Z
	off := math.Sqrt(dx*dx + dy*dy + dz*dz)
	if off == 0 {
		dy, off = 1, 1
	}
	at.X, at.Y, at.Z = at.X+dx/off*by, at.Y+dy/off*by, at.Z+dz/off*by
}

// fromMark moves the part that a finding is about straight away from the mark that is told with it, or the mounting
// point that is told with that. In a part that reaches over the mark there is no straight way.
func fromMark(says string) follower {
	return follower{
		says: says,
		kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			k := slices.IndexFunc(j.Vehicle.Marks, func(m fitout.Mark) bool { return m.ID == f.With[0] })
			for n := range mounts(j) {
				if m := &mounts(j)[n]; len(f.With) > 1 && m.ID == f.With[1] {
					level := j.Vehicle.Marks[k].At
					level.Z = m.At.Z
					asFar(&m.At, level, by)
					return true
				}
			}
			i := itemOf(j, f.Subject.ID)
			if i == nil || i.Box().Off(j.Vehicle.Marks[k].At) == 0 {
				return false
			}
			near := nearest(i.Box(), j.Vehicle.Marks[k].At)
			was := near
			asFar(&near, j.Vehicle.Marks[k].At, by)
			i.At.X, i.At.Y, i.At.Z = i.At.X+near.X-was.X, i.At.Y+near.Y-was.Y, i.At.Z+near.Z-was.Z
			return true
		},
	}
}

// nearest is the place of a box that is nearest to another.
func nearest(b fitout.Box, to fitout.Point) fitout.Point {
	return fitout.Point{X: max(b.From.X, min(to.X, b.To.X)), Y: max(b.From.Y, min(to.Y, b.To.Y)),
		Z: max(b.From.Z, min(to.Z, b.To.Z))}
}

// carrying makes the first vessel that holds something larger, and fuller, also where somebody decided how full it
// leaves.
func carrying(says string, holds fitout.Contents) follower {
	return follower{
		says: says,
		kind: quantity.Volume,
		do: func(j *fitout.Job, _ *fitout.Finding, by float64, _ []string) bool {
			for _, v := range vessels(j) {
				if v.Holds != holds {
					continue
				}
				for n := range j.ChosenVariant().Fills {
					if fill := &j.ChosenVariant().Fills[n]; fill.Of == v.Of {
						fill.Litres += by
					}
				}
				for n := range j.Vehicle.Tanks {
					if t := &j.Vehicle.Tanks[n]; t.ID == v.Of {
						t.Capacity, t.Now = t.Capacity+by, t.Now+by
						return true
					}
				}
				if i := itemOf(j, v.Of); i != nil && i.Presence.Level != nil {
					i.Presence.Level.Max, i.Presence.Level.Now = i.Presence.Level.Max+by, i.Presence.Level.Now+by
					return true
				}
			}
			return false
		},
	}
}

func lowered(i *fitout.Item, by float64) { i.At.Z -= by }

func inverterID(i *fitout.Inverter) string { return i.ID }

// followers are, of each rule, what somebody does who follows its sentence and not an offer. Each is tried on what
// slips bring; those that no slip brings are followed in sentence_test.go here and in fit.
var followers = func() map[string][]follower {
	all := maps.Clone(placeFollowers)
	maps.Copy(all, stageFollowers)
	return all
}()

// apart moves the part that a finding is about straight away from the first other that it names, until they are as
// far from each other as is said.
func apart(says string) follower {
	return follower{says: says, kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			i, other := itemOf(j, f.Subject.ID), itemOf(j, f.With[0])
			if i == nil || other == nil || i.In != nil {
				return false
			}
			from := nearest(other.Box(), i.Box().Middle())
			near := nearest(i.Box(), from)
			was := near
			dx, dy, dz := near.X-from.X, near.Y-from.Y, near.Z-from.Z
			off := math.Sqrt(dx*dx + dy*dy + dz*dz)
			if off == 0 {
				return false
			}
			asFar(&near, from, by-off)
			i.At.X, i.At.Y, i.At.Z = i.At.X+near.X-was.X, i.At.Y+near.Y-was.Y, i.At.Z+near.Z-was.Z
			return true
		}}
}

// smaller takes an amount off the part that a finding is about, on the side that its sentence names.
func smaller(says string) follower {
	return follower{says: says, kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, said []string) bool {
			i := itemOf(j, f.Subject.ID)
			if i == nil || i.In != nil {
				return false
			}
			switch side := said[len(said)-1]; side {
			case "rear", "front":
				i.Size.Length, i.At.X = i.Size.Length-by, i.At.X+map[string]float64{"rear": -by, "front": by}[side]/2
			case "left", "right":
				i.Size.Width, i.At.Y = i.Size.Width-by, i.At.Y+map[string]float64{"right": -by, "left": by}[side]/2
			default:
				i.Size.Height, i.At.Z = i.Size.Height-by, i.At.Z-by/2
			}
			return true
		}}
}

// firstThatMends does of several changes the first that mends a finding, or the last.
func firstThatMends[T any](j *fitout.Job, f *fitout.Finding, ways []T, do func(j *fitout.Job, way T) bool) bool {
	for _, way := range ways {
		then := example.Copy(j)
		if do(&then, way) && !slices.ContainsFunc(assess.Of(&then).Findings, func(g fitout.Finding) bool {
			return g.Key == f.Key
		}) {
			return do(j, way)
		}
	}
	return do(j, ways[len(ways)-1])
}

// bySides takes an amount off the part that a finding is about, on one of its sides.
func bySides(says string) follower {
	return follower{says: says, kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, said []string) bool {
			return firstThatMends(j, f, []string{"front", "left", "right", "top", "rear"},
				func(j *fitout.Job, side string) bool { return smaller(says).do(j, f, by, append(said, side)) })
		}}
}

// fitting makes gear smaller by all that its sentence says is too large of it, as it lies or turned.
func fitting(says string) follower {
	return follower{says: says, kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, said []string) bool {
			return firstThatMends(j, f, []bool{false, true}, func(j *fitout.Job, turned bool) bool {
				i := itemOf(j, f.Subject.ID)
				sides := map[string]*float64{"high": &i.Size.Height, "long": &i.Size.Length, "wide": &i.Size.Width}
				if turned {
					sides["long"], sides["wide"] = sides["wide"], sides["long"]
				}
				share := 0.0 // of what is said, that is done
				for _, way := range regexp.MustCompile(`([\d.]+ mm) too (high|long|wide)`).FindAllStringSubmatch(said[0], -1) {
					mm, err := quantity.Parse(way[1], quantity.Length, quantity.Metric)
					if share == 0 {
						share = by / mm
					}
					if *sides[way[2]] -= share * mm; err != nil || *sides[way[2]] <= 0 {
						return false
					}
				}
				return true
			})
		}}
}

// placeFollowers follow what is said of places and sizes.
var placeFollowers = map[string][]follower{
	"bad-neighbours": {apart("Keep # between them")},
	"ventilation":    {bySides("Leave # more on another side")},
	"gear-too-large": {fitting("is # too [^.]*? for ")},
	"faces-wall": {ofModule("Open, it stands # out of", quantity.Length, func(m *fitout.Module, by float64) {
		m.Travel -= by
	})},
	"way-in": {onSubject("It is # too large", quantity.Length, func(i *fitout.Item, by float64) {
		i.Size.Length, i.Size.Width, i.Size.Height = i.Size.Length-by, i.Size.Width-by, i.Size.Height-by
	})},
	"outside-bay":   {smaller("stands # out of [^.]*? (?:at the|on the|on its) (rear|front|left|right|top)")},
	"opening-frame": {smaller("stands # into the frame of [^.]*?, (?:at the|on the) (rear|front|left|right|top)")},
	"panel-shaded": {{says: "beside it, up to # higher", kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			panel := itemOf(j, f.With[0])
			panel.At.Z += by
			return true
		}}},
	"tight": {{says: "make it narrower, by #", kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			i := itemOf(j, f.Subject.ID)
			if i == nil || i.Module == nil {
				return false
			}
			i.Size.Width -= 2 * by // about its middle
			return true
		}}},
	"off-the-vehicle": {{says: "bring it nearer by #", kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			for k := range outlets(j) {
				if o := &outlets(j)[k]; o.ID == f.Subject.ID {
					out := &j.Vehicle.Outline
					body := fitout.Box{From: fitout.Point{X: -out.FrontOverhang, Y: -out.Width / 2},
						To: fitout.Point{X: j.Vehicle.Wheelbase + out.RearOverhang, Y: out.Width / 2, Z: out.Height}}
					asFar(&o.At, nearest(body, o.At), -by)
					return true
				}
			}
			return false
		}}},
	"bed-headroom": {onSubject("Lower the bed by #", quantity.Length, lowered)},
	"bed-short": {
		onSubject("Lengthen it by #", quantity.Length, func(i *fitout.Item, by float64) { i.Size.Length += by }),
	},
	"door-load":   {onSubject("Take # off it", quantity.Mass, func(i *fitout.Item, by float64) { i.Mass -= by })},
	"heavy-high":  {onSubject("put it # lower", quantity.Length, lowered)},
	"lid-blocked": {moving("Move that #", true)},
	"lip":         {onSubject("Raise it by #", quantity.Length, func(i *fitout.Item, by float64) { i.At.Z += by })},
	"rim-height": {
		onSubject("Put it # lower", quantity.Length, lowered),
		ofModule("a slide that drops by #", quantity.Length, func(m *fitout.Module, by float64) { m.Drop += by }),
	},
	"stands-on-nothing": {onSubject("Lower it by #", quantity.Length, lowered)},
	"fridge-lid": {
		ofModule("come out by #", quantity.Length, func(m *fitout.Module, by float64) { m.Travel = by }),
	},
	"latch-missing": {ofModule("a latch rated for # N", quantity.Plain, func(m *fitout.Module, by float64) {
		m.Latch, m.Holds = fitout.RatedLatch, by
	})},
	"live-load":   {ofModule("Rate it # higher", quantity.Mass, func(m *fitout.Module, by float64) { m.Rated += by })},
	"runner-load": {ofModule("runners rated #", quantity.Mass, func(m *fitout.Module, by float64) { m.Rated = by })},
	"panel-sag":   {ofModule("Make it # thick", quantity.Length, func(m *fitout.Module, by float64) { m.Panel = by })},
	"drawer-thin": {ofModule("Make it # thick", quantity.Length, func(m *fitout.Module, by float64) { m.Panel = by })},
	"hatch-lean": {
		onSubject("shorter, by #", quantity.Length, func(i *fitout.Item, by float64) {
			i.Size.Length, i.At.X = i.Size.Length-by, i.At.X-by/2
		}),
		onSubject("or lower by #", quantity.Length, func(i *fitout.Item, by float64) {
			i.Size.Height, i.At.Z = i.Size.Height-by, i.At.Z-by/2
		}),
	},
	"part-in-way":   {moving("Move it #", false)},
	"parts-clash":   {moving("Move it #", false)},
	"way-blocked":   {moving("Move that #", true)},
	"shut-in":       {moving("Move that #", true)},
	"open-together": {moving("Move [^.]*? #", false)},
	"inverter-over": {one("choose one for # W", quantity.Plain, inverters, inverterID,
		func(i *fitout.Inverter, by float64) { i.Watts = by })},
	"inverter-surge": {one("draws # W for a moment", quantity.Plain, inverters, inverterID,
		func(i *fitout.Inverter, by float64) { i.Surge = by })},
	"pump-small": {one("together want #", quantity.Flow, pumps, func(p *fitout.Pump) string { return p.ID },
		func(p *fitout.Pump, by float64) { p.Flow = by })},
	"tap-far": {one("# longer at least", quantity.Length, outlets, func(o *fitout.Outlet) string { return o.ID },
		func(o *fitout.Outlet, by float64) { o.Hose += by / 1000 })},
	"bay-in-cab": {one("back by #", quantity.Length, bays, func(b *fitout.Bay) string { return b.ID },
		func(b *fitout.Bay, by float64) { b.At.X += by })},
	"exhaust-near": {fromMark("between them, # more")},
	"line-near":    {fromMark("between them, # more"), fromMark("put this one # further")},
	"mount-far": {{says: "bring it nearer by #", kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			i := itemOf(j, f.Subject.ID)
			k := slices.IndexFunc(mounts(j), func(m fitout.Mount) bool { return m.ID == f.With[0] })
			if i == nil || k < 0 || j.Vehicle.Extension != nil || len(f.With) > 1 {
				return false
			}
			asFar(&mounts(j)[k].At, nearest(i.Box(), mounts(j)[k].At), -by)
			return true
		}}},
	"seat-twice": {{says: "they lie # too near", kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			seat := func(id string) *fitout.Seat {
				return &j.Vehicle.Seats[slices.IndexFunc(j.Vehicle.Seats, func(s fitout.Seat) bool { return s.ID == id })]
			}
			other := seat(f.With[0]).At
			other.Z = seat(f.Subject.ID).At.Z
			asFar(&seat(f.Subject.ID).At, other, by)
			return true
		}}},
	"ground-clearance": {{says: "Raise it by #", kind: quantity.Length,
		do: func(j *fitout.Job, f *fitout.Finding, by float64, _ []string) bool {
			if i := itemOf(j, f.Subject.ID); i != nil {
				i.At.Z += by
				return true
			}
			for k := range j.Vehicle.LowPoints {
				if low := &j.Vehicle.LowPoints[k]; low.ID == f.Subject.ID {
					low.At.Z += by
					return true
				}
			}
			return false
		}}},
	"tap-leaves": {one("is # above its bottom", quantity.Length, outlets, func(o *fitout.Outlet) string { return o.ID },
		func(o *fitout.Outlet, by float64) { o.At.Z -= by })},
	"water-short": {carrying("; # are missing", fitout.HoldsDrinking)},
	"wash-short":  {carrying("; # are missing", fitout.HoldsWash)},
	"waste-full":  {carrying("and # more come to it", fitout.HoldsWaste)},
	"filler-high": {one("Put it # lower", quantity.Length, vessels, func(v *fitout.Vessel) string { return v.Of },
		func(v *fitout.Vessel, by float64) { v.Filler.At.Z -= by })},
}
