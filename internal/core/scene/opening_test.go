package scene_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/fit/clearance"
	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// opened is a bay with an opening in one face, hung on one side.
func opened(face fitout.Face, hinge fitout.Hinge) *scene.Bay {
	gaps := map[fitout.Face]fitout.Box{
		fitout.FaceRear: wagon.Box(1800, 50, 30, 0, 500, 700), fitout.FaceFront: wagon.Box(0, 50, 30, 0, 500, 700),
		fitout.FaceLeft: wagon.Box(100, 0, 30, 1600, 0, 700), fitout.FaceRight: wagon.Box(100, 600, 30, 1600, 0, 700),
		fitout.FaceTop: wagon.Box(100, 50, 800, 1600, 500, 0),
	}
	return &scene.Bay{ID: "b", Room: wagon.Box(0, 0, 0, 1800, 600, 800),
		Opening: scene.Opening{Opening: fitout.Opening{Face: face, Hinge: hinge, Swing: 90}, Gap: gaps[face], Known: true}}
}

// Seen from outside, the left edge of a door is the vehicle's left at the rear, its
// front on the left-hand side and its rear on the right-hand side.
func TestWhereAnOpenDoorStands(t *testing.T) {
	at := func(face fitout.Face, hinge fitout.Hinge) fitout.Point {
		open, _, ok := opened(face, hinge).Door()
		assert.True(t, ok)
		return open.Middle()
	}
	assert.Less(t, at(fitout.FaceRear, fitout.HingeLeft).Y, 50.0)
	assert.Greater(t, at(fitout.FaceRear, fitout.HingeRight).Y, 550.0)
	assert.Less(t, at(fitout.FaceLeft, fitout.HingeLeft).X, 100.0)
	assert.Greater(t, at(fitout.FaceLeft, fitout.HingeRight).X, 1700.0)
	assert.Greater(t, at(fitout.FaceRight, fitout.HingeLeft).X, 1700.0)
	assert.Greater(t, at(fitout.FaceRear, fitout.HingeTop).Z, 730.0, "a hatch stands above its opening")
	assert.Less(t, at(fitout.FaceRear, fitout.HingeBottom).Z, 30.0, "a tailgate below it")
	for _, hinge := range []fitout.Hinge{fitout.HingeLiftOff, fitout.HingeRoll, fitout.HingeNone} {
		_, _, ok := opened(fitout.FaceRear, hinge).Door()
		assert.False(t, ok, "what lifts off or rolls is in nobody's way")
	}
}

// A box that is inside the opening's outline clears the frame whichever way it goes
// out; moved sideways by more than its room, it meets it by just that.
func TestTheFrameIsMetByWhatStandsOut(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		bay := opened(fitout.FaceRear, fitout.HingeTop)
		y, w := rapid.Float64Range(50, 300).Draw(t, "y"), rapid.Float64Range(10, 250).Draw(t, "w")
		part := wagon.Box(1000, y, 30, 800, w, rapid.Float64Range(10, 700).Draw(t, "h"))
		if mm, side := bay.Frame(part); mm != 0 {
			t.Fatalf("clear, yet %v at the %s", mm, side)
		}
		by := rapid.Float64Range(1, 200).Draw(t, "by")
		mm, side := bay.Frame(part.Moved(0, 550-y-w+by, 0))
		if side != "right" || mm < by-1e-6 || mm > by+1e-6 {
			t.Fatalf("%v out, told %v at the %s", by, mm, side)
		}
	})
}

func TestWhatGoesThroughAnOpening(t *testing.T) {
	for face, way := range map[fitout.Face]fitout.Point{
		fitout.FaceRear: {X: 1}, fitout.FaceFront: {X: -1}, fitout.FaceLeft: {Y: -1}, fitout.FaceRight: {Y: 1},
		fitout.FaceTop: {Z: 1},
	} {
		bay := opened(face, fitout.HingeNone)
		inside := wagon.Box(800, 250, 300, 200, 100, 200)
		assert.False(t, bay.Through(inside), face)
		assert.True(t, bay.Through(inside.Moved(way.X*2000, way.Y*1000, way.Z*1000)), face)
		assert.Positive(t, bay.Behind(inside), face)
		path := bay.Path(inside)
		s := path.Size()
		assert.Positive(t, s.Length*s.Width*s.Height, "there is a way from it to the opening: %s", face)
	}
	closed := scene.Bay{Room: wagon.Box(0, 0, 0, 10, 10, 10)}
	assert.False(t, closed.Through(wagon.Box(50, 0, 0, 10, 10, 10)), "without an opening nothing goes through")
}

// What is opened only in part meets what stands in that part of its way, and no more; and so does a door.
func TestWhatOpensPartWayTakesOnlyThatRoom(t *testing.T) {
	blocked := func(share, crateAt float64) bool {
		s := wagon.Sound()
		wagon.Add(s, wagon.Part("crate", fitout.PlainGear, scene.Still, wagon.Box(crateAt, -300, 640, 200, 200, 200), 2)).Bay = ""
		s.Stances[0].Open[0].Share = share
		s.Prepare()
		return len(clearance.WayBlocked(s)) > 0
	}
	// The unit ends at 4000 and comes out by 1000.
	assert.True(t, blocked(0, 4600), "nothing said is all the way")
	assert.True(t, blocked(1, 4600))
	assert.True(t, blocked(0.65, 4600))
	assert.False(t, blocked(0.55, 4600))

	s := wagon.Sound()
	s.Stances[0].Doors = []fitout.Door{{Bay: "row", Share: 0.5}}
	s.Prepare()
	_, whole, _ := s.Bays[1].Door()
	ajar, _, ok := s.Postures[1].Door(&s.Bays[1])
	assert.True(t, ok)
	// 700 wide and opened to 35° it stands 700 sin 35° out.
	assert.InDelta(t, 700*math.Sin(35*math.Pi/180), s.Bays[1].Opening.Gap.From.Y-ajar.From.Y, 0.1)
	assert.InDelta(t, 700, s.Bays[1].Opening.Gap.From.Y-whole.From.Y, 0.1)
}
