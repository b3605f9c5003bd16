package e2e

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"testing"
	"time"

	"zaino/internal/core/fitout"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestScreenAndCommandLineAgree reads the pads and the ledger from the page and
// holds them against `zaino assess` on the exported job.
func TestScreenAndCommandLineAgree(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	file := filepath.Join(t.TempDir(), "job.zaino.json")
	require.NoError(t, os.WriteFile(file, s.get("/api/jobs/river-gauging/export"), 0o600))
	out, err := exec.Command(program, "assess", file).Output()
	var exit *exec.ExitError
	require.ErrorAs(t, err, &exit, "a job over its rear axle stops")
	assert.Equal(t, 2, exit.ExitCode())
	var assessed struct {
		Pads []struct {
			ID    string
			Load  float64
			Limit float64
			Left  float64
		}
		Items []struct {
			ID          string
			Mass        float64
			Front, Rear float64
		}
		Groups   []struct{ Mass float64 }
		Findings []struct{ Rule, Title string }
	}
	require.NoError(t, json.Unmarshal(out, &assessed))

	p := open(t, s.url+"/jobs/river-gauging")
	for _, pad := range assessed.Pads {
		assert.Equal(t, kg(pad.Load), p.pad(pad.ID, "load"))
		assert.Equal(t, kg(pad.Limit), p.pad(pad.ID, "limit"))
		left := kg(pad.Left) + " left"
		if pad.Left < 0 {
			left = kg(-pad.Left) + " over"
		}
		assert.Equal(t, left, p.pad(pad.ID, "left"))
	}
	require.Equal(t, len(assessed.Items), p.countWhenThere("[data-row]"))
	require.Equal(t, len(assessed.Items), p.count("[data-item]"))
	for _, item := range assessed.Items {
		row := fmt.Sprintf("[data-row=%q]", item.ID)
		if cell := p.text(row + " [data-cell=rear]"); cell != "–" {
			assert.Equal(t, tenths(item.Rear), cell, item.ID)
			assert.Equal(t, tenths(item.Front), p.text(row+" [data-cell=front]"), item.ID)
		}
	}
	require.Equal(t, len(assessed.Findings), p.count("[data-rule]"))
	for i, finding := range assessed.Findings {
		assert.Contains(t, p.text(fmt.Sprintf(".finding:nth-child(%d)", i+1)), plainSpaces(finding.Title))
	}
}

// kg writes a mass as the pads do.
func kg(value float64) string {
	decimals := 0
	if value < 100 {
		decimals = 1
	}
	text := strings.TrimSuffix(strconv.FormatFloat(value, 'f', decimals, 64), ".0")
	if len(text) > 3 && decimals == 0 {
		text = text[:len(text)-3] + " " + text[len(text)-3:]
	}
	return text + " kg"
}

func tenths(value float64) string {
	text := strconv.FormatFloat(value, 'f', 1, 64)
	if text == "-0.0" {
		text = "0.0"
	}
	return strings.Replace(text, "-", "−", 1)
}

func TestDragNudgeTypeAndTakeBack(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging")
	before := p.pad("rear", "load")
	require.Equal(t, "2 129 kg", before)
	rods := "[data-item=drill-rods]"
	station := func() string { return p.value("Station of Drill rods") }

	// By mouse: the pads follow before the button is let go.
	p.clickOn("document.querySelector('[data-row=drill-rods] th')")
	x, y := p.grab("drill-rods")
	p.do(chromedp.MouseEvent(chromedp.MousePressed, x, y, chromedp.ButtonLeft))
	for _, dx := range []float64{-8, -30, -70} {
		p.do(chromedp.MouseEvent("mouseMoved", x+dx, y, chromedp.ButtonLeft))
	}
	p.waitFor("!document.querySelector('[data-pad=rear] [data-figure=load]').textContent.includes('129')")
	assert.Equal(t, "saved", js[string](p, "document.querySelector('[data-save]').dataset.save"),
		"nothing is saved while it is dragged")
	p.do(chromedp.MouseEvent("mouseReleased", x-70, y, chromedp.ButtonLeft))
	p.saved()
	dragged := station()
	assert.NotEqual(t, "3136", dragged)
	assert.Equal(t, "Undo: Move Drill rods",
		js[string](p, "document.querySelector('.top-actions button').getAttribute('aria-label')"))

	// By keyboard: 10 mm, 100 mm with Shift, several steps are one gesture.
	js[any](p, "document.querySelector('"+rods+"').focus()")
	p.keys(kb.ArrowLeft)
	p.keys(kb.ArrowLeft)
	p.keys(kb.ArrowLeft, chromedp.ModifierShift)
	mm, err := strconv.Atoi(dragged)
	require.NoError(t, err)
	p.waitFor(field("Station of Drill rods") + ".value === '" + strconv.Itoa(mm-120) + "'")
	p.saved()

	// By typing a sum.
	p.enter("Station of Drill rods", "3136-1200")
	p.waitFor(field("Station of Drill rods") + ".value === '1936'")
	p.waitPad("rear", "load", "2 111 kg")

	// Everything is taken back in turn, and made again.
	p.press("Undo: Station of Drill rods")
	p.waitFor(field("Station of Drill rods") + ".value === '" + strconv.Itoa(mm-120) + "'")
	p.press("Undo: Move Drill rods")
	p.waitFor(field("Station of Drill rods") + ".value === '" + dragged + "'")
	p.keys("z", chromedp.ModifierCtrl)
	p.waitFor(field("Station of Drill rods") + ".value === '3136'")
	p.waitPad("rear", "load", before)
	p.keys("z", chromedp.ModifierCtrl, chromedp.ModifierShift)
	p.waitFor(field("Station of Drill rods") + ".value === '" + dragged + "'")
	p.saved()

	// A reload and another browser show the same.
	p.waitFor("!document.querySelector('[data-pad=rear] [data-figure=load]').textContent.includes(" +
		quoted(strings.TrimSuffix(before, " kg")[2:]) + ")")
	rear := p.pad("rear", "load")
	p.visit(s.url + "/jobs/river-gauging/load")
	p.waitPad("rear", "load", rear)
	assert.Equal(t, dragged, station())
	other := open(t, s.url+"/jobs/river-gauging")
	other.waitPad("rear", "load", rear)
}

// grab waits for a spot where an item is on top and can be taken with the mouse.
func (p *page) grab(id string) (x, y float64) {
	p.t.Helper()
	var spots []float64
	for until := time.Now().Add(patience); len(spots) == 0 && time.Now().Before(until); time.Sleep(25 * time.Millisecond) {
		spots = p.spots(id)
	}
	require.Len(p.t, spots, 2, "no part of %s is on top", id)
	return spots[0], spots[1]
}

func (p *page) spots(id string) []float64 {
	p.t.Helper()
	return js[[]float64](p, fmt.Sprintf(`(() => {
		const g = document.querySelector('[data-item=%s]'), r = g.getBoundingClientRect();
		for (let i = 1; i < 40; i++) for (let k = 1; k < 10; k++) {
			const x = r.x + r.width * i / 40, y = r.y + r.height * k / 10;
			if (g.contains(document.elementFromPoint(x, y))) return [x, y];
		}
		return [];
	})()`, id))
}

func TestMeasuresWithUnitsAndSums(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees")
	p.waitText("[data-pad=gross]", "GVWR")
	p.waitText("[data-pad=combination]", "GCWR")
	p.enter("Content of Water tank", "22 gal")
	p.waitFor(field("Content of Water tank") + ".value === '22'")
	p.enter("Content of Water tank", "20 L * 2")
	p.waitFor(field("Content of Water tank") + ".value === '10.57'")
	p.enter("Content of Water tank", "30 gal")
	p.waitFor(field("Content of Water tank") + ".value === '30'")
	p.enter("Station of Fridge", `10' 6 1/2"`)
	p.waitFor(field("Station of Fridge") + ".value === '126 1/2'")
	p.saved()

	// What cannot be read stays in the field, with the reason; Escape puts back.
	p.enter("Mass of Fridge", "12 mm")
	p.waitText("[role=alert]", `"mm" is not a unit of mass; accepted are`)
	assert.Equal(t, "12 mm", p.value("Mass of Fridge"))
	p.keys(kb.Escape)
	p.waitFor(field("Mass of Fridge") + ".value === '52'")

	// Undo while a number is being typed is the field's own.
	p.typeInto("Mass of Fridge", "61")
	p.keys("z", chromedp.ModifierCtrl)
	p.keys(kb.Escape)
	assert.Equal(t, "126 1/2", p.value("Station of Fridge"))

	// What the core refuses is said with its name and range, and can be taken back.
	p.enter("Mass of Fridge", "99 t")
	p.waitText(".notice-trouble", "mass (Fridge): 99000 kg was given; accepted is a number from 0 to 20000 kg")
	assert.Contains(t, p.text("[data-save]"), "Not saved")
	p.see(".pads-stale") // figures of an older state do not pass for this one's
	assert.Contains(t, p.text(".notice-trouble"), "the last state that could be counted")
	p.press("Take back: Mass of Fridge")
	p.saved()
	p.waitFor("!document.querySelector('.pads-stale')")
	assert.Equal(t, "52", p.value("Mass of Fridge"))

	// A name is undone where it stands, and an emptied one comes back.
	p.enter("Name of Fridge", "Cool box")
	p.clickOn(field("Name of Cool box"))
	p.keys("z", chromedp.ModifierCtrl)
	p.waitFor(field("Name of Fridge"))
	js[any](p, field("Name of Fridge")+".select()")
	p.keys(kb.Backspace)
	p.keys(kb.Enter)
	p.waitFor(field("Name of Fridge") + ".value === 'Fridge'")
	p.saved()
}

func TestFixesMendTheRearAxle(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging")
	p.waitText("[data-rule=rear-over]", "Rear axle 28.9 kg over")
	p.press("Rear axle 28.9 kg over")
	p.see(".axle.state-over.pointed") // the finding shows what it is about
	p.press("Less water than the brief needs: carry 25 L less in water tank")
	p.press("Keep it")
	p.waitText("[data-pad=rear]", "left")
	assert.Zero(t, p.count("[data-rule=rear-over]"))
	assert.Equal(t, "25", p.value("Content of Water tank"))
	p.press("Undo: Less water")
	p.waitText("[data-rule=rear-over]", "Rear axle 28.9 kg over")
}

func TestLedgerSortsGroupsAndRemoves(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist")
	p.see("[data-row=mattress]")
	assert.Contains(t, p.text("[data-group=Furniture]"), "6 items")
	inOrder := func(key string) []string {
		return js[[]string](p,
			"[...document.querySelectorAll('tbody[aria-label=\"Sound\"] "+key+"')].map(e => e.value ?? e.textContent)")
	}
	p.press("Mass kg")
	masses := inOrder("td:nth-child(2) input")
	p.press("Mass kg")
	assert.Equal(t, reversed(masses), inOrder("td:nth-child(2) input"))
	p.press("Item")
	assert.IsIncreasing(t, inOrder("th input"))

	p.press("Remove Mattress")
	p.waitFor("!document.querySelector('[data-row=mattress]')")
	p.waitText("[data-group=Furniture]", "5 items")
	p.keys("z", chromedp.ModifierCtrl)
	p.see("[data-row=mattress]")
	p.saved()
}

func reversed(list []string) []string {
	back := make([]string, len(list))
	for i, s := range list {
		back[len(list)-1-i] = s
	}
	return back
}

// TestStateOfLoading switches what is aboard: the school run takes the bed out.
func TestStateOfLoading(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist")
	before := p.pad("gross", "load")
	p.press("State")
	p.choose("Use", "School run")
	p.waitFor("!document.querySelector('[data-pad=gross] [data-figure=load]').textContent.includes(" +
		quoted(strings.TrimSuffix(before[2:], " kg")) + ")")
	assert.Equal(t, "–", p.text("[data-row=mattress] [data-cell=rear]"))
	assert.NotEqual(t, "–", p.text("[data-row=first-child] [data-cell=rear]"))
	p.press("Figures")
	p.waitText("[data-panel=figures]", "Side tip angle lost by the load")
	p.waitText(".worst", "Most on rear axle")
	p.saved()
}

func TestReadItemsFromCSV(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist")
	file := filepath.Join(t.TempDir(), "gear.csv")
	require.NoError(t, os.WriteFile(file,
		[]byte("\ufeffItem;Mass (lb);Station "+
			"(mm);Group\nKettle;2,5;300;Kitchen\nAnvil;heavy;100;Tools\nChair;9;-1200;Camp\n"), 0o600))
	rows := p.countWhenThere("[data-row]")
	p.press("Read CSV")
	p.upload("CSV file", file)
	p.waitText("[data-line='3']", "mass: a number is missing")
	p.waitText("[data-line='2']", "1.1 kg")
	p.press("Back to the ledger")
	assert.Equal(t, rows, p.countWhenThere("[data-row]"), "nothing is imported until confirmed")

	p.press("Read CSV")
	p.upload("CSV file", file)
	p.press("Add 2 items")
	p.waitFor("document.querySelectorAll('[data-row]').length === " + strconv.Itoa(rows+2))
	p.saved()
	csv := string(s.get("/api/jobs/sound-recordist/items.csv"))
	assert.Contains(t, csv, "Kettle,Kitchen,1.133980925")
	assert.Regexp(t, `Chair,Camp,4\.0823313\d*,-1200,`, csv, "in the job's datum, the rear axle")
}

func (p *page) countWhenThere(selector string) int {
	p.t.Helper()
	p.see(selector)
	return p.count(selector)
}

// TestWhatVariesIsMadeOnTheScreen makes a choice and a requirement, and is told
// of a circle.
func TestWhatVariesIsMadeOnTheScreen(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging")
	p.see("[data-row]")
	p.press("State")
	p.click(".varies summary")
	p.press("Add choice")
	p.enter("Name of choice New choice", "Cooking")
	p.enter("Name of First in Cooking", "Gas stove")
	p.saved()
	p.choose("Presence of Stove and gas bottle", "Cooking: Gas stove")
	p.waitFor("document.querySelector('[data-row=stove-and-gas-bottle] [data-cell=rear]').textContent === '–'")
	p.choose("Cooking", "Gas stove")
	p.waitFor("document.querySelector('[data-row=stove-and-gas-bottle] [data-cell=rear]').textContent !== '–'")

	// The motor needs the raft already; the raft cannot need the motor.
	p.choose("What Folded raft needs", "needs Outboard motor")
	p.waitText(".notice-trouble", "(Folded raft): a circle of requirements was given")
	p.press("Take back: What Folded raft needs")
	p.saved()
	p.choose("What Drill rods needs", "needs Gas stove")
	p.choose("Cooking", "None")
	p.waitFor("document.querySelector('[data-row=drill-rods] [data-cell=rear]').textContent === '–'")

	p.press("Remove choice Cooking")
	p.waitFor("document.querySelector('[data-row=stove-and-gas-bottle] [data-cell=rear]').textContent !== '–'")
	p.saved()
}

// A ledger of very many things draws those in sight; each is reached, chosen and edited as in a short one, and printed.
func TestALongLedgerDrawsWhatIsInSight(t *testing.T) {
	t.Parallel()
	job := many(t, 300)
	s := start(t, "serve", filepath.Join(t.TempDir(), "jobs.db"), "127.0.0.1:0")
	data, err := fitout.Encode(&job)
	require.NoError(t, err)
	response, err := http.Post(s.url+"/api/jobs/import", "application/json", bytes.NewReader(data))
	require.NoError(t, err)
	response.Body.Close()
	p := open(t, s.url+"/jobs/"+job.ID+"/load")
	p.see("[data-row]")
	rows := "document.querySelectorAll('[data-row]').length"
	assert.Less(t, js[int](p, rows), 80)
	assert.Equal(t, "ascending", js[string](p, "document.querySelector('.ledger .col-station').ariaSort"))
	last := "document.querySelector('.ledger .scroll')"
	js[any](p, last+".scrollTo(0, "+last+".scrollHeight)")
	p.waitFor("[...document.querySelectorAll('[data-row]')].some(r => +r.ariaRowIndex >= +document.querySelector('.ledger table').ariaRowCount)")
	assert.Less(t, js[int](p, rows), 80)
	// What is chosen in the drawing comes into sight.
	js[any](p, "document.querySelector('[data-item=more-250]').focus()")
	p.keys(kb.Enter)
	p.waitFor(`(() => { const r = document.querySelector('[data-row=more-250]')?.getBoundingClientRect(),
		f = document.querySelector('.ledger .scroll').getBoundingClientRect(); return r && r.top >= f.top && r.bottom <= f.bottom + 1 })()`)
	p.waitFor("document.querySelector('[data-row=more-250]').classList.contains('selected')")
	js[any](p, "dispatchEvent(new Event('beforeprint'))")
	p.waitFor(rows + " === 300")
	js[any](p, "dispatchEvent(new Event('afterprint'))")
	p.waitFor(rows + " < 80")
}
