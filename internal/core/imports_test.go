// Package core_test holds what is true of the whole core.
package core_test

import (
	"os/exec"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The core imports the standard library and itself, no engine imports another,
// and all of it can run in a browser.
func TestCoreStandsAlone(t *testing.T) {
	out, err := exec.Command("go", "list", "-f", "{{.ImportPath}}: {{join .Imports \" \"}}", "./...").CombinedOutput()
	require.NoError(t, err, "%s", out)
	engines := []string{}
	for _, name := range []string{"brief", "fit", "load", "module", "propose", "rating", "ride", "space"} {
		engines = append(engines, "zaino/internal/core/"+name)
	}
	for line := range strings.Lines(string(out)) {
		pkg, imports, _ := strings.Cut(strings.TrimSpace(line), ": ")
		for _, path := range strings.Fields(imports) {
			first, _, _ := strings.Cut(path, "/")
			if first != "zaino" {
				assert.NotContains(t, first, ".", "%s imports %s", pkg, path)
				assert.NotContains(t, []string{"os", "net", "syscall", "log"}, first, "%s imports %s", pkg, path)
				continue
			}
			assert.True(t, strings.HasPrefix(path, "zaino/internal/core/"), "%s imports %s", pkg, path)
			for _, engine := range engines {
				assert.False(t, path == engine && pkg != "zaino/internal/core/assess", "%s imports the engine %s", pkg, path)
			}
		}
	}
	build := exec.Command("go", "build", "./...")
	build.Env = append(build.Environ(), "GOOS=js", "GOARCH=wasm", "CGO_ENABLED=0")
	out, err = build.CombinedOutput()
	assert.NoError(t, err, "%s", out)
}
