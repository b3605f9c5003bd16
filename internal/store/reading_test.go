package store

import (
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/device"
)

func TestReadingsAreKeptInOrderAndTravelWithABackup(t *testing.T) {
	path := filepath.Join(t.TempDir(), "jobs.db")
	s, err := Open(path, Options{})
	require.NoError(t, err)
	defer s.Close()
	job := fitout.NewJob("ute", "Ute", fitout.AustraliaNZ)
	_, err = s.Create(&job)
	require.NoError(t, err)
	begin := time.Date(2026, 5, 1, 6, 0, 0, 0, time.FixedZone("east", 10*3600))
	for _, minutes := range []int{20, 0, 10} {
		r := device.Reading{At: begin.Add(time.Duration(minutes) * time.Minute), Volts: 13, Charge: 0.5 + float64(minutes)/100}
		require.NoError(t, s.KeepReading("ute", "house", &r))
	}
	check := func(s *Store) {
		kept, err := s.Readings("ute", "house", begin.Add(5*time.Minute), 10)
		require.NoError(t, err)
		require.Len(t, kept, 2)
		assert.Equal(t, []float64{0.6, 0.7}, []float64{kept[0].Charge, kept[1].Charge}, "in the order of their time")
		_, offset := kept[0].At.Zone()
		assert.Equal(t, 10*3600, offset, "by the monitor's own clock")
		other, err := s.Readings("ute", "station", begin, 10)
		require.NoError(t, err)
		assert.Empty(t, other)
	}
	check(s)
	copied := path + ".copy"
	require.NoError(t, Backup(path, copied))
	again, err := Open(copied, Options{})
	require.NoError(t, err)
	defer again.Close()
	check(again)
}
