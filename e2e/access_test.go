package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

// TestEveryScreenIsAccessible scans each screen, by day and by night, and
// accepts no serious finding.
func TestEveryScreenIsAccessible(t *testing.T) {
	t.Parallel()
	scanner, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	require.NoError(t, err, "run make web first")
	s := startDemo(t)
	screens := []struct {
		name, path, ready string
		enter             func(*page)
	}{
		{"jobs", "/", "[data-job]", nil},
		{"load", "/jobs/river-gauging/load", "[data-rule]", nil},
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
		{"brief", "/jobs/queen-bees/brief", "[data-implied]", nil},
		{"brief, gear", "/jobs/river-gauging/brief/gear", "[data-thing=folded-raft]", nil},
		{"brief, ways", "/jobs/sound-recordist/brief/ways", "[data-school=fridge]", nil},
		{"vehicle, plate", "/jobs/river-gauging/vehicle", "[data-thing=gross] .binds", nil},
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
		{
			"power, monitor",
			"/jobs/river-gauging/power/monitor",
			"[aria-label='Address of the monitor']",
			func(p *page) {
				// In the dark it is still connected from the light.
				js[any](p, "[...document.querySelectorAll('button')].find(b => b.textContent === 'Connect')?.click()")
				p.see("[data-monitor-charge]")
			},
		},
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
		{
			"build, buy",
			"/jobs/river-gauging/build/buy",
			"tr[data-thing]",
			func(p *page) { p.press("Read prices and stock") },
		},
		{
			"build, cost",
			"/jobs/river-gauging/build/cost",
			"[data-ways]",
			func(p *page) { p.click(".cost-lines summary") },
		},
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
		{"findings", "/jobs/queen-bees/findings", "[data-rule]", nil},
		{"steps", "/jobs/sound-recordist/layout/steps", "[data-act]", nil},
		{"about", "/about", ".licences li", nil},
		{"revisions", "/jobs/river-gauging/revisions", "[data-revision]", nil},
		{"nothing there", "/jobs/none/load", "[role=alert]", nil},
	}
	for _, screen := range screens {
		t.Run(screen.name, func(t *testing.T) {
			t.Parallel()
			p := open(t, s.url+screen.path)
			p.see(screen.ready)
			if screen.enter != nil {
				screen.enter(p)
			}
			js[any](p, string(scanner)+";0")
			// By night only the colours are others.
			for _, look := range [][2]string{{"light", ""}, {"dark", "runOnly: ['color-contrast', 'link-in-text-block'], "}} {
				theme, rules := look[0], look[1]
				js[any](p, "document.documentElement.setAttribute('data-bs-theme', '"+theme+"')")
				p.waitFor("document.getAnimations().length === 0")
				result, err := chromedp.Run(
					p.ctx,
					chromedp.Evaluate[string](
						`axe.run(document, {`+rules+`resultTypes: ['violations']}).then(r => JSON.stringify(
					r.violations.filter(v => v.impact === 'serious' || v.impact === 'critical')
						.map(v => ({id: v.id, help: v.help, where: v.nodes.slice(0, 4).map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? ''))}))))`,
						chromedp.EvalAwaitPromise,
					),
				)
				require.NoError(t, err)
				var found []struct {
					ID, Help string
					Where    []string
				}
				require.NoError(t, json.Unmarshal([]byte(result), &found))
				require.Empty(t, found, theme+": "+fmt.Sprint(found))
			}
		})
	}
}
