package build

import (
	"fmt"
	"strings"

	"zaino/internal/core/fitout"
	"zaino/internal/core/words"
)

// beneath is what lies beneath the points that a module is bolted to, all of them, before anybody drills; those of which
// nobody said it are named too. Points alike are said once.
func beneath(mounts []fitout.Mount, fixings []fitout.Fixing) string {
	var lies, unsaid []string
	at := map[string][]string{}
	for _, f := range fixings {
		for i := range mounts {
			m := &mounts[i]
			switch {
			case m.ID != f.Mount || m.Beneath == "nothing":
			case m.Beneath == "":
				unsaid = append(unsaid, words.Lower(m.Name))
			default:
				if at[m.Beneath] == nil {
					lies = append(lies, m.Beneath)
				}
				at[m.Beneath] = append(at[m.Beneath], words.Lower(m.Name))
			}
		}
	}
	var say []string
	for _, what := range lies {
		say = append(say, fmt.Sprintf("Before drilling at %s: beneath lies %s.", words.List(at[what]), what))
	}
	if len(unsaid) > 0 {
		say = append(say, fmt.Sprintf("Before drilling at %s: look what lies beneath, nobody said it.", words.List(unsaid)))
	}
	return strings.Join(say, " ")
}
