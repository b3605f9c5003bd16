package wiring

import (
	"math"

	"zaino/internal/core/fitout"
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
	End       string          `json:"end" doc:"id of the item at its end; empty for none"`
	Path      []fitout.Point  `json:"path" doc:"along the three axes from what feeds it to its end; empty where one has no place"`

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

func (b *Board) systemOf(id string) *fitout.PowerSystem {
	for i := range b.E.Systems {
		if b.E.Systems[i].ID == id && b.Setup.Systems[i].Aboard() {
			return &b.E.Systems[i]
		}
	}
	return nil
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
	line.End, line.Path = line.item, b.path(line)
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
