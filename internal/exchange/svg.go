package exchange

import (
	"bytes"
	"encoding/xml"
	"fmt"

	"zaino/internal/core/fitout"
)

// paper is the scale of drawings on paper, 1:10.
const paper = 10

// WriteSVG writes one view of a job as a drawing to scale: 1:10 on paper, its
// units are mm of the vehicle.
func WriteSVG(j *fitout.Job, view View) ([]byte, error) {
	if err := checked(view); err != nil {
		return nil, err
	}
	d := draw(j, view)
	low, high := d.extent()
	const margin = 160
	left, width, height := low.u-margin, high.u-low.u+2*margin, high.v-low.v+2*margin
	y := func(v float64) float64 { return high.v + margin - v }
	var out bytes.Buffer
	fmt.Fprintf(&out, `<svg xmlns="http://www.w3.org/2000/svg" width="%.2fmm" height="%.2fmm" viewBox="%.1f 0 %.1f %.1f" font-family="sans-serif" font-size="%.0f">`+"\n",
		width/paper, height/paper, left, width, height, textHeight)
	fmt.Fprintf(&out, "<title>%s</title>\n", escaped(d.title))
	styles := map[layer]string{
		layerSpaces:  `stroke="#1d5a54" stroke-width="5" stroke-dasharray="24 12"`,
		layerModules: `stroke="#1d2b2a" stroke-width="4"`,
		layerInside:  `stroke="#3d5c50" stroke-width="2"`, layerMeasures: `stroke="#4c5957" stroke-width="1.5"`,
	}
	for _, l := range []layer{layerSpaces, layerModules, layerInside, layerMeasures} {
		fmt.Fprintf(&out, `<g id="%s" fill="none" %s>`+"\n", l, styles[l])
		for _, s := range d.lines {
			if s.layer == l {
				fmt.Fprintf(&out, `<path d="M%.1f %.1fL%.1f %.1f"/>`+"\n", s.from.u, y(s.from.v), s.to.u, y(s.to.v))
			}
		}
		for _, t := range d.labels {
			if t.layer == l {
				fmt.Fprintf(&out, `<text x="%.1f" y="%.1f" text-anchor="middle" fill="#1d2b2a" stroke="none">%s</text>`+"\n",
					t.at.u, y(t.at.v)+textHeight/3, escaped(t.text))
			}
		}
		out.WriteString("</g>\n")
	}
	fmt.Fprintf(&out, `<text x="%.1f" y="%.1f">%s, 1:%d on paper</text>`+"\n</svg>\n", left+20, height-20,
		escaped(d.title), paper)
	return out.Bytes(), nil
}

func escaped(text string) string {
	var out bytes.Buffer
	_ = xml.EscapeText(&out, []byte(text)) // a buffer takes everything
	return out.String()
}
