package living

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"zaino/internal/core/fitout"
	"zaino/internal/core/quantity"
	"zaino/internal/core/scene"
	"zaino/internal/core/words"
)

// HammockPull returns what the eyes of a hammock are pulled with when a mass hangs halfway between them, kg of
// force, by the equilibrium of its two ends, which stand at α and β to the level: m cos β / sin(α + β) at the
// eye of α, and the other way round. With eyes of one height both are m/(2 sin α). Above 0 and below 180°
// together; level ends pull without bound.
func HammockPull(kg, α, β float64) (atα, atβ float64) {
	sin := math.Sin((α + β) * math.Pi / 180)
	return kg * math.Cos(β*math.Pi/180) / sin, kg * math.Cos(α*math.Pi/180) / sin
}

// flattest is the angle of a hammock's ends to the level below which its pull grows fast, °; practice.
const flattest = 20

// lyingHigh is how high a body lies above the cloth of a hammock, mm.
const lyingHigh = 350

// hung is a hammock with its eyes and who lies in it.
type hung struct {
	said       *fitout.Hung
	posture    *scene.Posture
	who        *fitout.Traveller
	head, foot *fitout.Mount
}

// hammocks are those of every stance for which somebody of the brief lies in one.
func hammocks(s *scene.Scene, tell func(h *hung)) {
	for i := range s.Postures {
		p := &s.Postures[i]
		for k := range p.Stance.Hung {
			h := &hung{
				said:    &p.Stance.Hung[k],
				posture: p,
				head:    mount(s, p.Stance.Hung[k].Head),
				foot:    mount(s, p.Stance.Hung[k].Foot),
			}
			for n := range s.Brief.Travellers {
				if s.Brief.Travellers[n].ID == h.said.Traveller {
					h.who = &s.Brief.Travellers[n]
				}
			}
			if h.who != nil {
				tell(h)
			}
		}
	}
}

func mount(s *scene.Scene, id string) *fitout.Mount {
	for i := range s.Vehicle.Mounts {
		if s.Vehicle.Mounts[i].ID == id {
			return &s.Vehicle.Mounts[i]
		}
	}
	return nil
}

// hangs tells whether a traveller lies in a hammock in a posture.
func hangs(p *scene.Posture, traveller string) bool {
	return slices.ContainsFunc(p.Stance.Hung, func(h fitout.Hung) bool { return h.Traveller == traveller })
}

// eyed tells whether it hangs on two eyes that are apart.
func (h *hung) eyed() bool {
	return h.head != nil && h.foot != nil && h.head.ID != h.foot.ID && h.span() > 0
}

// span is how far its eyes are apart, level, mm.
func (h *hung) span() float64 {
	return math.Hypot(h.foot.At.X-h.head.At.X, h.foot.At.Y-h.head.At.Y)
}

// hangsFree tells whether it hangs on two eyes, below both.
func (h *hung) hangsFree() bool { return h.eyed() && h.said.Low < min(h.head.At.Z, h.foot.At.Z) }

// angle is that of the end at an eye to the level, the lowest point hanging halfway between the eyes, °.
func (h *hung) angle(eye *fitout.Mount, low float64) float64 {
	return math.Atan2(eye.At.Z-low, h.span()/2) * 180 / math.Pi
}

// endPulls is what the eyes are pulled with when the lowest point hangs so high, kg.
func endPulls(s *scene.Scene, h *hung, low float64) (head, foot float64) {
	return HammockPull(hangsIn(s, h), h.angle(h.head, low), h.angle(h.foot, low))
}

// hangsIn is what hangs in it, kg.
func hangsIn(s *scene.Scene, h *hung) float64 {
	return cmp.Or(h.who.Mass, s.Practice.Standing) + h.said.Kg
}

func (h *hung) about(s *scene.Scene, severity fitout.Severity, title, sentence string) fitout.Finding {
	f := fitout.Finding{
		Severity: severity, Subject: fitout.Subject{Kind: "stance", ID: h.posture.Stance.ID, Measure: "hung/" + h.who.ID},
		Stance: h.posture.Stance.ID, Source: "physics", Title: title, Sentence: sentence + h.posture.In(), Margin: -1,
	}
	if h.eyed() {
		f.Lines = []fitout.Line{scene.Line(h.head.At, h.foot.At, s.Say.Length(h.span()))}
	}
	return f
}

// lower offers another height of the lowest point.
func (h *hung) lower(label string, low float64) fitout.Fix {
	return fitout.Fix{
		Label: label,
		Edit:  fitout.FixEdit{Kind: "hang", ID: h.who.ID, With: h.posture.Stance.ID, Value: low},
	}
}

// HammockPulls stops a hammock that hangs on less than two eyes, hangs no lower than they are, or pulls at one more
// than it is rated; it notes eyes of which nobody stated a rating.
func HammockPulls(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	hammocks(s, func(h *hung) {
		name := "hammock of " + h.who.Name
		if !h.eyed() {
			found = append(found, h.about(s, fitout.Stop, "The "+name+" lacks an eye", fmt.Sprintf(
				"A hammock hangs on two eyes that are apart; choose both for the %s among the mounting points.",
				name,
			)))
			return
		}
		if h.said.Low >= min(h.head.At.Z, h.foot.At.Z) {
			low := min(h.level(flattest), min(h.head.At.Z, h.foot.At.Z)-1)
			f := h.about(s, fitout.Stop, "The "+name+" hangs no lower than its eyes", fmt.Sprintf(
				"Its lowest point stands at %s, the lower of its eyes at %s: nothing holds at that. Let it hang %s deeper.",
				s.Say.Length(h.said.Low),
				s.Say.Length(min(h.head.At.Z, h.foot.At.Z)),
				s.Say.Length(h.said.Low-low),
			))
			f.Fixes = []fitout.Fix{h.lower("Hang it "+s.Say.Length(h.said.Low-low)+" deeper", low)}
			found = append(found, f)
			return
		}
		atHead, atFoot := endPulls(s, h, h.said.Low)
		unsaid, most := []string{}, 0.0
		for _, eye := range []struct {
			*fitout.Mount
			pull float64
		}{{h.head, atHead}, {h.foot, atFoot}} {
			switch {
			case eye.Rating == 0:
				unsaid, most = append(unsaid, words.Lower(eye.Name)), max(most, eye.pull)
			case quantity.Exceeds(eye.pull, eye.Rating):
				found = append(found, tornOut(s, h, eye.Mount, eye.pull))
			}
		}
		if len(unsaid) > 0 {
			f := h.about(s, fitout.Note, "Nobody stated what holds the "+name, fmt.Sprintf(
				"With %s in it an eye is pulled with up to %s; nobody stated what %s holds. Enter it, or take eyes that hold that "+
					"much.",
				s.Say.Mass(hangsIn(s, h)),
				s.Say.Mass(most),
				words.List(unsaid),
			))
			f.Value, f.Unit = most, "kg"
			found = append(found, f)
		}
	})
	return found
}

// level is the height of the lowest point at which the ends stand at an angle to the level, mm.
func (h *hung) level(angle float64) float64 {
	return (h.head.At.Z+h.foot.At.Z)/2 - h.span()/2*math.Tan(angle*math.Pi/180)
}

// tornOut is the finding of an eye that a hammock asks too much of: how deep it would have to hang is solved for,
// as long as that leaves its ends no steeper than half a right angle on the mean.
func tornOut(s *scene.Scene, h *hung, eye *fitout.Mount, pull float64) fitout.Finding {
	sentence := fmt.Sprintf(
		"With %s in it and its end at %.0f° to the level, %s is pulled with %s; it holds %s.",
		s.Say.Mass(
			hangsIn(s, h),
		),
		h.angle(eye, h.said.Low),
		words.Lower(eye.Name),
		s.Say.Mass(pull),
		s.Say.Mass(eye.Rating),
	)
	holds := func(low float64) bool {
		head, foot := endPulls(s, h, low)
		return !exceeds(head, h.head.Rating) && !exceeds(foot, h.foot.Rating)
	}
	var fixes []fitout.Fix
	if deep := math.Floor(h.level(45)); deep < h.said.Low && holds(deep) {
		enough, short := deep, h.said.Low
		for range 30 { // to far less than a millimetre
			if middle := (short + enough) / 2; holds(middle) {
				enough = middle
			} else {
				short = middle
			}
		}
		enough = math.Floor(enough)
		by := s.Say.Length(h.said.Low - enough)
		sentence += fmt.Sprintf(" Hang it %s deeper, or choose an eye that holds %s.", by, s.Say.MassAtLeast(pull))
		fixes = []fitout.Fix{h.lower("Hang it "+by+" deeper", enough)}
	} else {
		sentence += fmt.Sprintf(" No usual depth makes that enough; choose an eye that holds %s.", s.Say.MassAtLeast(pull))
	}
	f := h.about(s, fitout.Stop, fmt.Sprintf("%s does not hold the hammock of %s", eye.Name, h.who.Name), sentence)
	f.With = []string{eye.ID}
	f.Value, f.Limit, f.Margin, f.Unit = pull, eye.Rating, eye.Rating-pull, "kg"
	f.Fixes = fixes
	return f
}

// cloth is how long a hammock is from eye to eye over its lowest point, mm.
func (h *hung) cloth() float64 {
	half := h.span() / 2
	return math.Hypot(half, h.head.At.Z-h.said.Low) + math.Hypot(half, h.foot.At.Z-h.said.Low)
}

// spanFor is how far its eyes have to be apart for a cloth of a length, its lowest point and their heights staying,
// mm.
func (h *hung) spanFor(cloth float64) float64 {
	low, high := 0.0, cloth
	for range 40 {
		half := (low + high) / 4
		if math.Hypot(half, h.head.At.Z-h.said.Low)+math.Hypot(half, h.foot.At.Z-h.said.Low) < cloth {
			low = 2 * half
		} else {
			high = 2 * half
		}
	}
	return high
}

// HammockShort cautions of a hammock that is shorter than who lies in it, with the allowance of a bed.
func HammockShort(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	hammocks(s, func(h *hung) {
		if !h.hangsFree() || h.who.Height == 0 {
			return
		}
		long, need := h.cloth(), h.who.Height+s.Brief.Assumptions.BedLength
		if long >= need-scene.Slack {
			return
		}
		f := h.about(
			s,
			fitout.Caution,
			fmt.Sprintf("Hammock of %s is %s short", h.who.Name, s.Say.Length(need-long)),
			fmt.Sprintf(
				"From eye to eye it is %s long; %s needs %s, the body and %s beyond. Choose eyes that are further apart by %s.",
				s.Say.Length(
					long,
				),
				h.who.Name,
				s.Say.Length(need),
				s.Say.Length(s.Brief.Assumptions.BedLength),
				s.Say.LengthAtLeast(h.spanFor(need)-h.span()),
			),
		)
		f.Value, f.Limit, f.Margin, f.Unit, f.Source = long, need, long-need, "mm", "practice"
		found = append(found, f)
	})
	return found
}

// lying is a piece of a body in a hammock, and by which share of it the piece rises with the lowest point.
type lying struct {
	fitout.Box
	rises float64
}

// body are boxes that who lies in it takes up, from eye to eye: as broad as a sleeper, as high as a body above the
// cloth.
func (h *hung) body(s *scene.Scene) (all []lying) {
	const pieces = 16
	half := widthOf(s, h.who) / 2
	// Across the line between the eyes.
	nx, ny := math.Abs(h.foot.At.Y-h.head.At.Y)/h.span(), math.Abs(h.foot.At.X-h.head.At.X)/h.span()
	for n := 1; n < pieces-1; n++ { // the ends are cord
		t := (float64(n) + 0.5) / pieces
		end, share := h.head, 1-2*t
		if t > 0.5 {
			end, share = h.foot, 2*t-1
		}
		share -= 1.0 / pieces                               // at its lower end
		z := h.said.Low + (end.At.Z-h.said.Low)*share*share // as loaded cloth hangs, and as it is drawn
		x, y := h.head.At.X+(h.foot.At.X-h.head.At.X)*t, h.head.At.Y+(h.foot.At.Y-h.head.At.Y)*t
		long := h.span() / pieces / 2
		dx, dy := max(half*nx, long*ny), max(half*ny, long*nx)
		b := fitout.Box{
			From: fitout.Point{X: x - dx, Y: y - dy, Z: z},
			To:   fitout.Point{X: x + dx, Y: y + dy, Z: z + lyingHigh},
		}
		all = append(all, lying{b, 1 - share*share})
	}
	return all
}

// HammockMeets cautions of what stands where somebody lies in a hammock.
func HammockMeets(s *scene.Scene) []fitout.Finding {
	var found []fitout.Finding
	hammocks(s, func(h *hung) {
		if !h.hangsFree() {
			return
		}
		body := h.body(s)
		for i := range s.Parts {
			if h.posture.Gone[i] {
				continue
			}
			up, at := 0.0, -1
			for k, b := range body {
				if need := (h.posture.Boxes[i].To.Z - b.From.Z) / b.rises; need > up &&
					scene.Least(b.Overlap(h.posture.Boxes[i])) > scene.Slack {
					up, at = need, k
				}
			}
			if at < 0 {
				continue
			}
			f := h.about(
				s,
				fitout.Caution,
				fmt.Sprintf("%s stands where %s lies", s.Parts[i].Name(), h.who.Name),
				fmt.Sprintf(
					"In the hammock %s lies against %s. Take that away, or hang the hammock elsewhere.", h.who.Name,
					words.Lower(s.Parts[i].Name())),
			)
			f.With = []string{s.Parts[i].ID}
			f.Value, f.Margin, f.Unit, f.Source = up, -up, "mm", "practice"
			higher := math.Ceil(h.said.Low + up)
			head, foot := endPulls(s, h, higher)
			if higher < min(h.head.At.Z, h.foot.At.Z) && !exceeds(head, h.head.Rating) &&
				!exceeds(foot, h.foot.Rating) {
				by := s.Say.Length(higher - h.said.Low)
				f.Sentence += fmt.Sprintf(
					" %s higher it clears it, and an eye is pulled with up to %s.",
					by,
					s.Say.Mass(max(head, foot)),
				)
				f.Fixes = []fitout.Fix{h.lower("Hang it "+by+" higher", higher)}
			}
			f.Lines = append(f.Lines, scene.Line(body[at].Middle(), h.posture.Boxes[i].Middle(), ""))
			found = append(found, f)
		}
	})
	return found
}

// exceeds tells whether a pull is beyond a rating that somebody stated.
func exceeds(pull, rating float64) bool { return rating > 0 && quantity.Exceeds(pull, rating) }
