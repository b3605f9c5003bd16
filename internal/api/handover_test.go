package api

import (
	"bytes"
	"context"
	"encoding/json"
	"image"
	"image/jpeg"
	"net"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/device"
	"zaino/internal/store"
)

func aPhoto(t *testing.T) string {
	var out bytes.Buffer
	require.NoError(t, jpeg.Encode(&out, image.NewRGBA(image.Rect(0, 0, 30, 20)), nil))
	return out.String()
}

const jobURL = "/api/jobs/river-gauging"

// A reading is kept as it came: sent again it is the same one, something else under its name is refused.
func TestReadingsOfAScaleAreNeverChanged(t *testing.T) {
	server, _ := serve(t)
	row := `{"id":"r1","of":"item/water-tank","kg":9.35,"tare":0,"typed":false,"steady":true,"at":"2026-05-01T06:30:00Z","by":"","device":"","raw":"{}","corrects":""}`
	for range 2 {
		status, _, body := ask(t, "POST", server.URL+jobURL+"/weighings", row)
		require.Equal(t, 204, status, body)
	}
	status, _, body := ask(t, "POST", server.URL+jobURL+"/weighings", strings.Replace(row, "9.35", "8.35", 1))
	assert.Equal(t, 409, status, body)
	assert.Contains(t, body, "never changed")
	_, _, body = ask(t, "GET", server.URL+jobURL+"/weighings", "")
	assert.Equal(t, 1, strings.Count(body, `"id":"r1"`))
	assert.Contains(t, body, "9.35")
	for change, says := range map[string]string{`"kg":9.35→"kg":1e9`: "kg", `2026-05-01T06:30:00Z→yesterday`: "a moment such as",
		`"id":"r1"→"id":"../x"`: "id"} {
		from, to, _ := strings.Cut(change, "→")
		status, _, body := ask(t, "POST", server.URL+jobURL+"/weighings", strings.Replace(row, from, to, 1))
		assert.Equal(t, 422, status)
		assert.Contains(t, body, says)
	}
	status, _, _ = ask(t, "POST", server.URL+"/api/jobs/gone/weighings", row)
	assert.Equal(t, 404, status)
}

// What is no photo and no paper is refused, and what is kept is served so that it can run nothing.
func TestFilesAreTakenInWithCare(t *testing.T) {
	server, _ := serve(t)
	put := func(id, content string) (int, string) {
		status, _, body := ask(
			t,
			"POST",
			server.URL+jobURL+"/files?file="+id+"&of=item/x&name=a%22%0d%0ab.svg",
			content,
			"Content-Type",
			"application/octet-stream",
		)
		return status, body
	}
	for name, content := range map[string]string{"html": "<html><script>x</script>", "svg": "<svg xmlns='http://www.w3.org/2000/svg'><script/></svg>",
		"text": "hello", "zip": "PK\x03\x04", "cut": aPhoto(t)[:60]} {
		status, body := put("f-"+name, content)
		assert.Equal(t, 422, status, name+body)
	}
	status, body := put("photo", aPhoto(t))
	require.Equal(t, 200, status, body)
	status, body = put("paper", "%PDF-1.4 something")
	require.Equal(t, 200, status, body)
	status, head, _ := ask(t, "GET", server.URL+jobURL+"/files/photo", "")
	assert.Equal(t, 200, status)
	assert.Equal(t, "image/jpeg", head.Get("Content-Type"))
	assert.Contains(t, head.Get("Content-Security-Policy"), "sandbox")
	assert.NotContains(t, head.Get("Content-Disposition"), "\n")
	_, head, _ = ask(t, "GET", server.URL+jobURL+"/files/paper", "")
	assert.Contains(t, head.Get("Content-Disposition"), "attachment", "a paper is never shown as a page of ours")
	status, _, _ = ask(t, "DELETE", server.URL+jobURL+"/files/photo", "")
	assert.Equal(t, 204, status)
	status, _, _ = ask(t, "GET", server.URL+jobURL+"/files/photo", "")
	assert.Equal(t, 404, status)
}

// A whole job travels: readings, log, photos and papers are there on the other side, beside a job of its id as a copy.
func TestABundleTravels(t *testing.T) {
	server, _ := serve(t)
	ask(
		t,
		"POST",
		server.URL+jobURL+"/files?file=photo&of=item/x&name=p.jpg",
		aPhoto(t),
		"Content-Type",
		"application/octet-stream",
	)
	entry := `{"id":"e1","kind":"fuel","at":"2026-05-01T06:30","by":"","km":10500,"litres":61,"full":true,"cost":0,"surfaces":[],"nights":0,"people":0,"wh":0,"charge":0,"of":"","text":"","photo":"","replaces":""}`
	status, _, body := ask(t, "POST", server.URL+jobURL+"/log", entry)
	require.Equal(t, 204, status, body)
	row := `{"id":"r1","of":"item/x","kg":9.35,"tare":0,"typed":true,"steady":true,"at":"2026-05-01T06:30:00Z","by":"","device":"","raw":"","corrects":""}`
	status, _, body = ask(t, "POST", server.URL+jobURL+"/weighings", row)
	require.Equal(t, 204, status, body)
	_, head, packed := ask(t, "GET", server.URL+jobURL+"/bundle", "")
	assert.Contains(t, head.Get("Content-Disposition"), ".zaino.zip")
	status, _, body = ask(t, "POST", server.URL+"/api/jobs/bundle", packed, "Content-Type", "application/zip")
	require.Equal(t, 200, status, body)
	var document struct{ Job struct{ ID string } }
	require.NoError(t, json.Unmarshal([]byte(body), &document))
	assert.NotEqual(t, "river-gauging", document.Job.ID)
	at := server.URL + "/api/jobs/" + document.Job.ID
	_, _, season := ask(t, "GET", at+"/season", "")
	assert.Contains(t, season, `"e1"`)
	_, _, rows := ask(t, "GET", at+"/weighings", "")
	assert.Contains(t, rows, "9.35")
	status, _, _ = ask(t, "GET", at+"/files/photo", "")
	assert.Equal(t, 200, status)
	status, _, body = ask(t, "POST", server.URL+"/api/jobs/bundle", "PK nonsense", "Content-Type", "application/zip")
	assert.Equal(t, 422, status)
	assert.Contains(t, body, "a .zaino.zip bundle")
}

// What is kept beside jobs is in every backup.
func TestBackupsHoldWhatIsKeptBesideJobs(t *testing.T) {
	path := filepath.Join(t.TempDir(), "jobs.db")
	s, err := store.Open(path, store.Options{})
	require.NoError(t, err)
	server, _ := serve(t, func(o *Options) {
		document, err := o.Store.Load("river-gauging")
		require.NoError(t, err)
		_, err = s.Create(&document.Job)
		require.NoError(t, err)
		o.Store = s
	})
	status, _, _ := ask(
		t,
		"POST",
		server.URL+jobURL+"/files?file=photo&of=&name=p.jpg",
		aPhoto(t),
		"Content-Type",
		"application/octet-stream",
	)
	require.Equal(t, 200, status)
	copied := filepath.Join(t.TempDir(), "copy.db")
	require.NoError(t, store.Backup(path, copied))
	require.NoError(t, s.Close())
	again, err := store.Open(copied, store.Options{})
	require.NoError(t, err)
	defer again.Close()
	files, err := again.Files("river-gauging")
	require.NoError(t, err)
	require.Len(t, files, 1)
	_, data, err := again.FileData("river-gauging", "photo")
	require.NoError(t, err)
	assert.NotEmpty(t, data)
}

// Due over all customers, as a list and as a calendar; a line of the log that cannot be is refused with its sentence.
func TestDuesOverAllCustomers(t *testing.T) {
	server, _ := serve(t)
	_, _, text := ask(t, "GET", server.URL+jobURL, "")
	var document map[string]any
	require.NoError(t, json.Unmarshal([]byte(text), &document))
	document["base"] = document["revision"]
	delete(document, "revision")
	document["job"].(map[string]any)["handover"].(map[string]any)["delivered"] = "2026-01-10"
	changed, err := json.Marshal(document)
	require.NoError(t, err)
	status, _, body := ask(t, "PUT", server.URL+jobURL, string(changed))
	require.Equal(t, 200, status, body)
	_, _, body = ask(t, "GET", server.URL+"/api/dues?today=2026-06-01", "")
	assert.Contains(t, body, `"state":"overdue"`)
	_, head, calendar := ask(t, "GET", server.URL+"/api/dues.ics?today=2026-06-01", "")
	assert.Contains(t, head.Get("Content-Type"), "text/calendar")
	assert.Contains(t, calendar, "BEGIN:VEVENT")
	status, _, body = ask(
		t,
		"POST",
		server.URL+jobURL+"/log",
		`{"id":"e","kind":"fuel","at":"2026-05-01","by":"","km":0,"litres":0,"full":true,"cost":0,"surfaces":[],"nights":0,"people":0,"wh":0,"charge":0,"of":"","text":"","photo":"","replaces":""}`,
	)
	assert.Equal(t, 422, status)
	assert.Contains(t, body, "the litres that were filled in")
}

// Only scales of this machine are listened to, and only simulated ones are loaded on the screen.
func TestScalesAreAskedWithCare(t *testing.T) {
	ctx, stop := context.WithCancel(context.Background())
	defer stop()
	server, _ := serve(t, func(o *Options) { o.Context = ctx })
	status, _, body := ask(t, "POST", server.URL+"/api/scales", `{"address":"192.0.2.1:8352"}`)
	assert.Equal(t, 422, status)
	assert.Contains(t, body, "is not on this machine")
	load := func(address, what string) (int, string) {
		status, _, body := ask(
			t,
			"POST",
			server.URL+jobURL+"/scales/load",
			`{"address":"`+address+`","what":"`+what+`","item":""}`,
		)
		return status, body
	}
	status, body = load("127.0.0.1:9000", "wheels")
	assert.Equal(t, 422, status)
	assert.Contains(t, body, "not connected")

	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	s := &device.Scale{Kind: device.WheelPads, Interval: 20 * time.Millisecond}
	go func() { _ = s.Serve(ctx, listener) }()
	address := listener.Addr().String()
	status, _, body = ask(t, "POST", server.URL+"/api/scales", `{"address":"`+address+`"}`)
	require.Equal(t, 200, status, body)
	seen := func(want string) func() bool {
		return func() bool {
			_, _, body := ask(t, "GET", server.URL+"/api/scales", "")
			return strings.Contains(body, want)
		}
	}
	require.Eventually(t, seen(`"simulated":true`), 10*time.Second, 20*time.Millisecond)
	status, body = load(address, "wheels")
	require.Equal(t, 204, status, body)
	require.Eventually(t, func() bool {
		_, _, body := ask(t, "GET", server.URL+"/api/scales", "")
		return strings.Count(body, `"steady":true`) == 4 && !strings.Contains(body, `"kg":0,`)
	}, 20*time.Second, 50*time.Millisecond)
	status, _, _ = ask(t, "DELETE", server.URL+"/api/scales?address="+address, "")
	assert.Equal(t, 204, status)
	assert.False(t, seen(address)())
}
