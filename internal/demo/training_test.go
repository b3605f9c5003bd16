package demo

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/train"
)

// Each exercise has fifteen mistakes that are told, each on a thing of its own; the same seed makes the same, and
// another seed others.
func TestExercisesAreDrawn(t *testing.T) {
	for _, kind := range []fitout.TrainingKind{fitout.TrainingWagon, fitout.TrainingTub, fitout.TrainingTray} {
		t.Run(string(kind), func(t *testing.T) {
			build, err := Build(kind)
			require.NoError(t, err)
			seen := map[string]int{}
			for seed := range 3 {
				j, err := train.Exercise(&build, kind, seed)
				require.NoError(t, err)
				require.NoError(t, fitout.Validate(&j))
				require.Len(t, j.Training.Made, train.Mistakes)
				findings := assess.Of(&j).Findings
				about := map[string]bool{}
				var all string
				for _, m := range j.Training.Made {
					all += m.Title + "; "
					assert.False(t, about[m.Things[0].Of], "two mistakes on %s", m.Things[0].Of)
					about[m.Things[0].Of] = true
					assert.True(t, slices.ContainsFunc(findings, func(f fitout.Finding) bool {
						return f.Rule == m.Rule && slices.ContainsFunc(m.Things, func(x fitout.ThingNote) bool {
							return f.Subject.ID == x.Of || slices.Contains(f.With, x.Of)
						})
					}), "%s is not told in the end", m.Title)
				}
				seen[all]++
				if seed == 0 {
					again, err := train.Exercise(&build, kind, seed)
					require.NoError(t, err)
					assert.Equal(t, j, again)
				}
			}
			assert.Len(t, seen, 3, "each try is new")
		})
	}
}

// Who marks the first four, one sound thing and nothing else has found four, missed eleven, and one mark is in vain.
func TestALessonIsCompared(t *testing.T) {
	build, err := Build(fitout.TrainingTray)
	require.NoError(t, err)
	j, err := train.Exercise(&build, fitout.TrainingTray, 3)
	require.NoError(t, err)
	assert.Len(t, train.Compare(&j).Missed, train.Mistakes)
	for i := range 4 {
		things := j.Training.Made[i].Things
		j.Training.Marked = append(
			j.Training.Marked,
			fitout.Marked{Of: things[len(things)-1].Of, What: fmt.Sprint("mark ", i)},
		)
	}
	wrong := map[string]bool{}
	for _, f := range assess.Of(&j).Findings {
		if f.Severity != fitout.Note {
			wrong[f.Subject.ID] = true
			for _, id := range f.With {
				wrong[id] = true
			}
		}
	}
	for _, item := range j.Variants[0].Items {
		if !wrong[item.ID] {
			j.Training.Marked = append(j.Training.Marked, fitout.Marked{Of: item.ID})
			break
		}
	}
	require.Len(t, j.Training.Marked, 5)
	l := train.Compare(&j)
	assert.Len(t, l.Found, 4)
	assert.Len(t, l.Missed, train.Mistakes-4)
	require.Len(t, l.InVain, 1)
	assert.Empty(t, l.AlsoSo)
	assert.Equal(t, "mark 0", l.Found[0].What)
	for _, line := range slices.Concat(l.Found, l.Missed) {
		assert.NotEmpty(t, line.Told)
		assert.NotEmpty(t, line.Name)
	}
	plain := build
	plain.Training = nil
	assert.Zero(t, train.Compare(&plain).Mistake, "a job that is none has no lesson")
}

// In an exercise whatever a finding of fit offers mends it: made, the finding is gone, and nothing stops the build that
// did not before.
func TestWhatIsOfferedInAnExerciseMends(t *testing.T) {
	tried := map[string]int{}
	for _, kind := range []fitout.TrainingKind{fitout.TrainingWagon, fitout.TrainingTub, fitout.TrainingTray} {
		build, err := Build(kind)
		require.NoError(t, err)
		for seed := range 2 {
			j, err := train.Exercise(&build, kind, 100+seed)
			require.NoError(t, err)
			before := told(&j)
			stops := map[string]bool{}
			for _, f := range assess.Of(&j).Findings {
				if f.Severity == fitout.Stop {
					stops[f.Rule+f.Subject.ID] = true
				}
			}
			for _, f := range assess.Of(&j).Findings {
				for _, fix := range f.Fixes {
					switch fix.Edit.Kind {
					case "hold", "latch", "turn", "stand-up", "put-away", "part-x", "part-y", "part-z":
					default:
						continue
					}
					tried[fix.Edit.Kind]++
					mended, err := edit.Apply(&j, nil, []fitout.FixEdit{fix.Edit})
					require.NoError(t, err, fix.Label)
					after := told(&mended)
					assert.NotContains(t, after, f.Key+" in "+f.Stance, "%s %s: %s", kind, fix.Label, f.Sentence)
					for _, g := range assess.Of(&mended).Findings {
						if g.Rule != "tests-open" && g.Severity == fitout.Stop && !stops[g.Rule+g.Subject.ID] &&
							before[g.Key+" in "+g.Stance] == "" {
							t.Errorf("%s %s: new stop %s: %s", kind, fix.Label, g.Rule, g.Sentence)
						}
					}
				}
			}
		}
	}
	assert.Greater(t, len(tried), 4, "%v", tried)
	t.Log(tried)
}
