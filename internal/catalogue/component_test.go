package catalogue

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// Each component can be placed as it is, weighs something, and is no denser
// than a battery or lighter than a bag of feathers.
func TestComponentsArePlausible(t *testing.T) {
	all, err := Components()
	require.NoError(t, err)
	assert.GreaterOrEqual(t, len(all), 70)
	ids, kinds := map[string]bool{}, map[fitout.ModuleKind]bool{}
	for _, c := range all {
		t.Run(c.ID, func(t *testing.T) {
			assert.False(t, ids[c.ID])
			ids[c.ID] = true
			require.NotNil(t, c.Item.Module)
			kinds[c.Item.Module.Kind] = true
			assert.NotEmpty(t, c.Why)
			job := fitout.NewJob("job", "Job", fitout.AustraliaNZ)
			job.Variants[0].Items = []fitout.Item{c.Item}
			require.NoError(t, fitout.Validate(&job))
			require.NoError(t, fitout.CheckComponent(&c))
			if c.Device != nil {
				assert.Positive(t, c.Item.Price)
			}
			kg := module.Placed(job.Variants[0].Items, nil, job.Build.Runners)[0].Mass
			litres := c.Item.Box().Litres()
			least := 0.5
			if c.Device != nil { // a lamp is no drawer unit
				least = 0.05
			}
			assert.Greater(t, kg, least)
			assert.Less(t, kg/litres, 2.0, "%.1f kg in %.0f L", kg, litres)
			assert.Greater(t, kg/litres, 0.015, "%.1f kg in %.0f L", kg, litres)
			if module.Of(c.Item.Module.Kind).Holds {
				for _, cell := range module.Cells(&c.Item) {
					size := cell.Inside.Size()
					assert.Positive(t, min(size.Length, size.Width, size.Height), "%s has room", cell.Name)
				}
			}
		})
	}
	for _, s := range module.Specs {
		assert.True(t, kinds[s.Kind], "no component of kind %s", s.Kind)
	}
}
