package api

import (
	"context"
	"encoding/json"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/catalogue"
	"zaino/internal/core/edit"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/exchange"
)

// AddRequest asks for a component of the catalogue in a space.
type AddRequest struct {
	Component string     `json:"component" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
	Bay       string     `json:"bay" pattern:"^[A-Za-z0-9_-]*$" maxLength:"64" doc:"id of the space; empty for none"`
	Anyway    bool       `json:"anyway" doc:"also where it does not fit"`
	Job       fitout.Job `json:"job"`
}

type addOutput struct {
	Body struct {
		Job      fitout.Job `json:"job"`
		ID       string     `json:"id" doc:"of the new part"`
		Proposed []string   `json:"proposed" doc:"what was proposed with it"`
	}
}

// BenchRequest is an edit of the bench that derives other values: job in, job
// out; nothing is saved by it.
type BenchRequest struct {
	Edit string      `json:"edit" enum:"fill,resize,put-away" doc:"fill: the module takes what is left of its bay; resize: it takes the size, and what hangs on it follows; put-away: the thing goes into the compartment that suits it"`
	ID   string      `json:"id" doc:"id of the module"`
	Size fitout.Size `json:"size" doc:"for resize"`
	Job  fitout.Job  `json:"job"`
}

// mostEdits is how many edits one request makes.
const mostEdits = 10

// FixRequest makes edits that findings offered: job in, job out; nothing is saved
// by it.
type FixRequest struct {
	Edits []fitout.FixEdit `json:"edits" maxItems:"10"`
	Job   fitout.Job       `json:"job"`
}

type jobOutput struct{ Body fitout.Job }

type specsOutput struct{ Body []module.Spec }

type componentsOutput struct{ Body []fitout.Component }

// ComponentID is the path of an operation on one component; exported so that it
// can be embedded.
type ComponentID struct {
	ID string `path:"id" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
}

type keepInput struct {
	ComponentID
	Body fitout.Component
}

type importInput struct {
	Body struct {
		Text string `json:"text" maxLength:"2000000" doc:"a catalogue as JSON or CSV"`
	}
}

type importOutput struct {
	Body struct {
		Added int `json:"added"`
	}
}

func (h handlers) registerBench(api huma.API) {
	huma.Register(api, operation("module-kinds", http.MethodGet, "/api/module-kinds"),
		func(context.Context, *struct{}) (*specsOutput, error) {
			return &specsOutput{module.Specs[:]}, nil
		})
	huma.Register(api, operation("components", http.MethodGet, "/api/components"),
		func(context.Context, *struct{}) (*componentsOutput, error) {
			all, err := h.components()
			return &componentsOutput{all}, problem(err)
		})
	huma.Register(api, operation("keep-component", http.MethodPut, "/api/components/{id}"),
		func(_ context.Context, in *keepInput) (*struct{}, error) {
			in.Body.ID, in.Body.Item.ID = in.ID, in.ID
			in.Body.Loosen()
			if err := fitout.CheckComponent(&in.Body); err != nil {
				return nil, problem(err)
			}
			return nil, problem(h.store.KeepComponents([]fitout.Component{in.Body}))
		})
	huma.Register(api, operation("forget-component", http.MethodDelete, "/api/components/{id}"),
		func(_ context.Context, in *ComponentID) (*struct{}, error) {
			return nil, problem(h.store.ForgetComponent(in.ID))
		})
	export := func(format, contentType string, write func([]fitout.Component) ([]byte, error)) {
		huma.Register(api, operation("export-components-"+format, http.MethodGet, "/api/catalogue."+format),
			func(context.Context, *struct{}) (*fileOutput, error) {
				own, err := h.store.Components()
				if err != nil {
					return nil, problem(err)
				}
				data, err := write(own)
				return &fileOutput{
						ContentType:        contentType,
						ContentDisposition: `attachment; filename="catalogue.` + format + `"`,
						Body:               data,
					}, problem(
						err,
					)
			})
	}
	export("json", "application/json", exchange.WriteComponentsJSON)
	export("csv", "text/csv; charset=utf-8", exchange.WriteComponentsCSV)
	huma.Register(api, operation("import-components", http.MethodPost, "/api/components"),
		func(_ context.Context, in *importInput) (*importOutput, error) {
			components, err := exchange.ReadComponents(in.Body.Text)
			if err != nil {
				return nil, huma.Error422UnprocessableEntity(err.Error())
			}
			out := &importOutput{}
			out.Body.Added = len(components)
			return out, problem(h.store.KeepComponents(components))
		})
	fix := withJob("fix", http.MethodPost, "/api/fix")
	huma.Register(api, fix, h.fix)
	documentBody[FixRequest](api, api.OpenAPI().Paths[fix.Path].Post)
	add := withJob("add-part", http.MethodPost, "/api/bench/add")
	huma.Register(api, add, h.addPart)
	documentBody[AddRequest](api, api.OpenAPI().Paths[add.Path].Post)
	bench := withJob("edit-bench", http.MethodPost, "/api/bench")
	huma.Register(api, bench, h.editBench)
	documentBody[BenchRequest](api, api.OpenAPI().Paths[bench.Path].Post)
}

func (h handlers) fix(_ context.Context, in *jobBody) (*jobOutput, error) {
	var request struct {
		Edits []fitout.FixEdit `json:"edits"`
		Job   json.RawMessage  `json:"job"`
	}
	job, components, err := h.withCatalogue(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	if err := upTo("edits", len(request.Edits), mostEdits); err != nil {
		return nil, err
	}
	job, err = edit.Apply(&job, components, request.Edits)
	return &jobOutput{job}, problem(err)
}

// addPart puts a component into a space, at the first place where it fits.
func (h handlers) addPart(_ context.Context, in *jobBody) (*addOutput, error) {
	var request struct {
		Component string          `json:"component"`
		Bay       string          `json:"bay"`
		Anyway    bool            `json:"anyway"`
		Job       json.RawMessage `json:"job"`
	}
	job, components, err := h.withCatalogue(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	added, err := edit.Add(&job, components, request.Component, request.Bay, request.Anyway)
	if noRoom := (edit.NoRoomError{}); errors.As(err, &noRoom) {
		return nil, huma.Error422UnprocessableEntity(noRoom.Error())
	}
	out := &addOutput{}
	out.Body.Job, out.Body.ID, out.Body.Proposed = added.Job, added.ID, append([]string{}, added.Proposed...)
	return out, problem(err)
}

// withCatalogue reads a request that holds a job, and the components that it may take from.
func (h handlers) withCatalogue(
	body []byte,
	request any,
	raw *json.RawMessage,
) (fitout.Job, []fitout.Component, error) {
	job, err := decodeWithJob(body, request, raw)
	if err != nil {
		return job, nil, err
	}
	components, err := h.components()
	return job, components, problem(err)
}

// components are the workshop's own parts and the generic ones.
func (h handlers) components() ([]fitout.Component, error) {
	own, err := h.store.Components()
	if err != nil {
		return nil, err
	}
	generic, err := catalogue.Components()
	return append(own, generic...), err
}

func (h handlers) editBench(_ context.Context, in *jobBody) (*jobOutput, error) {
	var request struct {
		Edit string          `json:"edit"`
		ID   string          `json:"id"`
		Size fitout.Size     `json:"size"`
		Job  json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	switch request.Edit {
	case "fill":
		job, err = edit.Fill(&job, request.ID)
	case "resize":
		job, err = edit.Resize(&job, request.ID, request.Size)
	case "put-away":
		job, err = edit.PutAway(&job, request.ID)
	default:
		err = fitout.Problem{Path: "edit", Given: request.Edit, Accepted: "fill, resize or put-away"}
	}
	return &jobOutput{job}, problem(err)
}
