package api

import (
	"bytes"
	"net/http"
	"strings"

	"zaino/internal/exchange"
)

// tableCookie keeps in a browser how it wants its tables; ?csv= asks for one table in another way.
const tableCookie = "zaino_csv"

// styleTables writes every CSV answer the way that is asked for.
func styleTables(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		style := r.URL.Query().Get("csv")
		if cookie, err := r.Cookie(tableCookie); style == "" && err == nil {
			style = cookie.Value
		}
		if s := exchange.CSVStyle(style); s != exchange.Marked && s != exchange.Semicolons {
			next.ServeHTTP(w, r)
			return
		}
		kept := &tableWriter{ResponseWriter: w}
		next.ServeHTTP(kept, r)
		kept.finish(exchange.CSVStyle(style))
	})
}

// tableWriter keeps a table until it is whole, and lets everything else through.
type tableWriter struct {
	http.ResponseWriter
	status int
	table  bytes.Buffer
}

func (w *tableWriter) isTable() bool {
	return strings.HasPrefix(w.Header().Get("Content-Type"), "text/csv")
}

// WriteHeader sends the status, that of a table later.
func (w *tableWriter) WriteHeader(status int) {
	if w.isTable() {
		w.status = status
		return
	}
	w.ResponseWriter.WriteHeader(status)
}

// Write sends what is no table.
func (w *tableWriter) Write(data []byte) (int, error) {
	if w.isTable() {
		return w.table.Write(data)
	}
	return w.ResponseWriter.Write(data)
}

// Flush lets lines come as they are ready.
func (w *tableWriter) Flush() {
	if f, ok := w.ResponseWriter.(http.Flusher); ok {
		f.Flush()
	}
}

func (w *tableWriter) finish(style exchange.CSVStyle) {
	if !w.isTable() {
		return
	}
	data, err := exchange.Restyle(w.table.Bytes(), style)
	if err != nil { // then as it is: a table is never lost for its commas
		data = w.table.Bytes()
	}
	if w.status != 0 {
		w.ResponseWriter.WriteHeader(w.status)
	}
	_, _ = w.ResponseWriter.Write(data) // who gave up does not listen any more
}
