package api

import (
	"database/sql"
	"encoding/json"
	"fmt"
	"log/slog"
	"math"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/store"
)

// read is a body as what it holds.
func read[T any](t *testing.T, body string) T {
	t.Helper()
	var v T
	require.NoError(t, json.Unmarshal([]byte(body), &v), body)
	return v
}

func TestRevisionsAreListedNamedOpenedAndGoneBackTo(t *testing.T) {
	server, _ := serve(t)
	job := server.URL + "/api/jobs/river-gauging"
	status, _, body := ask(t, "PUT", job, saving(t, server.URL, strings.Replace(demoText(t), `"customer": "`,
		`"customer": "new `, 1)))
	require.Equal(t, 200, status, body)
	type history struct {
		Revisions []store.Past
		More      bool
	}
	_, _, body = ask(t, "GET", job+"/revisions", "")
	listed := read[history](t, body)
	require.Len(t, listed.Revisions, 2)
	require.Len(t, listed.Revisions[0].Changes, 1)
	assert.Equal(t, []string{"customer"}, listed.Revisions[0].Changes[0].Path)

	status, _, body = ask(t, "PUT", job+"/revisions/1/label", `{"label":"as ordered"}`)
	require.Equal(t, 204, status, body)
	_, _, body = ask(t, "GET", job+"/revisions/1", "")
	first := read[store.Document](t, body)
	status, _, body = ask(t, "POST", job+"/revisions/1/copy", "")
	require.Equal(t, 200, status, body)
	beside := read[store.Document](t, body)
	assert.Equal(t, "revision 1 of "+first.Job.Name, beside.Job.Name)
	assert.NotEqual(t, first.Job.ID, beside.Job.ID)
	status, _, body = ask(t, "POST", job+"/revisions/1/back", "")
	require.Equal(t, 200, status, body)
	back := read[store.Document](t, body)
	assert.Equal(t, 3, back.Revision)
	assert.Equal(t, first.Job, back.Job)

	for path, wanted := range map[string]string{
		"GET /revisions/99": "no such revision", "POST /revisions/99/back": "no such revision",
		"POST /revisions/99/copy": "no such revision", "GET /revisions/0": "accepted is a number of 1 or more",
		"PUT /revisions/1/label": "does not show",
	} {
		method, path, _ := strings.Cut(path, " ")
		sent := ""
		if method == "PUT" {
			sent = `{"label":"a\u0007b"}`
		}
		status, header, body := ask(t, method, job+path, sent)
		assert.GreaterOrEqual(t, status, 400, path)
		assert.Equal(t, "application/problem+json", header.Get("Content-Type"))
		assert.Contains(t, body, wanted, path)
	}
}

func TestADamagedJobSaysWhereToGoBack(t *testing.T) {
	path := filepath.Join(t.TempDir(), "other.db")
	s, err := store.Open(path, store.Options{})
	require.NoError(t, err)
	t.Cleanup(func() { s.Close() })
	server, _ := serve(t, func(o *Options) { o.Store = s })
	status, _, body := ask(t, "POST", server.URL+"/api/jobs/import", demoText(t))
	require.Equal(t, 200, status, body)
	status, _, body = ask(t, "PUT", server.URL+"/api/jobs/river-gauging", saving(t, server.URL,
		strings.Replace(demoText(t), `"customer": "`, `"customer": "new `, 1)))
	require.Equal(t, 200, status, body)
	raw, err := sql.Open("sqlite3", path)
	require.NoError(t, err)
	defer raw.Close()
	_, err = raw.Exec("UPDATE revisions SET document = zeroblob(99) WHERE number = 2")
	require.NoError(t, err)

	status, _, body = ask(t, "GET", server.URL+"/api/jobs/river-gauging", "")
	assert.Equal(t, 500, status)
	assert.Contains(t, body, "goes back to one that is whole")
	status, _, body = ask(t, "GET", server.URL+"/api/jobs", "")
	assert.Equal(t, 200, status, body)
	status, _, body = ask(t, "GET", server.URL+"/api/dues?today=2026-11-01", "")
	assert.Equal(t, 200, status, "what is due over all customers is not held up by one job: "+body)
	status, _, body = ask(t, "POST", server.URL+"/api/jobs/river-gauging/revisions/1/back", "")
	require.Equal(t, 200, status, body)
	status, _, _ = ask(t, "GET", server.URL+"/api/jobs/river-gauging", "")
	assert.Equal(t, 200, status)
}

func TestImportsOfOneIdAtOnceAreAllKept(t *testing.T) {
	server, _ := serve(t)
	text := strings.Replace(demoText(t), `"river-gauging"`, `"elsewhere"`, 1)
	var wait sync.WaitGroup
	ids := make(chan string, 12)
	for range 12 {
		wait.Go(func() {
			status, _, body := ask(t, "POST", server.URL+"/api/jobs/import", text)
			if assert.Equal(t, 200, status, body) {
				ids <- read[store.Document](t, body).Job.ID
			}
		})
	}
	wait.Wait()
	close(ids)
	kept := map[string]bool{}
	for id := range ids {
		kept[id] = true
	}
	assert.Len(t, kept, 12)
	assert.True(t, kept["elsewhere"])
}

func TestBrowsersAreListedAndTheCodeRenewed(t *testing.T) {
	server, _ := serve(t, func(o *Options) { o.AccessCode = "anvil" })
	enter := func(code, name string) (int, string) {
		status, header, _ := ask(
			t,
			"POST",
			server.URL+"/api/access",
			fmt.Sprintf(`{"code":%q,"name":%q}`, code, name),
		)
		cookie, _, _ := strings.Cut(header.Get("Set-Cookie"), ";")
		return status, cookie
	}
	_, tablet := enter("anvil", "Bench tablet")
	_, office := enter("ANVIL", "Office")
	type browsers struct {
		Asked    bool
		Code     string
		Here     string
		Browsers []store.Browser
	}
	_, _, body := ask(t, "GET", server.URL+"/api/browsers", "", "Cookie", office)
	listed := read[browsers](t, body)
	assert.True(t, listed.Asked)
	assert.Equal(t, "anvil", listed.Code)
	require.Len(t, listed.Browsers, 2)
	of := map[string]store.Browser{}
	for _, b := range listed.Browsers {
		of[b.Name] = b
	}
	assert.Equal(t, of["Office"].ID, listed.Here)

	// A save tells which browser it came from.
	_, _, body = ask(t, "GET", server.URL+"/api/jobs/river-gauging", "", "Cookie", tablet)
	lineage := read[store.Document](t, body).Lineage
	status, _, body := ask(t, "PUT", server.URL+"/api/jobs/river-gauging", `{"base":1,"lineage":"`+lineage+`","job":`+
		strings.Replace(demoText(t), `"customer": "`, `"customer": "new `, 1)+`}`, "Cookie", tablet)
	require.Equal(t, 200, status, body)
	_, _, body = ask(t, "GET", server.URL+"/api/jobs/river-gauging/revisions", "", "Cookie", office)
	assert.Equal(t, "Bench tablet", read[struct{ Revisions []store.Past }](t, body).Revisions[0].Author)

	status, _, _ = ask(t, "POST", server.URL+"/api/access/renewed", "", "Cookie", office)
	require.Equal(t, 200, status)
	status, _ = enter("anvil", "Stranger")
	assert.Equal(t, 401, status, "the old code lets nobody in")
	status, _, _ = ask(t, "GET", server.URL+"/api/jobs", "", "Cookie", tablet)
	assert.Equal(t, 200, status, "who was in stays in")
	status, _, _ = ask(t, "DELETE", server.URL+"/api/browsers/"+of["Bench tablet"].ID, "", "Cookie", office)
	require.Equal(t, 200, status)
	status, _, _ = ask(t, "GET", server.URL+"/api/jobs", "", "Cookie", tablet)
	assert.Equal(t, 401, status, "until it is shut out")
	status, _, body = ask(t, "DELETE", server.URL+"/api/browsers/"+of["Office"].ID, "", "Cookie", office)
	assert.Equal(t, 409, status)
	assert.Contains(t, body, "the browser that you use")
}

func TestGuessingLocksOutNobodyElse(t *testing.T) {
	s, err := store.Open(filepath.Join(t.TempDir(), "jobs.db"), store.Options{})
	require.NoError(t, err)
	t.Cleanup(func() { s.Close() })
	now := time.Date(2026, 5, 4, 9, 0, 0, 0, time.UTC)
	handler := New(Options{
		Store: s, AccessCode: "anvil", Hosts: []string{"workshop"}, Log: slog.New(slog.DiscardHandler),
		now: func() time.Time { return now },
	})
	from := func(address, code string) int {
		r := httptest.NewRequest("POST", "http://WORKSHOP./api/access", strings.NewReader(`{"code":"`+code+`"}`))
		r.RemoteAddr = address
		r.Header.Set("Content-Type", "application/json")
		w := httptest.NewRecorder()
		handler.ServeHTTP(w, r)
		return w.Code
	}
	for i := range 30 {
		from(fmt.Sprintf("10.0.0.66:%d", 4000+i), "guess")
	}
	assert.Equal(t, http.StatusTooManyRequests, from("10.0.0.66:9", "anvil"))
	assert.Equal(t, http.StatusNoContent, from("10.0.0.7:9", "anvil"), "a colleague comes in")
	for i := range 3 * mostGuessers {
		from(fmt.Sprintf("10.1.%d.%d:1", i/250, i%250), "guess")
	}
	assert.Equal(
		t,
		http.StatusTooManyRequests,
		from("10.200.0.1:1", "anvil"),
		"guessers with very many addresses share one count",
	)
	now = now.Add(time.Minute)
	assert.Equal(t, http.StatusNoContent, from("10.200.0.1:1", "anvil"), "a minute later those that rested are forgotten")
	assert.Equal(t, http.StatusNoContent, from("10.0.0.66:9", "anvil"), "and who guessed may try again")
}

func TestHostNamesThatCanNeverMatchAreRefused(t *testing.T) {
	for name, host := range map[string]string{"Workshop.Local": "workshop.local", "192.168.1.20": "192.168.1.20",
		"[fe80::1]": "fe80::1", "bench.": "bench"} {
		got, err := CheckHost(name)
		require.NoError(t, err)
		assert.Equal(t, host, got)
	}
	for _, name := range []string{"", "http://workshop", "workshop:8347", "work shop", "a/b", "*", "-x", "a..b"} {
		_, err := CheckHost(name)
		assert.ErrorContains(t, err, "accepted is a name or address alone", name)
	}
}

func TestWhatCannotBeWrittenIsAProblemBeforeAnyByte(t *testing.T) {
	recorder := httptest.NewRecorder()
	answering(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "application/json")
		w.WriteHeader(http.StatusOK)
		assert.NoError(t, writeJSON(w, map[string]float64{"front": 900, "rear": math.NaN()}))
	})).ServeHTTP(recorder, httptest.NewRequest("GET", "/api/x", nil))
	assert.Equal(t, http.StatusInternalServerError, recorder.Code)
	assert.Equal(t, "application/problem+json", recorder.Header().Get("Content-Type"))
	assert.NotContains(t, recorder.Body.String(), "900")
	assert.Contains(t, recorder.Body.String(), "could not write its answer")
	recorder = httptest.NewRecorder()
	answering(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		w.WriteHeader(http.StatusNoContent)
	})).ServeHTTP(recorder, httptest.NewRequest("GET", "/api/x", nil))
	assert.Equal(t, http.StatusNoContent, recorder.Code, "an answer without a body keeps its status")
}

func TestListsOfRequestsHaveTheirLimits(t *testing.T) {
	server, _ := serve(t)
	job := demoText(t)
	many := func(one string, n int) string { return strings.TrimSuffix(strings.Repeat(one+",", n), ",") }
	for path, c := range map[string][2]string{
		"/api/compare":   {`{"variants":[` + many(`"base"`, 21) + `],"job":` + job + `}`, "up to 20"},
		"/api/fix":       {`{"edits":[` + many(`{"kind":"move"}`, 11) + `],"job":` + job + `}`, "up to 10"},
		"/api/propose":   {`{"wishes":{"aims":[` + many(`"low"`, 7) + `]},"job":` + job + `}`, "up to 6"},
		"/api/mend":      {`{"limit":"gross","job":` + job + `}{}`, "follows after its end"},
		"/api/power/ask": {`{"Job":` + job + `}`, "unknown field"},
		"/api/bench":     {`{"edit":"fill","edit":"resize","id":"x","job":` + job + `}`, "there twice"},
	} {
		status, _, body := ask(t, "POST", server.URL+path, c[0])
		assert.Equal(t, 422, status, path)
		assert.Contains(t, body, c[1], path)
	}
}
