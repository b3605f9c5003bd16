package cut_test

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/cut"
	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
)

// nested is a cut list of real modules with what comes of it; web/src/build/packer.test.ts holds it against a
// general packer of rectangles.
type nested struct {
	Pieces [][2]float64 `json:"pieces"`
	Sheets int          `json:"sheets"`
	Used   float64      `json:"used"` // whole sheets − 1 + share used of the last
}

type listsFile struct {
	Length float64  `json:"length"`
	Width  float64  `json:"width"`
	Kerf   float64  `json:"kerf"`
	Lists  []nested `json:"lists"`
}

const listsPath = "testdata/lists.json"

// realList is the cut list of a few modules as workshops build them, drawn at random.
func realList(r *rand.Rand) []cut.Piece {
	kinds := []fitout.ModuleKind{
		fitout.Drawers,
		fitout.Drawers,
		fitout.Locker,
		fitout.LiddedBox,
		fitout.Pantry,
		fitout.Shelf,
		fitout.Platform,
	}
	var pieces []cut.Piece
	for range 1 + r.IntN(5) {
		round := func(from, to int) float64 { return float64(from + 10*r.IntN((to-from)/10)) }
		i := fitout.Item{
			Size: fitout.Size{Length: round(400, 1500), Width: round(300, 1100), Height: round(200, 700)},
			Module: &fitout.Module{
				Kind:   kinds[r.IntN(len(kinds))],
				Faces:  []fitout.Face{fitout.FaceRear, fitout.FaceLeft}[r.IntN(2)],
				Wall:   fitout.Plywood,
				Panel:  12,
				Runner: fitout.BallRunner,
				Stack:  []fitout.Stack{fitout.Beside, fitout.Above}[r.IntN(2)],
			},
		}
		for k := range 1 + r.IntN(3) {
			i.Module.Cells = append(i.Module.Cells, fitout.Cell{ID: fmt.Sprint(k), Name: "Cell", Walls: r.IntN(3)})
		}
		for _, p := range module.AnatomyOf(&i, nil).Panels {
			if p.Length <= 2420 && p.Width <= 1200 {
				pieces = append(pieces, cut.Piece{Length: p.Length, Width: p.Width, Turn: true})
			}
		}
	}
	return pieces
}

func nestedOf(pieces []cut.Piece) nested {
	n := nest(pieces, 2420, 1200)
	out := nested{Sheets: len(n.Layouts)}
	for _, p := range pieces {
		out.Pieces = append(out.Pieces, [2]float64{p.Length, p.Width})
	}
	if out.Sheets > 0 {
		out.Used = float64(out.Sheets-1) + n.Layouts[out.Sheets-1].Used()
	}
	return out
}

// The lists that are held against a general packer are what is laid out now: every tenth is done anew. With
// ZAINO_GOLDEN set all are, and written.
func TestListsOfRealModulesAreFresh(t *testing.T) {
	r := rand.New(rand.NewPCG(20, 26))
	file := listsFile{Length: 2420, Width: 1200, Kerf: kerf}
	write := os.Getenv("ZAINO_GOLDEN") != ""
	var kept listsFile
	if !write {
		data, err := os.ReadFile(listsPath)
		require.NoError(t, err)
		require.NoError(t, json.Unmarshal(data, &kept))
		require.Len(t, kept.Lists, 100)
	}
	for k := range 100 {
		pieces := realList(r)
		switch {
		case write:
			file.Lists = append(file.Lists, nestedOf(pieces))
		case k%10 == 0:
			assert.Equal(t, kept.Lists[k], nestedOf(pieces), "list %d", k)
		default:
			assert.Len(t, kept.Lists[k].Pieces, len(pieces), "list %d", k)
		}
	}
	if write {
		data, err := json.Marshal(file)
		require.NoError(t, err)
		require.NoError(t, os.MkdirAll("testdata", 0o755))
		require.NoError(t, os.WriteFile(listsPath, data, 0o644))
	}
}
