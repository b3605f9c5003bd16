package api

import (
	"context"
	"fmt"
	"runtime"
	"strconv"

	"zaino/internal/core/fitout"
)

// upTo refuses a list of a request that is longer than the contract says.
func upTo(path string, length, most int) error {
	if length <= most {
		return nil
	}
	return problem(fitout.Problem{Path: path, Given: strconv.Itoa(length) + " of them",
		Accepted: fmt.Sprintf("up to %d", most)})
}

// searching is how many searches run at once: enough that nobody waits for one other, few enough that many who ask for
// what takes its time do not hold up what answers at once.
var searching = make(chan struct{}, max(4, 2*runtime.GOMAXPROCS(0)))

// search waits for its turn and runs a search, unless who asked for it gives up before.
func search(ctx context.Context, run func()) {
	select {
	case searching <- struct{}{}:
		defer func() { <-searching }()
		run()
	case <-ctx.Done():
	}
}
