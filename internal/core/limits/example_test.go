package limits_test

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/limits"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// The rear axle of a ute against its limit of 1 900 kg.
func ExampleOf() {
	j := example.Ute()
	example.Add(&j, "drums", 150, 3150)
	table := limits.Of(plan.Of(&j))
	rear := table.Get("rear")
	facts := rear.Facts()
	fmt.Printf("%s: %.0f of %.0f kg, %s\n", facts.Title, rear.Load(table.Shown()), facts.Bound.Figure(),
		facts.State(rear.Load(table.Shown()), j.Practice.Close))
	// Output:
	// Rear axle: 1021 of 1900 kg, within
}

// The exact worst of the gross: what may vary as it loads most.
func ExampleTable_States() {
	j := example.Ute()
	j.Variants[0].Switches = []fitout.Switch{{ID: "raft", Name: "Raft"}}
	example.Add(&j, "raft", 80, 3000, func(i *fitout.Item) {
		i.Presence = fitout.Presence{Kind: fitout.BySwitch, Switch: "raft"}
	})
	table := limits.Of(plan.Of(&j))
	gross := table.Get("gross")
	fmt.Printf("%.0f kg now, %.0f kg with the raft and a full tank\n", gross.Load(table.Shown()), gross.Worst().Value)
	// Output:
	// 2084 kg now, 2193 kg with the raft and a full tank
}
