// Package plan makes a job ready to be looked at, once: every item placed and
// weighed, every place as it stands with a wheelbase extension, the vehicle's masses
// put through the load engine. The engines take a Plan and nothing else; none knows
// another.
package plan

import (
	"reflect"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/module"
	"zaino/internal/core/words"
)

// Plan is a job made ready to be looked at. It changes nothing of the job, may be
// asked any number of times, and is not for several goroutines at once.
type Plan struct {
	Given   *fitout.Job // as the document keeps it
	Job     *fitout.Job // as it stands, with every item at its centre of mass
	Vehicle *fitout.Vehicle
	Variant *fitout.Variant
	Items   []fitout.Item // with their boxes where they stand; in Variant they are at their centre of mass
	Load    *load.Plan
	Now     load.Moments // of the state shown, without trailer
	Shown   load.State   // the state shown
	Say     words.Speaker

	kept map[reflect.Type]any
}

// Of makes a valid job ready.
func Of(j *fitout.Job) *Plan {
	placed := module.Placed(j.ChosenVariant().Items, Handled(&j.Brief), j.Build.Runners)
	masses := load.NewPlan(module.Weighed(j, placed))
	p := &Plan{
		Given: j, Job: masses.Job, Vehicle: &masses.Job.Vehicle, Variant: masses.Job.ChosenVariant(),
		Load: masses, Now: masses.Now(), Shown: masses.Shown(), Say: words.For(j), kept: map[reflect.Type]any{},
	}
	p.Items = make([]fitout.Item, len(placed))
	copy(p.Items, placed)
	for i := range p.Items {
		p.Items[i].At.X = j.Vehicle.Stands(placed[i].At.X, placed[i].Behind)
	}
	return p
}

// Once returns what was worked out of a plan before, or works it out and keeps it
// with the plan. There is one of each type.
func Once[T any](p *Plan, work func(*Plan) *T) *T {
	key := reflect.TypeFor[T]()
	if kept, ok := p.kept[key]; ok {
		return kept.(*T)
	}
	made := work(p)
	p.kept[key] = made
	return made
}

// Engine answers one question about a plan: in figures, and in what it finds.
type Engine[Figures any] struct {
	Figures func(*Plan) Figures
	Rules   []Rule
}

// Rule looks at a plan for one thing.
type Rule func(*Plan) []fitout.Finding

// Handled ranks things by how often the brief says that they are used: 0 seldom to
// 3 many times a day; what the brief does not know lies in between.
func Handled(b *fitout.Brief) func(id string) int {
	ranks := map[fitout.Used]int{
		fitout.UsedSeldom: 0, fitout.UsedWeekly: 1, fitout.UsedDaily: 2, fitout.UsedOften: 3, fitout.UsedEmergency: 3,
	}
	used := make(map[string]int, len(b.Gear))
	for i := range b.Gear {
		used[b.Gear[i].ID] = ranks[b.Gear[i].Used]
	}
	return func(id string) int {
		if rank, known := used[id]; known {
			return rank
		}
		return 1
	}
}

// Traveller tells whether an item is a person or an animal.
func Traveller(item *fitout.Item) bool {
	return item.Form == fitout.FormPerson || item.Form == fitout.FormAnimal
}

// Index is where an item stands in the variant, or −1.
func (p *Plan) Index(id string) int {
	for i := range p.Items {
		if p.Items[i].ID == id {
			return i
		}
	}
	return -1
}

// Name is what an item is called, or nothing for one that is not there.
func (p *Plan) Name(id string) string {
	if i := p.Index(id); i >= 0 {
		return p.Items[i].Name
	}
	return ""
}

// Bay returns a bay of the vehicle as it stands, or nil.
func (p *Plan) Bay(id string) *fitout.Bay {
	for i := range p.Vehicle.Bays {
		if p.Vehicle.Bays[i].ID == id {
			return &p.Vehicle.Bays[i]
		}
	}
	return nil
}

// LoadIn is what stands in a bay in the state shown, kg.
func (p *Plan) LoadIn(bay string) float64 {
	total := 0.0
	for i := range p.Variant.Items {
		if p.Variant.Items[i].Bay == bay && p.Load.Items[i].Present {
			total += p.Load.Items[i].Mass.Kg
		}
	}
	return total
}

// Highest is how high the vehicle and what is aboard stand on the road, unladen, mm.
func (p *Plan) Highest() float64 {
	top := p.Vehicle.Outline.Height
	for i := range p.Items {
		if item := &p.Items[i]; p.Load.Items[i].Road && item.Work.Now() && item.Seat == "" && !p.Load.Items[i].Trailer {
			top = max(top, item.At.Z+item.Size.Height/2)
		}
	}
	return top
}

// Stored is where the document keeps an item of the variant that stands at x, mm.
func (p *Plan) Stored(i int, x float64) float64 { return p.Given.Vehicle.Stored(x, p.Items[i].Behind) }
