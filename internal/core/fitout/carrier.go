package fitout

// Carrier is a canopy or box that comes off the vehicle and stands on its legs, with what goes with it.
type Carrier struct {
	Name  string      `json:"name" minLength:"1" maxLength:"120"`
	Bays  []ThingNote `json:"bays" key:"of" maxItems:"60" doc:"spaces of it: what stands in them comes off with it"`
	Items []ThingNote `json:"items" key:"of" maxItems:"200" doc:"what comes off with it besides: itself, what hangs on it"`
	Legs  []StandLeg  `json:"legs" key:"id" maxItems:"12" doc:"on which it stands then"`
}

// StandLeg is one leg of a carrier.
type StandLeg struct {
	ID     string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Name   string  `json:"name" minLength:"1" maxLength:"120"`
	At     Point   `json:"at" doc:"of its foot, the carrier standing where it is on the vehicle"`
	Rating float64 `json:"rating" minimum:"0" maximum:"20000" unit:"kg" doc:"what it carries, kg; 0 = not stated"`
}

// ComesOff tells of each item of a variant whether it comes off with the carrier: it is named, it stands in a
// space of the carrier, or it lies in what does.
func (c *Carrier) ComesOff(v *Variant) map[string]bool {
	off := map[string]bool{}
	if c == nil {
		return off
	}
	bays := map[string]bool{}
	for _, b := range c.Bays {
		bays[b.Of] = true
	}
	for _, t := range c.Items {
		off[t.Of] = true
	}
	for i := range v.Items {
		if item := &v.Items[i]; item.Bay != "" && bays[item.Bay] {
			off[item.ID] = true
		}
	}
	for grown := true; grown; {
		grown = false
		for i := range v.Items {
			if item := &v.Items[i]; item.In != nil && off[item.In.Module] && !off[item.ID] {
				off[item.ID], grown = true, true
			}
		}
	}
	return off
}
