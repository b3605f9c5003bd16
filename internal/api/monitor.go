package api

import (
	"context"
	"math"
	"net/http"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/device"
	"zaino/internal/store"
)

// mostMonitors is how many monitors are listened to at once.
const mostMonitors = 20

// keptEvery is the least time between two readings that are kept, by the monitor's clock.
const keptEvery = 5 * time.Minute

// monitors are the battery monitors that are listened to, one of a job.
type monitors struct {
	store *store.Store
	ctx   context.Context

	mutex sync.Mutex
	of    map[string]*listening
}

// listening is one monitor on its way.
type listening struct {
	address, system string
	stop            context.CancelFunc
	sends           bool
	sentence        string
	latest          *device.Reading
	kept            time.Time
}

func newMonitors(ctx context.Context, kept *store.Store) *monitors {
	if ctx == nil {
		ctx = context.Background()
	}
	return &monitors{store: kept, ctx: ctx, of: map[string]*listening{}}
}

// connect begins to listen to a monitor, in the place of the one before.
func (m *monitors) connect(job, system, address string) error {
	if err := device.CheckAddress(address); err != nil {
		return huma.Error422UnprocessableEntity(err.Error())
	}
	m.disconnect(job)
	m.mutex.Lock()
	defer m.mutex.Unlock()
	if len(m.of) >= mostMonitors {
		return huma.Error422UnprocessableEntity(
			"Twenty monitors are listened to already; disconnect one of another job " +
				"first.",
		)
	}
	ctx, stop := context.WithCancel(m.ctx)
	l := &listening{address: address, system: system, stop: stop, sentence: "Connecting …"}
	m.of[job] = l
	go device.Follow(ctx, address, device.Line{
		Hear: func(line []byte) error {
			r, err := device.Parse(line)
			if err == nil {
				m.took(job, l, r)
			}
			return err
		},
		State: func(sends bool, sentence string) {
			m.mutex.Lock()
			defer m.mutex.Unlock()
			l.sends, l.sentence = sends, sentence
		},
	})
	return nil
}

// took keeps a reading, unless the last one is but a moment older.
func (m *monitors) took(job string, l *listening, r device.Reading) {
	m.mutex.Lock()
	l.latest = &r
	keep := l.kept.IsZero() || r.At.Sub(l.kept).Abs() >= keptEvery
	if keep {
		l.kept = r.At
	}
	m.mutex.Unlock()
	if !keep {
		return
	}
	if err := m.store.KeepReading(job, l.system, &r); err != nil {
		m.mutex.Lock()
		l.sentence = "It is read and not kept: " + err.Error()
		m.mutex.Unlock()
	}
}

func (m *monitors) disconnect(job string) {
	m.mutex.Lock()
	defer m.mutex.Unlock()
	if l := m.of[job]; l != nil {
		l.stop()
		delete(m.of, job)
	}
}

// state is what there is to know of a job's monitor.
func (m *monitors) state(job string) MonitorState {
	m.mutex.Lock()
	defer m.mutex.Unlock()
	s := MonitorState{}
	if l := m.of[job]; l != nil {
		s.Connected, s.Sends, s.Address, s.System, s.Sentence = true, l.sends, l.address, l.system, l.sentence
		if l.latest != nil {
			latest := *l.latest
			s.Latest = &latest
		}
	}
	return s
}

// MonitorState is what there is to know of a job's monitor.
type MonitorState struct {
	Connected bool            `json:"connected"`
	Sends     bool            `json:"sends"`
	Address   string          `json:"address"`
	System    string          `json:"system"`
	Sentence  string          `json:"sentence" doc:"what is wrong; empty for nothing"`
	Suggested string          `json:"suggested" doc:"address of a simulated monitor that runs here; empty for none"`
	Latest    *device.Reading `json:"latest,omitempty"`
	Beside    power.Beside    `json:"beside" doc:"what was read beside the plan"`
}

type monitorInput struct {
	JobID
	System string `query:"system" maxLength:"64" doc:"id of the system whose readings are shown; empty: the one that is connected"`
}

type monitorOutput struct{ Body MonitorState }

type connectInput struct {
	JobID
	Body struct {
		Address string `json:"address" maxLength:"120" doc:"of the monitor, on this machine"`
		System  string `json:"system" maxLength:"64" doc:"id of the system that it reads"`
	}
}

func (h handlers) registerMonitor(api huma.API) {
	huma.Register(api, operation("monitor", http.MethodGet, "/api/jobs/{id}/monitor"),
		func(_ context.Context, in *monitorInput) (*monitorOutput, error) {
			state := h.monitors.state(in.ID)
			state.Suggested = h.suggested
			if state.System == "" || in.System != "" {
				state.System = in.System
			}
			document, err := h.store.Load(in.ID)
			if err != nil {
				return nil, problem(err)
			}
			state.Beside, err = h.beside(&document.Job, in.ID, state.System)
			return &monitorOutput{state}, problem(err)
		})
	huma.Register(api, operation("connect-monitor", http.MethodPost, "/api/jobs/{id}/monitor"),
		func(_ context.Context, in *connectInput) (*monitorOutput, error) {
			if _, err := h.store.Load(in.ID); err != nil {
				return nil, problem(err)
			}
			if err := h.monitors.connect(in.ID, in.Body.System, in.Body.Address); err != nil {
				return nil, err
			}
			state := h.monitors.state(in.ID)
			state.Beside = power.Beside{Points: []power.BesidePoint{}}
			return &monitorOutput{state}, nil
		})
	huma.Register(api, operation("disconnect-monitor", http.MethodDelete, "/api/jobs/{id}/monitor"),
		func(_ context.Context, in *JobID) (*struct{}, error) {
			h.monitors.disconnect(in.ID)
			return nil, nil
		})
}

// beside puts the readings of the newest days beside the plan: the first of them is on the
// first day.
func (h handlers) beside(j *fitout.Job, id, system string) (power.Beside, error) {
	look := power.LookAt(plan.Of(j))
	readings, err := h.store.Readings(id, system, time.Now().AddDate(-1, 0, 0), 2000)
	if err != nil || len(readings) == 0 {
		return power.Beside{Points: []power.BesidePoint{}}, err
	}
	last := readings[len(readings)-1].At
	days := time.Duration(math.Ceil(look.Run.Hours)) * time.Hour
	var measured []power.Measured
	var midnight time.Time
	for _, r := range readings {
		if last.Sub(r.At) > days {
			continue
		}
		if midnight.IsZero() {
			midnight = time.Date(r.At.Year(), r.At.Month(), r.At.Day(), 0, 0, 0, 0, r.At.Location())
		}
		measured = append(
			measured,
			power.Measured{Hours: r.At.Sub(midnight).Hours() - look.Run.Begin, Charge: r.Charge,
				Amps: r.Amps},
		)
	}
	return look.Beside(system, measured), nil
}
