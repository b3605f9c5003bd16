package fitout

import "slices"

// Extension is a wheelbase extension: the vehicle is cut, what lies behind the
// cut moves rearward, and a section is let in.
type Extension struct {
	By           float64 `json:"by" minimum:"0" maximum:"5000" unit:"mm" doc:"mm"`
	Cut          float64 `json:"cut" minimum:"-5000" maximum:"20000" unit:"mm" doc:"x of the cut, mm"`
	Section      float64 `json:"section" minimum:"0" maximum:"20000" unit:"kg" doc:"mass of the section let in, kg"`
	BehindCut    float64 `json:"behindCut" minimum:"0" maximum:"50000" unit:"kg" doc:"mass of the dry vehicle that lies behind the cut, kg"`
	Certificated bool    `json:"certificated" doc:"an engineer's certificate exists"`
}

// ExtendedWheelbase returns the wheelbase with the extension in place, mm.
func (v *Vehicle) ExtendedWheelbase() float64 {
	if v.Extension == nil {
		return v.Wheelbase
	}
	return v.Wheelbase + v.Extension.By
}

// shift is how far what is behind the cut has moved rearward, mm.
func (v *Vehicle) shift(behind bool) float64 {
	if v.Extension == nil || !behind {
		return 0
	}
	return v.Extension.By
}

// Stands returns where a place that the document keeps at x stands, mm: moved
// rearward by a wheelbase extension if it is behind the cut.
func (v *Vehicle) Stands(x float64, behind bool) float64 { return x + v.shift(behind) }

// Stored returns where the document keeps a place that stands at x, mm: as it was
// before a wheelbase extension. behind tells whether what stands there is behind
// the cut.
func (v *Vehicle) Stored(x float64, behind bool) float64 { return x - v.shift(behind) }

// Standing returns the job as it stands on the road: its wheelbase extended, and
// every place behind the cut moved rearward by the extension. The document keeps
// places as they were before it; this is the one way from those to these, and
// Vehicle.Stored the one way back. What of the dry vehicle moves is for the load
// engine, which knows what a baseline contains. The job given is not changed.
func (j *Job) Standing() Job {
	standing := *j
	v := &j.Vehicle
	if v.Extension == nil {
		return standing
	}
	moved := v.standing()
	standing.Vehicle = moved
	standing.Variants = slices.Clone(j.Variants)
	variant := standing.ChosenVariant()
	behind := make(map[string]bool, len(variant.Items))
	variant.Items = slices.Clone(variant.Items)
	for i := range variant.Items {
		item := &variant.Items[i]
		behind[item.ID] = item.Behind
		item.At.X += v.shift(item.Behind)
	}
	variant.Stances = slices.Clone(variant.Stances)
	for i := range variant.Stances {
		s := &variant.Stances[i]
		s.Loose = slices.Clone(s.Loose)
		for k := range s.Loose {
			s.Loose[k].At.X += v.shift(behind[s.Loose[k].Item])
		}
	}
	return standing
}

func (v *Vehicle) standing() Vehicle {
	moved := *v
	moved.Wheelbase, moved.Extension = v.ExtendedWheelbase(), nil
	moved.Tanks = slices.Clone(v.Tanks)
	for i := range moved.Tanks {
		moved.Tanks[i].At.X += v.shift(v.Tanks[i].Behind)
	}
	moved.Parts = slices.Clone(v.Parts)
	for i := range moved.Parts {
		p := &moved.Parts[i]
		p.At.X += v.shift(p.Behind)
		if p.MovedTo != nil {
			to := *p.MovedTo
			to.X += v.shift(p.Behind)
			p.MovedTo = &to
		}
	}
	moved.Modifications = slices.Clone(v.Modifications)
	for i := range moved.Modifications {
		moved.Modifications[i].At.X += v.shift(v.Modifications[i].Behind)
	}
	moved.LowPoints = slices.Clone(v.LowPoints)
	for i := range moved.LowPoints {
		moved.LowPoints[i].At.X += v.shift(v.LowPoints[i].Behind)
	}
	moved.Mounts = slices.Clone(v.Mounts)
	for i := range moved.Mounts {
		moved.Mounts[i].At.X += v.shift(v.Mounts[i].Behind)
	}
	moved.Marks = slices.Clone(v.Marks)
	for i := range moved.Marks {
		moved.Marks[i].At.X += v.shift(v.Marks[i].Behind)
	}
	moved.Bays = slices.Clone(v.Bays)
	for i := range moved.Bays {
		moved.Bays[i].At.X += v.shift(v.Bays[i].Behind)
	}
	return moved
}
