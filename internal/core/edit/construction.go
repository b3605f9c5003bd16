package edit

import (
	"slices"

	"zaino/internal/core/build"
	"zaino/internal/core/fit/strength"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// Edits of how a module is built and held.
var (
	travel = module(func(m *fitout.Module, value float64) { m.Travel = value })
	drop   = module(func(m *fitout.Module, value float64) { m.Drop = value })
	lining = module(func(m *fitout.Module, value float64) { m.Lining = value })
	// latch fits a rated latch; with a value one that holds so many N.
	latch = module(func(m *fitout.Module, value float64) {
		m.Latch = fitout.RatedLatch
		if value > 0 {
			m.Holds = value
		}
	})
	// turn lets a part open to another side.
	turn = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		if i.Module == nil {
			return false
		}
		m := *i.Module
		m.Faces, i.Module = fitout.Face(e.With), &m
		return true
	})
	// standUp stands a thing as the brief has it that stands upright only.
	standUp = item(func(j *fitout.Job, i *fitout.Item, _ *fitout.FixEdit) bool {
		for k := range j.Brief.Gear {
			if g := &j.Brief.Gear[k]; g.ID == i.ID && g.Size != (fitout.Size{}) {
				i.At.Z += (g.Size.Height - i.Size.Height) / 2 // on the same foot
				i.Size = g.Size
				return true
			}
		}
		return false
	})
	strutForce = module(func(m *fitout.Module, value float64) { m.Struts, m.Force = max(2, m.Struts), value })
	// strutPivots turns the struts of a lid where they lift it, hold it in the wind and let one hand close it.
	strutPivots = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		s := scene.Of(plan.Of(j))
		at := slices.IndexFunc(s.Parts, func(p scene.Part) bool { return p.ID == e.ID })
		if at < 0 {
			return *j, false
		}
		w, ok := strength.StrutsFor(s, &s.Parts[at])
		if !ok {
			return *j, false
		}
		turned := module(func(m *fitout.Module, _ float64) {
			m.Struts, m.Force, m.StrutAt = w.Count, w.Force, w.At
			m.Pivots = &fitout.Pivots{Along: w.Along, Below: w.Below, Lid: w.Under, Length: w.Length, Stroke: w.Stroke}
		})
		return turned.Apply(j, nil, e)
	}}
	// keyed fits a lock.
	keyed = module(func(m *fitout.Module, _ float64) { m.Keyed = true })
	// runnersRated exchanges runners for ones of a rating, kg.
	runnersRated = module(func(m *fitout.Module, value float64) { m.Rated = value })
	// panelThick and wall rebuild a part that is made here: its mass then follows from its panels.
	panelThick = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		return rebuilt(i, func(m *fitout.Module) { m.Panel = e.Value })
	})
	wall = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		return rebuilt(i, func(m *fitout.Module) { m.Wall, m.Panel = fitout.Material(e.With), e.Value })
	})
	foamCore = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		return rebuilt(i, func(m *fitout.Module) { m.Wall, m.Panel = fitout.FoamCore, e.Value })
	})
)

func module(change func(m *fitout.Module, value float64)) Kind {
	return item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		if i.Module == nil {
			return false
		}
		m := *i.Module
		change(&m, e.Value)
		i.Module = &m
		return true
	})
}

// rebuilt changes how a part is built, and lets its mass follow.
func rebuilt(i *fitout.Item, change func(m *fitout.Module)) bool {
	if i.Module == nil || i.Module.Wall == fitout.NoMaterial {
		return false
	}
	m := *i.Module
	change(&m)
	i.Module, i.Source = &m, fitout.ByMaterial
	return true
}

// makeWay chooses how a part comes about; it weighs then what is known of that way.
var makeWay = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
	chosen := fitout.Making{Ways: []fitout.MakeWay{}}
	if i.Making != nil {
		chosen = *i.Making
	}
	chosen.How = fitout.HowMade(e.With)
	i.Making = &chosen
	if way := build.WayOf(i); way.Kg > 0 {
		i.Mass, i.Source = way.Kg, fitout.DataSheet
	} else if chosen.How == fitout.MadeHere && i.Module != nil && i.Module.Wall != fitout.NoMaterial {
		i.Source = fitout.ByMaterial
	}
	return true
})

// buildIn builds all that is made here of another material, in panels of a thickness.
var buildIn = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	changed := build.OtherwiseBuilt(j, fitout.Material(e.With), e.Value)
	return changed, fitout.Validate(&changed) == nil
}}

// paceLearned takes over what the workshop really needed for each operation, by the steps that were noted.
var paceLearned = Kind{Apply: func(j *fitout.Job, _ []fitout.Component, _ *fitout.FixEdit) (fitout.Job, bool) {
	changed := *j
	changed.Build.Pace = build.PaceLearned(plan.Of(j))
	return changed, len(changed.Build.Pace) > len(j.Build.Pace) || !slices.Equal(changed.Build.Pace, j.Build.Pace)
}}
