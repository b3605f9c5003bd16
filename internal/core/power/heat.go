package power

import (
	"math"

	"zaino/internal/core/fitout"
)

// TemperatureAt is that of the hour, °C: mean + half the range · cos(2π (h − 15)/24),
// coldest at 3 in the morning, hottest at 3 in the afternoon.
func TemperatureAt(low, high, hour float64) float64 {
	return (low+high)/2 + (high-low)/2*math.Cos(2*math.Pi*(hour-15)/24)
}

// Fridge is the mean draw of what cools at a temperature around it in °C, W: P_ref q r, q =
// max(0, T − T_set)/(T_ref − T_setref), r = (T − T_set + 22)/(T_ref − T_setref + 22) ·
// (T_setref + 263)/(T_set + 263): a constant share of what Carnot allows, the evaporator
// 10 K below, the condenser 12 K above. × 1.15 where its door is opened often, × what
// moving its air was measured to save. An appliance that by its sheet is measured no
// warmer than it is inside counts with its mean.
func Fridge(u *fitout.HeatUse, temperature float64) float64 {
	span := u.At - u.AtInner
	if span <= 0 {
		return u.Mean
	}
	lift := temperature - u.Inner
	if lift <= 0 {
		return 0
	}
	watts := u.Mean * lift / span * (lift + 22) / (span + 22) * (u.AtInner + 263) / (u.Inner + 263)
	if u.Opened {
		watts *= 1.15
	}
	return watts * (1 - u.Saves)
}

// CoolDown is what it takes to cool down what is put in warm, Wh: (m c ΔT + m_frozen 334
// kJ/kg)/3.6/COP with c 4.19 kJ/(kg K), COP 1.2; masses in kg, from a temperature in °C.
func CoolDown(u *fitout.HeatUse, from float64) float64 {
	const heat, melting, cop = 4.19, 334, 1.2
	return (u.Warm*heat*max(0, from-u.Inner) + min(u.Frozen, u.Warm)*melting) / 3.6 / cop
}
