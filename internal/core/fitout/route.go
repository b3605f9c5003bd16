package fitout

import (
	"fmt"
	"math"
	"strconv"
	"strings"
)

// Route is the way of the trip that the build is for: stops in their order, each with the leg
// that leads on from it. Variants share it; what each fills where is theirs.
type Route struct {
	Stops   []RouteStop `json:"stops" key:"id" order:"meant" maxItems:"200" doc:"from the start to the end"`
	Begins  Weekday     `json:"begins" enum:",mon,tue,wed,thu,fri,sat,sun" doc:"day of the week of the start; empty: not said"`
	Reserve FuelReserve `json:"reserve" doc:"fuel that is never planned with: the most of the three"`
	Mass    float64     `json:"mass" minimum:"0" maximum:"100000" unit:"kg" doc:"gross at which the consumption of the brief was found, kg; 0 = not said: mass changes nothing"`
	ByMass  float64     `json:"byMass" minimum:"0" maximum:"2" doc:"how far consumption follows the gross; practice 0.3; 0 turns it off"`
	Idle    float64     `json:"idle" minimum:"0" maximum:"50" unit:"L/h" doc:"fuel of the engine standing, litres an hour"`
	Track   string      `json:"track" maxLength:"40000" doc:"the line of the way, thinned for drawing: latitude,longitude,km of each point with blanks between; empty where the way was typed"`
}

// Weekday is a day of the week; empty where nobody said which.
type Weekday string

// Weekdays are the days from Monday on.
var Weekdays = []Weekday{"mon", "tue", "wed", "thu", "fri", "sat", "sun"}

// FuelReserve is fuel that is never planned with, beside the litres that the brief assumes: of the
// three forms the most counts.
type FuelReserve struct {
	Distance float64 `json:"distance" minimum:"0" maximum:"5000" unit:"km" doc:"so many km at what the leg takes"`
	Share    float64 `json:"share" minimum:"0" maximum:"0.9" doc:"of what can be used of all fuel tanks, 0 to 0.9"`
}

// RouteStop is a place on the way where something can be had, or where one camps.
type RouteStop struct {
	ID     string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string    `json:"name" minLength:"1" maxLength:"120"`
	Place  *Place    `json:"place,omitempty" doc:"where it lies; absent where nobody said"`
	Sure   Sureness  `json:"sure" enum:"sure,unsure,shut" doc:"whether what it has will be there"`
	Closed []Closed  `json:"closed" key:"day" maxItems:"7" doc:"days of the week on which nothing can be had"`
	Fuels  []FuelHad `json:"fuels" key:"fuel" maxItems:"4" doc:"fuel that can be had"`
	Water  WaterHad  `json:"water" enum:"none,hose,carried"`
	Wash   bool      `json:"wash" doc:"its water is for washing only, not fit to drink"`
	Gas    bool      `json:"gas" doc:"gas bottles are filled or exchanged"`
	Mains  bool      `json:"mains" doc:"mains power"`
	Food   bool      `json:"food" doc:"food can be bought"`
	Dump   bool      `json:"dump" doc:"waste can be emptied"`
	Shower bool      `json:"shower" doc:"showers"`
	Nights float64   `json:"nights" minimum:"0" maximum:"60" doc:"nights spent here"`
	Cold   *Cold     `json:"cold,omitempty" doc:"coldest night here; absent: as in the brief"`
	Note   string    `json:"note" maxLength:"1000"`
	Leg    Leg       `json:"leg" doc:"the way on from here; of the last stop nothing"`
}

// Place is a place on the earth.
type Place struct {
	Latitude  float64 `json:"latitude" minimum:"-90" maximum:"90" unit:"°" doc:"degrees north"`
	Longitude float64 `json:"longitude" minimum:"-180" maximum:"180" unit:"°" doc:"degrees east"`
}

// Cold is how cold it gets.
type Cold struct {
	Night float64 `json:"night" minimum:"-60" maximum:"60" unit:"°C" doc:"°C"`
}

// Closed is a day of the week on which a stop is closed.
type Closed struct {
	Day Weekday `json:"day" enum:"mon,tue,wed,thu,fri,sat,sun"`
}

// Sureness is how sure it is that what a stop has will be there.
type Sureness string

// Sure, perhaps, and not at all.
const (
	Sure   Sureness = "sure"
	Unsure Sureness = "unsure"
	Shut   Sureness = "shut"
)

// Fuel is a kind of fuel.
type Fuel string

// The fuels of an engine; empty where nobody said.
const (
	NoFuel Fuel = ""
	Diesel Fuel = "diesel"
	Petrol Fuel = "petrol"
)

// FuelHad is fuel that can be had at a stop.
type FuelHad struct {
	Fuel  Fuel `json:"fuel" enum:"diesel,petrol"`
	Price int  `json:"price" minimum:"0" maximum:"10000000" doc:"of a litre, in 1/10 000 of the brief's currency; 0 = not known"`
}

// WaterHad is how water can be had at a stop.
type WaterHad string

// No water, from a hose, or carried by the jug.
const (
	NoWater   WaterHad = "none"
	ByHose    WaterHad = "hose"
	ByCarried WaterHad = "carried"
)

// Leg is the way from one stop to the next.
type Leg struct {
	Km       float64      `json:"km" minimum:"0" maximum:"20000" unit:"km" doc:"km"`
	Hours    float64      `json:"hours" minimum:"0" maximum:"200" unit:"h" doc:"driving, h; 0 = not said"`
	Surfaces []LegSurface `json:"surfaces" key:"surface" maxItems:"20" doc:"shares of the surfaces of the brief; none: as in the brief"`
	Wind     float64      `json:"wind" minimum:"0" maximum:"1" doc:"fuel that head wind takes more, as a share of it"`
	Towing   LegTowing    `json:"towing" enum:",with,without" doc:"empty: as in the state shown"`
	Idle     float64      `json:"idle" minimum:"0" maximum:"200" unit:"h" doc:"engine on while standing, h"`
}

// LegSurface is the share of one surface of the brief.
type LegSurface struct {
	Surface string  `json:"surface" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a surface of the brief; one that is gone is passed over"`
	Share   float64 `json:"share" minimum:"0" maximum:"100" unit:"%" doc:"%; all together count as the whole"`
}

// LegTowing is whether the trailer is on during a leg.
type LegTowing string

// As in the state shown, with it, without it.
const (
	TowAsShown LegTowing = ""
	TowWith    LegTowing = "with"
	TowWithout LegTowing = "without"
)

// StopFill is what a tank or vessel holds when a stop is left, where somebody decided that. All
// others are filled, or emptied of waste, wherever a stop that is sure has what they hold.
type StopFill struct {
	Stop   string  `json:"stop" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a stop of the route; one that is gone is passed over"`
	Of     string  `json:"of" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a tank or of a level item; one that is gone is passed over"`
	Litres float64 `json:"litres" minimum:"0" maximum:"5000" unit:"L" doc:"on leaving; less than is there: nothing is filled in"`
}

// NewRoute is a route without stops, with the usual figures of the trade.
func NewRoute() Route { return Route{Stops: []RouteStop{}, ByMass: 0.3, Idle: 1.5} }

// NewStop is a stop that has nothing.
func NewStop(id, name string) RouteStop {
	return RouteStop{ID: id, Name: name, Sure: Sure, Closed: []Closed{}, Fuels: []FuelHad{}, Water: NoWater,
		Leg: Leg{Surfaces: []LegSurface{}}}
}

// TrackPoint is a point of the line of a way.
type TrackPoint struct {
	Place
	Km float64 // from the start along the way
}

// ParseTrack reads the line of a way as a route keeps it: "latitude,longitude,km" of each point
// with blanks between, km never falling. It refuses what is written otherwise.
func ParseTrack(text string) ([]TrackPoint, error) {
	var points []TrackPoint
	for word := range strings.FieldsSeq(text) {
		figures := strings.Split(word, ",")
		var v [3]float64
		bad := len(figures) != len(v)
		for i := range v {
			if bad {
				break
			}
			value, err := strconv.ParseFloat(figures[i], 64)
			v[i], bad = value, err != nil || math.IsNaN(value) || math.IsInf(value, 0)
		}
		if bad || math.Abs(v[0]) > 90 || math.Abs(v[1]) > 180 || v[2] < 0 ||
			len(points) > 0 && v[2] < points[len(points)-1].Km {
			return nil, fmt.Errorf("point %d is %q; accepted is latitude,longitude,km with the km never falling",
				len(points)+1, word)
		}
		points = append(points, TrackPoint{Place{v[0], v[1]}, v[2]})
	}
	return points, nil
}

// FormatTrack is the text of a line that ParseTrack reads: places to about a metre, km to 10 m.
func FormatTrack(points []TrackPoint) string {
	var text strings.Builder
	for i, p := range points {
		if i > 0 {
			text.WriteByte(' ')
		}
		fmt.Fprintf(&text, "%s,%s,%s", plain(math.Round(p.Latitude*1e5)/1e5), plain(math.Round(p.Longitude*1e5)/1e5),
			plain(math.Round(p.Km*100)/100))
	}
	return text.String()
}

// Km is how long the way is, km.
func (r *Route) Km() float64 {
	sum := 0.0
	for i := range r.Stops {
		if i < len(r.Stops)-1 {
			sum += r.Stops[i].Leg.Km
		}
	}
	return sum
}

// FuelOf is the kind of fuel that weighs so much, kg/L: diesel is about 0.84, petrol about 0.745.
func FuelOf(density float64) Fuel {
	if density >= 0.8 {
		return Diesel
	}
	return Petrol
}

// Density is what a kind of fuel weighs unless said otherwise, kg/L.
func (f Fuel) Density() float64 {
	if f == Diesel {
		return 0.84
	}
	return 0.745
}

// EngineFuel is what the engine burns: as it is said, or by the density of the first fuel tank.
func (v *Vehicle) EngineFuel() Fuel {
	if v.Fuel != NoFuel {
		return v.Fuel
	}
	for i := range v.Tanks {
		if v.Tanks[i].Kind == TankFuel {
			return FuelOf(v.Tanks[i].Density)
		}
	}
	return NoFuel
}
