package clearance

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// turnStep is how finely the way of a turning seat is looked at, °: a corner half a metre out goes 2 mm between.
const turnStep = 0.25

// turned is the way of a seat that turns: its outline at each moment, and from where to where it stands up.
type turned struct {
	seat     *fitout.Seat
	outlines [][4]fitout.Point
	low, top float64
}

// turnOf is the way of a seat from looking ahead to so many degrees.
func turnOf(seat *fitout.Seat, by float64) turned {
	t := turned{seat: seat, low: seat.At.Z - scene.SeatFoot}
	t.top = t.low + seat.Size.Height
	steps := int(math.Ceil(math.Abs(by)/turnStep)) + 1
	for n := range steps {
		sin, cos := math.Sincos(by * float64(n) / float64(max(1, steps-1)) * math.Pi / 180)
		var outline [4]fitout.Point
		for k, corner := range [4][2]float64{{-1, -1}, {-1, 1}, {1, 1}, {1, -1}} {
			x, y := corner[0]*seat.Size.Length/2, corner[1]*seat.Size.Width/2
			// Seen from above with x rearward and y to the right, a turn to the right takes the front (−x) to
			// the right.
			outline[k] = fitout.Point{X: seat.At.X + x*cos + y*sin, Y: seat.At.Y - x*sin + y*cos}
		}
		t.outlines = append(t.outlines, outline)
	}
	return t
}

// clears are the moves level over the ground by which a box comes clear of the way of a seat: past all of it that
// lies in the box's own breadth. hit is false for one that the seat does not meet.
func (t *turned) clears(b fitout.Box) (moves []scene.Step, hit bool) {
	if b.From.Z >= t.top-scene.Slack || b.To.Z <= t.low+scene.Slack {
		return nil, false
	}
	reach := math.Hypot(t.seat.Size.Length, t.seat.Size.Width) / 2
	if at := t.seat.At; math.Hypot(max(b.From.X-at.X, at.X-b.To.X, 0), max(b.From.Y-at.Y, at.Y-b.To.Y, 0)) >= reach {
		return nil, false // no corner comes so far
	}
	if !t.near(b, reach) {
		return nil, false
	}
	var rear, front, right, left float64
	for _, outline := range t.outlines {
		if !crosses(outline, b) {
			continue
		}
		hit = true
		x0, x1 := along(outline, b.From.Y, b.To.Y, false)
		y0, y1 := along(outline, b.From.X, b.To.X, true)
		rear, front = max(rear, x1-b.From.X), max(front, b.To.X-x0)
		right, left = max(right, y1-b.From.Y), max(left, b.To.Y-y0)
	}
	// On its new way it must be clear of every moment, also of those that it did not meet before.
	for _, outline := range t.outlines {
		x0, x1 := along(outline, b.From.Y, b.To.Y, false)
		y0, y1 := along(outline, b.From.X, b.To.X, true)
		if x0 < x1 {
			rear, front = max(rear, x1-b.From.X), max(front, b.To.X-x0)
		}
		if y0 < y1 {
			right, left = max(right, y1-b.From.Y), max(left, b.To.Y-y0)
		}
	}
	return []scene.Step{
		scene.ToTheRear(rear), scene.ToTheFront(front), scene.ToTheRight(right), scene.ToTheLeft(left),
	}, hit
}

// near tells roughly whether a seat comes by a box, by every twentieth moment: between them no corner goes further
// than the box is taken to be larger.
func (t *turned) near(b fitout.Box, reach float64) bool {
	const every = 20
	further := reach * math.Sin(every/2*turnStep*math.Pi/180)
	b.From.X, b.From.Y, b.To.X, b.To.Y = b.From.X-further, b.From.Y-further, b.To.X+further, b.To.Y+further
	for n := 0; n < len(t.outlines)+every-1; n += every {
		if crosses(t.outlines[min(n, len(t.outlines)-1)], b) {
			return true
		}
	}
	return false
}

// crosses tells whether an outline and a box meet by more than nothing, seen from above: neither a side of the box
// nor one of the outline parts them.
func crosses(o [4]fitout.Point, b fitout.Box) bool {
	least := math.Inf(1)
	for k := range 2 {
		dx, dy := o[k+1].X-o[k].X, o[k+1].Y-o[k].Y
		long := math.Hypot(dx, dy)
		if long == 0 {
			return false
		}
		for _, n := range [2][2]float64{{dx / long, dy / long}, {float64(1 - k), float64(k)}} {
			a0, a1 := math.Inf(1), math.Inf(-1)
			for _, p := range o {
				at := p.X*n[0] + p.Y*n[1]
				a0, a1 = min(a0, at), max(a1, at)
			}
			middle := (b.From.X+b.To.X)/2*n[0] + (b.From.Y+b.To.Y)/2*n[1]
			half := ((b.To.X-b.From.X)*math.Abs(n[0]) + (b.To.Y-b.From.Y)*math.Abs(n[1])) / 2
			least = min(least, a1-(middle-half), middle+half-a0)
		}
	}
	return least > scene.Slack
}

// along is from where to where an outline reaches in x within a band of y, or the other way round; from is not below
// to where it does not reach into the band.
func along(o [4]fitout.Point, low, high float64, swapped bool) (from, to float64) {
	from, to = math.Inf(1), math.Inf(-1)
	at := func(p fitout.Point) (x, y float64) {
		if swapped {
			return p.Y, p.X
		}
		return p.X, p.Y
	}
	low, high = low+scene.Slack, high-scene.Slack
	for k := range o {
		ax, ay := at(o[k])
		bx, by := at(o[(k+1)%4])
		for _, edge := range []float64{low, high} {
			if (ay-edge)*(by-edge) < 0 {
				x := ax + (bx-ax)*(edge-ay)/(by-ay)
				from, to = min(from, x), max(to, x)
			}
		}
		if ay >= low && ay <= high {
			from, to = min(from, ax), max(to, ax)
		}
	}
	return from, to
}

// mostTurned is how many turned seats of a job are looked at, in all stances together, and mostMet how many things
// one is told to meet: it takes time, and no vehicle has so many.
const (
	mostTurned = 40
	mostMet    = 20
)

// SeatTurn stops a seat that a stance turns further than it goes, that is turned on the road, or that meets on its
// way what stands there or the side of its space; of one whose size nobody said it notes that.
func SeatTurn(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	looked := 0
	for i := range s.Postures {
		p := &s.Postures[i]
		for _, set := range p.Stance.Turned {
			k := scene.SeatIndex(s.Vehicle.Seats, set.Seat)
			if k < 0 || set.By == 0 {
				continue
			}
			if looked++; looked > mostTurned {
				return append(found, fitout.Finding{
					Severity: fitout.Note, Subject: fitout.Subject{Kind: "stance", ID: p.Stance.ID}, Stance: p.Stance.ID,
					Source: "practice", Title: "More seats are turned than are looked at", Margin: -1,
					Sentence: fmt.Sprintf("Stances turn more than %d seats; of those from here on nobody knows what they meet. "+
						"Turn fewer.", mostTurned) + p.In(),
				})
			}
			found = append(found, turnIn(s, p, &s.Vehicle.Seats[k], set.By)...)
		}
	}
	return found
}

func turnIn(s *scene.Scene, p *scene.Posture, seat *fitout.Seat, by float64) (found []fitout.Finding) {
	about := func(severity fitout.Severity, title, sentence string) *fitout.Finding {
		found = append(found, fitout.Finding{
			Severity: severity, Stance: p.Stance.ID, Source: "practice", Title: title, Sentence: sentence + p.In(), Margin: -1,
			Subject: fitout.Subject{Kind: "stance", ID: p.Stance.ID, Measure: "turned/" + seat.ID},
		})
		return &found[len(found)-1]
	}
	name := words.Lower(seat.Name)
	back := fitout.Fix{
		Label: "Leave it looking ahead there",
		Edit:  fitout.FixEdit{Kind: "turn-back", ID: seat.ID, With: p.Stance.ID},
	}
	if p.Stance.Use == fitout.StanceDrive && s.Seated[seat.ID] != "" {
		f := about(fitout.Stop, seat.Name+" is turned on the road", fmt.Sprintf(
			"%s rides in %s, and it is turned by %.0f°: belts and seat hold whoever looks ahead. Turn it back before driving.",
			s.Seated[seat.ID],
			name,
			math.Abs(by),
		))
		f.Fixes = []fitout.Fix{back}
		return found
	}
	if math.Abs(by) > seat.Turns {
		f := about(fitout.Stop, fmt.Sprintf("%s does not turn so far", seat.Name), fmt.Sprintf(
			"%s is turned by %.0f° and turns by %.0f°. Turn it back by %.0f°, or fit a base that turns: its conversion is for "+
				"certified people.",
			seat.Name,
			math.Abs(by),
			seat.Turns,
			math.Abs(by)-seat.Turns,
		))
		f.Value, f.Limit, f.Margin, f.Unit = math.Abs(by), seat.Turns, seat.Turns-math.Abs(by), "°"
		f.Fixes = []fitout.Fix{back}
		return found
	}
	if seat.Size.Length == 0 || seat.Size.Width == 0 || seat.Size.Height == 0 {
		about(fitout.Note, "Nobody said how large "+name+" is", fmt.Sprintf(
			"%s turns by %.0f°; without its length, width and height nobody knows whether it clears what stands about it. "+
				"Enter its size.",
			seat.Name,
			math.Abs(by),
		))
		return found
	}
	way := turnOf(seat, by)
	in := func(f *fitout.Finding, b fitout.Box, mm float64) {
		f.Value, f.Margin, f.Unit = mm, -mm, "mm"
		f.Lines = []fitout.Line{scene.Line(seat.At, b.Middle(), s.Say.Length(mm))}
	}
	for k := range s.Parts {
		q := &s.Parts[k]
		if p.Gone[k] || len(found) == mostMet {
			continue
		}
		moves, hit := way.clears(p.Boxes[k])
		if !hit {
			continue
		}
		severity := fitout.Stop
		if q.Traits().Yields {
			severity = fitout.Caution
		}
		best := scene.LeastOf(moves)
		f := about(severity, fmt.Sprintf("%s meets %s when it turns", seat.Name, words.Lower(q.Name())), fmt.Sprintf(
			"Turning by %.0f°, %s meets %s. %s", math.Abs(by), name, words.Lower(q.Name()),
			s.Clearing("that", q, p, moves, "leave the seat looking ahead")))
		f.With = []string{q.ID}
		in(f, p.Boxes[k], best.MM)
		if p.Boxes[k] == q.Box {
			f.Fixes = s.MovesBy(q, moves, nil)
		}
		f.Fixes = append(f.Fixes, back)
	}
	for k := range s.Bays {
		bay := &s.Bays[k]
		for n, b := range bay.Occupied() {
			if moves, hit := way.clears(b); hit {
				mm := scene.LeastOf(moves).MM
				f := about(
					fitout.Stop,
					fmt.Sprintf("%s meets %s when it turns", seat.Name, words.Lower(bay.Obstacles[n].Name)),
					fmt.Sprintf(
						"Turning by %.0f°, %s reaches %s into %s. Set its base that much further away, or leave it looking ahead.",
						math.Abs(by),
						name,
						s.Say.LengthAtLeast(mm),
						words.Lower(bay.Obstacles[n].Name),
					),
				)
				f.With = []string{bay.ID}
				in(f, b, mm)
				f.Fixes = []fitout.Fix{back}
			}
		}
		turnsInto(s, p, bay, &way, func(mm float64, side string) {
			f := about(fitout.Caution, fmt.Sprintf("%s turns into the %s side", seat.Name, side), fmt.Sprintf(
				"Turning by %.0f°, %s reaches %s beyond the %s side of %s. Open the door there before, or set its base that much "+
					"further in.",
				math.Abs(by),
				name,
				s.Say.Length(mm),
				side,
				words.Lower(bay.Name),
			))
			f.With = []string{bay.ID}
			in(f, fitout.Box{From: seat.At, To: seat.At}, mm)
			f.Fixes = []fitout.Fix{back}
		})
	}
	return found
}

// turnsInto tells how far a seat that stands in a space turns beyond its sides; a side whose door is open is in
// nobody's way.
func turnsInto(s *scene.Scene, p *scene.Posture, bay *scene.Bay, way *turned, tell func(mm float64, side string)) {
	at := fitout.Box{From: way.seat.At, To: way.seat.At}
	if room := bay.Room.Size(); room.Length == 0 || room.Width == 0 || bay.Open || bay.Room.Around(at) != bay.Room {
		return
	}
	left, right := 0.0, 0.0
	for _, outline := range way.outlines {
		for _, corner := range outline {
			left, right = max(left, bay.Room.From.Y-corner.Y), max(right, corner.Y-bay.Room.To.Y)
		}
	}
	for _, side := range []struct {
		mm   float64
		face fitout.Face
	}{{left, fitout.FaceLeft}, {right, fitout.FaceRight}} {
		if side.mm > scene.Slack && !openTo(s, p, bay, side.face) {
			tell(side.mm, string(side.face))
		}
	}
}

// openTo tells whether the door of a space to a side is open.
func openTo(s *scene.Scene, p *scene.Posture, bay *scene.Bay, face fitout.Face) bool {
	for _, d := range p.Doors {
		if s.Bays[d].ID == bay.ID && bay.Opening.Face == face {
			return true
		}
	}
	return false
}
