package sense

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/scene"
	"zaino/internal/core/space"
	"zaino/internal/core/words"
)

// loaded tells whether a kind of space is there for load. Where people ride, a radio is screwed to the vehicle
// itself; and on the roof, in a rear wall or under a tray nothing is shut in by its place alone.
func loaded(kind fitout.BayKind) bool {
	switch kind {
	case fitout.BayWagonCargo, fitout.BayTub, fitout.BayCanopyLeft, fitout.BayCanopyRight, fitout.BayCanopyRear,
		fitout.BayLivingBox:
		return true
	}
	return false
}

// bayUnsaid cautions of a part of the fitout that stands within a measured space and is said to stand in none:
// whether it fits, opens and is reached there is not looked at. Hard gear of the ledger is noted: whether it is held
// is not looked at either. What a space is in, as a canopy is, stands in none.
func bayUnsaid(p *plan.Plan) []fitout.Finding {
	var found []fitout.Finding
	given := p.Given.ChosenVariant().Items
	for i := range p.Items {
		item := &p.Items[i]
		hard := item.Form == fitout.FormBox || item.Form == fitout.FormWheel
		if item.Module == nil && !hard || item.Bay != "" || item.In != nil || item.Seat != "" || item.OnTrailer {
			continue
		}
		for _, b := range scene.Of(p).Bays {
			box := item.Box()
			in := b.Room.Cut(box).Litres()
			if !loaded(b.Kind) || in <= box.Litres()/2 || item.Module == nil && in > b.Room.Litres()/2 {
				continue
			}
			f := aboutItem("bay-unsaid", item)
			if item.Module == nil {
				f.Severity = fitout.Note
			}
			f.With = []string{b.ID}
			f.Title = item.Name + " stands in no space"
			f.Sentence = fmt.Sprintf(
				"By its place it stands in %s, and no space is said: whether it fits there, opens and is "+
					"reached is not looked at. Say its space.",
				words.Lower(b.Name),
			)
			at := given[i].At
			f.Fixes = []fitout.Fix{{Label: "It stands in " + words.Lower(b.Name),
				Edit: fitout.FixEdit{Kind: "part-place", ID: item.ID, With: b.ID, At: &at}}}
			found = append(found, f)
			break
		}
	}
	return found
}

// outlineOdd cautions of a vehicle whose outline contradicts itself: rules of mirrors, tyres, lamps and what lies
// off the vehicle go by it.
func outlineOdd(p *plan.Plan) []fitout.Finding {
	o, v := &p.Vehicle.Outline, p.Vehicle
	var found []fitout.Finding
	tell := func(title, sentence string, value, limit float64) {
		f := about("outline-odd", "vehicle", "")
		f.Title, f.Sentence = title, sentence+" Measure both again."
		f.Under(value, limit, "mm")
		found = append(found, f)
	}
	if track := max(v.TrackFront, v.TrackRear); o.Width > 0 && o.Width < track {
		tell(
			"The body is narrower than its track",
			fmt.Sprintf("The body is %s wide, and the wheels stand %s apart.",
				p.Say.Length(o.Width), p.Say.Length(track)),
			o.Width,
			track,
		)
	}
	if o.Height <= o.FloorHeight {
		tell(
			"The load floor is over the roof",
			fmt.Sprintf("The roof of the cab is %s above the ground, and the load floor %s.",
				p.Say.Length(o.Height), p.Say.Length(o.FloorHeight)),
			o.Height,
			o.FloorHeight,
		)
	}
	if o.CabRear != 0 && o.CabRear <= o.CabFront {
		tell(
			"The cab ends before it begins",
			fmt.Sprintf("The windscreen's foot is %s behind the front axle, and the cab ends "+
				"at %s.", p.Say.Length(o.CabFront), p.Say.Length(o.CabRear)),
			o.CabRear,
			o.CabFront,
		)
	}
	return found
}

// insideBody are the kinds of space that lie within the body of the vehicle itself.
var insideBody = map[fitout.BayKind]bool{
	fitout.BayWagonCargo: true, fitout.BaySecondRow: true, fitout.BayCab: true, fitout.BayTub: true,
}

// measuredAlike is by how much a space may stand out of the body's outline, which is taken by eye, mm.
const measuredAlike = 100.0

// bayBeyond cautions of a space within the body that sticks out of its outline: one of them was measured wrongly, and
// every length, axle load and departure angle goes by both.
func bayBeyond(p *plan.Plan) []fitout.Finding {
	o := &p.Vehicle.Outline
	var found []fitout.Finding
	for i := range p.Vehicle.Bays {
		b := &p.Vehicle.Bays[i]
		if !insideBody[b.Kind] {
			continue
		}
		room := space.RoomBox(b)
		out, side := room.To.X-(p.Load.Wheelbase+o.RearOverhang), "behind it"
		if o.Width > 0 {
			if beside := max(room.To.Y, -room.From.Y) - o.Width/2; beside > out {
				out, side = beside, "beside it"
			}
		}
		if over := room.To.Z - o.Height; b.Kind != fitout.BayTub && over > out {
			out, side = over, "above its roof"
		}
		if front := -o.FrontOverhang - room.From.X; front > out {
			out, side = front, "before it"
		}
		if out <= measuredAlike {
			continue
		}
		f := about("bay-beyond", "bay", b.ID)
		f.Title = words.Capital(b.Name) + " is larger than the vehicle"
		f.Sentence = fmt.Sprintf(
			"It reaches %s out of the vehicle's outline, %s. Measure the space, or the outline, again.",
			p.Say.Length(math.Round(out)),
			side,
		)
		f.Over(out, measuredAlike, "mm")
		found = append(found, f)
	}
	return found
}
