package store

import (
	"encoding/binary"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"syscall"
)

// applicationID marks a SQLite file as Zaino's: "ZAIN" in the header field
// that SQLite keeps for this.
const applicationID = 0x5a41494e

// Where SQLite's file header keeps what checkFile looks at; source: the SQLite
// file format, section 1.3.
const (
	headerLength   = 100
	headerMagic    = "SQLite format 3\x00"
	offsetVersion  = 60
	offsetIdentity = 68
)

// checkFile looks at a database without opening it, so that a foreign, newer
// or broken file is refused unchanged. A missing file is fine if it can be made.
func checkFile(path string) error {
	info, err := os.Stat(path)
	if errors.Is(err, fs.ErrNotExist) {
		return checkFolder(filepath.Dir(path))
	}
	if err != nil {
		return fmt.Errorf("database %s cannot be read: %w", path, err)
	}
	if !info.Mode().IsRegular() {
		return fmt.Errorf("database %s is not a file; accepted is a Zaino database or a name for a new one", path)
	}
	if err := checkHeader(path); err != nil {
		return err
	}
	file, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil {
		return fmt.Errorf(
			"database %s cannot be written (%w); give this user the right to write it, or name another file "+
				"with --db",
			path,
			cause(err),
		)
	}
	file.Close()
	return checkFolder(filepath.Dir(path))
}

func checkHeader(path string) error {
	file, err := os.Open(path)
	if err != nil {
		return fmt.Errorf("database %s cannot be read: %w", path, cause(err))
	}
	defer file.Close()
	header := make([]byte, headerLength)
	switch n, err := io.ReadFull(file, header); {
	case n == 0:
		return nil // an empty file becomes a new database
	case err != nil || string(header[:16]) != headerMagic:
		return fmt.Errorf("%s is not a database; accepted is a Zaino database or a name for a new one", path)
	}
	if binary.BigEndian.Uint32(header[offsetIdentity:]) != applicationID {
		return fmt.Errorf(
			"%s is a database of another program; accepted is a Zaino database or a name for a new one",
			path,
		)
	}
	if version := int(binary.BigEndian.Uint32(header[offsetVersion:])); version > schemaVersion() {
		return fmt.Errorf(
			"%s has version %d of the database, written by a newer Zaino; accepted is up to version %d: "+
				"bring this installation up to date",
			path,
			version,
			schemaVersion(),
		)
	}
	return nil
}

// checkFolder makes sure that the database's companions can be written.
func checkFolder(folder string) error {
	probe, err := os.CreateTemp(folder, ".zaino-*")
	if err != nil {
		return fmt.Errorf(
			"folder %s cannot be written (%w); give this user the right to write it, or name another file "+
				"with --db",
			folder,
			cause(err),
		)
	}
	probe.Close()
	return os.Remove(probe.Name())
}

// cause is the plain reason of a file error, without the path told again.
func cause(err error) error {
	var number syscall.Errno
	if errors.As(err, &number) {
		return number
	}
	return err
}

// lockFile takes the lock that says "this database is being served".
func lockFile(path string) (*os.File, error) {
	lock, err := os.OpenFile(path+".lock", os.O_CREATE|os.O_RDWR, private)
	if err != nil {
		return nil, fmt.Errorf("database %s cannot be locked: %w", path, cause(err))
	}
	if err := syscall.Flock(int(lock.Fd()), syscall.LOCK_EX|syscall.LOCK_NB); err != nil {
		lock.Close()
		return nil, fmt.Errorf(
			"database %s is open in another Zaino; stop that one, or name another file with --db",
			path,
		)
	}
	return lock, nil
}

// lockItself locks the file of a database too, so that it is known as served by whatever name a link gives it.
// SQLite's own locks are of another kind and go on beside it; the file must stay open as long as SQLite has it.
func lockItself(path string) (*os.File, error) {
	file, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil {
		return nil, fmt.Errorf("database %s cannot be locked: %w", path, cause(err))
	}
	if err := syscall.Flock(int(file.Fd()), syscall.LOCK_EX|syscall.LOCK_NB); err != nil {
		file.Close()
		return nil, fmt.Errorf(
			"database %s is open in another Zaino, under this name or a link to it; stop that one, or name another "+
				"file with --db",
			path,
		)
	}
	return file, nil
}

// keepPrivate makes a database, or the file that becomes one, this user's alone;
// its companions follow it.
func keepPrivate(path string) error {
	file, err := os.OpenFile(path, os.O_CREATE|os.O_RDWR, private)
	if err != nil {
		return err
	}
	file.Close()
	if info, err := os.Stat(path); err == nil && info.Mode().Perm()&0o077 != 0 {
		_ = os.Chmod(path, private) // somebody else's file that one may write stays as it is
	}
	return nil
}
