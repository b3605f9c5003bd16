// Package api serves the planner over HTTP: jobs, live assessment, exchange
// formats and the built front end. Handlers decode, call the core or the
// store, and encode; the OpenAPI document is generated from their types.
package api

import (
	"context"
	"fmt"
	"io/fs"
	"log/slog"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
	"github.com/go-chi/chi/v5"
	"github.com/go-chi/chi/v5/middleware"

	"zaino/internal/store"
)

// Options are what a server is made of.
type Options struct {
	Store      *store.Store
	Frontend   fs.FS        // the built front end, with index.html at its top
	Log        *slog.Logger // requests are logged here
	Version    string
	Hosts      []string // host names that requests may name
	AccessCode string   // asked for once in each browser; empty for none

	Context context.Context  // devices are listened to until it ends
	Monitor string           // address of a simulated monitor that runs here; empty for none
	Scales  []SuggestedScale // simulated scales that run here

	now func() time.Time // for tests; nil for the time of day
}

// New returns the handler of the whole server.
func New(o Options) http.Handler {
	router := chi.NewRouter()
	router.Use(logRequests(o.Log), recoverPanics(o.Log), allowHosts(o.Hosts), securityHeaders,
		sameOrigin(), middleware.Compress(5))
	if o.now == nil {
		o.now = time.Now
	}
	gate := newGate(o.AccessCode, o.Store, o.now)
	router.Group(func(router chi.Router) {
		router.Use(gate.guard, styleTables, answering)
		register(router, o, gate)
	})
	router.MethodNotAllowed(func(w http.ResponseWriter, r *http.Request) {
		writeProblem(
			w,
			http.StatusMethodNotAllowed,
			fmt.Sprintf("%s is not answered at %.200s; docs and /api/openapi.json list what is.",
				r.Method, r.URL.Path),
		)
	})
	if o.Frontend != nil {
		router.NotFound(frontend(o.Frontend))
	}
	return router
}

// OpenAPI returns the contract, which the front end's types are generated from.
func OpenAPI() ([]byte, error) {
	return register(chi.NewRouter(), Options{}, newGate("", nil, time.Now)).OpenAPI().MarshalJSON()
}

func register(router chi.Router, o Options, gate *gate) huma.API {
	huma.DefaultArrayNullable = false
	huma.NewError = validationProblem
	speakPlainly()
	huma.ValidateStrictCasing = true // "Name" is another field than "name"
	config := huma.DefaultConfig("Zaino", "1")
	config.Components.Schemas = huma.NewMapRegistry("#/components/schemas/", schemaName)
	config.Formats = map[string]huma.Format{"application/json": strictJSON(), "json": strictJSON()}
	config.CreateHooks = nil // no $schema fields: documents stay as they are
	config.DocsPath, config.SchemasPath, config.OpenAPIPath = "", "", "/api/openapi"
	api := humachi.New(router, config)
	api.UseMiddleware(kinds(api))
	h := handlers{store: o.Store, version: o.Version, gate: gate, monitors: newMonitors(o.Context, o.Store),
		suggested: o.Monitor, scales: newScales(o.Context, o.Scales)}
	h.registerJobs(api)
	h.registerDocuments(api)
	h.registerAssess(api)
	h.registerBench(api)
	h.registerVariants(api)
	h.registerExchange(api)
	h.registerPower(api)
	h.registerRange(api)
	h.registerTraining(api)
	h.registerBuild(api)
	h.registerDrawing(api)
	h.registerMonitor(api)
	h.registerScales(api)
	h.registerWeigh(api)
	h.registerHandover(api)
	h.registerWorkshop(api)
	h.registerSeason(api)
	h.registerSystem(api)
	h.registerAccess(api)
	h.registerRevisions(api)
	describe(api.OpenAPI())
	return api
}

// handlers hold what the operations need.
type handlers struct {
	store   *store.Store
	version string
	gate    *gate

	monitors  *monitors
	scales    *scales
	suggested string // where a simulated monitor sends
}
