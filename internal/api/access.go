package api

import (
	"context"
	"crypto/hmac"
	"crypto/rand"
	"log/slog"
	"net"
	"net/http"
	"strings"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"golang.org/x/time/rate"

	"zaino/internal/store"
)

const (
	healthPath   = "/api/health"
	accessPath   = "/api/access"
	accessCookie = "zaino_access"

	// AccessSetting is the name under which the store keeps the access code.
	AccessSetting = "access-code"
	seenEvery     = time.Hour // how exactly it is kept when a browser asked last
	mostGuessers  = 1000      // addresses whose tries are counted each by itself
)

// NewAccessCode makes a code that is quick to type and slow to guess.
func NewAccessCode() string { return strings.ToLower(rand.Text()[:10]) }

// gate asks for the access code once in each browser.
type gate struct {
	store *store.Store
	now   func() time.Time

	mu       sync.Mutex
	code     string                   // empty where no code is asked for
	browsers map[string]store.Browser // by the hash of their token
	tries    map[string]*rate.Limiter // against guessing, by address
}

func newGate(code string, s *store.Store, now func() time.Time) *gate {
	return &gate{store: s, now: now, code: code, tries: map[string]*rate.Limiter{}}
}

// known returns the browser that sent a request.
func (g *gate) known(r *http.Request) (store.Browser, bool) {
	cookie, err := r.Cookie(accessCookie)
	if err != nil {
		return store.Browser{}, false
	}
	g.mu.Lock()
	defer g.mu.Unlock()
	if g.browsers == nil && g.read() != nil {
		return store.Browser{}, false
	}
	b, ok := g.browsers[store.HashToken(cookie.Value)]
	if ok && time.Since(b.Seen) > seenEvery {
		b.Seen = time.Now().UTC()
		g.browsers[b.Token] = b
		if err := g.store.SeeBrowser(b.ID); err != nil {
			slog.Error("noting a browser", "error", err)
		}
	}
	return b, ok
}

// read takes the browsers from the store. The caller holds the lock.
func (g *gate) read() error {
	all, err := g.store.Browsers()
	if err != nil {
		return err
	}
	g.browsers = map[string]store.Browser{}
	for _, b := range all {
		g.browsers[b.Token] = b
	}
	return nil
}

// guess counts a try of an address, and refuses the one too many. One who guesses locks out nobody else; where there
// are too many addresses to count, the further ones share one count.
func (g *gate) guess(address string) bool {
	if host, _, err := net.SplitHostPort(address); err == nil {
		address = host
	}
	g.mu.Lock()
	defer g.mu.Unlock()
	now := g.now()
	if g.tries[address] == nil && len(g.tries) >= mostGuessers {
		for known, tries := range g.tries { // those that rested are forgotten
			if tries.TokensAt(now) >= triesAtOnce {
				delete(g.tries, known)
			}
		}
		if len(g.tries) >= mostGuessers {
			address = ""
		}
	}
	if g.tries[address] == nil {
		g.tries[address] = rate.NewLimiter(rate.Every(6*time.Second), triesAtOnce)
	}
	return g.tries[address].AllowN(now, 1)
}

const triesAtOnce = 10

// open lets a browser in that shows the right code.
func (g *gate) open(address, code, name string) (http.Cookie, error) {
	if !g.guess(address) {
		return http.Cookie{}, huma.Error429TooManyRequests(
			"Too many tries; wait a minute and enter the access code again.",
		)
	}
	g.mu.Lock()
	defer g.mu.Unlock()
	code = strings.ToLower(strings.TrimSpace(code))
	if g.code == "" || !hmac.Equal([]byte(code), []byte(g.code)) {
		return http.Cookie{}, huma.Error401Unauthorized("This is not the access code; accepted is the one that the " +
			"server shows at its start, and under About in a browser that was let in.")
	}
	_, token, err := g.store.LetIn(name)
	if err == nil {
		err = g.read()
	}
	return http.Cookie{
		Name: accessCookie, Value: token, Path: "/", HttpOnly: true, SameSite: http.SameSiteStrictMode,
		MaxAge: int((365 * 24 * time.Hour).Seconds()),
	}, problem(err)
}

// renew makes another code and returns it. Browsers that were let in stay so.
func (g *gate) renew() (string, error) {
	code := NewAccessCode()
	if err := g.store.SetSetting(AccessSetting, code); err != nil {
		return "", err
	}
	g.mu.Lock()
	defer g.mu.Unlock()
	g.code = code
	return code, nil
}

// shutOut lets a browser in no more.
func (g *gate) shutOut(id string) error {
	if err := g.store.ShutOut(id); err != nil {
		return err
	}
	g.mu.Lock()
	defer g.mu.Unlock()
	return g.read()
}

// asks reports whether this server asks for a code at all, and which.
func (g *gate) asks() (code string, asked bool) {
	g.mu.Lock()
	defer g.mu.Unlock()
	return g.code, g.code != ""
}

type browserKey struct{}

// browserOf is the browser that an operation is for; of a server that asks for no code it has no name.
func browserOf(ctx context.Context) store.Browser {
	b, _ := ctx.Value(browserKey{}).(store.Browser)
	return b
}

// guard lets only browsers that were let in at the API. The front end itself is
// served to all, since it asks for the code.
func (g *gate) guard(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if _, asked := g.asks(); asked {
			b, known := g.known(r)
			if !known && r.URL.Path != accessPath && r.URL.Path != healthPath {
				writeProblem(w, http.StatusUnauthorized, "Enter the access code that the server shows at its start.")
				return
			}
			r = r.WithContext(context.WithValue(r.Context(), browserKey{}, b))
		}
		next.ServeHTTP(w, r)
	})
}

// accessInput is the code that somebody typed, from where.
type accessInput struct {
	from string
	Body struct {
		Code string `json:"code" maxLength:"100"`
		Name string `json:"name,omitempty" maxLength:"60" doc:"what this browser is to be called in lists"`
	}
}

// Resolve notes the address that a request came from.
func (in *accessInput) Resolve(ctx huma.Context) []error {
	in.from = ctx.RemoteAddr()
	return nil
}

type accessOutput struct {
	SetCookie http.Cookie `header:"Set-Cookie"`
}

type browsersOutput struct {
	Body struct {
		Asked    bool            `json:"asked" doc:"whether this server asks for an access code"`
		Code     string          `json:"code" doc:"to let another browser in"`
		Here     string          `json:"here" doc:"id of the browser that asks"`
		Browsers []store.Browser `json:"browsers"`
	}
}

func (h handlers) registerAccess(api huma.API) {
	huma.Register(api, operation("give-access", http.MethodPost, accessPath),
		func(_ context.Context, in *accessInput) (*accessOutput, error) {
			name := in.Body.Name
			if name == "" {
				name = "browser without a name"
			} else if err := readable("name", name); err != nil {
				return nil, problem(err)
			}
			cookie, err := h.gate.open(in.from, in.Body.Code, name)
			return &accessOutput{cookie}, err
		})
	huma.Register(api, operation("browsers", http.MethodGet, "/api/browsers"),
		func(ctx context.Context, _ *struct{}) (*browsersOutput, error) { return h.browsers(ctx) })
	huma.Register(api, operation("shut-out", http.MethodDelete, "/api/browsers/{id}"),
		func(ctx context.Context, in *JobID) (*browsersOutput, error) {
			if in.ID == browserOf(ctx).ID {
				return nil, huma.Error409Conflict("This is the browser that you use; shut it out from another one.")
			}
			if err := h.gate.shutOut(in.ID); err != nil {
				return nil, problem(err)
			}
			return h.browsers(ctx)
		})
	huma.Register(api, operation("renew-access", http.MethodPost, "/api/access/renewed"),
		func(ctx context.Context, _ *struct{}) (*browsersOutput, error) {
			if _, asked := h.gate.asks(); !asked {
				return nil, huma.Error409Conflict(
					"This server is reached from its own machine only and asks for no code.",
				)
			}
			if _, err := h.gate.renew(); err != nil {
				return nil, problem(err)
			}
			return h.browsers(ctx)
		})
}

func (h handlers) browsers(ctx context.Context) (*browsersOutput, error) {
	out := &browsersOutput{}
	out.Body.Code, out.Body.Asked = h.gate.asks()
	out.Body.Here = browserOf(ctx).ID
	out.Body.Browsers = []store.Browser{}
	if !out.Body.Asked {
		return out, nil
	}
	all, err := h.store.Browsers()
	out.Body.Browsers = all
	return out, problem(err)
}
