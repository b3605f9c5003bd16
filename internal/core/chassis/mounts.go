package chassis

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Practice: of the twist that the wheels want where one comes up and the other goes down, a quarter goes
// into the frame; a rigid mount gives 3 mm before something tears.
const (
	intoFrame = 0.25
	rigidGive = 3.0
)

// Rise is how far a frame comes away from a stiff body at a mount b beside its middle line, mm: b tan φ with
// φ = ¼ · atan(2 · bump/track) · s/L, over the length s of the mounts of a wheelbase L. An estimate.
func Rise(bump, track, beside, long, wheelbase float64) float64 {
	if track == 0 || wheelbase == 0 {
		return 0
	}
	return beside * math.Tan(intoFrame*math.Atan(2*bump/track)*min(1, long/wheelbase))
}

// bodyTwist cautions of mounts that do not let the frame twist under the body: by so much it tears mounts,
// welds or glass.
func bodyTwist(p *plan.Plan) []fitout.Finding {
	mounts, bump := p.Vehicle.BodyMounts, p.Vehicle.Rear.Bump
	if len(mounts) < 3 || bump == 0 {
		return nil
	}
	low, high := math.Inf(1), math.Inf(-1)
	for i := range mounts {
		low, high = min(low, mounts[i].At.X), max(high, mounts[i].At.X)
	}
	worst, at := 0.0, -1
	for i := range mounts {
		m := &mounts[i]
		give := m.Travel
		switch m.Kind {
		case fitout.MountPivot:
			continue
		case fitout.MountRigid:
			give = max(give, rigidGive)
		}
		// The middle of the mounts stays; those at the ends rise most.
		from := math.Abs(m.At.X - (low+high)/2)
		if short := Rise(bump, p.Vehicle.TrackRear, math.Abs(m.At.Y), 2*from, p.Load.Wheelbase) - give; short > worst+0.5 {
			worst, at = short, i
		}
	}
	if at < 0 {
		return nil
	}
	m := &mounts[at]
	f := fitout.Finding{
		Rule:     "body-twist",
		Severity: fitout.Caution,
		Subject:  fitout.Subject{Kind: "vehicle", ID: "", Measure: "bodyMounts/" + m.ID},
		Source:   "practice",
	}
	f.Title = fmt.Sprintf("The frame twists away from the body at %s", words.Lower(m.Name))
	f.Sentence = fmt.Sprintf(
		"With a wheel up and the other down it rises %s further there than the mount gives, an estimate. Mounts that give that "+
			"much more, on springs, or three points with a pivot.",
		p.Say.LengthAtLeast(worst),
	)
	f.Over(worst, 0, "mm")
	return []fitout.Finding{f}
}

// bodyMountOver stops a mount that carries more than it is rated for, standing still: what stands in the
// spaces of the body, shared out as a stiff plate does, Fᵢ = M/n (1 + …) with the moments about its middle.
func bodyMountOver(p *plan.Plan) []fitout.Finding {
	mounts := p.Vehicle.BodyMounts
	if len(mounts) < 3 {
		return nil
	}
	mass, mx, my := 0.0, 0.0, 0.0
	for i := range p.Items {
		item := &p.Items[i]
		if !p.Load.Items[i].Present || p.Load.Items[i].Trailer || !onBody(p, item) {
			continue
		}
		at, kg := item.At, item.Mass+item.Presence.Content()
		mass, mx, my = mass+kg, mx+kg*at.X, my+kg*at.Y
	}
	if mass == 0 {
		return nil
	}
	loads := Share(mounts, mass, mx/mass, my/mass)
	var found []fitout.Finding
	for i := range mounts {
		m := &mounts[i]
		if m.Rating == 0 || loads[i] <= m.Rating+0.05 {
			continue
		}
		f := fitout.Finding{
			Rule:     "body-mount-over",
			Severity: fitout.Stop,
			Subject:  fitout.Subject{Kind: "vehicle", Measure: "bodyMounts/" + m.ID},
			Source:   "data sheet",
		}
		f.Title = fmt.Sprintf("%s carries %s too much", m.Name, p.Say.Mass(loads[i]-m.Rating))
		f.Sentence = fmt.Sprintf(
			"What stands in the body puts %s on it, an estimate; it is rated %s. Move load away from it, or fit a stronger one.",
			p.Say.Mass(loads[i]),
			p.Say.Mass(m.Rating),
		)
		f.Over(loads[i], m.Rating, "kg")
		found = append(found, f)
	}
	return found
}

// onBody tells whether an item stands in a space of a body on mounts: a canopy, a living box, or under it.
func onBody(p *plan.Plan, item *fitout.Item) bool {
	bay := item.Bay
	if item.In != nil {
		if k := p.Index(item.In.Module); k >= 0 {
			bay = p.Items[k].Bay
		}
	}
	for i := range p.Vehicle.Bays {
		if b := &p.Vehicle.Bays[i]; b.ID == bay {
			switch b.Kind {
			case fitout.BayCanopyLeft,
				fitout.BayCanopyRight,
				fitout.BayCanopyRear,
				fitout.BayLivingBox,
				fitout.BayUnderTray,
				fitout.BayRearWall,
				fitout.BayHeadboard,
				fitout.BayTub:
				return true
			}
		}
	}
	return false
}

// Share is how a mass at a place is carried by mounts under a stiff plate, kg on each: the plane of forces
// that holds it and its moments, Fᵢ = M/n + a (xᵢ − x̄) + b (yᵢ − ȳ). Of mounts in one line it is shared
// along that line alone.
func Share(mounts []fitout.BodyMount, mass, x, y float64) []float64 {
	n := float64(len(mounts))
	mx, my := 0.0, 0.0
	for i := range mounts {
		mx, my = mx+mounts[i].At.X/n, my+mounts[i].At.Y/n
	}
	xx, yy, xy := 0.0, 0.0, 0.0
	for i := range mounts {
		dx, dy := mounts[i].At.X-mx, mounts[i].At.Y-my
		xx, yy, xy = xx+dx*dx, yy+dy*dy, xy+dx*dy
	}
	tx, ty := mass*(x-mx), mass*(y-my)
	a, b := 0.0, 0.0
	// A plate that stands on points of which none is a millimetre beside a line holds no moment across it.
	if det := xx*yy - xy*xy; det > 1e-6*xx*yy && min(xx, yy) > n {
		a, b = (tx*yy-ty*xy)/det, (ty*xx-tx*xy)/det
	} else if xx >= yy && xx > 0 {
		a = tx / xx
	} else if yy > 0 {
		b = ty / yy
	}
	loads := make([]float64, len(mounts))
	for i := range mounts {
		loads[i] = mass/n + a*(mounts[i].At.X-mx) + b*(mounts[i].At.Y-my)
	}
	return loads
}
