package edit

import "zaino/internal/core/fitout"

// Edits of where a thing stands and of its size. Places are as the document keeps them,
// before a wheelbase extension.
var (
	moved  = figure(func(i *fitout.Item) *float64 { return &i.At.X })
	across = figure(func(i *fitout.Item) *float64 { return &i.At.Y })
	up     = figure(func(i *fitout.Item) *float64 { return &i.At.Z })
	length = figure(func(i *fitout.Item) *float64 { return &i.Size.Length })
	width  = figure(func(i *fitout.Item) *float64 { return &i.Size.Width })
	height = figure(func(i *fitout.Item) *float64 { return &i.Size.Height })
)

// placed puts a thing to another place, in another space where one is named, and makes it as large as is said.
var placed = Kind{Apply: func(j *fitout.Job, components []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
	held := false
	job, done := toPlace.Apply(j, components, e)
	if !done || e.With == "" {
		return job, done
	}
	job = WithItems(&job, func(i *fitout.Item) {
		if i.ID == e.ID && i.Module != nil && len(i.Module.Fixings) > 0 {
			m := *i.Module
			m.Fixings, i.Module, held = []fitout.Fixing{}, &m, true
		}
	})
	if held {
		fix(&job, e.ID, "")
	}
	return job, true
}}

// toPlace sets where a thing stands, in which space and how large; what held it is not looked at.
var toPlace = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
	if e.At == nil {
		return false
	}
	i.At = *e.At
	if e.With != "" {
		i.Bay = e.With
	}
	if e.Size != nil {
		i.Size = *e.Size
	}
	return true
})

// figure is the edit that sets one figure of an item.
func figure(of func(*fitout.Item) *float64) Kind {
	return item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		*of(i) = e.Value
		return true
	})
}
