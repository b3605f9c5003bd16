package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/licences"
	"zaino/internal/store"
)

type healthOutput struct {
	Body struct {
		Status  string `json:"status" enum:"ok"`
		Version string `json:"version"`
	}
}

type rescueOutput struct {
	Body struct {
		File string `json:"file" doc:"name of the new database on the machine that serves"`
	}
}

type vocabularyOutput struct {
	Body map[fitout.Region]map[fitout.Term]string
}

type licencesOutput struct{ Body []licences.Licence }

func (h handlers) registerSystem(api huma.API) {
	huma.Register(
		api,
		operation("health", http.MethodGet, healthPath),
		func(context.Context, *struct{}) (*healthOutput,
			error) {
			if err := h.store.Ping(); err != nil {
				return nil, huma.Error503ServiceUnavailable("The database does not answer: " + err.Error())
			}
			if h.store.Gone() {
				return nil, problem(store.ErrGone)
			}
			out := &healthOutput{}
			out.Body.Status, out.Body.Version = "ok", h.version
			return out, nil
		},
	)
	huma.Register(api, operation("rescue", http.MethodPost, "/api/rescue"),
		func(context.Context, *struct{}) (*rescueOutput, error) {
			if !h.store.Gone() {
				return nil, huma.Error409Conflict("The database is where it was; there is nothing to rescue.")
			}
			file, err := h.store.Rescue()
			out := &rescueOutput{}
			out.Body.File = file
			return out, problem(err)
		})
	huma.Register(api, operation("vocabulary", http.MethodGet, "/api/vocabulary"),
		func(context.Context, *struct{}) (*vocabularyOutput, error) {
			return &vocabularyOutput{fitout.Vocabulary()}, nil
		})
	huma.Register(api, operation("licences", http.MethodGet, "/api/licences"),
		func(context.Context, *struct{}) (*licencesOutput, error) {
			return &licencesOutput{licences.All()}, nil
		})
}
