package fit

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// Two bunks above each other are two beds: no step between them, one sleeper on each. Two on one narrow bunk are
// too many; two platforms of one height side by side are one bed, and 40 mm between their heights are a step.
func TestBunksAreTwoBeds(t *testing.T) {
	with := func(people int, second fitout.Box) (rules []string) {
		s := wagon.Sound()
		one := wagon.Part("one", fitout.Platform, scene.Still, wagon.Box(1900, -600, 900, 1950, 600, 30), 12)
		two := wagon.Part("two", fitout.Platform, scene.Still, second, 12)
		one.Leaves, two.Leaves = nil, nil
		s.Parts = []scene.Part{one, two}
		s.Practice.Headroom = 300
		s.Brief.Travellers, s.Stances[1].Sleepers = nil, nil
		for _, name := range []string{"ann", "bo", "cy"}[:people] {
			s.Brief.Travellers = append(s.Brief.Travellers,
				fitout.Traveller{ID: name, Name: name, Kind: fitout.TravellerPerson, Height: 1700, Shoulder: 400})
			s.Stances[1].Sleepers = append(s.Stances[1].Sleepers, fitout.Sleeper{Traveller: name})
		}
		s.Stances = s.Stances[1:]
		s.Prepare()
		for _, rule := range Rules() {
			if strings.HasPrefix(rule.ID, "bed-") {
				for range rule.Check(s) {
					rules = append(rules, rule.ID)
				}
			}
		}
		return rules
	}
	above, beside, uneven := wagon.Box(
		1900,
		-600,
		1300,
		1950,
		600,
		30,
	), wagon.Box(
		1900,
		0,
		900,
		1950,
		600,
		30,
	), wagon.Box(
		1900,
		0,
		940,
		1950,
		600,
		30,
	)
	assert.Empty(t, with(2, above))
	assert.Equal(t, []string{"bed-narrow"}, with(3, above))
	assert.Empty(t, with(2, beside))
	assert.Equal(t, []string{"bed-uneven"}, with(2, uneven))
}
