package store

import (
	"fmt"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/demo"
)

func withDemo(t *testing.T) *Store {
	s, err := Open(t.TempDir()+"/jobs.db", Options{})
	require.NoError(t, err)
	t.Cleanup(func() { s.Close() })
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for i := range jobs {
		_, err = s.Create(&jobs[i])
		require.NoError(t, err)
	}
	return s
}

type line struct{ ID, Text string }

// Rows come back in the order of their time, each job has its own, and the same once more is the same; many who send at
// once lose nothing.
func TestRowsAreKeptOnce(t *testing.T) {
	s := withDemo(t)
	at := time.Date(2026, 5, 1, 8, 0, 0, 0, time.UTC)
	require.NoError(t, s.Keep(Entries, "river-gauging", "b", at.Add(time.Hour), line{"b", "later"}))
	require.NoError(t, s.Keep(Entries, "river-gauging", "a", at, line{"a", "first"}))
	require.NoError(t, s.Keep(Entries, "queen-bees", "a", at, line{"a", "of another job"}))
	require.NoError(t, s.Keep(Weighings, "river-gauging", "a", at, line{"a", "of another table"}))
	require.NoError(t, s.Keep(Entries, "river-gauging", "a", at, line{"a", "first"}))
	assert.ErrorIs(t, s.Keep(Entries, "river-gauging", "a", at, line{"a", "changed"}), ErrOther)
	assert.ErrorIs(t, s.Keep(Entries, "gone", "a", at, line{}), ErrNotFound)
	all, err := All[line](s, Entries, "river-gauging")
	require.NoError(t, err)
	assert.Equal(t, []line{{"a", "first"}, {"b", "later"}}, all)

	var senders sync.WaitGroup
	for n := range 8 {
		senders.Go(func() {
			for k := range 25 {
				id := fmt.Sprintf("s%d-%d", n, k)
				assert.NoError(t, s.Keep(Entries, "sound-recordist", id, at, line{id, ""}))
				assert.NoError(t, s.Keep(Entries, "sound-recordist", "all", at, line{"all", ""}))
			}
		})
	}
	senders.Wait()
	all, err = All[line](s, Entries, "sound-recordist")
	require.NoError(t, err)
	assert.Len(t, all, 8*25+1)
}

// Files come back as they were, up to as much as is kept of one job.
func TestFilesOfAJobHaveTheirBounds(t *testing.T) {
	s := withDemo(t)
	file := func(id string) *File {
		return &File{ID: id, Kind: "photo", Name: id, Type: "image/jpeg", At: time.Unix(1, 0).UTC()}
	}
	require.NoError(t, s.KeepFile("river-gauging", file("a"), []byte("one")))
	require.NoError(t, s.KeepFile("river-gauging", file("a"), []byte("one")))
	assert.ErrorIs(t, s.KeepFile("river-gauging", file("a"), []byte("two")), ErrOther)
	f, data, err := s.FileData("river-gauging", "a")
	require.NoError(t, err)
	assert.Equal(t, "one", string(data))
	assert.Equal(t, *file("a"), f)
	_, _, err = s.FileData("queen-bees", "a")
	assert.ErrorIs(t, err, ErrNotFound)
	half := make([]byte, MostFileBytes/2)
	require.NoError(t, s.KeepFile("river-gauging", file("b"), half))
	assert.ErrorContains(
		t,
		s.KeepFile("river-gauging", file("c"), half),
		"accepted is up to 500 files with 150 MB of one job",
	)
	require.NoError(t, s.DropFile("river-gauging", "b"))
	assert.ErrorIs(t, s.DropFile("river-gauging", "b"), ErrNotFound)
	files, err := s.Files("river-gauging")
	require.NoError(t, err)
	assert.Len(t, files, 1)
}
