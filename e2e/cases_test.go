package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestTheRearAxleIsMendedByWhatIsOffered brings the first demo job within its
// limits by the offered changes only, and undo takes it back.
func TestTheRearAxleIsMendedByWhatIsOffered(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.waitText("[data-rule=rear-over]", "Rear axle 28.9 kg over")
	p.press("More ways to mend it")
	p.waitFor("document.querySelectorAll('[data-mend]').length >= 3")
	after := p.text("[data-mend] [data-after=rear]")
	assert.Contains(t, plainSpaces(after), "2 129 kg →")
	p.press("Try it:")
	p.waitText(".trial-bar", "Mends: Rear axle 28.9 kg over")
	assert.Contains(t, plainSpaces(after), plainSpaces(p.pad("rear", "load")), "it does what it said")
	assert.Equal(t, "2 129 kg", plainSpaces(p.text("[data-pad=rear] [data-figure=before] .figure")))
	assert.Equal(t, "Keep it", js[string](p, "document.activeElement.textContent"), "the keyboard goes on from here")
	p.saved()
	p.keys(kb.Escape)
	p.waitText("[data-pad=rear]", "28.9 kg over")
	assert.Contains(t, js[string](p, "document.activeElement.ariaLabel"), "Try it", "and comes back")
	p.press("Try it:")
	p.see(".trial-bar")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=rear-over]') && !document.querySelector('.trial-bar')")
	p.saved()
	p.keys("z", 2)
	p.waitText("[data-pad=rear]", "28.9 kg over")
}

// TestCasesConfidenceAndUsingUp keeps a state as a case, shows another, and sees
// how sure it is and what changes as tanks empty.
func TestCasesConfidenceAndUsingUp(t *testing.T) {
	t.Parallel()
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
	p.waitFor("document.querySelector('.curve text:nth-of-type(1)') !== null && [...document.querySelectorAll('.aims " +
		"li')][0].textContent.startsWith('Water tank')")
	p.press("Remove case As it stands today")
	p.waitFor("document.querySelectorAll('.case-name').length === 5")
	p.saved()

}

// TestACaseMaySetWhoComesAlongAndHowItStands changes a case where it stands: who is
// at home, who sits where, what lies elsewhere; and shows it.
func TestACaseMaySetWhoComesAlongAndHowItStands(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/load/cases")
	// The wagon is light in front when the school run follows a night's work.
	p.waitText("[data-case=straight] [data-limit=front-share]", "short")
	p.waitText("[data-case=school] [data-limit=front-share]", "within")
	p.waitText("[data-case=night] [data-limit=seats]", "2")

	p.press("Change Recording night")
	p.choose("Assistant in this case", "At home")
	p.waitText("[data-case=night] [data-limit=seats]", "1")
	p.choose("Driver in this case", "Second row left")
	p.waitFor("document.querySelector('[data-case=night] [data-limit=front] a').textContent !== " +
		"document.querySelector('[data-case=\"State shown\"] [data-limit=front] a').textContent")
	p.choose("Driver in this case", "As planned")
	p.enter("Water cell in this case", "2*5")
	before := p.text("[data-case=night] [data-limit=gross] a")
	p.choose("Stance of this case", "School run")
	p.waitFor("document.querySelector('[data-case=night] [data-limit=gross] a').textContent !== " + quoted(before))
	p.press("Show Recording night")
	p.waitText("[data-case='State shown'] [data-limit=seats]", "1")
	p.saved()
	p.press("Undo: Show")
	p.waitText("[data-case='State shown'] [data-limit=seats]", "2")
	p.press("Done")
	assert.Zero(t, p.count(".case-sheet"))

	// The pickup leans left with the honey aboard; its figure leads to the formula.
	p.visit(s.url + "/jobs/queen-bees/load/cases")
	p.waitText("[data-case=honey] [data-limit=sides]", "over")
	p.waitText("[data-case=out] [data-limit=sides]", "within")
	p.clickOn("document.querySelector('[data-case=honey] [data-limit=sides] a')")
	p.waitText(".account", "Back with honey, alone, no trailer.")
	p.waitText(".asked", "Left and right wheels")
	for _, format := range []string{"csv", "xlsx", "pdf"} {
		assert.NotEqual(t, s.get("/api/jobs/queen-bees/account."+format),
			s.get("/api/jobs/queen-bees/account."+format+"?state=case:honey"), format)
	}
}

// TestBalanceIsMended brings weight back to the front, and load onto the trailer.
func TestBalanceIsMended(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/layout")
	p.see("[data-component]")
	p.clickOn("document.querySelector('#bench-tab-rules')")
	p.enter("On the front axle", "0.45")
	p.stage("Load")
	p.waitText("[data-rule=front-light]", "Front axle carries only 44 %")
	p.click("[data-rule=front-light] .mend > button")
	p.waitFor("document.querySelectorAll('[data-mend]').length > 0")
	p.waitText(".mends", "trailer")
	p.press("Try it: Load the trailer further back")
	p.waitFor("document.querySelector('.trial-bar .hint')?.textContent.includes('Front axle carries only')")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=front-light]')")
	p.saved()

	// A thing that rides on the trailer is on no axle of the pickup.
	p.clickOn("document.querySelector('[data-row=toolbox] th')")
	p.clickOn("document.querySelector('#side-tab-item')")
	combination := p.pad("combination", "load")
	p.tick("Toolbox rides on the trailer")
	p.waitText("[data-row=toolbox]", "on the trailer")
	p.waitText("[data-row=toolbox] [data-cell=rear]", "0.0")
	assert.Equal(t, combination, p.pad("combination", "load"), "together they weigh the same")
}

// TestFiguresAreAccountedForAndHandedOver opens a figure into where it comes from,
// takes it along, and looks at the customer's card as a phone shows it.
func TestFiguresAreAccountedForAndHandedOver(t *testing.T) {
	t.Parallel()
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
