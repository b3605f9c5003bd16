package load

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// weighed is the worked vehicle with tickets instead of papers.
func weighed(tickets ...fitout.Ticket) fitout.Vehicle {
	j := worked()
	j.Vehicle.Baseline = fitout.Baseline{Definition: fitout.AsWeighed, FrontShare: 0.6, CGHeight: 690, Tickets: tickets}
	return j.Vehicle
}

func axleTicket(front, rear float64) fitout.Ticket {
	return fitout.Ticket{Reading: fitout.ReadAxles, Front: front, Rear: rear, Counted: true, Level: true}
}

func TestTwoTicketsWithDifferentLoadsAgreeOnTheDryVehicle(t *testing.T) {
	first := axleTicket(1236, 868)
	first.Tanks = []fitout.WeighedTank{{Tank: "fuel", Litres: 30}}
	first.People = []fitout.WeighedPerson{{Seat: "driver", Kg: 88}}
	empty := axleTicket(1178, 812.8)
	v := weighed(first, empty)
	w := weigh(&v)
	assertAxles(t, 1178.0, 812.8, w.Axles)
	assert.True(t, w.Split)
	assert.Empty(t, w.Doubts)
	alone := weighed(empty)
	assert.Less(t, w.Sigma.Rear, weigh(&alone).Sigma.Rear, "two weighings are surer than one")
}

func TestATicketBelongsToThePartsOfThatDay(t *testing.T) {
	withTub := axleTicket(1170, 935) // tub of 118 at x 3360 was on
	withTub.Parts = []fitout.WeighedPart{{Part: "tub"}}
	v := weighed(withTub)
	v.Parts = []fitout.Part{{ID: "tub", Mass: 118, At: fitout.Point{X: 3360}, InBaseline: true, State: fitout.Removed}}
	assertAxles(t, 1170, 935, weigh(&v).Axles)

	later := axleTicket(1170+118*(3360.0/3150-1), 935-118*3360.0/3150) // weighed again without it
	v = weighed(withTub, later)
	v.Parts = []fitout.Part{{ID: "tub", Mass: 118, At: fitout.Point{X: 3360}, InBaseline: true, State: fitout.Removed}}
	w := weigh(&v)
	assertAxles(t, 1170, 935, w.Axles)
	assert.Empty(t, w.Doubts)
}

func TestFourCornersTellTheHeavySide(t *testing.T) {
	v := weighed(fitout.Ticket{Reading: fitout.ReadCorners, FrontLeft: 600, FrontRight: 560, RearLeft: 420, RearRight: 400,
		Counted: true, Level: true})
	w := weigh(&v)
	assertAxles(t, 1160, 820, w.Axles)
	require.True(t, w.HasSide)
	assert.InDelta(t, -(40*1540.0/2+20*1560.0/2)/1980, w.Side, 0.001)
	corners := Moments{}.Add(dryVehicle(&v).Mass).Corners(3150, 1540, 1560)
	assert.InDelta(t, 1020, corners.Left(), 1, "the engine stands as heavy on the left as the scale said")
}

func TestOnlyTheWholeWasWeighed(t *testing.T) {
	v := weighed(fitout.Ticket{Reading: fitout.ReadTotal, Total: 2000, Counted: true})
	w := weigh(&v)
	assert.False(t, w.Split)
	assertAxles(t, 1200, 800, w.Axles) // the assumed share of 60 %
}

func TestContradictoryTicketsArePointedOut(t *testing.T) {
	v := weighed(axleTicket(1180, 810), axleTicket(1180, 960))
	d := weigh(&v).Doubts
	require.Len(t, d, 1)
	assert.Equal(t, Doubt{Ticket: 1, Against: 0, Figure: "rear", Given: 960, Other: 810, Allowed: d[0].Allowed}, d[0])
	assert.InDelta(t, 25.1, d[0].Allowed, 0.1, "1 %% of each reading, twice")

	v = weighed(axleTicket(1180, 810), axleTicket(1176, 960), axleTicket(1184, 806))
	d = weigh(&v).Doubts
	require.Len(t, d, 1)
	assert.Equal(t, 1, d[0].Ticket, "of three, the one that stands alone")
	assert.Equal(t, -1, d[0].Against)

	doubtful := axleTicket(1180, 960)
	doubtful.Counted = false
	v = weighed(axleTicket(1180, 810), doubtful)
	assert.Empty(t, weigh(&v).Doubts, "a ticket that does not count contradicts nothing")
}

func TestATicketCanContradictItself(t *testing.T) {
	ticket := axleTicket(1180, 810)
	ticket.Total = 2190 // 200 kg more than its axles
	v := weighed(ticket)
	d := weigh(&v).Doubts
	require.Len(t, d, 1)
	assert.Equal(t, d[0].Ticket, d[0].Against)
	assert.Equal(t, 2190.0, d[0].Other)
}

func TestASlopeExplainsWhatALevelScaleWouldNot(t *testing.T) {
	a, b := axleTicket(1180, 810), axleTicket(1155, 836)
	v := weighed(a, b)
	assert.NotEmpty(t, weigh(&v).Doubts)
	b.Level = false
	v = weighed(a, b)
	assert.Empty(t, weigh(&v).Doubts)
}

// However it was loaded on the scale, the dry vehicle comes back out.
func TestWhatWasAboardIsTakenOffExactly(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		litres, kg := rapid.Float64Range(0, 75).Draw(t, "litres"), rapid.Float64Range(0, 130).Draw(t, "kg")
		j := worked()
		loaded := Sum([]Mass{{litres * 0.84, 2050, 0, 600}, {kg, 1390, 360, 980}}).Axles(3150)
		ticket := axleTicket(1176+loaded.Front, 781+loaded.Rear)
		ticket.Tanks = []fitout.WeighedTank{{Tank: "fuel", Litres: litres}}
		ticket.People = []fitout.WeighedPerson{{Seat: "driver", Kg: kg}}
		j.Vehicle.Baseline = fitout.Baseline{Definition: fitout.AsWeighed, Tickets: []fitout.Ticket{ticket}}
		w := weigh(&j.Vehicle)
		assert.InDelta(t, 1176, w.Axles.Front, 1e-6)
		assert.InDelta(t, 781, w.Axles.Rear, 1e-6)
	})
}
