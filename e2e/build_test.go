package e2e

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// TestTheCutListInHand: Build on the first demo job shows sheets and their pieces; a piece is chosen by mouse and by
// key and shows dark in its part; the saw and a thinner panel re-nest, and mass and axles follow; everything is
// there to take along.
func TestTheCutListInHand(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	p.stage("Build")
	p.waitText(".cut-group h3", "12 pieces")
	p.waitFor("document.querySelectorAll('.sheet-piece').length === 40")
	p.waitFor("!document.querySelector('progress')")

	p.clickOn("document.querySelector('[data-mark=\"4-01\"]')")
	p.see(".sheet-piece.is-chosen[data-mark='4-01']")
	p.see(".part-picture .solid-dark")
	p.waitText("section[aria-label='4-01 top of Drawer unit left']", "Panels of the part")
	js[any](p, "document.querySelector('[data-mark=\"4-02\"]').focus()")
	p.keys(kb.Enter)
	p.see(".sheet-piece.is-chosen[data-mark='4-02']")
	p.tick("Order of cuts")
	p.see(".sheet-cut")

	// 12 mm becomes 9 mm: mass, axles, sheets, cost and findings follow at once.
	rear := p.pad("rear", "load")
	p.enter("Panels of Drawer unit left", "9")
	p.waitFor("document.querySelector('[data-pad=rear] [data-figure=load]').textContent !== " + quoted(rear))
	p.waitFor("!document.querySelector('section[aria-label=\"Plywood 12 mm\"]')")
	p.waitText("section[aria-label='Plywood 9 mm'] h3", "28 pieces")
	p.press("Undo: Panels of Drawer unit left")
	p.see("section[aria-label='Plywood 12 mm']")

	// The saw: what cannot be read stays with the reason, what can is cut with.
	p.enter("Saw takes", "thick")
	p.see("[role=alert].refusal")
	p.enter("Saw takes", "5 mm")
	p.waitFor("document.querySelector(\"[aria-label='Saw takes']\").value === '5'")
	p.saved()

	for path, begins := range map[string]string{"cut.pdf": "%PDF", "build.xlsx": "PK", "cut.csv": "Cut list", "cut.svg": "<svg", "buy.pdf": "%PDF",
		"buy.csv": "Purchase list", "quote.pdf": "%PDF", "assembly.pdf": "%PDF", "tags.pdf": "%PDF", "steps.pdf": "%PDF", "prices.csv": "id,what",
		"labels.pdf?from=" + s.url: "%PDF", "template.pdf?of=4-10&paper=a4": "%PDF", "template.pdf?of=canopy-left&paper=a3": "%PDF"} {
		data := s.get("/api/jobs/river-gauging/" + path)
		assert.True(t, strings.HasPrefix(string(data), begins), "%s begins with %.12s", path, data)
	}
	data := s.get("/api/jobs/river-gauging/cut-dxf.zip")
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	assert.Greater(t, len(z.File), 37, "every panel and every sheet")
}

// TestMoneyAndWays: a price list with a mistake is shown before it is taken; the quote follows the hour and the
// tax, and is held against the budget; another material and another way change mass and money.
func TestMoneyAndWays(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/build/buy")
	p.waitText("[data-need=runner-ball]", "Heavy ball runners 550")
	list := filepath.Join(t.TempDir(), "prices.csv")
	require.NoError(
		t,
		os.WriteFile(
			list,
			[]byte("what;name;id;price;pack\nhandle;Flush handles;handle;25,00;1\nhandle;Cheap;;-3;1\n"),
			0o600,
		),
	)
	p.press("Read prices and stock")
	p.upload("Price list, CSV or XLSX", list)
	p.waitText("tr[data-line='3']", "accepted is more than 0")
	p.waitText("tr[data-line='2']", "(replaces)")
	p.press("Take 1 lines")
	p.waitFor("document.querySelector(\"[aria-label='Price of Flush handles']\").value === '25'")
	p.waitText("[data-need=handle]", "150.00")

	p.sheet("Cost")
	total := p.text("[data-cost=total] b")
	p.enter("An hour", "120")
	p.waitFor("document.querySelector('[data-cost=total] b').textContent !== " + quoted(total))
	p.enter("Tax, %", "120")
	p.waitText(".told, [role=alert], .notices", "tax")
	p.press("Take back: Tax")
	p.waitFor("document.querySelector(\"[aria-label='Tax, %']\").value === '10'")
	p.stage("Brief")
	p.enter("Budget", "9000")
	p.stage("Build")
	p.sheet("Cost")
	p.waitText("[data-cost=total]", "over the budget")
	p.waitText("[data-rule=over-budget]", "costs at least")

	mass := p.text("[data-wall=now] td:nth-child(2)")
	p.clickOn("document.querySelector('[data-wall=foam-core] button')")
	p.waitFor("document.querySelector('[data-wall=now] td:nth-child(2)').textContent !== " + quoted(mass))
	p.press("Undo: Build of foam core")
	p.waitText("[data-wall=now] td:nth-child(2)", mass)
	p.choose("How Drawer unit left comes about", "Bought")
	p.waitText("[data-rule=proof-missing]", "Nobody wrote down why drawer unit left fits")
	p.enter("Why it fits: Bought, Drawer unit left", "maker's drawing")
	p.waitFor("!document.querySelector('[data-rule=proof-missing]')")
	p.saved()
}

// TestTheCombRackIsFramed: the third job's rack of profile says which slot nuts go in before which rail is closed;
// tightened too early it says so; nuts that swing in need none of it.
func TestTheCombRackIsFramed(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/queen-bees/build/order")
	p.waitText("[data-rule=nuts-first]", "Before the frame is closed")
	p.see("[data-step='nuts/comb-rack']")
	at := func(step string) int {
		return js[int](
			p,
			"[...document.querySelectorAll('[data-step]')].findIndex((e) => e.dataset.step === "+quoted(step)+")",
		)
	}
	assert.Less(t, at("nuts/comb-rack"), at("frame/comb-rack"))
	assert.Less(t, at("frame/comb-rack"), at("fit/comb-rack"))
	drill := p.text("[data-step='fit/slide-out-kitchen-frame'] .step-caution")
	assert.Contains(t, drill, "beneath lies", "what a drill finds is read without opening the step")
	p.tick("Done: Put the frame of comb rack together, panels into their slots")
	p.waitText("[data-rule=nut-behind]", "closed without their nuts")
	p.tick("Done: Put slot nuts into the rails of comb rack before they are closed")
	p.waitFor("!document.querySelector('[data-rule=nut-behind]')")
	p.sheet("Cut")
	p.waitText("section[aria-label='Slot nuts']", "for the bracket of rail of divider 1")
	p.sheet("Buy")
	p.tick("Slot nuts swing in")
	p.waitFor("!document.querySelector('[data-rule=nuts-first]')")
	p.saved()
}

// TestStepsInTheBay: on a tablet one step after the other is ticked, weighed and noted; what was needed becomes the
// pace; a reason that runs in a ring is named, and taken back.
func TestStepsInTheBay(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/build/order")
	p.waitText(".day h3", "2026-05-04")
	p.press("One step at a time")
	p.waitText(".bench-page header", "Step 1 of")
	first := p.text(".bench-step h1")
	p.enter("Minutes it took", "50")
	p.typeInto("Trouble", "floor is not flat")
	p.press("Done")
	p.waitFor("document.querySelector('.bench-step h1').textContent !== " + quoted(first))
	for range 60 {
		if js[bool](p, "document.querySelector('.bench-step').dataset.step === 'weigh/drawer-carcass'") {
			break
		}
		p.press("Next")
	}
	p.enter("What it weighs", "43.5 kg")
	p.press("Done")
	p.waitText(".bench-step h1", "Fit drawer carcass")
	p.press("All steps")
	p.waitText(".step-trouble", "floor is not flat")
	p.see("[data-step='weigh/drawer-carcass'].is-done")
	p.press("Take over what it needed")
	p.waitFor("[...document.querySelectorAll('[data-pace]')].some((e) => e.querySelector('input').value === '50')")

	p.press("Add reason")
	p.choose("This step first", "Fit drawer carcass")
	p.waitText("[role=alert]", "wait for each other")
	p.waitText("section[aria-label='Without a day']", "Fit drawer carcass")
	p.choose("Then this step", "Saw the panels of drawer carcass")
	p.waitText("[role=alert]", "wait for each other")
	p.waitText("[data-rule=order-ring]", "runs in a ring")
	p.press("Remove reason")
	p.waitFor("!document.querySelector('[data-rule=order-ring]')")

	p.press("Add question")
	p.enter("Question", "Which felt?")
	p.choose("What waits for: Which felt?", "Drawer carcass")
	p.waitText("[data-rule=decision-open]", "Not decided")
	p.saved()
}

// TestABuildFromNothing makes a job, measures a tub, places a drawer unit, and holds its cut list, a price and its
// first step; its floor has a template.
func TestABuildFromNothing(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url)
	p.typeInto("Name of the new job", "Bakery van")
	p.choose("Vehicle to start from", "Dual-cab with tub")
	p.press("Make the job")
	p.stage("Build")
	p.waitText(".empty", "Nothing of this variant is made here")
	p.sheet("Order")
	p.waitText(".empty", "Nothing is built yet")
	p.stage("Layout")
	p.typeInto("Search components", "drawer")
	p.clickOn(
		"[...document.querySelectorAll('[data-component]')].find((e) => e.textContent.includes('by its panels'))",
	)
	p.waitFor(
		"document.querySelector('[data-view] [data-part]') !== null || document.querySelector('.not-added button') !== null",
	)
	if js[bool](p, "document.querySelector('.not-added button') !== null") {
		p.press("Add it anyway")
		p.see("[data-view] [data-part]")
	}
	p.stage("Build")
	p.see(".sheet-piece")
	p.waitText(".cut-group", "this size is assumed")
	p.sheet("Buy")
	p.press("Add sheet")
	p.enter("Price of New sheet", "95")
	p.sheet("Cost")
	p.see("[data-cost=total] b")
	p.waitFor("!document.querySelector('[data-cost=total] b').textContent.startsWith('0.00')")
	p.sheet("Papers")
	p.see("a[href*='cut.pdf']")
	p.saved()
}

// TestTwoInTheBay: one ticks on a tablet, another notes a trouble at the desk; both are there, also after a reload,
// and what is typed while the server is away goes out when it is back.
func TestTwoInTheBay(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	desk := open(t, s.url+"/jobs/queen-bees/build/order")
	desk.see("[data-step]")
	tablet := open(t, s.url+"/jobs/queen-bees/build/bench")
	tablet.waitText(".bench-page header", "Step 1 of")
	first := js[string](tablet, "document.querySelector('.bench-step').dataset.step")
	tablet.press("Done")
	tablet.waitText(".bench-page header", "Step 2 of")
	tablet.typeInto("Trouble", "the jack leaks")
	tablet.saved()
	second := js[string](tablet, "document.querySelector('.bench-step').dataset.step")
	desk.see("[data-step='" + first + "'].is-done")
	desk.waitText("[data-step='"+second+"'] .step-trouble", "the jack leaks")

	// The desk ticks a third step; the tablet has it, and its own trouble still.
	desk.clickOn("[...document.querySelectorAll('[data-step] input')].find((e) => !e.checked && e.closest('li').dataset.step !== " +
		quoted(second) + ")")
	desk.saved()
	tablet.visit(s.url + "/jobs/queen-bees/build/bench")
	tablet.waitText(".bench-step h1", desk.text("[data-step='"+second+"'] .link"))
	assert.Equal(t, "the jack leaks", tablet.value("Trouble"))
	done := js[int](desk, "document.querySelectorAll('[data-step].is-done').length")
	desk.visit(s.url + "/jobs/queen-bees/build/order")
	desk.waitFor("document.querySelectorAll('[data-step].is-done').length === " + strconv.Itoa(done))
}

// TestBuildByKey goes through Build with the keyboard alone: to the sheets, a piece, its thickness, the steps.
func TestBuildByKey(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/build")
	p.see(".sheet-piece")
	p.tabTo("1-01 1000 × 560 top of Drawer carcass")
	p.keys(" ")
	p.see(".sheet-piece.is-chosen[data-mark='1-01']")
	p.keys(" ")
	p.waitFor("!document.querySelector('.sheet-piece.is-chosen')")
	p.keys(kb.Enter)
	p.see(".sheet-piece.is-chosen[data-mark='1-01']")
	p.tabTo("Panels of Drawer carcass")
	p.keys("15" + kb.Enter)
	p.waitText("section[aria-label='Plywood 15 mm'] h3", "16 pieces")
	p.keys("z", chromedp.ModifierCtrl)
	p.see("section[aria-label='Plywood 12 mm']")
	p.saved()
}

// TestAnOffcutIsKept: what is left of a sheet goes on the list of offcuts, and the next piece comes from it.
func TestAnOffcutIsKept(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/sound-recordist/build")
	p.waitFor("document.querySelector('.sheet-picture') !== null && !document.querySelector('progress')")
	keep := "[...document.querySelectorAll('figcaption .chip')].find((e) => e.textContent.startsWith('Keep'))"
	size := js[string](p, keep+".textContent")
	p.clickOn(keep)
	p.sheet("Buy")
	p.waitFor("[...document.querySelectorAll('[data-thing]')].some((e) => e.querySelector('input').value.startsWith('Offcut of birch'))")
	length := strings.Fields(size)[1]
	p.waitFor("[...document.querySelectorAll('input')].some((e) => e.value === " + quoted(length) + ")")
	p.press("Undo: Keep an offcut")
	p.saved()
}

// TestTheWorkshopsList keeps the stock and prices of one job for all: a job that is there takes them over and can put
// them back, a new one begins with them.
func TestTheWorkshopsList(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	names := func(job string) []string {
		var document struct {
			Job fitout.Job `json:"job"`
		}
		require.NoError(t, json.Unmarshal(s.get("/api/jobs/"+job), &document))
		all := []string{}
		for _, sheet := range document.Job.Build.Sheets {
			all = append(all, fmt.Sprintf("%s at %d", sheet.Name, sheet.Price))
		}
		slices.Sort(all) // their order means nothing
		return all
	}
	p := open(t, s.url+"/jobs/river-gauging/build/buy")
	p.waitText("[data-workshop]", "Nothing is kept for all jobs yet")
	assert.True(t, js[bool](p, button("Take into this job")+".disabled"))
	p.press("Keep for all jobs")
	p.waitText("[data-workshop]", "Kept for all jobs on")
	kept, price := names("river-gauging"), p.value("Price of Birch plywood 12")
	p.enter("Price of Birch plywood 12", "111") // of this job alone, from now on
	p.saved()
	require.NotEqual(t, kept, names("river-gauging"))

	p.visit(s.url + "/jobs/queen-bees/build/buy")
	p.waitText("[data-workshop]", "Kept for all jobs on")
	own := names("queen-bees")
	require.NotEqual(t, kept, own)
	p.press("Take into this job")
	p.waitFor(field("Price of Birch plywood 12") + ".value === " + quoted(price))
	p.saved()
	assert.Equal(t, kept, names("queen-bees"))
	p.keys("z", chromedp.ModifierCtrl)
	p.waitFor(field("Price of Birch plywood 12") + ".value !== " + quoted(price))
	p.saved()
	assert.Equal(t, own, names("queen-bees"))

	p.visit(s.url + "/")
	p.typeInto("Name of the new job", "From the workshop's list")
	p.press("Make the job")
	p.see(".rail")
	job := js[string](p, "location.pathname.split('/')[2]")
	assert.Equal(t, kept, names(job))
}
