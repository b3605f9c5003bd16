package device

import (
	"context"
	"fmt"
	"net"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/demo"
)

func TestReadingsOutOfRangeAreRefusedWithASentence(t *testing.T) {
	good := `{"at":"2026-05-01T06:30:00+10:00","amps":-12.5,"volts":12.9,"charge":0.7,"temperature":18}`
	r, err := Parse([]byte(good))
	require.NoError(t, err)
	assert.Equal(t, -12.5, r.Amps)
	assert.NotNil(t, r.Tanks)
	for bad, says := range map[string]string{
		`garbage`: "accepted is one JSON object",
		`[1,2]`:   "accepted is one JSON object",
		`{"at":"2026-05-01T06:30:00Z","amps":1e308}`: "accepted is -5000 to 5000",
		`{"at":"2026-05-01T06:30:00Z","charge":1.5}`: "charge is 1.5; accepted is 0 to 1",
		`{"at":"2026-05-01T06:30:00Z","volts":-1}`:   "volts is -1",
		`{"amps":1}`: "has no time",
		`{"at":"2026-05-01T06:30:00Z","colour":"red"}`:                                "unknown field",
		`{"at":"2026-05-01T06:30:00Z","tanks":[{"name":"x","litres":9e9}]}`:           "a tank holds",
		`{"at":"2026-05-01T06:30:00Z","pressures":[{"name":"x","bar":-3}]}`:           "a pressure is",
		`{"at":"0001-01-01T00:00:00Z","amps":1,"volts":12,"charge":0.5}`:              "has no time",
		`{"at":"2026-05-01T06:30:00Z","tanks":[` + strings.Repeat(`{},`, 30) + `{}]}`: "up to 20",
	} {
		_, err := Parse([]byte(bad))
		assert.ErrorContains(t, err, says, bad)
	}
}

func TestOnlyDevicesOfThisMachineAreAsked(t *testing.T) {
	for _, address := range []string{"127.0.0.1:8350", "localhost:9000", "[::1]:8350"} {
		assert.NoError(t, CheckAddress(address), address)
	}
	for _, address := range []string{"", "192.0.2.1:8350", "127.0.0.1:80", "127.0.0.1", "example.invalid:8350",
		"127.0.0.1:99999"} {
		assert.ErrorContains(t, CheckAddress(address), "such as 127.0.0.1:8350", address)
	}
}

// sending is a device that sends what it is told to, once, and then hangs up.
func sending(t *testing.T, send func(net.Conn)) string {
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	t.Cleanup(func() { listener.Close() })
	go func() {
		for {
			connection, err := listener.Accept()
			if err != nil {
				return
			}
			send(connection)
			connection.Close()
		}
	}()
	return listener.Addr().String()
}

// heard follows a device until it says something that holds a text, and returns how many
// readings came.
func heard(t *testing.T, address, says string) int {
	ctx, stop := context.WithTimeout(context.Background(), 20*time.Second)
	defer stop()
	var mutex sync.Mutex
	count, got := 0, false
	Follow(ctx, address, Line{
		Hear: func(line []byte) error {
			_, err := Parse(line)
			if err == nil {
				mutex.Lock()
				count++
				mutex.Unlock()
			}
			return err
		},
		State: func(_ bool, sentence string) {
			if strings.Contains(sentence, says) {
				mutex.Lock()
				got = true
				mutex.Unlock()
				stop()
			}
		},
	})
	mutex.Lock()
	defer mutex.Unlock()
	assert.True(t, got, "it never said %q", says)
	return count
}

func TestAMonitorThatSendsGarbageIsLeft(t *testing.T) {
	address := sending(t, func(c net.Conn) {
		for range 200 {
			if _, err := c.Write([]byte("\x00\xffgarbage\n")); err != nil {
				return
			}
		}
	})
	assert.Zero(t, heard(t, address, "sends no readings"))
}

func TestAMonitorThatStopsIsTriedAgain(t *testing.T) {
	address := sending(t, func(c net.Conn) {
		fmt.Fprintln(c, `{"at":"2026-05-01T06:30:00Z","amps":1,"volts":13,"charge":0.5}`)
	})
	assert.Equal(t, 1, heard(t, address, "it has hung up"))
}

func TestAMillionLinesAndOneWithoutAnEnd(t *testing.T) {
	address := sending(t, func(c net.Conn) {
		line := []byte(`{"at":"2026-05-01T06:30:00Z","amps":1,"volts":13,"charge":0.5}` + "\n")
		many := []byte(strings.Repeat(string(line), 1000))
		for range 1000 {
			if _, err := c.Write(many); err != nil {
				return
			}
		}
		_, _ = c.Write([]byte(strings.Repeat("x", 3*LongestLine) + "\n"))
	})
	count := heard(t, address, "longer than")
	assert.Positive(t, count)
	assert.LessOrEqual(t, count, 21*20, "readings beyond twenty a second are passed over")
}

// The simulated monitor speaks the protocol, begins as planned, and parts from the plan by
// what nobody planned: the screen's sentence finds it.
func TestTheSimulatedMonitorPartsFromThePlan(t *testing.T) {
	jobs, err := demo.Jobs()
	require.NoError(t, err)
	look := power.LookAt(plan.Of(&jobs[0]))
	m := &Monitor{System: look.Setup.Systems[1], Run: look.Run.Systems[1], Step: look.Run.Step, Unseen: 2,
		Begin: time.Date(2026, 5, 1, 0, 0, 0, 0, time.UTC)}
	var measured []power.Measured
	for hours := 0.0; hours < 30; hours++ {
		r := m.At(hours)
		measured = append(measured, power.Measured{Hours: hours, Charge: r.Charge, Amps: r.Amps})
	}
	b := look.Beside("house", measured)
	require.Len(t, b.Points, 30)
	assert.InDelta(t, b.Points[0].Planned, b.Points[0].Charge, 0.01)
	assert.Contains(t, b.Sentence, "below it now")
	assert.Contains(t, b.Sentence, "About 2")
	m.Unseen = 0
	measured = measured[:0]
	for hours := 0.0; hours < 30; hours++ {
		measured = append(measured, power.Measured{Hours: hours, Charge: m.At(hours).Charge})
	}
	assert.Contains(t, look.Beside("house", measured).Sentence, "agree")
}
