package e2e

import (
	"database/sql"
	"os/exec"
	"syscall"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	_ "gorm.io/driver/sqlite" // a revision is damaged behind the server's back
)

func TestAnEarlierStateIsFoundNamedAndGoneBackTo(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging")
	p.enter("Customer", "Orla Fenn")
	p.saved()
	p.visit(s.url)
	p.press("Revisions of Nine nights on the Orrin")
	p.waitText("[data-revision='2']", "Varrow Basin Gauging, crew of two → Orla Fenn")
	p.enter("Name of revision 1", "as ordered")
	p.waitText("[role=status]", "called “as ordered” and kept for good")
	p.press("Go back to it: revision 1")
	p.waitText("[role=status]", "as it was at revision 1")
	p.waitText("[data-revision='3']", "newest")
	p.see("[data-revision='3']")
	p.press("Back to the job")
	p.waitFor(field("Customer") + "?.value === 'Varrow Basin Gauging, crew of two'")
	p.visit(s.url + "/jobs/river-gauging/revisions")
	p.press("Open beside, as a job of its own: revision 2")
	p.waitFor(field("Job name") + "?.value === 'revision 2 of Nine nights on the Orrin'")
	p.waitFor(field("Customer") + "?.value === 'Orla Fenn'")
}

func TestADamagedJobIsBroughtBack(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	p := open(t, s.url+"/jobs/river-gauging")
	p.enter("Customer", "Orla Fenn")
	p.saved()
	p.visit(s.url)
	p.see("[data-job=river-gauging]")
	db, err := sql.Open("sqlite3", s.db)
	require.NoError(t, err)
	damage := func() {
		_, err = db.Exec(
			"UPDATE revisions SET document = zeroblob(300) WHERE job_id = 'river-gauging' AND number = " +
				"(SELECT revision FROM jobs WHERE id = 'river-gauging')",
		)
		require.NoError(t, err)
	}
	damage()
	p.press("Nine nights on the Orrin")
	p.waitText("main", "Revision 2 of this job is damaged")
	p.press("To its revisions")
	p.waitText("[data-revision='2']", "damaged, cannot be read")
	p.press("Go back to it: revision 1")
	p.see("[data-revision='3']") // until then the job is as damaged as before
	p.press("Back to the job")
	p.waitFor(field("Customer") + "?.value === 'Varrow Basin Gauging, crew of two'")

	damage()
	require.NoError(t, db.Close())
	s.stop(syscall.SIGTERM)
	told, err := exec.Command(program, "check", "--db", s.db).CombinedOutput()
	assert.Error(t, err)
	assert.Contains(t, string(told), "--step-back goes back to revision 1.")
	told, err = exec.Command(program, "check", "--db", s.db, "--step-back").CombinedOutput()
	assert.Error(t, err, "revision 2 stays damaged, and is told")
	assert.Contains(t, string(told), "as it was at revision 1 again")
	_, err = exec.Command(program, "export", "river-gauging", "--db", s.db).CombinedOutput()
	assert.NoError(t, err)
}

func TestBrowsersAreNamedAndShutOut(t *testing.T) {
	t.Parallel()
	s := start(t, "demo", t.TempDir()+"/demo.db", "0.0.0.0:0")
	tablet, office := open(t, s.url), open(t, s.url)
	for p, name := range map[*page]string{tablet: "Bench tablet", office: "Office"} {
		p.typeInto("What this browser is to be called", name)
		p.enter("Access code", s.code)
		p.see("[data-job=river-gauging]")
	}
	office.press("About")
	office.waitText("[aria-label='Browsers that were let in']", "Bench tablet")
	office.press("Make another code")
	office.waitFor("!document.body.innerText.includes(" + quoted(s.code) + ")")
	office.press("Shut out Bench tablet")
	office.waitFor(
		"!document.querySelector(\"[aria-label='Browsers that were let in']\").innerText.includes('Bench tablet')",
	)
	tablet.visit(s.url)
	tablet.waitText("main", "Access code")
	tablet.enter("Access code", s.code)
	tablet.waitText("[role=alert]", "This is not the access code")
}
