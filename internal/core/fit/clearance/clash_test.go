package clearance

import (
	"fmt"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"zaino/internal/core/fitout"
	"zaino/internal/core/scene"
	"zaino/internal/example/wagon"
)

// What is told of a further posture by looking only at what changed is what looking at all of it would tell.
func TestFurtherPosturesTellWhatIsNew(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		box := func(name string) fitout.Box {
			at := func(axis string) float64 { return float64(rapid.IntRange(0, 6).Draw(t, name+axis)) * 100 }
			from := fitout.Point{X: at("x"), Y: at("y"), Z: at("z")}
			return fitout.Box{From: from, To: fitout.Point{X: from.X + 250, Y: from.Y + 250, Z: from.Z + 250}}
		}
		s := &scene.Scene{Bays: []scene.Bay{{ID: "tub", Obstacles: []scene.Obstacle{{ID: "left", Box: box("arch left")}, {ID: "right", Box: box("arch right")}}}}}
		n := rapid.IntRange(1, 9).Draw(t, "parts")
		first, now := make([]standing, n), make([]standing, n)
		for i := range first {
			first[i] = standing{Part: scene.Part{ID: fmt.Sprint("p", i), Bay: "tub", Box: box("part")},
				gone: rapid.Bool().Draw(t, "gone")}
			now[i] = first[i]
			switch rapid.IntRange(0, 5).Draw(t, "change") {
			case 0:
				now[i].Box, now[i].Bay = box("moved"), ""
			case 1:
				now[i].gone = !now[i].gone
			}
		}
		told := map[string]bool{}
		for _, all := range grouped(scene.Clashes(present(first), s.Bays)) {
			told[clashKey(all)] = true
		}
		fresh := func(groups [][]scene.Clash) [][]scene.Clash {
			var left [][]scene.Clash
			for _, all := range groups {
				if !told[clashKey(all)] {
					left = append(left, all)
				}
			}
			return left
		}
		require.Equal(t, fresh(grouped(scene.Clashes(present(now), s.Bays))), fresh(changedClashes(s, first, now)))
	})
}

// told reads the move that a sentence names: "260 mm toward the rear".
var toldMove = regexp.MustCompile(`([0-9 ]+) mm (toward the rear|toward the front|to the right|to the left|up|down)`)

func moveIn(t require.TestingT, sentence string) fitout.Point {
	plain := strings.NewReplacer("\u00a0", " ", "\u202f", "").Replace(sentence)
	all := toldMove.FindStringSubmatch(plain)
	require.NotNil(t, all, plain)
	mm, err := strconv.ParseFloat(strings.TrimSpace(all[1]), 64)
	require.NoError(t, err)
	for _, s := range scene.Steps(fitout.Box{}, fitout.Box{}) {
		if s.Way == all[2] {
			return fitout.Point{X: s.Moves.X * mm, Y: s.Moves.Y * mm, Z: s.Moves.Z * mm}
		}
	}
	return fitout.Point{}
}

// Whatever stands wherever in another, moved as the sentence says it is clear; 2 mm less and it is not.
func TestAMoveThatIsNamedMends(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		mm := func(low, high int, name string) float64 { return float64(rapid.IntRange(low, high).Draw(t, name)) }
		a := wagon.Part(
			"a",
			fitout.PlainGear,
			scene.Still,
			wagon.Box(mm(0, 400, "ax"), mm(0, 400, "ay"), mm(0, 400, "az"), mm(50, 600, "al"),
				mm(50, 600, "aw"), mm(50, 600, "ah")),
			2,
		)
		b := wagon.Part(
			"b",
			fitout.PlainGear,
			scene.Still,
			wagon.Box(mm(0, 400, "bx"), mm(0, 400, "by"), mm(0, 400, "bz"), mm(50, 600, "bl"),
				mm(50, 600, "bw"), mm(50, 600, "bh")),
			2,
		)
		s := &scene.Scene{
			Vehicle: &fitout.Vehicle{},
			Brief:   &fitout.Brief{},
			Parts:   []scene.Part{a, b},
			Say:     wagon.Sound().Say,
		}
		s.Prepare()
		found := PartsClash(s)
		if len(found) == 0 {
			return
		}
		by := moveIn(t, found[0].Sentence)
		with := func(share float64) int {
			moved := *s
			moved.Parts = []scene.Part{a.MovedBy(by.X*share, by.Y*share, by.Z*share), b}
			moved.Postures = nil
			moved.Prepare()
			return len(PartsClash(&moved))
		}
		if with(1) != 0 {
			t.Fatalf("moved by %v it still clashes: %s", by, found[0].Sentence)
		}
		far := max(by.X, -by.X) + max(by.Y, -by.Y) + max(by.Z, -by.Z)
		if far > 4 && with((far-2)/far) == 0 {
			t.Fatalf("less than %v is enough: %s", by, found[0].Sentence)
		}
	})
}

// Whatever stands wherever in a crowded bay: a move that is offered for a clash ends it, and puts nothing into
// anything else or out of its space; what is locked is offered no move.
func TestAMoveThatIsOfferedEndsTheClash(t *testing.T) {
	offered := 0
	rapid.Check(t, func(t *rapid.T) {
		mm := func(low, high int, name string) float64 { return float64(rapid.IntRange(low, high).Draw(t, name)) }
		s := wagon.Sound()
		s.Parts, s.Stances, s.Things = nil, nil, nil
		s.Bays[0].Room = wagon.Box(2600, -700, 600, 1400, 1400, 1100)
		for k := range 4 {
			p := wagon.Part(
				strconv.Itoa(k),
				fitout.PlainGear,
				scene.Still,
				wagon.Box(2600+mm(0, 900, "x"), -700+mm(0, 900, "y"), 600+mm(0, 400, "z"),
					mm(100, 500, "l"), mm(100, 500, "w"), mm(100, 500, "h")),
				2,
			)
			p.Fixed = k == 0
			s.Parts = append(s.Parts, p)
		}
		s.Prepare()
		for _, f := range PartsClash(s) {
			for _, fix := range f.Fixes {
				offered++
				if fix.Edit.ID == "0" {
					t.Fatalf("it is locked: %s", fix.Label)
				}
				at := s.Part(fix.Edit.ID).Box.Middle()
				by := map[string]fitout.Point{"part-x": {X: fix.Edit.Value - at.X}, "part-y": {Y: fix.Edit.Value - at.Y},
					"part-z": {Z: fix.Edit.Value - at.Z}}[fix.Edit.Kind]
				trial := *s
				trial.Parts = append([]scene.Part{}, s.Parts...)
				trial.Postures = nil
				wagon.Put(&trial, fix.Edit.ID, by.X, by.Y, by.Z)
				trial.Prepare()
				for _, still := range append(PartsClash(&trial), OutsideBay(&trial)...) {
					if still.Subject.ID == fix.Edit.ID || len(still.With) > 0 && still.With[0] == fix.Edit.ID {
						t.Fatalf("%s: %s", fix.Label, still.Sentence)
					}
				}
			}
		}
	})
	assert.Greater(t, offered, 20)
}

// What is let stand of one clash covers no second one.
func TestAnAcceptedClashCoversNoOther(t *testing.T) {
	key := func(more ...scene.Part) string {
		a := wagon.Part("a", fitout.PlainGear, scene.Still, wagon.Box(3000, 0, 640, 300, 300, 300), 2)
		b := wagon.Part("b", fitout.PlainGear, scene.Still, wagon.Box(3200, 0, 640, 300, 300, 300), 2)
		s := &scene.Scene{
			Vehicle: &fitout.Vehicle{},
			Brief:   &fitout.Brief{},
			Parts:   append([]scene.Part{a, b}, more...),
			Say:     wagon.Sound().Say,
		}
		s.Prepare()
		f := PartsClash(s)[0]
		return f.Names()
	}
	assert.NotEqual(
		t,
		key(),
		key(wagon.Part("c", fitout.PlainGear, scene.Still, wagon.Box(2800, 0, 640, 300, 300, 300), 2)),
	)
	assert.Equal(t, key(), key(wagon.Part("c", fitout.PlainGear, scene.Still, wagon.Box(2400, 0, 640, 300, 300, 300), 2)))
}
