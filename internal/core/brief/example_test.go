package brief_test

import (
	"fmt"
	"strings"

	"zaino/internal/core/brief"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// Two people and four nights between taps: water by the day, and a reserve.
func ExampleNeedsOf() {
	j := example.Ute()
	example.Crew(&j)
	needs := brief.NeedsOf(&j.Brief)
	fmt.Printf("%d people, %.0f L of water, %.0f L of fuel\n", needs.People, needs.Water.Litres, needs.Fuel.Litres)
	// Output:
	// 2 people, 66 L of water, 72 L of fuel
}

// What follows from the brief stands with its reason.
func ExampleEngine() {
	j := example.Ute()
	example.Crew(&j)
	for _, i := range brief.Engine().Figures(plan.Of(&j)).Implied[:2] {
		fmt.Println(i.Title+":", strings.ReplaceAll(i.Reason, "\u00a0", " "))
	}
	// Output:
	// People and animals: 2 people 155 kg, as they travel.
	// Water to carry: (14 L a day for 2 people) × 4 nights between services + 10 L reserve.
}
