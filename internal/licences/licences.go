// Package licences holds the licences of everything that the program is linked with or ships: Go modules, packages of
// the front end, fonts. The text is made by collect, and scripts/fresh holds it against what is really linked.
package licences

import (
	_ "embed"
	"strings"
)

//go:embed LICENCES.txt
var text string

// Head begins the line that names the thing whose licence follows.
const Head = "=== "

// Licence is what may be done with one thing that ships with the program.
type Licence struct {
	Name string `json:"name" doc:"the thing with its version"`
	Kind string `json:"kind" doc:"usual short name of the licence"`
	Text string `json:"text" doc:"the whole licence as its makers wrote it"`
}

// Text is all licences, one under the other.
func Text() string { return text }

// All are the licences in the order of their names.
func All() []Licence {
	all := []Licence{}
	for _, part := range strings.Split("\n"+text, "\n"+Head)[1:] {
		head, body, _ := strings.Cut(part, "\n")
		name, kind, _ := strings.Cut(head, " | ")
		all = append(all, Licence{Name: name, Kind: kind, Text: strings.TrimSpace(body)})
	}
	return all
}
