package exchange

import "strings"

// FileName keeps of a name what every file system takes.
func FileName(name string) string {
	safe := strings.Map(func(r rune) rune {
		switch {
		case r >= 'a' && r <= 'z', r >= '0' && r <= '9':
			return r
		case r >= 'A' && r <= 'Z':
			return r + 'a' - 'A'
		}
		return '-'
	}, name)
	safe = strings.Trim(strings.Join(strings.FieldsFunc(safe, func(r rune) bool { return r == '-' }), "-"), "-")
	if safe == "" {
		return "job"
	}
	return safe
}
