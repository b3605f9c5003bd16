package fit

import "zaino/internal/core/fitout"

// packed is the share of a floor that things lying side by side cover in
// practice.
const packed = 0.85

// Layers lays things into a compartment, the first deepest, and returns the
// layer of each, 0 at the bottom: side by side as long as the floor has room for
// their footprints, then on top. It is a count by areas, as one packs by eye,
// not a placing.
func Layers(floor fitout.Size, things []fitout.Size) []int {
	area := packed * floor.Length * floor.Width
	layers := make([]int, len(things))
	layer, used := 0, 0.0
	for i, t := range things {
		footprint := t.Length * t.Width
		if used > 0 && used+footprint > area {
			layer, used = layer+1, 0
		}
		layers[i], used = layer, used+footprint
	}
	return layers
}

// Above returns for each thing how many lie in the layers above it and have to
// be moved before it can be taken out.
func Above(layers []int) []int {
	above := make([]int, len(layers))
	for i := range layers {
		for k := range layers {
			if layers[k] > layers[i] {
				above[i]++
			}
		}
	}
	return above
}
