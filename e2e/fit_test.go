package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// choosePart chooses a part of the bench by the keyboard and opens its panel.
func (p *page) choosePart(id string) {
	p.t.Helper()
	p.clickOn("document.querySelector('#bench-tab-add')")
	p.waitFor(fmt.Sprintf("document.querySelector('[data-view=above] [data-part=%q]')?.focus() === undefined && "+
		"document.activeElement?.dataset?.part === %q", id, id))
	p.keys(kb.Enter)
	p.clickOn("document.querySelector('#bench-tab-part')")
	p.see("[data-panel=part]")
}

// tells waits until a rule is told, or no longer, of all subjects.
func (p *page) tells(rule string, told bool) {
	p.t.Helper()
	p.clickOn("document.querySelector('#bench-tab-findings')")
	p.waitFor(fmt.Sprintf("(document.querySelector('[data-rule=%s]:not(.finding-accepted)') !== null) === %v", rule, told))
}

// TestRulesAreTrippedAndMendedOnTheBench spoils a sound fitout in many ways, by
// what a hand would do, and mends each by what its finding offers or says.
func TestRulesAreTrippedAndMendedOnTheBench(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-component]")
	const unit, fridge, pantry = "Drawer unit left", "Sample fridge on its slide", "Pantry pull-out"
	typed := func(label, value string) func() { return func() { p.enter(label, value) } }
	chosen := func(label, value string) func() { return func() { p.choose(label, value) } }
	fixed := func(label string) func() { return func() { p.press(label); p.press("Keep it") } }
	undone := func() { p.press("Undo:") }
	cases := []struct {
		rule, part  string
		spoil, mend func()
	}{
		{"latch-missing", "instrument-rack", chosen("Shut by", "A magnet"), fixed("Fit a rated latch")},
		{"lip", "drawer-unit-left", typed("Above its floor of "+unit, "0"), fixed("Raise it by 3 mm")},
		{"runner-length", "drawer-unit-left", typed("Comes out by of "+unit, "620"), fixed("Let it come out by 550 mm")},
		{"runner-load", "sample-fridge", typed("Rated of "+fridge, "60"), undone},
		{"parts-clash", "pantry-pull-out", typed("Behind its front of "+pantry, "940"), undone},
		{"outside-bay", "pantry-pull-out", typed("From its left of "+pantry, "200"), fixed("Move it in by")},
		{"opening-frame", "drawer-unit-left", typed("Behind its front of "+unit, "620"), fixed("Move it by")},
		{"rim-height", "sample-fridge", func() {}, fixed("Slide that drops by 185 mm")},
		{"cable-follows", "sample-fridge", chosen("Cable or hose", "Not said"), func() {
			p.choosePart("sample-fridge")
			p.choose("Cable or hose", "In a chain")
		}},
		{"tight", "pantry-pull-out", typed("Behind its front of "+pantry, "949"), undone},
		{"way-in", "folded-raft", typed("Width of Folded raft", "440"), undone},
		{"hides", "second-spare-wheel", func() {
			p.enter("Left face of Second spare wheel", "-1000")
			p.enter("Underside of Second spare wheel", "500")
		}, func() { undone(); undone() }},
		{"live-load", "drawer-unit-left", typed("Rated of "+unit, "90"), undone},
		{"door-load", "second-spare-wheel", typed("Rated of Second spare wheel", "20"), undone},
		{"service-reach", "inverter-and-charger-board", chosen("Opens", "To the left"), undone},
		{"restraint", "outboard-motor", func() {}, func() {
			for _, id := range []string{"outboard-motor", "sounding-weights"} {
				p.choosePart(id)
				p.choose("Fix it to", "Tray bracket 2 left")
			}
		}},
	}
	for _, c := range cases {
		p.choosePart(c.part)
		c.spoil()
		p.tells(c.rule, true)
		c.mend()
		p.tells(c.rule, false)
	}
	p.saved()
	assert.Contains(t, p.text(".rail"), "1 stop", "only the rear axle is left over")

	// The workshop's own rules decide too.
	for _, rule := range [][3]string{{"heavy-high", "High is from", "2200"}, {"heavy-tail", "Heavy is from", "200"}} {
		p.tells(rule[0], true)
		p.clickOn("document.querySelector('#bench-tab-rules')")
		p.enter(rule[1], rule[2])
		p.tells(rule[0], false)
	}
}

// TestARuleOfTheWorkshopIsTakenBackToTheTrades mistypes a rule of the workshop by key, sees what is said of it, and takes
// the trade's figure.
func TestARuleOfTheWorkshopIsTakenBackToTheTrades(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-component]")
	rules := func() { p.clickOn("document.querySelector('#bench-tab-rules')") }
	rules()
	p.enter("Restraint forward", "hard")
	p.waitFor("[...document.querySelectorAll('[role=alert]')].some(e => e.textContent.includes('accepted is'))")
	p.enter("Restraint forward", "0.08")
	p.tells("practice-odd", true)
	p.waitText("[data-rule=practice-odd]", "The trade's is usually 0.8 g")
	p.press("Take the trade's 0.8 g")
	p.press("Keep it")
	p.tells("practice-odd", false)
	rules()
	p.waitFor(field("Restraint forward") + ".value === '0.8'")
	p.saved()
	p.press("Undo:")
	p.tells("practice-odd", true)
}

// TestAFindingShowsItsMeasureAndIsLetStand draws the measure in the scene, and
// keeps the specialist's reason in the job.
func TestAFindingShowsItsMeasureAndIsLetStand(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.press("Rim of sample fridge on its slide 185 mm above reach")
	p.waitFor("location.pathname.endsWith('/layout') && document.querySelector('[data-view=left] .measures " +
		"[data-line]')?.textContent.startsWith('1') === true")
	p.see("[data-view=left] .part.selected")
	p.clickOn("document.querySelector('#bench-tab-findings')")
	p.press("Let it stand: Rim of sample fridge")
	p.waitFor("document.activeElement.placeholder === 'Why it may stand'")
	p.keys("They bring their own step" + kb.Enter)
	p.see("[data-rule=rim-height].finding-accepted")
	p.waitText("[data-rule=rim-height]", "Let stand: They bring their own step")
	p.saved()
	assert.Contains(t, string(s.get("/api/jobs/river-gauging/export")), "They bring their own step")
	assert.Zero(t, p.count("[aria-label^='Let it stand: Rear axle']"),
		"what the plate forbids is not the workshop's to allow")
	p.press("Look at it again: Rim of sample fridge")
	p.waitFor("!document.querySelector('.finding-accepted')")
}

// TestAStanceFromNothing makes a stance by hand: what is open, what must go
// first, what lies outside, and what is shut before driving off.
func TestAStanceFromNothing(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/layout")
	p.clickOn("document.querySelector('#bench-tab-stances')")
	p.waitText(".acts", "Push in and lock bed slide platform")
	p.waitText("[data-get=sugar-syrup-jugs]", "7 steps")
	p.press("Add stance")
	p.waitFor(field("Name of the stance") + "?.value === 'New stance'")
	p.enter("Name of the stance", "Roadside coffee")
	p.choose("What the stance is for", "Cooking")
	p.tick("Open Fridge in this stance")
	p.waitText(".acts", "Slide out fridge")
	p.tells("way-blocked", true) // inside the bed there is no room beside it
	p.waitText("[data-rule=way-blocked]", "In “Roadside coffee”")
	p.clickOn("document.querySelector('#bench-tab-stances')")
	p.tick("Open Bed slide platform in this stance")
	p.waitText(".acts", "Slide out bed slide platform")
	p.waitFor("document.querySelector('.acts li:first-child').textContent.startsWith('Open the door of bed')")
	p.tells("way-blocked", false)
	p.clickOn("document.querySelector('#bench-tab-stances')")
	p.waitFor("document.querySelector('[data-view=left] [data-open=bed-slide-platform]') !== null")
	p.choose("Put a part elsewhere in this stance", "Hive tools")
	p.waitText(".acts", "Put hive tools outside")
	p.waitFor("!document.querySelector('[data-view=left] [data-part=hive-tools]')")
	p.saved()

	// By keyboard: back to the road, where the list of what to shut has grown.
	js[any](p, "document.querySelector('.stance-choice input:checked').focus()")
	for range 3 {
		p.keys(kb.ArrowUp)
	}
	p.waitText(".acts", "Stow hive tools and fix it")
	p.waitText(".acts", "Push in and lock fridge")

	// And a bed that is set too high for the room above it.
	p.visit(s.url + "/jobs/sound-recordist/layout")
	p.see("[data-component]")
	p.clickOn("document.querySelector('#bench-tab-rules')")
	p.enter("Above a bed", "600")
	p.tells("bed-headroom", true)
	p.clickOn("document.querySelector('[data-rule=bed-headroom] .link')")
	p.waitFor("document.querySelector('[data-view=left] .measures path') !== null")
	p.saved()
}
