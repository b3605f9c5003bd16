package api

import (
	"bytes"
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/trip"
	"zaino/internal/demo"
	"zaino/internal/exchange"
)

type rangeOutput struct{ Body trip.RangeView }

type gpxInput struct {
	RawBody []byte `contentType:"application/gpx+xml"`
}

type gpxOutput struct{ Body exchange.GPXRead }

type stopsInput struct {
	Body struct {
		Text string `json:"text" maxLength:"2000000" doc:"CSV with a header line"`
	}
}

type stopsOutput struct{ Body exchange.StopsRead }

func (h handlers) registerRange(api huma.API) {
	ofJob(api, "range", "/api/range", func(j *fitout.Job) *rangeOutput { return &rangeOutput{trip.ViewOf(plan.Of(j))} })

	gpx := operation("read-gpx", http.MethodPost, "/api/range/gpx")
	gpx.MaxBodyBytes, gpx.SkipValidateBody = exchange.MaxGPX+1, true
	huma.Register(api, gpx, func(_ context.Context, in *gpxInput) (*gpxOutput, error) {
		read, err := exchange.ReadGPX(bytes.NewReader(in.RawBody))
		if err != nil {
			return nil, huma.Error422UnprocessableEntity(sentence(err))
		}
		return &gpxOutput{read}, nil
	})
	huma.Register(api, operation("read-stops", http.MethodPost, "/api/range/stops"),
		func(_ context.Context, in *stopsInput) (*stopsOutput, error) {
			read, err := exchange.ReadStops(in.Body.Text)
			if err != nil {
				return nil, huma.Error422UnprocessableEntity(sentence(err))
			}
			return &stopsOutput{read}, nil
		})
	huma.Register(api, operation("example-gpx", http.MethodGet, "/api/range/example.gpx"),
		func(context.Context, *struct{}) (*fileOutput, error) {
			return &fileOutput{ContentType: "application/gpx+xml",
				ContentDisposition: `attachment; filename="long-way.gpx"`, Body: demo.LongWay()}, nil
		})
	export := func(name, ending, contentType string, write func(*fitout.Job) ([]byte, error)) {
		huma.Register(api, operation(name, http.MethodGet, "/api/jobs/{id}/"+ending),
			func(_ context.Context, in *JobID) (*fileOutput, error) {
				return h.file(in.ID, "-"+ending, contentType, write)
			})
	}
	export("range-gpx", "way.gpx", "application/gpx+xml", exchange.WriteGPX)
	export("range-csv", "stops.csv", "text/csv; charset=utf-8", exchange.WriteStops)
	export("range-xlsx", "way.xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
		exchange.WriteRangeXLSX)
	export("range-pdf", "way.pdf", "application/pdf", exchange.WriteRangePDF)
}

// sentence is an error with a capital and a full stop.
func sentence(err error) string {
	text := []rune(err.Error())
	return string(bytes.ToUpper([]byte(string(text[:1])))) + string(text[1:]) + "."
}
