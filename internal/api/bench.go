package api

import (
	"context"
	"encoding/json"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/catalogue"
	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// BenchRequest is an edit of the bench that derives other values: job in, job
// out; nothing is saved by it.
type BenchRequest struct {
	Edit string      `json:"edit" enum:"fill,resize,put-away" doc:"fill: the module takes what is left of its bay; resize: it takes the size, and what hangs on it follows; put-away: the thing goes into the compartment that suits it"`
	ID   string      `json:"id" doc:"id of the module"`
	Size fitout.Size `json:"size" doc:"for resize"`
	Job  fitout.Job  `json:"job"`
}

type jobOutput struct{ Body fitout.Job }

type specsOutput struct{ Body []module.Spec }

type componentsOutput struct{ Body []catalogue.Component }

func (h handlers) registerBench(api huma.API) {
	huma.Register(api, operation("module-kinds", http.MethodGet, "/api/module-kinds"), func(context.Context, *struct{}) (*specsOutput, error) {
		return &specsOutput{module.Specs[:]}, nil
	})
	huma.Register(api, operation("components", http.MethodGet, "/api/components"), func(context.Context, *struct{}) (*componentsOutput, error) {
		all, err := catalogue.Components()
		return &componentsOutput{all}, problem(err)
	})
	edit := withJob("edit-bench", http.MethodPost, "/api/bench")
	huma.Register(api, edit, h.editBench)
	documentBody[BenchRequest](api, api.OpenAPI().Paths[edit.Path].Post)
}

func (h handlers) editBench(_ context.Context, in *jobBody) (*jobOutput, error) {
	var request struct {
		Edit string          `json:"edit"`
		ID   string          `json:"id"`
		Size fitout.Size     `json:"size"`
		Job  json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	switch request.Edit {
	case "fill":
		job, err = assess.Fill(&job, request.ID)
	case "resize":
		job, err = assess.Resize(&job, request.ID, request.Size)
	case "put-away":
		job, err = assess.PutAway(&job, request.ID)
	default:
		err = fitout.Problem{Path: "edit", Given: request.Edit, Accepted: "fill, resize or put-away"}
	}
	return &jobOutput{job}, problem(err)
}
