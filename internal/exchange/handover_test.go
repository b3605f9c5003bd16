package exchange_test

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"html"
	"image"
	"image/color"
	"image/jpeg"
	"os"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/plan"
	"zaino/internal/core/season"
	"zaino/internal/core/weigh"
	"zaino/internal/demo"
	"zaino/internal/exchange"
	"zaino/internal/store"
)

func photo(t *testing.T) []byte {
	img := image.NewRGBA(image.Rect(0, 0, 60, 40))
	for x := range 60 {
		img.Set(x, x%40, color.RGBA{200, 30, 30, 255})
	}
	var out bytes.Buffer
	require.NoError(t, jpeg.Encode(&out, img, nil))
	return out.Bytes()
}

// nasty is the first demo job with what an attacker would call things.
func nasty(t *testing.T) fitout.Job {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[0]
	const attack = `</title><script>alert(1)</script><img src=x onerror=alert(1)>"'`
	j.Name, j.Customer = "Job "+attack, attack
	j.Handover.Care, j.Handover.Contact = attack, "javascript:alert(1)"
	j.ChosenVariant().Items[0].Name = attack
	j.Handover.Signed = []fitout.Signature{{ID: "s", Role: fitout.SignsCustomer, Name: attack, On: "2026-04-04T10:00",
		Strokes: `M 10 20 L 300 100 L 9e9 1 "><script>x</script> L 20 30`}}
	w := weigh.Begin(plan.Of(&j), "w", attack)
	w.Reading, w.Front, w.Rear = fitout.ReadAxles, 1400, 2100
	j.ChosenVariant().WeighIns = []fitout.WeighIn{w}
	return j
}

// The pack is one file that fetches nothing and runs nothing, whatever the job is called; drawings, pictures and the
// signature are in it.
func TestThePackIsOneFileThatRunsNothing(t *testing.T) {
	j := nasty(t)
	page, err := exchange.WritePackHTML(&j, []exchange.PackPhoto{{Caption: `<b onclick="x">`, JPEG: photo(t)}})
	require.NoError(t, err)
	text := string(page)
	assert.NotContains(t, text, "<script")
	assert.NotContains(t, text, "<img src=x")
	assert.NotContains(t, text, `<b onclick`)
	assert.NotRegexp(t, `(src|href)="?(https?:|//|javascript:)`, text)
	assert.Contains(t, text, "default-src 'none'")
	assert.Contains(t, text, `points="10.0,20.0 300.0,100.0 20.0,30.0"`, "the strokes that can be read")
	for _, has := range []string{"data:image/svg+xml;base64,", "data:image/jpeg;base64,", "what may still be loaded", "Before driving off",
		"Laying it up", "Cautions", "Gone through together", "The first 500 km"} {
		assert.Contains(t, html.UnescapeString(text), has)
	}
	pdf, err := exchange.WritePackPDF(
		&j,
		[]exchange.PackPhoto{{Caption: "x", JPEG: photo(t)}, {Caption: "broken", JPEG: []byte("no")}},
	)
	require.NoError(t, err)
	assert.True(t, bytes.HasPrefix(pdf, []byte("%PDF")))
	certificate, err := exchange.WriteWeighPDF(&j, "w")
	require.NoError(t, err)
	assert.True(t, bytes.HasPrefix(certificate, []byte("%PDF")))
	_, err = exchange.WriteWeighPDF(&j, "gone")
	assert.ErrorContains(t, err, "the id of a weighing of this job")
}

func bundle(t *testing.T) exchange.Bundle {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	return exchange.Bundle{Job: jobs[1], Weighings: []json.RawMessage{json.RawMessage(`{"id":"a","kg":12}`)},
		Log: []season.Entry{{ID: "1", Kind: season.Note, At: "2026-05-01", Text: "x", Surfaces: []season.OnGround{}}},
		Files: []exchange.BundledFile{
			{File: store.File{ID: "f", Kind: "photo", Name: "p.jpg", Type: "image/jpeg", At: time.Unix(1, 0).UTC()},
				Data: photo(t)},
		}}
}

func TestABundleComesBackAsItWas(t *testing.T) {
	b := bundle(t)
	packed, err := exchange.WriteBundle(&b)
	require.NoError(t, err)
	again, err := exchange.ReadBundle(packed)
	require.NoError(t, err)
	first, err := fitout.Encode(&b.Job)
	require.NoError(t, err)
	second, err := fitout.Encode(&again.Job)
	require.NoError(t, err)
	assert.Equal(t, string(first), string(second))
	assert.Equal(t, b.Log, again.Log)
	assert.Equal(t, b.Files, again.Files)
	assert.JSONEq(t, string(b.Weighings[0]), string(again.Weighings[0]))
}

// zipOf is a zip with files by name, each with its mode and content.
func zipOf(t *testing.T, files ...[2]string) []byte {
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for _, f := range files {
		head := &zip.FileHeader{Name: strings.TrimPrefix(f[0], "link:"), Method: zip.Deflate}
		if strings.HasPrefix(f[0], "link:") {
			head.SetMode(os.ModeSymlink | 0o777)
		}
		w, err := z.CreateHeader(head)
		require.NoError(t, err)
		_, err = w.Write([]byte(f[1]))
		require.NoError(t, err)
	}
	require.NoError(t, z.Close())
	return out.Bytes()
}

// Bombs, ways out of the folder, links, strange names, doubles and half bundles are refused with what is accepted.
func TestBundlesThatAttackAreRefused(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	job, err := fitout.Encode(&jobs[0])
	require.NoError(t, err)
	good := [2]string{"job.zaino.json", string(job)}
	zeros := strings.Repeat("0", 33<<20)
	many := [][2]string{good}
	for i := range 700 {
		many = append(many, [2]string{"files/f" + string(rune('a'+i%26)) + strings.Repeat("x", i/26), ""})
	}
	for name, c := range map[string]struct {
		data []byte
		says string
	}{
		"no zip":         {[]byte("hello"), "a .zaino.zip bundle"},
		"empty zip":      {zipOf(t), "no job in it"},
		"a way out":      {zipOf(t, good, [2]string{"files/../../etc/passwd", "x"}), "only what Zaino itself puts"},
		"an absolute":    {zipOf(t, good, [2]string{"/etc/passwd", "x"}), "only what Zaino itself puts"},
		"a backslash":    {zipOf(t, good, [2]string{`files\..\x`, "x"}), "only what Zaino itself puts"},
		"a link":         {zipOf(t, good, [2]string{"link:files/f", "/etc/passwd"}), "only what Zaino itself puts"},
		"a bomb":         {zipOf(t, good, [2]string{"log.json", "[" + zeros + "]"}), "once it is unpacked"},
		"twice":          {zipOf(t, good, good), "twice in it"},
		"too many":       {zipOf(t, many...), "files in it"},
		"a missing file": {zipOf(t, good, [2]string{"files.json", `[{"id":"gone"}]`}), `"gone" that is not in it`},
		"a bad list":     {zipOf(t, good, [2]string{"log.json", "{"}), "log.json that cannot be read"},
		"a bad line":     {zipOf(t, good, [2]string{"log.json", `[{"id":"a","kind":"fuel","at":"2026-05-01"}]`}), "the litres"},
		"a bad job":      {zipOf(t, [2]string{"job.zaino.json", `{"format":"zaino.job"}`}), "version"},
	} {
		_, err := exchange.ReadBundle(c.data)
		assert.ErrorContains(t, err, c.says, name)
	}
	packed, err := exchange.WriteBundle(&exchange.Bundle{Job: jobs[0]})
	require.NoError(t, err)
	_, err = exchange.ReadBundle(packed[:len(packed)/2])
	assert.Error(t, err, "half of it")
}

func FuzzReadBundle(f *testing.F) {
	f.Add([]byte("PK\x03\x04"))
	f.Fuzz(func(_ *testing.T, data []byte) { _, _ = exchange.ReadBundle(data) })
}

// A calendar that any calendar reads: lines of at most 75 bytes, ended by CR LF, texts escaped, whole days.
func TestDuesAsCalendar(t *testing.T) {
	dues := []handover.Due{
		{
			Job:      "j",
			Name:     "Ute; of “Łódź”, big\nBEGIN:VEVENT",
			Customer: strings.Repeat("Ünlü ", 30),
			ID:       "interval/gas",
			What:     "Gas, check",
			On:       "2026-12-31",
			Why:      "24 months",
		},
		{Job: "j", ID: "interval/nuts", What: "By way only", Km: 100},
	}
	text := string(exchange.WriteDuesICS(dues, time.Date(2026, 5, 1, 8, 0, 0, 0, time.UTC)))
	assert.Equal(t, 1, strings.Count(text, "\r\nBEGIN:VEVENT\r\n"))
	assert.NotContains(t, text, "By way only")
	assert.Contains(t, text, "DTSTART;VALUE=DATE:20261231\r\nDTEND;VALUE=DATE:20270101\r\n")
	assert.Contains(t, text, `SUMMARY:Gas\, check: Ute\; of`)
	assert.True(t, strings.HasSuffix(text, "END:VCALENDAR\r\n"))
	for _, line := range strings.Split(strings.TrimSuffix(text, "\r\n"), "\r\n") {
		assert.LessOrEqual(t, len(line), 75)
		assert.NotContains(t, line, "\n")
		assert.True(t, strings.ToValidUTF8(line, "?") == line, "no letter is cut")
	}
}

// A log goes out as CSV and comes back as it was, whatever was written into it.
func TestALogComesBackAsItWas(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		e := season.Entry{
			ID:     "a1",
			Kind:   season.Fuel,
			At:     "2026-05-01T06:30",
			Litres: rapid.Float64Range(0.1, 5000).Draw(t, "litres"),
			Km: float64(
				rapid.IntRange(0, 500_000).Draw(t, "km"),
			),
			Full:     rapid.Bool().Draw(t, "full"),
			Cost:     rapid.IntRange(0, 100_000).Draw(t, "cost"),
			Text:     strings.TrimSpace(rapid.StringMatching(`[='+@ -]{0,2}[a-zA-Zäß;," ]{0,20}`).Draw(t, "text")),
			Surfaces: []season.OnGround{{Surface: "gravel", Share: float64(rapid.IntRange(0, 100).Draw(t, "share"))}},
		}
		data, err := exchange.WriteLogCSV([]season.Entry{e})
		if err != nil {
			t.Fatal(err)
		}
		read, err := exchange.ReadLogCSV(data)
		if err != nil || len(read.Entries) != 1 || len(read.Problems) > 0 {
			t.Fatalf("%v %v %s", err, read, data)
		}
		want, _ := json.Marshal(e)
		got, _ := json.Marshal(read.Entries[0])
		if string(want) != string(got) {
			t.Fatalf("%s came back as %s by %s", want, got, data)
		}
	})
}

func TestLinesThatCannotBeAreTold(t *testing.T) {
	read, err := exchange.ReadLogCSV(
		[]byte(
			"\ufeffkm;kind;at;litres;full;surfaces\n10500;fuel;2026-05-01;40,5;yes;gravel:60 sealed:40\n;fuel;2026-05-02;;;\n1;fuel;soon;3;;\n1;fuel;2026-05-03;x;;\n1;fuel;2026-05-03;3;;gravel\n",
		),
	)
	require.NoError(t, err)
	require.Len(t, read.Entries, 1)
	assert.Equal(t, 40.5, read.Entries[0].Litres)
	assert.Equal(
		t,
		[]season.OnGround{{Surface: "gravel", Share: 60}, {Surface: "sealed", Share: 40}},
		read.Entries[0].Surfaces,
	)
	require.Len(t, read.Problems, 4)
	assert.Contains(t, read.Problems[0], "Line 3")
	assert.Contains(t, read.Problems[2], "a number")
	assert.Contains(t, read.Problems[3], "id:share")
	for _, bad := range []string{"", "name,mass\nx,3\n"} {
		_, err := exchange.ReadLogCSV([]byte(bad))
		assert.Error(t, err)
	}
}
