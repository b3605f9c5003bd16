package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// TestEveryScreenFitsDeskTabletAndPhone opens every screen at three widths: nothing is wider
// than the screen, and the stages, undo and the state of saving are always in reach.
func TestEveryScreenFitsDeskTabletAndPhone(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	const wide = `(() => { const w = innerWidth; const out = [];
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
		} return out.slice(0, 6); })()`
	for _, size := range [][2]int64{{1280, 800}, {1024, 768}, {390, 844}} {
		p := open(t, s.url)
		p.do(chromedp.EmulateViewport(size[0], size[1]))
		for _, screen := range screens {
			p.visit(s.url + screen.path)
			p.waitFor("document.querySelector(" + quoted(screen.ready) + ") !== null")
			assert.Empty(t, js[[]string](p, wide), fmt.Sprint(screen.path, " at ", size[0]))
			if !strings.HasPrefix(screen.path, "/jobs/") || strings.HasSuffix(screen.path, "/revisions") ||
				screen.path == "/jobs/none/load" {
				continue
			}
			for _, control := range []string{".top-actions button", "[data-save]", ".rail a:last-child"} {
				assert.True(
					t,
					js[bool](
						p,
						fmt.Sprintf(
							`[...document.querySelectorAll(%q)].some(e => { const r = e.getBoundingClientRect();
					return r.width > 0 && r.left >= 0 && r.right <= innerWidth && r.top >= 0 && r.bottom <= innerHeight })`,
							control,
						),
					),
					"%s is in reach at %s, %d",
					control,
					screen.path,
					size[0],
				)
			}
		}
	}
}

// TestFindingsAndStepsOnThePhone goes from the bar to all findings, sees the stops alone, and
// ticks the steps into a stance one after another.
func TestFindingsAndStepsOnThePhone(t *testing.T) {
	s := startDemo(t)
	p := open(t, s.url)
	p.do(chromedp.EmulateViewport(390, 844))
	p.visit(s.url + "/jobs/river-gauging/brief")
	p.see("[data-implied]")
	p.click(".findings-link")
	p.see(".findings-page [data-rule]")
	all := p.count(".findings-page [data-rule]")
	p.clickOn(
		"[...document.querySelectorAll('.findings-page .segments button')].find(b => / stop/.test(b.textContent))",
	)
	p.waitFor(fmt.Sprintf("document.querySelectorAll('.findings-page [data-rule]').length < %d", all))
	assert.Equal(t, p.count(".findings-page .finding-stop"), p.count(".findings-page [data-rule]"))

	p.visit(s.url + "/jobs/sound-recordist/layout/steps")
	p.see("[data-act]")
	n := p.count("[data-act]")
	p.waitText(".steps-left", fmt.Sprintf("%d of %d to do", n, n))
	p.clickOn("document.querySelector('[data-act] input')")
	p.waitText(".steps-left", fmt.Sprintf("%d of %d to do", n-1, n))
	js[any](p, "[...document.querySelectorAll('[data-act] input:not(:checked)')].forEach(i => i.click())")
	p.waitText(".steps-left", "All done.")
}
