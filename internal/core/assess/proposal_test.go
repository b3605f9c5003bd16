package assess

import (
	"context"
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// canopyJob is a ute with an empty, measured canopy that opens to both sides and
// to the rear, as three bays.
func canopyJob() fitout.Job {
	j := fitout.NewJob("canopy", "Canopy", fitout.AustraliaNZ)
	bay := func(id, name string, kind fitout.BayKind, y, width float64, face fitout.Face, gap fitout.Opening) fitout.Bay {
		gap.Face, gap.Hinge, gap.Swing = face, fitout.HingeTop, 90
		return fitout.Bay{ID: id, Name: name, Kind: kind, At: fitout.Point{X: 2200, Y: y, Z: 900}, Levelled: true,
			LengthLeft: 1900, LengthRight: 1900, WidthFront: width, WidthRear: width, HeightFront: 850, HeightRear: 850, Opening: gap, Obstacles: []fitout.Obstacle{}, Lockable: true, Sealed: true}
	}
	side := fitout.Opening{Width: 1800, Height: 800, Sill: 10}
	j.Vehicle.Bays = []fitout.Bay{
		bay("left", "Canopy left", fitout.BayCanopyLeft, -550, 650, fitout.FaceLeft, side),
		bay("middle", "Aisle", fitout.BayCanopyRear, 0, 440, fitout.FaceRear, fitout.Opening{Width: 430, Height: 800, Sill: 10}),
		bay("right", "Canopy right", fitout.BayCanopyRight, 550, 650, fitout.FaceRight, side),
	}
	j.Brief.Travellers = []fitout.Traveller{{ID: "ann", Name: "Ann", Kind: fitout.TravellerPerson, Mass: 70, Height: 1700, Serves: true}}
	return j
}

// stand adds a module to the job, on the floor of a bay's front left corner.
func stand(j *fitout.Job, id string, kind fitout.ModuleKind, faces fitout.Face, kg, l, w, h float64, bay string) {
	b := &j.Vehicle.Bays[0]
	for i := range j.Vehicle.Bays {
		if j.Vehicle.Bays[i].ID == bay {
			b = &j.Vehicle.Bays[i]
		}
	}
	m := &fitout.Module{Kind: kind, Faces: faces, Wall: fitout.NoMaterial, Runner: fitout.NoRunner, Stack: fitout.Beside, Cells: []fitout.Cell{}, Fixings: []fitout.Fixing{}, Latch: fitout.RatedLatch}
	if kind == fitout.Drawers {
		m.Wall, m.Panel, m.Runner, m.Cells = fitout.Plywood, 12, fitout.BallRunner, []fitout.Cell{{ID: "c", Name: "Drawer"}}
	}
	j.Variants[0].Items = append(j.Variants[0].Items, fitout.Item{
		ID: id, Name: "The " + id, Form: fitout.FormBox, Mass: kg, Source: fitout.DataSheet, Presence: fitout.Presence{Kind: fitout.Always}, Bay: bay,
		Size: fitout.Size{Length: l, Width: w, Height: h}, At: fitout.Point{X: b.At.X + l/2, Y: b.At.Y - b.WidthFront/2 + w/2, Z: b.At.Z + h/2}, Module: m,
	})
}

// twelve is a list of what a touring canopy carries, all of it put into one
// corner.
func twelve() fitout.Job {
	j := canopyJob()
	stand(&j, "fridge", fitout.FridgeSlide, fitout.FaceLeft, 52, 740, 480, 520, "left")
	stand(&j, "drawers", fitout.Drawers, fitout.FaceLeft, 60, 900, 600, 300, "left")
	stand(&j, "pantry", fitout.Pantry, fitout.FaceLeft, 40, 320, 560, 700, "left")
	stand(&j, "water", fitout.WaterTank, fitout.FaceNone, 75, 330, 420, 560, "left")
	stand(&j, "battery", fitout.BatteryBox, fitout.FaceTop, 30, 350, 200, 240, "left")
	stand(&j, "board", fitout.Board, fitout.FaceLeft, 12, 400, 120, 300, "left")
	stand(&j, "stove", fitout.PlainGear, fitout.FaceNone, 14, 400, 400, 300, "left")
	stand(&j, "tools", fitout.LiddedBox, fitout.FaceTop, 38, 500, 350, 250, "left")
	stand(&j, "swags", fitout.PlainGear, fitout.FaceNone, 22, 900, 400, 300, "left")
	stand(&j, "chairs", fitout.PlainGear, fitout.FaceNone, 16, 900, 150, 400, "left")
	stand(&j, "spares", fitout.PlainGear, fitout.FaceNone, 18, 400, 400, 250, "left")
	stand(&j, "recovery", fitout.PlainGear, fitout.FaceNone, 24, 400, 300, 250, "left")
	j.Brief.Gear = []fitout.Gear{{ID: "stove", Name: "Stove", Count: 1, Used: fitout.UsedOften}, {ID: "swags", Name: "Swags", Count: 1, Used: fitout.UsedDaily}}
	j.Variants[0].Stances = []fitout.Stance{{ID: "cook", Name: "Cook", Use: fitout.StanceCook, Open: []fitout.Opened{{Module: "fridge"}, {Module: "pantry"}, {Module: "drawers"}}}}
	return j
}

func TestTwelveModulesAreArrangedInAnEmptyCanopy(t *testing.T) {
	j := twelve()
	require.NoError(t, fitout.Validate(&j))
	require.Contains(t, rulesOf(&j), "parts-clash", "all of it stands in one corner")
	var shares []float64
	start := time.Now()
	got := Propose(context.Background(), &j, Wishes{Aims: []Aim{AimRear, AimSides}}, func(share float64) { shares = append(shares, share) })
	t.Logf("three arrangements of twelve modules in %v", time.Since(start))
	require.Empty(t, got.Impossible)
	require.GreaterOrEqual(t, len(got.Found), 3)
	assert.IsIncreasing(t, shares)
	for n, p := range got.Found {
		require.NoError(t, fitout.Validate(&p.Job))
		a := Of(&p.Job)
		for _, f := range a.Findings {
			if f.Subject.Kind == "module" {
				assert.NotEqual(t, fitout.Stop, f.Severity, f.Sentence)
			}
		}
		assert.NotEmpty(t, p.Sentence)
		assert.LessOrEqual(t, p.Score, p.Bound+1e-6)
		assert.Equal(t, a.Pads, p.Figures.Pads, "the pads agree")
		for _, other := range got.Found[:n] {
			differs := 0
			for i := range p.Job.ChosenVariant().Items {
				x, y := p.Job.ChosenVariant().Items[i], other.Job.ChosenVariant().Items[i]
				if x.At != y.At {
					differs++
				}
			}
			assert.GreaterOrEqual(t, differs, 2)
		}
		if n > 0 {
			assert.LessOrEqual(t, p.Score, got.Found[n-1].Score+1e-6, "the best comes first")
		}
	}
	// What comes first among the aims is what the arrangement is good at.
	heavy := Propose(context.Background(), &j, Wishes{Aims: []Aim{AimSides, AimLow}}, func(float64) {})
	require.NotEmpty(t, heavy.Found)
	assert.LessOrEqual(t, abs(heavy.Found[0].Figures.Sides), abs(got.Found[0].Figures.Sides)+5)
}

func TestWhatMakesItImpossibleIsNamed(t *testing.T) {
	j := twelve()
	stand(&j, "boat", fitout.PlainGear, fitout.FaceNone, 30, 2500, 300, 300, "left")
	got := Propose(context.Background(), &j, Wishes{}, func(float64) {})
	assert.Contains(t, got.Impossible, "The boat")

	j = canopyJob()
	j.Vehicle.Bays = j.Vehicle.Bays[:1]
	stand(&j, "fridge", fitout.FridgeSlide, fitout.FaceLeft, 52, 1000, 600, 520, "left")
	stand(&j, "drawers", fitout.Drawers, fitout.FaceLeft, 60, 1000, 600, 300, "left")
	got = Propose(context.Background(), &j, Wishes{}, func(float64) {})
	assert.Equal(t, "All of it does not fit at once, each with a free way to open. It would without one of these: the fridge, the drawers.", got.Impossible)

	j.Variants[0].Items = nil
	assert.Contains(t, Propose(context.Background(), &j, Wishes{}, func(float64) {}).Impossible, "Nothing can be placed")

	called, cancel := context.WithCancel(context.Background())
	cancel()
	j = twelve()
	assert.Equal(t, Proposals{Found: []Proposal{}}, Propose(called, &j, Wishes{}, func(float64) {}), "called off, it says nothing")
}

func rulesOf(j *fitout.Job) []string {
	var rules []string
	for _, f := range Of(j).Findings {
		rules = append(rules, f.Rule)
	}
	return rules
}

func TestVariantsAreBranchedVariedAndCompared(t *testing.T) {
	j := twelve()
	components := shop()
	branched, err := Branch(&j, "a", "With less")
	require.NoError(t, err)
	assert.Equal(t, "b", branched.Chosen)
	assert.Equal(t, "a", branched.Variants[1].From)
	branched.Variants[1].Items[0].Module.Travel = 99
	assert.NotEqual(t, 99.0, j.Variants[0].Items[0].Module.Travel, "the first does not change with it")
	_, err = Branch(&j, "z", "")
	assert.ErrorContains(t, err, "the id of a variant")

	upright, err := Vary(&branched, components, "fridge", "upright")
	require.NoError(t, err)
	assert.Equal(t, "With less, upright", upright.ChosenVariant().Name)
	assert.Equal(t, fitout.UprightFridge, upright.ChosenVariant().Items[0].Module.Kind)
	assert.Equal(t, branched.ChosenVariant().Items[0].Box().From.Z, upright.ChosenVariant().Items[0].Box().From.Z, "it stands on the same floor")

	foam, err := Vary(&upright, components, "material", "foam-core")
	require.NoError(t, err)
	assert.Equal(t, fitout.FoamCore, foam.ChosenVariant().Items[1].Module.Wall)
	_, err = Vary(&foam, components, "material", "foam-core")
	assert.ErrorContains(t, err, "changes nothing")
	_, err = Vary(&foam, components, "suspension", "airbags")
	assert.ErrorContains(t, err, "by hand")
	assert.NotEmpty(t, Ways(&j, components))

	figures := Compare(&foam, []string{"a", "c", "d"})
	require.Len(t, figures, 3)
	assert.Empty(t, figures[0].Differs)
	assert.Equal(t, "changed", figures[1].Differs[0].Kind)
	assert.Contains(t, figures[1].Differs[0].Text, "Upright fridge")
	assert.Greater(t, figures[2].Price, figures[1].Price, "foam-core is dearer than plywood")
	assert.Positive(t, figures[0].Litres)
	for _, f := range figures {
		chosen := foam
		chosen.Chosen = f.ID
		assert.Equal(t, Of(&chosen).Pads, f.Pads)
	}
}

func BenchmarkProposeTwelveModules(b *testing.B) {
	j := twelve()
	for b.Loop() {
		if len(Propose(context.Background(), &j, Wishes{}, func(float64) {}).Found) == 0 {
			b.Fatal(fmt.Errorf("nothing found"))
		}
	}
}
