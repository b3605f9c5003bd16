package store

import (
	"database/sql"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// fresh opens a new database whose clock the test turns.
func fresh(t *testing.T) (*Store, *time.Time) {
	t.Helper()
	now := time.Date(2026, 3, 1, 9, 0, 0, 0, time.UTC)
	s, err := Open(filepath.Join(t.TempDir(), "jobs.db"), Options{Now: func() time.Time { return now }})
	require.NoError(t, err)
	t.Cleanup(func() { s.Close() })
	return s, &now
}

func newJob(id, name string) *fitout.Job {
	j := fitout.NewJob(id, name, fitout.AustraliaNZ)
	return &j
}

func mustCreate(t *testing.T, s *Store, id, name string) Document {
	t.Helper()
	d, err := s.Create(newJob(id, name))
	require.NoError(t, err)
	return d
}

// rename returns the job with another name.
func rename(j fitout.Job, name string) *fitout.Job {
	j.Name = name
	return &j
}

func TestSaveMakesRevisionsAndNothingMakesNone(t *testing.T) {
	s, _ := fresh(t)
	first := mustCreate(t, s, "a", "First")
	second, err := s.Save(first.Base(), rename(first.Job, "Second"))
	require.NoError(t, err)
	assert.Equal(t, 2, second.Revision)
	same, err := s.Save(second.Base(), &second.Job)
	require.NoError(t, err)
	assert.Equal(t, 2, same.Revision, "an unchanged document makes no revision")
	loaded, err := s.Load("a")
	require.NoError(t, err)
	assert.Equal(t, second, loaded)
}

func TestSavesOnOneBaseMergeOrAsk(t *testing.T) {
	s, _ := fresh(t)
	base := mustCreate(t, s, "a", "First")
	_, err := s.Save(base.Base(), rename(base.Job, "Theirs"))
	require.NoError(t, err)

	mine := base.Job
	mine.Customer = "Mine"
	merged, err := s.Save(base.Base(), &mine)
	require.NoError(t, err)
	assert.Equal(t, 3, merged.Revision)
	assert.Equal(t, "Theirs", merged.Job.Name)
	assert.Equal(t, "Mine", merged.Job.Customer)

	_, err = s.Save(base.Base(), rename(base.Job, "Also mine"))
	var conflict *ConflictError
	require.ErrorAs(t, err, &conflict)
	assert.Equal(t, []string{"name"}, conflict.Conflicts[0].Path)
	assert.Equal(t, merged, conflict.Current)
	unchanged, err := s.Load("a")
	require.NoError(t, err)
	assert.Equal(t, merged, unchanged, "nothing is kept until somebody decides")

	_, err = s.Save(Base{Revision: 77, Lineage: s.Lineage()}, rename(base.Job, "From nowhere"))
	require.ErrorAs(t, err, &conflict)
	assert.Contains(t, conflict.Reason, "no longer kept")
}

func TestListSearchArchiveDeleteRestore(t *testing.T) {
	s, now := fresh(t)
	for i, name := range []string{"Water tank 100%", "Rooftop_tent", "Sled dogs"} {
		*now = now.Add(time.Duration(i) * time.Hour)
		mustCreate(t, s, fmt.Sprint("j", i), name)
	}
	names := func(q Query) []string {
		q.Limit = 10
		listed, total, err := s.List(q)
		require.NoError(t, err)
		require.Len(t, listed, total)
		found := []string{}
		for _, l := range listed {
			found = append(found, l.Name)
		}
		return found
	}
	assert.Equal(t, []string{"Sled dogs", "Rooftop_tent", "Water tank 100%"}, names(Query{}), "newest change first")
	assert.Equal(t, []string{"Sled dogs"}, names(Query{Search: "DOGS sled"}))
	assert.Equal(t, []string{"Water tank 100%"}, names(Query{Search: "0%"}), "% is a character, not a wildcard")
	assert.Equal(t, []string{"Rooftop_tent"}, names(Query{Search: "p_t"}))
	assert.Empty(t, names(Query{Search: "' OR 1=1 --"}))

	require.NoError(t, s.Archive("j0", true))
	assert.Equal(t, []string{"Water tank 100%"}, names(Query{Archived: true}))
	require.NoError(t, s.Delete("j2"))
	assert.Equal(t, []string{"Rooftop_tent"}, names(Query{}))
	_, err := s.Load("j2")
	require.ErrorIs(t, err, ErrNotFound)
	_, err = s.Save(Base{Revision: 1, Lineage: s.Lineage()}, newJob("j2", "x"))
	require.ErrorIs(t, err, ErrNotFound)
	taken, err := s.Has("j2")
	require.NoError(t, err)
	assert.True(t, taken, "a deleted job keeps its id")
	require.NoError(t, s.Restore("j2"))
	assert.Equal(t, []string{"Sled dogs", "Rooftop_tent"}, names(Query{}))
	assert.ErrorIs(t, s.Delete("none"), ErrNotFound)
}

func TestOldRevisionsAreThinnedToOneADay(t *testing.T) {
	s, now := fresh(t)
	d := mustCreate(t, s, "a", "0")
	for day := range 3 {
		for hour := range 4 {
			*now = time.Date(2026, 3, 1+day, 10+hour, 0, 0, 0, time.UTC)
			var err error
			d, err = s.Save(d.Base(), rename(d.Job, fmt.Sprint(day, hour)))
			require.NoError(t, err)
		}
	}
	dropped, err := s.Thin()
	require.NoError(t, err)
	assert.Zero(t, dropped, "all are younger than 30 days")
	*now = now.Add(31 * 24 * time.Hour)
	dropped, err = s.Thin()
	require.NoError(t, err)
	assert.Equal(t, 13-3, dropped, "the last of each of three days stays")
	newest, err := s.Load("a")
	require.NoError(t, err)
	assert.Equal(t, d, newest)
}

func TestSettingIsMadeOnce(t *testing.T) {
	s, _ := fresh(t)
	one, err := s.Setting("access-code", func() string { return "first" })
	require.NoError(t, err)
	two, err := s.Setting("access-code", func() string { return "second" })
	require.NoError(t, err)
	assert.Equal(t, "first", one)
	assert.Equal(t, "first", two)
}

// What is given as database and is none of ours is refused with a sentence,
// and stays as it is to the byte.
func TestForeignFilesAreRefusedUnchanged(t *testing.T) {
	cases := []struct {
		name, sentence string
		make           func(t *testing.T, path string)
	}{
		{"a text", "is not a database", func(t *testing.T, path string) {
			require.NoError(t, os.WriteFile(path, []byte(strings.Repeat("not a database ", 20)), 0o600))
		}},
		{"another program's SQLite file", "is a database of another program", func(t *testing.T, path string) {
			db, err := sql.Open("sqlite3", path)
			require.NoError(t, err)
			_, err = db.Exec("CREATE TABLE tunes (title TEXT)")
			require.NoError(t, err)
			require.NoError(t, db.Close())
		}},
		{"a database of a newer version", "written by a newer Zaino; accepted is up to version 6",
			func(t *testing.T, path string) {
				s, err := Open(path, Options{})
				require.NoError(t, err)
				require.NoError(t, s.db.Exec("PRAGMA user_version = 9").Error)
				require.NoError(t, s.db.Exec("PRAGMA wal_checkpoint(TRUNCATE)").Error)
				require.NoError(t, s.Close())
			}},
		{"a folder", "is not a file", func(t *testing.T, path string) { require.NoError(t, os.Mkdir(path, 0o700)) }},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			path := filepath.Join(t.TempDir(), "given.db")
			c.make(t, path)
			before, _ := os.ReadFile(path) // empty for the folder
			_, err := Open(path, Options{})
			require.ErrorContains(t, err, c.sentence)
			after, _ := os.ReadFile(path)
			assert.Equal(t, before, after)
			err = Backup(path, filepath.Join(t.TempDir(), "copy.db"))
			assert.Error(t, err)
		})
	}
}

func TestFolderThatCannotBeWritten(t *testing.T) {
	_, err := Open("/proc/zaino/jobs.db", Options{})
	assert.ErrorContains(t, err, "cannot be written")
	assert.ErrorContains(t, err, "name another file with --db")
}

func TestOneServerAtATime(t *testing.T) {
	s, _ := fresh(t)
	path := s.lock.Name()[:len(s.lock.Name())-len(".lock")]
	_, err := Open(path, Options{})
	require.ErrorContains(t, err, "is open in another Zaino")
	_, err = Restore(path, path, true)
	require.ErrorContains(t, err, "is the database itself")
}

func TestBackupWhileWritingAndRestore(t *testing.T) {
	s, _ := fresh(t)
	path := strings.TrimSuffix(s.lock.Name(), ".lock")
	d := mustCreate(t, s, "a", "0")
	stop, stopped := make(chan bool), make(chan error, 1)
	go func() {
		var err error
		for i := 1; err == nil; i++ {
			select {
			case <-stop:
				stopped <- nil
				return
			default:
				d, err = s.Save(d.Base(), rename(d.Job, fmt.Sprint(i)))
			}
		}
		stopped <- err
	}()
	copied := filepath.Join(t.TempDir(), "backup.db")
	time.Sleep(50 * time.Millisecond)
	require.NoError(t, Backup(path, copied))
	close(stop)
	require.NoError(t, <-stopped)
	require.ErrorContains(t, Backup(path, copied), "exists; accepted is a name for a new file")

	elsewhere := filepath.Join(t.TempDir(), "restored.db")
	restores := func(replace bool) {
		_, err := Restore(copied, elsewhere, replace)
		require.NoError(t, err)
	}
	restores(false)
	_, err := Restore(copied, elsewhere, false)
	require.ErrorContains(t, err, "--replace")
	restores(true)
	restored, err := Open(elsewhere, Options{})
	require.NoError(t, err)
	defer restored.Close()
	got, err := restored.Load("a")
	require.NoError(t, err)
	assert.Equal(t, fmt.Sprint(got.Revision-1), got.Job.Name, "a state that was saved, whole")

	damaged, err := os.ReadFile(copied)
	require.NoError(t, err)
	for i := 4096 + 200; i < len(damaged); i += 64 {
		damaged[i] ^= 0xff
	}
	require.NoError(t, os.WriteFile(copied, damaged, 0o600))
	_, err = Restore(copied, elsewhere, true)
	assert.ErrorContains(t, err, "is damaged")
}

func BenchmarkListOf10000Jobs(b *testing.B) {
	s, err := Open(filepath.Join(b.TempDir(), "jobs.db"), Options{})
	require.NoError(b, err)
	defer s.Close()
	rows := make([]jobRow, 10000)
	for i := range rows {
		rows[i] = jobRow{
			ID:        fmt.Sprint("j", i),
			Name:      fmt.Sprint("Job ", i),
			Search:    fmt.Sprint("job ", i),
			Revision:  1,
			CreatedAt: time.Now().UTC(),
			UpdatedAt: time.Now().UTC(),
		}
	}
	require.NoError(b, s.db.CreateInBatches(rows, 500).Error)
	for b.Loop() {
		listed, total, err := s.List(Query{Limit: 100, Search: "job 9"})
		if err != nil || len(listed) != 100 || total < 100 {
			b.Fatal(total, err)
		}
	}
}

func BenchmarkSave(b *testing.B) {
	s, err := Open(filepath.Join(b.TempDir(), "jobs.db"), Options{})
	require.NoError(b, err)
	defer s.Close()
	d, err := s.Create(newJob("a", "0"))
	require.NoError(b, err)
	for i := 0; b.Loop(); i++ {
		if d, err = s.Save(d.Base(), rename(d.Job, fmt.Sprint(i))); err != nil {
			b.Fatal(err)
		}
	}
}

func TestComponentsOfTheWorkshopsOwn(t *testing.T) {
	s, _ := fresh(t)
	none, err := s.Components()
	require.NoError(t, err)
	assert.Empty(t, none)
	shelf := fitout.Component{ID: "shelf", Why: "weighed", Item: fitout.Item{ID: "shelf", Name: "Shelf", Mass: 3,
		Module: &fitout.Module{Kind: fitout.Shelf, Cells: []fitout.Cell{}}}}
	require.NoError(t, s.KeepComponents([]fitout.Component{shelf}))
	shelf.Item.Mass = 4
	require.NoError(t, s.KeepComponents([]fitout.Component{shelf}))
	kept, err := s.Components()
	require.NoError(t, err)
	require.Len(t, kept, 1)
	assert.True(t, kept[0].Own)
	assert.InDelta(t, 4, kept[0].Item.Mass, 0, "the newer takes the place of the older")
	require.NoError(t, s.ForgetComponent("shelf"))
	assert.ErrorIs(t, s.ForgetComponent("shelf"), ErrNotFound)
}
