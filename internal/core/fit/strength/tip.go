package strength

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// TipUnit stops a unit that tips over its face when its heaviest drawer is out
// and nothing fixes it: moment of the drawer beyond the face against that of the
// rest behind it.
func TipUnit(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		if p.Motion != scene.Drawers || len(Mounts(s, p)) > 0 || s.IsCarried(p) {
			continue
		}
		name, out := heaviest(s, i)
		arm := scene.TravelOf(p) - scene.DepthOf(p)/2
		tips, holds := out*arm, (p.Kg()-out)*scene.DepthOf(p)/2
		if !quantity.Exceeds(tips, holds) {
			continue
		}
		f := scene.About("tip-unit", fitout.Stop, p)
		f.Title = fmt.Sprintf("%s tips when it is open", p.Name())
		f.Sentence = fmt.Sprintf("With %s out, %s pull at %s beyond the middle, and the rest of the unit is too light to "+
			"hold them; nothing fixes it. It takes %s at its back, or fixings.", words.Lower(name), s.Say.Mass(out),
			s.Say.Length(arm), s.Say.MassAtLeast((tips-holds)/(scene.DepthOf(p)/2)))
		f.Value, f.Limit, f.Margin, f.Unit = tips/1000, holds/1000, (holds-tips)/1000, "kg·m"
		f.Lines = []fitout.Line{
			scene.Line(p.Leaves[0].Closed.Middle(), p.Leaves[0].Open.Middle(), s.Say.Length(scene.TravelOf(p))),
		}
		if MustBeHeld(s, p) {
			f.Fixes = []fitout.Fix{scene.Edit("Hold "+words.Lower(p.Name())+" by points nearby, or bolts", "hold", p.ID, 0)}
		}
		found = append(found, f)
	}
	return found
}

// tipShare is the share of the unladen vehicle's mass that slides may take off
// its front axle while parked before it is said.
const tipShare = 0.08

// TipVehicle cautions about slides that, out to the rear all at once in a stance,
// take much off the front axle: load × (x − L) / L each.
func TipVehicle(s *scene.Scene) []fitout.Finding {
	return s.Each(func(p *scene.Posture) []fitout.Finding {
		off, heaviest := 0.0, -1
		by := map[int]float64{}
		for _, o := range p.Open {
			part := &s.Parts[o.Part]
			kg := comesOut(s, &o)
			if x := o.Leaf.Open.Middle().X; part.Module().Faces == fitout.FaceRear && x > s.Wheelbase {
				takes := kg * (x - s.Wheelbase) / s.Wheelbase
				off += takes
				by[o.Part] += takes
				heaviest = o.Part
			}
		}
		if heaviest < 0 || s.Unladen == 0 || off <= tipShare*s.Unladen {
			return nil
		}
		f := scene.About("tip-vehicle", fitout.Caution, &s.Parts[heaviest])
		f.Title = fmt.Sprintf("Slides lift the front by %s", s.Say.Mass(off))
		f.Sentence = fmt.Sprintf("All that is out to the rear takes %s off the front axle, more than %.0f %% of the empty "+
			"vehicle. Let a leg or the tow bar carry it, and chock the wheels.", s.Say.Mass(off), 100*tipShare)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = off, tipShare*s.Unladen, tipShare*s.Unladen-off, "kg", "practice"
		for i := range s.Parts {
			if by[i] > 0 && off-by[i] <= tipShare*s.Unladen && mayStayShut(s, i, p) {
				f.Fixes = append(f.Fixes, p.LeaveShut(&s.Parts[i]))
			}
		}
		return []fitout.Finding{f}
	})
}

// mayStayShut tells whether a part that a stance opens can be left shut in it: nothing that comes out rides on it,
// and shut it stands in the way of nothing else that is open.
func mayStayShut(s *scene.Scene, i int, p *scene.Posture) bool {
	for k := range p.Open {
		o := &p.Open[k]
		if o.Part != i &&
			(slices.Contains(s.StandOn(i), o.Part) || scene.Least(scene.Meets(o, s.Parts[i].Box)) > scene.Slack) {
			return false
		}
	}
	return true
}
