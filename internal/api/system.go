package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
)

type healthOutput struct {
	Body struct {
		Status  string `json:"status" enum:"ok"`
		Version string `json:"version"`
	}
}

type vocabularyOutput struct {
	Body map[fitout.Region]map[fitout.Term]string
}

type accessInput struct {
	Body struct {
		Code string `json:"code" maxLength:"100"`
	}
}

type accessOutput struct {
	SetCookie http.Cookie `header:"Set-Cookie"`
}

func (h handlers) registerSystem(api huma.API) {
	huma.Register(api, operation("health", http.MethodGet, healthPath), func(context.Context, *struct{}) (*healthOutput,
		error) {
		if err := h.store.Ping(); err != nil {
			return nil, huma.Error503ServiceUnavailable("The database does not answer: " + err.Error())
		}
		out := &healthOutput{}
		out.Body.Status, out.Body.Version = "ok", h.version
		return out, nil
	})
	huma.Register(api, operation("vocabulary", http.MethodGet, "/api/vocabulary"),
		func(context.Context, *struct{}) (*vocabularyOutput, error) {
			return &vocabularyOutput{fitout.Vocabulary()}, nil
		})
	huma.Register(api, operation("give-access", http.MethodPost, accessPath),
		func(_ context.Context, in *accessInput) (*accessOutput, error) {
			cookie, err := h.gate.open(in.Body.Code)
			return &accessOutput{cookie}, err
		})
}
