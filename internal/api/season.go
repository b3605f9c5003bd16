package api

import (
	"context"
	"encoding/json"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/plan"
	"zaino/internal/core/season"
	"zaino/internal/exchange"
	"zaino/internal/store"
)

type entryInput struct {
	JobID
	Body season.Entry
}

type seasonInput struct {
	JobID
	Today string `query:"today" maxLength:"10" doc:"the day by the clock on the wall, as 2026-03-30; empty: the server's"`
}

type seasonOutput struct{ Body season.SeasonView }

// NextRequest asks for the next version of a job, which begins with what its seasons showed.
type NextRequest struct {
	Name string     `json:"name" maxLength:"120"`
	Job  fitout.Job `json:"job"`
}

type nextOutput struct{ Body fitout.Job }

type logFileInput struct {
	JobID
	RawBody []byte `contentType:"text/csv"`
}

type logReadOutput struct{ Body exchange.LogRead }

type duesInput struct {
	Today string `query:"today" maxLength:"10" doc:"as 2026-03-30; empty: the server's"`
}

// DuesBody is what is due over all customers.
type DuesBody struct {
	Dues []handover.Due `json:"dues" doc:"the most pressing first"`
}

type duesOutput struct{ Body DuesBody }

// mostDueJobs is over how many jobs what is due is gathered.
const mostDueJobs = 500

func today(given string) string {
	if given != "" {
		return given
	}
	return time.Now().Format(time.DateOnly)
}

func (h handlers) registerSeason(api huma.API) {
	huma.Register(api, operation("keep-entry", http.MethodPost, "/api/jobs/{id}/log"),
		func(_ context.Context, in *entryInput) (*struct{}, error) { return nil, h.keepEntry(in.ID, &in.Body) })
	huma.Register(api, operation("season", http.MethodGet, "/api/jobs/{id}/season"),
		func(_ context.Context, in *seasonInput) (*seasonOutput, error) {
			document, err := h.store.Load(in.ID)
			if err != nil {
				return nil, problem(err)
			}
			log, err := store.All[season.Entry](h.store, store.Entries, in.ID)
			return &seasonOutput{season.Learn(plan.Of(&document.Job), log, today(in.Today))}, problem(err)
		})
	huma.Register(api, operation("log-csv", http.MethodGet, "/api/jobs/{id}/log.csv"),
		func(_ context.Context, in *JobID) (*fileOutput, error) {
			log, err := store.All[season.Entry](h.store, store.Entries, in.ID)
			if err != nil {
				return nil, problem(err)
			}
			return h.file(
				in.ID,
				"-log.csv",
				"text/csv; charset=utf-8",
				func(*fitout.Job) ([]byte, error) { return exchange.WriteLogCSV(log) },
			)
		})
	reading := operation("read-log", http.MethodPost, "/api/jobs/{id}/log.csv")
	reading.SkipValidateBody = true
	huma.Register(api, reading, func(_ context.Context, in *logFileInput) (*logReadOutput, error) {
		read, err := exchange.ReadLogCSV(in.RawBody)
		return &logReadOutput{read}, problem(err)
	})
	next := withJob("next-version", http.MethodPost, "/api/next")
	huma.Register(api, next, func(_ context.Context, in *jobBody) (*nextOutput, error) {
		var request struct {
			Name string          `json:"name"`
			Job  json.RawMessage `json:"job"`
		}
		job, err := decodeWithJob(in.RawBody, &request, &request.Job)
		if err != nil {
			return nil, err
		}
		log, err := store.All[season.Entry](h.store, store.Entries, job.ID)
		if err != nil {
			return nil, problem(err)
		}
		changed, err := season.Next(&job, log, request.Name, today(""))
		return &nextOutput{changed}, problem(err)
	})
	documentBody[NextRequest](api, api.OpenAPI().Paths[next.Path].Post)
	huma.Register(
		api,
		operation("dues", http.MethodGet, "/api/dues"),
		func(_ context.Context, in *duesInput) (*duesOutput, error) {
			dues, err := h.dues(today(in.Today))
			return &duesOutput{DuesBody{dues}}, problem(err)
		},
	)
	dueFile := func(name, path, contentType string, write func([]handover.Due) ([]byte, error)) {
		huma.Register(
			api,
			operation(name, http.MethodGet, path),
			func(_ context.Context, in *duesInput) (*fileOutput, error) {
				dues, err := h.dues(today(in.Today))
				if err != nil {
					return nil, problem(err)
				}
				data, err := write(dues)
				return &fileOutput{
						ContentType:        contentType,
						ContentDisposition: `attachment; filename="due` + path[len("/api/dues"):] + `"`,
						Body:               data,
					}, problem(
						err,
					)
			},
		)
	}
	dueFile("dues-ics", "/api/dues.ics", "text/calendar; charset=utf-8", func(dues []handover.Due) ([]byte, error) {
		return exchange.WriteDuesICS(dues, time.Now()), nil
	})
	dueFile("dues-csv", "/api/dues.csv", "text/csv; charset=utf-8", exchange.WriteDuesCSV)
}

func (h handlers) keepEntry(job string, e *season.Entry) error {
	if err := e.Check(); err != nil {
		return problem(err)
	}
	at, err := e.When()
	if err != nil {
		return problem(err)
	}
	return kept(h.store.Keep(store.Entries, job, e.ID, at, e))
}

// dues are what is due of all jobs that are not in the archive.
func (h handlers) dues(today string) ([]handover.Due, error) {
	jobs, _, err := h.store.List(store.Query{Limit: mostDueJobs})
	if err != nil {
		return nil, err
	}
	all := []handover.Due{}
	for _, listed := range jobs {
		document, err := h.store.Load(listed.ID)
		if err != nil {
			continue // what cannot be read is told where it is opened
		}
		log, err := store.All[season.Entry](h.store, store.Entries, listed.ID)
		if err != nil {
			return nil, err
		}
		all = append(all, season.Dues(&document.Job, log, today)...)
	}
	handover.SortDues(all)
	return all, nil
}
