package draw

import (
	"fmt"

	"zaino/internal/core/fitout"
)

// most is how much may be asked of one drawing.
const (
	mostLooks = 6
	mostNamed = 2000
)

// Check refuses a wish that is none: sides that nobody stands before, papers without an end.
func (w *DrawingWish) Check() error {
	if len(w.Looks) == 0 || len(w.Looks) > mostLooks {
		return fitout.Problem{Path: "wish.looks", Given: fmt.Sprint(len(w.Looks), " views"), Accepted: "1 to 6 views"}
	}
	if len(w.Open) > mostNamed || len(w.Hidden) > mostNamed {
		return fitout.Problem{Path: "wish", Given: "a longer list", Accepted: "2000 things open or hidden at most"}
	}
	for i := range w.Looks {
		l := &w.Looks[i]
		if !l.Stand.Known() {
			return fitout.Problem{Path: fmt.Sprintf("wish.looks[%d].stand", i), Given: string(l.Stand),
				Accepted: "left, right, behind, ahead or above"}
		}
		for _, f := range []struct {
			name       string
			value      float64
			least, top float64
		}{{"width", l.Width, 0, 20000}, {"height", l.Height, 0, 20000}, {"scale", l.Scale, 0, 1000}, {"foot", l.Foot, 0, 1000},
			{"from", l.From, -1e6, 1e6}, {"ground", l.Ground, -1e6, 1e6}, {"plane", l.Plane, -1e5, 1e5}} {
			if !(f.value >= f.least && f.value <= f.top) {
				return fitout.Problem{Path: fmt.Sprintf("wish.looks[%d].%s", i, f.name), Given: fmt.Sprint(f.value),
					Accepted: fmt.Sprintf("%g to %g", f.least, f.top)}
			}
		}
	}
	return nil
}
