package api

import (
	"bytes"
	"encoding/json"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"testing"
	"testing/fstest"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/demo"
	"zaino/internal/exchange"
	"zaino/internal/store"
)

// serve starts a server with the first demo job.
func serve(t *testing.T, change ...func(*Options)) (*httptest.Server, *bytes.Buffer) {
	t.Helper()
	s, err := store.Open(filepath.Join(t.TempDir(), "jobs.db"), store.Options{})
	require.NoError(t, err)
	t.Cleanup(func() { s.Close() })
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	_, err = s.Create(&jobs[0])
	require.NoError(t, err)
	log := &bytes.Buffer{}
	o := Options{
		Store:   s,
		Log:     slog.New(slog.NewJSONHandler(log, nil)),
		Version: "test",
		Hosts:   []string{"127.0.0.1"},
		Frontend: fstest.MapFS{
			"index.html":  {Data: []byte("<!doctype html>app")},
			"assets/a.js": {Data: []byte("1")},
		},
	}
	for _, c := range change {
		c(&o)
	}
	server := httptest.NewServer(New(o))
	t.Cleanup(server.Close)
	return server, log
}

// ask sends a request and returns status, headers and body.
func ask(t *testing.T, method, url, body string, headers ...string) (int, http.Header, string) {
	t.Helper()
	request, err := http.NewRequest(method, url, strings.NewReader(body))
	require.NoError(t, err)
	if body != "" {
		request.Header.Set("Content-Type", "application/json")
	}
	for i := 0; i+1 < len(headers); i += 2 {
		request.Header.Set(headers[i], headers[i+1])
		if headers[i] == "Host" {
			request.Host = headers[i+1]
		}
	}
	response, err := http.DefaultClient.Do(request)
	require.NoError(t, err)
	defer response.Body.Close()
	data, err := io.ReadAll(response.Body)
	require.NoError(t, err)
	return response.StatusCode, response.Header, string(data)
}

func demoText(t *testing.T) string {
	t.Helper()
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	data, err := fitout.Encode(&jobs[0])
	require.NoError(t, err)
	return string(data)
}

// saving is the request that saves a job on its first revision.
func saving(t *testing.T, url, job string) string {
	t.Helper()
	_, _, loaded := ask(t, "GET", url+"/api/jobs/river-gauging/revision", "")
	var of struct {
		Lineage string `json:"lineage"`
	}
	require.NoError(t, json.Unmarshal([]byte(loaded), &of))
	require.NotEmpty(t, of.Lineage)
	return `{"base":1,"lineage":"` + of.Lineage + `","job":` + job + `}`
}

func TestBadRequestsAreProblemDocuments(t *testing.T) {
	server, _ := serve(t)
	good := demoText(t)
	save := func(job string) string { return saving(t, server.URL, job) }
	cases := []struct {
		name, method, path, body string
		status                   int
		sentence                 string
	}{
		{"no such job", "GET", "/api/jobs/none", "", 404, "There is no such job here"},
		{"an id with a slash", "GET", "/api/jobs/..%2Fx", "", 422, ""},
		{"an id that is too long", "GET", "/api/jobs/" + strings.Repeat("a", 65), "", 422,
			"was given; accepted is a text of up to 64 characters"},
		{"an id with a blank", "GET", "/api/jobs/a%20b", "", 422, "was given; accepted are letters, digits, - and _"},
		{"no such operation", "GET", "/api/nothing", "", 404, "There is nothing at /api/nothing."},
		{"a job without a name", "POST", "/api/jobs", `{"name":"","region":"anz"}`, 422,
			`name: \"\" was given; accepted is a text of 1 or more characters`},
		{"a region that is none", "POST", "/api/jobs", `{"name":"x","region":"mars"}`, 422,
			`region: \"mars\" was given; accepted is one of anz, uk-eu, na`},
		{"a vehicle class that is none", "POST", "/api/jobs", `{"name":"x","region":"anz","class":"zeppelin"}`, 422,
			"class: zeppelin was given; accepted is the id of a vehicle class"},
		{"an unknown field of a request", "POST", "/api/jobs", `{"name":"x","region":"anz","colour":1}`, 422,
			"colour: an unknown field was given; accepted are only the fields of the contract"},
		{
			"a wheelbase of nothing",
			"POST",
			"/api/assess",
			strings.Replace(good, `"wheelbase": 3150`, `"wheelbase": 0`, 1),
			422,
			"0 mm was given; accepted is a number from 1000 to 12000 mm",
		},
		{
			"NaN",
			"POST",
			"/api/assess",
			strings.Replace(good, `"wheelbase": 3150`, `"wheelbase": NaN`, 1),
			422,
			"is not JSON",
		},
		{
			"10 MB",
			"POST",
			"/api/jobs/import",
			`{"format":"zaino.job","note":"` + strings.Repeat("x", 10<<20) + `"}`,
			413,
			"request body is too large",
		},
		{
			"a newer file",
			"POST",
			"/api/jobs/import",
			`{"format":"zaino.job","version":99}`,
			422,
			"written by a newer Zaino",
		},
		{"saving another job", "PUT", "/api/jobs/river-gauging",
			save(strings.Replace(good, `"id": "river-gauging"`, `"id": "other"`, 1)), 422,
			"id: other was given; accepted is river-gauging"},
		{"saving a job that is not there", "PUT", "/api/jobs/other",
			save(
				strings.Replace(good, `"id": "river-gauging"`, `"id": "other"`, 1),
			), 404, "There is no such job here"},
		{"saving nothing", "PUT", "/api/jobs/river-gauging", "{}", 422, "is not JSON"},
		{"deleting what is not there", "DELETE", "/api/jobs/none", "", 404, "There is no such job here"},
		{"an empty CSV", "POST", "/api/items/preview", `{"text":"","job":` + good + `}`, 422, "the file is empty"},
		{
			"an edit of the bench that is none",
			"POST",
			"/api/bench",
			`{"edit":"explode","id":"water-tank","job":` + good + `}`,
			422,
			"accepted is fill, resize or put-away",
		},
		{
			"filling with what is bought",
			"POST",
			"/api/bench",
			`{"edit":"fill","id":"water-tank","job":` + good + `}`,
			422,
			"a part that is bought whole",
		},
		{"a size below nothing", "POST", "/api/bench",
			`{"edit":"resize","id":"water-tank","size":{"length":-1,"width":1,"height":1},"job":` + good + `}`, 422,
			"size.length"},
		{
			"putting away what has drawers",
			"POST",
			"/api/bench",
			`{"edit":"put-away","id":"drawer-unit-left","job":` + good +
				`}`,
			422,
			"no compartments of its own",
		},
		{"forgetting a component that is not kept", "DELETE", "/api/components/none", "", 404, ""},
		{"a catalogue that is none", "POST", "/api/components", `{"text":"Name,Length\nBox,1"}`, 422,
			"no column is headed width"},
		{"a view that is none", "GET", "/api/jobs/river-gauging/svg/below", "", 422, "view"},
		{"a sheet of a job that is none", "POST", "/api/sheets", `{"format":"zaino.job"}`, 422, "version"},
		{"a limit that cannot be mended", "POST", "/api/mend", `{"limit":"nothing","job":` + good + `}`, 422,
			"limit: nothing was given; accepted is one of the job's limits: front, rear, gross"},
		{"a combination without a trailer", "POST", "/api/mend", `{"limit":"combination","job":` + good + `}`, 422,
			"combination was given; accepted is one of the job's limits"},
		{"mending nothing", "POST", "/api/mend", `{"limit":"rear"}`, 422, "job"},
		{"a fix that was not offered", "POST", "/api/fix",
			`{"edits":[{"kind":"drop","id":"nothing","with":"","value":3}],"job":` + good + `}`, 422,
			"a change that was offered for this job"},
		{"a fix into nonsense", "POST", "/api/fix",
			`{"edits":[{"kind":"part-length","id":"water-tank","with":"","value":-3}],"job":` + good + `}`, 422, "Water tank"},
		{
			"a fix with a field too many",
			"POST",
			"/api/fix",
			`{"edits":[],"colour":1,"job":` + good + `}`,
			422,
			"colour",
		},
		{"a case that is none", "POST", "/api/show?state=case:gone", good, 422, "case: and the id of a case"},
		{"a state that is none", "POST", "/api/account?state=case:gone", good, 422, "case: and the id of a case"},
		{
			"the account of a state that is none",
			"GET",
			"/api/jobs/river-gauging/account.pdf?state=worst:nothing",
			"",
			422,
			"worst: and one of front, rear",
		},
		{"an aim that is none", "POST", "/api/propose", `{"wishes":{"aims":["beauty"]},"job":` + good + `}`, 422,
			"accepted is rear-axle, low, sides, access, steps or room"},
		{"an edit of variants that is none", "POST", "/api/variants", `{"edit":"burn","job":` + good + `}`, 422,
			"accepted is branch or vary"},
		{
			"branching from nothing",
			"POST",
			"/api/variants",
			`{"edit":"branch","from":"z","name":"Z","job":` + good + `}`,
			422,
			"the id of a variant",
		},
		{"a way that changes no part", "POST", "/api/variants",
			`{"edit":"vary","school":"suspension","choice":"airbags","job":` + good + `}`, 422, "by hand"},
		{"deleting all jobs", "DELETE", "/api/jobs", "", 405, "DELETE is not answered at /api/jobs"},
		{"a field twice", "POST", "/api/jobs", `{"name":"A","name":"B","region":"anz"}`, 400, "is there twice"},
		{"a field of another case", "POST", "/api/jobs", `{"Name":"A","region":"anz"}`, 422, "Name"},
		{
			"a name that nobody sees",
			"POST",
			"/api/jobs",
			`{"name":"\u200b \u00a0","region":"anz"}`,
			422,
			"a character that does not show",
		},
		{"posting to a screen", "POST", "/jobs", "{}", 405, "can only be read"},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			status, header, body := ask(t, c.method, server.URL+c.path, c.body)
			assert.Equal(t, c.status, status, body)
			assert.Contains(t, header.Get("Content-Type"), "application/problem+json")
			assert.Contains(t, body, c.sentence)
			assert.Less(t, len(body), 5000)
		})
	}
	_, _, after := ask(t, "GET", server.URL+"/api/jobs/river-gauging/export", "")
	assert.Equal(t, good, after, "nothing was lost or changed")
}

func TestConflictTellsBothValues(t *testing.T) {
	server, _ := serve(t)
	save := func(name string) (int, string) {
		job := strings.Replace(demoText(t), "Nine nights on the Orrin", name, 1)
		status, _, body := ask(t, "PUT", server.URL+"/api/jobs/river-gauging", saving(t, server.URL, job))
		return status, body
	}
	status, _ := save("Theirs")
	require.Equal(t, 200, status)
	status, body := save("Mine")
	require.Equal(t, 409, status)
	var problem conflictProblem
	require.NoError(t, json.Unmarshal([]byte(body), &problem))
	assert.Equal(t, []fitout.Conflict{{Path: []string{"name"}, Name: "Theirs", Mine: "Mine", Theirs: "Theirs"}},
		problem.Conflicts)
	assert.Equal(t, 2, problem.Current.Revision)
}

func TestImportKeepsTheIdOrMakesACopy(t *testing.T) {
	server, _ := serve(t)
	elsewhere := strings.Replace(demoText(t), `"id": "river-gauging"`, `"id": "elsewhere"`, 1)
	for _, c := range []struct {
		job  string
		same bool
	}{{elsewhere, true}, {demoText(t), false}} {
		status, _, body := ask(t, "POST", server.URL+"/api/jobs/import", c.job)
		require.Equal(t, 200, status, body)
		var d store.Document
		require.NoError(t, json.Unmarshal([]byte(body), &d))
		assert.Equal(t, c.same, d.Job.ID == "elsewhere")
		assert.NotEqual(t, "river-gauging", d.Job.ID)
	}
}

func TestWhoMayConnect(t *testing.T) {
	server, _ := serve(t)
	t.Run("a page of another site", func(t *testing.T) {
		status, _, body := ask(t, "POST", server.URL+"/api/jobs", `{"name":"x","region":"anz"}`, "Origin",
			"http://elsewhere.example", "Sec-Fetch-Site", "cross-site")
		assert.Equal(t, 403, status)
		assert.Contains(t, body, "another site")
	})
	t.Run("a foreign name for this address", func(t *testing.T) {
		status, _, body := ask(t, "GET", server.URL+"/api/jobs", "", "Host", "elsewhere.example")
		assert.Equal(t, 421, status)
		assert.Contains(t, body, "--host elsewhere.example")
	})
	t.Run("without the access code", func(t *testing.T) {
		server, _ := serve(t, func(o *Options) { o.AccessCode = "anvil" })
		status, _, _ := ask(t, "GET", server.URL+"/api/jobs", "")
		assert.Equal(t, 401, status)
		status, _, _ = ask(t, "GET", server.URL+"/api/health", "")
		assert.Equal(t, 200, status)
		status, _, body := ask(t, "POST", server.URL+"/api/access", `{"code":"hammer"}`)
		assert.Equal(t, 401, status)
		assert.Contains(t, body, "not the access code")
		status, header, _ := ask(t, "POST", server.URL+"/api/access", `{"code":" anvil "}`)
		require.Equal(t, 204, status)
		cookie := header.Get("Set-Cookie")
		assert.Contains(t, cookie, "HttpOnly")
		assert.Contains(t, cookie, "SameSite=Strict")
		assert.NotContains(t, cookie, "anvil")
		status, _, _ = ask(t, "GET", server.URL+"/api/jobs", "", "Cookie", strings.Split(cookie, ";")[0])
		assert.Equal(t, 200, status)
		for range 12 {
			status, _, _ = ask(t, "POST", server.URL+"/api/access", `{"code":"guess"}`)
		}
		assert.Equal(t, 429, status)
	})
}

func TestPagesComeWithTheirPolicy(t *testing.T) {
	server, log := serve(t)
	for _, path := range []string{"/", "/jobs/river-gauging/load"} {
		status, header, body := ask(t, "GET", server.URL+path, "")
		assert.Equal(t, 200, status)
		assert.Equal(t, "<!doctype html>app", body)
		policy := header.Get("Content-Security-Policy")
		assert.Contains(t, policy, "default-src 'self'")
		assert.NotContains(t, policy, "unsafe-inline")
		assert.Equal(t, "nosniff", header.Get("X-Content-Type-Options"))
	}
	_, header, _ := ask(t, "GET", server.URL+"/assets/a.js", "")
	assert.Contains(t, header.Get("Cache-Control"), "immutable")
	var line struct {
		Msg, Method, Path string
		Status            int
	}
	first, _, _ := strings.Cut(log.String(), "\n")
	require.NoError(t, json.Unmarshal([]byte(first), &line), "the request log is structured")
	assert.Equal(t, "/", line.Path)
	assert.Equal(t, 200, line.Status)
}

func TestAHandlerThatBreaksIsAnswered(t *testing.T) {
	log := &bytes.Buffer{}
	handler := recoverPanics(slog.New(slog.NewJSONHandler(log, nil)))(http.HandlerFunc(func(http.ResponseWriter,
		*http.Request) {
		panic("bolt sheared")
	}))
	recorder := httptest.NewRecorder()
	handler.ServeHTTP(recorder, httptest.NewRequest(http.MethodGet, "/api/jobs", nil))
	assert.Equal(t, 500, recorder.Code)
	assert.NotContains(t, recorder.Body.String(), "bolt")
	assert.Contains(t, log.String(), "bolt sheared")
}

func TestFileNamesAreSafe(t *testing.T) {
	assert.Equal(t, "nine-nights-on-the-orrin", exchange.FileName("Nine nights on the Orrin"))
	assert.Equal(t, "etc-passwd", exchange.FileName(`../../etc/"passwd"`))
	assert.Equal(t, "job", exchange.FileName("…"))
}

func BenchmarkAssessOverHTTP(b *testing.B) {
	jobs, err := demo.Jobs()
	require.NoError(b, err)
	jobs[0].Variants = jobs[0].Variants[:1] // as the interface asks: with the variant that it shows
	data, err := fitout.Encode(&jobs[0])
	require.NoError(b, err)
	handler := New(Options{Log: slog.New(slog.DiscardHandler), Hosts: []string{"example.com"}})
	for b.Loop() {
		recorder := httptest.NewRecorder()
		request := httptest.NewRequest(http.MethodPost, "/api/assess", bytes.NewReader(data))
		request.Header.Set("Content-Type", "application/json")
		handler.ServeHTTP(recorder, request)
		if recorder.Code != http.StatusOK {
			b.Fatal(recorder.Code, recorder.Body)
		}
	}
}

// What is read of a way is refused with a sentence, or shown before anything is changed.
func TestWaysAreReadAndRefused(t *testing.T) {
	server, _ := serve(t)
	gpx := func(text string) (int, string) {
		status, _, body := ask(
			t,
			http.MethodPost,
			server.URL+"/api/range/gpx",
			text,
			"Content-Type",
			"application/gpx+xml",
		)
		return status, body
	}
	status, body := gpx("<gpx></gpx>")
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, body, "It has no points; accepted is a GPX file up to 100 MB")
	_, _, way := ask(t, http.MethodGet, server.URL+"/api/range/example.gpx", "")
	status, body = gpx(way)
	assert.Equal(t, http.StatusOK, status, body)
	assert.Contains(t, body, "Tallow Creek store")
	status, _, body = ask(t, http.MethodPost, server.URL+"/api/range/stops", `{"text":"name\nHome"}`)
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, body, "needed are stop and km")
	status, _, body = ask(t, http.MethodPost, server.URL+"/api/range", demoText(t))
	assert.Equal(t, http.StatusOK, status, body)
	assert.Contains(t, body, `"manner":"axles"`)
}
