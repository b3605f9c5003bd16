package api

import (
	"encoding/json"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The workshop's list is refused with a sentence where its job is not valid, and nothing of it is kept; to take it before
// anything is kept says so, and does not speak of a job.
func TestTheWorkshopsListIsRefusedWithASentence(t *testing.T) {
	server, _ := serve(t)
	_, _, document := ask(t, "GET", server.URL+jobURL, "")
	var loaded struct {
		Job json.RawMessage `json:"job"`
	}
	require.NoError(t, json.Unmarshal([]byte(document), &loaded))
	job := `{"job":` + string(loaded.Job) + `}`

	status, _, body := ask(t, "POST", server.URL+"/api/workshop/take", job)
	assert.Equal(t, 404, status)
	assert.Contains(t, body, "Nothing is kept for all jobs yet")
	for given, says := range map[string]string{
		"{": "", `{"job":{}}`: "format", `{"job":{},"more":1}`: "more",
		strings.Replace(job, `"screwEvery":150`, `"screwEvery":0`, 1):   "accepted is a number from 10 to 2000 mm",
		strings.Replace(job, `"substance":""`, `"substance":"fire"`, 1): "accepted is one of",
	} {
		require.NotEqual(t, job, given)
		status, _, body := ask(t, "PUT", server.URL+"/api/workshop", given)
		assert.GreaterOrEqual(t, status, 400, body)
		assert.Less(t, status, 500, body)
		assert.Contains(t, body, says)
	}
	_, _, body = ask(t, "GET", server.URL+"/api/workshop", "")
	assert.Contains(t, body, `"kept":false`)
	status, _, body = ask(t, "PUT", server.URL+"/api/workshop", job)
	assert.Equal(t, 200, status, body)
	status, _, body = ask(t, "POST", server.URL+"/api/workshop/take", job)
	assert.Equal(t, 200, status, body)
}
