package handover

import (
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// HandoverFigures is how far a handover has come.
type HandoverFigures struct {
	Tests      int `json:"tests" doc:"that follow from the plan"`
	Passed     int `json:"passed"`
	Failed     int `json:"failed"`
	OpenMatter int `json:"openMatter" doc:"not passed, and nothing is handed over while they are open"`
	Papers     int `json:"papers" doc:"that the plan asks for and are not there"`
	Walk       int `json:"walk" doc:"points that were not gone through yet"`
}

// Engine tells what keeps a vehicle from being handed over.
func Engine() plan.Engine[HandoverFigures] {
	return plan.Engine[HandoverFigures]{Figures: figures, Rules: []plan.Rule{
		openTests, failedTests, outsideTests, missingPapers, neededPapers, expiredPapers, olderPack, unsigned, signedOther, locksWithoutKeys,
		warrantiesOpen, walkOpen, intervalOdd,
	}}
}

func figures(p *plan.Plan) HandoverFigures {
	f := HandoverFigures{}
	for _, t := range Tests(p) {
		f.Tests++
		switch t.State {
		case Passed:
			f.Passed++
		case Failed:
			f.Failed++
		}
		if t.Matters && t.State != Passed {
			f.OpenMatter++
		}
	}
	for _, w := range Papers(p) {
		if !w.Have {
			f.Papers++
		}
	}
	for _, w := range Walk(p) {
		if !w.Done {
			f.Walk++
		}
	}
	return f
}

func delivered(p *plan.Plan) bool { return p.Job.Handover.Delivered != "" }

func one(f fitout.Finding) []fitout.Finding {
	if f.Subject.Kind == "" {
		f.Subject.Kind = "handover"
	}
	if f.Source == "" {
		f.Source = "practice"
	}
	return []fitout.Finding{f}
}

// mostNamed is how many things one finding names.
const mostNamed = 4

func named(names []string) string {
	if more := len(names) - mostNamed; more > 0 {
		return words.List(append(slices.Clone(names[:mostNamed]), fmt.Sprintf("%d more", more)))
	}
	return words.List(names)
}

// openTests stops a handover with a test open that matters.
func openTests(p *plan.Plan) []fitout.Finding {
	if !delivered(p) {
		return nil
	}
	var open []string
	for _, t := range Tests(p) {
		if t.Matters && t.State == Open {
			open = append(open, words.Lower(t.Title))
		}
	}
	if len(open) == 0 {
		return nil
	}
	return one(fitout.Finding{Rule: "tests-open", Severity: fitout.Stop, Title: "Handed over untried",
		Sentence: fmt.Sprintf(
			"It is marked as handed over, and nobody has tried %s. Try each with everything aboard, or take the day of the "+
				"handover out.",
			named(open),
		), Value: float64(len(open)), Margin: -float64(len(open))})
}

// failedTests tells of what was tried, failed, and is not locked out.
func failedTests(p *plan.Plan) []fitout.Finding {
	var loose, all []string
	for _, t := range Tests(p) {
		if t.State == Failed {
			all = append(all, words.Lower(t.Title))
			if !t.Result.Tagged {
				loose = append(loose, words.Lower(t.Title))
			}
		}
	}
	switch {
	case len(all) > 0 && delivered(p):
		return one(
			fitout.Finding{Rule: "tests-failed", Severity: fitout.Stop, Title: "Handed over with a failed test",
				Sentence: fmt.Sprintf(
					"It is marked as handed over, and %s did not pass. Mend it and try it again before anybody drives.",
					named(all),
				),
				Value: float64(len(all)), Margin: -float64(len(all))},
		)
	case len(loose) > 0:
		return one(fitout.Finding{Rule: "tests-failed", Severity: fitout.Caution, Title: "Failed and not locked out",
			Sentence: fmt.Sprintf(
				"%s did not pass, and nothing says that it is locked out and tagged. Lock it out, tag it and list it until it "+
					"passes.",
				words.Capital(named(loose)),
			), Value: float64(len(loose)), Margin: -float64(len(loose))})
	}
	return nil
}

// outsideTests tells of what was called passed although it measures otherwise.
func outsideTests(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	for _, t := range Tests(p) {
		if t.State != Outside {
			continue
		}
		limit, sign := t.Most, "at most"
		if t.Most == 0 || t.Result.Measured <= t.Most {
			limit, sign = t.Least, "at least"
		}
		margin := limit - t.Result.Measured
		if sign == "at least" {
			margin = -margin
		}
		found = append(
			found,
			fitout.Finding{
				Rule:     "test-outside",
				Severity: fitout.Caution,
				Subject:  fitout.Subject{Kind: "handover", ID: t.Of},
				Title:    "Passed, but measures otherwise",
				Sentence: fmt.Sprintf(
					"“%s” is called passed with %s %s, where %s %s %s is expected. Measure it again, or say that it failed.",
					t.Title,
					p.Say.Plain(t.Result.Measured),
					t.Unit,
					sign,
					p.Say.Plain(limit),
					t.Unit,
				),
				Value:  t.Result.Measured,
				Limit:  limit,
				Margin: margin,
				Unit:   t.Unit,
				Source: "practice",
			},
		)
	}
	return found
}

// paperWords are kinds of paper in a sentence.
var paperWords = map[fitout.PaperKind]string{
	fitout.PaperEngineering: "the engineer's certificate", fitout.PaperGas: "the gas certificate",
	fitout.PaperLowVoltage: "the list of circuits and fuses", fitout.PaperMains: "the electrician's certificate",
	fitout.PaperSeats: "the certificate of seats and belts", fitout.PaperWeighbridge: "a weighbridge ticket",
	fitout.PaperTyres: "the tyre papers", fitout.PaperManual: "the manuals", fitout.PaperReceipt: "the receipts", fitout.PaperOther: "a paper",
}

// missingPapers tells of papers that the plan asks for once the build nears its end.
func missingPapers(p *plan.Plan) []fitout.Finding {
	if !delivered(p) {
		return nil
	}
	var missing []string
	for _, w := range Papers(p) {
		if !w.Have {
			missing = append(missing, paperWords[w.Kind]+" ("+w.Why+")")
		}
	}
	if len(missing) == 0 {
		return nil
	}
	return one(fitout.Finding{Rule: "papers-missing", Severity: fitout.Caution, Title: "Papers missing",
		Sentence: fmt.Sprintf(
			"It is handed over without %s. Who may give each, local rules say.",
			named(missing),
		), Value: float64(len(missing)),
		Margin: -float64(len(missing))})
}

// neededPapers tells of papers on the list that are not to be handed over without, and are not there.
func neededPapers(p *plan.Plan) []fitout.Finding {
	var missing []string
	for i := range p.Job.Handover.Papers {
		if paper := &p.Job.Handover.Papers[i]; paper.Needed && !there(paper) {
			missing = append(missing, words.Lower(paper.Name))
		}
	}
	if len(missing) == 0 {
		return nil
	}
	severity := fitout.Note
	if delivered(p) {
		severity = fitout.Stop
	}
	return one(fitout.Finding{Rule: "papers-needed", Severity: severity, Title: "A paper is waited for",
		Sentence: fmt.Sprintf(
			"It must not be handed over without %s: enter its number, who gave it and when, or attach it.",
			named(missing),
		),
		Value: float64(len(missing)), Margin: -float64(len(missing))})
}

// expiredPapers stops papers that had expired when it was handed over, and cautions of those that will have before the
// build begins.
func expiredPapers(p *plan.Plan) []fitout.Finding {
	severity, day, what := fitout.Stop, p.Job.Handover.Delivered, "the handover"
	if !delivered(p) {
		severity, day, what = fitout.Caution, p.Job.Build.Start, "the build begins"
	}
	var found []fitout.Finding
	for i := range p.Job.Handover.Papers {
		paper := &p.Job.Handover.Papers[i]
		if paper.Expires == "" || day == "" || paper.Expires >= day {
			continue
		}
		found = append(found, fitout.Finding{
			Rule:     "paper-expired",
			Severity: severity,
			Subject:  fitout.Subject{Kind: "handover", ID: paper.ID},
			Title:    paper.Name + " is out of date",
			Sentence: fmt.Sprintf(
				"%s expired on %s, before %s on %s. Have it renewed.",
				paper.Name,
				paper.Expires,
				what,
				day,
			),
			Source: "practice",
		})
	}
	return found
}

// fingerprint is that of the plan's job, worked out once.
func fingerprint(p *plan.Plan) string {
	type print string
	return string(*plan.Once(p, func(p *plan.Plan) *print {
		sum := print(Fingerprint(p.Given))
		return &sum
	}))
}

// olderPack cautions of a pack that was made before the job was last changed.
func olderPack(p *plan.Plan) []fitout.Finding {
	pack := &p.Job.Handover.Pack
	if pack.Sum == "" || pack.Sum == fingerprint(p) {
		return nil
	}
	return one(fitout.Finding{Rule: "pack-older", Severity: fitout.Caution, Title: "The pack is older than the job",
		Sentence: fmt.Sprintf(
			"The customer's pack was made on %s, and the job was changed since. Make it again and hand it over.",
			strings.Replace(pack.On, "T", " ", 1),
		)})
}

func signers(p *plan.Plan) map[fitout.Signer]*fitout.Signature {
	all := map[fitout.Signer]*fitout.Signature{}
	for i := range p.Job.Handover.Signed {
		s := &p.Job.Handover.Signed[i]
		all[s.Role] = s
	}
	return all
}

func unsigned(p *plan.Plan) []fitout.Finding {
	if !delivered(p) {
		return nil
	}
	by, missing := signers(p), []string{}
	for _, role := range []fitout.Signer{fitout.SignsWorkshop, fitout.SignsCustomer} {
		if by[role] == nil {
			missing = append(missing, "the "+string(role))
		}
	}
	if len(missing) == 0 {
		return nil
	}
	return one(fitout.Finding{Rule: "unsigned", Severity: fitout.Caution, Title: "Handed over unsigned",
		Sentence: fmt.Sprintf(
			"It is marked as handed over, and %s did not sign the walk-round. Both sign, so that each knows what was shown.",
			words.List(missing),
		), Value: float64(len(missing)), Margin: -float64(len(missing))})
}

// signedOther notes a signature under another pack than the one that was made last.
func signedOther(p *plan.Plan) []fitout.Finding {
	pack := p.Job.Handover.Pack.Sum
	var other []string
	for role, s := range signers(p) {
		if s.Sum != pack {
			other = append(other, "the "+string(role))
		}
	}
	if len(other) == 0 {
		return nil
	}
	slices.Sort(other)
	return one(fitout.Finding{Rule: "signed-other", Severity: fitout.Note, Title: "Signed for another pack",
		Sentence: fmt.Sprintf(
			"What %s signed is not the pack that was made last. Let it be signed again.",
			words.List(other),
		)})
}

// locksWithoutKeys notes locks of which nobody says how many keys there are and who holds one.
func locksWithoutKeys(p *plan.Plan) []fitout.Finding {
	var without []string
	for i := range p.Job.Handover.Locks {
		if l := &p.Job.Handover.Locks[i]; l.Keys == 0 || l.Holder == "" {
			without = append(without, words.Lower(l.Name))
		}
	}
	if len(without) == 0 {
		return nil
	}
	return one(fitout.Finding{Rule: "keys-missing", Severity: fitout.Note, Title: "A lock without a key",
		Sentence: fmt.Sprintf("Of %s nobody says how many keys there are and who holds one.", named(without))})
}

// warrantiesOpen notes warranties of which nobody says who stands for them and until when.
func warrantiesOpen(p *plan.Plan) []fitout.Finding {
	var open []string
	for i := range p.Job.Handover.Warranties {
		if w := &p.Job.Handover.Warranties[i]; w.Until == "" || w.By == "" {
			open = append(open, words.Lower(w.Name))
		}
	}
	if len(open) == 0 {
		return nil
	}
	return one(fitout.Finding{Rule: "warranty-open", Severity: fitout.Note, Title: "A warranty that says too little",
		Sentence: fmt.Sprintf("Of the warranty of %s nobody says who stands for it and until when.", named(open))})
}

// walkOpen cautions of what is handed over although not all was shown to the customer.
func walkOpen(p *plan.Plan) []fitout.Finding {
	if !delivered(p) {
		return nil
	}
	var open []string
	for _, w := range Walk(p) {
		if !w.Done {
			open = append(open, words.Lower(w.Title))
		}
	}
	if len(open) == 0 {
		return nil
	}
	return one(fitout.Finding{Rule: "walk-open", Severity: fitout.Caution, Title: "Not all was shown",
		Sentence: fmt.Sprintf(
			"It is marked as handed over, and nobody went through %s with the customer.",
			named(open),
		),
		Value: float64(len(open)), Margin: -float64(len(open))})
}
