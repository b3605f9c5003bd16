package keeping

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// clearOfSparks is how far gas and fuel keep from what may spark or is hot, mm.
const clearOfSparks = 250

// Nature is what bears on a part's neighbours: by its kind, or by what is said to be in it.
func Nature(p *scene.Part) module.Traits {
	n := p.Traits()
	if p.Item == nil {
		return n
	}
	switch p.Item.Substance {
	case fitout.SubstanceNotSaid, fitout.SubstanceFood, fitout.SubstanceDirt:
	default:
		n.Burns, n.Wet = p.Item.Substance.Burns(), n.Wet || p.Item.Substance == fitout.SubstanceWater
	}
	return n
}

// clearOfHeat is how far bedding and clothes keep from what is hot, mm.
const clearOfHeat = 100

// splash is how far what leaks of acid or bleach keeps from cloth, mm.
const splash = 100

// isSoft tells bedding, clothes and beds from what is hard.
func isSoft(p *scene.Part) bool {
	return p.Item != nil && p.Item.Form == fitout.FormSoft || p.Traits().Bed
}

// BadNeighbours cautions about gas or fuel near what sparks, water above what
// must stay dry, and a heater against soft things.
func BadNeighbours(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	tell := func(p, q *scene.Part, mm, need float64, why, fix string) {
		f := scene.About("bad-neighbours", fitout.Caution, p)
		f.With = []string{q.ID}
		f.Title = fmt.Sprintf("%s beside %s", p.Name(), words.Lower(q.Name()))
		f.Sentence = fmt.Sprintf("%s %s Gas, fuel and mains belong to licensed people under local rules.", why, fix)
		f.Value, f.Limit, f.Margin, f.Source = mm, need, mm-need, "practice"
		f.Lines = []fitout.Line{scene.Line(p.Box.Middle(), q.Box.Middle(), s.Say.Length(mm))}
		if need > 0 {
			f.Fixes = append(s.Moves(p, q.Box.Grown(need), nil), s.Moves(q, p.Box.Grown(need), nil)...)
		}
		found = append(found, f)
	}
	natures := make([]module.Traits, len(s.Parts))
	for i := range s.Parts {
		natures[i] = Nature(&s.Parts[i])
	}
	for i := range s.Parts {
		p := &s.Parts[i]
		burns, wet := natures[i].Burns, natures[i].Wet
		soft, corrodes := isSoft(p), p.Item != nil && p.Item.Substance.Corrodes()
		if !burns && !wet && !soft && !corrodes {
			continue
		}
		for k := range s.Parts {
			q := &s.Parts[k]
			if i == k {
				continue
			}
			sparks, hot, dry := natures[k].Sparks, natures[k].Hot, natures[k].KeepDry
			mm := distance(p.Box, q.Box)
			if burns && sparks && mm < clearOfSparks-scene.Slack {
				tell(
					p,
					q,
					mm,
					clearOfSparks,
					fmt.Sprintf(
						"%s is %s from %s, which may spark or is hot.",
						p.Name(),
						s.Say.Length(mm),
						words.Lower(
							q.Name(),
						),
					),
					fmt.Sprintf(
						"Keep %s between them, or a sealed wall with a drain to the outside.",
						s.Say.Length(clearOfSparks),
					),
				)
			}
			by := p.Box.Overlap(q.Box)
			if wet && dry && by.X > scene.Slack && by.Y > scene.Slack && p.Box.From.Z >= q.Box.To.Z-scene.Slack {
				tell(
					p,
					q,
					p.Box.From.Z-q.Box.To.Z,
					0,
					fmt.Sprintf("%s stands above %s: a leak runs into it.", p.Name(),
						words.Lower(q.Name())),
					"Put water lower than electrics, or beside them.",
				)
			}
			if corrodes && isSoft(q) && mm < splash-scene.Slack {
				tell(
					p,
					q,
					mm,
					splash,
					fmt.Sprintf(
						"%s is %s from %s: what leaks from it eats cloth and metal.",
						p.Name(),
						s.Say.Length(
							mm,
						),
						words.Lower(q.Name()),
					),
					fmt.Sprintf("Keep %s between them, or stand it in a tray of its own.",
						s.Say.Length(splash)),
				)
			}
			if hot && soft && mm < clearOfHeat-scene.Slack {
				tell(q, p, mm, clearOfHeat, fmt.Sprintf("%s is %s from %s, which may char.", q.Name(), s.Say.Length(mm),
					words.Lower(p.Name())), fmt.Sprintf("Keep %s between them.", s.Say.Length(clearOfHeat)))
			}
		}
	}
	return found
}

// distance is the shortest way between two boxes, mm.
func distance(a, b fitout.Box) float64 {
	by := a.Overlap(b)
	return math.Sqrt(sq(max(0, -by.X)) + sq(max(0, -by.Y)) + sq(max(0, -by.Z)))
}

func sq(x float64) float64 { return x * x }

// FuelInside stops fuel or gas where people travel or sleep.
func FuelInside(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := scene.BayOf(s.Bays, p.Bay)
		if !Nature(p).Burns || bay == nil || !bay.Shared {
			continue
		}
		f := scene.About("fuel-inside", fitout.Stop, p)
		f.Title = fmt.Sprintf("%s where people are", p.Name())
		f.Sentence = fmt.Sprintf(
			"%s stands in %s, where people travel or sleep: vapour gathers there. Move it outside, or "+
				"into a locker that is sealed against the inside and drains to the outside.",
			p.Name(),
			words.Lower(bay.Name),
		)
		f.Unit, f.Source = "", "practice"
		f.Margin = -1
		found = append(found, f)
	}
	return found
}

// VapourClosed cautions of gas, petrol or spirits in a closed space in which something sparks, however far
// apart: what leaks gathers there, and finds it.
func VapourClosed(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		bay := s.BayOf(p)
		if bay == nil || !bay.Sealed || bay.Shared || p.Item == nil || s.Lockers[p.ID] {
			continue
		}
		switch p.Item.Substance {
		case fitout.SubstanceGas, fitout.SubstancePetrol, fitout.SubstanceSpirits:
		default:
			continue
		}
		f := scene.About("vapour-closed", fitout.Caution, p)
		var sparks []string
		for k := range s.Parts {
			q := &s.Parts[k]
			if i == k || q.Bay != p.Bay || !Nature(q).Sparks {
				continue
			}
			f.With, sparks = append(f.With, q.ID), append(sparks, words.Lower(q.Name()))
			f.Lines = append(f.Lines, scene.Line(p.Box.Middle(), q.Box.Middle(), ""))
		}
		if len(sparks) == 0 {
			continue
		}
		f.Title = fmt.Sprintf("%s and %s are shut in together", p.Name(), words.List(sparks))
		f.Sentence = fmt.Sprintf(
			"%s is closed: what leaks gathers in it, and %s may spark. Put %s elsewhere, or into a locker of its "+
				"own that drains to the outside. Gas and fuel belong to licensed people under local rules.",
			bay.Name,
			words.List(sparks),
			words.Lower(p.Name()),
		)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = 0, 0, -1, "", "practice"
		found = append(found, f)
	}
	return found
}
