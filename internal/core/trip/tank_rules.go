package trip

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// noBreather cautions of a vessel that cannot breathe.
func noBreather(l *Look) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		if v.Said.Breather != fitout.IsNotSo || v.Holds == fitout.HoldsGas || v.Holds == fitout.HoldsFood {
			return nil
		}
		f := about("no-breather", fitout.Caution, "plumbing", v.ID)
		f.Title = words.Capital(v.Name) + " cannot breathe"
		f.Sentence = "Without a breather it fills slowly and spits, and what is drawn from it stops. Lead one up, with its end above the " +
			"filler."
		f.Margin = -1
		f.Fixes = []fitout.Fix{{Label: "Lead a breather up from " + words.Lower(v.Name),
			Edit: fitout.FixEdit{Kind: "breather", ID: v.ID}}}
		return []fitout.Finding{f}
	})
}

// expansionRoom is the room that fuel wants to grow into, as a share. Practice.
const expansionRoom = 0.03

// noExpansion notes a fuel vessel that is described and filled to the brim.
func noExpansion(l *Look) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		described := v.Said.Filler != nil || v.Said.Feeds != "" || v.Said.Breather != fitout.YesNotSaid
		if v.Holds != fitout.HoldsFuel || !described || v.Said.Expansion >= expansionRoom {
			return nil
		}
		f := about("no-expansion", fitout.Note, "plumbing", v.ID)
		f.Title = words.Capital(v.Name) + " has no room to grow"
		f.Sentence = fmt.Sprintf("Fuel grows in the sun; leave %s of it free, %s.", l.Say.Percent(expansionRoom),
			l.Say.Volume(expansionRoom*v.Capacity))
		f.Under(100*v.Said.Expansion, 100*expansionRoom, "%")
		f.Fixes = []fitout.Fix{{Label: fmt.Sprintf("Leave %s free", l.Say.Percent(expansionRoom)),
			Edit: fitout.FixEdit{Kind: "vessel-room", ID: v.ID, Value: 100 * expansionRoom}}}
		return []fitout.Finding{f}
	})
}

// baffledFrom is the content from which a tank wants baffles, litres. Practice.
const baffledFrom = 50.0

// noBaffles notes a large tank in which its content runs to and fro.
func noBaffles(l *Look) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		if v.Said.Baffles != fitout.IsNotSo || v.Capacity < baffledFrom {
			return nil
		}
		f := about("no-baffles", fitout.Note, "plumbing", v.ID)
		f.Title = words.Capital(v.Name) + " has no baffles"
		f.Sentence = fmt.Sprintf(
			"%s run to and fro in it when it is half full, and the vehicle with them. From %s on a tank wants "+
				"baffles.",
			l.Say.Volume(v.Capacity),
			l.Say.Volume(baffledFrom),
		)
		f.Over(v.Capacity, baffledFrom, "L")
		return []fitout.Finding{f}
	})
}

// tankUnsaid notes a tank of fuel beside the first of which nobody has said how it is plumbed: every rule of
// fillers, breathers and transfer is silent about it.
func tankUnsaid(l *Look) []fitout.Finding {
	main := slices.IndexFunc(l.Vehicle.Tanks, func(t fitout.Tank) bool { return t.Kind == fitout.TankFuel })
	return l.said(func(v *Vessel) []fitout.Finding {
		k := l.Index(v.ID)
		if v.Holds != fitout.HoldsFuel ||
			k >= 0 && (l.Items[k].Module == nil || l.Items[k].Module.Kind != fitout.FuelTank) {
			return nil
		}
		if main >= 0 && v.ID == l.Vehicle.Tanks[main].ID {
			return nil
		}
		var unsaid []string
		for _, what := range []struct {
			missing bool
			word    string
		}{{v.Said.Filler == nil, "its filler"}, {v.Said.Breather == "", "its breather"}, {v.Said.Sender == "", "its sender"},
			{v.Said.Feeds == "", "what it feeds"}, {v.Said.Feeds != "" && v.Said.Stops == "", "what ends that in time"},
			{v.Said.Baffles == "" && v.Capacity >= baffledFrom, "whether it has baffles"}} {
			if what.missing {
				unsaid = append(unsaid, what.word)
			}
		}
		if len(unsaid) == 0 {
			return nil
		}
		f := about("tank-unsaid", fitout.Note, "plumbing", v.ID)
		f.Title = fmt.Sprintf("How %s is plumbed is not said", words.Lower(v.Name))
		f.Sentence = fmt.Sprintf(
			"A tank is more than a box: %s are not said, so that nothing is found about them. Say it under Range, "+
				"Vessels.",
			words.List(unsaid),
		)
		if len(unsaid) == 1 {
			f.Sentence = fmt.Sprintf(
				"A tank is more than a box: %s is not said, so that nothing is found about it. Say it under Range, "+
					"Vessels.",
				unsaid[0],
			)
		}
		f.Margin, f.Source = -1, "practice"
		return []fitout.Finding{f}
	})
}

// noSender notes a second fuel tank whose level nobody can read.
func noSender(l *Look) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		if v.Said.Sender != fitout.IsNotSo || v.Holds != fitout.HoldsFuel {
			return nil
		}
		f := about("no-sender", fitout.Note, "plumbing", v.ID)
		f.Title = "Nobody sees what is in " + words.Lower(v.Name)
		f.Sentence = "It has no sender. Count the litres filled in, or fit one: a plan that leans on it leans on a guess."
		f.Margin = -1
		return []fitout.Finding{f}
	})
}

// runsOver stops a tank that feeds a lower one, or is pumped into another, with nothing that ends
// it in time; it cautions where nobody said.
func runsOver(l *Look) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		to := l.vessel(v.Said.Feeds)
		if to == nil || v.Said.By == "" || v.Said.Stops == fitout.StopFloat || v.Said.Stops == fitout.StopReturn {
			return nil
		}
		rule, how := "runs-over", "by its own weight"
		if v.Said.By == fitout.ByPump {
			rule, how = "pump-without-return", "by a pump"
		}
		f := about(rule, fitout.Stop, "plumbing", v.ID)
		f.With = []string{to.ID}
		f.Title = fmt.Sprintf("Nothing keeps %s from running over", words.Lower(to.Name))
		told := "nothing stops it when that is full"
		if v.Said.Stops == fitout.StopNotSaid {
			f.Severity, told = fitout.Caution, "nobody said what stops it when that is full"
		}
		f.Sentence = fmt.Sprintf("%s feeds %s %s, and %s. A float valve, a level switch or a line back does.",
			v.Name, words.Lower(to.Name), how, told)
		f.Margin = -1
		return []fitout.Finding{f}
	})
}

// feedsUphill stops a tank that is to feed a higher one by its own weight.
func feedsUphill(l *Look) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		to := l.vessel(v.Said.Feeds)
		if to == nil || v.Said.By != fitout.ByGravity {
			return nil
		}
		own, _ := l.box(v)
		its, _ := l.box(to)
		if own.From.Z >= its.Middle().Z {
			return nil
		}
		f := about("feeds-uphill", fitout.Stop, "plumbing", v.ID)
		f.With = []string{to.ID}
		f.Title = fmt.Sprintf("%s does not feed %s by its weight", v.Name, words.Lower(to.Name))
		f.Sentence = fmt.Sprintf(
			"Its bottom is %s above the ground, and %s is at %s: it stops feeding before it is empty, or never "+
				"begins. Raise it, or pump.",
			l.Say.Length(own.From.Z),
			words.Lower(to.Name),
			l.Say.Length(its.Middle().Z),
		)
		f.Source = "physics"
		f.Under(own.From.Z, its.Middle().Z, "mm")
		return []fitout.Finding{f}
	})
}

// feedsTooSlowly cautions of a transfer of fuel that is slower than the engine burns.
func feedsTooSlowly(l *Look) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		if v.Said.Rate == 0 || l.vessel(v.Said.Feeds) == nil || v.Holds != fitout.HoldsFuel {
			return nil
		}
		hour, at := 0.0, 0
		for i := range l.W.Legs {
			if h := l.stop(i).Leg.Hours; h > 0 && l.W.Legs[i].Fuel/h > hour {
				hour, at = l.W.Legs[i].Fuel/h, i
			}
		}
		if hour <= 60*v.Said.Rate {
			return nil
		}
		f := about("feeds-too-slowly", fitout.Caution, "plumbing", v.ID)
		f.Title = fmt.Sprintf("%s feeds slower than the engine burns", v.Name)
		f.Sentence = fmt.Sprintf(
			"It gives %s; after %s the engine takes %s an hour.",
			l.Say.Flow(v.Said.Rate),
			l.stop(at).Name,
			l.Say.Volume(hour),
		)
		f.Under(60*v.Said.Rate, hour, "L/h")
		return []fitout.Finding{f}
	})
}

// fuelWeight cautions of a tank whose fuel weighs what another kind of fuel does: either the engine burns something
// else than was said, or the tank is counted too heavy or too light.
func fuelWeight(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.Vehicle.Tanks {
		t := &l.Vehicle.Tanks[i]
		if t.Kind != fitout.TankFuel || l.Vehicle.Fuel == fitout.NoFuel || fitout.FuelOf(t.Density) == l.Vehicle.Fuel {
			continue
		}
		f := about("fuel-weight", fitout.Caution, "plumbing", t.ID)
		f.Title = fmt.Sprintf("%s is counted as %s", t.Name, fitout.FuelOf(t.Density))
		f.Sentence = fmt.Sprintf("The engine burns %s, and what is in %s weighs %.3g kg/L, as %s does: %s weighs %.3g kg/L. "+
			"Correct one of them; a full tank differs by %s.", l.Vehicle.Fuel, words.Lower(t.Name), t.Density,
			fitout.FuelOf(t.Density), l.Vehicle.Fuel, l.Vehicle.Fuel.Density(),
			l.Say.Mass(math.Abs(t.Density-l.Vehicle.Fuel.Density())*t.Capacity))
		f.Subject = fitout.Subject{Kind: "tank", ID: t.ID}
		f.Value, f.Limit, f.Unit = t.Density, l.Vehicle.Fuel.Density(), "kg/L"
		f.Margin, f.Source = -math.Abs(f.Value-f.Limit), "physics"
		found = append(found, f)
	}
	return found
}
