package exchange

import (
	"bytes"
	_ "embed"
	"encoding/base64"
	"fmt"
	"html/template"
	"strings"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
)

//go:embed pack.html
var packPage string

// packTemplate escapes whatever a job says by where it stands in the page.
var packTemplate = template.Must(template.New("pack").Parse(packPage))

// WritePackHTML writes the customer's pack as one HTML file that needs nothing beside it: it opens on any phone, without
// a network. Its pictures are in it; it runs no script.
func WritePackHTML(j *fitout.Job, photos []PackPhoto) ([]byte, error) {
	p := report.PackOf(j)
	page := struct {
		report.Pack
		Drawings []template.URL
		Photos   []packShown
		Names    []signedShown
	}{Pack: p}
	for _, stand := range []draw.Stand{draw.Left, draw.Above} {
		drawing, err := WriteSVG(j, stand)
		if err != nil {
			return nil, err
		}
		page.Drawings = append(page.Drawings, inPage("image/svg+xml", drawing))
	}
	for _, photo := range photos {
		page.Photos = append(page.Photos, packShown{photo.Caption, inPage("image/jpeg", photo.JPEG)})
	}
	for i := range p.Signed {
		s := &p.Signed[i]
		shown := signedShown{
			Name:  s.Name,
			Role:  string(s.Role),
			On:    strings.Replace(s.On, "T", " ", 1),
			Other: s.Sum != p.Sum,
		}
		for _, stroke := range Strokes(s.Strokes) {
			var points []string
			for _, at := range stroke {
				points = append(points, fmt.Sprintf("%.1f,%.1f", at.X, at.Y))
			}
			shown.Lines = append(shown.Lines, strings.Join(points, " "))
		}
		page.Names = append(page.Names, shown)
	}
	var out bytes.Buffer
	err := packTemplate.Execute(&out, page)
	return out.Bytes(), err
}

type packShown struct {
	Caption string
	Data    template.URL
}

type signedShown struct {
	Name, Role, On string
	Other          bool
	Lines          []string
}

// inPage is a picture as it stands within a page. A picture of ours runs nothing.
func inPage(kind string, data []byte) template.URL {
	return template.URL("data:" + kind + ";base64," + base64.StdEncoding.EncodeToString(data))
}
