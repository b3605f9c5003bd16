package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// TestPlateBaselineAndParts edits the vehicle and sees the consequence at once.
func TestPlateBaselineAndParts(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle")
	p.waitPad("rear", "load", "2 129 kg")
	p.waitText("[data-thing=gross] .binds", "Gross-mass upgrade 3 560 kg")

	p.enter("Limit: rear axle rating", "2100 + 100")
	p.waitPad("rear", "left", "71.1 kg left")
	p.choose("Source: rear axle rating", "Papers")
	p.sheet("On it")
	p.tick("Count with Gross-mass upgrade")
	p.waitPad("gross", "limit", "3 300 kg")
	p.sheet("Plate")
	p.enter("Limit: GVM", " ")
	p.waitText("[data-pad=gross]", "GVM not stated")
	p.waitText("[data-rule=limit-missing]", "No GVM stated")

	// The tub was on the first scale and off on the second; putting it back adds
	// it once, whether the baseline is said to contain it or not.
	p.sheet("Weight")
	p.choose("State of Factory tub", "Fitted")
	p.waitPad("gross", "load", "3 653 kg")
	p.tick("Factory tub is in the baseline")
	p.saved()
	assert.Contains(t, plainSpaces(p.pad("gross", "load")), "3 653 kg")
	p.tick("Factory tub is in the baseline")
	p.choose("State of Factory tub", "Removed")
	p.waitPad("gross", "load", "3 535 kg")

	// A spare wheel that is moved takes its mass along.
	p.choose("State of Factory spare wheel", "Fitted")
	p.waitPad("rear", "load", "2 125 kg")
	p.choose("State of Factory spare wheel", "Moved")
	p.waitPad("rear", "load", "2 129 kg")

	// Every definition takes something else off what the papers say.
	gross := map[string]string{
		"tare": "3 642 kg", "kerb mass": "3 537 kg", "mass in running order": "3 474 kg", "unladen": "3 651 kg",
		"as weighed": "3 535 kg",
	}
	for definition, want := range gross {
		p.choose("What the figure contains", definition)
		p.waitPad("gross", "load", want)
	}
	p.choose("What the figure contains", "kerb mass")
	p.choose("Axle split", "Assumed")
	p.enter("Share on the front, %", "50")
	p.waitText("[data-rule=baseline-split-assumed]", "50 : 50 by assumption")
	p.saved()
}

// TestTwoTicketsAreCombined weighs a vehicle twice, with different things
// aboard, and is told when the tickets cannot both be right.
func TestTwoTicketsAreCombined(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.choose("Vehicle to start from", "Dual-cab with tray")
	p.enter("Name of the new job", "Weighed twice")
	p.waitText(".implied", "Say who travels")
	p.stage("Vehicle")
	p.sheet("Weight")
	p.choose("What the figure contains", "as weighed")
	p.waitText("[data-rule=ticket-missing]", "As weighed, but no ticket counts")
	p.enter("Front axle, Ticket 1", "1236")
	p.enter("Rear axle, Ticket 1", "868")
	p.enter("In Fuel tank, Ticket 1", "30")
	p.enter("On Driver, Ticket 1", "88")
	dry := func(ticket, want string) {
		p.t.Helper()
		p.waitFor("[...document.querySelectorAll('.tickets tr')].some(r => r.textContent.startsWith('Rear') && r.cells[" +
			ticket + "]?.textContent.replace(/\\s/g, ' ') === " + quoted(want) + ")")
	}
	dry("1", "813 kg")
	p.waitText("section[aria-label='Empty vehicle']", "Dry: front 1 178 kg, rear 813 kg")

	p.press("Add ticket")
	p.choose("Reading of Ticket 2", "Four corners")
	p.enter("Front left, Ticket 2", "590")
	p.enter("Front right, Ticket 2", "588")
	p.enter("Rear left, Ticket 2", "405")
	p.enter("Rear right, Ticket 2", "408")
	p.enter("In Fuel tank, Ticket 2", "0")
	dry("2", "813 kg")
	p.waitText("section[aria-label='Empty vehicle']", "From 2 tickets below")
	assert.Zero(t, p.count("[data-rule=tickets-contradict]"))

	p.enter("Rear left, Ticket 2", "555")
	p.waitText("[data-rule=tickets-contradict]",
		"gives 963 kg for the rear axle of the dry vehicle, where “Ticket 1” says 813 kg")
	p.clickOn(button("Weighing tickets contradict"))
	p.waitFor("document.activeElement.getAttribute('aria-label') === 'Name of Ticket 2'")
	p.tick("Ticket 2 counts")
	p.waitFor("!document.querySelector('[data-rule=tickets-contradict]')")
	dry("2", "–")
	p.tick("Ticket 1 level")
	p.waitText("[data-rule=scale-not-level]", "A slope of 2° moves about")
	p.saved()
}

// TestWhatBinds fits tyres, springs, airbags and an upgrade, and sees which
// rating is the limit and how the vehicle stands.
func TestWhatBinds(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/vehicle")
	p.waitText("[data-thing=ball] .binds", "Plate 140 kg")
	p.waitText("[data-stand=rear]", "50 mm down, 35 mm to the stop")
	p.enter("Load index, rear", "84")
	p.waitText("[data-thing=rearAxle] .binds", "Tyres 1 000 kg")
	p.waitText("[data-pad=rear]", "460 kg over")
	p.enter("Load index, rear", "140")
	p.waitText("[data-rule=tyre-index-unknown]", "the table goes from 70 to 130")
	p.clickOn(button("Load index 140 is not in the table"))
	p.waitFor("document.activeElement.getAttribute('aria-label') === 'Load index, rear'")
	p.enter("Load index, rear", "112")

	p.sheet("On it")
	p.tick("Count with Winter tyres")
	p.choose("Kind of modification", "Axle rating change")
	p.press("Add modification")
	p.enter("Rear axle mass limit with Axle rating change", "2.2 t")
	p.waitPad("rear", "limit", "2 120 kg") // the winter tyres carry less than the new rating
	p.waitText("[data-rule=upgrade-uncertified]", "Until certified people have approved it")
	p.choose("Certificate of Axle rating change", "Certified after first registration")
	p.waitText("[data-rule=upgrade-after-first]", "was certified after first registration")

	// A heavier spring holds the rear up; the limit does not move.
	p.choose("Kind of modification", "Springs")
	p.press("Add modification")
	p.enter("Rate of Springs", "70")
	p.enter("Lift of Springs", "30")
	p.sheet("Plate")
	p.waitText("[data-stand=rear]", "3 mm down, 82 mm to the stop")
	assert.Equal(t, "2 120 kg", plainSpaces(p.pad("rear", "limit")))
	p.saved()
}

// TestAWheelbaseExtensionStretchesThePicture asks what moves with the axle.
func TestAWheelbaseExtensionStretchesThePicture(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle/weight")
	p.waitPad("rear", "load", "2 129 kg")
	p.see(".beside .drawn-vehicle path")
	const long = "document.querySelector('.beside .drawn-vehicle').getBBox().width" // mm
	before := js[float64](p, long)
	p.tick("Extended, or planned to be")
	p.waitText("[data-rule=extension-uncertified]", "Wheelbase extension without certificate")
	p.enter("Extended by", "500")
	p.enter("Dry mass behind the cut", "310")
	p.saved()
	p.waitFor(fmt.Sprintf("Math.abs(%s - %f) < 1", long, before+500)) // the picture stretches by half a metre
	p.waitFor("!document.querySelector('[data-pad=rear] [data-figure=load]').textContent.includes('129')")
	stays := p.pad("rear", "load")
	p.press("All that stand behind the cut")
	p.waitFor("document.querySelector('[data-pad=rear] [data-figure=load]').textContent !== " + quoted(stays))
	p.tick("Drill rods")
	p.enter("Extended by", "3.3 m")
	p.waitText(".notice-trouble", "up to the wheelbase, 3150 mm")
	p.press("Take back: Extended by")
	p.saved()
}

func TestTanksSeatsTracksAndHitch(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle/fitted")
	p.waitPad("rear", "load", "2 129 kg")

	p.enter("Now in Second fuel tank", "60")
	p.waitPad("gross", "load", "3 568 kg")
	p.press("Add tank")
	p.enter("Now in New tank", "10")
	p.sheet("Plate")
	p.enter("Wheelbase", "3 m")
	p.waitFor("!document.querySelector('[data-pad=rear] [data-figure=load]').textContent.includes('129')")
	p.enter("Wheelbase", "0")
	p.waitText(".notice-trouble",
		"vehicle.wheelbase (Kestane D4 dual-cab): 0 mm was given; accepted is a number from 1000 to 12000 mm")
	p.press("Take back: Wheelbase")
	p.saved()

	p.sheet("On it")
	p.enter("Station of Front passenger", "1400")
	p.enter("Side of Front passenger", "-340")
	p.enter("Height of Main fuel tank", "580")
	p.press("Remove Rear left")
	p.waitFor("!document.querySelector('[data-thing=rear-left]')")
	p.saved() // the trainee who sat there keeps a place

	p.sheet("Plate")
	p.tick("It tows")
	p.enter("Loaded mass, uncoupled", "1.4 t")
	p.enter("Download on the ball", "120")
	p.waitText("[data-pad=combination]", "GCM")
	before := p.pad("rear", "load")
	p.enter("Ball behind the rear axle", "1500")
	p.waitFor("!document.querySelector('[data-pad=rear] [data-figure=load]').textContent.includes(" +
		quoted(strings.TrimSuffix(before[2:], " kg")) + ")")

	p.saved()
}

func TestUnitsWordsAndDatum(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging")
	p.waitPad("rear", "load", "2 129 kg")
	p.press("mm, kg, L")
	p.choose("Units", "US")
	p.waitPad("rear", "load", "4 693 lb")
	p.waitText("[data-rule=rear-over]", "Rear axle 64 lb over")
	p.choose("Words of", "North America")
	p.waitText("[data-pad=gross]", "GVWR")
	p.waitText("[data-pad=rear]", "rear GAWR")
	p.choose("Words of", "UK / EU")
	p.waitText("[data-pad=gross]", "MAM")
	assert.Contains(t, js[string](p, "document.querySelector('[data-pad=gross] .pad-of').title"), "North America: GVWR",
		"the tooltip has the others' words")

	p.choose("Units", "Metric")
	p.choose("Stations from", "rear axle")
	p.waitFor(field("Station of Drill rods") + ".value === '-14'")
	p.waitText(".rule", "mm, rear axle = 0")
	p.enter("Station of Drill rods", "-100")
	p.choose("Stations from", "front axle")
	p.waitFor(field("Station of Drill rods") + ".value === '3050'")

	p.choose("Screen", "Night")
	p.waitFor("document.documentElement.dataset.bsTheme === 'dark'")
	p.saved()

	js[any](p, "document.activeElement.blur()") // in a field, ? is text
	p.keys("?", chromedp.ModifierShift)
	p.waitText(".offcanvas", "Keys of this screen")
}

// A place that was typed wrongly is told, and leads to the field that it was typed into; where the exhaust is marked, what
// hangs beside it is told.
func TestAPlaceThatCannotBeLeadsToItsField(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle/fitted")
	p.enter("Station of Tray bracket 1 left", "7000")
	p.press("Add what must stay free")
	p.choose("Kind of New lamp", "Exhaust")
	for name, mm := range map[string]string{"Station": "3500", "Side": "-420", "Height": "560"} {
		p.enter(name+" of New lamp", mm)
	}
	p.saved()
	p.visit(s.url + "/jobs/river-gauging/findings")
	p.waitText("[data-rule=exhaust-near]", "Under-tray box, left is 76 mm from new lamp")
	p.waitText("[data-rule=off-the-vehicle]", "2 658 mm outside of the vehicle")
	p.press("Tray bracket 1 left lies off the vehicle")
	p.waitFor("document.activeElement.value === 'Tray bracket 1 left'")
	p.enter("Station of Tray bracket 1 left", "2320")
	p.saved()
	p.visit(s.url + "/jobs/river-gauging/findings")
	p.see("[data-rule=exhaust-near]")
	assert.Zero(t, p.count("[data-rule=off-the-vehicle]"))
}
