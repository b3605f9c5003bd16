package store

import (
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"

	"zaino/internal/core/fitout"
)

// workshopRow is what the workshop has and pays, in a job without anything else: so it is lifted as jobs are.
type workshopRow struct {
	ID        string `gorm:"primaryKey"`
	Document  []byte
	UpdatedAt time.Time
}

// TableName is the table's name for GORM.
func (workshopRow) TableName() string { return "workshops" }

// theWorkshop is the id of the one row.
const theWorkshop = "own"

// Workshop returns what the workshop keeps for all its jobs, and since when; ErrNotFound where it keeps nothing yet.
func (s *Store) Workshop() (fitout.Build, time.Time, error) {
	var row workshopRow
	err := s.db.Take(&row, "id = ?", theWorkshop).Error
	if errors.Is(err, gorm.ErrRecordNotFound) {
		return fitout.Build{}, time.Time{}, ErrNotFound
	}
	if err != nil {
		return fitout.Build{}, time.Time{}, err
	}
	job, err := fitout.Decode(row.Document)
	return job.Build, row.UpdatedAt, err
}

// KeepWorkshop keeps what a build has of the workshop for all jobs that begin after it.
func (s *Store) KeepWorkshop(b *fitout.Build) error {
	job := fitout.NewJob(theWorkshop, "Workshop", fitout.AustraliaNZ)
	job.Build.TakeWorkshop(b)
	data, err := fitout.Encode(&job)
	if err != nil {
		return err
	}
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	row := workshopRow{theWorkshop, data, s.now()}
	return s.db.Clauses(clause.OnConflict{UpdateAll: true}).Create(&row).Error
}
