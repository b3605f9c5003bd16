package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestWhatHoldsAPartIsSaid fixes a part to a mounting point and takes it off again,
// says its latch and what it holds, and sees the rules follow.
func TestWhatHoldsAPartIsSaid(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-component]")
	p.choosePart("drawer-unit-left")
	fixed := "[...document.querySelectorAll('[aria-label^=\"Not fixed to\"]')]"
	before := js[int](p, fixed+".length")
	require.Positive(t, before, "the demo unit is bolted down")
	for js[int](p, fixed+".length") > 0 {
		left := js[int](p, fixed+".length")
		p.clickOn(fixed + "[0]")
		p.waitFor(fixed + ".length === " + tenths(float64(left-1)))
	}
	p.tells("restraint", true)
	p.waitFor("[...document.querySelectorAll('[data-rule=restraint]')].some(f => f.textContent.includes('cargo " +
		"practice') || f.textContent.includes('things are not held') || f.textContent.includes('is not held'))")
	for range before {
		p.press("Undo: Fixing to")
	}
	p.choosePart("drawer-unit-left")
	p.waitFor(fixed + ".length === " + tenths(float64(before)))

	// A latch that holds too little for what hangs on it.
	p.choose("Shut by", "A rated latch")
	p.enter("Latch holds of Drawer unit left", "20")
	p.tells("latch-weak", true)
	p.choosePart("drawer-unit-left")
	p.enter("Latch holds of Drawer unit left", "5 kN")
	p.waitText("[role=alert]", "accepted")
	assert.Equal(t, "5 kN", p.value("Latch holds of Drawer unit left"), "what cannot be read stays")
	p.escape()
	p.keys("5000" + kb.Enter)
	p.tells("latch-weak", false)
	p.saved()
}

// TestWhatMustStayFreeIsListedAndSeen lists a lamp and stands a carrier before it.
func TestWhatMustStayFreeIsListedAndSeen(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle/fitted")
	p.press("Add what must stay free")
	p.enter("Name of New lamp", "Reversing lamp")
	p.choose("Kind of Reversing lamp", "Lamp")
	p.choose("Where Reversing lamp is seen or reached", "From behind")
	p.enter("Side of Reversing lamp", "-600")
	p.enter("Height of Reversing lamp", "300")
	p.saved()
	p.stage("Layout")
	p.see("[data-component]")
	hidden := "[...document.querySelectorAll('[data-rule=hides]')].filter(f => f.textContent.includes('eversing " +
		"lamp')).length"
	p.clickOn("document.querySelector('#bench-tab-findings')")
	p.see("[data-rule]")
	assert.Zero(t, js[int](p, hidden))
	p.choosePart("second-spare-wheel")
	p.enter("Left face of Second spare wheel", "-1000")
	p.enter("Underside of Second spare wheel", "100")
	p.clickOn("document.querySelector('#bench-tab-findings')")
	p.waitFor(hidden + " > 0")
	p.stage("Vehicle")
	p.sheet("On it")
	p.press("Remove Reversing lamp")
	p.stage("Layout")
	p.clickOn("document.querySelector('#bench-tab-findings')")
	p.waitFor("document.querySelector('[data-rule]') && " + hidden + " === 0")
}

// TestALoosePieceIsDraggedToItsPlaceInAStance moves it there and nowhere else.
func TestALoosePieceIsDraggedToItsPlaceInAStance(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/layout")
	p.waitFor(part("above", "hive-tools") + " !== null")
	road := js[float64](p, part("above", "hive-tools")+".getBoundingClientRect().x")
	p.clickOn("document.querySelector('#bench-tab-stances')")
	p.press("Add stance")
	p.waitFor(field("Name of the stance") + "?.value === 'New stance'")
	p.choose("Put a part elsewhere in this stance", "Hive tools")
	p.waitFor("!document.querySelector('[data-view=above] [data-part=hive-tools]')")
	// The steps above the tick grow by one when the answer comes, and move it.
	p.waitFor("document.querySelector('[data-panel=stances]').textContent.includes('Put hive tools outside')")
	p.tick("Hive tools outside")
	p.waitFor(part("above", "hive-tools") + " !== null")
	p.dragPart("above", "hive-tools", -60, 0)
	p.waitFor(part("above", "hive-tools") + ".getBoundingClientRect().x < " + tenths(road-40))
	p.saved()
	p.clickOn("document.querySelector('.stance-choice input')")
	p.waitFor("Math.abs(" + part("above", "hive-tools") + ".getBoundingClientRect().x - " + tenths(road) + ") < 2")
	p.press("Undo:")
	p.press("Undo:")
	p.saved()
}

// TestAFixOnTheBenchIsTriedInTheViews shows a part where it would stand, and puts
// it back where it was.
func TestAFixOnTheBenchIsTriedInTheViews(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-component]")
	p.choosePart("drawer-unit-left")
	p.enter("Above its floor of Drawer unit left", "0")
	p.tells("lip", true)
	// Against a part that stays: the views make room for what is said above them.
	y := "(" + part("left", "drawer-unit-left") + ".getBoundingClientRect().y - " + part("left", "pantry-pull-out") +
		".getBoundingClientRect().y)"
	low := js[float64](p, y)
	p.press("Raise it by 3 mm")
	p.waitText(".trial-bar", "Mends:")
	p.waitFor(y + " < " + tenths(low-0.15))
	p.keys(kb.Escape)
	p.waitFor("!document.querySelector('.trial-bar')")
	p.waitFor("Math.abs(" + y + " - " + tenths(low) + ") < 0.5")
	p.press("Raise it by 3 mm")
	p.see(".trial-bar")
	p.press("Raise it by 3 mm") // pressed once more it is put back too
	p.waitFor("!document.querySelector('.trial-bar')")
	p.press("Raise it by 3 mm")
	p.press("Keep it")
	p.tells("lip", false)
	p.saved()
}

// TestFindingsPrintWithWhatWasLetStand has the reason of the specialist on paper,
// and no button.
func TestFindingsPrintWithWhatWasLetStand(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.press("Let it stand: Rim of sample fridge")
	p.keys("They bring their own step" + kb.Enter)
	p.see("[data-rule=rim-height].finding-accepted")
	p.saved()
	p.do(chromedp.EmulateViewport(794, 1123))
	printed, err := chromedp.Run(p.ctx, chromedp.PrintToPDF())
	require.NoError(t, err)
	assert.Greater(t, len(printed), 10_000)
	shown := js[string](p, `(() => {
		const rules = [...document.styleSheets].flatMap(s => [...s.cssRules]).filter(r => r.media?.mediaText === 'print').flatMap(r => [...r.cssRules]);
		return rules.filter(r => r.style?.display === 'none').map(r => r.selectorText).join(' ');
	})()`)
	for _, hand := range []string{".fixes", ".rail", ".finding .chip", ".mend"} {
		assert.True(t, strings.Contains(shown, hand), "%s is not printed", hand)
	}
	assert.Contains(t, p.text("[data-rule=rim-height]"), "Let stand: They bring their own step")
}

// TestWhatTheVehicleItselfTakes says how much room the spare wheel takes and where a shaft turns, and is told what stands
// there, until the figures are right.
func TestWhatTheVehicleItselfTakes(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/vehicle/weight")
	p.tick("Spare wheel is in the way")
	p.see("[data-rule=part-in-way]")
	p.enter("How high Spare wheel is", "flat")
	p.waitText("[role=alert]", "accepted")
	assert.Equal(t, "flat", p.value("How high Spare wheel is"), "what was typed stays")
	p.enter("How high Spare wheel is", "60")
	p.waitFor("!document.querySelector('[data-rule=part-in-way]')")

	p.sheet("On it")
	p.press("Add what must stay free")
	p.enter("Name of New lamp", "Propeller shaft")
	p.choose("Kind of Propeller shaft", "Shaft")
	p.waitFor(field("Where Propeller shaft is seen or reached") + "?.value === 'none'")
	p.enter("Station of Propeller shaft", "-350") // of the rear axle
	p.enter("Height of Propeller shaft", "480")
	p.waitText("[data-rule=shaft-near]", "It turns, and rises with the axle.")
	p.enter("Height of Propeller shaft", "420")
	p.waitFor("!document.querySelector('[data-rule=shaft-near]')")
	p.saved()
}

// TestPapersSayWhetherTheyHoldTheTray takes the empty mass from papers, and says what they mean.
func TestPapersSayWhetherTheyHoldTheTray(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle/weight")
	p.choose("What the figure contains", "kerb")
	p.enter("Front axle", "1198")
	p.enter("Rear axle", "822")
	p.see("[data-rule=tray-unsaid]")
	p.choose("The tray", "is in the figure")
	p.waitText("[data-rule=tray-twice]", "aluminium tray")
	p.press("The figure is of cab and chassis alone")
	p.press("Keep it")
	p.waitFor(field("The tray") + "?.value === 'bare'")
	p.waitFor("!document.querySelector('[data-rule^=tray-]')")
	p.saved()
}
