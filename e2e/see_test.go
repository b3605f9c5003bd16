package e2e

import (
	"fmt"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestStandingBeforeASpace steps before the open side of the canopy, sees nothing else, cuts
// deeper by key and by mouse, and looks at what lies in the drawers.
func TestStandingBeforeASpace(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-view=left] [data-part=drawer-unit-left]")
	p.see("[data-view=left] [data-part=drawer-unit-right], [data-view=left] [data-part=house-battery]")
	p.choose("Stand before a space", "Canopy, left side")
	p.waitFor("document.querySelectorAll('[data-view]').length === 1")
	p.waitFor("!document.querySelector('[data-view=left] [data-part=sample-fridge-on-its-slide]')")
	fronts := "document.querySelectorAll('[data-part=drawer-unit-left] .tone-front').length"
	p.waitFor(fronts + " > 0")
	assert.Zero(t, p.count("[data-part] .cut"))

	// What lies behind the fronts is told by dashed lines over them.
	assert.True(t, js[bool](p, "(() => { const b = document.querySelector('[data-view=left] .behind path'); return b !== null && "+
		"(b.compareDocumentPosition(document.querySelector('[data-part=drawer-unit-left]')) & 2) !== 0 })()"))

	// By key: the fronts go, and what is behind them is cut through.
	js[any](p, "document.querySelector('.depth input').focus()")
	for range 12 {
		p.keys(kb.ArrowRight)
	}
	p.waitText(".depth output", "120 mm")
	p.waitFor(fronts + " === 0")
	p.waitFor("document.querySelector('[data-part=drawer-unit-left] .cut') !== null")
	p.keys(kb.Home)
	p.waitText(".depth output", "not cut")
	p.waitFor(fronts + " > 0")

	// With three views, the cut of one is a line in the others, which the mouse takes hold of.
	p.choose("In focus", "Focus: all")
	p.press("Three views")
	p.waitFor("document.querySelectorAll('[data-view]').length === 3")
	js[any](p, "document.querySelector('[data-view=left] .depth input').focus()")
	p.keys(kb.ArrowRight)
	p.see("[data-view=above] [data-plane=left]")
	before := p.text("[data-view=left] .depth output")
	p.drag("document.querySelector('[data-view=above] [data-plane=left] circle')", 0, -30)
	p.waitFor("document.querySelector('[data-view=left] .depth output').textContent !== " + quoted(before))
	at := p.text("[data-view=left] .depth output")
	js[any](p, "document.querySelector('[data-view=above] [data-plane=left]').focus()")
	p.keys(kb.ArrowUp)
	p.waitFor("document.querySelector('[data-view=left] .depth output').textContent !== " + quoted(at))
}

// TestTheKeyAndTheDrawingChooseEachOther: a number in the drawing has a line in the key; each
// chooses the other's thing.
func TestTheKeyAndTheDrawingChooseEachOther(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-key]")
	id := js[string](p, "document.querySelector('[data-key]').dataset.key")
	p.click("[data-key]")
	p.waitFor(fmt.Sprintf("document.querySelector('.drawn.selected[data-part=%q]') !== null", id))
	p.waitFor(fmt.Sprintf("document.querySelector('.balloon.selected[data-part=%q]') !== null", id))
	other := js[string](p, "[...document.querySelectorAll('[data-view=above] .balloon')].find(b => "+
		"!b.classList.contains('selected')).dataset.part")
	p.clickOn(fmt.Sprintf("document.querySelector('[data-view=above] .balloon[data-part=%q]')", other))
	p.waitFor(fmt.Sprintf("document.querySelector('[data-key=%q]').getAttribute('aria-pressed') === 'true'", other))
}

// TestNoNameLiesOverAnother measures every text of every view of the demo jobs on the screen:
// none is cut off, none lies over another.
func TestNoNameLiesOverAnother(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	const over = `(() => { const out = [];
		for (const svg of document.querySelectorAll('.bench-view svg, .scene > svg')) {
			const paper = svg.getBoundingClientRect();
			const all = [...svg.querySelectorAll('.drawn-names tspan, .drawn-names .balloon rect, .rule text, .axle text')]
				.map(e => [e.textContent || e.parentNode.textContent, e.getBoundingClientRect()]).filter(([, r]) => r.width > 0);
			all.forEach(([a, r], i) => {
				if (r.left < paper.left - 1 && !a.match(/^[−0-9]/) || r.bottom > paper.bottom + 1) out.push('cut: ' + a + [r.left, r.bottom, paper.left, paper.bottom]);
				all.slice(i + 1).forEach(([b, q]) => {
					if (Math.min(r.right, q.right) - Math.max(r.left, q.left) > 1 &&
						Math.min(r.bottom, q.bottom) - Math.max(r.top, q.top) > 3.5) out.push(a + ' over ' + b);
				});
			});
			out.push(...(all.length < 4 ? ['too few texts'] : []));
		} return out; })()`
	for _, job := range []string{"river-gauging", "sound-recordist", "queen-bees"} {
		p.visit(s.url + "/jobs/" + job + "/layout")
		for _, stand := range []string{"Three views", "Stand on the left", "Stand on the right", "Stand behind", "Stand ahead",
			"Look from above"} {
			p.press(stand)
			p.waitFor("document.querySelector('[data-view][aria-busy=false]') && !document.querySelector('[data-view][aria-busy=true]')")
			p.see(".drawn-names > *") // from ahead the cab stands before most
			assert.Empty(t, js[[]string](p, over), "%s, %s", job, stand)
		}
		p.visit(s.url + "/jobs/" + job + "/load")
		p.waitFor("document.querySelectorAll('.drawn-names > *').length > 1")
		assert.Empty(t, js[[]string](p, over), "%s, load", job)
	}
}

// TestWalkingRoundTheFitout opens the model, chooses a part in it by key and by mouse, moves it
// along the floor with the pads live, opens everything, and turns by key.
func TestWalkingRoundTheFitout(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-view=left] .part")
	assert.Zero(t, js[int](p, "performance.getEntriesByType('resource').filter(r => r.name.includes('RoundView')).length"),
		"its library comes only when it is opened")
	p.press("Walk round it")
	p.waitFor("Number(document.querySelector('.round')?.dataset.loaded) > 0")
	frames := "Number(document.querySelector('.round canvas').dataset.frames)"
	still := js[int](p, frames)
	js[any](p, "document.querySelector('.round-frame').focus()")
	p.keys(kb.ArrowLeft)
	p.waitFor(fmt.Sprintf("%s > %d", frames, still))
	p.keys(".")
	p.waitFor("document.querySelector('#bench-tab-part').getAttribute('aria-selected') === 'true'")
	p.keys(kb.Escape)

	// Somewhere on the canvas a part can be taken hold of.
	p.press("Corner")
	name := "document.querySelector('[data-panel=part] input')?.value ?? ''"
	before := p.pad("rear", "load")
	box := js[[]float64](p, "(() => { const r = document.querySelector('.round canvas').getBoundingClientRect(); return "+
		"[r.x, r.y, r.width, r.height] })()")
	moved := false
	for _, spot := range [][2]float64{{0.62, 0.55}, {0.58, 0.6}, {0.66, 0.62}, {0.7, 0.66}, {0.6, 0.5}, {0.55, 0.55}} {
		x, y := box[0]+box[2]*spot[0], box[1]+box[3]*spot[1]
		p.do(chromedp.MouseEvent(chromedp.MousePressed, x, y, chromedp.ButtonLeft))
		for _, dx := range []float64{-10, -40, -90} {
			p.do(chromedp.MouseEvent("mouseMoved", x+dx, y-dx/4, chromedp.ButtonLeft))
		}
		// The figures of a part come while it is in the hand, if one is.
		for until := time.Now().Add(4 * time.Second); !moved && time.Now().Before(until); time.Sleep(50 * time.Millisecond) {
			moved = p.pad("rear", "load") != before && js[string](p, name) != ""
		}
		p.do(chromedp.MouseEvent("mouseReleased", x-90, y+22, chromedp.ButtonLeft))
		if moved {
			break
		}
		if js[bool](p, "document.querySelector(\"[aria-label^='Undo: Move']\") !== null") { // only its figures came late
			p.press("Undo: Move")
			p.waitPad("rear", "load", before)
		}
	}
	require.True(t, moved, "a part was moved and the pads followed it")
	p.saved()
	p.press("Undo: Move")
	p.waitPad("rear", "load", before)
	p.press("Open everything")
	still = js[int](p, frames)
	p.waitFor(fmt.Sprintf("%s > %d", frames, still+3))
}

// TestWithoutWebGLTheFlatViewsStay: a browser that cannot draw in the round says so in words, and
// the flat views are one press away.
func TestWithoutWebGLTheFlatViewsStay(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-view=left] .part")
	js[any](p, "HTMLCanvasElement.prototype.getContext = () => null")
	p.press("Walk round it")
	p.waitText("[role=alert]", "This browser shows nothing in the round: it has no WebGL. The flat views show the same.")
	p.press("Stand on the left")
	p.see("[data-view=left] [data-part=drawer-unit-left]")
}
