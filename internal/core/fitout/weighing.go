package fitout

// WeighIn is one weighing of the vehicle with its fitout: what the scale read, and what was aboard by the
// plan of that day. It is kept as it was when the plan goes on.
type WeighIn struct {
	ID         string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name       string    `json:"name" minLength:"1" maxLength:"120"`
	At         string    `json:"at" maxLength:"40" doc:"when, as 2026-03-30T15:04"`
	Device     string    `json:"device" maxLength:"120" doc:"scale that it was weighed on"`
	Operator   string    `json:"operator" maxLength:"120" doc:"who weighed"`
	Reading    Reading   `json:"reading" enum:"axles,corners,total" doc:"what was read: two axles, four corners, or the whole only"`
	Front      float64   `json:"front" minimum:"0" maximum:"50000" unit:"kg" doc:"front axle, for axles, kg"`
	Rear       float64   `json:"rear" minimum:"0" maximum:"50000" unit:"kg" doc:"rear axle, for axles, kg"`
	FrontLeft  float64   `json:"frontLeft" minimum:"0" maximum:"50000" unit:"kg" doc:"for corners, kg"`
	FrontRight float64   `json:"frontRight" minimum:"0" maximum:"50000" unit:"kg"`
	RearLeft   float64   `json:"rearLeft" minimum:"0" maximum:"50000" unit:"kg"`
	RearRight  float64   `json:"rearRight" minimum:"0" maximum:"50000" unit:"kg"`
	Total      float64   `json:"total" minimum:"0" maximum:"50000" unit:"kg" doc:"for total; beside axles, the whole as weighed at once, 0 = not weighed"`
	Resolution float64   `json:"resolution" minimum:"0" maximum:"1000" unit:"kg" doc:"smallest step of the scale, kg; 0 = not known"`
	Class      float64   `json:"class" minimum:"0" maximum:"1000" unit:"kg" doc:"standard uncertainty of one reading by the device's class, kg; 0 = not known"`
	Level      bool      `json:"level" doc:"it stood level, or its slope was measured"`
	Slope      float64   `json:"slope" minimum:"-15" maximum:"15" unit:"°" doc:"measured, nose up, °"`
	PadFront   float64   `json:"padFront" minimum:"0" maximum:"500" unit:"mm" doc:"height of the pads under the front wheels, mm"`
	PadRear    float64   `json:"padRear" minimum:"0" maximum:"500" unit:"mm" doc:"height of the pads under the rear wheels, mm"`
	BrakesOff  bool      `json:"brakesOff" doc:"brakes were off, so that nothing held the wheels"`
	Twice      bool      `json:"twice" doc:"driven off, on again, and weighed again alike"`
	Moving     bool      `json:"moving" doc:"a reading was taken while it moved"`
	Public     bool      `json:"public" doc:"by a public weighbridge, whose ticket is attached"`
	Paper      string    `json:"paper" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the paper of it; empty for none"`
	Calibrates bool      `json:"calibrates" doc:"the plan goes by it"`
	Why        string    `json:"why" maxLength:"1000" doc:"what it turned out to be, where it was not as planned"`
	Empty      EmptyThen `json:"empty"`
	Aboard     []Aboard  `json:"aboard" key:"of" maxItems:"2100" doc:"what was in and on it, by the plan of that day"`
}

// EmptyThen is what the empty vehicle with its parts put on each wheel by the plan of the day of a weighing, kg.
type EmptyThen struct {
	FrontLeft  float64 `json:"frontLeft" minimum:"-50000" maximum:"50000" unit:"kg" doc:"kg"`
	FrontRight float64 `json:"frontRight" minimum:"-50000" maximum:"50000" unit:"kg" doc:"kg"`
	RearLeft   float64 `json:"rearLeft" minimum:"-50000" maximum:"50000" unit:"kg" doc:"kg"`
	RearRight  float64 `json:"rearRight" minimum:"-50000" maximum:"50000" unit:"kg" doc:"kg"`
	Height     float64 `json:"height" minimum:"0" maximum:"4000" unit:"mm" doc:"of its centre of gravity, mm"`
}

// Aboard is one thing on the scale, as the plan had it that day.
type Aboard struct {
	Of      string     `json:"of" maxLength:"80" doc:"id of an item, or of a tank behind tank:"`
	Name    string     `json:"name" maxLength:"120"`
	Kg      float64    `json:"kg" minimum:"0" maximum:"20000" unit:"kg" doc:"without what is in it, kg"`
	Content float64    `json:"content" minimum:"0" maximum:"20000" unit:"kg" doc:"water or fuel in it, kg"`
	Source  MassSource `json:"source" enum:"weighed,data-sheet,material,estimate" doc:"where its mass comes from"`
	Wall    Material   `json:"wall" enum:",plywood,aluminium,extrusion,foam-core,none" doc:"what its mass was calculated from; empty where it was not"`
	At      Point      `json:"at" doc:"where it stood"`
}

// AxleReadings returns what the front and rear axle carried, kg; ok is false when only the whole was weighed.
func (w *WeighIn) AxleReadings() (front, rear float64, ok bool) {
	switch w.Reading {
	case ReadCorners:
		return w.FrontLeft + w.FrontRight, w.RearLeft + w.RearRight, true
	case ReadTotal:
		return 0, 0, false
	}
	return w.Front, w.Rear, true
}

// PlannedMass is the mass of a thing before it was weighed.
type PlannedMass struct {
	Kg     float64    `json:"kg" minimum:"0" maximum:"20000" unit:"kg" doc:"kg"`
	Source MassSource `json:"source" enum:"weighed,data-sheet,material,estimate"`
	Why    string     `json:"why" maxLength:"400" doc:"why it weighs otherwise, where somebody found out"`
	Moving bool       `json:"moving" doc:"it was taken while the scale moved"`
}
