package living

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
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

func TestWhoLiesInAHammockTakesNoBed(t *testing.T) {
	s := wagon.WithHammock(1080)
	s.Prepare()
	beds(s, func(b *bed) { assert.Fail(t, "a bed is taken", "%v", b.sleepers) })
}

// Followed, what is told of a hammock mends it, and a little less does not.
func TestAHammockHangsAsDeepAsIsSaid(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := wagon.WithHammock(rapid.Float64Range(1300, 1490).Draw(t, "low"))
		s.Vehicle.Mounts[1].Rating = rapid.Float64Range(45, 200).Draw(t, "head")
		s.Vehicle.Mounts[2].At.Z = rapid.Float64Range(1500, 1700).Draw(t, "foot")
		s.Prepare()
		found := HammockPulls(s)
		if len(found) == 0 || len(found[0].Fixes) == 0 {
			return
		}
		low := found[0].Fixes[0].Edit.Value
		s.Stances[1].Hung[0].Low = low
		s.Prepare()
		if now := HammockPulls(s); len(now) > 0 {
			t.Fatalf("%s, and then %s", found[0].Sentence, now[0].Sentence)
		}
		s.Stances[1].Hung[0].Low = low + 2
		s.Prepare()
		if len(HammockPulls(s)) == 0 {
			t.Fatalf("less would have done: %s", found[0].Sentence)
		}
	})
}

// Unlike a bed, a hammock lacks an eye, hangs level, or between eyes of which nobody knows what they hold.
func TestAHammockNeedsTwoEyes(t *testing.T) {
	for _, c := range []struct {
		spoil    func(*fitout.Hung, *scene.Scene)
		severity fitout.Severity
		says     string
	}{
		{func(h *fitout.Hung, _ *scene.Scene) { h.Foot = "" }, fitout.Stop, "two eyes that are apart"},
		{func(h *fitout.Hung, _ *scene.Scene) { h.Foot = h.Head }, fitout.Stop, "two eyes that are apart"},
		{func(h *fitout.Hung, _ *scene.Scene) { h.Low = 1600 }, fitout.Stop, "nothing holds at that"},
		{func(_ *fitout.Hung, s *scene.Scene) { s.Vehicle.Mounts[2].Rating = 0 }, fitout.Note, "nobody stated what eye holds"},
	} {
		s := wagon.WithHammock(1080)
		c.spoil(&s.Stances[1].Hung[0], s)
		s.Prepare()
		found := HammockPulls(s)
		require.Len(t, found, 1, c.says)
		assert.Equal(t, c.severity, found[0].Severity)
		assert.Contains(t, found[0].Sentence, c.says)
	}
}

// Whoever lies in a hammock needs two ways out as well.
func TestAHammockNeedsTwoWaysOut(t *testing.T) {
	s := wagon.WithHammock(1080)
	b := wagon.Part("pile", fitout.PlainGear, scene.Still, wagon.Box(1800, -690, 640, 700, 90, 1000), 2)
	b.Bay = "row"
	wagon.Add(s, b)
	s.Prepare()
	found := SleepExits(s)
	require.Len(t, found, 1)
	assert.Equal(t, "sleep", found[0].Stance)
	assert.Contains(t, found[0].Sentence, "Take the pile from before one")
}
