package store

import (
	"errors"
	"strings"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"

	"zaino/internal/core/fitout"
)

// jobRow is what lists and searches need of a job, beside its newest revision.
type jobRow struct {
	ID        string `gorm:"primaryKey"`
	Name      string
	Customer  string
	Vehicle   string
	Search    string
	Archived  bool
	Revision  int
	Stops     int
	Cautions  int
	CreatedAt time.Time
	UpdatedAt time.Time
	DeletedAt gorm.DeletedAt
}

// TableName is the table's name for GORM.
func (jobRow) TableName() string { return "jobs" }

// Listed is a job as the list shows it.
type Listed struct {
	ID        string    `json:"id"`
	Name      string    `json:"name"`
	Customer  string    `json:"customer"`
	Vehicle   string    `json:"vehicle"`
	Archived  bool      `json:"archived"`
	Revision  int       `json:"revision"`
	Summary   Summary   `json:"summary"`
	UpdatedAt time.Time `json:"updatedAt"`
}

// Query picks jobs of the list.
type Query struct {
	Search   string // words that name, customer or vehicle contain, in any order
	Archived bool   // archived ones instead of the others
	Limit    int    // at most this many, 1 or more
	Offset   int
}

// List returns the jobs of a query, newest change first, and how many there
// are in all.
func (s *Store) List(q Query) ([]Listed, int, error) {
	tx := s.db.Model(&jobRow{}).Where("archived = ?", q.Archived)
	for _, word := range strings.Fields(strings.ToLower(q.Search)) {
		tx = tx.Where("search LIKE ? ESCAPE '\\'", "%"+likeEscape.Replace(word)+"%")
	}
	tx = tx.Session(&gorm.Session{})
	var total int64
	if err := tx.Count(&total).Error; err != nil {
		return nil, 0, err
	}
	var rows []jobRow
	if err := tx.Order("updated_at DESC, id").Limit(q.Limit).Offset(q.Offset).Find(&rows).Error; err != nil {
		return nil, 0, err
	}
	listed := make([]Listed, len(rows))
	for i, r := range rows {
		listed[i] = Listed{r.ID, r.Name, r.Customer, r.Vehicle, r.Archived, r.Revision, Summary{r.Stops, r.Cautions},
			r.UpdatedAt}
	}
	return listed, int(total), nil
}

var likeEscape = strings.NewReplacer(`\`, `\\`, `%`, `\%`, `_`, `\_`)

// describe writes into a row what the list shows of a job.
func (s *Store) describe(row *jobRow, j *fitout.Job) {
	summary := s.summarise(j)
	row.ID, row.Name, row.Customer, row.Vehicle = j.ID, j.Name, j.Customer, j.Vehicle.Name
	row.Search = strings.ToLower(j.Name + "\n" + j.Customer + "\n" + j.Vehicle.Name)
	row.Stops, row.Cautions = summary.Stops, summary.Cautions
}

// Has reports whether an id is taken, by a deleted job too.
func (s *Store) Has(id string) (bool, error) {
	var count int64
	err := s.db.Unscoped().Model(&jobRow{}).Where("id = ?", id).Count(&count).Error
	return count > 0, err
}

// ErrTaken says that a job with this id is kept already, or was and is deleted.
var ErrTaken = errors.New("a job with this id is kept already")

// Create keeps a new job that this machine made. Its id must be free; one that is not is ErrTaken.
func (s *Store) Create(j *fitout.Job) (Document, error) { return s.CreateBy(j, "") }

// CreateBy is Create with who made the job.
func (s *Store) CreateBy(j *fitout.Job, author string) (Document, error) {
	row := jobRow{CreatedAt: s.now(), UpdatedAt: s.now(), Revision: 1}
	s.describe(&row, j)
	revision, err := packed(j, 1, 0, author, s.now())
	if err != nil {
		return Document{}, err
	}
	done, err := s.begin()
	if err != nil {
		return Document{}, err
	}
	defer done()
	err = s.db.Transaction(func(tx *gorm.DB) error {
		kept := tx.Clauses(clause.OnConflict{DoNothing: true}).Create(&row)
		if kept.Error != nil {
			return kept.Error
		}
		if kept.RowsAffected == 0 {
			return ErrTaken
		}
		return tx.Create(&revision).Error
	})
	return Document{Revision: 1, Lineage: s.lineage, Job: *j}, err
}

// Archive puts a job into the archive or takes it out.
func (s *Store) Archive(id string, archived bool) error {
	return s.update(s.db, id, "archived", archived)
}

// Delete removes a job from every list; Restore brings it back.
func (s *Store) Delete(id string) error {
	return s.update(s.db, id, "deleted_at", s.now())
}

// Restore brings a deleted job back as it was.
func (s *Store) Restore(id string) error {
	return s.update(s.db.Unscoped(), id, "deleted_at", nil)
}

func (s *Store) update(tx *gorm.DB, id, column string, value any) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	result := tx.Model(&jobRow{}).Where("id = ?", id).UpdateColumn(column, value)
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}

// Setting returns a setting of this installation, or makes it by first and
// keeps it.
func (s *Store) Setting(name string, first func() string) (string, error) {
	done, err := s.begin()
	if err != nil {
		return "", err
	}
	defer done()
	setting := struct{ Name, Value string }{Name: name}
	err = s.db.Table("settings").Where("name = ?", name).Take(&setting).Error
	if errors.Is(err, gorm.ErrRecordNotFound) {
		setting.Value = first()
		err = s.db.Table("settings").Create(&setting).Error
	}
	return setting.Value, err
}

// SetSetting keeps a setting of this installation in the place of what it was.
func (s *Store) SetSetting(name, value string) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	return s.db.Exec("INSERT OR REPLACE INTO settings (name, value) VALUES (?, ?)", name, value).Error
}
