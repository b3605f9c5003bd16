package demo

import (
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// foundOf is what is found of a job: each rule with how grave it is and what it is about, but none of its words. Of two
// things in one place either is the one, and what is wrong in several stances is told in one of them.
func foundOf(t *testing.T, j *fitout.Job) []string {
	t.Helper()
	require.NoError(t, fitout.Validate(j))
	var all []string
	worst := map[string]fitout.Severity{}
	for _, f := range assess.Of(j).Findings {
		if was, told := worst[f.Rule]; !told || f.Severity.Rank() < was.Rank() {
			worst[f.Rule] = f.Severity
		}
		about := func(ids ...string) {
			slices.Sort(ids)
			all = append(all, fmt.Sprintf("%s of %v", f.Rule, slices.Compact(ids)))
		}
		switch f.Rule {
		case "parts-clash": // one finding a part, with all that it stands in
			for _, other := range f.With {
				about(f.Subject.ID, other)
			}
		case "driver-odd": // any of several driver's seats
			about()
		default:
			about(append([]string{f.Subject.ID}, f.With...)...)
		}
	}
	for rule, severity := range worst {
		all = append(all, fmt.Sprintf("%s %s", severity, rule))
	}
	slices.Sort(all)
	return slices.Compact(all)
}

// alike holds that the same is found of two jobs, and shows only what differs.
func alike(t *testing.T, one, other []string, of string) {
	t.Helper()
	without := func(a, b []string) []string {
		return slices.DeleteFunc(slices.Clone(a), func(f string) bool { return slices.Contains(b, f) })
	}
	gone, come := without(one, other), without(other, one)
	assert.Empty(t, gone, "found of %s, and not of the other", of)
	assert.Empty(t, come, "found of the other of %s alone", of)
}

// but leaves out what a rule found.
func but(rule string, all []string) []string {
	return slices.DeleteFunc(all, func(f string) bool { return strings.Contains(f, rule) })
}

// written changes a job as somebody does who writes its file by hand.
func written(t *testing.T, j *fitout.Job, change func(doc map[string]any)) *fitout.Job {
	t.Helper()
	data, err := fitout.Encode(j)
	require.NoError(t, err)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(data, &doc))
	change(doc)
	data, err = json.Marshal(doc)
	require.NoError(t, err)
	changed, err := fitout.Decode(data)
	require.NoError(t, err)
	return &changed
}

// renamed gives everything that has a name another one, that says nothing; what had one name has one name still.
func renamed(in any, names map[string]string) {
	switch v := in.(type) {
	case map[string]any:
		for key, value := range v {
			if name, is := value.(string); is && key == "name" && name != "" {
				if names[name] == "" {
					names[name] = fmt.Sprintf("Thing %d", len(names)+1)
				}
				v[key] = names[name]
			}
			renamed(value, names)
		}
	case []any:
		for _, one := range v {
			renamed(one, names)
		}
	}
}

// inOrder are the lists of which the order says something: a way, a day, what is drawn, what comes after what, drawers from
// below, and tanks, of which the first of fuel is the vehicle's own.
var inOrder = []string{"tanks", "cells", "stops", "spans", "track", "strokes", "lines", "conditions", "outline", "points", "steps"}

// reversed turns every list of things with ids round, but those of which the order says something.
func reversed(in any, key string) {
	switch v := in.(type) {
	case map[string]any:
		for k, value := range v {
			reversed(value, k)
		}
	case []any:
		if len(v) > 0 && !slices.Contains(inOrder, key) {
			if first, is := v[0].(map[string]any); is && first["id"] != nil {
				slices.Reverse(v)
			}
		}
		for _, one := range v {
			reversed(one, "")
		}
	}
}

// sampled calls for each demo job as it is, and with some of the slips that can be made in it.
func sampled(t *testing.T, each func(t *testing.T, name string, j *fitout.Job)) {
	t.Helper()
	jobs, err := Jobs()
	require.NoError(t, err)
	tried, made := 0, 0
	for n := range jobs {
		each(t, jobs[n].ID, &jobs[n])
		for _, s := range slices.Concat(everySlip, stageSlips, measureSlips, vehicleSlips, figureSlips) {
			for k := range s.of(&jobs[n]) {
				if tried++; tried%13 != 0 {
					continue
				}
				j := example.Copy(&jobs[n])
				if on, slipped := s.make(&j, k); slipped && fitout.Validate(&j) == nil {
					made++
					each(t, fmt.Sprintf("%s %s %s", j.ID, on, s.name), &j)
				}
			}
		}
	}
	t.Logf("%d slips beside the jobs", made)
	assert.Greater(t, made, 100)
}

// Names decide nothing: with other ones the same is found. Only what a name proposes is proposed by names.
func TestNamesDecideNothing(t *testing.T) {
	sampled(t, func(t *testing.T, name string, j *fitout.Job) {
		other := written(t, j, func(doc map[string]any) { renamed(doc, map[string]string{}) })
		alike(t, but("substance-unsaid", foundOf(t, j)), but("substance-unsaid", foundOf(t, other)), name)
	})
}

// Units decide nothing: in inches and pounds the same is found as in millimetres and kilograms. Only cables are sold in other
// sizes.
func TestUnitsDecideNothing(t *testing.T) {
	sampled(t, func(t *testing.T, name string, j *fitout.Job) {
		other := written(t, j, func(doc map[string]any) {
			doc["units"] = map[any]string{"metric": "us", "us": "metric"}[doc["units"]]
		})
		alike(t, but("cable-thin", foundOf(t, j)), but("cable-thin", foundOf(t, other)), name)
	})
}

// The order in which things were entered decides nothing but where it is the order of a way or a day.
func TestTheOrderOfListsDecidesNothing(t *testing.T) {
	sampled(t, func(t *testing.T, name string, j *fitout.Job) {
		chosen := j.ChosenVariant().ID
		other := written(t, j, func(doc map[string]any) { reversed(doc, "") })
		require.Equal(t, chosen, other.ChosenVariant().ID)
		alike(t, foundOf(t, j), foundOf(t, other), name)
	})
}
