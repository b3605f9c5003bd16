package power

import "math"

// Sun is what the sun gives at one moment under a clear sky, W/m²: on flat ground, on a
// panel that is turned to it, and scattered from the sky.
type Sun struct {
	Flat, Direct, Scattered float64
	Height                  float64 // cosine of its angle to the plumb line

	over     *sky
	turnedBy float64 // cosine of the hour's angle
}

// sky is the way of the sun over one place on one day.
type sky struct {
	latitude                 float64 // radians
	sin, cos                 float64 // of the declination
	sinLatitude, cosLatitude float64
}

func skyOf(latitude, day float64) *sky {
	declination := radians * 23.45 * math.Sin(radians*360*(284+day)/365)
	return &sky{
		latitude: radians * latitude, sin: math.Sin(declination), cos: math.Cos(declination),
		sinLatitude: math.Sin(radians * latitude), cosLatitude: math.Cos(radians * latitude),
	}
}

const radians = math.Pi / 180

// SunAt is the sun at a latitude in degrees (negative in the south), on a day of the year
// (1 to 366), at an hour of solar time: δ = 23.45° sin(360° (284 + n)/365) (Cooper 1969);
// cos θz = sin φ sin δ + cos φ cos δ cos ω, ω = 15° (h − 12); flat GHI = 1098 cos θz
// exp(−0.059/cos θz) (Haurwitz 1945); DNI = 1353 · 0.7^(AM^0.678) (Meinel 1976) with AM =
// 1/(cos θz + 0.50572 (96.07995 − θz)^−1.6364) (Kasten and Young 1989). Below the horizon
// all is 0. Estimates of a clear sky at low heights above the sea.
func SunAt(latitude, day, hour float64) Sun { return skyOf(latitude, day).at(hour) }

func (y *sky) at(hour float64) Sun {
	s := Sun{over: y, turnedBy: math.Cos(radians * 15 * (hour - 12))}
	s.Height = y.sinLatitude*y.sin + y.cosLatitude*y.cos*s.turnedBy
	if s.Height <= 0 {
		return s
	}
	zenith := math.Acos(min(1, s.Height)) / radians
	mass := 1 / (s.Height + 0.50572*math.Pow(96.07995-zenith, -1.6364))
	s.Flat = 1098 * s.Height * math.Exp(-0.059/s.Height)
	s.Direct = 1353 * math.Pow(0.7, math.Pow(mass, 0.678))
	s.Scattered = max(0, s.Flat-s.Direct*s.Height)
	return s
}

// Turned is what a panel that is turned to the sun gets under a clear sky, W/m²: 1.1 DNI.
func (s Sun) Turned() float64 { return 1.1 * s.Direct }

// Tilted is what a panel that is tilted by β toward the equator gets under a clear sky,
// W/m²: DNI max(0, cos θi) + DHI (1 + cos β)/2 + 0.2 GHI (1 − cos β)/2 (Liu and Jordan
// 1963), β in degrees, 0 to 90.
func (s Sun) Tilted(tilt float64) float64 { return s.on(s.over.slope(tilt)) }

// slope is a panel that is tilted toward the equator: it gets the sun as if it lay flat that much nearer to it.
type slope struct {
	sin, cos    float64 // of the latitude at which it would lie flat
	sky, ground float64 // twice the shares of what is scattered, and thrown back, that it sees
}

func (y *sky) slope(tilt float64) slope {
	beta := radians * tilt
	toward := y.latitude - beta
	if y.latitude < 0 {
		toward = y.latitude + beta
	}
	return slope{math.Sin(toward), math.Cos(toward), 1 + math.Cos(beta), 1 - math.Cos(beta)}
}

// on is what a tilted panel gets under a clear sky, W/m².
func (s Sun) on(p slope) float64 {
	if s.Height <= 0 {
		return 0
	}
	incidence := p.sin*s.over.sin + p.cos*s.over.cos*s.turnedBy
	return s.Direct*max(0, incidence) + s.Scattered*p.sky/2 + 0.2*s.Flat*p.ground/2
}

// Through is what comes through clouds of what a panel would get under a clear sky, W/m²:
// c (GHI + b (clear − GHI)) with c the share of the clear sky's light, b = (c − 0.25)/0.75
// within 0 and 1: the thicker the cloud, the less it matters where a panel looks.
func (s Sun) Through(clear, cloud float64) float64 {
	b := min(1, max(0, (cloud-0.25)/0.75))
	return cloud * (s.Flat + b*(clear-s.Flat))
}

// panelShare is what a panel gives of its rating at 1000 W/m², with its warmth, dust and
// controller. Practice.
const panelShare = 0.8

// coldString is the open-circuit voltage of a string in the cold, V: Voc (1 + 0.003 (25 −
// T)), T the coldest temperature in °C.
func coldString(open, coldest float64) float64 { return open * (1 + 0.003*(25-coldest)) }
