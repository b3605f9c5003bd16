package e2e

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// screen is a screen of the app on the demo data, what is there when it is ready, and what is opened on it then.
type screen struct {
	name, path, ready string
	enter             func(*page)
}

// screens are all that can be opened, some of them more than once, with other things open.
var screens = []screen{
	{"jobs", "/", "[data-job=queen-bees]", nil},
	{"load, item", "/jobs/river-gauging/load", "[data-row]", func(p *page) {
		p.clickOn("document.querySelector('[data-row=drill-rods] th')")
		p.clickOn("document.querySelector('#side-tab-item')")
		p.see("[data-panel=item]")
	}},
	{"load, state", "/jobs/sound-recordist/load", "[data-row]", func(p *page) {
		p.clickOn("document.querySelector('#side-tab-state')")
	}},
	{"load, figures", "/jobs/queen-bees/load", "[data-row]", func(p *page) {
		p.clickOn("document.querySelector('#side-tab-figures')")
	}},
	{"read CSV", "/jobs/queen-bees/load", "[data-row]", func(p *page) {
		p.press("Read CSV")
		p.typeInto("Or paste the lines here", "name,kg,x\na,1,2\nb,c,d")
		p.see("[data-line='3']")
	}},
	{"brief", "/jobs/river-gauging/brief", "[data-implied]", nil},
	{"brief, gear", "/jobs/river-gauging/brief/gear", "[aria-label^='Name of']", nil},
	{"brief, ways", "/jobs/sound-recordist/brief/ways", "[data-school=fridge]", nil},
	{"vehicle, plate", "/jobs/river-gauging/vehicle", "[data-thing=gross]", nil},
	{"vehicle, weight", "/jobs/river-gauging/vehicle/weight", "[data-thing=ticket-2]", func(p *page) {
		p.tick("Extended, or planned")
	}},
	{"vehicle, on it", "/jobs/river-gauging/vehicle/fitted", "[data-thing=winch]", func(p *page) {
		p.press("Details of Heavy rear springs")
	}},
	{"vehicle, space", "/jobs/queen-bees/vehicle/space", "[data-bay-shape=bed]", nil},
	{"measuring sheet", "/jobs/sound-recordist/vehicle/measure/cargo", "[data-measure]", nil},
	{"layout", "/jobs/queen-bees/layout", "[data-component]", func(p *page) {
		p.click("[data-component=drawers-4]")
		p.press("Add it anyway") // it is too large for what is left
		p.see("[data-panel=part]")
	}},
	{"layout, stances", "/jobs/queen-bees/layout", "[data-component]", func(p *page) {
		p.clickOn("document.querySelector('#bench-tab-stances')")
		p.clickOn("document.querySelectorAll('.stance-choice input')[1]")
		p.see("[data-open]")
	}},
	{"layout, findings", "/jobs/queen-bees/layout", "[data-component]", func(p *page) {
		p.clickOn("document.querySelector('#bench-tab-findings')")
		p.press("Let it stand:")
	}},
	{"layout, rules", "/jobs/queen-bees/layout", "[data-component]", func(p *page) {
		p.clickOn("document.querySelector('#bench-tab-rules')")
	}},
	{"variants", "/jobs/river-gauging/layout/variants", ".comparison th[data-variant]", nil},
	{"cases", "/jobs/river-gauging/load/cases", "[data-case=leaving]", nil},
	{"account", "/jobs/queen-bees/load/account", "[data-formula]", nil},
	{"card", "/jobs/sound-recordist/load/card", "[data-room]", nil},
	{"power, days", "/jobs/queen-bees/power", ".course-band", nil},
	{"power, board", "/jobs/queen-bees/power/board", "[data-board]", func(p *page) {
		p.clickOn("document.querySelector('[data-board=extractor].board-end')")
		p.see("[aria-label='Copper of Extractor drive']")
	}},
	{"power, logic", "/jobs/river-gauging/power/logic", "[data-tried]", nil},
	{"power, ask", "/jobs/river-gauging/power/ask", ".ask-go button", func(p *page) {
		p.click(".ask-go button")
		p.see("[data-set]")
	}},
	{"power, monitor", "/jobs/river-gauging/power/monitor", "[aria-label='Address of the monitor']", func(p *page) {
		// In the dark it is still connected from the light.
		js[any](p, "[...document.querySelectorAll('button')].find(b => b.textContent === 'Connect')?.click()")
		p.see("[data-monitor-charge]")
	}},
	{"keys", "/jobs/river-gauging/vehicle", "[data-thing=gross]", func(p *page) {
		p.press("Keys of this screen")
		p.see(".offcanvas.show:not(.showing)")
	}},
	{"range", "/jobs/river-gauging/range", "[data-tasks]", nil},
	{
		"range, stops",
		"/jobs/river-gauging/range/stops",
		"li[data-thing]",
		func(p *page) { p.click("[aria-label='More of Sandgate crossing']") },
	},
	{
		"range, vessels",
		"/jobs/river-gauging/range/vessels",
		"tr[data-thing]",
		func(p *page) { p.click("[aria-label='More of Second fuel tank']") },
	},
	{"range, air", "/jobs/queen-bees/range/air", "[data-wheel]", nil},
	{"build", "/jobs/queen-bees/build?part=5-01", ".part-picture", func(p *page) { p.tick("Order of cuts") }},
	{"build, buy", "/jobs/river-gauging/build/buy", "tr[data-thing]", func(p *page) { p.press("Read prices and stock") }},
	{"build, cost", "/jobs/river-gauging/build/cost", "[data-ways]", func(p *page) { p.click(".cost-lines summary") }},
	{"build, order", "/jobs/river-gauging/build/order", "[data-step]", func(p *page) { p.click(".steps .link") }},
	{"build, papers", "/jobs/river-gauging/build/papers", ".papers a", nil},
	{"build, bench", "/jobs/river-gauging/build/bench", ".bench-step", nil},
	{"weigh", "/jobs/river-gauging/weigh", "[data-part-row]", nil},
	{
		"weigh, scale",
		"/jobs/sound-recordist/weigh/scale",
		"[data-weigh-in]",
		func(p *page) { p.click("[data-weigh-in] summary") },
	},
	{"weigh, hand", "/jobs/river-gauging/weigh/hand", ".weigh-next", nil},
	{"handover", "/jobs/sound-recordist/handover", "[data-test]", nil},
	{"handover, papers", "/jobs/river-gauging/handover/papers", "tr[data-thing]", nil},
	{"handover, walk", "/jobs/sound-recordist/handover/walk", "[data-signed]", nil},
	{"handover, pack", "/jobs/sound-recordist/handover/pack", "[data-pack]", nil},
	{"handover, seasons", "/jobs/sound-recordist/handover/seasons", "[data-entry]", nil},
	{"log", "/jobs/sound-recordist/log", ".log-form", nil},
	{"due", "/due", "[data-due]", nil},
	{"findings", "/jobs/river-gauging/findings", "[data-rule]", nil},
	{"steps", "/jobs/sound-recordist/layout/steps", "[data-act]", nil},
	{"about", "/about", ".licences li", nil},
	{"revisions", "/jobs/river-gauging/revisions", "[data-revision]", nil},
	{"nothing there", "/jobs/none/load", "[role=alert]", nil},
}

// TestEveryScreenAtADesk opens every screen on a desk and makes it as narrow as a tablet: nothing is wider than the
// screen, what comes later moves nothing that is there, a text that is cut can be read whole somewhere, and by day
// and by night those who see little, or hear the screen read, find nothing that is seriously wrong.
func TestEveryScreenAtADesk(t *testing.T) {
	t.Parallel()
	const desks = 4 // each with screens of its own, and a server that they change
	for desk := range desks {
		t.Run(fmt.Sprint("desk ", desk), func(t *testing.T) {
			t.Parallel()
			s := startDemo(t)
			p := open(t, s.url)
			for k := desk; k < len(screens); k += desks {
				at := screens[k]
				p.do(chromedp.EmulateViewport(1280, 800))
				p.show(s, at)
				if !seenBefore(k) {
					p.nothingJumps(at)
					p.nothingIsCut(at)
					p.fits(at, 1280)
					p.do(chromedp.EmulateViewport(1024, 768))
					p.fits(at, 1024)
					p.do(chromedp.EmulateViewport(1280, 800))
				}
				if at.enter != nil {
					at.enter(p)
				}
				p.isAccessible(at)
			}
		})
	}
}

// seenBefore tells whether a screen stands in the list before, with other things open.
func seenBefore(k int) bool {
	return slices.ContainsFunc(screens[:k], func(s screen) bool { return s.path == screens[k].path })
}

// TestEveryScreenOnAPhone opens every screen on a phone with a finger: nothing is wider than the phone, what can be
// touched is 40 px, and each screen has a title of its own.
func TestEveryScreenOnAPhone(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	p.do(chromedp.EmulateViewport(390, 844, chromedp.EmulateMobile, chromedp.EmulateTouch))
	titles := map[string]string{}
	for k, screen := range screens {
		if seenBefore(k) {
			continue
		}
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
		assert.True(
			p.t,
			js[bool](p, fmt.Sprintf(`[...document.querySelectorAll(%q)].some(e => { const r = e.getBoundingClientRect();
			return r.width > 0 && r.left >= 0 && r.right <= innerWidth && r.top >= 0 && r.bottom <= innerHeight })`, control)),
			"%s is in reach at %s, %d",
			control,
			at.path,
			width,
		)
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
	js[any](
		p,
		`void (window.shift = 0, window.settled = performance.now(), new PerformanceObserver(list => list.getEntries()
		.filter(e => !e.hadRecentInput).forEach(e => { window.shift += e.value })).observe({type: 'layout-shift', buffered: true}))`,
	)
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
