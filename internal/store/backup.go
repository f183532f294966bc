package store

import (
	"bufio"
	"database/sql"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"

	"gorm.io/gorm"
)

// A backup is one JSON object of everything in a kitchen: what it is, the last
// migration it was written after, and each table's rows in the order of their
// keys, one a line. The same kitchen always gives the same bytes. Who may come
// in is not part of it: it belongs to the place, not to what is kept there.
const backupIs = "Plush Ladle backup"

// notCarried are the tables a backup leaves as they are.
var notCarried = []string{migrationTable, "passphrases", "devices", "requests", "undo_acts", "undo_log"}

// ErrNotBackup says that a file is no backup, or one of a newer version.
var ErrNotBackup = errors.New("it is not a Plush Ladle backup")

// Backup writes everything out as one JSON file. The kitchen waits for it, so
// that w should not be a slow reader's.
func (s *Store) Backup(w io.Writer) error {
	return s.db.Transaction(func(tx *gorm.DB) error { return backUp(tx, w) }, &sql.TxOptions{ReadOnly: true})
}

// backUp writes what a transaction sees.
func backUp(tx *gorm.DB, w io.Writer) error {
	out := bufio.NewWriter(w)
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
	return out.Flush()
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

// WriteWhole writes a file so that it is there whole or not at all, for its
// owner's eyes only.
func WriteWhole(file string, write func(io.Writer) error) error {
	part, err := os.CreateTemp(filepath.Dir(file), ".plushladle-*")
	if err != nil {
		return fmt.Errorf("cannot write %s: %w", file, inWords(err))
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
		return fmt.Errorf("cannot write %s: %w", file, inWords(err))
	}
	return nil
}
