package exchange

import (
	"bytes"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/shape"
	"zaino/internal/demo"
)

// A sheet goes on each paper at a standard scale; the paper is as large as it says, and what
// would not go on it at a scale is refused with what would.
func TestASheetGoesOnItsPaperToScale(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	boxes := map[Paper]string{A4: "841.89", A3: "1190.55", Letter: "792.00"}
	for i := range jobs {
		j := &jobs[i]
		for paper, wide := range boxes {
			data, err := WriteSheetPDF(j, &SheetWish{Paper: paper, Date: "2031-05-04", Who: "Bench two"})
			require.NoError(t, err)
			assert.True(t, bytes.HasPrefix(data, []byte("%PDF-")) && bytes.Contains(data, []byte("%%EOF")))
			assert.Contains(t, string(data), wide, "%s is as wide as it is", paper)
		}
		for b := range j.Vehicle.Bays {
			bay := &j.Vehicle.Bays[b]
			_, err := WriteSheetPDF(
				j,
				&SheetWish{Paper: A4, Focus: bay.ID, Stands: []draw.Stand{draw.Before(bay.Opening.Face)}},
			)
			require.NoError(t, err, bay.Name)
		}
	}
	_, err = WriteSheetPDF(&jobs[0], &SheetWish{Paper: A4, Scale: 5})
	assert.ErrorContains(t, err, "a smaller scale, a larger paper, or fewer views")
	_, err = WriteSheetPDF(&jobs[0], &SheetWish{Paper: "b5"})
	assert.ErrorContains(t, err, "a4, a3 or letter")
	_, err = WriteSheetPDF(&jobs[0], &SheetWish{Paper: A4, Focus: "gone"})
	assert.ErrorContains(t, err, "the id of a space or a part")
	_, err = WriteSheetPDF(&jobs[0], &SheetWish{Paper: A4, Stands: []draw.Stand{"below"}})
	assert.ErrorContains(t, err, "left, right, behind, ahead or above")
}

// The scale that a sheet says is that of its views: the wheelbase is as long on paper.
func TestTheLargestScaleThatFitsIsTaken(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	scene := draw.SceneOf(plan.Of(&jobs[0]), "", nil)
	stands := []draw.Stand{draw.Left, draw.Behind, draw.Above}
	room := [2]float64{297 - 20 - keyWide, 210 - 20 - titleHigh - 4}
	scale, err := scaleFor(scene, stands, &draw.DrawingWish{}, room, 0)
	require.NoError(t, err)
	assert.Contains(t, scales, scale)
	for _, larger := range scales {
		if larger < scale {
			_, err := scaleFor(scene, stands, &draw.DrawingWish{}, room, larger)
			assert.Error(t, err, "1:%g would be larger", larger)
		}
	}
}

// golden draws solids from three sides as a small SVG, to be looked at and kept.
func golden(solids []shape.Prism, open []shape.Prism) string {
	var out strings.Builder
	at := 0.0
	body := ""
	high := 0.0
	for _, set := range [][]shape.Prism{solids, open} {
		if set == nil {
			continue
		}
		for _, stand := range []draw.Stand{draw.Left, draw.Behind, draw.Above} {
			paths, r := draw.Solids(stand, set)
			body += fmt.Sprintf(`<g transform="matrix(1 0 0 -1 %.0f %.0f)">`+"\n", at-r.U0+20, r.V1+20)
			for _, p := range paths {
				body += fmt.Sprintf(`<path fill="%s" stroke="#27383a" stroke-width="%s" d="%s"/>`+"\n", tones[p.Tone],
					map[bool]string{true: "1.5", false: "3"}[p.Thin], p.D)
			}
			body += "</g>\n"
			at += r.U1 - r.U0 + 60
			high = max(high, r.V1-r.V0)
		}
	}
	fmt.Fprintf(
		&out,
		`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %.0f %.0f">`+"\n%s</svg>\n",
		at,
		high+40,
		body,
	)
	return out.String()
}

// TestFormsAreThoseThatWereLookedAt holds every family and body class against the picture that
// was reviewed. A form that is changed on purpose is drawn anew with ZAINO_GOLDEN=1, and
// looked at.
func TestFormsAreThoseThatWereLookedAt(t *testing.T) {
	pictures := map[string]string{}
	for _, spec := range module.Specs {
		item := fitout.Item{ID: "a", Name: "Part", Size: fitout.Size{Length: 700, Width: 500, Height: 400},
			At: fitout.Point{X: 350, Y: 250, Z: 200}, Module: &fitout.Module{Kind: spec.Kind, Faces: fitout.FaceRear,
				Wall: fitout.Plywood, Panel: 12, Runner: fitout.BallRunner, Stack: fitout.Above}}
		if spec.Holds {
			item.Module.Cells = []fitout.Cell{{ID: "a", Name: "One"}, {ID: "b", Name: "Two"}}
		}
		if spec.Form == fitout.FormTank {
			item.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: 60, Now: 40, Density: 1}}
		}
		form := shape.Of(&item)
		var open []shape.Prism
		if len(form.Leaves) > 0 {
			open = form.Solids(func(string) float64 { return 1 })
		}
		pictures[string(spec.Kind)] = golden(form.Solids(nil), open)
	}
	for name, form := range map[string]fitout.Form{"Person": fitout.FormPerson, "Dog": fitout.FormAnimal,
		"Spare": fitout.FormWheel, "Bedding": fitout.FormSoft, "Gas bottle": fitout.FormBox, "Roof tent": fitout.FormBox,
		"Awning": fitout.FormBox, "Ladder": fitout.FormBox, "Fuel can": fitout.FormBox, "Solar panel": fitout.FormBox,
		"Canopy": fitout.FormBox} {
		item := fitout.Item{ID: "a", Name: name, Form: form, Size: fitout.Size{Length: 900, Width: 450, Height: 700},
			At: fitout.Point{X: 450, Y: 225, Z: 350}}
		part := shape.Of(&item)
		pictures["gear-"+strings.ReplaceAll(strings.ToLower(name), " ", "-")] = golden(part.Solids(nil), nil)
	}
	for _, body := range []fitout.Body{fitout.BodyWagon, fitout.BodyTub, fitout.BodyTray} {
		v := fitout.Vehicle{TrackFront: 1580, TrackRear: 1580, TyreRadius: 390, Wheelbase: 3100,
			Hitch: fitout.Hitch{Overhang: 1150, Height: 450}, Outline: fitout.Outline{Body: body, FrontOverhang: 900,
				RearOverhang: 1100, Height: 1850, Width: 1880, BonnetHeight: 1150, CabFront: 430, CabRear: 2110, Headboard: 2200,
				FloorHeight: 860, SillHeight: 470}}
		part := shape.OfVehicle(&v, v.Wheelbase)
		pictures["body-"+string(body)] = golden(part.Solids(nil), nil)
	}
	folder := filepath.Join("testdata", "forms")
	if os.Getenv("ZAINO_GOLDEN") != "" {
		require.NoError(t, os.MkdirAll(folder, 0o755))
	}
	for name, picture := range pictures {
		path := filepath.Join(folder, name+".svg")
		if os.Getenv("ZAINO_GOLDEN") != "" {
			require.NoError(t, os.WriteFile(path, []byte(picture), 0o644))
		}
		kept, err := os.ReadFile(path)
		require.NoError(t, err, "a family without a picture: ZAINO_GOLDEN=1 draws it")
		assert.Equal(t, string(kept), picture, "%s is drawn otherwise than it was looked at", name)
		assert.Less(t, len(picture), 60_000, "%s is small enough to be reviewed", name)
	}
}
