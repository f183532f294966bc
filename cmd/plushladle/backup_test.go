package main

import (
	"fmt"
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
	o := openDemo(t, in("demo.db"))
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

// One kitchen is one program's; what cannot be opened is said in one line,
// with nothing of SQLite's in it.
func TestASecondProgramIsRefused(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	in := func(name string) string { return filepath.Join(folder, name) }
	o := openDemo(t, in("kitchen.db"))
	out, err := program("backup", "--data", in("kitchen.db"), in("all.json")).CombinedOutput()
	require.NoError(t, err, "a backup can be had meanwhile: %s", out)
	refused := [][]string{
		{"serve", "--data", in("kitchen.db"), "--listen", "127.0.0.1:0"}, {"restore", "--data", in("kitchen.db"), in("all.json")},
		{"passphrase", "--data", in("kitchen.db")}, {"restore", "--copy", "--data", in("kitchen.db")},
	}
	for _, args := range refused {
		out, err := program(args...).CombinedOutput()
		assert.Error(t, err, args)
		assert.Contains(t, string(out), fmt.Sprintf("another Plush Ladle has it open (process %d)", o.cmd.Process.Pid), args)
		assert.Equal(t, 1, strings.Count(string(out), "\n"), "%s", out)
	}
	require.NoError(t, o.cmd.Process.Signal(syscall.SIGKILL))
	_ = o.cmd.Wait()
	out, err = program("restore", "--data", in("kitchen.db"), in("all.json")).CombinedOutput()
	require.NoError(t, err, "a kill lets go of the lock: %s", out)

	require.NoError(t, os.WriteFile(in("notes.db"), []byte(strings.Repeat("a shopping list ", 100)), 0o600))
	out, err = program("serve", "--data", in("notes.db")).CombinedOutput()
	assert.Error(t, err)
	assert.Equal(t, 1, strings.Count(string(out), "\n"), "%s", out)
	assert.Contains(t, string(out), "damaged or not a kitchen file")
	assert.NoFileExists(t, in("notes.db-wal"))
	assert.NoFileExists(t, in("notes.db-shm"))
}

// A copy of a day is brought back by its date.
func TestADailyCopyIsBroughtBack(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "kitchen.db")
	o := openDemo(t, data)
	require.NoError(t, o.cmd.Process.Signal(syscall.SIGTERM))
	require.NoError(t, o.cmd.Wait())
	whole, err := os.ReadFile(data)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(data+".copy-2026-11-23", whole, 0o600))
	require.NoError(t, os.WriteFile(data, nil, 0o600))
	out, err := program("serve", "--data", data).CombinedOutput()
	assert.Error(t, err)
	assert.Contains(t, string(out), "copy-2026-11-23")
	out, err = program("restore", "--data", data, "--copy", "2026-11-22").CombinedOutput()
	assert.Error(t, err)
	assert.Contains(t, string(out), "there is one of 2026-11-23")
	out, err = program("restore", "--data", data, "--copy").CombinedOutput()
	require.NoError(t, err, string(out))
	back, err := os.ReadFile(data)
	require.NoError(t, err)
	assert.Equal(t, whole, back)
}
