package draw

import (
	"slices"
	"strconv"

	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// face is a solid as a stand sees it.
type face struct {
	points    []shape.Flat // of the paper, mm
	rect      Rect
	near, far float64
	tone      shape.Tone
	thin, cut bool
	square    bool // its outline is its rectangle
}

// solid tells whether one cannot see through it.
func (f *face) solid() bool { return f.tone != shape.Open && f.tone != shape.Glass }

// flatten looks at solids from a stand; what is nearer than the plane of the cut goes.
func (s Stand) flatten(solids []shape.Prism, cut *float64) []face {
	faces := make([]face, 0, len(solids))
	for i := range solids {
		p := &solids[i]
		sliced := false
		if cut != nil {
			clipped, crossed, left := s.clip(*p, *cut)
			if !left {
				continue
			}
			p, sliced = &clipped, crossed
		}
		f := face{tone: p.Tone, thin: p.Thin, cut: sliced}
		box := p.Bounds()
		f.rect, f.near, f.far = s.rect(box)
		if p.Axis == s.axis() && !isBox(p) {
			f.points = make([]shape.Flat, len(p.Outline))
			for k, o := range p.Outline {
				u, v, _ := s.flat(p.Place(o))
				f.points[k] = shape.Flat{U: u, V: v}
			}
		} else {
			r := f.rect
			f.square = true
			f.points = []shape.Flat{{U: r.U0, V: r.V0}, {U: r.U1, V: r.V0}, {U: r.U1, V: r.V1}, {U: r.U0, V: r.V1}}
		}
		faces = append(faces, f)
	}
	slices.SortStableFunc(faces, func(a, b face) int {
		switch {
		case a.near > b.near:
			return -1
		case a.near < b.near:
			return 1
		}
		return 0
	})
	return hide(faces)
}

// isBox tells whether the outline of a prism is a rectangle along the axes.
func isBox(p *shape.Prism) bool {
	if len(p.Outline) != 4 {
		return false
	}
	for i, a := range p.Outline {
		if b := p.Outline[(i+1)%4]; a.U != b.U && a.V != b.V {
			return false
		}
	}
	return true
}

// hide leaves out what lies wholly behind one nearer square face; faces come from far to near.
func hide(faces []face) []face {
	kept := faces[:0:0]
	for i := range faces {
		f := &faces[i]
		hidden := false
		for k := i + 1; k < len(faces) && !hidden; k++ {
			n := &faces[k]
			hidden = n.square && n.solid() && f.rect.within(n.rect) && n.near < f.near
		}
		if !hidden {
			kept = append(kept, *f)
		}
	}
	return kept
}

// sliver is what a cut may leave of a solid that counts as nothing, mm.
const sliver = 0.01

// clip takes away what is nearer than a plane; crossed tells that the plane goes through it.
func (s Stand) clip(p shape.Prism, plane float64) (clipped shape.Prism, crossed, left bool) {
	low, high := s.reach(p.Bounds())
	keep := func(at float64) bool { return at >= plane }
	if !s.away() {
		keep = func(at float64) bool { return at <= plane }
	}
	switch {
	case keep(low) && keep(high):
		return p, false, true
	case !keep(low) && !keep(high), s.away() && high-plane < sliver, !s.away() && plane-low < sliver:
		return p, false, false
	}
	if p.Axis == s.axis() {
		if s.away() {
			p.From = plane
		} else {
			p.To = plane
		}
		return p, true, true
	}
	// Along another axis, the plane is a line through the outline.
	alongU := p.AcrossU() == s.axis()
	at := func(f shape.Flat) float64 {
		if alongU {
			return f.U
		}
		return f.V
	}
	var outline []shape.Flat
	for i, a := range p.Outline {
		b := p.Outline[(i+1)%len(p.Outline)]
		if keep(at(a)) {
			outline = append(outline, a)
		}
		if keep(at(a)) != keep(at(b)) {
			t := (plane - at(a)) / (at(b) - at(a))
			outline = append(outline, shape.Flat{U: a.U + t*(b.U-a.U), V: a.V + t*(b.V-a.V)})
		}
	}
	p.Outline, p.Round = outline, false
	return p, true, len(outline) > 2
}

// reach is from where to where a box goes along the axis of the view.
func (s Stand) reach(b fitout.Box) (low, high float64) {
	switch s.axis() {
	case shape.AxisX:
		return b.From.X, b.To.X
	case shape.AxisY:
		return b.From.Y, b.To.Y
	}
	return b.From.Z, b.To.Z
}

// DrawnPath is one or more outlines of the same look, drawn in the order of the list.
type DrawnPath struct {
	Tone shape.Tone `json:"tone" enum:"carcass,front,hardware,metal,glass,rubber,cloth,fluid,skin,plain,body,light,open"`
	Thin bool       `json:"thin" doc:"a detail"`
	Cut  bool       `json:"cut" doc:"the cutting plane goes through it"`
	D    string     `json:"d" doc:"as SVG writes it, mm across and up"`
}

// paths joins faces of one look that do not lie over each other.
func paths(faces []face) []DrawnPath {
	all := []DrawnPath{}
	var rects []Rect
	for i := range faces {
		f := &faces[i]
		join := false
		if n := len(all); n > 0 && all[n-1].Tone == f.tone && all[n-1].Thin == f.thin && all[n-1].Cut == f.cut {
			join = !slices.ContainsFunc(rects, f.rect.over)
		}
		if !join {
			all = append(all, DrawnPath{Tone: f.tone, Thin: f.thin, Cut: f.cut})
			rects = rects[:0]
		}
		last := &all[len(all)-1]
		last.D += outline(f.points)
		rects = append(rects, f.rect)
	}
	return all
}

func outline(points []shape.Flat) string {
	d := make([]byte, 0, 12*len(points)+2)
	for i, p := range points {
		if i == 0 {
			d = append(d, 'M')
		} else {
			d = append(d, 'L')
		}
		d = figure(d, p.U)
		d = append(d, ' ')
		d = figure(d, p.V)
	}
	return string(append(d, 'Z'))
}

// figure writes mm to a tenth.
func figure(d []byte, mm float64) []byte {
	tenths := int64(mm*10 + 0.5)
	if mm < 0 {
		tenths = int64(mm*10 - 0.5)
	}
	if tenths%10 == 0 {
		return strconv.AppendInt(d, tenths/10, 10)
	}
	return strconv.AppendFloat(d, float64(tenths)/10, 'f', 1, 64)
}

// Solids draws solids by themselves from a stand, and tells the rectangle that they take.
func Solids(stand Stand, solids []shape.Prism) ([]DrawnPath, Rect) {
	faces := stand.flatten(solids, nil)
	if len(faces) == 0 {
		return []DrawnPath{}, Rect{}
	}
	r := faces[0].rect
	for i := range faces {
		r = r.around(faces[i].rect)
	}
	return paths(faces), r
}
