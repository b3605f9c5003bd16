package assess

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
)

// Mend is one way to bring a load back within its limit: one change or a few
// together, with the pads before and after. It was tried on the whole job.
type Mend struct {
	Changes []fitout.Fix `json:"changes"`
	Pads    []Pad        `json:"pads" doc:"after it"`
	Effort  float64      `json:"effort" doc:"less is less to do; kg·m moved, or kg left behind"`
	Reaches string       `json:"reaches" doc:"what was asked for before and after it, where no pad shows that; empty otherwise"`
	Caution string       `json:"caution" doc:"what belongs to it; empty for nothing"`
}

// Mends are the ways found, the least effort first, and what could be done to the
// vehicle, each with the caution that belongs to it.
type Mends struct {
	Found   []Mend `json:"found"`
	Vehicle []Mend `json:"vehicle"`
	None    string `json:"none" doc:"said when no change of load does, or nothing short of another vehicle; empty otherwise"`
}

// How many ways are told, how many changes are combined, and how many of the best
// by their linear effect are tried on the whole job.
const (
	mostMends    = 6
	mostTogether = 3
	mostTried    = 40
)

// MendLimit looks for the ways to mend one overloaded limit ("front", "rear",
// "gross", "combination", "placard", "ball", "trailer", "bay:" and an id) or rule of balance
// ("front-share", "sides", "tip"), or to come clear of one that is close: single
// changes first, then pairs, then threes, until there are enough. Each is filtered
// by its linear effect, and the best are tried on the whole job: only what keeps
// every other limit, breaks no hard rule of fit, and does what it says is told.
// What is bought comes from the given components. progress is told the share that
// is done.
func MendLimit(ctx context.Context, j *fitout.Job, components []fitout.Component, id string, progress func(share float64)) (Mends, error) {
	s := newSubject(j)
	if err := Mendable(j, id); err != nil {
		return Mends{}, err
	}
	target, _ := s.target(id, false)
	clear := target.state() == "close"
	if clear {
		target, _ = s.target(id, true)
	}
	l := &target
	result := Mends{Found: []Mend{}, Vehicle: []Mend{}}
	if !l.stated() || l.over() <= 0 {
		return result, nil
	}
	try := trial{s, components, stops(s), id, clear}
	single := try.changes(l)
	for together := 1; together <= mostTogether && len(result.Found) < mostMends && ctx.Err() == nil; together++ {
		sets := combine(ctx, single, together, func(set []candidate) bool { return s.suffices(l, set) })
		for n, set := range sets[:min(len(sets), mostTried)] {
			if len(result.Found) >= mostMends || ctx.Err() != nil {
				break
			}
			if m, ok := try.of(set); ok {
				result.Found = append(result.Found, m)
			}
			progress((float64(together-1) + float64(n+1)/mostTried) / mostTogether)
		}
	}
	progress(1)
	result.Vehicle = try.vehicleWays(l)
	if len(result.Found) == 0 && ctx.Err() == nil {
		result.None = "No one, two or three changes of load bring it within its limit."
		if len(result.Vehicle) == 0 {
			result.None += fmt.Sprintf(" It is %s over, and a certified upgrade is taken to raise a rating by %.0f %% at most: nothing short of another vehicle will do.", s.say.mass(l.over()), 100*s.job.Practice.UpgradeShare)
		}
	}
	return result, nil
}

// changes are all single changes that take something off a limit.
func (t trial) changes(l *limit) []candidate {
	s := t.subject
	all := append(moves(s, l), sideMoves(s, l)...)
	all = append(all, drains(s, l)...)
	all = append(all, leavings(s, l)...)
	all = append(all, uncoupling(s, l)...)
	all = append(all, lightenings(s, l)...)
	all = append(all, seatings(s, l)...)
	all = append(all, trailings(s, l)...)
	all = append(all, untrailings(s, l)...)
	all = append(all, swaps(s, l, t.components)...)
	all = append(all, ballShifts(s, l)...)
	for i := range all {
		if l.place {
			all[i].relief = t.reliefAt(l, &all[i])
		}
	}
	all = slices.DeleteFunc(all, func(c candidate) bool { return c.relief <= 0.05 })
	slices.SortStableFunc(all, func(a, b candidate) int { return cmp.Compare(a.effort/a.relief, b.effort/b.relief) })
	return all[:min(len(all), 40)]
}

// reliefAt is what a change takes off one place, by making it.
func (t trial) reliefAt(l *limit, c *candidate) float64 {
	changed, err := Apply(t.given, t.components, []fitout.FixEdit{c.fix.Edit})
	if err != nil {
		return 0
	}
	after, _ := newSubject(&changed).target(l.id, false)
	return l.load - after.load
}

// lightenings build a part of a lighter material: it weighs then what that makes it
// weigh. Its effort is the mass that is built anew.
func lightenings(s *subject, l *limit) []candidate {
	var all []candidate
	for i := range s.variant.Items {
		item := s.placed[i]
		if item.Module == nil || item.Module.Wall == fitout.NoMaterial || item.Module.Wall == fitout.FoamCore || item.Locked || item.Work == fitout.WorkExisting || !s.plan.Items[i].Present {
			continue
		}
		m := *item.Module
		m.Wall, m.Panel = fitout.FoamCore, 15
		light := item
		light.Module = &m
		kg, _, ok := module.Mass(&light)
		saves := item.Mass - kg
		if !ok || saves < 1 {
			continue
		}
		all = append(all, s.candidate(l, fmt.Sprintf("Build %s of foam-core, %s lighter", lower(item.Name), s.say.mass(saves)), fitout.FixEdit{Kind: "foam-core", ID: item.ID, Value: 15}, lighter(s.plan.Items[i].Mass, saves), 2*saves+item.Mass/2))
	}
	return all
}

// seatings put someone onto a free seat that is better for a limit.
func seatings(s *subject, l *limit) []candidate {
	var all []candidate
	taken := map[string]bool{}
	for i := range s.variant.Items {
		if s.plan.Items[i].Present {
			taken[s.variant.Items[i].Seat] = true
		}
	}
	for i := range s.variant.Items {
		item := &s.variant.Items[i]
		if item.Seat == "" || !s.plan.Items[i].Present || !isTraveller(item) {
			continue
		}
		for _, seat := range s.job.Vehicle.Seats {
			if taken[seat.ID] || seat.Driver || s.drives(item.Seat) {
				continue
			}
			from := s.plan.Items[i].Mass
			to := load.Mass{Kg: from.Kg, X: seat.At.X, Y: seat.At.Y, Z: seat.At.Z}
			all = append(all, s.candidate(l, fmt.Sprintf("Seat %s on the seat %q", lower(item.Name), seat.Name), fitout.FixEdit{Kind: "seat", ID: item.ID, With: seat.ID}, lighter(from, from.Kg).Add(to), 1))
		}
	}
	return all
}

func (s *subject) drives(seat string) bool {
	return slices.ContainsFunc(s.job.Vehicle.Seats, func(x fitout.Seat) bool { return x.ID == seat && x.Driver })
}

// suffices tells whether a set of changes mends a limit by its linear effect and
// keeps the others, and whether every one of them is needed.
func (s *subject) suffices(l *limit, set []candidate) bool {
	relief := 0.0
	effect := load.Axles{}
	for _, c := range set {
		relief += c.relief
		effect = effect.Plus(load.Axles{Front: c.fix.Front, Rear: c.fix.Rear})
	}
	if relief < l.over()-1e-9 || !s.keeps(effect, l) {
		return false
	}
	for _, c := range set {
		if len(set) > 1 && relief-c.relief >= l.over()-1e-9 {
			return false // it does without that one
		}
	}
	return true
}

// combine returns every set of so many changes to different things that passes,
// the least effort first.
func combine(ctx context.Context, all []candidate, n int, passes func([]candidate) bool) [][]candidate {
	var sets [][]candidate
	set := make([]candidate, 0, n)
	var walk func(from int)
	walk = func(from int) {
		if ctx.Err() != nil {
			return
		}
		if len(set) == n {
			if passes(set) {
				sets = append(sets, slices.Clone(set))
			}
			return
		}
		for i := from; i < len(all); i++ {
			if slices.ContainsFunc(set, func(c candidate) bool { return c.fix.Edit.ID == all[i].fix.Edit.ID }) {
				continue
			}
			set = append(set, all[i])
			walk(i + 1)
			set = set[:len(set)-1]
		}
	}
	walk(0)
	effort := func(set []candidate) float64 {
		sum := 0.0
		for _, c := range set {
			sum += c.effort
		}
		return sum
	}
	slices.SortStableFunc(sets, func(a, b []candidate) int { return cmp.Compare(effort(a), effort(b)) })
	return sets
}

// trial tries changes on the whole job.
type trial struct {
	*subject
	components []fitout.Component
	stops      map[string]bool // the hard rules that are broken before it
	id         string          // of what is to be mended
	clear      bool            // is to come clear of its limit, not only within it
}

// of makes the changes of a set on the whole job and holds it against every limit
// and every hard rule.
func (t trial) of(set []candidate) (Mend, bool) {
	m := Mend{}
	edits := make([]fitout.FixEdit, 0, len(set))
	for _, c := range set {
		edits = append(edits, c.fix.Edit)
		m.Changes = append(m.Changes, c.fix)
		m.Effort += c.effort
		if said := cautionOf[c.fix.Edit.Kind]; !strings.Contains(m.Caution, said) {
			m.Caution = strings.TrimSpace(m.Caution + " " + said)
		}
	}
	job, err := Apply(t.given, t.components, edits)
	if err != nil {
		return m, false
	}
	after := newSubject(&job)
	for i := range after.limits {
		before, now := &t.limits[i], &after.limits[i]
		if now.stated() && now.over() > max(0.05, before.over()) {
			return m, false
		}
		m.Pads = append(m.Pads, now.pad())
	}
	for key := range stops(after) {
		if !t.stops[key] {
			return m, false
		}
	}
	before, _ := t.target(t.id, t.clear)
	target, _ := after.target(t.id, t.clear)
	m.Reaches = t.reaches(&before, &target)
	return m, target.over() <= 0
}

// reaches says of a rule of balance, or of what is at one place, how it stood
// before and how it stands after a change; the pads show all else.
func (t trial) reaches(before, after *limit) string {
	switch {
	case before.ratio && t.id == targetTip:
		return before.title + " within the workshop's rule"
	case before.ratio:
		return fmt.Sprintf("%s: %s beyond the workshop's rule before, %s within it after", before.title, t.say.mass(before.over()), t.say.mass(-after.over()))
	case before.place, t.id == targetPlacard:
		return fmt.Sprintf("%s: %s before, %s of %s after", before.title, t.say.mass(before.load), t.say.mass(after.load), t.say.mass(after.limit.Kg))
	}
	return ""
}

// cautionOf is what is said with a kind of change.
var cautionOf = map[string]string{
	"seat":         "Each seat that is used needs its belt.",
	"ball":         "Too little on the ball makes a trailer sway: keep to the least share that the makers of vehicle and trailer allow.",
	"distribution": "Only where the makers of vehicle, hitch and trailer and local rules allow it; it raises no rating, the ball's neither.",
	"rating":       "For certified people under local rules; whether it may be done before or after first registration, and whether other ratings rise with it, differs from place to place. Until it is certified the plate holds. Airbags and springs raise no rating.",
	"tyres":        "Tyres and wheels have to be allowed for the vehicle; set their pressure by the maker's table.",
	"extension":    "A structural change: for certified people under local rules, with brakes, drive shaft and turning circle looked at. The load stays where it is unless it is said to stand behind the cut; what of the vehicle moves with its axle is an estimate until it is entered under Vehicle.",
}
