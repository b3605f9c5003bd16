package store

import (
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// What one job has of the workshop is kept for all, but not its quote, its decisions or its first day; a list that an
// older program kept is lifted as jobs are.
func TestTheWorkshopsListIsKeptForAllJobs(t *testing.T) {
	s := withDemo(t)
	_, _, err := s.Workshop()
	require.ErrorIs(t, err, ErrNotFound)
	from, err := s.Load("river-gauging")
	require.NoError(t, err)
	b := &from.Job.Build
	require.NotEmpty(t, b.Sheets)
	b.Money.Number, b.Money.Rate, b.Start = "Q-7", 9900, "2026-05-01"
	require.NoError(t, s.KeepWorkshop(b))
	kept, at, err := s.Workshop()
	require.NoError(t, err)
	assert.False(t, at.IsZero())

	own := fitout.NewBuild()
	own.Money.Number, own.Start = "Q-8", "2026-06-01"
	own.TakeWorkshop(&kept)
	assert.Equal(t, b.Sheets, own.Sheets)
	assert.Equal(t, b.Goods, own.Goods)
	assert.Equal(t, b.Makers, own.Makers)
	assert.Equal(t, 9900, own.Money.Rate)
	assert.Equal(t, "Q-8", own.Money.Number)
	assert.Equal(t, "2026-06-01", own.Start)
	own.Sheets[0].Name = "changed in one job"
	assert.NotEqual(t, own.Sheets[0].Name, kept.Sheets[0].Name)

	var row workshopRow
	require.NoError(t, s.db.Take(&row).Error)
	older := strings.Replace(string(row.Document), `"version": 15`, `"version": 9`, 1)
	older = regexp.MustCompile(`\s*"(runnerInset|pilot)": [0-9]+,`).ReplaceAllString(older, "")
	require.NotContains(t, older, "runnerInset")
	require.NotContains(t, older, "pilot")
	require.NoError(t, s.db.Model(&row).Update("document", []byte(older)).Error)
	lifted, _, err := s.Workshop()
	require.NoError(t, err)
	assert.Equal(t, kept, lifted)
}
