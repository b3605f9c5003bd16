package e2e

import (
	"bytes"
	"compress/gzip"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"slices"
	"syscall"
	"testing"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/performance"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/demo"
)

// The first load stays under 300 kB of script, as a browser gets it.
func TestFirstLoadIsSmall(t *testing.T) {
	t.Parallel()
	page, err := os.ReadFile("../web/dist/index.html")
	require.NoError(t, err)
	scripts := regexp.MustCompile(`/(assets/[^"]+\.js)"`).FindAllSubmatch(page, -1)
	require.NotEmpty(t, scripts)
	var packed bytes.Buffer
	w := gzip.NewWriter(&packed)
	for _, script := range scripts {
		data, err := os.ReadFile("../web/dist/" + string(script[1]))
		require.NoError(t, err)
		_, err = w.Write(data)
		require.NoError(t, err)
	}
	require.NoError(t, w.Close())
	assert.Less(t, packed.Len(), 300_000)
}

// many is the first demo job with more items, up to a number.
func many(tb testing.TB, count int) fitout.Job {
	tb.Helper()
	jobs, err := demo.Jobs()
	require.NoError(tb, err)
	job := jobs[0]
	job.ID = fmt.Sprint("items-", count)
	items := &job.Variants[0].Items
	for i := len(*items); i < count; i++ {
		item := (*items)[i%20]
		item.ID = fmt.Sprint("more-", i)
		item.Module, item.In = nil, nil // more of the same units would stand in each other
		item.At.X += float64(i % 50 * 20)
		*items = append(*items, item)
	}
	return job
}

// BenchmarkServerReady starts the program on a demo database until it answers.
func BenchmarkServerReady(b *testing.B) {
	db := filepath.Join(b.TempDir(), "demo.db")
	s := start(b, "demo", db, "127.0.0.1:0")
	address := s.address()
	s.stop(syscall.SIGTERM)
	for b.Loop() {
		command := exec.Command(program, "demo", "--db", db, "--listen", address)
		require.NoError(b, command.Start())
		for {
			response, err := http.Get("http://" + address + "/api/health")
			if err == nil {
				response.Body.Close()
				break
			}
			time.Sleep(time.Millisecond)
		}
		b.StopTimer()
		_ = command.Process.Signal(syscall.SIGTERM)
		_ = command.Wait()
		http.DefaultClient.CloseIdleConnections()
		b.StartTimer()
	}
}

// BenchmarkAssessOverLoopback asks for the figures of 60 items as the screen does.
func BenchmarkAssessOverLoopback(b *testing.B) {
	s := start(b, "demo", filepath.Join(b.TempDir(), "demo.db"), "127.0.0.1:0")
	job := many(b, 60)
	job.Variants = job.Variants[:1] // as the interface asks: with the variant that it shows
	data, err := json.Marshal(job)
	require.NoError(b, err)
	var took []time.Duration
	for b.Loop() {
		from := time.Now()
		response, err := http.Post(s.url+"/api/assess", "application/json", bytes.NewReader(data))
		require.NoError(b, err)
		_, err = io.Copy(io.Discard, response.Body)
		require.NoError(b, err)
		response.Body.Close()
		took = append(took, time.Since(from))
	}
	slices.Sort(took)
	b.ReportMetric(float64(took[len(took)*95/100].Microseconds())/1000, "ms-p95")
}

// BenchmarkDragStep drags one of many items and reports the script time of a step and the time of a frame.
func BenchmarkDragStep(b *testing.B) {
	for _, n := range []int{100, 200, 300} {
		b.Run(fmt.Sprint(n, "Items"), func(b *testing.B) {
			job := many(b, n)
			p := imported(b, &job, "load")
			p.see("[data-row]")
			p.waitFor(fmt.Sprintf("document.querySelectorAll('[data-item]').length === %d", n))
			items := job.Variants[0].Items
			top := slices.IndexFunc(items, func(i fitout.Item) bool { return i.Seat == "" && len(p.spots(i.ID)) == 2 })
			x, y := p.grab(items[top].ID)
			reportDrag(b, p, x, y)
		})
	}
}

// BenchmarkDragStepOf200Modules drags one of 200 drawer units on the bench, in
// three views with snapping and clashes.
func BenchmarkDragStepOf200Modules(b *testing.B) {
	job := modules(b)
	p := imported(b, &job, "layout")
	p.see("[data-component]")
	p.waitFor("document.querySelectorAll('[data-view=above] .part').length === 200")
	x, y := p.place(part("above", "unit-119"))
	reportDrag(b, p, x, y)
}

// BenchmarkTurning200Modules turns the model of 200 modules in the round and reports the script
// time of a frame; what the graphics card takes comes on top.
func BenchmarkTurning200Modules(b *testing.B) {
	job := modules(b)
	p := imported(b, &job, "layout")
	p.see("[data-component]")
	p.press("Walk round it")
	p.waitFor("Number(document.querySelector('.round')?.dataset.loaded) > 0")
	js[any](p, "document.querySelector('.round-frame').focus()")
	_, err := chromedp.Call(p.ctx, performance.Enable, performance.EnableParams{})
	require.NoError(b, err)
	frames := "Number(document.querySelector('.round canvas').dataset.frames)"
	first, before := js[int](p, frames), scriptTime(p)
	for b.Loop() {
		drawn := js[int](p, frames)
		p.keys(kb.ArrowLeft)
		p.waitFor(fmt.Sprintf("%s > %d", frames, drawn))
	}
	b.ReportMetric(1000*(scriptTime(p)-before)/float64(js[int](p, frames)-first), "ms-script-frame")
}

// modules is a job of 200 drawer units.
func modules(b *testing.B) fitout.Job {
	b.Helper()
	job := many(b, 0)
	job.ID = "modules-200"
	unit := job.Variants[0].Items[slices.IndexFunc(job.Variants[0].Items, func(i fitout.Item) bool {
		return i.Module != nil && i.Module.Kind == fitout.Drawers
	})]
	job.Variants[0].Items = nil
	for i := range 200 {
		next := unit
		next.ID, next.Bay = fmt.Sprint("unit-", i), ""
		next.Size = fitout.Size{Length: 80, Width: 80, Height: 80}
		next.At = fitout.Point{X: 2300 + float64(i%20)*90, Y: -400 + float64(i/20%5)*90, Z: 1000 + float64(i/100)*90}
		job.Variants[0].Items = append(job.Variants[0].Items, next)
	}
	return job
}

// imported opens a job in a server of its own.
func imported(b *testing.B, job *fitout.Job, stage string) *page {
	b.Helper()
	s := start(b, "serve", filepath.Join(b.TempDir(), "jobs.db"), "127.0.0.1:0")
	data, err := fitout.Encode(job)
	require.NoError(b, err)
	response, err := http.Post(s.url+"/api/jobs/import", "application/json", bytes.NewReader(data))
	require.NoError(b, err)
	response.Body.Close()
	return open(b, s.url+"/jobs/"+job.ID+"/"+stage)
}

// reportDrag drags what is at a place of the screen to and fro, and reports the
// script time of a step and the time from one frame to the next.
func reportDrag(b *testing.B, p *page, x, y float64) {
	b.Helper()
	_, err := chromedp.Call(p.ctx, performance.Enable, performance.EnableParams{})
	require.NoError(b, err)
	p.do(chromedp.MouseEvent(chromedp.MousePressed, x, y, chromedp.ButtonLeft))
	js[any](p, "void (window.frames = [], (function next(at) { window.frames.push(at); requestAnimationFrame(next) })(performance.now()))")
	var took []float64
	for i := 0; b.Loop(); i++ {
		before := scriptTime(p)
		p.do(chromedp.MouseEvent("mouseMoved", x-float64(10+i%60), y, chromedp.ButtonLeft))
		js[any](p, "0") // the step has been handled when the page answers
		took = append(took, scriptTime(p)-before)
	}
	p.do(chromedp.MouseEvent("mouseReleased", x-20, y, chromedp.ButtonLeft))
	frames := js[[]float64](p, "window.frames.slice(1).map((at, i, all) => i === 0 ? 0 : at - all[i - 1]).slice(1)")
	slices.Sort(frames)
	slices.Sort(took)
	if len(frames) > 0 {
		b.ReportMetric(frames[len(frames)/2], "ms-frame-median")
		b.ReportMetric(frames[len(frames)*95/100], "ms-frame-p95")
	}
	b.ReportMetric(1000*took[len(took)/2], "ms-script-median")
	b.ReportMetric(1000*took[len(took)*95/100], "ms-script-p95")
}

// scriptTime is how long the page's scripts have run in all, s.
func scriptTime(p *page) float64 {
	p.t.Helper()
	result, err := chromedp.Call(p.ctx, performance.GetMetrics, cdp.Empty{})
	require.NoError(p.t, err)
	for _, metric := range result.Metrics {
		if metric.Name == "ScriptDuration" {
			return metric.Value
		}
	}
	require.Fail(p.t, "the browser does not tell its script time")
	return 0
}
