package e2e

import (
	"context"
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/require"
)

// patience is how long a screen may take to become what a test waits for,
// generous for a busy machine.
const patience = 40 * time.Second

// page is a tab as a person uses it.
type page struct {
	t   testing.TB
	ctx context.Context
}

// open opens a browser of its own, with nothing remembered, on a screen.
func open(t testing.TB, url string) *page {
	t.Helper()
	ctx, closeTab := chromedp.NewContext(browserIn, chromedp.WithNewBrowserContext())
	t.Cleanup(closeTab)
	p := &page{t, ctx}
	p.do(chromedp.EmulateViewport(1280, 800))
	// As if its window were before all others, although another test has one too.
	_, err := chromedp.Call(ctx, emulation.SetFocusEmulationEnabled, emulation.SetFocusEmulationEnabledParams{Enabled: true})
	require.NoError(t, err)
	p.visit(url)
	return p
}

func (p *page) do(action chromedp.Action[chromedp.Void]) {
	p.t.Helper()
	require.NoError(p.t, chromedp.Do(p.ctx, action))
}

func (p *page) visit(url string) {
	p.t.Helper()
	p.do(chromedp.Navigate(url))
}

// js evaluates an expression of the page.
func js[T any](p *page, expression string) T {
	p.t.Helper()
	value, err := chromedp.Run(p.ctx, chromedp.Evaluate[T](expression))
	require.NoError(p.t, err, expression)
	return value
}

// quoted is a text as JavaScript writes it.
func quoted(text string) string {
	data, _ := json.Marshal(text) // a string always marshals
	return string(data)
}

// waitFor waits until an expression of the page is true.
func (p *page) waitFor(condition string) {
	p.t.Helper()
	deadline := time.Now().Add(patience)
	for time.Now().Before(deadline) {
		if js[bool](p, "!!("+condition+")") {
			return
		}
		time.Sleep(25 * time.Millisecond)
	}
	require.FailNow(
		p.t,
		"the page never got there",
		"%s\nfocus: %s\nalerts: %s",
		condition,
		js[string](p, "document.activeElement?.outerHTML.slice(0, 300) ?? ''"),
		js[string](
			p,
			"[...document.querySelectorAll('[role=alert], [role=status]')].map(e => e.textContent).join(' | ')",
		),
	)
}

// see waits until something is on the page and returns its text.
func (p *page) see(selector string) string {
	p.t.Helper()
	p.waitFor("document.querySelector(" + quoted(selector) + ")")
	return p.text(selector)
}

// text is the text of the first match, with plain spaces.
func (p *page) text(selector string) string {
	p.t.Helper()
	return plainSpaces(js[string](p, "document.querySelector("+quoted(selector)+")?.textContent ?? '(nothing)'"))
}

func (p *page) value(label string) string {
	p.t.Helper()
	return js[string](p, field(label)+".value")
}

func plainSpaces(text string) string {
	return strings.NewReplacer("\u202f", " ", "\u00a0", " ").Replace(text)
}

// waitText waits until the first match shows a text.
func (p *page) waitText(selector, want string) {
	p.t.Helper()
	p.waitFor(
		fmt.Sprintf("(document.querySelector(%s)?.textContent ?? '').replace(/[\\u202f\\u00a0]/g, ' ').includes(%s)",
			quoted(selector), quoted(want)),
	)
}

func (p *page) count(selector string) int {
	p.t.Helper()
	return js[int](p, "document.querySelectorAll("+quoted(selector)+").length")
}

// place is the middle of an element on the screen, scrolled into view.
func (p *page) place(expression string) (x, y float64) {
	p.t.Helper()
	return p.placeIf(expression, "true")
}

func (p *page) placeIf(expression, condition string) (x, y float64) {
	p.t.Helper()
	// Found and measured at once, because the page may draw it anew between two questions; and once it stands still.
	js[any](p, "window.placed = undefined")
	p.waitFor("(() => { const e = " + expression + "; if (!e) return false; e.scrollIntoView({block: 'nearest'}); " +
		"const r = e.getBoundingClientRect(), at = [r.x + r.width / 2, r.y + r.height / 2], was = window.placed; " +
		"window.placed = at; return was && was[0] === at[0] && was[1] === at[1] && (" + condition + ") })()")
	xy := js[[]float64](p, "window.placed")
	return xy[0], xy[1]
}

// click clicks the middle of the first match with the mouse.
func (p *page) click(selector string) {
	p.t.Helper()
	p.clickOn("document.querySelector(" + quoted(selector) + ")")
}

// clickOn clicks what an expression names, where nothing else covers it. On a busy machine the page may still move between
// the look, the press and the release, and the click then goes beside it: people click once more.
func (p *page) clickOn(expression string) {
	p.t.Helper()
	const struck = "(e.contains(hit) || hit === window.under || hit.closest('label')?.contains(e))"
	for range 4 {
		x, y := p.placeIf(expression, "(hit => hit && (e.contains(hit) || hit.contains(e) || "+
			"hit.closest('label')?.contains(e)) && (window.under = hit))(document.elementFromPoint(at[0], at[1]))")
		js[any](p, "(() => { window.missed = false; const look = event => { const hit = event.target, e = "+expression+
			"; window.missed ||= e instanceof HTMLElement && !"+struck+" }; for (const event of ['mousedown', 'click']) "+
			"addEventListener(event, look, { capture: true, once: true }) })()")
		p.do(chromedp.MouseClickXY(x, y))
		if !js[bool](p, "Boolean(window.missed)") {
			return
		}
	}
	require.FailNow(p.t, "what was to be clicked never stood still", expression)
}

// drag drags what an expression names by so many px.
func (p *page) drag(expression string, dx, dy float64) {
	p.t.Helper()
	x, y := p.place(expression)
	p.do(chromedp.MouseEvent(chromedp.MousePressed, x, y, chromedp.ButtonLeft))
	for n := 1.0; n <= 4; n++ {
		p.do(chromedp.MouseEvent("mouseMoved", x+dx*n/4, y+dy*n/4, chromedp.ButtonLeft))
	}
	p.do(chromedp.MouseEvent("mouseReleased", x+dx, y+dy, chromedp.ButtonLeft))
}

// button is the button or link with a text or an accessible name.
func button(name string) string {
	return "[...document.querySelectorAll('button, a, [role=tab]')].find(b => [b.textContent.trim(), " +
		"b.getAttribute('aria-label') ?? '']" +
		".some(name => name.replace(/[\\u202f\\u00a0]/g, ' ').startsWith(" + quoted(name) + ")))"
}

func (p *page) press(name string) {
	p.t.Helper()
	p.clickOn(button(name))
}

// stage goes to a stage of the rail, sheet to a sheet of the stage.
func (p *page) stage(name string) { p.t.Helper(); p.follow(linkIn(".rail", name)) }
func (p *page) sheet(name string) { p.t.Helper(); p.follow(linkIn(".sub-nav", name)) }

// follow clicks a link and waits until the page is there.
func (p *page) follow(link string) {
	p.t.Helper()
	p.clickOn(link)
	p.waitFor(link + "?.getAttribute('aria-current') === 'page'")
}

func linkIn(list, name string) string {
	return "[...document.querySelectorAll('" + list + " a')].find(a => a.textContent.startsWith(" + quoted(
		name,
	) + "))"
}

// tick clicks the box whose label, or accessible name, begins with a text.
func (p *page) tick(name string) {
	p.t.Helper()
	p.clickOn("[...document.querySelectorAll('input[type=checkbox], input[type=radio]')].find(b => " +
		"[b.getAttribute('aria-label') ?? '', b.closest('label')?.textContent.trim() ?? ''].some(n => n.startsWith(" +
		quoted(name) + ")))")
}

// field is the field with an accessible name.
func field(label string) string {
	return "[...document.querySelectorAll('input, select, textarea')].find(f => f.getAttribute('aria-label') === " +
		quoted(label) + ")"
}

// enter types a value into a field, in place of what is there, and Enter.
func (p *page) enter(label, text string) {
	p.t.Helper()
	p.typeInto(label, text)
	p.keys(kb.Enter)
}

// typeInto clicks into a field and types over what is there.
func (p *page) typeInto(label, text string) {
	p.t.Helper()
	p.clickOn(field(label))
	js[any](p, field(label)+".select()")
	p.keys(text)
}

// choose picks an option of a select by its label.
func (p *page) choose(label, option string) {
	p.t.Helper()
	p.waitFor(fmt.Sprintf(`(() => { const f = %s; const o = [...(f?.options ?? [])].find(o => o.text.startsWith(%s));
		if (!o) return false;
		Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(f, o.value);
		return f.dispatchEvent(new Event('change', {bubbles: true})) || true; })()`, field(label), quoted(option)))
}

// putIn chooses one of a list and puts it in.
func (p *page) putIn(label, option string) {
	p.t.Helper()
	p.choose(label, option)
	p.clickOn(field(label) + ".parentElement.querySelector('button')")
}

func (p *page) keys(keys string, modifiers ...chromedp.Modifier) {
	p.t.Helper()
	p.do(chromedp.KeyEvent(keys, chromedp.KeyModifiers(modifiers...)))
}

// saved waits until everything is on the server.
func (p *page) saved() {
	p.t.Helper()
	p.waitFor("document.querySelector('[data-save]')?.dataset.save === 'saved'")
}

// pad reads a figure of a pad: load, limit or left.
func (p *page) pad(id, figure string) string {
	p.t.Helper()
	return p.see(fmt.Sprintf("[data-pad=%s] [data-figure=%s]", id, figure))
}

// leavesPad waits until a figure of a pad is another.
func (p *page) leavesPad(id, figure, was string) {
	p.t.Helper()
	p.waitFor(fmt.Sprintf("document.querySelector('[data-pad=%s] [data-figure=%s]').textContent.replace(/[\\u202f\\u00a0]/g, ' ') !== %s",
		id, figure, quoted(was)))
}

func (p *page) waitPad(id, figure, want string) {
	p.t.Helper()
	p.waitText(fmt.Sprintf("[data-pad=%s] [data-figure=%s]", id, figure), want)
}

// upload gives a file to a file field, as its dialog would.
func (p *page) upload(label, path string) {
	p.t.Helper()
	p.do(chromedp.SetUploadFiles(`input[aria-label="`+label+`"]`, []string{path}))
}
