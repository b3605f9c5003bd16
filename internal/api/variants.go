package api

import (
	"context"
	"encoding/json"
	"net/http"
	"reflect"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/arrange"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/mend"
	"zaino/internal/core/report"
)

// VariantRequest is an edit that makes a further variant: job in, job out;
// nothing is saved by it.
type VariantRequest struct {
	Edit   string     `json:"edit" enum:"branch,vary" doc:"branch: a copy of a variant; vary: the chosen one with one judgement call made the other way"`
	From   string     `json:"from" doc:"for branch: id of the variant"`
	Name   string     `json:"name" maxLength:"120" doc:"for branch: what it is called; empty: its letter"`
	School string     `json:"school" doc:"for vary: id of the judgement call"`
	Choice string     `json:"choice" doc:"for vary: id of the way"`
	Job    fitout.Job `json:"job"`
}

// mostCompared is how many variants one request compares, and mostAims how many aims it has.
const mostCompared, mostAims = 20, 6

// CompareRequest asks for variants side by side; none named are all.
type CompareRequest struct {
	Variants []string   `json:"variants" maxItems:"20"`
	Job      fitout.Job `json:"job"`
}

// ProposeRequest asks for arrangements.
type ProposeRequest struct {
	Wishes arrange.Wishes `json:"wishes"`
	Job    fitout.Job     `json:"job"`
}

// ProposeLine is one line of the answer to it: how far it is, or at last what was
// found.
type ProposeLine struct {
	Share     float64            `json:"share" doc:"0 to 1"`
	Proposals *arrange.Proposals `json:"proposals,omitempty" doc:"on the last line"`
}

// MendRequest asks for the ways to bring a load back within its limit.
type MendRequest struct {
	Limit string     `json:"limit" maxLength:"80" doc:"what a finding says to ask for"`
	Job   fitout.Job `json:"job"`
}

// MendLine is one line of the answer to it.
type MendLine struct {
	Share float64     `json:"share" doc:"0 to 1"`
	Mends *mend.Mends `json:"mends,omitempty" doc:"on the last line"`
}

type compareOutput struct{ Body []report.VariantFigures }

type waysOutput struct{ Body []edit.Turn }

func (h handlers) registerVariants(api huma.API) {
	compare := withJob("compare", http.MethodPost, "/api/compare")
	huma.Register(api, compare, func(_ context.Context, in *jobBody) (*compareOutput, error) {
		var request struct {
			Variants []string        `json:"variants"`
			Job      json.RawMessage `json:"job"`
		}
		job, err := decodeWithJob(in.RawBody, &request, &request.Job)
		if err != nil {
			return nil, err
		}
		if err := upTo("variants", len(request.Variants), mostCompared); err != nil {
			return nil, err
		}
		return &compareOutput{report.Compare(&job, request.Variants)}, nil
	})
	documentBody[CompareRequest](api, api.OpenAPI().Paths[compare.Path].Post)

	variants := withJob("edit-variants", http.MethodPost, "/api/variants")
	huma.Register(api, variants, h.editVariants)
	documentBody[VariantRequest](api, api.OpenAPI().Paths[variants.Path].Post)

	ways := withJob("ways", http.MethodPost, "/api/ways")
	huma.Register(api, ways, func(_ context.Context, in *jobBody) (*waysOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		components, err := h.components()
		return &waysOutput{edit.Ways(&job, components)}, problem(err)
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[ways.Path].Post)

	streams[ProposeLine, ProposeRequest](api, "propose", "/api/propose", h.propose)
	streams[MendLine, MendRequest](api, "mend", "/api/mend", h.mend)
}

// streams registers what takes its time: it answers with lines of JSON, the share
// that is done and at last what was found; ending the request calls it off.
func streams[Line, Request any](api huma.API, name, path string,
	handle func(context.Context, *jobBody) (*huma.StreamResponse, error)) {
	live := withJob(name, http.MethodPost, path)
	live.Description = "Answers with lines of JSON: the share that is done, and at last what was found. Ending the " +
		"request calls it off."
	live.Responses = map[string]*huma.Response{"200": {
		Description: "Lines of JSON",
		Content: map[string]*huma.MediaType{"application/x-ndjson": {
			Schema: api.OpenAPI().Components.Schemas.Schema(reflect.TypeFor[Line](), true, ""),
		}},
	}}
	huma.Register(api, live, handle)
	documentBody[Request](api, api.OpenAPI().Paths[live.Path].Post)
}

func (h handlers) editVariants(_ context.Context, in *jobBody) (*jobOutput, error) {
	var request struct {
		Edit   string          `json:"edit"`
		From   string          `json:"from"`
		Name   string          `json:"name"`
		School string          `json:"school"`
		Choice string          `json:"choice"`
		Job    json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	switch request.Edit {
	case "branch":
		job, err = edit.Branch(&job, request.From, request.Name)
	case "vary":
		components, trouble := h.components()
		if trouble != nil {
			return nil, problem(trouble)
		}
		job, err = edit.Vary(&job, components, request.School, request.Choice)
	default:
		err = fitout.Problem{Path: "edit", Given: request.Edit, Accepted: "branch or vary"}
	}
	return &jobOutput{job}, problem(err)
}

func (h handlers) propose(ctx context.Context, in *jobBody) (*huma.StreamResponse, error) {
	var request struct {
		Wishes arrange.Wishes  `json:"wishes"`
		Job    json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	if err := upTo("wishes.aims", len(request.Wishes.Aims), mostAims); err != nil {
		return nil, err
	}
	for _, aim := range request.Wishes.Aims {
		if !aim.Known() {
			return nil, problem(fitout.Problem{Path: "wishes.aims", Given: string(aim),
				Accepted: "rear-axle, low, sides, access, steps or room"})
		}
	}
	return lines(ctx, func(ctx context.Context, tell func(any)) {
		found := arrange.Propose(ctx, &job, request.Wishes, func(share float64) { tell(ProposeLine{Share: share}) })
		tell(ProposeLine{Share: 1, Proposals: &found})
	}), nil
}

func (h handlers) mend(ctx context.Context, in *jobBody) (*huma.StreamResponse, error) {
	var request struct {
		Limit string          `json:"limit"`
		Job   json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	if err := mend.Mendable(&job, request.Limit); err != nil {
		return nil, problem(err)
	}
	components, err := h.components()
	if err != nil {
		return nil, problem(err)
	}
	return lines(ctx, func(ctx context.Context, tell func(any)) {
		mends, _ := mend.Limit(
			ctx,
			&job,
			components,
			request.Limit,
			func(share float64) { tell(MendLine{Share: share}) },
		)
		tell(MendLine{Share: 1, Mends: &mends})
	}), nil
}

// LongestSearch is how long a search may take; what it has found by then is the answer.
// The server gives an answer a little longer before it cuts it off.
const LongestSearch = 45 * time.Second

// lines answers with lines of JSON as they come, for as long as a search may take.
func lines(ctx context.Context, work func(ctx context.Context, tell func(line any))) *huma.StreamResponse {
	return &huma.StreamResponse{Body: func(out huma.Context) {
		ctx, stop := context.WithTimeout(ctx, LongestSearch)
		defer stop()
		out.SetHeader("Content-Type", "application/x-ndjson")
		encoder := json.NewEncoder(out.BodyWriter())
		search(ctx, func() {
			work(ctx, func(line any) {
				_ = encoder.Encode(line) // who called it off does not listen any more
				if f, ok := out.BodyWriter().(http.Flusher); ok {
					f.Flush()
				}
			})
		})
	}}
}
