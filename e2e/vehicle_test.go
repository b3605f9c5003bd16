package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// TestPlateBaselineAndParts edits the vehicle and sees the consequence at once.
func TestPlateBaselineAndParts(t *testing.T) {
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle")
	p.waitPad("rear", "load", "2 129 kg")

	p.enter("Limit: rear axle rating", "2100 + 100")
	p.waitPad("rear", "left", "71.1 kg left")
	p.choose("Source: rear axle rating", "Plate")
	p.enter("Limit: GVM", " ")
	p.waitText("[data-pad=gross]", "GVM not stated")
	p.waitText("[data-rule=limit-missing]", "No GVM stated")

	// The tub is in the baseline and removed; putting it back adds it once.
	p.choose("State of Factory tub", "Fitted")
	p.waitPad("gross", "load", "3 653 kg")
	p.clickOn(field("Factory tub is in the baseline"))
	p.waitPad("gross", "load", "3 771 kg")
	p.clickOn(field("Factory tub is in the baseline"))
	p.choose("State of Factory tub", "Removed")
	p.waitPad("gross", "load", "3 535 kg")

	// A spare wheel that is moved takes its mass along.
	p.choose("State of Factory spare wheel", "Fitted")
	p.waitPad("rear", "load", "2 125 kg")
	p.choose("State of Factory spare wheel", "Moved")
	p.waitPad("rear", "load", "2 129 kg")

	// Every definition takes something else off: 30 L and a driver were on the scale.
	gross := map[string]string{
		"tare": "3 642 kg", "kerb mass": "3 537 kg", "mass in running order": "3 474 kg", "unladen": "3 651 kg", "as weighed": "3 535 kg",
	}
	for definition, want := range gross {
		p.choose("What the figure contains", definition)
		p.waitPad("gross", "load", want)
	}
	p.choose("What the figure contains", "as weighed")
	p.enter("In Main fuel tank", "0")
	p.waitPad("gross", "load", "3 560 kg")
	p.clickOn("[...document.querySelectorAll('label')].find(l => l.textContent.includes('stood level')).querySelector('input')")
	p.waitText("[data-rule=scale-not-level]", "Weighed on a slope")

	p.choose("Axle split", "Assumed")
	p.enter("Share on the front, %", "50")
	p.waitText("[data-rule=baseline-split-assumed]", "50 : 50 by assumption")
	p.saved()
}

func TestTanksSeatsTracksAndHitch(t *testing.T) {
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/vehicle")
	p.waitPad("rear", "load", "2 129 kg")

	p.enter("Now in Second fuel tank", "60")
	p.waitPad("gross", "load", "3 568 kg")
	p.press("Add tank")
	p.enter("Now in New tank", "10")
	p.enter("Wheelbase", "3 m")
	p.waitFor("!document.querySelector('[data-pad=rear] [data-figure=load]').textContent.includes('129')")
	p.enter("Wheelbase", "0")
	p.waitText(".notice-trouble", "vehicle.wheelbase (Kestane D4 dual-cab): 0 mm was given; accepted is a number from 1000 to 12000 mm")
	p.press("Take back: Wheelbase")
	p.saved()

	p.enter("Station of Front passenger", "1400")
	p.enter("Side of Front passenger", "-340")
	p.enter("Height of Main fuel tank", "580")
	p.press("Remove Rear left")
	p.waitFor("!document.querySelector('[data-seat=rear-left]')")
	p.saved() // the trainee who sat there keeps a place

	p.clickOn("[...document.querySelectorAll('label')].find(l => l.textContent.includes('It tows')).querySelector('input')")
	p.enter("Loaded mass, uncoupled", "1.4 t")
	p.enter("Download on the ball", "120")
	p.waitText("[data-pad=combination]", "GCM")
	before := p.pad("rear", "load")
	p.enter("Ball behind the rear axle", "1500")
	p.waitFor("!document.querySelector('[data-pad=rear] [data-figure=load]').textContent.includes(" + quoted(strings.TrimSuffix(before[2:], " kg")) + ")")

	p.clickOn("[...document.querySelectorAll('label')].find(l => l.textContent.includes('Extended, or planned')).querySelector('input')")
	p.waitText("[data-rule=extension-uncertified]", "Wheelbase extension without certificate")
	p.saved()
}

func TestUnitsWordsAndDatum(t *testing.T) {
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
	assert.Contains(t, js[string](p, "document.querySelector('[data-pad=gross] .pad-of').title"), "North America: GVWR", "the tooltip has the others' words")

	p.choose("Units", "Metric")
	p.choose("Stations from", "rear axle")
	p.waitFor(field("Station of Drill rods") + ".value === '200'")
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
