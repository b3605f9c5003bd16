package assess

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/load"
	"zaino/internal/core/rating"
	"zaino/internal/core/ride"
	"zaino/internal/core/space"
)

// binds says in words which rating is the limit, where it is not the plate.
func (s *subject) binds(r rating.Rating) string {
	for _, b := range r.Bounds {
		switch {
		case !b.Binds || b.Kind == rating.ByPlate:
		case b.Kind == rating.ByTyres && b.Name == "":
			return "the " + s.say.term(fitout.TermTyre) + "s"
		case b.Kind == rating.ByHitch && b.Name == "":
			return "the hitch"
		default:
			return lower(b.Name)
		}
	}
	return ""
}

func (s *subject) bindsOrVehicle(r rating.Rating) string {
	if by := s.binds(r); by != "" {
		return by
	}
	return "the vehicle"
}

// WeighingFigures are what the tickets of a weighed baseline say together.
type WeighingFigures struct {
	Split   bool           `json:"split" doc:"at least one ticket read the axles apart"`
	Sigma   load.Axles     `json:"sigma" doc:"standard uncertainty of each axle, kg"`
	Tickets []TicketFigure `json:"tickets"`
}

// TicketFigure is one ticket, made comparable: the dry vehicle that it gives.
type TicketFigure struct {
	ID        string     `json:"id"`
	Axles     load.Axles `json:"axles" doc:"dry, kg; 0 where only the whole was weighed"`
	Gross     float64    `json:"gross" doc:"dry, kg"`
	ReadAxles bool       `json:"readAxles"`
}

func weighing(s *subject) WeighingFigures {
	w := WeighingFigures{Split: s.weighing.Split, Sigma: s.weighing.Sigma, Tickets: []TicketFigure{}}
	for _, t := range s.weighing.Tickets {
		w.Tickets = append(w.Tickets, TicketFigure{s.job.Vehicle.Baseline.Tickets[t.Index].ID, t.Axles, t.Gross, t.ReadAxles})
	}
	return w
}

// RideFigures is how the vehicle stands in the state shown against unladen.
type RideFigures struct {
	Front  ride.Height `json:"front"`
	Rear   ride.Height `json:"rear"`
	Rake   float64     `json:"rake" doc:"nose up against unladen, °"`
	Known  bool        `json:"known" doc:"both spring rates are known"`
	Angles ride.Angles `json:"angles"`
}

func rideFigures(s *subject) RideFigures {
	v := &s.job.Vehicle
	unladen, now := s.plan.Unladen.Axles(s.plan.Wheelbase), s.plan.Axles()
	f := RideFigures{
		Front: ride.Stands(ride.On(v, fitout.FrontAxle), now.Front-unladen.Front),
		Rear:  ride.Stands(ride.On(v, fitout.RearAxle), now.Rear-unladen.Rear),
	}
	f.Known = f.Front.Known && f.Rear.Known
	if f.Known {
		f.Rake = ride.Rake(f.Front.Drop, f.Rear.Drop, s.plan.Wheelbase)
	}
	f.Angles = ride.AnglesOf(v, s.plan.Wheelbase, f.Front, f.Rear)
	return f
}

// BayFigures is a bay as it stands in the vehicle.
type BayFigures struct {
	ID        string           `json:"id"`
	Box       space.Room       `json:"box"`
	Room      fitout.Box       `json:"room" doc:"that box where it stands; flat where there is no ceiling"`
	Litres    float64          `json:"litres" doc:"of the box, before obstacles"`
	Floor     [4]space.Corner  `json:"floor" doc:"front left, front right, rear right, rear left"`
	FloorZ    float64          `json:"floorZ" doc:"mm above ground"`
	Top       [2]float64       `json:"top" doc:"height of the ceiling above ground at the front and the rear, mm"`
	RearTop   float64          `json:"rearTop" doc:"x of the rear at the ceiling, mm"`
	Obstacles []ObstacleFigure `json:"obstacles"`
	Gap       *fitout.Box      `json:"gap,omitempty" doc:"the opening, flat in its face"`
	Load      float64          `json:"load" doc:"what stands in it in the state shown, kg"`
	Taken     int              `json:"taken" doc:"of them, measures taken"`
	Measures  int              `json:"measures" doc:"measures on the sheet that no bay is without"`
}

// ObstacleFigure is where an obstacle stands.
type ObstacleFigure struct {
	ID    string     `json:"id"`
	Solid fitout.Box `json:"solid"`
}

func bays(s *subject) []BayFigures {
	all := []BayFigures{}
	for i := range s.job.Vehicle.Bays {
		b := s.job.Vehicle.Bays[i]
		if e := s.job.Vehicle.Extension; e != nil && b.Behind {
			b.At.X += e.By
		}
		f := BayFigures{ID: b.ID, Box: space.RoomOf(&b), Room: fitBay(&b).Room, Floor: space.Floor(&b), FloorZ: b.At.Z, Load: s.loadIn(b.ID), Obstacles: []ObstacleFigure{}}
		f.Litres = f.Box.Litres()
		f.Top = [2]float64{b.At.Z + orElse(b.HeightFront, b.HeightRear), b.At.Z + orElse(b.HeightRear, b.HeightFront)}
		f.RearTop = b.At.X + orElse(b.LengthTop, f.Box.Length)
		for k := range b.Obstacles {
			f.Obstacles = append(f.Obstacles, ObstacleFigure{b.Obstacles[k].ID, space.Stands(&b, &b.Obstacles[k])})
		}
		if gap, ok := space.Gap(&b); ok {
			f.Gap = &gap
		}
		for _, step := range space.Sheet(&b) {
			if step.Optional { // 0 is an answer, so nobody can tell whether it was given
				continue
			}
			f.Measures++
			if step.Taken() {
				f.Taken++
			}
		}
		all = append(all, f)
	}
	return all
}

func orElse(value, other float64) float64 {
	if value > 0 {
		return value
	}
	return other
}

// loadIn is what stands in a bay in the state shown, kg.
func (s *subject) loadIn(bay string) float64 {
	total := 0.0
	for i := range s.variant.Items {
		if s.variant.Items[i].Bay == bay && s.plan.Items[i].Present {
			total += s.plan.Items[i].Mass.Kg
		}
	}
	return total
}

// Sheet is the measuring sheet of one bay.
type Sheet struct {
	Bay   string       `json:"bay" doc:"id of the bay"`
	Steps []space.Step `json:"steps" doc:"in the order in which they are taken"`
}

// Sheets returns the measuring sheet of every bay of a job.
func Sheets(j *fitout.Job) []Sheet {
	sheets := []Sheet{}
	for i := range j.Vehicle.Bays {
		b := &j.Vehicle.Bays[i]
		sheets = append(sheets, Sheet{b.ID, space.Sheet(b)})
	}
	return sheets
}

// ticketName names a ticket in a sentence.
func (s *subject) ticketName(i int) string {
	t := &s.job.Vehicle.Baseline.Tickets[i]
	if t.Date == "" {
		return fmt.Sprintf("“%s”", t.Name)
	}
	return fmt.Sprintf("“%s” of %s", t.Name, t.Date)
}
