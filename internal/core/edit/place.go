package edit

import "zaino/internal/core/fitout"

// Edits of where a thing stands and of its size. Places are as the document keeps them,
// before a wheelbase extension.
var (
	moved = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		i.At.X = e.Value
		return true
	})
	across = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		i.At.Y = e.Value
		return true
	})
	up = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		i.At.Z = e.Value
		return true
	})
	length = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		i.Size.Length = e.Value
		return true
	})
	width = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		i.Size.Width = e.Value
		return true
	})
	height = item(func(_ *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool {
		i.Size.Height = e.Value
		return true
	})
)
