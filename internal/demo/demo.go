// Package demo holds the jobs that a new user can look at and try things on.
// People, places and vehicles in them are invented.
package demo

import (
	"embed"
	"fmt"

	"zaino/internal/core/fitout"
)

//go:embed *.zaino.json
var files embed.FS

//go:embed long-way.gpx
var longWay []byte

// LongWay is the GPX of a long way that is made up, with its stops as waypoints: the one of the first
// demo job.
func LongWay() []byte { return longWay }

//go:embed *.log.csv
var logs embed.FS

// Log is the log of a demo job that was handed over and driven, as CSV.
func Log(id string) (data []byte, driven bool) {
	data, err := logs.ReadFile(id + ".log.csv")
	return data, err == nil
}

// names is the order in which the demo jobs are listed.
var names = [...]string{"river-gauging", "sound-recordist", "queen-bees"}

// Jobs returns the demo jobs: a river-gauging crew's tray ute, planned too
// heavy at the back; a sound recordist's wagon; a queen-bee breeder's pickup in
// US units with a trailer.
func Jobs() ([]fitout.Job, error) {
	jobs := make([]fitout.Job, 0, len(names))
	for _, name := range names {
		data, err := files.ReadFile(name + ".zaino.json")
		if err != nil {
			return nil, err
		}
		job, err := fitout.Decode(data)
		if err != nil {
			return nil, fmt.Errorf("demo job %s: %w", name, err)
		}
		jobs = append(jobs, job)
	}
	return jobs, nil
}

// Build is the demo job of which exercises of a kind are made.
func Build(kind fitout.TrainingKind) (fitout.Job, error) {
	jobs, err := Jobs()
	if err != nil {
		return fitout.Job{}, err
	}
	return jobs[map[fitout.TrainingKind]int{fitout.TrainingTray: 0, fitout.TrainingWagon: 1, fitout.TrainingTub: 2}[kind]], nil
}
