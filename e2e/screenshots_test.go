package e2e

import (
	"bytes"
	"image/png"
	"os"
	"path/filepath"
	"slices"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestScreenshots takes a picture of each main view. `make screenshots` keeps
// them in docs/screenshots; otherwise they only show that each view can be made
// ready, and that the pictures of the documentation are those that it links. What
// needs nothing made ready and is drawn by TestEveryScreenAtADesk is not drawn again.
func TestScreenshots(t *testing.T) {
	t.Parallel()
	folder := os.Getenv("ZAINO_SCREENSHOTS")
	wanted := folder != ""
	if !wanted {
		folder = t.TempDir()
	}
	readme, err := os.ReadFile("../README.md")
	require.NoError(t, err)
	s := startDemo(t)
	views := []struct {
		name, path, ready string
		prepare           func(*page)
	}{
		{"jobs", "/", "[data-job=queen-bees]", nil},
		{"load", "/jobs/river-gauging/load", "[data-rule=rear-over]", func(p *page) {
			p.clickOn("document.querySelector('[data-row=folded-raft] th')")
			js[any](p, "document.activeElement.blur()")
		}},
		{"brief", "/jobs/river-gauging/brief", "[data-implied]", nil},
		{"plate", "/jobs/river-gauging/vehicle", "[data-thing=gross] .binds", nil},
		{"space", "/jobs/queen-bees/vehicle/space", "[data-bay-shape=bed]", nil},
		{"layout", "/jobs/queen-bees/layout", "[data-component]", func(p *page) {
			p.choosePart("slide-out-kitchen-frame")
			p.press("Open Slide-out kitchen frame")
			p.see("[data-open]")
			js[any](p, "document.activeElement.blur()")
		}},
		{"stances", "/jobs/sound-recordist/layout", "[data-component]", func(p *page) {
			p.clickOn("document.querySelector('#bench-tab-stances')")
			p.clickOn("document.querySelectorAll('.stance-choice input')[1]")
			p.see("[data-open]")
			js[any](p, "document.activeElement.blur()")
		}},
		{"round", "/jobs/river-gauging/layout", "[data-part=drawer-unit-left]", func(p *page) {
			p.press("Walk round it")
			p.waitFor("Number(document.querySelector('.round')?.dataset.loaded) > 0")
			p.choose("In focus", "Canopy, left side")
			p.press("Open everything")
			time.Sleep(2 * time.Second)                                                                 // what opens has come out
			p.waitFor("(c => c.width >= c.clientWidth)(document.querySelector('canvas[data-frames]'))") // drawn finely again
			js[any](p, "document.activeElement.blur()")
		}},
		{"variants", "/jobs/river-gauging/layout/variants", ".comparison th[data-variant]", nil},
		{"cases", "/jobs/river-gauging/load/cases", "[data-case=leaving]", nil},
		{"card", "/jobs/sound-recordist/load/card", "[data-room]", nil},
		{"measure", "/jobs/sound-recordist/vehicle/measure/cargo", "[data-measure]", func(p *page) {
			p.click("[data-step='betweenArches']")
			p.see("[data-measure=betweenArches]")
		}},
		{"range", "/jobs/river-gauging/range", "[data-tasks]", func(p *page) {
			js[any](p, "document.querySelector('.way-hand').focus()")
			for range 3 {
				p.keys(kb.PageDown)
			}
			js[any](p, "document.activeElement.blur()")
		}},
		{"build", "/jobs/river-gauging/build?part=4-07", ".part-picture", func(p *page) {
			p.waitFor("!document.querySelector('progress')")
			p.tick("Order of cuts")
			js[any](p, "document.activeElement.blur()")
		}},
		{"weigh", "/jobs/sound-recordist/weigh/scale", "[data-weigh-in]", func(p *page) {
			js[any](p, "document.querySelector('[data-weigh-in]').scrollIntoView({block: 'center'})")
			time.Sleep(time.Second)
		}},
		{"handover", "/jobs/sound-recordist/handover/seasons", "[data-entry]", nil},
		{"power-days", "/jobs/river-gauging/power", ".course-band", nil},
		{"power-board", "/jobs/queen-bees/power/board", "[data-board]", func(p *page) {
			p.clickOn("document.querySelector('[data-board=extractor].board-end')")
			p.see("[aria-label='Copper of Extractor drive']")
			js[any](p, "document.activeElement.blur()")
		}},
		{"night", "/jobs/river-gauging/load", "[data-rule=rear-over]", func(p *page) {
			js[any](p, "document.documentElement.dataset.bsTheme = 'dark'")
			p.press("Leave outboard motor behind")
			p.see(".trial-bar .hint")
		}},
	}
	for _, view := range views {
		assert.Contains(t, string(readme), "docs/screenshots/"+view.name+".png")
		assert.FileExists(t, "../docs/screenshots/"+view.name+".png")
		if view.prepare == nil && !wanted &&
			slices.ContainsFunc(screens, func(s screen) bool { return s.path == view.path }) {
			continue
		}
		t.Run(view.name, func(t *testing.T) {
			p := open(t, s.url+view.path)
			p.see(view.ready)
			if view.prepare != nil {
				view.prepare(p)
			}
			p.waitFor("document.fonts.status === 'loaded' && document.getAnimations().length === 0 && " +
				"!document.querySelector('[aria-busy=true]')")
			picture, err := chromedp.Run(p.ctx, chromedp.CaptureScreenshot())
			require.NoError(t, err)
			config, err := png.DecodeConfig(bytes.NewReader(picture))
			require.NoError(t, err)
			assert.Equal(t, []int{1280, 800}, []int{config.Width, config.Height})
			require.NoError(t, os.WriteFile(filepath.Join(folder, view.name+".png"), picture, 0o644))
		})
	}
}
