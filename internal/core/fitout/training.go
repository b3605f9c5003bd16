package fitout

// Training makes a job an exercise: a sound build with mistakes in it, whose findings are hidden until the
// learner has marked what is wrong.
type Training struct {
	Kind     TrainingKind `json:"kind" enum:"wagon,tub,tray"`
	Seed     int          `json:"seed" minimum:"0" maximum:"2147483647" doc:"by which it was drawn"`
	Made     []Mistake    `json:"made" key:"id" maxItems:"40" doc:"mistakes that are in it"`
	Marked   []Marked     `json:"marked" key:"of" maxItems:"300" doc:"what the learner takes for wrong"`
	Compared bool         `json:"compared" doc:"the learner has looked; findings are shown"`
}

// TrainingKind is the vehicle of an exercise.
type TrainingKind string

// The kinds of exercise.
const (
	TrainingWagon TrainingKind = "wagon"
	TrainingTub   TrainingKind = "tub"
	TrainingTray  TrainingKind = "tray"
)

// Mistake is one mistake that was put into an exercise.
type Mistake struct {
	ID     string      `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Title  string      `json:"title" maxLength:"200" doc:"what was done wrong"`
	Rule   string      `json:"rule" maxLength:"60" doc:"that tells it"`
	Told   string      `json:"told" maxLength:"2000" doc:"what the rule says of it"`
	Things []ThingNote `json:"things" key:"of" maxItems:"40" doc:"on which it can be seen; each counts"`
}

// ThingNote names a thing: an item, a bay or a stance.
type ThingNote struct {
	Of string `json:"of" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
}

// Marked is a thing that the learner takes for wrong, and why.
type Marked struct {
	Of   string `json:"of" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"id of the item or bay"`
	What string `json:"what" maxLength:"1000" doc:"what the learner thinks is wrong with it"`
}
