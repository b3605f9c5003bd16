package space_test

import (
	"fmt"

	"zaino/internal/core/space"
	"zaino/internal/example"
)

// A tub of 1500 × 1400 × 480 mm: the box that it leaves to build in.
func ExampleRoomBox() {
	j := example.Fitted()
	fmt.Println(space.RoomBox(&j.Vehicle.Bays[0]).Size())
	// Output:
	// {1500 1400 480}
}

// One diagonal that is read wrong is named, with what would close the floor.
func ExampleChecks() {
	j := example.Fitted()
	example.Cargo(&j).DiagonalRight = 2120
	for _, c := range space.Checks(&j.Vehicle.Bays[0]) {
		fmt.Printf("%s %v: %.0f mm, %.0f\n", c.Rule, c.Measure, c.Value, c.Limit)
	}
	// Output:
	// diagonals [diagonalRight]: 2120 mm, 2000
}
