package brief

import (
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
)

// crew are two who sleep in the vehicle and a dog, nine nights out.
func crew() fitout.Brief {
	b := fitout.NewBrief()
	b.Travellers = []fitout.Traveller{
		{ID: "a", Name: "Tall", Kind: fitout.TravellerPerson, Mass: 91, Height: 1880, Shoulder: 500, Reach: 2300,
			Sleeps: true, Serves: true},
		{ID: "b", Name: "Short", Kind: fitout.TravellerPerson, Mass: 62, Height: 1580, Shoulder: 430, Sleeps: true,
			Serves: true},
		{ID: "d", Name: "Dog", Kind: fitout.TravellerAnimal, Mass: 24, Height: 900},
	}
	b.Trip = fitout.Trip{Nights: 9, FuelDistance: 800, DayDistance: 100, Hottest: 30, Tows: fitout.TowsNever}
	b.Surfaces = []fitout.Surface{{ID: "s", Name: "Sealed", Share: 50, Factor: 1}, {ID: "t", Name: "Track", Share: 50,
		Factor: 1.5}}
	return b
}

// Worked by hand: (2 people × (5 + 2) + 2 for the dog) × 9 nights + 10 = 154 L;
// 800 km × 13 L/100 km × 1.25 + 15 = 145 L.
func TestWaterAndFuelOfNineNights(t *testing.T) {
	b := crew()
	n := NeedsOf(&b)
	assert.InDelta(t, 154, n.Water.Litres, 1e-9)
	assert.InDelta(t, 1.25, n.Fuel.Surface, 1e-9)
	assert.InDelta(t, 145, n.Fuel.Litres, 1e-9)
	assert.Equal(t, 153.0, n.PeopleKg)
	assert.Equal(t, 24.0, n.AnimalsKg)
}

func TestWaterIsCarriedFromTapToTap(t *testing.T) {
	b := crew()
	b.Trip.WaterDistance = 250 // three days of 100 km
	assert.Equal(t, 3.0, NeedsOf(&b).WaterNights)
	assert.InDelta(t, 16*3+10, NeedsOf(&b).Water.Litres, 1e-9)
	b.Trip.WaterDistance = 5000
	assert.Equal(t, 9.0, NeedsOf(&b).WaterNights, "never longer than between services")
	b.Trip.DayDistance = 0
	assert.Equal(t, 9.0, NeedsOf(&b).WaterNights, "a camp that does not move waits for the services")
}

func TestHeatRaisesWhatIsDrunkAndAShowerWhatIsWashedWith(t *testing.T) {
	b := crew()
	b.Trip.Hottest = 42
	b.Camp.Washing = fitout.WashShower
	n := NeedsOf(&b)
	assert.True(t, n.Water.Hot)
	assert.InDelta(t, 2*(5*1.5+6), n.Water.People, 1e-9)
	assert.InDelta(t, 3, n.Water.Animals, 1e-9)
	b.Travellers[0].Water = 4
	assert.InDelta(t, 4+5*1.5+6, NeedsOf(&b).Water.People, 1e-9, "a person's own figure stands")
}

func TestATrailerDrinksToo(t *testing.T) {
	b := crew()
	b.Trip.Tows = fitout.TowsSometimes
	assert.InDelta(t, 800.0/100*13*1.25*1.35+15, NeedsOf(&b).Fuel.Litres, 1e-9)
}

func TestTheTallestDecidesTheBedAndTheShortestTheRim(t *testing.T) {
	b := crew()
	n := NeedsOf(&b)
	assert.Equal(t, Bed{Sleepers: 2, Length: 1980, Width: 500 + 430 + 300, Tallest: "Tall"}, n.Bed)
	assert.Equal(t, "Short", n.Reach.Who)
	assert.InDelta(t, 0.75*1580, n.Reach.Rim, 1e-9)
	assert.InDelta(t, 0.44*1580, n.Reach.Arm, 1e-9)
	assert.InDelta(t, 1.2*1580, n.Reach.Grip, 1e-9, "nobody measured how high the short one grips")
	b.Travellers[1].Serves = false
	assert.InDelta(t, 2300, NeedsOf(&b).Reach.Grip, 1e-9)
}

// One more mouth, night or kilometre never takes less along.
func TestNeedsNeverShrinkWithTheTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b := crew()
		b.Trip.Nights = rapid.Float64Range(0, 60).Draw(t, "nights")
		b.Trip.FuelDistance = rapid.Float64Range(0, 3000).Draw(t, "km")
		before := NeedsOf(&b)
		b.Trip.Nights++
		b.Trip.FuelDistance += 50
		b.Travellers = append(b.Travellers, fitout.Traveller{Kind: fitout.TravellerPerson})
		after := NeedsOf(&b)
		assert.Greater(t, after.Water.Litres, before.Water.Litres)
		assert.Greater(t, after.Fuel.Litres, before.Fuel.Litres)
	})
}

// The words of the fuel are a sum that comes to the figure, in both systems of units: so
// many miles are divided by the miles that a gallon takes one, and not multiplied.
func TestTheReasonOfTheFuelComesToItsFigure(t *testing.T) {
	for _, c := range []struct {
		region   fitout.Region
		reason   string
		perLitre float64
	}{
		{fitout.AustraliaNZ, `^([\d ]+) km × ([\d.]+) L/100 km × ([\d.]+) for the surfaces \+ ([\d.]+) L reserve`, 1},
		{fitout.NorthAmerica, `^([\d ,]+) mi ÷ ([\d.]+) mpg × ([\d.]+) for the surfaces \+ ([\d.]+) gal reserve`,
			1 / quantity.LitresPerGal},
	} {
		j := fitout.NewJob("j", "J", c.region)
		j.Brief.Trip.FuelDistance = 450
		p := plan.Of(&j)
		all := implied(p)
		k := slices.IndexFunc(all, func(i Implied) bool { return i.ID == "fuel" })
		require.GreaterOrEqual(t, k, 0)
		said := regexp.MustCompile(c.reason).FindStringSubmatch(strings.ReplaceAll(all[k].Reason, "\u00a0", " "))
		require.NotNil(t, said, all[k].Reason)
		var n [4]float64
		for i := range n {
			figure, err := strconv.ParseFloat(strings.NewReplacer(" ", "", ",", "").Replace(said[i+1]), 64)
			require.NoError(t, err)
			n[i] = figure
		}
		litres := n[0] / n[1] * n[2]
		if c.perLitre == 1 {
			litres = n[0] * n[1] / 100 * n[2]
		}
		assert.InEpsilon(t, all[k].Value*c.perLitre, litres+n[3], 0.02, all[k].Reason)
	}
}
