package power

import (
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// wantedLux is how much light a zone wants, lx: to cut on a bench, to read in bed, to walk
// on the ground, to find things inside. Practice.
var wantedLux = map[fitout.LightZone]float64{
	fitout.LightBench: 300, fitout.LightBed: 100, fitout.LightGround: 20, fitout.LightInside: 50,
}

var zoneWord = map[fitout.LightZone]string{
	fitout.LightBench: "the bench", fitout.LightBed: "the bed", fitout.LightGround: "the ground",
	fitout.LightInside: "inside",
}

// Lux is what a lamp gives in the middle of its beam, lx: lumens over the area that a cone
// of its beam covers at a distance, E = Φ/(2π (1 − cos(β/2)) d²), d in m: the intensity of
// an even cone over the square of the distance. Dimmed counts as its share.
func Lux(u *fitout.LightUse) float64 {
	d := u.Away / 1000
	lumens := u.Lumens
	if u.Dimmed > 0 {
		lumens *= u.Dimmed
	}
	return lumens / (2 * math.Pi * (1 - math.Cos(radians*u.Beam/2)) * d * d)
}

// ZoneFigures is what lamps give where they light.
type ZoneFigures struct {
	Zone   fitout.LightZone `json:"zone" enum:"bench,bed,ground,inside"`
	Lux    float64          `json:"lux" doc:"by all of them, lx"`
	Wanted float64          `json:"wanted" doc:"lx"`
	Lamps  float64          `json:"lamps" doc:"how many there are"`
	Needed float64          `json:"needed" doc:"how many like the first would do"`

	of    *fitout.PowerLoad
	names []string
}

// zones are what all lamps give, by what they light, in the order in which they come.
func (l *Look) zones() []ZoneFigures {
	zones := []ZoneFigures{}
	l.consumers(func(_ int, c *consumer) []fitout.Finding {
		u := c.def.Light
		if u == nil || !c.usable || u.Lumens <= 0 {
			return nil
		}
		k := slices.IndexFunc(zones, func(z ZoneFigures) bool { return z.Zone == u.Zone })
		if k < 0 {
			k = len(zones)
			zones = append(zones, ZoneFigures{Zone: u.Zone, Wanted: wantedLux[u.Zone], of: c.def})
		}
		zones[k].Lux += Lux(u) * c.def.Count
		zones[k].Lamps += c.def.Count
		zones[k].names = append(zones[k].names, c.def.Name)
		return nil
	})
	for k := range zones {
		zones[k].Needed = math.Ceil(zones[k].Wanted / max(Lux(zones[k].of.Light), 1e-9))
	}
	return zones
}

// tooDark cautions about zones that have lamps, and too little light by all of them.
func tooDark(l *Look) []fitout.Finding {
	var found []fitout.Finding
	for _, z := range l.zones() {
		if z.Lux >= z.Wanted {
			continue
		}
		f := l.about("too-dark", fitout.Caution, z.of.ID, z.of.Item)
		f.Subject.Measure = string(z.Zone)
		f.Title = "Too dark: " + zoneWord[z.Zone]
		f.Sentence = fmt.Sprintf("%s %s %s lx there; %s wants about %s. %s of the first would do, or one that is nearer.",
			words.Capital(names(z.names)), does(z.names, "gives", "give"), l.Say.Plain(math.Round(z.Lux)), zoneWord[z.Zone],
			l.Say.Plain(z.Wanted), l.Say.Plain(z.Needed))
		f.Under(z.Lux, z.Wanted, "lx")
		found = append(found, f)
	}
	return found
}

// switchOrder notes a lamp that one cannot put out from bed, and light that dazzles.
func switchOrder(l *Look) []fitout.Finding {
	return l.consumers(func(_ int, c *consumer) []fitout.Finding {
		u := c.def.Light
		if u == nil || !c.usable {
			return nil
		}
		var why string
		switch {
		case (u.Zone == fitout.LightInside || u.Zone == fitout.LightBed) && !u.AtSleep:
			why = "It is not switched from the bed, so whoever puts it out goes to bed in the dark. Put one of its switches " +
				"there."
		case u.Zone == fitout.LightBed && u.Colour > 4000:
			why = fmt.Sprintf("At %s K it is cold and bright over the bed, and wakes. Choose warm light, or dim it.",
				l.Say.Plain(u.Colour))
		default:
			return nil
		}
		f := l.about("switch-order", fitout.Note, c.def.ID, c.def.Item)
		f.Title = c.def.Name + " is switched in the wrong order"
		if u.AtSleep {
			f.Title = c.def.Name + " dazzles"
		}
		f.Sentence = why
		f.Margin = -1
		return []fitout.Finding{f}
	})
}
