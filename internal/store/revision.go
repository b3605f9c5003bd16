package store

import (
	"bytes"
	"compress/gzip"
	"errors"
	"fmt"
	"io"
	"time"

	"gorm.io/gorm"

	"zaino/internal/core/fitout"
)

// revisionRow is one state of a job. Rows are never rewritten.
type revisionRow struct {
	JobID     string `gorm:"primaryKey"`
	Number    int    `gorm:"primaryKey"`
	Base      int    // the revision that the edit was made on
	Label     string // name that somebody gave it; a named one is kept for ever
	Author    string // who saved it: the name of a browser; empty for the machine itself
	CreatedAt time.Time
	Document  []byte // gzip of the canonical JSON
}

// TableName is the table's name for GORM.
func (revisionRow) TableName() string { return "revisions" }

// Document is a job with the number of its revision, and the lineage that the number
// is of.
type Document struct {
	Revision int        `json:"revision"`
	Lineage  string     `json:"lineage" doc:"the history that the revision is of; a save carries it back"`
	Job      fitout.Job `json:"job"`
}

// Base is the revision that an edit was made on, and who made it.
type Base struct {
	Revision int
	Lineage  string
	Author   string
}

// Base is a document as the base of an edit.
func (d Document) Base() Base {
	return Base{Revision: d.Revision, Lineage: d.Lineage}
}

// ConflictError says that a save could not be merged with what others saved
// meanwhile. Current is what is stored now.
type ConflictError struct {
	Current   Document
	Conflicts []fitout.Conflict
	Reason    string
}

// Error says why the interface has to ask.
func (e *ConflictError) Error() string { return e.Reason }

// packed is a revision as it is written.
func packed(j *fitout.Job, number, base int, author string, now time.Time) (revisionRow, error) {
	document, err := fitout.Encode(j)
	if err != nil {
		return revisionRow{}, err
	}
	var data bytes.Buffer
	w := gzip.NewWriter(&data)
	if _, err := w.Write(document); err != nil {
		return revisionRow{}, err
	}
	if err := w.Close(); err != nil {
		return revisionRow{}, err
	}
	return revisionRow{
		JobID:     j.ID,
		Number:    number,
		Base:      base,
		Author:    author,
		CreatedAt: now,
		Document:  data.Bytes(),
	}, nil
}

// DamagedError says that what is kept of a revision cannot be read any more. The other revisions are as they were.
type DamagedError struct {
	Job    string
	Number int
	Why    error
}

// Error tells which revision, and why.
func (e *DamagedError) Error() string {
	return fmt.Sprintf("revision %d of job %s is damaged: %v", e.Number, e.Job, e.Why)
}

// Unwrap is why it cannot be read.
func (e *DamagedError) Unwrap() error { return e.Why }

func (r *revisionRow) job() (fitout.Job, error) {
	reader, err := gzip.NewReader(bytes.NewReader(r.Document))
	var data []byte
	if err == nil {
		data, err = io.ReadAll(io.LimitReader(reader, fitout.MaxBytes+1))
	}
	var job fitout.Job
	if err == nil {
		job, err = fitout.Decode(data)
	}
	if err == nil && job.ID != r.JobID {
		err = fmt.Errorf("it is of job %.64s", job.ID)
	}
	if err != nil {
		return job, &DamagedError{r.JobID, r.Number, err}
	}
	return job, nil
}

// Revision returns the number of a job's newest revision.
func (s *Store) Revision(id string) (int, error) {
	row, err := head(s.db, id)
	return row.Revision, err
}

// Load returns a job's newest revision.
func (s *Store) Load(id string) (Document, error) {
	row, err := head(s.db, id)
	if err != nil {
		return Document{}, err
	}
	return s.load(s.db, id, row.Revision)
}

func head(tx *gorm.DB, id string) (jobRow, error) {
	var row jobRow
	err := tx.Where("id = ?", id).Take(&row).Error
	if errors.Is(err, gorm.ErrRecordNotFound) {
		err = ErrNotFound
	}
	return row, err
}

func (s *Store) load(tx *gorm.DB, id string, number int) (Document, error) {
	var row revisionRow
	err := tx.Where("job_id = ? AND number = ?", id, number).Take(&row).Error
	if errors.Is(err, gorm.ErrRecordNotFound) {
		err = ErrNotFound
	}
	if err != nil {
		return Document{}, err
	}
	job, err := row.job()
	return Document{Revision: number, Lineage: s.lineage, Job: job}, err
}

// Save keeps a valid job as a new revision of the job with its id. base is what the
// edit was made on; one of another lineage is always a conflict. If others have saved since, the edit is
// merged with theirs; where that needs a decision, it returns *ConflictError
// and keeps nothing. A document that changes nothing makes no revision.
func (s *Store) Save(base Base, mine *fitout.Job) (Document, error) {
	return s.advance(mine.ID, base.Revision, base.Author, func(row *jobRow) (fitout.Job, *Document, error) {
		current, err := s.load(s.db, mine.ID, row.Revision)
		if err != nil {
			return fitout.Job{}, nil, err
		}
		if base.Lineage != s.lineage {
			return fitout.Job{}, nil, &ConflictError{Current: current, Conflicts: []fitout.Conflict{},
				Reason: "the database was put back to a backup since this job was opened, so that what is stored may be older or " +
					"somebody else's"}
		}
		job := *mine
		if base.Revision != row.Revision {
			if job, err = s.merge(s.db, base.Revision, mine, current); err != nil {
				return job, nil, err
			}
		}
		if same(&job, &current.Job) {
			return job, &current, nil
		}
		return job, nil, nil
	})
}

// advance gives a job its next revision. What takes long, reading, merging, adding up and packing, is done while
// others may write; when one of them was quicker with this job it is done once more.
func (s *Store) advance(id string, base int, author string,
	next func(*jobRow) (job fitout.Job, unchanged *Document, err error)) (Document, error) {
	for {
		row, err := head(s.db, id)
		if err != nil {
			return Document{}, err
		}
		was := row.Revision
		job, unchanged, err := next(&row)
		switch {
		case err != nil:
			return Document{}, err
		case unchanged != nil:
			done, err := s.begin() // also then it must be true that what is stored is kept
			if err != nil {
				return Document{}, err
			}
			done()
			return *unchanged, nil
		}
		row.Revision++
		row.UpdatedAt = s.now()
		s.describe(&row, &job)
		revision, err := packed(&job, row.Revision, base, author, row.UpdatedAt)
		if err != nil {
			return Document{}, err
		}
		written, err := s.replace(&row, was, &revision)
		if err != nil || written {
			return Document{Revision: row.Revision, Lineage: s.lineage, Job: job}, err
		}
	}
}

// replace writes a job's next revision, unless somebody else wrote one after the revision was.
func (s *Store) replace(row *jobRow, was int, revision *revisionRow) (written bool, err error) {
	done, err := s.begin()
	if err != nil {
		return false, err
	}
	defer done()
	err = s.db.Transaction(func(tx *gorm.DB) error {
		result := tx.Model(&jobRow{}).Where("id = ? AND revision = ?", row.ID, was).
			Select("name", "customer", "vehicle", "search", "revision", "stops", "cautions", "updated_at").
			UpdateColumns(row)
		if result.Error != nil || result.RowsAffected == 0 {
			return result.Error
		}
		written = true
		return tx.Create(revision).Error
	})
	return written && err == nil, err
}

func (s *Store) merge(tx *gorm.DB, base int, mine *fitout.Job, current Document) (fitout.Job, error) {
	common, err := s.load(tx, mine.ID, base)
	if err != nil {
		return fitout.Job{}, &ConflictError{Current: current, Conflicts: []fitout.Conflict{},
			Reason: fmt.Sprintf("revision %d, which this edit was made on, is no longer kept", base)}
	}
	merged, conflicts, err := fitout.Merge(&common.Job, mine, &current.Job)
	if err != nil {
		return fitout.Job{}, &ConflictError{Current: current, Conflicts: []fitout.Conflict{},
			Reason: "this edit does not go together with what somebody else saved meanwhile: " + err.Error()}
	}
	if len(conflicts) > 0 {
		return fitout.Job{}, &ConflictError{Current: current, Conflicts: conflicts,
			Reason: "somebody else changed the same meanwhile"}
	}
	return merged, nil
}

func same(a, b *fitout.Job) bool {
	first, err1 := fitout.Encode(a)
	second, err2 := fitout.Encode(b)
	return err1 == nil && err2 == nil && bytes.Equal(first, second)
}

// keepAll is how long every revision is kept.
const keepAll = 30 * 24 * time.Hour

// Thin drops unnamed revisions that are older than 30 days, keeping the last of
// each day and each job's newest. It returns how many it dropped.
func (s *Store) Thin() (int, error) {
	done, err := s.begin()
	if err != nil {
		return 0, err
	}
	defer done()
	result := s.db.Exec(`DELETE FROM revisions AS r WHERE label = '' AND created_at < ?
		AND number < (SELECT revision FROM jobs WHERE id = r.job_id)
		AND EXISTS (SELECT 1 FROM revisions AS later WHERE later.job_id = r.job_id AND later.number > r.number
			AND substr(later.created_at, 1, 10) = substr(r.created_at, 1, 10))`, s.now().Add(-keepAll))
	return int(result.RowsAffected), result.Error
}
