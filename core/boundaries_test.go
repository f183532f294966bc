// Package core_test keeps the core pure.
package core_test

import (
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// forbidden are parts of the standard library that would bring the outside
// world in: files, network, processes, randomness.
var forbidden = []string{"os", "net", "database", "io/fs", "syscall", "math/rand", "log", "unsafe"}

// The core imports only the standard library, itself and gonum, and of the
// standard library nothing that reaches outside. It never asks for the time.
func TestTheCoreStaysPure(t *testing.T) {
	t.Parallel()
	read := 0
	err := fs.WalkDir(os.DirFS("."), ".", func(path string, _ fs.DirEntry, err error) error {
		if err != nil || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return err
		}
		read++
		source, err := os.ReadFile(path)
		require.NoError(t, err)
		assert.NotContains(t, string(source), "time.Now(", path)
		file, err := parser.ParseFile(token.NewFileSet(), path, source, parser.ImportsOnly)
		require.NoError(t, err)
		for _, spec := range file.Imports {
			name, err := strconv.Unquote(spec.Path.Value)
			require.NoError(t, err)
			assert.True(t, isAllowed(name), "%s imports %s", path, name)
		}
		return nil
	})
	require.NoError(t, err)
	assert.Greater(t, read, 15, "the core's files were looked at")
}

func isAllowed(name string) bool {
	first, _, _ := strings.Cut(name, "/")
	switch {
	case strings.HasPrefix(name, "plushladle/core/"), strings.HasPrefix(name, "gonum.org/v1/gonum"):
		return true
	case strings.Contains(first, "."), first == "plushladle":
		return false
	}
	for _, f := range forbidden {
		if name == f || strings.HasPrefix(name, f+"/") {
			return false
		}
	}
	return true
}

func TestIsAllowedTellsApart(t *testing.T) {
	t.Parallel()
	for name, want := range map[string]bool{
		"math": true, "encoding/csv": true, "plushladle/core/keep": true, "gonum.org/v1/gonum/optimize": true,
		"os": false, "net/http": false, "plushladle/internal/store": false, "gorm.io/gorm": false,
	} {
		assert.Equal(t, want, isAllowed(name), name)
	}
}
