package fitout

// PowerLoad is what runs on a system.
type PowerLoad struct {
	ID         string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name       string    `json:"name" minLength:"1" maxLength:"120"`
	System     string    `json:"system" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the system that feeds it, where no inverter is named"`
	Inverter   string    `json:"inverter" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the inverter that feeds it with mains voltage"`
	Port       string    `json:"port" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the socket of a power station"`
	Count      float64   `json:"count" minimum:"1" maximum:"200" doc:"how many alike"`
	Watts      float64   `json:"watts" minimum:"0" maximum:"20000" unit:"W" doc:"of one while it runs, W"`
	Use        LoadUse   `json:"use" enum:"spans,heat,events" doc:"how its energy is counted"`
	Spans      []Span    `json:"spans" key:"id" maxItems:"24" doc:"for use spans"`
	Heat       *HeatUse  `json:"heat,omitempty" doc:"for use heat"`
	EventWh    float64   `json:"eventWh" minimum:"0" maximum:"100000" unit:"Wh" doc:"for use events: of each, Wh"`
	Events     float64   `json:"events" minimum:"0" maximum:"1000" doc:"for use events: how many a day, spread over the day"`
	Standby    float64   `json:"standby" minimum:"0" maximum:"1000" unit:"W" doc:"that it draws while it waits, W"`
	StandbyOff bool      `json:"standbyOff" doc:"a switch in reach ends its standby"`
	Surge      float64   `json:"surge" minimum:"0" maximum:"50000" unit:"W" doc:"of one for a moment when it starts, W; 0 = none"`
	Least      float64   `json:"least" minimum:"0" maximum:"60" unit:"V" doc:"voltage below which it does not work, V; 0 = not said"`
	Shed       float64   `json:"shed" minimum:"0" maximum:"1" doc:"state of charge below which it is dropped, 0 to 1; 0 = never"`
	Essential  bool      `json:"essential" doc:"must never drop"`
	Electronic bool      `json:"electronic" doc:"wants a steady voltage: cooling, charging, electronics"`
	Sleeping   bool      `json:"sleeping" doc:"runs while people sleep beside it"`
	Noise      float64   `json:"noise" minimum:"0" maximum:"130" doc:"of one at 1 m while it runs, dB; 0 = not said"`
	Light      *LightUse `json:"light,omitempty" doc:"where it is a light"`
	Switched   string    `json:"switched" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the panel that it is switched from; empty: at itself"`
	Others     bool      `json:"others" doc:"another workshop finishes it; it is tagged and locked out until then"`
	Item       string    `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
}

// LoadUse is how the energy of a load is counted.
type LoadUse string

// The uses of a load.
const (
	UseSpans  LoadUse = "spans"  // at hours of the day
	UseHeat   LoadUse = "heat"   // by the temperature where it stands
	UseEvents LoadUse = "events" // each time
)

// HeatUse is the draw of what cools, by the temperature where it stands.
type HeatUse struct {
	Mean    float64 `json:"mean" minimum:"0" maximum:"5000" unit:"W" doc:"mean draw of its data sheet, W"`
	At      float64 `json:"at" minimum:"-20" maximum:"60" unit:"°C" doc:"temperature around it of which the data sheet speaks, °C, usually 32"`
	AtInner float64 `json:"atInner" minimum:"-40" maximum:"30" unit:"°C" doc:"and inside, °C, usually 4"`
	Inner   float64 `json:"inner" minimum:"-40" maximum:"40" unit:"°C" doc:"temperature that it is set to, °C"`
	Opened  bool    `json:"opened" doc:"its door is opened often"`
	Saves   float64 `json:"saves" minimum:"0" maximum:"0.9" doc:"share that moving its air was measured to save"`
	Warmer  float64 `json:"warmer" minimum:"-40" maximum:"60" unit:"°C" doc:"than the air outside, where it stands, degrees"`
	Warm    float64 `json:"warm" minimum:"0" maximum:"1000" unit:"kg" doc:"put in warm each day, to be cooled down, kg"`
	Frozen  float64 `json:"frozen" minimum:"0" maximum:"1000" unit:"kg" doc:"of that, to be frozen, kg"`
	Thaws   bool    `json:"thaws" doc:"what is in it must not thaw or spoil: it may never warm up"`
}

// LightUse is what a lamp gives, and where.
type LightUse struct {
	Lumens  float64   `json:"lumens" minimum:"0" maximum:"100000" doc:"of one, lm"`
	Beam    float64   `json:"beam" minimum:"5" maximum:"360" unit:"°" doc:"full angle of its beam, °"`
	Colour  float64   `json:"colour" minimum:"0" maximum:"10000" doc:"colour temperature, K; 0 = not said"`
	Dimmed  float64   `json:"dimmed" minimum:"0" maximum:"1" doc:"share of its light that is used; 0 = all"`
	Zone    LightZone `json:"zone" enum:"bench,bed,ground,inside" doc:"what it lights"`
	Away    float64   `json:"away" minimum:"50" maximum:"10000" unit:"mm" doc:"from what it lights, mm"`
	Ends    float64   `json:"ends" minimum:"1" maximum:"10" doc:"places from which it is switched"`
	AtSleep bool      `json:"atSleep" doc:"one of them is in reach from the bed"`
}

// LightZone is what a lamp lights.
type LightZone string

// The zones.
const (
	LightBench  LightZone = "bench"
	LightBed    LightZone = "bed"
	LightGround LightZone = "ground"
	LightInside LightZone = "inside"
)

// PowerDays are the days over which power is counted.
type PowerDays struct {
	Count       float64  `json:"count" minimum:"0" maximum:"60" doc:"nights; 0 = those of the brief, up to 60"`
	OfBrief     bool     `json:"ofBrief" doc:"coldest and hottest are those of the brief"`
	Low         float64  `json:"low" minimum:"-60" maximum:"60" unit:"°C" doc:"coldest of a day, at 3 in the morning, °C"`
	High        float64  `json:"high" minimum:"-60" maximum:"70" unit:"°C" doc:"hottest, at 3 in the afternoon, °C"`
	Latitude    float64  `json:"latitude" minimum:"-90" maximum:"90" unit:"°" doc:"negative in the south, °"`
	Day         float64  `json:"day" minimum:"1" maximum:"366" doc:"day of the year"`
	Clock       float64  `json:"clock" minimum:"-6" maximum:"6" unit:"h" doc:"by which the clock is ahead of the sun, h"`
	Sky         Sky      `json:"sky" enum:"clear,mixed,overcast,own"`
	Cloud       float64  `json:"cloud" minimum:"0" maximum:"1" doc:"for the sky own: share of the clear sky's light"`
	Drives      []Span   `json:"drives" key:"id" maxItems:"12" doc:"hours that the engine runs on a day of driving"`
	DriveEvery  float64  `json:"driveEvery" minimum:"0" maximum:"60" doc:"it is driven every so many days, from the first; 0 = never"`
	MainsEvery  float64  `json:"mainsEvery" minimum:"0" maximum:"60" doc:"mains is plugged in for the night after every so many days; 0 = never"`
	Begin       float64  `json:"begin" minimum:"0" maximum:"24" unit:"h" doc:"hour of the first day at which it begins"`
	LaidUp      float64  `json:"laidUp" minimum:"0" maximum:"104" doc:"weeks that it stands between trips"`
	Maintained  bool     `json:"maintained" doc:"a charger keeps it up while it is laid up"`
	VehicleDraw float64  `json:"vehicleDraw" minimum:"0" maximum:"500" unit:"A" doc:"the vehicle's own while driving, A; 0 = not said: 30"`
	Own         []DayOwn `json:"own" key:"day" maxItems:"60" doc:"days that are otherwise"`
}

// DayOwn is a day that is otherwise than the usual one.
type DayOwn struct {
	Day    string `json:"day" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"its number from 1"`
	Drives bool   `json:"drives" doc:"the engine runs at the hours of driving"`
	Mains  bool   `json:"mains" doc:"mains is plugged in all day"`
	Sky    Sky    `json:"sky" enum:",clear,mixed,overcast,own" doc:"empty: the usual sky"`
}

// Sky is how much of the clear sky's light comes through.
type Sky string

// The skies: 1, 0.6, 0.25 of the clear sky's light, and a figure of one's own.
const (
	ClearSky    Sky = "clear"
	MixedSky    Sky = "mixed"
	OvercastSky Sky = "overcast"
	OwnSky      Sky = "own"
)

// NewPowerDays returns the days of the brief under a mixed sky at the equinox, driven an
// hour and a half each morning.
func NewPowerDays() PowerDays {
	return PowerDays{
		OfBrief: true, Low: 5, High: 30, Latitude: -30, Day: 265, Sky: MixedSky, Cloud: 0.6, DriveEvery: 1,
		Drives: []Span{{ID: "morning", From: 8, To: 9.5, Share: 1}},
		Own:    []DayOwn{},
	}
}
