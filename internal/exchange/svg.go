package exchange

import (
	"bytes"
	"encoding/xml"
	"fmt"
	"regexp"
	"strings"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/shape"
)

// isoSheets are the sheets that there are, A4 to A0, mm, the short side first.
var isoSheets = [][2]float64{{210, 297}, {297, 420}, {420, 594}, {594, 841}, {841, 1189}}

// paperFor is the smallest sheet that a drawing goes on at 1:10, else at the next scale, and that scale; mm of the
// vehicle go in, mm of paper come out.
func paperFor(width, height float64) (wide, high, scale float64) {
	for _, scale = range []float64{10, 20, 50, 100} {
		for _, p := range isoSheets {
			for _, way := range [][2]float64{{p[1], p[0]}, p} {
				if width <= way[0]*scale && height <= way[1]*scale {
					return way[0], way[1], scale
				}
			}
		}
	}
	return width / scale, height / scale, scale
}

// tones are the fills of a drawing on paper.
var tones = map[shape.Tone]string{
	shape.Carcass: "#e7d9bd", shape.Front: "#d5e3d9", shape.Hardware: "#56666a", shape.Metal: "#dde2e3",
	shape.Glass: "#dbe7ea", shape.Rubber: "#3a4447", shape.Cloth: "#d9d3e2", shape.Fluid: "#9cc6dd",
	shape.Skin: "#e8cdb8", shape.Plain: "#eef0e6", shape.Body: "#f7f4ec", shape.Light: "#f2d98b", shape.Open: "none",
}

// WriteSVG writes one view of a job as a drawing to scale on a sheet that exists, 1:10 where it goes on one; its
// units are mm of the vehicle. Each part is a group with its id.
func WriteSVG(j *fitout.Job, stand draw.Stand) ([]byte, error) {
	if err := checked(stand); err != nil {
		return nil, err
	}
	d := drawn(j, stand)
	keyRows := (len(d.key) + 2) / 3
	const margin, rowHigh = 60.0, 40.0
	width := max(d.look.Width*d.look.Scale, 2600)
	height := d.look.Height*d.look.Scale + float64(keyRows)*rowHigh + 120
	wide, high, scale := paperFor(width, height)
	left, top := d.look.From-(wide*scale-width)/2, d.look.Ground*d.look.Scale
	width, height = wide*scale, high*scale
	y := func(v float64) float64 { return top - v }
	var out bytes.Buffer
	fmt.Fprintf(
		&out,
		`<svg xmlns="http://www.w3.org/2000/svg" width="%.0fmm" height="%.0fmm" viewBox="%.1f 0 %.1f %.1f" font-family="sans-serif" font-size="%.0f">`+"\n",
		wide,
		high,
		left,
		width,
		height,
		textHeight,
	)
	fmt.Fprintf(&out, "<title>%s</title>\n", escaped(d.title))
	fmt.Fprintf(&out, `<rect x="%.1f" y="0" width="%.1f" height="%.1f" fill="#fff"/>`+"\n", left, width, height)
	parts := map[string]int{}
	named := func(g *draw.DrawnGroup) string { // a thing that is drawn in several groups has a number behind its id
		id := "part-" + strings.Trim(partID.ReplaceAllString(g.ID, "-"), "-")
		if parts[id]++; parts[id] > 1 {
			return fmt.Sprintf("%s.%d", id, parts[id])
		}
		return id
	}
	things := func(id string, vehicle bool) {
		fmt.Fprintf(
			&out,
			`<g id="%s" transform="matrix(1 0 0 -1 0 %.1f)" stroke="#27383a" stroke-width="3" stroke-linejoin="round">`+"\n",
			id,
			top,
		)
		for i := range d.view.Groups {
			g := &d.view.Groups[i]
			if (i == 0 && g.Kind == draw.OfVehicle) != vehicle { // unless the cab stands before all
				continue
			}
			fmt.Fprintf(&out, `<g id="%s" class="%s"%s>`+"\n", named(g), g.Kind, workLine(g))
			if g.Name != "" {
				fmt.Fprintf(&out, "<title>%s</title>\n", escaped(g.Name))
			}
			for _, p := range g.Paths {
				if g.Covered {
					break
				}
				thin := ""
				if p.Thin {
					thin = ` stroke-width="1.5"`
				}
				fill := tones[p.Tone]
				if g.Absent {
					fill = "none"
				}
				fmt.Fprintf(&out, `<path fill="%s"%s d="%s"/>`+"\n", fill, thin, p.D)
			}
			out.WriteString("</g>\n")
		}
		out.WriteString("</g>\n")
	}
	marks := func(l layer, style string) {
		fmt.Fprintf(&out, `<g id="%s" fill="none" %s>`+"\n", l, style)
		for _, s := range d.lines {
			if s.layer == l {
				fmt.Fprintf(&out, `<path d="M%.1f %.1fL%.1f %.1f"/>`+"\n", s.from.U, y(s.from.V), s.to.U, y(s.to.V))
			}
		}
		for _, t := range d.labels {
			if t.layer == l {
				fmt.Fprintf(
					&out,
					`<text x="%.1f" y="%.1f" text-anchor="middle" fill="#1d2b2a" stroke="none">%s</text>`+"\n",
					t.at.U,
					y(t.at.V)+textHeight/3,
					escaped(t.text),
				)
			}
		}
		out.WriteString("</g>\n")
	}
	things(string(layerVehicle), true)
	marks(layerSpaces, `stroke="#1d5a54" stroke-width="5" stroke-dasharray="24 12"`)
	things(string(layerModules), false)
	fmt.Fprintf(
		&out,
		`<g id="%s" transform="matrix(1 0 0 -1 0 %.1f)" fill="none" stroke="#27383a" stroke-width="1.5" `+
			`stroke-opacity="0.6" stroke-dasharray="12 8">`+"\n",
		layerHidden,
		top,
	)
	for i := range d.view.Groups {
		if behind := d.view.Groups[i].Behind; behind != "" {
			fmt.Fprintf(&out, `<path d="%s"/>`+"\n", behind)
		}
	}
	out.WriteString("</g>\n")
	d.svgNames(&out, y)
	marks(layerMeasures, `stroke="#4c5957" stroke-width="1.5"`)
	fmt.Fprintf(&out, `<g id="KEY" fill="#1d2b2a">`+"\n")
	for i, k := range d.key {
		fmt.Fprintf(
			&out,
			`<text x="%.1f" y="%.1f">%d  %s</text>`+"\n",
			left+margin+float64(i/keyRows)*(width-2*margin)/3,
			d.look.Height*d.look.Scale+rowHigh*float64(i%keyRows+1),
			k.Number,
			escaped(k.Name),
		)
	}
	out.WriteString("</g>\n")
	fmt.Fprintf(&out, `<text x="%.1f" y="%.1f">%s, 1:%.0f on paper</text>`+"\n</svg>\n", left+20, height-20,
		escaped(d.title), scale)
	return out.Bytes(), nil
}

// workLine is the line by which a drawing tells who makes a thing: thin for what is there
// already, dashed for later, dash and dot for others.
func workLine(g *draw.DrawnGroup) string {
	if g.Absent { // not aboard in the state shown: dotted, and one looks through it
		return ` stroke-width="1.5" stroke-dasharray="4 10"`
	}
	switch g.Work {
	case fitout.WorkExisting:
		return ` stroke-width="1.5"`
	case fitout.WorkLater:
		return ` stroke-dasharray="24 12" fill-opacity="0.4"`
	case fitout.WorkOthers:
		return ` stroke-dasharray="30 9 6 9" fill-opacity="0.7"`
	}
	return ""
}

// svgNames writes the names, and the numbers of the key in balloons.
func (d *drawing) svgNames(out *bytes.Buffer, y func(float64) float64) {
	fmt.Fprintf(
		out,
		`<g id="%s" fill="#1d2b2a" paint-order="stroke" stroke="#fdfbf6" stroke-width="6">`+"\n",
		layerNames,
	)
	const line = 12 * textHeight / 11
	for i := range d.view.Groups {
		l := d.view.Groups[i].Label
		if l == nil {
			continue
		}
		for k, text := range l.Lines {
			fmt.Fprintf(out, `<text x="%.1f" y="%.1f">%s</text>`+"\n", l.U, y(l.V)+line*float64(k), escaped(text))
		}
		if len(l.Lines) > 0 {
			continue
		}
		if len(l.Leader) == 2 {
			fmt.Fprintf(
				out,
				`<path stroke="#1d2b2a" stroke-width="2" d="M%.1f %.1fL%.1f %.1f"/>`+"\n",
				l.U,
				y(l.V),
				l.Leader[0],
				y(l.Leader[1]),
			)
		}
		fmt.Fprintf(
			out,
			`<rect x="%.1f" y="%.1f" width="44" height="34" rx="17" fill="#fdfbf6" stroke="#1d2b2a" stroke-width="2"/>`+
				`<text x="%.1f" y="%.1f" text-anchor="middle" stroke="none">%d</text>`+"\n",
			l.U-22,
			y(l.V)-17,
			l.U,
			y(l.V)+9,
			l.Number,
		)
	}
	out.WriteString("</g>\n")
}

// partID are the characters that an id of a group does not have.
var partID = regexp.MustCompile(`[^A-Za-z0-9_-]+`)

func escaped(text string) string {
	var out bytes.Buffer
	_ = xml.EscapeText(&out, []byte(text)) // a buffer takes everything
	return out.String()
}
