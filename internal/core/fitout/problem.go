package fitout

import (
	"cmp"
	"fmt"
	"strings"
)

// Problem is one value of a document that is refused: where it stands, what
// was given and what would be accepted.
type Problem struct {
	Path     string `json:"path" doc:"place in the document, such as variants[0].items[3].mass"`
	Name     string `json:"name" doc:"name of the thing it belongs to, if it has one"`
	Given    string `json:"given"`
	Accepted string `json:"accepted"`
}

// Error is the problem as one sentence.
func (p Problem) Error() string {
	where := p.Path
	if p.Name != "" {
		where += " (" + p.Name + ")"
	}
	return fmt.Sprintf("%s: %s was given; accepted is %s", where, cmp.Or(p.Given, "nothing"), p.Accepted)
}

// Problems is a refused document: every problem that was found, in the order
// of the document.
type Problems []Problem

// Error lists the problems, one sentence each.
func (ps Problems) Error() string {
	sentences := make([]string, len(ps))
	for i, p := range ps {
		sentences[i] = p.Error()
	}
	return strings.Join(sentences, "\n")
}

// most is how many problems are worth reading at once.
const most = 20

// shown is a given value as a sentence can quote it: short, and never raw
// control characters.
func shown(value string) string {
	if len(value) > 40 {
		value = strings.ToValidUTF8(value[:40], "") + "…"
	}
	return fmt.Sprintf("%q", value)
}
