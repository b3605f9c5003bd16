package api

import (
	"context"
	"crypto/rand"
	"errors"
	"net/http"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/catalogue"
	"zaino/internal/core/fitout"
	"zaino/internal/store"
)

type listInput struct {
	Search   string `query:"search" maxLength:"200" doc:"words of name, customer or vehicle"`
	Archived bool   `query:"archived"`
	Limit    int    `query:"limit" minimum:"1" maximum:"500" default:"100"`
	Offset   int    `query:"offset" minimum:"0" default:"0"`
}

type jobList struct {
	Body struct {
		Jobs  []store.Listed `json:"jobs"`
		Total int            `json:"total" doc:"jobs that the query finds in all"`
	}
}

// JobID is the path of an operation on one job; exported so that it can be embedded.
type JobID struct {
	ID string `path:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
}

type createInput struct {
	Body struct {
		Name   string        `json:"name" minLength:"1" maxLength:"120"`
		Region fitout.Region `json:"region" enum:"anz,uk-eu,na"`
		Class  string        `json:"class,omitempty" maxLength:"64" doc:"id of the vehicle class to start from; without it a vehicle whose plate is empty"`
	}
}

type archiveInput struct {
	JobID
	Body struct {
		Archived bool `json:"archived"`
	}
}

type vehicleClass struct {
	ID    string `json:"id"`
	Label string `json:"label"`
}

type classesOutput struct{ Body []vehicleClass }

type documentOutput struct{ Body store.Document }

func (h handlers) registerJobs(api huma.API) {
	huma.Register(api, operation("list-jobs", http.MethodGet, "/api/jobs"), h.list)
	huma.Register(api, operation("create-job", http.MethodPost, "/api/jobs"), h.create)
	huma.Register(api, operation("vehicle-classes", http.MethodGet, "/api/vehicle-classes"),
		func(context.Context, *struct{}) (*classesOutput, error) {
			classes, err := catalogue.Classes()
			out := &classesOutput{Body: []vehicleClass{}}
			for _, c := range classes {
				out.Body = append(out.Body, vehicleClass{c.ID, c.Label})
			}
			return out, problem(err)
		})
	huma.Register(api, operation("duplicate-job", http.MethodPost, "/api/jobs/{id}/duplicate"), h.duplicate)
	huma.Register(api, operation("archive-job", http.MethodPut, "/api/jobs/{id}/archived"), h.archive)
	huma.Register(api, operation("delete-job", http.MethodDelete, "/api/jobs/{id}"),
		func(_ context.Context, in *JobID) (*struct{}, error) {
			return nil, problem(h.store.Delete(in.ID))
		})
	huma.Register(api, operation("restore-job", http.MethodPost, "/api/jobs/{id}/restore"),
		func(_ context.Context, in *JobID) (*struct{}, error) {
			return nil, problem(h.store.Restore(in.ID))
		})
}

// operation is an operation with the limits that hold for all.
func operation(id, method, path string) huma.Operation {
	return huma.Operation{OperationID: id, Method: method, Path: path, MaxBodyBytes: maxRequest}
}

func (h handlers) list(_ context.Context, in *listInput) (*jobList, error) {
	jobs, total, err := h.store.List(store.Query{Search: in.Search, Archived: in.Archived, Limit: in.Limit,
		Offset: in.Offset})
	out := &jobList{}
	out.Body.Jobs, out.Body.Total = jobs, total
	return out, problem(err)
}

// newID returns an id that no other job has, here or elsewhere.
func newID() string { return strings.ToLower(rand.Text()) }

func (h handlers) create(ctx context.Context, in *createInput) (*documentOutput, error) {
	if err := readable("name", in.Body.Name); err != nil {
		return nil, problem(err)
	}
	job := fitout.NewJob(newID(), in.Body.Name, in.Body.Region)
	if in.Body.Class != "" {
		classes, err := catalogue.Classes()
		if err != nil {
			return nil, problem(err)
		}
		i := slices.IndexFunc(classes, func(c catalogue.Class) bool { return c.ID == in.Body.Class })
		if i < 0 {
			return nil, problem(fitout.Problem{Path: "class", Given: in.Body.Class,
				Accepted: "the id of a vehicle class, as /api/vehicle-classes lists them"})
		}
		job.Vehicle = classes[i].Vehicle
	}
	switch own, _, err := h.store.Workshop(); {
	case err == nil:
		job.Build.TakeWorkshop(&own)
	case !errors.Is(err, store.ErrNotFound):
		return nil, problem(err)
	}
	document, err := h.store.CreateBy(&job, browserOf(ctx).Name)
	return &documentOutput{document}, problem(err)
}

func (h handlers) duplicate(ctx context.Context, in *JobID) (*documentOutput, error) {
	original, err := h.store.Load(in.ID)
	if err != nil {
		return nil, problem(err)
	}
	return h.createCopy(ctx, original.Job, "copy of "+original.Job.Name)
}

// createCopy keeps a job under a new id.
func (h handlers) createCopy(ctx context.Context, job fitout.Job, name string) (*documentOutput, error) {
	job.ID = newID()
	if runes := []rune(name); len(runes) > 120 {
		name = string(runes[:120])
	}
	job.Name = name
	document, err := h.store.CreateBy(&job, browserOf(ctx).Name)
	return &documentOutput{document}, problem(err)
}

func (h handlers) archive(_ context.Context, in *archiveInput) (*struct{}, error) {
	return nil, problem(h.store.Archive(in.ID, in.Body.Archived))
}
