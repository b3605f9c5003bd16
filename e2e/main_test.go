// Package e2e drives the real program: the built binary, its own database, and
// the real interface in Debian's headless Chromium at 1280×800: its shell without a
// window where that is installed, else the browser that has one.
package e2e

import (
	"bufio"
	"bytes"
	"context"
	"fmt"
	"io"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"

	"zaino/web"
)

var (
	program   string          // path of the built binary
	demoJobs  string          // a database with the demo jobs, of which each test has a copy
	browserIn context.Context // the one browser, whose tabs the tests open
)

func TestMain(m *testing.M) { os.Exit(run(m)) }

func run(m *testing.M) int {
	if web.Files() == nil {
		fmt.Fprintln(os.Stderr, "e2e: the front end has not been built; run make web first")
		return 1
	}
	folder, err := os.MkdirTemp("", "zaino-e2e-*")
	if err != nil {
		fmt.Fprintln(os.Stderr, "e2e:", err)
		return 1
	}
	defer os.RemoveAll(folder)
	program = filepath.Join(folder, "zaino")
	if out, err := exec.Command("go", "build", "-o", program, "../cmd/zaino").CombinedOutput(); err != nil {
		fmt.Fprintf(os.Stderr, "e2e: %v\n%s", err, out)
		return 1
	}
	demoJobs = filepath.Join(folder, "demo.db")
	if err := makeDemoJobs(); err != nil {
		fmt.Fprintln(os.Stderr, "e2e: the demo does not start:", err)
		return 1
	}
	// The shell draws in the process that lays out: less to hand from one to another, the same pixels.
	options := append(chromedp.DefaultExecAllocatorOptions[:], chromedp.WindowSize(1280, 800),
		chromedp.Flag("in-process-gpu", true))
	if shell, err := exec.LookPath("chromium-headless-shell"); err == nil {
		options = append(options, chromedp.ExecPath(shell))
	}
	if os.Geteuid() == 0 {
		options = append(options, chromedp.NoSandbox)
	}
	allocator, stop := chromedp.NewExecAllocator(context.Background(), options...)
	defer stop()
	browser, closeBrowser := chromedp.NewContext(allocator)
	defer closeBrowser()
	if err := chromedp.Do(browser, chromedp.Navigate("about:blank")); err != nil {
		fmt.Fprintln(os.Stderr, "e2e: Chromium does not start:", err, "(apt-get install chromium-headless-shell)")
		return 1
	}
	browserIn = browser
	return m.Run()
}

// server is a running zaino with a database of its own.
type server struct {
	t       testing.TB
	url     string
	db      string
	code    string // access code, where one is asked for
	command *exec.Cmd
	log     *syncBuffer
}

type syncBuffer struct {
	mutex sync.Mutex
	bytes.Buffer
}

func (b *syncBuffer) Write(p []byte) (int, error) {
	b.mutex.Lock()
	defer b.mutex.Unlock()
	return b.Buffer.Write(p)
}

// makeDemoJobs starts the demo once and stops it.
func makeDemoJobs() error {
	demo := exec.Command(program, "demo", "--db", demoJobs, "--listen", "127.0.0.1:0")
	out, err := demo.StdoutPipe()
	if err != nil {
		return err
	}
	if err := demo.Start(); err != nil {
		return err
	}
	lines := bufio.NewScanner(out)
	for lines.Scan() && !strings.HasPrefix(lines.Text(), "Jobs are kept in") {
	}
	if err := demo.Process.Signal(syscall.SIGTERM); err != nil {
		return err
	}
	return demo.Wait()
}

// startDemo serves the demo jobs.
func startDemo(t testing.TB) *server {
	db := filepath.Join(t.TempDir(), "demo.db")
	jobs, err := os.ReadFile(demoJobs)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(db, jobs, 0o600))
	return start(t, "demo", db, "127.0.0.1:0")
}

// start runs `zaino serve` or `zaino demo` and waits until it answers.
func start(t testing.TB, verb, db, address string, flags ...string) *server {
	t.Helper()
	s := &server{t: t, db: db, log: &syncBuffer{}}
	s.command = exec.Command(program, append([]string{verb, "--db", db, "--listen", address}, flags...)...)
	s.command.Stderr = s.log
	out, err := s.command.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, s.command.Start())
	t.Cleanup(func() { s.stop(syscall.SIGTERM) })
	lines := bufio.NewScanner(out)
	for lines.Scan() && !strings.HasPrefix(lines.Text(), "Jobs are kept in") {
		if _, url, found := strings.Cut(lines.Text(), "Zaino is at "); found {
			s.url = url
		}
		if _, code, found := strings.Cut(lines.Text(), "in each browser: "); found {
			s.code = code
		}
	}
	require.NotEmpty(t, s.url, "the server did not start: %s", s.log)
	go func() { _, _ = io.Copy(io.Discard, out) }()
	require.Eventually(t, func() bool {
		response, err := http.Get(s.url + "/api/health")
		if err != nil {
			return false
		}
		response.Body.Close()
		return response.StatusCode == http.StatusOK
	}, 20*time.Second, 20*time.Millisecond)
	return s
}

// stop ends the server with a signal and waits for it.
func (s *server) stop(signal syscall.Signal) {
	if s.command.ProcessState == nil {
		_ = s.command.Process.Signal(signal)
		_ = s.command.Wait()
	}
}

// address is where the server listens.
func (s *server) address() string {
	return strings.Replace(strings.TrimPrefix(s.url, "http://"), "localhost", "127.0.0.1", 1)
}

// get reads from the server, as a download would.
func (s *server) get(path string) []byte {
	s.t.Helper()
	response, err := http.Get(s.url + path)
	require.NoError(s.t, err)
	defer response.Body.Close()
	data, err := io.ReadAll(response.Body)
	require.NoError(s.t, err)
	require.Equal(s.t, http.StatusOK, response.StatusCode, "%s", data)
	return data
}
