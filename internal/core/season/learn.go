package season

import (
	"math"
	"slices"
	"strings"
	"time"

	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
	"zaino/internal/core/gauss"
	"zaino/internal/core/handover"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
)

// How far assumptions and what is noted at a pump err, as shares; figures of practice.
const (
	consumptionBy = 0.12 // of the consumption on a sealed road
	factorBy      = 0.10 // of what a surface does to it
	fuelReadBy    = 0.03 // of litres at a pump, with the km of a clock
	fuelReadL     = 1.5  // L, how full is full
	waterBy       = 0.25 // of what somebody uses a day
	waterReadBy   = 0.15 // of a filling over people and days
	powerBy       = 0.25 // of what is drawn a day
	powerReadBy   = 0.05 // of what a monitor says
	roughFrom     = 1.1  // factor of a surface from which it shakes
)

// contradicts is by how many standard uncertainties reality has to differ from what was assumed to be told.
const contradicts = 2

// Assumed is one assumption with what became of it.
type Assumed struct {
	ID       string  `json:"id" doc:"fuel/ and the surface, water, or power/ and the system"`
	Name     string  `json:"name"`
	Unit     string  `json:"unit"`
	Planned  float64 `json:"planned"`
	By       float64 `json:"by" doc:"its standard uncertainty when it was assumed"`
	Found    float64 `json:"found" doc:"what is believed now"`
	Sigma    float64 `json:"sigma" doc:"its standard uncertainty"`
	Readings int     `json:"readings" doc:"that bear on it"`
	Mean     float64 `json:"mean" doc:"of the readings alone; 0 where they cannot be told apart"`
	Sigmas   float64 `json:"sigmas" doc:"by how many standard uncertainties of both what was read differs from what was assumed"`
	Denied   bool    `json:"denied" doc:"reality contradicts it by more than two of them"`
	Sentence string  `json:"sentence"`
}

// Idle is a thing that was never used, with the mass that it cost.
type Idle struct {
	ID   string  `json:"id" doc:"of the item; empty where it was only named"`
	Name string  `json:"name"`
	Kg   float64 `json:"kg" doc:"that it and what is in it weigh; 0 = not known"`
	Part bool    `json:"part" doc:"a part of the fitout, which is kept and looked at"`
	Text string  `json:"text"`
}

// Complaint is what broke, rattled, leaked, was missing or was moved.
type Complaint struct {
	Kind Kind   `json:"kind" enum:"fuel,water,nights,power,broke,rattled,leaked,unused,missing,moved,done,note,taken-back"`
	On   string `json:"on"`
	ID   string `json:"id" doc:"of the item; empty where none was named"`
	Name string `json:"name"`
	Text string `json:"text"`
}

// SeasonView is what the seasons showed, against the plan.
type SeasonView struct {
	Entries    []Entry          `json:"entries" doc:"that stand, newest first"`
	Nights     float64          `json:"nights"`
	Km         float64          `json:"km" doc:"driven"`
	RoughKm    float64          `json:"roughKm" doc:"of those on what shakes"`
	SinceCheck float64          `json:"sinceCheck" doc:"rough km since runners were looked at"`
	Fuel       float64          `json:"fuel" doc:"litres"`
	Cost       int              `json:"cost" doc:"in cents"`
	Assumed    []Assumed        `json:"assumed"`
	Unused     []Idle           `json:"unused"`
	UnusedKg   float64          `json:"unusedKg" doc:"kg"`
	Complaints []Complaint      `json:"complaints" doc:"newest first"`
	Dues       []handover.Due   `json:"dues" doc:"of this job"`
	Findings   []fitout.Finding `json:"findings"`
	Next       []string         `json:"next" doc:"what the next version would begin with, in words"`
}

// season is a plan with its log, worked out.
type season struct {
	p       *plan.Plan
	entries []Entry // oldest first
	legs    []leg
	view    *SeasonView
}

// leg is the way between two full tanks.
type leg struct {
	on     string
	litres float64
	km     float64
	shares map[string]float64 // of each surface, together 1
}

// Learn puts a log beside a plan. today is a day as 2026-03-30, for what is due.
func Learn(p *plan.Plan, log []Entry, today string) SeasonView {
	v := SeasonView{
		Entries:    Standing(log),
		Assumed:    []Assumed{},
		Unused:     []Idle{},
		Complaints: []Complaint{},
		Findings:   []fitout.Finding{},
		Next:       []string{},
	}
	s := &season{p: p, entries: slices.Clone(v.Entries), view: &v}
	slices.Reverse(v.Entries)
	s.sum()
	s.drive()
	s.fuel()
	s.water()
	s.power()
	s.idle()
	s.complain()
	v.Dues = handover.Dues(p.Given, s.driven(), today)
	s.find()
	s.next()
	return v
}

func (s *season) sum() {
	v := s.view
	least, most := math.Inf(1), 0.0
	if h := &s.p.Job.Handover; h.Delivered != "" && h.Km > 0 {
		least = h.Km
	}
	for i := range s.entries {
		e := &s.entries[i]
		v.Nights += e.Nights
		if e.Km > 0 {
			least, most = min(least, e.Km), max(most, e.Km)
		}
		if e.Kind == Fuel {
			v.Fuel, v.Cost = v.Fuel+e.Litres, v.Cost+e.Cost
		}
	}
	v.Km = max(0, most-least)
	if math.IsInf(least, 1) {
		v.Km = 0
	}
}

// shares are how a way was shared over surfaces: as noted, or as the brief has it.
func (s *season) shares(e *Entry) map[string]float64 {
	shares, sum := map[string]float64{}, 0.0
	for _, on := range e.Surfaces {
		if s.surface(on.Surface) != nil {
			shares[on.Surface] += on.Share
			sum += on.Share
		}
	}
	if sum == 0 {
		for _, surface := range s.p.Job.Brief.Surfaces {
			shares[surface.ID], sum = surface.Share, sum+surface.Share
		}
	}
	for id := range shares {
		shares[id] /= max(sum, 1e-9)
	}
	return shares
}

func (s *season) surface(id string) *fitout.Surface {
	for i := range s.p.Job.Brief.Surfaces {
		if s.p.Job.Brief.Surfaces[i].ID == id {
			return &s.p.Job.Brief.Surfaces[i]
		}
	}
	return nil
}

// judge tells whether what was read contradicts what was assumed: as far as the readings moved it, against how far the
// readings could have moved it, which is what they took off its variance.
func (a *Assumed) judge(p *plan.Plan) {
	if could := math.Sqrt(max(0, a.By*a.By-a.Sigma*a.Sigma)); could > 0 {
		a.Sigmas = (a.Found - a.Planned) / could
	}
	a.Denied = math.Abs(a.Sigmas) > contradicts
	a.say(p)
}

// combine is the assumption with readings of it, each with its σ.
func combine(planned, by float64, read, own []float64) (found, sigma, mean float64) {
	readings := make([]gauss.Reading, len(read))
	sum, weights := 0.0, 0.0
	for i := range read {
		readings[i] = gauss.Reading{Off: read[i] - planned, Own: own[i], Moves: []float64{by}}
		sum, weights = sum+read[i]/(own[i]*own[i]), weights+1/(own[i]*own[i])
	}
	after := gauss.Update(1, readings)
	if weights > 0 {
		mean = sum / weights
	}
	return planned + after.Shift([]float64{by}), after.Sigma([]float64{by}), mean
}

// water is what each person uses a day: litres of a filling over people and days since the one before.
func (s *season) water() {
	b := &s.p.Job.Brief
	people := 0.0
	for i := range b.Travellers {
		if b.Travellers[i].Kind == fitout.TravellerPerson {
			people++
		}
	}
	need := brief.NeedsOf(b).Water
	if people == 0 || need.People == 0 {
		return
	}
	// Animals drink from the same tanks.
	planned := need.People / people
	var read, own []float64
	var before time.Time
	litres := 0.0
	for i := range s.entries {
		e := &s.entries[i]
		if e.Kind != Water {
			continue
		}
		at, err := e.When()
		if err != nil {
			continue
		}
		litres += e.Litres
		if !e.Full {
			continue
		}
		if days := at.Sub(before).Hours() / 24; !before.IsZero() && days >= 0.5 && days < 60 {
			with := people
			if e.People > 0 {
				with = e.People
			}
			if value := (litres/days - need.Animals) / with; value > 0 {
				read, own = append(read, value), append(own, max(0.05, waterReadBy*value))
			}
		}
		before, litres = at, 0
	}
	a := Assumed{
		ID:       "water",
		Name:     "Water of each person",
		Unit:     "L a day",
		Planned:  planned,
		By:       waterBy * planned,
		Readings: len(read),
	}
	a.Found, a.Sigma, a.Mean = combine(planned, a.By, read, own)
	a.judge(s.p)
	s.view.Assumed = append(s.view.Assumed, a)
}

// power is what is drawn of the house battery a day.
func (s *season) power() {
	systems := power.LookAt(s.p).Run.Systems
	setup := power.LookAt(s.p).Setup.Systems
	for i := range setup {
		if setup[i].Def.Kind != fitout.HouseSystem && setup[i].Def.Kind != fitout.StationSystem || i >= len(systems) {
			continue
		}
		planned := drawn(s.p, setup[i].Def.ID)
		if planned <= 0 {
			continue
		}
		var read, own []float64
		for k := range s.entries {
			if e := &s.entries[k]; e.Kind == Power && e.Wh > 0 {
				read, own = append(read, e.Wh), append(own, max(5, powerReadBy*e.Wh))
			}
		}
		a := Assumed{
			ID:       "power/" + setup[i].Def.ID,
			Name:     "Power of " + setup[i].Def.Name,
			Unit:     "Wh a day",
			Planned:  planned,
			By:       powerBy * planned,
			Readings: len(read),
		}
		a.Found, a.Sigma, a.Mean = combine(planned, a.By, read, own)
		a.judge(s.p)
		s.view.Assumed = append(s.view.Assumed, a)
		return // the log says one figure, of the battery that is lived from
	}
}

// drawn is what a system is planned to give a day, Wh.
func drawn(p *plan.Plan, id string) float64 {
	for _, s := range power.Engine().Figures(p).Systems {
		if s.ID == id {
			return s.Used * s.Nominal
		}
	}
	return 0
}

// idle are things that nobody used, with what lies in them.
func (s *season) idle() {
	seen := map[string]bool{}
	for i := range s.entries {
		e := &s.entries[i]
		if e.Kind != Unused || seen[e.Of+e.Text] {
			continue
		}
		seen[e.Of+e.Text] = true
		u := Idle{ID: e.Of, Name: e.Text, Text: e.Text}
		if k := s.p.Index(e.Of); k >= 0 {
			item := &s.p.Items[k]
			u.Name, u.Part = item.Name, item.Module != nil && item.Module.Kind != fitout.PlainGear
			for n := range s.p.Items {
				if within(s.p, n, k) {
					u.Kg += s.p.Variant.Items[n].Mass
				}
			}
			if u.Part {
				// A part that nobody opened costs what lies in it, and itself only if it is left out.
				u.Kg -= s.p.Variant.Items[k].Mass
			}
		}
		s.view.Unused = append(s.view.Unused, u)
		s.view.UnusedKg += u.Kg
	}
}

// within tells whether item n is item k or lies in it, however deep.
func within(p *plan.Plan, n, k int) bool {
	for range p.Items {
		if n == k {
			return true
		}
		in := p.Items[n].In
		if in == nil {
			return false
		}
		if n = p.Index(in.Module); n < 0 {
			return false
		}
	}
	return false
}

func (s *season) complain() {
	for i := len(s.entries) - 1; i >= 0; i-- {
		e := &s.entries[i]
		switch e.Kind {
		case Broke, Rattled, Leaked, Missed, Moved:
			s.view.Complaints = append(
				s.view.Complaints,
				Complaint{Kind: e.Kind, On: strings.SplitN(e.At, "T", 2)[0], ID: e.Of,
					Name: s.p.Name(e.Of), Text: e.Text},
			)
		}
	}
}

// Dues are what is due of a job by its log.
func Dues(j *fitout.Job, log []Entry, today string) []handover.Due {
	v := SeasonView{}
	s := &season{p: &plan.Plan{Given: j, Job: j}, entries: Standing(log), view: &v}
	s.drive()
	return handover.Dues(j, s.driven(), today)
}
