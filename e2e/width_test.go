package e2e

import (
	"fmt"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// TestFindingsAndStepsOnThePhone goes from the bar to all findings, sees the stops alone, and
// ticks the steps into a stance one after another.
func TestFindingsAndStepsOnThePhone(t *testing.T) {
	t.Parallel()
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
