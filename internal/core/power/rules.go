package power

import "zaino/internal/core/fitout"

// rules are all rules of power, by what they look at.
func allRules() []func(*Look) []fitout.Finding {
	return []func(*Look) []fitout.Finding{
		runsOut, belowReserve, batteryCurrent, chargedFast, chargedInFrost, tooColdToGive, otherChemistry, noIsolator,
		batteryLoose, batteryWithPeople, noMeter,
		startUnprotected, engineOff, noWayHome, laidUp,
		alternatorAsked, alternatorUnsaid, chargersInRing, chargesNothing, coldStrings, portsOver, panelShaded, panelUncontrolled,
		generatorExhaust, generatorFuel, mainsCaution, relayToLithium, sourcesMeet, changeoverFeedsBoth, trailerFedTwice,
		voltagesJoined,
		loadsUnfed, leastVoltage, inverterOver, inverterSurge, inverterBeyondBattery, standbyAllNight, fridgeTooHot,
		mustNotDrop, heatUnsaid, neverRuns, ofOthers, loudAtNight,
		tooDark, switchOrder,
		neverOn, neverOff, namesItself, namesNothing,
		caseRunsOut,
	}
}
