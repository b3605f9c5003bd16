package store

import (
	"errors"
	"time"

	"gorm.io/gorm"

	"zaino/internal/core/fitout"
)

// Past is one revision of a job as the list of revisions shows it.
type Past struct {
	Number  int             `json:"number"`
	Base    int             `json:"base" doc:"revision that the edit was made on, or that was gone back to"`
	At      time.Time       `json:"at"`
	Author  string          `json:"author" doc:"name of the browser that saved it; empty for this machine"`
	Label   string          `json:"label" doc:"name that somebody gave it"`
	Damaged bool            `json:"damaged" doc:"what is kept of it cannot be read any more"`
	Changes []fitout.Change `json:"changes" doc:"what it changed, at most MostChanges of it"`
	Changed int             `json:"changed" doc:"how many changes there are in all; -1 where the one before is not kept or cannot be read"`
}

// History is a part of what a job was before, the newest first.
type History struct {
	Name      string       `json:"name" doc:"of the job, as lists show it"`
	Units     fitout.Units `json:"units" enum:"metric,us" doc:"of the newest revision that can be read"`
	Revisions []Past       `json:"revisions"`
	More      bool         `json:"more" doc:"there are older ones"`
}

// MostChanges is how many changes of one revision a list tells.
const MostChanges = 12

// History lists revisions of a job from the newest down, those below a number if it is not 0, at most so many. It works
// for a job whose newest revision is damaged.
func (s *Store) History(id string, below, most int) (History, error) {
	row, err := head(s.db, id)
	if err != nil {
		return History{}, err
	}
	h := History{Name: row.Name, Units: fitout.Metric, Revisions: []Past{}}
	tx := s.db.Where("job_id = ?", id)
	if below > 0 {
		tx = tx.Where("number < ?", below)
	}
	var rows []revisionRow
	if err := tx.Order("number DESC").Limit(most + 1).Find(&rows).Error; err != nil {
		return h, err
	}
	h.More = len(rows) > most
	jobs := make([]*fitout.Job, len(rows))
	for i := len(rows) - 1; i >= 0; i-- {
		if job, err := rows[i].job(); err == nil {
			jobs[i], h.Units = &job, job.Units
		}
	}
	for i := range rows[:min(most, len(rows))] {
		r := &rows[i]
		past := Past{Number: r.Number, Base: r.Base, At: r.CreatedAt, Author: r.Author, Label: r.Label,
			Damaged: jobs[i] == nil, Changes: []fitout.Change{}, Changed: -1}
		if i+1 < len(rows) && jobs[i] != nil && jobs[i+1] != nil {
			changes, err := fitout.Changes(jobs[i+1], jobs[i])
			if err != nil {
				return h, err
			}
			past.Changed = len(changes)
			past.Changes = changes[:min(MostChanges, len(changes))]
		}
		h.Revisions = append(h.Revisions, past)
	}
	return h, nil
}

// LoadRevision returns a job as it was at a revision. One that was thinned out is ErrNotFound, one that cannot be
// read any more a DamagedError.
func (s *Store) LoadRevision(id string, number int) (Document, error) {
	if _, err := head(s.db, id); err != nil {
		return Document{}, err
	}
	return s.load(s.db, id, number)
}

// NameRevision gives a revision a name, by which it is kept for ever; an empty one takes the name away.
func (s *Store) NameRevision(id string, number int, label string) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	result := s.db.Model(&revisionRow{}).Where("job_id = ? AND number = ?", id, number).UpdateColumn("label", label)
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}

// GoBack makes an earlier state of a job its newest revision. Those between stay as they are, so that it can be
// undone in the same way; the newest one may be damaged.
func (s *Store) GoBack(id string, number int, author string) (Document, error) {
	return s.advance(id, number, author, func(row *jobRow) (fitout.Job, *Document, error) {
		to, err := s.load(s.db, id, number)
		if err != nil {
			return fitout.Job{}, nil, err
		}
		current, err := s.load(s.db, id, row.Revision)
		if err == nil && same(&current.Job, &to.Job) {
			return to.Job, &current, nil
		}
		if damaged := (*DamagedError)(nil); err != nil && !errors.As(err, &damaged) && !errors.Is(err, ErrNotFound) {
			return fitout.Job{}, nil, err
		}
		return to.Job, nil, nil
	})
}

// Damage is what cannot be read any more of a database.
type Damage struct {
	Job    string // id
	Name   string // of the job, as lists show it
	Number int    // of the revision
	Newest bool   // it is what opening the job needs
	Whole  int    // newest revision of the job that can be read; 0 for none
	Why    error
}

// Checked is what looking through a whole database found.
type Checked struct {
	Jobs, Revisions int
	Damaged         []Damage
}

// Check reads everything that a database keeps and tells what cannot be read any more. It writes nothing.
func Check(path string) (Checked, error) {
	var c Checked
	if err := Readable(path); err != nil {
		return c, err
	}
	if err := checkIntegrity(path); err != nil {
		return c, err
	}
	return c, withDatabase(path, readOnly, func(db *gorm.DB) error {
		var jobs []jobRow
		if err := db.Unscoped().Order("id").Find(&jobs).Error; err != nil {
			return err
		}
		for i := range jobs {
			c.Jobs++
			if err := c.job(db, &jobs[i]); err != nil {
				return err
			}
		}
		return nil
	})
}

// job looks through one job's revisions, one at a time, from the newest down.
func (c *Checked) job(db *gorm.DB, row *jobRow) error {
	from, whole := len(c.Damaged), 0
	var numbers []int
	if err := db.Model(&revisionRow{}).Where("job_id = ?", row.ID).Order("number DESC").
		Pluck("number", &numbers).Error; err != nil {
		return err
	}
	if len(numbers) == 0 || numbers[0] != row.Revision {
		c.Damaged = append(c.Damaged, Damage{Job: row.ID, Name: row.Name, Number: row.Revision, Newest: true,
			Why: errors.New("it is not there")})
	}
	for _, number := range numbers {
		var r revisionRow
		// The columns that every version has had: this reads databases of older ones.
		if err := db.Select("job_id", "number", "document").Where("job_id = ? AND number = ?", row.ID, number).
			Take(&r).Error; err != nil {
			return err
		}
		c.Revisions++
		if _, err := r.job(); err != nil {
			c.Damaged = append(
				c.Damaged,
				Damage{Job: row.ID, Name: row.Name, Number: number, Newest: number == row.Revision,
					Why: errors.Unwrap(err)},
			)
		} else if whole == 0 {
			whole = number
		}
	}
	for i := range c.Damaged[from:] {
		c.Damaged[from+i].Whole = whole
	}
	return nil
}
