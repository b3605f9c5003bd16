package api

import (
	"context"
	"encoding/json"
	"net/http"
	"net/url"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/build"
	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/exchange"
)

// BuildRequest asks for the build of a job.
type BuildRequest struct {
	Job fitout.Job `json:"job"`
}

// BuildLine is how far a build is laid out, and what it is by then: at first quickly, at last as good as it gets.
type BuildLine struct {
	Share float64          `json:"share" doc:"that is done"`
	View  *build.BuildView `json:"view,omitempty"`
}

type pricesInput struct {
	RawBody []byte `contentType:"application/octet-stream"`
	JobID   string `query:"job" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
}

type pricesOutput struct{ Body exchange.PricesRead }

type templateInput struct {
	JobID
	Of    string         `query:"of" maxLength:"64" doc:"id of a space, or mark of a panel"`
	Paper exchange.Paper `query:"paper" enum:"a4,a3,letter" default:"a4"`
}

type labelsInput struct {
	JobID
	Sheet exchange.LabelSheet `query:"sheet" enum:"24,14,30" default:"24"`
	From  string              `query:"from" maxLength:"200" doc:"address of this server, as the browser has it"`
}

type stepsInput struct {
	JobID
	Who string `query:"who" maxLength:"120" doc:"only the steps of this maker; empty for all"`
}

// quickTold is how often the progress of a search is told.
const quickTold = 100 * time.Millisecond

func (h handlers) registerBuild(api huma.API) {
	streams[BuildLine, BuildRequest](api, "build", "/api/build", h.build)
	prices := operation("read-prices", http.MethodPost, "/api/build/prices")
	prices.MaxBodyBytes, prices.SkipValidateBody = exchange.MaxPriceFile+1, true
	huma.Register(api, prices, func(_ context.Context, in *pricesInput) (*pricesOutput, error) {
		document, err := h.store.Load(in.JobID)
		if err != nil {
			return nil, problem(err)
		}
		read, err := exchange.ReadPrices(in.RawBody, &document.Job)
		if err != nil {
			return nil, huma.Error422UnprocessableEntity(sentence(err))
		}
		return &pricesOutput{read}, nil
	})
	export := func(name, ending, contentType string, write func(*fitout.Job) ([]byte, error)) {
		huma.Register(api, operation(name, http.MethodGet, "/api/jobs/{id}/"+ending),
			func(_ context.Context, in *JobID) (*fileOutput, error) {
				return h.file(in.ID, "-"+ending, contentType, write)
			})
	}
	const pdf, text = "application/pdf", "text/csv; charset=utf-8"
	export(
		"build-xlsx",
		"build.xlsx",
		"application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
		exchange.WriteBuildXLSX,
	)
	export("cut-csv", "cut.csv", text, exchange.WriteCutCSV)
	export("cut-pdf", "cut.pdf", pdf, exchange.WriteCutPDF)
	export("cut-svg", "cut.svg", "image/svg+xml", exchange.WriteSheetsSVG)
	export("cut-dxf", "cut-dxf.zip", "application/zip", exchange.WriteBuildDXF)
	export("buy-csv", "buy.csv", text, exchange.WriteBuyCSV)
	export("buy-pdf", "buy.pdf", pdf, exchange.WriteBuyPDF)
	export("quote-pdf", "quote.pdf", pdf, exchange.WriteQuotePDF)
	export("prices-csv", "prices.csv", text, exchange.WritePrices)
	export("assembly-pdf", "assembly.pdf", pdf, exchange.WriteAssemblyPDF)
	export("tags-pdf", "tags.pdf", pdf, exchange.WriteTagsPDF)
	huma.Register(api, operation("steps-pdf", http.MethodGet, "/api/jobs/{id}/steps.pdf"),
		func(_ context.Context, in *stepsInput) (*fileOutput, error) {
			return h.file(
				in.ID,
				"-steps.pdf",
				pdf,
				func(j *fitout.Job) ([]byte, error) { return exchange.WriteStepsPDF(j, in.Who) },
			)
		})
	huma.Register(api, operation("labels-pdf", http.MethodGet, "/api/jobs/{id}/labels.pdf"),
		func(_ context.Context, in *labelsInput) (*fileOutput, error) {
			from, err := url.Parse(in.From)
			if err != nil || from.Scheme != "http" && from.Scheme != "https" || from.Host == "" {
				return nil, problem(
					fitout.Problem{
						Path:     "from",
						Given:    in.From,
						Accepted: "an address that begins with http:// or https://",
					},
				)
			}
			return h.file(in.ID, "-labels.pdf", pdf, func(j *fitout.Job) ([]byte, error) {
				return exchange.WriteLabels(j, in.Sheet, from.Scheme+"://"+from.Host)
			})
		})
	huma.Register(api, operation("template-pdf", http.MethodGet, "/api/jobs/{id}/template.pdf"),
		func(_ context.Context, in *templateInput) (*fileOutput, error) {
			return h.file(in.ID, "-template.pdf", pdf, func(j *fitout.Job) ([]byte, error) {
				return exchange.WriteTemplatePDF(j, in.Of, in.Paper)
			})
		})
}

// build tells the build of a job at once as it comes first, and then as good as it gets.
func (h handlers) build(ctx context.Context, in *jobBody) (*huma.StreamResponse, error) {
	var request struct {
		Job json.RawMessage `json:"job"`
	}
	job, err := decodeWithJob(in.RawBody, &request, &request.Job)
	if err != nil {
		return nil, err
	}
	return lines(ctx, func(ctx context.Context, tell func(any)) {
		first := build.ViewOf(ctx, plan.Of(&job), cut.Quick, nil)
		tell(BuildLine{View: &first})
		last := time.Now()
		view := build.ViewOf(ctx, plan.Of(&job), cut.Thorough, func(share float64) {
			if now := time.Now(); now.Sub(last) > quickTold {
				last = now
				tell(BuildLine{Share: share})
			}
		})
		tell(BuildLine{Share: 1, View: &view})
	}), nil
}
