package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/assess"
	"zaino/internal/core/brief"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/core/space"
)

type assessmentOutput struct{ Body assess.Assessment }

type loadOutput struct{ Body report.LoadFigures }

type accountOutput struct{ Body report.Account }

type cardOutput struct{ Body report.Card }

// stateBody is a job and one of its states.
type stateBody struct {
	State   string `query:"state" maxLength:"80" doc:"empty for the state shown, case: and the id of a case, or worst: and a limit"`
	RawBody []byte `contentType:"application/json"`
}

type schoolsOutput struct{ Body []*brief.School }

type sheetsOutput struct{ Body []space.BaySheet }

func (h handlers) registerAssess(api huma.API) {
	ofJob(api, "assess", "/api/assess", func(j *fitout.Job) *assessmentOutput { return &assessmentOutput{assess.Of(j)} })
	ofJob(api, "load", "/api/load", func(j *fitout.Job) *loadOutput { return &loadOutput{report.LoadOf(j)} })
	ofJob(api, "card", "/api/card", func(j *fitout.Job) *cardOutput { return &cardOutput{report.CardOf(j)} })
	ofJob(api, "schools", "/api/schools", func(j *fitout.Job) *schoolsOutput {
		return &schoolsOutput{report.SchoolsOf(plan.Of(j))}
	})
	account := withJob("account", http.MethodPost, "/api/account")
	huma.Register(api, account, func(_ context.Context, in *stateBody) (*accountOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		a, err := report.AccountOf(&job, in.State)
		return &accountOutput{a}, problem(err)
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[account.Path].Post)
	show := withJob("show-state", http.MethodPost, "/api/show")
	huma.Register(api, show, func(_ context.Context, in *stateBody) (*jobOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		job, err = edit.ShowState(&job, in.State)
		return &jobOutput{job}, problem(err)
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[show.Path].Post)
	ofJob(api, "lift", "/api/lift", func(j *fitout.Job) *jobOutput { return &jobOutput{*j} })
	ofJob(api, "sheets", "/api/sheets", func(j *fitout.Job) *sheetsOutput { return &sheetsOutput{space.Sheets(j)} })
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
