package demo

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/example"
)

// told are the findings of a job by what they name.
func told(j *fitout.Job) map[string]string {
	all := map[string]string{}
	for _, f := range assess.Of(j).Findings {
		all[f.Key+" in "+f.Stance] = f.Rule
	}
	return all
}

// first is the first thing of the chosen variant that something is true of.
func first(j *fitout.Job, is func(i *fitout.Item) bool) *fitout.Item {
	v := j.ChosenVariant()
	if k := slices.IndexFunc(v.Items, func(i fitout.Item) bool { return is(&i) }); k >= 0 {
		return &v.Items[k]
	}
	return nil
}

func remove(j *fitout.Job, is func(i *fitout.Item) bool) bool {
	v := j.ChosenVariant()
	before := len(v.Items)
	v.Items = slices.DeleteFunc(v.Items, func(i fitout.Item) bool { return is(&i) })
	return len(v.Items) < before
}

func person(i *fitout.Item) bool { return i.Form == fitout.FormPerson }

func kind(kinds ...fitout.ModuleKind) func(i *fitout.Item) bool {
	return func(i *fitout.Item) bool {
		return i.Module != nil && i.In == nil && slices.Contains(kinds, i.Module.Kind)
	}
}

// slip is one mistake that somebody makes: false where the job has nothing to make it with.
type slip struct {
	name  string
	rules []string // of which one has to tell it
	make  func(j *fitout.Job) bool
}

var slips = []slip{
	{"nobody is put aboard", []string{"traveller-not-aboard"}, func(j *fitout.Job) bool { return remove(j, person) }},
	{"somebody rides without a seat", []string{"no-seat"}, func(j *fitout.Job) bool {
		i := first(j, person)
		i.Seat, i.At = "", fitout.Point{X: 2500, Z: 900}
		return true
	}},
	{"two on one seat", []string{"seat-shared"}, func(j *fitout.Job) bool {
		one := first(j, person)
		two := first(j, func(i *fitout.Item) bool { return person(i) && i.ID != one.ID })
		if two == nil {
			return false
		}
		two.Seat, two.Presence = one.Seat, fitout.Presence{Kind: fitout.Always}
		one.Presence = two.Presence
		return true
	}},
	{"used water is to be caught", []string{"waste-nowhere"}, func(j *fitout.Job) bool {
		j.Brief.Camp.WasteWater = fitout.WasteCaught
		return !slices.ContainsFunc(j.ChosenVariant().Items, func(i fitout.Item) bool { return kind(fitout.WasteTank)(&i) })
	}},
	{"the toilet is forgotten", []string{"toilet-nowhere"}, func(j *fitout.Job) bool {
		j.Brief.Camp.Toilet = fitout.ToiletBuiltIn
		remove(j, kind(fitout.ToiletModule))
		return true
	}},
	{"the trailer is forgotten", []string{"trailer-nowhere"}, func(j *fitout.Job) bool {
		j.Trailer, j.Brief.Trip.Tows, j.Brief.Trip.TrailerMass = nil, fitout.TowsAlways, 1500
		for k := range j.Variants { // nothing rides on it either
			for i := range j.Variants[k].Items {
				j.Variants[k].Items[i].OnTrailer = false
			}
		}
		return true
	}},
	{"a kept seat is built over", []string{"seat-built-over"}, func(j *fitout.Job) bool {
		unit := first(j, kind(fitout.Drawers, fitout.Locker, fitout.FridgeSlide))
		seat := j.Vehicle.Seats[len(j.Vehicle.Seats)-1]
		j.Brief.Daily.Seats = []fitout.SeatKept{{Seat: seat.ID}}
		unit.At = seat.At
		return true
	}},
	{"the heaviest part is not fixed", []string{"restraint"}, func(j *fitout.Job) bool {
		var most *fitout.Item
		for i := range j.ChosenVariant().Items {
			if own := &j.ChosenVariant().Items[i]; own.Module != nil && len(own.Module.Fixings) > 0 &&
				own.Presence.Kind == fitout.Always && (most == nil || own.Mass > most.Mass) {
				most = own
			}
		}
		most.Module.Fixings = nil
		return true
	}},
	{"a drawer without a latch", []string{"latch-missing"}, func(j *fitout.Job) bool {
		i := first(j, func(i *fitout.Item) bool {
			return i.Module != nil && i.In == nil && i.Module.Latch == fitout.RatedLatch
		})
		i.Module.Latch, i.Module.Lock = "", ""
		return true
	}},
	{"one part stands in another", []string{"parts-clash"}, func(j *fitout.Job) bool {
		solid := func(i *fitout.Item) bool {
			return i.Module != nil && i.In == nil && i.Bay != "" && module.Of(i.Module.Kind).Holds
		}
		one := first(j, solid)
		two := first(j, func(i *fitout.Item) bool { return solid(i) && i.ID != one.ID && i.Bay == one.Bay })
		if two == nil {
			return false
		}
		two.At = one.At
		return true
	}},
	{"a part stands out of its space", []string{"outside-bay", "hatch-lean"}, func(j *fitout.Job) bool {
		i := first(j, func(i *fitout.Item) bool {
			return i.Module != nil && i.In == nil && i.Bay != "" && i.Module.Kind == fitout.Drawers
		})
		if i == nil {
			i = first(j, kind(fitout.Locker))
		}
		i.At.Z -= 300
		return true
	}},
	{"gas where people are", []string{"fuel-inside"}, func(j *fitout.Job) bool {
		i := first(j, func(i *fitout.Item) bool {
			k := slices.IndexFunc(j.Vehicle.Bays, func(b fitout.Bay) bool { return b.ID == i.Bay })
			return i.Module != nil && i.In == nil && k >= 0 && j.Vehicle.Bays[k].Shared && i.Substance == ""
		})
		if i == nil {
			return false
		}
		i.Substance = fitout.SubstanceGas
		return true
	}},
	{"a bottle of which nobody says what is in it", []string{"substance-unsaid"}, func(j *fitout.Job) bool {
		i := first(j, func(i *fitout.Item) bool { return i.Module != nil && i.Substance == "" })
		i.Name = "Propane"
		return true
	}},
	{"mounts of which nobody knows what they bear", []string{"rating-unsaid"}, func(j *fitout.Job) bool {
		for k := range j.Vehicle.Mounts {
			j.Vehicle.Mounts[k].Rating = 0
		}
		return len(j.Vehicle.Mounts) > 0
	}},
	{"what stands upright lies", []string{"needs-upright"}, func(j *fitout.Job) bool {
		for k := range j.Brief.Gear {
			g := &j.Brief.Gear[k]
			i := first(j, func(i *fitout.Item) bool { return i.ID == g.ID })
			if i != nil && g.Size.Height > 0 && g.Size.Length > 0 {
				g.Upright = true
				g.Size = fitout.Size{Length: i.Size.Height, Width: i.Size.Width, Height: i.Size.Length + 200}
				return true
			}
		}
		return false
	}},
	{"a tank without a breather", []string{"no-breather"}, func(j *fitout.Job) bool {
		for k := range j.ChosenVariant().Plumbing.Vessels {
			if v := &j.ChosenVariant().Plumbing.Vessels[k]; v.Breather == fitout.IsSo {
				v.Breather = fitout.IsNotSo
				return true
			}
		}
		return false
	}},
	{"the driver is as heavy as two", []string{"traveller-differs"}, func(j *fitout.Job) bool {
		first(j, func(i *fitout.Item) bool {
			return slices.ContainsFunc(j.Brief.Travellers, func(t fitout.Traveller) bool { return t.ID == i.ID })
		}).Mass += 80
		return true
	}},
}

// Each of the mistakes, made in each demo job that can make it, is told; and one that is undone is not.
func TestSlipsInTheDemoJobsAreTold(t *testing.T) {
	jobs, err := Jobs()
	require.NoError(t, err)
	for _, s := range slips {
		t.Run(s.name, func(t *testing.T) {
			made := 0
			for k := range jobs {
				before := told(&jobs[k])
				j := example.Copy(&jobs[k])
				if !s.make(&j) {
					continue
				}
				require.NoError(t, fitout.Validate(&j), jobs[k].ID)
				made++
				seen := false
				for key, rule := range told(&j) {
					seen = seen || before[key] == "" && slices.Contains(s.rules, rule)
				}
				assert.True(t, seen, "%s: none of %v", jobs[k].ID, s.rules)
				assert.Equal(t, before, told(&jobs[k]), "the job itself was not touched")
			}
			assert.Positive(t, made, "no demo job can make it")
		})
	}
}
