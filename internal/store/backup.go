package store

import (
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"

	"gorm.io/gorm"
)

// private is who may read a database, a backup of it and its lock: this user alone.
const private = 0o600

// Backup writes a consistent copy of the database at path to a new file, also
// while a server is writing it. The file has its name only once it is whole.
func Backup(path, to string) error {
	if err := Readable(path); err != nil {
		return err
	}
	if _, err := os.Lstat(to); err == nil {
		return fmt.Errorf("%s exists; accepted is a name for a new file", to)
	}
	if err := checkFolder(filepath.Dir(to)); err != nil {
		return err
	}
	fresh, err := copyTo(path, filepath.Dir(to), writable)
	if err != nil {
		return err
	}
	defer os.Remove(fresh)
	if err := os.Link(fresh, to); err != nil { // unlike a rename this takes the place of nothing
		return fmt.Errorf("%s cannot be written: %w", to, cause(err))
	}
	return syncFolder(filepath.Dir(to))
}

// Readable refuses what is no whole Zaino database of this version or an older one.
func Readable(path string) error {
	info, err := os.Stat(path)
	switch {
	case err != nil || info.Mode().IsRegular() && info.Size() == 0:
		return fmt.Errorf("there is no database %s", path)
	case !info.Mode().IsRegular():
		return fmt.Errorf("%s is not a file; accepted is a Zaino database", path)
	}
	return checkHeader(path)
}

// copyTo writes all that a database holds, with what still stands in its -wal, to a new
// file in a folder, and makes sure that it is whole and on disk. SQLite itself reads and
// writes it. The caller removes the file.
func copyTo(path, folder string, how url.Values) (string, error) {
	if how.Get("mode") == "ro" && !exists(path+"-wal") {
		how = still // so that it can be read from where nothing may be written
	}
	file, err := os.CreateTemp(folder, ".zaino-*.db") // for this user alone
	if err != nil {
		return "", err
	}
	fresh := file.Name()
	file.Close()
	err = withDatabase(path, how, func(db *gorm.DB) error {
		if err := db.Exec("VACUUM INTO ?", fresh).Error; err != nil { // into an empty file
			return fmt.Errorf("%s is damaged: %w", path, err)
		}
		return nil
	})
	if err == nil {
		err = checkIntegrity(fresh)
	}
	if err == nil {
		err = syncFile(fresh)
	}
	if err != nil {
		os.Remove(fresh)
		return "", err
	}
	return fresh, nil
}

func checkIntegrity(path string) error {
	return withDatabase(path, readOnly, func(db *gorm.DB) error {
		var answer string
		if err := db.Raw("PRAGMA integrity_check").Scan(&answer).Error; err != nil {
			return fmt.Errorf("%s is damaged: %w", path, err)
		}
		if answer != "ok" {
			return fmt.Errorf("%s is damaged: %s", path, answer)
		}
		return nil
	})
}

func withDatabase(path string, how url.Values, use func(*gorm.DB) error) error {
	db, err := connect(path, how)
	if err != nil {
		return fmt.Errorf("database %s: %w", path, err)
	}
	sql, err := db.DB()
	if err != nil {
		return err
	}
	defer sql.Close()
	return use(db)
}

func syncFile(path string) error {
	file, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil {
		return err
	}
	return errors.Join(file.Sync(), file.Close())
}

// syncFolder makes a new name of a file last.
func syncFolder(path string) error {
	folder, err := os.Open(path)
	if err != nil {
		return err
	}
	return errors.Join(folder.Sync(), folder.Close())
}

func exists(path string) bool {
	_, err := os.Lstat(path)
	return !errors.Is(err, fs.ErrNotExist)
}
