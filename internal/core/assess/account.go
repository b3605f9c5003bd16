package assess

import (
	"fmt"
	"slices"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
)

// Account is where the figures of a state come from: every mass with its place and
// its share of each axle, the formulas with the numbers put in, and the source of
// each limit. It can be handed to an engineer or inspector.
type Account struct {
	Job      string         `json:"job"`
	Customer string         `json:"customer"`
	Variant  string         `json:"variant"`
	Case     string         `json:"case" doc:"name of the state that is accounted for"`
	State    string         `json:"state" doc:"in words"`
	Baseline string         `json:"baseline" doc:"what the empty figure contains and where it comes from"`
	Rows     []AccountRow   `json:"rows"`
	Sum      AccountRow     `json:"sum"`
	Formulas []Formula      `json:"formulas"`
	Limits   []AccountLimit `json:"limits"`
	Cautions []string       `json:"cautions"`
}

// AccountRow is one mass. Lengths are in mm in the vehicle's frame.
type AccountRow struct {
	ID     string  `json:"id" doc:"of the item, tank, part or modification; empty for the dry vehicle and the trailer"`
	Group  string  `json:"group"`
	Name   string  `json:"name"`
	Source string  `json:"source"`
	Kg     float64 `json:"kg"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Z      float64 `json:"z"`
	Moment float64 `json:"moment" doc:"kg·m about the front axle"`
	Front  float64 `json:"front" doc:"kg"`
	Rear   float64 `json:"rear" doc:"kg"`
}

// Formula is one figure with its formula and the numbers put in.
type Formula struct {
	ID      string `json:"id" doc:"of the limit or figure that it is about"`
	Name    string `json:"name"`
	Formula string `json:"formula"`
	Numbers string `json:"numbers"`
}

// AccountLimit is one limit with its load and its source.
type AccountLimit struct {
	Pad
	Source string `json:"source"`
}

// cautions belong to every page that leaves the house.
var cautions = []string{
	"Limits come from the vehicle's plate and papers, not from this tool.",
	"Masses that were not weighed are estimates; the last word has a public weighbridge.",
	"Corner loads and tip angles are simplified.",
	"Brakes, steering, seat belts, mains voltage, gas, fuel systems, structural changes and gross-mass upgrades belong to licensed or certified people under local rules.",
}

// sourceWords are what a table calls the sources of a mass.
var sourceWords = map[fitout.MassSource]string{fitout.ByScale: "weighed", fitout.DataSheet: "data sheet", fitout.ByMaterial: "from material", fitout.Estimate: "estimate"}

// AccountOf accounts for a state of a job's chosen variant: the one shown for "",
// that of a case for "case:" and its id, and the exact worst of a limit for
// "worst:" and front, rear, gross, combination or front-share. It refuses any other.
func AccountOf(j *fitout.Job, at string) (Account, error) {
	s := newSubject(j)
	name, state, err := s.stateAt(at)
	if err != nil {
		return Account{}, err
	}
	f := s.figuresIn(&state)
	a := Account{Job: j.Name, Customer: j.Customer, Variant: s.variant.Name, Case: name, State: s.say.state(s.variant, state), Baseline: s.baselineWords(), Rows: []AccountRow{}, Cautions: cautions}
	add := func(id, group, name, source string, m load.Mass) {
		if m.Kg == 0 {
			return
		}
		axles := load.Moments{}.Add(m).Axles(s.plan.Wheelbase)
		a.Rows = append(a.Rows, AccountRow{id, group, name, source, m.Kg, m.X, m.Y, m.Z, m.Kg * m.X / 1000, axles.Front, axles.Rear})
	}
	shift := 0.0
	if e := j.Vehicle.Extension; e != nil {
		shift = e.By
	}
	add("", "Vehicle", "Dry vehicle", "baseline", s.plan.Dry)
	for i := range j.Vehicle.Parts {
		p := &j.Vehicle.Parts[i]
		for n, m := range load.PartChange(p, shift) {
			add(p.ID, "Vehicle", p.Name+map[int]string{0: "", 1: ", where it is now"}[n], sourceWords[p.Source], m)
		}
	}
	for i := range j.Vehicle.Modifications {
		m := &j.Vehicle.Modifications[i]
		add(m.ID, "Modifications", m.Name, sourceWords[m.Source], load.ModificationChange(m, shift))
	}
	for i := range j.Vehicle.Tanks {
		t, m := &j.Vehicle.Tanks[i], s.plan.Tanks[i].Mass
		m.Kg = state.TankFills[t.ID] * t.Density
		add(t.ID, "Tanks", t.Name, "by its content", m)
	}
	for i := range s.variant.Items {
		item := &s.variant.Items[i]
		if thing, aboard := s.plan.In(i, &state); aboard && !thing.Trailer {
			group := item.Group
			if group == "" {
				group = "Items"
			}
			add(item.ID, group, item.Name, sourceWords[item.Source], thing.Mass)
		}
	}
	if state.Coupled && j.Trailer != nil {
		t := s.plan.Towing.Vehicle
		a.Rows = append(a.Rows, AccountRow{Group: "Trailer", Name: j.Trailer.Name + ", on the hitch", Source: "papers", Kg: t.Gross(), Moment: t.Rear * s.plan.Wheelbase / 1000, Front: t.Front, Rear: t.Rear})
	}
	a.Sum = AccountRow{Name: "Together"}
	for _, r := range a.Rows {
		a.Sum.Kg, a.Sum.Moment, a.Sum.Front, a.Sum.Rear = a.Sum.Kg+r.Kg, a.Sum.Moment+r.Moment, a.Sum.Front+r.Front, a.Sum.Rear+r.Rear
	}
	limits := s.limitsIn(&state)
	a.Formulas = s.formulas(&a, f, limits)
	for i := range limits {
		a.Limits = append(a.Limits, AccountLimit{limits[i].pad(), source(limits[i].limit.Source)})
	}
	return a, nil
}

// stateAt is the state that an account is asked for, with its name.
func (s *subject) stateAt(at string) (string, load.State, error) {
	if at == "" {
		return "State shown", s.plan.Shown(), nil
	}
	kind, id, _ := strings.Cut(at, ":")
	for i := range s.variant.Cases {
		if c := &s.variant.Cases[i]; kind == "case" && c.ID == id {
			return c.Name, s.plan.Case(c), nil
		}
	}
	if kind == "worst" && id == targetFrontShare {
		return "Lightest front", s.plan.Worst(s.plan.FrontShareForm(s.job.Practice.FrontShare)), nil
	}
	for i := range s.limits {
		if l := &s.limits[i]; kind == "worst" && l.id == id {
			return "Worst for " + lower(l.title), l.worst, nil
		}
	}
	return "", load.State{}, fitout.Problem{Path: "state", Given: at, Accepted: "nothing for the state shown, case: and the id of a case, or worst: and front, rear, gross, combination or front-share"}
}

// limitsIn are the limits of the pads as they are loaded in a state.
func (s *subject) limitsIn(state *load.State) []limit {
	limits := slices.Clone(s.limits)
	errors := s.plan.Errors(s.baseline, &s.job.Practice.Uncertainty, state)
	for i := range limits {
		limits[i].load = s.plan.Value(limits[i].form, state)
		limits[i].sigma = load.Sigma(limits[i].form, errors)
	}
	return limits
}

func (s *subject) baselineWords() string {
	b := &s.job.Vehicle.Baseline
	words := map[fitout.Definition]string{
		fitout.Tare: "tare: 10 L of fuel, nobody aboard", fitout.Kerb: "kerb: full fuel, nobody aboard", fitout.RunningOrder: "mass in running order: 90 % fuel and a driver of 75 kg",
		fitout.Unladen: "unladen: no fuel, nobody aboard", fitout.AsWeighed: fmt.Sprintf("as weighed, %d tickets combined, each with what was aboard that day taken off", len(s.weighing.Tickets)),
	}[b.Definition]
	if b.Definition != fitout.AsWeighed && b.Split == fitout.SplitAssumed {
		words += "; the axle split is assumed"
	}
	dry := load.Moments{}.Add(s.plan.Dry).Axles(s.plan.Wheelbase)
	return fmt.Sprintf("The empty figure is %s. Each of these is taken off at its own station, which leaves the dry vehicle: front %s, rear %s.", words, s.say.mass(dry.Front), s.say.mass(dry.Rear))
}

// formulas are the figures of statics with their numbers put in, in kg and mm.
func (s *subject) formulas(a *Account, f *stateFigures, limits []limit) []Formula {
	L := s.plan.Wheelbase
	c, corners := f.moments.Centre(), f.corners
	ssf, tip := load.Stability(s.plan.TrackFront, s.plan.TrackRear, c.Z)
	n := func(x float64) string { return fmt.Sprintf("%.1f", x) }
	all := []Formula{
		{"rear", "Rear axle", "R = Σ m x / L", fmt.Sprintf("%s kg·m × 1000 / %s mm = %s kg", n(a.Sum.Moment), n(L), n(a.Sum.Rear))},
		{"front", "Front axle", "F = Σ m − R", fmt.Sprintf("%s − %s = %s kg", n(a.Sum.Kg), n(a.Sum.Rear), n(a.Sum.Front))},
		{"gross", "Gross", "M = Σ m", fmt.Sprintf("%d masses: %s kg", len(a.Rows), n(a.Sum.Kg))},
		{"centre", "Centre of gravity", "x = Σ m x / Σ m, y and z likewise", fmt.Sprintf("%s, %s, %s mm, without trailer", n(c.X), n(c.Y), n(c.Z))},
		{"sides", "Left and right wheels", "each mass by ½ ∓ y / T on its axle, an estimate", fmt.Sprintf("%s and %s kg", n(corners.Left()), n(corners.Right()))},
		{"front-share", "Front share", "F / M", fmt.Sprintf("%s / %s: %.1f %%", n(a.Sum.Front), n(a.Sum.Kg), 100*a.Sum.Front/max(1, a.Sum.Kg))},
		{"grade", fmt.Sprintf("Nose up %d°", gradeDegrees), "R = M (x cos θ + z sin θ) / L, F = M cos θ − R", fmt.Sprintf("front %s, rear %s kg, without trailer", n(f.moments.OnGrade(L, gradeDegrees).Front), n(f.moments.OnGrade(L, gradeDegrees).Rear))},
		{"tip", "Side tip angle", "atan(T / 2z), an upper bound", fmt.Sprintf("static stability factor %.3f, %.1f°", ssf, tip)},
	}
	if t := s.job.Trailer; t != nil && f.state.Coupled {
		all = append(all, Formula{"combination", "Combination", "M + trailer − what it puts on the vehicle", fmt.Sprintf("%s + %s − %s = %s kg", n(a.Sum.Kg), n(f.trailer), n(s.plan.Towing.Vehicle.Gross()), n(a.Sum.Kg+s.plan.Towing.TrailerAxle+f.moments.Towed))})
		all = append(all, Formula{"ball", "Ball on the axles", "R + B (L + overhang) / L, F − B overhang / L", fmt.Sprintf("ball %s kg, overhang %s mm: rear %+.1f, front %+.1f kg", n(t.Ball), n(s.job.Vehicle.Hitch.Overhang), s.plan.Towing.Vehicle.Rear, s.plan.Towing.Vehicle.Front)})
	}
	for i := range limits {
		if l := &limits[i]; l.stated() {
			all = append(all, Formula{l.id + "-over", "Probability over, " + lower(l.title), "1 − Φ((limit − load) / σ)", fmt.Sprintf("(%s − %s) / %s kg: %.1f %%", n(l.limit.Kg), n(l.load), n(l.sigma), 100*load.Over(l.load, l.limit.Kg, l.sigma))})
		}
	}
	return all
}
