package load

import "zaino/internal/core/fitout"

// Fuel of the definitions that do not list it.
const (
	tareLitres    = 10   // of fuel in a tare mass
	runningShare  = 0.9  // of the fuel in a mass in running order
	runningDriver = 75.0 // kg of its driver
)

// Dry is the vehicle with factory parts as listed in its baseline, dry and
// with nobody aboard, before any wheelbase extension.
type Dry struct {
	Mass Mass
	// NoDriverSeat is set when the definition contains a driver and no seat is
	// marked as the driver's, so that the driver could not be taken off.
	NoDriverSeat bool
}

// DryVehicle takes off the baseline what its definition says was in it, each at
// its own station, and returns what is left; of one as weighed it is what the
// tickets say together.
func DryVehicle(v *fitout.Vehicle, w *Weighing) Dry {
	b := &v.Baseline
	if b.Definition == fitout.AsWeighed {
		return Dry{Mass: weighedMass(v, w)}
	}
	front, rear := b.Front, b.Rear
	if b.Split == fitout.SplitAssumed {
		front = b.Total * b.FrontShare
		rear = b.Total - front
	}
	total := front + rear
	m := Moments{}
	if total > 0 {
		m = m.Add(Mass{total, rear * v.Wheelbase / total, b.CGSide, b.CGHeight})
	}
	dry := Dry{}
	for i := range v.Tanks {
		m = m.Add(at(v.Tanks[i].At, -baselineLitres(v, i)*v.Tanks[i].Density))
	}
	if b.Definition == fitout.RunningOrder {
		seat := driverSeat(v)
		if dry.NoDriverSeat = seat == nil; seat != nil {
			m = m.Add(at(seat.At, -runningDriver))
		}
	}
	c := m.Centre()
	dry.Mass = Mass{m.Kg, c.X, c.Y, c.Z}
	return dry
}

// weighedMass is the dry vehicle that the tickets give. Its height is the
// baseline's; its side that of the corners, or the baseline's without any.
func weighedMass(v *fitout.Vehicle, w *Weighing) Mass {
	gross := w.Axles.Gross()
	if gross <= 0 {
		return Mass{}
	}
	side := v.Baseline.CGSide
	if w.HasSide {
		side = w.Side
	}
	return Mass{gross, w.Axles.Rear * v.Wheelbase / gross, side, v.Baseline.CGHeight}
}

// baselineLitres is what the baseline's definition has in tank i, litres.
func baselineLitres(v *fitout.Vehicle, i int) float64 {
	tank, b := &v.Tanks[i], &v.Baseline
	if tank.Kind != fitout.TankFuel {
		return 0
	}
	switch b.Definition {
	case fitout.Kerb:
		return tank.Capacity
	case fitout.RunningOrder:
		return runningShare * tank.Capacity
	case fitout.Tare:
		for k := range i {
			if v.Tanks[k].Kind == fitout.TankFuel {
				return 0 // the 10 L are in the first fuel tank
			}
		}
		return min(tareLitres, tank.Capacity)
	}
	return 0
}

func at(p fitout.Point, kg float64) Mass { return Mass{kg, p.X, p.Y, p.Z} }

func driverSeat(v *fitout.Vehicle) *fitout.Seat {
	for i := range v.Seats {
		if v.Seats[i].Driver {
			return &v.Seats[i]
		}
	}
	return nil
}

func seatByID(v *fitout.Vehicle, id string) *fitout.Seat {
	for i := range v.Seats {
		if v.Seats[i].ID == id {
			return &v.Seats[i]
		}
	}
	return nil
}

// PartChange returns what a part changes against the baseline: nothing when it
// is in it and still fitted, a negative mass where it was taken off, and a
// positive one where it now sits.
func PartChange(p *fitout.Part) [2]Mass {
	var change [2]Mass
	if p.InBaseline && p.State != fitout.Fitted {
		change[0] = at(p.At, -p.Mass)
	}
	switch {
	case p.State == fitout.Moved && p.MovedTo != nil:
		change[1] = at(*p.MovedTo, p.Mass)
	case p.State == fitout.Fitted && !p.InBaseline:
		change[1] = at(p.At, p.Mass)
	}
	return change
}

// ModificationChange returns what a modification changes against the baseline:
// its mass where the plan counts with it and the baseline does not contain it
// yet, and the mass taken off where it is in the baseline and does not count.
func ModificationChange(m *fitout.Modification) Mass {
	switch {
	case m.Counted && !m.InBaseline:
		return at(m.At, m.Mass)
	case !m.Counted && m.InBaseline:
		return at(m.At, -m.Mass)
	}
	return Mass{}
}

// Extend returns the dry vehicle with its wheelbase extension: the mass behind
// the cut moved rearward and the section let in at the middle of the gap. The
// section is taken at the height of the vehicle's own centre of gravity.
func Extend(dry Mass, e *fitout.Extension) Mass {
	if e == nil {
		return dry
	}
	m := Moments{}.Add(dry)
	m.X += e.BehindCut * e.By
	m.XY += e.BehindCut * e.By * dry.Y
	m = m.Add(Mass{e.Section, e.Cut + e.By/2, 0, dry.Z})
	c := m.Centre()
	return Mass{m.Kg, c.X, c.Y, c.Z}
}
