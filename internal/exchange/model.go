package exchange

import (
	"fmt"
	"math"
	"slices"
	"strconv"

	"zaino/internal/core/draw"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/shape"
)

// see is how much light goes through a tone, 0 to 1.
var see = map[shape.Tone]float64{shape.Glass: 0.35, shape.Fluid: 0.7, shape.Open: 0.15}

// modelling makes the glTF of a job: X to the left, Y up, Z to the front, in metres.
type modelling struct {
	gltf
	materials map[shape.Tone]int
	leaves    map[fitout.InCell]int // nodes of what moves, by what lies in it
}

// WriteGLB writes a job in the round as glTF binary: a node for each thing, named by it, what
// opens as nodes and animations of their own.
func WriteGLB(j *fitout.Job) ([]byte, error) { return ModelOf(j, &draw.DrawingWish{}) }

// ModelOf is the same in the stance of a wish, in which each leaf says among its extras whether
// it is open.
func ModelOf(j *fitout.Job, w *draw.DrawingWish) ([]byte, error) {
	m := &modelling{materials: map[shape.Tone]int{}, leaves: map[fitout.InCell]int{}}
	m.Asset = gltfAsset{Version: "2.0", Generator: "Zaino"}
	root := m.node(gltfNode{Name: j.Name})
	forms := draw.Model(plan.Of(j), w)
	for _, inside := range []bool{false, true} { // what lies in something after it
		for i := range forms {
			f := &forms[i]
			if (f.Lies != nil) != inside {
				continue
			}
			under := root
			if f.Lies != nil {
				under = m.holder(*f.Lies, root)
			}
			m.hang(under, m.form(f))
		}
	}
	m.Scenes = []gltfScene{{Name: j.Name, Nodes: []int{root}}}
	return m.write()
}

func (m *modelling) node(n gltfNode) int {
	m.Nodes = append(m.Nodes, n)
	return len(m.Nodes) - 1
}

func (m *modelling) hang(under, node int) {
	m.Nodes[under].Children = append(m.Nodes[under].Children, node)
}

// holder is the node that moves what lies in a compartment: the leaf of it, or of the whole,
// where that slides; else the root.
func (m *modelling) holder(in fitout.InCell, root int) int {
	for _, cell := range []string{in.Cell, ""} {
		if node, ok := m.leaves[fitout.InCell{Module: in.Module, Cell: cell}]; ok {
			return node
		}
	}
	return root
}

// form is a node for a thing, with nodes for its leaves.
func (m *modelling) form(f *draw.Form) int {
	name := f.Name
	if name == "" {
		name = map[draw.Kind]string{draw.OfVehicle: "Vehicle", draw.OfDoor: "Door"}[f.Kind]
	}
	node := m.node(gltfNode{Name: name, Extras: map[string]any{"id": f.ID, "kind": f.Kind, "absent": f.Absent,
		"work": f.Work}})
	m.Nodes[node].Mesh = m.mesh(name, f.Part.Still, fitout.Point{})
	for i := range f.Part.Leaves {
		l := &f.Part.Leaves[i]
		at := l.Through
		if l.About == "" {
			at = fitout.Point{}
		}
		leaf := m.node(gltfNode{Name: fmt.Sprintf("%s, opening %d", name, i+1), Mesh: m.mesh(name, l.Solids, at),
			Translation: vector(metres(at)), Extras: map[string]any{"leaf": l.Cell, "of": f.ID, "open": slices.Contains(f.Open, l.Cell)}})
		m.hang(node, leaf)
		if l.About == "" {
			m.leaves[fitout.InCell{Module: f.ID, Cell: l.Cell}] = leaf
		}
		m.animate(leaf, l, fmt.Sprintf("%s/%s", f.ID, l.Cell))
	}
	return node
}

// animate opens a leaf within a second.
func (m *modelling) animate(node int, l *shape.Moving, name string) {
	times := m.floats("SCALAR", 1, 0, []float32{0, 1})
	path, output := "translation", 0
	if l.About == "" {
		out := metres(l.Slides)
		output = m.floats("VEC3", 3, 0, []float32{0, 0, 0, float32(out[0]), float32(out[1]), float32(out[2])})
	} else {
		path = "rotation"
		about := metres(map[shape.Axis]fitout.Point{shape.AxisX: {X: 1000}, shape.AxisY: {Y: 1000},
			shape.AxisZ: {Z: 1000}}[l.About])
		// By thirds, so that half a turn goes the way that it should.
		var turns []float32
		for _, share := range []float64{0, 1} {
			sin, cos := math.Sincos(float64(l.Quarters) * math.Pi / 4 * share)
			turns = append(turns, float32(about[0]*sin), float32(about[1]*sin), float32(about[2]*sin), float32(cos))
		}
		if l.Quarters == 2 || l.Quarters == -2 {
			sin, cos := math.Sincos(float64(l.Quarters) * math.Pi / 8)
			half := []float32{float32(about[0] * sin), float32(about[1] * sin), float32(about[2] * sin), float32(cos)}
			turns = append(append(turns[:4:4], half...), turns[4:]...)
			times = m.floats("SCALAR", 1, 0, []float32{0, 0.5, 1})
		}
		output = m.floats("VEC4", 4, 0, turns)
	}
	m.Animations = append(m.Animations, gltfAnimation{Name: name,
		Channels: []gltfChannel{{0, gltfTarget{node, path}}}, Samplers: []gltfSampler{{times, output, "LINEAR"}}})
}

// mesh is the surface of solids about a place, a part of it for each tone; nil for none.
func (m *modelling) mesh(name string, solids []shape.Prism, about fitout.Point) *int {
	byTone := map[shape.Tone]*shape.Mesh{}
	var order []shape.Tone
	for i := range solids {
		tone := solids[i].Tone
		if byTone[tone] == nil {
			byTone[tone] = &shape.Mesh{}
			order = append(order, tone)
		}
		byTone[tone].Add(&solids[i])
	}
	if len(order) == 0 {
		return nil
	}
	mesh := gltfMesh{Name: name}
	for _, tone := range order {
		s := byTone[tone]
		points, normals := make([]float32, 0, 3*len(s.Points)), make([]float32, 0, 3*len(s.Points))
		for i, p := range s.Points {
			at := metres(fitout.Point{X: p.X - about.X, Y: p.Y - about.Y, Z: p.Z - about.Z})
			points = append(points, float32(at[0]), float32(at[1]), float32(at[2]))
			n := s.Normals[i]
			normals = append(normals, float32(-n.Y), float32(n.Z), float32(-n.X))
		}
		mesh.Primitives = append(mesh.Primitives, gltfPrimitive{
			Attributes: map[string]int{"POSITION": m.floats("VEC3", 3, glArray, points),
				"NORMAL": m.floats("VEC3", 3, glArray, normals)},
			Indices: m.indices(s.Corners), Material: m.material(tone),
		})
	}
	m.Meshes = append(m.Meshes, mesh)
	n := len(m.Meshes) - 1
	return &n
}

func (m *modelling) material(tone shape.Tone) int {
	if n, known := m.materials[tone]; known {
		return n
	}
	made := gltfMaterial{Name: string(tone), PBR: gltfPBR{Base: [4]float64{1, 1, 1, 1}, Roughness: 0.8}, DoubleSided: true}
	for i := range 3 {
		hex := tones[tone]
		if hex == "none" {
			hex = "#9aa7a5"
		}
		value, _ := strconv.ParseUint(hex[1+2*i:3+2*i], 16, 8)
		made.PBR.Base[i] = math.Pow(float64(value)/255, 2.2) // colours of glTF are linear
	}
	if tone == shape.Metal || tone == shape.Hardware {
		made.PBR.Metallic, made.PBR.Roughness = 0.3, 0.55
	}
	if alpha := see[tone]; alpha > 0 {
		made.PBR.Base[3], made.AlphaMode = alpha, "BLEND"
	}
	m.materials[tone] = len(m.Materials)
	m.Materials = append(m.Materials, made)
	return m.materials[tone]
}

// metres is a place of the vehicle's frame in that of glTF.
func metres(p fitout.Point) [3]float64 { return [3]float64{-p.Y / 1000, p.Z / 1000, -p.X / 1000} }

func vector(v [3]float64) *[3]float64 { return &v }
