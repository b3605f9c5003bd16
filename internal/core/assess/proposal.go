package assess

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/propose"
)

// Aim is one thing that an arrangement can be good at.
type Aim string

// The aims, in the order in which they are offered.
const (
	AimRear   Aim = "rear-axle" // little on the rear axle
	AimLow    Aim = "low"       // mass low down
	AimSides  Aim = "sides"     // left and right alike
	AimAccess Aim = "access"    // what is used daily near the opening and low enough
	AimSteps  Aim = "steps"     // few steps to what is used daily
	AimRoom   Aim = "room"      // room in drawers
)

// Aims are all of them.
var Aims = [...]Aim{AimRear, AimLow, AimSides, AimAccess, AimSteps, AimRoom}

// Wishes are what a proposal is asked for: the parts that may be placed anew (none
// named: all that are not locked), and the aims, the most important first; what is
// not named counts last.
type Wishes struct {
	Parts []string `json:"parts"`
	Aims  []Aim    `json:"aims"`
}

// Proposal is one arrangement, with what speaks for it.
type Proposal struct {
	Job      fitout.Job     `json:"job" doc:"with the arrangement as a further variant, not saved"`
	Sentence string         `json:"sentence"`
	Score    float64        `json:"score"`
	Bound    float64        `json:"bound" doc:"no arrangement of the same places is better than this"`
	Proven   bool           `json:"proven" doc:"no arrangement of the same places is better"`
	Figures  VariantFigures `json:"figures"`
}

// Proposals are the arrangements found, or why there are none.
type Proposals struct {
	Found      []Proposal `json:"found"`
	Impossible string     `json:"impossible" doc:"which demand makes it impossible; empty when something fits"`
}

// proposals wanted, and in how many places they differ.
const (
	wanted = 3
	apart  = 2
)

// alike is how near two places count as the same, mm.
const alike = 120

// nodesEach is how much of the search each proposal may take.
const nodesEach = 30000

// Propose finds arrangements of the chosen variant's parts in its bays: fixed
// parts stay, every hard rule holds in every stance. progress is told the share
// that is done; it ends early with the context.
func Propose(ctx context.Context, j *fitout.Job, wishes Wishes, progress func(share float64)) Proposals {
	s := newSubject(j)
	d := newDraft(s, wishes)
	progress(0.05)
	if reason := d.impossibleAlone(); reason != "" {
		return Proposals{Found: []Proposal{}, Impossible: reason}
	}
	seeds := d.pack(ctx, progress)
	result := Proposals{Found: []Proposal{}}
	if ctx.Err() != nil {
		return result
	}
	if len(seeds) == 0 {
		result.Impossible = d.whyNot(ctx)
		return result
	}
	search := propose.NewSearch(d.problem())
	search.Seeds = seeds
	var earlier [][]int
	if d.asIs != nil {
		earlier = append(earlier, d.asIs)
	}
	for tries := 0; len(result.Found) < wanted && tries < 4*wanted && ctx.Err() == nil; tries++ {
		best, found := search.Best(ctx, nodesEach, earlier, min(apart, len(d.parts)))
		if !found {
			break
		}
		earlier = append(earlier, best.Choice)
		proposal, clash := d.build(best)
		if clash {
			continue // what only the whole job shows; the next differs from it
		}
		result.Found = append(result.Found, proposal)
		progress(packShare + (1-packShare)*float64(len(result.Found))/wanted)
	}
	slices.SortStableFunc(result.Found, func(a, b Proposal) int { return cmp.Compare(b.Score, a.Score) })
	for n := range result.Found {
		result.Found[n].Job.ChosenVariant().Name = fmt.Sprintf("%s, proposal %d", d.variant.Name, n+1)
	}
	if len(result.Found) == 0 && ctx.Err() == nil {
		result.Impossible = fmt.Sprintf("It fits as it stands; nothing else was found that differs in %d places and keeps every hard rule.", apart)
	}
	return result
}

// draft is a job being arranged.
type draft struct {
	*subject
	before map[string]bool // what stops the arrangement as it stands
	parts  []*fit.Part     // to be placed
	stays  []*fit.Part
	places [][]place
	asIs   []int // the choice that is the arrangement as it stands; nil where that breaks a rule
	aims   map[Aim]float64
	open   map[string]map[string]bool // pairs of parts that are open together in a stance
}

// place is one place of one part.
type place struct {
	bay    *fit.Bay
	item   fitout.Item // as it stands there
	part   fit.Part
	swept  []fitout.Box
	open   []fitout.Box
	out    fitout.Box // from the part to the opening of its bay
	onTop  bool       // not on the floor: something must be under it
	asIs   bool       // where the part stands now
	option propose.Option
}

// aimWeights are what the aims count by their rank.
var aimWeights = [...]float64{1, 0.6, 0.36, 0.22, 0.13, 0.08}

func newDraft(s *subject, wishes Wishes) *draft {
	d := &draft{subject: s, before: stops(s), aims: map[Aim]float64{}, open: map[string]map[string]bool{}}
	ranked := slices.Clone(wishes.Aims)
	for _, aim := range Aims {
		if !slices.Contains(ranked, aim) {
			ranked = append(ranked, aim)
		}
	}
	for rank, aim := range ranked {
		if rank < len(aimWeights) {
			d.aims[aim] = aimWeights[rank]
		}
	}
	for i := range s.scene.Parts {
		p := &s.scene.Parts[i]
		named := len(wishes.Parts) == 0 || slices.Contains(wishes.Parts, p.ID)
		if bay := s.bench.bay(p.Bay); named && !p.Fixed && bay != nil && movable(bay) {
			d.parts = append(d.parts, p)
		} else {
			d.stays = append(d.stays, p)
		}
	}
	for _, stance := range s.variant.Stances {
		for _, a := range stance.Open {
			for _, b := range stance.Open {
				if d.open[a.Module] == nil {
					d.open[a.Module] = map[string]bool{}
				}
				d.open[a.Module][b.Module] = true
			}
		}
	}
	return d
}

// movable tells whether parts may be arranged in a bay: one with walls, a ceiling
// and a floor, for load.
func movable(b *fit.Bay) bool {
	switch b.Kind {
	case fitout.BayWagonCargo, fitout.BayTub, fitout.BayCanopyLeft, fitout.BayCanopyRight, fitout.BayCanopyRear, fitout.BayLivingBox, fitout.BayHeadboard:
		size := b.Room.Size()
		return !b.Open && size.Length > 0 && size.Width > 0
	}
	return false
}

// turned is a part as it can stand in a bay: what moves faces the opening, what
// does not stands as it is or a quarter turned.
func turned(item *fitout.Item, bay *fit.Bay) []fitout.Item {
	plain := *item
	m := *item.Module
	plain.Module, plain.Bay, plain.In = &m, bay.ID, nil
	quarter := plain
	n := m
	quarter.Module = &n
	quarter.Size.Length, quarter.Size.Width = plain.Size.Width, plain.Size.Length
	if m.Faces == fitout.FaceNone || m.Faces == fitout.FaceTop || m.Faces == "" || !bay.Opening.Known {
		return []fitout.Item{plain, quarter}
	}
	side := func(f fitout.Face) bool { return f == fitout.FaceLeft || f == fitout.FaceRight }
	if side(m.Faces) != side(bay.Opening.Face) {
		quarter.Module.Faces = bay.Opening.Face
		return []fitout.Item{quarter}
	}
	plain.Module.Faces = bay.Opening.Face
	return []fitout.Item{plain}
}

// floor is where a part stands in a bay: on the floor, or so that what slides out
// clears the lip.
func (d *draft) floor(p *fit.Part, bay *fit.Bay) float64 {
	z := bay.Room.From.Z
	if bay.Opening.Known && bay.Opening.Face != fitout.FaceTop && (p.Motion == fit.Slides || p.Motion == fit.Drawers) {
		panel := 0.0
		if p.Motion == fit.Drawers {
			panel = p.Module().Panel
		}
		z = max(z, bay.Opening.Gap.From.Z-panel)
	}
	return z
}

// try puts a part to a place and holds it against the hard rules that it breaks
// or keeps by itself. Where it stands now it may open otherwise than through the
// opening: something may carry it out first.
func (d *draft) try(item fitout.Item, bay *fit.Bay, now bool) (place, bool) {
	pl := place{bay: bay, item: item}
	box := item.Box()
	if _, side := fit.Outside(box, bay); side != "" {
		return pl, false
	}
	inTheWay := func(o fitout.Box) bool { return overlaps(box, o) }
	if slices.ContainsFunc(bay.Obstacles, inTheWay) || slices.ContainsFunc(d.stays, func(q *fit.Part) bool { return inTheWay(q.Box) }) {
		return pl, false
	}
	pl.part = d.fitPart(&pl.item)
	for _, leaf := range pl.part.Leaves {
		if !now && (pl.part.Motion == fit.Slides || pl.part.Motion == fit.Drawers) {
			// What slides must get out, clear of the frame and the lip.
			if !bay.Opening.Known || !bay.Through(leaf.Open) {
				return pl, false
			}
			if mm, _ := bay.Frame(leaf.Closed); mm > 0.5 {
				return pl, false
			}
		}
		pl.swept, pl.open = append(pl.swept, leaf.Swept), append(pl.open, leaf.Open)
	}
	for _, q := range d.stays {
		if now {
			break
		}
		if d.sweeps(&pl, q.Box) {
			return pl, false
		}
		for _, leaf := range q.Leaves {
			if overlaps(leaf.Swept, box) {
				return pl, false
			}
		}
	}
	pl.out = bay.Path(box)
	pl.option = d.worth(&pl)
	return pl, true
}

func overlaps(a, b fitout.Box) bool {
	by := a.Overlap(b)
	return min(by.X, by.Y, by.Z) > 0.5
}

// sweeps tells whether what moves of a part passes through a box.
func (d *draft) sweeps(pl *place, box fitout.Box) bool {
	return slices.ContainsFunc(pl.swept, func(b fitout.Box) bool { return overlaps(b, box) })
}

// worth is what a place is worth by itself, by the aims: a kg off the rear axle,
// 3 kg·m lower, 100 mm nearer to the opening or within reach, 5 L of drawer count
// 1 each before they are weighted.
func (d *draft) worth(pl *place) propose.Option {
	p := d.scenePart(pl.item.ID)
	at := pl.part.Box.Middle()
	kg := p.Kg()
	value := -d.aims[AimRear] * kg * at.X / d.plan.Wheelbase
	value -= d.aims[AimLow] * kg * at.Z / 1000 / 3
	if d.daily(pl.item.ID) {
		value -= d.aims[AimAccess] * max(0, pl.bay.Behind(pl.part.Box)) / 100
		value -= d.aims[AimAccess] * max(0, at.Z-1300) / 100
	}
	if module.Of(pl.item.Module.Kind).Shape != module.Bought {
		for _, c := range module.Cells(&pl.item) {
			value += d.aims[AimRoom] * c.Inside.Litres() / 5
		}
	}
	return propose.Option{Value: value, Side: kg * at.Y}
}

func (d *draft) scenePart(id string) *fit.Part {
	for i := range d.scene.Parts {
		if d.scene.Parts[i].ID == id {
			return &d.scene.Parts[i]
		}
	}
	return nil
}

// daily tells whether a part, or something in it, is used daily.
func (d *draft) daily(id string) bool {
	used := func(id string) bool {
		for i := range d.job.Brief.Gear {
			if g := &d.job.Brief.Gear[i]; g.ID == id && (g.Used == fitout.UsedDaily || g.Used == fitout.UsedOften) {
				return true
			}
		}
		return false
	}
	if used(id) {
		return true
	}
	return slices.ContainsFunc(d.scene.Things, func(t fit.Thing) bool { return t.Part == id && used(t.Item.ID) })
}

// stepCost is what one part before another that is used daily costs, before it is
// weighted.
const stepCost = 8

func (d *draft) problem() *propose.Problem {
	p := &propose.Problem{SideWeight: d.aims[AimSides] / 1000 / 3}
	for i := range d.places {
		options := make([]propose.Option, len(d.places[i]))
		for a := range d.places[i] {
			options[a] = d.places[i][a].option
		}
		p.Options = append(p.Options, options)
	}
	for _, q := range d.stays {
		p.Base += q.Kg() * q.Box.Middle().Y
	}
	p.Excludes = func(i, a, k, b int) bool { return d.excludes(&d.places[i][a], &d.places[k][b]) }
	// A few centimetres make no other arrangement.
	p.Alike = func(i, a, b int) bool {
		x, y := &d.places[i][a], &d.places[i][b]
		s, t := x.item.At, y.item.At
		return x.bay == y.bay && math.Abs(s.X-t.X) < alike && math.Abs(s.Y-t.Y) < alike && math.Abs(s.Z-t.Z) < alike
	}
	daily := make([]bool, len(d.parts))
	for i := range d.parts {
		daily[i] = d.daily(d.parts[i].ID)
	}
	p.Pair = func(i, a, k, b int) float64 {
		x, y := &d.places[i][a], &d.places[k][b]
		cost := 0.0
		if daily[i] && overlaps(x.out, y.part.Box) {
			cost -= stepCost
		}
		if daily[k] && overlaps(y.out, x.part.Box) {
			cost -= stepCost
		}
		return cost * d.aims[AimSteps]
	}
	return p
}

// excludes tells whether two places cannot both be taken: in one place, one in
// the way of what the other opens, or both open in one place in a stance.
func (d *draft) excludes(x, y *place) bool {
	if x.asIs && y.asIs {
		return false // as they stand now, with nothing against it
	}
	if overlaps(x.part.Box, y.part.Box) || d.sweeps(x, y.part.Box) || d.sweeps(y, x.part.Box) {
		return true
	}
	// What slides wants its clearance beside it.
	if x.bay == y.bay && (x.part.Motion == fit.Slides || y.part.Motion == fit.Slides) {
		wide := x.part.Box
		c := d.job.Practice.Clearance - 0.5
		wide.From.X, wide.From.Y, wide.To.X, wide.To.Y = wide.From.X-c, wide.From.Y-c, wide.To.X+c, wide.To.Y+c
		if overlaps(wide, y.part.Box) {
			return true
		}
	}
	if !d.open[x.item.ID][y.item.ID] {
		return false
	}
	for _, a := range x.open {
		for _, b := range y.open {
			if overlaps(a, b) {
				return true
			}
		}
	}
	return false
}

// build makes a solution into a variant and holds it against every rule in every
// stance; clash tells that one stops it which did not stop the arrangement before.
func (d *draft) build(r propose.Result) (Proposal, bool) {
	job, err := Branch(d.given, d.variant.ID, "")
	if err != nil {
		return Proposal{}, true
	}
	v := job.ChosenVariant()
	v.Items = slices.Clone(v.Items)
	for i, a := range r.Choice {
		pl := &d.places[i][a]
		if pl.onTop && !d.carried(pl.part.Box, d.others(r.Choice, i)) {
			return Proposal{}, true
		}
		for k := range v.Items {
			if v.Items[k].ID == pl.item.ID {
				at := pl.item.At
				if e := job.Vehicle.Extension; e != nil && pl.item.Behind {
					at.X -= e.By
				}
				v.Items[k].At, v.Items[k].Size, v.Items[k].Bay, v.Items[k].In = at, pl.item.Size, pl.bay.ID, nil
				m := *v.Items[k].Module
				m.Faces = pl.item.Module.Faces
				v.Items[k].Module = &m
			}
		}
	}
	s := newSubject(&job)
	for key := range stops(s) {
		_, id, _ := strings.Cut(key, " ")
		if !d.before[key] || slices.ContainsFunc(d.parts, func(p *fit.Part) bool { return p.ID == id }) {
			return Proposal{}, true
		}
	}
	figures := variantFigures(s, d.subject, Of(&job).Findings)
	return Proposal{Job: job, Sentence: d.explain(s, &figures), Score: r.Score, Bound: r.Bound, Proven: r.Exact, Figures: figures}, false
}

// others are the places that the other parts take in a choice.
func (d *draft) others(choice []int, but int) []*place {
	var all []*place
	for k, a := range choice {
		if k != but {
			all = append(all, &d.places[k][a])
		}
	}
	return all
}

// stops are the rules of fit that stop a job, each with its subject.
func stops(s *subject) map[string]bool {
	all := map[string]bool{}
	for _, f := range s.scene.Check() {
		if f.Severity == fitout.Stop {
			all[f.Rule+" "+f.Subject.ID] = true
		}
	}
	return all
}

// explain says in a sentence what a proposal does against what there was.
func (d *draft) explain(s *subject, f *VariantFigures) string {
	var parts []string
	rear := s.plan.Axles().Rear - d.plan.Axles().Rear
	switch {
	case rear < -0.5:
		parts = append(parts, fmt.Sprintf("takes %s off the rear axle", d.say.mass(-rear)))
	case rear > 0.5:
		parts = append(parts, fmt.Sprintf("puts %s more on the rear axle", d.say.mass(rear)))
	}
	if dz := s.now.Centre().Z - d.now.Centre().Z; math.Abs(dz) >= 1 {
		word := "lower"
		if dz > 0 {
			word = "higher"
		}
		parts = append(parts, fmt.Sprintf("brings the centre of gravity %s %s", d.say.length(math.Abs(dz)), word))
	}
	mine := variantFigures(d.subject, d.subject, nil)
	if was, is := math.Abs(mine.Sides), math.Abs(f.Sides); math.Abs(was-is) >= 1 {
		parts = append(parts, fmt.Sprintf("has the sides differ by %s instead of %s", d.say.mass(is), d.say.mass(was)))
	}
	if by := f.Steps - mine.Steps; by != 0 {
		word := "fewer"
		if by > 0 {
			word = "more"
		}
		parts = append(parts, fmt.Sprintf("takes %d %s steps to what is used daily", int(math.Abs(float64(by))), word))
	}
	var moved []string
	for _, diff := range f.Differs {
		if diff.Kind == "moved" || diff.Kind == "changed" {
			moved = append(moved, lower(s.nameOf(diff.ID)))
		}
	}
	if len(parts) == 0 {
		parts = append(parts, "is as good as what there was")
	}
	sentence := capital(joined(parts)) + "."
	if len(moved) > 0 {
		more := ""
		if len(moved) > 4 {
			more = fmt.Sprintf(" and %d more", len(moved)-4)
			moved = moved[:4]
		}
		sentence += fmt.Sprintf(" It places %s%s anew.", strings.Join(moved, ", "), more)
	}
	return sentence
}

// joined joins phrases in their order.
func joined(phrases []string) string {
	if len(phrases) < 2 {
		return strings.Join(phrases, "")
	}
	return strings.Join(phrases[:len(phrases)-1], ", ") + " and " + phrases[len(phrases)-1]
}

// Known tells whether there is such an aim.
func (a Aim) Known() bool { return slices.Contains(Aims[:], a) }
