package demo

import (
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/example"
)

// follower does what a sentence says, by the amount that it names, in any job: an amount stands for # in its
// pattern, and what else it picks out comes with it. It does nothing where what is named is not done by a figure of
// the document.
type follower struct {
	says string
	kind quantity.Kind
	do   func(j *fitout.Job, f *fitout.Finding, by float64, said []string) bool
	free bool // it names a way on which nothing else is met
}

// amountIn is what a sentence names where a pattern has #, with all that the pattern picks out, or false.
func amountIn(t *testing.T, w *follower, sentence string, units fitout.Units) (float64, []string, bool) {
	t.Helper()
	plain := strings.NewReplacer("\u00a0", " ", "\u202f", "").Replace(sentence)
	const amount = `(?P<amount>[\d.]+(?: \d+/\d+)?|\d+/\d+)`
	unit := ` (?:mm|in|m|ft|kg|lb|L/min|gal/min|L|gal)`
	if w.kind == quantity.Plain {
		unit = ""
	}
	pattern := regexp.MustCompile(strings.Replace(w.says, "#", amount+"("+unit+")", 1))
	said := pattern.FindStringSubmatch(plain)
	if said == nil {
		return 0, nil, false
	}
	at := pattern.SubexpIndex("amount")
	with := said[at] + said[at+1]
	by, err := quantity.Parse(with, w.kind, quantity.System(units))
	require.NoError(t, err, "%q of %s", with, sentence)
	return by, said, true
}

// counted is how often a sentence was followed, and how often half of what it names did not do.
type counted struct{ done, short int }

// mendsAsSaid follows the sentence of a finding in every way that it names, and holds that the finding is gone, with
// no other of its rule come up instead.
func mendsAsSaid(
	t *testing.T,
	slip string,
	j *fitout.Job,
	before []fitout.Finding,
	f *fitout.Finding,
	tried map[string]counted,
) {
	t.Helper()
	same := func(a, b *fitout.Finding) bool { return a.Key == b.Key && a.Stance == b.Stance }
	for n := range followers[f.Rule] {
		w := &followers[f.Rule][n]
		by, said, found := amountIn(t, w, f.Sentence, j.Units)
		what := f.Rule + ": " + w.says
		count := tried[what]
		if !found || count.done == mostOfAKind {
			continue
		}
		left := func(by float64) (stays []string, done bool) {
			then := example.Copy(j)
			if !w.do(&then, f, by, said) || fitout.Validate(&then) != nil {
				return nil, false
			}
			for _, g := range assess.Of(&then).Findings {
				known := slices.ContainsFunc(before, func(b fitout.Finding) bool {
					return same(&b, &g) || b.Rule == g.Rule && b.Subject.ID == g.Subject.ID && b.Severity == fitout.Stop
				})
				if same(&g, f) || !known && (g.Rule == f.Rule || w.free && g.Severity == fitout.Stop && !follows(g.Rule)) {
					stays = append(stays, g.Rule+": "+g.Sentence)
				}
			}
			return stays, true
		}
		stays, done := left(by)
		if !done {
			continue
		}
		assert.Empty(t, stays, "%s: %s\nfollowed by %g", slip, f.Sentence, by)
		count.done++
		if stays, _ := left(by / 2); len(stays) > 0 {
			count.short++
		}
		tried[what] = count
	}
}
