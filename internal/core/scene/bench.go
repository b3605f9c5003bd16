package scene

import (
	"cmp"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// Slack is how far boxes may reach into each other before it is said, mm: a
// panel's saw cut and the last rounding.
const Slack = 0.5

// Bay is a measured space with what stands in it.
type Bay struct {
	ID        string
	Room      fitout.Box // as long as its floor
	RearTop   float64    // x of its rear at the ceiling, where a hatch leans in
	Obstacles []Obstacle
	Open      bool // without walls and ceiling: only its floor counts

	Name     string
	Kind     fitout.BayKind
	Opening  Opening
	More     []MoreOpening // further ones that were measured
	Rating   float64       // most that it carries, kg; 0 = not stated
	Sealed   bool          // against dust and water
	Heated   bool
	Lockable bool
	Shared   bool // people travel or sleep in it
}

// Obstacle is what stands in a bay of itself: a wheel arch, a strut, a step.
type Obstacle struct {
	ID, Name string
	Box      fitout.Box
	Rises    bool // a floor that lies flat is cut out round it
}

// Occupied are the boxes of what stands in a bay of itself.
func (b *Bay) Occupied() []fitout.Box {
	boxes := make([]fitout.Box, len(b.Obstacles))
	for k := range b.Obstacles {
		boxes[k] = b.Obstacles[k].Box
	}
	return boxes
}

// RearAt returns where the rear of a bay is at a height above ground, mm: a
// straight line from the floor's rear edge to the ceiling's.
func (b *Bay) RearAt(z float64) float64 {
	height := b.Room.To.Z - b.Room.From.Z
	if b.RearTop == 0 || height <= 0 {
		return b.Room.To.X
	}
	share := min(1, max(0, (z-b.Room.From.Z)/height))
	return b.Room.To.X + (b.RearTop-b.Room.To.X)*share
}

// Upright is the largest upright box of a bay.
func (b *Bay) Upright() fitout.Box {
	room := b.Room
	room.To.X = min(room.To.X, b.RearAt(room.To.Z))
	return room
}

// Part is one box on the bench.
type Part struct {
	ID     string
	Bay    string // id of the bay that it stands in; empty for none
	Box    fitout.Box
	Built  bool // made to measure, so that it can take another size
	Fixed  bool // stays where it is
	Ledger bool // a thing of the ledger without a module: nobody drew its box, and nobody said what holds it
	Away   bool // put elsewhere by the stance that the scene shows: what holds it on the road does not there

	Item   *fitout.Item // the module itself; nil for a bare box
	Motion Motion       // Still without leaves, whatever its kind would do
	Mass   float64      // without what lies in it, kg
	Leaves []Leaf
	Cells  []Compartment
}

// Clash is two parts, or a part and an obstacle, in the same place.
type Clash struct {
	Part, Other string       // Other is empty for an obstacle
	Obstacle    int          // index of it in the bay
	By          fitout.Point // how far they reach into each other, mm
}

// Clashes returns every pair of parts that share room, in the order of the
// parts, then every part in an obstacle of its bay.
func Clashes(parts []Part, bays []Bay) []Clash {
	var all []Clash
	for _, pair := range neighbours(parts) {
		a, b := &parts[pair[0]], &parts[pair[1]]
		if by := a.Box.Overlap(b.Box); Least(by) > Slack {
			all = append(all, Clash{Part: a.ID, Other: b.ID, By: by})
		}
	}
	for i := range parts {
		bay := BayOf(bays, parts[i].Bay)
		if bay == nil {
			continue
		}
		all = append(all, InObstacles(&parts[i], bay)...)
	}
	return all
}

// neighbours are the pairs of parts that lie over each other along the vehicle, each once, in the order of the parts:
// they are swept from the front, so that a part is only held against those that begin before it ends.
func neighbours(parts []Part) [][2]int {
	order := make([]int, len(parts))
	for i := range order {
		order[i] = i
	}
	slices.SortFunc(order, func(a, b int) int { return cmp.Compare(parts[a].Box.From.X, parts[b].Box.From.X) })
	var pairs [][2]int
	for n, i := range order {
		for _, k := range order[n+1:] {
			if parts[i].Box.To.X-Slack <= parts[k].Box.From.X {
				break
			}
			if parts[i].Box.From.X < parts[k].Box.To.X-Slack {
				pairs = append(pairs, [2]int{min(i, k), max(i, k)})
			}
		}
	}
	slices.SortFunc(pairs, func(a, b [2]int) int { return cmp.Or(cmp.Compare(a[0], b[0]), cmp.Compare(a[1], b[1])) })
	return pairs
}

// InObstacles are the obstacles of its bay that a part stands in; a floor that lies flat is cut out round some.
func InObstacles(p *Part, bay *Bay) []Clash {
	var all []Clash
	for k := range bay.Obstacles {
		o := &bay.Obstacles[k]
		if p.Item != nil && o.Rises && module.CutRound(p.Item) {
			continue
		}
		if by := p.Box.Overlap(o.Box); Least(by) > Slack {
			all = append(all, Clash{Part: p.ID, Obstacle: k, By: by})
		}
	}
	return all
}

// Least is the smallest of three measures, mm: how far two boxes overlap that overlap by so much each way.
func Least(p fitout.Point) float64 { return min(p.X, p.Y, p.Z) }

// BayOf is the bay of an id, or nil.
func BayOf(bays []Bay, id string) *Bay {
	for i := range bays {
		if bays[i].ID == id {
			return &bays[i]
		}
	}
	return nil
}

// Outside returns how far a box stands out of its bay at each side, mm, at most
// 0 where it does not: rear, front, right, left, top, bottom. Of an open bay
// only the floor counts; where a hatch leans in, the upper edge decides.
func Outside(b fitout.Box, bay *Bay) (most float64, side string) {
	room := bay.Room
	by := []struct {
		mm   float64
		side string
	}{
		{b.To.X - bay.RearAt(b.To.Z), "rear"}, {room.From.X - b.From.X, "front"}, {b.To.Y - room.To.Y, "right"},
		{room.From.Y - b.From.Y, "left"}, {b.To.Z - room.To.Z, "top"}, {room.From.Z - b.From.Z, "floor"},
	}
	for _, out := range by {
		if bay.Open && out.side != "floor" {
			continue
		}
		if out.mm > Slack && out.mm > most {
			most, side = out.mm, out.side
		}
	}
	return most, side
}

// Gap is the room between a part and its nearest neighbour, or the wall, on one
// side, mm.
type Gap struct {
	Side string  `json:"side" enum:"front,rear,left,right,below,above"`
	MM   float64 `json:"mm" doc:"to the nearest face, mm; negative is inside it"`
	To   string  `json:"to" doc:"id of the neighbour; empty for the bay itself"`
}

// Gaps returns what is left around a part in its bay, front, rear, left, right,
// below and above: to the nearest part whose shadow it stands in, or to the
// wall. Without a bay only neighbours count.
func Gaps(part *Part, parts []Part, bay *Bay) []Gap {
	sides := [6]Gap{{Side: "front"}, {Side: "rear"}, {Side: "left"}, {Side: "right"}, {Side: "below"}, {Side: "above"}}
	for k := range sides {
		sides[k].MM = math.Inf(1)
	}
	from, to := coordinates(part.Box.From), coordinates(part.Box.To)
	if bay != nil {
		near, far := coordinates(bay.Room.From), bay.Room.To
		far.X = bay.RearAt(part.Box.To.Z)
		end := coordinates(far)
		for n := range 3 {
			sides[2*n].MM = from[n] - near[n]
			if !bay.Open {
				sides[2*n+1].MM = end[n] - to[n]
			}
		}
	}
	for k := range parts {
		other := &parts[k]
		by := coordinates(part.Box.Overlap(other.Box))
		for n := range 3 {
			// Only what overlaps on both other axes stands before this side.
			if by[(n+1)%3] <= Slack || by[(n+2)%3] <= Slack || other.ID == part.ID {
				continue
			}
			if d := from[n] - coordinates(other.Box.To)[n]; d >= -Slack && d < sides[2*n].MM {
				sides[2*n].MM, sides[2*n].To = d, other.ID
			}
			if d := coordinates(other.Box.From)[n] - to[n]; d >= -Slack && d < sides[2*n+1].MM {
				sides[2*n+1].MM, sides[2*n+1].To = d, other.ID
			}
		}
	}
	gaps := make([]Gap, 0, len(sides))
	for _, gap := range sides {
		if !math.IsInf(gap.MM, 1) {
			gaps = append(gaps, gap)
		}
	}
	return gaps
}

// coordinates are x, y and z of a point, to be gone through.
func coordinates(p fitout.Point) [3]float64 { return [3]float64{p.X, p.Y, p.Z} }
