package api

import (
	"fmt"
	"maps"
	"mime"
	"net/http"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"
)

// anyKind is what an operation takes that looks into a file itself.
const anyKind = "application/octet-stream"

// kinds refuses a body that says that it is something else than the operation takes, before it is read. Pages of other
// sites can send forms and plain text without being asked first, but not JSON.
func kinds(api huma.API) func(huma.Context, func(huma.Context)) {
	return func(ctx huma.Context, next func(huma.Context)) {
		body := ctx.Operation().RequestBody
		if body == nil || body.Content[anyKind] != nil || !body.Required && ctx.Header("Content-Type") == "" {
			next(ctx)
			return
		}
		given, _, err := mime.ParseMediaType(ctx.Header("Content-Type"))
		if err == nil && body.Content[given] != nil {
			next(ctx)
			return
		}
		taken := strings.Join(slices.Sorted(maps.Keys(body.Content)), " or ")
		_ = huma.WriteErr(api, ctx, http.StatusUnsupportedMediaType, fmt.Sprintf(
			"Content-Type: %.60q was given; accepted is %s.", ctx.Header("Content-Type"), taken))
	}
}
