package module

import (
	"cmp"
	"slices"

	"zaino/internal/core/fitout"
)

// Placed returns items with what follows from their modules put in: what is
// built and not weighed has the mass of its construction, and what lies in
// compartments is laid into them, what is handled least deepest. The places
// stay those of the boxes. Without modules the items are returned as they are;
// the given ones are never changed. handled ranks an item by how often it is
// taken out; nil ranks all alike. runners are the lengths in which
// they come.
func Placed(items []fitout.Item, handled func(id string) int, runners []fitout.RunnerLength) []fitout.Item {
	if !hasModules(items) {
		return items
	}
	placed := make([]fitout.Item, len(items))
	copy(placed, items)
	byID := make(map[string]*fitout.Item, len(placed))
	var scratch Anatomy
	for k := range placed {
		item := &placed[k]
		byID[item.ID] = item
		if kg, _, ok := massOf(&scratch, item, runners); ok {
			item.Mass = kg
		}
	}
	if handled == nil {
		handled = func(string) int { return 0 }
	}
	cells := map[fitout.InCell][]*fitout.Item{}
	for k := range placed {
		if in := placed[k].In; in != nil {
			cells[*in] = append(cells[*in], &placed[k])
		}
	}
	for _, things := range cells {
		slices.SortStableFunc(things, func(a, b *fitout.Item) int {
			return cmp.Or(cmp.Compare(handled(a.ID), handled(b.ID)), cmp.Compare(b.Size.Length*b.Size.Width,
				a.Size.Length*a.Size.Width))
		})
	}
	laid := map[string]bool{}
	for k := range placed {
		place(&placed[k], byID, cells, laid, 0)
	}
	return placed
}

// Weighed returns the job as the load engine needs it: its chosen items placed,
// each built one at the centre of its mass instead of the middle of its box.
func Weighed(j *fitout.Job, placed []fitout.Item) *fitout.Job {
	chosen := j.ChosenVariant()
	if !hasModules(chosen.Items) {
		return j
	}
	items := make([]fitout.Item, len(placed))
	copy(items, placed)
	var scratch Anatomy
	for k := range items {
		if _, centre, ok := massOf(&scratch, &items[k], j.Build.Runners); ok {
			items[k].At = centre
		}
	}
	weighed := *j
	weighed.Variants = make([]fitout.Variant, len(j.Variants))
	copy(weighed.Variants, j.Variants)
	for k := range weighed.Variants {
		if weighed.Variants[k].ID == chosen.ID {
			weighed.Variants[k].Items = items
		}
	}
	return &weighed
}

// massOf is the mass of the construction, where it counts: until it is weighed.
func massOf(made *Anatomy, item *fitout.Item, runners []fitout.RunnerLength) (kg float64, centre fitout.Point, ok bool) {
	if item.Module == nil || item.Source != fitout.ByMaterial {
		return 0, fitout.Point{}, false
	}
	return massIn(made, item, runners)
}

func hasModules(items []fitout.Item) bool {
	for k := range items {
		if items[k].Module != nil || items[k].In != nil {
			return true
		}
	}
	return false
}

// deepest is how many compartments may lie in each other; Validate refuses
// rings, this bounds the walk all the same.
const deepest = 8

// place lays an item and all that shares its compartment into it, after the
// module of that compartment has been put into its own.
func place(item *fitout.Item, byID map[string]*fitout.Item, cells map[fitout.InCell][]*fitout.Item,
	laid map[string]bool, depth int) {
	if item.In == nil || laid[item.ID] || depth > deepest {
		return
	}
	holder := byID[item.In.Module]
	if holder == nil || holder.Module == nil {
		return
	}
	place(holder, byID, cells, laid, depth+1)
	for _, c := range Cells(holder) {
		if c.ID == item.In.Cell {
			lay(cells[*item.In], holder, c, laid)
		}
	}
}

// lay puts all that lies in one compartment into it.
func lay(things []*fitout.Item, holder *fitout.Item, c Cell, laid map[string]bool) {
	sizes := make([]fitout.Size, len(things))
	for k, thing := range things {
		sizes[k] = thing.Size
	}
	for k, box := range Lie(c.Inside, sizes) {
		thing := things[k]
		laid[thing.ID] = true
		thing.At, thing.Size = box.Middle(), box.Size()
		thing.Bay, thing.Behind, thing.OnTrailer = holder.Bay, holder.Behind, holder.OnTrailer
		// It is where its module is, also when that stays at home or comes later.
		if thing.Presence.Kind == fitout.Always && holder.Presence.Kind != fitout.ByLevel {
			thing.Presence = holder.Presence
		}
		if !holder.Work.Now() {
			thing.Work = holder.Work
		}
	}
}
