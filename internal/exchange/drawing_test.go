package exchange

import (
	"encoding/xml"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/demo"
)

func pickup(t *testing.T) fitout.Job {
	t.Helper()
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	jobs[2].Name = `Queens & "pass" <1>`
	return jobs[2]
}

func TestSVGIsWellFormedAndToScale(t *testing.T) {
	j := pickup(t)
	for _, view := range []View{SideView, PlanView, RearView} {
		data, err := WriteSVG(&j, view)
		require.NoError(t, err)
		var svg struct {
			Width   string `xml:"width,attr"`
			ViewBox string `xml:"viewBox,attr"`
			Title   string `xml:"title"`
			Groups  []struct {
				ID    string   `xml:"id,attr"`
				Texts []string `xml:"text"`
			} `xml:"g"`
		}
		require.NoError(t, xml.Unmarshal(data, &svg))
		assert.Contains(t, svg.Title, j.Name)
		mm, err := strconv.ParseFloat(strings.TrimSuffix(svg.Width, "mm"), 64)
		require.NoError(t, err)
		box, err := strconv.ParseFloat(strings.Fields(svg.ViewBox)[2], 64)
		require.NoError(t, err)
		assert.InDelta(t, box/10, mm, 0.01, "1:10 on paper")
		require.Len(t, svg.Groups, 4)
		assert.Contains(t, svg.Groups[1].Texts, "Slide-out kitchen frame")
		assert.NotEmpty(t, svg.Groups[3].Texts, "it is measured in")
	}
}

// The DXF is read back pair by pair; every module's box is in it, in mm, 1:1.
func TestDXFHasEveryModuleInMillimetres(t *testing.T) {
	j := pickup(t)
	data, err := WriteDXF(&j, PlanView)
	require.NoError(t, err)
	rows := strings.Split(strings.TrimSuffix(string(data), "\r\n"), "\r\n")
	require.Zero(t, len(rows)%2)
	type segment struct{ x1, y1, x2, y2 float64 }
	segments := map[segment]bool{}
	entity, current := "", segment{}
	for k := 0; k < len(rows); k += 2 {
		code, err := strconv.Atoi(rows[k])
		require.NoError(t, err, "a group code: %q", rows[k])
		value, _ := strconv.ParseFloat(rows[k+1], 64)
		switch code {
		case 0:
			if entity == "LINE" {
				segments[current] = true
			}
			entity = rows[k+1]
		case 10:
			current.x1 = value
		case 20:
			current.y1 = value
		case 11:
			current.x2 = value
		case 21:
			current.y2 = value
		}
		for _, r := range rows[k+1] {
			assert.Less(t, r, rune(127))
		}
	}
	assert.Equal(t, "EOF", rows[len(rows)-1])
	round := func(mm float64) float64 {
		v, _ := strconv.ParseFloat(strconv.FormatFloat(mm, 'f', 3, 64), 64)
		return v
	}
	for _, item := range module.Placed(j.Variants[0].Items, nil) {
		if item.Module == nil {
			continue
		}
		b := item.Box()
		assert.True(t, segments[segment{round(b.From.X), round(b.From.Y), round(b.From.X), round(b.To.Y)}],
			"the front edge of %s", item.Name)
	}
}

func TestAViewThatIsNoneIsRefused(t *testing.T) {
	j := pickup(t)
	_, err := WriteSVG(&j, "below")
	assert.ErrorContains(t, err, "side, plan or rear")
	_, err = WriteDXF(&j, "below")
	assert.ErrorContains(t, err, "side, plan or rear")
}
