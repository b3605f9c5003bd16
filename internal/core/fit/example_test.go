package fit_test

import (
	"fmt"
	"strings"

	"zaino/internal/core/fit"
	"zaino/internal/core/fit/keeping"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// A lunch box of 400 mm does not go into a drawer that is 240 mm high inside.
func ExampleTooLarge() {
	mm, what := keeping.TooLarge(fitout.Size{Length: 300, Width: 200, Height: 400}, fitout.Size{Length: 650, Width: 420,
		Height: 240})
	fmt.Println(mm, what)
	// Output:
	// 160 high
}

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
	// Fridge reaches 40 mm into unit. Move it 40 mm toward the front, or that the other way.
}
