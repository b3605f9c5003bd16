package balance_test

import (
	"fmt"

	"zaino/internal/core/balance"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/example"
)

// A ute with 150 kg over its rear axle: where its weight lies and how far it leans before
// it tips.
func ExampleEngine() {
	j := example.Ute()
	example.Add(&j, "drums", 150, 3150)
	f := balance.Engine().Figures(plan.Of(&j))
	fmt.Printf("centre %.0f mm behind the front axle\n", f.Centre.X)
	// Output:
	// centre 1440 mm behind the front axle
}

// All of it on the left: the sides differ.
func ExampleEngine_sides() {
	j := example.Ute()
	example.Add(&j, "drums", 150, 3150, func(i *fitout.Item) { i.At.Y = -600 })
	f := balance.Engine().Figures(plan.Of(&j))
	fmt.Printf("%.0f kg left, %.0f kg right\n", f.Corners.FrontLeft+f.Corners.RearLeft,
		f.Corners.FrontRight+f.Corners.RearRight)
	// Output:
	// 1175 kg left, 1059 kg right
}
