package main

import (
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"

	"github.com/spf13/cobra"

	"zaino/internal/api"
	"zaino/internal/core/assess"
	"zaino/internal/core/fitout"
	"zaino/internal/store"
)

// readJob reads a job document from a file, or from standard input for "-".
func readJob(cmd *cobra.Command, path string) (fitout.Job, error) {
	var reader io.Reader = cmd.InOrStdin()
	if path != "-" {
		file, err := os.Open(path)
		if err != nil {
			return fitout.Job{}, err
		}
		defer file.Close()
		reader = file
	}
	data, err := io.ReadAll(io.LimitReader(reader, fitout.MaxBytes+1))
	if err != nil {
		return fitout.Job{}, fmt.Errorf("%s cannot be read: %w", path, err)
	}
	job, err := fitout.Decode(data)
	if err != nil {
		return job, fmt.Errorf("%s is refused:\n%w", path, err)
	}
	return job, nil
}

func assessCommand() *cobra.Command {
	return &cobra.Command{
		Use: "assess FILE", Short: "Print the assessment of a job document as JSON",
		Long: "Print the assessment of a .zaino.json file as JSON; - reads standard input.\nExit code 0: no finding stops " +
			"the build. 2: one does. 1: the file cannot be read.",
		Args: cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			job, err := readJob(cmd, args[0])
			if err != nil {
				return err
			}
			assessment := assess.Of(&job)
			encoder := json.NewEncoder(cmd.OutOrStdout())
			encoder.SetIndent("", " ")
			encoder.SetEscapeHTML(false)
			if err := encoder.Encode(assessment); err != nil {
				return err
			}
			if assessment.Stopped() {
				return errStop
			}
			return nil
		},
	}
}

func exportCommand() *cobra.Command {
	var db string
	cmd := &cobra.Command{
		Use: "export JOB-ID", Short: "Write a job of a database to standard output as .zaino.json", Args: cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			if err := store.Readable(db); err != nil { // a name that is misspelt makes no file
				return err
			}
			jobs, err := openStore(db)
			if err != nil {
				return err
			}
			defer jobs.Close()
			document, err := jobs.Load(args[0])
			if err != nil {
				return fmt.Errorf("job %s: %w", args[0], err)
			}
			data, err := fitout.Encode(&document.Job)
			if err != nil {
				return err
			}
			_, err = cmd.OutOrStdout().Write(data)
			return err
		},
	}
	cmd.Flags().StringVar(&db, "db", "zaino.db", "database file")
	return cmd
}

func importCommand() *cobra.Command {
	var db string
	cmd := &cobra.Command{
		Use: "import FILE", Short: "Read a .zaino.json file into a database", Args: cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			job, err := readJob(cmd, args[0])
			if err != nil {
				return err
			}
			jobs, err := openStore(db)
			if err != nil {
				return err
			}
			defer jobs.Close()
			_, err = jobs.Create(&job)
			if errors.Is(err, store.ErrTaken) {
				return fmt.Errorf("the database has a job with the id %s already; nothing was imported", job.ID)
			}
			if err != nil {
				return err
			}
			fmt.Fprintf(cmd.OutOrStdout(), "%s (%s) is imported.\n", job.Name, job.ID)
			return nil
		},
	}
	cmd.Flags().StringVar(&db, "db", "zaino.db", "database file")
	return cmd
}

func openAPICommand() *cobra.Command {
	return &cobra.Command{
		Use: "openapi", Short: "Print the OpenAPI document of the server", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			data, err := api.OpenAPI()
			if err != nil {
				return err
			}
			_, err = cmd.OutOrStdout().Write(append(data, '\n'))
			return err
		},
	}
}

func schemaCommand() *cobra.Command {
	return &cobra.Command{
		Use: "schema", Short: "Print the JSON Schema of a .zaino.json file", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			data, err := api.DocumentSchema()
			if err != nil {
				return err
			}
			_, err = cmd.OutOrStdout().Write(append(data, '\n'))
			return err
		},
	}
}
