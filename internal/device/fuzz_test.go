package device

import "testing"

// Whatever a line says, it is read as a reading or refused.
func FuzzParse(f *testing.F) {
	f.Add([]byte(`{"at":"2026-03-01T09:00:00Z","voltage":12.9}`))
	f.Add([]byte(`{"kg":20.5,"stable":true}`))
	f.Fuzz(func(_ *testing.T, line []byte) {
		_, _ = Parse(line)
		_, _ = ParseScale(line)
	})
}
