package rating

import "zaino/internal/core/fitout"

// First and last load index of the table.
const (
	FirstIndex = 70
	LastIndex  = 130
)

// indexKg holds kg per tyre for the load indices 70 to 130, single fitment, at
// the pressure and speed that the tyre is marked for. Source: the table of
// load indices in the international tyre and rim standards, which the side
// walls follow.
var indexKg = [LastIndex - FirstIndex + 1]float64{
	335, 345, 355, 365, 375, 387, 400, 412, 425, 437, // 70
	450, 462, 475, 487, 500, 515, 530, 545, 560, 580, // 80
	600, 615, 630, 650, 670, 690, 710, 730, 750, 775, // 90
	800, 825, 850, 875, 900, 925, 950, 975, 1000, 1030, // 100
	1060, 1090, 1120, 1150, 1180, 1215, 1250, 1285, 1320, 1360, // 110
	1400, 1450, 1500, 1550, 1600, 1650, 1700, 1750, 1800, 1850, // 120
	1900, // 130
}

// TyreKg returns what one tyre of a load index carries, kg; ok is false for an
// index off the table.
func TyreKg(index int) (kg float64, ok bool) {
	if index < FirstIndex || index > LastIndex {
		return 0, false
	}
	return indexKg[index-FirstIndex], true
}

// AxleKg returns what the tyres of an axle carry together, kg: two at the
// single index, or four at the dual index (the single one where no dual index
// was read). ok is false for an index off the table.
func AxleKg(t fitout.Tyre) (kg float64, ok bool) {
	if !t.Dual {
		kg, ok = TyreKg(t.Index)
		return 2 * kg, ok
	}
	index := t.DualIndex
	if index == 0 {
		index = t.Index
	}
	kg, ok = TyreKg(index)
	return 4 * kg, ok
}

// TyreOn returns the tyres of an axle: the vehicle's own, or those of the last
// counted modification that puts others there.
func TyreOn(v *fitout.Vehicle, axle fitout.WhichAxle) (tyre fitout.Tyre, from string) {
	tyre = v.Front.Tyre
	if axle == fitout.RearAxle {
		tyre = v.Rear.Tyre
	}
	for i := range v.Modifications {
		if m := &v.Modifications[i]; m.Kind == fitout.NewTyres && m.Counted && m.Axle.On(axle) && m.Tyre.Index > 0 {
			tyre, from = m.Tyre, m.Name
		}
	}
	return tyre, from
}
