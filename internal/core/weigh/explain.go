package weigh

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/gauss"
	"zaino/internal/core/plan"
)

// Cause is a kind of mistake that explains a weighing.
type Cause string

// The causes that are tried: a thing was not there, or was and is not listed; a vessel was fuller or emptier; axles or
// sides were written down the wrong way round; somebody more sat in it; the scale sloped; a mass is far off; or there
// is something that nobody listed.
const (
	Missing  Cause = "missing"
	There    Cause = "there"
	Level    Cause = "level"
	Swapped  Cause = "swapped"
	Sides    Cause = "sides"
	Person   Cause = "person"
	Slope    Cause = "slope"
	Mass     Cause = "mass"
	Unlisted Cause = "unlisted"
)

// Explanation is one cause, or several that this weighing cannot tell apart.
type Explanation struct {
	Cause    Cause   `json:"cause" enum:"missing,there,level,swapped,sides,person,slope,mass,unlisted"`
	Of       string  `json:"of" doc:"id of the item, tank: and id of the tank, or of the seat; empty for none"`
	Name     string  `json:"name"`
	Kg       float64 `json:"kg" doc:"that it comes to, more than planned, kg; degrees for a slope, nose up"`
	Sigmas   float64 `json:"sigmas" doc:"how many of its own standard deviations a mass would have to be off; 0 for other causes"`
	Share    float64 `json:"share" doc:"how likely it is among all that were tried, 0 to 1"`
	Chi2     float64 `json:"chi2" doc:"that is left with it"`
	Or       []Other `json:"or" doc:"causes that this weighing cannot tell from it"`
	Where    string  `json:"where" doc:"of something that nobody listed, in words"`
	Sentence string  `json:"sentence"`
}

// Other is a cause that cannot be told from one before it.
type Other struct {
	Cause Cause  `json:"cause" enum:"missing,there,level,swapped,sides,person,slope,mass,unlisted"`
	Of    string `json:"of"`
	Name  string `json:"name"`
}

// What is thought likely of a cause before anybody weighed; figures of practice.
const (
	aPerson     = 78.0 // kg, somebody who is not on the list
	aPersonBy   = 15.0 // kg
	farOff      = 0.5  // share by which a mass may be far off
	unlistedBy  = 40.0 // kg that nobody listed
	slopeBy     = 1.5  // degrees by which a scale that is called level may slope
	mostNamed   = 6    // explanations
	lightest    = 1.0  // kg; what is lighter explains no weighing
	sameWithin  = 1.0  // standard deviations of the reading within which two causes cannot be told apart
	mostOthers  = 3
	gridOfPlace = 9 // places along and across that something unlisted may lie in
)

// farOffOften is how often a mass is far off by where it comes from, against a thing that was forgotten; figures of
// practice.
var farOffOften = map[fitout.MassSource]float64{
	fitout.Estimate: 0.3, fitout.ByMaterial: 0.2, fitout.DataSheet: 0.1, fitout.ByScale: 0.02,
}

// guess is one cause put to the test: how it moves what was expected, and how far that errs.
type guess struct {
	Explanation
	moved  []float64   // what the figures would read more, kg
	spread [][]float64 // one standard deviation each, by figure
	read   []float64   // what was read, where it was written down otherwise; nil: as it was
	own    float64     // standard deviation of a mass, for its sigmas
	prior  float64     // how often it happens, against the others
	log    float64
	at     []float64 // expected figures with it, for telling causes apart
	root   gauss.Lower
}

// explain tries every cause: the log of how likely what was read is with it, by the same normal errors, and ranks them.
func (l *Look) explain(p *plan.Plan, w *fitout.WeighIn, readings []gauss.Reading) {
	guesses := l.guesses(p, w)
	total := 0.0
	best := math.Inf(-1)
	for i := range guesses {
		guesses[i].weigh(l, readings)
		best = max(best, guesses[i].log)
	}
	for i := range guesses {
		guesses[i].Share = math.Exp(guesses[i].log - best)
		total += guesses[i].Share
	}
	slices.SortStableFunc(guesses, func(a, b guess) int { return cmp.Compare(b.log, a.log) })
	var firsts []*guess // those that stand for themselves
	for i := range guesses {
		g := &guesses[i]
		g.Share /= total
		k := slices.IndexFunc(firsts, func(first *guess) bool { return alike(first, g) })
		switch {
		case k < 0 && len(firsts) < mostNamed:
			firsts = append(firsts, g)
		case k >= 0:
			firsts[k].Share += g.Share
			if len(firsts[k].Or) < mostOthers {
				firsts[k].Or = append(firsts[k].Or, Other{g.Cause, g.Of, g.Name})
			}
		}
	}
	for _, g := range firsts {
		if g.Or == nil {
			g.Or = []Other{}
		}
		l.Explanations = append(l.Explanations, g.Explanation)
	}
}

// alike tells whether two causes come to the same: they are of the same thing, or what the scale reads with them
// differs by less than it can tell, given how sure all else is.
func alike(a, b *guess) bool {
	switch {
	case a.Cause == Unlisted || b.Cause == Unlisted:
		return false
	case a.Of == b.Of && a.Of != "":
		return true
	}
	off := make([]float64, len(a.at))
	for i := range off {
		off[i] = a.at[i] - b.at[i]
	}
	half := a.root.Half(off)
	return math.Sqrt(gauss.Dot(half, half)) < sameWithin
}

// weigh works out how likely what was read is with a guess.
func (g *guess) weigh(l *Look, readings []gauss.Reading) {
	sources := len(l.scale.Sources)
	tried := make([]gauss.Reading, len(readings))
	g.at = make([]float64, len(readings))
	for i, r := range readings {
		f := &l.scale.Figures[i]
		read := f.Read
		if g.read != nil {
			read = g.read[i]
		}
		r.Off = read - f.Planned - g.moved[i]
		r.Moves = append(slices.Clone(r.Moves), make([]float64, len(g.spread))...)
		for k := range g.spread {
			r.Moves[sources+k] = g.spread[k][i]
		}
		tried[i] = r
	}
	after := gauss.Update(sources+len(g.spread), tried)
	g.root = after.Root
	g.Chi2 = after.Chi2
	g.log = math.Log(g.prior) - (after.Chi2+after.LogDet)/2
	for i := range readings {
		g.at[i] = g.moved[i]
		if g.read != nil {
			g.at[i] += l.scale.Figures[i].Read - g.read[i]
		}
		for k := range g.spread {
			g.at[i] += g.spread[k][i] * after.Mean[sources+k]
		}
	}
	switch g.Cause {
	case Slope:
		g.Kg = after.Mean[sources] * slopeBy
	case Mass:
		g.Kg = after.Mean[sources] * farOff * g.Kg
		g.Sigmas = math.Abs(g.Kg) / max(g.own, math.SmallestNonzeroFloat64)
	case Person:
		g.Kg += after.Mean[sources] * aPersonBy
	case Unlisted:
		l.placed(g)
	}
}

// placed is how heavy something that nobody listed most likely is, and where.
func (l *Look) placed(g *guess) {
	along, across := 0.0, 0.0
	g.Kg = 0
	for i, f := range l.scale.Figures {
		if f.Name == "gross" && len(l.scale.Figures) > 1 {
			continue
		}
		g.Kg += g.at[i]
		if strings.HasPrefix(f.Name, "rear") {
			along += g.at[i]
		}
		switch {
		case strings.HasSuffix(f.Name, "-right"):
			across += g.at[i]
		case strings.HasSuffix(f.Name, "-left"):
			across -= g.at[i]
		}
	}
	if g.Kg != 0 && len(l.scale.Figures) > 1 {
		g.Where = whereabouts(along/g.Kg, across/g.Kg)
	}
}

// whereabouts says in words where a mass is that puts a share on the rear axle, and so much more on the right wheels than
// on the left as a share of itself.
func whereabouts(rear, right float64) string {
	where := "between the axles"
	switch {
	case rear > 1.02:
		where = "behind the rear axle"
	case rear > 0.9:
		where = "over the rear axle"
	case rear < -0.02:
		where = "ahead of the front axle"
	case rear < 0.1:
		where = "over the front axle"
	}
	switch {
	case right > 0.25:
		where += " on the right"
	case right < -0.25:
		where += " on the left"
	}
	return where
}
