package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// screen is a screen of the app on the demo data, and what is there when it is ready.
type screen struct{ path, ready string }

// screens are all that can be opened.
var screens = []screen{
	{"/", "[data-job=queen-bees]"},
	{"/jobs/river-gauging/brief", "[data-implied]"},
	{"/jobs/river-gauging/brief/gear", "[aria-label^='Name of']"},
	{"/jobs/sound-recordist/brief/ways", "[data-school=fridge]"},
	{"/jobs/river-gauging/vehicle", "[data-thing=gross]"},
	{"/jobs/river-gauging/vehicle/weight", "[data-thing=ticket-2]"},
	{"/jobs/queen-bees/vehicle/space", "[data-bay-shape=bed]"},
	{"/jobs/sound-recordist/vehicle/measure/cargo", "[data-measure]"},
	{"/jobs/river-gauging/layout", "[data-part]"},
	{"/jobs/river-gauging/layout/variants", ".comparison th[data-variant]"},
	{"/jobs/river-gauging/load", "[data-row]"},
	{"/jobs/river-gauging/load/cases", "[data-case=leaving]"},
	{"/jobs/queen-bees/load/account", "[data-formula]"},
	{"/jobs/sound-recordist/load/card", "[data-room]"},
	{"/jobs/queen-bees/power", ".course-band"},
	{"/jobs/queen-bees/power/board", "[data-board]"},
	{"/jobs/river-gauging/power/logic", "[data-tried]"},
	{"/jobs/river-gauging/power/ask", ".ask-go button"},
	{"/jobs/river-gauging/power/monitor", "[aria-label='Address of the monitor']"},
	{"/jobs/river-gauging/range", "[data-tasks]"},
	{"/jobs/river-gauging/range/stops", "li[data-thing]"},
	{"/jobs/river-gauging/range/vessels", "tr[data-thing]"},
	{"/jobs/queen-bees/range/air", "[data-wheel]"},
	{"/jobs/queen-bees/build?part=5-01", ".part-picture"},
	{"/jobs/river-gauging/build/buy", "tr[data-thing]"},
	{"/jobs/river-gauging/build/cost", "[data-ways]"},
	{"/jobs/river-gauging/build/order", "[data-step]"},
	{"/jobs/river-gauging/build/papers", ".papers a"},
	{"/jobs/river-gauging/build/bench", ".bench-step"},
	{"/jobs/river-gauging/weigh", "[data-part-row]"},
	{"/jobs/sound-recordist/weigh/scale", "[data-weigh-in]"},
	{"/jobs/river-gauging/weigh/hand", ".weigh-next"},
	{"/jobs/sound-recordist/handover", "[data-test]"},
	{"/jobs/river-gauging/handover/papers", "tr[data-thing]"},
	{"/jobs/sound-recordist/handover/walk", "[data-signed]"},
	{"/jobs/sound-recordist/handover/pack", "[data-pack]"},
	{"/jobs/sound-recordist/handover/seasons", "[data-entry]"},
	{"/jobs/sound-recordist/log", ".log-form"},
	{"/jobs/river-gauging/findings", "[data-rule]"},
	{"/jobs/sound-recordist/layout/steps", "[data-act]"},
	{"/due", "[data-due]"},
	{"/about", ".licences li"},
	{"/jobs/river-gauging/revisions", "[data-revision]"},
	{"/jobs/none/load", "[role=alert]"},
}

// TestEveryScreenAtADesk opens every screen on a desk and makes it as narrow as a tablet: nothing is wider than the
// screen, what comes later moves nothing that is there, and a text that is cut can be read whole somewhere.
func TestEveryScreenAtADesk(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	for _, screen := range screens {
		p.do(chromedp.EmulateViewport(1280, 800))
		p.show(s, screen)
		p.nothingJumps(screen)
		p.nothingIsCut(screen)
		p.fits(screen, 1280)
		p.do(chromedp.EmulateViewport(1024, 768))
		p.fits(screen, 1024)
	}
}

// TestEveryScreenOnAPhone opens every screen on a phone with a finger: nothing is wider than the phone, what can be
// touched is 40 px, and each screen has a title of its own.
func TestEveryScreenOnAPhone(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	p.do(chromedp.EmulateViewport(390, 844, chromedp.EmulateMobile, chromedp.EmulateTouch))
	titles := map[string]string{}
	for _, screen := range screens {
		p.show(s, screen)
		assert.True(t, js[bool](p, "matchMedia('(pointer: coarse)').matches"))
		p.fits(screen, 390)
		p.isForFingers(screen)
		title := js[string](p, "document.title")
		assert.True(t, strings.HasSuffix(title, "Zaino"), title)
		assert.Empty(t, titles[title], "the title %q of %s is that of another screen", title, screen.path)
		titles[title] = screen.path
	}
}

// show opens a screen and waits until it is ready.
func (p *page) show(s *server, at screen) {
	p.t.Helper()
	p.visit(s.url + at.path)
	p.waitFor("document.querySelector(" + quoted(at.ready) + ") !== null")
}

// fits holds that nothing of a screen is wider than the window, and that stages, undo and the state of saving are in
// reach.
func (p *page) fits(at screen, width int) {
	p.t.Helper()
	p.waitFor(fmt.Sprintf("innerWidth === %d", width))
	assert.Empty(p.t, js[[]string](p, `(() => { const w = innerWidth; const out = [];
		// What scrolls inside something that fits is clipped by it.
		const clipped = e => { for (let p = e.parentElement; p && !p.matches('.stage'); p = p.parentElement)
			if (getComputedStyle(p).overflowX !== 'visible' && p.getBoundingClientRect().right <= w + 1) return true;
			return false; };
		if (document.documentElement.scrollWidth > w) out.push('page is ' + document.documentElement.scrollWidth);
		const main = document.querySelector('.stage, main');
		if (main && main.scrollWidth > main.clientWidth + 1) out.push('stage is ' + main.scrollWidth + ' in ' + main.clientWidth);
		for (const e of document.querySelectorAll('body *')) {
			const r = e.getBoundingClientRect();
			if (r.width > 0 && r.right > w + 1 && !clipped(e) && !e.closest('svg')) out.push(e.tagName + '.' + e.className + ' ends at ' + Math.round(r.right));
		} return out.slice(0, 6); })()`), "%s at %d", at.path, width)
	if !strings.HasPrefix(at.path, "/jobs/") || strings.HasSuffix(at.path, "/revisions") || at.path == "/jobs/none/load" {
		return
	}
	for _, control := range []string{".top-actions button", "[data-save]", ".rail a:last-child"} {
		assert.True(p.t, js[bool](p, fmt.Sprintf(`[...document.querySelectorAll(%q)].some(e => { const r = e.getBoundingClientRect();
			return r.width > 0 && r.left >= 0 && r.right <= innerWidth && r.top >= 0 && r.bottom <= innerHeight })`, control)),
			"%s is in reach at %s, %d", control, at.path, width)
	}
}

// isForFingers holds that what can be touched is 40 px wide and high.
func (p *page) isForFingers(at screen) {
	p.t.Helper()
	small := js[[]string](p, `(() => {
		const out = [];
		for (const e of document.querySelectorAll('button, a[href], input, select, textarea, summary, [role=tab]')) {
			if (e.closest('svg') || e.matches('.skip-link, [type=hidden]') || e.disabled) continue; // drawn to scale
			if (e.matches('p a, p button, li a:not(.rail a), .caution-line a')) continue; // in a sentence
			const box = e.matches('[type=checkbox], [type=radio], [type=file], [type=range]') ? e.closest('label') ?? e : e;
			const r = box.getBoundingClientRect();
			if (r.width <= 1 || r.height <= 1 || getComputedStyle(e).visibility === 'hidden') continue;
			if (Math.min(r.width, r.height) < 39.5)
				out.push(e.tagName + '.' + e.className + ' [' + (e.ariaLabel ?? e.textContent.slice(0, 20)) + '] ' + Math.round(r.width) + 'x' + Math.round(r.height));
		}
		return out;
	})()`)
	assert.Empty(p.t, small[:min(len(small), 8)], fmt.Sprint(len(small), " at ", at.path))
}

// nothingJumps holds that what comes later moves nothing that is there.
func (p *page) nothingJumps(at screen) {
	p.t.Helper()
	js[any](p, `void (window.shift = 0, window.settled = performance.now(), new PerformanceObserver(list => list.getEntries()
		.filter(e => !e.hadRecentInput).forEach(e => { window.shift += e.value })).observe({type: 'layout-shift', buffered: true}))`)
	p.waitFor("performance.now() - window.settled > 300")
	assert.Less(p.t, js[float64](p, "window.shift"), 0.05, at.path)
}

// nothingIsCut holds that a text that is cut can be read whole somewhere.
func (p *page) nothingIsCut(at screen) {
	p.t.Helper()
	assert.Empty(p.t, js[[]string](p, `[...document.querySelectorAll('body *')].filter(e => {
		const style = getComputedStyle(e);
		return e.clientWidth > 0 && e.scrollWidth > e.clientWidth + 1 && style.overflowX === 'hidden' && style.textOverflow === 'ellipsis' &&
			!e.title && !e.closest('[title]') && !e.ariaLabel && !e.closest('a, button')?.ariaLabel;
	}).map(e => e.tagName + '.' + e.className + ': ' + e.textContent.slice(0, 40)).slice(0, 6)`), at.path)
}

// TestTheKeyboardGetsPastTheLedger begins at the top of the load screen and skips what is long.
func TestTheKeyboardGetsPastTheLedger(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.see("[data-row]")
	js[any](p, "document.activeElement.blur()")
	p.keys("\t")
	p.waitFor("document.activeElement.textContent === 'To the stage'")
	p.waitFor("document.activeElement.getBoundingClientRect().width > 40")
	p.keys("\r")
	p.waitFor("document.activeElement.matches('.stage')")
	js[any](p, "document.querySelector('.ledger .scroll').focus()")
	p.keys("\t")
	p.waitFor("document.activeElement.textContent === 'Past the ledger'")
	p.keys("\r")
	p.waitFor("document.activeElement.matches('.side')")
	p.keys("\t")
	p.waitFor("document.activeElement.closest('.side') !== null")
}
