package brief

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

func job() fitout.Job {
	j := fitout.NewJob("j", "J", fitout.AustraliaNZ)
	j.Vehicle.Limits.Gross.Kg = 3300
	j.Brief.Trip = fitout.Trip{Nights: 5, FuelDistance: 400, DayDistance: 80, Coldest: 6, Hottest: 31,
		Tows: fitout.TowsNever}
	j.Brief.Travellers = []fitout.Traveller{
		{ID: "a", Name: "Rowan", Kind: fitout.TravellerPerson, Mass: 80, Height: 1810, Sleeps: true, Serves: true},
		{ID: "b", Name: "Ide", Kind: fitout.TravellerPerson, Mass: 61, Height: 1560, Sleeps: true, Serves: true},
	}
	return j
}

func of(t *testing.T, j fitout.Job, left float64, id string) *School {
	t.Helper()
	for _, s := range Schools(&j, left) {
		if s.ID == id {
			return s
		}
	}
	require.Fail(t, "no such call", id)
	return nil
}

// Whatever the brief, every call has at least two ways, each with something to
// say for it or against it, a recommendation, and a reason.
func TestEveryCallIsArgued(t *testing.T) {
	jobs := []fitout.Job{job(), fitout.NewJob("empty", "Empty", fitout.NorthAmerica)}
	cold := job()
	cold.Brief.Trip.Coldest, cold.Brief.Camp.SleepWhere, cold.Vehicle.Outline.Body = -15, fitout.SleepInside,
		fitout.BodyWagon
	jobs = append(jobs, cold)
	for _, j := range jobs {
		seen := map[string]bool{}
		calls := Schools(&j, 300)
		assert.GreaterOrEqual(t, len(calls), 30)
		for _, c := range calls {
			assert.False(t, seen[c.ID], c.ID)
			seen[c.ID] = true
			assert.NotEmpty(t, c.Reason, c.ID)
			require.GreaterOrEqual(t, len(c.Ways), 2, c.ID)
			found := false
			for _, w := range c.Ways {
				found = found || w.ID == c.Recommended
				if c.ID != "fuel-store" && c.ID != "suspension" {
					assert.NotEmpty(t, append(w.For, w.Against...), "%s: %s", c.ID, w.ID)
				}
				sum := 0
				for _, a := range w.For {
					sum += a.Weight
				}
				for _, a := range w.Against {
					sum -= a.Weight
				}
				assert.Equal(t, sum, w.Score)
			}
			assert.True(t, found, c.ID)
		}
	}
}

// The rim of a chest on a high floor is above the shorter one's reach; on a low
// floor it is not, and the plain slide is enough.
func TestTheFridgeFollowsReach(t *testing.T) {
	j := job()
	j.Vehicle.Outline.FloorHeight = 950
	high := of(t, j, 400, "fridge")
	assert.NotEqual(t, "chest-plain", high.Recommended)
	assert.Contains(t, high.Ways[0].Against[0].Text, "Ide reaches into it up to 1\u202f170\u00a0mm")
	j.Vehicle.Outline.FloorHeight = 600
	assert.Equal(t, "chest-plain", of(t, j, 400, "fridge").Recommended)
}

func TestShortPayloadSpeaksForLightBuilding(t *testing.T) {
	j := job()
	assert.Equal(t, "foam-core", of(t, j, 90, "material").Recommended)
	assert.Equal(t, "upgrade", of(t, j, -120, "suspension").Recommended)
	assert.Equal(t, "none", of(t, j, 600, "suspension").Recommended)
}

func TestWhatHasToComeOutIsNotBolted(t *testing.T) {
	j := job()
	assert.Equal(t, "bolted", of(t, j, 400, "fixing").Recommended)
	j.Brief.Daily.LiftOut = []fitout.LiftOut{{ID: "p", Name: "Platform", Minutes: 15, People: 2}}
	assert.Equal(t, "lift-out", of(t, j, 400, "fixing").Recommended)
	assert.Equal(t, "tie-down", of(t, j, 400, "holding").Recommended)
}

func TestFuelBeyondTheTanks(t *testing.T) {
	j := job() // 75 L
	assert.Equal(t, "none", of(t, j, 400, "fuel-store").Recommended)
	j.Brief.Trip.FuelDistance = 550
	assert.Equal(t, "cans", of(t, j, 400, "fuel-store").Recommended)
	j.Brief.Trip.FuelDistance = 1100
	assert.Equal(t, "second-tank", of(t, j, 400, "fuel-store").Recommended)
}

func TestFrostBringsTheTanksInside(t *testing.T) {
	j := job()
	assert.Equal(t, "drained", of(t, j, 400, "freezing").Recommended)
	j.Brief.Trip.Coldest = -8
	assert.Equal(t, "inside", of(t, j, 400, "freezing").Recommended)
}

func TestTheDecisionIsTheBriefs(t *testing.T) {
	j := job()
	assert.Empty(t, of(t, j, 400, "solar").Choice, "undecided")
	j.Brief.Choices = []fitout.SchoolChoice{{School: "solar", Choice: "loose", Why: "Camps in the shade"}}
	c := of(t, j, 400, "solar")
	assert.Equal(t, "loose", c.Choice)
	assert.Equal(t, "Camps in the shade", c.Why)
}

func TestASmallBudgetSpeaksAgainstDearWays(t *testing.T) {
	j := job()
	before := of(t, j, 400, "runners").Ways[0].Score
	j.Brief.Budget = 300_000
	assert.Equal(t, before-1, of(t, j, 400, "runners").Ways[0].Score)
}
