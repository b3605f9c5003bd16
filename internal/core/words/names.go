package words

import "strings"

// Names tells whether a name has one of some words or phrases in it, as whole words, whatever
// their case.
func Names(name string, some ...string) bool {
	said := " " + strings.Join(strings.FieldsFunc(strings.ToLower(name), func(r rune) bool {
		return r < 'a' || r > 'z'
	}), " ") + " "
	for _, s := range some {
		if strings.Contains(said, " "+s+" ") {
			return true
		}
	}
	return false
}
