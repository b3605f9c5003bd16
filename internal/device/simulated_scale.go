package device

import (
	"bufio"
	"context"
	"encoding/json"
	"fmt"
	"math"
	"net"
	"slices"
	"sync"
	"time"
)

// ScaleKind is a kind of simulated scale.
type ScaleKind string

// The kinds: a platform for parts, four wheel pads, one plate for an axle at a time.
const (
	Platform  ScaleKind = "platform"
	WheelPads ScaleKind = "wheel-pads"
	AxlePlate ScaleKind = "axle"
)

// ScaleKinds are all of them.
var ScaleKinds = []ScaleKind{Platform, WheelPads, AxlePlate}

// Scale is a simulated scale. It swings and settles when it is loaded, drifts, is bumped now and then, and loses its
// connection, all by its seed.
type Scale struct {
	Kind       ScaleKind
	Seed       uint64
	Resolution float64       // kg; 0: 0.05 of a platform, 0.5 of pads, 5 of an axle plate
	Most       float64       // kg that a channel can weigh; 0: 300, 2000, 5000
	Drops      time.Duration // after which it loses its connection; 0: never
	Interval   time.Duration // between readings; 0: a quarter of a second

	mutex   sync.Mutex
	on      map[string]float64   // kg
	changed map[string]time.Time // when it was loaded
	was     map[string]float64   // what was on it before
}

// ScaleKindOf is a kind by its word. It refuses others, saying which there are.
func ScaleKindOf(word string) (ScaleKind, error) {
	if kind := ScaleKind(word); slices.Contains(ScaleKinds, kind) {
		return kind, nil
	}
	return "", fmt.Errorf("kind %q; accepted are platform, wheel-pads and axle", word)
}

func (s *Scale) channels() []string {
	switch s.Kind {
	case Platform:
		return []string{"platform"}
	case AxlePlate:
		return []string{"axle"}
	}
	return []string{"front-left", "front-right", "rear-left", "rear-right"}
}

// figures of a kind where nobody says others.
func (s *Scale) figures() (resolution, most, class float64) {
	switch s.Kind {
	case Platform:
		resolution, most = 0.05, 300
	case AxlePlate:
		resolution, most = 5, 5000
	default:
		resolution, most = 0.5, 2000
	}
	if s.Resolution > 0 {
		resolution = s.Resolution
	}
	if s.Most > 0 {
		most = s.Most
	}
	return resolution, most, resolution
}

// settling is how fast a load swings out: its amplitude falls by e in that time.
const settling = 450 * time.Millisecond

// At is what a channel reads at a moment.
func (s *Scale) At(channel string, now time.Time) ScaleReading {
	s.mutex.Lock()
	on, was, since := s.on[channel], s.was[channel], now.Sub(s.changed[channel])
	s.mutex.Unlock()
	resolution, most, class := s.figures()
	swing := 0.0
	if since < 20*settling {
		fade := math.Exp(-since.Seconds() / settling.Seconds())
		swing = (was - on) * fade * math.Cos(2*math.Pi*1.6*since.Seconds())
	}
	tick := now.UnixMilli() / 250
	drift := 0.4 * resolution * math.Sin(float64(now.Unix())/97+float64(s.Seed%7))
	bump := 0.0
	if s.chance(channel, uint64(tick)) < 0.004 { // somebody leans on it
		bump = 12 * resolution * (s.chance(channel, uint64(tick)+7) - 0.3)
	}
	if on > 0 {
		drift += 0.5 * resolution * (s.chance(channel, uint64(tick)+3) - 0.5)
	}
	kg := on + swing + bump
	if on > 0 {
		kg += drift
	}
	steady := math.Abs(swing) < 0.7*resolution && bump == 0
	r := ScaleReading{
		At:         now,
		Channel:    channel,
		Kg:         math.Round(kg/resolution) * resolution,
		Steady:     steady,
		Unit:       "kg",
		Resolution: resolution,
		Class:      class,
		Battery:    0.82,
		Simulated:  true,
	}
	r.Kg = math.Round(r.Kg*1000) / 1000
	r.Zero = r.Kg == 0
	if kg > most {
		r.Kg, r.Overload, r.Steady = most, true, false
	}
	return r
}

// chance is a number of the seed, a channel and a moment, 0 to 1.
func (s *Scale) chance(channel string, tick uint64) float64 {
	x := s.Seed*0x9e3779b97f4a7c15 + tick*0xbf58476d1ce4e5b9
	for _, b := range []byte(channel) {
		x = (x ^ uint64(b)) * 0x94d049bb133111eb
		x ^= x >> 29
	}
	x ^= x >> 31
	x *= 0x9e3779b97f4a7c15
	return float64(x>>11) / (1 << 53)
}

// Put loads its channels; those that are not named stay as they are.
func (s *Scale) Put(kg map[string]float64, now time.Time) {
	s.mutex.Lock()
	defer s.mutex.Unlock()
	if s.on == nil {
		s.on, s.was, s.changed = map[string]float64{}, map[string]float64{}, map[string]time.Time{}
	}
	for _, channel := range s.channels() {
		if put, ok := kg[channel]; ok && put >= 0 && put < 1e6 {
			s.was[channel], s.on[channel], s.changed[channel] = s.on[channel], put, now
		}
	}
}

// Serve sends readings to everyone who connects, until the context ends.
func (s *Scale) Serve(ctx context.Context, listener net.Listener) error {
	stop := context.AfterFunc(ctx, func() { _ = listener.Close() })
	defer stop()
	for {
		connection, err := listener.Accept()
		if err != nil {
			if ctx.Err() != nil {
				return nil
			}
			return err
		}
		go s.send(ctx, connection)
		go s.hear(connection)
	}
}

func (s *Scale) send(ctx context.Context, connection net.Conn) {
	defer connection.Close()
	interval := s.Interval
	if interval == 0 {
		interval = 250 * time.Millisecond
	}
	tick := time.NewTicker(interval)
	defer tick.Stop()
	encoder := json.NewEncoder(connection)
	for begin := time.Now(); s.Drops == 0 || time.Since(begin) < s.Drops; {
		for _, channel := range s.channels() {
			_ = connection.SetWriteDeadline(time.Now().Add(5 * time.Second))
			if encoder.Encode(s.At(channel, time.Now())) != nil {
				return
			}
		}
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}

// hear takes orders: to be loaded, or set to zero, which a simulated scale always is.
func (s *Scale) hear(connection net.Conn) {
	lines := bufio.NewScanner(connection)
	lines.Buffer(make([]byte, LongestLine), LongestLine)
	for lines.Scan() {
		var order ScaleOrder
		if json.Unmarshal(lines.Bytes(), &order) == nil && order.Do == "put" {
			s.Put(order.Kg, time.Now())
		}
	}
}
