package api

import (
	"context"
	"encoding/json"
	"net/http"
	"slices"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"zaino/internal/core/plan"
	"zaino/internal/device"
)

// mostScales is how many scales are listened to at once.
const mostScales = 12

// unlisted is what the simulated vehicle has aboard that nobody listed, kg.
const unlisted = 41

// scales are those that are listened to, by their address. They belong to the workshop, not to a job.
type scales struct {
	ctx       context.Context
	suggested []SuggestedScale

	mutex sync.Mutex
	of    map[string]*scaleLine
}

// SuggestedScale is a simulated scale that runs here.
type SuggestedScale struct {
	Kind    string `json:"kind" enum:"platform,wheel-pads,axle"`
	Address string `json:"address"`
}

// scaleLine is one scale on its way.
type scaleLine struct {
	stop     context.CancelFunc
	tell     chan []byte
	sends    bool
	sentence string
	plates   device.Plates
}

func newScales(ctx context.Context, suggested []SuggestedScale) *scales {
	if ctx == nil {
		ctx = context.Background()
	}
	return &scales{ctx: ctx, suggested: suggested, of: map[string]*scaleLine{}}
}

// connect begins to listen to a scale; one that is listened to already goes on.
func (s *scales) connect(address string) error {
	if err := device.CheckAddress(address); err != nil {
		return huma.Error422UnprocessableEntity(err.Error())
	}
	s.mutex.Lock()
	defer s.mutex.Unlock()
	if s.of[address] != nil {
		return nil
	}
	if len(s.of) >= mostScales {
		return huma.Error422UnprocessableEntity(
			"Twelve scales are listened to already; disconnect one of them first.",
		)
	}
	ctx, stop := context.WithCancel(s.ctx)
	l := &scaleLine{stop: stop, tell: make(chan []byte, 4), sentence: "Connecting …"}
	s.of[address] = l
	go func() {
		device.Follow(ctx, address, device.Line{
			Hear: func(line []byte) error {
				r, err := device.ParseScale(line)
				if err == nil {
					s.mutex.Lock()
					l.plates.Hear(r, line, time.Now())
					s.mutex.Unlock()
				}
				return err
			},
			State: func(sends bool, sentence string) {
				s.mutex.Lock()
				l.sends, l.sentence = sends, sentence
				s.mutex.Unlock()
			},
			Tell: l.tell,
		})
	}()
	return nil
}

func (s *scales) disconnect(address string) {
	s.mutex.Lock()
	defer s.mutex.Unlock()
	if l := s.of[address]; l != nil {
		l.stop()
		delete(s.of, address)
	}
}

// order sends an order to a scale. It refuses one that is not listened to.
func (s *scales) order(address string, o device.ScaleOrder, simulatedOnly bool) error {
	line, err := json.Marshal(o)
	if err != nil {
		return err
	}
	s.mutex.Lock()
	defer s.mutex.Unlock()
	l := s.of[address]
	switch {
	case l == nil:
		return huma.Error422UnprocessableEntity("That scale is not connected; connect it first.")
	case simulatedOnly && !l.plates.Simulated():
		return huma.Error422UnprocessableEntity("That is no simulated scale: put the thing on it by hand.")
	}
	if o.Do == "zero" {
		l.plates.Believe()
	}
	select {
	case l.tell <- line:
		return nil
	default:
		return huma.Error422UnprocessableEntity("The scale takes no orders at the moment; wait until it sends again.")
	}
}

// ScaleState is what there is to know of one scale.
type ScaleState struct {
	Address   string              `json:"address"`
	Sends     bool                `json:"sends"`
	Sentence  string              `json:"sentence" doc:"what is wrong; empty for nothing"`
	Simulated bool                `json:"simulated" doc:"it can be loaded on the screen"`
	Plates    []device.PlateState `json:"plates"`
}

// ScalesState is what there is to know of all scales.
type ScalesState struct {
	Suggested []SuggestedScale `json:"suggested" doc:"simulated scales that run here"`
	Scales    []ScaleState     `json:"scales"`
}

func (s *scales) state() ScalesState {
	s.mutex.Lock()
	defer s.mutex.Unlock()
	all := ScalesState{Suggested: append([]SuggestedScale{}, s.suggested...), Scales: []ScaleState{}}
	now := time.Now()
	for address, l := range s.of {
		all.Scales = append(
			all.Scales,
			ScaleState{address, l.sends, l.sentence, l.plates.Simulated(), l.plates.States(now)},
		)
	}
	slices.SortFunc(all.Scales, func(a, b ScaleState) int {
		if a.Address < b.Address {
			return -1
		}
		return 1
	})
	return all
}

type scalesOutput struct{ Body ScalesState }

type scaleInput struct {
	Body struct {
		Address string `json:"address" maxLength:"120" doc:"of the scale, on this machine"`
	}
}

type scaleQuery struct {
	Address string `query:"address" maxLength:"120"`
}

type putInput struct {
	JobID
	Body struct {
		Address string `json:"address" maxLength:"120"`
		What    string `json:"what" enum:"wheels,front,rear,item,off" doc:"the vehicle as it stands, one axle of it, one item, or nothing"`
		Item    string `json:"item" maxLength:"64" doc:"id, for item"`
	}
}

func (h handlers) registerScales(api huma.API) {
	huma.Register(api, operation("scales", http.MethodGet, "/api/scales"),
		func(context.Context, *struct{}) (*scalesOutput, error) { return &scalesOutput{h.scales.state()}, nil })
	huma.Register(api, operation("connect-scale", http.MethodPost, "/api/scales"),
		func(_ context.Context, in *scaleInput) (*scalesOutput, error) {
			if err := h.scales.connect(in.Body.Address); err != nil {
				return nil, err
			}
			return &scalesOutput{h.scales.state()}, nil
		})
	huma.Register(api, operation("disconnect-scale", http.MethodDelete, "/api/scales"),
		func(_ context.Context, in *scaleQuery) (*struct{}, error) {
			h.scales.disconnect(in.Address)
			return nil, nil
		})
	huma.Register(api, operation("zero-scale", http.MethodPost, "/api/scales/zero"),
		func(_ context.Context, in *scaleInput) (*struct{}, error) {
			return nil, h.scales.order(in.Body.Address, device.ScaleOrder{Do: "zero"}, false)
		})
	huma.Register(api, operation("load-scale", http.MethodPost, "/api/jobs/{id}/scales/load"),
		func(_ context.Context, in *putInput) (*struct{}, error) {
			document, err := h.store.Load(in.ID)
			if err != nil {
				return nil, problem(err)
			}
			p := plan.Of(&document.Job)
			kg, err := loadOf(p, in.Body.What, in.Body.Item)
			if err != nil {
				return nil, err
			}
			return nil, h.scales.order(in.Body.Address, device.ScaleOrder{Do: "put", Kg: kg}, true)
		})
}

// loadOf is what a simulated scale is loaded with.
func loadOf(p *plan.Plan, what, item string) (map[string]float64, error) {
	truth := device.Truth{Seed: device.SeedOf(p.Given), Unlisted: unlisted}
	c := truth.Wheels(p)
	kg := map[string]float64{
		"platform":    0,
		"axle":        0,
		"front-left":  0,
		"front-right": 0,
		"rear-left":   0,
		"rear-right":  0,
	}
	switch what {
	case "wheels":
		kg["front-left"], kg["front-right"], kg["rear-left"], kg["rear-right"] = c.FrontLeft, c.FrontRight, c.RearLeft, c.RearRight
	case "front":
		kg["axle"] = c.FrontLeft + c.FrontRight
	case "rear":
		kg["axle"] = c.RearLeft + c.RearRight
	case "item":
		real, ok := truth.Part(p, item)
		if !ok {
			return nil, huma.Error422UnprocessableEntity("There is no such thing in the plan any more.")
		}
		kg["platform"] = real
	}
	return kg, nil
}
