package api

import (
	"context"
	"errors"
	"fmt"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/store"
)

// RevisionOf is the path of an operation on one revision of a job; exported so that it can be embedded.
type RevisionOf struct {
	JobID
	Number int `path:"number" minimum:"1"`
}

type historyInput struct {
	JobID
	Below int `query:"below" minimum:"0" doc:"only revisions with a smaller number; 0 for the newest"`
	Limit int `query:"limit" minimum:"1" maximum:"100" default:"30"`
}

type historyOutput struct{ Body store.History }

type labelInput struct {
	RevisionOf
	Body struct {
		Label string `json:"label" maxLength:"80" doc:"empty to take the name away"`
	}
}

func (h handlers) registerRevisions(api huma.API) {
	huma.Register(api, operation("list-revisions", http.MethodGet, "/api/jobs/{id}/revisions"),
		func(_ context.Context, in *historyInput) (*historyOutput, error) {
			history, err := h.store.History(in.ID, in.Below, in.Limit)
			return &historyOutput{history}, problem(err)
		})
	huma.Register(api, operation("load-revision", http.MethodGet, "/api/jobs/{id}/revisions/{number}"),
		func(_ context.Context, in *RevisionOf) (*documentOutput, error) {
			document, err := h.store.LoadRevision(in.ID, in.Number)
			return &documentOutput{document}, ofRevision(err)
		})
	huma.Register(api, operation("name-revision", http.MethodPut, "/api/jobs/{id}/revisions/{number}/label"),
		func(_ context.Context, in *labelInput) (*struct{}, error) {
			if in.Body.Label != "" {
				if err := readable("label", in.Body.Label); err != nil {
					return nil, problem(err)
				}
			}
			return nil, ofRevision(h.store.NameRevision(in.ID, in.Number, in.Body.Label))
		})
	huma.Register(api, operation("go-back", http.MethodPost, "/api/jobs/{id}/revisions/{number}/back"),
		func(ctx context.Context, in *RevisionOf) (*documentOutput, error) {
			document, err := h.store.GoBack(in.ID, in.Number, browserOf(ctx).Name)
			return &documentOutput{document}, ofRevision(err)
		})
	huma.Register(api, operation("copy-revision", http.MethodPost, "/api/jobs/{id}/revisions/{number}/copy"),
		func(ctx context.Context, in *RevisionOf) (*documentOutput, error) {
			document, err := h.store.LoadRevision(in.ID, in.Number)
			if err != nil {
				return nil, ofRevision(err)
			}
			return h.createCopy(ctx, document.Job, fmt.Sprintf("revision %d of %s", in.Number, document.Job.Name))
		})
}

// ofRevision tells that it is the revision that is not there.
func ofRevision(err error) error {
	if errors.Is(err, store.ErrNotFound) {
		return huma.Error404NotFound(
			"There is no such revision; the job may be deleted, or the revision thinned out: of " +
				"those older than 30 days the last of each day is kept, and each that has a name.",
		)
	}
	return problem(err)
}
