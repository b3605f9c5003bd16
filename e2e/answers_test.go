package e2e

import (
	"encoding/json"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// itemsOf are the things of a job as the server keeps them.
func (s *server) itemsOf(t *testing.T, job string) []fitout.Item {
	var document struct {
		Job fitout.Job `json:"job"`
	}
	require.NoError(t, json.Unmarshal(s.get("/api/jobs/"+job), &document))
	return document.Job.ChosenVariant().Items
}

// TestANameOnlyProposesWhatIsInAThing: a thing that is called a gas bottle is asked about; said to hold gas it is looked
// at as gas, said to hold nothing it is left alone, whatever it is called.
func TestANameOnlyProposesWhatIsInAThing(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/load")
	holds := func(id string) fitout.Substance {
		items := s.itemsOf(t, "river-gauging")
		return items[slices.IndexFunc(items, func(i fitout.Item) bool { return i.ID == id })].Substance
	}
	p.see("[data-row=ladder]")
	assert.Zero(t, p.count("[data-rule=substance-unsaid]"))
	p.enter("Name of Ladder", "Gas bottle")
	p.waitText("[data-rule=substance-unsaid]", "Is there gas in gas bottle?")
	p.press("It holds gas")
	p.see(".trial-bar")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=substance-unsaid]') && !document.querySelector('.trial-bar')")
	p.saved()
	assert.Equal(t, fitout.SubstanceGas, holds("ladder"))
	p.clickOn(field("Name of Gas bottle"))
	p.clickOn("[...document.querySelectorAll('[role=tab]')].find(b => b.textContent === 'Item')")
	p.choose("Holds", "nothing that matters")
	p.saved()
	assert.Equal(t, fitout.SubstanceNone, holds("ladder"))
	assert.Zero(t, p.count("[data-rule=substance-unsaid]"), "the name is not asked again")
}

// TestWhoIsNotInTheLoadsIsTold: somebody of the brief whom nobody put aboard is told, put on the free seat in one press, and
// without a seat is stopped.
func TestWhoIsNotInTheLoadsIsTold(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging/brief")
	p.see("table[aria-label=Travellers]")
	before := len(s.itemsOf(t, "river-gauging"))
	p.press("Add person")
	p.enter("Name of New traveller", "Marl")
	p.saved()
	p.stage("Load")
	p.waitText("[data-rule=traveller-not-aboard]", "Marl is not in the loads")
	p.press("Put travellers aboard")
	p.see(".trial-bar")
	p.press("Keep it")
	p.waitFor("!document.querySelector('[data-rule=traveller-not-aboard]')")
	p.saved()
	items := s.itemsOf(t, "river-gauging")
	require.Len(t, items, before+1)
	assert.Equal(t, "Marl", items[len(items)-1].Name)
	assert.Equal(t, "rear-right", items[len(items)-1].Seat, "the one seat in which nobody sits")
	assert.Zero(t, p.count("[data-rule=no-seat]"))
}
