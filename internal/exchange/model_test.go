package exchange

import (
	"bytes"
	"encoding/json"
	"math"
	"os/exec"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/fitout"
	"zaino/internal/core/module"
	"zaino/internal/core/plan"
	"zaino/internal/demo"
)

// validated is what the validator of the format's own makers says of a file.
type validated struct {
	Issues struct {
		NumErrors   int               `json:"numErrors"`
		NumWarnings int               `json:"numWarnings"`
		Messages    []json.RawMessage `json:"messages"`
	} `json:"issues"`
	Info struct {
		TotalTriangleCount int  `json:"totalTriangleCount"`
		AnimationCount     int  `json:"animationCount"`
		MaterialCount      int  `json:"materialCount"`
		HasDefaultScene    bool `json:"hasDefaultScene"`
	} `json:"info"`
}

func validate(t *testing.T, glb []byte) validated {
	t.Helper()
	run := exec.Command("node", "../../web/check-glb.mjs")
	run.Stdin = bytes.NewReader(glb)
	out, err := run.Output()
	require.NoError(t, err, "node and web/node_modules are there: make web")
	var v validated
	require.NoError(t, json.Unmarshal(out, &v))
	return v
}

// The model of every demo job is read by a reader that is not ours without a fault.
func TestModelsAreValidGLTF(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	for i := range jobs {
		glb, err := WriteGLB(&jobs[i])
		require.NoError(t, err)
		v := validate(t, glb)
		assert.Zero(t, v.Issues.NumErrors, "%s: %s", jobs[i].Name, v.Issues.Messages)
		assert.Zero(t, v.Issues.NumWarnings, "%s: %s", jobs[i].Name, v.Issues.Messages)
		assert.Greater(t, v.Info.TotalTriangleCount, 2000)
		assert.Positive(t, v.Info.AnimationCount)
		assert.LessOrEqual(t, v.Info.MaterialCount, 13)
	}
}

// Every module is a node with its name, its surface where it stands, in metres with Y up.
func TestEveryModuleIsANodeWhereItStands(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	j := jobs[2]
	glb, err := WriteGLB(&j)
	require.NoError(t, err)
	var g gltf
	length := int(glb[12]) | int(glb[13])<<8 | int(glb[14])<<16
	require.NoError(t, json.Unmarshal(glb[20:20+length], &g))
	nodes := map[string]*gltfNode{}
	for i := range g.Nodes {
		if id, ok := g.Nodes[i].Extras["id"].(string); ok {
			nodes[id] = &g.Nodes[i]
		}
	}
	p := plan.Of(&j)
	for i := range p.Items {
		item := &p.Items[i]
		if item.Module == nil || item.Module.Kind != fitout.Drawers && item.Module.Kind != fitout.WaterTank {
			continue
		}
		n := nodes[item.ID]
		require.NotNil(t, n, item.Name)
		assert.Equal(t, item.Name, n.Name)
		low, high := [3]float64{9, 9, 9}, [3]float64{-9, -9, -9}
		for _, prim := range g.Meshes[*n.Mesh].Primitives {
			a := g.Accessors[prim.Attributes["POSITION"]]
			for k := range 3 {
				low[k], high[k] = math.Min(low[k], a.Min[k]), math.Max(high[k], a.Max[k])
			}
		}
		b := item.Box()
		assert.InDelta(t, b.From.Z/1000, low[1], 0.02, item.Name)
		assert.InDelta(t, b.To.Z/1000, high[1], 0.02, item.Name)
		assert.InDelta(t, -b.To.X/1000, low[2], 0.02, "the front is along Z: %s", item.Name)
		assert.InDelta(t, -b.From.Y/1000, high[0], 0.02, "the left is along X: %s", item.Name)
	}
	leaves := 0
	for i := range p.Items {
		if p.Items[i].Module != nil && p.Items[i].In == nil {
			leaves += len(module.Leaves(&p.Items[i]))
		}
	}
	assert.GreaterOrEqual(t, len(g.Animations), leaves/2)
}
