package fitout_test

import (
	"bytes"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
)

// Whatever bytes come as a document, they are refused with a sentence, or read into a job that is valid and is written
// and read again as the same.
func FuzzDecode(f *testing.F) {
	files, err := filepath.Glob("testdata/*.json")
	if err != nil || len(files) == 0 {
		f.Fatal("there are no golden files", err)
	}
	for _, file := range files {
		data, err := os.ReadFile(file)
		if err != nil {
			f.Fatal(err)
		}
		f.Add(data)
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		job, err := fitout.Decode(data)
		if err != nil {
			assert.NotEmpty(t, err.Error())
			return
		}
		require.NoError(t, fitout.Validate(&job))
		once, err := fitout.Encode(&job)
		require.NoError(t, err)
		again, err := fitout.Decode(once)
		require.NoError(t, err)
		twice, err := fitout.Encode(&again)
		require.NoError(t, err)
		assert.True(t, bytes.Equal(once, twice))
	})
}
