package api

import (
	"context"
	"encoding/json"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/exchange"
)

const glbType = "model/gltf-binary"

// DrawingRequest asks for views of a job.
type DrawingRequest struct {
	Wish draw.DrawingWish `json:"wish"`
	Job  fitout.Job       `json:"job"`
}

// ModelRequest asks for a job in the round, in a stance.
type ModelRequest struct {
	Stance string     `json:"stance" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"empty for the road"`
	Focus  string     `json:"focus" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"before what the person stands"`
	Person string     `json:"person" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of a traveller who stands there; empty for nobody"`
	Job    fitout.Job `json:"job"`
}

// sheetInput asks for a drawing sheet of a job.
type sheetInput struct {
	JobID
	Paper  exchange.Paper `query:"paper" enum:"a4,a3,letter" default:"a4"`
	Views  string         `query:"views" maxLength:"60" doc:"stands with commas between; empty: from the left, behind and above"`
	Focus  string         `query:"focus" maxLength:"64" doc:"id of a space or a part; empty for all"`
	Stance string         `query:"stance" maxLength:"64" doc:"id of a stance; empty for the road"`
	Scale  float64        `query:"scale" minimum:"0" maximum:"1000" doc:"1 : so many; 0 for the largest that goes on the paper"`
	Who    string         `query:"who" maxLength:"60" doc:"who drew it"`
}

type drawingOutput struct{ Body draw.DrawnSheet }

func (h handlers) registerDrawing(api huma.API) {
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

	model := withJob("model", http.MethodPost, "/api/model")
	huma.Register(api, model, func(_ context.Context, in *jobBody) (*fileOutput, error) {
		var request struct {
			Stance string          `json:"stance"`
			Focus  string          `json:"focus"`
			Person string          `json:"person"`
			Job    json.RawMessage `json:"job"`
		}
		job, err := decodeWithJob(in.RawBody, &request, &request.Job)
		if err != nil {
			return nil, err
		}
		glb, err := exchange.ModelOf(&job, &draw.DrawingWish{Stance: request.Stance, Focus: request.Focus, Person: request.Person})
		return &fileOutput{ContentType: glbType, ContentDisposition: "inline", Body: glb}, problem(err)
	})
	documentBody[ModelRequest](api, api.OpenAPI().Paths[model.Path].Post)
	huma.Register(api, operation("sheet-pdf", http.MethodGet, "/api/jobs/{id}/sheet.pdf"),
		func(_ context.Context, in *sheetInput) (*fileOutput, error) {
			wish := exchange.SheetWish{Paper: in.Paper, Focus: in.Focus, Stance: in.Stance, Scale: in.Scale, Who: in.Who,
				Date: time.Now().Format(time.DateOnly)}
			for _, view := range strings.FieldsFunc(in.Views, func(r rune) bool { return r == ',' }) {
				wish.Stands = append(wish.Stands, draw.Stand(view))
			}
			if len(wish.Stands) > len(draw.Stands) {
				return nil, huma.Error422UnprocessableEntity("views: more than five were given; accepted are up to five.")
			}
			return h.file(in.ID, "-sheet.pdf", "application/pdf", func(j *fitout.Job) ([]byte, error) {
				return exchange.WriteSheetPDF(j, &wish)
			})
		})
	huma.Register(api, operation("model-glb", http.MethodGet, "/api/jobs/{id}/model.glb"),
		func(_ context.Context, in *JobID) (*fileOutput, error) {
			return h.file(in.ID, ".glb", glbType, exchange.WriteGLB)
		})
}
