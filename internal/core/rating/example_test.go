package rating_test

import (
	"fmt"

	"zaino/internal/core/fitout"
	"zaino/internal/core/rating"
	"zaino/internal/core/words"
	"zaino/internal/example"
)

// Rear tyres of index 109 carry 1030 kg each: they bind before a plate of 2 100 kg.
func ExampleOf() {
	j := example.Ute()
	j.Vehicle.Limits.RearAxle.Kg = 2100
	j.Vehicle.Rear.Tyre.Index = 109
	r := rating.Of(&j.Vehicle, fitout.LimitRearAxle)
	fmt.Println(r.Kg, "kg, by", r.Binds(words.For(&j)))
	// Output:
	// 2060 kg, by the tyres
}

// Springs raise no rating, whatever is written to them; a certified upgrade does.
func ExampleAll() {
	j := example.Ute()
	j.Vehicle.Modifications = []fitout.Modification{
		example.Modification(fitout.Springs, fitout.LimitRearAxle, 2300)}
	fmt.Println(rating.Of(&j.Vehicle, fitout.LimitRearAxle).Kg)
	j.Vehicle.Modifications[0].Kind = fitout.AxleRating
	fmt.Println(rating.Of(&j.Vehicle, fitout.LimitRearAxle).Kg, "of", len(rating.All(&j.Vehicle)), "ratings")
	// Output:
	// 1900
	// 2300 of 10 ratings
}
