package weigh

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Begin is a weighing of what is aboard in the state shown, on the road and without a trailer, of which nothing was
// read yet.
func Begin(p *plan.Plan, id, name string) fitout.WeighIn {
	w := fitout.WeighIn{ID: id, Name: name, Reading: fitout.ReadCorners, Aboard: []fitout.Aboard{}}
	Note(p, &w)
	return w
}

// Note notes in a weighing what is aboard by the plan now, in the place of what was noted before. Masses and places are
// the plan's own, without what other weighings say.
func Note(p *plan.Plan, w *fitout.WeighIn) {
	state := p.Shown
	state.Stance, state.At, state.Coupled = "", nil, false
	plain := p.Load.Plain()
	empty := plain.Unladen.Corners(plain.Wheelbase, plain.TrackFront, plain.TrackRear)
	w.Empty = fitout.EmptyThen{FrontLeft: empty.FrontLeft, FrontRight: empty.FrontRight, RearLeft: empty.RearLeft,
		RearRight: empty.RearRight, Height: max(0, plain.Unladen.Centre().Z)}
	w.Aboard = []fitout.Aboard{}
	for i := range p.Vehicle.Tanks {
		t := &p.Vehicle.Tanks[i]
		w.Aboard = append(
			w.Aboard,
			fitout.Aboard{Of: "tank:" + t.ID, Name: t.Name, Content: state.TankFills[t.ID] * t.Density,
				Source: fitout.ByScale, At: t.At},
		)
	}
	for i := range p.Variant.Items {
		thing, aboard := plain.In(i, &state)
		if !aboard || thing.Trailer {
			continue
		}
		item := &p.Variant.Items[i]
		a := fitout.Aboard{Of: item.ID, Name: item.Name, Kg: item.Mass, Content: max(0, thing.Mass.Kg-item.Mass),
			Source: item.Source, At: fitout.Point{X: thing.Mass.X, Y: thing.Mass.Y, Z: thing.Mass.Z}}
		if item.Source == fitout.ByMaterial && item.Module != nil {
			a.Wall = item.Module.Wall
		}
		w.Aboard = append(w.Aboard, a)
	}
}
