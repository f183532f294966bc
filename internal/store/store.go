// Package store keeps the kitchen in one SQLite file: drinks and their
// versions, batches made, bottles and what was poured from them. Its methods
// are what the cook does, not a table each.
package store

import (
	"errors"
	"fmt"
	"log/slog"
	"net/url"
	"os"
	"sync/atomic"
	"time"

	"github.com/glebarez/sqlite"
	"github.com/go-gormigrate/gormigrate/v2"
	"gorm.io/gorm"
	"gorm.io/gorm/logger"
)

// Store is an open kitchen. It is safe for use by several goroutines.
type Store struct {
	db       *gorm.DB
	path     string // of the kitchen's file
	now      func() time.Time
	settings atomic.Pointer[Settings] // as last read or written; nil before
}

// Errors a caller can tell apart.
var (
	ErrNotFound = errors.New("not found")
	ErrNewer    = errors.New("the kitchen file was written by a newer version of Plush Ladle")
)

// Conflict says that something was changed elsewhere since it was read.
type Conflict struct{ Revision int }

func (c *Conflict) Error() string {
	return fmt.Sprintf("changed elsewhere since it was opened; it is now at revision %d", c.Revision)
}

// sqliteFull is SQLite's result code for a write that found no room
// (https://sqlite.org/rescode.html#full).
const sqliteFull = 13

// IsFull tells whether something was not kept because the disk is full.
func IsFull(err error) bool {
	var coded interface{ Code() int }
	return errors.As(err, &coded) && coded.Code()&0xff == sqliteFull
}

// pragmas make every acknowledged write survive a kill: a write-ahead log,
// synced in full. A transaction takes the write lock from its start.
const pragmas = "_pragma=busy_timeout(5000)&_pragma=journal_mode(WAL)&_pragma=synchronous(FULL)&_pragma=foreign_keys(1)&_txlock=immediate"

// Open opens the kitchen in the file at path, making or migrating it. A file
// that is not a kitchen, is damaged or cannot be written is left untouched and
// refused in one line.
func Open(path string, now func() time.Time) (*Store, error) {
	if err := check(path); err != nil {
		return nil, fmt.Errorf("cannot open the kitchen file %s: %w", path, err)
	}
	db, err := gorm.Open(sqlite.Open(dsn(path, pragmas)), config())
	if err != nil {
		return nil, fmt.Errorf("cannot open the kitchen file %s: %w", path, err)
	}
	s := &Store{db: db, path: path, now: now}
	if err := migrator(db).Migrate(); err != nil {
		_ = s.Close()
		return nil, fmt.Errorf("cannot open the kitchen file %s: %w", path, err)
	}
	return s, nil
}

func config() *gorm.Config {
	return &gorm.Config{
		TranslateError: true,
		Logger: logger.NewSlogLogger(slog.Default(), logger.Config{
			LogLevel: logger.Error, IgnoreRecordNotFoundError: true, SlowThreshold: time.Second,
		}),
	}
}

func dsn(path, parameters string) string {
	return "file:" + (&url.URL{Path: path}).EscapedPath() + "?" + parameters
}

// Close closes the file, with everything in it: SQLite leaves the write-ahead
// log beside it where a statement was given up just before. What cannot be
// moved over now is so when it is opened again.
func (s *Store) Close() error {
	db, err := s.db.DB()
	if err != nil {
		return err
	}
	_, _ = db.Exec("PRAGMA wal_checkpoint(TRUNCATE)")
	return db.Close()
}

// check reads an existing file without changing it and says why it will not do.
func check(path string) error {
	info, err := os.Stat(path)
	if errors.Is(err, os.ErrNotExist) {
		return checkNewFile(path)
	}
	if err != nil {
		return err
	}
	if info.IsDir() {
		return errors.New("it is a folder; name a file")
	}
	file, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil || info.Mode().Perm()&0o200 == 0 {
		return errors.New("it cannot be written; make it writable or name another file")
	}
	_ = file.Close()
	if info.Size() == 0 {
		return nil
	}
	return checkContent(path)
}

// checkNewFile makes the file, readable by its owner only.
func checkNewFile(path string) error {
	file, err := os.OpenFile(path, os.O_RDWR|os.O_CREATE|os.O_EXCL, 0o600)
	if err != nil {
		return errors.New("its folder does not exist or cannot be written")
	}
	_ = file.Close()
	return nil
}

func checkContent(path string) error {
	db, err := gorm.Open(sqlite.Open(dsn(path, "mode=ro&_pragma=busy_timeout(5000)")), config())
	damaged := errors.New("it is damaged or not a kitchen file; it was left as it is")
	if err != nil {
		return damaged
	}
	raw, err := db.DB()
	if err != nil {
		return damaged
	}
	defer func() { _ = raw.Close() }()
	var verdict string
	if err := raw.QueryRow("PRAGMA quick_check(1)").Scan(&verdict); err != nil || verdict != "ok" {
		return damaged
	}
	return checkMigrations(db)
}

// checkMigrations refuses a file with migrations this version does not know.
func checkMigrations(db *gorm.DB) error {
	var tables []string
	if err := db.Raw("SELECT name FROM sqlite_master WHERE type = 'table'").Scan(&tables).Error; err != nil {
		return err
	}
	if len(tables) == 0 {
		return nil
	}
	known := map[string]bool{}
	for _, m := range migrations {
		known[m.ID] = true
	}
	var applied []string
	if err := db.Table(migrationTable).Pluck("id", &applied).Error; err != nil {
		return errors.New("it is not a kitchen file; it was left as it is")
	}
	for _, id := range applied {
		if !known[id] {
			return ErrNewer
		}
	}
	return nil
}

const migrationTable = "migrations"

func migrator(db *gorm.DB) *gormigrate.Gormigrate {
	options := &gormigrate.Options{TableName: migrationTable, IDColumnName: "id", IDColumnSize: 100, UseTransaction: true}
	return gormigrate.New(db, options, migrations)
}
