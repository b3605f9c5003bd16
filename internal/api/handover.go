package api

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/core/handover"
	"zaino/internal/core/plan"
	"zaino/internal/core/report"
	"zaino/internal/core/season"
	"zaino/internal/exchange"
	"zaino/internal/picture"
	"zaino/internal/store"
)

// HandoverRequest asks for the handover of a job.
type HandoverRequest struct {
	Job fitout.Job `json:"job"`
}

// HandoverView is all that there is to know of a handover.
type HandoverView struct {
	Tests  []handover.Test      `json:"tests"`
	Papers []handover.Wanted    `json:"papers" doc:"that the plan asks for"`
	Walk   []handover.WalkPoint `json:"walk"`
	Sum    string               `json:"sum" doc:"fingerprint of what a pack would be made of now"`
}

type handoverOutput struct{ Body HandoverView }

type packOutput struct{ Body report.Pack }

type filesOutput struct {
	Body struct {
		Files []store.File `json:"files"`
	}
}

type keepFileInput struct {
	JobID
	File    string `query:"file" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64" doc:"its id, made by who sends it"`
	Of      string `query:"of" maxLength:"200"`
	Name    string `query:"name" maxLength:"200"`
	RawBody []byte `contentType:"application/octet-stream"`
}

type keptFileOutput struct{ Body store.File }

type fileInput struct {
	JobID
	File string `path:"file" pattern:"^[A-Za-z0-9_-]+$" maxLength:"64"`
}

type rawFileOutput struct {
	ContentType           string `header:"Content-Type"`
	ContentDisposition    string `header:"Content-Disposition"`
	ContentSecurityPolicy string `header:"Content-Security-Policy"`
	CacheControl          string `header:"Cache-Control"`
	Body                  []byte
}

type bundleInput struct {
	RawBody []byte `contentType:"application/zip"`
}

// mostPaper is how large a paper may be.
const mostPaper = 25 << 20

func (h handlers) registerHandover(api huma.API) {
	view := withJob("handover", http.MethodPost, "/api/handover")
	huma.Register(api, view, func(_ context.Context, in *jobBody) (*handoverOutput, error) {
		job, err := askedJob(in)
		if err != nil {
			return nil, err
		}
		p := plan.Of(&job)
		return &handoverOutput{
			HandoverView{handover.Tests(p), handover.Papers(p), handover.Walk(p), handover.Fingerprint(&job)},
		}, nil
	})
	documentBody[HandoverRequest](api, api.OpenAPI().Paths[view.Path].Post)
	packed := withJob("pack", http.MethodPost, "/api/pack")
	huma.Register(api, packed, func(_ context.Context, in *jobBody) (*packOutput, error) {
		job, err := askedJob(in)
		if err != nil {
			return nil, err
		}
		return &packOutput{report.PackOf(&job)}, nil
	})
	documentBody[HandoverRequest](api, api.OpenAPI().Paths[packed.Path].Post)
	huma.Register(
		api,
		operation("files", http.MethodGet, "/api/jobs/{id}/files"),
		func(_ context.Context, in *JobID) (*filesOutput, error) {
			out := &filesOutput{}
			var err error
			out.Body.Files, err = h.store.Files(in.ID)
			return out, problem(err)
		},
	)
	keeping := operation("keep-file", http.MethodPost, "/api/jobs/{id}/files")
	keeping.MaxBodyBytes, keeping.SkipValidateBody = picture.MostBytes+1, true
	huma.Register(api, keeping, h.keepFile)
	huma.Register(
		api,
		operation("file", http.MethodGet, "/api/jobs/{id}/files/{file}"),
		func(_ context.Context, in *fileInput) (*rawFileOutput, error) {
			f, data, err := h.store.FileData(in.ID, in.File)
			if err != nil {
				return nil, problem(err)
			}
			how := "inline"
			if f.Kind == "paper" {
				how = "attachment" // a paper of somebody else is never shown as a page of ours
			}
			return &rawFileOutput{
				ContentType:           f.Type,
				ContentDisposition:    how + `; filename="` + exchange.FileName(f.Name) + ending(f.Type) + `"`,
				ContentSecurityPolicy: "default-src 'none'; sandbox",
				CacheControl:          "private, max-age=86400",
				Body:                  data,
			}, nil
		},
	)
	huma.Register(
		api,
		operation("drop-file", http.MethodDelete, "/api/jobs/{id}/files/{file}"),
		func(_ context.Context, in *fileInput) (*struct{}, error) {
			return nil, problem(h.store.DropFile(in.ID, in.File))
		},
	)
	pack := func(name, ending, contentType string, write func(*fitout.Job, []exchange.PackPhoto) ([]byte, error)) {
		huma.Register(
			api,
			operation(name, http.MethodGet, "/api/jobs/{id}/"+ending),
			func(_ context.Context, in *JobID) (*fileOutput, error) {
				return h.file(in.ID, "-"+ending, contentType, func(j *fitout.Job) ([]byte, error) {
					photos, err := h.photos(j)
					if err != nil {
						return nil, err
					}
					return write(j, photos)
				})
			},
		)
	}
	pack("pack-pdf", "pack.pdf", "application/pdf", exchange.WritePackPDF)
	pack("pack-html", "pack.html", "text/html; charset=utf-8", exchange.WritePackHTML)
	huma.Register(
		api,
		operation("bundle", http.MethodGet, "/api/jobs/{id}/bundle"),
		func(_ context.Context, in *JobID) (*fileOutput, error) {
			b, err := Bundled(h.store, in.ID)
			if err != nil {
				return nil, problem(err)
			}
			return h.file(
				in.ID,
				".zaino.zip",
				"application/zip",
				func(*fitout.Job) ([]byte, error) { return exchange.WriteBundle(&b) },
			)
		},
	)
	taking := operation("import-bundle", http.MethodPost, "/api/jobs/bundle")
	taking.MaxBodyBytes, taking.SkipValidateBody = exchange.MostBundle+1, true
	huma.Register(api, taking, func(_ context.Context, in *bundleInput) (*documentOutput, error) {
		b, err := exchange.ReadBundle(in.RawBody)
		if err != nil {
			return nil, problem(err)
		}
		document, err := TakeBundle(h.store, &b)
		return &documentOutput{document}, problem(err)
	})
}

// ending of a file by its type.
func ending(kind string) string {
	return map[string]string{"image/jpeg": ".jpg", "image/png": ".png", "application/pdf": ".pdf"}[kind]
}

// keepFile keeps a photo, upright, small and without its place, or a paper as it is.
func (h handlers) keepFile(_ context.Context, in *keepFileInput) (*keptFileOutput, error) {
	f := store.File{ID: in.File, Of: in.Of, Kind: "photo", Name: in.Name, At: time.Now().UTC()}
	data := in.RawBody
	switch kind := http.DetectContentType(data); kind {
	case "image/jpeg", "image/png":
		small, width, height, err := picture.Take(data, picture.KeptEdge)
		if err != nil {
			return nil, huma.Error422UnprocessableEntity(sentence(err))
		}
		data, f.Type, f.Width, f.Height = small, "image/jpeg", width, height
	case "application/pdf":
		if len(data) > mostPaper {
			return nil, huma.Error422UnprocessableEntity(
				fmt.Sprintf("The paper has %d MB; accepted are up to %d MB.", len(data)>>20, mostPaper>>20),
			)
		}
		f.Kind, f.Type = "paper", kind
	default:
		return nil, huma.Error422UnprocessableEntity(
			"That is neither a photo nor a paper; accepted are JPEG, PNG and PDF.",
		)
	}
	f.Size = len(data)
	return &keptFileOutput{f}, kept(h.store.KeepFile(in.ID, &f, data))
}

// mostPackPhotos is how many photos go into a pack, so that it can be sent.
const mostPackPhotos = 60

// photos are those of a job as they go into a pack, small.
func (h handlers) photos(j *fitout.Job) ([]exchange.PackPhoto, error) {
	files, err := h.store.Files(j.ID)
	if err != nil {
		return nil, err
	}
	var all []exchange.PackPhoto
	for _, f := range files {
		if len(all) == mostPackPhotos {
			break
		}
		if f.Kind != "photo" || strings.HasPrefix(f.Of, "log/") {
			continue
		}
		_, data, err := h.store.FileData(j.ID, f.ID)
		if err != nil {
			return nil, err
		}
		small, _, _, err := picture.Take(data, picture.PackEdge)
		if err != nil {
			continue
		}
		all = append(all, exchange.PackPhoto{Caption: captionOf(j, &f), JPEG: small})
	}
	return all, nil
}

// captionOf says what a photo is of.
func captionOf(j *fitout.Job, f *store.File) string {
	if id, is := strings.CutPrefix(f.Of, "item/"); is {
		for _, item := range j.ChosenVariant().Items {
			if item.ID == id {
				return item.Name
			}
		}
	}
	return f.Name
}

// Bundled is a job with everything that is kept beside it.
func Bundled(s *store.Store, id string) (exchange.Bundle, error) {
	document, err := s.Load(id)
	if err != nil {
		return exchange.Bundle{}, err
	}
	b := exchange.Bundle{Job: document.Job}
	if b.Weighings, err = store.All[json.RawMessage](s, store.Weighings, id); err != nil {
		return b, err
	}
	if b.Log, err = store.All[season.Entry](s, store.Entries, id); err != nil {
		return b, err
	}
	files, err := s.Files(id)
	if err != nil {
		return b, err
	}
	for _, f := range files {
		_, data, err := s.FileData(id, f.ID)
		if err != nil {
			return b, err
		}
		b.Files = append(b.Files, exchange.BundledFile{File: f, Data: data})
	}
	return b, nil
}

// TakeBundle keeps a bundle as a job: its id stays unless it is taken, then it stands beside that as a copy. Photos are
// taken in anew, so that nothing comes in with them.
func TakeBundle(s *store.Store, b *exchange.Bundle) (store.Document, error) {
	job := b.Job
	files := make([]exchange.BundledFile, 0, len(b.Files))
	for _, f := range b.Files {
		switch kind := http.DetectContentType(f.Data); {
		case kind == "image/jpeg" || kind == "image/png":
			small, width, height, err := picture.Take(f.Data, picture.KeptEdge)
			if err != nil {
				return store.Document{}, fitout.Problem{
					Path:     "files/" + f.ID,
					Given:    "a photo that cannot be read",
					Accepted: "JPEG or PNG",
				}
			}
			f.Data, f.Kind, f.Type, f.Width, f.Height = small, "photo", "image/jpeg", width, height
		case kind == "application/pdf":
			f.Kind, f.Type = "paper", kind
		default:
			return store.Document{}, fitout.Problem{Path: "files/" + f.ID, Given: kind, Accepted: "JPEG, PNG or PDF"}
		}
		f.Size = len(f.Data)
		files = append(files, f)
	}
	weighings := make([]Weighed, len(b.Weighings))
	for i := range b.Weighings {
		if err := json.Unmarshal(b.Weighings[i], &weighings[i]); err != nil || weighings[i].ID == "" {
			return store.Document{}, fitout.Problem{
				Path:     "weighings",
				Given:    "one that cannot be read",
				Accepted: "readings as Zaino keeps them",
			}
		}
	}
	document, err := s.Create(&job)
	if errors.Is(err, store.ErrTaken) {
		job.ID = newID()
		document, err = s.Create(&job)
	}
	if err != nil {
		return document, err
	}
	for i := range weighings {
		at, err := time.Parse(time.RFC3339, weighings[i].At)
		if err != nil {
			at = time.Now()
		}
		if err := s.Keep(store.Weighings, job.ID, weighings[i].ID, at, weighings[i]); err != nil {
			return document, err
		}
	}
	for i := range b.Log {
		at, err := b.Log[i].When()
		if err != nil {
			return document, err
		}
		if err := s.Keep(store.Entries, job.ID, b.Log[i].ID, at, b.Log[i]); err != nil {
			return document, err
		}
	}
	for i := range files {
		if err := s.KeepFile(job.ID, &files[i].File, files[i].Data); err != nil {
			return document, err
		}
	}
	return document, nil
}
