package api

import (
	"encoding/json"
	"fmt"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/demo"
)

// A build is told at once as it comes first, and at last as good as it gets: never with more sheets, and with every
// panel on one of them.
func TestABuildIsToldAtOnceAndThenBetter(t *testing.T) {
	server, _ := serve(t)
	lines := linesOf[BuildLine](t, server.URL+"/api/build", `{"job":`+demoText(t)+`}`)
	first, last := lines[0], lines[len(lines)-1]
	require.NotNil(t, first.View)
	require.NotNil(t, last.View)
	assert.InDelta(t, 1, last.Share, 0)
	share := 0.0
	for _, line := range lines {
		assert.GreaterOrEqual(t, line.Share, share)
		share = line.Share
	}
	for k := range last.View.Groups {
		assert.LessOrEqual(t, len(last.View.Groups[k].Sheets), len(first.View.Groups[k].Sheets))
		pieces := 0
		for _, s := range last.View.Groups[k].Sheets {
			pieces += len(s.Pieces)
		}
		assert.Equal(t, len(last.View.Groups[k].Pieces), pieces)
	}
	assert.Equal(t, first.View.Panels, last.View.Panels)
}

// A job of very many panels is answered all the same.
func TestABuildOfVeryManyPanels(t *testing.T) {
	server, _ := serve(t)
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[0]
	v := &j.Variants[0]
	for _, i := range v.Items {
		if i.ID != "drawer-unit-left" {
			continue
		}
		for k := range 320 {
			i.ID, i.At.X = fmt.Sprint("unit-", k), 2500+float64(k)
			v.Items = append(v.Items, i)
		}
	}
	data, err := json.Marshal(j)
	require.NoError(t, err)
	lines := linesOf[BuildLine](t, server.URL+"/api/build", `{"job":`+string(data)+`}`)
	view := lines[len(lines)-1].View
	require.NotNil(t, view)
	assert.Greater(t, len(view.Panels), 5000)
	for _, g := range view.Groups {
		assert.Empty(t, g.Left)
		if len(g.Pieces) > 1000 {
			assert.Less(t, g.Gap, 0.25)
		}
	}
}

// What cannot be made of a request is a problem that says what is accepted.
func TestPapersThatCannotBeAreRefused(t *testing.T) {
	server, _ := serve(t)
	status, _, text := ask(t, http.MethodPost, server.URL+"/api/jobs", demoText(t))
	if status != http.StatusCreated && status != http.StatusOK {
		status, _, text = ask(t, http.MethodPost, server.URL+"/api/jobs/import", demoText(t))
	}
	require.Less(t, status, 300, text)
	var made struct {
		Job fitout.Job `json:"job"`
	}
	require.NoError(t, json.Unmarshal([]byte(text), &made))
	job := server.URL + "/api/jobs/" + made.Job.ID
	for path, want := range map[string]string{
		"/template.pdf?of=nothing":           "the mark of a panel",
		"/template.pdf?of=4-01&paper=poster": "paper",
		"/labels.pdf?from=javascript:1":      "http",
		"/labels.pdf?from=http://x&sheet=9":  "sheet",
		"/labels.pdf":                        "from: nothing was given; accepted is an address",
	} {
		status, header, text := ask(t, http.MethodGet, job+path, "")
		assert.GreaterOrEqual(t, status, 400, path)
		assert.Less(t, status, 500, path)
		assert.Contains(t, header.Get("Content-Type"), "problem", path)
		assert.Contains(t, text, want, path)
	}
	status, _, text = ask(
		t,
		http.MethodPost,
		server.URL+"/api/build/prices?job="+made.Job.ID,
		"a,b\n1,2\n",
		"Content-Type",
		"application/octet-stream",
	)
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, text, "what and name")
}
