package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// escape leaves what is typed into a field, which is then ready to be typed over.
func (p *page) escape() {
	p.t.Helper()
	p.keys(kb.Escape)
	p.waitFor("(() => { const f = document.activeElement; return f.dataset.typing === 'false' && f.selectionStart === 0 " +
		"&& f.selectionEnd === f.value.length })()")
}

// TestAnOverloadFromNothingByKeyboard makes a job, loads it until it is over, has it
// mended, keeps the state as a case and changes that, without a mouse.
func TestAnOverloadFromNothingByKeyboard(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.waitText("main", "No jobs yet.")
	p.tabTo("Name of the new job")
	p.keys("Ridge ute")
	p.choose("Vehicle to start from", "Dual-cab with tub")
	p.tabTo("Make the job")
	p.keys(kb.Enter)
	p.waitText(".implied", "Say who travels")
	p.tabTo("Load")
	p.keys(kb.Enter)
	p.tabTo("Add the first item")
	p.keys(kb.Enter)
	p.tabTo("Name of New item")
	p.keys("Steel chest")
	p.tabTo("Mass of Steel chest")
	p.keys("heavy" + kb.Enter)
	p.waitText("[role=alert]", "a number")
	p.escape()
	p.keys("1200" + kb.Enter)
	p.tabTo("Station of Steel chest")
	p.keys("3600" + kb.Enter)
	p.saved()
	p.see("[data-rule=rear-over]")

	// Trying, putting back and keeping, all by key.
	p.tabTo("More ways to mend it")
	p.keys(kb.Enter)
	p.waitFor("document.querySelectorAll('.mend [data-mend], .mend > p').length > 0")
	over := p.pad("rear", "left")
	p.tabTo("Move steel chest")
	p.keys(kb.Enter)
	p.see(".trial-bar")
	assert.Equal(t, "Keep it", js[string](p, "document.activeElement.textContent"))
	p.leavesPad("rear", "left", over)
	p.keys(kb.Tab)
	assert.Equal(t, "Put it back", js[string](p, "document.activeElement.textContent"))
	p.keys(kb.Enter)
	p.waitFor("!document.querySelector('.trial-bar')")
	p.waitPad("rear", "left", over)
	p.keys("z", chromedp.ModifierCtrl) // takes back the station, not what was tried
	p.waitFor(field("Station of Steel chest") + ".value !== '3600'")
	p.keys("z", chromedp.ModifierCtrl|chromedp.ModifierShift)
	p.waitPad("rear", "left", over)
	p.saved()
	p.tabTo("Move steel chest")
	p.keys(kb.Enter)
	p.see(".trial-bar")
	p.keys(kb.Enter)
	p.waitFor("!document.querySelector('.trial-bar')")
	p.leavesPad("rear", "left", over)
	p.saved()

	// A case of it, changed by key; what cannot be read stays with its reason.
	p.tabTo("Cases")
	p.keys(kb.Enter)
	p.tabTo("Keep the state shown as a case")
	p.keys(kb.Enter)
	p.tabTo("Name of case Case 1")
	p.keys("Half a tank" + kb.Enter)
	p.see(".case-name")
	p.tabTo("Change Half a tank")
	p.keys(kb.Enter)
	p.see(".case-sheet")
	p.tabTo("Fuel tank in this case")
	p.keys("lots" + kb.Enter)
	p.waitText(".case-sheet [role=alert]", "accepted")
	assert.Equal(t, "lots", p.value("Fuel tank in this case"))
	p.escape()
	p.keys("80/2" + kb.Enter)
	p.waitFor(field("Fuel tank in this case") + ".value === '40'")
	p.saved()
	gross := plainSpaces(p.text(".case-matrix tbody tr:nth-of-type(2) [data-limit=gross] a"))
	p.visit(s.url + js[string](p, "location.pathname"))
	p.waitText(".case-matrix tbody tr:nth-of-type(2) [data-limit=gross]", gross)
	assert.Equal(t, "Half a tank", p.value("Name of case Half a tank"), "it is there after a reload")
}

// TestAWorstStateIsShownAndWhatIsTriedIsDroppedByTyping goes from a caution to the
// state that it speaks of, and edits while something is tried.
func TestAWorstStateIsShownAndWhatIsTriedIsDroppedByTyping(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.waitText("[data-rule=gross-worst-over]", "Gross can go 159 kg over")
	p.press("Show this state: Gross can go")
	p.waitText("[data-rule=gross-over]", "Gross 159 kg over")
	assert.Zero(t, p.count("[data-rule=gross-worst-over]"), "it is the state shown now")
	p.saved()
	p.press("Undo: Show")
	p.waitText("[data-rule=gross-worst-over]", "Gross can go 159 kg over")

	p.press("Leave outboard motor behind")
	p.see(".trial-bar")
	p.waitFor("document.querySelector('[data-row=outboard-motor]').classList.contains('absent')")
	p.enter("Mass of Folded raft", "60")
	p.waitFor("!document.querySelector('.trial-bar')")
	p.waitFor("!document.querySelector('[data-row=outboard-motor]').classList.contains('absent')")
	assert.Equal(t, "60", p.value("Mass of Folded raft"), "what was typed is made, what was tried is not")
	p.saved()

	// What is tried is nobody else's: another browser does not see it.
	p.press("Leave second spare wheel behind")
	p.see(".trial-bar")
	other := open(t, s.url+"/jobs/river-gauging/load")
	other.see("[data-row=second-spare-wheel]")
	assert.Zero(t, other.count("[data-row=second-spare-wheel].absent"))
	p.press("Keep it")
	p.saved()
	other.waitFor("document.querySelector('[data-row=second-spare-wheel]').classList.contains('absent')")
}

// TestWaysToMendAreCalledOffAndAskedAgain stops the search and asks once more.
func TestWaysToMendAreCalledOffAndAskedAgain(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.see("[data-rule=rear-over]")
	for range 2 {
		p.press("More ways to mend it")
		p.waitFor("document.querySelector('.mends') !== null")
	}
	p.waitText(".mend h4", "On the vehicle")
	p.waitText(".mend", "For certified people under local rules")
	p.press("Try it: Raise the rear axle rating")
	p.waitText(".trial-bar", "Mends: Rear axle 28.9 kg over")
	p.waitText("[data-brings]", "is not certified yet")
	p.press("Keep it")
	p.waitText("[data-rule=upgrade-uncertified]", "The plan counts on")
	p.stage("Vehicle")
	p.sheet("On it")
	p.waitFor(field("Name of Certified axle rating") + " !== undefined")
}
