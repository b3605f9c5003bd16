package assess

import (
	"fmt"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
)

// Apply makes edits of fixes on a job's chosen variant, one after another. What is
// bought comes from the given components. It refuses what was not offered for this
// job, and then nothing is changed.
func Apply(j *fitout.Job, components []fitout.Component, edits []fitout.FixEdit) (fitout.Job, error) {
	changed := *j
	for _, edit := range edits {
		var err error
		if changed, err = apply(&changed, components, &edit); err != nil {
			return *j, err
		}
	}
	return changed, fitout.Validate(&changed)
}

// errNotOffered refuses an edit that nothing in the job answers to.
func errNotOffered(edit *fitout.FixEdit) error {
	return fitout.Problem{Path: "edits", Given: edit.Kind + " " + edit.ID, Accepted: "a change that was offered for this job"}
}

func apply(j *fitout.Job, components []fitout.Component, edit *fitout.FixEdit) (fitout.Job, error) {
	changed, done := *j, false
	switch edit.Kind {
	case "uncouple", "ball", "distribution":
		done = applyTrailer(&changed, edit)
	case "tank-level", "rating", "tyres", "springs", "extension":
		done = applyVehicle(&changed, edit)
	case "switch-off", "outside":
		done = applyVariant(&changed, edit)
	default:
		changed = withItems(j, func(i *fitout.Item) {
			if i.ID == edit.ID {
				done = applyItem(j, i, components, edit)
			}
		})
		if v := changed.ChosenVariant(); edit.Kind == "swap" && done {
			rehouse(v, &v.Items[slices.IndexFunc(v.Items, func(i fitout.Item) bool { return i.ID == edit.ID })])
		}
	}
	if !done {
		return *j, errNotOffered(edit)
	}
	return changed, nil
}

func applyTrailer(j *fitout.Job, edit *fitout.FixEdit) bool {
	if j.Trailer == nil {
		return false
	}
	trailer := *j.Trailer
	switch edit.Kind {
	case "uncouple":
		trailer.Coupled = false
	case "ball":
		trailer.Ball = edit.Value
	case "distribution":
		trailer.Distribution = edit.Value
	}
	j.Trailer = &trailer
	return true
}

func applyVehicle(j *fitout.Job, edit *fitout.FixEdit) bool {
	v := &j.Vehicle
	planned := fitout.Modification{
		ID: unusedModification(v), Counted: true, Source: fitout.Estimate, Certificate: fitout.Planned, Axle: fitout.NoAxle, Limits: []fitout.LimitMoved{},
	}
	switch edit.Kind {
	case "tank-level":
		k := slices.IndexFunc(v.Tanks, func(t fitout.Tank) bool { return t.ID == edit.ID })
		if k < 0 {
			return false
		}
		v.Tanks = slices.Clone(v.Tanks)
		v.Tanks[k].Now = edit.Value
		return true
	case "extension":
		e := fitout.Extension{Cut: v.Outline.Headboard}
		if v.Extension != nil {
			e = *v.Extension
		}
		if e.BehindCut == 0 {
			// Nobody said what of the vehicle moves with its axle. All that its rear axle
			// carries dry is more than does, so that the loads are on the safe side.
			dry := load.DryVehicle(v).Mass
			e.BehindCut = max(0, dry.Kg*dry.X/v.Wheelbase)
		}
		e.By, e.Certificated = edit.Value, false
		v.Extension = &e
		return true
	case "rating":
		planned.Kind, planned.Name = fitout.AxleRating, "Certified axle rating"
		if edit.ID == string(fitout.LimitGross) || edit.ID == string(fitout.LimitCombination) {
			planned.Kind, planned.Name = fitout.GrossUpgrade, "Certified mass upgrade"
		}
		planned.Limits = []fitout.LimitMoved{{Limit: fitout.LimitID(edit.ID), Kg: edit.Value}}
	case "tyres":
		planned.Kind, planned.Name, planned.Axle = fitout.NewTyres, fmt.Sprintf("Tyres of load index %.0f", edit.Value), fitout.WhichAxle(edit.ID)
		planned.Certificate, planned.Tyre = fitout.NotNeeded, fitout.Tyre{Index: int(edit.Value)}
	case "springs":
		planned.Kind, planned.Name, planned.Axle = fitout.Springs, fmt.Sprintf("Springs of %.0f N/mm", edit.Value), fitout.WhichAxle(edit.ID)
		planned.Certificate, planned.Rate = fitout.NotNeeded, edit.Value
	}
	v.Modifications = append(slices.Clone(v.Modifications), planned)
	return true
}

// unusedModification is an id that no modification has yet.
func unusedModification(v *fitout.Vehicle) string {
	for n := 1; ; n++ {
		id := fmt.Sprintf("planned-%d", n)
		if !slices.ContainsFunc(v.Modifications, func(m fitout.Modification) bool { return m.ID == id }) {
			return id
		}
	}
}

func applyVariant(j *fitout.Job, edit *fitout.FixEdit) bool {
	j.Variants = slices.Clone(j.Variants)
	v := j.ChosenVariant()
	if edit.Kind == "outside" {
		k := slices.IndexFunc(v.Stances, func(s fitout.Stance) bool { return s.ID == edit.With })
		if k < 0 || !slices.ContainsFunc(v.Items, func(i fitout.Item) bool { return i.ID == edit.ID }) {
			return false
		}
		v.Stances = slices.Clone(v.Stances)
		stays := slices.DeleteFunc(slices.Clone(v.Stances[k].Loose), func(l fitout.LoosePlace) bool { return l.Item == edit.ID })
		v.Stances[k].Loose = append(stays, fitout.LoosePlace{Item: edit.ID, Outside: true})
		return true
	}
	k := slices.IndexFunc(v.Switches, func(s fitout.Switch) bool { return s.ID == edit.ID })
	if k < 0 {
		return false
	}
	v.Switches = slices.Clone(v.Switches)
	v.Switches[k].On = false
	return true
}

// applyItem changes one item of a job's copied variant; false for an edit that it
// has no use for.
func applyItem(j *fitout.Job, i *fitout.Item, components []fitout.Component, edit *fitout.FixEdit) bool {
	value := edit.Value
	switch edit.Kind {
	case "move-item", "part-x":
		i.At.X = value
	case "part-y":
		i.At.Y = value
	case "part-z":
		i.At.Z = value
	case "part-length":
		i.Size.Length = value
	case "part-width":
		i.Size.Width = value
	case "part-height":
		i.Size.Height = value
	case "item-level":
		if i.Presence.Level == nil {
			return false
		}
		level := *i.Presence.Level
		level.Now = value
		i.Presence.Level = &level
	case "to-trailer", "off-trailer":
		if j.Trailer == nil || i.OnTrailer == (edit.Kind == "to-trailer") {
			return false
		}
		i.OnTrailer, i.In = !i.OnTrailer, nil
	case "seat":
		if !slices.ContainsFunc(j.Vehicle.Seats, func(s fitout.Seat) bool { return s.ID == edit.With }) {
			return false
		}
		i.Seat = edit.With
	case "swap":
		k := slices.IndexFunc(components, func(c fitout.Component) bool { return c.ID == edit.With })
		if k < 0 || i.Module == nil || components[k].Item.Module == nil {
			return false
		}
		exchange(i, &components[k].Item)
	default:
		return applyModule(i, edit)
	}
	return true
}

func applyModule(i *fitout.Item, edit *fitout.FixEdit) bool {
	if i.Module == nil {
		return false
	}
	m := *i.Module
	switch edit.Kind {
	case "travel":
		m.Travel = edit.Value
	case "drop":
		m.Drop = edit.Value
	case "lining":
		m.Lining = edit.Value
	case "foam-core":
		m.Wall, m.Panel = fitout.FoamCore, edit.Value
		i.Source = fitout.ByMaterial
	case "latch":
		m.Latch = fitout.RatedLatch
	case "strut-force":
		m.Struts, m.Force = max(2, m.Struts), edit.Value
	default:
		return false
	}
	i.Module = &m
	return true
}

// exchange puts a component in the place of a part, with what fills it as far as
// it goes in.
func exchange(i *fitout.Item, with *fitout.Item) {
	level := i.Presence.Level
	replace(i, with)
	if level == nil || with.Presence.Level == nil {
		return
	}
	filled := *with.Presence.Level
	filled.Density = level.Density
	filled.Now = min(max(level.Now, filled.Min), filled.Max)
	i.Presence.Level = &filled
}
