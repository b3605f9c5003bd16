package fitout

// Finding is one thing that an engine has to say about a job.
type Finding struct {
	Rule     string   `json:"rule" doc:"stable id of the rule"`
	Severity Severity `json:"severity" enum:"stop,caution,note"`
	Subject  Subject  `json:"subject"`
	Title    string   `json:"title" doc:"a few words"`
	Sentence string   `json:"sentence" doc:"what, how much and why, in plain words and the job's units"`
	Value    float64  `json:"value" doc:"what was measured, in unit"`
	Limit    float64  `json:"limit" doc:"what it was held against, in unit"`
	Margin   float64  `json:"margin" doc:"limit − value; negative is over"`
	Unit     string   `json:"unit" doc:"kg, mm, %, ° or empty"`
	Source   string   `json:"source" doc:"where the limit comes from: plate, papers, data sheet, workshop rule, physics or practice"`
	Fixes    []Fix    `json:"fixes"`
	Stance   string   `json:"stance" doc:"id of the stance in which it holds; empty on the road"`
	Lines    []Line   `json:"lines" doc:"the measure, to be drawn in the scene"`
	At       string   `json:"at" doc:"the state in which it holds, as an account is asked for it; empty for the state shown"`
	Mend     string   `json:"mend" doc:"what to ask ways to mend it for; empty where only its fixes mend it"`
	Waivable bool     `json:"waivable" doc:"the specialist may let it stand; not what plate and papers forbid"`
	Accepted string   `json:"accepted" doc:"why the specialist lets it stand; empty while nobody does"`
}

// Line is a measure in the scene: from one place to another, with its figure.
type Line struct {
	From  Point  `json:"from"`
	To    Point  `json:"to"`
	Label string `json:"label"`
}

// Severity ranks findings.
type Severity string

// Severities, worst first.
const (
	Stop    Severity = "stop"    // over a limit, impossible or dangerous
	Caution Severity = "caution" // may become so
	Note    Severity = "note"
)

// Subject names what a finding is about, so that the scene can show it.
type Subject struct {
	Kind    string `json:"kind" enum:"vehicle,front-axle,rear-axle,gross,combination,ball,trailer,item,part,tank,seat,baseline,limit,ticket,modification,bay,brief,module"`
	ID      string `json:"id" doc:"id of the item, module, part, tank, seat, ticket, modification or bay; empty for the others"`
	Measure string `json:"measure" doc:"path of the measure that it is about, with / between; empty for the whole"`
}

// Fix is one change that would mend a finding, with its effect on the axles.
type Fix struct {
	Label string  `json:"label"`
	Edit  FixEdit `json:"edit"`
	Front float64 `json:"front" doc:"change of the front axle load, kg"`
	Rear  float64 `json:"rear" doc:"change of the rear axle load, kg"`
}

// FixEdit is the edit of the document that makes a fix.
type FixEdit struct {
	Kind  string  `json:"kind" enum:"move-item,item-level,tank-level,switch-off,uncouple,part-x,part-y,part-z,part-length,part-width,part-height,travel,drop,lining,latch,strut-force,outside,foam-core,seat,swap,to-trailer,off-trailer,ball,distribution,rating,tyres,springs,extension" doc:"what is set"`
	ID    string  `json:"id" maxLength:"64" doc:"id of the item, tank, switch, limit or axle; empty for what there is one of"`
	With  string  `json:"with" maxLength:"64" doc:"id of the seat, component or stance; empty for the others"`
	Value float64 `json:"value" doc:"new middle, size, travel, drop or extension in mm, litres, newtons, thickness in mm, kg, kg·mm, load index or N/mm; 0 for the others"`
}
