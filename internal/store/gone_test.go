package store

import (
	"fmt"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/example"
)

// A database whose file is deleted, replaced, or loses its log of writes while it is open keeps nothing any more
// and says so; what it holds goes into a new file, with the last save.
func TestADatabaseThatIsTakenAwayIsNoticed(t *testing.T) {
	takes := map[string]func(t *testing.T, path string){
		"deleted": func(t *testing.T, path string) { require.NoError(t, os.Remove(path)) },
		"moved":   func(t *testing.T, path string) { require.NoError(t, os.Rename(path, path+".old")) },
		"replaced": func(t *testing.T, path string) {
			require.NoError(t, os.Remove(path))
			require.NoError(t, os.WriteFile(path, []byte("something else"), 0o600))
		},
		"without its log": func(t *testing.T, path string) { require.NoError(t, os.Remove(path+"-wal")) },
	}
	for name, take := range takes {
		t.Run(name, func(t *testing.T) {
			path := filepath.Join(t.TempDir(), "jobs.db")
			s, err := Open(path, Options{})
			require.NoError(t, err)
			defer s.Close()
			j := example.Ute()
			kept, err := s.Create(&j)
			require.NoError(t, err)
			assert.False(t, s.Gone())
			j.Name = "Saved last"
			kept, err = s.Save(Base{Revision: kept.Revision, Lineage: kept.Lineage}, &j)
			require.NoError(t, err)

			take(t, path)
			assert.True(t, s.Gone())
			j.Name = "Not saved"
			_, err = s.Save(Base{Revision: kept.Revision, Lineage: kept.Lineage}, &j)
			require.ErrorIs(t, err, ErrGone)
			_, err = s.Create(&j)
			require.ErrorIs(t, err, ErrGone)

			to, err := s.Rescue()
			require.NoError(t, err)
			again, err := Open(to, Options{})
			require.NoError(t, err)
			defer again.Close()
			was, err := again.Load(j.ID)
			require.NoError(t, err)
			assert.Equal(t, "Saved last", was.Job.Name)
			if name == "replaced" {
				data, err := os.ReadFile(path)
				require.NoError(t, err)
				assert.Equal(t, "something else", string(data), "what was put there is not touched")
			}
		})
	}
}

// A database is known as served by whatever name a link gives it.
func TestALinkIsTheSameDatabase(t *testing.T) {
	folder := t.TempDir()
	path := filepath.Join(folder, "jobs.db")
	s, err := Open(path, Options{})
	require.NoError(t, err)
	symbolic, hard := filepath.Join(folder, "symbolic.db"), filepath.Join(folder, "hard.db")
	require.NoError(t, os.Symlink(path, symbolic))
	require.NoError(t, os.Link(path, hard))
	for _, name := range []string{path, symbolic, hard} {
		_, err := Open(name, Options{})
		require.ErrorContains(t, err, "open in another Zaino", name)
	}
	require.NoError(t, s.Close())
	again, err := Open(symbolic, Options{})
	require.NoError(t, err, "closed, it can be opened by any of its names")
	require.NoError(t, again.Close())
}

// However many connections come and go, the log of writes stays the same file, so that nobody is told that the
// database is gone.
func TestConnectionsThatComeAndGoTakeNothingAway(t *testing.T) {
	s, err := Open(filepath.Join(t.TempDir(), "jobs.db"), Options{})
	require.NoError(t, err)
	defer s.Close()
	j := example.Ute()
	kept, err := s.Create(&j)
	require.NoError(t, err)
	pool, err := s.db.DB()
	require.NoError(t, err)
	pool.SetMaxIdleConns(-1) // each is closed as soon as it was used
	for i := range 20 {
		j.Note = fmt.Sprint("change ", i)
		kept, err = s.Save(Base{Revision: kept.Revision, Lineage: kept.Lineage}, &j)
		require.NoError(t, err)
		assert.False(t, s.Gone())
	}
}
