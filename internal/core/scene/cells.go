package scene

import (
	"zaino/internal/core/module"
)

// CellFigures is a compartment and how full it is.
type CellFigures struct {
	module.Cell
	Litres float64 `json:"litres" doc:"room inside"`
	Filled float64 `json:"filled" doc:"share of the room that is taken, 0 to 1 and more"`
	Load   float64 `json:"load" doc:"what lies in it, kg"`
	Holds  []Held  `json:"holds" doc:"what lies in it, what is deepest first"`
}

// Held is one thing in a compartment.
type Held struct {
	ID    string `json:"id"`
	Moves int    `json:"moves" doc:"how many things lie on it and have to be moved first"`
}
