// Package catalogue holds generic things to start a job from. They are
// plausible, belong to no brand, and are to be replaced by what the plate and
// the tape say.
package catalogue

import (
	_ "embed"
	"encoding/json"
	"fmt"

	"zaino/internal/core/fitout"
)

//go:embed vehicles.json
var vehicles []byte

// Class is a kind of vehicle to start from.
type Class struct {
	ID      string         `json:"id"`
	Label   string         `json:"label"`
	Vehicle fitout.Vehicle `json:"vehicle"`
}

// Classes returns the vehicle classes in the order in which they are offered.
// Their limits and masses are estimates and marked so.
func Classes() ([]Class, error) {
	var classes []Class
	if err := json.Unmarshal(vehicles, &classes); err != nil {
		return nil, fmt.Errorf("the vehicle classes cannot be read: %w", err)
	}
	return classes, nil
}
