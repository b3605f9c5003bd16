package api

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestTablesComeTheWayABrowserWantsThem(t *testing.T) {
	server, _ := serve(t)
	url := server.URL + "/api/jobs/river-gauging/items.csv"
	_, _, plain := ask(t, "GET", url, "")
	require.True(t, strings.HasPrefix(plain, "Name,"))
	for _, how := range [][]string{{url + "?csv=semicolons"}, {url, "Cookie", "zaino_csv=semicolons"}} {
		status, header, body := ask(t, "GET", how[0], "", how[1:]...)
		assert.Equal(t, 200, status)
		assert.Contains(t, header.Get("Content-Type"), "text/csv")
		assert.True(t, strings.HasPrefix(body, "\ufeffName;"))
		assert.Regexp(t, `;\d+,\d+;`, body)
	}
	_, _, marked := ask(t, "GET", url+"?csv=marked", "")
	assert.Equal(t, "\ufeff"+plain, marked)
	_, _, other := ask(t, "GET", server.URL+"/api/jobs/river-gauging", "", "Cookie", "zaino_csv=semicolons")
	assert.True(t, strings.HasPrefix(other, "{"), "only tables are written so")
	status, _, body := ask(t, "GET", server.URL+"/api/jobs/nobody/items.csv?csv=semicolons", "")
	assert.Equal(t, 404, status)
	assert.Contains(t, body, "no such job")
}
