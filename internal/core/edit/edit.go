// Package edit has every edit that the core derives: job in, new job out; the job
// given is never changed. Edits that fixes make are one table of kinds, a file for
// each; the others (fill what is left, another size, put away, a further variant, a
// state shown) are functions of their own.
package edit

import (
	"maps"
	"slices"

	"zaino/internal/core/fitout"
)

// Kind is one kind of edit that a fix can make.
type Kind struct {
	// Apply makes the edit; false where nothing in the job answers to it. What is bought
	// comes from the given components.
	Apply func(j *fitout.Job, components []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool)
	// Elsewhere tells that it puts a thing elsewhere on the vehicle, where it may be in the way.
	Elsewhere bool
	// Caution is what is said with every edit of the kind; empty for nothing.
	Caution string
}

// kinds are all of them by their word in the document of an edit.
var kinds = map[string]Kind{
	"move-item":        elsewhere(moved),
	"part-x":           moved,
	"part-y":           elsewhere(across),
	"part-z":           up,
	"part-place":       elsewhere(placed),
	"part-length":      length,
	"part-width":       width,
	"part-height":      height,
	"item-level":       itemLevel,
	"tank-level":       tankLevel,
	"switch-off":       switchOff,
	"uncouple":         uncouple,
	"ball":             ball,
	"distribution":     distribution,
	"tray-said":        traySaid,
	"driver-seat":      driverSeat,
	"cold-and-hot":     coldAndHot,
	"practice-usual":   practiceUsual,
	"load-of":          loadOf,
	"unfix":            unfix,
	"to-trailer":       toTrailer,
	"off-trailer":      elsewhere(offTrailer),
	"seat":             elsewhere(seat),
	"put-aboard":       putAboard,
	"substance":        substance,
	"swap":             swap,
	"travel":           travel,
	"drop":             drop,
	"lining":           lining,
	"latch":            latch,
	"hold":             hold,
	"hold-anew":        holdAnew,
	"put-away":         putAway,
	"turn":             turn,
	"stand-up":         standUp,
	"strut-force":      strutForce,
	"strut-pivots":     strutPivots,
	"keyed":            keyed,
	"turn-back":        turnBack,
	"leave-shut":       leaveShut,
	"hang":             hang,
	"foam-core":        foamCore,
	"panel-thickness":  panelThick,
	"wall":             wall,
	"build-in":         buildIn,
	"make-way":         makeWay,
	"pace-learned":     paceLearned,
	"weigh-in":         weighIn,
	"weigh-note":       weighNote,
	"outside":          outside,
	"rating":           rating,
	"tyres":            tyres,
	"springs":          springs,
	"extension":        extension,
	"equip":            equip,
	"clear-supply":     clearSupply,
	"circuit-proposed": circuitProposed,
	"feed":             hangOn,
	"charger-for":      chargerFor,
	"charger-lower":    chargerLower,
	"switch-in-reach":  switchInReach,
	"on-with-loads":    onWithLoads,
	"never-drop":       neverDrop,
	"plug-held":        plugHeld,
	"plug-coded":       plugCoded,
	"behind-isolator":  behindIsolator,
	"behind-meter":     behindMeter,
	"isolator":         isolator,
	"breather":         breather,
	"tap-from":         tapFrom,
	"runners":          runnersRated,
	"guard":            guard,
	"drive-hours":      driveHours,
	"load-less":        loadLess,
	"count-cables":     countCables,
	"fill-plan":        fillPlan,
	"stop-sure":        stopSure,
	"route-of-brief":   routeOfBrief,
	"route-stop":       routeStop,
	"route-without":    routeWithout,
	"trip-cases":       tripCases,
	"trip-days":        tripDays,
	"tap-bore":         tapBore,
	"vessel-rest":      vesselRest,
	"vessel-room":      vesselRoom,
	"air-hose":         airHose,
	"plumbing-power":   plumbingPower,
}

// elsewhere marks a kind as one that puts a thing elsewhere on the vehicle.
func elsewhere(k Kind) Kind {
	k.Elsewhere = true
	return k
}

// PutsElsewhere tells whether a kind of edit puts a thing elsewhere on the vehicle.
func PutsElsewhere(kind string) bool { return kinds[kind].Elsewhere }

// Kinds are the words of all kinds, in order.
func Kinds() []string { return slices.Sorted(maps.Keys(kinds)) }

// CautionOf is what is said with a kind of edit; empty for nothing.
func CautionOf(kind string) string { return kinds[kind].Caution }

// Apply makes edits of fixes on a job's chosen variant, one after another. What is
// bought comes from the given components. It refuses what was not offered for this
// job, and then nothing is changed.
func Apply(j *fitout.Job, components []fitout.Component, edits []fitout.FixEdit) (fitout.Job, error) {
	changed := *j
	for i := range edits {
		e := &edits[i]
		kind, known := kinds[e.Kind]
		if !known {
			return *j, notOffered(e)
		}
		next, done := kind.Apply(&changed, components, e)
		if !done {
			return *j, notOffered(e)
		}
		changed = next
	}
	return changed, fitout.Validate(&changed)
}

// notOffered refuses an edit that nothing in the job answers to.
func notOffered(e *fitout.FixEdit) error {
	return fitout.Problem{
		Path:     "edits",
		Given:    e.Kind + " " + e.ID,
		Accepted: "a change that was offered for this job",
	}
}

// item makes an edit of one item by its id.
func item(change func(j *fitout.Job, i *fitout.Item, e *fitout.FixEdit) bool) Kind {
	return Kind{Apply: func(j *fitout.Job, _ []fitout.Component, e *fitout.FixEdit) (fitout.Job, bool) {
		done := false
		changed := WithItems(j, func(i *fitout.Item) {
			if i.ID == e.ID {
				done = change(j, i, e)
			}
		})
		return changed, done
	}}
}

// WithItems returns the job with every item of its chosen variant changed.
func WithItems(j *fitout.Job, change func(*fitout.Item)) fitout.Job {
	edited := *j
	edited.Variants = slices.Clone(j.Variants)
	v := edited.ChosenVariant()
	v.Items = slices.Clone(v.Items)
	for i := range v.Items {
		change(&v.Items[i])
	}
	return edited
}
