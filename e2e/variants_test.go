package e2e

import (
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// TestAnArrangementIsAskedForAndAdopted fills an empty, measured canopy with parts
// just as they come, asks where they go, adopts an answer, and finds the pads
// where the answer said.
func TestAnArrangementIsAskedForAndAdopted(t *testing.T) {
	t.Parallel()
	s, p := measuredCanopy(t)
	p.stage("Vehicle")
	p.sheet("Space")
	p.click(".one-bay .btn-primary")
	for _, m := range [][2]string{{"opening/width", "1500"}, {"opening/height", "800"}} {
		p.click("[data-step='" + m[0] + "']")
		p.reads(m[0], m[1])
	}
	p.saved()
	p.stage("Layout")
	for _, id := range []string{"fridge-45", "drawers-2", "battery-100", "tools", "first-aid"} {
		p.clickOn("document.querySelector('#bench-tab-add')")
		p.enter("Search components", "")
		p.click("[data-component=" + id + "]")
		p.see("[data-panel=part]")
	}
	p.tells("parts-clash", false) // each was put where it fits
	p.press("Variants")
	p.see(".comparison th[data-variant]")
	p.press("Room in drawers counts more")
	p.press("Propose")
	p.waitFor("document.querySelectorAll('.proposal').length >= 3")
	said := p.text("[data-proposal='A, proposal 1'] .hint")
	p.press("Adopt A, proposal 1")
	p.waitFor("document.querySelectorAll('.comparison th[data-variant]').length === 2")
	rear := p.pad("rear", "load")
	assert.Contains(t, plainSpaces(said), "Rear axle "+plainSpaces(rear), "the pads agree with the proposal")
	p.saved()
	p.press("To the bench")
	p.see("[data-component]")
	p.tells("parts-clash", false)
	p.waitFor("!document.querySelector('.part-wrong')")
	assert.Contains(t, string(s.get(js[string](p,
		"location.pathname.replace('/jobs/', '/api/jobs/').replace('/layout', '/export')"))), "A, proposal 1")
}

// TestVariantsAreComparedByHandAndTurned branches with the keyboard, turns a
// judgement call, compares, adopts and removes.
func TestVariantsAreComparedByHandAndTurned(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout/variants")
	p.waitFor("document.querySelectorAll('.comparison th[data-variant]').length === 3")
	assert.Equal(t, 2, p.count("[data-row='Rear axle'].differs"), "both others put something else on the rear axle")
	p.press("Adopt B, lighter boxes, one spare")
	p.waitText("[data-pad=rear]", "left")
	p.press("Undo: Adopt")
	p.waitText("[data-pad=rear]", "over")

	p.tabTo("Branch A")
	p.keys(kb.Enter)
	p.waitFor("document.querySelectorAll('.comparison th[data-variant]').length === 4")
	p.enter("Name of variant D", "D, as it was")
	p.enter("Why D, as it was", "To try the upright one")
	p.clickOn("document.querySelector('[data-turn=\"fridge upright\"]')")
	p.waitText(".variant-link", "of 5 variants")
	p.press("Show A")
	p.waitText(".comparison", "Upright fridge")
	p.waitFor("document.querySelectorAll('.comparison th[data-variant]').length === 4")
	p.press("Remove variant D, as it was, upright")
	p.waitText(".variant-link", "of 4 variants")
	p.saved()

	// What is called off, and what cannot be.
	p.press("Propose")
	p.waitFor("document.querySelector('.proposal, .variants-page .notice') !== null")
	p.visit(s.url + "/jobs/sound-recordist/layout/variants")
	p.see(".comparison th[data-variant]")
	p.press("Propose")
	p.waitFor("document.querySelector('.proposal, .variants-page .notice') !== null")
}
