package store

import (
	"crypto/rand"
	"strings"
)

// A lineage names one history of revisions. A database begins one when it is made and
// another when it is restored from a backup, because revision numbers repeat from there:
// a page that was open before would take another's revision for its own.
const lineageSetting = "lineage"

func newLineage() string { return strings.ToLower(rand.Text()[:16]) }

// ensureLineage returns the lineage of a database, beginning one where it has none yet.
func (s *Store) ensureLineage() (string, error) { return s.Setting(lineageSetting, newLineage) }

// Lineage is the history that this database's revisions belong to.
func (s *Store) Lineage() string { return s.lineage }
