package api

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/store"
)

// WorkshopRequest is a job whose build has what the workshop keeps.
type WorkshopRequest struct {
	Job fitout.Job `json:"job"`
}

// WorkshopKept is when the workshop's list was kept last.
type WorkshopKept struct {
	Kept bool      `json:"kept"`
	At   time.Time `json:"at" doc:"zero where nothing is kept yet"`
}

type workshopOutput struct{ Body WorkshopKept }

// registerWorkshop adds what all jobs of the workshop share: figures, stock, prices, people.
func (h handlers) registerWorkshop(api huma.API) {
	kept := func() (*workshopOutput, error) {
		_, at, err := h.store.Workshop()
		if errors.Is(err, store.ErrNotFound) {
			return &workshopOutput{}, nil
		}
		return &workshopOutput{WorkshopKept{err == nil, at}}, problem(err)
	}
	huma.Register(api, operation("workshop", http.MethodGet, "/api/workshop"),
		func(context.Context, *struct{}) (*workshopOutput, error) { return kept() })
	keep := withJob("keep-workshop", http.MethodPut, "/api/workshop")
	huma.Register(api, keep, func(_ context.Context, in *jobBody) (*workshopOutput, error) {
		job, err := askedJob(in)
		if err != nil {
			return nil, err
		}
		if err := h.store.KeepWorkshop(&job.Build); err != nil {
			return nil, problem(err)
		}
		return kept()
	})
	documentBody[WorkshopRequest](api, api.OpenAPI().Paths[keep.Path].Put)
	take := withJob("take-workshop", http.MethodPost, "/api/workshop/take")
	huma.Register(api, take, func(_ context.Context, in *jobBody) (*jobOutput, error) {
		job, err := askedJob(in)
		if err != nil {
			return nil, err
		}
		own, _, err := h.store.Workshop()
		if errors.Is(err, store.ErrNotFound) {
			return nil, huma.Error404NotFound("Nothing is kept for all jobs yet; keep the list of a job first.")
		}
		if err != nil {
			return nil, problem(err)
		}
		job.Build.TakeWorkshop(&own)
		return &jobOutput{job}, nil
	})
	documentBody[WorkshopRequest](api, api.OpenAPI().Paths[take.Path].Post)
}
