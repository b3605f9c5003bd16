package e2e

import (
	"encoding/json"
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// showStance shows a stance of the bench by its name.
func (p *page) showStance(name string) {
	p.t.Helper()
	p.click("#bench-tab-stances")
	p.waitFor("[...document.querySelectorAll('input[name=stance]')].some(i => " +
		"i.parentElement.textContent.includes(" + quoted(name) + ") && (i.click(), true))")
}

// drawn waits until something of a stance is drawn in a view.
func (p *page) drawn(view, name string) {
	p.t.Helper()
	p.waitFor("[...document.querySelectorAll('[data-view=" + view + "] .drawn-placed title')].some(e => " +
		"e.textContent === " + quoted(name) + ")")
}

// TestSeatsTurnAndHammocksHang enters a seat that turns, turns it in a stance until it meets what stands there, and
// hangs a hammock between two mounting points that do not hold it until it hangs as deep as is said.
func TestSeatsTurnAndHammocksHang(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/vehicle/fitted")
	p.enter("How far Second row left turns", "90")
	p.enter("How long Second row left is", "480")
	p.enter("How broad Second row left is", "460")
	p.enter("How high Second row left is", "900")
	p.saved()

	p.stage("Layout")
	p.showStance("Sleep one")
	p.press("Turn Second row left")
	p.drawn("above", "Second row left")
	p.click("#bench-tab-findings")
	p.waitText("[data-rule=seat-turn]", "Second row left meets")
	p.press("Leave it looking ahead there")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=seat-turn]')")

	p.click("#bench-tab-stances")
	p.press("Hammock for Imke")
	p.click("#bench-tab-findings")
	p.waitText("[data-rule=hammock-pull]", "hangs on two eyes that are apart")
	p.click("#bench-tab-stances")
	p.choose("Eye at the head of Imke", "Side wall insert, front left")
	p.choose("Eye at the feet of Imke", "Side wall insert, rear right")
	p.enter("Lowest point of the hammock of Imke", "1050")
	p.drawn("left", "Hammock")
	p.click("#bench-tab-findings")
	p.waitText("[data-rule=hammock-pull]", "does not hold the hammock of Imke")
	p.waitText("[data-rule=hammock-pull]", "deeper, or choose an eye that holds")
	p.waitText("[data-rule=hammock-short]", "further apart by")
	p.saved()
	var document struct {
		Job fitout.Job `json:"job"`
	}
	require.NoError(t, json.Unmarshal(s.get("/api/jobs/sound-recordist"), &document))
	stance := document.Job.ChosenVariant().Stances[2]
	assert.Equal(t, []fitout.Hung{{Traveller: "driver", Head: "wall-front-left", Foot: "wall-rear-right", Low: 1050, Kg: 2}},
		stance.Hung)
	assert.Empty(t, stance.Turned)
}

// TestStrutsAreTurnedWhereTheyHold gives a lid struts that do not suit its swing, by hand; what is proposed does.
func TestStrutsAreTurnedWhereTheyHold(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/layout")
	p.choosePart("sleeping-platform")
	p.enter("Gas struts of Sleeping platform", "2")
	p.enter("Force of each of Sleeping platform", "900")
	p.choose("Opens", "To the left")
	p.press("Measure it")
	p.enter("Strut, out of Sleeping platform", "400")
	p.enter("Its stroke of Sleeping platform", "60")
	p.see("[aria-label='What the hand feels at the lid of Sleeping platform']")
	p.click("#bench-tab-findings")
	p.waitText("[data-rule=strut-swing]", "further apart than the strut is long")
	p.choosePart("sleeping-platform")
	p.tabTo("Propose where they turn")
	p.keys(kb.Enter)
	p.saved()
	p.click("#bench-tab-findings")
	p.waitFor("!document.querySelector('[data-rule=strut-swing]')")
}

// TestSpringsAreAskedForByAHeight says how the rear should stand in a case; springs of two rates bring it there.
func TestSpringsAreAskedForByAHeight(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/vehicle")
	p.enter("Second spring rate, rear", "50")
	p.enter("Where the second rate begins, rear", "20")
	p.choose("Case in which the rear should stand so", "Recording night, water full")
	p.enter("Most that the rear should be down", "40")
	p.waitText("[data-rule=stands-low]", "in “Recording night, water full”, and 40 mm at most are wanted")
	p.waitText("[data-rule=stands-low]", "or a second rate of")
	p.press("Fit springs with a second rate of")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=stands-low]')")
	p.saved()
	p.visit(s.url + "/jobs/sound-recordist/vehicle")
	p.see("[aria-label='Most that the rear should be down']")
	assert.Equal(t, "40", p.value("Most that the rear should be down"))
}
