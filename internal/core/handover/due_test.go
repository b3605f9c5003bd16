package handover_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
)

func delivered(intervals ...fitout.Interval) fitout.Job {
	j := fitout.NewJob("j", "J", fitout.AustraliaNZ)
	j.Handover.Delivered, j.Handover.Km, j.Handover.Intervals = "2026-01-31", 40_000, intervals
	return j
}

// A month after the last of January is the last of February, and half a month counts 15 days.
func TestDuesByTheCalendar(t *testing.T) {
	for _, c := range []struct {
		months float64
		last   string
		on     string
		today  string
		state  string
	}{
		{1, "", "2026-02-28", "2026-01-20", "later"}, {1, "", "2026-02-28", "2026-02-01", "soon"},
		{1, "", "2026-02-28", "2026-02-28", "soon"}, {1, "", "2026-02-28", "2026-03-01", "overdue"},
		{24, "", "2028-01-31", "2026-03-01", "later"}, {25, "", "2028-02-29", "2026-03-01", "later"},
		{12, "2026-05-15", "2027-05-15", "2026-06-01", "later"}, {1.5, "2026-03-01", "2026-04-16", "2026-03-02", "later"},
	} {
		j := delivered(fitout.Interval{ID: "i", Name: "Check", Months: c.months, LastOn: c.last})
		dues := handover.Dues(&j, handover.Driven{}, c.today)
		require.Len(t, dues, 1)
		assert.Equal(t, c.on, dues[0].On, "%v months", c.months)
		assert.Equal(t, c.state, dues[0].State, "%v months on %s", c.months, c.today)
	}
}

func TestDuesByTheWay(t *testing.T) {
	j := delivered(fitout.Interval{ID: "nuts", Name: "Wheel nuts", Km: 100, Once: true},
		fitout.Interval{ID: "runners", Name: "Runners", Km: 1000, Rough: true, LastOn: "2026-03-01"})
	state := func(d handover.Driven) map[string]string {
		all := map[string]string{}
		for _, due := range handover.Dues(&j, d, "2026-02-01") {
			all[due.ID] = due.State
		}
		return all
	}
	assert.Equal(
		t,
		map[string]string{"interval/nuts": "later", "interval/runners": "later"},
		state(handover.Driven{Km: 40_050}),
	)
	assert.Equal(t, "soon", state(handover.Driven{Km: 40_095})["interval/nuts"])
	assert.Equal(t, "overdue", state(handover.Driven{Km: 40_100})["interval/nuts"])
	rough := []handover.RoughKm{{On: "2026-02-20", Km: 900}, {On: "2026-03-02", Km: 600}, {On: "2026-03-09", Km: 450}}
	assert.Equal(
		t,
		"overdue",
		state(handover.Driven{Rough: rough})["interval/runners"],
		"what was driven before the last check does not count",
	)
	assert.Equal(t, "later", state(handover.Driven{Rough: rough[:2]})["interval/runners"])
	j.Handover.Intervals[0].LastOn = "2026-02-02"
	assert.NotContains(t, state(handover.Driven{Km: 90_000}), "interval/nuts", "once is once")
}

// What was not handed over has nothing due but papers that expire.
func TestWhatWasNotHandedOver(t *testing.T) {
	j := delivered(fitout.Interval{ID: "i", Name: "Check", Months: 1})
	j.Handover.Delivered = ""
	j.Handover.Papers = []fitout.Paper{
		{ID: "gas", Name: "Gas", Expires: "2026-01-10"},
		{ID: "odd", Name: "Odd", Expires: "soon"},
	}
	dues := handover.Dues(&j, handover.Driven{}, "2026-02-01")
	require.Len(t, dues, 1)
	assert.Equal(t, "paper/gas", dues[0].ID)
	assert.Equal(t, "overdue", dues[0].State)
	assert.Empty(t, handover.Dues(&j, handover.Driven{}, "tomorrow"))
}

// The most pressing come first, then by day.
func TestTheMostPressingFirst(t *testing.T) {
	j := delivered(
		fitout.Interval{ID: "later", Name: "Later", Months: 30},
		fitout.Interval{ID: "over", Name: "Over", Months: 1},
		fitout.Interval{
			ID:     "soon",
			Name:   "Soon",
			Months: 6,
		},
		fitout.Interval{ID: "older", Name: "Older", Months: 0.5},
	)
	var ids []string
	for _, d := range handover.Dues(&j, handover.Driven{}, "2026-07-15") {
		ids = append(ids, d.ID)
	}
	assert.Equal(t, []string{"interval/older", "interval/over", "interval/soon", "interval/later"}, ids)
}
