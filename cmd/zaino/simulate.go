package main

import (
	"context"
	"fmt"
	"net"
	"os"
	"os/signal"
	"syscall"
	"time"

	"github.com/spf13/cobra"

	"zaino/internal/api"
	"zaino/internal/core/fitout"
	"zaino/internal/core/plan"
	"zaino/internal/core/power"
	"zaino/internal/demo"
	"zaino/internal/device"
)

// simulateCommand runs simulated devices that speak the line protocol of the real ones.
func simulateCommand() *cobra.Command {
	all := &cobra.Command{Use: "simulate", Short: "Run a simulated device (docs/devices.md)"}
	var address, file, system string
	var speed, unseen float64
	monitor := &cobra.Command{Use: "monitor",
		Short: "A battery monitor that follows the days of a job, and parts from them",
		Args:  cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
			job, err := simulatedJob(file)
			if err != nil {
				return err
			}
			m, err := monitorOf(&job, system, speed, unseen)
			if err != nil {
				return err
			}
			listener, err := net.Listen("tcp", address)
			if err != nil {
				return listenError(address, err)
			}
			ctx, stop := signal.NotifyContext(cmd.Context(), os.Interrupt, syscall.SIGTERM)
			defer stop()
			fmt.Fprintf(
				cmd.OutOrStdout(),
				"The monitor of %s sends at %s, %.0f times as fast as the clock. Stop with Ctrl-C.\n",
				m.System.Def.Name,
				listener.Addr(),
				speed,
			)
			return m.Serve(ctx, listener)
		}}
	monitor.Flags().StringVar(&address, "listen", "127.0.0.1:8350", "address that it sends at")
	monitor.Flags().StringVar(&file, "job", "", "job document (.zaino.json); without one the first demo job")
	monitor.Flags().StringVar(&system, "system", "", "id of the battery; empty: the first house")
	monitor.Flags().Float64Var(&speed, "speed", 600, "times as fast as the clock")
	monitor.Flags().Float64Var(&unseen, "unseen", 1.2, "draw that nobody planned, A")
	all.AddCommand(monitor, scaleCommand())
	return all
}

// scaleCommand runs a simulated scale.
func scaleCommand() *cobra.Command {
	var address, kind, file string
	var seed uint64
	var resolution float64
	var drops time.Duration
	scale := &cobra.Command{
		Use:   "scale",
		Short: "A scale that swings, settles, drifts, is bumped and loses its connection",
		Args:  cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			of, err := device.ScaleKindOf(kind)
			if err != nil {
				return err
			}
			if address == "" {
				address = scaleAddresses[of]
			}
			listener, err := net.Listen("tcp", address)
			if err != nil {
				return listenError(address, err)
			}
			s := &device.Scale{Kind: of, Seed: seed, Resolution: resolution, Drops: drops}
			if file != "" {
				job, err := simulatedJob(file)
				if err != nil {
					return err
				}
				c := device.Truth{Seed: seed}.Wheels(plan.Of(&job))
				s.Put(
					map[string]float64{
						"front-left":  c.FrontLeft,
						"front-right": c.FrontRight,
						"rear-left":   c.RearLeft,
						"rear-right":  c.RearRight,
						"axle":        c.RearLeft + c.RearRight,
					},
					time.Now(),
				)
			}
			ctx, stop := signal.NotifyContext(cmd.Context(), os.Interrupt, syscall.SIGTERM)
			defer stop()
			fmt.Fprintf(cmd.OutOrStdout(), "The scale (%s) sends at %s. Stop with Ctrl-C.\n", of, listener.Addr())
			return s.Serve(ctx, listener)
		},
	}
	scale.Flags().StringVar(&kind, "kind", "platform", "platform, wheel-pads or axle")
	scale.Flags().
		StringVar(&address, "listen", "", "address that it sends at; empty: 127.0.0.1:8351, 8352 or 8353 by its kind")
	scale.Flags().
		StringVar(&file, "job", "", "job document (.zaino.json) whose vehicle stands on it; without one it is empty")
	scale.Flags().Uint64Var(&seed, "seed", 1, "by which it drifts and is bumped")
	scale.Flags().Float64Var(&resolution, "resolution", 0, "its step, kg; 0: as is usual of its kind")
	scale.Flags().DurationVar(&drops, "drops", 3*time.Minute, "after which it loses its connection; 0: never")
	return scale
}

// scaleAddresses are where simulated scales send.
var scaleAddresses = map[device.ScaleKind]string{
	device.Platform: "127.0.0.1:8351", device.WheelPads: "127.0.0.1:8352", device.AxlePlate: "127.0.0.1:8353",
}

// demoScales starts a simulated scale of each kind beside the demo and returns where they send.
func demoScales(ctx context.Context) ([]api.SuggestedScale, error) {
	var all []api.SuggestedScale
	for i, kind := range device.ScaleKinds {
		listener, err := net.Listen("tcp", "127.0.0.1:0")
		if err != nil {
			return nil, err
		}
		s := &device.Scale{Kind: kind, Seed: uint64(i) + 1, Drops: 3 * time.Minute}
		go func() { _ = s.Serve(ctx, listener) }()
		all = append(all, api.SuggestedScale{Kind: string(kind), Address: listener.Addr().String()})
	}
	return all, nil
}

func simulatedJob(file string) (fitout.Job, error) {
	if file == "" {
		jobs, err := demo.Jobs()
		if err != nil {
			return fitout.Job{}, err
		}
		return jobs[0], nil
	}
	data, err := os.ReadFile(file)
	if err != nil {
		return fitout.Job{}, err
	}
	return fitout.Decode(data)
}

// monitorOf is a simulated monitor of a job's battery, which begins today.
func monitorOf(j *fitout.Job, system string, speed, unseen float64) (*device.Monitor, error) {
	look := power.LookAt(plan.Of(j))
	for i := range look.Setup.Systems {
		s := &look.Setup.Systems[i]
		if s.Def.ID == system || system == "" && s.Def.Kind == fitout.HouseSystem {
			now := time.Now()
			midnight := time.Date(now.Year(), now.Month(), now.Day(), 0, 0, 0, 0, now.Location())
			return &device.Monitor{
				System: *s,
				Run:    look.Run.Systems[i],
				Step:   look.Run.Step,
				Speed:  speed,
				Unseen: unseen,
				Begin:  midnight.Add(time.Duration(look.Run.Begin * float64(time.Hour))),
			}, nil
		}
	}
	return nil, fmt.Errorf("the job has no battery %q; accepted is the id of one of its batteries", system)
}

// demoMonitor starts a simulated monitor beside the demo and returns where it sends.
func demoMonitor(ctx context.Context) (string, error) {
	job, err := simulatedJob("")
	if err != nil {
		return "", err
	}
	m, err := monitorOf(&job, "", 600, 1.2)
	if err != nil {
		return "", err
	}
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return "", err
	}
	go func() { _ = m.Serve(ctx, listener) }()
	return listener.Addr().String(), nil
}
