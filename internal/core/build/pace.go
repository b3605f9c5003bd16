package build

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// practice are the minutes of each operation, and what they are of. Practice figures of workshops; the workshop's
// own pace replaces them.
var practice = []struct {
	work    string
	minutes float64
	each    string
}{
	{"level", 30, "space"}, {"measure", 45, "space"}, {"saw", 4, "panel or profile"}, {"edge", 4, "edge"},
	{"drill", 3, "hole"}, {"glue", 5, "joint"}, {"assemble", 6, "joint"}, {"frame", 4, "bracket"}, {"sand", 6, "m²"},
	{"paint", 8, "m² and coat"}, {"lining", 14, "m²"}, {"runners", 18, "pair"}, {"hinge", 10, "hinge"},
	{
		"weigh",
		5,
		"part",
	}, {"fit", 25, "part"}, {"wire", 20, "line"}, {"plumb", 25, "tap or tank"}, {"torque", 1.5, "bracket"},
	{"clean", 60, "build"}, {"decide", 10, "question"},
}

// minutesOf is how long an operation takes each.
func minutesOf(work string, b *fitout.Build) float64 {
	for _, p := range b.Pace {
		if p.Work == work {
			return p.Minutes
		}
	}
	for k := range practice {
		if practice[k].work == work {
			return practice[k].minutes
		}
	}
	return 0
}

// Learned is what the workshop really needs for an operation, by what was noted.
type Learned struct {
	Work    string  `json:"work"`
	Each    string  `json:"each" doc:"what the minutes are of"`
	Minutes float64 `json:"minutes" doc:"as planned"`
	Needed  float64 `json:"needed" doc:"by the steps that were noted; 0: none was"`
	Steps   int     `json:"steps" doc:"that were noted"`
	Own     bool    `json:"own" doc:"the planned minutes are the workshop's own"`
}

// learned compares what was noted with what was planned, operation by operation.
func (l *Look) learned() []Learned {
	w := l.Work()
	all := []Learned{}
	for _, p := range practice {
		o := Learned{Work: p.work, Each: p.each, Minutes: minutesOf(p.work, &l.Job.Build)}
		for _, own := range l.Job.Build.Pace {
			o.Own = o.Own || own.Work == p.work
		}
		planned, needed := 0.0, 0.0
		for i := range w.Steps {
			if s := &w.Steps[i]; s.Work == p.work && s.Noted.Minutes > 0 {
				planned, needed = planned+s.Minutes, needed+s.Noted.Minutes
				o.Steps++
			}
		}
		if planned > 0 {
			o.Needed = math.Round(o.Minutes*needed/planned*10) / 10
		}
		all = append(all, o)
	}
	return all
}

// PaceLearned is the workshop's pace with what was noted taken over.
func PaceLearned(p *plan.Plan) []fitout.Pace {
	pace := slices.Clone(p.Job.Build.Pace)
	for _, o := range LookAt(p).learned() {
		if o.Steps == 0 {
			continue
		}
		at := slices.IndexFunc(pace, func(own fitout.Pace) bool { return own.Work == o.Work })
		if at < 0 {
			pace, at = append(pace, fitout.Pace{Work: o.Work}), len(pace)
		}
		pace[at].Minutes = o.Needed
	}
	return pace
}
