package exchange

import (
	"cmp"
	"encoding/xml"
	"math"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/draw"
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
	for _, view := range draw.Stands {
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
		groups := map[string][]string{}
		for _, g := range svg.Groups {
			groups[g.ID] = g.Texts
		}
		for _, id := range []string{"VEHICLE", "SPACES", "MODULES", "NAMES", "MEASURES", "KEY"} {
			require.Contains(t, groups, id)
		}
		said := strings.Join(append(groups["NAMES"], groups["KEY"]...), "|")
		if view == draw.Behind {
			assert.Contains(t, said, "Slide-out kitchen", view)
		}
		assert.NotEmpty(t, groups["MEASURES"], "it is measured in")
	}
}

// The DXF is read back pair by pair; every module's box is in it, in mm, 1:1.
func TestDXFHasEveryModuleInMillimetres(t *testing.T) {
	j := pickup(t)
	data, err := WriteDXF(&j, draw.Above)
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
	// Kinds whose form is a box to its edges.
	whole := []fitout.ModuleKind{fitout.Drawers, fitout.Locker, fitout.LiddedBox}
	told := 0
	// What is seen of the front edge of a module and what is hidden of it are the whole edge.
	for _, item := range module.Placed(j.Variants[0].Items, nil, j.Build.Runners) {
		if item.Module == nil || !slices.Contains(whole, item.Module.Kind) {
			continue
		}
		told++
		b := item.Box()
		type stretch struct{ from, to float64 }
		var along []stretch
		for s := range segments {
			if math.Abs(s.x1-b.From.X) < 0.6 && math.Abs(s.x2-b.From.X) < 0.6 && max(s.y1, s.y2) > b.From.Y &&
				min(s.y1, s.y2) < b.To.Y {
				along = append(along, stretch{max(b.From.Y, min(s.y1, s.y2)), min(b.To.Y, max(s.y1, s.y2))})
			}
		}
		slices.SortFunc(along, func(a, b stretch) int { return cmp.Compare(a.from, b.from) })
		at, bare := b.From.Y, 0.0
		for _, s := range along {
			bare += max(0, s.from-at)
			at = max(at, s.to)
		}
		bare += b.To.Y - at
		assert.Less(t, bare, 5.0, "the front edge of %s", item.Name)
	}
	assert.Positive(t, told)
}

func TestAViewThatIsNoneIsRefused(t *testing.T) {
	j := pickup(t)
	_, err := WriteSVG(&j, "below")
	assert.ErrorContains(t, err, "left, right, behind, ahead or above")
	_, err = WriteDXF(&j, "below")
	assert.ErrorContains(t, err, "left, right, behind, ahead or above")
}
