package fit

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// Eyes of one height, 80 kg, ends at 30°: each is pulled with as much as hangs there.
func TestAFlatHammockPullsHarder(t *testing.T) {
	head, foot := HammockPull(80, 30, 30)
	assert.InDelta(t, 80, head, 1e-9)
	assert.InDelta(t, 80, foot, 1e-9)
	head, _ = HammockPull(80, 10, 10)
	assert.InDelta(t, 230.35, head, 0.01, "m/(2 sin 10°)")
}

// The two pulls together are the weight and nothing across, whatever the angles.
func TestPullsOfAHammockAreInBalance(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kg, α, β := rapid.Float64Range(20, 150).
			Draw(t, "kg"),
			rapid.Float64Range(3, 70).
				Draw(t, "α"),
			rapid.Float64Range(3, 70).
				Draw(t, "β")
		a, b := HammockPull(kg, α, β)
		sin := func(x float64) float64 { return math.Sin(x * math.Pi / 180) }
		cos := func(x float64) float64 { return math.Cos(x * math.Pi / 180) }
		if math.Abs(a*sin(α)+b*sin(β)-kg) > 1e-6*(a+b) || math.Abs(a*cos(α)-b*cos(β)) > 1e-6*(a+b) {
			t.Fatalf("up %.3f of %.3f, across %.3f", a*sin(α)+b*sin(β), kg, a*cos(α)-b*cos(β))
		}
	})
}

// hammock is a sound build in which Ann sleeps in a hammock on the right, on eyes that hold 400 kg each.
func hammock(low float64) *Scene {
	s := sound()
	s.eyes(1900, 400)
	s.Stances[1].Hung = []fitout.Hung{{Traveller: "ann", Head: "eye-0", Foot: "eye-1", Low: low, Kg: 2}}
	s.Brief.Travellers[0].Mass = 70
	return s
}

func TestASoundHammockHasNothingToSay(t *testing.T) {
	s := hammock(1080)
	s.Prepare()
	for _, f := range s.Check() {
		t.Errorf("%s: %s", f.Rule, f.Sentence)
	}
	s.beds(func(b *bed) { assert.Fail(t, "who lies in a hammock takes no bed", "%v", b.sleepers) })
}

// Followed, what is told of a hammock mends it, and a little less does not.
func TestAHammockHangsAsDeepAsIsSaid(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := hammock(rapid.Float64Range(1300, 1490).Draw(t, "low"))
		s.Vehicle.Mounts[1].Rating = rapid.Float64Range(45, 200).Draw(t, "head")
		s.Vehicle.Mounts[2].At.Z = rapid.Float64Range(1500, 1700).Draw(t, "foot")
		s.Prepare()
		found := hammockPull(s)
		if len(found) == 0 || len(found[0].Fixes) == 0 {
			return
		}
		low := found[0].Fixes[0].Edit.Value
		s.Stances[1].Hung[0].Low = low
		s.Prepare()
		if now := hammockPull(s); len(now) > 0 {
			t.Fatalf("%s, and then %s", found[0].Sentence, now[0].Sentence)
		}
		s.Stances[1].Hung[0].Low = low + 2
		s.Prepare()
		if len(hammockPull(s)) == 0 {
			t.Fatalf("less would have done: %s", found[0].Sentence)
		}
	})
}

// Unlike a bed, a hammock lacks an eye, hangs level, or between eyes of which nobody knows what they hold.
func TestAHammockNeedsTwoEyes(t *testing.T) {
	for _, c := range []struct {
		spoil    func(*fitout.Hung, *Scene)
		severity fitout.Severity
		says     string
	}{
		{func(h *fitout.Hung, _ *Scene) { h.Foot = "" }, fitout.Stop, "two eyes that are apart"},
		{func(h *fitout.Hung, _ *Scene) { h.Foot = h.Head }, fitout.Stop, "two eyes that are apart"},
		{func(h *fitout.Hung, _ *Scene) { h.Low = 1600 }, fitout.Stop, "nothing holds at that"},
		{func(_ *fitout.Hung, s *Scene) { s.Vehicle.Mounts[2].Rating = 0 }, fitout.Note, "nobody stated what eye holds"},
	} {
		s := hammock(1080)
		c.spoil(&s.Stances[1].Hung[0], s)
		s.Prepare()
		found := hammockPull(s)
		require.Len(t, found, 1, c.says)
		assert.Equal(t, c.severity, found[0].Severity)
		assert.Contains(t, found[0].Sentence, c.says)
	}
}

// Whoever lies in a hammock needs two ways out as well.
func TestAHammockNeedsTwoWaysOut(t *testing.T) {
	s := hammock(1080)
	b := part("pile", fitout.PlainGear, Still, box(1800, -690, 640, 700, 90, 1000), 2)
	b.Bay = "row"
	s.add(b)
	s.Prepare()
	found := sleepExits(s)
	require.Len(t, found, 1)
	assert.Equal(t, "sleep", found[0].Stance)
	assert.Contains(t, found[0].Sentence, "Take the pile from before one")
}
