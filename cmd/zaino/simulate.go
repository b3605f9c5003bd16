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
			fmt.Fprintf(cmd.OutOrStdout(), "The monitor of %s sends at %s, %.0f times as fast as the clock. Stop with Ctrl-C.\n",
				m.System.Def.Name, listener.Addr(), speed)
			return m.Serve(ctx, listener)
		}}
	monitor.Flags().StringVar(&address, "listen", "127.0.0.1:8350", "address that it sends at")
	monitor.Flags().StringVar(&file, "job", "", "job document (.zaino.json); without one the first demo job")
	monitor.Flags().StringVar(&system, "system", "", "id of the battery; empty: the first house")
	monitor.Flags().Float64Var(&speed, "speed", 600, "times as fast as the clock")
	monitor.Flags().Float64Var(&unseen, "unseen", 1.2, "draw that nobody planned, A")
	all.AddCommand(monitor)
	return all
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
			return &device.Monitor{System: *s, Run: look.Run.Systems[i], Step: look.Run.Step, Speed: speed, Unseen: unseen,
				Begin: midnight.Add(time.Duration(look.Run.Begin * float64(time.Hour)))}, nil
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
