package wiring

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// fuseAboveCable stops a fuse that lets more through than the cable carries: it protects
// the appliance and not the cable.
func fuseAboveCable(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		largest := max(line.Fuse, line.FarFuse)
		f := b.about("fuse-above-cable", fitout.Stop, line)
		f.Title = line.Name + ": the fuse does not protect the cable"
		f.Sentence = fmt.Sprintf("A fuse of %s lets more through than the %s that %s carries there. Take a fuse of at most "+
			"that, or %s.",
			b.Say.Amps(largest), b.Say.Amps(line.Carries), b.Say.Copper(line.Area), b.orThicker(line))
		measured(&f, largest, line.Carries, line.Carries-largest, "A")
		f.Source, f.Waivable = "ISO 10133", false
		return f, line.Carries > 0 && largest > line.Carries*1.000001
	})
}

// fuseBelowLoad cautions about a fuse that goes by itself in use.
func fuseBelowLoad(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("fuse-below-load", fitout.Caution, line)
		f.Title = line.Name + ": the fuse goes in use"
		f.Sentence = fmt.Sprintf("It carries %s for long; a fuse of %s melts or gets hot. The next size of 1¼ times that "+
			"is %s.",
			b.Say.Amps(line.Amps), b.Say.Amps(line.Fuse), b.nextSize(line))
		measured(&f, line.Fuse, line.Amps*fuseMargin, line.Fuse-line.Amps*fuseMargin, "A")
		return f, line.Fuse > 0 && line.Fuse < line.Amps*fuseMargin*0.999999
	})
}

func (b *Board) nextSize(line *Wire) string {
	if of := fuseOf(line.FuseKind); of != nil {
		if size, made := of.size(line.Amps * fuseMargin); made {
			return b.Say.Amps(size)
		}
	}
	if kind, size, made := FuseFor(line.Amps, 0, line.full); made {
		return b.Say.Amps(size) + " " + FuseWord(kind)
	}
	return "none that is made: split the circuit"
}

// fuseFar cautions about cable before its fuse that nothing protects.
func fuseFar(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		most := float64(fuseNear)
		if line.given.Sheathed {
			most = fuseSheathed
			if line.From == line.System {
				most = fuseSheathedPost
			}
		}
		f := b.about("fuse-far", fitout.Stop, line)
		f.Title = line.Name + ": the fuse is far from what feeds it"
		f.Sentence = fmt.Sprintf("%s of cable lie before the fuse, and nothing protects them. Put it within %s, or within "+
			"%s in a sheath.", b.Say.Length(line.given.FuseAt), b.Say.Length(fuseNear), b.Say.Length(max(most, fuseSheathed)))
		measured(&f, line.given.FuseAt, most, most-line.given.FuseAt, "mm")
		f.Source = "ABYC E-11"
		return f, line.given.FuseAt > most
	})
}

// fuseMissing stops a cable without a fuse at what feeds it.
func fuseMissing(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("fuse-missing", fitout.Stop, line)
		f.Title = line.Name + " has no fuse"
		why := "It was taken out."
		if line.given.FuseKind != fitout.NoFuse {
			why = fmt.Sprintf("None is made for its %s: split the circuit.", b.Say.Amps(line.Amps))
		}
		f.Sentence = fmt.Sprintf("Into a short circuit %s feeds all that it has, and the cable burns. %s",
			words.Lower(line.FromName),
			why)
		f.Waivable = false
		return f, line.Fuse == 0 && !b.feedsItself(line)
	})
}

// feedsItself tells of a panel's lead to its controller: a panel gives hardly more into a
// short circuit than in use.
func (b *Board) feedsItself(line *Wire) bool {
	return line.Kind == SourceLine && line.From != line.System
}

// farEndUnfused stops a cable both ends of which can feed, with one fuse.
func farEndUnfused(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		f := b.about("fuse-one-end", fitout.Stop, line)
		f.Title = line.Name + " is fused at one end"
		f.Sentence = "Both of its ends can feed it. Put a fuse at the other end too, as near to what feeds there."
		return f, line.Far && line.FarFuse == 0
	})
}

// fuseCannotBreak stops a fuse that does not break the short circuit of its battery.
func fuseCannotBreak(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		of := fuseOf(line.FuseKind)
		f := b.about("fuse-cannot-break", fitout.Stop, line)
		if of == nil || line.Fuse == 0 || line.limited || b.feedsItself(line) || line.FuseKind == fitout.ClassTFuse &&
			line.Short < 0 {
			return f, false
		}
		short := "more than anybody knows: the resistance of lithium is not said"
		if line.Short >= 0 {
			short = b.Say.Amps(math.Round(line.Short))
		}
		f.Title = line.Name + ": the fuse does not break a short circuit"
		f.Sentence = fmt.Sprintf("A %s fuse breaks up to %s; into a short circuit flow %s. It burns on as an arc. Take "+
			"class T at the "+
			"battery.", FuseWord(line.FuseKind), b.Say.Amps(of.breaks), short)
		measured(&f, max(0, line.Short), of.breaks, of.breaks-line.Short, "A")
		if line.Short < 0 {
			f.Margin = -1
		}
		f.Source, f.Waivable = "data sheet", false
		return f, line.Short < 0 || line.Short > of.breaks
	})
}

// fuseVoltage stops a fuse in a circuit of a higher voltage than it is rated for.
func fuseVoltage(b *Board) []fitout.Finding {
	return b.each(func(line *Wire) (fitout.Finding, bool) {
		of := fuseOf(line.FuseKind)
		f := b.about("fuse-voltage", fitout.Stop, line)
		if of == nil || line.Fuse == 0 {
			return f, false
		}
		rated := of.volts
		if line.given.FuseVolts > 0 {
			rated = line.given.FuseVolts
		}
		f.Title = line.Name + ": the fuse is for a lower voltage"
		f.Sentence = fmt.Sprintf("It is rated for %s; the circuit has up to %s, which jumps the gap when it goes. Choose "+
			"one for that.",
			b.Say.Volts(rated), b.Say.Volts(line.full))
		measured(&f, line.full, rated, rated-line.full, "V")
		f.Source = "data sheet"
		return f, line.full > rated
	})
}
