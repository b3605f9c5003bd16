package wiring

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// panels calls for every panel with what starts from it.
func (b *Board) panels(say func(p *fitout.SwitchPanel, of *Wire, fed []*Wire) (fitout.Finding, bool)) []fitout.Finding {
	var found []fitout.Finding
	for i := range b.Lines {
		line := &b.Lines[i]
		if line.Kind != PanelLine {
			continue
		}
		var fed []*Wire
		for k := range b.Lines {
			if b.Lines[k].From == line.Of {
				fed = append(fed, &b.Lines[k])
			}
		}
		if f, so := say(b.panel(line.Of), line, fed); so {
			found = append(found, f)
		}
	}
	return found
}

// panelWays cautions about more circuits than a panel has ways.
func panelWays(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, fed []*Wire) (fitout.Finding, bool) {
		f := b.about("panel-ways", fitout.Stop, of)
		f.Title = p.Name + " has too few ways"
		f.Sentence = fmt.Sprintf("%d circuits start from it; it has %s. Put some on another panel, or choose a larger one, "+
			"with two to "+
			"spare.", len(fed), b.Say.Plain(p.Ways))
		measured(&f, float64(len(fed)), p.Ways, p.Ways-float64(len(fed)), "")
		return f, p.Ways > 0 && float64(len(fed)) > p.Ways
	})
}

// panelAmps cautions about circuits that together take more than a panel carries.
func panelAmps(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, fed []*Wire) (fitout.Finding, bool) {
		amps := 0.0
		for _, line := range fed {
			amps += line.Amps
		}
		f := b.about("panel-amps", fitout.Caution, of)
		f.Title = p.Name + " carries less than hangs on it"
		f.Sentence = fmt.Sprintf("Its circuits take %s when all run; it carries %s. Run them one after another, or put "+
			"what is heavy "+
			"straight on the battery.", b.Say.Amps(amps), b.Say.Amps(p.Amps))
		measured(&f, amps, p.Amps, p.Amps-amps, "A")
		return f, p.Amps > 0 && amps > p.Amps*1.000001
	})
}

// cutoutsClash stops holes of a panel that lie over each other or beyond its edge.
func cutoutsClash(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, _ []*Wire) (fitout.Finding, bool) {
		f := b.about("cutouts-clash", fitout.Stop, of)
		f.Title = p.Name + ": its holes do not fit"
		for i := range p.Cutouts {
			a := &p.Cutouts[i]
			if p.Width > 0 && (a.X+a.Width > p.Width || a.Y+a.Height > p.Height) {
				f.Sentence = fmt.Sprintf("The hole of %s lies beyond the edge of the plate, %s by %s. Move it, or take a larger "+
					"plate.",
					words.Lower(a.Name), b.Say.Length(p.Width), b.Say.Length(p.Height))
				return f, true
			}
			for k := range p.Cutouts[:i] {
				c := &p.Cutouts[k]
				if a.X < c.X+c.Width && c.X < a.X+a.Width && a.Y < c.Y+c.Height && c.Y < a.Y+a.Height {
					f.Sentence = fmt.Sprintf("The holes of %s and %s lie over each other. Move one of them.", words.Lower(c.Name),
						words.Lower(a.Name))
					return f, true
				}
			}
		}
		return f, false
	})
}

// cutoutsDeep stops what is deeper than there is room behind a plate.
func cutoutsDeep(b *Board) []fitout.Finding {
	return b.panels(func(p *fitout.SwitchPanel, of *Wire, _ []*Wire) (fitout.Finding, bool) {
		f := b.about("cutouts-deep", fitout.Stop, of)
		for i := range p.Cutouts {
			if c := &p.Cutouts[i]; p.Depth > 0 && c.Depth > p.Depth {
				f.Title = c.Name + " is too deep"
				f.Sentence = fmt.Sprintf("With its plug it is %s deep; behind %s there are %s. Put it elsewhere, or bring the "+
					"plate forward "+
					"by %s.", b.Say.Length(c.Depth), words.Lower(p.Name), b.Say.Length(p.Depth), b.Say.LengthAtLeast(c.Depth-p.Depth))
				measured(&f, c.Depth, p.Depth, p.Depth-c.Depth, "mm")
				return f, true
			}
		}
		return f, false
	})
}
