package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"os"
	"os/signal"
	"path/filepath"
	"syscall"
	"time"

	"github.com/spf13/cobra"

	"zaino/internal/api"
	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/demo"
	"zaino/internal/exchange"
	"zaino/internal/store"
	"zaino/web"
)

// serving is how a server is started.
type serving struct {
	address string
	hosts   []string
	db      string
	demo    bool
}

func (s *serving) flags(cmd *cobra.Command, db string) *cobra.Command {
	cmd.Flags().StringVar(&s.address, "listen", "127.0.0.1:8347",
		"address and port to listen on; beyond this machine an access code is asked for")
	cmd.Flags().StringSliceVar(&s.hosts, "host", nil,
		"host name under which browsers may reach the server, beside localhost (repeatable)")
	cmd.Flags().StringVar(&s.db, "db", db, "database file")
	return cmd
}

func serveCommand() *cobra.Command {
	s := &serving{}
	return s.flags(&cobra.Command{Use: "serve", Short: "Serve the planner", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error { return s.run(cmd) }}, "zaino.db")
}

func demoCommand() *cobra.Command {
	s := &serving{demo: true}
	return s.flags(&cobra.Command{Use: "demo", Short: "Serve the planner with the demo jobs in a database of its own",
		Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error { return s.run(cmd) }}, "zaino-demo.db")
}

// openStore opens a database with what the list of jobs shows about findings.
func openStore(path string) (*store.Store, error) {
	return store.Open(path, store.Options{Summarise: func(j *fitout.Job) store.Summary {
		a := assess.Of(j)
		stops, cautions := a.Open()
		return store.Summary{Stops: stops, Cautions: cautions}
	}})
}

func (s *serving) run(cmd *cobra.Command) error {
	for i, name := range s.hosts {
		host, err := api.CheckHost(name)
		if err != nil {
			return err
		}
		s.hosts[i] = host
	}
	listener, err := net.Listen("tcp", s.address)
	if err != nil {
		return listenError(s.address, err)
	}
	defer listener.Close()
	jobs, err := openStore(s.db)
	if err != nil {
		return err
	}
	defer jobs.Close()
	if s.demo {
		if err := addDemoJobs(jobs); err != nil {
			return err
		}
	}
	log := slog.New(slog.NewJSONHandler(os.Stderr, nil))
	options := api.Options{Store: jobs, Frontend: web.Files(), Log: log, Version: version,
		Hosts: append(s.hosts, "localhost", "127.0.0.1", "::1")}
	if options.Frontend == nil {
		log.Warn("the front end has not been built; run make web. Only the API is served")
	}
	if !isLoopback(listener.Addr()) {
		if options.AccessCode, err = jobs.Setting(api.AccessSetting, api.NewAccessCode); err != nil {
			return err
		}
	}
	devices, ending := context.WithCancel(cmd.Context())
	defer ending()
	options.Context = devices
	if s.demo {
		if options.Monitor, err = demoMonitor(devices); err != nil {
			return err
		}
		if options.Scales, err = demoScales(devices); err != nil {
			return err
		}
	}
	// Who reads that it may be stopped may stop it at once.
	ctx, stop := signal.NotifyContext(cmd.Context(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	s.announce(cmd, listener.Addr(), options.AccessCode)
	return serveUntilDone(ctx, stop, listener, &http.Server{
		Handler: api.New(options), ReadHeaderTimeout: 5 * time.Second, ReadTimeout: 30 * time.Second,
		WriteTimeout: api.LongestSearch + 15*time.Second, IdleTimeout: 2 * time.Minute, MaxHeaderBytes: 64 << 10,
		ErrorLog: slog.NewLogLogger(log.Handler(), slog.LevelWarn),
	}, jobs, log)
}

func (s *serving) announce(cmd *cobra.Command, address net.Addr, code string) {
	_, port, _ := net.SplitHostPort(address.String())
	hosts := []string{"localhost"}
	if code != "" && len(s.hosts) > 0 {
		hosts = s.hosts
	}
	for _, host := range hosts {
		fmt.Fprintf(cmd.OutOrStdout(), "Zaino is at http://%s\n", net.JoinHostPort(host, port))
	}
	if code != "" {
		fmt.Fprintf(cmd.OutOrStdout(), "Access code, asked for once in each browser: %s\n", code)
		if len(s.hosts) == 0 {
			fmt.Fprintln(cmd.OutOrStdout(),
				"Other machines are refused until their name for this one is allowed with --host NAME.")
		}
	}
	path, err := filepath.Abs(s.db)
	if err != nil {
		path = s.db
	}
	fmt.Fprintf(cmd.OutOrStdout(), "Jobs are kept in %s. Stop with Ctrl-C.\n", path)
}

func isLoopback(address net.Addr) bool {
	tcp, ok := address.(*net.TCPAddr)
	return ok && tcp.IP.IsLoopback()
}

func listenError(address string, err error) error {
	switch {
	case errors.Is(err, syscall.EADDRINUSE):
		return fmt.Errorf("%s is in use by another program; stop that one, or choose another port with --listen "+
			"127.0.0.1:PORT", address)
	case errors.Is(err, syscall.EACCES):
		return fmt.Errorf("%s may not be used by this user; choose a port from 1024 up with --listen", address)
	}
	return fmt.Errorf("cannot listen on %q: %w; accepted is an address and port such as 127.0.0.1:8347", address, err)
}

// serveUntilDone serves until the program is asked to stop, then lets
// requests finish.
func serveUntilDone(ctx context.Context, stop func(), listener net.Listener, server *http.Server, jobs *store.Store,
	log *slog.Logger) error {
	server.BaseContext = func(net.Listener) context.Context { return ctx } // a search ends with the signal
	go thinDaily(ctx, jobs, log)
	failed := make(chan error, 1)
	go func() { failed <- server.Serve(listener) }()
	select {
	case err := <-failed:
		return err
	case <-ctx.Done():
	}
	stop() // a second signal ends the program at once
	ending, cancel := context.WithTimeout(context.Background(), 10*time.Second)
	defer cancel()
	return server.Shutdown(ending)
}

// thinDaily drops what old revisions nobody needs, at the start and every day.
func thinDaily(ctx context.Context, jobs *store.Store, log *slog.Logger) {
	for {
		if dropped, err := jobs.Thin(); err != nil {
			log.Error("thinning revisions", "error", err)
		} else if dropped > 0 {
			log.Info("thinned revisions", "dropped", dropped)
		}
		select {
		case <-ctx.Done():
			return
		case <-time.After(24 * time.Hour):
		}
	}
}

// addDemoJobs puts the demo jobs into a database that does not have them, a
// deleted one staying deleted.
func addDemoJobs(jobs *store.Store) error {
	all, err := demo.Jobs()
	if err != nil {
		return err
	}
	for i := len(all) - 1; i >= 0; i-- { // the list shows the newest first
		if taken, err := jobs.Has(all[i].ID); err != nil || taken {
			if err != nil {
				return err
			}
			continue
		}
		if _, err := jobs.Create(&all[i]); err != nil {
			return err
		}
		if err := addDemoLog(jobs, all[i].ID); err != nil {
			return err
		}
	}
	return nil
}

// addDemoLog keeps the log of a demo job that was driven.
func addDemoLog(jobs *store.Store, id string) error {
	data, driven := demo.Log(id)
	if !driven {
		return nil
	}
	read, err := exchange.ReadLogCSV(data)
	if err != nil {
		return err
	}
	for i := range read.Entries {
		at, err := read.Entries[i].When()
		if err != nil {
			return err
		}
		if err := jobs.Keep(store.Entries, id, read.Entries[i].ID, at, &read.Entries[i]); err != nil {
			return err
		}
	}
	return nil
}
