package assess

import (
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
)

// Broken are the stops and cautions of a plan: what each is about, by rule, stance and
// severity. A change is held against them: it may break nothing that was not broken.
type Broken map[string][]about

// BrokenIn gathers the stops and cautions among findings.
func BrokenIn(findings []fitout.Finding) Broken {
	all := Broken{}
	for i := range findings {
		if f := &findings[i]; f.Severity != fitout.Note {
			all[kindOf(f)] = append(all[kindOf(f)], aboutOf(f))
		}
	}
	return all
}

func kindOf(f *fitout.Finding) string { return f.Rule + " " + f.Stance + " " + string(f.Severity) }

// about are the ids of what a finding is about.
type about map[string]bool

func aboutOf(f *fitout.Finding) about {
	a := about{f.Subject.ID + "@" + f.Subject.Measure: true}
	if len(f.With) > 0 { // which of many is named first says nothing
		a = about{f.Subject.ID: true}
	}
	for _, id := range f.With {
		a[id] = true
	}
	return a
}

// knows tells whether a finding is about nothing that was not found before.
func (b Broken) knows(f *fitout.Finding) bool {
	return slices.ContainsFunc(b[kindOf(f)], func(before about) bool {
		for id := range aboutOf(f) {
			if !before[id] {
				return false
			}
		}
		return true
	})
}

// expected are the cautions that a change of the vehicle brings with it and that are said
// with it.
var expected = map[string]bool{"upgrade-uncertified": true, "extension-uncertified": true}

// Further tells whether a plan breaks a rule that was not broken before. That the limit
// which is mended comes close, or could be passed in another state, is no new matter.
func (b Broken) Further(after *plan.Plan, mended *limits.Facts) bool {
	for _, f := range b.New(after) {
		if f.Subject == mended.Subject && (f.Rule == mended.Rule+"-close" || f.Rule == mended.Rule+"-worst-over") {
			continue
		}
		return true
	}
	return false
}

// New are the stops and cautions of a plan that were not there before.
func (b Broken) New(after *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for _, f := range Findings(after) {
		if f.Severity != fitout.Note && !b.knows(&f) && !expected[f.Rule] {
			found = append(found, f)
		}
	}
	return found
}
