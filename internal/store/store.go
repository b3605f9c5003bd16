// Package store keeps jobs and their revisions in one SQLite file. Every save
// is a new revision of the whole document; a save that returns is on disk.
package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"log/slog"
	"net/url"
	"os"
	"path/filepath"
	"sync"
	"time"

	"gorm.io/driver/sqlite"
	"gorm.io/gorm"
	"gorm.io/gorm/logger"

	"zaino/internal/core/fitout"
)

// Store is an open database. Its methods may be called at the same time.
type Store struct {
	db        *gorm.DB
	lock      *os.File
	itself    *os.File   // the file of the database, locked
	writing   sync.Mutex // one writer
	summarise func(*fitout.Job) Summary
	now       func() time.Time
	lineage   string
	watch     watch
	keeper    *sql.Conn // never used: while one connection is open SQLite leaves its log of writes where it is
}

// Summary is what the list of jobs shows about a job's findings.
type Summary struct {
	Stops    int `json:"stops"`
	Cautions int `json:"cautions"`
}

// Options are what a Store needs from outside.
type Options struct {
	// Summarise counts the findings of a valid job. Without it lists show none.
	Summarise func(*fitout.Job) Summary
	// Now tells the time in UTC; without it the clock does.
	Now func() time.Time
}

// ErrNotFound says that there is no such job, or that it is deleted.
var ErrNotFound = errors.New("there is no such job")

// Open opens the database at path for the one program that may write it, and
// creates it if nothing is there. It refuses, leaving the file as it is: a file
// that is not SQLite, another program's database, one of a newer version, one
// that another Zaino has open, and a folder that cannot be written.
func Open(path string, options Options) (*Store, error) {
	if err := checkFile(path); err != nil {
		return nil, err
	}
	lock, err := lockFile(path)
	if err != nil {
		return nil, err
	}
	err = keepPrivate(path)
	var itself *os.File
	if err == nil {
		itself, err = lockItself(path)
	}
	var db *gorm.DB
	if err == nil {
		db, err = connect(path, writable)
	}
	if err == nil {
		err = migrate(db)
	}
	if err != nil {
		lock.Close()
		if itself != nil {
			itself.Close()
		}
		return nil, fmt.Errorf("database %s: %w", path, err)
	}
	s := &Store{db: db, lock: lock, itself: itself, summarise: options.Summarise, now: options.Now}
	if s.summarise == nil {
		s.summarise = func(*fitout.Job) Summary { return Summary{} }
	}
	if s.now == nil {
		s.now = func() time.Time { return time.Now().UTC() } // SQLite compares times as text
	}
	if s.watch, err = watched(path); err != nil {
		s.Close()
		return nil, fmt.Errorf("database %s: %w", path, err)
	}
	if s.keeper, err = keeperOf(db); err != nil {
		s.Close()
		return nil, fmt.Errorf("database %s: %w", path, err)
	}
	if s.lineage, err = s.ensureLineage(); err != nil {
		s.Close()
		return nil, fmt.Errorf("database %s: %w", path, err)
	}
	return s, nil
}

// Close finishes writes and closes the database.
func (s *Store) Close() error {
	s.writing.Lock()
	defer s.writing.Unlock()
	defer s.lock.Close()
	defer s.itself.Close()
	if s.keeper != nil {
		s.keeper.Close()
	}
	db, err := s.db.DB()
	if err != nil {
		return err
	}
	return db.Close()
}

// keeperOf opens a connection that has the log of writes open and stays.
func keeperOf(db *gorm.DB) (*sql.Conn, error) {
	pool, err := db.DB()
	if err != nil {
		return nil, err
	}
	keeper, err := pool.Conn(context.Background())
	if err != nil {
		return nil, err
	}
	var count int
	if err := keeper.QueryRowContext(context.Background(), "SELECT count(*) FROM sqlite_schema").Scan(&count); err != nil {
		keeper.Close()
		return nil, err
	}
	return keeper, nil
}

// Ping reports whether the database answers.
func (s *Store) Ping() error {
	return s.db.Exec("SELECT 1").Error
}

// How connect opens a database. Writable is so that an acknowledged write
// survives being killed at any point: WAL with full synchronisation.
var (
	writable = url.Values{"_journal_mode": {"WAL"}, "_synchronous": {"FULL"}, "_foreign_keys": {"on"},
		"_busy_timeout": {"5000"}, "_txlock": {"immediate"}}
	readOnly = url.Values{"mode": {"ro"}, "_busy_timeout": {"5000"}}
	still    = url.Values{"mode": {"ro"}, "immutable": {"1"}}                    // nobody writes it
	plainly  = url.Values{"_journal_mode": {"DELETE"}, "_synchronous": {"FULL"}} // without companions
)

func connect(path string, how url.Values) (*gorm.DB, error) {
	absolute, err := filepath.Abs(path)
	if err != nil {
		return nil, err
	}
	source := url.URL{Scheme: "file", Path: absolute, RawQuery: how.Encode()}
	return gorm.Open(sqlite.Open(source.String()), &gorm.Config{
		NowFunc: func() time.Time { return time.Now().UTC() }, // SQLite compares times as text
		Logger: logger.NewSlogLogger(slog.Default(), logger.Config{LogLevel: logger.Error, SlowThreshold: time.Second,
			IgnoreRecordNotFoundError: true, ParameterizedQueries: true}), // no line of the log holds what is in a job
	})
}
