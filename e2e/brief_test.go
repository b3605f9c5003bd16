package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// implied waits for what the brief implies and its reason.
func (p *page) implied(id, figure, reason string) {
	p.t.Helper()
	p.waitText("[data-implied="+id+"] dt", figure)
	p.waitText("[data-implied="+id+"] dd", reason)
}

// TestBriefFromNothing fills a brief and sees, with reasons, what follows.
func TestBriefFromNothing(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.choose("Vehicle to start from", "Dual-cab with tray")
	p.enter("Name of the new job", "Two at the salt lake")
	p.waitText(".implied", "Say who travels")

	p.press("Add person")
	p.enter("Name of New traveller", "Wilga")
	p.enter("Mass of Wilga", "91")
	p.enter("Body height of Wilga", "1840")
	p.enter("Shoulder width of Wilga", "500")
	p.press("Add person")
	p.enter("Name of New traveller", "Aster")
	p.enter("Mass of Aster", "172 lb")
	p.enter("Body height of Aster", "5'6\"")
	p.enter("Nights between services", "4")
	p.enter("Driven on a usual day", "100")
	p.enter("Between fuel", "500")
	p.implied("people", "169 kg", "2 people 169 kg, as they travel.")
	p.implied("water", "66 L", "(14 L a day for 2 people) × 4 nights between services + 10 L reserve.")
	p.implied("fuel", "86 L", "500 km × 13 L/100 km × 1.1 for the surfaces + 15 L reserve.")
	p.implied("bed-length", "1 940 mm", "Wilga and 100 mm beyond.")
	p.implied("rim", "1 257 mm", "Aster, 75 % of body height")
	p.waitText("[data-figure=left-for-fitout]", "1 015 kg")
	p.waitText("[data-rule=fuel-short]", "Tanks 11 L short for the longest way")

	// Water half way, and heat: each says what it changed.
	p.enter("Between water", "150")
	p.implied("water", "38 L", "× 2 nights between water, 150 km at 100 km a day")
	p.enter("Hottest day", "100 °F")
	p.implied("water", "48 L", "drinking × 1.5 for the heat")
	p.choose("They wash", "Not on the trip")
	p.implied("water", "40 L", "(15 L a day for 2 people)")

	p.enter("Most height", "1.8 m")
	p.waitText("[data-rule=envelope-height]", "Height 40 mm over")
	p.press("Put 2 aboard")
	p.waitFor("!(" + button("Put 2 aboard") + ")")
	p.saved()

	// What cannot be read stays in its field; nothing is lost.
	p.sheet("Gear")
	p.press("Add gear")
	p.enter("Name of New thing", "Swag")
	p.enter("Count of Swag", "2")
	p.enter("Mass of Swag", "heavy")
	p.waitText(".refusal", "Mass of Swag:")
	assert.Equal(t, "heavy", p.value("Mass of Swag"))
	p.enter("Mass of Swag", "15.5")
	p.tick("Swag: needs a dry place")
	p.choose("Use of Swag", "Daily")
	p.implied("gear", "31 kg", "1 thing on the list.")
	p.press("Add later")
	p.enter("Mass of New thing", "12")
	p.implied("later", "12 kg", "spoken for")
	p.enter("Count of Swag", "0")
	p.waitText(".notice-trouble", "brief.gear[0].count (Swag)")
	p.press("Take back: Count of Swag")
	p.saved()

	p.visit(js[string](p, "location.href"))
	p.waitFor(field("Mass of Swag") + "?.value === '15.5'")
}

// TestWaysAreWeighedForTheBrief records a decision, a reason, and what stays open.
func TestWaysAreWeighedForTheBrief(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/brief/ways")
	p.see("[data-school=heat]")
	assert.GreaterOrEqual(t, p.count("[data-school]"), 30, "every judgement call of the trade")
	p.waitText("[data-school=heat] .school-foot", "For this brief: Diesel or petrol heater. Sleeping inside at −6 °C.")
	p.waitText("[data-school=fixing] .way-chosen", "Clamped and lifted out")
	p.waitText("[data-school=fixing]", "Sleeping platform has to come out in 10 minutes.")
	p.waitText(".sub-nav .active", "Ways of doing it2")

	p.click("[data-school=heat] [data-way=none] input")
	p.enter("Why Heat", "A warm bag; the fan would be on the recording")
	p.waitText(".sheet-head .hint", "3 of 34 decided")
	p.press("Undecided")
	p.waitFor("!document.querySelector('[data-school=heat]')")
	p.press("All")
	p.saved()
	p.visit(js[string](p, "location.href"))
	p.waitFor(field("Why Heat") + "?.value.startsWith('A warm bag')")
	p.clickOn("document.querySelector('[data-school=heat] .school-foot input')")
	p.waitText(".sheet-head .hint", "2 of 34 decided")

	// The case is made anew when the brief changes.
	p.sheet("People and trip")
	p.enter("Coldest night", "12")
	p.sheet("Ways")
	p.waitText("[data-school=heat] .school-foot", "For this brief: None. The coldest night has 12 °C.")
	p.saved()
}

// TestABriefInUnitsOfBothKinds reads a metric fridge into a US job.
func TestABriefInUnitsOfBothKinds(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/brief/gear")
	p.see("[data-thing=fridge]")
	p.enter("Mass of Fridge, metric, from the last truck", "23.6 kg")
	p.enter("Length of Fridge, metric, from the last truck", "712 mm")
	p.waitFor(field("Length of Fridge, metric, from the last truck") + ".value === '28 1/16'")
	p.waitFor(field("Mass of Fridge, metric, from the last truck") + ".value === '52.03'")
	p.saved()
	exported := string(s.get("/api/jobs/queen-bees/export"))
	assert.Contains(t, exported, `"length": 712,`, "kept as it was measured, not as it is shown")
	assert.Contains(t, exported, `"mass": 23.6,`)
	p.sheet("People and trip")
	p.waitFor(field("Between fuel") + "?.value === '280'")
	p.enter("Between fuel", "500 km")
	p.waitFor(field("Between fuel") + ".value === '310.69'")
	p.enter("Fuel use, loaded, sealed road", "16 l/100km")
	p.waitFor(field("Fuel use, loaded, sealed road") + ".value === '14.7'")
	p.saved()
}
