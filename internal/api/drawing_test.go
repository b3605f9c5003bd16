package api

import (
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/assess"
)

// Views that nobody can stand before, papers without an end and things that are gone are
// refused with what would be accepted; a drawing, a model and a sheet come as what they are.
func TestDrawingsAreAskedForAndRefused(t *testing.T) {
	server, _ := serve(t)
	job := demoText(t)
	look := func(more string) string {
		return `{"looks":[{"stand":"left","slice":false,"plane":0,"width":800,"height":300,"from":0,"ground":250,"scale":8,"foot":30` +
			more + `}],"stance":"","open":[],"focus":"","only":false,"gear":true,"people":true,"hidden":[],"person":""}`
	}
	drawing := func(wish string) (int, string) {
		status, _, body := ask(t, http.MethodPost, server.URL+"/api/drawing", fmt.Sprintf(`{"wish":%s,"job":%s}`, wish, job))
		return status, body
	}
	status, body := drawing(look(""))
	assert.Equal(t, http.StatusOK, status)
	assert.Contains(t, body, `"title":"From the left"`)
	for wish, says := range map[string]string{
		strings.Replace(look(""), `"left"`, `"below"`, 1):           "left, right, behind, ahead or above",
		strings.Replace(look(""), `"scale":8`, `"scale":-1`, 1):     "0 to 1000",
		strings.Replace(look(""), `"width":800`, `"width":1e99`, 1): "0 to 20000",
		`{"looks":[]}`: "1 to 6 views",
		strings.Replace(look(""), `"stance":""`, `"steps":""`, 1): "steps",
	} {
		status, body := drawing(wish)
		assert.True(t, status >= 400 && status < 500, "%s: %d", wish, status)
		assert.Contains(t, body, says)
	}
	// What is gone is passed over: a stance, a focus, a person that somebody else has removed.
	status, _ = drawing(strings.NewReplacer(`"focus":""`, `"focus":"gone"`, `"person":""`, `"person":"gone"`, `"stance":""`,
		`"stance":"gone"`).Replace(look("")))
	assert.Equal(t, http.StatusOK, status)

	status, header, body := ask(t, http.MethodPost, server.URL+"/api/model", fmt.Sprintf(`{"stance":"","focus":"","person":"","job":%s}`, job))
	assert.Equal(t, http.StatusOK, status)
	assert.Equal(t, "model/gltf-binary", header.Get("Content-Type"))
	assert.True(t, strings.HasPrefix(body, "glTF"))
	status, _, _ = ask(t, http.MethodPost, server.URL+"/api/model", `{"stance":"","job":{}}`)
	assert.Equal(t, http.StatusUnprocessableEntity, status)

}

// While something is in the hand, the bench has only it and what lies in it; all else is told
// as ever.
func TestFiguresOfWhatIsInTheHand(t *testing.T) {
	server, _ := serve(t)
	job := demoText(t)
	_, _, whole := ask(t, http.MethodPost, server.URL+"/api/assess", job)
	status, _, part := ask(t, http.MethodPost, server.URL+"/api/assess?moved=drawer-unit-left,gone", job)
	assert.Equal(t, http.StatusOK, status)
	var all, some assess.Assessment
	require.NoError(t, json.Unmarshal([]byte(whole), &all))
	require.NoError(t, json.Unmarshal([]byte(part), &some))
	require.NotEmpty(t, some.Bench)
	assert.Less(t, len(some.Bench), len(all.Bench))
	for _, f := range some.Bench {
		assert.Contains(t, all.Bench, f, "as it is told with the others")
	}
	some.Bench = all.Bench
	assert.Equal(t, all, some)
}
