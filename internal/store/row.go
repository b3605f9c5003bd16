package store

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"time"

	"gorm.io/gorm"

	"zaino/internal/core/fitout"
)

// keptRow is what is kept beside a job and never changed: a reading of a scale, a line of the log.
type keptRow struct {
	JobID    string `gorm:"primaryKey"`
	ID       string `gorm:"primaryKey"`
	At       time.Time
	Received time.Time
	Document []byte
}

// Kept names a table of what is kept beside jobs.
type Kept string

// The tables, and how many rows of one job each holds.
const (
	Weighings Kept = "weighings"
	Entries   Kept = "entries"

	MostRows = 20_000
)

// ErrOther says that an id is taken by something else.
var ErrOther = errors.New("another with this id is kept already; accepted is an id that was not used")

// Keep keeps something beside a job. It is never changed: the same once more is fine, so that who does not know whether
// it arrived sends it again; something else with its id is ErrOther. It refuses more than MostRows of one job.
func (s *Store) Keep(table Kept, job, id string, at time.Time, what any) error {
	data, err := json.Marshal(what)
	if err != nil {
		return err
	}
	var was keptRow
	return s.once(job, func(tx *gorm.DB) error {
		return tx.Table(string(table)).Where("job_id = ? AND id = ?", job, id).Take(&was).Error
	}, func() bool { return bytes.Equal(was.Document, data) }, func(tx *gorm.DB) error {
		var count int64
		if err := tx.Table(string(table)).Where("job_id = ?", job).Count(&count).Error; err != nil {
			return err
		}
		if count >= MostRows {
			return fitout.Problem{
				Path:     string(table),
				Given:    "one more",
				Accepted: fmt.Sprintf("up to %d of one job", MostRows),
			}
		}
		row := keptRow{JobID: job, ID: id, At: at.UTC(), Received: time.Now().UTC(), Document: data}
		return tx.Table(string(table)).Create(&row).Error
	})
}

// once adds something beside a job, unless it is there: the same is fine, something else is ErrOther.
func (s *Store) once(job string, find func(tx *gorm.DB) error, same func() bool, add func(tx *gorm.DB) error) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	return s.db.Transaction(func(tx *gorm.DB) error {
		if _, err := head(tx, job); err != nil {
			return err
		}
		err := find(tx)
		switch {
		case errors.Is(err, gorm.ErrRecordNotFound):
			return add(tx)
		case err == nil && !same():
			return ErrOther
		}
		return err
	})
}

// All returns everything that a table keeps beside a job, in the order of its time.
func All[T any](s *Store, table Kept, job string) ([]T, error) {
	var rows []keptRow
	if err := s.db.Table(string(table)).Where("job_id = ?", job).Order("at, id").Find(&rows).Error; err != nil {
		return nil, err
	}
	all := make([]T, len(rows))
	for i := range rows {
		if err := json.Unmarshal(rows[i].Document, &all[i]); err != nil {
			return nil, fmt.Errorf("%s %s cannot be read: %w", table, rows[i].ID, err)
		}
	}
	return all, nil
}

// File is a picture or a paper that is kept beside a job.
type File struct {
	ID     string    `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Of     string    `json:"of" maxLength:"200" doc:"what it is of: item/ and its id, test/ and its name, paper/ and its id, log/ and its id; empty: the whole"`
	Kind   string    `json:"kind" enum:"photo,paper"`
	Name   string    `json:"name" maxLength:"200"`
	Type   string    `json:"type" enum:"image/jpeg,image/png,application/pdf"`
	Width  int       `json:"width" doc:"px; 0 of a paper"`
	Height int       `json:"height" doc:"px; 0 of a paper"`
	Size   int       `json:"size" doc:"bytes"`
	At     time.Time `json:"at"`
}

// fileRow is a file with its content.
type fileRow struct {
	JobID    string `gorm:"primaryKey"`
	ID       string `gorm:"primaryKey"`
	At       time.Time
	Received time.Time
	Document []byte
	Size     int
	Data     []byte
}

// TableName is the table's name for GORM.
func (fileRow) TableName() string { return "files" }

// How much is kept of one job.
const (
	MostFiles     = 500
	MostFileBytes = 150 << 20
)

// KeepFile keeps a file beside a job. Like Keep it takes the same once more.
func (s *Store) KeepFile(job string, f *File, data []byte) error {
	document, err := json.Marshal(f)
	if err != nil {
		return err
	}
	var was fileRow
	return s.once(job, func(tx *gorm.DB) error {
		return tx.Where("job_id = ? AND id = ?", job, f.ID).Take(&was).Error
	}, func() bool { return bytes.Equal(was.Data, data) }, func(tx *gorm.DB) error {
		var sum struct{ Count, Bytes int64 }
		if err := tx.Model(&fileRow{}).Select("COUNT(*) AS count, COALESCE(SUM(size), 0) AS bytes").
			Where("job_id = ?", job).Scan(&sum).Error; err != nil {
			return err
		}
		if sum.Count >= MostFiles || sum.Bytes+int64(len(data)) > MostFileBytes {
			return fitout.Problem{
				Path:     "files",
				Given:    fmt.Sprintf("one more beside %d with %d MB", sum.Count, sum.Bytes>>20),
				Accepted: fmt.Sprintf("up to %d files with %d MB of one job", MostFiles, MostFileBytes>>20),
			}
		}
		row := fileRow{job, f.ID, f.At.UTC(), time.Now().UTC(), document, len(data), data}
		return tx.Create(&row).Error
	})
}

// Files are those that are kept beside a job, in the order of their time, without their content.
func (s *Store) Files(job string) ([]File, error) {
	var rows []keptRow
	if err := s.db.Table("files").Where("job_id = ?", job).Order("at, id").Find(&rows).Error; err != nil {
		return nil, err
	}
	all := make([]File, len(rows))
	for i := range rows {
		if err := json.Unmarshal(rows[i].Document, &all[i]); err != nil {
			return nil, fmt.Errorf("file %s cannot be read: %w", rows[i].ID, err)
		}
	}
	return all, nil
}

// FileData is one file of a job with its content.
func (s *Store) FileData(job, id string) (File, []byte, error) {
	var row fileRow
	err := s.db.Where("job_id = ? AND id = ?", job, id).Take(&row).Error
	if errors.Is(err, gorm.ErrRecordNotFound) {
		return File{}, nil, ErrNotFound
	}
	if err != nil {
		return File{}, nil, err
	}
	var f File
	return f, row.Data, json.Unmarshal(row.Document, &f)
}

// DropFile removes a file of a job for good.
func (s *Store) DropFile(job, id string) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	result := s.db.Where("job_id = ? AND id = ?", job, id).Delete(&fileRow{})
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}
