package order_test

import (
	"fmt"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/order"
)

// Glue dries overnight; while it does the other box is sawn, and nobody stands idle.
func TestGlueDriesWhileSomethingElseIsDone(t *testing.T) {
	steps := []order.Step{
		{ID: "saw a", Minutes: 60}, {ID: "glue a", Minutes: 60, Wait: 12}, {ID: "fit a", Minutes: 60},
		{ID: "saw b", Minutes: 120}, {ID: "fit b", Minutes: 60},
	}
	s := order.Sort(steps, []order.Reason{{0, 1, ""}, {1, 2, ""}, {3, 4, ""}}, order.Makers{Day: 8})
	at := map[string]order.Slot{}
	for _, slot := range s.Slots {
		at[steps[slot.Step].ID] = slot
	}
	assert.InDelta(t, 0, at["saw a"].From, 1e-9, "the longest way goes first")
	assert.InDelta(t, 2, at["glue a"].To, 1e-9)
	assert.InDelta(t, 2, at["saw b"].From, 1e-9)
	assert.Equal(t, 1, at["fit a"].Day, "dry at 14 h, after the day's end: the next morning")
	assert.InDelta(t, 24, at["fit a"].From, 1e-9)
	assert.Equal(t, 2, s.Days)
}

// What was lifted to be weighed is fitted at once.
func TestWhatIsHeavyIsLiftedOnce(t *testing.T) {
	steps := []order.Step{{ID: "weigh", Minutes: 10, Next: "fit"}, {ID: "fit", Minutes: 20}, {ID: "long", Minutes: 10},
		{ID: "longer", Minutes: 400}}
	s := order.Sort(steps, []order.Reason{{0, 1, ""}, {0, 2, ""}, {2, 3, ""}}, order.Makers{Day: 8})
	assert.Equal(t, []int{0, 1}, []int{s.Slots[0].Step, s.Slots[1].Step})
}

// A ring is told with the reasons that make it, and only with them.
func TestARingIsNamed(t *testing.T) {
	steps := []order.Step{{ID: "a", Minutes: 1}, {ID: "b", Minutes: 1}, {ID: "c", Minutes: 1}, {ID: "free", Minutes: 1},
		{ID: "into", Minutes: 1}}
	s := order.Sort(
		steps,
		[]order.Reason{{4, 0, "before"}, {0, 1, "b stands on a"}, {1, 2, "c closes b"}, {2, 0, "a hangs on c"}},
		order.Makers{},
	)
	why := []string{}
	for _, r := range s.Ring {
		why = append(why, r.Why)
	}
	assert.ElementsMatch(t, []string{"b stands on a", "c closes b", "a hangs on c"}, why)
	assert.Len(t, s.Slots, 2, "what does not hang on the ring has its place")
	self := order.Sort(steps[:1], []order.Reason{{0, 0, "itself"}}, order.Makers{})
	assert.Len(t, self.Ring, 1)
}

// An electrician's work waits for an electrician, and two who lift are two at once.
func TestWhoDoesWhat(t *testing.T) {
	steps := []order.Step{{ID: "wire", Minutes: 60, Skill: "electric"}, {ID: "lift", Minutes: 30, People: 2},
		{ID: "saw", Minutes: 60, Skill: "joinery"}}
	s := order.Sort(steps, nil, order.Makers{Skills: []string{"all", "electric"}, Day: 8})
	for _, slot := range s.Slots {
		switch steps[slot.Step].ID {
		case "wire":
			assert.Equal(t, []int{1}, slot.Makers)
		case "lift":
			assert.Len(t, slot.Makers, 2)
		case "saw":
			assert.Equal(t, []int{0}, slot.Makers)
		}
	}
	nobody := order.Sort(steps[:1], nil, order.Makers{Skills: []string{"paint"}})
	assert.Empty(t, nobody.Slots[0].Makers, "somebody from outside")
}

// Whatever the reasons: every step that hangs on no ring is there once, begins after all that comes before it is
// done and dry, within a day's work, and nobody does two things at once.
func TestEveryOrderRespectsEveryReason(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 40).Draw(t, "steps")
		steps := make([]order.Step, n)
		for i := range steps {
			steps[i] = order.Step{ID: fmt.Sprint(i), Minutes: float64(rapid.IntRange(1, 1200).Draw(t, "minutes")),
				Wait: float64(
					rapid.SampledFrom([]int{0, 0, 12, 30}).Draw(t, "wait"),
				), People: rapid.IntRange(0, 3).Draw(t, "people"),
				Skill: rapid.SampledFrom([]string{"", "joinery", "electric"}).Draw(t, "skill")}
		}
		var reasons []order.Reason
		for range rapid.IntRange(0, 60).Draw(t, "reasons") {
			a, b := rapid.IntRange(0, n-1).Draw(t, "a"), rapid.IntRange(0, n-1).Draw(t, "b")
			if a != b {
				reasons = append(reasons, order.Reason{First: min(a, b), Then: max(a, b)})
			}
		}
		m := order.Makers{
			Skills: rapid.SliceOfN(rapid.SampledFrom([]string{"all", "joinery", "electric"}), 0, 3).Draw(t, "makers"),
			Day:    float64(rapid.IntRange(1, 16).Draw(t, "day")),
		}
		s := order.Sort(steps, reasons, m)
		if len(s.Ring) > 0 || len(s.Slots) != n {
			t.Fatalf("%d of %d steps, ring %v", len(s.Slots), n, s.Ring)
		}
		at := make([]order.Slot, n)
		busy := map[int][]order.Slot{}
		for _, slot := range s.Slots {
			at[slot.Step] = slot
			for _, who := range slot.Makers {
				for _, other := range busy[who] {
					if slot.From < other.To-1e-6 && other.From < slot.To-1e-6 {
						t.Fatalf("maker %d does %d and %d at once", who, slot.Step, other.Step)
					}
				}
				busy[who] = append(busy[who], slot)
			}
			if hour := slot.From - 24*float64(slot.Day); hour < -1e-6 || hour > m.Day {
				t.Fatalf("step %d begins at hour %.2f of a day of %.0f", slot.Step, hour, m.Day)
			}
		}
		for _, r := range reasons {
			if at[r.Then].From < at[r.First].Ready-1e-6 {
				t.Fatalf(
					"step %d begins at %.2f, %d is ready at %.2f",
					r.Then,
					at[r.Then].From,
					r.First,
					at[r.First].Ready,
				)
			}
		}
	})
}

func BenchmarkOrder300Steps(b *testing.B) {
	r := rand.New(rand.NewPCG(1, 2))
	steps := make([]order.Step, 300)
	for i := range steps {
		steps[i] = order.Step{
			ID:      fmt.Sprint(i),
			Minutes: float64(5 + r.IntN(90)),
			Wait:    []float64{0, 0, 0, 12}[r.IntN(4)],
		}
	}
	var reasons []order.Reason
	for i := range 600 {
		a, c := r.IntN(300), r.IntN(300)
		if a != c {
			reasons = append(reasons, order.Reason{First: min(a, c), Then: max(a, c), Why: fmt.Sprint(i)})
		}
	}
	require.Empty(b, order.Sort(steps, reasons, order.Makers{}).Ring)
	for b.Loop() {
		order.Sort(steps, reasons, order.Makers{Skills: []string{"all", "electric"}, Day: 8})
	}
}
