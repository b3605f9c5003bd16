package power

import (
	"fmt"
	"math"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/words"
)

// Course is the course of the days, for their picture: by the hour, as planned, and between
// a clear and an overcast sky. An estimate.
type Course struct {
	Begin   float64        `json:"begin" doc:"hour of the first day"`
	Nights  int            `json:"nights"`
	Systems []SystemCourse `json:"systems" doc:"of those aboard"`
	Driven  []float64      `json:"driven" doc:"share of each hour in which the engine runs"`
}

// SystemCourse is one system over the days.
type SystemCourse struct {
	ID        string      `json:"id"`
	Name      string      `json:"name"`
	Charge    []float64   `json:"charge" doc:"state of charge at the start and after each hour, 0 to 1"`
	Clear     []float64   `json:"clear" doc:"the same under a clear sky all the way"`
	Overcast  []float64   `json:"overcast" doc:"the same under an overcast sky all the way"`
	In        []float64   `json:"in" doc:"offered in each hour, Ah"`
	Out       []float64   `json:"out" doc:"used in each hour, Ah"`
	Dark      float64     `json:"dark" doc:"nights that it lasts without sun, driven as planned; −1: no end in sixty"`
	Parked    float64     `json:"parked" doc:"nights that it lasts with neither sun nor driving; −1: no end in sixty"`
	Clouded   float64     `json:"clouded" doc:"lowest state of charge under an overcast sky, 0 to 1"`
	Lines     []Threshold `json:"lines" doc:"at which something happens"`
	Sentences []string    `json:"sentences" doc:"what gives out first, when"`
}

// Threshold is a state of charge at which something happens.
type Threshold struct {
	Charge float64 `json:"charge" doc:"0 to 1"`
	Text   string  `json:"text"`
}

// CourseOf follows the days of a plan for their picture.
func CourseOf(p *plan.Plan) Course {
	l := LookAt(p)
	clear := l.Setup.Run(Weather{Cloud: clouds[fitout.ClearSky]}, nil)
	overcast := l.Setup.Run(Weather{Cloud: clouds[fitout.OvercastSky]}, nil)
	long := *l.Setup
	long.Nights = MostNights
	dark := long.Run(Weather{Cloud: -1, Dark: true}, nil)
	parked := long.Run(Weather{Cloud: -1, Dark: true, Parked: true, Without: true}, nil)
	c := Course{Begin: l.E.Days.Begin, Nights: l.Setup.Nights, Systems: []SystemCourse{}, Driven: l.driven()}
	for i := range l.Setup.Systems {
		sys := &l.Setup.Systems[i]
		if !sys.aboard {
			continue
		}
		of := SystemCourse{
			ID: sys.Def.ID, Name: sys.Def.Name, Charge: l.hourly(l.Run, i), Clear: l.hourly(clear, i),
			Overcast: l.hourly(overcast, i), In: perHour(l.Run.Systems[i].In, l.Run.Step),
			Out: perHour(l.Run.Systems[i].Out, l.Run.Step), Dark: nightsOf(&dark.Systems[i]),
			Parked:  nightsOf(&parked.Systems[i]),
			Clouded: overcast.Systems[i].Lowest, Lines: l.thresholds(i), Sentences: []string{},
		}
		for k := range l.Run.Loads {
			if load := &l.Run.Loads[k]; l.Setup.loads[k].system == i && load.OutAt >= 0 {
				of.Sentences = append(of.Sentences, fmt.Sprintf("%s drops first on %s and misses %s over the days.",
					l.E.Loads[k].Name, l.at(load.OutAt), l.Say.Charge(load.Missed)))
			}
		}
		c.Systems = append(c.Systems, of)
	}
	return c
}

// nightsOf is how many whole nights a battery lasts, −1 for no end.
func nightsOf(run *SystemRun) float64 {
	if run.OutAt < 0 {
		return -1
	}
	return math.Floor(run.OutAt/24*10) / 10
}

// hourly is the state of charge at the start and after each hour.
func (l *Look) hourly(run *Run, system int) []float64 {
	of, each := &run.Systems[system], int(math.Round(1/run.Step))
	line := []float64{round4(l.E.Systems[system].Full)}
	for n := each - 1; n < len(of.Charge); n += each {
		line = append(line, round4(of.Charge[n]))
	}
	return line
}

func round4(share float64) float64 { return math.Round(share*1e4) / 1e4 }

func perHour(steps []float64, step float64) []float64 {
	each := int(math.Round(1 / step))
	hours := make([]float64, 0, len(steps)/each)
	for n := 0; n+each <= len(steps); n += each {
		sum := 0.0
		for _, ah := range steps[n : n+each] {
			sum += ah
		}
		hours = append(hours, math.Round(sum*100)/100)
	}
	return hours
}

// driven is the share of each hour in which the engine runs.
func (l *Look) driven() []float64 {
	days := daysOf(&l.E.Days, l.Setup.Nights, AsPlanned)
	hours := make([]float64, l.Setup.Nights*24)
	for n := range hours {
		clock := l.E.Days.Begin + float64(n)
		day, hour := int(clock/24), math.Mod(clock, 24)
		if days[min(day, len(days)-1)].drives {
			hours[n] = runs(l.E.Days.Drives, hour, min(24, hour+1))
		}
	}
	return hours
}

// thresholds are the states of charge of a system at which something drops, the highest
// first.
func (l *Look) thresholds(system int) []Threshold {
	sys := &l.Setup.Systems[system]
	lines := []Threshold{}
	if sys.Def.Reserve > sys.CutOff {
		lines = append(lines, Threshold{sys.Def.Reserve, "kept in reserve"})
	}
	for k := range l.Setup.loads {
		if c := &l.Setup.loads[k]; c.usable && c.system == system && c.def.Shed > 0 {
			lines = append(lines, Threshold{c.def.Shed, words.Lower(c.def.Name) + " drops"})
		}
	}
	return append(lines, Threshold{sys.CutOff, "everything drops"})
}
