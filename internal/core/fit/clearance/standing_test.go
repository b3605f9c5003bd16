package clearance

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// A part stands on its floor, on packers, on an arch or on another part, hangs by an eye above it or under a bench;
// and in a stance it may be put where somebody holds it. A slide is raised as far as the lip of its door wants it.
func TestWhatStandsOrHangsIsNotInTheAir(t *testing.T) {
	for name, right := range map[string]func(s *scene.Scene){
		"on packers": func(s *scene.Scene) { wagon.Put(s, "chest", 0, 0, 9) },
		"on another part": func(s *scene.Scene) {
			wagon.Add(s, wagon.Part("stand", fitout.Locker, scene.Still, wagon.Box(3000, 460, 640, 250, 200, 110), 2))
			wagon.Put(s, "chest", 0, 0, 110)
		},
		"over an arch": func(s *scene.Scene) {
			s.Bays[0].Obstacles = append(s.Bays[0].Obstacles,
				scene.Obstacle{ID: "step", Name: "Step", Box: wagon.Box(3000, 500, 600, 300, 200, 150)})
			wagon.Put(s, "chest", 0, 0, 110)
		},
		"by an eye above it": func(s *scene.Scene) {
			wagon.Eyes(s, 400, 90)
			s.Part("chest").Module().Fixings = []fitout.Fixing{{Mount: "eye-0"}}
			wagon.Put(s, "chest", 0, 0, 300)
		},
		"under a bench": func(s *scene.Scene) {
			wagon.Put(s, "chest", 0, 0, 200)
			top := s.Part("chest").Box
			wagon.Add(s, wagon.Part("bench", fitout.Locker, scene.Still, wagon.Box(3000, 460, top.To.Z, 250, 200, 300), 4))
		},
		"as high as a lip of 130 mm": func(s *scene.Scene) {
			s.Bays[0].Opening.Gap.From.Z = 730
			wagon.Put(s, "unit", 0, 0, 90)
		},
		"on the roof": func(s *scene.Scene) { s.Bays[0].Kind = fitout.BayRoof; wagon.Put(s, "chest", 0, 0, 300) },
	} {
		s := wagon.Sound()
		right(s)
		assert.Empty(t, StandsOnNothing(s), name)
	}
}

// An eye below it holds it down, not up; what stands beside it does not carry it.
func TestWhatIsOnlyHeldDownStandsOnNothing(t *testing.T) {
	s := wagon.Sound()
	wagon.Put(s, "fridge", 0, 0, 300)
	found := StandsOnNothing(s)
	if assert.Len(t, found, 1) {
		assert.Equal(t, 340.0, found[0].Value)
		assert.Contains(t, found[0].Sentence, "Lower it by 310\u00a0mm", "down to the lip that its slide has to pass")
	}
}

// With its middle over what carries it, with something under either end, or with an eye that holds it, it stays up.
func TestWhatIsCarriedDoesNotTopple(t *testing.T) {
	stand := func(s *scene.Scene, id string, y, width float64) {
		wagon.Add(s, wagon.Part(id, fitout.Locker, scene.Still, wagon.Box(3000, y, 640, 250, width, 110), 2))
	}
	for name, right := range map[string]func(s *scene.Scene){
		"just over its middle": func(s *scene.Scene) { stand(s, "stand", 460, 100) },
		"under both ends": func(s *scene.Scene) {
			stand(s, "one", 460, 30)
			stand(s, "other", 630, 30)
		},
		"held by an eye": func(s *scene.Scene) {
			stand(s, "stand", 460, 40)
			wagon.Eyes(s, 400, 90)
			s.Part("chest").Module().Fixings = []fitout.Fixing{{Mount: "eye-0"}}
		},
	} {
		s := wagon.Sound()
		right(s)
		wagon.Put(s, "chest", 0, 0, 110)
		assert.Empty(t, Topples(s), name)
	}
}
