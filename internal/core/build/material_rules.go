package build

import (
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

// each looks at every part that is made here.
func (l *Look) each(see func(m *Made) *fitout.Finding) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.List.Made {
		if m := &l.List.Made[k]; m.How == fitout.MadeHere {
			if f := see(m); f != nil {
				found = append(found, *f)
			}
		}
	}
	return found
}

// has tells whether something of a kind is on the list of what is bought.
func (l *Look) has(what fitout.What) bool {
	return slices.ContainsFunc(l.Job.Build.Goods, func(g fitout.Goods) bool { return g.What == what })
}

// screwFoam cautions of hinges and runners that are screwed into the edges of foam core.
func screwFoam(l *Look) []fitout.Finding {
	return l.each(func(m *Made) *fitout.Finding {
		if m.item.Module.Wall != fitout.FoamCore ||
			len(m.anatomy.Runners) == 0 && hinges(m, &l.Job.Build.Shop) == 0 ||
			l.has(fitout.FixingGoods) {
			return nil
		}
		f := about("screw-foam", fitout.Caution, m.ID)
		f.Title = words.Capital(words.Lower(m.Name)) + " has screws in foam core"
		f.Sentence = "Runners and hinges tear out of the foam. Bond inserts or plates in where they are screwed, and put those on the list of " +
			"what is bought as fixings."
		f.Margin = -1
		return &f
	})
}

// nutsFirst notes which slot nuts must be in before which profile is closed; with nuts that swing in there are none.
func nutsFirst(l *Look) []fitout.Finding {
	return l.each(func(m *Made) *fitout.Finding {
		if l.Job.Build.Shop.SwingIn {
			return nil
		}
		count, told := 0, []string{}
		for _, k := range m.Rods {
			r := &l.List.Rods[k]
			own := 0
			for _, n := range r.Nuts {
				own += n.Count
			}
			if r.Butts && own > 2 { // more than its own brackets, which go in as it is put up
				count += own
				told = append(told, fmt.Sprintf("%d into %s (%s)", own, r.Mark, r.Name))
			}
		}
		if count == 0 {
			return nil
		}
		f := about("nuts-first", fitout.Note, m.ID)
		f.Title = fmt.Sprintf("%d slot nuts of %s go in before their slots are closed", count, words.Lower(m.Name))
		f.Sentence = "Before the frame is closed: " + strings.Join(
			told,
			"; ",
		) + ". A nut that is forgotten costs taking the frame apart."
		f.Over(float64(count), 0, "")
		return &f
	})
}

// nutBehind stops where something was added to a frame that is closed already: its nuts cannot go in any more.
func nutBehind(l *Look) []fitout.Finding {
	return l.each(func(m *Made) *fitout.Finding {
		if l.Job.Build.Shop.SwingIn || len(m.Rods) == 0 {
			return nil
		}
		done := func(work string) bool {
			return slices.ContainsFunc(
				l.Variant.Done,
				func(d fitout.StepDone) bool { return d.Step == work+"/"+m.ID && d.Done },
			)
		}
		if !done("frame") || done("nuts") {
			return nil
		}
		f := about("nut-behind", fitout.Stop, m.ID)
		f.Title = "Slots of " + words.Lower(m.Name) + " were closed without their nuts"
		f.Sentence = "Its frame is ticked as put together, putting in the nuts is not. Tick it if they are in; otherwise open the rails before " +
			"anything else is fitted."
		f.Margin = -1
		return &f
	})
}

// hingeNoBlock cautions of a lid or door hung on profile without solid blocks to screw into.
func hingeNoBlock(l *Look) []fitout.Finding {
	return l.each(func(m *Made) *fitout.Finding {
		n := hinges(m, &l.Job.Build.Shop)
		if m.item.Module.Wall != fitout.Extrusion || n == 0 || l.has(fitout.HingeBlock) {
			return nil
		}
		f := about("hinge-no-block", fitout.Caution, m.ID)
		f.Title = "Hinges of " + words.Lower(m.Name) + " have no blocks"
		f.Sentence = fmt.Sprintf(
			"A slot alone does not hold a hinge. Put %d hinge blocks for the profile on the list of what is bought.",
			n,
		)
		f.Under(0, float64(n), "")
		return &f
	})
}

// wet tells whether a part stands where water comes.
func (l *Look) wet(m *Made) bool {
	bay := l.Bay(m.item.Bay)
	if bay == nil {
		return false
	}
	switch bay.Kind {
	case fitout.BayUnderTray, fitout.BayBetweenRails, fitout.BayRoof, fitout.BayRearWall, fitout.BayHeadboard:
		return true
	case fitout.BayTub:
		return !bay.Sealed
	}
	return false
}

// metalsTouch cautions of aluminium with steel screws where it is wet.
func metalsTouch(l *Look) []fitout.Finding {
	b := &l.Job.Build.Shop
	return l.each(func(m *Made) *fitout.Finding {
		wall := m.item.Module.Wall
		if wall != fitout.Aluminium && wall != fitout.Extrusion || b.Screws == fitout.ScrewNotSaid ||
			b.Parted == fitout.IsSo ||
			!l.wet(m) {
			return nil
		}
		f := about("metals-touch", fitout.Caution, m.ID)
		f.Title = "Aluminium and steel meet in the wet at " + words.Lower(m.Name)
		f.Sentence = "Where it is wet, steel screws eat the aluminium around them. Keep them apart by tape, paint or washers, and say so under the " +
			"workshop's figures."
		f.Margin = -1
		return &f
	})
}

// stainlessSalt cautions of screws that do not stand salt.
func stainlessSalt(l *Look) []fitout.Finding {
	b := &l.Job.Build.Shop
	if b.Salt != fitout.IsSo || b.Screws == fitout.ScrewNotSaid || b.Screws == fitout.StainlessA4 ||
		len(l.List.Made) == 0 {
		return nil
	}
	f := about("stainless-salt", fitout.Caution, "")
	f.Title = "Screws do not stand the salt"
	f.Sentence = fmt.Sprintf(
		"Near the sea or on salted roads %s rusts. Take stainless of grade A4.",
		map[fitout.ScrewKind]string{fitout.Zinc: "zinc-plated steel", fitout.StainlessA2: "stainless of grade A2"}[b.Screws],
	)
	f.Margin = -1
	return []fitout.Finding{f}
}

// bodyUnsealed cautions of holes through the body for which no sealant is planned.
func bodyUnsealed(l *Look) []fitout.Finding {
	n := 0
	for k := range l.List.Made {
		m := &l.List.Made[k]
		n += len(m.item.Module.Fixings)
		for _, h := range m.item.Module.Holes {
			if h.For == fitout.DrainHole || h.For == fitout.VentHole {
				n++
			}
		}
	}
	if n == 0 || l.has(fitout.Sealant) || len(l.Job.Build.Goods) == 0 {
		return nil
	}
	f := about("body-unsealed", fitout.Caution, "")
	f.Title = "Sealing of holes through the body is not planned"
	f.Sentence = fmt.Sprintf(
		"%d fixings, drains and vents go through it. Every hole is deburred, painted and sealed; put sealant on the list of "+
			"what is bought.",
		n,
	)
	f.Over(float64(n), 0, "")
	return []fitout.Finding{f}
}

// scribedBlind cautions of a back that is fitted to a wall of which nobody took the curve.
func scribedBlind(l *Look) []fitout.Finding {
	return l.each(func(m *Made) *fitout.Finding {
		bay := l.Bay(m.item.Bay)
		if !m.item.Module.Scribed || bay == nil || len(bay.Walls) > 0 {
			return nil
		}
		f := about("scribed-blind", fitout.Note, m.ID)
		f.Title = "Wall behind " + words.Lower(m.Name) + " was not measured"
		f.Sentence = fmt.Sprintf(
			"Its back is fitted to the vehicle by hand. Take offsets of the wall of %s from a straight edge, and print its template.",
			words.Lower(bay.Name),
		)
		f.Margin = -1
		return &f
	})
}

// licensed notes what needs a licensed trade, or may void a warranty.
func licensed(l *Look) []fitout.Finding {
	var what []string
	p, e := &l.Variant.Plumbing, &l.Variant.Electrics
	if len(p.Burners) > 0 {
		what = append(what, "gas and fuel burners")
	}
	if len(e.Inverters) > 0 {
		what = append(what, "mains voltage")
	}
	if slices.ContainsFunc(l.List.Made, func(m Made) bool { return m.item.Module.Kind == fitout.FuelTank }) {
		what = append(what, "the fuel system")
	}
	if slices.ContainsFunc(l.List.Made, func(m Made) bool { return m.item.Module.Kind == fitout.Barrier }) {
		what = append(what, "the cargo barrier, which holds only as it is certified")
	}
	if l.Given.Vehicle.Extension != nil {
		what = append(what, "the lengthened frame")
	}
	if len(what) == 0 || len(l.Job.Build.Makers)+len(l.Job.Build.Goods) == 0 {
		return nil
	}
	f := about("licensed-work", fitout.Note, "")
	f.Title = "Work for licensed trades"
	f.Sentence = words.Capital(
		words.List(what),
	) + ": done or signed by whom local rules name, or insurance and warranty may not stand."
	f.Margin = -1
	return []fitout.Finding{f}
}

// proofMissing notes a bought or reused part of which nobody wrote down why it fits.
func proofMissing(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for k := range l.List.Made {
		m := &l.List.Made[k]
		if m.item.Making == nil || m.How == fitout.MadeHere ||
			module.Of(m.item.Module.Kind).Shape == module.Bought && m.How == fitout.MadeBought ||
			WayOf(m.item).Proof != "" {
			continue
		}
		f := about("proof-missing", fitout.Note, m.ID)
		f.Title = "Nobody wrote down why " + words.Lower(m.Name) + " fits"
		f.Sentence = "It comes from elsewhere instead of being made to measure. Keep the drawing, the dry fit or the maker's word with it before it is ordered."
		f.Margin = -1
		found = append(found, f)
	}
	return found
}
