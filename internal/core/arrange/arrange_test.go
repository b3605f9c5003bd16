package arrange_test

import (
	"context"
	"fmt"
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/arrange"
	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
	"zaino/internal/example"
)

func TestTwelveModulesAreArrangedInAnEmptyCanopy(t *testing.T) {
	j := example.Twelve()
	require.NoError(t, fitout.Validate(&j))
	require.Contains(t, rulesOf(&j), "parts-clash", "all of it stands in one corner")
	var shares []float64
	start := time.Now()
	got := arrange.Propose(context.Background(), &j,
		arrange.Wishes{Aims: []arrange.Aim{arrange.AimRear, arrange.AimSides}}, func(share float64) {
			shares = append(shares, share)
		})
	t.Logf("three arrangements of twelve modules in %v", time.Since(start))
	require.Empty(t, got.Impossible)
	require.GreaterOrEqual(t, len(got.Found), 3)
	assert.IsIncreasing(t, shares)
	for n, p := range got.Found {
		require.NoError(t, fitout.Validate(&p.Job))
		a := assess.Of(&p.Job)
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
	heavy := arrange.Propose(context.Background(), &j,
		arrange.Wishes{Aims: []arrange.Aim{arrange.AimSides, arrange.AimLow}}, func(float64) {})
	require.NotEmpty(t, heavy.Found)
	assert.LessOrEqual(t, math.Abs(heavy.Found[0].Figures.Sides), math.Abs(got.Found[0].Figures.Sides)+5)
}

// Twelve modules in a canopy are searched to the end, whatever is wished for first: each proposal is the best of those that
// differ so much, and its bound says so.
func TestTwelveModulesAreSearchedToTheEnd(t *testing.T) {
	for _, aims := range [][]arrange.Aim{
		{}, {arrange.AimSides, arrange.AimLow}, {arrange.AimAccess}, {arrange.AimAccess, arrange.AimSides},
	} {
		j := example.Twelve()
		start := time.Now()
		got := arrange.Propose(context.Background(), &j, arrange.Wishes{Aims: aims}, func(float64) {})
		t.Logf("%v in %v", aims, time.Since(start))
		require.Len(t, got.Found, 3)
		for _, p := range got.Found {
			assert.True(t, p.Proven, "%v: %v of at most %v", aims, p.Score, p.Bound)
			assert.InDelta(t, p.Bound, p.Score, 1e-9)
		}
	}
}

// Twenty are arranged too: what cannot stand is left out while it is searched, not after three were chosen.
func TestTwentyModulesAreArrangedToo(t *testing.T) {
	j := example.Twelve()
	for k := range 8 {
		example.Stand(&j, fmt.Sprintf("box%d", k), fitout.PlainGear, fitout.FaceNone, float64(5+k),
			float64(250+20*(k%4)), float64(200+30*(k%3)), float64(150+20*(k%5)), "left")
	}
	got := arrange.Propose(context.Background(), &j, arrange.Wishes{}, func(float64) {})
	require.Empty(t, got.Impossible)
	require.Len(t, got.Found, 3)
	for _, p := range got.Found {
		assert.LessOrEqual(t, p.Score, p.Bound)
		for _, f := range assess.Of(&p.Job).Findings {
			if f.Subject.Kind == "module" {
				assert.NotEqual(t, fitout.Stop, f.Severity, f.Sentence)
			}
		}
	}
}

func TestWhatMakesItImpossibleIsNamed(t *testing.T) {
	j := example.Twelve()
	example.Stand(&j, "boat", fitout.PlainGear, fitout.FaceNone, 30, 2500, 300, 300, "left")
	got := arrange.Propose(context.Background(), &j, arrange.Wishes{}, func(float64) {})
	assert.Contains(t, got.Impossible, "The boat")

	j = example.Canopy()
	j.Vehicle.Bays = j.Vehicle.Bays[:1]
	example.Stand(&j, "fridge", fitout.FridgeSlide, fitout.FaceLeft, 52, 1000, 600, 520, "left")
	example.Stand(&j, "drawers", fitout.Drawers, fitout.FaceLeft, 60, 1000, 600, 300, "left")
	got = arrange.Propose(context.Background(), &j, arrange.Wishes{}, func(float64) {})
	assert.Equal(t, "All of it does not fit at once, each with a free way to open. It would without one of these: the "+
		"fridge, the drawers.", got.Impossible)

	j.Variants[0].Items = nil
	assert.Contains(t, arrange.Propose(context.Background(), &j, arrange.Wishes{}, func(float64) {}).Impossible,
		"Nothing can be placed")

	called, cancel := context.WithCancel(context.Background())
	cancel()
	j = example.Twelve()
	assert.Equal(t, arrange.Proposals{Found: []arrange.Proposal{}}, arrange.Propose(called, &j, arrange.Wishes{},
		func(float64) {}), "called off, it says nothing")
}

func rulesOf(j *fitout.Job) []string {
	var rules []string
	for _, f := range assess.Of(j).Findings {
		rules = append(rules, f.Rule)
	}
	return rules
}

func TestVariantsAreBranchedVariedAndCompared(t *testing.T) {
	j := example.Twelve()
	components := example.Shop()
	branched, err := edit.Branch(&j, "a", "With less")
	require.NoError(t, err)
	assert.Equal(t, "b", branched.Chosen)
	assert.Equal(t, "a", branched.Variants[1].From)
	branched.Variants[1].Items[0].Module.Travel = 99
	assert.NotEqual(t, 99.0, j.Variants[0].Items[0].Module.Travel, "the first does not change with it")
	_, err = edit.Branch(&j, "z", "")
	assert.ErrorContains(t, err, "the id of a variant")

	upright, err := edit.Vary(&branched, components, "fridge", "upright")
	require.NoError(t, err)
	assert.Equal(t, "With less, upright", upright.ChosenVariant().Name)
	assert.Equal(t, fitout.UprightFridge, upright.ChosenVariant().Items[0].Module.Kind)
	assert.Equal(t, branched.ChosenVariant().Items[0].Box().From.Z, upright.ChosenVariant().Items[0].Box().From.Z,
		"it stands on the same floor")

	foam, err := edit.Vary(&upright, components, "material", "foam-core")
	require.NoError(t, err)
	assert.Equal(t, fitout.FoamCore, foam.ChosenVariant().Items[1].Module.Wall)
	_, err = edit.Vary(&foam, components, "material", "foam-core")
	assert.ErrorContains(t, err, "changes nothing")
	_, err = edit.Vary(&foam, components, "suspension", "airbags")
	assert.ErrorContains(t, err, "by hand")
	assert.NotEmpty(t, edit.Ways(&j, components))

	figures := report.Compare(&foam, []string{"a", "c", "d"})
	require.Len(t, figures, 3)
	assert.Empty(t, figures[0].Differs)
	assert.Equal(t, "changed", figures[1].Differs[0].Kind)
	assert.Contains(t, figures[1].Differs[0].Text, "Upright fridge")
	assert.Greater(t, figures[2].Price, figures[1].Price, "foam-core is dearer than plywood")
	assert.Positive(t, figures[0].Litres)
	for _, f := range figures {
		chosen := foam
		chosen.Chosen = f.ID
		assert.Equal(t, assess.Of(&chosen).Pads, f.Pads)
	}
}

// A search that is called off, or has had its time, answers with the best so far, and
// claims of what it did not look at nothing.
func TestASearchThatIsCalledOffAnswersWithTheBestSoFar(t *testing.T) {
	j := example.Twelve()
	whole := arrange.Propose(context.Background(), &j, arrange.Wishes{}, func(float64) {})
	require.Greater(t, len(whole.Found), 1)
	ctx, off := context.WithCancel(context.Background())
	told := 0
	some := arrange.Propose(ctx, &j, arrange.Wishes{}, func(share float64) {
		told++
		if share > 0.8 { // a first proposal is there
			off()
		}
	})
	assert.NotEmpty(t, some.Found)
	assert.Less(t, len(some.Found), len(whole.Found))
	assert.Empty(t, some.Impossible)

	told = 0
	none := arrange.Propose(ctx, &j, arrange.Wishes{}, func(float64) { told++ })
	assert.Empty(t, none.Found)
	assert.LessOrEqual(t, told, 2, "it ends before it begins")
	assert.NotContains(t, none.Impossible, "without any one", "which was not tried")
}

func BenchmarkProposeTwelveModules(b *testing.B) {
	j := example.Twelve()
	for b.Loop() {
		if len(arrange.Propose(context.Background(), &j, arrange.Wishes{}, func(float64) {}).Found) == 0 {
			b.Fatal(fmt.Errorf("nothing found"))
		}
	}
}
