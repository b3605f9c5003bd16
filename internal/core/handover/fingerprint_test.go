package handover_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
)

// A pack is told again by everything that goes into it, and by nothing that only says that it was given; an empty field
// leaves no mark.
func TestAPackIsToldByWhatItIsMadeOf(t *testing.T) {
	base := delivered(fitout.Interval{ID: "i", Name: "Check", Months: 1})
	sum := handover.Fingerprint(&base)
	for name, change := range map[string]func(j *fitout.Job){
		"a mass":              func(j *fitout.Job) { j.Vehicle.Tanks = []fitout.Tank{{ID: "fuel", Now: 12}} },
		"a name":              func(j *fitout.Job) { j.Name += "x" },
		"a word of care":      func(j *fitout.Job) { j.Handover.Care = "Wash it" },
		"an interval":         func(j *fitout.Job) { j.Handover.Intervals = nil },
		"a sign":              func(j *fitout.Job) { j.Brief.Trip.Coldest = -j.Brief.Trip.Coldest },
		"moved between lists": func(j *fitout.Job) { j.Handover.Cautions, j.Handover.Left = "", "Check" },
	} {
		other := delivered(fitout.Interval{ID: "i", Name: "Check", Months: 1})
		change(&other)
		assert.NotEqual(t, sum, handover.Fingerprint(&other), name)
	}
	same := delivered(fitout.Interval{ID: "i", Name: "Check", Months: 1})
	same.Handover.Signed = []fitout.Signature{{ID: "s", Name: "N"}}
	same.Handover.Walk = []fitout.Walked{{Point: "load", Done: true}}
	same.Handover.Pack = fitout.PackMade{On: "2026-04-04T10:00", Sum: "x"}
	same.Handover.Papers, same.Version = nil, 8
	assert.Equal(t, sum, handover.Fingerprint(&same))
}
