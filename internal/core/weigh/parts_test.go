package weigh_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/weigh"
	"zaino/internal/demo"
)

func crew(t *testing.T) fitout.Job {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	return jobs[0]
}

// Parts come in the order in which they are fitted, then what is put in by hand; people weigh themselves. Sums are those of
// the list, and the few that make most of the doubt make it.
func TestPartsInTheOrderInWhichTheyGoIn(t *testing.T) {
	j := crew(t)
	parts, sum := weigh.Parts(plan.Of(&j))
	at, weighed, open, hand := map[string]int{}, 0.0, 0.0, false
	for i, part := range parts {
		at[part.ID] = i
		if part.Weighed > 0 {
			weighed += part.Weighed
		} else {
			open += part.Planned
		}
		assert.False(t, hand && part.Fitted, "%s is fitted after what is put in by hand", part.Name)
		hand = hand || !part.Fitted
	}
	assert.NotContains(t, at, "driver")
	assert.InDelta(t, weighed, sum.Weighed, 1e-9)
	assert.InDelta(t, open, sum.Open, 1e-9)
	assert.Positive(t, sum.Few)
	assert.LessOrEqual(t, sum.Share, 1.0)

	// Whoever weighs the most doubtful takes that much off the doubt.
	most := parts[0]
	for _, part := range parts {
		if part.Share > most.Share && part.Aboard {
			most = part
		}
	}
	item := &j.ChosenVariant().Items[plan.Of(&j).Index(most.ID)]
	item.Planned = &fitout.PlannedMass{Kg: most.Planned, Source: item.Source}
	item.Mass, item.Source = most.Planned*1.2, fitout.ByScale
	parts, after := weigh.Parts(plan.Of(&j))
	assert.Less(t, after.Sigma, sum.Sigma)
	for _, part := range parts {
		if part.ID == most.ID {
			assert.InDelta(t, most.Planned*1.2, part.Weighed, 1e-9)
			assert.InDelta(t, most.Planned, part.Planned, 1e-9)
			assert.InDelta(t, 0.2*most.Planned/part.Sigma, part.Sigmas, 1e-6)
			assert.Zero(t, part.Share)
		}
	}
}

// A weighing begins with what is aboard in the state shown, without the trailer and on the road: by itself it would read
// what the plan says. Noted anew it follows the plan.
func TestAWeighingBeginsWithWhatIsAboard(t *testing.T) {
	j := crew(t)
	begun, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "weigh-in", ID: "w1", With: "Yard"}})
	require.NoError(t, err)
	assert.Empty(t, j.ChosenVariant().WeighIns, "the job that was given is not changed")
	w := begun.ChosenVariant().WeighIns[0]
	assert.Equal(t, "Yard", w.Name)
	p := plan.Of(&begun)
	sum := w.Empty.FrontLeft + w.Empty.FrontRight + w.Empty.RearLeft + w.Empty.RearRight
	for _, a := range w.Aboard {
		sum += a.Kg + a.Content
	}
	assert.InDelta(t, p.Load.Axles().Gross(), sum, 1e-6)
	for _, e := range weigh.ViewOf(p).Expected {
		assert.Positive(t, e.Kg)
	}
	_, err = edit.Apply(&begun, nil, []fitout.FixEdit{{Kind: "weigh-in", ID: "w1"}})
	assert.Error(t, err, "an id that is taken")
	begun.ChosenVariant().Items[0].Mass += 100
	noted, err := edit.Apply(&begun, nil, []fitout.FixEdit{{Kind: "weigh-note", ID: "w1"}})
	require.NoError(t, err)
	again := 0.0
	for _, a := range noted.ChosenVariant().WeighIns[0].Aboard {
		again += a.Kg + a.Content
	}
	was := 0.0
	for _, a := range w.Aboard {
		was += a.Kg + a.Content
	}
	assert.InDelta(t, was+100, again, 1e-6)
	_, err = edit.Apply(&begun, nil, []fitout.FixEdit{{Kind: "weigh-note", ID: "gone"}})
	assert.Error(t, err)
}

// Each cause that is seeded into the worked crew's ute is told in a sentence that names it.
func TestCausesAreToldInWords(t *testing.T) {
	for says, change := range map[string]func(j *fitout.Job, w *fitout.WeighIn){
		"Front and rear axle were written down the wrong way round": func(_ *fitout.Job, w *fitout.WeighIn) {
			w.FrontLeft, w.FrontRight, w.RearLeft, w.RearRight = w.RearLeft, w.RearRight, w.FrontLeft, w.FrontRight
		},
		"Not there: aluminium tray": func(_ *fitout.Job, w *fitout.WeighIn) {
			w.FrontLeft, w.FrontRight, w.RearLeft, w.RearRight = w.FrontLeft-2, w.FrontRight-2, w.RearLeft-74, w.RearRight-74
		},
		"that nobody listed is there, behind the rear axle on the left": func(_ *fitout.Job, w *fitout.WeighIn) {
			w.RearLeft, w.FrontLeft = w.RearLeft+160, w.FrontLeft-40
		},
	} {
		j := crew(t)
		p := plan.Of(&j)
		w := weigh.Begin(p, "w", "W")
		w.Reading, w.Class, w.Level = fitout.ReadCorners, 0.5, true
		now := weigh.ViewOf(p).Expected
		w.FrontLeft, w.FrontRight, w.RearLeft, w.RearRight = now[0].Kg, now[1].Kg, now[2].Kg, now[3].Kg
		change(&j, &w)
		l := weigh.LookAt(p, &w)
		require.False(t, l.Agrees, says)
		var all []string
		for _, e := range l.Explanations {
			all = append(all, e.Sentence)
			assert.NotEmpty(t, e.Sentence)
			assert.LessOrEqual(t, e.Share, 1.0)
		}
		assert.Contains(t, join(all), says)
	}
}

func join(all []string) string {
	text := ""
	for _, s := range all {
		text += s + "\n"
	}
	return text
}
