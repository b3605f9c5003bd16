package e2e

import (
	"bytes"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net/http"
	"os"
	"path/filepath"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gorm.io/driver/sqlite"
	"gorm.io/gorm"
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

// TestKilledUnderWriteLoad kills the server at any moment while several people
// save, restarts it, and finds every acknowledged save in a whole database.
func TestKilledUnderWriteLoad(t *testing.T) {
	db := filepath.Join(t.TempDir(), "jobs.db")
	const writers, rounds = 4, 4
	acknowledged := make([]document, writers)
	for round := range rounds {
		s := start(t, "serve", db, "127.0.0.1:0")
		for i, want := range acknowledged {
			if round == 0 {
				made, err := send(
					"POST",
					s.url+"/api/jobs",
					map[string]string{"name": fmt.Sprint("Job ", i), "region": "anz"},
				)
				require.NoError(t, err)
				acknowledged[i] = made
				continue
			}
			id := want.Job["id"].(string)
			got, err := send("GET", s.url+"/api/jobs/"+id, nil)
			require.NoError(t, err)
			require.GreaterOrEqual(t, got.Revision, want.Revision, "an acknowledged save is there")
			if got.Revision == want.Revision {
				assert.Equal(t, want.Job["note"], got.Job["note"])
			}
			acknowledged[i] = got
		}
		var writing sync.WaitGroup
		for i := range acknowledged {
			writing.Go(func() {
				for n := 0; ; n++ {
					d := acknowledged[i]
					job := map[string]any{}
					for k, v := range d.Job {
						job[k] = v
					}
					job["note"] = fmt.Sprintf("round %d save %d", round, n)
					saved, err := send(
						"PUT",
						s.url+"/api/jobs/"+job["id"].(string),
						map[string]any{"base": d.Revision,
							"lineage": d.Lineage, "job": job},
					)
					if err != nil {
						return // killed
					}
					acknowledged[i] = saved
				}
			})
		}
		time.Sleep(time.Duration(150+rand.IntN(400)) * time.Millisecond)
		s.stop(syscall.SIGKILL)
		writing.Wait()

		check, err := gorm.Open(sqlite.Open(db), &gorm.Config{})
		require.NoError(t, err)
		var answer string
		require.NoError(t, check.Raw("PRAGMA integrity_check").Scan(&answer).Error)
		assert.Equal(t, "ok", answer)
		sql, err := check.DB()
		require.NoError(t, err)
		require.NoError(t, sql.Close())
	}
	for _, d := range acknowledged {
		assert.Greater(t, d.Revision, rounds, "saves went on until each kill")
	}
}

// A signal lets the save that is under way finish.
func TestStopsCleanlyOnASignal(t *testing.T) {
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
