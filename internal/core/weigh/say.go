package weigh

import (
	"fmt"
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// say puts a look into words.
func (l *Look) say(p *plan.Plan, w *fitout.WeighIn) {
	for i := range l.Explanations {
		l.Explanations[i].Sentence = sentenceOf(p, &l.Explanations[i])
	}
	for _, a := range l.Axles {
		if a.Name == "gross" && len(l.Figures) > 1 {
			continue
		}
		if off := readOf(l, a.Name) - a.Planned; !math.IsNaN(off) {
			l.Sentences = append(l.Sentences, fmt.Sprintf(
				"%s: %s (± %s by plan and scale together).",
				map[string]string{"front": "Front axle", "rear": "Rear axle", "gross": "The whole"}[a.Name],
				overPlan(p, off),
				p.Say.Mass(math.Round(offSigma(l, a.Name))),
			))
		}
	}
	if l.Agrees {
		l.Sentences = append(
			l.Sentences,
			fmt.Sprintf("The plan explains it: of vehicles as they are believed %s would be off "+
				"as much or more (χ² %.2f of %d readings).%s", p.Say.Percent(l.Likely), l.Chi2, l.Degrees, l.likeliest(p)),
		)
		return
	}
	l.Sentences = append(
		l.Sentences,
		fmt.Sprintf("Something is not as planned: of vehicles as they are believed only %s would "+
			"be off as much (χ² %.2f of %d readings).", p.Say.Percent(l.Likely), l.Chi2, l.Degrees),
	)
	e := &l.Unexplained
	switch {
	case e.Placed:
		text := fmt.Sprintf(
			"%s ± %s %s, as if at %s ± %s",
			p.Say.Mass(math.Abs(math.Round(e.Kg))),
			p.Say.Mass(math.Round(e.Sigma)),
			tooMuch(e.Kg),
			p.Say.Length(math.Round(e.X)),
			p.Say.Length(math.Round(e.XSigma)),
		)
		text += " behind the front axle"
		if e.Sided && math.Abs(e.Y) > 1 {
			text += fmt.Sprintf(
				", %s ± %s to the %s",
				p.Say.Length(math.Abs(math.Round(e.Y))),
				p.Say.Length(math.Round(e.YSigma)),
				map[bool]string{true: "right", false: "left"}[e.Y > 0],
			)
		}
		l.Sentences = append(l.Sentences, text+".")
	case len(l.Figures) > 1:
		moved := e.Moment / p.Load.Wheelbase
		l.Sentences = append(
			l.Sentences,
			fmt.Sprintf("No place can be told: in all it is %s ± %s, which may be nothing. What moved is the load on the "+
				"rear axle, by %s ± %s.", overPlan(p, e.Kg), p.Say.Mass(math.Round(e.Sigma)), signed(p, moved),
				p.Say.Mass(math.Round(e.MomentBy/p.Load.Wheelbase))),
		)
	}
}

func overPlan(p *plan.Plan, off float64) string {
	if math.Abs(off) < 0.5 {
		return "as planned"
	}
	return p.Say.Mass(math.Abs(math.Round(off))) + map[bool]string{true: " over plan", false: " under plan"}[off > 0]
}

func tooMuch(kg float64) string {
	if kg < 0 {
		return "too little"
	}
	return "too much"
}

// readOf is what was read of an axle or the whole, NaN where it was not.
func readOf(l *Look, axle string) float64 {
	sum, any := 0.0, false
	for _, f := range l.Figures {
		if f.Name == axle || strings.HasPrefix(f.Name, axle+"-") {
			sum, any = sum+f.Read, true
		}
	}
	if !any {
		return math.NaN()
	}
	return sum
}

// offSigma is how far what was read of an axle may be off what was planned, kg.
func offSigma(l *Look, axle string) float64 {
	readings := l.scale.Readings()
	of := make([]float64, len(readings))
	for i, f := range l.Figures {
		if f.Name == axle || strings.HasPrefix(f.Name, axle+"-") {
			of[i] = 1
		}
	}
	_, sigma := sum(readings, of)
	return sigma
}

// likeliest names what most likely accounts for what is off, within what is believed.
func (l *Look) likeliest(p *plan.Plan) string {
	var named []string
	for _, t := range l.Turned {
		if len(named) < 2 && math.Abs(t.Kg) >= 1 && t.Takes > 0.1 {
			named = append(named, fmt.Sprintf("%s (%s)", words.Lower(t.Name), signed(p, t.Kg)))
		}
	}
	if len(named) == 0 {
		return ""
	}
	return " Most likely " + strings.Join(named, " and ") + "."
}

func signed(p *plan.Plan, kg float64) string {
	if kg < 0 {
		return "− " + p.Say.Mass(-math.Round(kg))
	}
	return "+ " + p.Say.Mass(math.Round(kg))
}

func moreOr(kg float64) string {
	if kg < 0 {
		return "less"
	}
	return "more"
}

// sentenceOf is an explanation in words.
func sentenceOf(p *plan.Plan, e *Explanation) string {
	name := words.Lower(e.Name)
	var text string
	switch e.Cause {
	case Missing:
		text = fmt.Sprintf("Not there: %s (%s).", name, p.Say.Mass(math.Round(-e.Kg)))
	case There:
		text = fmt.Sprintf("There, and not on the list: %s (%s).", name, p.Say.Mass(math.Round(e.Kg)))
	case Level:
		text = fmt.Sprintf(
			"%s %s in it than was noted: %s.",
			p.Say.Mass(math.Abs(math.Round(e.Kg))),
			moreOr(e.Kg),
			name,
		)
	case Swapped:
		text = "Front and rear axle were written down the wrong way round."
	case Sides:
		text = "Left and right were written down the wrong way round."
	case Person:
		text = fmt.Sprintf("Somebody more sat in it: %s (about %s).", name, p.Say.Mass(math.Round(e.Kg)))
	case Slope:
		text = fmt.Sprintf("The scale sloped by %s°, nose %s.", p.Say.Plain(math.Abs(math.Round(10*e.Kg)/10)),
			map[bool]string{true: "up", false: "down"}[e.Kg > 0])
	case Mass:
		text = fmt.Sprintf(
			"%s %s than planned: %s (%s times its own uncertainty).",
			p.Say.Mass(math.Abs(math.Round(e.Kg))),
			moreOr(e.Kg),
			name,
			p.Say.Plain(math.Round(10*e.Sigmas)/10),
		)
	default:
		text = fmt.Sprintf(
			"About %s that nobody listed %s",
			p.Say.Mass(math.Abs(math.Round(e.Kg))),
			map[bool]string{true: "is there",
				false: "is missing"}[e.Kg > 0],
		)
		if e.Where != "" {
			text += ", " + e.Where
		}
		text += "."
	}
	if len(e.Or) == 0 {
		return text
	}
	var others []string
	for _, o := range e.Or {
		others = append(others, phraseOf(o))
	}
	return text + " It cannot be told by this weighing from: " + strings.Join(others, ", ") + "."
}

func phraseOf(o Other) string {
	name := words.Lower(o.Name)
	switch o.Cause {
	case Missing:
		return name + " not there"
	case There:
		return name + " there as well"
	case Level:
		return name + " otherwise full"
	case Swapped:
		return "axles the wrong way round"
	case Sides:
		return "sides the wrong way round"
	case Person:
		return "somebody at " + name
	case Slope:
		return "a sloping scale"
	}
	return name + " heavier or lighter"
}
