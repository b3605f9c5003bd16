package example

import (
	"fmt"
	"reflect"
	"slices"
	"strconv"
	"strings"

	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
)

// Any draws a valid job of any kind: every number anywhere in its range, with a fondness
// for its ends, for nothing, and for the smallest there is; every word of each list;
// lists of none to a few; and whatever names a thing names one that is there, or none.
func Any(t *rapid.T) fitout.Job {
	d := drawing{t}
	job := fitout.NewJob("any", "Any", fitout.AustraliaNZ)
	d.value(reflect.ValueOf(&job).Elem(), "")
	job.Format, job.Version = fitout.Format, fitout.Version
	d.mend(&job)
	if err := fitout.Validate(&job); err != nil {
		t.Fatalf("what was drawn is not valid: %v", err)
	}
	return job
}

type drawing struct{ t *rapid.T }

// mostDrawn is how many things of one list are drawn.
const mostDrawn = 3

func (d drawing) value(v reflect.Value, tag reflect.StructTag) {
	switch v.Kind() {
	case reflect.Pointer:
		v.Set(reflect.Zero(v.Type()))
		if rapid.Bool().Draw(d.t, "there") {
			v.Set(reflect.New(v.Type().Elem()))
			d.value(v.Elem(), tag)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			d.value(v.Field(i), v.Type().Field(i).Tag)
		}
	case reflect.Slice:
		n := rapid.IntRange(0, mostDrawn).Draw(d.t, "how many")
		v.Set(reflect.MakeSlice(v.Type(), n, n))
		for i := range n {
			d.value(v.Index(i), "")
			if id := v.Index(i).FieldByName("ID"); id.IsValid() {
				id.SetString(fmt.Sprintf("%s%d", strings.ToLower(v.Type().Elem().Name()), i))
			}
		}
		v.Set(toldApart(v))
	case reflect.Bool:
		v.SetBool(rapid.Bool().Draw(d.t, "is"))
	case reflect.Float64:
		v.SetFloat(d.number(tag))
	case reflect.Int:
		v.SetInt(int64(d.number(tag)))
	case reflect.String:
		v.SetString(d.text(tag))
	}
}

// toldApart leaves of a list whose things are told apart by one word each the first of each.
func toldApart(v reflect.Value) reflect.Value {
	name := map[string]string{"Pace": "Work", "MakeWay": "How", "StepDone": "Step", "Walked": "Point",
		"TestDone": "Test"}[v.Type().Elem().Name()]
	if name == "" {
		return v
	}
	seen, kept := map[string]bool{}, reflect.MakeSlice(v.Type(), 0, v.Len())
	for i := range v.Len() {
		if word := v.Index(i).FieldByName(name).String(); !seen[word] {
			seen[word], kept = true, reflect.Append(kept, v.Index(i))
		}
	}
	return kept
}

func (d drawing) number(tag reflect.StructTag) float64 {
	bound := func(key string) float64 {
		value, err := strconv.ParseFloat(tag.Get(key), 64)
		if err != nil {
			return 0
		}
		return value
	}
	low, high := bound("minimum"), bound("maximum")
	usual := max(low, min(high, 1000))
	return rapid.OneOf(
		rapid.Just(max(low, 0)), rapid.Just(low), rapid.Just(high), rapid.Just(max(low, min(high, 1e-310))),
		rapid.Float64Range(low, usual), rapid.Float64Range(low, high),
	).Draw(d.t, "number")
}

func (d drawing) text(tag reflect.StructTag) string {
	if words := tag.Get("enum"); words != "" {
		return rapid.SampledFrom(strings.Split(words, ",")).Draw(d.t, "word")
	}
	if tag.Get("pattern") != "" {
		return "x" // mended below
	}
	text := []rune(rapid.SampledFrom([]string{"Thing", "=1+1", "Ä <b>&\"' 🛻", "100 Ah lithium"}).Draw(d.t, "text"))
	if most, err := strconv.Atoi(tag.Get("maxLength")); err == nil {
		text = text[:min(len(text), most)]
	}
	return string(text)
}

// one is the id of one of some things, or what stands for none.
func one[T any](d drawing, things []T, id func(*T) string, none ...string) string {
	var ids []string
	for i := range things {
		ids = append(ids, id(&things[i]))
	}
	return rapid.SampledFrom(append(ids, none...)).Draw(d.t, "which")
}

// only keeps of things those that right, which may change them, says so of: each key once.
func only[T any](things []T, key func(*T) string, right func(*T) bool) []T {
	seen, kept := map[string]bool{}, []T{}
	for _, thing := range things {
		if right(&thing) && !seen[key(&thing)] {
			seen[key(&thing)] = true
			kept = append(kept, thing)
		}
	}
	return kept
}

// mend makes what was drawn valid: names that name something, figures that agree.
func (d drawing) mend(j *fitout.Job) {
	v := &j.Vehicle
	for i := range v.Tanks {
		t := &v.Tanks[i]
		t.Min, t.Now = min(t.Min, t.Capacity), min(t.Now, t.Capacity)
	}
	for i := range v.Parts {
		if v.Parts[i].State == fitout.Moved && v.Parts[i].MovedTo == nil {
			v.Parts[i].MovedTo = &fitout.Point{X: 100}
		}
	}
	if v.Extension != nil {
		v.Extension.By = min(v.Extension.By, v.Wheelbase)
	}
	for i := range v.Modifications {
		m := &v.Modifications[i]
		m.Limits = only(m.Limits, func(l *fitout.LimitMoved) string {
			return string(l.Limit)
		}, func(*fitout.LimitMoved) bool { return true })
	}
	seat := func() string { return one(d, v.Seats, func(s *fitout.Seat) string { return s.ID }, "") }
	d.tickets(v, seat)
	j.Brief.Daily.Seats = only(j.Brief.Daily.Seats, func(s *fitout.SeatKept) string {
		return s.Seat
	}, func(s *fitout.SeatKept) bool {
		s.Seat = seat()
		return false
	})
	if seat := seat(); seat != "" {
		j.Brief.Daily.Seats = append(j.Brief.Daily.Seats, fitout.SeatKept{Seat: seat})
	}
	j.Brief.Choices = []fitout.SchoolChoice{}
	for i := range j.Accepted {
		j.Accepted[i].Key, j.Accepted[i].Stance = fmt.Sprintf("parts-clash/item%d", i), ""
	}
	if len(j.Variants) == 0 {
		j.Variants = fitout.NewJob("x", "X", fitout.AustraliaNZ).Variants
	}
	j.Variants = j.Variants[:1] // one is enough to look at
	d.variant(j, &j.Variants[0], seat)
	d.way(j)
	d.training(j)
	d.carrier(j)
	j.Chosen = j.Variants[0].ID
}

// carrier lets what comes off be spaces and things that are there, or were.
func (d drawing) carrier(j *fitout.Job) {
	c := j.Vehicle.Carrier
	if c == nil {
		return
	}
	notes := func(all []fitout.ThingNote, id func() string) []fitout.ThingNote {
		return only(
			all,
			func(t *fitout.ThingNote) string { return t.Of },
			func(t *fitout.ThingNote) bool { t.Of = id(); return true },
		)
	}
	c.Bays = notes(
		c.Bays,
		func() string { return one(d, j.Vehicle.Bays, func(b *fitout.Bay) string { return b.ID }, "gone") },
	)
	c.Items = notes(c.Items, func() string {
		return one(d, j.Variants[0].Items, func(i *fitout.Item) string { return i.ID }, "gone")
	})
}

// training lets an exercise speak of things that are there, or were.
func (d drawing) training(j *fitout.Job) {
	if j.Training == nil {
		return
	}
	item := func() string { return one(d, j.Variants[0].Items, func(i *fitout.Item) string { return i.ID }, "gone") }
	j.Training.Marked = only(j.Training.Marked, func(m *fitout.Marked) string {
		return m.Of
	}, func(m *fitout.Marked) bool { m.Of = item(); return true })
	for i := range j.Training.Made {
		m := &j.Training.Made[i]
		m.Things = only(m.Things, func(t *fitout.ThingNote) string {
			return t.Of
		}, func(t *fitout.ThingNote) bool { t.Of = item(); return true })
	}
}

func (d drawing) tickets(v *fitout.Vehicle, seat func() string) {
	for i := range v.Baseline.Tickets {
		t := &v.Baseline.Tickets[i]
		t.Tanks, t.People, t.Parts = []fitout.WeighedTank{}, []fitout.WeighedPerson{}, []fitout.WeighedPart{}
		for _, tank := range v.Tanks {
			t.Tanks = append(t.Tanks, fitout.WeighedTank{Tank: tank.ID, Litres: tank.Now})
		}
		for k := range 2 {
			if seat := seat(); seat != "" {
				t.People = append(t.People, fitout.WeighedPerson{ID: fmt.Sprint("p", k), Seat: seat, Kg: 80})
			}
		}
		for _, part := range v.Parts {
			if rapid.Bool().Draw(d.t, "on") {
				t.Parts = append(t.Parts, fitout.WeighedPart{Part: part.ID})
			}
		}
	}
}

func (d drawing) variant(j *fitout.Job, v *fitout.Variant, seat func() string) {
	v.From = ""
	for i := range v.Choices {
		c := &v.Choices[i]
		if len(c.Members) == 0 {
			c.None = true
		}
		none := []string{}
		if c.None {
			none = append(none, "")
		}
		c.Chosen = one(d, c.Members, func(m *fitout.Member) string { return m.ID }, none...)
	}
	for i := range v.Switches {
		v.Switches[i].Requires = nil
		if i > 0 && rapid.Bool().Draw(d.t, "requires") {
			v.Switches[i].Requires = &fitout.Require{Switch: v.Switches[i-1].ID}
		}
	}
	for i := range v.Items {
		item := &v.Items[i]
		item.Seat, item.Bay, item.In = "", one(d, j.Vehicle.Bays, func(b *fitout.Bay) string { return b.ID }, ""), nil
		if rapid.IntRange(0, 3).Draw(d.t, "sits") == 0 {
			item.Seat = seat()
		}
		d.presence(v, item)
		if m := item.Module; m != nil {
			m.Fixings = only(m.Fixings, func(f *fitout.Fixing) string {
				return f.Mount
			}, func(*fitout.Fixing) bool { return true })
		}
		if i > 0 && v.Items[i-1].Module != nil && len(v.Items[i-1].Module.Cells) > 0 &&
			rapid.Bool().Draw(d.t, "lies in") {
			item.In = &fitout.InCell{Module: v.Items[i-1].ID, Cell: v.Items[i-1].Module.Cells[0].ID}
		}
	}
	item := func() string { return one(d, v.Items, func(i *fitout.Item) string { return i.ID }, "gone") }
	for i := range v.Stances {
		s := &v.Stances[i]
		s.Open = only(s.Open, func(o *fitout.Opened) string {
			return o.Module + o.Cell
		}, func(o *fitout.Opened) bool { o.Module, o.Cell = item(), ""; return true })
		s.Loose = only(s.Loose, func(l *fitout.LoosePlace) string {
			return l.Item
		}, func(l *fitout.LoosePlace) bool { l.Item = item(); return true })
		s.Doors, s.Folded, s.Sleepers = []fitout.Door{}, []fitout.SeatKept{}, []fitout.Sleeper{}
		for _, b := range j.Vehicle.Bays {
			s.Doors = append(s.Doors, fitout.Door{Bay: b.ID})
		}
		for _, t := range j.Brief.Travellers {
			s.Sleepers = append(s.Sleepers, fitout.Sleeper{Traveller: t.ID})
		}
		s.Turned = only(s.Turned, func(t *fitout.SeatTurned) string {
			return t.Seat
		}, func(t *fitout.SeatTurned) bool { t.Seat = seat(); return t.Seat != "" })
		s.Hung = only(s.Hung, func(h *fitout.Hung) string {
			return h.Traveller
		}, func(*fitout.Hung) bool { return true })
		s.People = only(s.People, func(p *fitout.Placed) string {
			return p.Traveller
		}, func(p *fitout.Placed) bool {
			p.Traveller, p.On = one(
				d,
				j.Brief.Travellers,
				func(t *fitout.Traveller) string { return t.ID },
				"gone",
			), item()
			return true
		})
	}
	for i := range v.Cases {
		c := &v.Cases[i]
		c.Stance = one(d, v.Stances, func(s *fitout.Stance) string { return s.ID }, "")
		c.Switches, c.Choices = []fitout.CaseSwitch{}, []fitout.CaseChoice{}
		for _, s := range v.Switches {
			c.Switches = append(c.Switches, fitout.CaseSwitch{Switch: s.ID, On: rapid.Bool().Draw(d.t, "on")})
		}
		c.Levels = only(c.Levels, func(l *fitout.CaseLevel) string {
			return l.Of
		}, func(l *fitout.CaseLevel) bool { l.Of = item(); return true })
		c.People = only(c.People, func(p *fitout.CasePerson) string {
			return p.Item
		}, func(p *fitout.CasePerson) bool { p.Item, p.Seat = item(), seat(); return true })
	}
	v.UsedUp = only(v.UsedUp, func(u *fitout.UsedFirst) string {
		return u.Of
	}, func(u *fitout.UsedFirst) bool { u.Of = item(); return true })
	for i := range v.WeighIns {
		w := &v.WeighIns[i]
		w.Aboard = only(w.Aboard, func(a *fitout.Aboard) string {
			return a.Of
		}, func(a *fitout.Aboard) bool { a.Of = item(); return true })
	}
	v.Stance = one(d, v.Stances, func(s *fitout.Stance) string { return s.ID }, "")
	d.electrics(v, item)
}

func (d drawing) presence(v *fitout.Variant, item *fitout.Item) {
	p := &item.Presence
	p.Switch, p.Choice, p.Member = "", "", ""
	switch p.Kind {
	case fitout.BySwitch:
		if p.Switch = one(d, v.Switches, func(s *fitout.Switch) string { return s.ID }, ""); p.Switch == "" {
			p.Kind = fitout.Always
		}
	case fitout.ByChoice:
		k := slices.IndexFunc(v.Choices, func(c fitout.Choice) bool { return len(c.Members) > 0 })
		if k < 0 {
			p.Kind = fitout.Always
		} else {
			p.Choice, p.Member = v.Choices[k].ID, one(d, v.Choices[k].Members, func(m *fitout.Member) string { return m.ID })
		}
	case fitout.ByLevel:
		if p.Level == nil {
			p.Level = &fitout.Level{Max: 50, Now: 20, Density: 1}
		}
	}
	if l := p.Level; l != nil {
		l.Min, l.Now = min(l.Min, l.Max), min(l.Now, l.Max)
	}
}
