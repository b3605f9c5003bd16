package store

import (
	"crypto/rand"
	"crypto/sha256"
	"encoding/hex"
	"strings"
	"time"
)

// Browser is one that was let in with the access code.
type Browser struct {
	ID    string    `json:"id" gorm:"primaryKey"`
	Name  string    `json:"name" doc:"what it was called when it was let in"`
	Since time.Time `json:"since"`
	Seen  time.Time `json:"seen" doc:"about when it last asked for something"`
	Token string    `json:"-"` // hash of what the browser keeps: the database does not let anybody in
}

// TableName is the table's name for GORM.
func (Browser) TableName() string { return "browsers" }

// MostBrowsers is how many are let in at most; the one that was not seen for longest makes room.
const MostBrowsers = 200

// HashToken is what is kept of what a browser keeps.
func HashToken(token string) string {
	sum := sha256.Sum256([]byte(token))
	return hex.EncodeToString(sum[:])
}

// LetIn keeps a browser under a name and returns it with the token that it is known by from now on.
func (s *Store) LetIn(name string) (Browser, string, error) {
	done, err := s.begin()
	if err != nil {
		return Browser{}, "", err
	}
	defer done()
	token := rand.Text() + rand.Text()
	b := Browser{
		ID:    strings.ToLower(rand.Text()[:12]),
		Name:  name,
		Since: s.now(),
		Seen:  s.now(),
		Token: HashToken(token),
	}
	if err := s.db.Create(&b).Error; err != nil {
		return Browser{}, "", err
	}
	return b, token, s.db.Exec(
		"DELETE FROM browsers WHERE id NOT IN (SELECT id FROM browsers ORDER BY seen DESC LIMIT ?)",
		MostBrowsers,
	).Error
}

// Browsers are those that were let in, the one that was seen last first.
func (s *Store) Browsers() ([]Browser, error) {
	all := []Browser{}
	return all, s.db.Order("seen DESC, id").Find(&all).Error
}

// SeeBrowser notes that a browser asked for something now.
func (s *Store) SeeBrowser(id string) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	return s.db.Model(&Browser{}).Where("id = ?", id).UpdateColumn("seen", s.now()).Error
}

// ShutOut lets a browser in no more, until it shows the access code again.
func (s *Store) ShutOut(id string) error {
	done, err := s.begin()
	if err != nil {
		return err
	}
	defer done()
	result := s.db.Delete(&Browser{}, "id = ?", id)
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}
