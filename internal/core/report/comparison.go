package report

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/assess"
	"zaino/internal/core/build"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/scene"
	"zaino/internal/core/trip"
	"zaino/internal/core/words"
)

// VariantFigures is one variant as it is compared with its fellows.
type VariantFigures struct {
	ID       string           `json:"id"`
	Pads     []limits.Pad     `json:"pads"`
	Height   float64          `json:"height" doc:"of the top of everything, mm"`
	Litres   float64          `json:"litres" doc:"room in drawers and boxes"`
	Bed      fitout.Size      `json:"bed" doc:"of its platforms together, mm; 0 without"`
	Highest  float64          `json:"highest" doc:"underside of the highest thing that is used daily, mm above ground; 0 for none"`
	Steps    int              `json:"steps" doc:"to everything that is used daily, together"`
	Sides    float64          `json:"sides" doc:"right less left, kg"`
	Centre   float64          `json:"centre" doc:"height of the centre of gravity, mm"`
	Fitout   float64          `json:"fitout" doc:"mass of the modules without contents, kg"`
	Price    float64          `json:"price" doc:"price level of material and hardware in points: panels by their area, runners by their length, bought parts by their mass"`
	Nights   float64          `json:"nights" doc:"that its house battery lasts without sun, driven as planned; −1: no end; −2: no battery"`
	Weakest  string           `json:"weakest" doc:"of its batteries, and when; empty for none"`
	Bought   int              `json:"bought" doc:"price of what has one, cents"`
	Fuel     float64          `json:"fuel" doc:"that the trip takes, litres; 0 where nobody entered its way"`
	OnTheWay float64          `json:"onTheWay" doc:"greatest load over its limit on the way, 0 to 1 and more; 0 where nobody entered it"`
	Sheets   int              `json:"sheets" doc:"that are cut, at least"`
	Hours    float64          `json:"hours" doc:"of work"`
	Cost     int              `json:"cost" doc:"of the build with tax, at least, in cents; 0: nothing is priced"`
	Stops    int              `json:"stops" doc:"findings that stop it"`
	Cautions int              `json:"cautions"`
	Notes    int              `json:"notes"`
	Findings []fitout.Finding `json:"findings" doc:"stops and cautions"`
	Parts    []VariantPart    `json:"parts"`
	Differs  []Difference     `json:"differs" doc:"from the first of those compared"`
}

// VariantPart is one module of a variant, for its picture.
type VariantPart struct {
	ID     string     `json:"id"`
	Name   string     `json:"name"`
	Box    fitout.Box `json:"box"`
	Change string     `json:"change" enum:",new,moved,changed" doc:"against the first of those compared"`
}

// Difference is what one variant has otherwise than another.
type Difference struct {
	ID   string `json:"id" doc:"of the item"`
	Kind string `json:"kind" enum:"new,gone,moved,changed"`
	Text string `json:"text"`
}

// Compare assesses the named variants of a job, or all of them, side by side.
func Compare(j *fitout.Job, ids []string) []VariantFigures {
	all := []VariantFigures{}
	var first *plan.Plan
	for i := range j.Variants {
		if len(ids) > 0 && !slices.Contains(ids, j.Variants[i].ID) {
			continue
		}
		shown := *j
		shown.Chosen = j.Variants[i].ID
		s := plan.Of(&shown)
		if first == nil {
			first = s
		}
		all = append(all, VariantOf(s, first, assess.Findings(s)))
	}
	return all
}

// VariantOf is a plan as it is compared with the first of its fellows, with what was
// found of it.
func VariantOf(s, first *plan.Plan, findings []fitout.Finding) VariantFigures {
	f := VariantFigures{ID: s.Variant.ID, Height: s.Highest(), Sides: 0, Centre: s.Now.Centre().Z,
		Findings: []fitout.Finding{}, Parts: []VariantPart{}, Differs: differences(s, first)}
	corners := s.Now.Corners(s.Load.Wheelbase, s.Load.TrackFront, s.Load.TrackRear)
	f.Sides = corners.FrontRight + corners.RearRight - corners.FrontLeft - corners.RearLeft
	table, on := limits.Of(s), scene.Of(s)
	f.Pads = table.PadsIn(table.Shown())
	f.Nights, f.Weakest = power.Endurance(s)
	f.Fuel, f.OnTheWay = trip.InAll(s)
	made := build.InAll(s)
	f.Sheets, f.Hours, f.Cost = made.Sheets, made.Hours, made.Total
	for i := range s.Items {
		f.Bought += s.Items[i].Price
	}
	changes := map[string]string{}
	for _, d := range f.Differs {
		changes[d.ID] = d.Kind
	}
	var bed fitout.Box
	for i := range on.Parts {
		p := &on.Parts[i]
		f.Fitout += p.Item.Mass
		f.Price += price(p.Item)
		f.Parts = append(f.Parts, VariantPart{p.ID, p.Name(), p.Box, changes[p.ID]})
		if module.Of(p.Module().Kind).Shape != module.Bought {
			for _, c := range p.Cells {
				f.Litres += c.Inside.Litres()
			}
		}
		if p.Traits().Bed {
			if bed == (fitout.Box{}) {
				bed = p.Box
			}
			bed = bed.Around(p.Box)
		}
	}
	f.Bed = bed.Size()
	for _, g := range on.Gets() {
		f.Steps += len(g.Steps)
		for i := range s.Items {
			if s.Items[i].ID == g.ID {
				f.Highest = max(f.Highest, s.Items[i].Box().From.Z)
			}
		}
	}
	for _, finding := range findings {
		switch {
		case finding.Accepted != "":
		case finding.Severity == fitout.Stop:
			f.Stops++
			f.Findings = append(f.Findings, finding)
		case finding.Severity == fitout.Caution:
			f.Cautions++
			f.Findings = append(f.Findings, finding)
		default:
			f.Notes++
		}
	}
	return f
}

// Price levels of materials and runners from 1, cheap, to 4, as the judgement
// calls have them, and points for each kg of what is bought whole. Practice
// figures for comparing, not a quote.
var (
	wallPrice = map[fitout.Material]float64{fitout.Plywood: 1, fitout.Extrusion: 3, fitout.Aluminium: 4,
		fitout.FoamCore: 4}
	runnerPrice = map[fitout.Runner]float64{fitout.BallRunner: 4, fitout.StripRunner: 1, fitout.RollerRunner: 2}
)

const boughtPrice = 0.5

// price is the price level of a module in points: 5 for each square metre of
// panel and 3 for each metre of runner, times its level; what is bought goes by
// its mass.
func price(item *fitout.Item) float64 {
	m := item.Module
	level := wallPrice[m.Wall]
	if level == 0 {
		return boughtPrice * item.Mass
	}
	area, length := module.Material(item)
	return 5*level*area + 3*runnerPrice[m.Runner]*length
}

// differences are what a variant has otherwise than the first.
func differences(s, first *plan.Plan) []Difference {
	found := []Difference{}
	before := map[string]*fitout.Item{}
	for i := range first.Items {
		before[first.Items[i].ID] = &first.Items[i]
	}
	for i := range s.Items {
		now := &s.Items[i]
		old := before[now.ID]
		delete(before, now.ID)
		if old == nil {
			found = append(found, Difference{now.ID, "new", now.Name + " is new"})
			continue
		}
		a, b := old.Box().Middle(), now.Box().Middle()
		switch {
		case old.Name != now.Name || old.Size != now.Size || !sameModule(old, now):
			text := fmt.Sprintf("%s instead of %s", now.Name, words.Lower(old.Name))
			if old.Name == now.Name {
				text = now.Name + " is built otherwise"
			}
			found = append(found, Difference{now.ID, "changed", text})
		case now.In == nil && max(math.Abs(b.X-a.X), math.Abs(b.Y-a.Y), math.Abs(b.Z-a.Z)) > 1:
			found = append(found, Difference{now.ID, "moved", fmt.Sprintf("%s stands %s", now.Name, way(s, a, b))})
		}
	}
	for i := range first.Items {
		if gone := before[first.Items[i].ID]; gone != nil {
			found = append(found, Difference{gone.ID, "gone", gone.Name + " is left out"})
		}
	}
	order := map[string]int{"new": 0, "gone": 1, "changed": 2, "moved": 3}
	slices.SortStableFunc(found, func(a, b Difference) int { return cmp.Compare(order[a.Kind], order[b.Kind]) })
	return found
}

func sameModule(a, b *fitout.Item) bool {
	if a.Module == nil || b.Module == nil {
		return a.Module == b.Module
	}
	x, y := a.Module, b.Module
	return x.Kind == y.Kind && x.Wall == y.Wall && x.Runner == y.Runner && x.Faces == y.Faces && x.Panel == y.Panel &&
		x.Lining == y.Lining && x.Lock == y.Lock && x.Travel == y.Travel && x.Drop == y.Drop
}

// way tells the way from one place to another.
func way(s *plan.Plan, a, b fitout.Point) string {
	told := ""
	for _, d := range []struct {
		mm         float64
		more, less string
	}{{b.X - a.X, "further back", "further forward"}, {b.Y - a.Y, "to the right", "to the left"}, {b.Z - a.Z, "higher", "lower"}} {
		if math.Abs(d.mm) <= 1 {
			continue
		}
		word := d.more
		if d.mm < 0 {
			word = d.less
		}
		if told != "" {
			told += ", "
		}
		told += s.Say.Length(math.Abs(d.mm)) + " " + word
	}
	return told
}
