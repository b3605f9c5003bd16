package edit

import (
	"math"
	"slices"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// Turn is one way of a judgement call that can be tried as a variant in one step.
type Turn struct {
	School string `json:"school"`
	Choice string `json:"choice"`
	Label  string `json:"label" doc:"what is then otherwise"`
}

// change makes one way of a judgement call of a variant; false when there is
// nothing in it that it could change.
type change func(v *fitout.Variant, components []fitout.Component) bool

// Ways that change parts of the fitout, by judgement call and way. The other
// calls change the vehicle or the habits of its people, and are branched and
// changed by hand.
var changes = map[string]change{
	"fridge chest-plain": fridge(func(c *fitout.Item) bool {
		return c.Module.Kind == fitout.FridgeSlide && c.Module.Drop == 0 && c.Size.Height > 400
	}),
	"fridge chest-drop": fridge(func(c *fitout.Item) bool {
		return c.Module.Kind == fitout.FridgeSlide && c.Module.Drop > 0
	}),
	"fridge upright": fridge(func(c *fitout.Item) bool { return c.Module.Kind == fitout.UprightFridge }),
	"fridge drawer": fridge(func(c *fitout.Item) bool {
		return c.Module.Kind == fitout.FridgeSlide && c.Module.Drop == 0 && c.Size.Height <= 400
	}),
	"battery station": swapped([]fitout.ModuleKind{fitout.BatteryBox}, func(c *fitout.Item) bool {
		return c.Module.Kind == fitout.PowerStation
	}),
	"battery house": swapped([]fitout.ModuleKind{fitout.PowerStation}, func(c *fitout.Item) bool {
		return c.Module.Kind == fitout.BatteryBox
	}),
	"material plywood":     walls(fitout.Plywood, 12),
	"material extrusion":   walls(fitout.Extrusion, 6),
	"material sheet":       walls(fitout.Aluminium, 2),
	"material foam-core":   walls(fitout.FoamCore, 20),
	"runners ball-bearing": runners(fitout.BallRunner),
	"runners strips":       runners(fitout.StripRunner),
	"runners rollers":      runners(fitout.RollerRunner),
	"drawer-lock both": built(func(i *fitout.Item) bool {
		return set(&i.Module.Lock, fitout.BothLocks, i.Module.Runner == fitout.BallRunner)
	}),
	"drawer-lock one": built(func(i *fitout.Item) bool {
		return set(&i.Module.Lock, fitout.OneLock, i.Module.Runner == fitout.BallRunner)
	}),
	"lining lined":        built(func(i *fitout.Item) bool { return set(&i.Module.Lining, 3, true) }),
	"lining bare":         built(func(i *fitout.Item) bool { return set(&i.Module.Lining, 0, true) }),
	"slide-cable chain":   cables(fitout.Chain),
	"slide-cable fold":    cables(fitout.Fold),
	"slide-cable elastic": cables(fitout.Elastic),
	"barrier none":        without(fitout.Barrier),
}

// Ways returns the ways of the judgement calls that can be tried as a variant of
// the chosen one in one step, and would change something.
func Ways(j *fitout.Job, components []fitout.Component) []Turn {
	ways := []Turn{}
	chosen := 0
	for i := range j.Variants {
		if j.Variants[i].ID == j.ChosenVariant().ID {
			chosen = i
		}
	}
	for _, school := range brief.Schools(j, 0) {
		for _, w := range school.Ways {
			change := changes[school.ID+" "+w.ID]
			if change == nil {
				continue
			}
			if trial, err := j.CopyVariant(chosen); err == nil && change(&trial, components) {
				ways = append(ways, Turn{school.ID, w.ID, school.Title + ": " + w.Label})
			}
		}
	}
	return ways
}

// Vary branches the chosen variant and makes one way of a judgement call in the
// branch: the same, with an upright fridge. What is bought comes from the given
// components, the one nearest in size.
func Vary(j *fitout.Job, components []fitout.Component, school, way string) (fitout.Job, error) {
	change := changes[school+" "+way]
	if change == nil {
		return *j, fitout.Problem{Path: "choice", Given: school + ", " + way,
			Accepted: "a way that changes parts of the fitout; branch and change the others by hand"}
	}
	label := way
	for _, s := range brief.Schools(j, 0) {
		for _, w := range s.Ways {
			if s.ID == school && w.ID == way {
				label = w.Label
			}
		}
	}
	name := j.ChosenVariant().Name + ", " + words.Lower(label)
	if len([]rune(name)) > 120 {
		name = string([]rune(name)[:120])
	}
	varied, err := Branch(j, j.ChosenVariant().ID, name)
	if err != nil {
		return *j, err
	}
	if !change(varied.ChosenVariant(), components) {
		return *j, fitout.Problem{Path: "choice", Name: label, Given: "a way that changes nothing here",
			Accepted: "one that the variant does not go already"}
	}
	return varied, fitout.Validate(&varied)
}

func set[T comparable](field *T, value T, when bool) bool {
	if !when || *field == value {
		return false
	}
	*field = value
	return true
}

// built changes every part that is built of a material.
func built(one func(i *fitout.Item) bool) change {
	return func(v *fitout.Variant, _ []fitout.Component) bool {
		changed := false
		for k := range v.Items {
			if i := &v.Items[k]; i.Module != nil && i.Module.Wall != fitout.NoMaterial && one(i) {
				changed = true
			}
		}
		return changed
	}
}

// walls builds everything that is built of another material; it weighs then
// what that makes it weigh.
func walls(wall fitout.Material, panel float64) change {
	return built(func(i *fitout.Item) bool {
		if i.Module.Wall == wall {
			return false
		}
		i.Module.Wall, i.Module.Panel, i.Source = wall, panel, fitout.ByMaterial
		return true
	})
}

func runners(r fitout.Runner) change {
	return built(func(i *fitout.Item) bool {
		if i.Module.Runner == fitout.NoRunner || !set(&i.Module.Runner, r, true) {
			return false
		}
		if r != fitout.BallRunner { // only those lock; what held it shut must be a latch then
			i.Module.Lock = fitout.NoLock
		}
		return true
	})
}

func cables(f fitout.Follows) change {
	return func(v *fitout.Variant, _ []fitout.Component) bool {
		changed := false
		for k := range v.Items {
			if m := v.Items[k].Module; m != nil && m.Follows != fitout.NotSaid && set(&m.Follows, f, true) {
				changed = true
			}
		}
		return changed
	}
}

func without(kind fitout.ModuleKind) change {
	return func(v *fitout.Variant, _ []fitout.Component) bool {
		var kept []fitout.Item
		for _, i := range v.Items {
			if i.Module == nil || i.Module.Kind != kind {
				kept = append(kept, i)
			}
		}
		changed := len(kept) < len(v.Items)
		v.Items = kept
		return changed
	}
}

func fridge(fits func(c *fitout.Item) bool) change {
	return swapped([]fitout.ModuleKind{fitout.FridgeSlide, fitout.UprightFridge}, fits)
}

// swapped puts a component in the place of the first module of some kinds: the one
// that is nearest in size, with its floor and its opening side where they were.
func swapped(kinds []fitout.ModuleKind, fits func(c *fitout.Item) bool) change {
	return func(v *fitout.Variant, components []fitout.Component) bool {
		for k := range v.Items {
			old := &v.Items[k]
			if old.Module == nil || !slices.Contains(kinds, old.Module.Kind) {
				continue
			}
			best := -1
			for c := range components {
				item := &components[c].Item
				if item.Module == nil || !fits(item) || item.Name == old.Name {
					continue
				}
				if best < 0 || math.Abs(litres(item)-litres(old)) < math.Abs(litres(&components[best].Item)-litres(old)) {
					best = c
				}
			}
			if best < 0 || fits(old) {
				return false
			}
			Replace(old, &components[best].Item)
			rehouse(v, old)
			return true
		}
		return false
	}
}

func litres(i *fitout.Item) float64 { return i.Box().Litres() }
