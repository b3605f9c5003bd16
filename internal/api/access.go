package api

import (
	"crypto/hmac"
	"crypto/sha256"
	"encoding/hex"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"golang.org/x/time/rate"
)

const (
	healthPath   = "/api/health"
	accessPath   = "/api/access"
	accessCookie = "zaino_access"
)

// gate asks for the access code once in each browser.
type gate struct {
	code  string
	tries *rate.Limiter // against guessing
}

func newGate(code string) *gate {
	return &gate{code: code, tries: rate.NewLimiter(rate.Every(6*time.Second), 10)}
}

// token is what a browser that has shown the code keeps; it does not tell the code.
func (g *gate) token() string {
	mac := hmac.New(sha256.New, []byte(g.code))
	mac.Write([]byte("zaino access"))
	return hex.EncodeToString(mac.Sum(nil))
}

// open returns the cookie for a right code.
func (g *gate) open(code string) (http.Cookie, error) {
	if !g.tries.Allow() {
		return http.Cookie{}, huma.Error429TooManyRequests("Too many tries; wait a minute and enter the access code again.")
	}
	if !hmac.Equal([]byte(strings.TrimSpace(code)), []byte(g.code)) {
		return http.Cookie{},
			huma.Error401Unauthorized("This is not the access code; accepted is the one that the server shows at its start.")
	}
	return http.Cookie{
		Name: accessCookie, Value: g.token(), Path: "/", HttpOnly: true, SameSite: http.SameSiteStrictMode,
		MaxAge: int((365 * 24 * time.Hour).Seconds()),
	}, nil
}

// guard lets only browsers with the cookie at the API. The front end itself is
// served to all, since it asks for the code.
func (g *gate) guard(next http.Handler) http.Handler {
	if g.code == "" {
		return next
	}
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		cookie, err := r.Cookie(accessCookie)
		known := err == nil && hmac.Equal([]byte(cookie.Value), []byte(g.token()))
		if !known && r.URL.Path != accessPath && r.URL.Path != healthPath {
			writeProblem(w, http.StatusUnauthorized, "Enter the access code that the server shows at its start.")
			return
		}
		next.ServeHTTP(w, r)
	})
}
