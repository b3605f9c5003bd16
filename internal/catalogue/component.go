package catalogue

import (
	_ "embed"
	"encoding/json"
	"fmt"

	"zaino/internal/core/fitout"
)

//go:embed components.json
var components []byte

// Component is a generic part to place on the bench: an item without a place.
// A built one has no mass of its own; its construction gives it.
type Component struct {
	ID   string      `json:"id"`
	Why  string      `json:"why" doc:"where its mass comes from"`
	Item fitout.Item `json:"item"`
}

// Components returns the generic components in the order in which they are
// offered. Sizes and masses are plausible, of no brand, and to be replaced by
// what is measured and weighed.
func Components() ([]Component, error) {
	var all []Component
	if err := json.Unmarshal(components, &all); err != nil {
		return nil, fmt.Errorf("the components cannot be read: %w", err)
	}
	return all, nil
}
