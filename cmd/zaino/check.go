package main

import (
	"errors"
	"fmt"

	"github.com/spf13/cobra"

	"zaino/internal/store"
)

// errDamaged says that a database holds what cannot be read any more.
var errDamaged = errors.New("the database is damaged; see above")

func checkCommand() *cobra.Command {
	var db string
	var stepBack bool
	cmd := &cobra.Command{
		Use: "check", Short: "Read everything that a database keeps and tell what is damaged", Args: cobra.NoArgs,
		Long: "Read everything that a database keeps and tell what is damaged. Nothing is changed, unless --step-back makes " +
			"the newest whole revision of a job whose newest is damaged its newest one; back the file up before.\n" +
			"Exit code 0: all is whole. 1: something is damaged, or the file cannot be read.",
		RunE: func(cmd *cobra.Command, _ []string) error {
			found, err := store.Check(db)
			if err != nil {
				return err
			}
			fmt.Fprintf(
				cmd.OutOrStdout(),
				"%s: %d jobs with %d revisions are read.\n",
				db,
				found.Jobs,
				found.Revisions,
			)
			left := 0
			for _, d := range found.Damaged {
				fmt.Fprintf(cmd.OutOrStdout(), "Job %s (%s), revision %d: %v.\n", d.Name, d.Job, d.Number, d.Why)
				switch {
				case !d.Newest:
					left++
				case d.Whole == 0:
					left++
					fmt.Fprintln(
						cmd.OutOrStdout(),
						"  It is the newest, and no other revision is whole; a backup may hold one.",
					)
				case !stepBack:
					left++
					fmt.Fprintf(
						cmd.OutOrStdout(),
						"  It is the newest; --step-back goes back to revision %d.\n",
						d.Whole,
					)
				default:
					err := goBack(db, d.Job, d.Whole)
					if errors.Is(err, store.ErrNotFound) {
						left++
						fmt.Fprintln(cmd.OutOrStdout(), "  The job is deleted, and left as it is.")
						continue
					}
					if err != nil {
						return err
					}
					fmt.Fprintf(cmd.OutOrStdout(), "  The job is as it was at revision %d again.\n", d.Whole)
				}
			}
			if left > 0 {
				return errDamaged
			}
			return nil
		},
	}
	cmd.Flags().StringVar(&db, "db", "zaino.db", "database file")
	cmd.Flags().
		BoolVar(&stepBack, "step-back", false, "go back from damaged newest revisions to the newest whole ones")
	return cmd
}

func goBack(db, job string, number int) error {
	jobs, err := openStore(db)
	if err != nil {
		return err
	}
	defer jobs.Close()
	_, err = jobs.GoBack(job, number, "zaino check")
	return err
}
