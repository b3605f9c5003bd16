package exchange

import (
	"bytes"
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
)

// WriteDXF writes one view of a job as an ASCII DXF of release 12, which every
// drawing program and cutter reads: lines and texts on layers, in mm, 1:1.
func WriteDXF(j *fitout.Job, view View) ([]byte, error) {
	if err := checked(view); err != nil {
		return nil, err
	}
	d := draw(j, view)
	var out bytes.Buffer
	pair := func(code int, value string) { fmt.Fprintf(&out, "%d\r\n%s\r\n", code, value) }
	mm := func(code int, value float64) { pair(code, fmt.Sprintf("%.3f", value)) }
	low, high := d.extent()
	pair(0, "SECTION")
	pair(2, "HEADER")
	pair(9, "$ACADVER")
	pair(1, "AC1009")
	for _, corner := range []struct {
		name string
		at   point
	}{{"$EXTMIN", low}, {"$EXTMAX", high}} {
		pair(9, corner.name)
		mm(10, corner.at.u)
		mm(20, corner.at.v)
	}
	pair(0, "ENDSEC")
	pair(0, "SECTION")
	pair(2, "TABLES")
	pair(0, "TABLE")
	pair(2, "LAYER")
	layers := []layer{layerSpaces, layerModules, layerInside, layerMeasures}
	pair(70, fmt.Sprint(len(layers)))
	for k, l := range layers {
		pair(0, "LAYER")
		pair(2, string(l))
		pair(70, "0")
		pair(62, fmt.Sprint(k+1))
		pair(6, "CONTINUOUS")
	}
	pair(0, "ENDTAB")
	pair(0, "ENDSEC")
	pair(0, "SECTION")
	pair(2, "ENTITIES")
	for _, l := range d.lines {
		pair(0, "LINE")
		pair(8, string(l.layer))
		mm(10, l.from.u)
		mm(20, l.from.v)
		mm(11, l.to.u)
		mm(21, l.to.v)
	}
	for _, t := range d.labels {
		pair(0, "TEXT")
		pair(8, string(t.layer))
		mm(10, t.at.u)
		mm(20, t.at.v)
		mm(40, textHeight)
		pair(1, asciiText(t.text))
		pair(72, "1") // centred on the second point
		mm(11, t.at.u)
		mm(21, t.at.v)
	}
	pair(0, "ENDSEC")
	pair(0, "EOF")
	return out.Bytes(), nil
}

// asciiText keeps a text on one line of a file that knows no other letters than
// those of its code page: what is beyond is written as \U+XXXX.
func asciiText(text string) string {
	var out strings.Builder
	for _, r := range text {
		switch {
		case r == '\u202f' || r == '\u00a0' || r < ' ':
			out.WriteByte(' ')
		case r < 127:
			out.WriteRune(r)
		default:
			fmt.Fprintf(&out, "\\U+%04X", r)
		}
	}
	return out.String()
}
