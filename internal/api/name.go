package api

import (
	"fmt"
	"strings"
	"unicode"

	"zaino/internal/core/fitout"
)

// readable refuses a name that nobody could read on a screen: of blanks only, or with characters that do not show.
func readable(path, name string) error {
	hidden := strings.IndexFunc(name, func(r rune) bool { return !unicode.IsGraphic(r) })
	if hidden >= 0 {
		return fitout.Problem{
			Path:     path,
			Given:    fmt.Sprintf("a character that does not show (%+q)", []rune(name[hidden:])[0]),
			Accepted: "letters, figures, signs and blanks",
		}
	}
	if !strings.ContainsFunc(name, func(r rune) bool { return unicode.IsGraphic(r) && !unicode.IsSpace(r) }) {
		return fitout.Problem{Path: path, Given: "a name of blanks", Accepted: "one that can be read"}
	}
	return nil
}
