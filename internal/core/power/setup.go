package power

import (
	"zaino/internal/core/fitout"
)

// Setup is electrics made ready to be counted: names joined to what they name, the systems
// in the order in which they are worked out. It changes nothing of the electrics.
type Setup struct {
	E         *fitout.Electrics
	Nights    int
	Low, High float64 // of a day, °C
	Systems   []System
	Rings     []string // ids of chargers that charge each other in a ring; they are left out

	order    []int      // systems, those that are fed by others first
	chargers []charger  // in the order of the electrics
	sources  []source   // in the order of the electrics
	inverter []int      // system of each inverter, −1: none
	loads    []consumer // in the order of the electrics
	logic    *Logic
	skies    skies
	aboard   func(item string) bool
	steps    int // of a day
	until    int // a system, counted from 1: a run ends when it is empty; 0: it goes on
}

// System is one system made ready.
type System struct {
	Def      *fitout.PowerSystem
	Nominal  float64 // V
	Charging float64 // V
	Capacity float64 // Ah
	CutOff   float64 // state of charge at which everything drops

	store    store
	aboard   bool
	chargers []int // that charge it
	feeds    []int // chargers that it feeds
	sources  []int // that charge it without a charger
	links    []int // relays and leads over which what starts the engine charges it
}

type charger struct {
	def      *fitout.Charger
	to, from int // systems; −1: none
	sources  []int
	usable   bool
}

type source struct {
	def     *fitout.PowerSource
	system  int // that it charges, itself or through its charger; −1: none
	charger int // −1: none
	usable  bool
	vehicle bool // the alternator of the vehicle, which charges what starts the engine
}

type consumer struct {
	def      *fitout.PowerLoad
	system   int // that feeds it in the end; −1: none
	inverter int // −1: none
	usable   bool
}

// NewSetup makes electrics ready for a number of nights (1 to MostNights) between two
// temperatures in °C. aboard tells of an item whether it comes along now.
func NewSetup(e *fitout.Electrics, nights int, low, high float64, aboard func(item string) bool) *Setup {
	s := &Setup{E: e, Nights: nights, Low: low, High: high, aboard: aboard, steps: 144,
		skies: skies{}}
	system := map[string]int{}
	for i := range e.Systems {
		def := &e.Systems[i]
		system[def.ID] = i
		s.Systems = append(s.Systems, System{
			Def: def, Nominal: Nominal(def), Charging: Charging(def), Capacity: Capacity(&def.Battery),
			CutOff: 1 - Usable(&def.Battery), store: storeOf(&def.Battery), aboard: s.there(def.Item),
		})
	}
	find := func(id string) int {
		if i, known := system[id]; known && s.Systems[i].aboard {
			return i
		}
		return -1
	}
	at := map[string]int{}
	for i := range e.Chargers {
		def := &e.Chargers[i]
		at[def.ID] = i
		c := charger{def: def, to: find(def.System), from: find(def.From)}
		c.usable = c.to >= 0 && s.there(def.Item) && (def.From == "" || c.from >= 0 && c.from != c.to)
		s.chargers = append(s.chargers, c)
	}
	s.addSources(find, at)
	s.breakRings()
	for i := range s.chargers {
		if c := &s.chargers[i]; c.usable {
			s.Systems[c.to].chargers = append(s.Systems[c.to].chargers, i)
			if c.from >= 0 {
				s.Systems[c.from].feeds = append(s.Systems[c.from].feeds, i)
			}
		}
	}
	for i := range e.Links {
		l := &e.Links[i]
		joins := l.Kind == fitout.RelayLink || l.Kind == fitout.LeadLink
		if from, to := find(l.From), find(l.To); joins && from >= 0 && to >= 0 && from != to &&
			s.starts(from) && !s.starts(to) && s.there(l.Item) {
			s.Systems[to].links = append(s.Systems[to].links, i)
		}
	}
	s.addLoads(find)
	s.orderSystems()
	s.logic = NewLogic(s.E)
	return s
}

// there tells whether an item comes along; what names none is there.
func (s *Setup) there(item string) bool { return item == "" || s.aboard(item) }

// There tells whether an item comes along; what names none is there.
func (s *Setup) There(item string) bool { return s.there(item) }

// Aboard tells whether the system comes along.
func (s *System) Aboard() bool { return s.aboard }

// starts tells whether a system starts the engine.
func (s *Setup) starts(system int) bool {
	kind := s.Systems[system].Def.Kind
	return kind == fitout.StartSystem || kind == fitout.ReserveSystem
}

func (s *Setup) addSources(find func(string) int, chargers map[string]int) {
	for i := range s.E.Sources {
		def := &s.E.Sources[i]
		src := source{def: def, system: find(def.System), charger: -1}
		if k, known := chargers[def.Charger]; known {
			src.charger, src.system = k, s.chargers[k].to
			s.chargers[k].sources = append(s.chargers[k].sources, i)
		}
		src.usable = src.system >= 0 && s.there(def.Item) && (src.charger < 0 || s.chargers[src.charger].usable)
		src.vehicle = src.usable && src.charger < 0 && def.Kind == fitout.Alternator && s.starts(src.system)
		s.sources = append(s.sources, src)
		if src.usable && src.charger < 0 {
			s.Systems[src.system].sources = append(s.Systems[src.system].sources, i)
		}
	}
}

func (s *Setup) addLoads(find func(string) int) {
	at := map[string]int{}
	for i := range s.E.Inverters {
		def := &s.E.Inverters[i]
		at[def.ID] = i
		system := find(def.System)
		if !s.there(def.Item) {
			system = -1
		}
		s.inverter = append(s.inverter, system)
	}
	for i := range s.E.Loads {
		def := &s.E.Loads[i]
		c := consumer{def: def, system: -1, inverter: -1}
		if k, known := at[def.Inverter]; known {
			c.inverter, c.system = k, s.inverter[k]
		} else if def.Inverter == "" {
			c.system = find(def.System)
		}
		c.usable = c.system >= 0 && !def.Others && s.there(def.Item)
		s.loads = append(s.loads, c)
	}
}

// breakRings leaves out chargers by which a system would charge itself, and names them.
func (s *Setup) breakRings() {
	const open, done = 1, 2
	state := make([]int, len(s.Systems))
	var visit func(system int)
	visit = func(system int) {
		state[system] = open
		for i := range s.chargers {
			c := &s.chargers[i]
			if !c.usable || c.from != system {
				continue
			}
			switch state[c.to] {
			case open:
				c.usable = false
				s.Rings = append(s.Rings, c.def.ID)
			case 0:
				visit(c.to)
			}
		}
		state[system] = done
	}
	for i := range s.Systems {
		if state[i] == 0 {
			visit(i)
		}
	}
}

// orderSystems puts what is fed by others before what feeds it, so that it is known what
// is drawn from the latter.
func (s *Setup) orderSystems() {
	seen := make([]bool, len(s.Systems))
	var visit func(system int)
	visit = func(system int) {
		if seen[system] {
			return
		}
		seen[system] = true
		for _, c := range s.Systems[system].feeds {
			visit(s.chargers[c].to)
		}
		s.order = append(s.order, system)
	}
	for i := range s.Systems {
		visit(i)
	}
}

// ChargerInput is the current that a charger draws, A: I_out V_out/(η V_in), η 0.9 where
// nothing is said.
func ChargerInput(out, voltsOut, voltsIn, efficiency float64) float64 {
	return out * voltsOut / (orUsual(efficiency, usualCharger) * voltsIn)
}

// InverterInput is the current that an inverter draws for a load, A: W/(η V), η 0.88 where
// nothing is said, and its standby.
func InverterInput(watts, standby, volts, efficiency float64) float64 {
	return (watts/orUsual(efficiency, usualInverter) + standby) / volts
}

// What is lost on the way where no data sheet says it. Practice.
const (
	usualCharger  = 0.9
	usualInverter = 0.88
)

func orUsual(given, usual float64) float64 {
	if given > 0 {
		return given
	}
	return usual
}
