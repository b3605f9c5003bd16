package fit

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
)

// A part stands on its floor, on packers, on an arch or on another part, hangs by an eye above it or under a bench;
// and in a stance it may be put where somebody holds it. A slide is raised as far as the lip of its door wants it.
func TestWhatStandsOrHangsIsNotInTheAir(t *testing.T) {
	for name, right := range map[string]func(s *Scene){
		"on packers": func(s *Scene) { s.put("chest", 0, 0, 9) },
		"on another part": func(s *Scene) {
			s.add(part("stand", fitout.Locker, Still, box(3000, 460, 640, 250, 200, 110), 2))
			s.put("chest", 0, 0, 110)
		},
		"over an arch": func(s *Scene) {
			s.Bays[0].Obstacles = append(s.Bays[0].Obstacles, box(3000, 500, 600, 300, 200, 150))
			s.Bays[0].Names = append(s.Bays[0].Names, "Right wheel arch")
			s.put("chest", 0, 0, 110)
		},
		"by an eye above it": func(s *Scene) {
			s.eyes(400, 90)
			s.part("chest").Module().Fixings = []fitout.Fixing{{Mount: "eye-0"}}
			s.put("chest", 0, 0, 300)
		},
		"under a bench": func(s *Scene) {
			s.put("chest", 0, 0, 200)
			top := s.part("chest").Box
			s.add(part("bench", fitout.Locker, Still, box(3000, 460, top.To.Z, 250, 200, 300), 4))
		},
		"as high as a lip of 130 mm": func(s *Scene) {
			s.Bays[0].Opening.Gap.From.Z = 730
			s.put("unit", 0, 0, 90)
		},
		"on the roof": func(s *Scene) { s.Bays[0].Kind = fitout.BayRoof; s.put("chest", 0, 0, 300) },
	} {
		s := sound()
		right(s)
		assert.Empty(t, standsOnNothing(s), name)
	}
}

// An eye below it holds it down, not up; what stands beside it does not carry it.
func TestWhatIsOnlyHeldDownStandsOnNothing(t *testing.T) {
	s := sound()
	s.put("fridge", 0, 0, 300)
	found := standsOnNothing(s)
	if assert.Len(t, found, 1) {
		assert.Equal(t, 340.0, found[0].Value)
		assert.Contains(t, found[0].Sentence, "Lower it by 310\u00a0mm", "down to the lip that its slide has to pass")
	}
}

// With its middle over what carries it, with something under either end, or with an eye that holds it, it stays up.
func TestWhatIsCarriedDoesNotTopple(t *testing.T) {
	stand := func(s *Scene, id string, y, width float64) {
		s.add(part(id, fitout.Locker, Still, box(3000, y, 640, 250, width, 110), 2))
	}
	for name, right := range map[string]func(s *Scene){
		"just over its middle": func(s *Scene) { stand(s, "stand", 460, 100) },
		"under both ends": func(s *Scene) {
			stand(s, "one", 460, 30)
			stand(s, "other", 630, 30)
		},
		"held by an eye": func(s *Scene) {
			stand(s, "stand", 460, 40)
			s.eyes(400, 90)
			s.part("chest").Module().Fixings = []fitout.Fixing{{Mount: "eye-0"}}
		},
	} {
		s := sound()
		right(s)
		s.put("chest", 0, 0, 110)
		assert.Empty(t, topples(s), name)
	}
}
