package assess

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// Branch adds a variant to a job that starts as a copy of another, and shows it.
func Branch(j *fitout.Job, from, name string) (fitout.Job, error) {
	branched := *j
	branched.Variants = append([]fitout.Variant{}, j.Variants...)
	for i := range j.Variants {
		if j.Variants[i].ID != from {
			continue
		}
		copied, err := j.CopyVariant(i)
		if err != nil {
			return *j, err
		}
		copied.ID, copied.From, copied.Why = freeID(j), from, ""
		copied.Name = name
		if name == "" {
			copied.Name = strings.ToUpper(copied.ID)
		}
		branched.Variants = append(branched.Variants, copied)
		branched.Chosen = copied.ID
		return branched, fitout.Validate(&branched)
	}
	return *j, fitout.Problem{Path: "from", Given: from, Accepted: "the id of a variant of the job"}
}

// freeID is the next letter, or letter with a number, that no variant has.
func freeID(j *fitout.Job) string {
	for n := 0; ; n++ {
		id := string(rune('a' + n%26))
		if n >= 26 {
			id += fmt.Sprint(n / 26)
		}
		free := true
		for i := range j.Variants {
			free = free && j.Variants[i].ID != id
		}
		if free {
			return id
		}
	}
}

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
	"fridge chest-drop": fridge(func(c *fitout.Item) bool { return c.Module.Kind == fitout.FridgeSlide && c.Module.Drop > 0 }),
	"fridge upright":    fridge(func(c *fitout.Item) bool { return c.Module.Kind == fitout.UprightFridge }),
	"fridge drawer": fridge(func(c *fitout.Item) bool {
		return c.Module.Kind == fitout.FridgeSlide && c.Module.Drop == 0 && c.Size.Height <= 400
	}),
	"battery station":      swap([]fitout.ModuleKind{fitout.BatteryBox}, func(c *fitout.Item) bool { return c.Module.Kind == fitout.PowerStation }),
	"battery house":        swap([]fitout.ModuleKind{fitout.PowerStation}, func(c *fitout.Item) bool { return c.Module.Kind == fitout.BatteryBox }),
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
		return *j, fitout.Problem{Path: "choice", Given: school + ", " + way, Accepted: "a way that changes parts of the fitout; branch and change the others by hand"}
	}
	label := way
	for _, s := range brief.Schools(j, 0) {
		for _, w := range s.Ways {
			if s.ID == school && w.ID == way {
				label = w.Label
			}
		}
	}
	name := j.ChosenVariant().Name + ", " + lower(label)
	if len([]rune(name)) > 120 {
		name = string([]rune(name)[:120])
	}
	varied, err := Branch(j, j.ChosenVariant().ID, name)
	if err != nil {
		return *j, err
	}
	if !change(varied.ChosenVariant(), components) {
		return *j, fitout.Problem{Path: "choice", Name: label, Given: "a way that changes nothing here", Accepted: "one that the variant does not go already"}
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
	return swap([]fitout.ModuleKind{fitout.FridgeSlide, fitout.UprightFridge}, fits)
}

// swap puts a component in the place of the first module of some kinds: the one
// that is nearest in size, with its floor and its opening side where they were.
func swap(kinds []fitout.ModuleKind, fits func(c *fitout.Item) bool) change {
	return func(v *fitout.Variant, components []fitout.Component) bool {
		for k := range v.Items {
			old := &v.Items[k]
			if old.Module == nil || !contains(kinds, old.Module.Kind) {
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
			replace(old, &components[best].Item)
			rehouse(v, old)
			return true
		}
		return false
	}
}

func contains(kinds []fitout.ModuleKind, kind fitout.ModuleKind) bool {
	for _, k := range kinds {
		if k == kind {
			return true
		}
	}
	return false
}

func litres(i *fitout.Item) float64 { return i.Box().Litres() }

// replace puts a component in the place of an item: its floor stays, and so does
// the side that it opens to.
func replace(old, with *fitout.Item) {
	box := old.Box()
	size := with.Size
	m := *with.Module
	m.Cells = append([]fitout.Cell{}, with.Module.Cells...)
	m.Faces, m.Latch, m.Fixings, m.Follows, m.Mirrored = old.Module.Faces, old.Module.Latch, old.Module.Fixings, old.Module.Follows, old.Module.Mirrored
	if m.Faces == fitout.FaceTop && with.Module.Faces != fitout.FaceTop || m.Faces == fitout.FaceNone {
		m.Faces = with.Module.Faces
	}
	if m.Faces == fitout.FaceLeft || m.Faces == fitout.FaceRight {
		size.Length, size.Width = size.Width, size.Length
	}
	if m.Latch == fitout.NoLatch && m.Lock == fitout.NoLock {
		m.Latch = fitout.RatedLatch
	}
	at := fitout.Point{X: old.At.X, Y: old.At.Y, Z: box.From.Z + size.Height/2}
	switch m.Faces {
	case fitout.FaceRear:
		at.X = box.To.X - size.Length/2
	case fitout.FaceFront:
		at.X = box.From.X + size.Length/2
	case fitout.FaceRight:
		at.Y = box.To.Y - size.Width/2
	case fitout.FaceLeft:
		at.Y = box.From.Y + size.Width/2
	}
	old.Name, old.Mass, old.Source, old.Size, old.At, old.Module, old.Form = with.Name, with.Mass, with.Source, size, at, &m, module.Of(m.Kind).Form
}

// rehouse lays what lay in a part that was replaced into the compartment of the
// same id, into the first where there is none, or onto its place where it has none.
func rehouse(v *fitout.Variant, in *fitout.Item) {
	for k := range v.Items {
		switch item := &v.Items[k]; {
		case item.In == nil || item.In.Module != in.ID || hasCell(in.Module, item.In.Cell):
		case len(in.Module.Cells) > 0:
			item.In = &fitout.InCell{Module: in.ID, Cell: in.Module.Cells[0].ID}
		default:
			item.In, item.At = nil, in.At
		}
	}
}

func hasCell(m *fitout.Module, id string) bool {
	return slices.ContainsFunc(m.Cells, func(c fitout.Cell) bool { return c.ID == id })
}
