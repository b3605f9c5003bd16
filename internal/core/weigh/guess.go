package weigh

import (
	"math"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/gauss"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
)

// guesses are all causes that may have been.
func (l *Look) guesses(p *plan.Plan, w *fitout.WeighIn) []guess {
	var all []guess
	moves := func(at fitout.Point, kg float64) []float64 {
		return p.Load.Moves(&l.scale, load.Mass{Kg: kg, X: at.X, Y: at.Y, Z: at.Z})
	}
	add := func(cause Cause, of, name string, kg float64, moved []float64, spread ...[]float64) *guess {
		all = append(
			all,
			guess{
				Explanation: Explanation{Cause: cause, Of: of, Name: name, Kg: kg},
				moved:       moved,
				spread:      spread,
				prior:       1,
			},
		)
		return &all[len(all)-1]
	}
	nothing := make([]float64, len(l.scale.Figures))
	sigmas := map[string]float64{}
	for _, s := range l.scale.Sources {
		if s.Kind == load.MassErrs {
			sigmas[s.Of] = s.Sigma
		}
	}
	aboard := map[string]bool{}
	for i := range w.Aboard {
		a := &w.Aboard[i]
		aboard[a.Of] = true
		if kg := a.Kg + a.Content; kg >= lightest && !strings.HasPrefix(a.Of, "tank:") {
			add(Missing, a.Of, a.Name, -kg, moves(a.At, -kg))
		}
		if a.Kg >= lightest {
			g := add(Mass, a.Of, a.Name, a.Kg, nothing, moves(a.At, farOff*a.Kg))
			g.own, g.prior = sigmas[a.Of], farOffOften[a.Source]
		}
	}
	l.there(p, aboard, func(of, name string, kg float64, at fitout.Point) { add(There, of, name, kg, moves(at, kg)) })
	l.levels(p, w, func(of, name string, kg float64, at fitout.Point) { add(Level, of, name, kg, moves(at, kg)) })
	for i := range p.Vehicle.Seats {
		if seat := &p.Vehicle.Seats[i]; !taken(p, w, seat) {
			add(Person, seat.ID, seat.Name, aPerson, moves(seat.At, aPerson), moves(seat.At, aPersonBy))
		}
	}
	l.written(func(cause Cause, read []float64) { add(cause, "", "", 0, nothing).read = read })
	slope := make([]float64, len(nothing))
	for i, f := range l.scale.Figures {
		slope[i] = leans(f.Name) * p.Load.Leans(w) * slopeBy
	}
	if slices.ContainsFunc(slope, func(x float64) bool { return x != 0 }) {
		add(Slope, "", "", 0, nothing, slope)
	}
	add(Unlisted, "", "", 0, nothing, l.anywhere(p)...)
	// However many things there are: that one of them was forgotten is as likely as that the axles were swapped.
	many := map[Cause]float64{}
	for i := range all {
		many[all[i].Cause]++
	}
	for i := range all {
		all[i].prior /= many[all[i].Cause]
	}
	return all
}

// leans is how much of what a slope moves a figure has, nose up.
func leans(figure string) float64 {
	switch figure {
	case "front":
		return -1
	case "rear":
		return 1
	case "front-left", "front-right":
		return -0.5
	case "rear-left", "rear-right":
		return 0.5
	}
	return 0
}

// there tells of things of the plan that were not on the list of what was aboard.
func (l *Look) there(p *plan.Plan, aboard map[string]bool, tell func(of, name string, kg float64, at fitout.Point)) {
	for i := range p.Variant.Items {
		item, thing := &p.Variant.Items[i], &p.Load.Items[i]
		if kg := item.Mass + item.Presence.Content(); !aboard[item.ID] && kg >= lightest && !thing.Trailer {
			at := item.At
			if thing.Mass.Kg > 0 {
				at = fitout.Point{X: thing.Mass.X, Y: thing.Mass.Y, Z: thing.Mass.Z}
			}
			tell(item.ID, item.Name, kg, at)
		}
	}
}

// levels tells of tanks and vessels that may have been full, half full or empty instead.
func (l *Look) levels(p *plan.Plan, w *fitout.WeighIn, tell func(of, name string, kg float64, at fitout.Point)) {
	try := func(of, name string, now, full float64, at fitout.Point) {
		for _, share := range []float64{0, 0.5, 1} {
			if kg := share*full - now; math.Abs(kg) >= lightest {
				tell(of, name, kg, at)
			}
		}
	}
	contents := map[string]float64{}
	for i := range w.Aboard {
		contents[w.Aboard[i].Of] = w.Aboard[i].Content
	}
	for i := range p.Vehicle.Tanks {
		t := &p.Vehicle.Tanks[i]
		try("tank:"+t.ID, t.Name, contents["tank:"+t.ID], t.Capacity*t.Density, t.At)
	}
	for i := range w.Aboard {
		a := &w.Aboard[i]
		if k := p.Index(a.Of); k >= 0 && p.Items[k].Presence.Level != nil {
			level := p.Items[k].Presence.Level
			try(a.Of, a.Name, a.Content, level.Max*level.Density, a.At)
		}
	}
}

// taken tells whether somebody sat in a seat.
func taken(p *plan.Plan, w *fitout.WeighIn, seat *fitout.Seat) bool {
	for i := range w.Aboard {
		if k := p.Index(w.Aboard[i].Of); k >= 0 && p.Items[k].Seat == seat.ID {
			return true
		}
	}
	return false
}

// written tells how figures may have been written down the wrong way round.
func (l *Look) written(tell func(cause Cause, read []float64)) {
	at := map[string]float64{}
	for _, f := range l.scale.Figures {
		at[f.Name] = f.Read
	}
	turn := func(cause Cause, turned map[string]string) {
		read := make([]float64, len(l.scale.Figures))
		changed := false
		for i, f := range l.scale.Figures {
			from, ok := turned[f.Name]
			if !ok {
				from = f.Name
			}
			read[i] = at[from]
			changed = changed || at[from] != f.Read
		}
		if changed {
			tell(cause, read)
		}
	}
	turn(
		Swapped,
		map[string]string{"front": "rear", "rear": "front", "front-left": "rear-left", "rear-left": "front-left",
			"front-right": "rear-right", "rear-right": "front-right"},
	)
	if len(l.scale.Figures) >= 4 {
		turn(
			Sides,
			map[string]string{"front-left": "front-right", "front-right": "front-left", "rear-left": "rear-right",
				"rear-right": "rear-left"},
		)
	}
}

// anywhere is the spread of something that nobody listed, of unlistedBy kg or so, anywhere between the ends of the
// vehicle: the root of the mean of its products over a grid of places.
func (l *Look) anywhere(p *plan.Plan) [][]float64 {
	n := len(l.scale.Figures)
	mean := make([][]float64, n)
	for i := range mean {
		mean[i] = make([]float64, n)
	}
	o, places := &p.Vehicle.Outline, float64(gridOfPlace*gridOfPlace)
	for i := range gridOfPlace {
		for k := range gridOfPlace {
			x := -o.FrontOverhang + (o.FrontOverhang+p.Load.Wheelbase+o.RearOverhang)*float64(i)/(gridOfPlace-1)
			y := o.Width * (float64(k)/(gridOfPlace-1) - 0.5)
			m := p.Load.Moves(&l.scale, load.Mass{Kg: unlistedBy, X: x, Y: y})
			for a := range n {
				for b := range n {
					mean[a][b] += m[a] * m[b] / places
				}
			}
		}
	}
	root := gauss.Cholesky(mean)
	spread := make([][]float64, n)
	for k := range n {
		spread[k] = make([]float64, n)
		for i := k; i < n; i++ {
			spread[k][i] = root[i][k]
		}
	}
	return spread
}
