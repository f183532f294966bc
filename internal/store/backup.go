package store

import (
	"bufio"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"

	"github.com/glebarez/sqlite"
	"github.com/go-gormigrate/gormigrate/v2"
	"gorm.io/gorm"
)

// A backup is one JSON object of everything in a kitchen: what it is, the last
// migration it was written after, and each table's rows in the order of their
// keys, one a line. The same kitchen always gives the same bytes. Who may come
// in is not part of it: it belongs to the place, not to what is kept there.
const backupIs = "Plush Ladle backup"

// notCarried are the tables a backup leaves as they are.
var notCarried = []string{migrationTable, "passphrases", "devices"}

// ErrNotBackup says that a file is no backup, or one of a newer version.
var ErrNotBackup = errors.New("it is not a backup of a kitchen")

// Backup writes everything out as one JSON file. The kitchen waits for it, so
// that w should not be a slow reader's.
func (s *Store) Backup(w io.Writer) error {
	out := bufio.NewWriter(w)
	err := s.db.Transaction(func(tx *gorm.DB) error {
		tables, err := tablesOf(tx)
		if err != nil {
			return err
		}
		fmt.Fprintf(out, "{\n \"kitchen\": %q,\n \"schema\": %q,\n \"tables\": {", backupIs, lastMigration())
		for n, table := range tables {
			fmt.Fprintf(out, "%s\n  %q: [", separator(n), table)
			if err := writeRows(tx, table, out); err != nil {
				return err
			}
		}
		fmt.Fprint(out, "\n }\n}\n")
		return nil
	})
	return errors.Join(err, out.Flush())
}

func separator(n int) string {
	if n == 0 {
		return ""
	}
	return ","
}

func lastMigration() string { return migrations[len(migrations)-1].ID }

// tablesOf are the tables a backup carries.
func tablesOf(tx *gorm.DB) ([]string, error) {
	var tables []string
	err := tx.Raw("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT IN ? ORDER BY name", notCarried).Scan(&tables).Error
	return tables, err
}

// writeRows writes a table's rows, each as an object of its columns.
func writeRows(tx *gorm.DB, table string, out io.Writer) error {
	columns, err := columnsOf(tx, table)
	if err != nil {
		return err
	}
	pairs := make([]string, len(columns))
	for n, c := range columns {
		pairs[n] = fmt.Sprintf("'%s', %s", c, quoted(c))
	}
	rows, err := tx.Raw(fmt.Sprintf("SELECT json_object(%s) FROM %s ORDER BY rowid", strings.Join(pairs, ", "), quoted(table))).Rows()
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	for n := 0; rows.Next(); n++ {
		var row string
		if err := rows.Scan(&row); err != nil {
			return err
		}
		fmt.Fprintf(out, "%s\n   %s", separator(n), row)
	}
	fmt.Fprint(out, "\n  ]")
	return rows.Err()
}

// columnsOf are a table's columns. Their names and those of tables are the
// migrations' own, never a cook's.
func columnsOf(tx *gorm.DB, table string) ([]string, error) {
	var columns []string
	err := tx.Raw("SELECT name FROM pragma_table_info(?) ORDER BY cid", table).Scan(&columns).Error
	return columns, err
}

func quoted(name string) string { return `"` + strings.ReplaceAll(name, `"`, `""`) + `"` }

// RestoreKeeping restores after writing what was there as a backup beside the
// kitchen's file, whose name it gives.
func (s *Store) RestoreKeeping(r io.Reader) (kept string, err error) {
	kept = s.path + ".before-restore.json"
	if err := WriteWhole(kept, s.Backup); err != nil {
		return "", err
	}
	return kept, s.Restore(r)
}

// Restore puts a backup in the place of everything there is, or leaves all as
// it was. A backup of an older version is brought up to this one first; one of
// a newer version is refused.
func (s *Store) Restore(r io.Reader) error {
	in, schema, err := openBackup(r)
	if err != nil {
		return err
	}
	defer s.settings.Store(nil)
	if schema == lastMigration() {
		return s.db.Transaction(func(tx *gorm.DB) error { return fill(tx, in) })
	}
	if !slices.ContainsFunc(migrations, func(m *gormigrate.Migration) bool { return m.ID == schema }) {
		return fmt.Errorf("%w of this version: it was written after %q, which is newer", ErrNotBackup, schema)
	}
	return s.restoreOlder(in, schema)
}

// openBackup reads on to a backup's tables.
func openBackup(r io.Reader) (in *json.Decoder, schema string, err error) {
	in = json.NewDecoder(bufio.NewReader(r))
	var head [6]any // { kitchen : … schema : … tables
	for n := range head {
		if head[n], err = in.Token(); err != nil {
			return nil, "", ErrNotBackup
		}
	}
	schema, isText := head[4].(string)
	if head[0] != json.Delim('{') || head[1] != "kitchen" || head[2] != backupIs || head[3] != "schema" || !isText || head[5] != "tables" {
		return nil, "", ErrNotBackup
	}
	return in, schema, nil
}

// restoreOlder fills a kitchen as it was then, brings it up to date, and takes
// that.
func (s *Store) restoreOlder(in *json.Decoder, schema string) error {
	folder, err := os.MkdirTemp("", "plushladle-older-")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(folder) }()
	path := filepath.Join(folder, "older.db")
	db, err := gorm.Open(sqlite.Open(dsn(path, pragmas)), config())
	if err != nil {
		return err
	}
	older := &Store{db: db, now: s.now, path: path}
	defer func() { _ = older.Close() }()
	if err := migrator(db).MigrateTo(schema); err != nil {
		return err
	}
	if err := db.Transaction(func(tx *gorm.DB) error { return fill(tx, in) }); err != nil {
		return err
	}
	if err := migrator(db).Migrate(); err != nil {
		return err
	}
	return older.into(s)
}

// into restores another kitchen from this one.
func (s *Store) into(other *Store) error {
	between := s.path + ".json"
	if err := WriteWhole(between, s.Backup); err != nil {
		return err
	}
	file, err := os.Open(between)
	if err != nil {
		return err
	}
	defer func() { _ = file.Close() }()
	return other.Restore(file)
}

// rowsAtOnce is how many rows are put in together.
const rowsAtOnce = 500

// fill puts a backup's tables in the place of what there is.
func fill(tx *gorm.DB, in *json.Decoder) error {
	// What rows refer to may come later in the file; it is held to at the end.
	if err := tx.Exec("PRAGMA defer_foreign_keys = ON").Error; err != nil {
		return err
	}
	tables, err := tablesOf(tx)
	if err != nil {
		return err
	}
	for _, table := range tables {
		if err := tx.Exec("DELETE FROM " + quoted(table)).Error; err != nil {
			return err
		}
	}
	if err := delim(in, '{'); err != nil {
		return err
	}
	for in.More() {
		name, err := in.Token()
		table, _ := name.(string)
		if err != nil || !slices.Contains(tables, table) {
			return fmt.Errorf("%w: there is no table %q", ErrNotBackup, table)
		}
		if err := fillTable(tx, table, in); err != nil {
			return err
		}
	}
	return errors.Join(delim(in, '}'), delim(in, '}'))
}

func delim(in *json.Decoder, want rune) error {
	got, err := in.Token()
	if err != nil || got != json.Delim(want) {
		return fmt.Errorf("%w: it is cut short or was changed", ErrNotBackup)
	}
	return nil
}

// fillTable puts in a table's rows, some at once.
func fillTable(tx *gorm.DB, table string, in *json.Decoder) error {
	columns, err := columnsOf(tx, table)
	if err != nil {
		return err
	}
	names, values := make([]string, len(columns)), make([]string, len(columns))
	for n, c := range columns {
		names[n], values[n] = quoted(c), fmt.Sprintf("json_extract(r.value, '$.%s')", c)
	}
	insert := fmt.Sprintf("INSERT INTO %s (%s) SELECT %s FROM json_each(?) AS r", quoted(table), strings.Join(names, ", "), strings.Join(values, ", "))
	if err := delim(in, '['); err != nil {
		return err
	}
	for in.More() {
		rows := []json.RawMessage{}
		for in.More() && len(rows) < rowsAtOnce {
			var row json.RawMessage
			if err := in.Decode(&row); err != nil {
				return fmt.Errorf("%w: a row of %q cannot be read", ErrNotBackup, table)
			}
			rows = append(rows, row)
		}
		whole, err := json.Marshal(rows)
		if err != nil {
			return err
		}
		if err := tx.Exec(insert, string(whole)).Error; err != nil {
			return err
		}
	}
	return delim(in, ']')
}

// WriteWhole writes a file so that it is there whole or not at all, for its
// owner's eyes only.
func WriteWhole(file string, write func(io.Writer) error) error {
	part, err := os.CreateTemp(filepath.Dir(file), ".plushladle-*")
	if err != nil {
		return fmt.Errorf("cannot write %s: its folder does not exist or cannot be written", file)
	}
	defer func() { _ = os.Remove(part.Name()) }()
	err = write(part)
	if err == nil {
		err = part.Sync()
	}
	if closed := part.Close(); err == nil {
		err = closed
	}
	if err == nil {
		err = os.Rename(part.Name(), file)
	}
	if err != nil {
		return fmt.Errorf("cannot write %s: %w", file, err)
	}
	return nil
}

// copiesKept is how many daily copies stay beside the kitchen.
const copiesKept = 7

// CopyBeside writes today's copy of the kitchen's file beside it, where there
// is none yet, and takes away those older than a week. It is given up when ctx
// is done.
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
	copies, err := filepath.Glob(s.path + ".copy-*")
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
