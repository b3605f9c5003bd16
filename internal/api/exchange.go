package api

import (
	"context"
	"encoding/json"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/report"
	"zaino/internal/exchange"
	"zaino/internal/store"
)

// PreviewRequest is CSV text to be understood for a job, with the datum and
// units of that job.
type PreviewRequest struct {
	Text string     `json:"text" maxLength:"2000000"`
	Job  fitout.Job `json:"job"`
}

type drawingInput struct {
	JobID
	View draw.Stand `path:"view" enum:"left,right,behind,ahead,above"`
}

// accountInput asks for the account of one of a job's states.
type accountInput struct {
	JobID
	State string `query:"state" maxLength:"80" doc:"empty for the state shown, case: and the id of a case, or worst: and a limit"`
}

type previewOutput struct{ Body exchange.Preview }

type fileOutput struct {
	ContentType        string `header:"Content-Type"`
	ContentDisposition string `header:"Content-Disposition"`
	Body               []byte
}

func (h handlers) registerExchange(api huma.API) {
	importing := withJob("import-job", http.MethodPost, "/api/jobs/import")
	huma.Register(api, importing, h.importJob)
	documentBody[fitout.Job](api, api.OpenAPI().Paths[importing.Path].Post)

	huma.Register(api, operation("export-job", http.MethodGet, "/api/jobs/{id}/export"),
		func(_ context.Context, in *JobID) (*fileOutput, error) {
			return h.file(in.ID, ".zaino.json", "application/json", fitout.Encode)
		})
	huma.Register(api, operation("export-items", http.MethodGet, "/api/jobs/{id}/items.csv"),
		func(_ context.Context, in *JobID) (*fileOutput, error) {
			return h.file(in.ID, "-items.csv", "text/csv; charset=utf-8", exchange.WriteItems)
		})
	drawing := func(format, contentType string, write func(*fitout.Job, draw.Stand) ([]byte, error)) {
		huma.Register(api, operation("drawing-"+format, http.MethodGet, "/api/jobs/{id}/"+format+"/{view}"),
			func(_ context.Context, in *drawingInput) (*fileOutput, error) {
				return h.file(
					in.ID,
					"-"+string(in.View)+"."+format,
					contentType,
					func(j *fitout.Job) ([]byte, error) {
						return write(j, in.View)
					},
				)
			})
	}
	account := func(format, contentType string, write func(*report.Account) ([]byte, error)) {
		huma.Register(api, operation("account-"+format, http.MethodGet, "/api/jobs/{id}/account."+format),
			func(_ context.Context, in *accountInput) (*fileOutput, error) {
				return h.file(in.ID, "-load."+format, contentType, func(j *fitout.Job) ([]byte, error) {
					a, err := report.AccountOf(j, in.State)
					if err != nil {
						return nil, err
					}
					return write(&a)
				})
			})
	}
	account("csv", "text/csv; charset=utf-8", exchange.WriteAccountCSV)
	account("xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", exchange.WriteAccountXLSX)
	account("pdf", "application/pdf", exchange.WriteAccountPDF)
	drawing("svg", "image/svg+xml", exchange.WriteSVG)
	drawing("dxf", "application/dxf", exchange.WriteDXF)
	preview := withJob("preview-items", http.MethodPost, "/api/items/preview")
	huma.Register(api, preview, h.previewItems)
	documentBody[PreviewRequest](api, api.OpenAPI().Paths[preview.Path].Post)
}

// importJob keeps a job document. Its id stays unless this installation has a
// job with it already, which it then stands beside as a copy.
func (h handlers) importJob(ctx context.Context, in *jobBody) (*documentOutput, error) {
	job, err := fitout.Decode(in.RawBody)
	if err != nil {
		return nil, refused(err)
	}
	document, err := h.store.CreateBy(&job, browserOf(ctx).Name)
	if errors.Is(err, store.ErrTaken) {
		return h.createCopy(ctx, job, job.Name)
	}
	return &documentOutput{document}, problem(err)
}

func (h handlers) file(id, ending, contentType string, write func(*fitout.Job) ([]byte, error)) (*fileOutput, error) {
	document, err := h.store.Load(id)
	if err != nil {
		return nil, problem(err)
	}
	data, err := write(&document.Job)
	return &fileOutput{ContentType: contentType, ContentDisposition: `attachment; filename="` +
		exchange.FileName(document.Job.Name) + ending + `"`, Body: data}, problem(err)
}

func (h handlers) previewItems(_ context.Context, in *jobBody) (*previewOutput, error) {
	var request struct {
		Text string          `json:"text"`
		Job  json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	preview, err := exchange.ReadItems(request.Text, &job)
	if err != nil {
		return nil, huma.Error422UnprocessableEntity(err.Error())
	}
	return &previewOutput{preview}, nil
}
