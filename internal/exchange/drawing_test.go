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
	"pgregory.net/rapid"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/shape"
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
			Height  string `xml:"height,attr"`
			Groups  []struct {
				ID    string   `xml:"id,attr"`
				Texts []string `xml:"text"`
				Parts []struct {
					ID string `xml:"id,attr"`
				} `xml:"g"`
			} `xml:"g"`
		}
		require.NoError(t, xml.Unmarshal(data, &svg))
		assert.Contains(t, svg.Title, j.Name)
		mm, err := strconv.ParseFloat(strings.TrimSuffix(svg.Width, "mm"), 64)
		require.NoError(t, err)
		box, err := strconv.ParseFloat(strings.Fields(svg.ViewBox)[2], 64)
		require.NoError(t, err)
		assert.InDelta(t, box/10, mm, 0.01, "1:10 on paper")
		high, err := strconv.ParseFloat(strings.TrimSuffix(svg.Height, "mm"), 64)
		require.NoError(t, err)
		assert.Contains(t, isoSheets, [2]float64{min(mm, high), max(mm, high)}, "a sheet that can be bought")
		groups, ids := map[string][]string{}, map[string]bool{}
		for _, g := range svg.Groups {
			groups[g.ID] = g.Texts
			for _, part := range g.Parts {
				assert.NotEmpty(t, part.ID)
				assert.False(t, ids[part.ID], "an id twice: %s", part.ID)
				ids[part.ID] = true
			}
		}
		for _, item := range j.Variants[0].Items {
			if item.Module != nil && item.In == nil {
				assert.Contains(t, ids, "part-"+item.ID, item.Name)
			}
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

// segment is a straight stretch of a drawing that was read back.
type segment struct{ x1, y1, x2, y2 float64 }

// readDXF reads a drawing pair by pair: its stretches by layer, the kind of line of each layer, its header.
func readDXF(
	t *testing.T,
	data []byte,
) (stretches map[string][]segment, kinds, header map[string]string, closed int) {
	t.Helper()
	rows := strings.Split(strings.TrimSuffix(string(data), "\r\n"), "\r\n")
	require.Zero(t, len(rows)%2)
	stretches, kinds, header = map[string][]segment{}, map[string]string{}, map[string]string{}
	var points [][2]float64
	entity, layer, ring, named := "", "", false, ""
	var x, y, x2, y2 float64
	finish := func() {
		switch entity {
		case "LINE":
			stretches[layer] = append(stretches[layer], segment{x, y, x2, y2})
		case "VERTEX":
			points = append(points, [2]float64{x, y})
		case "SEQEND":
			for i := range points {
				next := (i + 1) % len(points)
				if next > 0 || ring {
					stretches[layer] = append(
						stretches[layer],
						segment{points[i][0], points[i][1], points[next][0], points[next][1]},
					)
				}
			}
			if ring {
				closed++
			}
			points = nil
		}
	}
	for k := 0; k < len(rows); k += 2 {
		code, err := strconv.Atoi(rows[k])
		require.NoError(t, err, "a group code: %q", rows[k])
		text := rows[k+1]
		value, _ := strconv.ParseFloat(text, 64)
		for _, r := range text {
			assert.Less(t, r, rune(127))
		}
		switch code {
		case 0:
			finish()
			entity = text
		case 2:
			named = text
		case 6:
			kinds[named] = text
		case 8:
			layer = text
		case 9:
			named = text
		case 70:
			if strings.HasPrefix(named, "$") && entity == "SECTION" {
				header[named] = text
			}
			if entity == "POLYLINE" {
				ring = text == "1"
			}
		case 10:
			x = value
		case 20:
			y = value
		case 11:
			x2 = value
		case 21:
			y2 = value
		}
	}
	assert.Equal(t, "EOF", rows[len(rows)-1])
	return stretches, kinds, header, closed
}

// Every stretch of every view lies there once, has a length, and is on the layer of its kind, with its kind of line.
func TestDXFDrawsNothingTwice(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for _, j := range jobs {
		for _, stand := range draw.Stands {
			data, err := WriteDXF(&j, stand)
			require.NoError(t, err)
			stretches, kinds, header, closed := readDXF(t, data)
			assert.Equal(t, "4", header["$INSUNITS"], "millimetres")
			assert.Equal(
				t,
				[]string{"HIDDEN", "DASHED", "CONTINUOUS"},
				[]string{kinds["HIDDEN"], kinds["SPACES"], kinds["MODULES"]},
			)
			assert.Positive(t, closed, "outlines are closed")
			assert.NotEmpty(t, stretches["VEHICLE"])
			assert.NotEmpty(t, append(stretches["MODULES"], stretches["HIDDEN"]...))
			seen := map[segment]string{}
			for layer, all := range stretches {
				assert.Contains(t, kinds, layer)
				for _, s := range all {
					assert.NotEqual(t, [2]float64{s.x1, s.y1}, [2]float64{s.x2, s.y2}, "a stretch without a length")
					if s.x1 > s.x2 || s.x1 == s.x2 && s.y1 > s.y2 {
						s = segment{s.x2, s.y2, s.x1, s.y1}
					}
					assert.NotContains(t, seen, s, "on %s, and on %s", layer, seen[s])
					seen[s] = layer
				}
			}
			assert.Contains(t, string(data), asciiText(j.Name), "it says what it is of")
		}
	}
}

// Whatever lines there are, chains have each of them once.
func TestChainsKeepEveryLineOnce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		place := rapid.Custom(func(t *rapid.T) shape.Flat {
			return shape.Flat{
				U: float64(rapid.IntRange(0, 3).Draw(t, "u")),
				V: float64(rapid.IntRange(0, 3).Draw(t, "v")),
			}
		})
		layers := make([][]line, 2)
		want := map[edge]bool{}
		for k := range layers {
			for range rapid.IntRange(0, 14).Draw(t, "lines") {
				l := line{from: place.Draw(t, "from"), to: place.Draw(t, "to")}
				layers[k] = append(layers[k], l)
				if e, long := edgeOf(&l); long {
					want[e] = true
				}
			}
		}
		got := map[edge]bool{}
		for _, all := range chains(layers) {
			for _, c := range all {
				n := len(c.points) - 1
				if c.closed {
					n++
				}
				for i := range n {
					e, long := edgeOf(&line{from: c.points[i], to: c.points[(i+1)%len(c.points)]})
					require.True(t, long)
					require.False(t, got[e], "twice")
					got[e] = true
				}
			}
		}
		require.Equal(t, want, got)
	})
}

func TestARectangleIsOneClosedOutline(t *testing.T) {
	var d drawing
	d.polygon(layerSpaces, []shape.Flat{{}, {U: 40}, {U: 40, V: 30}, {V: 30}})
	all := chains([][]line{d.lines})
	require.Len(t, all[0], 1)
	assert.True(t, all[0][0].closed)
	assert.Len(t, all[0][0].points, 4)
}

// Every module's box is in it, in mm, 1:1.
func TestDXFHasEveryModuleInMillimetres(t *testing.T) {
	j := pickup(t)
	data, err := WriteDXF(&j, draw.Above)
	require.NoError(t, err)
	stretches, _, _, _ := readDXF(t, data)
	segments := map[segment]bool{}
	for _, all := range stretches {
		for _, s := range all {
			segments[s] = true
		}
	}
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
