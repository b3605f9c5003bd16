package fitout

// Datum is the line from which shown stations are measured. Stations count
// rearward from it; ahead of it they are negative.
type Datum string

// The datums that a job can be read in.
const (
	DatumFrontAxle Datum = "front-axle"
	DatumRearAxle  Datum = "rear-axle"
	DatumHeadboard Datum = "headboard"
	DatumFrontEnd  Datum = "front-end"
	DatumRearEnd   Datum = "rear-end"
)

// Datums lists the datums in the order in which they are offered.
var Datums = [...]Datum{DatumFrontAxle, DatumRearAxle, DatumHeadboard, DatumFrontEnd, DatumRearEnd}

// Origin returns the x of a datum on this vehicle, mm, with its wheelbase
// extension in place. An unknown datum is the front axle.
func (v *Vehicle) Origin(d Datum) float64 {
	switch d {
	case DatumRearAxle:
		return v.ExtendedWheelbase()
	case DatumHeadboard:
		return v.Outline.Headboard
	case DatumFrontEnd:
		return -v.Outline.FrontOverhang
	case DatumRearEnd:
		return v.ExtendedWheelbase() + v.Outline.RearOverhang
	}
	return 0
}

// ToDatum converts an x of the vehicle's frame to a station in the datum, mm.
func (v *Vehicle) ToDatum(d Datum, x float64) float64 { return x - v.Origin(d) }

// FromDatum converts a station in the datum to an x of the vehicle's frame, mm.
func (v *Vehicle) FromDatum(d Datum, station float64) float64 { return station + v.Origin(d) }
