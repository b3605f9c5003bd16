package space

import "zaino/internal/core/fitout"

// Step is one measure of the sheet that the person with the tape follows.
type Step struct {
	Path     []string `json:"path" doc:"keys and ids from the bay to the field"`
	Group    string   `json:"group" doc:"heading: level, outline, arches, opening, height, diagonals"`
	Title    string   `json:"title"`
	How      string   `json:"how" doc:"where the tape goes, and what to mind"`
	Picture  string   `json:"picture" doc:"the picture that shows it"`
	Kind     string   `json:"kind" enum:"length,angle,yes"`
	Optional bool     `json:"optional" doc:"0 is an answer: not every bay has it"`
	Value    float64  `json:"value" doc:"as it is now: mm or degrees; 1 for yes"`
}

// Taken reports whether a measure that every bay has was taken.
func (s Step) Taken() bool { return s.Value != 0 }

// open are bays without walls: nothing to measure above their floor.
func open(k fitout.BayKind) bool {
	return k == fitout.BayRoof || k == fitout.BayRearWall || k == fitout.BayBetweenRails
}

// Sheet returns a bay's measures in the order in which they are taken: level
// first, because levelling afterwards spoils everything that was measured;
// then outline, arches, opening, height, and the diagonals that prove it all.
func Sheet(b *fitout.Bay) []Step {
	mm := func(group, path, title, how string, value float64, optional bool) Step {
		return Step{Path: []string{path}, Group: group, Title: title, How: how, Picture: path, Kind: "length", Value: value,
			Optional: optional}
	}
	yes := 0.0
	if b.Levelled {
		yes = 1
	}
	steps := []Step{
		{Path: []string{"tiltAlong"}, Group: "Level", Title: "Tilt along",
			How: "Put the level on the floor, pointing to the front. Front low is positive.", Picture: "tiltAlong",
			Kind: "angle", Value: b.TiltAlong, Optional: true},
		{Path: []string{"tiltAcross"}, Group: "Level", Title: "Tilt across",
			How: "Turn the level across the floor. Right side low is positive.", Picture: "tiltAcross", Kind: "angle",
			Value: b.TiltAcross, Optional: true},
		{Path: []string{"levelled"}, Group: "Level", Title: "Floor is level now",
			How: "Jack or pack until both tilts are under half a degree, then go on. Levelling after the template spoils the " +
				"template.", Picture: "levelled", Kind: "yes", Value: yes},
		mm("Outline", "lengthLeft", "Length, left side",
			"Along the floor at the left wall, from the front wall to the inside of the closed rear.", b.LengthLeft, false),
		mm("Outline", "lengthRight", "Length, right side", "The same at the right wall. Do not assume that it is the same.",
			b.LengthRight, false),
		mm("Outline", "widthFront", "Width at the front",
			"Wall to wall across the floor at the front, clear of arches and trim.", b.WidthFront, false),
		mm("Outline", "widthRear", "Width at the rear",
			"Wall to wall across the floor at the rear, clear of arches and trim.", b.WidthRear, false),
	}
	if !open(b.Kind) {
		steps = append(steps, archSteps(b)...)
		steps = append(steps, openingSteps(b)...)
		steps = append(steps,
			mm("Height", "heightFront", "Height at the front", "Floor to ceiling at the front, at the lowest rib or lining.",
				b.HeightFront, false),
			mm("Height", "heightRear", "Height at the rear", "Floor to ceiling at the rear, at the lowest rib, lamp or latch.",
				b.HeightRear, false),
			mm("Height", "lengthTop", "Length at the top",
				"Along the middle at the height of the build, from the front wall to the closed hatch or door. A hatch that "+
					"leans in takes length away.", b.LengthTop, true),
		)
	}
	steps = append(steps, Step{Path: []string{"at", "z"}, Group: "Height", Title: "Floor above ground",
		How: "From level ground up to the floor, vehicle unladen, beside the rear wheel.", Picture: "floor", Kind: "length",
		Value: b.At.Z})
	return append(steps,
		mm("Diagonals", "diagonalLeft", "Diagonal from front left",
			"Across the floor from the front left corner to the rear right corner.", b.DiagonalLeft, false),
		mm("Diagonals", "diagonalRight", "Diagonal from front right",
			"Across the floor from the front right corner to the rear left corner. With the sides it proves the outline.",
			b.DiagonalRight, false),
	)
}

func archSteps(b *fitout.Bay) []Step {
	var steps []Step
	for _, o := range b.Obstacles {
		part := func(field, title, how, picture string, value float64, optional bool) {
			steps = append(steps, Step{Path: []string{"obstacles", o.ID, field}, Group: "Arches", Title: o.Name + ": " + title,
				How: how, Picture: picture, Kind: "length", Value: value, Optional: optional})
		}
		part("front", "from the front", "Along the wall from the front of the bay to where it begins.", "archFront", o.Front,
			true)
		part("length", "length", "Along the wall from where it begins to where it ends.", "archLength", o.Length, false)
		part("width", "into the bay", "From its wall to its innermost point, square to the wall.", "archWidth", o.Width,
			false)
		part("height", "height", "From where it begins to its top.", "archHeight", o.Height, false)
	}
	if len(steps) > 0 {
		steps = append(steps, Step{Path: []string{"betweenArches"}, Group: "Arches", Title: "Between the arches",
			How:     "The narrowest place between both arches, at the floor. It decides what stands between them.",
			Picture: "betweenArches", Kind: "length", Value: b.BetweenArches, Optional: true})
	}
	return steps
}

func openingSteps(b *fitout.Bay) []Step {
	if b.Opening.Face == fitout.FaceNone || b.Opening.Face == "" {
		return nil
	}
	part := func(field, title, how string, value float64, optional bool) Step {
		return Step{Path: []string{"opening", field}, Group: "Opening", Title: title, How: how, Picture: "opening" + field,
			Kind: "length", Value: value, Optional: optional}
	}
	return []Step{
		part("width", "Opening, width",
			"The narrowest place between seals, latches and struts, door open. Everything that is built must pass here.",
			b.Opening.Width, false),
		part("height", "Opening, height", "From the lip up to the lowest seal, latch or strut, door open.", b.Opening.Height,
			false),
		part("sill", "Lip", "From the floor up to the top of the lip that a floor or slide must clear. 0 when there is none.",
			b.Opening.Sill, true),
	}
}
