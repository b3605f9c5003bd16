package fitout

// Build is what the workshop has, pays and does to make a job: its figures, stock, prices, people,
// pace, and what is still open. It is shared by all variants.
type Build struct {
	Shop      Shop           `json:"shop"`
	Runners   []RunnerLength `json:"runners" key:"id" maxItems:"60" doc:"lengths in which runners come"`
	Sheets    []Sheet        `json:"sheets" key:"id" maxItems:"300" doc:"sheets and offcuts"`
	Bars      []Profile      `json:"bars" key:"id" maxItems:"100" doc:"profiles and bars"`
	Goods     []Goods        `json:"goods" key:"id" maxItems:"1000" doc:"hardware and what else is bought, with its price"`
	Pace      []Pace         `json:"pace" key:"work" maxItems:"40" doc:"minutes of operations where they differ from practice"`
	Makers    []Maker        `json:"makers" key:"id" maxItems:"40" doc:"who builds"`
	Money     Money          `json:"money"`
	Decisions []Decision     `json:"decisions" key:"id" maxItems:"100" doc:"what is still open"`
	Reasons   []Reason       `json:"reasons" key:"id" maxItems:"200" doc:"what the workshop wants done before what, beside what follows from the build"`
	Start     string         `json:"start" maxLength:"10" doc:"day on which it begins, as 2026-03-30; empty: not said"`
}

// Shop are the workshop's own figures for making.
type Shop struct {
	Kerf        float64   `json:"kerf" minimum:"0" maximum:"20" unit:"mm" doc:"what the saw takes, mm"`
	Trim        float64   `json:"trim" minimum:"0" maximum:"200" unit:"mm" doc:"what is cut off each edge of a new sheet, mm"`
	Turn        bool      `json:"turn" doc:"pieces may be turned on the sheet where their grain does not matter"`
	ScrewEvery  float64   `json:"screwEvery" minimum:"10" maximum:"2000" unit:"mm" doc:"of joint to a screw, mm"`
	RunnerInset float64   `json:"runnerInset" minimum:"0" maximum:"500" unit:"mm" doc:"from each end of a runner to its first screw, mm"`
	Pilot       float64   `json:"pilot" minimum:"0.5" maximum:"12" unit:"mm" doc:"diameter of the holes that screws of runners and hinges are started in, mm"`
	HingeEvery  float64   `json:"hingeEvery" minimum:"50" maximum:"3000" unit:"mm" doc:"of lid to a hinge, mm; two at least"`
	HingeBears  float64   `json:"hingeBears" minimum:"0.1" maximum:"200" unit:"kg" doc:"that a hinge bears, kg"`
	Adhesive    float64   `json:"adhesive" minimum:"0" maximum:"1" doc:"litres to a metre of joint"`
	Paint       float64   `json:"paint" minimum:"0" maximum:"2" doc:"litres to a square metre and coat"`
	Coats       float64   `json:"coats" minimum:"0" maximum:"10"`
	SwingIn     bool      `json:"swingIn" doc:"slot nuts can be swung in at any place, also of a closed slot"`
	Screws      ScrewKind `json:"screws" enum:",zinc,a2,a4" doc:"empty: not said"`
	Salt        Yes       `json:"salt" enum:",yes,no" doc:"it is driven where the air or the road is salty"`
	Parted      Yes       `json:"parted" enum:",yes,no" doc:"aluminium and steel are kept apart by paint, tape or washers"`
	GlueDries   float64   `json:"glueDries" minimum:"0" maximum:"240" unit:"h" doc:"before it may be worked on, h"`
	PaintDries  float64   `json:"paintDries" minimum:"0" maximum:"240" unit:"h" doc:"before it may be touched, h"`
	Day         float64   `json:"day" minimum:"1" maximum:"16" unit:"h" doc:"of work a day, h"`
}

// ScrewKind is what screws and bolts are made of.
type ScrewKind string

// Not said, zinc-plated steel, stainless grades.
const (
	ScrewNotSaid ScrewKind = ""
	Zinc         ScrewKind = "zinc"
	StainlessA2  ScrewKind = "a2"
	StainlessA4  ScrewKind = "a4"
)

// RunnerLength is one length in which runners come.
type RunnerLength struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Length float64 `json:"length" minimum:"50" maximum:"3000" unit:"mm" doc:"mm"`
	Kg     float64 `json:"kg" minimum:"0" maximum:"100" unit:"kg" doc:"of a pair, kg; 0 = by its length"`
	Travel float64 `json:"travel" minimum:"0" maximum:"3000" unit:"mm" doc:"how far it comes out, mm; 0 = not stated"`
}

// Sheet is a kind of sheet that is in stock or can be bought, or an offcut that was kept.
type Sheet struct {
	ID        string   `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name      string   `json:"name" minLength:"1" maxLength:"120"`
	Of        Material `json:"of" enum:"plywood,aluminium,extrusion,foam-core" doc:"what it is; extrusion is the thin panel between profiles"`
	Thickness float64  `json:"thickness" minimum:"0.1" maximum:"60" unit:"mm" doc:"as it is sold, mm"`
	Measured  float64  `json:"measured" minimum:"0" maximum:"60" unit:"mm" doc:"as it measures, mm; 0 = not measured"`
	Length    float64  `json:"length" minimum:"10" maximum:"15000" unit:"mm" doc:"along the grain, mm"`
	Width     float64  `json:"width" minimum:"10" maximum:"15000" unit:"mm" doc:"mm"`
	Grained   bool     `json:"grained" doc:"its grain shows or counts"`
	Price     int      `json:"price" minimum:"0" maximum:"100000000000" unit:"cents" doc:"of one, in cents; 0 = not known"`
	Have      int      `json:"have" minimum:"0" maximum:"10000" doc:"in stock"`
	More      bool     `json:"more" doc:"more can be bought"`
	Offcut    bool     `json:"offcut" doc:"its edges are cut already"`
	Place     string   `json:"place" maxLength:"200" doc:"where it is kept"`
	Supply    Supply   `json:"supply"`
}

// Profile is a profile or bar in stock or to be bought.
type Profile struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	Width  float64 `json:"width" minimum:"0" maximum:"100" unit:"mm" doc:"of the profile, mm; 0 = 30"`
	Length float64 `json:"length" minimum:"10" maximum:"15000" unit:"mm" doc:"mm"`
	Price  int     `json:"price" minimum:"0" maximum:"100000000000" unit:"cents" doc:"of one, in cents; 0 = not known"`
	Have   int     `json:"have" minimum:"0" maximum:"10000" doc:"in stock"`
	More   bool    `json:"more" doc:"more can be bought"`
	Place  string  `json:"place" maxLength:"200" doc:"where it is kept"`
	Supply Supply  `json:"supply"`
}

// Goods is something bought by the piece or the pack.
type Goods struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	What   What    `json:"what" enum:"runner-ball,runner-roller,runner-strip,hinge,strut,latch,handle,screw,adhesive,paint,lining,edging,fixing,bracket,bolt,slot-nut,hinge-block,sealant,other"`
	Length float64 `json:"length" minimum:"0" maximum:"15000" unit:"mm" doc:"of a runner, mm; 0 = any"`
	Pack   float64 `json:"pack" minimum:"0" maximum:"100000" doc:"pieces, metres, litres or square metres in a pack; 0 = 1"`
	Price  int     `json:"price" minimum:"0" maximum:"100000000000" unit:"cents" doc:"of a pack, in cents; 0 = not known"`
	Have   float64 `json:"have" minimum:"0" maximum:"100000" doc:"in stock, in pieces, metres, litres or square metres"`
	Supply Supply  `json:"supply"`
}

// What is what is bought for a build beside sheets and bars.
type What string

// What is bought: by the piece, runners by the pair, edging by the metre, adhesive and paint by the
// litre, lining by the square metre.
const (
	RunnerBall   What = "runner-ball"
	RunnerRoller What = "runner-roller"
	RunnerStrip  What = "runner-strip"
	HingeGoods   What = "hinge"
	StrutGoods   What = "strut"
	LatchGoods   What = "latch"
	HandleGoods  What = "handle"
	ScrewGoods   What = "screw"
	Adhesive     What = "adhesive"
	PaintGoods   What = "paint"
	LiningGoods  What = "lining"
	Edging       What = "edging"
	FixingGoods  What = "fixing"
	Bracket      What = "bracket"
	Bolt         What = "bolt"
	SlotNut      What = "slot-nut"
	HingeBlock   What = "hinge-block"
	Sealant      What = "sealant"
	OtherGoods   What = "other"
)

// Supply is where something comes from.
type Supply struct {
	From   string  `json:"from" maxLength:"120" doc:"supplier"`
	Number string  `json:"number" maxLength:"120" doc:"the supplier's"`
	Days   float64 `json:"days" minimum:"0" maximum:"1000" doc:"from order to delivery"`
}

// Pace is how long the workshop takes for an operation.
type Pace struct {
	Work    string  `json:"work" enum:"level,measure,saw,edge,drill,glue,sand,paint,lining,runners,frame,hinge,assemble,fit,wire,plumb,torque,weigh,clean,decide"`
	Minutes float64 `json:"minutes" minimum:"0" maximum:"10000" doc:"each"`
}

// Maker is somebody who builds.
type Maker struct {
	ID    string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name  string `json:"name" minLength:"1" maxLength:"120"`
	Skill Skill  `json:"skill" enum:"all,joinery,metal,paint,electric"`
}

// Skill is what somebody can do.
type Skill string

// The skills; a maker of all can do what is not electric.
const (
	AllSkills Skill = "all"
	Joinery   Skill = "joinery"
	Metalwork Skill = "metal"
	Painting  Skill = "paint"
	Electric  Skill = "electric"
)

// Money is what is asked for a build. The prices are in hundredths of the brief's currency.
type Money struct {
	MarkUp   float64 `json:"markUp" minimum:"0" maximum:"5" doc:"on material, hardware and what is bought, as a share"`
	Rate     int     `json:"rate" minimum:"0" maximum:"100000000" unit:"cents" doc:"of an hour, in cents"`
	Electric int     `json:"electric" minimum:"0" maximum:"100000000" unit:"cents" doc:"of an hour of the electrician, in cents; 0 = the same"`
	Tax      float64 `json:"tax" minimum:"0" maximum:"1" doc:"on the sum, as a share"`
	Decimals int     `json:"decimals" minimum:"0" maximum:"2" doc:"of the currency: 2 for cents, 0 for one without"`
	Deposit  float64 `json:"deposit" minimum:"0" maximum:"1" doc:"share that is paid before it begins"`
	Midway   float64 `json:"midway" minimum:"0" maximum:"1" doc:"share that is paid when half is done"`
	Number   string  `json:"number" maxLength:"40" doc:"of the quote"`
	Date     string  `json:"date" maxLength:"10" doc:"of the quote, as 2026-03-30"`
	Valid    int     `json:"valid" minimum:"0" maximum:"3650" doc:"days for which it holds"`
	Excluded string  `json:"excluded" maxLength:"2000" doc:"what is not included"`
	Workshop string  `json:"workshop" maxLength:"400" doc:"who offers it: name and address"`
}

// Decision is a question that is open, or was.
type Decision struct {
	ID       string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Question string `json:"question" minLength:"1" maxLength:"400"`
	Who      string `json:"who" maxLength:"120" doc:"who answers it"`
	Until    string `json:"until" maxLength:"10" doc:"day until when, as 2026-03-30; empty: not said"`
	Before   string `json:"before" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the module that must not be begun before it; empty for none"`
	Answer   string `json:"answer" maxLength:"400" doc:"empty while it is open"`
}

// Reason says that one step is done before another.
type Reason struct {
	ID    string `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	First string `json:"first" maxLength:"160" doc:"step"`
	Then  string `json:"then" maxLength:"160" doc:"step that waits for it"`
	Why   string `json:"why" maxLength:"400"`
}

// NewBuild returns the usual figures of a workshop: nothing in stock, no prices.
func NewBuild() Build {
	b := Build{
		Shop: Shop{Kerf: 3.2, Trim: 10, Turn: true, ScrewEvery: 150, RunnerInset: 35, Pilot: 3, HingeEvery: 600, HingeBears: 8, Adhesive: 0.03, Paint: 0.12,
			Coats: 2, GlueDries: 12, PaintDries: 12, Day: 8},
		Runners: []RunnerLength{}, Sheets: []Sheet{}, Bars: []Profile{}, Goods: []Goods{}, Pace: []Pace{}, Makers: []Maker{},
		Money: Money{Decimals: 2, Valid: 30}, Decisions: []Decision{}, Reasons: []Reason{},
	}
	for length := 300; length <= 1000; length += 50 {
		b.Runners = append(b.Runners, RunnerLength{ID: plain(float64(length)), Length: float64(length)})
	}
	return b
}
