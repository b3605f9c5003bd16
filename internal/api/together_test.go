package api

import (
	"sync"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/demo"
)

// Many ask at once, the same and other things: with the race detector this shows what the core shares between answers.
func TestQuestionsAtOnceGetTheSameAnswers(t *testing.T) {
	server, _ := serve(t)
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	paths := []string{"/api/assess", "/api/load", "/api/card", "/api/schools", "/api/sheets", "/api/power/course"}
	var wait sync.WaitGroup
	for i := range jobs {
		data, err := fitout.Encode(&jobs[i])
		require.NoError(t, err)
		for _, path := range paths {
			_, _, want := ask(t, "POST", server.URL+path, string(data))
			for range 3 {
				wait.Go(func() {
					status, _, got := ask(t, "POST", server.URL+path, string(data))
					assert.Equal(t, 200, status, path)
					assert.Equal(t, want, got, path)
				})
			}
		}
	}
	wait.Wait()
}
