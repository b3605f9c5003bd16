package store

import (
	"encoding/json"
	"fmt"
	"time"

	"zaino/internal/device"
)

// readingRow is one reading of a battery monitor, kept as it came.
type readingRow struct {
	ID       uint `gorm:"primaryKey"`
	JobID    string
	System   string
	At       time.Time
	Received time.Time
	Document []byte
}

// TableName is the table's name for GORM.
func (readingRow) TableName() string { return "readings" }

// MostReadings is how many readings of one job are kept.
const MostReadings = 50_000

// KeepReading adds a reading of a job's system. Readings are never changed. It refuses more
// than MostReadings of one job.
func (s *Store) KeepReading(job, system string, r *device.Reading) error {
	data, err := json.Marshal(r)
	if err != nil {
		return err
	}
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	var count int64
	if err := s.db.Model(&readingRow{}).Where("job_id = ?", job).Count(&count).Error; err != nil {
		return err
	}
	if count >= MostReadings {
		return fmt.Errorf("%d readings of this job are kept; no more are", MostReadings)
	}
	row := readingRow{JobID: job, System: system, At: r.At.UTC(), Received: time.Now().UTC(), Document: data}
	return s.db.Create(&row).Error
}

// Readings are those of a job's system from a moment on, in the order of their time, at most
// so many of the newest.
func (s *Store) Readings(job, system string, since time.Time, most int) ([]device.Reading, error) {
	var rows []readingRow
	if err := s.db.Where("job_id = ? AND system = ? AND at >= ?", job, system, since.UTC()).Order("at DESC, id DESC").
		Limit(most).Find(&rows).Error; err != nil {
		return nil, err
	}
	all := make([]device.Reading, len(rows))
	for i := range rows {
		if err := json.Unmarshal(rows[i].Document, &all[len(rows)-1-i]); err != nil {
			return nil, fmt.Errorf("reading %d cannot be read: %w", rows[i].ID, err)
		}
	}
	return all, nil
}
