package api

import (
	"context"
	"encoding/json"
	"net/http"
	"reflect"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/store"
)

// SaveRequest is an edited job and the revision that the edit was made on.
type SaveRequest struct {
	Base    int        `json:"base" minimum:"0" doc:"revision that the edit was made on"`
	Lineage string     `json:"lineage" maxLength:"64" doc:"that the revision is of, as the document had it"`
	Job     fitout.Job `json:"job"`
}

type saveInput struct {
	JobID
	jobBody
}

type revisionOutput struct {
	Body struct {
		Revision int    `json:"revision"`
		Lineage  string `json:"lineage"`
	}
}

func (h handlers) registerDocuments(api huma.API) {
	huma.Register(api, operation("load-job", http.MethodGet, "/api/jobs/{id}"),
		func(_ context.Context, in *JobID) (*documentOutput, error) {
			document, err := h.store.Load(in.ID)
			return &documentOutput{document}, problem(err)
		})
	huma.Register(api, operation("job-revision", http.MethodGet, "/api/jobs/{id}/revision"),
		func(_ context.Context, in *JobID) (*revisionOutput, error) {
			revision, err := h.store.Revision(in.ID)
			out := &revisionOutput{}
			out.Body.Revision, out.Body.Lineage = revision, h.store.Lineage()
			return out, problem(err)
		})
	save := withJob("save-job", http.MethodPut, "/api/jobs/{id}")
	save.Responses = map[string]*huma.Response{"409": {
		Description: "Somebody else changed the same meanwhile",
		Content: map[string]*huma.MediaType{"application/problem+json": {
			Schema: api.OpenAPI().Components.Schemas.Schema(reflect.TypeFor[conflictProblem](), true, ""),
		}},
	}}
	huma.Register(api, save, h.save)
	documentBody[SaveRequest](api, api.OpenAPI().Paths[save.Path].Put)
}

func (h handlers) save(ctx context.Context, in *saveInput) (*documentOutput, error) {
	var request struct {
		Base    int             `json:"base"`
		Lineage string          `json:"lineage"`
		Job     json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	if job.ID != in.ID {
		return nil, problem(fitout.Problem{Path: "id", Given: job.ID, Accepted: in.ID + ", the job that is saved"})
	}
	document, err := h.store.Save(store.Base{Revision: request.Base, Lineage: request.Lineage,
		Author: browserOf(ctx).Name}, &job)
	return &documentOutput{document}, problem(err)
}
