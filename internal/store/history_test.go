package store

import (
	"fmt"
	"path/filepath"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// spoil writes rubbish over what is kept of a revision, as a bad sector would.
func spoil(t *testing.T, s *Store, id string, number int) {
	t.Helper()
	require.NoError(t, s.db.Exec("UPDATE revisions SET document = zeroblob(400) WHERE job_id = ? AND number = ?", id,
		number).Error)
}

func TestRevisionsTellWhoChangedWhat(t *testing.T) {
	s, now := fresh(t)
	d, err := s.CreateBy(newJob("a", "Van"), "Bench tablet")
	require.NoError(t, err)
	*now = now.Add(time.Hour)
	edited := d.Job
	edited.Name, edited.Customer = "Wagon", "Orla Fenn"
	base := d.Base()
	base.Author = "Office"
	d, err = s.Save(base, &edited)
	require.NoError(t, err)
	require.NoError(t, s.NameRevision("a", 1, "as ordered"))

	listed, err := s.History("a", 0, 10)
	require.NoError(t, err)
	require.False(t, listed.More)
	all := listed.Revisions
	require.Len(t, all, 2)
	assert.Equal(t, []string{"Office", "Bench tablet"}, []string{all[0].Author, all[1].Author})
	assert.Equal(t, []string{"", "as ordered"}, []string{all[0].Label, all[1].Label})
	assert.Equal(t, *now, all[0].At.UTC())
	assert.Equal(t, []fitout.Change{
		{Path: []string{"customer"}, Was: "", Is: "Orla Fenn"},
		{Path: []string{"name"}, Was: "Van", Is: "Wagon"},
	}, all[0].Changes)
	assert.Equal(t, -1, all[1].Changed, "there is none before the first")

	back, err := s.GoBack("a", 1, "Office")
	require.NoError(t, err)
	assert.Equal(t, 3, back.Revision)
	assert.Equal(t, "Van", back.Job.Name)
	again, err := s.GoBack("a", 2, "Office")
	require.NoError(t, err)
	assert.Equal(t, edited, again.Job, "going back is undone in the same way")
	assert.Equal(t, 4, again.Revision)
	stays, err := s.GoBack("a", 2, "Office")
	require.NoError(t, err)
	assert.Equal(t, 4, stays.Revision, "to where it is already it makes no revision")

	newest, err := s.History("a", 0, 2)
	require.NoError(t, err)
	require.True(t, newest.More)
	older, err := s.History("a", newest.Revisions[1].Number, 2)
	require.NoError(t, err)
	assert.False(t, older.More)
	numbers := []int{}
	for _, p := range append(newest.Revisions, older.Revisions...) {
		numbers = append(numbers, p.Number)
	}
	assert.Equal(t, []int{4, 3, 2, 1}, numbers)
	for _, call := range []error{
		s.NameRevision("a", 9, "x"),
		func() error { _, err := s.GoBack("a", 9, ""); return err }(),
		func() error { _, err := s.History("b", 0, 9); return err }(),
		func() error { _, err := s.LoadRevision("a", 9); return err }(),
	} {
		assert.ErrorIs(t, call, ErrNotFound)
	}
}

func TestADamagedNewestRevisionIsSteppedBackFrom(t *testing.T) {
	s, _ := fresh(t)
	d := mustCreate(t, s, "a", "First")
	mustCreate(t, s, "b", "Other")
	d, err := s.Save(d.Base(), rename(d.Job, "Second"))
	require.NoError(t, err)
	d, err = s.Save(d.Base(), rename(d.Job, "Third"))
	require.NoError(t, err)
	whole, err := Check(s.watch.path)
	require.NoError(t, err)
	assert.Empty(t, whole.Damaged)
	assert.Equal(t, []int{2, 4}, []int{whole.Jobs, whole.Revisions})
	spoil(t, s, "a", 3)

	_, err = s.Load("a")
	var damaged *DamagedError
	require.ErrorAs(t, err, &damaged)
	assert.Equal(t, 3, damaged.Number)
	found, err := Check(s.watch.path)
	require.NoError(t, err)
	require.Len(t, found.Damaged, 1)
	told := found.Damaged[0]
	assert.Equal(t, Damage{Job: "a", Name: "Third", Number: 3, Newest: true, Whole: 2, Why: told.Why}, told)

	history, err := s.History("a", 0, 10)
	require.NoError(t, err)
	all := history.Revisions
	assert.True(t, all[0].Damaged)
	assert.Equal(t, -1, all[0].Changed)
	assert.False(t, all[1].Damaged)
	back, err := s.GoBack("a", told.Whole, "")
	require.NoError(t, err)
	assert.Equal(t, 4, back.Revision)
	loaded, err := s.Load("a")
	require.NoError(t, err)
	assert.Equal(t, "Second", loaded.Job.Name)
	listed, _, err := s.List(Query{Limit: 10})
	require.NoError(t, err)
	assert.Contains(t, []string{listed[0].Name, listed[1].Name}, "Second")
	// What somebody has open from before is still saved, or asked about.
	_, err = s.Save(d.Base(), rename(d.Job, "Fourth"))
	var conflict *ConflictError
	require.ErrorAs(t, err, &conflict, "the revision that the edit was made on cannot be read")
	assert.Equal(t, "Second", conflict.Current.Job.Name)
}

func TestTimesAreInUTCWhereverTheWorkshopIs(t *testing.T) {
	was := time.Local
	t.Cleanup(func() { time.Local = was })
	path := filepath.Join(t.TempDir(), "jobs.db")
	for i, zone := range []*time.Location{time.FixedZone("west", -9*3600), time.FixedZone("east", 13*3600), time.UTC} {
		time.Local = zone
		s, err := Open(path, Options{})
		require.NoError(t, err)
		d := mustCreate(t, s, fmt.Sprint("job-", i), fmt.Sprint("Job ", i))
		_, err = s.Save(d.Base(), rename(d.Job, fmt.Sprint("Job ", i, " again")))
		require.NoError(t, err)
		var kept []string
		require.NoError(
			t,
			s.db.Raw("SELECT created_at || updated_at FROM jobs UNION SELECT created_at FROM revisions").
				Scan(&kept).Error,
		)
		for _, at := range kept {
			assert.Regexp(t, `(\+00:00|Z)$`, at)
		}
		require.NoError(t, s.Close())
	}
	s, err := Open(path, Options{})
	require.NoError(t, err)
	defer s.Close()
	listed, _, err := s.List(Query{Limit: 9})
	require.NoError(t, err)
	require.Len(t, listed, 3)
	assert.Equal(t, []string{"job-2", "job-1", "job-0"}, []string{listed[0].ID, listed[1].ID, listed[2].ID})
}

func TestALongSumHoldsUpNobodyElse(t *testing.T) {
	began, goOn := make(chan bool), make(chan bool)
	s, err := Open(filepath.Join(t.TempDir(), "jobs.db"), Options{Summarise: func(j *fitout.Job) Summary {
		if j.Name == "slow" {
			began <- true
			<-goOn
		}
		return Summary{}
	}})
	require.NoError(t, err)
	t.Cleanup(func() { s.Close() })
	slow, quick := mustCreate(t, s, "slow", "A"), mustCreate(t, s, "quick", "B")
	var wait sync.WaitGroup
	wait.Go(func() {
		_, err := s.Save(slow.Base(), rename(slow.Job, "slow"))
		assert.NoError(t, err)
	})
	<-began
	_, err = s.Save(quick.Base(), rename(quick.Job, "C")) // would wait for ever behind the other
	assert.NoError(t, err)
	// Somebody else's edit of the slow job itself comes first, and is not lost.
	other := slow.Job
	other.Customer = "Tam Aldous"
	_, err = s.Save(slow.Base(), &other)
	assert.NoError(t, err)
	go func() { <-began; goOn <- true }() // it is added up once more, merged
	goOn <- true
	wait.Wait()
	d, err := s.Load("slow")
	require.NoError(t, err)
	assert.Equal(t, []string{"slow", "Tam Aldous"}, []string{d.Job.Name, d.Job.Customer})
	assert.Equal(t, 3, d.Revision)
}

func TestAnIdIsTakenOnce(t *testing.T) {
	s, _ := fresh(t)
	var wait sync.WaitGroup
	errs := make(chan error, 20)
	for i := range 20 {
		wait.Go(func() {
			_, err := s.Create(newJob("one", fmt.Sprint(i)))
			errs <- err
		})
	}
	wait.Wait()
	close(errs)
	kept := 0
	for err := range errs {
		if err == nil {
			kept++
			continue
		}
		require.ErrorIs(t, err, ErrTaken)
	}
	assert.Equal(t, 1, kept)
}

func TestBrowsersAreLetInAndShutOut(t *testing.T) {
	s, now := fresh(t)
	first, token, err := s.LetIn("Bench tablet")
	require.NoError(t, err)
	*now = now.Add(time.Hour)
	second, _, err := s.LetIn("Office")
	require.NoError(t, err)
	all, err := s.Browsers()
	require.NoError(t, err)
	require.Len(t, all, 2)
	assert.Equal(t, "Office", all[0].Name)
	assert.Equal(t, HashToken(token), all[1].Token)
	assert.NotContains(t, all[1].Token, token, "the file does not let anybody in")
	*now = now.Add(time.Hour)
	require.NoError(t, s.SeeBrowser(first.ID))
	require.NoError(t, s.ShutOut(second.ID))
	assert.ErrorIs(t, s.ShutOut(second.ID), ErrNotFound)
	all, err = s.Browsers()
	require.NoError(t, err)
	require.Len(t, all, 1)
	assert.Equal(t, *now, all[0].Seen.UTC())
	for i := range MostBrowsers + 5 {
		*now = now.Add(time.Minute)
		_, _, err := s.LetIn(fmt.Sprint("visitor ", i))
		require.NoError(t, err)
	}
	all, err = s.Browsers()
	require.NoError(t, err)
	assert.Len(t, all, MostBrowsers)
}
