package trip

import (
	"fmt"
	"math"

	"zaino/internal/core/brief"
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
		if fill.Drop == 0 && fill.Run == 0 || fall >= leastFall-0.1 {
			return nil
		}
		f := about("filler-flat", fitout.Caution, "plumbing", v.ID)
		f.Title = fmt.Sprintf("Filler of %s falls only %.1f°", words.Lower(v.Name), fall)
		f.Sentence = words.Sentences(
			fmt.Sprintf("It falls %s over %s; below %.0f° what is filled in comes back.", l.Say.Length(fill.Drop),
				l.Say.Length(fill.Run), leastFall),
			fmt.Sprintf("Raise its mouth by %s, or bring it nearer.",
				l.Say.LengthAtLeast(math.Ceil(fill.Run*math.Tan(leastFall*math.Pi/180)-fill.Drop))))
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

// fillerHigh cautions of a filler whose mouth is above the grip of those who serve, unless a step comes along.
func fillerHigh(l *Look) []fitout.Finding {
	reach := brief.NeedsOf(&l.Job.Brief).Reach
	if reach.Grip == 0 {
		return nil
	}
	grip := reach.Grip
	for i := range l.Items {
		if m := l.Items[i].Module; m != nil && module.TraitsOf(m.Kind).Step && l.Load.Items[i].Present {
			grip = reach.Grip + l.Job.Practice.Step
		}
	}
	return l.fillers(func(v *Vessel, fill *fitout.Filler) []fitout.Finding {
		if fill.At.Z <= grip+words.Enough {
			return nil
		}
		f := about("filler-high", fitout.Caution, "plumbing", v.ID)
		f.Title = fmt.Sprintf("Filler of %s %s above reach", words.Lower(v.Name), l.Say.Length(fill.At.Z-grip))
		f.Sentence = fmt.Sprintf(
			"Its mouth is %s above the ground; %s holds a nozzle or a can up to %s. Put it %s lower, or "+
				"measure again.",
			l.Say.Length(fill.At.Z),
			reach.Who,
			l.Say.Length(grip),
			l.Say.LengthAtLeast(fill.At.Z-grip),
		)
		f.Over(fill.At.Z, grip, "mm")
		return []fitout.Finding{f}
	})
}

// pipeSlack is how much further from its vessel than its pipe is long a filler's mouth may be, mm: a neck on the
// vessel.
const pipeSlack = 100.0

// fillerFar cautions of a filler whose pipe does not come as far, level, as its mouth is from what it fills.
func fillerFar(l *Look) []fitout.Finding {
	return l.fillers(func(v *Vessel, fill *fitout.Filler) []fitout.Finding {
		b, sized := l.box(v)
		if !sized || fill.Run == 0 {
			return nil
		}
		at := fill.At
		at.Z = b.Middle().Z
		far := b.Off(at)
		if far <= fill.Run+pipeSlack+words.Enough {
			return nil
		}
		f := about("filler-far", fitout.Caution, "plumbing", v.ID)
		f.Title = fmt.Sprintf("Pipe of %s does not come to its filler", words.Lower(v.Name))
		f.Sentence = fmt.Sprintf(
			"It is entered with %s level, and the mouth is %s away. Bring the mouth nearer, or enter a pipe "+
				"that is %s longer: with it the fall is less.",
			l.Say.Length(fill.Run),
			l.Say.Length(far),
			l.Say.LengthAtLeast(far-fill.Run-pipeSlack),
		)
		f.Source = "physics"
		f.Over(far, fill.Run+pipeSlack, "mm")
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
			if item.Module == nil || item.In != nil || item.ID == v.ID || !l.Load.Items[i].Present ||
				l.Load.Items[i].Trailer {
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
			f.Sentence = fmt.Sprintf(
				"%s stands between the filler and the side that it is filled from. Move one of them, or lead "+
					"the filler to the outside.",
				item.Name,
			)
			if within {
				f.Severity, f.Title = fitout.Stop, fmt.Sprintf(
					"Inlet of %s is inside %s",
					words.Lower(v.Name),
					words.Lower(item.Name),
				)
				f.Sentence = fmt.Sprintf(
					"The mouth of the filler lies within %s. Move one of them.",
					words.Lower(item.Name),
				)
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
			if item.Module == nil || item.In != nil || item.ID == id || !l.Load.Items[i].Present ||
				l.Load.Items[i].Trailer {
				continue
			}
			if item.Box().Off(at) > 0 {
				continue
			}
			f := about("point-hidden", fitout.Caution, "plumbing", id)
			f.With = []string{item.ID}
			f.Title = fmt.Sprintf("%s is inside %s", words.Capital(what), words.Lower(item.Name))
			f.Sentence = fmt.Sprintf(
				"With everything loaded nobody reaches it there: %s lies within %s. Lead it out, or move one of "+
					"them.",
				what,
				words.Lower(item.Name),
			)
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
		f.Sentence = fmt.Sprintf(
			"It ends %s above the ground, the filler is at %s: filled up, it runs out there, and water runs in "+
				"while wading. Lead it higher.",
			l.Say.Length(end.Z),
			l.Say.Length(fill.At.Z),
		)
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
			far := item.Box().Off(fill.At)
			if far >= sparkRoom {
				continue
			}
			f := about("filler-near-sparks", fitout.Stop, "plumbing", v.ID)
			f.With = []string{item.ID}
			f.Title = fmt.Sprintf("Fuel is filled in beside %s", words.Lower(item.Name))
			f.Sentence = fmt.Sprintf(
				"The filler of %s is %s from %s, which may light its vapour. Keep %s between them, or lead one of "+
					"them elsewhere.",
				words.Lower(v.Name),
				l.Say.Length(far),
				words.Lower(item.Name),
				l.Say.Length(sparkRoom),
			)
			f.Under(far, sparkRoom, "mm")
			return []fitout.Finding{f}
		}
		return nil
	})
}
