package demo

import (
	"fmt"
	"maps"
	"os"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/catalogue"
	"zaino/internal/core/assess"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/example"
)

// fair are slips that are none where they are made, with the reason.
var fair = map[string]string{
	"river-gauging pantry-pull-out stands 120 mm further left":   "it stands free in the aisle then",
	"river-gauging camp-light circuit is five times as long":     "it takes little and loses little",
	"river-gauging Second row opening is 300 mm lower":           "what stands there passes all the same",
	"queen-bees Rear seat opening is 300 mm lower":               "what stands there passes all the same",
	"river-gauging  gross limit is a fifth lower":                "an upgrade has moved it",
	"river-gauging  tyres bear 20 classes less":                  "other tyres are on it",
	"sound-recordist wing-panels-with-lids lost its latch":       "lids lie by their own weight",
	"sound-recordist first-child is left behind":                 "the brief does not speak of the child",
	"sound-recordist second-child is left behind":                "the brief does not speak of the child",
	"sound-recordist third-child is left behind":                 "the brief does not speak of the child",
	"sound-recordist station-inverter inverter is a tenth":       "a microphone takes less",
	"queen-bees comb-rack stands 150 mm further back":            "there is room on the seat",
	"queen-bees comb-rack stands 120 mm further left":            "there is room on the seat",
	"queen-bees comb-rack stands 400 mm higher":                  "that nothing holds it is told already",
	"queen-bees comb-rack is turned round":                       "there is room to open it into",
	"queen-bees sun panel is all in shade":                       "that the battery runs out is told already",
	"river-gauging bench-tap hose is a tenth as long":            "it stands beside its tank",
	"queen-bees water-tank tank is emptied by nobody knows what": "it holds more than they need",
}

// Hundreds of single slips, each kind on everything in the demo jobs that it can be made on: each is told by a
// finding that was not there before, that is graver, or that says something else of that thing. And whatever such a
// finding offers mends it: made, the finding is gone, and nothing stops the build that did not.
func TestEverySlipIsToldAndWhatIsOfferedMendsIt(t *testing.T) {
	jobs, err := Jobs()
	require.NoError(t, err)
	components, err := catalogue.Components()
	require.NoError(t, err)
	slips := slices.Concat(everySlip, stageSlips, measureSlips, vehicleSlips, figureSlips)
	made, offered, brought, mendable := 0, map[string]int{}, 0, 0
	asSaid := map[string]counted{}
	tells := map[string]bool{}
	never := map[string]bool{} // of each rule that stops or cautions, whether none of its findings offered anything
	for n := range jobs {
		sound := assess.Of(&jobs[n]).Findings
		for _, s := range slips {
			for k := range s.of(&jobs[n]) {
				j := example.Copy(&jobs[n])
				on, slipped := s.make(&j, k)
				if !slipped || fitout.Validate(&j) != nil {
					continue
				}
				made++
				name := fmt.Sprintf("%s %s %s", j.ID, on, s.name)
				findings := assess.Of(&j).Findings
				before, isTold := said(sound, on), false
				for what := range said(findings, on) {
					isTold = isTold || !before[what]
				}
				assert.Equal(t, fair[name] == "", isTold, name)
				for _, f := range findings {
					if slices.ContainsFunc(
						sound,
						func(g fitout.Finding) bool { return g.Key == f.Key && g.Stance == f.Stance },
					) {
						continue
					}
					if f.Severity != fitout.Note {
						brought++
						offers := len(f.Fixes) > 0 || f.Mend != "" || f.At != ""
						if offers {
							mendable++
						}
						before, met := never[f.Rule]
						never[f.Rule] = !offers && (before || !met)
						if len(f.Fixes) == 0 && followers[f.Rule] == nil && amountWithUnit.MatchString(f.Sentence) {
							tells[f.Rule] = true
						}
					}
					mendsAsSaid(t, name, &j, findings, &f, asSaid)
					for _, fix := range f.Fixes {
						what := f.Rule + " by " + fix.Edit.Kind
						if offered[what]++; offered[what] <= mostOfAKind {
							mends(t, &j, components, findings, &f, &fix)
						}
					}
				}
			}
		}
	}
	t.Logf("%d slips of %d kinds, %d of them fair where they are made; %d kinds of offers for them",
		made, len(slips), len(fair), len(offered))
	t.Logf("%d of %d stops and cautions that slips bring offer a change, or show the state to mend", mendable, brought)
	obeyed := 0
	for _, c := range asSaid {
		obeyed += c.done
	}
	t.Logf("%d sentences followed in %d ways, besides what is offered", obeyed, len(asSaid))
	for rule, all := range followers {
		for _, w := range all {
			count := asSaid[rule+": "+w.says]
			assert.Positive(t, count.done, "%s is followed somewhere: %s", rule, w.says)
			assert.True(t, count.short > 0 || rule == "latch-missing", "half of it does not do: %s, %s", rule, w.says)
		}
	}
	assert.Equal(t, slices.Sorted(maps.Keys(tellsOnly())), slices.Sorted(maps.Keys(tells)),
		"what names an amount and offers nothing is followed, or only tells what is")
	assert.Greater(t, made, 800)
	assert.Greater(t, mendable*2, brought, "so many offer a change, or show the state to mend")
	assert.Greater(t, len(offered), 50)
	page, err := os.ReadFile("../../docs/rules.md")
	require.NoError(t, err)
	_, after, found := strings.Cut(string(page), "## Where no change is offered, and why")
	require.True(t, found)
	reasons, _, _ := strings.Cut(after, "\n## ")
	for rule, none := range never {
		listed := strings.Contains(reasons, "`"+rule+"`") ||
			strings.HasPrefix(rule, "measure-") && strings.Contains(reasons, "the measures of a space")
		assert.Equal(t, none, listed, "%s offers nothing, and the page of rules says why", rule)
	}
}

// amountWithUnit is an amount in a sentence: its unit stands behind a space that does not break.
var amountWithUnit = regexp.MustCompile(`\d\x{a0}[\pL°%]`)

// amountsTell are rules whose amounts tell what is, and not how much of what would mend it.
var amountsTell = map[string]string{
	"a figure was read, measured or typed wrongly": `air-odd assumption-odd baseline-over bay-beyond electrics-odd fuel-weight
		gear-odd hitch-odd leg-odd limit-odd mass-odd measure-arches-do-not-add-up measure-diagonals not-placed
		measure-obstacle-outside measure-opening-too-high measure-opening-too-wide outline-odd pressure-odd rated-odd
		suspension-odd tank-odd tray-nowhere`,
	"it is mended and measured in the workshop": "tested-worse weigh-again weighed-over",
	"something else is chosen, or its place": `battery-frost battery-loose cable-drop cable-thin cell-overfull frost
		fuse-above-cable fuse-below-load fuse-missing hides least-voltage lift-more must-not-drop no-barrier port-over
		reach-depth service-reach shaft-near sleep-exits tap-weak voltages-joined washes-with-drinking`,
	"ways to mend are looked for in the state that is shown": `bay-close bay-over bay-worst-over front-close
		front-worst-over gross-close gross-worst-over over-on-the-way rear-close rear-worst-over roof-parked-worst-over roof-worst-over
		tip-vehicle`,
}

// tellsOnly are those rules.
func tellsOnly() map[string]bool {
	only := map[string]bool{}
	for _, rules := range amountsTell {
		for _, rule := range strings.Fields(rules) {
			only[rule] = true
		}
	}
	return only
}

// mostOfAKind is how often one kind of change is tried for one rule.
const mostOfAKind = 6

// mends makes a change that is offered, and holds that it mends.
func mends(t *testing.T, j *fitout.Job, components []fitout.Component, before []fitout.Finding, f *fitout.Finding,
	fix *fitout.Fix) {
	t.Helper()
	name := fmt.Sprintf("%s: %s %s", j.ID, f.Sentence, fix.Label)
	mended, err := edit.Apply(j, components, []fitout.FixEdit{fix.Edit})
	require.NoError(t, err, name)
	if belongs := map[string]string{"seat": "belt", "hold": "drilled"}[fix.Edit.Kind]; belongs != "" {
		assert.Contains(t, fix.Caution, belongs, name)
	}
	alone := f.Mend == "" && !strings.HasSuffix(fix.Label, "(not enough alone)")
	for _, g := range assess.Of(&mended).Findings {
		if alone && g.Key == f.Key && g.Stance == f.Stance {
			t.Errorf("%s\nis still there", name)
		}
		known := slices.ContainsFunc(before, func(b fitout.Finding) bool {
			return b.Severity == fitout.Stop && b.Rule == g.Rule && b.Subject.ID == g.Subject.ID
		})
		if g.Severity == fitout.Stop && !known && !follows(g.Rule) {
			t.Errorf("%s\nstops with %s: %s", name, g.Rule, g.Sentence)
		}
	}
}

// said is what findings say: which there are and how grave, and of one thing every word.
func said(findings []fitout.Finding, of string) map[string]bool {
	all := map[string]bool{}
	for _, f := range findings {
		what := fmt.Sprintf("%s in %s: %s, %s with %v", f.Key, f.Stance, f.Severity, f.Title, f.With)
		if f.Subject.ID == of {
			what += f.Sentence
		}
		all[what] = true
	}
	return all
}

// follows tells of a rule that speaks of loads, which change with all that is put aboard or moved, of a seat that
// nobody asked to be kept free, and of somebody put aboard for whom there is none.
func follows(rule string) bool {
	return strings.HasSuffix(rule, "-over") || rule == "over-on-the-way" || rule == "seat-built-over" ||
		rule == "no-seat"
}
