package trip

import "zaino/internal/core/fitout"

// allRules are all rules of the trip, by what they look at.
func allRules() []func(*Look) []fitout.Finding {
	return []func(*Look) []fitout.Finding{
		legTooLong, tanksTooSmall, hangsOnUnsure, wrongFuel, fuelWeight, axleOverOnTheWay, legOdd, briefDiffers,
		waterShort, washShort, washesWithDrinking, wasteFull, foodShort, carriedWater, frozen,
		gasShort, gasInTheCold, gasLocker, burnsInside,
		fillerFlat, fillerNarrow, fillerHigh, fillerFar, fillerHidden, fillerNearSparks, pointHidden,
		noBreather, breatherLow, noExpansion, noBaffles, noSender, tankUnsaid,
		runsOver, feedsUphill, feedsTooSlowly, canBehind,
		tapUnfed, tapWeak, tapLeaves, tapFar, pumpSmall, onePump,
		hoseShort, inflationLong, compressorHot, bagWithoutValve, pressuresMissing, pressureOdd, airOdd,
	}
}
