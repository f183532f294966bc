package main

import (
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestAKitchenIsBackedUpAndRestored(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	in := func(name string) string { return filepath.Join(folder, name) }
	o := openKitchen(t, "demo", "--data", in("demo.db"))
	_, live := o.call("GET", "/api/backup.json", "")
	require.NoError(t, o.cmd.Process.Signal(syscall.SIGTERM))
	require.NoError(t, o.cmd.Wait())

	out, err := program("backup", "--data", in("demo.db"), in("all.json")).CombinedOutput()
	require.NoError(t, err, string(out))
	written, err := os.ReadFile(in("all.json"))
	require.NoError(t, err)
	assert.Equal(t, live, string(written), "the page and the command line write the same")

	out, err = program("restore", "--data", in("other.db"), in("all.json")).CombinedOutput()
	require.NoError(t, err, string(out))
	out, err = program("backup", "--data", in("other.db"), in("again.json")).CombinedOutput()
	require.NoError(t, err, string(out))
	again, err := os.ReadFile(in("again.json"))
	require.NoError(t, err)
	assert.Equal(t, string(written), string(again))

	require.NoError(t, os.WriteFile(in("notes.txt"), []byte("a shopping list"), 0o600))
	for _, args := range [][]string{
		{"restore", "--data", in("other.db"), in("notes.txt")}, {"restore", "--data", in("other.db"), in("none.json")},
		{"backup", "--data", in("none.db"), in("x.json")}, {"backup", "--data", in("other.db")}, {"backup", "--data", in("other.db"), in("none/x.json")},
	} {
		out, err = program(args...).CombinedOutput()
		assert.Error(t, err, args)
		assert.Equal(t, 1, strings.Count(string(out), "\n"), "one line on stderr: %s", out)
	}
	out, err = program("backup", "--data", in("other.db"), in("still.json")).CombinedOutput()
	require.NoError(t, err, string(out))
	still, err := os.ReadFile(in("still.json"))
	require.NoError(t, err)
	assert.Equal(t, string(written), string(still), "what failed changed nothing")
}
