package store

import (
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// opened opens a database, or makes it, with so many saves of one job.
func opened(t *testing.T, path string, saves int) *Store {
	t.Helper()
	s, err := Open(path, Options{})
	require.NoError(t, err)
	d := mustCreate(t, s, "a", "0")
	for i := range saves {
		d, err = s.Save(d.Base(), rename(d.Job, fmt.Sprint(i+1)))
		require.NoError(t, err)
	}
	return s
}

func names(t *testing.T, path string) string {
	t.Helper()
	s, err := Open(path, Options{})
	require.NoError(t, err)
	defer s.Close()
	d, err := s.Load("a")
	require.NoError(t, err)
	return d.Job.Name
}

// copyAll copies a database as it lies on the disk, with its companions.
func copyAll(t *testing.T, from, to string) {
	t.Helper()
	for _, ending := range []string{"", "-wal"} {
		data, err := os.ReadFile(from + ending)
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(to+ending, data, 0o600))
	}
}

// What somebody copied by hand has its last saves in the -wal beside it.
func TestABackupIsRestoredWithWhatStandsInItsWal(t *testing.T) {
	folder := t.TempDir()
	s := opened(t, filepath.Join(folder, "a.db"), 3)
	defer s.Close()
	copied := filepath.Join(folder, "copied.db")
	copyAll(t, filepath.Join(folder, "a.db"), copied)
	plain, err := os.Stat(copied + "-wal")
	require.NoError(t, err)
	require.NotZero(t, plain.Size(), "this is what it is about")
	held, err := Restore(copied, filepath.Join(folder, "restored.db"), false)
	require.NoError(t, err)
	assert.Equal(t, Restored{Jobs: 1, Revisions: 4}, held)
	assert.Equal(t, "3", names(t, filepath.Join(folder, "restored.db")))

	// A database that is served is a backup too.
	_, err = Restore(filepath.Join(folder, "a.db"), filepath.Join(folder, "of-served.db"), false)
	require.NoError(t, err)
	assert.Equal(t, "3", names(t, filepath.Join(folder, "of-served.db")))
}

// The old database's -wal is nothing of the new one's.
func TestWhatTheOldOneLeftBehindIsNotReadIntoTheNewOne(t *testing.T) {
	folder := t.TempDir()
	backup, db := filepath.Join(folder, "backup.db"), filepath.Join(folder, "a.db")
	s := opened(t, filepath.Join(folder, "first.db"), 1)
	require.NoError(t, Backup(filepath.Join(folder, "first.db"), backup))
	s.Close()
	live := opened(t, filepath.Join(folder, "live.db"), 5)
	copyAll(t, filepath.Join(folder, "live.db"), db) // as a kill leaves it
	live.Close()
	held, err := Restore(backup, db, true)
	require.NoError(t, err)
	assert.Equal(t, Restored{Jobs: 1, Revisions: 2}, held)
	assert.Equal(t, "1", names(t, db))

	// Only the -wal of a database that is gone is in the way of none.
	require.NoError(t, os.Remove(db))
	require.NoError(t, os.WriteFile(db+"-wal", []byte("left over"), 0o600))
	_, err = Restore(backup, db, false)
	require.NoError(t, err)
	assert.Equal(t, "1", names(t, db))
}

// A page that was open before a restore saves nothing over what came back.
func TestASaveFromBeforeARestoreIsAskedAbout(t *testing.T) {
	folder := t.TempDir()
	db, backup := filepath.Join(folder, "a.db"), filepath.Join(folder, "backup.db")
	s := opened(t, db, 2)
	require.NoError(t, Backup(db, backup))
	open, err := s.Load("a")
	require.NoError(t, err)
	open, err = s.Save(open.Base(), rename(open.Job, "after the backup"))
	require.NoError(t, err)
	require.NoError(t, s.Close())
	_, err = Restore(backup, db, true)
	require.NoError(t, err)

	s, err = Open(db, Options{})
	require.NoError(t, err)
	defer s.Close()
	theirs, err := s.Load("a")
	require.NoError(t, err)
	theirs, err = s.Save(theirs.Base(), rename(theirs.Job, "somebody else's"))
	require.NoError(t, err)
	assert.Equal(t, open.Revision, theirs.Revision, "the numbers repeat")
	var conflict *ConflictError
	_, err = s.Save(open.Base(), rename(open.Job, "mine"))
	require.ErrorAs(t, err, &conflict)
	assert.Contains(t, conflict.Reason, "put back to a backup")
	assert.Equal(t, "somebody else's", conflict.Current.Job.Name)
	again, err := s.Load("a")
	require.NoError(t, err)
	assert.Equal(t, "somebody else's", again.Job.Name)

	kept, err := s.Save(conflict.Current.Base(), rename(open.Job, "mine"))
	require.NoError(t, err, "once it was asked about, it goes on")
	assert.Equal(t, "mine", kept.Job.Name)

	require.NoError(t, s.Close())
	s, err = Open(db, Options{})
	require.NoError(t, err)
	_, err = s.Save(kept.Base(), rename(kept.Job, "after a restart"))
	assert.NoError(t, err, "a restart is no restore")
}

func TestRestoreRefusesWhatIsNoBackupOfThis(t *testing.T) {
	folder := t.TempDir()
	db := filepath.Join(folder, "a.db")
	require.NoError(t, opened(t, db, 1).Close())
	link, hard := filepath.Join(folder, "link.db"), filepath.Join(folder, "hard.db")
	require.NoError(t, os.Symlink(db, link))
	require.NoError(t, os.Link(db, hard))
	backup := filepath.Join(folder, "backup.db")
	require.NoError(t, Backup(db, backup))
	for _, c := range []struct{ name, from, to, sentence string }{
		{"itself", db, db, "is the database itself"},
		{"a link to itself", link, db, "is the database itself"},
		{"over a link to itself", db, link, "is the database itself"},
		{"another name of itself", hard, db, "is the database itself"},
		{"a folder", folder, db, "is not a file"},
		{"over a folder", backup, folder, "is not a file"},
		{"nothing", filepath.Join(folder, "none.db"), db, "there is no database"},
	} {
		t.Run(c.name, func(t *testing.T) {
			_, err := Restore(c.from, c.to, true)
			assert.ErrorContains(t, err, c.sentence)
			assert.Equal(t, "1", names(t, db))
		})
	}
	_, err := Restore(backup, link, true)
	require.NoError(t, err)
	info, err := os.Lstat(link)
	require.NoError(t, err)
	assert.NotZero(t, info.Mode()&os.ModeSymlink, "what the link leads to is replaced, not the link")
}

func TestDatabasesAreTheirOwnersAlone(t *testing.T) {
	folder := t.TempDir()
	db, backup, restored := filepath.Join(folder, "a.db"), filepath.Join(folder, "b.db"), filepath.Join(folder, "c.db")
	s := opened(t, db, 1)
	require.NoError(t, Backup(db, backup))
	_, err := Restore(backup, restored, false)
	require.NoError(t, err)
	files, err := filepath.Glob(filepath.Join(folder, "*"))
	require.NoError(t, err)
	require.Contains(t, files, db+"-wal")
	for _, file := range files {
		info, err := os.Stat(file)
		require.NoError(t, err)
		assert.Equal(t, os.FileMode(0o600), info.Mode().Perm(), file)
	}
	require.NoError(t, s.Close())
	require.NoError(t, os.Chmod(db, 0o644))
	s, err = Open(db, Options{})
	require.NoError(t, err)
	defer s.Close()
	info, err := os.Stat(db)
	require.NoError(t, err)
	assert.Equal(t, os.FileMode(0o600), info.Mode().Perm(), "one of before is closed to others too")
}

// Killed at any moment, what is there under the database's name is the old one or the
// new one, whole, and under the backup's name a whole backup or nothing.
func TestRestoreAndBackupCanBeKilledAtAnyMoment(t *testing.T) {
	if path := os.Getenv("ZAINO_KILLED"); path != "" {
		switch os.Getenv("ZAINO_DOES") {
		case "restore":
			_, err := Restore(path+".backup", path, true)
			require.NoError(t, err)
		case "backup":
			require.NoError(t, Backup(path, path+".new"))
		}
		return
	}
	folder := t.TempDir()
	backup := filepath.Join(folder, "first.db")
	s := opened(t, backup, 1)
	require.NoError(t, s.Close())
	live := opened(t, filepath.Join(folder, "live.db"), 40)
	defer live.Close()
	killed := 0
	for round := range 24 {
		db := filepath.Join(folder, fmt.Sprintf("%d.db", round))
		copyAll(t, filepath.Join(folder, "live.db"), db)
		require.NoError(t, os.Rename(copyOf(t, backup, folder), db+".backup"))
		does := []string{"restore", "backup"}[round%2]
		command := exec.Command(os.Args[0], "-test.run", "TestRestoreAndBackupCanBeKilledAtAnyMoment$")
		command.Env = append(os.Environ(), "ZAINO_KILLED="+db, "ZAINO_DOES="+does)
		require.NoError(t, command.Start())
		time.Sleep(time.Duration(5+round*3) * time.Millisecond)
		if command.Process.Kill() == nil && command.Wait() != nil {
			killed++
		}
		assert.Contains(t, []string{"1", "40"}, names(t, db), does)
		if does == "backup" && exists(db+".new") {
			assert.Equal(t, "40", names(t, db+".new"))
		}
	}
	assert.NotZero(t, killed)
}

func copyOf(t *testing.T, path, folder string) string {
	t.Helper()
	data, err := os.ReadFile(path)
	require.NoError(t, err)
	to := filepath.Join(folder, strings.TrimSuffix(filepath.Base(path), ".db")+".copy")
	require.NoError(t, os.WriteFile(to, data, 0o600))
	return to
}
