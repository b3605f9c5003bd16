package api

import (
	"io/fs"
	"net/http"
	"strings"
)

// frontend serves the built front end. A path that is no file is a screen of
// the app and gets its page; a path below /api/ that no operation knows does not.
func frontend(files fs.FS) http.HandlerFunc {
	server := http.FileServerFS(files)
	return func(w http.ResponseWriter, r *http.Request) {
		path := strings.TrimPrefix(r.URL.Path, "/")
		if strings.HasPrefix(path, "api/") {
			writeProblem(w, http.StatusNotFound, "There is nothing at "+r.URL.Path+".")
			return
		}
		if r.Method != http.MethodGet && r.Method != http.MethodHead {
			writeProblem(w, http.StatusMethodNotAllowed, "A screen can only be read.")
			return
		}
		if strings.HasPrefix(path, "assets/") {
			// File names carry a hash of what is in them.
			w.Header().Set("Cache-Control", "public, max-age=31536000, immutable")
			server.ServeHTTP(w, r)
			return
		}
		if info, err := fs.Stat(files, path); path == "" || err != nil || info.IsDir() {
			r = r.Clone(r.Context())
			r.URL.Path = "/"
		}
		w.Header().Set("Cache-Control", "no-cache")
		server.ServeHTTP(w, r)
	}
}
