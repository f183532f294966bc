package store

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"

	"github.com/glebarez/sqlite"
	"gorm.io/gorm"
)

const (
	// copiesKept is how many daily copies stay beside the kitchen.
	copiesKept = 7
	copyMark   = ".copy-"
)

func copyName(path string, day time.Time) string {
	return path + copyMark + day.Format(time.DateOnly)
}

// copiesOf lists a kitchen's daily copies, the oldest first.
func copiesOf(path string) []string {
	names, _ := filepath.Glob(path + copyMark + "*") // the pattern is always one
	names = slices.DeleteFunc(names, func(name string) bool { return strings.Contains(name, ".part") })
	slices.Sort(names)
	return names
}

// Copies are the days there is a copy of the kitchen of, the newest first.
func (s *Store) Copies() []string {
	var days []string
	for _, name := range slices.Backward(copiesOf(s.path)) {
		days = append(days, strings.TrimPrefix(name, s.path+copyMark))
	}
	return days
}

// RestoreDay puts a daily copy in the place of everything there is, as Restore does with a
// backup: it is brought up to this version and looked through first, and what was there before is
// kept beside the kitchen's file.
func (s *Store) RestoreDay(day string, check func(*Store) error) (kept string, err error) {
	name, err := copyOf(s.path, day)
	if err != nil {
		return "", fmt.Errorf("%w: %w", ErrNotBackup, err)
	}
	copied, err := openCopied(name, s.now)
	if err != nil {
		return "", fmt.Errorf("%w: the copy will not do: %w", ErrNotBackup, err)
	}
	defer func() { _ = copied.Close() }()
	if err := copied.lookThrough(); err != nil {
		return "", fmt.Errorf("%w: %w", ErrNotBackup, err)
	}
	if err := check(copied); err != nil {
		return "", fmt.Errorf("%w: %w", ErrNotBackup, err)
	}
	return s.takeOver(copied)
}

// copyOf is the copy of a day, the newest where day is "".
func copyOf(path, day string) (string, error) {
	names := copiesOf(path)
	if len(names) == 0 {
		return "", fmt.Errorf("there is no daily copy beside %s", path)
	}
	if day == "" {
		return names[len(names)-1], nil
	}
	if name := path + copyMark + day; slices.Contains(names, name) {
		return name, nil
	}
	days := make([]string, len(names))
	for n, name := range names {
		days[n] = strings.TrimPrefix(name, path+copyMark)
	}
	return "", fmt.Errorf("there is no copy of %s; there is one of %s", day, strings.Join(days, ", "))
}

// lostBesideCopies refuses to begin anew where there was a kitchen: its copies
// lie there, and would be gone in a week.
func lostBesideCopies(path, what string) error {
	newest, err := copyOf(path, "")
	if err != nil {
		return nil
	}
	return fmt.Errorf("it %s, and there are daily copies of a kitchen beside it; 'plushladle restore --copy --data %s' brings back the newest, %s; to begin anew, move the copies elsewhere", what, path, newest)
}

// CopyBeside writes today's copy of the kitchen's file beside it, where there
// is none yet, and takes away those older than a week, but never the last that
// holds something. It is given up when ctx is done.
func (s *Store) CopyBeside(ctx context.Context) error {
	today := copyName(s.path, s.now())
	if _, err := os.Stat(today); err == nil {
		return nil
	}
	half := today + ".part"
	defer func() { _, _ = os.Remove(half), os.Remove(half+"-journal") }()
	_ = os.Remove(half)
	if err := checkNewFile(half); err != nil { // for its owner's eyes only, like the kitchen
		return err
	}
	if err := s.db.WithContext(ctx).Exec("VACUUM INTO ?", half).Error; err != nil {
		return err
	}
	if err := os.Rename(half, today); err != nil { // a copy is there whole or not at all
		return err
	}
	return rotate(copiesOf(s.path))
}

// rotate takes away the oldest copies, but stops before the last with content.
func rotate(copies []string) error {
	for ; len(copies) > copiesKept; copies = copies[1:] {
		if holdsSomething(copies[0]) && !slices.ContainsFunc(copies[1:], holdsSomething) {
			return nil
		}
		if err := os.Remove(copies[0]); err != nil {
			return err
		}
	}
	return nil
}

// contentTables are those a cook fills.
var contentTables = []string{"drinks", "batches", "own_ingredients", "prices", "drinkers", "stock", "own_measures"}

// holdsSomething tells whether a cook put anything into the kitchen of a file.
func holdsSomething(path string) bool {
	db, err := gorm.Open(sqlite.Open(dsn(path, "mode=ro&immutable=1")), config())
	if err != nil {
		return false
	}
	defer func() {
		if raw, err := db.DB(); err == nil {
			_ = raw.Close()
		}
	}()
	for _, table := range contentTables {
		var one int64
		if db.Table(table).Limit(1).Count(&one).Error == nil && one > 0 {
			return true
		}
	}
	return false
}

// OpenToRead opens a kitchen for a backup: also one that another program has
// open, or that lies where nothing can be written.
func OpenToRead(path string, now func() time.Time) (*Store, error) {
	s, err := open(path, now)
	switch {
	case err == nil:
		return s, nil
	case errors.Is(err, ErrOpenElsewhere):
		s, err = openBeside(path, now)
	case errors.Is(err, errUnwritable), errors.Is(err, errReadOnly), errors.Is(err, errFull):
		s, err = openCopied(path, now)
	}
	if err != nil {
		return nil, fmt.Errorf("cannot read the kitchen file %s: %w", path, err)
	}
	return s, nil
}

// openBeside reads what another program has open.
func openBeside(path string, now func() time.Time) (*Store, error) {
	db, err := gorm.Open(sqlite.Open(dsn(path, "mode=ro&_pragma=busy_timeout(5000)")), config())
	if err != nil {
		return nil, inWords(err)
	}
	s := &Store{db: db, path: path, now: now}
	var newest string
	if err := db.Table(migrationTable).Select("max(id)").Scan(&newest).Error; err != nil || newest != lastMigration() {
		_ = s.Close()
		return nil, errors.New("another version of Plush Ladle has it open; back it up with that one")
	}
	return s, nil
}

// openCopied opens a copy of the file and of its log where there is room.
func openCopied(path string, now func() time.Time) (*Store, error) {
	folder, err := os.MkdirTemp("", "plushladle-read-")
	if err != nil {
		return nil, err
	}
	copied := filepath.Join(folder, "kitchen.db")
	err = copyFile(path, copied)
	if err == nil && !isEmpty(path+"-wal") {
		err = copyFile(path+"-wal", copied+"-wal")
	}
	var s *Store
	if err == nil {
		s, err = open(copied, now)
	}
	if err != nil {
		_ = os.RemoveAll(folder)
		return nil, err
	}
	s.lock = both{s.lock, removing(folder)}
	return s, nil
}

// removing is a folder that is taken away when it is closed.
type removing string

func (folder removing) Close() error { return os.RemoveAll(string(folder)) }

// both closes two things.
type both [2]interface{ Close() error }

func (b both) Close() error { return errors.Join(b[0].Close(), b[1].Close()) }
