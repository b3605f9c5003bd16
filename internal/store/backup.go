package store

import (
	"errors"
	"fmt"
	"io"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"

	"gorm.io/gorm"
)

// Backup writes a consistent copy of the database at path to a new file, also
// while a server is writing it.
func Backup(path, to string) error {
	if err := mustExist(path); err != nil {
		return err
	}
	if err := checkHeader(path); err != nil {
		return err
	}
	if _, err := os.Stat(to); err == nil {
		return fmt.Errorf("%s exists; accepted is a name for a new file", to)
	}
	if err := checkFolder(filepath.Dir(to)); err != nil {
		return err
	}
	return withDatabase(path, writable, func(db *gorm.DB) error {
		if err := db.Exec("VACUUM INTO ?", to).Error; err != nil {
			return err
		}
		return checkIntegrity(to)
	})
}

// Restore puts a backup in the place of the database at path. Without replace
// it refuses when a database is there; it always refuses while one is served,
// and a backup that is not whole.
func Restore(backup, path string, replace bool) error {
	if err := mustExist(backup); err != nil {
		return err
	}
	if err := checkHeader(backup); err != nil {
		return err
	}
	if err := checkIntegrity(backup); err != nil {
		return err
	}
	if _, err := os.Stat(path); err == nil && !replace {
		return fmt.Errorf("database %s exists; accepted is a name for a new file, or --replace to put the backup in its place", path)
	}
	if err := checkFolder(filepath.Dir(path)); err != nil {
		return err
	}
	lock, err := lockFile(path)
	if err != nil {
		return err
	}
	defer lock.Close()
	fresh := path + ".restoring"
	if err := copyFile(backup, fresh); err != nil {
		return err
	}
	for _, companion := range []string{path + "-wal", path + "-shm"} {
		if err := os.Remove(companion); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return err
		}
	}
	return os.Rename(fresh, path)
}

func mustExist(path string) error {
	info, err := os.Stat(path)
	if err != nil || info.Size() == 0 {
		return fmt.Errorf("there is no database %s", path)
	}
	return nil
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

func copyFile(from, to string) error {
	source, err := os.Open(from)
	if err != nil {
		return err
	}
	defer source.Close()
	target, err := os.OpenFile(to, os.O_CREATE|os.O_WRONLY|os.O_TRUNC, 0o600)
	if err != nil {
		return err
	}
	if _, err := io.Copy(target, source); err != nil {
		target.Close()
		return err
	}
	if err := target.Sync(); err != nil {
		target.Close()
		return err
	}
	return target.Close()
}
