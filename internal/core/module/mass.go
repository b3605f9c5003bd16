package module

import "zaino/internal/core/fitout"

// Mass returns what a module weighs by its construction, kg, and the centre of
// that mass: the sum over its panels of area × thickness × density, its runners,
// lining and profiles. runners are the lengths in which they come. ok is false for what is bought whole, whose mass the data
// sheet gives.
func Mass(i *fitout.Item, runners []fitout.RunnerLength) (kg float64, centre fitout.Point, ok bool) {
	return massIn(&Anatomy{}, i, runners)
}

// massIn is Mass with the anatomy of the module worked out in the memory of another's.
func massIn(made *Anatomy, i *fitout.Item, runners []fitout.RunnerLength) (kg float64, centre fitout.Point, ok bool) {
	if !built(i) {
		return 0, i.At, false
	}
	sum := fitout.Point{}
	add := func(box fitout.Box, of float64) {
		at := box.Middle()
		kg += of
		sum.X, sum.Y, sum.Z = sum.X+of*at.X, sum.Y+of*at.Y, sum.Z+of*at.Z
	}
	*made = anatomyInto(*made, i, runners)
	for k := range made.Panels {
		add(made.Panels[k].Box, made.Panels[k].Kg)
	}
	for k := range made.Rods {
		add(made.Rods[k].Box, made.Rods[k].Kg)
	}
	for k := range made.Runners {
		add(made.Runners[k].Box, made.Runners[k].Kg)
	}
	for k := range made.Linings {
		add(made.Linings[k].Box, made.Linings[k].Kg)
	}
	if kg == 0 {
		return 0, i.At, true
	}
	return kg, fitout.Point{X: sum.X / kg, Y: sum.Y / kg, Z: sum.Z / kg}, true
}

// Material is what a built module takes of panel, m², and of runner, m; nothing
// for what is bought whole.
func Material(i *fitout.Item) (area, runner float64) {
	made := AnatomyOf(i, nil)
	for k := range made.Panels {
		area += made.Panels[k].Length * made.Panels[k].Width / 1e6
	}
	for k := range made.Runners {
		runner += 2 * made.Runners[k].Depth / 1000
	}
	return area, runner
}
