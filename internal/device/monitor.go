package device

import (
	"context"
	"encoding/json"
	"math"
	"net"
	"time"

	"zaino/internal/core/power"
)

// Monitor is a simulated battery monitor: it follows the days of a plan, faster than the
// clock, and parts from it by a draw that nobody planned.
type Monitor struct {
	System   power.System
	Run      power.SystemRun
	Step     float64 // of the run, h
	Begin    time.Time
	Speed    float64       // times faster than the clock
	Unseen   float64       // draw that nobody planned, A
	Interval time.Duration // between readings; 0: a second
}

// At is what it reads so many hours after its beginning.
func (m *Monitor) At(hours float64) Reading {
	n := min(len(m.Run.Charge)-1, max(0, int(hours/m.Step)))
	before := m.System.Def.Full
	if n > 0 {
		before = m.Run.Charge[n-1]
	}
	share := min(1, hours/m.Step-float64(n))
	planned := before + (m.Run.Charge[n]-before)*share
	charge := min(1, max(0, planned-m.Unseen*hours/m.System.Capacity))
	amps := (m.Run.Charge[n]-before)*m.System.Capacity/m.Step - m.Unseen
	return Reading{
		At: m.Begin.Add(time.Duration(hours * float64(time.Hour))), Amps: round(amps), Volts: round(12.1 + 1.1*charge +
			0.01*amps),
		Charge: math.Round(charge*1000) / 1000, Temperature: round(power.TemperatureAt(12, 26, math.Mod(hours, 24))),
		Tanks:     []TankReading{{Name: "Water", Litres: round(max(0, 70-0.45*hours))}},
		Pressures: []PressureReading{{Name: "Rear left", Bar: 2.6}, {Name: "Rear right", Bar: 2.58}},
	}
}

func round(x float64) float64 { return math.Round(x*100) / 100 }

// Serve sends readings to everyone who connects, until the context ends or the days do.
func (m *Monitor) Serve(ctx context.Context, listener net.Listener) error {
	stop := context.AfterFunc(ctx, func() { _ = listener.Close() })
	defer stop()
	start := time.Now()
	for {
		connection, err := listener.Accept()
		if err != nil {
			if ctx.Err() != nil {
				return nil
			}
			return err
		}
		go m.send(ctx, connection, start)
	}
}

func (m *Monitor) send(ctx context.Context, connection net.Conn, start time.Time) {
	defer connection.Close()
	interval := m.Interval
	if interval == 0 {
		interval = time.Second
	}
	tick := time.NewTicker(interval)
	defer tick.Stop()
	encoder := json.NewEncoder(connection)
	last := float64(len(m.Run.Charge)) * m.Step
	for {
		hours := min(last, time.Since(start).Hours()*m.Speed)
		_ = connection.SetWriteDeadline(time.Now().Add(5 * time.Second))
		if encoder.Encode(m.At(hours)) != nil {
			return
		}
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}
