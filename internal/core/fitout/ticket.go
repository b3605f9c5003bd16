package fitout

// Ticket is one weighing of the vehicle, with who and what was aboard. Several
// are combined; each is made comparable by taking off what it lists.
type Ticket struct {
	ID         string          `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name       string          `json:"name" minLength:"1" maxLength:"120" doc:"what the workshop calls it: place or number"`
	Date       string          `json:"date" maxLength:"10" doc:"YYYY-MM-DD, may be empty"`
	Reading    Reading         `json:"reading" enum:"axles,corners,total" doc:"what was read: two axles, four corners, or the whole only"`
	Front      float64         `json:"front" minimum:"0" maximum:"50000" unit:"kg" doc:"front axle, for axles, kg"`
	Rear       float64         `json:"rear" minimum:"0" maximum:"50000" unit:"kg" doc:"rear axle, for axles, kg"`
	FrontLeft  float64         `json:"frontLeft" minimum:"0" maximum:"50000" unit:"kg" doc:"for corners, kg"`
	FrontRight float64         `json:"frontRight" minimum:"0" maximum:"50000" unit:"kg"`
	RearLeft   float64         `json:"rearLeft" minimum:"0" maximum:"50000" unit:"kg"`
	RearRight  float64         `json:"rearRight" minimum:"0" maximum:"50000" unit:"kg"`
	Total      float64         `json:"total" minimum:"0" maximum:"50000" unit:"kg" doc:"for total; beside axles or corners, the whole as weighed at once, 0 = not weighed"`
	Resolution float64         `json:"resolution" minimum:"0" maximum:"1000" unit:"kg" doc:"smallest step of the scale, kg"`
	Level      bool            `json:"level" doc:"the vehicle stood level on the scale"`
	Counted    bool            `json:"counted" doc:"it counts; a doubtful one can be kept without counting"`
	Tanks      []WeighedTank   `json:"tanks" key:"tank" maxItems:"20"`
	People     []WeighedPerson `json:"people" key:"id" maxItems:"60"`
	Parts      []WeighedPart   `json:"parts" key:"part" maxItems:"400" doc:"parts and modifications that were on the vehicle"`
}

// Reading is what a scale gave.
type Reading string

// The readings.
const (
	ReadAxles   Reading = "axles"
	ReadCorners Reading = "corners"
	ReadTotal   Reading = "total"
)

// WeighedTank is the content of one tank on the scale, litres.
type WeighedTank struct {
	Tank   string  `json:"tank" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a tank of the vehicle"`
	Litres float64 `json:"litres" minimum:"0" maximum:"5000" unit:"L"`
}

// WeighedPerson is one person who sat in the vehicle on the scale.
type WeighedPerson struct {
	ID   string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Seat string  `json:"seat" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a seat of the vehicle"`
	Kg   float64 `json:"kg" minimum:"0" maximum:"500" unit:"kg"`
}

// WeighedPart names a part or modification that was on the vehicle.
type WeighedPart struct {
	Part string `json:"part" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of a part or modification of the vehicle"`
}

// AxleReadings returns what the front and rear axle carried, kg; ok is false
// when only the whole was weighed.
func (t *Ticket) AxleReadings() (front, rear float64, ok bool) {
	switch t.Reading {
	case ReadCorners:
		return t.FrontLeft + t.FrontRight, t.RearLeft + t.RearRight, true
	case ReadTotal:
		return 0, 0, false
	}
	return t.Front, t.Rear, true
}
