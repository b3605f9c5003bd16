package e2e

import (
	"bytes"
	"encoding/json"
	"fmt"
	"maps"
	"math/rand/v2"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"sync"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// document is a job as the API sends it, with only what this test changes.
type document struct {
	Revision int            `json:"revision"`
	Lineage  string         `json:"lineage"`
	Job      map[string]any `json:"job"`
}

// send makes one request and reads the document that answers it.
func send(method, url string, body any) (document, error) {
	data, err := json.Marshal(body)
	if err != nil {
		return document{}, err
	}
	request, err := http.NewRequest(method, url, bytes.NewReader(data))
	if err != nil {
		return document{}, err
	}
	request.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(request)
	if err != nil {
		return document{}, err
	}
	defer response.Body.Close()
	var d document
	if response.StatusCode != http.StatusOK {
		return d, fmt.Errorf("%s", response.Status)
	}
	return d, json.NewDecoder(response.Body).Decode(&d)
}

// kills is how often the server is killed; docs/reliability.md says so.
const kills = 100

// TestKilledUnderWriteLoad kills the server at any moment while several people save, backs it up meanwhile and puts a
// backup in its place between, and finds every acknowledged save in a whole database after each.
func TestKilledUnderWriteLoad(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	db, backup := filepath.Join(folder, "jobs.db"), filepath.Join(folder, "backup.db")
	w := writers{t: t, jobs: make([]document, 4)}
	var backedUp []document // what was acknowledged when the backup began
	saves, restored := 0, 0
	for round := range kills {
		s := start(t, "serve", db, "127.0.0.1:0")
		if round == 0 {
			w.create(s.url)
		} else {
			w.find(s.url)
		}
		stop := w.write(s.url, round)
		time.Sleep(time.Duration(5+rand.IntN(80)) * time.Millisecond)
		if round%10 == 4 {
			backedUp = w.acknowledged()
			require.NoError(t, os.RemoveAll(backup))
			told, err := exec.Command(program, "backup", "--db", db, backup).CombinedOutput()
			require.NoError(t, err, string(told))
		}
		s.stop(syscall.SIGKILL)
		saves += stop()
		told, err := exec.Command(program, "check", "--db", db).CombinedOutput()
		require.NoError(t, err, "round %d: %s", round, told)
		if round%10 == 9 {
			told, err := exec.Command(program, "restore", "--db", db, "--replace", backup).CombinedOutput()
			require.NoError(t, err, string(told))
			w.back(backedUp)
			restored++
		}
	}
	assert.Greater(t, saves, kills, "saves went on until the kills")
	assert.Equal(t, kills/10, restored)
	t.Logf("%d kills, %d acknowledged saves, %d backups put back: none was lost", kills, saves, restored)
}

// writers are people who save, each a job of their own.
type writers struct {
	t    *testing.T
	mu   sync.Mutex
	jobs []document // what each was told is saved
}

func (w *writers) acknowledged() []document {
	w.mu.Lock()
	defer w.mu.Unlock()
	return slices.Clone(w.jobs)
}

// back makes an earlier state what must be there at least: a backup was put in the place of the database.
func (w *writers) back(to []document) { w.jobs = slices.Clone(to) }

func (w *writers) create(url string) {
	for i := range w.jobs {
		made, err := send("POST", url+"/api/jobs", map[string]string{"name": fmt.Sprint("Job ", i), "region": "anz"})
		require.NoError(w.t, err)
		w.jobs[i] = made
	}
}

// find reads every job and holds it against what was acknowledged.
func (w *writers) find(url string) {
	for i, want := range w.jobs {
		got, err := send("GET", url+"/api/jobs/"+want.Job["id"].(string), nil)
		require.NoError(w.t, err)
		require.GreaterOrEqual(w.t, got.Revision, want.Revision, "an acknowledged save is there")
		if got.Revision == want.Revision {
			require.Equal(w.t, want.Job["note"], got.Job["note"])
		}
		w.jobs[i] = got
	}
}

// write saves until the server is gone; what it returns waits for that and counts what was acknowledged.
func (w *writers) write(url string, round int) (stop func() int) {
	var writing sync.WaitGroup
	var saves atomic.Int64
	for i := range w.jobs {
		writing.Go(func() {
			for n := 0; ; n++ {
				w.mu.Lock()
				d := w.jobs[i]
				w.mu.Unlock()
				job := maps.Clone(d.Job)
				job["note"] = fmt.Sprintf("round %d save %d", round, n)
				saved, err := send("PUT", url+"/api/jobs/"+job["id"].(string),
					map[string]any{"base": d.Revision, "lineage": d.Lineage, "job": job})
				if err != nil {
					return // killed
				}
				w.mu.Lock()
				w.jobs[i] = saved
				w.mu.Unlock()
				saves.Add(1)
			}
		})
	}
	return func() int {
		writing.Wait()
		return int(saves.Load())
	}
}

// A signal lets the save that is under way finish.
func TestStopsCleanlyOnASignal(t *testing.T) {
	t.Parallel()
	s := start(t, "serve", filepath.Join(t.TempDir(), "jobs.db"), "127.0.0.1:0")
	made, err := send("POST", s.url+"/api/jobs", map[string]string{"name": "Last one", "region": "na"})
	require.NoError(t, err)
	s.stop(syscall.SIGTERM)
	assert.Zero(t, s.command.ProcessState.ExitCode())
	again := start(t, "serve", s.db, "127.0.0.1:0")
	got, err := send("GET", again.url+"/api/jobs/"+made.Job["id"].(string), nil)
	require.NoError(t, err)
	assert.Equal(t, "Last one", got.Job["name"])
}

// TestTheDatabaseIsTakenAway: somebody deletes the file while it is served. The next edit is not called saved; it
// stays in the browser, the page says what is wrong, and one press writes all that was kept to a new file.
func TestTheDatabaseIsTakenAway(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	s := start(t, "serve", folder+"/jobs.db", "127.0.0.1:0")
	p := open(t, s.url)
	p.choose("Vehicle to start from", "Dual-cab with tub")
	p.enter("Name of the new job", "Salt pan")
	p.waitText(".implied", "Say who travels")
	p.saved()
	require.NoError(t, os.Remove(folder+"/jobs.db"))
	p.enter("Customer", "Nobody yet")
	p.waitText(".notice-trouble", "is gone or was replaced")
	p.press("Write all to a new file")
	p.waitText(".notice-trouble", "jobs.db.rescued-")
	files, err := filepath.Glob(folder + "/jobs.db.rescued-*.db")
	require.NoError(t, err)
	assert.Len(t, files, 1)
	assert.Equal(t, "Nobody yet", p.value("Customer"), "what was typed is there")
}
