package e2e

import (
	"bytes"
	"image"
	"image/color"
	"image/jpeg"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// take takes what the platform scale reads, once it is steady.
func take(p *page) {
	p.t.Helper()
	scaleReads(p)
	p.click(".weigh-take")
}

// scaleReads waits until the platform scale is steady with something on it.
func scaleReads(p *page) {
	p.t.Helper()
	p.see("[data-scale-ready=true]")
}

// TestPartsAreWeighedAsTheyGoIn weighs parts on the simulated platform scale: by button and by key, typed in pounds, said
// why, taken back; what is kept of each is the line of the scale.
func TestPartsAreWeighedAsTheyGoIn(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/weigh")
	p.see("[data-part=cargo-barrier]")
	p.press("Connect the simulated scale")
	p.press("Put it on")
	take(p)
	p.waitFor("document.querySelector('[data-part-row=cargo-barrier] td:nth-child(4)').textContent !== ''")
	p.see("[data-part=water-tank]")
	p.waitText(".weigh-reading", "still Cargo barrier; take it off")
	p.clickOn("document.querySelector('.weigh-next h3')")
	p.keys("t")
	p.waitFor("[...document.querySelectorAll('[role=alert], [role=status]')].some(e => " +
		"e.textContent.includes('Cargo barrier is still on the scale'))")
	p.press("Take it off")
	p.waitFor("document.querySelector('.weigh-take').disabled && " +
		"!document.querySelector('.weigh-reading').textContent.includes('still')")
	p.press("Put it on")
	// By key while it still moves: it is taken as soon as it is steady.
	p.waitFor("!document.querySelector('.weigh-take').disabled")
	p.clickOn("document.querySelector('.weigh-next h3')")
	p.keys("t")
	p.waitFor(
		"Math.abs(parseFloat(document.querySelector('[data-part-row=water-tank] td:nth-child(4)').textContent) - 9) < 1",
	)
	p.waitFor("!document.querySelector('[data-part=water-tank]')")
	p.saved()

	// A part that was not on the list next, in another unit, and far off what was planned.
	p.clickOn("document.querySelector('[data-part-row=inverter-and-charger-board] .link')")
	p.see("[data-part=inverter-and-charger-board]")
	p.typeInto("What Inverter and charger board weighs", "44 lb"+kb.Enter)
	p.waitText("[data-part-row=inverter-and-charger-board]", "20.0")
	p.waitFor(
		"[...document.querySelectorAll('.findings, [aria-label=Findings]')].some(e => e.textContent.includes('weighs otherwise than planned'))",
	)
	p.typeInto("Why Inverter and charger board weighs otherwise", "busbars and shunt came with it")
	p.waitFor(
		"![...document.querySelectorAll('[aria-label=Findings]')].some(e => e.textContent.includes('Inverter and charger board weighs otherwise'))",
	)
	p.saved()
	rows := string(s.get("/api/jobs/river-gauging/weighings"))
	assert.Equal(t, 3, strings.Count(rows, `"of":"item/`), rows)
	assert.Contains(t, rows, `\"channel\":\"platform\"`, "the line of the scale, as it came")
	assert.Contains(t, rows, `"typed":true`)

	p.press("Take back what Cargo barrier weighs")
	p.waitFor("document.querySelector('[data-part-row=cargo-barrier] td:nth-child(4)').textContent === ''")
	p.saved()
	p.visit(s.url + "/jobs/river-gauging/weigh/hand")
	p.see(".weigh-hand .weigh-next[data-part=cargo-barrier]")
}

// TestWeighingGoesOnWhileTheServerIsAway takes parts with the server gone; when it is back, masses and readings are there.
func TestWeighingGoesOnWhileTheServerIsAway(t *testing.T) {
	t.Parallel()
	db := filepath.Join(t.TempDir(), "jobs.db")
	s := start(t, "demo", db, "127.0.0.1:0")
	address := s.address()
	p := open(t, s.url+"/jobs/sound-recordist/weigh")
	p.see(".weigh-next[data-part]")
	p.saved()
	s.stop(syscall.SIGKILL)
	p.clickOn("document.querySelector('[data-part-row=fridge] .link')")
	p.typeInto("What Chest fridge on its slide weighs", "33.5"+kb.Enter)
	p.waitText("[data-part-row=fridge]", "33.5")
	p.see("[data-outbox]")
	start(t, "demo", db, address)
	p.waitFor("!document.querySelector('[data-outbox]')")
	p.saved()
	p.visit(s.url + "/jobs/sound-recordist/weigh")
	p.waitText("[data-part-row=fridge]", "33.5")
	p.waitFor(
		"window.kept || (fetch('/api/jobs/sound-recordist/weighings').then(r => r.text()).then(t => { window.kept = t }), false)",
	)
	assert.Contains(t, js[string](p, "window.kept"), `"kg":33.5`)
}

// TestOntoThePads rolls the first demo job onto the simulated pads: four corners settle and are taken, the scale
// contradicts the plan, what would explain it is ranked, and calibrating shrinks every band; taken off, the plan is its
// own again.
func TestOntoThePads(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/weigh/scale")
	p.press("Connect the simulated wheel pads")
	p.see("[data-pads]")
	p.press("Roll it on")
	p.waitFor(
		"[...document.querySelectorAll('.pad-live b')].every(b => parseInt(b.textContent.replace(/[^0-9]/g, '')) > 300)",
	)
	p.waitFor(
		"[...document.querySelectorAll('[data-pads] button')].some(b => b.textContent === 'Take' && !b.disabled)",
	)
	p.clickOn(
		"[...document.querySelectorAll('[data-pads] button')].find(b => b.textContent === 'Take' && !b.disabled)",
	)
	p.see("[data-weigh-in]")
	says := p.see(".weigh-says")
	assert.Contains(t, says, "over plan")
	assert.Contains(t, says, "Something is not as planned")
	causes := p.see(".weigh-causes")
	assert.Contains(t, causes, "that nobody listed")
	before := p.pad("rear", "load")
	p.press("Calibrate")
	p.see(".calibrated")
	p.waitFor("document.querySelector('.calibrated').textContent.includes('Wheel pads')")
	p.waitFor("document.querySelector('[data-band=rear]')")
	after := p.pad("rear", "load")
	assert.NotEqual(t, before, after, "the plan goes by the scale")
	p.saved()
	certificate := s.get(
		"/api/jobs/river-gauging/weighing.pdf?of=" + js[string](
			p,
			"document.querySelector('[data-weigh-in]').dataset.weighIn",
		),
	)
	assert.True(t, bytes.HasPrefix(certificate, []byte("%PDF")))
	p.press("Take the calibration off")
	p.waitFor("!document.querySelector('.calibrated')")
	p.waitPad("rear", "load", before)
	rows := string(s.get("/api/jobs/river-gauging/weighings"))
	for _, wheel := range []string{"front-left", "front-right", "rear-left", "rear-right"} {
		assert.Contains(t, rows, `"of":"weigh-in/`+wheel)
	}
	p.click("[data-weigh-in] summary")
	p.enter("Pads behind of Wheel pads", "40")
	p.waitText("[aria-label=Findings]", "Wheels stood at two heights")
	p.enter("Pads behind of Wheel pads", "-5")
	p.waitFor("document.querySelector('[role=alert]') !== null")
}

// TestAWeighbridgeTicketIsTyped enters what a bridge printed, with the keyboard, and says whose ticket it is.
func TestAWeighbridgeTicketIsTyped(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/weigh/scale")
	p.tabTo("Type a weighing")
	p.keys(kb.Enter)
	p.see("[data-weigh-in]")
	p.waitText("[data-weigh-in]", "Nothing was read yet")
	p.click("[data-weigh-in] summary")
	p.enter("Front axle of Weighbridge", "3100 lb")
	p.enter("Rear axle of Weighbridge", "1900 kg")
	p.see(".weigh-says")
	p.waitText(".weigh-legal", "Not a legal weighing")
	p.tick("Weighbridge public")
	p.waitText("[aria-label=Findings]", "Ticket of the weighbridge missing")
	p.saved()
	p.keys("z", chromedp.ModifierCtrl)
	p.waitFor(
		"!document.querySelector('[aria-label=Findings]').textContent.includes('Ticket of the weighbridge missing')",
	)
}

// snap is a photo as a phone takes it.
func snap(t *testing.T) string {
	img := image.NewRGBA(image.Rect(0, 0, 320, 240))
	for i := range 240 {
		img.Set(i, i, color.RGBA{220, 80, 20, 255})
	}
	var out bytes.Buffer
	require.NoError(t, jpeg.Encode(&out, img, nil))
	path := filepath.Join(t.TempDir(), "shot.jpg")
	require.NoError(t, os.WriteFile(path, out.Bytes(), 0o600))
	return path
}

// TestHandedOver tries, fails and passes, attaches a photo, walks round, has both sign, and hands over a pack that opens
// from disk with the server gone.
func TestHandedOver(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/handover")
	p.see("[data-test=wheel-nuts]")
	in := func(test, what string) string {
		return "[..." + "document.querySelectorAll('[data-test=\"" + test + "\"] button')].find(b => b.textContent === " + quoted(
			what,
		) + ")"
	}
	p.clickOn(in("wheel-nuts", "Passed"))
	p.see("[data-test=wheel-nuts].is-passed")
	p.clickOn(in("headlamps", "Failed"))
	p.see("[data-test=headlamps].is-failed")
	p.waitText("[data-test=headlamps]", "locked out and tagged")
	p.tick("Locked out and tagged: Headlamp aim")
	p.waitText("[aria-label=Findings]", "Failed and not locked out")
	p.upload("Photo", snap(t))
	p.see(".thumb")

	p.sheet("Papers and keys")
	p.enter("Number of Weighbridge ticket", "30-11")
	p.waitFor("![...document.querySelectorAll('.wanted li')].some(e => e.textContent.includes('Weighbridge'))")
	p.upload("Add a picture of the whole", snap(t))
	p.see(".photo-list img")

	p.sheet("Walk-round")
	p.see("[data-walk=load]")
	p.click("[data-walk=load] input")
	p.see("[data-walk=load].is-done")
	p.drag("document.querySelector('.sign-field')", 60, 10)
	p.typeInto("Name of the workshop", "Runa Feldt"+kb.Enter)
	p.see("[data-signed=workshop]")
	p.drag("document.querySelector('.sign-field')", 40, -12)
	p.typeInto("Name of the customer", "Varrow crew")
	p.clickOn("[...document.querySelectorAll('.sign button')].find(b => b.textContent === 'Sign' )")
	p.see("[data-signed=customer]")
	assert.Contains(
		t,
		js[string](p, "document.querySelector('[data-signed=customer] .sign-line').getAttribute('d')"),
		"L",
	)
	p.enter("Day of the handover", "2026-11-26")
	p.waitText("[aria-label=Findings]", "Handed over untried")
	p.saved()

	page := s.get("/api/jobs/river-gauging/pack.html")
	pdf := s.get("/api/jobs/river-gauging/pack.pdf")
	assert.True(t, bytes.HasPrefix(pdf, []byte("%PDF")))
	path := filepath.Join(t.TempDir(), "pack.html")
	require.NoError(t, os.WriteFile(path, page, 0o600))
	s.stop(syscall.SIGKILL)
	phone := open(t, "file://"+path)
	phone.do(chromedp.EmulateViewport(390, 844))
	phone.waitText("h1", "Nine nights on the Orrin")
	phone.waitFor(
		"[...document.images].length > 2 && [...document.images].every(i => i.complete && i.naturalWidth > 0)",
	)
	for _, has := range []string{"Weights, and what may still be loaded", "Before driving off", "Locks and keys", "One key fits canopy, left side and canopy, right side",
		"Runa Feldt", "Torvell Axle Works"} {
		assert.Contains(t, plainSpaces(js[string](phone, "document.body.textContent")), has)
	}
	assert.True(
		t,
		js[bool](phone, "document.documentElement.scrollWidth <= innerWidth + 1"),
		"nothing is wider than the phone",
	)
	assert.Equal(t, 2, phone.count(".signed svg"))
}

// TestASeasonIsLogged writes lines of the log on a phone, sees what they say against what was assumed, and begins the next
// version with it.
func TestASeasonIsLogged(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/log")
	p.do(chromedp.EmulateViewport(390, 844))
	p.see(".log-form")
	fuel := func(km, litres, surface string) {
		p.enter("On the clock", km)
		p.enter("Filled in", litres)
		if surface != "" {
			p.press(surface)
		}
		p.press("Keep")
		p.waitText(".log-said", "Kept: Fuel")
		p.waitFor("!document.querySelector('.log-said').textContent.includes('server')")
	}
	fuel("52000", "70", "")
	fuel("52500", "58.5", "Gravel")
	p.press("Never used")
	p.choose("What it is about", "Ladder")
	p.press("Keep")
	p.waitText(".log-said", "Kept: Never used")
	p.press("Fuel")
	p.press("Keep") // with nothing in it
	p.waitText(".log-form .notice", "the litres that were filled in")
	p.press("Mend it") // it stands in the form again
	p.waitFor("document.querySelector('.log-form .notice') === null")
	p.enter("On the clock", "52900")
	p.press("Keep")
	p.waitText(".log-form .notice", "the litres that were filled in")
	p.do(chromedp.EmulateViewport(1280, 800))
	p.visit(s.url + "/jobs/river-gauging/handover/seasons")
	p.waitText("[data-assumed='fuel/gravel']", "11.")
	p.waitText("[data-assumed='fuel/gravel']", "15.5 L/100 km")
	p.waitText(".season-list", "Ladder")
	p.press("Throw it away")
	p.waitFor("document.querySelectorAll('[data-entry]').length === 3")

	p.typeInto("Name of the next version", "Second season")
	p.press("Next version")
	p.waitText(".top-bar", "Second season")
	p.visit(s.url + "/jobs/river-gauging/load")
	p.see("[data-row]")
	assert.Zero(t, p.count("[data-row=ladder]"), "it stays at home")
	p.visit(s.url + "/jobs/river-gauging/handover/seasons")
	p.clickOn("document.querySelector('[data-entry] .icon-button')")
	p.waitFor("document.querySelectorAll('[data-entry]').length === 2")
}

// TestTheYearOfTheWagon: the demo wagon was handed over a year ago; its log says what it drank on gravel, what was never
// used, what is due, and the calendar has it.
func TestTheYearOfTheWagon(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/handover/seasons")
	p.waitText("[data-assumed='fuel/gravel']", "where 13.2 L/100 km was assumed")
	p.waitText(".season-list", "nobody opened it")
	p.see("[data-season-rule=due-over]")
	p.visit(s.url + "/due")
	p.see("[data-due]")
	p.waitText(".beside-page", "Night sounds, school by eight")
	calendar := string(s.get("/api/dues.ics?today=2026-11-26"))
	assert.Contains(t, calendar, "BEGIN:VEVENT")
	assert.Contains(t, calendar, "Battery health")
	csv := string(s.get("/api/jobs/sound-recordist/log.csv"))
	path := filepath.Join(t.TempDir(), "log.csv")
	require.NoError(
		t,
		os.WriteFile(path, []byte(strings.Replace(csv, "s01,", "n01,", 1)+"x,fuel,never,,1,1\n"), 0o600),
	)
	p.visit(s.url + "/jobs/queen-bees/handover/seasons")
	p.see("[data-assumed]")
	p.upload("Log as CSV", path)
	p.waitText(".log-read", "22 lines can be taken, 1 cannot")
	p.press("Take them")
	p.waitFor("document.querySelectorAll('[data-entry]').length === 22")
	bundle := filepath.Join(t.TempDir(), "job.zaino.zip")
	require.NoError(t, os.WriteFile(bundle, s.get("/api/jobs/queen-bees/bundle"), 0o600))
	p.visit(s.url)
	p.see("h1")
	p.upload("Job file", bundle)
	p.waitText(".top-bar", "Queens over the pass")
	p.visit(js[string](p, "location.href.replace(/\\/load.*/, '/handover/seasons')"))
	p.waitFor("document.querySelectorAll('[data-entry]').length === 22")
}
