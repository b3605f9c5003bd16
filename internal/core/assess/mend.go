package assess

import (
	"cmp"
	"context"
	"fmt"
	"math"
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
	Caution string       `json:"caution" doc:"what belongs to it; empty for nothing"`
}

// Mends are the ways found, the least effort first, and what to do to the vehicle
// where nothing else does.
type Mends struct {
	Found   []Mend   `json:"found"`
	Vehicle []string `json:"vehicle" doc:"what could be done to the vehicle, each with the caution that belongs to it"`
	None    string   `json:"none" doc:"said when nothing short of another vehicle will do; empty otherwise"`
}

// How many ways are told, how many changes are combined, and how many of the best
// by their linear effect are tried on the whole job.
const (
	mostMends    = 6
	mostTogether = 3
	mostTried    = 40
)

// MendLimit looks for the ways to mend one overloaded limit ("front", "rear",
// "gross" or "combination"): single changes first, then pairs, then threes, until
// there are enough. Each is filtered by its linear effect, and the best are tried
// on the whole job: only what keeps every other limit, breaks no hard rule of fit,
// and does what it says is told. progress is told the share that is done.
func MendLimit(ctx context.Context, j *fitout.Job, id string, progress func(share float64)) (Mends, error) {
	s := newSubject(j)
	k := slices.IndexFunc(s.limits, func(l limit) bool { return l.id == id })
	if k < 0 {
		return Mends{}, fitout.Problem{Path: "limit", Given: id, Accepted: "front, rear, gross or combination"}
	}
	l := &s.limits[k]
	result := Mends{Found: []Mend{}, Vehicle: []string{}}
	if !l.stated() || l.over() <= 0 {
		return result, nil
	}
	single := s.changes(l)
	stopsBefore := stops(s)
	for together := 1; together <= mostTogether && len(result.Found) < mostMends && ctx.Err() == nil; together++ {
		sets := combine(ctx, single, together, func(set []candidate) bool { return s.suffices(l, set) })
		for n, set := range sets[:min(len(sets), mostTried)] {
			if len(result.Found) >= mostMends || ctx.Err() != nil {
				break
			}
			if m, ok := s.tried(set, stopsBefore); ok {
				result.Found = append(result.Found, m)
			}
			progress((float64(together-1) + float64(n+1)/mostTried) / mostTogether)
		}
	}
	progress(1)
	result.Vehicle = s.vehicleWays(l)
	if len(result.Found) == 0 && ctx.Err() == nil {
		result.None = fmt.Sprintf("No one, two or three changes of load bring it within its limit. %s, or nothing short of another vehicle will do.", capital(strings.Join(result.Vehicle, " or ")))
	}
	return result, nil
}

// changes are all single changes that take something off a limit.
func (s *subject) changes(l *limit) []candidate {
	all := append(moves(s, l), drains(s, l)...)
	all = append(all, leavings(s, l)...)
	all = append(all, uncoupling(s, l)...)
	all = append(all, lightenings(s, l)...)
	all = append(all, seatings(s, l)...)
	all = slices.DeleteFunc(all, func(c candidate) bool { return c.relief <= 0.05 })
	slices.SortStableFunc(all, func(a, b candidate) int { return cmp.Compare(a.effort/a.relief, b.effort/b.relief) })
	return all[:min(len(all), 40)]
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
		effect := load.Moments{}.Add(load.Mass{Kg: -saves, X: s.plan.Items[i].Mass.X}).Axles(s.plan.Wheelbase)
		all = append(all, s.candidate(l, fmt.Sprintf("Build %s of foam-core, %s lighter", lower(item.Name), s.say.mass(saves)), fitout.FixEdit{Kind: "foam-core", ID: item.ID, Value: 15}, effect, 0, 2*saves+item.Mass/2))
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
		for k, seat := range s.job.Vehicle.Seats {
			if taken[seat.ID] || seat.Driver || s.drives(item.Seat) {
				continue
			}
			kg := s.plan.Items[i].Mass.Kg
			rear := kg * (seat.At.X - s.plan.Items[i].Mass.X) / s.plan.Wheelbase
			all = append(all, s.candidate(l, fmt.Sprintf("Seat %s on the seat %q", lower(item.Name), seat.Name), fitout.FixEdit{Kind: "seat", ID: item.ID, Value: float64(k)}, load.Axles{Front: -rear, Rear: rear}, 0, 1))
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

// tried makes the changes of a set on the whole job and holds it against every
// limit and every hard rule.
func (s *subject) tried(set []candidate, stopsBefore map[string]bool) (Mend, bool) {
	m := Mend{}
	job := *s.given
	for _, c := range set {
		var err error
		if job, err = ApplyFix(&job, c.fix.Edit); err != nil {
			return m, false
		}
		m.Changes = append(m.Changes, c.fix)
		m.Effort += c.effort
		if c.fix.Edit.Kind == "seat" {
			m.Caution = "Each seat that is used needs its belt."
		}
	}
	after := newSubject(&job)
	for i := range after.limits {
		before, now := &s.limits[i], &after.limits[i]
		if now.stated() && now.over() > max(0.05, before.over()) {
			return m, false
		}
		m.Pads = append(m.Pads, now.pad())
	}
	for key := range stops(after) {
		if !stopsBefore[key] {
			return m, false
		}
	}
	return m, slices.ContainsFunc(m.Pads, func(p Pad) bool { return p.State != "over" }) && s.mended(after)
}

// mended tells whether every limit that is over now is within after.
func (s *subject) mended(after *subject) bool {
	worse := 0
	for i := range s.limits {
		if s.limits[i].stated() && s.limits[i].over() > 0 && after.limits[i].over() >= s.limits[i].over()-0.05 {
			worse++
		}
	}
	return worse == 0
}

// vehicleWays are what could be done to the vehicle, by how much.
func (s *subject) vehicleWays(l *limit) []string {
	var ways []string
	over := l.over()
	switch l.id {
	case "gross", "combination":
		ways = append(ways, fmt.Sprintf("a certified upgrade by %s or more (whether it may be done before or after first registration, and whether the axle ratings rise with it, is for certified people under local rules)", s.say.mass(over)))
	case "rear":
		ways = append(ways, fmt.Sprintf("a certified rear axle rating %s higher, with tyres, springs and brakes that carry it (certified people under local rules; helper airbags raise no rating)", s.say.mass(over)))
		if by := s.extensionBy(); by > 0 {
			ways = append(ways, fmt.Sprintf("a wheelbase extension of about %s with the load where it is (a structural change, for certified people)", s.say.length(by)))
		}
	case "front":
		ways = append(ways, fmt.Sprintf("a certified front axle rating %s higher, with tyres and springs that carry it", s.say.mass(over)))
	}
	if s.plan.Coupled() && l.id == "rear" {
		ways = append(ways, fmt.Sprintf("a weight-distributing hitch that takes %s off the rear axle, where the maker and local rules allow it", s.say.mass(over)))
	}
	return ways
}

// extensionBy is by how much the wheelbase would have to grow to bring the rear
// axle within its limit, the load staying where it is: R = Σ m x / L.
func (s *subject) extensionBy() float64 {
	limit := s.rating(fitout.LimitRearAxle).Kg
	m := s.plan.Now()
	if limit <= 0 {
		return 0
	}
	by := m.X/limit - s.plan.Wheelbase
	const step = 50
	return math.Ceil(by/step) * step
}

// ApplyFix makes the plain edit of a fix on a job's chosen variant.
func ApplyFix(j *fitout.Job, edit fitout.FixEdit) (fitout.Job, error) {
	changed := *j
	switch edit.Kind {
	case "tank-level":
		changed.Vehicle.Tanks = slices.Clone(j.Vehicle.Tanks)
		for i := range changed.Vehicle.Tanks {
			if changed.Vehicle.Tanks[i].ID == edit.ID {
				changed.Vehicle.Tanks[i].Now = edit.Value
			}
		}
		return changed, nil
	case "uncouple":
		if j.Trailer != nil {
			trailer := *j.Trailer
			trailer.Coupled = false
			changed.Trailer = &trailer
		}
		return changed, nil
	case "switch-off":
		changed.Variants = slices.Clone(j.Variants)
		v := changed.ChosenVariant()
		v.Switches = slices.Clone(v.Switches)
		for i := range v.Switches {
			if v.Switches[i].ID == edit.ID {
				v.Switches[i].On = false
			}
		}
		return changed, nil
	}
	found := false
	changed = withItems(j, func(i *fitout.Item) {
		if i.ID != edit.ID {
			return
		}
		found = true
		switch edit.Kind {
		case "move-item":
			i.At.X = edit.Value
		case "item-level":
			level := *i.Presence.Level
			level.Now = edit.Value
			i.Presence.Level = &level
		case "foam-core":
			m := *i.Module
			m.Wall, m.Panel = fitout.FoamCore, edit.Value
			i.Module, i.Source = &m, fitout.ByMaterial
		case "seat":
			i.Seat = j.Vehicle.Seats[min(len(j.Vehicle.Seats)-1, max(0, int(edit.Value)))].ID
		default:
			found = false
		}
	})
	if !found {
		return *j, fitout.Problem{Path: "changes", Given: edit.Kind + " " + edit.ID, Accepted: "a change that was offered for this job"}
	}
	return changed, nil
}
