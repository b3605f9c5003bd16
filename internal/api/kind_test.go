package api

import (
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/go-chi/chi/v5"
	"github.com/stretchr/testify/assert"
)

// Whatever takes a body says what kind of, and refuses what says that it is another, as a page of another site may send
// it without being asked first.
func TestABodyOfAnotherKindIsRefused(t *testing.T) {
	server, _ := serve(t)
	contract := register(chi.NewRouter(), Options{}, newGate("", nil, time.Now)).OpenAPI()
	asked := 0
	for path, item := range contract.Paths {
		for method, operation := range map[string]*huma.Operation{
			"POST": item.Post, "PUT": item.Put, "PATCH": item.Patch, "DELETE": item.Delete,
		} {
			if operation == nil || operation.RequestBody == nil || operation.RequestBody.Content[anyKind] != nil {
				continue
			}
			url := server.URL + strings.NewReplacer("{", "", "}", "").Replace(path)
			for _, kind := range []string{"text/plain", "application/x-www-form-urlencoded", "multipart/form-data; boundary=x", ""} {
				status, header, body := ask(t, method, url, `{"job":{}}`, "Content-Type", kind)
				assert.Equal(t, http.StatusUnsupportedMediaType, status, "%s %s as %q: %s", method, path, kind, body)
				assert.Equal(t, "application/problem+json", header.Get("Content-Type"), path)
				assert.Contains(t, body, "accepted is", path)
				asked++
			}
		}
	}
	assert.Greater(t, asked, 100)
	status, _, _ := ask(t, "POST", server.URL+"/api/assess", demoText(t), "Content-Type", "application/JSON; charset=utf-8")
	assert.Equal(t, http.StatusOK, status)
}
