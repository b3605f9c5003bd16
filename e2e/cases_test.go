package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestTheRearAxleIsMendedByWhatIsOffered brings the first demo job within its
// limits by the offered changes only, and undo takes it back.
func TestTheRearAxleIsMendedByWhatIsOffered(t *testing.T) {
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.waitText("[data-rule=rear-over]", "Rear axle 28.9 kg over")
	p.press("More ways to mend it")
	p.waitFor("document.querySelectorAll('[data-mend]').length >= 3")
	after := p.text("[data-mend] [data-after=rear]")
	assert.Contains(t, plainSpaces(after), "2 129 kg →")
	p.press("Do it:")
	p.waitFor("!document.querySelector('[data-rule=rear-over]')")
	assert.Contains(t, plainSpaces(after), plainSpaces(p.pad("rear", "load")), "it does what it said")
	p.saved()
	p.keys("z", 2)
	p.waitText("[data-pad=rear]", "28.9 kg over")
}

// TestCasesConfidenceAndUsingUp keeps a state as a case, shows another, and sees
// how sure it is and what changes as tanks empty.
func TestCasesConfidenceAndUsingUp(t *testing.T) {
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.press("Cases")
	p.waitText("[data-case=leaving] [data-limit=rear]", "over")
	p.waitText("[data-case=workshop] [data-limit=rear]", "within")
	assert.Positive(t, p.count("tr.exact"), "the exact worst states stand below the cases")
	p.press("Keep the state shown as a case")
	p.waitFor("document.querySelectorAll('.case-name').length === 6")
	p.enter("Name of case Case 6", "As it stands today")
	p.press("Show End of the trip")
	p.waitText("[data-pad=rear]", "left")
	p.waitText("[data-case='State shown'] [data-limit=rear]", "2 002 kg")
	p.press("Undo: Show")
	p.waitText("[data-pad=rear]", "over")

	p.waitText("[data-band=rear]", "Over its limit of 2 100 kg with a probability of 98")
	p.waitText("[data-band=rear] [data-weigh=food-for-nine-nights]", "the band becomes")
	p.waitText("[data-turn-point]", "comes within its limit")
	p.press("Water tank is used earlier")
	p.waitFor("document.querySelector('.curve text:nth-of-type(1)') !== null && [...document.querySelectorAll('.aims li')][0].textContent.startsWith('Water tank')")
	p.press("Remove case As it stands today")
	p.waitFor("document.querySelectorAll('.case-name').length === 5")
	p.saved()

	// The wagon is the light-nosed one when the bed is full of gear; the pickup leans left.
	p.visit(s.url + "/jobs/queen-bees/load/cases")
	p.waitText("[data-case=honey]", "within")
	p.stage("Layout")
	p.clickOn("document.querySelector('#bench-tab-rules')")
	p.enter("On the front axle", "0.5")
	p.tells("front-light", true)
}

// TestFiguresAreAccountedForAndHandedOver opens a figure into where it comes from,
// takes it along, and looks at the customer's card as a phone shows it.
func TestFiguresAreAccountedForAndHandedOver(t *testing.T) {
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/load")
	p.press("Rear axle")
	p.waitText("[data-formula='Rear axle']", "R = Σ m x / L")
	kg, _, _ := strings.Cut(plainSpaces(p.text(".account-sum td:last-child")), ".")
	assert.NotEmpty(t, kg)
	p.waitText(".account", "licensed or certified people")
	for _, format := range []string{"csv", "xlsx", "pdf"} {
		assert.Greater(t, len(s.get("/api/jobs/queen-bees/account."+format)), 1000, format)
	}
	assert.Contains(t, string(s.get("/api/jobs/queen-bees/account.csv")), "Fridge")

	p.press("To the load")
	p.press("Card")
	p.waitText("[data-room='Bed under the topper']", "is reached")
	p.waitText(".loading-card", "Before driving off")
	printed, err := chromedp.Run(p.ctx, chromedp.PrintToPDF(chromedp.PDFPreferCSSPageSize()))
	require.NoError(t, err)
	assert.Regexp(t, `/Count 1\b`, string(printed), "the card prints on one page")
	p.do(chromedp.EmulateViewport(390, 800))
	p.waitFor("document.querySelector('.loading-card').getBoundingClientRect().right <= 390")
}
