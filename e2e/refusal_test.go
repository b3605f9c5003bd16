package e2e

import (
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// What would be accepted is read whole beside the bench: the refusal of a bad figure is not cut off by the panel's edge.
func TestARefusalIsReadWholeOnTheBench(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/layout")
	p.see("[data-component]")
	p.choosePart("pantry-pull-out")
	p.enter("Behind its front of Pantry pull-out", "wide")
	p.waitText(".refusal", "accepted is")
	inside := js[bool](p, `(() => {
		const r = document.querySelector('.refusal').getBoundingClientRect(), in_ = document.querySelector('.side').getBoundingClientRect();
		return r.left >= in_.left && r.right <= in_.right;
	})()`)
	assert.True(t, inside, "nothing of it lies beyond the panel")
}

// Where the field stands at the lower edge of the window, the page moves up as far as its refusal hangs below it; with
// the mouse down on something else it does not move away from under it.
func TestARefusalAtTheEdgeOfTheWindowComesIntoSight(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/power")
	const capacity = "Capacity of House battery"
	p.waitFor(field(capacity))
	atTheEdge := func() {
		p.typeInto(capacity, "sixty")
		js[any](p, field(capacity)+".scrollIntoView({ block: 'end' })")
	}
	below := func() float64 {
		p.waitText(".refusal", "accepted is")
		return js[float64](p, "document.querySelector('.refusal').getBoundingClientRect().bottom - innerHeight")
	}
	atTheEdge()
	p.keys(kb.Enter)
	assert.Less(t, below(), 0.5, "read whole after Enter, to half a pixel")
	p.keys(kb.Escape)
	p.waitFor("!document.querySelector('.refusal')")
	atTheEdge()
	p.clickOn("document.querySelector('.rail [aria-current=page]')")
	assert.Positive(t, below(), "what was clicked stood still")
}
