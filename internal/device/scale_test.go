package device

import (
	"context"
	"encoding/json"
	"fmt"
	"net"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/plan"
	"zaino/internal/demo"
)

func TestReadingsOfScalesOutOfRangeAreRefused(t *testing.T) {
	good := `{"at":"2026-05-01T06:30:00Z","channel":"platform","kg":12.5,"steady":true,"zero":false,"overload":false,"unit":"kg","resolution":0.05,"battery":0.8}`
	r, err := ParseScale([]byte(good))
	require.NoError(t, err)
	assert.Equal(t, 12.5, r.Kg)
	for change, says := range map[string]string{
		`"kg":12.5→"kg":1e9`:                       "kg is 1e+09; accepted is -1000 to 100000",
		`"channel":"platform"→"channel":"roof"`:    "accepted are platform, axle, front-left",
		`"unit":"kg"→"unit":"stone"`:               "accepted are kg and lb",
		`"resolution":0.05→"resolution":-1`:        "resolution is -1",
		`"battery":0.8→"battery":7`:                "battery is 7; accepted is 0 to 1",
		`"steady":true→"steady":"yes"`:             "is no reading of a scale",
		`"steady":true→"steady":true,"colour":"r"`: "unknown field",
		`"at":"2026-05-01T06:30:00Z",→`:            "has no time",
	} {
		from, to, _ := strings.Cut(change, "→")
		_, err := ParseScale([]byte(strings.Replace(good, from, to, 1)))
		assert.ErrorContains(t, err, says, change)
	}
}

func reading(channel string, kg float64, steady bool, resolution float64) ScaleReading {
	return ScaleReading{At: time.Now(), Channel: channel, Kg: kg, Steady: steady, Resolution: resolution}
}

// A scale that says that it is steady and moves, that comes back with other steps, is overloaded, reads below zero, or
// falls silent is not believed, and why is said.
func TestAScaleThatLiesIsNotBelieved(t *testing.T) {
	now := time.Now()
	var p Plates
	hear := func(r ScaleReading) PlateState {
		now = now.Add(300 * time.Millisecond)
		p.Hear(r, []byte("{}"), now)
		return p.States(now)[0]
	}
	assert.False(t, hear(reading("platform", 20, false, 0.1)).Steady)
	assert.True(t, hear(reading("platform", 20, true, 0.1)).Steady)
	assert.True(t, hear(reading("platform", 20.1, true, 0.1)).Steady, "a step of its own")
	liar := hear(reading("platform", 26, true, 0.1))
	assert.False(t, liar.Steady)
	assert.Contains(t, liar.Doubt, "says that it is steady, and moves")
	for range 6 {
		liar = hear(reading("platform", 26, true, 0.1))
	}
	assert.True(t, liar.Steady, "once it stands still it is believed again")
	other := hear(reading("platform", 26, true, 0.5))
	assert.False(t, other.Steady)
	assert.Contains(t, other.Doubt, "steps of 0.5 kg instead of 0.1")
	p.Believe()
	assert.True(t, hear(reading("platform", 26, true, 0.5)).Steady)
	full := reading("platform", 300, false, 0.5)
	full.Overload = true
	assert.Contains(t, hear(full).Doubt, "more is on it than it can weigh")
	for range 6 {
		liar = hear(reading("platform", -4, true, 0.5))
	}
	assert.Contains(t, liar.Doubt, "below its zero")
	silent := p.States(now.Add(5 * time.Second))[0]
	assert.False(t, silent.Fresh || silent.Steady)
}

// A simulated scale settles on what is put on it, to a few of its steps, and says when it moves; the same seed reads
// alike.
func TestTheSimulatedScaleSettles(t *testing.T) {
	at := time.Date(2026, 5, 1, 8, 0, 0, 0, time.UTC)
	one, two := &Scale{Kind: WheelPads, Seed: 4}, &Scale{Kind: WheelPads, Seed: 4}
	load := map[string]float64{"front-left": 612, "rear-right": 801}
	one.Put(load, at)
	two.Put(load, at)
	assert.False(t, one.At("front-left", at.Add(200*time.Millisecond)).Steady, "it swings first")
	steady := 0
	for n := range 40 {
		now := at.Add(6*time.Second + time.Duration(n)*250*time.Millisecond)
		r := one.At("rear-right", now)
		assert.Equal(t, two.At("rear-right", now), r, "by its seed")
		if r.Steady {
			steady++
			assert.InDelta(t, 801, r.Kg, 1.5)
		}
	}
	assert.Greater(t, steady, 30)
	heavy := &Scale{Kind: Platform}
	heavy.Put(map[string]float64{"platform": 900}, at)
	assert.True(t, heavy.At("platform", at.Add(9*time.Second)).Overload)
	_, err := ScaleKindOf("bathroom")
	assert.ErrorContains(t, err, "accepted are platform, wheel-pads and axle")
}

// What is rolled onto the pads weighs what the plan says, but for how far each mass may be off, and for what nobody
// listed.
func TestTheTruthIsNearThePlan(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	p := plan.Of(&jobs[0])
	plain := Truth{Seed: 9}.Wheels(p)
	more := Truth{Seed: 9, Unlisted: 41}.Wheels(p)
	sum := func(c interface {
		Left() float64
		Right() float64
	}) float64 {
		return c.Left() + c.Right()
	}
	assert.InDelta(t, 41, sum(more)-sum(plain), 1e-6)
	assert.Greater(t, more.RearLeft-plain.RearLeft, 35.0, "behind the rear axle, on the left")
	assert.Less(t, more.FrontLeft, plain.FrontLeft)
	kg, ok := Truth{Seed: 9}.Part(p, p.Items[0].ID)
	assert.True(t, ok)
	assert.InDelta(t, p.Variant.Items[0].Mass, kg, 0.35*p.Variant.Items[0].Mass)
	_, ok = Truth{}.Part(p, "gone")
	assert.False(t, ok)
}

// A scale is loaded over its own line, and what connects to it after it dropped hears it go on.
func TestAScaleComesBackAndTakesOrders(t *testing.T) {
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	ctx, stop := context.WithCancel(context.Background())
	defer stop()
	s := &Scale{Kind: Platform, Interval: 20 * time.Millisecond, Drops: 400 * time.Millisecond}
	go func() { _ = s.Serve(ctx, listener) }()
	var mutex sync.Mutex
	gone, loaded := 0, 0.0
	tell := make(chan []byte, 1)
	order, err := json.Marshal(ScaleOrder{Do: "put", Kg: map[string]float64{"platform": 33}})
	require.NoError(t, err)
	tell <- order
	done := make(chan struct{})
	go func() {
		Follow(ctx, listener.Addr().String(), Line{
			Hear: func(line []byte) error {
				r, err := ParseScale(line)
				mutex.Lock()
				loaded = max(loaded, r.Kg)
				mutex.Unlock()
				return err
			},
			State: func(sends bool, sentence string) {
				mutex.Lock()
				defer mutex.Unlock()
				if !sends && strings.Contains(sentence, "hung up") {
					gone++
				}
				if gone == 2 {
					stop()
				}
			},
			Tell: tell,
		})
		close(done)
	}()
	select {
	case <-done:
	case <-time.After(30 * time.Second):
		t.Fatal("it never came back")
	}
	mutex.Lock()
	defer mutex.Unlock()
	assert.Greater(t, loaded, 20.0)
	assert.Equal(t, 2, gone)
}

// Garbage for a scale is passed over, and a flood of it ends it; nothing that it says is taken.
func TestAScaleThatSendsNonsenseIsLeft(t *testing.T) {
	address := sending(t, func(c net.Conn) {
		for {
			if _, err := fmt.Fprintln(c, `{"channel":"roof","kg":"heavy"}`); err != nil {
				return
			}
			time.Sleep(5 * time.Millisecond)
		}
	})
	ctx, stop := context.WithTimeout(context.Background(), 20*time.Second)
	defer stop()
	var mutex sync.Mutex
	taken, said := 0, ""
	Follow(ctx, address, Line{
		Hear: func(line []byte) error {
			_, err := ParseScale(line)
			if err == nil {
				mutex.Lock()
				taken++
				mutex.Unlock()
			}
			return err
		},
		State: func(_ bool, sentence string) { mutex.Lock(); said = sentence; mutex.Unlock() },
	})
	mutex.Lock()
	defer mutex.Unlock()
	assert.Zero(t, taken)
	assert.Contains(t, said, "sends no readings")
}
