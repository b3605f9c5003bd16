package space

import (
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// Engine tells what room each bay leaves, and which measure to take again.
func Engine() plan.Engine[[]BayFigures] {
	return plan.Engine[[]BayFigures]{Figures: figures, Rules: []plan.Rule{bayMeasures, bayInCab}}
}

// BayFigures is a bay as it stands in the vehicle.
type BayFigures struct {
	ID        string           `json:"id"`
	Box       Room             `json:"box"`
	Room      fitout.Box       `json:"room" doc:"that box where it stands; flat where there is no ceiling"`
	Litres    float64          `json:"litres" doc:"of the box, before obstacles"`
	Floor     [4]Corner        `json:"floor" doc:"front left, front right, rear right, rear left"`
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

func figures(p *plan.Plan) []BayFigures {
	all := []BayFigures{}
	for i := range p.Vehicle.Bays {
		b := p.Vehicle.Bays[i]
		f := BayFigures{
			ID: b.ID, Box: RoomOf(&b), Room: RoomBox(&b), Floor: Floor(&b), FloorZ: b.At.Z, Load: p.LoadIn(b.ID),
			Obstacles: []ObstacleFigure{},
		}
		f.Litres = f.Box.Litres()
		f.Top = [2]float64{b.At.Z + orElse(b.HeightFront, b.HeightRear), b.At.Z + orElse(b.HeightRear, b.HeightFront)}
		f.RearTop = b.At.X + orElse(b.LengthTop, f.Box.Length)
		for k := range b.Obstacles {
			f.Obstacles = append(f.Obstacles, ObstacleFigure{b.Obstacles[k].ID, Stands(&b, &b.Obstacles[k])})
		}
		if gap, ok := Gap(&b); ok {
			f.Gap = &gap
		}
		for _, step := range Sheet(&b) {
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

// BaySheet is the measuring sheet of one bay.
type BaySheet struct {
	Bay   string `json:"bay" doc:"id of the bay"`
	Steps []Step `json:"steps" doc:"in the order in which they are taken"`
}

// Sheets returns the measuring sheet of every bay of a job.
func Sheets(j *fitout.Job) []BaySheet {
	sheets := []BaySheet{}
	for i := range j.Vehicle.Bays {
		b := &j.Vehicle.Bays[i]
		sheets = append(sheets, BaySheet{b.ID, Sheet(b)})
	}
	return sheets
}
