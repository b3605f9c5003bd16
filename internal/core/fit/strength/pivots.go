package strength

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/strut"
	"zaino/internal/core/words"
)

// lidOpens is how far a lid on a box swings, °.
const lidOpens = 90

// HandFigures is the force at the free edge of a lid at one place of its swing.
type HandFigures struct {
	Open float64 `json:"open" doc:"how far it is open, °"`
	Cold float64 `json:"cold" doc:"at the coldest of the brief, N; above 0 the hand lifts, below it pulls the lid down"`
	Hot  float64 `json:"hot" doc:"at the hottest of the brief, N"`
	Long float64 `json:"long" doc:"between the pivots of a strut, mm"`
}

// lidOf is the lid of a part and the room for its struts; ok is false for a part without one, or one that folds out.
func lidOf(s *scene.Scene, p *scene.Part) (l strut.Lid, room strut.Room, ok bool) {
	m := p.Module()
	if p.Motion != scene.LidUp || m.Unfolds > 0 || len(p.Leaves) == 0 {
		return l, room, false
	}
	length := p.Leaves[0].Swept.To.Z - p.Leaves[0].Swept.From.Z
	if length <= 0 {
		return l, room, false // a lid without a length is not drawn yet
	}
	size := p.Box.Size()
	trip := &s.Brief.Trip
	l = strut.Lid{
		Kg: lidMass(s, p), Length: length, Opens: lidOpens, Wind: s.Practice.Wind * size.Length * size.Width / 1e6,
		Cold: trip.Coldest, Hot: max(trip.Coldest, trip.Hottest),
	}
	room = strut.Room{Deep: size.Height - m.Panel}
	if m.Pivots != nil {
		room.Under = m.Pivots.Lid
	}
	return l, room, true
}

// strutsOf are the struts of a part of which somebody said where they turn; ok is false for none.
func strutsOf(m *fitout.Module, length float64) (strut.Struts, bool) {
	if m.Pivots == nil || m.Struts == 0 {
		return strut.Struts{}, false
	}
	at := m.StrutAt
	if at == 0 {
		at = length / 2
	}
	v := m.Pivots
	return strut.Struts{Count: m.Struts, Force: m.Force, At: at, Under: v.Lid, Along: v.Along, Below: v.Below,
		Length: v.Length, Stroke: v.Stroke}, true
}

// Hand is the force at the hand over the swing of a part's lid; empty where nobody said where its struts turn.
func Hand(s *scene.Scene, p *scene.Part) []HandFigures {
	all := []HandFigures{}
	l, _, ok := lidOf(s, p)
	if !ok {
		return all
	}
	struts, said := strutsOf(p.Module(), l.Length)
	if !said {
		return all
	}
	const steps = 6
	for n := range steps + 1 {
		open := l.Opens * float64(n) / steps
		all = append(all, HandFigures{
			Open: open, Cold: strut.Hand(&l, &struts, open, l.Cold), Hot: strut.Hand(&l, &struts, open, l.Hot),
			Long: struts.Long(open),
		})
	}
	return all
}

// StrutsFor proposes where the struts of a part's lid turn and how strong they are; ok is false where nothing was
// found.
func StrutsFor(s *scene.Scene, p *scene.Part) (strut.Struts, bool) {
	l, room, ok := lidOf(s, p)
	if !ok {
		return strut.Struts{}, false
	}
	return strut.Propose(&l, max(2, p.Module().Struts), room)
}

// mostProposed is for how many lids at once struts are proposed: it takes a millisecond each.
const mostProposed = 20

// StrutSwing cautions about gas struts of which somebody said where they turn, and that do not fit the swing of
// their lid, do not lift it, do not hold it in the wind, or do not let one hand close it.
func StrutSwing(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	for i := range s.Parts {
		p := &s.Parts[i]
		l, _, ok := lidOf(s, p)
		if !ok {
			continue
		}
		struts, said := strutsOf(p.Module(), l.Length)
		if !said {
			continue
		}
		t := strut.Look(&l, &struts)
		if t.Sound() {
			continue
		}
		f := scene.About("strut-swing", fitout.Caution, p)
		f.Title = fmt.Sprintf("Struts of %s do not suit its swing", words.Lower(p.Name()))
		f.Source = "physics"
		tell := func(by float64, unit, sentence string) {
			if by <= 0 {
				return
			}
			f.Sentence += sentence + " "
			if f.Margin == 0 { // the first is the one that decides
				f.Value, f.Limit, f.Margin, f.Unit = by, 0, -by, unit
			}
		}
		tell(
			t.Short,
			"mm",
			fmt.Sprintf("The pivots come %s nearer to each other than the strut goes in.", s.Say.Length(t.Short)),
		)
		tell(
			t.Long,
			"mm",
			fmt.Sprintf("The pivots go %s further apart than the strut is long.", s.Say.Length(t.Long)),
		)
		tell(
			t.Lifts,
			"N",
			fmt.Sprintf("From a third of the swing on the hand still lifts %.0f N at the edge, at %s.", t.Lifts,
				s.Say.Temperature(l.Cold)),
		)
		tell(
			t.Wind,
			"N",
			fmt.Sprintf("In wind of %.0f N/m² it lacks %.0f N at the edge to stay open.", s.Practice.Wind, t.Wind),
		)
		tell(t.Closes, "N", fmt.Sprintf("Closing it takes %.0f N at %s; one hand gives %d N.", t.Closes+strut.OneHand,
			s.Say.Temperature(l.Hot), strut.OneHand))
		if len(found) >= mostProposed {
			f.Sentence += "Propose them with the part. "
		} else if want, ok := StrutsFor(s, p); ok {
			f.Sentence += saidStruts(s, &want) + " "
			f.Fixes = []fitout.Fix{
				scene.Edit("Turn the struts where they lift, hold and close it", "strut-pivots", p.ID, 0),
			}
		} else {
			f.Sentence += "No usual strut does all of it here: make the lid lighter, or let it lift off. "
		}
		f.Sentence += "An estimate; try it with one strut first."
		f.Lines = []fitout.Line{s.Upright(p.Box, p.Box.To.Z, p.Box.To.Z+l.Length)}
		found = append(found, f)
	}
	return found
}

// saidStruts is a proposal in words.
func saidStruts(s *scene.Scene, w *strut.Struts) string {
	return fmt.Sprintf(
		"Take %.0f struts of %.0f N, %s long with a stroke of %s; on the lid %s from the hinge, on the box %s in and %s below it.",
		w.Count,
		w.Force,
		s.Say.Length(w.Length),
		s.Say.Length(w.Stroke),
		s.Say.Length(w.At),
		s.Say.Length(w.Along),
		s.Say.Length(w.Below),
	)
}
