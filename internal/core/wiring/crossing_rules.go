package wiring

import (
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

var unguarded = map[fitout.CrossingKind][3]string{
	fitout.OverSlide: {"cable-slide", "over a slide",
		"Nothing guides it: it is caught or torn. Lay it in a chain, or folded at its middle."},
	fitout.DoorGap: {"cable-door", "through a door's gap",
		"It is pinched each time. Lead it through a gaiter at the hinge side."},
	fitout.OverEdge: {"cable-edge", "over an edge",
		"The edge cuts through its insulation in a season. Put a grommet there."},
	fitout.PartingLine: {"cable-parting", "over a parting line",
		"When the unit is lifted out, it tears. Put a connector there, coded and held."},
}

var guarded = map[fitout.CrossingKind]string{
	fitout.OverSlide: "Guide it in a chain", fitout.DoorGap: "Lead it through a gaiter",
	fitout.OverEdge:    "Put a grommet there",
	fitout.PartingLine: "Put a connector there",
}

// crossingsUnguarded stops cable that crosses what moves, cuts or parts without what it
// wants there.
func crossingsUnguarded(b *Board) []fitout.Finding {
	var found []fitout.Finding
	for i := range b.Lines {
		line := &b.Lines[i]
		for _, c := range line.given.Crossings {
			said := unguarded[c.Kind]
			if c.Guarded || said[0] == "" {
				continue
			}
			f := b.about(said[0], fitout.Stop, line)
			f.Subject.Measure = c.ID
			f.Title = line.Name + " runs " + said[1]
			f.Sentence = said[2]
			f.Fixes = []fitout.Fix{{Label: guarded[c.Kind], Edit: fitout.FixEdit{Kind: "guard", ID: line.Of, With: c.ID}}}
			found = append(found, f)
		}
	}
	return found
}

// partingUnsaid cautions about a cable into a unit that lifts out, of which nobody said
// where it parts.
func partingUnsaid(b *Board) []fitout.Finding {
	out := map[string]bool{}
	for _, l := range b.Job.Brief.Daily.LiftOut {
		out[l.ID] = true
		for i := range b.Items {
			if strings.EqualFold(b.Items[i].Name, l.Name) {
				out[b.Items[i].ID] = true
			}
		}
	}
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		i := b.Index(line.item)
		f := b.about("parting-unsaid", fitout.Caution, line)
		if i < 0 || len(out) == 0 || line.given.Plug != "" {
			return f, false
		}
		unit := b.Items[i].ID
		if in := b.Items[i].In; in != nil {
			unit = in.Module
		}
		if !out[unit] || b.sameUnit(line, unit) {
			return f, false
		}
		if slices.ContainsFunc(line.given.Crossings, func(c fitout.Crossing) bool { return c.Kind == fitout.PartingLine }) {
			return f, false
		}
		f.Title = line.Name + " goes into a unit that lifts out"
		f.Sentence = fmt.Sprintf("%s comes out of the vehicle, and nothing says where this cable parts. Give it a plug, "+
			"coded and held, "+
			"and a place where it parks.", b.Name(unit))
		return f, true
	})
}

// sameUnit tells whether what feeds a line comes out with it.
func (b *Board) sameUnit(line *Wire, unit string) bool {
	k := b.Index(line.fromItem)
	return k >= 0 && (b.Items[k].ID == unit || b.Items[k].In != nil && b.Items[k].In.Module == unit)
}

// plugsMixed stops plugs of one kind that are not coded and carry different things.
func plugsMixed(b *Board) []fitout.Finding {
	kinds := map[string][]*Wire{}
	var order []string
	for i := range b.Lines {
		line := &b.Lines[i]
		if kind := strings.ToLower(strings.TrimSpace(line.given.Plug)); kind != "" && !line.given.Coded {
			if kinds[kind] == nil {
				order = append(order, kind)
			}
			kinds[kind] = append(kinds[kind], line)
		}
	}
	var found []fitout.Finding
	for _, kind := range order {
		of := kinds[kind]
		if len(of) < 2 {
			continue
		}
		slices.SortFunc(of, func(a, c *Wire) int { return strings.Compare(a.given.Of, c.given.Of) })
		f := b.about("plugs-mixed", fitout.Caution, of[0])
		var names []string
		for _, line := range of {
			names = append(names, words.Lower(line.Name))
		}
		f.Title = "Plugs that can be mixed up"
		f.Sentence = fmt.Sprintf("%s have the same kind of plug, and none of them is coded: one day they will be mixed up. "+
			"Code them, or "+
			"use another kind for each current and voltage.", words.Capital(words.List(names)))
		measured(&f, float64(len(of)), 1, 1-float64(len(of)), "")
		if len(of) == 2 {
			for _, line := range of {
				f.Fixes = append(f.Fixes, fitout.Fix{Label: "Code the plug of " + words.Lower(line.Name),
					Edit: fitout.FixEdit{Kind: "plug-coded", ID: line.given.Of}})
			}
		}
		found = append(found, f)
	}
	return found
}

// plugLoose cautions about a plug of what slides or lifts out that nothing holds.
func plugLoose(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("plug-loose", fitout.Caution, line)
		f.Title = line.Name + ": nothing holds its plug"
		f.Sentence = fmt.Sprintf("It carries %s, and corrugations shake it out; a plug that sits badly gets hot. Choose "+
			"one that is held.",
			b.Say.Amps(line.Amps))
		f.Fixes = []fitout.Fix{{Label: "A plug that is held", Edit: fitout.FixEdit{Kind: "plug-held", ID: line.given.Of}}}
		return f, line.given.Plug != "" && !line.given.Latched && line.Amps >= 5
	})
}
