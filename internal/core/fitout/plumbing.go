package fitout

// Plumbing is what flows in a variant besides current: what its tanks and vessels hold and how
// they are filled and feed each other, what is drawn from them, and the air for the tyres.
type Plumbing struct {
	Vessels   []Vessel       `json:"vessels" key:"of" maxItems:"60" doc:"what is said of tanks and level items"`
	Outlets   []Outlet       `json:"outlets" key:"id" maxItems:"60" doc:"taps and showers"`
	Pumps     []Pump         `json:"pumps" key:"id" maxItems:"30"`
	Burners   []Burner       `json:"burners" key:"id" maxItems:"30" doc:"what burns gas or fuel"`
	Warmers   []Warmer       `json:"warmers" key:"id" maxItems:"20" doc:"what warms water"`
	Air       Air            `json:"air"`
	Pressures []TyrePressure `json:"pressures" key:"id" maxItems:"60" doc:"the workshop's table of tyre pressures"`
	Provision float64        `json:"provision" minimum:"0" maximum:"20" unit:"kg" doc:"food that each person eats a day, kg; 0 = not counted"`
	Jug       float64        `json:"jug" minimum:"0" maximum:"100" unit:"L" doc:"what is carried at once where water comes without a hose, litres; 0 = 10"`
}

// NewPlumbing is plumbing of which nothing is said yet.
func NewPlumbing() Plumbing {
	return Plumbing{Vessels: []Vessel{}, Outlets: []Outlet{}, Pumps: []Pump{}, Burners: []Burner{}, Warmers: []Warmer{},
		Pressures: []TyrePressure{}, Air: Air{Couplings: []Coupling{}, Bags: []HelperBag{}}}
}

// Vessel says what a tank of the vehicle or a level item holds, and how it is plumbed.
type Vessel struct {
	Of         string   `json:"of" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a tank or of a level item; one that is gone is passed over"`
	Holds      Contents `json:"holds" enum:",fuel,drinking,wash,waste,gas,food,other" doc:"empty: by its kind"`
	Unusable   float64  `json:"unusable" minimum:"0" maximum:"500" unit:"L" doc:"rest that cannot be drawn, litres"`
	Expansion  float64  `json:"expansion" minimum:"0" maximum:"0.5" doc:"room that stays free when it is full, as a share; 0 = not said"`
	Feeds      string   `json:"feeds" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the tank that it feeds; empty: the engine, the taps or the burners themselves"`
	By         FedBy    `json:"by" enum:",gravity,pump" doc:"what carries its content on"`
	Rate       float64  `json:"rate" minimum:"0" maximum:"200" unit:"L/min" doc:"of the transfer, litres a minute; 0 = not said"`
	Stops      Stopping `json:"stops" enum:",float,return,none" doc:"what ends the transfer in time: a float or switch, a return line, nothing; empty: not said"`
	Breather   Yes      `json:"breather" enum:",yes,no"`
	Baffles    Yes      `json:"baffles" enum:",yes,no"`
	Sender     Yes      `json:"sender" enum:",yes,no" doc:"its level can be read"`
	Filler     *Filler  `json:"filler,omitempty" doc:"absent: not said"`
	Drain      Yes      `json:"drain" enum:",yes,no" doc:"it can be drained where it is"`
	DrainAt    *Point   `json:"drainAt,omitempty" doc:"its drain; absent: not said"`
	BreatherAt *Point   `json:"breatherAt,omitempty" doc:"the end of its breather; absent: not said"`
	Outside    bool     `json:"outside" doc:"it or its line is in the cold air"`
	FrostSafe  bool     `json:"frostSafe" doc:"heated, or lagged and kept warm"`
	Gas        GasKind  `json:"gas" enum:",propane,butane,mix" doc:"of a gas bottle"`
	Sealed     Yes      `json:"sealed" enum:",yes,no" doc:"of a gas bottle: its locker is sealed to the inside and drains outside"`
	Plan       float64  `json:"plan" minimum:"0" maximum:"20" unit:"m²" doc:"area in plan, m²; 0 = from its size"`
}

// Yes is an answer that may be lacking.
type Yes string

// Not said, yes, no.
const (
	YesNotSaid Yes = ""
	IsSo       Yes = "yes"
	IsNotSo    Yes = "no"
)

// Contents is what a vessel holds.
type Contents string

// What vessels hold.
const (
	HoldsByKind   Contents = ""
	HoldsFuel     Contents = "fuel"
	HoldsDrinking Contents = "drinking"
	HoldsWash     Contents = "wash"
	HoldsWaste    Contents = "waste"
	HoldsGas      Contents = "gas"
	HoldsFood     Contents = "food"
	HoldsOther    Contents = "other"
)

// FedBy is what carries the content of one tank into another.
type FedBy string

// By its own weight, or by a pump.
const (
	ByGravity FedBy = "gravity"
	ByPump    FedBy = "pump"
)

// Stopping is what ends a transfer before the lower tank runs over.
type Stopping string

// A float or a pressure switch, a line back, nothing.
const (
	StopNotSaid Stopping = ""
	StopFloat   Stopping = "float"
	StopReturn  Stopping = "return"
	StopNone    Stopping = "none"
)

// GasKind is what a gas bottle holds.
type GasKind string

// The gases.
const (
	Propane GasKind = "propane"
	Butane  GasKind = "butane"
	GasMix  GasKind = "mix"
)

// Filler is where and how a tank is filled.
type Filler struct {
	At     Point   `json:"at" doc:"its mouth"`
	Drop   float64 `json:"drop" minimum:"0" maximum:"3000" unit:"mm" doc:"from its mouth down to the tank, mm"`
	Run    float64 `json:"run" minimum:"0" maximum:"5000" unit:"mm" doc:"level length of its pipe, mm"`
	Bore   float64 `json:"bore" minimum:"0" maximum:"200" unit:"mm" doc:"inside, mm; 0 = not said"`
	Nozzle float64 `json:"nozzle" minimum:"0" maximum:"100" unit:"mm" doc:"outside of what fills it, mm; 0 = not said"`
}

// Outlet is a tap, a shower or a hose end.
type Outlet struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	Vessel string  `json:"vessel" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the tank or level item that it draws from"`
	Pump   string  `json:"pump" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the pump that feeds it; empty: its own weight"`
	At     Point   `json:"at" doc:"its mouth"`
	Bore   float64 `json:"bore" minimum:"0" maximum:"100" unit:"mm" doc:"of its hose inside, mm; 0 = not said"`
	Hose   float64 `json:"hose" minimum:"0" maximum:"50" unit:"m" doc:"length of its hose, m"`
	Loss   float64 `json:"loss" minimum:"0" maximum:"100" doc:"sum of the losses of bends and valves"`
	Flow   float64 `json:"flow" minimum:"0" maximum:"100" unit:"L/min" doc:"wanted, or what it takes from a pump, litres a minute; 0 = not said"`
	Shut   bool    `json:"shut" doc:"never open while another one is"`
	Cold   bool    `json:"cold" doc:"its line runs in the cold air"`
}

// Pump moves water.
type Pump struct {
	ID    string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name  string  `json:"name" minLength:"1" maxLength:"120"`
	Flow  float64 `json:"flow" minimum:"0" maximum:"200" unit:"L/min" doc:"litres a minute; 0 = not said"`
	Amps  float64 `json:"amps" minimum:"0" maximum:"200" unit:"A" doc:"A"`
	Item  string  `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
	Spare bool    `json:"spare" doc:"a second one, or a way to draw by hand, comes along"`
}

// Burner burns gas from a bottle, or fuel from a tank.
type Burner struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	Vessel string  `json:"vessel" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the bottle or tank that it burns from"`
	KW     float64 `json:"kw" minimum:"0" maximum:"50" unit:"kW" doc:"by its label, of gas, kW"`
	Basis  KWBasis `json:"basis" enum:",net,gross" doc:"which heat value its label counts with"`
	Litres float64 `json:"litres" minimum:"0" maximum:"10" unit:"L/h" doc:"of fuel, litres an hour"`
	Hours  float64 `json:"hours" minimum:"0" maximum:"24" unit:"h" doc:"a day, or a cold night, h"`
	Below  float64 `json:"below" minimum:"-60" maximum:"60" unit:"°C" doc:"a heater runs in nights colder than this, °C"`
	Heater bool    `json:"heater" doc:"runs at night when it is cold; otherwise every day"`
	Inside bool    `json:"inside" doc:"it burns where people are, and its exhaust stays there"`
	Air    Yes     `json:"air" enum:",yes,no" doc:"openings bring it fresh air"`
	Alarm  Yes     `json:"alarm" enum:",yes,no" doc:"a carbon monoxide alarm is there"`
}

// Warmer warms water: a kettle, a boiler, a coil in the engine's water.
type Warmer struct {
	ID     string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string   `json:"name" minLength:"1" maxLength:"120"`
	Litres float64  `json:"litres" minimum:"0" maximum:"500" unit:"L" doc:"warmed each time, litres"`
	Rise   float64  `json:"rise" minimum:"0" maximum:"100" doc:"by how many degrees Celsius"`
	Times  float64  `json:"times" minimum:"0" maximum:"50" doc:"a day"`
	By     WarmedBy `json:"by" enum:",power,gas,engine"`
	Watts  float64  `json:"watts" minimum:"0" maximum:"20000" unit:"W" doc:"of its element or flame, W; 0 = not said"`
	Vessel string   `json:"vessel" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the bottle that its gas is from"`
}

// WarmedBy is what warms water.
type WarmedBy string

// Not said, by a battery or mains, by gas, by the engine's own heat.
const (
	WarmedNotSaid  WarmedBy = ""
	WarmedByPower  WarmedBy = "power"
	WarmedByGas    WarmedBy = "gas"
	WarmedByEngine WarmedBy = "engine"
)

// KWBasis is the heat value that a label counts with.
type KWBasis string

// Not said, net, gross.
const (
	BasisNotSaid KWBasis = ""
	BasisNet     KWBasis = "net"
	BasisGross   KWBasis = "gross"
)

// Air is what fills tyres and helper bags.
type Air struct {
	Free      float64     `json:"free" minimum:"0" maximum:"2000" unit:"L/min" doc:"free air that the compressor delivers at the mean pressure, litres a minute; 0 = no compressor"`
	Minutes   float64     `json:"minutes" minimum:"0" maximum:"600" unit:"min" doc:"that it may run at once, minutes; 0 = without end"`
	Rest      float64     `json:"rest" minimum:"0" maximum:"600" unit:"min" doc:"that it rests then, minutes"`
	Amps      float64     `json:"amps" minimum:"0" maximum:"500" unit:"A" doc:"A"`
	Item      string      `json:"item" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the item that it is"`
	Hose      float64     `json:"hose" minimum:"0" maximum:"50" unit:"m" doc:"m; 0 = not said"`
	Couplings []Coupling  `json:"couplings" key:"id" maxItems:"20" doc:"where its hose begins"`
	Bags      []HelperBag `json:"bags" key:"id" maxItems:"10"`
	Width     float64     `json:"width" minimum:"0" maximum:"600" unit:"mm" doc:"nominal width of the tyres, mm; 0 = not said"`
	Rim       float64     `json:"rim" minimum:"0" maximum:"600" unit:"mm" doc:"radius of the rims, mm; 0 = not said"`
	Tyres     float64     `json:"tyres" minimum:"0" maximum:"20" doc:"that are filled together with the trailer's; 0 = 4"`
	Low       float64     `json:"low" minimum:"0" maximum:"1000" unit:"kPa" doc:"pressure that is let down to, kPa"`
	High      float64     `json:"high" minimum:"0" maximum:"1000" unit:"kPa" doc:"pressure for the road again, kPa"`
}

// Coupling is where the hose of the compressor begins.
type Coupling struct {
	ID   string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name string `json:"name" minLength:"1" maxLength:"120"`
	At   Point  `json:"at"`
}

// HelperBag is an air bag in a spring.
type HelperBag struct {
	ID     string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string    `json:"name" minLength:"1" maxLength:"120"`
	Axle   WhichAxle `json:"axle" enum:"front,rear"`
	Manual Yes       `json:"manual" enum:",yes,no" doc:"it can be filled by a valve by hand"`
}

// TyrePressure is one line of the workshop's table: which pressure a tyre wants up to an axle
// load on a surface.
type TyrePressure struct {
	ID      string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Axle    WhichAxle `json:"axle" enum:"front,rear"`
	Surface string    `json:"surface" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a surface of the brief; empty for all"`
	UpTo    float64   `json:"upTo" minimum:"0" maximum:"20000" unit:"kg" doc:"axle load up to which it holds, kg"`
	KPa     float64   `json:"kpa" minimum:"0" maximum:"1000" unit:"kPa" doc:"pressure cold, kPa"`
	Bags    float64   `json:"bags" minimum:"0" maximum:"1000" unit:"kPa" doc:"pressure of helper bags with it, kPa; 0 = none"`
	Note    string    `json:"note" maxLength:"200" doc:"such as turns of the dampers"`
}
