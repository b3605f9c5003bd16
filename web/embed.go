// Package web hands the built front end to the program. `make web` builds it
// into dist; without it the program serves the API alone.
package web

import (
	"embed"
	"io/fs"
)

//go:embed all:dist
var dist embed.FS

// Files is the built front end, or nil when it has not been built.
func Files() fs.FS {
	files, err := fs.Sub(dist, "dist")
	if err != nil {
		return nil
	}
	if _, err := fs.Stat(files, "index.html"); err != nil {
		return nil
	}
	return files
}
