package api

import (
	"context"
	"encoding/json"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/core/supply"
	"zaino/internal/exchange"
)

type courseOutput struct{ Body power.Course }

type bringInOutput struct {
	Body struct {
		Job  fitout.Job `json:"job"`
		Came []string   `json:"came" doc:"names of what came in"`
	}
}

// TryRequest asks what the logic does as things are set.
type TryRequest struct {
	Trial power.Trial `json:"trial"`
	Job   fitout.Job  `json:"job"`
}

type triedOutput struct{ Body []power.Tried }

// AskRequest asks for a set of components that lasts.
type AskRequest struct {
	Wish supply.Wish `json:"wish"`
	Job  fitout.Job  `json:"job"`
}

// AskLine is one line of the answer to it.
type AskLine struct {
	Share  float64              `json:"share" doc:"0 to 1"`
	Answer *supply.SupplyAnswer `json:"answer,omitempty" doc:"on the last line"`
}

func (h handlers) registerPower(api huma.API) {
	ofJob(api, "power-course", "/api/power/course", func(j *fitout.Job) *courseOutput {
		return &courseOutput{power.CourseOf(plan.Of(j))}
	})
	bring := withJob("bring-in", http.MethodPost, "/api/power/bring-in")
	huma.Register(api, bring, func(_ context.Context, in *jobBody) (*bringInOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		components, err := h.components()
		if err != nil {
			return nil, problem(err)
		}
		out := &bringInOutput{}
		out.Body.Job, out.Body.Came = edit.BringIn(&job, components)
		return out, problem(fitout.Validate(&out.Body.Job))
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[bring.Path].Post)

	try := withJob("try-logic", http.MethodPost, "/api/power/try")
	huma.Register(api, try, func(_ context.Context, in *jobBody) (*triedOutput, error) {
		var request struct {
			Trial power.Trial     `json:"trial"`
			Job   json.RawMessage `json:"job"`
		}
		job, err := decodeWithJob(in.RawBody, &request, &request.Job)
		if err != nil {
			return nil, err
		}
		return &triedOutput{power.TryOut(plan.Of(&job), &request.Trial)}, nil
	})
	documentBody[TryRequest](api, api.OpenAPI().Paths[try.Path].Post)

	streams[AskLine, AskRequest](api, "ask-power", "/api/power/ask", h.askPower)

	export := func(name, ending, contentType string, write func(*fitout.Job) ([]byte, error)) {
		huma.Register(api, operation(name, http.MethodGet, "/api/jobs/{id}/"+ending),
			func(_ context.Context, in *JobID) (*fileOutput, error) {
				return h.file(in.ID, "-"+ending, contentType, write)
			})
	}
	export("power-csv", "power.csv", "text/csv; charset=utf-8", exchange.WritePowerCSV)
	export("power-xlsx", "power.xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", exchange.WritePowerXLSX)
	export("power-pdf", "power.pdf", "application/pdf", exchange.WritePowerPDF)
	export("board-svg", "board.svg", "image/svg+xml", exchange.WriteBoardSVG)
}

func (h handlers) askPower(ctx context.Context, in *jobBody) (*huma.StreamResponse, error) {
	var request struct {
		Wish supply.Wish     `json:"wish"`
		Job  json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	if err := request.Wish.Check(); err != nil {
		return nil, problem(err)
	}
	components, err := h.components()
	if err != nil {
		return nil, problem(err)
	}
	p := plan.Of(&job)
	if _, err := supply.NewSearch(p, supply.Candidates{}, &request.Wish); err != nil {
		return nil, problem(err)
	}
	return lines(ctx, func(ctx context.Context, tell func(any)) {
		answer, _ := supply.Ask(ctx, p, components, &request.Wish, func(share float64) { tell(AskLine{Share: share}) })
		tell(AskLine{Share: 1, Answer: &answer})
	}), nil
}
