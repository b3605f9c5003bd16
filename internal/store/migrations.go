package store

import (
	"fmt"

	"github.com/go-gormigrate/gormigrate/v2"
	"gorm.io/gorm"
)

// migrations bring a database of any older version to this one, in order. A
// migration that has shipped is never changed; it spells its tables out so
// that later changes of the models do not change it.
func migrations() []*gormigrate.Migration {
	return []*gormigrate.Migration{
		{ID: "0001-jobs-and-revisions", Migrate: statements(
			`CREATE TABLE jobs (
				id TEXT PRIMARY KEY, name TEXT NOT NULL, customer TEXT NOT NULL, vehicle TEXT NOT NULL, search TEXT NOT NULL,
				archived BOOLEAN NOT NULL DEFAULT FALSE, revision INTEGER NOT NULL,
				stops INTEGER NOT NULL, cautions INTEGER NOT NULL,
				created_at DATETIME NOT NULL, updated_at DATETIME NOT NULL, deleted_at DATETIME)`,
			`CREATE INDEX jobs_listed ON jobs (deleted_at, archived, updated_at DESC)`,
			`CREATE TABLE revisions (
				job_id TEXT NOT NULL REFERENCES jobs (id), number INTEGER NOT NULL, base INTEGER NOT NULL,
				label TEXT NOT NULL, created_at DATETIME NOT NULL, document BLOB NOT NULL, PRIMARY KEY (job_id, number)) WITHOUT ROWID`,
			`CREATE TABLE settings (name TEXT PRIMARY KEY, value TEXT NOT NULL)`,
		)},
		{ID: "0002-components", Migrate: statements(
			`CREATE TABLE components (id TEXT PRIMARY KEY, name TEXT NOT NULL, document BLOB NOT NULL, updated_at DATETIME NOT NULL)`,
		)},
		{ID: "0003-readings", Migrate: statements(
			`CREATE TABLE readings (
				id INTEGER PRIMARY KEY, job_id TEXT NOT NULL REFERENCES jobs (id), system TEXT NOT NULL,
				at DATETIME NOT NULL, received DATETIME NOT NULL, document BLOB NOT NULL)`,
			`CREATE INDEX readings_listed ON readings (job_id, system, at)`,
		)},
		{ID: "0004-weighings-log-and-files", Migrate: statements(
			`CREATE TABLE weighings (
				job_id TEXT NOT NULL REFERENCES jobs (id), id TEXT NOT NULL, at DATETIME NOT NULL, received DATETIME NOT NULL,
				document BLOB NOT NULL, PRIMARY KEY (job_id, id)) WITHOUT ROWID`,
			`CREATE TABLE entries (
				job_id TEXT NOT NULL REFERENCES jobs (id), id TEXT NOT NULL, at DATETIME NOT NULL, received DATETIME NOT NULL,
				document BLOB NOT NULL, PRIMARY KEY (job_id, id)) WITHOUT ROWID`,
			`CREATE TABLE files (
				job_id TEXT NOT NULL REFERENCES jobs (id), id TEXT NOT NULL, at DATETIME NOT NULL, received DATETIME NOT NULL,
				document BLOB NOT NULL, size INTEGER NOT NULL, data BLOB NOT NULL, PRIMARY KEY (job_id, id))`,
		)},
		{ID: "0005-workshop", Migrate: statements(
			`CREATE TABLE workshops (id TEXT PRIMARY KEY, document BLOB NOT NULL, updated_at DATETIME NOT NULL) WITHOUT ROWID`,
		)},
		{ID: "0006-authors-browsers-and-utc", Migrate: statements(
			`ALTER TABLE revisions ADD COLUMN author TEXT NOT NULL DEFAULT ''`,
			`CREATE TABLE browsers (id TEXT PRIMARY KEY, name TEXT NOT NULL, token TEXT NOT NULL,
				since DATETIME NOT NULL, seen DATETIME NOT NULL) WITHOUT ROWID`,
			// SQLite compares times as text: one that was written in the machine's own zone sorts wrongly.
			`UPDATE jobs SET created_at = `+inUTC("created_at")+`, updated_at = `+inUTC("updated_at"),
			`UPDATE revisions SET created_at = `+inUTC("created_at"),
		)},
	}
}

// inUTC is the SQL of a time in UTC, and of what cannot be read as it is.
func inUTC(column string) string {
	return `COALESCE(strftime('%Y-%m-%d %H:%M:%f+00:00', ` + column + `), ` + column + `)`
}

func statements(all ...string) gormigrate.MigrateFunc {
	return func(tx *gorm.DB) error {
		for _, statement := range all {
			if err := tx.Exec(statement).Error; err != nil {
				return err
			}
		}
		return nil
	}
}

// schemaVersion is the version of the database that this program writes.
func schemaVersion() int { return len(migrations()) }

// migrate runs what is missing and writes identity and version into the file's
// header, where checkFile looks for them.
func migrate(db *gorm.DB) error {
	options := *gormigrate.DefaultOptions
	options.UseTransaction = true
	if err := gormigrate.New(db, &options, migrations()).Migrate(); err != nil {
		return fmt.Errorf("cannot be brought to version %d: %w", schemaVersion(), err)
	}
	for _, pragma := range []string{
		fmt.Sprintf("PRAGMA application_id = %d", applicationID),
		fmt.Sprintf("PRAGMA user_version = %d", schemaVersion()),
		"PRAGMA wal_checkpoint(TRUNCATE)",
	} {
		if err := db.Exec(pragma).Error; err != nil {
			return err
		}
	}
	return nil
}
