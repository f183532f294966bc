// Package store keeps the kitchen in one SQLite file: drinks and their
// versions, batches made, bottles and what was poured from them. Its methods
// are what the cook does, not a table each.
package store

import (
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net/url"
	"os"
	"sync/atomic"
	"syscall"
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
	lock     io.Closer                // of the file; nil for one that is only read, or within a transaction
}

// Errors a caller can tell apart.
var (
	ErrNotFound = errors.New("not found")
	ErrNewer    = errors.New("the kitchen file was written by a newer version of Plush Ladle")
)

// Conflict says that something was changed elsewhere since it was read.
type Conflict struct{ Revision int }

func (c *Conflict) Error() string {
	return fmt.Sprintf("changed on another device since it was opened; it is now at revision %d", c.Revision)
}

// pragmas make every acknowledged write survive a kill: a write-ahead log,
// synced in full. A transaction takes the write lock from its start.
const pragmas = "_pragma=busy_timeout(5000)&_pragma=journal_mode(WAL)&_pragma=synchronous(FULL)&_pragma=foreign_keys(1)&_txlock=immediate"

// Open opens the kitchen in the file at path, making or migrating it, and
// locks it for this program. A file that is not a kitchen, is damaged, cannot
// be written or is open elsewhere is left untouched and refused in one line.
func Open(path string, now func() time.Time) (*Store, error) {
	s, err := open(path, now)
	if err != nil {
		return nil, fmt.Errorf("cannot open the kitchen file %s: %w", path, err)
	}
	return s, nil
}

func open(path string, now func() time.Time) (*Store, error) {
	lock, err := lockFile(path)
	if err != nil {
		return nil, err
	}
	s, err := openLocked(path, now)
	if err != nil {
		_ = lock.Close()
		return nil, err
	}
	s.lock = lock
	return s, nil
}

// openLocked opens a file that nobody else has open.
func openLocked(path string, now func() time.Time) (*Store, error) {
	if err := check(path); err != nil {
		return nil, err
	}
	before := besides(path)
	s := &Store{path: path, now: now}
	var err error
	if s.db, err = gorm.Open(sqlite.Open(dsn(path, pragmas)), config()); err == nil {
		err = migrate(s.db)
	}
	if err != nil {
		_ = s.Close()
		before.restore()
		return nil, inWordsAt(path, err)
	}
	return s, nil
}

// migrate brings a file up to this version. The triggers follow: they are of
// the columns there are, and would be in the way of a migration.
func migrate(db *gorm.DB) error {
	if !db.Migrator().HasTable(migrationTable) || !isCurrent(db) {
		if err := errors.Join(unwatchChanges(db), migrator(db).Migrate()); err != nil {
			return err
		}
	}
	return watchChanges(db)
}

func isCurrent(db *gorm.DB) bool {
	var count int64
	err := db.Table(migrationTable).Where("id IN ?", migrationIDs()).Count(&count).Error
	return err == nil && count == int64(len(migrations))
}

func migrationIDs() []string {
	ids := make([]string, len(migrations))
	for n, m := range migrations {
		ids[n] = m.ID
	}
	return ids
}

// config leaves it to callers to log what went wrong: they know what it means.
func config() *gorm.Config {
	return &gorm.Config{TranslateError: true, Logger: logger.Discard}
}

func dsn(path, parameters string) string {
	return "file:" + (&url.URL{Path: path}).EscapedPath() + "?" + parameters
}

// Close closes the file, with everything in it: SQLite leaves the write-ahead
// log beside it where a statement was given up just before. What cannot be
// moved over now is so when it is opened again.
func (s *Store) Close() error {
	if s.db == nil {
		return nil
	}
	db, err := s.db.DB()
	if err != nil {
		return err
	}
	_, _ = db.Exec("PRAGMA wal_checkpoint(TRUNCATE)")
	err = db.Close()
	if s.lock != nil {
		err = errors.Join(err, s.lock.Close())
	}
	return err
}

// headerBytes is the length of the header of an SQLite file
// (https://sqlite.org/fileformat2.html#the_database_header).
const headerBytes = 100

// check reads an existing file without changing it and says why it will not do.
func check(path string) error {
	info, err := os.Stat(path)
	switch {
	case errors.Is(err, os.ErrNotExist):
		if err := lostBesideCopies(path, "is not there"); err != nil {
			return err
		}
		return checkNewFile(path)
	case err != nil:
		return err
	case info.IsDir():
		return errors.New("it is a folder; name a file")
	}
	file, err := os.OpenFile(path, os.O_RDWR, 0)
	if errors.Is(err, syscall.EROFS) {
		return errUnwritable
	}
	if err != nil || info.Mode().Perm()&0o200 == 0 {
		return errReadOnly
	}
	_ = file.Close()
	switch {
	case info.Size() < headerBytes:
		if err := lostBesideCopies(path, "is empty"); err != nil || info.Size() == 0 {
			return err
		}
		return errDamaged
	}
	return checkContent(path)
}

// checkNewFile makes the file, readable by its owner only.
func checkNewFile(path string) error {
	file, err := os.OpenFile(path, os.O_RDWR|os.O_CREATE|os.O_EXCL, 0o600)
	if err != nil {
		return inWords(err)
	}
	return file.Close()
}

// checkContent reads the file as it is: without a write-ahead log beside it, as
// one that nobody changes, so that nothing is put beside it.
func checkContent(path string) error {
	parameters := "mode=ro&_pragma=busy_timeout(5000)"
	if isEmpty(path + "-wal") {
		parameters += "&immutable=1"
	}
	db, err := gorm.Open(sqlite.Open(dsn(path, parameters)), config())
	if err != nil {
		return inWords(err)
	}
	raw, err := db.DB()
	if err != nil {
		return err
	}
	defer func() { _ = raw.Close() }()
	var verdict string
	if err := raw.QueryRow("PRAGMA quick_check(1)").Scan(&verdict); err != nil {
		return inWords(err)
	}
	if verdict != "ok" {
		return errDamaged
	}
	return checkMigrations(db)
}

func isEmpty(path string) bool {
	info, err := os.Stat(path)
	return err != nil || info.Size() == 0
}

// checkMigrations refuses a file with migrations this version does not know.
func checkMigrations(db *gorm.DB) error {
	var tables []string
	if err := db.Raw("SELECT name FROM sqlite_master WHERE type = 'table'").Scan(&tables).Error; err != nil {
		return inWords(err)
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

// ByClock is the same kitchen by another clock, for what is written down of days gone by.
func (s *Store) ByClock(now func() time.Time) *Store { return &Store{db: s.db, path: s.path, now: now} }

// list finds all rows of a query. Where one of them is damaged, it costs that
// row and not the others: it is left out, and said in the log.
func list[T any](db *gorm.DB) ([]T, error) {
	var rows []T
	if err := db.Session(&gorm.Session{}).Find(&rows).Error; err == nil || codeOf(err) != 0 {
		return rows, err
	}
	var model T
	table, key := keyOf(db, &model)
	var keys []any
	if err := db.Session(&gorm.Session{}).Model(&model).Distinct().Pluck(table+"."+key, &keys).Error; err != nil {
		return nil, err
	}
	rows = nil
	for _, k := range keys {
		var one []T
		if err := db.Session(&gorm.Session{}).Where(table+"."+key+" = ?", k).Find(&one).Error; err != nil {
			slog.Error("a damaged row was left out", "table", table, key, k, "error", err)
			continue
		}
		rows = append(rows, one...)
	}
	return rows, nil
}

// keyOf is a model's table and its primary key.
func keyOf(db *gorm.DB, model any) (table, key string) {
	statement := &gorm.Statement{DB: db}
	if err := statement.Parse(model); err != nil || statement.Schema.PrioritizedPrimaryField == nil {
		return statement.Table, "rowid"
	}
	return statement.Schema.Table, statement.Schema.PrioritizedPrimaryField.DBName
}
