package strength

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// runnerStep is the step of standard runner lengths, mm.
const runnerStep = 50

// RunnerLength stops a drawer that is to come out further than the longest
// standard runner that its carcass takes: full extension is as long as the
// runner, and runners come in steps.
func RunnerLength(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		m := p.Module()
		if m.Runner != fitout.BallRunner || m.Travel == 0 || p.Motion != scene.Drawers && p.Motion != scene.Slides {
			continue
		}
		inside := scene.DepthOf(p) - m.Panel
		longest := math.Floor((inside+scene.Slack)/runnerStep) * runnerStep
		needs := math.Ceil((m.Travel-scene.Slack)/runnerStep) * runnerStep
		if needs <= longest {
			continue
		}
		f := scene.About("runner-length", fitout.Stop, p)
		f.Title = fmt.Sprintf("Runners of %s do not fit", words.Lower(p.Name()))
		f.Sentence = fmt.Sprintf("To come out by %s it needs runners of %s; behind its face there are %s, and the longest "+
			"standard runner in that is %s. Let it come out by %s, or make it %s deeper.", s.Say.Length(m.Travel),
			s.Say.Length(needs), s.Say.Length(inside), s.Say.Length(longest), s.Say.Length(longest),
			s.Say.LengthAtLeast(needs-inside))
		f.Value, f.Limit, f.Margin, f.Source = needs, longest, longest-needs, "practice"
		f.Fixes = []fitout.Fix{scene.Edit("Let it come out by "+s.Say.Length(longest), "travel", p.ID, longest)}
		f.Lines = []fitout.Line{scene.Line(p.Box.From, p.Leaves[0].Open.From, s.Say.Length(m.Travel))}
		found = append(found, f)
	}
	return found
}

// Ratings of a pair of runners where no data sheet gives one, kg, and the
// length up to which they hold: longer ones carry less in proportion, since the
// load hangs on a longer arm. Practice figures of generic runners.
var runnerRatings = map[fitout.Runner]float64{fitout.BallRunner: 150, fitout.StripRunner: 40, fitout.RollerRunner: 100}

const ratedLength = 700

// RunnerLoad stops a drawer or slide that carries more than its runners may, and
// cautions from the share of it that the workshop uses off road.
func RunnerLoad(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		m := p.Module()
		rated, source := m.Rated, "data sheet"
		if rated == 0 {
			rated, source = runnerRatings[m.Runner]*min(1, ratedLength/max(1, scene.TravelOf(p))), "practice"
		}
		if rated == 0 || p.Motion != scene.Drawers && p.Motion != scene.Slides {
			continue
		}
		most := rated * s.Practice.RunnerFactor
		name, load := heaviest(s, i)
		if !quantity.Exceeds(load, most) {
			continue
		}
		f := scene.About("runner-load", fitout.Caution, p)
		if quantity.Exceeds(load, rated) {
			f.Severity = fitout.Stop
		}
		f.Title = fmt.Sprintf("Runners of %s %s over", words.Lower(p.Name()), s.Say.Mass(load-most))
		f.Sentence = fmt.Sprintf("%s carries %s; its runners are rated %s out by %s, of which %.0f %% are used off road: "+
			"%s. Take %s out, or choose runners rated %s.", name, s.Say.Mass(load), s.Say.Mass(rated), s.Say.Length(scene.TravelOf(p)),
			100*s.Practice.RunnerFactor, s.Say.Mass(most), s.Say.MassAtLeast(load-most),
			s.Say.MassAtLeast(load/s.Practice.RunnerFactor))
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = load, most, most-load, "kg", source
		f.Lines = []fitout.Line{
			scene.Line(p.Leaves[0].Closed.Middle(), p.Leaves[0].Open.Middle(), s.Say.Length(scene.TravelOf(p))),
		}
		if wants := math.Ceil(load/s.Practice.RunnerFactor/ratedStep) * ratedStep; wants <= mostRated {
			f.Fixes = []fitout.Fix{scene.Edit(fmt.Sprintf("Runners rated %s", s.Say.Mass(wants)), "runners", p.ID, wants)}
		}
		found = append(found, f)
	}
	return found
}

// In what steps runners are rated, and up to what they can be had, kg. Practice.
const (
	ratedStep = 5
	mostRated = 250
)

// DrawerShare is the part of a drawer unit's mass that a drawer has, of all its
// drawers together.
const DrawerShare = 0.4

// heaviest is the drawer of a unit that carries most, with its own mass, or the
// slide with all that stands on it, kg.
func heaviest(s *scene.Scene, i int) (name string, load float64) {
	p := &s.Parts[i]
	if p.Motion == scene.Slides {
		load = p.Kg()
		for _, k := range s.StandOn(i) {
			if p.Traits().CarriesOut {
				load += s.Parts[k].Kg()
			}
		}
		return p.Name(), load
	}
	for _, c := range p.Cells {
		if own := c.Load + p.Mass*DrawerShare/float64(len(p.Cells)); own > load {
			name, load = c.Name+" of "+words.Lower(p.Name()), own
		}
	}
	return name, load
}

// comesOut is what comes out with one leaf that is open, kg: of a drawer its own load and its share of the unit, of
// a slide all of it.
func comesOut(s *scene.Scene, o *scene.OpenLeaf) float64 {
	p := &s.Parts[o.Part]
	if p.Motion == scene.Drawers {
		for _, c := range p.Cells {
			if c.ID == o.Leaf.Cell {
				return c.Load + p.Mass*DrawerShare/float64(len(p.Cells))
			}
		}
	}
	_, kg := heaviest(s, o.Part)
	return kg
}
