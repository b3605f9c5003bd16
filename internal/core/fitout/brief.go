package fitout

// Brief is what the customer wants and needs, asked before anything is
// measured. What follows from it is computed by the engines.
type Brief struct {
	Travellers  []Traveller    `json:"travellers" key:"id" maxItems:"60"`
	Trip        Trip           `json:"trip"`
	Surfaces    []Surface      `json:"surfaces" key:"id" maxItems:"20"`
	Envelope    Envelope       `json:"envelope"`
	Daily       Daily          `json:"daily"`
	Camp        Camp           `json:"camp"`
	Gear        []Gear         `json:"gear" key:"id" maxItems:"500"`
	Later       []Later        `json:"later" key:"id" maxItems:"100"`
	Budget      int            `json:"budget" minimum:"0" maximum:"1000000000000" unit:"cents" doc:"in cents of currency; 0 = not stated"`
	Currency    string         `json:"currency" maxLength:"8" doc:"as the workshop writes it"`
	Annoyances  string         `json:"annoyances" maxLength:"4000" doc:"with the last build"`
	Assumptions Assumptions    `json:"assumptions"`
	Choices     []SchoolChoice `json:"choices" key:"school" maxItems:"100" doc:"ways of doing it that were settled; all others are undecided"`
}

// Traveller is a person or an animal that comes along. A person item of a
// variant with the same id is this traveller aboard.
type Traveller struct {
	ID       string        `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name     string        `json:"name" minLength:"1" maxLength:"120"`
	Kind     TravellerKind `json:"kind" enum:"person,animal"`
	Mass     float64       `json:"mass" minimum:"0" maximum:"500" unit:"kg" doc:"kg, as they travel"`
	Height   float64       `json:"height" minimum:"0" maximum:"2500" unit:"mm" doc:"body height, mm; 0 = not asked; for an animal the length it lies in"`
	Shoulder float64       `json:"shoulder" minimum:"0" maximum:"1200" unit:"mm" doc:"shoulder width, mm; 0 = not asked"`
	Reach    float64       `json:"reach" minimum:"0" maximum:"3000" unit:"mm" doc:"how high the hand grips, standing on the ground, mm; 0 = not measured"`
	Sleeps   bool          `json:"sleeps" doc:"sleeps in or on the vehicle"`
	Serves   bool          `json:"serves" doc:"packs, cooks and reaches into things, so that heights are for them"`
	Water    float64       `json:"water" minimum:"0" maximum:"100" unit:"L" doc:"litres a day; 0 = as assumed for everyone of the kind"`
}

// TravellerKind tells people from animals.
type TravellerKind string

// The kinds of traveller.
const (
	TravellerPerson TravellerKind = "person"
	TravellerAnimal TravellerKind = "animal"
)

// Trip is how long and how far they go between services.
type Trip struct {
	Nights        float64 `json:"nights" minimum:"0" maximum:"400" doc:"most nights between services"`
	FuelDistance  float64 `json:"fuelDistance" minimum:"0" maximum:"20000" unit:"km" doc:"longest way between fuel, km"`
	WaterDistance float64 `json:"waterDistance" minimum:"0" maximum:"20000" unit:"km" doc:"longest way between water, km; 0 = as long as the services"`
	MainsDistance float64 `json:"mainsDistance" minimum:"0" maximum:"20000" unit:"km" doc:"longest way between mains power, km; 0 = as long as the services"`
	DayDistance   float64 `json:"dayDistance" minimum:"0" maximum:"2000" unit:"km" doc:"driven on a usual day, km"`
	Coldest       float64 `json:"coldest" minimum:"-60" maximum:"60" unit:"°C" doc:"coldest night, °C"`
	Hottest       float64 `json:"hottest" minimum:"-60" maximum:"70" unit:"°C" doc:"hottest day, °C"`
	Tows          Tows    `json:"tows" enum:"never,sometimes,always"`
	TrailerMass   float64 `json:"trailerMass" minimum:"0" maximum:"50000" unit:"kg" doc:"of the trailer that it is to tow, loaded, kg"`
}

// Tows is how often the vehicle tows.
type Tows string

// How often it tows.
const (
	TowsNever     Tows = "never"
	TowsSometimes Tows = "sometimes"
	TowsAlways    Tows = "always"
)

// Surface is a kind of road with its share of the way and what it does to the
// consumption of fuel.
type Surface struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	Share  float64 `json:"share" minimum:"0" maximum:"100" unit:"%" doc:"of the way, %; all together count as the whole"`
	Factor float64 `json:"factor" minimum:"0.5" maximum:"5" doc:"fuel against a sealed road"`
}

// Envelope are limits on the outside of the finished vehicle, mm; 0 = none.
type Envelope struct {
	Height       float64 `json:"height" minimum:"0" maximum:"10000" unit:"mm" doc:"garage door, ferry, carport, mm"`
	Width        float64 `json:"width" minimum:"0" maximum:"10000" unit:"mm" doc:"mm"`
	Length       float64 `json:"length" minimum:"0" maximum:"30000" unit:"mm" doc:"mm"`
	RearOverhang float64 `json:"rearOverhang" minimum:"0" maximum:"10000" unit:"mm" doc:"local rule for what stands out behind the rear axle, mm"`
	Note         string  `json:"note" maxLength:"1000" doc:"which garage, which ferry, which rule"`
}

// Daily is what the vehicle has to do between trips.
type Daily struct {
	Driver  bool       `json:"driver" doc:"it is the daily driver too"`
	Seats   []SeatKept `json:"seats" key:"seat" maxItems:"60" doc:"seats that have to stay usable"`
	LiftOut []LiftOut  `json:"liftOut" key:"id" maxItems:"50" doc:"what must come out, and in how long"`
}

// SeatKept names a seat that has to stay usable.
type SeatKept struct {
	Seat string `json:"seat" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a seat of the vehicle"`
}

// LiftOut is a part of the build that has to come out.
type LiftOut struct {
	ID      string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name    string  `json:"name" minLength:"1" maxLength:"120"`
	Minutes float64 `json:"minutes" minimum:"0" maximum:"10000" unit:"min" doc:"time that it may take, minutes"`
	People  float64 `json:"people" minimum:"0" maximum:"20" doc:"how many there are to lift"`
}

// Camp is how they live at a stop.
type Camp struct {
	SleepWhere SleepWhere `json:"sleepWhere" enum:"inside,roof,ground,trailer,elsewhere"`
	CookWhere  CookWhere  `json:"cookWhere" enum:"outside,inside,both,none"`
	HotMeals   float64    `json:"hotMeals" minimum:"0" maximum:"10" doc:"hot meals a day"`
	Washing    Washing    `json:"washing" enum:"none,bowl,shower"`
	Toilet     Toilet     `json:"toilet" enum:"none,carried,built-in"`
	WasteWater WasteWater `json:"wasteWater" enum:"none,caught"`
}

// SleepWhere is where those who sleep at the vehicle sleep.
type SleepWhere string

// Where they sleep.
const (
	SleepInside    SleepWhere = "inside"
	SleepRoof      SleepWhere = "roof"
	SleepGround    SleepWhere = "ground"
	SleepTrailer   SleepWhere = "trailer"
	SleepElsewhere SleepWhere = "elsewhere"
)

// CookWhere is where they cook.
type CookWhere string

// Where they cook.
const (
	CookOutside CookWhere = "outside"
	CookInside  CookWhere = "inside"
	CookBoth    CookWhere = "both"
	CookNone    CookWhere = "none"
)

// Washing is how they wash, which decides how much water it takes.
type Washing string

// How they wash.
const (
	WashNone   Washing = "none"
	WashBowl   Washing = "bowl"
	WashShower Washing = "shower"
)

// Toilet is whether one comes along.
type Toilet string

// The toilet.
const (
	ToiletNone    Toilet = "none"
	ToiletCarried Toilet = "carried"
	ToiletBuiltIn Toilet = "built-in"
)

// WasteWater is what becomes of used water.
type WasteWater string

// What becomes of used water.
const (
	WasteNone   WasteWater = "none"
	WasteCaught WasteWater = "caught"
)

// Gear is something that must come along.
type Gear struct {
	ID        string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name      string    `json:"name" minLength:"1" maxLength:"120"`
	Count     float64   `json:"count" minimum:"1" maximum:"1000" doc:"how many"`
	Mass      float64   `json:"mass" minimum:"0" maximum:"20000" unit:"kg" doc:"of one, kg"`
	Size      Size      `json:"size" doc:"of one, packed"`
	Used      Used      `json:"used" enum:"often,daily,weekly,seldom,emergency"`
	Dry       bool      `json:"dry" doc:"needs a dry place"`
	Cool      bool      `json:"cool" doc:"needs cooling"`
	Locked    bool      `json:"locked" doc:"needs a lock"`
	Hidden    bool      `json:"hidden" doc:"out of sight"`
	Upright   bool      `json:"upright" doc:"stands upright only"`
	Away      bool      `json:"away" doc:"away from people"`
	Substance Substance `json:"substance" enum:",none,water,petrol,diesel,gas,spirits,acid,bleach,food,dirt" doc:"what it holds or is; empty: not said"`
	Watts     float64   `json:"watts" minimum:"0" maximum:"20000" unit:"W" doc:"of one while it runs or charges, W; 0 = it has no plug"`
	Hours     float64   `json:"hours" minimum:"0" maximum:"24" unit:"h" doc:"a day that it runs or charges, h"`
	Mains     bool      `json:"mains" doc:"its plug wants mains voltage"`
	Note      string    `json:"note" maxLength:"1000"`
}

// Used is how often a thing is taken out.
type Used string

// How often.
const (
	UsedOften     Used = "often" // several times a day
	UsedDaily     Used = "daily"
	UsedWeekly    Used = "weekly"
	UsedSeldom    Used = "seldom"
	UsedEmergency Used = "emergency" // never, or at once
)

// Later is what is kept for later or fitted by others: its mass and its room
// are spoken for.
type Later struct {
	ID   string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name string  `json:"name" minLength:"1" maxLength:"120"`
	Mass float64 `json:"mass" minimum:"0" maximum:"20000" unit:"kg" doc:"kg"`
	By   LaterBy `json:"by" enum:"later,others"`
	Note string  `json:"note" maxLength:"1000"`
}

// LaterBy is who does it, or when.
type LaterBy string

// A later stage of this workshop, or another workshop.
const (
	ByLater  LaterBy = "later"
	ByOthers LaterBy = "others"
)

// Assumptions are the figures that the implications of a brief lean on; each
// can be replaced by what these customers really do.
type Assumptions struct {
	WaterDrink   float64 `json:"waterDrink" minimum:"0" maximum:"50" unit:"L" doc:"drinking, cooking and dishes, L per person and day"`
	WaterBowl    float64 `json:"waterBowl" minimum:"0" maximum:"100" unit:"L" doc:"washing from a bowl, L per person and day"`
	WaterShower  float64 `json:"waterShower" minimum:"0" maximum:"200" unit:"L" doc:"a shower, L per person and day"`
	WaterAnimal  float64 `json:"waterAnimal" minimum:"0" maximum:"100" unit:"L" doc:"L per animal and day"`
	HotFactor    float64 `json:"hotFactor" minimum:"1" maximum:"5" doc:"on what is drunk, from hotFrom upward"`
	HotFrom      float64 `json:"hotFrom" minimum:"-60" maximum:"70" unit:"°C" doc:"°C"`
	WaterReserve float64 `json:"waterReserve" minimum:"0" maximum:"1000" unit:"L" doc:"L never planned with"`
	Consumption  float64 `json:"consumption" minimum:"0" maximum:"100" unit:"L/100 km" doc:"loaded, on a sealed road, L/100 km"`
	TowFactor    float64 `json:"towFactor" minimum:"1" maximum:"5" doc:"fuel with the trailer against without"`
	FuelReserve  float64 `json:"fuelReserve" minimum:"0" maximum:"1000" unit:"L" doc:"L never planned with"`
	BedLength    float64 `json:"bedLength" minimum:"0" maximum:"1000" unit:"mm" doc:"bed beyond the sleeper's height, mm"`
	BedWidth     float64 `json:"bedWidth" minimum:"0" maximum:"1000" unit:"mm" doc:"bed beyond each sleeper's shoulders, mm"`
	RimShare     float64 `json:"rimShare" minimum:"0.3" maximum:"1" doc:"highest rim to reach into, as a share of body height"`
	ArmShare     float64 `json:"armShare" minimum:"0.2" maximum:"0.8" doc:"reach of the arm forward, as a share of body height"`
	GripShare    float64 `json:"gripShare" minimum:"0.8" maximum:"1.6" doc:"height of a grip overhead, as a share of body height, where reach was not measured"`
}

// SchoolChoice is one settled way of doing it.
type SchoolChoice struct {
	School string `json:"school" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the judgement call"`
	Choice string `json:"choice" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the way chosen"`
	Why    string `json:"why" maxLength:"1000" doc:"in the specialist's words"`
}

// NewBrief returns a brief in which nothing has been answered yet, with the
// usual assumptions of the trade. The body shares are those of published body
// measures: armpit at 0.75, arm 0.44, grip overhead 1.2 of body height.
func NewBrief() Brief {
	return Brief{
		Travellers: []Traveller{},
		Trip:       Trip{Coldest: 5, Hottest: 30, Tows: TowsNever},
		Surfaces: []Surface{
			{ID: "sealed", Name: "Sealed road", Share: 60, Factor: 1},
			{ID: "gravel", Name: "Gravel", Share: 30, Factor: 1.15},
			{ID: "track", Name: "Track in low range", Share: 10, Factor: 1.5},
			{ID: "sand", Name: "Soft sand or mud", Share: 0, Factor: 1.8},
		},
		Daily: Daily{Seats: []SeatKept{}, LiftOut: []LiftOut{}},
		Camp: Camp{
			SleepWhere: SleepGround,
			CookWhere:  CookOutside,
			HotMeals:   2,
			Washing:    WashBowl,
			Toilet:     ToiletNone,
			WasteWater: WasteNone,
		},
		Gear: []Gear{}, Later: []Later{}, Choices: []SchoolChoice{},
		Assumptions: Assumptions{
			WaterDrink: 5, WaterBowl: 2, WaterShower: 6, WaterAnimal: 2, HotFactor: 1.5, HotFrom: 35, WaterReserve: 10,
			Consumption: 13, TowFactor: 1.35, FuelReserve: 15,
			BedLength: 100, BedWidth: 150, RimShare: 0.75, ArmShare: 0.44, GripShare: 1.2,
		},
	}
}
