package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// tabTo presses Tab until the focus is on what has a text or accessible name.
func (p *page) tabTo(name string) {
	p.t.Helper()
	const focused = "[document.activeElement?.getAttribute('aria-label') ?? '', " +
		"document.activeElement?.textContent?.trim() ?? '']"
	for range 150 {
		if js[bool](p, focused+".some(n => n.startsWith("+quoted(name)+"))") {
			outline := js[string](p,
				"(() => { const s = getComputedStyle(document.activeElement); return s.outlineStyle + s.boxShadow + "+
					"getComputedStyle(document.activeElement.querySelector('.drawn-edge, rect') ?? document.activeElement).strokeWidth })()")
			assert.NotEqual(p.t, "nonenone1px", outline, "%s shows its focus", name)
			return
		}
		p.keys(kb.Tab)
	}
	require.FailNow(p.t, "Tab never comes to "+name)
}

// A whole job by keyboard alone: make it, add and place an item, switch it,
// look at what it does, and take it back.
func TestAJobByKeyboardAlone(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.waitText("main", "No jobs yet.")
	p.tabTo("Name of the new job")
	p.keys("Shepherd's ute" + kb.Enter)
	p.waitText(".implied", "Say who travels")
	p.tabTo("Load")
	p.keys(kb.Enter)
	p.see(".empty button")

	p.tabTo("Add the first item")
	p.keys(kb.Enter)
	p.see("[data-row]")
	p.tabTo("Name of New item")
	p.keys("Water drum")
	p.saved()
	p.tabTo("Mass of Water drum")
	p.keys("100 lb" + kb.Enter)
	p.waitFor(field("Mass of Water drum") + ".value === '45.36'")
	p.tabTo("Station of Water drum")
	p.keys("2500" + kb.Enter)
	p.saved()
	p.tabTo("Presence of Water drum")
	p.keys("New switch")
	p.saved()

	// Tab goes round to the scene; one stop, then the arrows.
	p.tabTo("Water drum, 45.4")
	p.keys(kb.ArrowRight)
	p.keys(kb.ArrowRight, chromedp.ModifierShift)
	p.waitFor(field("Station of Water drum") + ".value === '2610'")
	p.keys(kb.ArrowLeft, chromedp.ModifierAlt)
	p.waitFor(field("Station of Water drum") + ".value === '2609'")
	p.saved()

	rear := p.pad("rear", "load")
	p.tabTo("Findings")
	p.keys(kb.ArrowRight)
	p.keys(kb.ArrowRight)
	p.see("[data-panel=state]")
	p.tabTo("State")
	for range 20 {
		p.keys(kb.Tab)
		if js[bool](p, "document.activeElement.closest('label')?.textContent === 'Water drum'") {
			break
		}
	}
	p.keys(" ")
	p.waitText("[data-row] [data-cell=rear]", "–")
	p.keys("z", chromedp.ModifierCtrl)
	p.waitPad("rear", "load", rear)
	p.saved()
}

// The power of a job by keyboard alone: letters go through the list of batteries without
// choosing one, Enter puts it in; a light's hours are drawn out by the arrows.
func TestPowerByKeyboardAlone(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.waitText("main", "No jobs yet.")
	p.tabTo("Name of the new job")
	p.keys("Reed flat" + kb.Enter)
	p.waitText(".implied", "Say who travels")
	p.tabTo("Power")
	p.keys(kb.Enter)
	p.waitText(".stage-forms", "No battery is planned yet")

	p.waitFor("[...(" + field("Choose a battery") + "?.options ?? [])].length > 3")
	p.tabTo("Choose a battery")
	p.keys("Lithium battery 1")
	p.waitFor(field("Choose a battery") + ".selectedOptions[0].text.startsWith('Lithium battery 1')")
	p.waitText(".stage-forms", "No battery is planned yet")
	p.keys(kb.Enter)
	p.waitFor("document.querySelector('[aria-label=\"Batteries\"]')?.textContent.includes('usable')")
	p.saved()

	p.tabTo("Choose a load")
	p.keys("Work light")
	p.keys(kb.Enter)
	p.see("tr[data-thing] [data-energy]")
	p.saved()
	before := p.text("tr[data-thing] [data-energy]")
	for range 60 {
		p.keys(kb.Tab)
		if js[bool](p, "document.activeElement.getAttribute('aria-label')?.endsWith(' ends') ?? false") {
			break
		}
	}
	p.keys(kb.ArrowRight, chromedp.ModifierShift)
	p.waitFor(quoted(before) + " !== document.querySelector('tr[data-thing] [data-energy]').textContent.replace(/\\s/g, ' ')")
	p.keys("z", chromedp.ModifierCtrl)
	p.waitText("tr[data-thing] [data-energy]", before)
	p.saved()
}
