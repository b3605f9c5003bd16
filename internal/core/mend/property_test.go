package mend_test

import (
	"context"
	"fmt"
	"math"
	"regexp"
	"slices"
	"strings"
	"testing"

	"pgregory.net/rapid"

	"zaino/internal/core/assess"
	"zaino/internal/core/brief"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/mend"
	"zaino/internal/core/offer"
	"zaino/internal/core/plan"
	"zaino/internal/core/quantity"
	"zaino/internal/example"
)

// touring draws a vehicle with a trailer, people, water, fuel, things on switches and
// choices, things that do not come along, and one of its limits passed by a little.
func touring(t *rapid.T) (fitout.Job, string) {
	j := example.Travelling()
	v := &j.Variants[0]
	v.Switches = []fitout.Switch{{ID: "raft", Name: "Raft", On: true}, {ID: "awning", Name: "Awning"}}
	v.Choices = []fitout.Choice{{ID: "seat", Name: "Seat or shelf", Chosen: "shelf",
		Members: []fitout.Member{{ID: "bench", Name: "Bench"}, {ID: "shelf", Name: "Shelf"}}}}
	number := func(what string, low, high float64) float64 { return rapid.Float64Range(low, high).Draw(t, what) }
	for i := range rapid.IntRange(1, 6).Draw(t, "things") {
		item := example.Add(&j, fmt.Sprintf("thing-%d", i), number("kg", 4, 120), number("x", 2000, 4300))
		item.At.Y = number("y", -600, 600)
		item.Presence = rapid.SampledFrom([]fitout.Presence{
			{Kind: fitout.Always}, {Kind: fitout.Always}, {Kind: fitout.BySwitch, Switch: "raft"},
			{Kind: fitout.BySwitch, Switch: "awning"}, {Kind: fitout.ByChoice, Choice: "seat", Member: "bench"},
			{Kind: fitout.ByChoice, Choice: "seat", Member: "shelf"},
		}).Draw(t, "presence")
		item.Work = rapid.SampledFrom([]fitout.Work{"", "", fitout.WorkLater, fitout.WorkOthers}).Draw(t, "work")
		item.OnTrailer = rapid.IntRange(0, 4).Draw(t, "on the trailer") == 0
		item.Locked = rapid.IntRange(0, 3).Draw(t, "locked") == 0
	}
	for i := range rapid.IntRange(0, 3).Draw(t, "vessels") {
		max := number("holds", 5, 60)
		example.Add(&j, fmt.Sprintf("water-%d", i), 3, number("x", 2000, 4300), func(item *fitout.Item) {
			item.Presence = fitout.Presence{Kind: fitout.ByLevel, Level: &fitout.Level{Max: max,
				Now: max * number("full", 0, 1), Density: 1}}
			item.Work = rapid.SampledFrom([]fitout.Work{"", "", "", fitout.WorkLater}).Draw(t, "work")
		})
	}
	example.Crew(&j)
	j.Brief.Trip.Nights, j.Brief.Trip.FuelDistance = number("nights", 0, 6), number("km", 0, 600)
	j.Trailer.Ball = number("ball", 60, 140)
	j.Trailer.Coupled = rapid.IntRange(0, 2).Draw(t, "coupled") > 0
	j.Vehicle.Limits.Gross.Kg, j.Vehicle.Limits.FrontAxle.Kg, j.Vehicle.Limits.RearAxle.Kg = 9000, 5000, 5000
	if rapid.Bool().Draw(t, "longer") {
		j.Vehicle.Extension = &fitout.Extension{By: 300, Cut: 2000, BehindCut: 600}
	}

	p := plan.Of(&j)
	axles := p.Load.Axles()
	id, over := rapid.SampledFrom([]string{"rear", "front", "gross", "placard", "roof", "combination", "trailer", "ball",
		"sides"}).Draw(t, "limit"), number("over", 1, rapid.SampledFrom([]float64{90, 400}).Draw(t, "much"))
	tight := func(limit *fitout.Limit, load float64) {
		*limit = fitout.Limit{Kg: math.Max(1, load), Source: fitout.FromPlate}
	}
	// Every other limit is near, so that many a change would pass it.
	room := number("room", 5, 60)
	tight(&j.Vehicle.Limits.RearAxle, axles.Rear+room)
	tight(&j.Vehicle.Limits.FrontAxle, axles.Front+room)
	tight(&j.Vehicle.Limits.Gross, axles.Gross()+room)
	table := limits.Of(plan.Of(&j))
	load := func(id string) float64 {
		if l := table.Get(id); l != nil {
			return l.Load(table.Shown())
		}
		return 0
	}
	for which, limit := range map[string]*fitout.Limit{"rear": &j.Vehicle.Limits.RearAxle,
		"front": &j.Vehicle.Limits.FrontAxle, "gross": &j.Vehicle.Limits.Gross, "placard": &j.Vehicle.Limits.Placard,
		"roof": &j.Vehicle.Limits.RoofMoving, "combination": &j.Vehicle.Limits.Combination,
		"trailer": &j.Vehicle.Limits.TrailerBraked, "ball": &j.Vehicle.Limits.Ball} {
		if at := load(which); which == id && at > over {
			tight(limit, at-over)
		} else if at > 0 {
			tight(limit, at+room)
		}
	}
	j.Practice.UpgradeShare, j.Practice.LongestCut = number("upgrade", 0, 0.1), rapid.SampledFrom([]float64{0, 900}).Draw(t, "cut")
	if id == "sides" {
		j.Practice.SideShare = 0.005
	}
	if err := fitout.Validate(&j); err != nil {
		t.Fatal(err)
	}
	return j, id
}

// No way to mend breaks another limit or another rule of the whole job, seats two on one
// seat, touches what is not aboard, or leaves out water or fuel that the brief needs
// without saying so first.
func TestNoWayToMendDoesHarm(t *testing.T) {
	ways := 0
	rapid.Check(t, func(t *rapid.T) {
		j, id := touring(t)
		if !coupledLimit(&j, id) {
			return
		}
		mends, err := mend.Limit(context.Background(), &j, example.Shop(), id, func(float64) {})
		if err != nil {
			t.Fatal(err)
		}
		was := assess.Of(&j)
		for _, m := range append(slices.Clone(mends.Found), mends.Vehicle...) {
			ways++
			fixed := appliedTo(t, &j, m)
			is := assess.Of(&fixed)
			nothingWorse(t, &j, &fixed, id, m)
			for _, f := range is.Findings {
				if f.Severity == fitout.Stop && !stopped(&was, f.Rule) {
					t.Fatalf("%s: %q brings %q", id, label(m), f.Title)
				}
			}
			seatedOnce(t, &fixed)
			for _, c := range m.Changes {
				aboard(t, &j, c)
			}
			saysWhatIsShort(t, &j, &fixed, m)
		}
	})
	if ways < 20 {
		t.Fatalf("only %d ways were looked at", ways)
	}
}

func coupledLimit(j *fitout.Job, id string) bool {
	return limits.Of(plan.Of(j)).Get(id) != nil
}

func label(m mend.Mend) string {
	var all []string
	for _, c := range m.Changes {
		all = append(all, c.Label)
	}
	return strings.Join(all, " + ")
}

func stopped(a *assess.Assessment, rule string) bool {
	return slices.ContainsFunc(a.Findings, func(f fitout.Finding) bool {
		return f.Rule == rule && f.Severity == fitout.Stop
	})
}

// nothingWorse holds the loads them against what is
// written on plate and papers.
func nothingWorse(t *rapid.T, before, after *fitout.Job, id string, m mend.Mend) {
	was, is := loadsOf(before), loadsOf(after)
	for limit, now := range is {
		most := mostOf(after, limit)
		if most == 0 || !quantity.Exceeds(now, most) {
			continue
		}
		if limit == id || !quantity.Exceeds(was[limit], mostOf(before, limit)) || now > was[limit]+1e-5 {
			t.Fatalf("%s: %q leaves %s at %.2f of %.2f, it was %.2f", id, label(m), limit, now, most, was[limit])
		}
	}
}

// loadsOf are the loads of a job: those of the axles as assessed, the others added up by
// hand from what the document says.
func loadsOf(j *fitout.Job) map[string]float64 {
	variant := &j.Variants[0]
	a := assess.Of(j)
	loads := map[string]float64{"front": a.Axles.Front, "rear": a.Axles.Rear, "gross": a.Gross}
	towed, roof := 0.0, 0.0
	coupled := j.Trailer != nil && j.Trailer.Coupled
	for i := range variant.Items {
		item := &variant.Items[i]
		p := item.Presence
		on := p.Kind == fitout.Always || p.Kind == fitout.ByLevel
		if p.Kind == fitout.BySwitch {
			on = slices.ContainsFunc(variant.Switches, func(s fitout.Switch) bool { return s.ID == p.Switch && s.On })
		}
		if p.Kind == fitout.ByChoice {
			on = slices.ContainsFunc(variant.Choices, func(c fitout.Choice) bool {
				return c.ID == p.Choice && c.Chosen == p.Member
			})
		}
		if !on || item.Work == fitout.WorkLater || item.Work == fitout.WorkOthers {
			continue
		}
		kg := item.Mass + p.Content()
		if item.OnTrailer {
			towed += kg
		} else if item.Bay == "rack" {
			roof += kg
		}
	}
	loads["roof"] = roof
	if coupled {
		loads["trailer"], loads["ball"] = j.Trailer.Mass+towed, j.Trailer.Ball
		loads["combination"] = a.Gross - j.Trailer.Ball + j.Trailer.Mass + towed
	}
	return loads
}

func mostOf(j *fitout.Job, limit string) float64 {
	l := &j.Vehicle.Limits
	raised := func(id fitout.LimitID, kg float64) float64 {
		for _, m := range j.Vehicle.Modifications {
			for _, moved := range m.Limits {
				if moved.Limit == id {
					kg = moved.Kg
				}
			}
		}
		return kg
	}
	switch limit {
	case "front":
		return raised(fitout.LimitFrontAxle, l.FrontAxle.Kg)
	case "rear":
		return raised(fitout.LimitRearAxle, l.RearAxle.Kg)
	case "gross":
		return raised(fitout.LimitGross, l.Gross.Kg)
	case "combination":
		return raised(fitout.LimitCombination, l.Combination.Kg)
	case "trailer":
		if !j.Trailer.Braked {
			return l.TrailerUnbraked.Kg
		}
		return l.TrailerBraked.Kg
	case "ball":
		return l.Ball.Kg
	}
	return l.RoofMoving.Kg
}

func seatedOnce(t *rapid.T, j *fitout.Job) {
	on := map[string]bool{}
	for _, item := range j.Variants[0].Items {
		if item.Seat != "" && on[item.Seat] {
			t.Fatalf("two on the seat %s", item.Seat)
		}
		on[item.Seat] = true
	}
}

// aboard fails where a change is made to what does not come along.
func aboard(t *rapid.T, j *fitout.Job, c fitout.Fix) {
	v := &j.Variants[0]
	for i := range v.Items {
		item := &v.Items[i]
		if item.ID != c.Edit.ID {
			continue
		}
		p := item.Presence
		off := item.Work == fitout.WorkLater || item.Work == fitout.WorkOthers ||
			p.Kind == fitout.BySwitch && p.Switch == "awning" || p.Kind == fitout.ByChoice && p.Member == "bench" ||
			p.Kind == fitout.ByLevel && c.Edit.Kind == "item-level" && p.Level.Now == 0 ||
			item.OnTrailer && !j.Trailer.Coupled || item.Locked
		if off && c.Edit.Kind != "item-level" {
			t.Fatalf("%q touches what is locked, or not aboard", c.Label)
		}
	}
}

func saysWhatIsShort(t *rapid.T, before, after *fitout.Job, m mend.Mend) {
	water := func(j *fitout.Job) float64 {
		sum := 0.0
		for _, item := range j.Variants[0].Items {
			if strings.HasPrefix(item.ID, "water-") && item.Work != fitout.WorkLater {
				sum += item.Presence.Level.Now
			}
		}
		return sum
	}
	needs := brief.NeedsOf(&before.Brief)
	if is := water(after); is < water(before)-1e-6 && is < needs.Water.Litres-1e-6 &&
		!strings.HasPrefix(m.Changes[0].Label, "Less water than the brief needs") {
		t.Fatalf("%q leaves %.1f L of %.1f", label(m), is, needs.Water.Litres)
	}
	fuel := func(j *fitout.Job) float64 { return j.Vehicle.Tanks[0].Now }
	if is := fuel(after); is < fuel(before)-1e-6 && is < needs.Fuel.Litres-1e-6 &&
		!regexp.MustCompile("^(Less water than the brief needs: )?[Ff]uel for a shorter way").MatchString(m.Changes[0].Label) {
		t.Fatalf("%q leaves %.1f L of %.1f", label(m), is, needs.Fuel.Litres)
	}
}

// Where it is said that no changes of load do, none of many sets of changes by any
// amounts does; and another vehicle is not called for where an upgrade does with them.
func TestThatNothingDoesIsTrue(t *testing.T) {
	said := 0
	rapid.Check(t, func(t *rapid.T) {
		j, id := touring(t)
		if !coupledLimit(&j, id) {
			return
		}
		mends, err := mend.Limit(context.Background(), &j, example.Shop(), id, func(float64) {})
		if err != nil {
			t.Fatal(err)
		}
		if !strings.Contains(mends.None, "however many are made at once") {
			return
		}
		said++
		if strings.Contains(mends.None, "another vehicle") {
			upgraded := map[string]fitout.LimitID{"rear": fitout.LimitRearAxle, "front": fitout.LimitFrontAxle,
				"gross": fitout.LimitGross, "combination": fitout.LimitCombination}[id]
			raised, err := edit.Apply(&j, nil, []fitout.FixEdit{{Kind: "rating", ID: string(upgraded),
				Value: math.Floor(j.Vehicle.Limits.Get(upgraded).Kg*(1+j.Practice.UpgradeShare)/10) * 10}})
			if err == nil {
				j = raised
			}
		}
		all := offer.All(plan.Of(&j), example.Shop())
		for range 60 {
			var edits []fitout.FixEdit
			used := map[string]bool{}
			for _, k := range rapid.Permutation(numbers(len(all))).Draw(t, "order") {
				c := &all[k]
				if slices.ContainsFunc(c.Things, func(thing string) bool { return used[thing] }) ||
					rapid.IntRange(0, 3).Draw(t, "left out") == 0 {
					continue
				}
				for _, thing := range c.Things {
					used[thing] = true
				}
				amount := c.Rounded(c.Most * rapid.Float64Range(0.01, 1).Draw(t, "share"))
				edits = append(edits, c.Fix(amount).Edit)
			}
			changed, err := edit.Apply(&j, example.Shop(), edits)
			if err != nil {
				continue
			}
			before, after := limits.Of(plan.Of(&j)), limits.Of(plan.Of(&changed))
			l := after.Get(id)
			if l == nil || quantity.Exceeds(l.Beyond(after.Shown()), 0) {
				continue
			}
			worse := slices.ContainsFunc(after.All, func(other limits.Limit) bool {
				f, was := other.Facts(), before.Get(other.Facts().ID)
				return f.Stated() && was != nil && (!f.Towing || after.Shown().State.Coupled) &&
					quantity.Exceeds(other.Beyond(after.Shown()), max(0, was.Beyond(before.Shown())))
			})
			if !worse {
				t.Fatalf("%s: %q, and %+v do", id, mends.None, edits)
			}
		}
	})
	if said == 0 {
		t.Fatal("it was never said")
	}
}

func numbers(n int) []int {
	all := make([]int, n)
	for i := range all {
		all[i] = i
	}
	return all
}

// What a finding offers is enough alone or says that it is not, and does no harm either.
func TestWhatAFindingOffersIsEnoughOrSaysThatItIsNot(t *testing.T) {
	seen := map[bool]int{}
	rapid.Check(t, func(t *rapid.T) {
		j, _ := touring(t)
		was := assess.Of(&j)
		for _, f := range was.Findings {
			if f.Mend == "" || f.Severity != fitout.Stop {
				continue
			}
			for _, fix := range f.Fixes {
				m := mend.Mend{Changes: []fitout.Fix{fix}}
				fixed := appliedTo(t, &j, m)
				after := limits.Of(plan.Of(&fixed))
				l := after.Get(f.Mend)
				enough := l == nil || !quantity.Exceeds(l.Beyond(after.Shown()), 0)
				seen[enough]++
				if enough == strings.HasSuffix(fix.Label, "(not enough alone)") {
					t.Fatalf("%q leaves %s %.3f over", fix.Label, f.Mend, l.Beyond(after.Shown()))
				}
				nothingWorse(t, &j, &fixed, "", m)
				seatedOnce(t, &fixed)
				aboard(t, &j, fix)
				saysWhatIsShort(t, &j, &fixed, m)
			}
		}
	})
	if seen[true] < 5 || seen[false] < 5 {
		t.Fatalf("enough and not enough: %v", seen)
	}
}
