package trip

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

// said calls for every vessel of which something is said.
func (l *Look) said(say func(v *Vessel) []fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for i := range l.C.Vessels {
		found = append(found, say(&l.C.Vessels[i])...)
	}
	return found
}

// fillers calls for every vessel whose filler is entered.
func (l *Look) fillers(say func(v *Vessel, f *fitout.Filler) []fitout.Finding) []fitout.Finding {
	return l.said(func(v *Vessel) []fitout.Finding {
		if v.Said.Filler == nil {
			return nil
		}
		return say(v, v.Said.Filler)
	})
}

// leastFall is the least fall of a filler's pipe, degrees. Practice.
const leastFall = 8.0

// fillerFlat cautions of a filler whose pipe falls too little: it spits back.
func fillerFlat(l *Look) []fitout.Finding {
	return l.fillers(func(v *Vessel, fill *fitout.Filler) []fitout.Finding {
		fall := FillerFall(fill.Drop, fill.Run)
		if fill.Drop == 0 && fill.Run == 0 || fall >= leastFall {
			return nil
		}
		f := about("filler-flat", fitout.Caution, "plumbing", v.ID)
		f.Title = fmt.Sprintf("Filler of %s falls only %.1f°", words.Lower(v.Name), fall)
		f.Sentence = words.Sentences(
			fmt.Sprintf("It falls %s over %s; below %.0f° what is filled in comes back.", l.Say.Length(fill.Drop),
				l.Say.Length(fill.Run), leastFall),
			fmt.Sprintf("Raise its mouth by %s, or bring it nearer.",
				l.Say.Length(math.Ceil(fill.Run*math.Tan(leastFall*math.Pi/180)-fill.Drop))))
		f.Under(fall, leastFall, "°")
		return []fitout.Finding{f}
	})
}

// fillerNarrow cautions of a filler that is narrower than what fills it.
func fillerNarrow(l *Look) []fitout.Finding {
	return l.fillers(func(v *Vessel, fill *fitout.Filler) []fitout.Finding {
		if fill.Bore == 0 || fill.Nozzle == 0 || fill.Bore > fill.Nozzle {
			return nil
		}
		f := about("filler-narrow", fitout.Caution, "plumbing", v.ID)
		f.Title = "Filler of " + words.Lower(v.Name) + " is too narrow"
		f.Sentence = fmt.Sprintf("Its bore is %s; what fills it is %s outside, and air has to come out beside it.",
			l.Say.Length(fill.Bore), l.Say.Length(fill.Nozzle))
		f.Under(fill.Bore, fill.Nozzle, "mm")
		return []fitout.Finding{f}
	})
}

// handRoom is how far beside a filler a hand with a nozzle wants nothing, mm.
const handRoom = 600.0

// fillerHidden stops a filler whose mouth lies within a part, and cautions of one with a part between
// it and the side that it is filled from.
func fillerHidden(l *Look) []fitout.Finding {
	return l.fillers(func(v *Vessel, fill *fitout.Filler) []fitout.Finding {
		at := fill.At
		var found []fitout.Finding
		for i := range l.Items {
			item := &l.Items[i]
			if item.Module == nil || item.In != nil || item.ID == v.ID || !l.Load.Items[i].Present || l.Load.Items[i].Trailer {
				continue
			}
			b := item.Box()
			if at.X <= b.From.X || at.X >= b.To.X || at.Z <= b.From.Z || at.Z >= b.To.Z {
				continue
			}
			within := at.Y > b.From.Y && at.Y < b.To.Y
			outside := at.Y >= 0 && b.From.Y >= at.Y && b.From.Y-at.Y < handRoom ||
				at.Y < 0 && b.To.Y <= at.Y && at.Y-b.To.Y < handRoom
			if !within && !outside {
				continue
			}
			f := about("filler-hidden", fitout.Caution, "plumbing", v.ID)
			f.With = []string{item.ID}
			f.Title = fmt.Sprintf("Inlet of %s is behind %s", words.Lower(v.Name), words.Lower(item.Name))
			f.Sentence = fmt.Sprintf("%s stands between the filler and the side that it is filled from. Move one of them, or lead "+
				"the filler to the outside.", item.Name)
			if within {
				f.Severity, f.Title = fitout.Stop, fmt.Sprintf("Inlet of %s is inside %s", words.Lower(v.Name), words.Lower(item.Name))
				f.Sentence = fmt.Sprintf("The mouth of the filler lies within %s. Move one of them.", words.Lower(item.Name))
			}
			f.Lines = []fitout.Line{{From: at, To: b.Middle(), Label: "filler"}}
			f.Margin, f.Source = -1, "physics"
			found = append(found, f)
		}
		return found
	})
}

// pointHidden cautions of a drain or a breather that lies within a part. A tap may: of a kitchen that
// comes out with it.
func pointHidden(l *Look) []fitout.Finding {
	var found []fitout.Finding
	look := func(id, what string, at fitout.Point) {
		for i := range l.Items {
			item := &l.Items[i]
			if item.Module == nil || item.In != nil || item.ID == id || !l.Load.Items[i].Present || l.Load.Items[i].Trailer {
				continue
			}
			if distance(at, item.Box()) > 0 {
				continue
			}
			f := about("point-hidden", fitout.Caution, "plumbing", id)
			f.With = []string{item.ID}
			f.Title = fmt.Sprintf("%s is inside %s", words.Capital(what), words.Lower(item.Name))
			f.Sentence = fmt.Sprintf("With everything loaded nobody reaches it there: %s lies within %s. Lead it out, or move one of "+
				"them.", what, words.Lower(item.Name))
			f.Lines = []fitout.Line{{From: at, To: item.Box().Middle(), Label: what}}
			f.Margin, f.Source = -1, "physics"
			found = append(found, f)
			return
		}
	}
	for i := range l.C.Vessels {
		v := &l.C.Vessels[i]
		if v.Said.DrainAt != nil {
			look(v.ID, "the drain of "+words.Lower(v.Name), *v.Said.DrainAt)
		}
		if v.Said.BreatherAt != nil {
			look(v.ID, "the breather of "+words.Lower(v.Name), *v.Said.BreatherAt)
		}
	}
	return found
}

// breatherLow cautions of a breather whose end is not above its filler: what is filled in comes out
// of it.
func breatherLow(l *Look) []fitout.Finding {
	return l.fillers(func(v *Vessel, fill *fitout.Filler) []fitout.Finding {
		end := v.Said.BreatherAt
		if end == nil || end.Z > fill.At.Z {
			return nil
		}
		f := about("breather-low", fitout.Caution, "plumbing", v.ID)
		f.Title = fmt.Sprintf("Breather of %s ends below its filler", words.Lower(v.Name))
		f.Sentence = fmt.Sprintf("It ends %s above the ground, the filler is at %s: filled up, it runs out there, and water runs in "+
			"while wading. Lead it higher.", l.Say.Length(end.Z), l.Say.Length(fill.At.Z))
		f.Source = "physics"
		f.Under(end.Z, fill.At.Z, "mm")
		return []fitout.Finding{f}
	})
}

// sparkRoom is how far fuel is filled from what may spark or is hot, mm. Practice.
const sparkRoom = 500.0

// fillerNearSparks stops a filler of fuel beside what may light it.
func fillerNearSparks(l *Look) []fitout.Finding {
	return l.fillers(func(v *Vessel, fill *fitout.Filler) []fitout.Finding {
		if v.Holds != fitout.HoldsFuel {
			return nil
		}
		for i := range l.Items {
			item := &l.Items[i]
			if item.Module == nil || !l.Load.Items[i].Present || item.ID == v.ID {
				continue
			}
			traits := module.TraitsOf(item.Module.Kind)
			if !traits.Sparks && !traits.Hot {
				continue
			}
			far := distance(fill.At, item.Box())
			if far >= sparkRoom {
				continue
			}
			f := about("filler-near-sparks", fitout.Stop, "plumbing", v.ID)
			f.With = []string{item.ID}
			f.Title = fmt.Sprintf("Fuel is filled in beside %s", words.Lower(item.Name))
			f.Sentence = fmt.Sprintf("The filler of %s is %s from %s, which may light its vapour. Keep %s between them, or lead one of "+
				"them elsewhere.", words.Lower(v.Name), l.Say.Length(far), words.Lower(item.Name), l.Say.Length(sparkRoom))
			f.Under(far, sparkRoom, "mm")
			return []fitout.Finding{f}
		}
		return nil
	})
}

// distance is how far a place is from a box, mm.
func distance(at fitout.Point, b fitout.Box) float64 {
	out := func(low, value, high float64) float64 { return max(0, low-value, value-high) }
	return math.Sqrt(math.Pow(out(b.From.X, at.X, b.To.X), 2) + math.Pow(out(b.From.Y, at.Y, b.To.Y), 2) +
		math.Pow(out(b.From.Z, at.Z, b.To.Z), 2))
}

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
		f.Sentence = fmt.Sprintf("%s run to and fro in it when it is half full, and the vehicle with them. From %s on a tank wants "+
			"baffles.", l.Say.Volume(v.Capacity), l.Say.Volume(baffledFrom))
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
		if v.Holds != fitout.HoldsFuel || k >= 0 && (l.Items[k].Module == nil || l.Items[k].Module.Kind != fitout.FuelTank) {
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
			{v.Said.Feeds == "", "what it feeds"}, {v.Said.Feeds != "" && v.Said.Stops == "", "what ends that in time"}} {
			if what.missing {
				unsaid = append(unsaid, what.word)
			}
		}
		if len(unsaid) == 0 {
			return nil
		}
		f := about("tank-unsaid", fitout.Note, "plumbing", v.ID)
		f.Title = fmt.Sprintf("How %s is plumbed is not said", words.Lower(v.Name))
		f.Sentence = fmt.Sprintf("A tank is more than a box: %s are not said, so that nothing is found about them. Say it under Range, "+
			"Vessels.", words.List(unsaid))
		if len(unsaid) == 1 {
			f.Sentence = fmt.Sprintf("A tank is more than a box: %s is not said, so that nothing is found about it. Say it under Range, "+
				"Vessels.", unsaid[0])
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
		f.Sentence = fmt.Sprintf("Its bottom is %s above the ground, and %s is at %s: it stops feeding before it is empty, or never "+
			"begins. Raise it, or pump.", l.Say.Length(own.From.Z), words.Lower(to.Name), l.Say.Length(its.Middle().Z))
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
		f.Sentence = fmt.Sprintf("It gives %s; after %s the engine takes %s an hour.", l.Say.Flow(v.Said.Rate), l.stop(at).Name,
			l.Say.Volume(hour))
		f.Under(60*v.Said.Rate, hour, "L/h")
		return []fitout.Finding{f}
	})
}
