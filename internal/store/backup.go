package store

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"

	"gorm.io/gorm"
)

// backup is everything in a kitchen: each table's rows, in the order of their
// keys. The same kitchen always gives the same bytes.
type backup struct {
	Kitchen string                       `json:"kitchen"` // what the file is
	Schema  string                       `json:"schema"`  // the last migration it was written after
	Tables  map[string][]json.RawMessage `json:"tables"`
}

const backupIs = "Plush Ladle backup"

// ErrNotBackup says that a file is no backup, or one of another schema.
var ErrNotBackup = errors.New("it is not a backup of a kitchen")

// Backup writes everything out as one JSON file.
func (s *Store) Backup() ([]byte, error) {
	var out []byte
	err := s.db.Transaction(func(tx *gorm.DB) error {
		b := backup{Kitchen: backupIs, Schema: lastMigration(), Tables: map[string][]json.RawMessage{}}
		tables, err := tablesOf(tx)
		if err != nil {
			return err
		}
		for _, table := range tables {
			if b.Tables[table], err = rowsOf(tx, table); err != nil {
				return err
			}
		}
		out, err = json.MarshalIndent(b, "", " ")
		return err
	})
	return append(out, '\n'), err
}

func lastMigration() string { return migrations[len(migrations)-1].ID }

// tablesOf are the kitchen's own tables.
func tablesOf(tx *gorm.DB) ([]string, error) {
	var tables []string
	err := tx.Raw("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> ? ORDER BY name", migrationTable).Scan(&tables).Error
	return tables, err
}

// rowsOf are a table's rows, each as an object of its columns.
func rowsOf(tx *gorm.DB, table string) ([]json.RawMessage, error) {
	columns, err := columnsOf(tx, table)
	if err != nil {
		return nil, err
	}
	pairs := make([]string, len(columns))
	for n, c := range columns {
		pairs[n] = fmt.Sprintf("'%s', %s", c, quoted(c))
	}
	var rows []string
	err = tx.Raw(fmt.Sprintf("SELECT json_object(%s) FROM %s ORDER BY rowid", strings.Join(pairs, ", "), quoted(table))).Scan(&rows).Error
	out := make([]json.RawMessage, len(rows))
	for n, r := range rows {
		out[n] = json.RawMessage(r)
	}
	return out, err
}

// columnsOf are a table's columns. Their names and those of tables are the
// migrations' own, never a cook's.
func columnsOf(tx *gorm.DB, table string) ([]string, error) {
	var columns []string
	err := tx.Raw("SELECT name FROM pragma_table_info(?) ORDER BY cid", table).Scan(&columns).Error
	return columns, err
}

func quoted(name string) string { return `"` + strings.ReplaceAll(name, `"`, `""`) + `"` }

// Restore puts a backup in the place of everything there is, or leaves all as
// it was. A backup of another version's schema is refused.
func (s *Store) Restore(data []byte) error {
	var b backup
	if err := json.Unmarshal(bytes.TrimSpace(data), &b); err != nil || b.Kitchen != backupIs {
		return ErrNotBackup
	}
	if b.Schema != lastMigration() {
		return fmt.Errorf("%w of this version: it was written after %q, and this is %q", ErrNotBackup, b.Schema, lastMigration())
	}
	err := s.db.Transaction(func(tx *gorm.DB) error {
		// What rows refer to may come later in the file; it is held to at the end.
		if err := tx.Exec("PRAGMA defer_foreign_keys = ON").Error; err != nil {
			return err
		}
		tables, err := tablesOf(tx)
		if err != nil {
			return err
		}
		for table := range b.Tables {
			if !slices.Contains(tables, table) {
				return fmt.Errorf("%w: there is no table %q", ErrNotBackup, table)
			}
		}
		for _, table := range tables {
			if err := replace(tx, table, b.Tables[table]); err != nil {
				return err
			}
		}
		return nil
	})
	s.settings.Store(nil)
	return err
}

// replace puts rows in the place of a table's own.
func replace(tx *gorm.DB, table string, rows []json.RawMessage) error {
	if err := tx.Exec("DELETE FROM " + quoted(table)).Error; err != nil {
		return err
	}
	columns, err := columnsOf(tx, table)
	if err != nil {
		return err
	}
	names, values := make([]string, len(columns)), make([]string, len(columns))
	for n, c := range columns {
		names[n], values[n] = quoted(c), fmt.Sprintf("json_extract(r.value, '$.%s')", c)
	}
	whole, err := json.Marshal(rows)
	if err != nil {
		return err
	}
	if rows == nil {
		whole = []byte("[]")
	}
	return tx.Exec(fmt.Sprintf("INSERT INTO %s (%s) SELECT %s FROM json_each(?) AS r", quoted(table), strings.Join(names, ", "), strings.Join(values, ", ")), string(whole)).Error
}

// copiesKept is how many daily copies stay beside the kitchen.
const copiesKept = 7

// CopyBeside writes today's copy of the kitchen's file beside it, where there
// is none yet, and takes away those older than a week. It is given up when ctx
// is done.
func (s *Store) CopyBeside(ctx context.Context, path string) error {
	today := copyName(path, s.now())
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
	copies, err := filepath.Glob(path + ".copy-*")
	if err != nil {
		return err
	}
	copies = slices.DeleteFunc(copies, func(name string) bool { return strings.Contains(name, ".part") })
	slices.Sort(copies)
	for len(copies) > copiesKept {
		if err := os.Remove(copies[0]); err != nil {
			return err
		}
		copies = copies[1:]
	}
	return nil
}

func copyName(path string, day time.Time) string { return path + ".copy-" + day.Format("2006-01-02") }
