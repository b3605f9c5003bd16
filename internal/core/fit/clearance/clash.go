// Package clearance is the rules of fit about room: what stands in whose way, and what hides or shuts in what.
package clearance

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// PartsClash stops two modules, or a module and what stands in its bay, in the
// same place, in any stance: one finding a part, with the first that it stands in. The first posture
// is looked at whole; of each further one only the parts that stand otherwise there, and what they meet or met.
func PartsClash(s *scene.Scene) []fitout.Finding {
	moved := 0
	told := map[string]bool{} // what stands in what is told as it is found first
	var first []standing
	return s.Each(func(p *scene.Posture) []fitout.Finding {
		now := standingIn(s, p)
		var groups [][]scene.Clash
		if first == nil {
			first = now
			groups = grouped(scene.Clashes(present(now), s.Bays))
		} else {
			groups = changedClashes(s, first, now)
		}
		var found []fitout.Finding
		for _, all := range groups {
			if key := clashKey(all); !told[key] {
				told[key] = true
				f := clash(s, all, p)
				if p.Stance.ID == "" && len(all) == 1 || moved < mostClashesMoved {
					f.Fixes = clashMoves(s, all, p)
					moved++
				}
				found = append(found, f)
			}
		}
		return found
	})
}

// standing is a part as it stands in a posture.
type standing struct {
	scene.Part
	gone bool
}

// standingIn is every part as it stands in a posture.
func standingIn(s *scene.Scene, p *scene.Posture) []standing {
	all := make([]standing, len(s.Parts))
	for i := range s.Parts {
		all[i] = standing{s.Parts[i], p.Gone[i]}
		if p.Moved(s, i) {
			all[i].Bay = "" // out of it, or carried out
		}
		all[i].Box = p.Boxes[i]
	}
	return all
}

// present are the parts that are there.
func present(all []standing) []scene.Part {
	parts := make([]scene.Part, 0, len(all))
	for i := range all {
		if !all[i].gone {
			parts = append(parts, all[i].Part)
		}
	}
	return parts
}

// grouped are clashes by the part that they are told of: first those that meet another part, then those that only
// stand in an obstacle.
func grouped(clashes []scene.Clash) [][]scene.Clash {
	at := map[string]int{}
	var groups [][]scene.Clash
	for _, c := range clashes {
		k, there := at[c.Part]
		if !there {
			k = len(groups)
			at[c.Part], groups = k, append(groups, nil)
		}
		groups[k] = append(groups[k], c)
	}
	return groups
}

// changedClashes are the clashes of the parts that stand otherwise than they first did, and of those that such a part
// meets or met; those of the others are as they were.
func changedClashes(s *scene.Scene, first, now []standing) [][]scene.Clash {
	var changed []int
	for i := range now {
		if now[i].gone != first[i].gone || now[i].Box != first[i].Box || now[i].Bay != first[i].Bay {
			changed = append(changed, i)
		}
	}
	meets := func(all []standing, i, k int) bool {
		return !all[i].gone && !all[k].gone && scene.Least(all[i].Box.Overlap(all[k].Box)) > scene.Slack
	}
	var pairs, obstacles []scene.Clash
	for i := range now {
		if now[i].gone || !slices.ContainsFunc(changed, func(m int) bool {
			return m == i || m > i && (meets(first, i, m) || meets(now, i, m))
		}) {
			continue
		}
		for k := i + 1; k < len(now); k++ {
			if meets(now, i, k) {
				pairs = append(pairs, scene.Clash{Part: now[i].ID, Other: now[k].ID, By: now[i].Box.Overlap(now[k].Box)})
			}
		}
		if bay := scene.BayOf(s.Bays, now[i].Bay); bay != nil {
			obstacles = append(obstacles, scene.InObstacles(&now[i].Part, bay)...)
		}
	}
	return grouped(append(pairs, obstacles...))
}

// clashKey tells apart what one part stands in.
func clashKey(all []scene.Clash) string {
	var key strings.Builder
	key.WriteString(all[0].Part)
	for i := range all {
		key.WriteByte(' ')
		if key.WriteString(all[i].Other); all[i].Other == "" {
			key.WriteString(strconv.Itoa(all[i].Obstacle))
		}
	}
	return key.String()
}

// clash is about all that one part stands in, so that letting one of them stand lets no other stand; it tells the
// first, of what was drawn before what the ledger has roughly.
func clash(s *scene.Scene, all []scene.Clash, p *scene.Posture) fitout.Finding {
	rough := func(c scene.Clash) bool { q := s.Part(c.Other); return q != nil && q.Ledger }
	if first := slices.IndexFunc(all, func(c scene.Clash) bool { return !rough(c) }); first > 0 {
		all = append([]scene.Clash{all[first]}, slices.Delete(slices.Clone(all), first, first+1)...)
	}
	c, more := all[0], len(all)-1
	part := s.Part(c.Part)
	var other string
	var otherBox fitout.Box
	box := p.Boxes[scene.IndexOf(s.Parts, c.Part)]
	in := box
	if c.Other == "" {
		bay := scene.BayOf(s.Bays, part.Bay)
		otherBox = bay.Obstacles[c.Obstacle].Box
		other, in = words.Lower(bay.Obstacles[c.Obstacle].Name), box.Cut(otherBox)
	} else {
		otherBox = p.Boxes[scene.IndexOf(s.Parts, c.Other)]
		other, in = words.Lower(s.Part(c.Other).Name()), box.Cut(otherBox)
	}
	by := scene.Least(c.By)
	f := scene.About("parts-clash", fitout.Stop, part)
	for _, one := range all {
		if one.Other != "" {
			f.With = append(f.With, one.Other)
		} else {
			f.With = append(f.With, part.Bay+"."+scene.BayOf(s.Bays, part.Bay).Obstacles[one.Obstacle].ID)
		}
	}
	f.Title = fmt.Sprintf("%s and %s in one place", part.Name(), other)
	f.Sentence = fmt.Sprintf("%s reaches %s into %s. %s", part.Name(), s.Say.Length(by), other,
		wayClear(s, p, part, s.Part(c.Other), box, otherBox))
	if more > 0 {
		f.Sentence += fmt.Sprintf(" It stands in %d more.", more)
	}
	f.Value, f.Margin = by, -by
	m := in.Middle()
	from, to := m, m
	switch by {
	case c.By.X:
		from.X, to.X = in.From.X, in.To.X
	case c.By.Y:
		from.Y, to.Y = in.From.Y, in.To.Y
	default:
		from.Z, to.Z = in.From.Z, in.To.Z
	}
	f.Lines = []fitout.Line{scene.Line(from, to, s.Say.Length(by))}
	return f
}

// wayClear says by which move one of two parts that stand in each other, or a part in what rises in its space, comes
// clear and meets nothing else; where none does, how far it is.
func wayClear(s *scene.Scene, p *scene.Posture, part, other *scene.Part, box, otherBox fitout.Box) string {
	own, theirs := scene.Step{MM: -1}, scene.Step{MM: -1}
	if !p.Elsewhere(part.ID) { // what is put elsewhere is not moved by its place on the road
		own = s.Free(part, scene.Steps(box, otherBox))
	}
	if other != nil && !p.Elsewhere(other.ID) {
		theirs = s.Free(other, scene.Steps(otherBox, box))
	}
	switch {
	case own.MM >= 0 && theirs.MM >= 0 && !part.Fixed && !other.Fixed:
		return fmt.Sprintf("Move it %s, or that %s.", s.Said(own), s.Said(theirs))
	case own.MM >= 0 && (!part.Fixed || theirs.MM < 0 || other.Fixed):
		return words.Capital(s.MoveIt("it", part, own)) + "."
	case theirs.MM >= 0:
		return words.Capital(s.MoveIt("that", other, theirs)) + "."
	}
	return fmt.Sprintf(
		"Find another place, or make one of them smaller: %s, where it would come clear, there is no place for it.",
		s.Said(scene.Apart(box, otherBox, nil)),
	)
}

// mostClashesMoved is for how many clashes moves are looked for beyond those of two things on the road: a bench with
// more of them is not mended one by one.
const mostClashesMoved = 20

// clashMoves offers the moves by which a part comes clear of all that it stands in, or what it stands in of it. In a
// stance what lies elsewhere then stays where it is on the road, whatever is moved there.
func clashMoves(s *scene.Scene, all []scene.Clash, p *scene.Posture) []fitout.Fix {
	part := s.Part(all[0].Part)
	if p.Elsewhere(part.ID) || s.IsCarried(part) {
		return nil
	}
	box := p.Boxes[scene.IndexOf(s.Parts, part.ID)]
	meets, stands := make([]fitout.Box, len(all)), false
	for i, c := range all {
		if c.Other == "" {
			meets[i] = scene.BayOf(s.Bays, part.Bay).Obstacles[c.Obstacle].Box
			continue
		}
		meets[i] = p.Boxes[scene.IndexOf(s.Parts, c.Other)]
		stands = stands || p.Elsewhere(c.Other) || s.IsCarried(s.Part(c.Other))
	}
	room := meets[0]
	for _, m := range meets[1:] {
		room = room.Around(m)
	}
	fixes := s.MovesBy(part, scene.Steps(box, room), nil)
	if other := s.Part(all[0].Other); other != nil && len(all) == 1 && !stands {
		fixes = append(fixes, s.MovesBy(other, scene.Steps(meets[0], box), nil)...)
	}
	return fixes
}
