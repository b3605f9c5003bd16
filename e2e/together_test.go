package e2e

import (
	"encoding/json"
	"path/filepath"
	"syscall"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Two browsers on one job: different fields merge silently and show; the same
// field changed twice is asked about.
func TestTwoBrowsersOnOneJob(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	first, second := open(t, s.url+"/jobs/river-gauging"), open(t, s.url+"/jobs/river-gauging")
	first.see("[data-row=drill-rods]")
	second.see("[data-row=drill-rods]")

	first.enter("Mass of Drill rods", "40")
	first.saved()
	second.enter("Mass of Field tools", "30")
	second.saved()
	second.waitFor(field("Mass of Drill rods") + ".value === '40'")
	first.waitFor(field("Mass of Field tools") + ".value === '30'")

	// The same field twice: the second one is asked, and loses nothing until then.
	js[any](second, "Object.defineProperty(document, 'hidden', {value: true})") // looks away, so does not follow
	first.enter("Mass of Canopy", "160")
	first.saved()
	second.enter("Mass of Canopy", "175")
	second.waitText("[role=alertdialog]", "Canopy")
	assert.Contains(t, second.text("[role=alertdialog]"), "175")
	assert.Contains(t, second.text("[role=alertdialog]"), "160")
	assert.Equal(t, "175", second.value("Mass of Canopy"))
	second.press("Keep as chosen")
	second.saved()
	first.waitFor(field("Mass of Canopy") + ".value === '175'")

	// Undo takes back my edit only while it stands.
	first.press("Undo: Mass of Canopy")
	first.waitText(".notice", "somebody else has changed it since")
	assert.Equal(t, "175", first.value("Mass of Canopy"))
}

func TestTakeTheirsInAConflict(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	first, second := open(t, s.url+"/jobs/queen-bees"), open(t, s.url+"/jobs/queen-bees")
	first.see("[data-row=topper]")
	second.see("[data-row=topper]")
	js[any](second, "Object.defineProperty(document, 'hidden', {value: true})")
	first.press("Remove Topper")
	first.saved()
	second.enter("Mass of Topper", "190")
	second.waitText("[role=alertdialog]", "removed")
	second.press("Take everything of theirs")
	second.waitFor("!document.querySelector('[data-row=topper]')")
	second.saved()
}

// A server that goes away loses no edit: neither by waiting for it nor by a
// reload of the page.
func TestEditsOutliveTheServer(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging")
	p.see("[data-row=drill-rods]")
	address := s.address()
	s.stop(syscall.SIGKILL)
	p.enter("Mass of Drill rods", "44")
	p.waitText("[data-save]", "no server")
	again := start(t, "serve", s.db, address)
	p.saved()
	p.waitPad("rear", "load", "2 125 kg")

	again.stop(syscall.SIGKILL)
	p.enter("Mass of Drill rods", "45")
	p.waitText("[data-save]", "no server")
	p.visit("about:blank")
	start(t, "serve", s.db, address)
	p.visit(s.url + "/jobs/river-gauging")
	p.waitFor(field("Mass of Drill rods") + "?.value === '45'")
	p.saved()
	other := open(t, s.url+"/jobs/river-gauging")
	other.see("[data-row=drill-rods]")
	assert.Equal(t, "45", other.value("Mass of Drill rods"))
}

// Whoever leaves a job right after typing, by a link, by another address or by closing
// the page, has what was typed saved; with the server away it is sent when it is back.
func TestLeavingAtOnceSavesWhatWasTyped(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	mass := func(kg string) {
		t.Helper()
		other := open(t, s.url+"/jobs/river-gauging")
		other.waitFor(field("Mass of Drill rods") + "?.value === " + quoted(kg))
		other.saved()
	}
	p := open(t, s.url+"/jobs/river-gauging")
	p.see("[data-row=drill-rods]")
	p.typeInto("Mass of Drill rods", "41")
	p.clickOn("document.querySelector('.home')")
	p.see("[data-job=river-gauging]")
	mass("41")

	p.visit(s.url + "/jobs/river-gauging")
	p.see("[data-row=drill-rods]")
	p.typeInto("Mass of Drill rods", "42")
	p.visit(s.url + "/jobs/queen-bees/load")
	p.see("[data-row]")
	mass("42")

	p.visit(s.url + "/jobs/river-gauging")
	p.see("[data-row=drill-rods]")
	address := s.address()
	s.stop(syscall.SIGKILL)
	p.typeInto("Mass of Drill rods", "43")
	p.clickOn("document.querySelector('.home')")
	p.waitFor("!document.querySelector('[data-row]')")
	s = start(t, "serve", s.db, address)
	p.visit(s.url)
	p.see("[data-job=river-gauging]")
	mass("43")
}

// After a restore numbers of revisions begin again: a page that was open before asks
// before it overwrites what others have saved since.
func TestARestoredDatabaseAsksBeforeItIsOverwritten(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	copied := backup(t, s.db)
	p := open(t, s.url+"/jobs/river-gauging")
	p.see("[data-row=drill-rods]")
	address := s.address()
	s.stop(syscall.SIGTERM)
	p.enter("Mass of Drill rods", "44")
	p.waitText("[data-save]", "no server")

	restored := filepath.Join(t.TempDir(), "restored.db")
	code, _, trouble := zaino(t, "", "restore", "--db", restored, copied)
	require.Zero(t, code, trouble)
	s = start(t, "serve", restored, "127.0.0.1:0")
	var d document
	require.NoError(t, json.Unmarshal(s.get("/api/jobs/river-gauging"), &d))
	for _, raw := range d.Job["variants"].([]any)[0].(map[string]any)["items"].([]any) {
		if item := raw.(map[string]any); item["id"] == "drill-rods" {
			item["mass"] = 39
		}
	}
	_, err := send("PUT", s.url+"/api/jobs/river-gauging", map[string]any{"base": d.Revision, "lineage": d.Lineage,
		"job": d.Job})
	require.NoError(t, err)
	s.stop(syscall.SIGTERM)
	s = start(t, "serve", restored, address)
	p.waitText("[role=alertdialog]", "was put back to a backup")
	assert.Contains(t, string(s.get("/api/jobs/river-gauging")), `"mass":39`, "nothing is overwritten until then")
	p.press("Keep mine")
	p.saved()
	p.waitFor(field("Mass of Drill rods") + ".value === '44'")
}

func TestAccessCodeBeyondThisMachine(t *testing.T) {
	t.Parallel()
	s := start(t, "demo", t.TempDir()+"/demo.db", "0.0.0.0:0")
	p := open(t, s.url)
	p.waitText("main", "Access code")
	p.enter("Access code", "wrong")
	p.waitText("[role=alert]", "This is not the access code")
	p.enter("Access code", s.code)
	p.see("[data-job=river-gauging]")
	p.visit(s.url + "/jobs/river-gauging")
	p.waitPad("rear", "load", "2 129 kg")
}
