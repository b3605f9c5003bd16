package store

import (
	"encoding/json"
	"fmt"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"

	"zaino/internal/core/fitout"
)

// componentRow is a component of the workshop's own.
type componentRow struct {
	ID        string `gorm:"primaryKey"`
	Name      string
	Document  []byte
	UpdatedAt time.Time
}

// TableName is the table's name for GORM.
func (componentRow) TableName() string { return "components" }

// Components returns the workshop's own components by name.
func (s *Store) Components() ([]fitout.Component, error) {
	var rows []componentRow
	if err := s.db.Order("name, id").Find(&rows).Error; err != nil {
		return nil, err
	}
	all := make([]fitout.Component, len(rows))
	for i, row := range rows {
		if err := json.Unmarshal(row.Document, &all[i]); err != nil {
			return nil, fmt.Errorf("component %s cannot be read: %w", row.ID, err)
		}
		all[i].Fill()
	}
	return all, nil
}

// KeepComponents adds components, or puts them in the place of those with the
// same id: all of them, or none when one cannot be kept.
func (s *Store) KeepComponents(components []fitout.Component) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	return s.db.Transaction(func(tx *gorm.DB) error {
		for _, c := range components {
			c.Own, c.Item.Component = true, c.ID
			document, err := json.Marshal(c)
			if err != nil {
				return err
			}
			row := componentRow{c.ID, c.Item.Name, document, s.now()}
			if err := tx.Clauses(clause.OnConflict{UpdateAll: true}).Create(&row).Error; err != nil {
				return err
			}
		}
		return nil
	})
}

// ForgetComponent takes a component of the workshop's own out of the catalogue.
// Parts that were placed from it stay as they are.
func (s *Store) ForgetComponent(id string) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	result := s.db.Delete(&componentRow{}, "id = ?", id)
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}
