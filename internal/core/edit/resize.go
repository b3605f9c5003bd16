package edit

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
)

// Resize gives a module another size and lets what hangs on it follow: what is
// flush with it, what rests on it, and what is built beside it.
func Resize(j *fitout.Job, id string, size fitout.Size) (fitout.Job, error) {
	boxes := scene.Resize(scene.Of(plan.Of(j)).Parts, id, size)
	if len(boxes) == 0 {
		return *j, fitout.Problem{Path: "id", Given: id, Accepted: "the id of a module that stands on the bench"}
	}
	resized := withBoxes(j, boxes)
	return resized, fitout.Validate(&resized)
}

// withBoxes returns the job with items in new boxes.
func withBoxes(j *fitout.Job, boxes map[string]fitout.Box) fitout.Job {
	return WithItems(j, func(i *fitout.Item) {
		box, ok := boxes[i.ID]
		if !ok {
			return
		}
		i.At, i.Size = box.Middle(), box.Size()
		i.At.X = j.Vehicle.Stored(i.At.X, i.Behind)
	})
}
