package power

import (
	"math"

	"zaino/internal/core/fitout"
)

// traits are what is practice of a chemistry.
type traits struct {
	cell       float64 // nominal voltage of a 12 V battery, V
	charged    float64 // voltage at which a 12 V battery is charged, V
	usable     float64 // share that may be used
	efficiency float64 // of what is charged into it, the share that is stored
	tau        float64 // time constant of its acceptance, h
	coldest    float64 // °C, below which it must not be charged
	peukert    float64 // exponent
	at0, at10  float64 // share of its capacity at 0 °C and at −10 °C
	chargeC    float64 // charging current as a share of its capacity, where nothing is said
	dischargeC float64 // lasting current as a share of its capacity, where nothing is said
}

// practice has them; figures of practice, to be replaced by a data sheet.
var practice = map[fitout.Chemistry]traits{
	fitout.LFP:     {12.8, 13.6, 0.9, 0.99, 0.1, 0, 1, 0.9, 0.8, 0.5, 1},
	fitout.AGM:     {12, 14.1, 0.5, 0.88, 1.5, -40, 1.1, 0.85, 0.7, 0.25, 0.5},
	fitout.Gel:     {12, 14.1, 0.5, 0.88, 1.5, -40, 1.1, 0.85, 0.7, 0.2, 0.5},
	fitout.Flooded: {12, 14.1, 0.5, 0.88, 2, -40, 1.25, 0.85, 0.7, 0.2, 0.5},
}

// Nominal is the voltage in which a system counts, V: 12.8 of lithium, 12 of lead, and as
// many times as much as its class is 12 V.
func Nominal(s *fitout.PowerSystem) float64 {
	return practice[s.Battery.Chemistry].cell * s.Voltage / 12
}

// Charging is the voltage at which a system is charged, V: 13.6 of lithium, 14.1 of lead
// at 12 V.
func Charging(s *fitout.PowerSystem) float64 {
	return practice[s.Battery.Chemistry].charged * s.Voltage / 12
}

// Capacity is that of all batteries of a system together, Ah at 20 h and 25 °C.
func Capacity(b *fitout.Battery) float64 { return b.Capacity * b.Parallel }

// Usable is the share of a battery that may be used, 0 to 1: as said, else 0.9 of lithium
// and 0.5 of lead.
func Usable(b *fitout.Battery) float64 {
	if b.Usable > 0 {
		return b.Usable
	}
	return practice[b.Chemistry].usable
}

// MostCharge is the greatest current that a battery may be charged with, A: as said, else
// half its capacity of lithium, a quarter of AGM, a fifth of other lead.
func MostCharge(b *fitout.Battery) float64 {
	if b.Charge > 0 {
		return b.Charge
	}
	return Capacity(b) * practice[b.Chemistry].chargeC
}

// MostDischarge is the greatest lasting current that a battery gives, A: as said, else its
// capacity of lithium and half of it of lead.
func MostDischarge(b *fitout.Battery) float64 {
	if b.Discharge > 0 {
		return b.Discharge
	}
	return Capacity(b) * practice[b.Chemistry].dischargeC
}

// Coldest is the temperature below which a battery must not be charged, °C.
func Coldest(b *fitout.Battery) float64 {
	if b.Heated {
		return -40
	}
	return practice[b.Chemistry].coldest
}

// InTheCold is the share of its capacity that a battery gives at a temperature in °C:
// lead 0.85 at 0 °C and 0.7 at −10, lithium 0.9 and 0.8; all from 25 °C upward, between
// these straight, below −10 °C on the same slope, never less than nothing.
func InTheCold(c fitout.Chemistry, temperature float64) float64 {
	t := practice[c]
	switch {
	case temperature >= 25:
		return 1
	case temperature >= 0:
		return t.at0 + (1-t.at0)*temperature/25
	}
	return max(0, t.at0+(t.at0-t.at10)*temperature/10)
}

// Peukert is how long a lead battery lasts at a heavy current, h: t = H (C/(I H))^k with H
// 20 h, C its capacity at 20 h in Ah, I the current in A (more than 0), k 1.1 of AGM and
// gel, 1.25 of flooded lead, 1 of lithium. It is not for the state of charge (Peukert 1897).
func Peukert(c fitout.Chemistry, capacity, current float64) float64 {
	const h = 20
	return h * math.Pow(capacity/(current*h), practice[c].peukert)
}

// HoursLeft is how long a battery lasts from a state of charge to its cut-off, both 0 to 1, at
// a current out of it and one into it, A: (s − cut-off) C/(I_out − I_in), C in Ah; −1 for no
// end, where no less comes in than goes out.
func HoursLeft(charge, cutOff, capacity, out, in float64) float64 {
	if in >= out {
		return -1
	}
	return max(0, charge-cutOff) * capacity / (out - in)
}

// store is a battery as the simulation charges it.
type store struct {
	capacity   float64 // Ah
	most       float64 // charging current, A
	efficiency float64
	tau        float64 // h
}

func storeOf(b *fitout.Battery) store {
	t := practice[b.Chemistry]
	return store{Capacity(b), MostCharge(b), t.efficiency, t.tau}
}

// charge is what a battery takes of a current in a time, Ah, and the state of charge after
// it. It takes the least of the current and of what it may be charged with, until its
// acceptance (1 − s) C/τ limits; from there 1 − s falls as e^(−η t/τ). amps and hours are 0
// or more, from is 0 to 1.
func (b store) charge(from, amps, hours float64) (taken, to float64) {
	constant := min(amps, b.most)
	if constant <= 0 || hours <= 0 || from >= 1 {
		return 0, from
	}
	bend := max(from, 1-constant*b.tau/b.capacity) // where acceptance begins to limit
	first := min(hours, (bend-from)*b.capacity/(b.efficiency*constant))
	at := from + first*constant*b.efficiency/b.capacity
	if rest := hours - first; rest > 0 {
		at = 1 - (1-at)*math.Exp(-b.efficiency*rest/b.tau)
	}
	return (at - from) * b.capacity / b.efficiency, at
}

// hoursToFull is how long a battery takes a current from a state of charge until 99 of 100
// are in, h; math.Inf(1) for no current.
func (b store) hoursToFull(from, amps float64) float64 {
	const full = 0.99
	constant := min(amps, b.most)
	if from >= full {
		return 0
	}
	if constant <= 0 {
		return math.Inf(1)
	}
	bend := max(from, 1-constant*b.tau/b.capacity)
	if bend >= full {
		return (full - from) * b.capacity / (b.efficiency * constant)
	}
	return (bend-from)*b.capacity/(b.efficiency*constant) + math.Log((1-bend)/(1-full))*b.tau/b.efficiency
}

// rested is the voltage of a 12 V battery that rests at a state of charge, V: straight
// between the figures that battery makers print. An estimate, by which a relay or a rule
// that looks at the voltage is followed.
func rested(c fitout.Chemistry, charge float64) float64 {
	type point struct{ charge, volts float64 }
	curve := []point{{0, 11.6}, {0.25, 12.0}, {0.5, 12.25}, {0.75, 12.5}, {1, 12.75}}
	if c == fitout.LFP {
		curve = []point{{0, 11.5}, {0.1, 12.8}, {0.3, 13.0}, {0.7, 13.2}, {0.95, 13.3}, {1, 13.5}}
	}
	for i := 1; i < len(curve); i++ {
		if a, b := curve[i-1], curve[i]; charge <= b.charge {
			return a.volts + (b.volts-a.volts)*(max(0, charge)-a.charge)/(b.charge-a.charge)
		}
	}
	return curve[len(curve)-1].volts
}
