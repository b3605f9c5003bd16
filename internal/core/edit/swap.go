package edit

import (
	"slices"

	"zaino/internal/core/fitout"
	modules "zaino/internal/core/module"
)

// swap puts a component in the place of a part, with what fills it as far as it goes in, and with its figures in the
// electrics.
var swap = Kind{Apply: func(j *fitout.Job, components []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	k := slices.IndexFunc(components, func(c fitout.Component) bool { return c.ID == e.With })
	if k < 0 || components[k].Item.Module == nil {
		return *j, false
	}
	done := false
	changed := WithItems(j, func(i *fitout.Item) {
		if i.ID == e.ID && i.Module != nil {
			done = true
			exchange(i, &components[k].Item)
		}
	})
	if done && components[k].Device != nil {
		changed = withElectrics(&changed)
		rewire(&changed.ChosenVariant().Electrics, e.ID, components[k].Device)
	}
	if v := changed.ChosenVariant(); done {
		rehouse(v, &v.Items[slices.IndexFunc(v.Items, func(i fitout.Item) bool { return i.ID == e.ID })])
	}
	return changed, done
}}

// exchange puts a component in the place of a part, with what fills it as far as
// it goes in.
func exchange(i *fitout.Item, with *fitout.Item) {
	level := i.Presence.Level
	Replace(i, with)
	if level == nil || with.Presence.Level == nil {
		return
	}
	filled := *with.Presence.Level
	filled.Density = level.Density
	filled.Now = min(max(level.Now, filled.Min), filled.Max)
	i.Presence.Level = &filled
}

// Replace puts a component in the place of an item: its floor stays, and so does
// the side that it opens to, or the way in which it lies.
func Replace(old, with *fitout.Item) {
	box := old.Box()
	size := with.Size
	m := *with.Module
	m.Cells = append([]fitout.Cell{}, with.Module.Cells...)
	was := old.Module
	m.Faces, m.Latch, m.Fixings, m.Follows, m.Mirrored = was.Faces, was.Latch, was.Fixings, was.Follows, was.Mirrored
	if m.Faces == fitout.FaceTop && with.Module.Faces != fitout.FaceTop || m.Faces == fitout.FaceNone {
		m.Faces = with.Module.Faces
	}
	across := m.Faces == fitout.FaceLeft || m.Faces == fitout.FaceRight
	if m.Faces == fitout.FaceTop || m.Faces == fitout.FaceNone { // as the old one lies
		across = (old.Size.Length < old.Size.Width) != (size.Length < size.Width)
	}
	if across {
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
	old.Name, old.Mass, old.Source, old.Size, old.At = with.Name, with.Mass, with.Source, size, at
	old.Module, old.Form = &m, modules.Of(m.Kind).Form
	old.Component, old.Price = with.Component, with.Price
}

// rehouse lays what lay in a part that was replaced into the compartment of the
// same id, into the first where there is none, or onto its place where it has none.
func rehouse(v *fitout.Variant, in *fitout.Item) {
	for k := range v.Items {
		switch item := &v.Items[k]; {
		case item.In == nil || item.In.Module != in.ID || HasCell(in.Module, item.In.Cell):
		case len(in.Module.Cells) > 0:
			item.In = &fitout.InCell{Module: in.ID, Cell: in.Module.Cells[0].ID}
		default:
			item.In, item.At = nil, in.At
		}
	}
}

// HasCell tells whether a module has a compartment of an id.
func HasCell(m *fitout.Module, id string) bool {
	return slices.ContainsFunc(m.Cells, func(c fitout.Cell) bool { return c.ID == id })
}
