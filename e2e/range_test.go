package e2e

import (
	"fmt"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestTheRearAxleIsLegalOnlyIfTheSecondTankIsFilledOnTheWay: the river crew's way says that the rear
// axle is over; the hand shows where; one press plans to fill later, and it is over nowhere; a level
// is filled by key; undo goes all the way back.
func TestTheRearAxleIsLegalOnlyIfTheSecondTankIsFilledOnTheWay(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.stage("Range")
	p.waitText("[data-rule=over-on-the-way]", "Filled later, at the pumps on the way, it is at most 2 095 kg")
	p.see(".way-over[data-band=rear]")
	p.waitText("[data-hand-load=rear]", "over")

	// The hand by key to the third stop, and by mouse to the end.
	js[any](p, "document.querySelector('.way-hand').focus()")
	p.keys(kb.PageDown)
	p.waitText("[data-hand]", "178 km")
	p.keys(kb.End)
	p.waitText("[data-hand]", "946 km")
	p.waitText("[data-hand-load=rear]", "left")
	p.drag("document.querySelector('.way-hand rect')", -200, 0)
	p.waitFor("!document.querySelector('[data-hand]').textContent.includes('946')")

	// The pads show the vehicle at the hand until that is put back.
	before := p.pad("rear", "load")
	p.press("Show the vehicle here")
	p.waitFor("document.querySelector('[data-pad=rear] [data-figure=load]').textContent !== " + quoted(before))
	p.press("Put it back")
	p.waitPad("rear", "load", before)

	p.clickOn("document.querySelector('[data-manner=axles] .btn-primary')")
	p.waitFor("!document.querySelector('[data-rule=over-on-the-way]')")
	p.waitFor("!document.querySelector('.way-over[data-band=rear]')")
	p.waitText("[data-manner=axles]", "This is the plan.")
	p.waitText("[data-tasks=depot]", "not 75 L")
	p.waitText("[data-tasks=sandgate]", "Fill second fuel tank")
	p.saved()

	// A little more into the second tank at home, and it is over again.
	js[any](p, "document.querySelector(\"[data-fill='depot/second']\").focus()")
	p.keys(kb.End)
	p.waitText("[data-rule=over-on-the-way]", "leaving Orrin depot")
	p.press("Undo: Second fuel tank on leaving Orrin depot")
	p.waitFor("!document.querySelector('[data-rule=over-on-the-way]')")
	p.press("Undo: Fill so that the axles carry least")
	p.waitText("[data-rule=over-on-the-way]", "leaving Orrin depot")

	// The level is dragged by hand too.
	level := func() string {
		return js[string](p, "document.querySelector(\"[data-fill='tallow/second']\").getAttribute('aria-valuetext')")
	}
	full := level()
	p.drag("document.querySelector(\"[data-fill='tallow/second']\")", 0, 25)
	p.waitFor(
		fmt.Sprintf(
			"document.querySelector(\"[data-fill='tallow/second']\").getAttribute('aria-valuetext') !== %s",
			quoted(full),
		),
	)
	p.saved()
}

// TestTheOnlyPumpIsShut: with Sandgate shut the way is planned with the others; a stop that is not
// sure and is filled at hangs by a hair; made sure it does not.
func TestTheOnlyPumpIsShut(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/range/stops")
	p.waitText("[data-rule=hangs-on-unsure]", "All hangs on the pump of Loma store")
	p.choose("How sure Loma store is", "Shut")
	p.waitText("[data-rule=leg-too-long]", "No fuel before Home yard again")
	p.waitFor("!document.querySelector('[data-rule=hangs-on-unsure]')")
	p.choose("How sure Loma store is", "Sure")
	p.waitFor("!document.querySelector('[data-rule=leg-too-long]')")

	// Consumption, surface and trailer: all follow.
	fuel := p.text("li[data-thing=yard] .stop-leg .hint")
	p.enter("Consumption", "12 mpg")
	p.waitFor(
		fmt.Sprintf("document.querySelector('li[data-thing=yard] .stop-leg .hint').textContent !== %s", quoted(fuel)),
	)
	p.click("[aria-label='More of Home yard']")
	fuel = p.text("li[data-thing=yard] .stop-leg .hint")
	p.choose("Trailer after Home yard", "Without it")
	p.waitFor(
		fmt.Sprintf("document.querySelector('li[data-thing=yard] .stop-leg .hint').textContent !== %s", quoted(fuel)),
	)

	// What cannot be read stays in the field with the reason.
	p.enter("Way on from Home yard", "far")
	p.see("[role=alert].refusal")
	p.enter("Way on from Home yard", "200 km")
	p.waitFor("document.querySelector(\"[aria-label='Way on from Home yard']\").value.startsWith('124')")
}

// TestAWayFromNothing makes a job, takes the way of its brief, puts a stop onto it, names it, and
// says what it has; then reads a GPX in its place, taps a stop onto the line, and takes the way along.
func TestAWayFromNothing(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	p.typeInto("Name of the new job", "Salt pan")
	p.choose("Vehicle to start from", "Dual-cab with tub")
	p.press("Make the job")
	p.stage("Brief")
	p.enter("Nights between services", "3")
	p.enter("Between fuel", "500")
	p.stage("Range")
	p.waitText(".notice", "Nobody has entered the way yet")
	p.press("Make it the way, and add stops")
	p.sheet("Stops")
	p.waitFor("document.querySelectorAll('.stop').length === 3")
	p.press("Add a stop after Start")
	p.waitFor("document.querySelectorAll('.stop').length === 4")
	p.enter("Name of stop 2", "Well")
	p.enter("Way on from Start", "100")
	p.choose("Water at Well", "Carried")
	p.click("[aria-label='Diesel at Well']")
	p.enter("Price of diesel at Well, a litre", "2.15")
	p.saved()
	p.sheet("Way")
	p.waitText("[data-tasks=start]", "100 km on")
	assert.Equal(t, 4, p.count("[data-post]"))

	// A file that is none is refused with a sentence, and nothing is lost.
	folder := t.TempDir()
	bad := filepath.Join(folder, "bad.gpx")
	require.NoError(
		t,
		os.WriteFile(bad, []byte("<gpx><trk><trkseg><trkpt lat='NaN' lon='1'/></trkseg></trk></gpx>"), 0o600),
	)
	p.press("Read a way")
	p.upload("GPX or CSV file", bad)
	p.waitText(".read-way [role=alert]", "Point 1 lies nowhere")
	assert.Equal(t, 4, p.count("[data-post]"))
	p.press("A made-up way to try")
	p.waitText(".read-way", "946 km along 2366 points, 9 stops")
	p.press("Take these 9 stops")
	p.waitFor("document.querySelectorAll('[data-post]').length === 9")
	p.press("Put stops on the line")
	js[any](p, "document.querySelector('.way-hand').focus()")
	p.keys(kb.ArrowRight)
	p.press("Put one at the hand")
	p.waitFor("document.querySelectorAll('[data-post]').length === 10")
	p.enter("Name of the stop at the hand", "Windmill")
	p.waitText(".tasks", "Windmill")
	tap := js[[]float64](
		p,
		"(() => { const l = document.querySelector('.track-line'), m = l.getPointAtLength(l.getTotalLength() * 0.37), "+
			"c = l.getScreenCTM(); return [m.x * c.a + c.e, m.y * c.d + c.f] })()",
	)
	p.do(chromedp.MouseClickXY(tap[0], tap[1]))
	p.waitFor("document.querySelectorAll('[data-post]').length === 11")
	p.saved()

	id := js[string](p, "location.pathname.split('/')[2]")
	for ending, begins := range map[string]string{"way.gpx": "<?xml", "stops.csv": "Stop,km", "way.pdf": "%PDF", "way.xlsx": "PK"} {
		response, err := http.Get(s.url + "/api/jobs/" + id + "/" + ending)
		require.NoError(t, err)
		head := make([]byte, 8)
		_, err = response.Body.Read(head)
		require.NoError(t, err)
		response.Body.Close()
		assert.True(t, strings.HasPrefix(string(head), begins), ending)
	}
}

// TestWaterGasAndAir: a tap by weight gives too little and is mended by its fix; a hose reaches a
// wheel when it is long enough; frost says what to drain in which order; the trip's days go to Power.
func TestWaterGasAndAir(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/range/vessels")
	p.waitText("[data-gives=bench-tap]", "L/min")
	p.enter("Bore of Bench tap", "5")
	p.waitText("[data-rule=tap-weak]", "a trickle")
	p.clickOn("document.querySelector('[data-rule=tap-weak] .fixes button')")
	p.waitFor("!document.querySelector('.pads-stale')")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=tap-weak]')")
	p.waitText("[data-drain]", "open shower hose at the tray")
	p.waitText("[data-pumps=water-pump]", "Ah")
	p.press("Add warmer")
	p.see("[aria-label='Name of New warmer']")
	p.choose("What warms New warmer", "Power")
	p.waitText("[data-warms]", "174 Wh")
	p.press("Count it in Power: New warmer")
	p.see("[aria-label='Undo: Count New warmer in Power']")

	p.sheet("Air and tyres")
	p.waitText("[data-wheel='front right wheel']", "not reached")
	p.enter("Hose", "7 m")
	p.waitFor("!document.querySelector(\"[data-wheel='front right wheel']\").textContent.includes('not')")
	p.waitText("[data-inflation]", "min")
	p.waitText("[data-leg-pressure='0']", "250 kPa")

	p.stage("Power")
	p.press("As on the trip")
	p.waitFor("document.querySelectorAll('.own-day').length === 10")
	p.stage("Range")
	p.press("Make cases of Load")
	p.see("[aria-label='Undo: Cases of the trip']")
	p.saved()
	p.visit(s.url + "/jobs/river-gauging/load/cases")
	p.see("[data-case=leaving-sandgate]")
}
