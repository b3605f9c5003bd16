package weigh

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/load"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// WeighFigures is how far a plan was weighed.
type WeighFigures struct {
	Weighed    int     `json:"weighed" doc:"things of the plan that were weighed"`
	Things     int     `json:"things" doc:"of so many"`
	WeighIns   int     `json:"weighIns" doc:"weighings of the loaded vehicle"`
	Calibrated string  `json:"calibrated" doc:"what the plan goes by, in words; empty where by its own figures"`
	Since      float64 `json:"since" doc:"changed since the newest weighing, kg"`
}

// Engine tells how far the plan was weighed, and what is doubtful about that.
func Engine() plan.Engine[WeighFigures] {
	return plan.Engine[WeighFigures]{Figures: figures, Rules: []plan.Rule{
		contradicts, overOnScale, changedSince, neverWeighed, wayOfWeighing, padsApart, sloped, ticketMissing, nothingAboard, partOff,
		partMoving,
	}}
}

func figures(p *plan.Plan) WeighFigures {
	f := WeighFigures{WeighIns: len(p.Variant.WeighIns)}
	for i := range p.Items {
		if item := &p.Items[i]; !plan.Traveller(item) && item.Work.Now() && item.Mass > 0 {
			f.Things++
			if item.Source == fitout.ByScale {
				f.Weighed++
			}
		}
	}
	if c := p.Load.Calibration(); c != nil {
		var names []string
		for i := range p.Variant.WeighIns {
			if p.Variant.WeighIns[i].Calibrates {
				names = append(names, called(&p.Variant.WeighIns[i]))
			}
		}
		f.Calibrated = "calibrated with " + words.List(names)
	}
	if w := newest(p); w != nil {
		f.Since = changed(p, w)
	}
	return f
}

// called is a weighing in a sentence.
func called(w *fitout.WeighIn) string {
	if w.At == "" {
		return fmt.Sprintf("“%s”", w.Name)
	}
	return fmt.Sprintf("“%s” of %s", w.Name, strings.SplitN(w.At, "T", 2)[0])
}

// newest is the weighing that was made last, or nil.
func newest(p *plan.Plan) *fitout.WeighIn {
	var last *fitout.WeighIn
	for i := range p.Variant.WeighIns {
		if w := &p.Variant.WeighIns[i]; read(w) && (last == nil || w.At >= last.At) {
			last = w
		}
	}
	return last
}

func read(w *fitout.WeighIn) bool {
	front, rear, _ := w.AxleReadings()
	return front+rear > 0 || w.Total > 0
}

// changed is how much was put in, taken out, made heavier or lighter since a weighing, kg. What only comes and goes
// with a state counts as there.
func changed(p *plan.Plan, w *fitout.WeighIn) float64 {
	then := map[string]float64{}
	for i := range w.Aboard {
		then[w.Aboard[i].Of] = w.Aboard[i].Kg
	}
	sum := 0.0
	for i := range p.Items {
		item := &p.Items[i]
		kg, was := then[item.ID]
		delete(then, item.ID)
		switch {
		case plan.Traveller(item) || !item.Work.Now():
		case was:
			sum += math.Abs(p.Variant.Items[i].Mass - kg)
		case item.Presence.Kind == fitout.Always || p.Load.Items[i].Present:
			sum += p.Variant.Items[i].Mass
		}
	}
	for of, kg := range then {
		if !strings.HasPrefix(of, "tank:") {
			sum += kg
		}
	}
	return sum
}

// each makes a rule of what is said of one weighing that was read.
func each(rule func(p *plan.Plan, w *fitout.WeighIn) *fitout.Finding) func(*plan.Plan) []fitout.Finding {
	return func(p *plan.Plan) []fitout.Finding {
		var found []fitout.Finding
		for i := range p.Variant.WeighIns {
			w := &p.Variant.WeighIns[i]
			if !read(w) {
				continue
			}
			if f := rule(p, w); f != nil {
				f.Subject = fitout.Subject{Kind: "weighIn", ID: w.ID}
				found = append(found, *f)
			}
		}
		return found
	}
}

// contradicts cautions about a weighing that the plan does not explain, until somebody says what it was; one that the
// plan goes by all the same is told with it.
var contradicts = each(func(p *plan.Plan, w *fitout.WeighIn) *fitout.Finding {
	if w.Why != "" {
		return nil
	}
	l := quick(p, w)
	if l.Degrees == 0 || l.Agrees {
		return nil
	}
	goes := ""
	if w.Calibrates {
		goes = " The plan goes by it all the same: what is wrong is spread over everything."
	}
	return &fitout.Finding{
		Rule:     "weigh-contradicts",
		Severity: fitout.Caution,
		Title:    "The scale contradicts the plan",
		Sentence: fmt.Sprintf(
			"The weighing %s is %s ± %s off the plan; of vehicles as they are believed only %s would be off as "+
				"much. Something is not as planned: find it, and write down what it was.%s",
			called(w),
			signed(p, l.Unexplained.Kg),
			p.Say.Mass(math.Round(l.Unexplained.Sigma)),
			p.Say.Percent(l.Likely),
			goes,
		),
		Value:  l.Likely,
		Limit:  Unlikely,
		Margin: l.Likely - Unlikely,
		Unit:   "",
		Source: "physics",
	}
})

// quick is a look at a weighing without what would explain it.
func quick(p *plan.Plan, w *fitout.WeighIn) Look {
	type looks map[string]Look
	kept := plan.Once(p, func(*plan.Plan) *looks { return &looks{} })
	if l, ok := (*kept)[w.ID]; ok {
		return l
	}
	u := &p.Job.Practice.Uncertainty
	l := before(p, w, load.BaselineOf(&p.Given.Vehicle, &p.Load.Weighing, u), u)
	(*kept)[w.ID] = l
	return l
}

// overOnScale stops what was read over a limit, whatever the plan says.
var overOnScale = each(func(p *plan.Plan, w *fitout.WeighIn) *fitout.Finding {
	var worst *fitout.Finding
	for _, r := range Results(p, w) {
		if r.Limit == 0 || r.Left >= 0 || worst != nil && r.Left >= worst.Margin {
			continue
		}
		worst = &fitout.Finding{Rule: "weighed-over", Severity: fitout.Stop, Title: r.Title + " over on the scale",
			Sentence: fmt.Sprintf(
				"The weighing %s read %s ± %s for %s, where %s (%s) are allowed. A scale comes before any plan: "+
					"take something off before it is driven.",
				called(w),
				p.Say.Mass(r.Read),
				p.Say.Mass(math.Round(2*r.Sigma)),
				words.Lower(r.Title),
				p.Say.Mass(r.Limit),
				r.Term,
			),
			Value: r.Read, Limit: r.Limit, Margin: r.Left, Unit: "kg", Source: r.Source}
	}
	return worst
})

// Result is one load as it was read, against its limit.
type Result struct {
	Title  string  `json:"title"`
	Term   string  `json:"term" doc:"what the limit is called"`
	Read   float64 `json:"read" doc:"kg"`
	Sigma  float64 `json:"sigma" doc:"standard uncertainty of the reading, kg"`
	Limit  float64 `json:"limit" doc:"kg; 0 = not stated"`
	Left   float64 `json:"left" doc:"kg; negative: over"`
	Over   float64 `json:"over" doc:"probability of being over by the reading alone, 0 to 1"`
	Source string  `json:"source"`
}

// Results are what a weighing read for each axle and the whole, against their limits.
func Results(p *plan.Plan, w *fitout.WeighIn) []Result {
	u := &p.Job.Practice.Uncertainty
	sums, variances := map[string]float64{}, map[string]float64{}
	for _, f := range p.Load.OnScale(w, load.Baseline{}, u).Figures {
		axle := strings.SplitN(f.Name, "-", 2)[0]
		if axle == "gross" && sums["front"] > 0 {
			continue // the axles are told, and their sum
		}
		sums[axle], variances[axle] = sums[axle]+f.Read, variances[axle]+f.Own*f.Own
		if axle != "gross" {
			sums["gross"], variances["gross"] = sums["gross"]+f.Read, variances["gross"]+f.Own*f.Own
		}
	}
	all := []Result{}
	for _, pad := range limits.Of(p).Pads {
		f := pad.Facts()
		read, known := sums[f.ID]
		if !known {
			continue
		}
		r := Result{Title: f.Title, Term: f.Told(), Read: read, Sigma: math.Sqrt(variances[f.ID]), Source: f.Source}
		if f.Stated() {
			r.Limit, r.Left = f.Bound.Figure(), f.Bound.Left(read)
			r.Over = load.Over(read, r.Limit, r.Sigma)
		}
		all = append(all, r)
	}
	return all
}

// changedMost is what may be changed without weighing again, kg; a figure of practice.
const changedMost = 20

// changedSince cautions where more than 20 kg was put in, taken out or found otherwise since the weighing.
func changedSince(p *plan.Plan) []fitout.Finding {
	w := newest(p)
	if w == nil {
		return nil
	}
	kg := changed(p, w)
	if kg <= changedMost {
		return nil
	}
	return []fitout.Finding{
		{Rule: "weigh-again", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "weighIn", ID: w.ID},
			Title: "Not weighed since it was changed",
			Sentence: fmt.Sprintf(
				"%s was put in, taken out or found to weigh otherwise since it was weighed (%s). Weigh it again before "+
					"it is handed over.",
				p.Say.Mass(math.Round(kg)),
				called(w),
			),
			Value: kg, Limit: changedMost, Margin: changedMost - kg, Unit: "kg", Source: "practice"},
	}
}

// neverWeighed cautions of what is handed over and was never weighed.
func neverWeighed(p *plan.Plan) []fitout.Finding {
	if newest(p) != nil || p.Job.Handover.Delivered == "" {
		return nil
	}
	return []fitout.Finding{
		{Rule: "never-weighed", Severity: fitout.Caution, Subject: fitout.Subject{Kind: "weighIn"},
			Title: "Handed over and never weighed",
			Sentence: "It is handed over, and nobody weighed it as it stands. Every load that it is told to bear is a sum from paper; " +
				"weigh it axle by axle.", Unit: "kg", Source: "practice"},
	}
}
