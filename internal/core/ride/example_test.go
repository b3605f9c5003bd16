package ride_test

import (
	"fmt"

	"zaino/internal/core/ride"
)

// A rear axle that takes 787.7 kg more on springs of 38 N/mm at the wheel.
func ExampleDrop() {
	mm, known := ride.Drop(1568.7-781.0, 38)
	fmt.Printf("%.1f mm down, %v\n", mm, known)
	// Output:
	// 101.6 mm down, true
}

// A bar 1240 mm behind the rear axle and 560 mm high, before and after that.
func ExampleClear() {
	empty, _ := ride.Clear(1240, 560, 395)
	laden, _ := ride.Clear(1240, 560-101.6, 395)
	fmt.Printf("%.1f° empty, %.1f° laden\n", empty, laden)
	// Output:
	// 26.0° empty, 21.5° laden
}
