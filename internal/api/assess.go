package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
)

type assessmentOutput struct{ Body assess.Assessment }

func (h handlers) registerAssess(api huma.API) {
	live := withJob("assess", http.MethodPost, "/api/assess")
	huma.Register(api, live, func(_ context.Context, in *jobBody) (*assessmentOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		return &assessmentOutput{assess.Of(&job)}, nil
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[live.Path].Post)
}
