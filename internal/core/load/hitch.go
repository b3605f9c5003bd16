package load

import "zaino/internal/core/fitout"

// Towing is what a coupled trailer does to the vehicle and what rests on its
// own axles, kg.
type Towing struct {
	Vehicle     Axles   // change of the vehicle's axle loads
	TrailerAxle float64 // load on the trailer's axles when coupled
	Ball        float64 // download on the ball before weight distribution
}

// Moments are what the coupled trailer adds to those of a vehicle, with the
// wheelbase in mm.
func (t Towing) Moments(wheelbase float64) Moments {
	return Moments{Kg: t.Vehicle.Gross(), X: t.Vehicle.Rear * wheelbase, Towed: t.TrailerAxle, Ball: t.Ball}
}

// Tow returns the effect of a trailer on a vehicle of the given wheelbase with
// the ball an overhang behind the rear axle, both mm. The ball download acts at
// L + overhang; a weight-distributing hitch with moment C and ball-to-axle
// distance d then moves C/L to the front, takes C (1/L + 1/d) off the rear, and
// puts C/d on the trailer axle. Without d there is no distribution.
func Tow(trailer *fitout.Trailer, wheelbase, overhang float64) Towing {
	rear := trailer.Ball * (wheelbase + overhang) / wheelbase
	t := Towing{
		Vehicle:     Axles{Front: trailer.Ball - rear, Rear: rear},
		TrailerAxle: trailer.Mass - trailer.Ball,
		Ball:        trailer.Ball,
	}
	if trailer.BallToAxle > 0 {
		c := trailer.Distribution
		t.Vehicle.Front += c / wheelbase
		t.Vehicle.Rear -= c/wheelbase + c/trailer.BallToAxle
		t.TrailerAxle += c / trailer.BallToAxle
	}
	return t
}
