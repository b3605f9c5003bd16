package fitout

import (
	"fmt"
	"hash/fnv"
	"slices"
	"strings"
)

// Finding is one thing that an engine has to say about a job.
type Finding struct {
	Key      string   `json:"key" doc:"names all that it is about: what is let stand is known by it"`
	Rule     string   `json:"rule" pattern:"^[a-z0-9-]+$" maxLength:"64" doc:"stable id of the rule"`
	Severity Severity `json:"severity" enum:"stop,caution,note"`
	Subject  Subject  `json:"subject"`
	With     []string `json:"with" doc:"ids of what else it is about: the other part of a clash, the compartment that is too full"`
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

// Over says what was measured and the most that it may be, in a unit; what is beyond has a negative
// margin.
func (f *Finding) Over(value, most float64, unit string) {
	f.Value, f.Limit, f.Margin, f.Unit = value, most, most-value, unit
}

// Under says what was measured and the least that it may be.
func (f *Finding) Under(value, least float64, unit string) {
	f.Value, f.Limit, f.Margin, f.Unit = value, least, value-least, unit
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

// Rank orders severities, 0 for the worst.
func (s Severity) Rank() int {
	switch s {
	case Stop:
		return 0
	case Caution:
		return 1
	}
	return 2
}

// Names is the key of a finding: its rule, its subject, and all else that it is about.
// Of more things than a key has room for it is a sum of them.
func (f *Finding) Names() string {
	var key strings.Builder
	key.WriteString(f.Rule + "/" + f.Subject.ID)
	for _, id := range slices.Sorted(slices.Values(f.With)) {
		key.WriteByte('+')
		key.WriteString(id)
	}
	if f.Subject.Measure != "" {
		key.WriteString("@" + f.Subject.Measure)
	}
	if key.Len() <= longestKey {
		return key.String()
	}
	sum := fnv.New64a()
	sum.Write([]byte(key.String()))
	return fmt.Sprintf("%s/%s+%x", f.Rule, f.Subject.ID, sum.Sum64())
}

// longestKey is how many characters a key has at most.
const longestKey = 400

// Subject names what a finding is about, so that the scene can show it.
type Subject struct {
	Kind    string `json:"kind" enum:"vehicle,front-axle,rear-axle,gross,combination,ball,trailer,item,part,tank,seat,baseline,limit,ticket,modification,bay,stance,brief,module,power,route,plumbing,build,weighIn,handover,season,point"`
	ID      string `json:"id" doc:"id of the item, module, part, tank, seat, ticket, modification, bay, stop, mounting point, mark or low point, or part of the electrics or plumbing; empty for the others"`
	Measure string `json:"measure" doc:"path of the measure that it is about, with / between; empty for the whole"`
}

// Fix is one change that would mend a finding, with its effect on the axles.
type Fix struct {
	Label   string  `json:"label"`
	Edit    FixEdit `json:"edit"`
	Caution string  `json:"caution" doc:"what belongs to it; empty for nothing"`
	Front   float64 `json:"front" doc:"change of the front axle load, kg"`
	Rear    float64 `json:"rear" doc:"change of the rear axle load, kg"`
}

// FixEdit is the edit of the document that makes a fix.
type FixEdit struct {
	Kind  string  `json:"kind" maxLength:"20" doc:"what is set"`
	ID    string  `json:"id" maxLength:"64" doc:"id of the item, tank, switch, limit or axle; empty for what there is one of"`
	With  string  `json:"with" maxLength:"64" doc:"id of the seat, component or stance; empty for the others"`
	At    *Point  `json:"at,omitempty" doc:"new middle of what is put to another place"`
	Size  *Size   `json:"size,omitempty" doc:"its new outside, where that changes too"`
	Value float64 `json:"value" doc:"new middle, size, travel, drop or extension in mm, litres, newtons, thickness in mm, kg, kg·mm, load index or N/mm; 0 for the others"`
}
