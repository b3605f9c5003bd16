package store

import (
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"time"
)

// ErrGone says that the file of the database was deleted, moved or replaced while it is open: what would be
// written now would be lost with it.
var ErrGone = errors.New(
	"the file of the database is gone or was replaced while it is served; nothing is kept any more",
)

// watch remembers which files a database is made of, so that it is noticed when one is taken away.
type watch struct {
	path string
	was  map[string]os.FileInfo // by the ending of the name
}

// watched remembers the file of a database; its companions are remembered when they are first seen.
func watched(path string) (watch, error) {
	absolute, err := filepath.Abs(path)
	if err != nil {
		return watch{}, err
	}
	info, err := os.Stat(absolute)
	if err != nil {
		return watch{}, err
	}
	return watch{path: absolute, was: map[string]os.FileInfo{"": info}}, nil
}

// check is ErrGone when the file, or its log of writes, is another one than it was. The log comes with the
// first write and stays as long as the database is open.
func (w *watch) check() error {
	for _, ending := range []string{"", "-wal"} {
		info, err := os.Stat(w.path + ending)
		was, seen := w.was[ending]
		switch {
		case !seen && err == nil:
			w.was[ending] = info
		case seen && (err != nil || !os.SameFile(was, info)):
			return ErrGone
		}
	}
	return nil
}

// begin lets one writer in, and refuses where what it writes would be lost. The caller calls what it returns
// when it has done.
func (s *Store) begin() (func(), error) {
	s.writing.Lock()
	if err := s.watch.check(); err != nil {
		s.writing.Unlock()
		return nil, err
	}
	return s.writing.Unlock, nil
}

// Gone reports whether the file of the database was taken away.
func (s *Store) Gone() bool {
	s.writing.Lock()
	defer s.writing.Unlock()
	return s.watch.check() != nil
}

// Rescue writes all that the database holds to a new file beside where its own was, and returns its name: the
// file that was deleted is held open until the program ends. What another program put in its place is not
// touched.
func (s *Store) Rescue() (string, error) {
	s.writing.Lock()
	defer s.writing.Unlock()
	to := fmt.Sprintf("%s.rescued-%s.db", s.watch.path, time.Now().UTC().Format("20060102-150405.000"))
	if err := checkFolder(filepath.Dir(to)); err != nil {
		return "", err
	}
	if err := s.db.Exec("VACUUM INTO ?", to).Error; err != nil {
		return "", fmt.Errorf("%s cannot be written: %w", to, err)
	}
	if err := os.Chmod(to, private); err != nil {
		return "", err
	}
	return to, syncFolder(filepath.Dir(to))
}
