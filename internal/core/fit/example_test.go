package fit_test

import (
	"fmt"
	"strings"

	"zaino/internal/core/fit"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// A drawer unit that was pushed 40 mm into the fridge.
func ExampleEngine() {
	j := example.Fitted()
	j.Variants[0].Items[1].At.X -= 40
	p := plan.Of(&j)
	for _, rule := range fit.Engine().Rules {
		for _, f := range rule(p) {
			if f.Rule == "parts-clash" {
				fmt.Println(strings.ReplaceAll(f.Sentence, "\u00a0", " "))
			}
		}
	}
	// Output:
	// Fridge reaches 40 mm into unit. Move that 40 mm toward the rear.
}
