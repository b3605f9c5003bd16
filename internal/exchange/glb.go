package exchange

import (
	"bytes"
	"encoding/binary"
	"encoding/json"
	"math"
)

// The parts of a glTF 2.0 document that a model of ours needs, as its specification names
// them.
type (
	gltf struct {
		Asset       gltfAsset        `json:"asset"`
		Scene       int              `json:"scene"`
		Scenes      []gltfScene      `json:"scenes"`
		Nodes       []gltfNode       `json:"nodes"`
		Meshes      []gltfMesh       `json:"meshes,omitempty"`
		Materials   []gltfMaterial   `json:"materials,omitempty"`
		Animations  []gltfAnimation  `json:"animations,omitempty"`
		Accessors   []gltfAccessor   `json:"accessors,omitempty"`
		BufferViews []gltfBufferView `json:"bufferViews,omitempty"`
		Buffers     []gltfBuffer     `json:"buffers,omitempty"`

		binary bytes.Buffer
	}
	gltfAsset struct {
		Version   string `json:"version"`
		Generator string `json:"generator"`
		Copyright string `json:"copyright,omitempty"`
	}
	gltfScene struct {
		Name  string `json:"name"`
		Nodes []int  `json:"nodes"`
	}
	gltfNode struct {
		Name        string         `json:"name"`
		Mesh        *int           `json:"mesh,omitempty"`
		Children    []int          `json:"children,omitempty"`
		Translation *[3]float64    `json:"translation,omitempty"`
		Rotation    *[4]float64    `json:"rotation,omitempty"`
		Extras      map[string]any `json:"extras,omitempty"`
	}
	gltfMesh struct {
		Name       string          `json:"name"`
		Primitives []gltfPrimitive `json:"primitives"`
	}
	gltfPrimitive struct {
		Attributes map[string]int `json:"attributes"`
		Indices    int            `json:"indices"`
		Material   int            `json:"material"`
	}
	gltfMaterial struct {
		Name        string  `json:"name"`
		PBR         gltfPBR `json:"pbrMetallicRoughness"`
		AlphaMode   string  `json:"alphaMode,omitempty"`
		DoubleSided bool    `json:"doubleSided,omitempty"`
	}
	gltfPBR struct {
		Base      [4]float64 `json:"baseColorFactor"`
		Metallic  float64    `json:"metallicFactor"`
		Roughness float64    `json:"roughnessFactor"`
	}
	gltfAnimation struct {
		Name     string        `json:"name"`
		Channels []gltfChannel `json:"channels"`
		Samplers []gltfSampler `json:"samplers"`
	}
	gltfChannel struct {
		Sampler int        `json:"sampler"`
		Target  gltfTarget `json:"target"`
	}
	gltfTarget struct {
		Node int    `json:"node"`
		Path string `json:"path"`
	}
	gltfSampler struct {
		Input         int    `json:"input"`
		Output        int    `json:"output"`
		Interpolation string `json:"interpolation"`
	}
	gltfAccessor struct {
		BufferView    int       `json:"bufferView"`
		ComponentType int       `json:"componentType"`
		Count         int       `json:"count"`
		Type          string    `json:"type"`
		Min           []float64 `json:"min,omitempty"`
		Max           []float64 `json:"max,omitempty"`
	}
	gltfBufferView struct {
		Buffer     int `json:"buffer"`
		ByteOffset int `json:"byteOffset"`
		ByteLength int `json:"byteLength"`
		Target     int `json:"target,omitempty"`
	}
	gltfBuffer struct {
		ByteLength int `json:"byteLength"`
	}
)

// Numbers of the specification.
const (
	glFloat        = 5126
	glUint         = 5125
	glArray        = 34962
	glElementArray = 34963
)

// put keeps bytes in the one buffer and returns the number of the view of them.
func (g *gltf) put(target int, values any) int {
	for g.binary.Len()%4 != 0 {
		g.binary.WriteByte(0)
	}
	at := g.binary.Len()
	_ = binary.Write(&g.binary, binary.LittleEndian, values) // a buffer takes everything
	g.BufferViews = append(g.BufferViews, gltfBufferView{ByteOffset: at, ByteLength: g.binary.Len() - at, Target: target})
	return len(g.BufferViews) - 1
}

// floats keeps tuples of numbers, with their bounds, which positions and times must have.
func (g *gltf) floats(kind string, size, target int, values []float32) int {
	low, high := make([]float64, size), make([]float64, size)
	for i := range size {
		low[i], high[i] = math.Inf(1), math.Inf(-1)
	}
	for i, v := range values {
		low[i%size], high[i%size] = min(low[i%size], float64(v)), max(high[i%size], float64(v))
	}
	g.Accessors = append(g.Accessors, gltfAccessor{BufferView: g.put(target, values), ComponentType: glFloat,
		Count: len(values) / size, Type: kind, Min: low, Max: high})
	return len(g.Accessors) - 1
}

func (g *gltf) indices(values []uint32) int {
	g.Accessors = append(g.Accessors, gltfAccessor{BufferView: g.put(glElementArray, values), ComponentType: glUint,
		Count: len(values), Type: "SCALAR"})
	return len(g.Accessors) - 1
}

// write is the document as one binary file: a head, the JSON, and the buffer.
func (g *gltf) write() ([]byte, error) {
	if g.binary.Len() > 0 {
		for g.binary.Len()%4 != 0 {
			g.binary.WriteByte(0)
		}
		g.Buffers = []gltfBuffer{{ByteLength: g.binary.Len()}}
	}
	text, err := json.Marshal(g)
	if err != nil {
		return nil, err
	}
	for len(text)%4 != 0 {
		text = append(text, ' ')
	}
	var out bytes.Buffer
	word := func(values ...uint32) { _ = binary.Write(&out, binary.LittleEndian, values) }
	total := 12 + 8 + len(text)
	if g.binary.Len() > 0 {
		total += 8 + g.binary.Len()
	}
	word(0x46546C67, 2, uint32(total))
	word(uint32(len(text)), 0x4E4F534A)
	out.Write(text)
	if g.binary.Len() > 0 {
		word(uint32(g.binary.Len()), 0x004E4942)
		out.Write(g.binary.Bytes())
	}
	return out.Bytes(), nil
}
