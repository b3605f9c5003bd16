package rating

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

func ute() fitout.Vehicle {
	v := fitout.NewJob("ute", "Ute", fitout.AustraliaNZ).Vehicle
	v.Limits.Gross.Kg, v.Limits.FrontAxle.Kg, v.Limits.RearAxle.Kg = 3050, 1450, 1850
	return v
}

func with(v fitout.Vehicle, m fitout.Modification) fitout.Vehicle {
	m.Counted = true
	v.Modifications = append(v.Modifications, m)
	return v
}

func binding(r Rating) Kind {
	for _, b := range r.Bounds {
		if b.Binds {
			return b.Kind
		}
	}
	return ""
}

func moves(id fitout.LimitID, kg float64) []fitout.LimitMoved {
	return []fitout.LimitMoved{{Limit: id, Kg: kg}}
}

func TestTyreTable(t *testing.T) {
	for index, want := range map[int]float64{70: 335, 100: 800, 110: 1060, 115: 1215, 120: 1400, 121: 1450, 126: 1700,
		130: 1900} {
		kg, ok := TyreKg(index)
		assert.True(t, ok)
		assert.Equal(t, want, kg, "index %d", index)
	}
	for _, index := range []int{0, 69, 131, -5} {
		_, ok := TyreKg(index)
		assert.False(t, ok, "index %d is off the table", index)
	}
	for index := FirstIndex + 1; index <= LastIndex; index++ {
		lower, _ := TyreKg(index - 1)
		higher, _ := TyreKg(index)
		assert.Greater(t, higher, lower, "a higher index carries more")
	}
}

func TestDualTyresCarryAtTheirDualIndex(t *testing.T) {
	kg, _ := AxleKg(fitout.Tyre{Index: 121})
	assert.Equal(t, 2900.0, kg)
	kg, _ = AxleKg(fitout.Tyre{Index: 121, Dual: true, DualIndex: 120})
	assert.Equal(t, 5600.0, kg)
	kg, _ = AxleKg(fitout.Tyre{Index: 121, Dual: true})
	assert.Equal(t, 5800.0, kg, "without a dual index the single one counts")
}

func TestThePlateBindsAlone(t *testing.T) {
	v := ute()
	r := Of(&v, fitout.LimitGross)
	assert.Equal(t, 3050.0, r.Kg)
	assert.Equal(t, ByPlate, binding(r))
	assert.True(t, r.Stated)
}

func TestAnUpgradeTakesThePlaceOfThePlate(t *testing.T) {
	v := with(ute(), fitout.Modification{ID: "u", Kind: fitout.GrossUpgrade, Limits: moves(fitout.LimitGross, 3490)})
	r := Of(&v, fitout.LimitGross)
	assert.Equal(t, 3490.0, r.Kg)
	assert.Equal(t, ByUpgrade, binding(r))
	assert.Equal(t, Replaced, r.Bounds[0].Void)
	rear := Of(&v, fitout.LimitRearAxle)
	assert.Equal(t, 1850.0, rear.Kg, "the axle rating does not rise with the gross")

	v.Modifications[0].Counted = false
	assert.Equal(t, 3050.0, Of(&v, fitout.LimitGross).Kg, "an upgrade that does not count moves nothing")
}

func TestTyresBindBelowTheUpgradedAxle(t *testing.T) {
	v := with(ute(), fitout.Modification{ID: "u", Kind: fitout.AxleRating, Limits: moves(fitout.LimitRearAxle, 2300)})
	v.Rear.Tyre = fitout.Tyre{Index: 110}
	r := Of(&v, fitout.LimitRearAxle)
	assert.Equal(t, 2120.0, r.Kg)
	assert.Equal(t, ByTyres, binding(r))

	v = with(v, fitout.Modification{ID: "t", Name: "Light truck tyres", Kind: fitout.NewTyres, Axle: fitout.BothAxles,
		Tyre: fitout.Tyre{Index: 121}})
	r = Of(&v, fitout.LimitRearAxle)
	assert.Equal(t, 2300.0, r.Kg, "with heavier tyres the upgrade binds")
}

// Airbags level the vehicle; whatever somebody writes to them, they raise nothing.
func TestAirbagsAndSpringsRaiseNoRating(t *testing.T) {
	for _, kind := range []fitout.ModificationKind{fitout.Airbags, fitout.Springs} {
		v := with(ute(), fitout.Modification{ID: "a", Kind: kind, Limits: moves(fitout.LimitRearAxle, 2500)})
		r := Of(&v, fitout.LimitRearAxle)
		assert.Equal(t, 1850.0, r.Kg)
		assert.Equal(t, RaisesNothing, r.Bounds[1].Void)
	}
}

func TestRackAndHitchOnlyLower(t *testing.T) {
	v := ute()
	v.Limits.RoofMoving.Kg, v.Limits.Ball.Kg = 100, 300
	v = with(v, fitout.Modification{ID: "r", Kind: fitout.RoofRack, Limits: moves(fitout.LimitRoofMoving, 75)})
	v.Hitch.Ball = 350
	assert.Equal(t, ByRack, binding(Of(&v, fitout.LimitRoofMoving)))
	assert.Equal(t, 300.0, Of(&v, fitout.LimitBall).Kg)
	v.Hitch.Ball = 250
	assert.Equal(t, ByHitch, binding(Of(&v, fitout.LimitBall)))
}

func TestAnUnstatedPlateStaysUnstatedUnderKnownTyres(t *testing.T) {
	v := ute()
	v.Limits.RearAxle.Kg, v.Rear.Tyre.Index = 0, 112
	r := Of(&v, fitout.LimitRearAxle)
	assert.False(t, r.Stated)
	assert.Equal(t, 2240.0, r.Kg, "what is known binds all the same")
}

// Whatever is fitted, nothing but an upgrade lets a limit rise above the plate.
func TestOnlyUpgradesRaise(t *testing.T) {
	kinds := []fitout.ModificationKind{fitout.Springs, fitout.Airbags, fitout.NewTyres, fitout.RoofRack, fitout.Bar,
		fitout.Winch, fitout.LongRangeTank, fitout.Towing, fitout.OtherChange}
	rapid.Check(t, func(t *rapid.T) {
		v := ute()
		v.Limits.RoofMoving.Kg, v.Limits.Ball.Kg = 100, 300
		for range rapid.IntRange(0, 6).Draw(t, "n") {
			v = with(v, fitout.Modification{
				Kind: rapid.SampledFrom(kinds).Draw(t, "kind"), Axle: fitout.BothAxles,
				Tyre:   fitout.Tyre{Index: rapid.IntRange(0, 140).Draw(t, "index")},
				Limits: moves(rapid.SampledFrom(fitout.LimitIDs[:]).Draw(t, "limit"), rapid.Float64Range(0, 9000).Draw(t, "kg")),
			})
		}
		for _, r := range All(&v) {
			if plate := v.Limits.Get(r.Limit).Kg; plate > 0 && r.Kg > plate {
				t.Fatalf("%s rose from %v to %v", r.Limit, plate, r.Kg)
			}
		}
	})
}
