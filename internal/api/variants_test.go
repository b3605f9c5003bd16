package api

import (
	"bufio"
	"context"
	"encoding/json"
	"net/http"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
)

// linesOf asks for something that takes its time and returns its lines.
func linesOf[T any](t *testing.T, url, body string) []T {
	t.Helper()
	response, err := http.Post(url, "application/json", strings.NewReader(body))
	require.NoError(t, err)
	defer response.Body.Close()
	require.Equal(t, http.StatusOK, response.StatusCode)
	assert.Equal(t, "application/x-ndjson", response.Header.Get("Content-Type"))
	var all []T
	lines := bufio.NewScanner(response.Body)
	lines.Buffer(nil, 16<<20)
	for lines.Scan() {
		var line T
		require.NoError(t, json.Unmarshal(lines.Bytes(), &line))
		all = append(all, line)
	}
	require.NoError(t, lines.Err())
	require.NotEmpty(t, all)
	return all
}

// Each way that is found can be sent back as edits, and the job that comes back
// has the loads that were told with it.
func TestWaysToMendAreToldAndMade(t *testing.T) {
	server, _ := serve(t)
	good := demoText(t)
	lines := linesOf[MendLine](t, server.URL+"/api/mend", `{"limit":"rear","job":`+good+`}`)
	share := 0.0
	for i, line := range lines {
		assert.GreaterOrEqual(t, line.Share, share, "it never goes back")
		share = line.Share
		assert.Equal(t, i == len(lines)-1, line.Mends != nil, "what was found is on the last line")
	}
	mends := lines[len(lines)-1].Mends
	assert.InDelta(t, 1, share, 0)
	require.GreaterOrEqual(t, len(mends.Found), 3)
	require.NotEmpty(t, mends.Vehicle, "a vehicle can be changed too")
	for _, m := range append(mends.Found[:3:3], mends.Vehicle...) {
		var edits []fitout.FixEdit
		for _, c := range m.Changes {
			edits = append(edits, c.Edit)
		}
		text, err := json.Marshal(edits)
		require.NoError(t, err)
		status, _, fixed := ask(t, "POST", server.URL+"/api/fix", `{"edits":`+string(text)+`,"job":`+good+`}`)
		require.Equal(t, http.StatusOK, status, fixed)
		status, _, said := ask(t, "POST", server.URL+"/api/assess", fixed)
		require.Equal(t, http.StatusOK, status)
		var a assess.Assessment
		require.NoError(t, json.Unmarshal([]byte(said), &a))
		for i := range m.Pads {
			assert.Equal(t, m.Pads[i], a.Pads[i], m.Changes[0].Label)
		}
	}
}

func TestProposalsAreToldAndAreJobs(t *testing.T) {
	server, _ := serve(t)
	lines := linesOf[ProposeLine](t, server.URL+"/api/propose",
		`{"wishes":{"aims":["rear-axle","low"]},"job":`+demoText(t)+`}`)
	last := lines[len(lines)-1]
	require.NotNil(t, last.Proposals)
	for _, p := range last.Proposals.Found {
		assert.NoError(t, fitout.Validate(&p.Job))
		assert.NotEmpty(t, p.Sentence)
	}
}

// Whoever closes the page has no use for the answer: the work ends.
func TestEndingTheRequestCallsItOff(t *testing.T) {
	server, _ := serve(t)
	ctx, off := context.WithTimeout(t.Context(), time.Minute)
	request, err := http.NewRequestWithContext(ctx, "POST", server.URL+"/api/propose",
		strings.NewReader(`{"wishes":{"aims":[]},"job":`+demoText(t)+`}`))
	require.NoError(t, err)
	request.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(request)
	require.NoError(t, err)
	off()
	response.Body.Close()
	server.Close() // waits until every request has ended
}

func TestACaseIsShownAndAVariantBranchedOverTheWire(t *testing.T) {
	server, _ := serve(t)
	good := demoText(t)
	decoded := func(path, body string) fitout.Job {
		status, _, text := ask(t, "POST", server.URL+path, body)
		require.Equal(t, http.StatusOK, status, text)
		var j fitout.Job
		require.NoError(t, json.Unmarshal([]byte(text), &j))
		return j
	}
	shown := decoded("/api/show?state=case:end", good)
	assert.NoError(t, fitout.Validate(&shown))
	var of struct {
		Cases []report.CaseFigures `json:"cases"`
	}
	_, _, figures := ask(t, "POST", server.URL+"/api/load", good)
	require.NoError(t, json.Unmarshal([]byte(figures), &of))
	rear := 0.0
	for _, c := range of.Cases {
		if c.ID == "end" {
			rear = c.Cells[1].Load
		}
	}
	assert.InDelta(t, rear, assess.Of(&shown).Axles.Rear, 1e-6, "the state shown is that of the case then")

	branched := decoded("/api/variants", `{"edit":"branch","from":"a","name":"Lighter","job":`+good+`}`)
	assert.Equal(t, "Lighter", branched.ChosenVariant().Name)
	status, _, compared := ask(t, "POST", server.URL+"/api/compare",
		`{"variants":["a","`+branched.Chosen+`"],"job":`+good+`}`)
	require.Equal(t, http.StatusOK, status)
	var two []report.VariantFigures
	require.NoError(t, json.Unmarshal([]byte(compared), &two))
	assert.Len(t, two, 1, "what the job that was sent does not have is not compared")

	status, _, ways := ask(t, "POST", server.URL+"/api/ways", good)
	require.Equal(t, http.StatusOK, status)
	assert.Contains(t, ways, "upright")
}

func TestTheAccountComesAsFilesOfAnyState(t *testing.T) {
	server, _ := serve(t)
	for _, c := range []struct{ format, kind, begins string }{
		{"csv", "text/csv; charset=utf-8", "Group,"}, {"pdf", "application/pdf", "%PDF-"},
		{"xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", "PK"},
	} {
		status, header, shown := ask(t, "GET", server.URL+"/api/jobs/river-gauging/account."+c.format, "")
		require.Equal(t, http.StatusOK, status)
		assert.Equal(t, c.kind, header.Get("Content-Type"))
		assert.Contains(t, header.Get("Content-Disposition"), "-load."+c.format)
		assert.True(t, strings.HasPrefix(strings.TrimPrefix(shown, "\ufeff"), c.begins), "%s begins with %q", c.format,
			shown[:8])
		status, _, worst := ask(t, "GET", server.URL+"/api/jobs/river-gauging/account."+c.format+"?state=worst:rear", "")
		require.Equal(t, http.StatusOK, status)
		assert.NotEqual(t, shown, worst)
	}
}

// However many searches there are, one that waits for its turn is called off at once, and gets it when another ends.
func TestSearchesWaitForTheirTurn(t *testing.T) {
	ends := make(chan bool)
	var all sync.WaitGroup
	for range cap(searching) {
		began := make(chan bool)
		all.Go(func() { search(context.Background(), func() { began <- true; <-ends }) })
		<-began
	}
	gaveUp, cancel := context.WithCancel(context.Background())
	cancel()
	search(gaveUp, func() { t.Error("nobody waits for it any more") })
	turn := make(chan bool)
	all.Go(func() { search(context.Background(), func() { close(turn) }) })
	select {
	case <-turn:
		t.Error("one more than may be")
	default:
	}
	ends <- true
	<-turn
	close(ends)
	all.Wait()
}
