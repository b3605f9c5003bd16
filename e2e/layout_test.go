package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
)

// measuredCanopy is a server with one job: a ute whose canopy is measured, empty.
func measuredCanopy(t *testing.T) (*server, *page) {
	t.Helper()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.choose("Vehicle to start from", "Dual-cab with tray")
	p.enter("Name of the new job", "Canopy from nothing")
	p.waitText(".implied", "Say who travels")
	p.stage("Vehicle")
	p.sheet("Space")
	p.choose("Kind of space", "Canopy, rear")
	p.press("Add space")
	p.click(".one-bay .btn-primary")
	for _, m := range [][2]string{{"lengthLeft", "1800"}, {"lengthRight", "1800"}, {"widthFront", "1600"},
		{"widthRear", "1600"}, {"heightFront", "850"}, {"heightRear", "850"}, {"diagonalLeft", "2408"},
		{"diagonalRight", "2408"}} {
		p.click("[data-step='" + m[0] + "']")
		p.reads(m[0], m[1])
	}
	p.saved()
	p.stage("Layout")
	p.see("[data-component]")
	return s, p
}

// part is a part in one view.
func part(view, id string) string {
	return fmt.Sprintf("document.querySelector('[data-view=%s] [data-part^=\"%s\"]')", view, id)
}

// dragPart drags a part in a view by so many px.
func (p *page) dragPart(view, id string, dx, dy float64) {
	p.t.Helper()
	p.drag(part(view, id), dx, dy)
}

// TestACanopyIsLaidOutByMouse places a fridge first, fills what is left with a
// drawer unit, and puts the gear of the brief away.
func TestACanopyIsLaidOutByMouse(t *testing.T) {
	t.Parallel()
	s, p := measuredCanopy(t)
	empty := p.pad("gross", "load")
	p.enter("Search components", "fridge 60 plain")
	p.click("[data-component=fridge-60]")
	p.waitFor(field("Name of the part") + "?.value.startsWith('Chest fridge 60 L')")
	p.waitFor("document.querySelector('[data-pad=gross] [data-figure=load]').textContent !== " + quoted(empty))
	assert.Zero(t, p.count(".part-wrong"))

	behind := field("Behind its front of Chest fridge 60 L on a plain slide")
	p.waitFor(behind + "?.value === '1020'") // it faces the open side, and stands there

	// Dragged past the front it is called out of its space; undo brings it back.
	scale := 1.0 / js[float64](p,
		"(() => { const r = document.querySelector('[data-view=above] .bay-room').getBoundingClientRect(); return 1800 / "+
			"r.width })()")
	p.dragPart("above", "fridge-60", -1220*scale, 0)
	p.waitText("[data-pad]", "kg")
	p.see(".part-wrong")
	p.clickOn("document.querySelector('#bench-tab-findings')")
	p.waitText("[data-rule=outside-bay]", "stands out of its space")
	p.keys("z", chromedp.ModifierCtrl)
	p.waitFor("!document.querySelector('.part-wrong')")

	// It snaps to the far wall: dragged to within a few mm it stands flush.
	p.clickOn("document.querySelector('#bench-tab-part')")
	p.enter("Behind its front of Chest fridge 60 L on a plain slide", "700")
	p.dragPart("above", "fridge-60", (1020-700)*scale+3, 0)
	p.waitFor(behind + "?.value === '1020'")

	p.clickOn("document.querySelector('#bench-tab-add')")
	p.enter("Search components", "1080 × 1200")
	p.click("[data-component=drawers-4]")
	p.press("Fill what is left of its space")
	p.waitFor(field("Length of Drawer unit 1080 × 1200, 2 in plywood") + ".value !== '1200'")
	p.waitFor("!document.querySelector('.part-wrong')")
	built := p.text("[data-figure=built-mass]")
	p.choose("Built of", "Foam-core")
	p.waitFor("document.querySelector('[data-figure=built-mass]').textContent !== " + quoted(built))
	p.waitText("[data-cell=c1] .hint", "0 % full")

	// A thing is put away, and counts in the drawer.
	p.clickOn("document.querySelector('#bench-tab-add')")
	p.enter("Search components", "tool roll")
	p.click("[data-component=tools]")
	p.press("Put away where it fits")
	p.waitFor(field("Lies in") + ".value !== ''")
	p.clickOn("document.querySelector('#bench-tab-findings')")
	p.clickOn(part("above", "drawers-4"))
	p.waitText("[data-panel=part]", "14 kg in it")

	// Open it, all of it, and see where it goes.
	p.press("Open Drawer unit")
	p.waitFor("document.querySelectorAll('[data-view=above] [data-open] .leaf').length === 2")
	p.press("Play the sweep")
	p.press("Open everything")
	p.waitFor("document.querySelectorAll('[data-view=above] [data-open] .leaf').length === 3")
	p.saved()

	// A thing that stands free is dragged into the other drawer with Ctrl.
	p.press("Close everything")
	p.clickOn("document.querySelector('#bench-tab-add')")
	p.enter("Search components", "first-aid")
	p.click("[data-component=first-aid]")
	p.waitFor(field("Name of the part") + "?.value === 'First-aid box'")
	p.enter("Above its floor of First-aid box", "900")
	x, y := p.place(part("left", "first-aid"))
	tx, ty := p.place(part("left", "drawers-4"))
	p.do(chromedp.MouseEvent(chromedp.MousePressed, x, y, chromedp.ButtonLeft))
	p.do(chromedp.MouseEvent("mouseMoved", (x+tx)/2, (y+ty)/2, chromedp.ButtonLeft,
		chromedp.ButtonModifiers(chromedp.ModifierCtrl)))
	p.do(chromedp.MouseEvent("mouseMoved", tx, ty, chromedp.ButtonLeft, chromedp.ButtonModifiers(chromedp.ModifierCtrl)))
	p.see(".drop-target")
	p.do(chromedp.MouseEvent("mouseReleased", tx, ty, chromedp.ButtonLeft,
		chromedp.ButtonModifiers(chromedp.ModifierCtrl)))
	p.waitFor(field("Lies in") + ".value !== ''")
	p.clickOn(part("above", "drawers-4"))
	p.waitText("[data-panel=part]", "First-aid box")

	// Two faces are measured with the tape, and the drawing is saved to scale.
	p.press("Measure between two faces")
	room := js[[]float64](p,
		"(() => { const r = document.querySelector('[data-view=above] .bay-room').getBoundingClientRect(); return [r.left, "+
			"r.right, r.top + r.height / 3] })()")
	p.do(chromedp.MouseClickXY(room[0]+1, room[2]))
	p.do(chromedp.MouseClickXY(room[1]-1, room[2]))
	p.waitFor("document.querySelector('[data-view=above] [data-tape]')?.dataset.tape === '1800'")
	p.press("Put the tape away")
	p.saved()
	id := js[string](p, "location.pathname.split('/')[2]")
	assert.Contains(t, string(s.get("/api/jobs/"+id+"/svg/above")), "Drawer unit 1080")
	assert.Contains(t, string(s.get("/api/jobs/"+id+"/dxf/left")), "MODULES")

	// The unit becomes a component of the workshop's own, is carried over, and goes.
	p.clickOn(part("above", "drawers-4"))
	p.press("Keep in the catalogue")
	p.waitText("[data-panel=part]", "Kept in the catalogue")
	p.clickOn("document.querySelector('#bench-tab-add')")
	p.see(".components .own")
	file := filepath.Join(t.TempDir(), "own.json")
	require.NoError(t, os.WriteFile(file, s.get("/api/catalogue.json"), 0o600))
	p.press("Take Drawer unit 1080")
	p.waitFor("!document.querySelector('.components .own')")
	p.upload("Catalogue file", file)
	p.see(".components .own")
	broken := filepath.Join(t.TempDir(), "broken.csv")
	require.NoError(t, os.WriteFile(broken, []byte("Name,Length,Width,Height\nBox,far,1,1"), 0o600))
	p.upload("Catalogue file", broken)
	p.waitText(".own-catalogue .trouble", "line 2: length:")
	p.clickOn("document.querySelector('#bench-tab-part')")

	// Later: now without it, finished with it.
	with := p.pad("gross", "load")
	p.choose("Fitted", "Later")
	p.waitFor("document.querySelector('[data-pad=gross] [data-figure=load]').textContent !== " + quoted(with))
	p.waitPad("gross", "done", with)
	p.saved()
}

// TestACanopyIsLaidOutByKeyboard does without the mouse once the bench is open.
func TestACanopyIsLaidOutByKeyboard(t *testing.T) {
	t.Parallel()
	_, p := measuredCanopy(t)
	p.tabTo("Search components")
	p.keys("upright 90")
	p.tabTo("Upright fridge 90 L")
	p.keys(kb.Enter)
	name := "Upright fridge 90 L in its surround"
	behind := field("Behind its front of " + name)
	p.waitFor(behind + "?.value === '1260'")
	p.tabTo(name + ", ")
	p.keys(kb.ArrowLeft)
	p.keys(kb.ArrowLeft, chromedp.ModifierShift)
	p.keys(kb.ArrowRight, chromedp.ModifierAlt)
	p.waitFor(behind + "?.value === '1151'")
	p.tabTo("Height of " + name)
	p.keys("tall" + kb.Enter)
	p.waitText(".refusal", "Height of "+name)
	p.keys(kb.Escape)
	p.waitFor("document.activeElement.selectionStart === 0 && document.activeElement.selectionEnd > 0")
	p.keys("760" + kb.Enter)
	p.waitFor(field("Height of "+name) + ".value === '760'")
	p.tabTo("Opens")
	p.keys("To the l")
	p.waitFor(field("Opens") + ".value === 'left'")
	p.tabTo("Duplicate " + name)
	p.keys(kb.Enter)
	p.see(".part-wrong") // the copy stands in the first
	p.tabTo("Mirror " + name)
	p.keys(kb.Enter)
	p.waitFor("!document.querySelector('.part-wrong')")
	assert.Equal(t, 2, p.count("[data-view=above] .part"))
	p.tabTo(name + ", ")
	p.keys(kb.Delete)
	p.waitFor("document.querySelectorAll('[data-view=above] .part').length === 1")
	p.keys("z", chromedp.ModifierCtrl)
	p.waitFor("document.querySelectorAll('[data-view=above] .part').length === 2")
	p.tabTo("Lock " + name)
	p.keys(kb.Enter)
	p.see(".part-locked")
	p.saved()
	p.visit(js[string](p, "location.href"))
	p.waitFor("document.querySelectorAll('[data-view=above] .part').length === 2")
	p.see(".part-locked")
}

// TestWhatHangsOnASize makes a fridge lower by typing, and the unit beside it follows.
func TestWhatHangsOnASize(t *testing.T) {
	t.Parallel()
	s, p := measuredCanopy(t)
	p.enter("Search components", "900 × 1000, 2 in foam")
	require.Zero(t, p.count("[data-component=fridge-60]"))
	p.enter("Search components", "fridge 60 plain")
	p.click("[data-component=fridge-60]")
	p.waitFor(field("Name of the part") + "?.value.startsWith('Chest fridge')")
	p.enter("From its left of Chest fridge 60 L on a plain slide", "0")
	p.enter("Behind its front of Chest fridge 60 L on a plain slide", "0")
	p.clickOn("document.querySelector('#bench-tab-add')")
	p.enter("Search components", "560 × 1200")
	p.click("[data-component=drawers-2]")
	unit := "Drawer unit 560 × 1200, 1 in plywood"
	p.waitFor(field("Name of the part") + "?.value === " + quoted(unit))
	p.enter("From its left of "+unit, "500")
	p.enter("Behind its front of "+unit, "0")
	p.enter("Height of "+unit, "580") // flush with the fridge
	p.saved()
	p.clickOn(part("above", "fridge-60"))
	p.enter("Width of Chest fridge 60 L on a plain slide", "460")
	p.enter("Height of Chest fridge 60 L on a plain slide", "620")
	p.waitFor(field("Height of Chest fridge 60 L on a plain slide") + ".value === '620'")
	p.clickOn(part("above", "drawers-2"))
	p.waitFor(field("Width of "+unit) + "?.value === '600' && " + field("Height of "+unit) + ".value === '620'")
	p.saved()

	// A size that cannot be stays in sight with the reason, and is taken back.
	p.enter("Length of "+unit, "-5")
	p.waitText(".notice-trouble", "-5 mm was given; accepted is a number from 0")
	assert.Equal(t, "-5", p.value("Length of "+unit))
	p.press("Take back: Length of")
	p.waitFor(field("Length of "+unit) + ".value === '1200'")
	p.saved()
	assert.Contains(t, string(s.get(js[string](p,
		"location.pathname.replace('/jobs/', '/api/jobs/').replace('/layout', '/export')"))), `"kind": "drawers"`)
}

// TestANewcomersCanopy makes a job from nothing, measures both sides of a canopy, and puts ten
// parts of the catalogue in: each faces its side, and nothing is found about any of them; one
// that does not fit says how much it lacks.
func TestANewcomersCanopy(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", t.TempDir()+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.choose("Vehicle to start from", "Dual-cab with tray")
	p.enter("Name of the new job", "First canopy")
	p.waitText(".implied", "Say who travels")
	p.stage("Vehicle")
	p.sheet("Space")
	for _, side := range []string{"left", "right"} {
		p.choose("Kind of space", "Canopy, "+side+" side")
		p.press("Add space")
		p.waitFor("document.querySelector('[data-bay-shape], .one-bay') !== null")
		p.click(".one-bay .btn-primary")
		for _, m := range [][2]string{{"lengthLeft", "1900"}, {"lengthRight", "1900"}, {"widthFront", "800"},
			{"widthRear", "800"}, {"heightFront", "900"}, {"heightRear", "900"}, {"opening/width", "1880"}, {"opening/height", "880"}} {
			p.click("[data-step='" + m[0] + "']")
			p.reads(m[0], m[1])
		}
		p.saved()
		p.press("Back to all spaces")
	}
	p.stage("Layout")
	p.see("[data-component]")
	for _, part := range [][2]string{{"drawers-7", "left"}, {"fridge-45", "left"}, {"locker-1", "left"}, {"pantry-1", "left"},
		{"can-20", "left"}, {"upright-65", "right"}, {"kitchen-stove", "right"}, {"tank-step-40", "right"},
		{"battery-100", "right"}, {"station-500", "right"}} {
		p.clickOn("document.querySelector('#bench-tab-add')")
		p.choose("Add into", "Canopy, "+part[1]+" side")
		p.click("[data-component='" + part[0] + "']")
		p.waitFor("document.querySelector('#bench-tab-part').getAttribute('aria-selected') === 'true'")
		p.waitFor(fmt.Sprintf("document.querySelector('[data-view=above] [data-part=%q]') !== null", part[0]))
	}
	p.waitText(".notice", "Check each before it is built or drilled")
	p.saved()
	id := js[string](p, "location.pathname.split('/')[2]")
	var document struct {
		Job fitout.Job `json:"job"`
	}
	require.NoError(t, json.Unmarshal(s.get("/api/jobs/"+id), &document))
	assert.Len(t, document.Job.ChosenVariant().Items, 10)
	for _, f := range assess.Of(&document.Job).Findings {
		if f.Subject.Kind == "module" {
			assert.Equal(t, fitout.Note, f.Severity, "%s: %s", f.Title, f.Sentence)
		}
	}
	p.clickOn("document.querySelector('#bench-tab-add')")
	p.click("[data-component=upright-130]")
	p.waitText(".not-added", "does not fit into canopy")
	assert.True(t, js[bool](p, "(() => { const r = document.querySelector('.not-added').getBoundingClientRect(); return "+
		"r.top > 0 && r.bottom < innerHeight && document.elementFromPoint(r.x + r.width / 2, r.y + 12).closest('.not-added') !== "+
		"null })()"), "it is in sight")
	p.press("Add it anyway")
	p.waitFor("document.querySelector('[data-view=above] [data-part=upright-130]') !== null")
}
