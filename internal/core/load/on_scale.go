package load

import (
	"math"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/gauss"
)

// OnScale is one weighing of the loaded vehicle beside the plan of that day.
type OnScale struct {
	Figures []ScaleFigure
	Sources []ScaleSource
	Planned Axles // level, by the plan of that day, kg
}

// ScaleFigure is one figure that a scale read.
type ScaleFigure struct {
	Name    string // front-left, front-right, rear-left, rear-right, front, rear or gross
	Read    float64
	Planned float64 // by the plan of that day, kg
	Own     float64 // standard uncertainty of the reading itself, kg

	of wheels // what it counts: so much of each wheel
}

// ScaleSource is one independent error of what was planned, or of the way of weighing.
type ScaleSource struct {
	Of    string // id of the item, tank: and id of the tank, material, or empty for the vehicle and the scale
	Kind  SourceKind
	Sigma float64   // standard deviation in its own unit: kg, mm, or 1
	Moves []float64 // what one standard deviation does to each figure, kg
	Axles Axles     // and to the axles as they are, kg

	key sourceKey
}

// SourceKind is what errs.
type SourceKind int

// What errs: the mass of an item, all masses of a material, what is in a vessel, a place along and across, the empty
// vehicle, the slope of the scale, the twist of the body that loads one diagonal.
const (
	NoKind SourceKind = iota
	MassErrs
	WallErrs
	ContentErrs
	AlongErrs
	AcrossErrs
	VehicleErrs
	SlopeErrs
	TwistErrs
)

// sourceKey tells a source of error again after the plan went on: what has another mass, source or place since is
// another source.
type sourceKey struct {
	kind SourceKind
	id   string
	a, b int64 // what it was believed to be, in steps of a hundredth of a kg or a tenth of a mm
	from fitout.MassSource
}

func massKey(id string, kg float64, from fitout.MassSource) sourceKey {
	return sourceKey{kind: MassErrs, id: id, a: steps(kg, 0.01), from: from}
}

func wallKey(wall fitout.Material) sourceKey { return sourceKey{kind: WallErrs, id: string(wall)} }

func placeKeys(id string, at Mass) (along, across sourceKey) {
	a, b := steps(at.X, 0.1), steps(at.Y, 0.1)
	return sourceKey{kind: AlongErrs, id: id, a: a, b: b}, sourceKey{kind: AcrossErrs, id: id, a: a, b: b}
}

func vehicleKey(name string, front, rear float64) sourceKey {
	return sourceKey{kind: VehicleErrs, id: name, a: steps(front, 0.1), b: steps(rear, 0.1)}
}

// vehicleKey is that of an error of the empty vehicle as the plan has it.
func (p *Plan) vehicleKey(name string) sourceKey {
	axles := p.Unladen.Axles(p.Wheelbase)
	if p.calibration != nil {
		axles = p.calibration.planned
	}
	return vehicleKey(name, axles.Front, axles.Rear)
}

func steps(x, step float64) int64 { return int64(math.Round(x / step)) }

// wheels is so much on each wheel: front left, front right, rear left, rear right.
type wheels [4]float64

func (w wheels) times(of Corners) float64 {
	return w[0]*of.FrontLeft + w[1]*of.FrontRight + w[2]*of.RearLeft + w[3]*of.RearRight
}

// twistShare is how far the twist of body and springs may load one diagonal more than the other, as a share of the
// gross on each wheel: corners by statics know nothing of roll stiffness. A figure of practice.
const twistShare = 0.01

// OnScale puts a weighing beside the plan of its day: what it should have read, how far that errs, and what each
// source of error would have moved. Of what the plan has not changed since, sources are those of the plan now.
func (p *Plan) OnScale(w *fitout.WeighIn, b Baseline, u *fitout.Uncertainty) OnScale {
	s := OnScale{Figures: scaleFigures(w, u)}
	corners := func(m Moments) Corners { return m.Corners(p.Wheelbase, p.TrackFront, p.TrackRear) }
	lean := math.Tan(w.Slope*math.Pi/180) + (w.PadFront-w.PadRear)/p.Wheelbase
	add := func(m Moments) {
		s.Planned = s.Planned.Plus(m.Axles(p.Wheelbase))
		// What leans back by θ moves M z tan θ / L to the rear axle.
		m.X += m.Z * lean
		for i := range s.Figures {
			s.Figures[i].Planned += s.Figures[i].of.times(corners(m))
		}
	}
	source := func(of string, kind SourceKind, key sourceKey, sigma float64, m Moments) {
		if sigma == 0 {
			return
		}
		moves := make([]float64, len(s.Figures))
		for i := range moves {
			moves[i] = s.Figures[i].of.times(corners(m)) * sigma
		}
		s.Sources = append(s.Sources, ScaleSource{of, kind, sigma, moves, m.Axles(p.Wheelbase).times(sigma), key})
	}
	e := w.Empty
	whole := Moments{Z: (e.FrontLeft + e.FrontRight + e.RearLeft + e.RearRight) * e.Height}
	for i := range s.Figures {
		s.Figures[i].Planned += s.Figures[i].of.times(Corners{e.FrontLeft, e.FrontRight, e.RearLeft, e.RearRight})
	}
	add(whole)
	s.Planned = s.Planned.Plus(Axles{e.FrontLeft + e.FrontRight, e.RearLeft + e.RearRight})
	for _, err := range append(p.baselineErrors(b), p.partErrors(b, u)...) {
		key := vehicleKey(err.name, e.FrontLeft+e.FrontRight, e.RearLeft+e.RearRight)
		source("", VehicleErrs, key, 1, err.Parts[0].Delta)
	}
	walls := map[fitout.Material]*Moments{}
	var order []fitout.Material
	for i := range w.Aboard {
		a := &w.Aboard[i]
		m := at(a.At, a.Kg+a.Content)
		add(Moments{}.Add(m))
		along, across := placeKeys(a.Of, m)
		if !strings.HasPrefix(a.Of, "tank:") {
			source(a.Of, AlongErrs, along, u.Station, Moments{X: m.Kg, XY: m.Kg * m.Y})
			source(a.Of, AcrossErrs, across, u.Station, Moments{Y: m.Kg, XY: m.Kg * m.X})
		}
		one := Moments{}.Add(at(a.At, 1))
		source(a.Of, ContentErrs, sourceKey{kind: ContentErrs, id: w.ID + " " + a.Of}, u.Weighed*a.Content, one)
		if a.Source == fitout.ByMaterial && a.Wall != "" {
			if walls[a.Wall] == nil {
				walls[a.Wall] = &Moments{}
				order = append(order, a.Wall)
			}
			*walls[a.Wall] = walls[a.Wall].Plus(one.Times(MassSigma(a.Source, a.Kg, u)))
			continue
		}
		source(a.Of, MassErrs, massKey(a.Of, a.Kg, a.Source), MassSigma(a.Source, a.Kg, u), one)
	}
	for _, wall := range order {
		source(string(wall), WallErrs, wallKey(wall), 1, *walls[wall])
	}
	s.wayErrors(p, w, source)
	return s
}

// wayErrors are those of the way of weighing: a slope that nobody measured, and the twist of the body.
func (s *OnScale) wayErrors(p *Plan, w *fitout.WeighIn,
	source func(string, SourceKind, sourceKey, float64, Moments)) {
	gross, height := p.grossOf(w)
	if !w.Level {
		source(
			"",
			SlopeErrs,
			sourceKey{kind: SlopeErrs, id: w.ID},
			1,
			Moments{X: gross * height * math.Tan(slopeUnknown)},
		)
		s.Sources[len(s.Sources)-1].Axles = Axles{} // it deceives the scale alone
	}
	if w.Reading == fitout.ReadCorners {
		moves := make([]float64, len(s.Figures))
		for i := range moves {
			f := &s.Figures[i].of
			moves[i] = (f[0] - f[1] - f[2] + f[3]) * gross * twistShare
		}
		s.Sources = append(
			s.Sources,
			ScaleSource{"", TwistErrs, 1, moves, Axles{}, sourceKey{kind: TwistErrs, id: w.ID}},
		)
	}
}

// grossOf is what stood on the scale by the plan of that day, kg, and the height of its centre of gravity, mm.
func (p *Plan) grossOf(w *fitout.WeighIn) (gross, height float64) {
	e := w.Empty
	m := Moments{}.Add(Mass{Kg: e.FrontLeft + e.FrontRight + e.RearLeft + e.RearRight, Z: e.Height})
	for i := range w.Aboard {
		m = m.Add(at(w.Aboard[i].At, w.Aboard[i].Kg+w.Aboard[i].Content))
	}
	return m.Kg, m.Centre().Z
}

// Leans is what a slope of a degree, nose up, moves from the front to the rear axle, kg.
func (p *Plan) Leans(w *fitout.WeighIn) float64 {
	gross, height := p.grossOf(w)
	return gross * height * math.Tan(math.Pi/180) / p.Wheelbase
}

// Moves is what a mass at a place would do to each figure of a weighing, kg.
func (p *Plan) Moves(s *OnScale, m Mass) []float64 {
	moves := make([]float64, len(s.Figures))
	for i := range moves {
		moves[i] = s.Figures[i].of.times(Moments{}.Add(m).Corners(p.Wheelbase, p.TrackFront, p.TrackRear))
	}
	return moves
}

// scaleFigures are what was read: a figure of 0 was not.
func scaleFigures(w *fitout.WeighIn, u *fitout.Uncertainty) []ScaleFigure {
	all := []ScaleFigure{
		{
			Name: "front-left",
			Read: w.FrontLeft,
			of:   wheels{1, 0, 0, 0},
		}, {Name: "front-right", Read: w.FrontRight, of: wheels{0, 1, 0, 0}},
		{
			Name: "rear-left",
			Read: w.RearLeft,
			of:   wheels{0, 0, 1, 0},
		}, {Name: "rear-right", Read: w.RearRight, of: wheels{0, 0, 0, 1}},
	}
	whole := ScaleFigure{Name: "gross", Read: w.Total, of: wheels{1, 1, 1, 1}}
	switch w.Reading {
	case fitout.ReadAxles:
		all = []ScaleFigure{
			{Name: "front", Read: w.Front, of: wheels{1, 1, 0, 0}},
			{Name: "rear", Read: w.Rear, of: wheels{0, 0, 1, 1}},
			whole,
		}
	case fitout.ReadTotal:
		all = []ScaleFigure{whole}
	}
	read := all[:0]
	for _, f := range all {
		if f.Read > 0 {
			f.Own = scaleSigma(f.Read, w, u)
			read = append(read, f)
		}
	}
	return read
}

// scaleSigma is the standard uncertainty of a reading, kg: the larger of its resolution / √12 and the device's class
// where that is known, else as of any ticket.
func scaleSigma(kg float64, w *fitout.WeighIn, u *fitout.Uncertainty) float64 {
	if w.Class > 0 {
		return max(w.Class, w.Resolution/math.Sqrt(12), leastSigma)
	}
	return readingSigma(kg, w.Resolution, u)
}

// Readings are those of a weighing for correcting its sources.
func (s *OnScale) Readings() []gauss.Reading {
	readings := make([]gauss.Reading, len(s.Figures))
	for i, f := range s.Figures {
		readings[i] = gauss.Reading{Off: f.Read - f.Planned, Own: f.Own, Moves: make([]float64, len(s.Sources))}
		for k := range s.Sources {
			readings[i].Moves[k] = s.Sources[k].Moves[i]
		}
	}
	return readings
}
