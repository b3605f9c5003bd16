// Package core_test holds what is true of the whole core.
package core_test

import (
	"os/exec"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// below is what each package of the core may import of it, from the words of the trade
// up to what makes use of all. An engine imports another only where that is its
// arithmetic.
var below = map[string]string{
	"quantity": "",
	"fitout":   "quantity",
	"words":    "fitout quantity",
	"module":   "fitout",
	"load":     "fitout gauss",
	"gauss":    "",
	"propose":  "",
	"strut":    "",
	"plan":     "fitout load module words",

	"rating":   "fitout plan quantity words",
	"ride":     "fitout load plan words",
	"space":    "fitout plan words",
	"limits":   "fitout load plan quantity words rating",
	"balance":  "fitout load plan words limits",
	"baseline": "fitout load plan limits words",
	"brief":    "fitout plan quantity words limits",
	"scene":    "fitout module plan quantity words space brief",

	"fit/strength":  "fitout module quantity words scene strut",
	"fit/clearance": "fitout quantity words scene fit/strength",
	"fit/keeping":   "fitout module plan quantity words scene fit/strength fit/clearance",
	"fit/living":    "fitout quantity words scene fit/clearance",
	"fit":           "fitout module plan words scene fit/strength fit/clearance fit/keeping fit/living",

	"power":   "fitout plan words",
	"wiring":  "fitout module plan quantity words power",
	"cut":     "",
	"order":   "",
	"cost":    "fitout",
	"build":   "fitout module plan words load space cut order cost",
	"trip":    "fitout load module plan words limits brief",
	"answer":  "fitout load module plan quantity words brief trip",
	"camp":    "fitout load module plan words scene fit/living",
	"chassis": "fitout load plan words scene fit/strength fit/keeping",

	"sense": "fitout module plan words scene space",

	"weigh": "fitout gauss load plan words limits build",

	"handover": "fitout module plan words wiring scene",

	"supply": "fitout plan power edit",

	"edit":   "fitout load module plan words limits scene fit fit/strength fit/keeping brief power ride trip wiring build weigh",
	"season": "fitout gauss plan words brief power handover edit",
	"offer":  "fitout load module plan quantity words limits scene fit/keeping brief edit power",
	"assess": "fitout plan words edit answer camp chassis sense balance baseline brief fit fit/keeping limits offer power rating ride space trip wiring build weigh handover",

	"mend":    "fitout load plan quantity words assess edit limits offer power rating supply",
	"report":  "fitout load module plan words assess balance brief scene fit limits power rating space trip wiring build edit handover weigh",
	"shape":   "fitout module space words",
	"draw":    "fitout words scene plan shape",
	"arrange": "fitout module plan words assess edit scene fit propose report",
	"train":   "fitout module plan assess edit",
}

// The core imports the standard library and itself, each package only what lies below
// it, and all of it can run in a browser.
func TestCoreStandsAlone(t *testing.T) {
	out, err := exec.Command("go", "list", "-f", "{{.ImportPath}}: {{join .Imports \" \"}}", "./...").CombinedOutput()
	require.NoError(t, err, "%s", out)
	const core = "zaino/internal/core/"
	for line := range strings.Lines(string(out)) {
		pkg, imports, _ := strings.Cut(line, ": ")
		name := strings.TrimPrefix(pkg, core)
		if pkg == strings.TrimSuffix(core, "/") { // this test
			continue
		}
		may, known := below[name]
		if !assert.True(t, known, "%s is not in the table of what may import what", pkg) {
			continue
		}
		for _, path := range strings.Fields(imports) {
			first, _, _ := strings.Cut(path, "/")
			if first != "zaino" {
				assert.NotContains(t, first, ".", "%s imports %s", pkg, path)
				assert.NotContains(t, []string{"os", "net", "syscall", "log"}, first, "%s imports %s", pkg, path)
				continue
			}
			own, inside := strings.CutPrefix(path, core)
			assert.True(t, inside, "%s imports %s", pkg, path)
			assert.True(t, slices.Contains(strings.Fields(may), own), "%s imports %s", pkg, path)
		}
	}
	build := exec.Command("go", "build", "./...")
	build.Env = append(build.Environ(), "GOOS=js", "GOARCH=wasm", "CGO_ENABLED=0")
	out, err = build.CombinedOutput()
	assert.NoError(t, err, "%s", out)
}
