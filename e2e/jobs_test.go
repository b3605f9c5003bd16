package e2e

import (
	"os"
	"path/filepath"
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestListOfJobs(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	p.see("[data-job=river-gauging]")
	assert.Equal(t, 3, p.count("[data-job]"))
	assert.Contains(
		t,
		p.text("[data-job=river-gauging]"),
		"3 stops",
		"the first demo job is over its rear axle, now and on its way",
	)
	assert.Contains(t, p.text("[data-job=queen-bees]"), "4 stops", "its incubator would go cold")

	p.enter("Search jobs", "wrenquill bees")
	p.waitFor("document.querySelectorAll('[data-job]').length === 0")
	p.enter("Search jobs", "wrenquill tressel")
	p.waitFor("document.querySelectorAll('[data-job]').length === 1")
	p.enter("Search jobs", " ")
	p.waitFor("document.querySelectorAll('[data-job]').length === 3")

	p.press("Duplicate Queens over the pass")
	p.waitFor("document.querySelectorAll('[data-job]').length === 4")
	p.waitText(".jobs-table", "copy of Queens over the pass")

	p.press("Delete copy of Queens over the pass")
	p.waitText(".notice", "is deleted")
	p.waitFor("document.querySelectorAll('[data-job]').length === 3")
	p.press("Undo")
	p.waitFor("document.querySelectorAll('[data-job]').length === 4")

	p.press("Archive copy of Queens over the pass")
	p.waitFor("document.querySelectorAll('[data-job]').length === 3")
	p.press("Archive")
	p.waitFor("document.querySelectorAll('[data-job]').length === 1")
	p.press("Take out of the archive copy of Queens over the pass")
	p.waitText("main", "The archive is empty.")
	p.press("Back to current jobs")
	p.waitFor("document.querySelectorAll('[data-job]').length === 4")
}

func TestNewJobFromNothing(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", filepath.Join(t.TempDir(), "jobs.db"), "127.0.0.1:0")
	p := open(t, s.url)
	p.waitText("main", "No jobs yet.")
	p.press("Make the job")
	p.waitText("[role=alert]", "accepted is a name")
	p.enter("Name of the new job", "Shearer's <b>tray</b>")
	p.waitText("[data-pad=gross]", "GVM not stated")
	assert.Equal(t, "Shearer's <b>tray</b>", p.value("Job name"), "text is text")
	p.stage("Load")
	assert.Contains(t, p.see(".ledger"), "Nothing stands on the vehicle yet.")

	p.press("Add the first item")
	p.enter("Name of New item", "Drawer unit")
	p.saved()
	p.enter("Mass of Drawer unit", "2*29")
	p.enter("Station of Drawer unit", "3100")
	p.waitText("[data-row] [data-cell=rear]", "58.0")
	p.saved()

	p.stage("Vehicle")
	p.enter("Limit: GVM", "3 t")
	p.waitPad("gross", "limit", "3 000 kg")
	p.enter("Limit: front axle rating", "1480")
	p.enter("Limit: rear axle rating", "50")
	p.waitText("[data-rule=baseline-over]", "Check the baseline and the limit")
	p.saved()
}

// TestNewJobFromAVehicleClass starts with figures that are plainly a guess.
func TestNewJobFromAVehicleClass(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", filepath.Join(t.TempDir(), "jobs.db"), "127.0.0.1:0")
	p := open(t, s.url)
	p.waitFor(field("Vehicle to start from") + "?.options.length > 5")
	p.choose("Vehicle to start from", "Troop carrier")
	p.enter("Name of the new job", "Outback library")
	p.waitPad("gross", "limit", "3 300 kg")
	p.waitText("[data-rule=limit-estimated]", "were not read off the plate or papers")
	p.stage("Vehicle")
	p.waitFor(field("Vehicle") + "?.value === 'Troop carrier (replace by the plate)'")
	for _, limit := range []string{"GVM", "front axle rating", "rear axle rating"} {
		p.choose("Source: "+limit, "Plate")
	}
	p.waitFor("!document.querySelector('[data-rule=limit-estimated]')")
	p.saved()
}

// TestCarryAJobToAnotherInstallation exports, imports elsewhere, and finds it unchanged.
func TestCarryAJobToAnotherInstallation(t *testing.T) {
	t.Parallel()
	from := startDemo(t)
	exported := from.get("/api/jobs/sound-recordist/export")
	file := filepath.Join(t.TempDir(), "night-sounds.zaino.json")
	require.NoError(t, os.WriteFile(file, exported, 0o600))

	to := start(t, "serve", filepath.Join(t.TempDir(), "other.db"), "127.0.0.1:0")
	p := open(t, to.url)
	p.waitText("main", "No jobs yet.")
	p.upload("Job file", file)
	p.waitFor(`location.pathname === '/jobs/sound-recordist/load'`)
	p.waitPad("rear", "load", "1 460 kg")
	assert.Equal(t, string(exported), string(to.get("/api/jobs/sound-recordist/export")), "unchanged to the byte")

	broken := filepath.Join(t.TempDir(), "newer.zaino.json")
	require.NoError(t, os.WriteFile(broken, []byte(`{"format":"zaino.job","version":16,"surprise":1}`), 0o600))
	p.visit(to.url)
	p.see("[data-job]")
	p.upload("Job file", broken)
	p.waitText("[role=alert]", "written by a newer Zaino")
	assert.Equal(t, 1, p.count("[data-job]"), "nothing was imported")
	p.keys(kb.Escape)
}
