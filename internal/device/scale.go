package device

import (
	"bytes"
	"encoding/json"
	"fmt"
	"math"
	"slices"
	"strings"
	"time"
)

// ScaleReading is one line of a scale: what one of its channels reads.
type ScaleReading struct {
	At         time.Time `json:"at" doc:"by the scale's clock"`
	Channel    string    `json:"channel" enum:"platform,axle,front-left,front-right,rear-left,rear-right" doc:"which of its plates or pads"`
	Kg         float64   `json:"kg" doc:"kg; negative below its zero"`
	Steady     bool      `json:"steady" doc:"it has settled"`
	Zero       bool      `json:"zero" doc:"it stands at its zero"`
	Overload   bool      `json:"overload" doc:"more is on it than it can weigh"`
	Unit       string    `json:"unit" doc:"kg or lb, in which the scale itself counts; kg is in kg all the same"`
	Resolution float64   `json:"resolution" doc:"its smallest step, kg"`
	Class      float64   `json:"class" doc:"standard uncertainty of one reading by its class, kg; 0 = not known"`
	Battery    float64   `json:"battery" doc:"0 to 1"`
	Simulated  bool      `json:"simulated" doc:"it is a simulated scale, which can be loaded by an order"`
}

// Channels are those that a scale may have.
var Channels = []string{"platform", "axle", "front-left", "front-right", "rear-left", "rear-right"}

// ParseScale reads one line of a scale. It refuses, saying what would be accepted: what is no JSON object of these
// fields, a channel that nobody knows, and figures out of range.
func ParseScale(line []byte) (ScaleReading, error) {
	var r ScaleReading
	decoder := json.NewDecoder(bytes.NewReader(line))
	decoder.DisallowUnknownFields()
	if err := decoder.Decode(&r); err != nil {
		return r, fmt.Errorf(
			"a line is no reading of a scale (%w); accepted is one JSON object with at, channel, kg, steady",
			err,
		)
	}
	if r.At.IsZero() || r.At.Year() < 2000 || r.At.Year() > 2200 {
		return r, fmt.Errorf("a reading has no time; accepted is at, such as 2026-05-01T06:30:00+10:00")
	}
	if !slices.Contains(Channels, r.Channel) {
		return r, fmt.Errorf("channel is %q; accepted are %s", short(r.Channel), strings.Join(Channels, ", "))
	}
	if r.Unit != "" && r.Unit != "kg" && r.Unit != "lb" {
		return r, fmt.Errorf("unit is %q; accepted are kg and lb", short(r.Unit))
	}
	for _, figure := range []struct {
		name      string
		value     float64
		low, high float64
	}{{"kg", r.Kg, -1000, 100_000}, {"resolution", r.Resolution, 0, 1000}, {"class", r.Class, 0, 1000}, {"battery", r.Battery, 0, 1}} {
		if math.IsNaN(figure.value) || figure.value < figure.low || figure.value > figure.high {
			return r, fmt.Errorf("%s is %v; accepted is %v to %v", figure.name, figure.value, figure.low, figure.high)
		}
	}
	return r, nil
}

// ScaleOrder is a line that is sent to a scale: set it to zero; a simulated one is also loaded by it.
type ScaleOrder struct {
	Do string             `json:"do"` // zero, or put
	Kg map[string]float64 `json:"kg,omitempty"`
}

// PlateState is what there is to know of one channel of a scale.
type PlateState struct {
	Channel    string  `json:"channel" enum:"platform,axle,front-left,front-right,rear-left,rear-right"`
	Kg         float64 `json:"kg" doc:"as the scale reads it, kg"`
	Steady     bool    `json:"steady" doc:"settled, and not caught moving while it says so"`
	Overload   bool    `json:"overload"`
	Zero       bool    `json:"zero"`
	Resolution float64 `json:"resolution" doc:"kg"`
	Class      float64 `json:"class" doc:"kg; 0 = not known"`
	Battery    float64 `json:"battery" doc:"0 to 1"`
	Fresh      bool    `json:"fresh" doc:"it was read within the last two seconds"`
	Doubt      string  `json:"doubt" doc:"why it is not to be believed; empty for nothing"`
	Line       string  `json:"line" doc:"as it came"`
}

// Plates watches what a scale sends, and doubts what does not go together.
type Plates struct {
	of        map[string]*plate
	simulated bool
}

type plate struct {
	last    ScaleReading
	before  float64
	heard   time.Time
	line    string
	first   float64 // its resolution when it was heard first, kg
	unquiet time.Time
}

// unquietFor is how long a plate is not believed after it was caught moving, and freshFor how long a reading is fresh.
const (
	unquietFor = 1500 * time.Millisecond
	freshFor   = 2 * time.Second
)

// Hear takes a reading in.
func (p *Plates) Hear(r ScaleReading, line []byte, now time.Time) {
	if p.of == nil {
		p.of = map[string]*plate{}
	}
	c := p.of[r.Channel]
	if c == nil {
		c = &plate{first: r.Resolution, before: r.Kg}
		p.of[r.Channel] = c
	} else {
		c.before = c.last.Kg
	}
	// A steady scale moves by a step or two of its own.
	if r.Steady && c.last.Steady && math.Abs(r.Kg-c.before) > max(2*r.Resolution, 0.002*math.Abs(r.Kg))+1e-9 {
		c.unquiet = now
	}
	p.simulated = r.Simulated
	c.last, c.heard, c.line = r, now, strings.ToValidUTF8(string(line), "�")
}

// States are what there is to know of every channel that was heard, in their order.
func (p *Plates) States(now time.Time) []PlateState {
	all := []PlateState{}
	for _, name := range Channels {
		c := p.of[name]
		if c == nil {
			continue
		}
		r := &c.last
		s := PlateState{
			Channel:    name,
			Kg:         r.Kg,
			Overload:   r.Overload,
			Zero:       r.Zero,
			Resolution: r.Resolution,
			Class:      r.Class,
			Battery:    r.Battery,
			Fresh:      now.Sub(c.heard) < freshFor,
			Line:       c.line,
		}
		switch {
		case r.Overload:
			s.Doubt = "more is on it than it can weigh; take it off"
		case now.Sub(c.unquiet) < unquietFor:
			s.Doubt = "it says that it is steady, and moves"
		case r.Resolution != c.first:
			s.Doubt = fmt.Sprintf(
				"it came back with steps of %v kg instead of %v; set it to zero and look at it",
				r.Resolution,
				c.first,
			)
		case r.Kg < -max(0.5, 2*r.Resolution):
			s.Doubt = "it reads below its zero; set it to zero with nothing on it"
		}
		s.Steady = r.Steady && s.Fresh && s.Doubt == ""
		all = append(all, s)
	}
	return all
}

// Simulated tells whether the scale says that it is simulated.
func (p *Plates) Simulated() bool { return p.simulated }

// Believe takes a channel's present resolution for its own, after somebody looked at it.
func (p *Plates) Believe() {
	for _, c := range p.of {
		c.first = c.last.Resolution
	}
}
