package main

import (
	"fmt"

	"github.com/spf13/cobra"

	"zaino/internal/store"
)

func backupCommand() *cobra.Command {
	var db string
	cmd := &cobra.Command{
		Use: "backup FILE", Short: "Write a consistent copy of the database to a new file, also while it is served",
		Args: cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			if err := store.Backup(db, args[0]); err != nil {
				return err
			}
			fmt.Fprintf(cmd.OutOrStdout(), "%s is backed up to %s.\n", db, args[0])
			return nil
		},
	}
	cmd.Flags().StringVar(&db, "db", "zaino.db", "database file")
	return cmd
}

func restoreCommand() *cobra.Command {
	var db string
	var replace bool
	cmd := &cobra.Command{
		Use: "restore FILE", Short: "Put a backup in the place of the database", Args: cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			held, err := store.Restore(args[0], db, replace)
			if err != nil {
				return err
			}
			fmt.Fprintf(cmd.OutOrStdout(), "%s is restored from %s: %d jobs, %d revisions.\n", db, args[0], held.Jobs,
				held.Revisions)
			return nil
		},
	}
	cmd.Flags().StringVar(&db, "db", "zaino.db", "database file")
	cmd.Flags().BoolVar(&replace, "replace", false, "replace the database that is there")
	return cmd
}
