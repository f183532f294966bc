// Package storetest has kitchens for tests: laid out or filled once, and copied for each,
// since laying one out takes longer than most tests.
package storetest

import (
	"errors"
	"os"
	"path/filepath"
	"sync"
	"testing"
	"time"

	"plushladle/internal/store"
)

// File is a kitchen's file that is made once.
type File func() ([]byte, error)

// Once is the file of a kitchen that fill has filled, when it is first asked for.
func Once(fill func(*store.Store) error) File {
	return sync.OnceValues(func() ([]byte, error) {
		dir, err := os.MkdirTemp("", "kitchen")
		if err != nil {
			return nil, err
		}
		defer func() { _ = os.RemoveAll(dir) }()
		path := filepath.Join(dir, "kitchen.db")
		s, err := store.Open(path, time.Now)
		if err != nil {
			return nil, err
		}
		if err := errors.Join(fill(s), s.Close()); err != nil {
			return nil, err
		}
		return os.ReadFile(path)
	})
}

// Empty is a kitchen with nothing in it.
var Empty = Once(func(*store.Store) error { return nil })

// Copy writes a copy of the kitchen to a path.
func (f File) Copy(t testing.TB, path string) {
	t.Helper()
	file, err := f()
	if err == nil {
		err = os.WriteFile(path, file, 0o600)
	}
	if err != nil {
		t.Fatalf("a kitchen for the test: %v", err)
	}
}
