package draw

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/shape"
)

// Look is one view that is asked for: from where, and the paper that it is for.
type Look struct {
	Stand  Stand   `json:"stand" enum:"left,right,behind,ahead,above"`
	Slice  bool    `json:"slice" doc:"the view is cut"`
	Plane  float64 `json:"plane" minimum:"-20000" maximum:"20000" unit:"mm" doc:"where it is cut, along its own axis; what is nearer goes, mm"`
	Width  float64 `json:"width" minimum:"0" maximum:"20000" doc:"of the paper, in units of which a name is 11 high"`
	Height float64 `json:"height" minimum:"0" maximum:"20000"`
	From   float64 `json:"from" minimum:"-100000" maximum:"100000" unit:"mm" doc:"across at the left edge of the paper, mm"`
	Ground float64 `json:"ground" minimum:"-100000" maximum:"100000" doc:"how far below the upper edge of the paper 0 mm up lies"`
	Scale  float64 `json:"scale" minimum:"0" maximum:"1000" unit:"mm" doc:"per unit of the paper; 0: no names are placed"`
	Foot   float64 `json:"foot" minimum:"0" maximum:"1000" doc:"of the paper at its foot that names keep off"`
}

// DrawingWish is what a drawing is asked to show.
type DrawingWish struct {
	Looks  []Look       `json:"looks" maxItems:"6"`
	Stance string       `json:"stance" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a stance; empty for the road"`
	Open   []OpenByHand `json:"open" maxItems:"400" doc:"what is open besides"`
	Focus  string       `json:"focus" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a space or a part; empty for all"`
	Only   bool         `json:"only" doc:"what is not in focus goes; else it is a thin outline"`
	Gear   bool         `json:"gear" doc:"what lies in compartments is drawn"`
	People bool         `json:"people" doc:"who sits in it is drawn"`
	Hidden []string     `json:"hidden" maxItems:"2000" doc:"ids of things that are left out"`
	Person string       `json:"person" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a traveller who stands before what is in focus; empty for nobody"`
}

// DrawnGroup is one thing of a view. Groups are drawn in their order: what is near lies over what
// is far.
type DrawnGroup struct {
	ID      string      `json:"id" doc:"of the item; with ~ before it for what is none"`
	Name    string      `json:"name"`
	Kind    Kind        `json:"kind" enum:"vehicle,door,module,gear,person,fitting,ground,placed"`
	Work    fitout.Work `json:"work" enum:",existing,later,others"`
	Inside  bool        `json:"inside" doc:"it lies in a compartment"`
	Faded   bool        `json:"faded" doc:"it is not in focus: a thin outline"`
	Opened  bool        `json:"opened"`
	Absent  bool        `json:"absent" doc:"it is not aboard in the state shown"`
	Covered bool        `json:"covered" doc:"nothing of it is seen"`
	Rect    Rect        `json:"rect"`
	Paths   []DrawnPath `json:"paths"`
	Behind  string      `json:"behind" doc:"its edges that lie behind something, to be drawn dashed"`
	Label   *DrawnLabel `json:"label,omitempty"`

	near    float64
	free    float64 // share of it that is seen
	number  int
	screens []Rect // what of it cannot be seen through
	own     []Rect // all that is seen of it, near last
	over    []Rect // screens of nearer things that lie over it
	faces   []face
}

// DrawnLabel is the name of a thing in a view, or the number that stands for it in the key.
type DrawnLabel struct {
	Lines  []string  `json:"lines" doc:"the name, broken; empty for a number"`
	Number int       `json:"number" doc:"in the key; 0 for a name"`
	U      float64   `json:"u" doc:"left edge of a name, middle of a number, mm across"`
	V      float64   `json:"v" doc:"foot of the first line, middle of a number, mm up"`
	Leader []float64 `json:"leader,omitempty" doc:"u and v where a line from the number ends"`
}

// DrawnView is one view.
type DrawnView struct {
	Stand  Stand        `json:"stand" enum:"left,right,behind,ahead,above"`
	Title  string       `json:"title"`
	Groups []DrawnGroup `json:"groups"`
	Low    float64      `json:"low" doc:"least along its axis that anything reaches, mm"`
	High   float64      `json:"high" doc:"greatest along its axis, mm"`
}

// Keyed is a line of the key.
type Keyed struct {
	Number int    `json:"number"`
	ID     string `json:"id"`
	Name   string `json:"name"`
}

// DrawnSheet is one or more views with their key.
type DrawnSheet struct {
	Views []DrawnView `json:"views"`
	Key   []Keyed     `json:"key"`
}

// Of draws what is wished of a plan.
func Of(p *plan.Plan, w *DrawingWish) DrawnSheet { return SceneOf(p, w.Stance, w.Open).Draw(w) }

// Draw draws what is wished of a scene; its stance and what is open are those of the scene.
func (s *Scene) Draw(w *DrawingWish) DrawnSheet {
	sheet := DrawnSheet{Views: make([]DrawnView, len(w.Looks)), Key: []Keyed{}}
	for i := range w.Looks {
		sheet.Views[i] = s.view(w, &w.Looks[i])
	}
	sheet.number(s.plan)
	return sheet
}

// number counts what has no room for its name in any view, in the order of the variant.
func (s *DrawnSheet) number(p *plan.Plan) {
	labels := map[int][]*DrawnLabel{}
	for i := range s.Views {
		for k := range s.Views[i].Groups {
			if g := &s.Views[i].Groups[k]; g.Label != nil && len(g.Label.Lines) == 0 {
				labels[g.number] = append(labels[g.number], g.Label)
			}
		}
	}
	for i := range p.Items {
		if labels[i] == nil {
			continue
		}
		n := len(s.Key) + 1
		s.Key = append(s.Key, Keyed{n, p.Items[i].ID, p.Items[i].Name})
		for _, l := range labels[i] {
			l.Number = n
		}
	}
}

func (s *Scene) view(w *DrawingWish, look *Look) DrawnView {
	v := DrawnView{Stand: look.Stand, Title: look.Stand.Title(), Groups: []DrawnGroup{}}
	things := s.things
	if w.Person != "" {
		if somebody, ok := s.somebody(w); ok {
			things = append(slices.Clone(things), somebody)
		}
	}
	var plane *float64
	if look.Slice {
		plane = &look.Plane
	}
	first := true
	for i := range things {
		t := &things[i]
		faded := !s.inFocus(t, w.Focus)
		if slices.Contains(w.Hidden, t.id) || t.in != "" && slices.Contains(w.Hidden, t.in) || faded && w.Only ||
			t.in != "" && !w.Gear || t.kind == OfPerson && t.number >= 0 && !w.People {
			continue
		}
		if low, high := look.Stand.reach(t.box); t.number >= 0 {
			if first {
				v.Low, v.High, first = low, high, false
			}
			v.Low, v.High = min(v.Low, low), max(v.High, high)
		}
		g := DrawnGroup{
			ID:     t.id,
			Name:   t.name,
			Kind:   t.kind,
			Work:   t.work,
			Inside: t.in != "",
			Faded:  faded,
			Opened: t.opened,
			Absent: t.absent,
			number: t.number,
			free:   1,
		}
		g.Rect, g.near, _ = look.Stand.rect(t.box)
		if t.in != "" { // it is looked at through what it lies in
			if k := slices.IndexFunc(things, func(o thing) bool { return o.id == t.in }); k >= 0 {
				_, near, _ := look.Stand.rect(things[k].box)
				g.near = min(g.near, near-1)
			}
		}
		if faded && t.kind != OfVehicle {
			g.Paths = []DrawnPath{{Tone: "open", Thin: true, D: rectangle(g.Rect)}}
		} else {
			faces := look.Stand.flatten(t.solids, plane)
			if len(faces) == 0 {
				continue
			}
			if plane != nil {
				g.Rect = faces[0].rect
				for k := range faces {
					g.Rect = g.Rect.around(faces[k].rect)
				}
			}
			g.Paths, g.faces = paths(faces), faces
			for k := range faces {
				if faces[k].tone != shape.Open {
					g.own = append(g.own, faces[k].rect)
				}
			}
			if !t.absent && t.id != PersonID {
				g.screens = screens(faces)
			}
			if t.id == PersonID { // an outline: what they stand before stays in sight
				for k := range g.Paths {
					g.Paths[k].Tone = shape.Open
				}
			}
		}
		v.Groups = append(v.Groups, g)
	}
	order(v.Groups, look.Stand == Ahead && !look.Slice)
	behind(v.Groups)
	if look.Scale > 0 {
		place(v.Groups, look)
	}
	return v
}

// inFocus tells whether a thing belongs to what is in focus.
func (s *Scene) inFocus(t *thing, focus string) bool {
	if focus == "" || t.id == focus || t.in == focus || t.bay == focus || t.number < 0 && t.kind == OfPerson {
		return true
	}
	if t.in != "" {
		if i := s.plan.Index(t.in); i >= 0 && s.plan.Items[i].Bay == focus {
			return true
		}
	}
	for i := range s.fit.Bays {
		b := &s.fit.Bays[i]
		if b.ID == focus && t.kind != OfVehicle && t.bay == "" {
			by := t.box.Overlap(b.Room)
			return min(by.X, by.Y) > 0 && (b.Open && t.box.To.Z > b.Room.From.Z || by.Z > 0)
		}
	}
	return false
}

// order puts what is far first. What lies in something is drawn after it; the vehicle is the
// paper that all lies on, but for its open doors, and for its front: who stands ahead of it sees
// the cab before what is behind that.
func order(groups []DrawnGroup, cabFirst bool) {
	rank := func(g *DrawnGroup) int {
		switch {
		case g.Kind == OfVehicle && cabFirst:
			return 3
		case g.Kind == OfVehicle:
			return 0
		case g.Kind == OfDoor && !g.Opened:
			return 1
		}
		return 2
	}
	slices.SortStableFunc(groups, func(a, b DrawnGroup) int {
		if d := rank(&a) - rank(&b); d != 0 {
			return d
		}
		switch {
		case a.near > b.near:
			return -1
		case a.near < b.near:
			return 1
		}
		return a.number - b.number
	})
}

// screens are the rectangles of a thing that one cannot look through, small ones left out.
func screens(faces []face) []Rect {
	const least = 25
	var all []Rect
	for i := len(faces) - 1; i >= 0; i-- {
		f := &faces[i]
		if !f.square || !f.solid() || f.rect.wide() < least || f.rect.high() < least {
			continue
		}
		if !slices.ContainsFunc(all, f.rect.within) {
			all = append(all, f.rect)
		}
	}
	return all
}

// behind finds which edges of things lie behind something nearer, and what is not seen at all.
func behind(groups []DrawnGroup) {
	for i := range groups {
		g := &groups[i]
		if g.Kind == OfVehicle || g.Kind == OfDoor || g.Faded {
			continue
		}
		var nearer, told []Rect
		for k := i + 1; k < len(groups); k++ {
			if !groups[k].Rect.over(g.Rect) {
				continue
			}
			for _, r := range groups[k].screens {
				if r.over(g.Rect) {
					nearer = append(nearer, r)
					if groups[k].Kind != OfVehicle { // the cab is not looked through
						told = append(told, r)
					}
				}
			}
		}
		if g.over = nearer; len(nearer) == 0 {
			continue
		}
		r := g.Rect
		for _, edge := range [][4]float64{{r.U0, r.V0, r.U1, r.V0}, {r.U0, r.V1, r.U1, r.V1}, {r.U0, r.V0, r.U0, r.V1},
			{r.U1, r.V0, r.U1, r.V1}} {
			g.Behind += dashed(edge, told)
		}
		g.free = seen(r, nearer)
		g.Covered = g.free < 0.04
	}
}

// dashed writes the stretches of an edge that lie within rectangles.
func dashed(edge [4]float64, over []Rect) string {
	const hair = 1.0
	flat := edge[1] == edge[3]
	type stretch struct{ from, to float64 }
	var all []stretch
	for _, r := range over {
		from, to, at, low, high := edge[0], edge[2], edge[1], r.V0, r.V1
		least, most := r.U0, r.U1
		if !flat {
			from, to, at, low, high = edge[1], edge[3], edge[0], r.U0, r.U1
			least, most = r.V0, r.V1
		}
		if at <= low+hair || at >= high-hair {
			continue
		}
		if a, b := max(from, least), min(to, most); b-a > hair {
			all = append(all, stretch{a, b})
		}
	}
	slices.SortFunc(all, func(a, b stretch) int {
		if a.from < b.from {
			return -1
		}
		return 1
	})
	d := ""
	write := func(s stretch) {
		line := []float64{s.from, edge[1], s.to, edge[1]}
		if !flat {
			line = []float64{edge[0], s.from, edge[0], s.to}
		}
		out := append(figure([]byte{'M'}, line[0]), ' ')
		out = append(figure(out, line[1]), 'L')
		out = append(figure(out, line[2]), ' ')
		d += string(figure(out, line[3]))
	}
	for i := 0; i < len(all); {
		s := all[i]
		for i++; i < len(all) && all[i].from <= s.to+hair; i++ {
			s.to = max(s.to, all[i].to)
		}
		write(s)
	}
	return d
}

// seen is the share of a rectangle that others leave free, by a grid of places.
func seen(r Rect, over []Rect) float64 {
	const n = 12
	free := 0
	for i := range n {
		for k := range n {
			u, v := r.U0+r.wide()*(float64(i)+0.5)/n, r.V0+r.high()*(float64(k)+0.5)/n
			if !slices.ContainsFunc(
				over,
				func(o Rect) bool { return o.U0 <= u && u <= o.U1 && o.V0 <= v && v <= o.V1 },
			) {
				free++
			}
		}
	}
	return float64(free) / (n * n)
}

func rectangle(r Rect) string {
	d := append(figure([]byte{'M'}, r.U0), ' ')
	d = append(figure(d, r.V0), 'H')
	d = append(figure(d, r.U1), 'V')
	d = append(figure(d, r.V1), 'H')
	return string(append(figure(d, r.U0), 'Z'))
}

// Extent is the least rectangle around all that a wish shows from a stand, mm; the whole
// vehicle where everything is in focus.
func (s *Scene) Extent(stand Stand, w *DrawingWish) Rect {
	var all Rect
	first := true
	for i := range s.things {
		t := &s.things[i]
		if slices.Contains(w.Hidden, t.id) || !s.inFocus(t, w.Focus) || t.kind == OfVehicle && w.Focus != "" {
			continue
		}
		r, _, _ := stand.rect(around(t.solids))
		if first {
			all, first = r, false
		}
		all = all.around(r)
	}
	if stand != Above && w.Focus == "" {
		all.V0 = min(all.V0, 0)
	}
	return all
}

// Fit is a look from a stand that holds all that a wish shows, at a scale in mm of the vehicle
// for a unit of the paper, with a margin in units.
func (s *Scene) Fit(stand Stand, w *DrawingWish, scale, margin float64) Look {
	r := s.Extent(stand, w)
	return Look{Stand: stand, Scale: scale, Width: r.wide()/scale + 2*margin, Height: r.high()/scale + 2*margin,
		From: r.U0 - margin*scale, Ground: r.V1/scale + margin}
}
