package api

import (
	"context"
	"encoding/json"
	"errors"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/weigh"
	"zaino/internal/exchange"
	"zaino/internal/store"
)

// WeighRequest asks for what is known of the weight of a job.
type WeighRequest struct {
	Job fitout.Job `json:"job"`
}

type weighOutput struct{ Body weigh.WeighView }

// Weighed is one reading as it was taken from a scale or typed. It is never changed; one that corrects it names it.
type Weighed struct {
	ID       string  `json:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"made by who sends it, so that it can be sent again"`
	Of       string  `json:"of" maxLength:"120" doc:"item/ and its id, or weigh-in/ and its id and the wheel"`
	Kg       float64 `json:"kg" minimum:"-1000" maximum:"100000" doc:"as it was read, kg"`
	Tare     float64 `json:"tare" minimum:"-1000" maximum:"100000" doc:"that was taken off, kg"`
	Typed    bool    `json:"typed" doc:"by hand"`
	Steady   bool    `json:"steady"`
	At       string  `json:"at" maxLength:"40" doc:"when, RFC 3339"`
	By       string  `json:"by" maxLength:"120"`
	Device   string  `json:"device" maxLength:"120"`
	Raw      string  `json:"raw" maxLength:"4096" doc:"the line of the scale as it came; empty of a typed one"`
	Corrects string  `json:"corrects" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the reading that it corrects; empty for none"`
}

type weighedInput struct {
	JobID
	Body Weighed
}

type weighedOutput struct {
	Body struct {
		Readings []Weighed `json:"readings" doc:"in the order of their time"`
	}
}

type certificateInput struct {
	JobID
	Of string `query:"of" maxLength:"64" doc:"id of the weighing"`
}

// kept turns what the store says of a row into a refusal with its sentence.
func kept(err error) error {
	if errors.Is(err, store.ErrOther) {
		return huma.Error409Conflict("Another with this id is kept already; what is kept is never changed.")
	}
	return problem(err)
}

func (h handlers) registerWeigh(api huma.API) {
	view := withJob("weigh", http.MethodPost, "/api/weigh")
	huma.Register(api, view, func(_ context.Context, in *jobBody) (*weighOutput, error) {
		var request struct {
			Job json.RawMessage `json:"job"`
		}
		job, err := decodeWithJob(in.RawBody, &request, &request.Job)
		if err != nil {
			return nil, err
		}
		return &weighOutput{weigh.ViewOf(plan.Of(&job))}, nil
	})
	documentBody[WeighRequest](api, api.OpenAPI().Paths[view.Path].Post)
	huma.Register(api, operation("keep-weighed", http.MethodPost, "/api/jobs/{id}/weighings"),
		func(_ context.Context, in *weighedInput) (*struct{}, error) {
			at, err := time.Parse(time.RFC3339, in.Body.At)
			if err != nil || at.Year() < 2000 || at.Year() > 2200 {
				return nil, problem(
					fitout.Problem{Path: "at", Given: in.Body.At, Accepted: "a moment such as 2026-05-01T06:30:00Z"},
				)
			}
			return nil, kept(h.store.Keep(store.Weighings, in.ID, in.Body.ID, at, in.Body))
		})
	huma.Register(api, operation("weighed", http.MethodGet, "/api/jobs/{id}/weighings"),
		func(_ context.Context, in *JobID) (*weighedOutput, error) {
			out := &weighedOutput{}
			var err error
			out.Body.Readings, err = store.All[Weighed](h.store, store.Weighings, in.ID)
			return out, problem(err)
		})
	huma.Register(api, operation("certificate-pdf", http.MethodGet, "/api/jobs/{id}/weighing.pdf"),
		func(_ context.Context, in *certificateInput) (*fileOutput, error) {
			return h.file(in.ID, "-weighing.pdf", "application/pdf", func(j *fitout.Job) ([]byte, error) {
				return exchange.WriteWeighPDF(j, in.Of)
			})
		})
}
