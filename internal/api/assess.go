package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/assess"
	"zaino/internal/core/brief"
	"zaino/internal/core/fitout"
)

type assessmentOutput struct{ Body assess.Assessment }

type loadOutput struct{ Body assess.LoadFigures }

type accountOutput struct{ Body assess.Account }

type cardOutput struct{ Body assess.Card }

// stateBody is a job and one of its states.
type stateBody struct {
	State   string `query:"state" maxLength:"80" doc:"empty for the state shown, case: and the id of a case, or worst: and a limit"`
	RawBody []byte `contentType:"application/json"`
}

type schoolsOutput struct{ Body []*brief.School }

type sheetsOutput struct{ Body []assess.Sheet }

func (h handlers) registerAssess(api huma.API) {
	ofJob(api, "assess", "/api/assess", func(j *fitout.Job) *assessmentOutput { return &assessmentOutput{assess.Of(j)} })
	ofJob(api, "load", "/api/load", func(j *fitout.Job) *loadOutput { return &loadOutput{assess.LoadOf(j)} })
	ofJob(api, "card", "/api/card", func(j *fitout.Job) *cardOutput { return &cardOutput{assess.CardOf(j)} })
	ofJob(api, "schools", "/api/schools", func(j *fitout.Job) *schoolsOutput { return &schoolsOutput{assess.Schools(j)} })
	account := withJob("account", http.MethodPost, "/api/account")
	huma.Register(api, account, func(_ context.Context, in *stateBody) (*accountOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		a, err := assess.AccountOf(&job, in.State)
		return &accountOutput{a}, problem(err)
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[account.Path].Post)
	show := withJob("show-state", http.MethodPost, "/api/show")
	huma.Register(api, show, func(_ context.Context, in *stateBody) (*jobOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		job, err = assess.ShowState(&job, in.State)
		return &jobOutput{job}, problem(err)
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[show.Path].Post)
	ofJob(api, "sheets", "/api/sheets", func(j *fitout.Job) *sheetsOutput { return &sheetsOutput{assess.Sheets(j)} })
}

// ofJob registers what the core says of a job that is sent with the request
// and kept nowhere.
func ofJob[T any](api huma.API, name, path string, say func(*fitout.Job) *T) {
	live := withJob(name, http.MethodPost, path)
	huma.Register(api, live, func(_ context.Context, in *jobBody) (*T, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		return say(&job), nil
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[live.Path].Post)
}
