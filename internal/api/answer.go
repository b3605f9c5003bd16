package api

import (
	"bytes"
	"encoding/json"
	"io"
	"net/http"
)

// answering holds the status of an answer back until its first byte is known to come, so that one which cannot be
// written as JSON is a 500 and not a 200 with nothing in it.
func answering(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		held := &heldWriter{ResponseWriter: w}
		next.ServeHTTP(held, r)
		held.release()
	})
}

type heldWriter struct {
	http.ResponseWriter
	status   int
	released bool
}

// WriteHeader notes the status; it is sent with the first byte, or at the end.
func (w *heldWriter) WriteHeader(status int) {
	if w.released || status < http.StatusOK {
		w.ResponseWriter.WriteHeader(status)
		return
	}
	w.status = status
}

// Write sends the status and what follows it.
func (w *heldWriter) Write(data []byte) (int, error) {
	w.release()
	return w.ResponseWriter.Write(data)
}

// Flush sends what is written so far to who waits for it.
func (w *heldWriter) Flush() {
	w.release()
	if f, ok := w.ResponseWriter.(http.Flusher); ok {
		f.Flush()
	}
}

func (w *heldWriter) release() {
	if !w.released {
		w.released = true
		if w.status != 0 {
			w.ResponseWriter.WriteHeader(w.status)
		}
	}
}

// writeJSON writes an answer that is whole, or a problem that says that there is none.
func writeJSON(w io.Writer, v any) error {
	var data bytes.Buffer
	encoder := json.NewEncoder(&data)
	encoder.SetEscapeHTML(false)
	err := encoder.Encode(v)
	if err == nil {
		_, err = w.Write(data.Bytes())
		return err
	}
	if held, ok := w.(*heldWriter); ok && !held.released {
		held.status = 0
		writeProblem(held, http.StatusInternalServerError, "The server could not write its answer: "+err.Error()+
			". Nothing was changed by this; the job as it is stays kept in this browser.")
		return nil
	}
	return err
}
