package e2e

import (
	"archive/zip"
	"bytes"
	"encoding/xml"
	"strings"
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestPowerOfTheFirstDemoJob reads the days, makes the evening longer by key and by hand,
// and sees the line of the battery fall; undo brings it back.
func TestPowerOfTheFirstDemoJob(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.stage("Power")
	p.waitText("[data-lowest]", "62 %")
	p.waitText("[aria-label='Figures of House battery']", "nights without sun")
	p.see("svg.course .course-band")
	before := p.text("tr[data-thing=kettle] [data-energy]")
	assert.Contains(t, plainSpaces(before), "26.6 Ah")

	js[any](p, "document.querySelector(\"[aria-label='Kettle ends']\").focus()")
	for range 3 {
		p.keys(kb.ArrowRight)
	}
	p.waitText("tr[data-thing=kettle] [data-energy]", "66.6 Ah")
	p.saved()
	p.waitFor("!document.querySelector('[data-lowest]').textContent.includes('62')")
	p.keys("z", 2)
	p.waitText("tr[data-thing=kettle] [data-energy]", "26.6 Ah")
	p.waitText("[data-lowest]", "62 %")

	p.drag("document.querySelectorAll(\"tr[data-thing=kettle] [aria-label='Kettle ends']\")[1]", 30, 0)
	p.waitFor("!document.querySelector('tr[data-thing=kettle] [data-energy]').textContent.includes('26.6')")
	p.saved()
	p.press("Undo: Hours of Kettle")
	p.waitText("tr[data-thing=kettle] [data-energy]", "26.6 Ah")
}

// TestPowerOfAJobMadeFromNothing starts with an empty job: what has a plug comes in by one
// press, a battery is chosen and is on the axles, it runs out in a sentence with numbers, a
// way to mend is tried and kept, and every wire is proposed.
func TestPowerOfAJobMadeFromNothing(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	p.typeInto("Name of the new job", "Reed flat")
	p.choose("Vehicle to start from", "Dual-cab with tub")
	p.press("Make the job")
	p.stage("Brief")
	p.enter("Nights between services", "6")
	p.stage("Power")
	p.waitText(".stage-forms", "No battery is planned yet")
	p.press("Bring in what has a plug")
	p.waitText(".notice", "Nothing with a plug is left")

	p.putIn("Choose a battery", "Lithium battery 50 Ah")
	p.waitFor("document.querySelector('[aria-label=\"Batteries\"]')?.textContent.includes('usable')")
	gross := plainSpaces(p.pad("gross", "load"))
	p.putIn("Choose a load", "Chest fridge 50 L")
	p.waitFor("document.querySelector('tr[data-thing] [data-energy]')?.textContent.includes('Wh')")
	p.waitFor("document.querySelector('[data-pad=gross] [data-figure=load]') && " +
		quoted(gross) + " !== document.querySelector('[data-pad=gross] [data-figure=load]').textContent.replace(/\\s/g, ' ')")
	p.waitText("[data-rule=power-runs-out]", "It would take")
	p.waitText(".rail", "stop")
	p.clickOn("[...document.querySelectorAll('[data-rule=power-runs-out] button')].find(b => " +
		"b.textContent.includes('More ways'))")
	p.waitFor("document.querySelectorAll('[data-rule=power-runs-out] [data-mend]').length >= 3")
	p.clickOn("document.querySelector('[data-rule=power-runs-out] [data-mend] button')")
	p.see(".trial-bar")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=power-runs-out]')")
	p.saved()

	p.sheet("Board")
	p.waitFor("document.querySelectorAll('[aria-label=Circuits] tbody tr').length >= 2")
	p.clickOn("[...document.querySelectorAll('[aria-label=Circuits] button')].find(b => " +
		"b.textContent.startsWith('Chest'))")
	p.enter("Copper of Chest fridge 50 L", "0.75")
	p.enter("Length, one way of Chest fridge 50 L", "9 m")
	p.waitText("[data-rule=cable-drop]", "it may lose")
	p.waitFor("document.querySelector('[data-board][aria-label=\"Chest fridge 50 L, caution\"], " +
		"[data-board][aria-label=\"Chest fridge 50 L, stop\"]')")
	p.press("As proposed")
	p.waitFor("!document.querySelector('[data-rule=cable-drop]')")
}

// TestARuleOfTheLogicIsTried makes "only with the engine and the switch, never below 12.2 V"
// and tries it on the panel: it says what is on, and why.
func TestARuleOfTheLogicIsTried(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/power/logic")
	p.waitText("section.rule", "Second charger")
	p.enter("Voltage", "12.2")
	p.waitText("[data-tried=second-charger]", "OFF")
	p.waitText("[data-tried=second-charger]", "it is not so that the engine runs")
	p.clickOn("[...document.querySelectorAll('.flip')].find(b => b.textContent.startsWith('Engine'))")
	p.waitText("[data-tried=second-charger]", "ON")
	p.waitText("[data-tried=second-charger]", "the voltage of starting battery is at least 12.2 V")
	p.enter("Voltage of Starting battery to try", "12.1")
	p.waitText("[data-tried=second-charger]", "OFF")
	p.enter("Voltage of Starting battery to try", "12.6")
	p.clickOn("[...document.querySelectorAll('.flip')].find(b => b.textContent.startsWith('Second charger'))")
	p.waitText("[data-tried=second-charger]", "second charger is on")
	p.waitText("[data-tried=second-charger]", "OFF")

	p.putIn("Add a rule for", "Kettle")
	p.waitText(".stage-forms", "its line asks for nothing")
	p.waitText("[data-rule=logic-never-off]", "Kettle")
}

// TestASetIsAskedFor asks for the lightest set that lasts, tries it on the whole screen and
// puts it back.
func TestASetIsAskedFor(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/power/ask")
	p.waitText(".stage-forms", "9 nights at −2 °C to 36 °C")
	p.click(".ask-go button")
	p.waitFor("document.querySelectorAll('[data-set]').length >= 2")
	p.waitText("[aria-label='Sets that last']", "rear axle")
	p.waitText(".stage-forms", "by exact search")
	rear := plainSpaces(p.pad("rear", "load"))
	p.clickOn("document.querySelector('[data-set] button')")
	p.see(".trial-bar")
	p.waitFor(quoted(rear) +
		" !== document.querySelector('[data-pad=rear] [data-figure=load]').textContent.replace(/\\s/g, ' ')")
	p.press("Put it back")
	p.waitFor("!document.querySelector('.trial-bar')")
	assert.Equal(t, rear, plainSpaces(p.pad("rear", "load")))
}

// TestTheSheetsForAnElectrician downloads what an electrician is handed and opens each by a
// reader of its kind.
func TestTheSheetsForAnElectrician(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	pdf := s.get("/api/jobs/queen-bees/power.pdf")
	assert.True(t, bytes.HasPrefix(pdf, []byte("%PDF-")) && bytes.Contains(pdf, []byte("%%EOF")))
	csv := string(s.get("/api/jobs/queen-bees/power.csv"))
	assert.Contains(t, csv, "AWG", "in the units of the job")
	assert.Contains(t, csv, "Incubator")
	book, err := zip.NewReader(bytes.NewReader(s.get("/api/jobs/queen-bees/power.xlsx")),
		int64(len(s.get("/api/jobs/queen-bees/power.xlsx"))))
	require.NoError(t, err)
	assert.Greater(t, len(book.File), 8)
	decoder := xml.NewDecoder(bytes.NewReader(s.get("/api/jobs/queen-bees/board.svg")))
	texts := 0
	for {
		token, err := decoder.Token()
		if err != nil {
			assert.ErrorContains(t, err, "EOF", "every token of the drawing can be read")
			break
		}
		if start, is := token.(xml.StartElement); is && strings.EqualFold(start.Name.Local, "text") {
			texts++
		}
	}
	assert.Greater(t, texts, 20)
}

// TestTheMonitorStandsBesideThePlan connects the simulated monitor that runs beside the demo,
// sees its figures and where they part from the plan, and a port where nobody answers says so.
func TestTheMonitorStandsBesideThePlan(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/power/monitor")
	p.waitText(".stage-forms", "A simulated monitor runs there")
	p.press("Connect")
	p.waitText("[data-monitor-charge]", "%")
	p.waitText("[data-levels]", "Water")
	p.waitText("[data-beside]", "plan")
	p.press("Disconnect")
	p.waitFor(button("Connect"))
	p.enter("Address of the monitor", "127.0.0.1:1")
	p.waitText("[role=alert]", "such as 127.0.0.1:8350")
	p.enter("Address of the monitor", "192.0.2.7:8350")
	p.waitText("[role=alert]", "is not on this machine")
	p.visit(s.url + "/jobs/river-gauging/power/monitor")
	p.waitText("[data-beside]", "plan")
}

// TestGearWithAPlugComesIn says in the brief what a thing draws; one press makes it a load.
func TestGearWithAPlugComesIn(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/brief/gear")
	p.press("Add gear")
	p.enter("Name of New thing", "Drone charger")
	p.press("Add a note or a plug on Drone charger")
	p.enter("Watts of the plug of Drone charger", "65")
	p.enter("Hours a day of Drone charger", "2")
	p.stage("Power")
	p.press("Bring in what has a plug")
	p.waitText(".notice", "Drone charger")
	p.waitText("[aria-label=Loads]", "")
	p.waitFor("[...document.querySelectorAll('[aria-label=Loads] input')].some(i => i.value === 'Drone charger')")
}
