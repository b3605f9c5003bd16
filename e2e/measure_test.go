package e2e

import (
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// reads waits until the sheet asks for a measure, types it and goes on.
func (p *page) reads(measure, value string) {
	p.t.Helper()
	p.waitFor("document.querySelector('[data-measure]')?.dataset.measure === " + quoted(measure) +
		" && document.activeElement?.closest('[data-measure]')")
	p.keys(value + kb.Enter)
}

// TestATubIsMeasuredByKeyboardAlone follows the sheet from the level to the
// diagonals, is told which measures to take again, and sees the tub drawn.
func TestATubIsMeasuredByKeyboardAlone(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.choose("Vehicle to start from", "Dual-cab with tub")
	p.enter("Name of the new job", "Beekeeper's tub")
	p.waitText(".implied", "Say who travels")
	p.tabTo("Vehicle")
	p.keys(kb.Enter)
	p.tabTo("Space1")
	p.keys(kb.Enter)
	p.waitText("[data-thing=tub]", "1 of 18 measured")
	p.tabTo("Measuring sheet")
	p.keys(kb.Enter)

	p.reads("tiltAlong", "1.2")
	p.waitText("[data-rule=measure-level-first]", "Level it before measuring on")
	p.reads("tiltAcross", "0")
	p.waitFor("document.activeElement.type === 'checkbox'")
	p.keys(" ")
	p.waitFor("!document.querySelector('[data-rule=measure-level-first]')")
	p.keys(kb.Enter)
	p.reads("lengthLeft", "1540")
	p.reads("lengthRight", "1540")
	p.reads("widthFront", "1500")
	p.reads("widthRear", "59 1/16 in")
	for _, side := range []string{"left", "right"} {
		p.reads("obstacles/arch-"+side+"/front", "420")
		p.reads("obstacles/arch-"+side+"/length", "760")
		p.reads("obstacles/arch-"+side+"/width", "2100/10")
		p.reads("obstacles/arch-"+side+"/height", "240")
	}
	p.reads("betweenArches", "1040")
	p.waitText("[data-rule=measure-arches-do-not-add-up]", "the width less both arches leaves 1 080 mm")
	p.reads("opening/width", "1520")
	p.waitText("[data-rule=measure-opening-too-wide]", "An opening is smaller than its bay")
	p.reads("opening/height", "470")
	p.reads("opening/sill", "15")
	p.reads("heightFront", "490")
	p.reads("heightRear", "490")
	p.reads("lengthTop", "0")
	p.reads("at/z", "820")
	p.reads("diagonalLeft", "2250")
	p.reads("diagonalRight", "2150")
	p.waitText("[data-rule=measure-diagonals]",
		"Measure the diagonal from front left again: 2 250 mm was given, 2 150 mm would close it.")

	// The list says which to take again, and each is a step away.
	assert.Equal(t, 3, p.count(".step-again"))
	p.tabTo("Diagonal from front leftagain")
	p.keys(kb.Enter)
	p.reads("diagonalLeft", "2150")
	p.tabTo("Between the archesagain")
	p.keys(kb.Enter)
	p.reads("betweenArches", "1080")
	p.waitFor("document.querySelector('[data-measure]').dataset.measure === 'opening/width'")
	p.keys("wide" + kb.Enter)
	p.waitText(".step-card .refusal", "Opening, width:")
	p.keys(kb.Escape)
	p.waitFor("document.activeElement.value === '1520' && document.activeElement.selectionEnd === 4 && " +
		"document.activeElement.selectionStart === 0")
	p.reads("opening/width", "1420")
	p.waitFor("!document.querySelector('.doubts li')")
	p.saved()

	// After the last measure the sheet says what was found, and goes back by itself.
	p.click("[data-step='diagonalRight']")
	p.reads("diagonalRight", "2150")
	p.waitText(".notice", "18 of 18 measures agree")
	p.waitText("[data-thing=tub]", "1 540 × 1 500 × 490 mm")
	p.waitText("[data-thing=tub]", "18 of 18 measured")
	for _, view := range []string{"left", "above", "behind"} {
		p.see("[data-view=" + view + "] [data-bay-shape=tub] .bay-room")
		p.waitText("[data-view="+view+"] .measures", map[string]string{"left": "490 mm", "above": "1 500 mm",
			"behind": "1 500 mm"}[view])
	}
	// To scale: the tub is drawn as long as the tape says, in the scale of the vehicle.
	p.waitFor(`(() => { const view = document.querySelector('[data-view=left]');
		const vehicle = view?.querySelector('.drawn-vehicle'), room = view?.querySelector('.bay-room');
		if (!vehicle || !room) return false; // the views are being drawn anew
		const perMM = vehicle.getCTM().a / view.querySelector('svg').getCTM().a;
		return Math.abs(room.getBBox().width / perMM - 1540) < 5 })()`)
}

// TestMeasuresThatCannotBeOnTheSpaceSheet enters what no space can have.
func TestMeasuresThatCannotBeOnTheSpaceSheet(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/vehicle/space")
	p.see("[data-bay-shape=bed]")
	assert.Zero(t, p.count("[data-rule^=measure]"), "a sound bay has nothing to say")
	p.enter("Width of Left arch", "60 in")
	p.waitText("[data-rule=measure-arches-meet]", "Measure how far each stands into the bay again.")
	p.enter("Width of Left arch", "7 3/4")
	p.waitFor("!document.querySelector('[data-rule=measure-arches-meet]')")
	p.enter("Length of Right arch", "2 m")
	p.waitText("[data-rule=measure-obstacle-outside]", "right arch stands out of the bay")
	p.enter("Length of Right arch", "34")

	p.enter("Carries, moving", "300")
	p.waitText("[data-rule=bay-over]", "Bed under the topper")
	p.stage("Load")
	p.see(".ledger")
	p.clickOn(button("Bed under the topper"))
	p.waitFor("location.pathname.endsWith('/vehicle/space') && document.activeElement.dataset.thing === 'bed'")

	p.choose("Kind of space", "Box under the flatbed")
	p.press("Add space")
	p.waitText("[data-thing^=under-tray]", "1 of 12")
	p.press("Remove Box under the flatbed")
	p.waitFor("!document.querySelector('[data-thing^=under-tray]')")
	p.saved()
}
