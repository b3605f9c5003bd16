package assess

import (
	"fmt"
	"slices"
	"strings"
	"unicode"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/quantity"
)

// speaker puts figures and states into the words and units of a job.
type speaker struct{ job *fitout.Job }

func (s speaker) system() quantity.System { return quantity.System(s.job.Units) }

func (s speaker) mass(kg float64) string {
	return quantity.Format(kg, quantity.Mass, s.system())
}

func (s speaker) length(mm float64) string {
	return quantity.Format(mm, quantity.Length, s.system())
}

func (s speaker) volume(litres float64) string {
	return quantity.Format(litres, quantity.Volume, s.system())
}

func (s speaker) term(t fitout.Term) string { return s.job.Region.Word(t) }

// source is the place of a limit as a sentence names it.
func source(s fitout.LimitSource) string {
	switch s {
	case fitout.FromPlate:
		return "plate"
	case fitout.FromPapers:
		return "papers"
	case fitout.FromDataSheet:
		return "data sheet"
	}
	return "estimate"
}

// filled says how full a tank or vessel is.
func (s speaker) filled(name string, litres float64) string {
	if litres == 0 {
		return "empty " + lower(name)
	}
	return s.volume(litres) + " in " + lower(name)
}

// state describes a worst state: how full the tanks are, what is aboard and
// what is left out.
func (s speaker) state(v *fitout.Variant, state load.State) string {
	var with, without []string
	sort := func(on bool, name string) {
		if on {
			with = append(with, name)
		} else {
			without = append(without, name)
		}
	}
	for _, tank := range s.job.Vehicle.Tanks {
		with = append(with, s.filled(tank.Name, state.TankFills[tank.ID]))
	}
	for _, item := range v.Items {
		if l := item.Presence.Level; l != nil && item.Presence.Kind == fitout.ByLevel {
			with = append(with, s.filled(item.Name, state.Levels[item.ID]))
		}
	}
	for _, sw := range v.Switches {
		sort(state.Switches[sw.ID], lower(sw.Name))
	}
	for _, c := range v.Choices {
		for _, m := range c.Members {
			if m.ID == state.Choices[c.ID] {
				with = append(with, lower(m.Name))
			}
		}
		if state.Choices[c.ID] == "" {
			without = append(without, "any "+lower(c.Name))
		}
	}
	for i := range v.Items {
		if item := &v.Items[i]; state.Out[item.ID] && isTraveller(item) {
			without = append(without, lower(item.Name))
		}
	}
	if s.job.Trailer != nil {
		sort(state.Coupled, "the trailer")
	}
	text := strings.Join(with, ", ")
	if len(with) > 0 {
		text = "with " + text
	}
	for i := range v.Stances {
		if stance := &v.Stances[i]; stance.ID == state.Stance {
			text = strings.TrimSpace(fmt.Sprintf("in the stance “%s” %s", stance.Name, text))
		}
	}
	if len(without) > 0 {
		text = strings.TrimPrefix(text+"; without "+strings.Join(without, ", "), "; ")
	}
	if text == "" {
		return "in its only state"
	}
	return text
}

// lower puts a name into the middle of a sentence, leaving abbreviations.
func lower(name string) string {
	runes := []rune(name)
	if len(runes) == 0 || len(runes) > 1 && !unicode.IsLower(runes[1]) {
		return name
	}
	runes[0] = unicode.ToLower(runes[0])
	return string(runes)
}

func capital(text string) string {
	runes := []rune(text)
	if len(runes) > 0 {
		runes[0] = unicode.ToUpper(runes[0])
	}
	return string(runes)
}

// unbroken keeps a percent sign on the line of its number.
func unbroken(text string) string { return strings.ReplaceAll(text, " %", "\u202f%") }

// list joins names as a sentence does.
func list(names []string) string {
	slices.Sort(names)
	if len(names) < 2 {
		return strings.Join(names, "")
	}
	return strings.Join(names[:len(names)-1], ", ") + " and " + names[len(names)-1]
}
