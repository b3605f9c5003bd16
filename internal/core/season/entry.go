// Package season learns from what a vehicle did after it was handed over: what it burned, drank and drew against what
// was assumed, what broke, what was never used, and what the next one should be.
package season

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"zaino/internal/core/fitout"
)

// Kind is what a line of the log is about.
type Kind string

// The kinds.
const (
	Fuel      Kind = "fuel"
	Water     Kind = "water"
	Nights    Kind = "nights"
	Power     Kind = "power"
	Broke     Kind = "broke"
	Rattled   Kind = "rattled"
	Leaked    Kind = "leaked"
	Unused    Kind = "unused"
	Missed    Kind = "missing"
	Moved     Kind = "moved"
	Done      Kind = "done"
	Note      Kind = "note"
	TakenBack Kind = "taken-back"
)

// Kinds are all of them, as they are offered.
var Kinds = []Kind{Fuel, Water, Nights, Power, Broke, Rattled, Leaked, Unused, Missed, Moved, Done, Note, TakenBack}

// Entry is one line of the log. It is never changed: one that replaces it stands in its place, one that is taken back
// leaves nothing.
type Entry struct {
	ID       string     `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Kind     Kind       `json:"kind" enum:"fuel,water,nights,power,broke,rattled,leaked,unused,missing,moved,done,note,taken-back"`
	At       string     `json:"at" maxLength:"40" doc:"when, as 2026-05-01T06:30 by the clock on the wall"`
	By       string     `json:"by" maxLength:"120"`
	Km       float64    `json:"km" minimum:"0" maximum:"5000000" doc:"on the clock; 0 = not noted"`
	Litres   float64    `json:"litres" minimum:"0" maximum:"5000" doc:"of fuel or water taken in"`
	Full     bool       `json:"full" doc:"the tank was full afterwards"`
	Cost     int        `json:"cost" minimum:"0" maximum:"100000000" doc:"in cents; 0 = not noted"`
	Surfaces []OnGround `json:"surfaces" maxItems:"20" doc:"how the way since the last fuel was shared; empty: as the brief has it"`
	Nights   float64    `json:"nights" minimum:"0" maximum:"400"`
	People   float64    `json:"people" minimum:"0" maximum:"60" doc:"0 = as the brief has it"`
	Wh       float64    `json:"wh" minimum:"0" maximum:"1000000" doc:"drawn a day"`
	Charge   float64    `json:"charge" minimum:"0" maximum:"1" doc:"state of charge, 0 to 1; 0 = not noted"`
	Of       string     `json:"of" maxLength:"80" doc:"id of an item, or of an interval that was done; empty for none"`
	Text     string     `json:"text" maxLength:"1000"`
	Photo    string     `json:"photo" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a file"`
	Replaces string     `json:"replaces" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the entry in whose place it stands"`
}

// OnGround is a share of a way on a surface of the brief.
type OnGround struct {
	Surface string  `json:"surface" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id"`
	Share   float64 `json:"share" minimum:"0" maximum:"100" doc:"of the way; all together count as the whole"`
}

// timeLayouts are how a moment may be written.
var timeLayouts = []string{"2006-01-02T15:04", "2006-01-02T15:04:05", time.RFC3339, time.DateOnly}

// When is the moment of an entry.
func (e *Entry) When() (time.Time, error) {
	for _, layout := range timeLayouts {
		if at, err := time.Parse(layout, e.At); err == nil {
			return at, nil
		}
	}
	return time.Time{}, fitout.Problem{
		Path:     "at",
		Given:    fmt.Sprintf("%q", e.At),
		Accepted: "a day or a moment such as 2026-05-01T06:30",
	}
}

// Check refuses an entry that says nothing or what cannot be, with what would be accepted.
func (e *Entry) Check() error {
	refuse := func(path, given, accepted string) error {
		return fitout.Problem{Path: path, Given: given, Accepted: accepted}
	}
	if !slices.Contains(Kinds, e.Kind) {
		return refuse(
			"kind",
			fmt.Sprintf("%q", e.Kind),
			"one of fuel, water, nights, power, broke, rattled, leaked, unused, missing, moved, done, note",
		)
	}
	at, err := e.When()
	if err != nil {
		return err
	}
	if at.Year() < 2000 || at.Year() > 2200 {
		return refuse("at", e.At, "a year from 2000 to 2200")
	}
	for _, f := range []struct {
		path      string
		value     float64
		low, high float64
	}{{"km", e.Km, 0, 5e6}, {"litres", e.Litres, 0, 5000}, {"nights", e.Nights, 0, 400}, {"people", e.People, 0, 60}, {"wh", e.Wh, 0, 1e6},
		{"charge", e.Charge, 0, 1}, {"cost", float64(e.Cost), 0, 1e8}} {
		if math.IsNaN(f.value) || f.value < f.low || f.value > f.high {
			return refuse(f.path, fmt.Sprint(f.value), fmt.Sprintf("a number from %.0f to %.0f", f.low, f.high))
		}
	}
	for i, s := range e.Surfaces {
		if math.IsNaN(s.Share) || s.Share < 0 || s.Share > 100 {
			return refuse(fmt.Sprintf("surfaces[%d].share", i), fmt.Sprint(s.Share), "a number from 0 to 100")
		}
	}
	switch {
	case e.Kind == Fuel && e.Litres == 0:
		return refuse("litres", "nothing", "the litres that were filled in")
	case e.Kind == Water && e.Litres == 0:
		return refuse("litres", "nothing", "the litres that were filled in")
	case e.Kind == Nights && e.Nights == 0:
		return refuse("nights", "nothing", "how many nights")
	case e.Kind == Power && e.Wh == 0 && e.Charge == 0:
		return refuse("wh", "nothing", "what was drawn in a day, or the state of charge")
	case (e.Kind == Unused || e.Kind == Moved || e.Kind == Done) && e.Of == "" && strings.TrimSpace(e.Text) == "":
		return refuse("of", "nothing", "what it is about, or a few words")
	case (e.Kind == Broke || e.Kind == Rattled || e.Kind == Leaked || e.Kind == Missed || e.Kind == Note) && e.Of == "" &&
		strings.TrimSpace(e.Text) == "":
		return refuse("text", "nothing", "a few words, or what it is about")
	case e.Kind == TakenBack && e.Replaces == "":
		return refuse("replaces", "nothing", "the id of the entry that is taken back")
	}
	return nil
}

// Standing are the entries that stand, oldest first: without those that another stands in the place of, and what was
// taken back.
func Standing(all []Entry) []Entry {
	replaced := map[string]bool{}
	for i := range all {
		if all[i].Replaces != "" {
			replaced[all[i].Replaces] = true
		}
	}
	standing := []Entry{}
	for i := range all {
		if !replaced[all[i].ID] && all[i].Kind != TakenBack {
			standing = append(standing, all[i])
		}
	}
	slices.SortStableFunc(standing, func(a, b Entry) int {
		x, _ := a.When()
		y, _ := b.When()
		return x.Compare(y)
	})
	return standing
}
