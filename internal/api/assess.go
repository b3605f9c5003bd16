package api

import (
	"context"
	"net/http"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/assess"
	"zaino/internal/core/brief"
	"zaino/internal/core/edit"
	"zaino/internal/core/fit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/core/space"
)

// assessInput is a job, and what of it is in the hand.
type assessInput struct {
	Moved   string `query:"moved" maxLength:"4000" doc:"ids of items with commas between: the bench has only them and what lies in them; empty for all"`
	RawBody []byte `contentType:"application/json"`
}

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
	live := withJob("assess", http.MethodPost, "/api/assess")
	huma.Register(api, live, func(_ context.Context, in *assessInput) (*assessmentOutput, error) {
		job, err := fitout.Decode(in.RawBody)
		if err != nil {
			return nil, refused(err)
		}
		a := assess.Of(&job)
		if in.Moved != "" {
			a.Bench = onlyMoved(&job, a.Bench, strings.Split(in.Moved, ","))
		}
		return &assessmentOutput{a}, nil
	})
	documentBody[fitout.Job](api, api.OpenAPI().Paths[live.Path].Post)
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

// onlyMoved keeps of the bench what was moved and what lies in it: the figures of the others
// have not changed, and take their time to be read.
func onlyMoved(j *fitout.Job, bench []fit.PartFigures, moved []string) []fit.PartFigures {
	items := j.ChosenVariant().Items
	return slices.DeleteFunc(bench, func(f fit.PartFigures) bool {
		if slices.Contains(moved, f.ID) {
			return false
		}
		k := slices.IndexFunc(items, func(i fitout.Item) bool { return i.ID == f.ID })
		return k < 0 || items[k].In == nil || !slices.Contains(moved, items[k].In.Module)
	})
}
