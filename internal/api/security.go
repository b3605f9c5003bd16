package api

import (
	"encoding/json"
	"fmt"
	"net"
	"net/http"
	"regexp"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"
)

// contentPolicy lets a page load only what this server sends. Nothing inline:
// text from a job can never become script. data: is for the icons in the style
// sheet and for drawings.
const contentPolicy = "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none'; form-action " +
	"'self'; frame-ancestors 'none'"

func securityHeaders(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		header := w.Header()
		header.Set("Content-Security-Policy", contentPolicy)
		header.Set("X-Content-Type-Options", "nosniff")
		header.Set("Referrer-Policy", "no-referrer")
		header.Set("Cross-Origin-Opener-Policy", "same-origin")
		if strings.HasPrefix(r.URL.Path, "/api/") {
			header.Set("Cache-Control", "no-store")
		}
		next.ServeHTTP(w, r)
	})
}

// sameOrigin refuses requests that another site's page makes a browser send.
func sameOrigin() func(http.Handler) http.Handler {
	protection := http.NewCrossOriginProtection()
	protection.SetDenyHandler(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		writeProblem(w, http.StatusForbidden,
			"A page of another site asked for this; accepted are requests from Zaino's own pages.")
	}))
	return protection.Handler
}

// CheckHost refuses a host name that no request can ever name, such as one with a port, and returns it as it is
// compared.
func CheckHost(name string) (string, error) {
	host := strings.ToLower(strings.TrimSuffix(strings.Trim(strings.TrimSpace(name), "[]"), "."))
	if net.ParseIP(host) == nil && !hostName.MatchString(host) {
		return "", fmt.Errorf(
			"--host %q can never be what a browser asks for; accepted is a name or address alone, such as "+
				"workshop.local or 192.168.1.20, without http:// and without a port",
			name,
		)
	}
	return host, nil
}

var hostName = regexp.MustCompile(`^[a-z0-9_]([a-z0-9_-]*[a-z0-9_])?(\.[a-z0-9_]([a-z0-9_-]*[a-z0-9_])?)*$`)

// allowHosts refuses requests that name another host: a foreign page that
// points its own name at this address.
func allowHosts(hosts []string) func(http.Handler) http.Handler {
	return func(next http.Handler) http.Handler {
		return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			host := r.Host
			if name, _, err := net.SplitHostPort(host); err == nil {
				host = name
			}
			host = strings.ToLower(strings.TrimSuffix(strings.Trim(host, "[]"), "."))
			if !slices.Contains(hosts, host) {
				writeProblem(w, http.StatusMisdirectedRequest,
					"The host name "+host+" is not allowed; start the server with --host "+host+" to allow it.")
				return
			}
			next.ServeHTTP(w, r)
		})
	}
}

// writeProblem answers outside of the API's own operations.
func writeProblem(w http.ResponseWriter, status int, detail string) {
	w.Header().Set("Content-Type", "application/problem+json")
	w.WriteHeader(status)
	// The client may be gone; there is nobody to tell then.
	_ = json.NewEncoder(w).Encode(huma.ErrorModel{Title: http.StatusText(status), Status: status, Detail: detail})
}
