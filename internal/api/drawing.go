package api

import (
	"context"
	"encoding/json"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
)

// DrawingRequest asks for views of a job.
type DrawingRequest struct {
	Wish draw.DrawingWish `json:"wish"`
	Job  fitout.Job       `json:"job"`
}

type drawingOutput struct{ Body draw.DrawnSheet }

func registerDrawing(api huma.API) {
	drawing := withJob("drawing", http.MethodPost, "/api/drawing")
	huma.Register(api, drawing, func(_ context.Context, in *jobBody) (*drawingOutput, error) {
		var request struct {
			Wish draw.DrawingWish `json:"wish"`
			Job  json.RawMessage  `json:"job"`
		}
		job, err := decodeWithJob(in.RawBody, &request, &request.Job)
		if err != nil {
			return nil, err
		}
		if err := request.Wish.Check(); err != nil {
			return nil, refused(err)
		}
		return &drawingOutput{draw.Of(plan.Of(&job), &request.Wish)}, nil
	})
	documentBody[DrawingRequest](api, api.OpenAPI().Paths[drawing.Path].Post)
}
