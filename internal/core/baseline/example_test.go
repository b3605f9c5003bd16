package baseline_test

import (
	"fmt"

	"zaino/internal/core/baseline"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// One ticket that read both axles decides what the vehicle weighs.
func ExampleEngine() {
	j := example.Ute()
	f := baseline.Engine().Figures(plan.Of(&j))
	fmt.Println(len(f.Tickets), "ticket")
	// Output:
	// 1 ticket
}

// A second ticket that says something else is pointed out.
func ExampleEngine_contradiction() {
	j := example.Ute()
	j.Vehicle.Baseline.Tickets = append(j.Vehicle.Baseline.Tickets, example.Axles("yard", 1200, 950))
	for _, rule := range baseline.Engine().Rules {
		for _, f := range rule(plan.Of(&j)) {
			fmt.Println(f.Rule, f.Severity)
		}
	}
	// Output:
	// tickets-contradict caution
}
