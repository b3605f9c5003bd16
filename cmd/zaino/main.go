// Command zaino plans fitouts: it serves the planner, and does from the
// command line what needs no screen.
package main

import (
	"errors"
	"fmt"
	"os"

	"github.com/spf13/cobra"

	"zaino/internal/licences"
)

// version is set by the build.
var version = "dev"

// Exit codes that scripts can tell apart.
const (
	exitError = 1 // the command could not be done
	exitStop  = 2 // assess: the job has a finding that stops the build
)

// errStop says that an assessed job must not be built as it is.
var errStop = errors.New("the job has findings that stop the build")

func main() {
	root := &cobra.Command{
		Use:           "zaino",
		Short:         "Plan four-wheel-drive fitouts within payload, axle loads and gross mass",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.CompletionOptions.DisableDefaultCmd = true
	root.AddCommand(
		serveCommand(),
		demoCommand(),
		simulateCommand(),
		assessCommand(),
		exportCommand(),
		importCommand(),
		backupCommand(),
		restoreCommand(),
		openAPICommand(), schemaCommand(),
		versionCommand(),
		licencesCommand(),
		checkCommand(),
	)
	switch err := root.Execute(); {
	case errors.Is(err, errStop):
		os.Exit(exitStop)
	case err != nil:
		fmt.Fprintln(os.Stderr, "zaino:", err)
		os.Exit(exitError)
	}
}

func versionCommand() *cobra.Command {
	return &cobra.Command{Use: "version", Short: "Print the version", Args: cobra.NoArgs,
		Run: func(cmd *cobra.Command, _ []string) { fmt.Fprintln(cmd.OutOrStdout(), version) }}
}

func licencesCommand() *cobra.Command {
	return &cobra.Command{
		Use:   "licences",
		Short: "Print the licences of everything that Zaino is linked with or ships",
		Args:  cobra.NoArgs,
		Run:   func(cmd *cobra.Command, _ []string) { fmt.Fprint(cmd.OutOrStdout(), licences.Text()) },
	}
}
