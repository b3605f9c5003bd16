package edit

import "zaino/internal/core/fitout"

// Edits of how a module is built and held.
var (
	travel     = module(func(m *fitout.Module, value float64) { m.Travel = value })
	drop       = module(func(m *fitout.Module, value float64) { m.Drop = value })
	lining     = module(func(m *fitout.Module, value float64) { m.Lining = value })
	latch      = module(func(m *fitout.Module, _ float64) { m.Latch = fitout.RatedLatch })
	strutForce = module(func(m *fitout.Module, value float64) { m.Struts, m.Force = max(2, m.Struts), value })
	foamCore   = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		if i.Module == nil {
			return false
		}
		m := *i.Module
		m.Wall, m.Panel = fitout.FoamCore, e.Value
		i.Module, i.Source = &m, fitout.ByMaterial
		return true
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
