package store

import (
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"

	"gorm.io/gorm"
)

// Restored is what a backup held.
type Restored struct{ Jobs, Revisions int64 }

// Restore puts a backup in the place of the database at path and tells what it held.
// The backup may have a -wal beside it: what stands there is read with it. Without
// replace it refuses when a database is there; it always refuses while one is served, a
// backup that is not whole, and one that is the database itself. The old database stays
// whole until the new one takes its place in one step, so that it may be killed at any
// point. The new one begins a lineage of its own: a page that was open on the old one
// does not save into it unasked.
func Restore(backup, path string, replace bool) (Restored, error) {
	var held Restored
	if err := Readable(backup); err != nil {
		return held, err
	}
	there, err := os.Stat(path)
	switch {
	case errors.Is(err, fs.ErrNotExist) && !exists(path):
	case err != nil:
		return held, fmt.Errorf("database %s cannot be replaced: %w", path, cause(err))
	case !there.Mode().IsRegular():
		return held, fmt.Errorf(
			"database %s is not a file; accepted is a name for a new file, or a Zaino database and "+
				"--replace",
			path,
		)
	case sameFile(backup, there):
		return held, fmt.Errorf("%s is the database itself; accepted is a backup of it", backup)
	case !replace:
		return held, fmt.Errorf(
			"database %s exists; accepted is a name for a new file, or --replace to put the backup in "+
				"its place",
			path,
		)
	}
	if err == nil { // what a link leads to is what is replaced
		if path, err = filepath.EvalSymlinks(path); err != nil {
			return held, err
		}
	}
	folder := filepath.Dir(path)
	if err := checkFolder(folder); err != nil {
		return held, err
	}
	fresh, err := copyTo(backup, folder, readOnly)
	if err != nil {
		return held, err
	}
	defer os.Remove(fresh)
	lock, err := lockFile(path)
	if err != nil {
		return held, err
	}
	defer lock.Close()
	if exists(path) {
		itself, err := lockItself(path)
		if err != nil {
			return held, err
		}
		defer itself.Close()
	}
	if held, err = begin(fresh); err != nil {
		return held, err
	}
	if err := settle(path); err != nil {
		return held, err
	}
	if err := os.Rename(fresh, path); err != nil {
		return held, err
	}
	return held, syncFolder(folder)
}

func sameFile(path string, as os.FileInfo) bool {
	info, err := os.Stat(path)
	return err == nil && os.SameFile(info, as)
}

// begin gives a database that was copied a lineage of its own and counts what it holds.
func begin(fresh string) (Restored, error) {
	var held Restored
	err := withDatabase(fresh, plainly, func(db *gorm.DB) error {
		if err := db.Exec("INSERT OR REPLACE INTO settings (name, value) VALUES (?, ?)", lineageSetting,
			newLineage()).Error; err != nil {
			return err
		}
		if err := db.Table("jobs").Where("deleted_at IS NULL").Count(&held.Jobs).Error; err != nil {
			return err
		}
		return db.Table("revisions").Count(&held.Revisions).Error
	})
	if err != nil {
		return held, err
	}
	return held, syncFile(fresh)
}

// settle brings what stands in the -wal of the database that is to be replaced into it
// and does away with the -wal, so that the old one is whole by itself and nothing of it is
// read into the new one. Of one that cannot be opened the companions are put aside.
func settle(path string) error {
	wal, shm := path+"-wal", path+"-shm"
	if exists(path) && checkHeader(path) == nil {
		_ = withDatabase(path, writable, func(db *gorm.DB) error {
			return db.Exec("PRAGMA wal_checkpoint(TRUNCATE)").Error
		}) // closing the last connection removes the -wal; where it does not, it is put aside
	}
	for _, companion := range []string{wal, shm} {
		info, err := os.Lstat(companion)
		if errors.Is(err, fs.ErrNotExist) {
			continue
		}
		if err == nil && info.Size() == 0 {
			err = os.Remove(companion)
		} else if err == nil {
			err = os.Rename(companion, companion+".replaced")
		}
		if err != nil {
			return err
		}
	}
	return nil
}
