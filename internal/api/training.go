package api

import (
	"context"
	"crypto/rand"
	"fmt"
	"math/big"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/core/train"
	"zaino/internal/demo"
)

type trainingInput struct {
	Body struct {
		Kind fitout.TrainingKind `json:"kind" enum:"wagon,tub,tray"`
		Seed *int                `json:"seed,omitempty" minimum:"0" maximum:"2147483647" doc:"draws the same exercise again; without it another one is drawn"`
	}
}

type lessonOutput struct{ Body train.Lesson }

// registerTraining is how an exercise is drawn, and what came of it.
func (h handlers) registerTraining(api huma.API) {
	huma.Register(api, operation("create-training", http.MethodPost, "/api/training"), h.createTraining)
	ofJob(api, "lesson", "/api/lesson", func(j *fitout.Job) *lessonOutput { return &lessonOutput{train.Compare(j)} })
}

// createTraining draws an exercise and keeps it as a job of its own.
func (h handlers) createTraining(ctx context.Context, in *trainingInput) (*documentOutput, error) {
	build, err := demo.Build(in.Body.Kind)
	if err != nil {
		return nil, problem(err)
	}
	seed := 0
	if in.Body.Seed != nil {
		seed = *in.Body.Seed
	} else {
		drawn, err := rand.Int(rand.Reader, big.NewInt(1<<31-1))
		if err != nil {
			return nil, problem(err)
		}
		seed = int(drawn.Int64())
	}
	job, err := train.Exercise(&build, in.Body.Kind, seed)
	if err != nil {
		return nil, problem(err)
	}
	job.Customer = "Exercise"
	return h.createCopy(ctx, job, fmt.Sprintf("Find the mistakes: %s %d", in.Body.Kind, seed))
}
