package e2e

import (
	"encoding/json"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// zaino runs the program and returns exit code, output and errors.
func zaino(t *testing.T, input string, args ...string) (code int, out, errors string) {
	t.Helper()
	command := exec.Command(program, args...)
	command.Stdin = strings.NewReader(input)
	var o, e strings.Builder
	command.Stdout, command.Stderr = &o, &e
	_ = command.Run() // the exit code tells
	return command.ProcessState.ExitCode(), o.String(), e.String()
}

func TestCommandsRefuseWithASentence(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	folder := t.TempDir()
	file := func(name, content string) string {
		path := filepath.Join(folder, name)
		require.NoError(t, os.WriteFile(path, []byte(content), 0o600))
		return path
	}
	cases := []struct {
		name, sentence string
		args           []string
	}{
		{"a file that is not there", "no such file", []string{"assess", folder + "/none.json"}},
		{"a file that is no job", "line 1 is not JSON", []string{"assess", file("text.json", "hello")}},
		{"a newer file", "written by a newer Zaino",
			[]string{"assess", file("newer.json", `{"format":"zaino.job","version":16}`)}},
		{"a port in use", "is in use by another program", []string{"serve", "--db", folder + "/a.db", "--listen",
			s.address()}},
		{
			"an address that is none",
			"accepted is an address and port",
			[]string{"serve", "--db", folder + "/a.db", "--listen",
				"everywhere"},
		},
		{"a file that is no database", "is not a database",
			[]string{"serve", "--db", file("notes.db", strings.Repeat("notes ", 40)), "--listen", "127.0.0.1:0"}},
		{
			"a folder that cannot be written",
			"cannot be written",
			[]string{"serve", "--db", "/proc/zaino/a.db", "--listen",
				"127.0.0.1:0"},
		},
		{"a database that is served", "is open in another Zaino", []string{"export", "river-gauging", "--db", s.db}},
		{"restoring over what is served", "is open in another Zaino", []string{"restore", "--replace", "--db", s.db,
			backup(t, s.db)}},
		{"restoring over what is there", "--replace", []string{"restore", "--db", s.db, backup(t, s.db)}},
		{
			"backing up nothing",
			"there is no database",
			[]string{"backup", "--db", folder + "/none.db", folder + "/copy.db"},
		},
		{"exporting from a name that is misspelt", "there is no database", []string{"export", "river-gauging", "--db", folder + "/none.db"}},
		{"an unknown command", `unknown command "fly"`, []string{"fly"}},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			code, _, errors := zaino(t, "", c.args...)
			assert.Equal(t, 1, code)
			assert.Contains(t, errors, c.sentence)
		})
	}
}

// backup makes a backup of a database that may be being served.
func backup(t *testing.T, db string) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "backup.db")
	code, _, errors := zaino(t, "", "backup", "--db", db, path)
	require.Zero(t, code, errors)
	return path
}

func TestBackupOfARunningServerIsRestoredElsewhere(t *testing.T) {
	t.Parallel()
	s := startDemo(t)
	elsewhere := filepath.Join(t.TempDir(), "elsewhere.db")
	code, _, errors := zaino(t, "", "restore", "--db", elsewhere, backup(t, s.db))
	require.Zero(t, code, errors)
	_, exported, _ := zaino(t, "", "export", "queen-bees", "--db", elsewhere)
	assert.Equal(t, string(s.get("/api/jobs/queen-bees/export")), exported)

	fresh := filepath.Join(t.TempDir(), "fresh.db")
	file := filepath.Join(t.TempDir(), "bees.zaino.json")
	require.NoError(t, os.WriteFile(file, []byte(exported), 0o600))
	code, out, _ := zaino(t, "", "import", file, "--db", fresh)
	assert.Zero(t, code)
	assert.Contains(t, out, "Queens over the pass (queen-bees) is imported.")
	code, _, errors = zaino(t, "", "import", file, "--db", fresh)
	assert.Equal(t, 1, code)
	assert.Contains(t, errors, "nothing was imported")

	code, out, _ = zaino(t, exported, "assess", "-")
	assert.Equal(t, 2, code, "its incubator would go cold")
	assert.Contains(t, out, `"pads"`)
	var quiet map[string]any
	require.NoError(t, json.Unmarshal([]byte(exported), &quiet))
	for _, variant := range quiet["variants"].([]any) {
		electrics := variant.(map[string]any)["electrics"].(map[string]any)
		electrics["loads"], electrics["circuits"] = []any{}, []any{}
	}
	sound, err := json.Marshal(quiet)
	require.NoError(t, err)
	code, _, _ = zaino(t, string(sound), "assess", "-")
	assert.Zero(t, code, "no finding stops this build")
}

func TestEveryCommandHasHelp(t *testing.T) {
	t.Parallel()
	for _, command := range []string{"serve", "demo", "assess", "export", "import", "backup", "restore", "version"} {
		code, out, _ := zaino(t, "", command, "--help")
		assert.Zero(t, code)
		assert.Contains(t, out, "Usage:")
	}
}
