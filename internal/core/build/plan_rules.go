package build

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/cost"
	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// orderRing stops a build of which steps wait for each other.
func orderRing(l *Look) []fitout.Finding {
	ring := l.gathered().Ring
	if len(ring) == 0 {
		return nil
	}
	f := about("order-ring", fitout.Stop, "")
	f.Title = "The order of work runs in a ring"
	f.Sentence = "Each waits for the other: " + strings.Join(
		ring,
		"; ",
	) + ". Take one of these reasons back, or change what stands where."
	f.Margin, f.Waivable, f.Source = -1, false, "physics"
	return []fitout.Finding{f}
}

// tooFew cautions of a part that takes more people than there are.
func tooFew(l *Look) []fitout.Finding {
	makers := len(l.Job.Build.Makers)
	if makers == 0 {
		return nil
	}
	var found []fitout.Finding
	w := l.gathered()
	for i := range w.steps {
		s := &w.steps[i]
		if s.Work != "fit" || s.People <= makers {
			continue
		}
		f := about("lift-more", fitout.Caution, s.Module)
		f.Title = s.Title + fmt.Sprintf(" takes %d people", s.People)
		f.Sentence = fmt.Sprintf(
			"It weighs %s, and one lifts %s; %d build. Get help or a hoist for that step.",
			l.Say.Mass(s.Kg),
			l.Say.Mass(l.Job.Practice.OneLifts),
			makers,
		)
		f.Over(float64(s.People), float64(makers), "")
		found = append(found, f)
	}
	return found
}

// overBudget cautions where the build costs more than the brief allows. Sheets are counted as few as is possible.
func overBudget(l *Look) []fitout.Finding {
	budget := l.Job.Brief.Budget
	if budget == 0 {
		return nil
	}
	lines := l.lines()
	q := cost.QuoteOf(&lines, &l.Job.Build.Money)
	if q.Total <= budget {
		return nil
	}
	f := about("over-budget", fitout.Caution, "")
	f.Title = "Over the budget by " + l.price(q.Total-budget)
	f.Sentence = fmt.Sprintf(
		"The build costs at least %s, an estimate; the brief allows %s. See under Cost what each part takes.",
		l.price(q.Total),
		l.price(budget),
	)
	f.Over(float64(q.Total)/100, float64(budget)/100, "")
	f.Source = "brief"
	return []fitout.Finding{f}
}

// priceMissing notes what is used without a price: the quote is too low by it.
func priceMissing(l *Look) []fitout.Finding {
	m := &l.Job.Build.Money
	if m.Rate == 0 && len(l.Job.Build.Goods) == 0 {
		return nil // nobody has begun with money
	}
	lines, missing := l.lines(), []string{}
	for _, all := range [][]cost.CostLine{lines.Material, lines.Hardware, lines.Bought, lines.Work} {
		for _, line := range all {
			if line.Each == 0 && line.Sum == 0 && line.Count > 0 {
				missing = append(missing, words.Lower(line.What))
			}
		}
	}
	if len(missing) == 0 {
		return nil
	}
	f := about("price-missing", fitout.Note, "")
	f.Title = "A price is missing"
	if len(missing) > 1 {
		f.Title = fmt.Sprintf("%d prices are missing", len(missing))
	}
	shown := missing[:min(6, len(missing))]
	f.Sentence = "Without " + words.List(shown)
	if len(missing) > len(shown) {
		f.Sentence += fmt.Sprintf(" and %d more", len(missing)-len(shown))
	}
	f.Sentence += " the quote is too low."
	f.Over(float64(len(missing)), 0, "")
	return []fitout.Finding{f}
}

// deliveredLate cautions of what comes later than it could be fitted.
func deliveredLate(l *Look) []fitout.Finding {
	var found []fitout.Finding
	if !slices.ContainsFunc(l.gathered().steps, func(s BuildStep) bool { return s.Work == "order" && s.Wait > 0 }) {
		return nil
	}
	w := l.Work()
	free := 0.0 // when all else that is made is ready
	for i := range w.Steps {
		if s := &w.Steps[i]; s.Work != "order" && s.Work != "weigh" && s.Work != "fit" && s.Work != "clean" &&
			s.Work != "connect" &&
			s.Work != "torque" {
			free = max(free, s.To+s.Wait)
		}
	}
	for i := range w.Steps {
		s := &w.Steps[i]
		there := s.To + s.Wait
		if s.Work != "order" || s.Wait == 0 || s.Day == 0 || there <= free+24 {
			continue
		}
		days := math.Ceil((there - free) / 24)
		f := about("delivered-late", fitout.Caution, s.Module)
		f.Title = words.Capital(words.Lower(l.Name(s.Module))) + " comes after it is needed"
		f.Sentence = fmt.Sprintf(
			"Delivery takes %.0f days; all that is made is ready %.0f days before. Order it %.0f days before the build begins, or begin later.",
			s.Wait/24,
			days,
			days,
		)
		f.Over(s.Wait/24, s.Wait/24-days, "days")
		found = append(found, f)
	}
	return found
}

// decisionOpen cautions of a question that is answered only after the build begins, or by nobody's day.
func decisionOpen(l *Look) []fitout.Finding {
	var found []fitout.Finding
	b := &l.Job.Build
	for _, d := range b.Decisions {
		if d.Answer != "" {
			continue
		}
		f := about("decision-open", fitout.Note, d.Before)
		f.With = []string{d.ID}
		f.Title = "Not decided: " + d.Question
		f.Sentence = "Nobody said until when it is answered. What hangs on it must not begin."
		f.Margin = -1
		if d.Until != "" {
			days, ok := daysBetween(b.Start, d.Until)
			if !ok || days <= 0 {
				f.Sentence = fmt.Sprintf("It is answered by %s. What hangs on it must not begin before.", d.Until)
			} else {
				f.Severity = fitout.Caution
				f.Sentence = fmt.Sprintf("It is answered by %s, %d days after the build begins; what hangs on it waits.", d.Until, days)
				f.Over(float64(days), 0, "days")
			}
		}
		found = append(found, f)
	}
	return found
}
