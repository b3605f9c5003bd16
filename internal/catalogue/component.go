package catalogue

import (
	_ "embed"
	"encoding/json"
	"fmt"

	"zaino/internal/core/fitout"
)

//go:embed components.json
var components []byte

// Components returns the generic components in the order in which they are
// offered. Sizes and masses are plausible, of no brand, and to be replaced by
// what is measured and weighed.
func Components() ([]fitout.Component, error) {
	var all []fitout.Component
	if err := json.Unmarshal(components, &all); err != nil {
		return nil, fmt.Errorf("the components cannot be read: %w", err)
	}
	for i := range all {
		all[i].Fill()
		all[i].Item.Component = all[i].ID
	}
	return all, nil
}
