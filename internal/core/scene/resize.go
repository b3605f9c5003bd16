package scene

import (
	"math"

	"zaino/internal/core/fitout"
)

// Touching is how near two faces lie to count as touching, mm.
const Touching = 2

// Resize gives a part another size and returns the boxes of all parts that
// change with it. The part keeps its front, left and lower face. Taller: what
// is built and was flush with its top in the same bay becomes as tall, and all
// that rests on either is carried up; shorter, likewise down. Narrower or
// shorter along: what is built and touches the face that moves grows by what
// it sets free, and gives back when it becomes wider; what is bought keeps its
// size and is not moved. What is fixed stays.
func Resize(parts []Part, id string, size fitout.Size) map[string]fitout.Box {
	changed := map[string]fitout.Box{}
	index := IndexOf(parts, id)
	if index < 0 {
		return changed
	}
	old := parts[index].Box
	box := fitout.Box{From: old.From, To: fitout.Point{X: old.From.X + size.Length, Y: old.From.Y + size.Width,
		Z: old.From.Z + size.Height}}
	changed[id] = box
	for i := range parts {
		p := &parts[i]
		if i == index || !p.Built || p.Fixed || p.Bay != parts[index].Bay {
			continue
		}
		now := p.Box
		by := p.Box.Overlap(old)
		if math.Abs(p.Box.From.Y-old.To.Y) <= Touching && by.X > Slack && by.Z > Slack {
			now.From.Y = min(now.To.Y-1, now.From.Y+box.To.Y-old.To.Y)
		}
		if math.Abs(p.Box.From.X-old.To.X) <= Touching && by.Y > Slack && by.Z > Slack {
			now.From.X = min(now.To.X-1, now.From.X+box.To.X-old.To.X)
		}
		flush := math.Abs(p.Box.To.Z-old.To.Z) <= Touching && math.Abs(p.Box.From.Z-old.From.Z) <= Touching
		if flush {
			now.To.Z = max(now.From.Z+1, now.To.Z+box.To.Z-old.To.Z)
		}
		if now != p.Box {
			changed[p.ID] = now
		}
	}
	carry(parts, changed)
	return changed
}

// carry moves up or down what rests on parts whose top has moved, and what
// rests on that.
func carry(parts []Part, changed map[string]fitout.Box) {
	for again, rounds := true, 0; again && rounds <= len(parts); rounds++ {
		again = false
		for i := range parts {
			p := &parts[i]
			if _, done := changed[p.ID]; done || p.Fixed {
				continue
			}
			if by, rests := lifted(p, parts, changed); rests {
				changed[p.ID] = p.Box.Moved(0, 0, by)
				again = true
			}
		}
	}
}

// lifted returns by how much the highest support of a part has moved.
func lifted(p *Part, parts []Part, changed map[string]fitout.Box) (mm float64, rests bool) {
	mm = math.Inf(-1)
	for i := range parts {
		now, moved := changed[parts[i].ID]
		below := &parts[i]
		by := p.Box.Overlap(below.Box)
		if !moved || now.To.Z == below.Box.To.Z || math.Abs(p.Box.From.Z-below.Box.To.Z) > Touching || by.X <= Slack ||
			by.Y <= Slack {
			continue
		}
		mm, rests = max(mm, now.To.Z-below.Box.To.Z), true
	}
	return mm, rests
}

// IndexOf is where the part of an id is in a list, or −1.
func IndexOf(parts []Part, id string) int {
	for i := range parts {
		if parts[i].ID == id {
			return i
		}
	}
	return -1
}
