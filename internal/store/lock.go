package store

import (
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"strings"

	"github.com/gofrs/flock"
)

// ErrOpenElsewhere says that another program has the kitchen open. Two would
// each remember what the other changes, and write over it.
var ErrOpenElsewhere = errors.New("another Plush Ladle has it open")

// lockFile takes the lock of a kitchen's file, which lies beside it and is let
// go of by the system however the program ends. It bears who holds it.
func lockFile(path string) (*flock.Flock, error) {
	if whole, err := filepath.EvalSymlinks(path); err == nil {
		path = whole // one file under two names is one kitchen
	}
	if info, err := os.Stat(path); err == nil && info.IsDir() {
		return nil, errors.New("it is a folder; name a file")
	}
	name := path + ".lock"
	lock := flock.New(name, flock.SetPermissions(0o600))
	held, err := lock.TryLock()
	if err != nil {
		return nil, inWords(err)
	}
	if !held {
		_ = lock.Close()
		return nil, fmt.Errorf("%w%s; use that one, or stop it first", ErrOpenElsewhere, holder(name))
	}
	_ = os.WriteFile(name, fmt.Appendf(nil, "process %d\n", os.Getpid()), 0o600) // on a full disk it says less
	return lock, nil
}

func holder(name string) string {
	data, err := os.ReadFile(name)
	if who := strings.TrimSpace(string(data)); err == nil && who != "" {
		return " (" + who + ")"
	}
	return ""
}
