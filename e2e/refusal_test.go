package e2e

import (
	"testing"

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
