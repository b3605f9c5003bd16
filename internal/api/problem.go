package api

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net/http"
	"reflect"
	"strings"
	"sync"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/validation"

	"zaino/internal/core/fitout"
	"zaino/internal/store"
)

// conflictProblem is the 409 of a save that has to be decided by a person: an
// RFC 9457 problem with the stored document and the fields in question.
type conflictProblem struct {
	Title     string            `json:"title"`
	Status    int               `json:"status"`
	Detail    string            `json:"detail"`
	Current   store.Document    `json:"current"`
	Conflicts []fitout.Conflict `json:"conflicts"`
}

// Error is the reason for the conflict.
func (p *conflictProblem) Error() string { return p.Detail }

// GetStatus is 409.
func (p *conflictProblem) GetStatus() int { return p.Status }

// ContentType makes it a problem document.
func (p *conflictProblem) ContentType(string) string { return "application/problem+json" }

// speakPlainly has the framework say what is accepted, in the words of the core's own refusals. Patterns of the
// contract are those of ids.
var speakPlainly = sync.OnceFunc(func() {
	validation.MsgExpectedOneOf = "accepted is one of %s"
	validation.MsgExpectedMatchPattern = "accepted are letters, digits, - and _, as %s has them"
	validation.MsgExpectedMinLength = "accepted is a text of %d or more characters"
	validation.MsgExpectedMaxLength = "accepted is a text of up to %d characters"
	validation.MsgExpectedMinItems = "accepted is a list of %d or more"
	validation.MsgExpectedMaxItems = "accepted is a list of up to %d"
	validation.MsgExpectedMinimumNumber = "accepted is a number of %v or more"
	validation.MsgExpectedExclusiveMinimumNumber = "accepted is a number above %v"
	validation.MsgExpectedMaximumNumber = "accepted is a number of up to %v"
	validation.MsgExpectedExclusiveMaximumNumber = "accepted is a number below %v"
	validation.MsgExpectedBoolean = "accepted is true or false"
	validation.MsgExpectedNumber = "accepted is a number"
	validation.MsgExpectedInteger = "accepted is a whole number"
	validation.MsgExpectedString = "accepted is a text"
	validation.MsgExpectedArray = "accepted is a list"
	validation.MsgExpectedObject = "accepted is an object of the contract"
	validation.MsgExpectedRequiredProperty = "accepted is an object with the field %s"
})

// validationProblem is huma's error with each refused value told as the core
// tells it: where, what was given, what is accepted.
func validationProblem(status int, message string, errs ...error) huma.StatusError {
	model := &huma.ErrorModel{Title: http.StatusText(status), Status: status, Detail: message}
	var sentences []string
	for _, err := range errs {
		detail := &huma.ErrorDetail{Message: fmt.Sprint(err)}
		if told, ok := err.(huma.ErrorDetailer); ok {
			detail = told.ErrorDetail()
		}
		if message == "validation failed" {
			given, _ := json.Marshal(detail.Value) // what came as JSON goes back
			if detail.Message == validation.MsgUnexpectedProperty {
				given, detail.Message = []byte("an unknown field"), "accepted are only the fields of the contract"
			}
			detail.Message = fmt.Sprintf(
				"%s: %.60s was given; %s",
				strings.TrimPrefix(detail.Location, "body."),
				given,
				detail.Message,
			)
			detail.Value = nil
			sentences = append(sentences, detail.Message)
		}
		model.Errors = append(model.Errors, detail)
	}
	if len(sentences) > 0 {
		model.Detail = strings.Join(sentences, "\n")
	}
	return model
}

// problem turns an error of core or store into the problem document to send.
func problem(err error) error {
	var problems fitout.Problems
	var single fitout.Problem
	var conflict *store.ConflictError
	var damaged *store.DamagedError
	switch {
	case err == nil:
		return nil
	case errors.As(err, &conflict):
		return &conflictProblem{Title: http.StatusText(http.StatusConflict), Status: http.StatusConflict,
			Detail: conflict.Reason, Current: conflict.Current, Conflicts: conflict.Conflicts}
	case errors.As(err, &single):
		problems = fitout.Problems{single}
	case errors.As(err, &problems):
	case errors.Is(err, store.ErrGone):
		return huma.Error503ServiceUnavailable(
			"The file of the database is gone or was replaced while Zaino served it, so that nothing " +
				"is saved. What is in this window is kept in this browser. Write all that the server still holds to a new file, then stop it.",
		)
	case errors.As(err, &damaged):
		return huma.Error500InternalServerError(
			fmt.Sprintf("Revision %d of this job is damaged on disk and cannot be read. "+
				"The job's list of revisions goes back to one that is whole.", damaged.Number),
		)
	case errors.Is(err, store.ErrTaken):
		return huma.Error409Conflict("A job with this id is kept already, or was and is deleted.")
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("There is no such job here; it may have been deleted.")
	default:
		return huma.Error500InternalServerError("The server could not do this: " + err.Error())
	}
	details := make([]error, len(problems))
	for i, p := range problems {
		details[i] = &huma.ErrorDetail{Message: p.Error(), Location: p.Path, Value: p.Given}
	}
	return huma.Error422UnprocessableEntity(problems.Error(), details...)
}

// refused turns an error of reading what was sent into a 422 that says why.
func refused(err error) error {
	var problems fitout.Problems
	var single fitout.Problem
	if errors.As(err, &problems) || errors.As(err, &single) {
		return problem(err)
	}
	return huma.Error422UnprocessableEntity(err.Error())
}

// jobBody is a request whose body fitout.Decode reads, so that a refused job
// gets the same sentences whether it comes from a file or a screen.
type jobBody struct {
	RawBody []byte `contentType:"application/json"`
}

// withJob is an operation whose body fitout.Decode reads and checks.
func withJob(id, method, path string) huma.Operation {
	o := operation(id, method, path)
	o.SkipValidateBody = true
	return o
}

// documentBody tells the contract what a RawBody operation's body really is.
func documentBody[T any](api huma.API, operation *huma.Operation) {
	operation.RequestBody.Content["application/json"].Schema = api.OpenAPI().Components.Schemas.Schema(
		reflect.TypeFor[T](),
		true,
		"",
	)
}

// maxRequest is the largest request: a job and little around it.
const maxRequest = fitout.MaxBytes + 64<<10

// askedJob reads a body that holds nothing but a job under "job".
func askedJob(in *jobBody) (fitout.Job, error) {
	var request struct {
		Job json.RawMessage `json:"job"`
	}
	return decodeWithJob(in.RawBody, &request, &request.Job)
}

// decodeWithJob reads a body that holds a job under "job" beside the fields of
// out, which must have a json.RawMessage for it.
func decodeWithJob(body []byte, out any, raw *json.RawMessage) (fitout.Job, error) {
	decoder := json.NewDecoder(bytes.NewReader(body))
	decoder.DisallowUnknownFields()
	if err := decoder.Decode(out); err != nil {
		return fitout.Job{}, huma.Error422UnprocessableEntity("The request is not understood: " +
			strings.TrimPrefix(err.Error(), "json: ") + "; accepted are only the fields of the contract")
	}
	if _, err := decoder.Token(); err != io.EOF {
		return fitout.Job{}, huma.Error422UnprocessableEntity(
			"The request is not understood: something follows after its " +
				"end; accepted is one JSON object",
		)
	}
	if err := exactFields(body, out); err != nil {
		return fitout.Job{}, huma.Error422UnprocessableEntity("The request is not understood: " + err.Error())
	}
	job, err := fitout.Decode(*raw)
	if err != nil {
		return job, refused(err)
	}
	return job, nil
}
