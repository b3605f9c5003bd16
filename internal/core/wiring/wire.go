package wiring

import (
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/quantity"
)

// Kind is what is at the end of a line.
type Kind string

// The kinds of line.
const (
	MainLine     Kind = "main" // from the battery to all that hangs on it
	PanelLine    Kind = "panel"
	LoadLine     Kind = "load"
	InverterLine Kind = "inverter"
	ChargerLine  Kind = "charger" // from a charger to its battery
	InputLine    Kind = "input"   // from what feeds a charger
	SourceLine   Kind = "source"
	LinkLine     Kind = "link"
)

// Wire is a circuit made ready: as it was changed or agreed to, and for the rest as
// proposed.
type Wire struct {
	Number    int             `json:"number" doc:"on the board and its labels"`
	Of        string          `json:"of" doc:"id of what is at its end; of a charger's input with -in behind it"`
	Kind      Kind            `json:"kind" enum:"main,panel,load,inverter,charger,input,source,link"`
	Name      string          `json:"name"`
	From      string          `json:"from" doc:"id of the system or panel that feeds it"`
	FromName  string          `json:"fromName"`
	System    string          `json:"system" doc:"id of the system that it belongs to"`
	Amps      float64         `json:"amps" doc:"lasting, at the lowest working voltage, A"`
	Nominal   float64         `json:"nominal" doc:"of its system, V"`
	Length    float64         `json:"length" doc:"one way, mm"`
	LengthBy  string          `json:"lengthBy" enum:"measured,places,assumed"`
	Area      float64         `json:"area" doc:"of its copper, mm²"`
	Needs     float64         `json:"needs" doc:"thinnest that is sold that would do, mm²; 0: none is sold"`
	SoldAs    float64         `json:"soldAs" doc:"outside diameter under which such cable is sold, mm; 0: by its copper"`
	Carries   float64         `json:"carries" doc:"where it runs, A"`
	Ambient   float64         `json:"ambient" doc:"°C"`
	Drop      float64         `json:"drop" doc:"V"`
	DropShare float64         `json:"dropShare" doc:"of the nominal voltage, 0 to 1"`
	DropMost  float64         `json:"dropMost" doc:"that it may be, 0 to 1"`
	FuseKind  fitout.FuseKind `json:"fuseKind" enum:"none,blade,maxi,midi,mega,class-t"`
	Fuse      float64         `json:"fuse" doc:"A"`
	Far       bool            `json:"far" doc:"its other end can feed too"`
	FarFuse   float64         `json:"farFuse" doc:"fuse there, A; 0: none"`
	Short     float64         `json:"short" doc:"current into a short circuit at its fuse, A; −1: nobody knows, and it may be any"`
	Mass      float64         `json:"mass" doc:"of its cable, kg"`
	Proposed  bool            `json:"proposed" doc:"nothing of it was changed or agreed to"`
	Others    bool            `json:"others" doc:"another workshop finishes it: tagged and locked out"`

	given    fitout.Circuit
	item     string // at its end
	fromItem string
	full     float64 // V, when charging
	body     bool
	limited  bool // a class T fuse stands before it
}

// Board is a plan's wiring, worked out once.
type Board struct {
	*power.Look
	Lines  []Wire
	Orphan []string // ids of circuits that were kept and lead to nothing any more
}

// BoardOf works out the wiring of a plan once.
func BoardOf(p *plan.Plan) *Board {
	return plan.Once(p, func(p *plan.Plan) *Board {
		b := &Board{Look: power.LookAt(p)}
		b.gather()
		b.addMains()
		for i := range b.Lines {
			if b.Lines[i].Kind != MainLine {
				b.complete(&b.Lines[i])
			}
		}
		for i := range b.Lines {
			b.Lines[i].Number = i + 1
		}
		known := map[string]bool{}
		for i := range b.Lines {
			known[b.Lines[i].Of] = true
		}
		for i := range b.E.Circuits {
			if !known[b.E.Circuits[i].Of] {
				b.Orphan = append(b.Orphan, b.E.Circuits[i].Of)
			}
		}
		return b
	})
}

// heavy is the current from which a line starts at the battery and not at a panel, A.
const heavy = 40

// gather finds every line that there has to be.
func (b *Board) gather() {
	for i := range b.E.Systems {
		s := &b.E.Systems[i]
		if b.Setup.Systems[i].Aboard() {
			for k := range b.E.Panels {
				if p := &b.E.Panels[k]; p.System == s.ID {
					b.add(s, Wire{Of: p.ID, Kind: PanelLine, Name: p.Name, DropMost: steady, item: p.Item})
				}
			}
			b.loads(i, s)
			b.inverters(s)
			b.chargers(s)
		}
	}
	b.links()
}

// What a circuit may lose of its nominal voltage: charging, cooling and electronics; lights,
// pumps and the rest.
const (
	steady = 0.03
	easy   = 0.10
)

func (b *Board) loads(system int, s *fitout.PowerSystem) {
	for k := range b.E.Loads {
		d := &b.E.Loads[k]
		if d.System != s.ID || d.Inverter != "" || d.Port != "" || !b.Setup.There(d.Item) {
			continue
		}
		watts := d.Watts
		if watts == 0 && d.Heat != nil {
			watts = 3 * d.Heat.Mean // while it runs: about a third of the time
		}
		line := Wire{Of: d.ID, Kind: LoadLine, Name: d.Name, DropMost: easy, item: d.Item, Others: d.Others,
			Amps: watts * d.Count / power.WorkingVoltage(s, power.LowLoad)}
		if d.Electronic || d.Use == fitout.UseHeat {
			line.DropMost = steady
		}
		b.add(s, line)
	}
}

func (b *Board) inverters(s *fitout.PowerSystem) {
	for k := range b.E.Inverters {
		d := &b.E.Inverters[k]
		if d.System != s.ID || s.Kind == fitout.StationSystem || !b.Setup.There(d.Item) {
			continue
		}
		b.add(s, Wire{Of: d.ID, Kind: InverterLine, Name: d.Name, DropMost: steady, item: d.Item,
			Amps: power.InverterInput(d.Watts, d.Standby, power.WorkingVoltage(s, power.LowInverter), d.Efficiency)})
	}
}

// chargers are those that charge a system, what feeds them, and sources that need none.
func (b *Board) chargers(s *fitout.PowerSystem) {
	for k := range b.E.Chargers {
		d := &b.E.Chargers[k]
		if d.System != s.ID || !b.Setup.There(d.Item) {
			continue
		}
		if d.Port == "" {
			b.add(s, Wire{Of: d.ID, Kind: ChargerLine, Name: d.Name, DropMost: steady, item: d.Item, Amps: d.Amps})
		}
		if from := b.systemOf(d.From); from != nil {
			b.add(from, Wire{Of: d.ID + "-in", Kind: InputLine, Name: d.Name + ", input", DropMost: steady, item: d.Item,
				Amps: power.ChargerInput(d.Amps, power.Charging(s), power.WorkingVoltage(from, power.LowCharger), d.Efficiency)})
		}
	}
	for k := range b.E.Sources {
		d := &b.E.Sources[k]
		if !b.Setup.There(d.Item) || d.Kind == fitout.Mains || d.Kind == fitout.Generator {
			continue
		}
		through := slices.IndexFunc(b.E.Chargers, func(c fitout.Charger) bool { return c.ID == d.Charger })
		switch {
		case through >= 0 && b.E.Chargers[through].System == s.ID && d.Kind == fitout.Solar:
			line := Wire{Of: d.ID, Kind: SourceLine, Name: d.Name, DropMost: steady, item: d.Item,
				fromItem: b.E.Chargers[through].Item, Amps: d.Watts / panelVolts(d)}
			line.From, line.FromName, line.System = d.Charger, b.E.Chargers[through].Name, s.ID
			b.Lines = append(b.Lines, line)
		case through < 0 && d.System == s.ID && (s.Kind == fitout.HouseSystem || s.Kind == fitout.TrailerSystem):
			amps := d.Amps
			if amps == 0 {
				amps = d.Watts / power.Charging(s)
			}
			b.add(s, Wire{Of: d.ID, Kind: SourceLine, Name: d.Name, DropMost: steady, item: d.Item, Amps: amps})
		}
	}
}

// panelVolts is the voltage at which a panel works, V: 0.82 of its open voltage, 18 V where
// nobody says it.
func panelVolts(d *fitout.PowerSource) float64 {
	if d.Open > 0 {
		return 0.82 * d.Open
	}
	return 18
}

// usualLink is what a link between two systems carries where its rating is not said, A.
const usualLink = 100

func (b *Board) links() {
	for k := range b.E.Links {
		d := &b.E.Links[k]
		from, to := b.systemOf(d.From), b.systemOf(d.To)
		if from == nil || to == nil || !b.Setup.There(d.Item) {
			continue
		}
		line := Wire{Of: d.ID, Kind: LinkLine, Name: d.Name, DropMost: steady, item: to.Item, Far: true, Amps: d.Amps}
		if d.Amps == 0 {
			line.Amps = usualLink
		}
		b.add(from, line)
	}
}

func (b *Board) systemOf(id string) *fitout.PowerSystem {
	for i := range b.E.Systems {
		if b.E.Systems[i].ID == id && b.Setup.Systems[i].Aboard() {
			return &b.E.Systems[i]
		}
	}
	return nil
}

// add gives a line to a system, from what feeds it.
func (b *Board) add(s *fitout.PowerSystem, line Wire) {
	line.System, line.From, line.FromName, line.fromItem = s.ID, s.ID, s.Name, s.Item
	if given := b.given(line.Of); given != nil && given.From != "" && given.From != line.Of {
		if p := b.panel(given.From); p != nil && p.System == s.ID {
			line.From, line.FromName, line.fromItem = p.ID, p.Name, p.Item
		}
	} else if line.Kind == LoadLine && line.Amps <= heavy {
		if p := b.nearest(s.ID, line.item); p != nil {
			line.From, line.FromName, line.fromItem = p.ID, p.Name, p.Item
		}
	}
	b.Lines = append(b.Lines, line)
}

func (b *Board) given(of string) *fitout.Circuit {
	for i := range b.E.Circuits {
		if b.E.Circuits[i].Of == of {
			return &b.E.Circuits[i]
		}
	}
	return nil
}

func (b *Board) panel(id string) *fitout.SwitchPanel {
	for i := range b.E.Panels {
		if b.E.Panels[i].ID == id {
			return &b.E.Panels[i]
		}
	}
	return nil
}

// nearest is the panel of a system that is nearest to an item, or the first, or nil.
func (b *Board) nearest(system, item string) *fitout.SwitchPanel {
	var best *fitout.SwitchPanel
	shortest := math.Inf(1)
	for i := range b.E.Panels {
		p := &b.E.Panels[i]
		if p.System != system {
			continue
		}
		mm, known := b.along(p.Item, item)
		if !known {
			mm = 1e9
		}
		if mm < shortest {
			best, shortest = p, mm
		}
	}
	return best
}

// along is how far apart two items are along the three axes, mm; false where one has no
// place.
func (b *Board) along(from, to string) (float64, bool) {
	i, k := b.Index(from), b.Index(to)
	if i < 0 || k < 0 {
		return 0, false
	}
	p, q := b.Items[i].At, b.Items[k].At
	return math.Abs(p.X-q.X) + math.Abs(p.Y-q.Y) + math.Abs(p.Z-q.Z), true
}

// How a length is found by places: along the three axes, a share more for the way round,
// and what a slide takes; where nothing has a place, a usual length, mm.
const (
	wayRound    = 1.15
	usualLength = 3000
	mainLength  = 400
	shortestWay = 300
)

// length is how long the cable of a line is, one way, mm, and how that is known.
func (b *Board) length(line *Wire) (mm float64, by string) {
	if line.given.Length > 0 {
		return line.given.Length, "measured"
	}
	if line.Kind == MainLine {
		return mainLength, "assumed"
	}
	mm, known := b.along(line.fromItem, line.item)
	if !known {
		return usualLength, "assumed"
	}
	return max(shortestWay, mm*wayRound) + b.slideTakes(line.item), "places"
}

// slideTakes is what a slide takes of a cable, mm: half its travel where the cable is folded
// or in a chain, all of it where it is taken up elastically.
func (b *Board) slideTakes(item string) float64 {
	i := b.Index(item)
	if i < 0 {
		return 0
	}
	of := &b.Items[i]
	if of.In != nil {
		if k := b.Index(of.In.Module); k >= 0 {
			of = &b.Items[k]
		}
	}
	if of.Module == nil || !slides[of.Module.Kind] {
		return 0
	}
	travel := of.Module.Travel
	if travel == 0 {
		travel = module.Depth(of)
	}
	if of.Module.Follows == fitout.Elastic {
		return travel
	}
	return travel / 2
}

// slides are the kinds whose contents travel.
var slides = map[fitout.ModuleKind]bool{
	fitout.FridgeSlide: true, fitout.Pantry: true, fitout.SlideTable: true, fitout.KitchenSlide: true, fitout.Drawers: true,
	fitout.Trundle: true,
}

// complete works out cable and fuse of a line.
func (b *Board) complete(line *Wire) {
	if given := b.given(line.Of); given != nil {
		line.given = *given
	}
	c := &line.given
	s := b.systemOf(line.System)
	line.Proposed = c.Of == ""
	line.Nominal, line.full, line.body = power.Nominal(s), power.Charging(s)*1.03, c.Body
	if line.Kind == PanelLine {
		line.Amps = b.onPanel(line.Of)
	}
	line.Length, line.LengthBy = b.length(line)
	line.Ambient = Ambient(c.Hot)
	main := b.main(line.System)
	line.limited = main != nil && line.Kind != MainLine && main.FuseKind == fitout.ClassTFuse
	b.propose(line)
	if c.Area > 0 {
		line.Area = c.Area
	}
	line.Carries, _ = Capacity(line.Area, c.Insulation, line.Ambient, c.Bundle)
	if c.FuseKind != "" {
		line.FuseKind = c.FuseKind
		if f := fuseOf(c.FuseKind); f != nil {
			line.Fuse, _ = f.size(line.Amps * fuseMargin)
		} else {
			line.Fuse = 0
		}
	}
	if c.Fuse > 0 && line.FuseKind != fitout.NoFuse {
		line.Fuse = c.Fuse
	}
	if line.Far && !c.NoFarFuse {
		line.FarFuse = line.Fuse
		if c.FarFuse > 0 {
			line.FarFuse = c.FarFuse
		}
	}
	if line.Area > 0 {
		line.Drop = Drop(line.Length/1000, line.Amps, line.Area, line.Ambient, line.body)
	}
	line.DropShare = line.Drop / line.Nominal
	line.SoldAs = SoldAs(line.Area)
	ways := 2.0
	if line.body {
		ways = 1
	}
	line.Mass = kilograms(line.Area) * line.Length / 1000 * ways
}

// onPanel is what all circuits of a panel take together, A, at most what it carries.
func (b *Board) onPanel(id string) float64 {
	amps := 0.0
	for i := range b.Lines {
		if line := &b.Lines[i]; line.From == id {
			amps += line.Amps
		}
	}
	if p := b.panel(id); p.Amps > 0 {
		amps = min(amps, p.Amps)
	}
	return amps
}

// propose finds the thinnest cable that is sold that loses no more than it may and carries
// the fuse that its current wants, and that fuse. Where none does, it is the thickest, and
// Needs is 0.
func (b *Board) propose(line *Wire) {
	c := &line.given
	sold := Areas
	if b.Say.Units == quantity.US {
		sold = gauges
	}
	line.Short = b.short(line)
	short := line.Short
	if short < 0 {
		short = math.Inf(1)
	}
	if line.limited {
		short = 0
	}
	kind, size, made := FuseFor(line.Amps, short, line.full)
	line.FuseKind, line.Fuse = kind, size
	wants := size
	if !made {
		wants = line.Amps * fuseMargin
	}
	if c.Fuse > 0 {
		wants = max(wants, c.Fuse)
	}
	for _, area := range sold {
		carried, err := Capacity(area, c.Insulation, line.Ambient, c.Bundle)
		if err != nil || carried < wants {
			continue
		}
		if Drop(line.Length/1000, line.Amps, area, line.Ambient, c.Body) <= line.DropMost*line.Nominal {
			line.Area, line.Needs = area, area
			return
		}
	}
	line.Area = sold[len(sold)-1]
}

// short is the current into a short circuit at the fuse of a line, A, or −1 where nobody
// knows the resistance of the battery and nothing limits it.
func (b *Board) short(line *Wire) float64 {
	s := b.systemOf(line.System)
	battery := s.Battery.Resistance / 1000
	cable := 0.0
	if line.From != line.System {
		for i := range b.Lines {
			if feed := &b.Lines[i]; feed.Of == line.From && feed.Area > 0 {
				cable = Resistance(2*feed.Length/1000, feed.Area, 20)
			}
		}
	}
	if battery == 0 && s.Battery.Chemistry != fitout.LFP {
		battery = leadResistance(&s.Battery)
	}
	if amps := ShortCircuit(line.full, battery, cable); battery > 0 && !math.IsInf(amps, 1) {
		return amps
	}
	return -1
}

// leadResistance is that of lead where nobody says it, Ω: about 8 mΩ of 100 Ah. Practice.
func leadResistance(b *fitout.Battery) float64 { return 0.8 / power.Capacity(b) }

// addMains puts before each battery of a house or trailer the line that all of it goes
// over.
func (b *Board) addMains() {
	var mains []Wire
	for i := range b.E.Systems {
		s := &b.E.Systems[i]
		if !b.Setup.Systems[i].Aboard() || s.Kind != fitout.HouseSystem && s.Kind != fitout.TrailerSystem {
			continue
		}
		out, in := 0.0, 0.0
		for k := range b.Lines {
			line := &b.Lines[k]
			if line.From != s.ID {
				continue
			}
			if line.Kind == PanelLine {
				line.Amps = b.onPanel(line.Of)
			}
			if line.Kind == ChargerLine || line.Kind == SourceLine {
				in += line.Amps
			} else {
				out += line.Amps
			}
		}
		if out+in == 0 {
			continue
		}
		amps := min(max(out, in), max(in, power.MostDischarge(&s.Battery)))
		line := Wire{Of: s.ID, Kind: MainLine, Name: s.Name + ", main", From: s.ID, FromName: s.Name, System: s.ID,
			DropMost: steady, Amps: amps, item: s.Item, fromItem: s.Item}
		b.complete(&line)
		mains = append(mains, line)
	}
	b.Lines = append(mains, b.Lines...)
}
