package api

import (
	"log/slog"
	"net/http"
	"runtime/debug"
	"time"

	"github.com/go-chi/chi/v5/middleware"
)

// logRequests writes one structured line for each request. Paths carry ids,
// never what is in a job.
func logRequests(log *slog.Logger) func(http.Handler) http.Handler {
	return func(next http.Handler) http.Handler {
		return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			start := time.Now()
			wrapped := middleware.NewWrapResponseWriter(w, r.ProtoMajor)
			next.ServeHTTP(wrapped, r)
			log.Info("request", "method", r.Method, "path", r.URL.Path, "status", wrapped.Status(),
				"bytes", wrapped.BytesWritten(), "ms", float64(time.Since(start).Microseconds())/1000)
		})
	}
}

// recoverPanics answers a request whose handler broke, and keeps serving.
func recoverPanics(log *slog.Logger) func(http.Handler) http.Handler {
	return func(next http.Handler) http.Handler {
		return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			defer func() {
				if broken := recover(); broken != nil {
					log.Error("handler broke", "path", r.URL.Path, "panic", broken, "stack", string(debug.Stack()))
					writeProblem(w, http.StatusInternalServerError, "The server could not do this; its log says why.")
				}
			}()
			next.ServeHTTP(w, r)
		})
	}
}
