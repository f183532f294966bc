package store

import (
	"bufio"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/glebarez/sqlite"
	"github.com/go-gormigrate/gormigrate/v2"
	"gorm.io/gorm"
)

// MaxBackupBytes is the largest backup that is read.
const MaxBackupBytes = 256 << 20

const (
	// longestRow is the longest row read, so that none takes the machine's
	// memory: far more than 300 lines, or the steps of any plan.
	longestRow = 4 << 20
	// bytesAtOnce and rowsAtOnce are how much is put in together.
	bytesAtOnce = 1 << 20
	rowsAtOnce  = 500
	// beforeKept is how many copies of what was there before a restore stay.
	beforeKept = 5
)

// errTooLarge says so before anything is read.
var errTooLarge = fmt.Errorf("%w: it is larger than 256 MB", ErrNotBackup)

// Restore puts a backup in the place of everything there is, or leaves all as
// it was. The backup is first put into a kitchen of its own, brought up to this
// version and looked through there: every row as the program's own types, and
// then by check, which may be nil. What was there before is kept beside the
// kitchen's file under the time, the last five of them; its name is returned.
func (s *Store) Restore(r io.Reader, check func(*Store) error) (kept string, err error) {
	if size, known := sizeOf(r); known && size > MaxBackupBytes {
		return "", errTooLarge
	}
	tried, err := s.tryOut(io.LimitReader(r, MaxBackupBytes+1))
	if err != nil {
		return "", err
	}
	defer tried.discard()
	if check != nil {
		if err := check(tried.Store); err != nil {
			return "", fmt.Errorf("%w: %w", ErrNotBackup, err)
		}
	}
	return s.takeOver(tried.Store)
}

// sizeOf is how long what can be sought is.
func sizeOf(r io.Reader) (int64, bool) {
	file, ok := r.(*os.File)
	if !ok {
		return 0, false
	}
	info, err := file.Stat()
	if err != nil || !info.Mode().IsRegular() {
		return 0, false
	}
	return info.Size(), true
}

// triedOut is a kitchen of its own that is thrown away.
type triedOut struct {
	*Store
	folder string
}

func (t *triedOut) discard() {
	_ = t.Close()
	_ = os.RemoveAll(t.folder)
}

// scratchPragmas are for a kitchen that nobody misses.
const scratchPragmas = "_pragma=journal_mode(MEMORY)&_pragma=synchronous(OFF)&_pragma=foreign_keys(1)"

// tryOut puts a backup into a kitchen of its own and looks through it.
func (s *Store) tryOut(r io.Reader) (*triedOut, error) {
	in, schema, err := openBackup(r)
	if err != nil {
		return nil, err
	}
	if !slices.ContainsFunc(migrations, func(m *gormigrate.Migration) bool { return m.ID == schema }) {
		return nil, fmt.Errorf("%w of this version: it was written after %q, which is newer", ErrNotBackup, schema)
	}
	folder, err := os.MkdirTemp("", "plushladle-restore-")
	if err != nil {
		return nil, err
	}
	t := &triedOut{folder: folder, Store: &Store{now: s.now, path: filepath.Join(folder, "tried.db")}}
	err = emptyKitchen(t.path, schema)
	if err == nil {
		t.db, err = gorm.Open(sqlite.Open(dsn(t.path, scratchPragmas)), config())
	}
	if err != nil {
		_ = os.RemoveAll(folder)
		return nil, err
	}
	if err := t.take(in, schema); err != nil {
		t.discard()
		return nil, err
	}
	return t, nil
}

// take fills a kitchen as it was when the backup was written, and brings it up
// to date.
func (t *triedOut) take(in *backupReader, schema string) error {
	if err := t.db.Transaction(func(tx *gorm.DB) error { return fill(tx, in) }); err != nil {
		return placed(err)
	}
	if schema != lastMigration() {
		if err := migrator(t.db).Migrate(); err != nil {
			return fmt.Errorf("%w: it cannot be brought up to this version: %w", ErrNotBackup, err)
		}
	}
	return t.lookThrough()
}

// emptied are kitchens with nothing in them as each version began them, so that
// a backup is not put off by bringing one up each time.
var emptied sync.Map

// emptyKitchen writes one to a file.
func emptyKitchen(path, schema string) error {
	if known, ok := emptied.Load(schema); ok {
		return os.WriteFile(path, known.([]byte), 0o600)
	}
	db, err := gorm.Open(sqlite.Open(dsn(path, scratchPragmas)), config())
	if err != nil {
		return err
	}
	if err := errors.Join(migrator(db).MigrateTo(schema), (&Store{db: db}).Close()); err != nil {
		return err
	}
	data, err := os.ReadFile(path)
	if err == nil {
		emptied.Store(schema, data)
	}
	return err
}

// placed says of an error while filling, other than a full disk, that the
// backup is at fault.
func placed(err error) error {
	if IsFull(err) || errors.Is(err, ErrNotBackup) {
		return err
	}
	return fmt.Errorf("%w: its rows do not fit together (%w)", ErrNotBackup, err)
}

// takeOver puts everything of another kitchen in the place of everything here,
// after what was here is written beside the file.
func (s *Store) takeOver(from *Store) (kept string, err error) {
	between := from.path + ".json"
	if err := WriteWhole(between, from.Backup); err != nil {
		return "", err
	}
	file, err := os.Open(between)
	if err != nil {
		return "", err
	}
	defer func() { _ = file.Close() }()
	in, _, err := openBackup(file)
	if err != nil {
		return "", err
	}
	defer s.settings.Store(nil)
	kept = s.beforeRestore()
	err = s.db.Transaction(func(tx *gorm.DB) error {
		if err := WriteWhole(kept, func(w io.Writer) error { return backUp(tx, w) }); err != nil {
			return err
		}
		return fill(tx, in)
	})
	if err != nil {
		_ = os.Remove(kept)
		return "", err
	}
	return kept, prune(s.path+beforeRestoreMark+"*.json", beforeKept)
}

const beforeRestoreMark = ".before-restore-"

// beforeRestore is a name, under the time, that no other copy bears.
func (s *Store) beforeRestore() string {
	stamp := s.path + beforeRestoreMark + s.now().Format("2006-01-02-150405")
	name := stamp + ".json"
	for n := 2; ; n++ {
		if _, err := os.Stat(name); errors.Is(err, os.ErrNotExist) {
			return name
		}
		name = fmt.Sprintf("%s-%d.json", stamp, n)
	}
}

// prune takes away the oldest of the files a pattern finds, but the last most.
func prune(pattern string, most int) error {
	names, err := filepath.Glob(pattern)
	if err != nil {
		return err
	}
	slices.Sort(names)
	for ; len(names) > most; names = names[1:] {
		if err := os.Remove(names[0]); err != nil {
			return err
		}
	}
	return nil
}

// backupReader reads a backup's tokens, none of them longer than longestRow.
type backupReader struct {
	*json.Decoder
	from *gauge
}

// gauge gives no more than some bytes until it is told to go on.
type gauge struct {
	r    io.Reader
	left int
}

var errLongRow = fmt.Errorf("%w: it holds a row longer than 4 MB", ErrNotBackup)

func (g *gauge) Read(p []byte) (int, error) {
	if g.left <= 0 {
		return 0, errLongRow
	}
	n, err := g.r.Read(p[:min(len(p), g.left)])
	g.left -= n
	return n, err
}

func (in *backupReader) token() (json.Token, error) {
	in.from.left = longestRow
	return in.Token()
}

func (in *backupReader) row() (json.RawMessage, error) {
	in.from.left = longestRow
	var row json.RawMessage
	err := in.Decode(&row)
	return row, err
}

func (in *backupReader) more() bool {
	in.from.left = longestRow
	return in.More()
}

// openBackup reads on to a backup's tables.
func openBackup(r io.Reader) (in *backupReader, schema string, err error) {
	from := &gauge{r: bufio.NewReader(r)}
	in = &backupReader{json.NewDecoder(from), from}
	var head [6]any // { kitchen : … schema : … tables
	for n := range head {
		if head[n], err = in.token(); err != nil {
			return nil, "", ErrNotBackup
		}
	}
	schema, isText := head[4].(string)
	if head[0] != json.Delim('{') || head[1] != "kitchen" || head[2] != backupIs || head[3] != "schema" || !isText || head[5] != "tables" {
		return nil, "", ErrNotBackup
	}
	return in, schema, nil
}

// fill puts a backup's tables in the place of what there is.
func fill(tx *gorm.DB, in *backupReader) error {
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
	if err := in.delim('{'); err != nil {
		return err
	}
	for in.more() {
		name, err := in.token()
		table, _ := name.(string)
		if err != nil || !slices.Contains(tables, table) {
			return fmt.Errorf("%w: there is no table %q", ErrNotBackup, table)
		}
		if err := fillTable(tx, table, in); err != nil {
			return err
		}
	}
	if err := errors.Join(in.delim('}'), in.delim('}')); err != nil {
		return err
	}
	if _, err := in.token(); !errors.Is(err, io.EOF) {
		return fmt.Errorf("%w: something follows its end", ErrNotBackup)
	}
	return nil
}

func (in *backupReader) delim(want rune) error {
	got, err := in.token()
	if err != nil || got != json.Delim(want) {
		return fmt.Errorf("%w: it is cut short or was changed", ErrNotBackup)
	}
	return nil
}

// column is a column of a table and what SQLite keeps in it.
type column struct {
	Name string
	Type string
}

// tableFiller puts rows into a table, some at once.
type tableFiller struct {
	tx      *gorm.DB
	table   string
	columns map[string]string
	insert  string
	rows    []json.RawMessage
	bytes   int
	read    int
}

func newFiller(tx *gorm.DB, table string) (*tableFiller, error) {
	var columns []column
	if err := tx.Raw("SELECT name, type FROM pragma_table_info(?) ORDER BY cid", table).Scan(&columns).Error; err != nil {
		return nil, err
	}
	f := &tableFiller{tx: tx, table: table, columns: map[string]string{}}
	names, values := make([]string, len(columns)), make([]string, len(columns))
	for n, c := range columns {
		f.columns[c.Name] = c.Type
		names[n], values[n] = quoted(c.Name), fmt.Sprintf("json_extract(r.value, '$.%s')", c.Name)
	}
	f.insert = fmt.Sprintf("INSERT INTO %s (%s) SELECT %s FROM json_each(?) AS r", quoted(table), strings.Join(names, ", "), strings.Join(values, ", "))
	return f, nil
}

// fillTable puts in a table's rows.
func fillTable(tx *gorm.DB, table string, in *backupReader) error {
	f, err := newFiller(tx, table)
	if err != nil {
		return err
	}
	if err := in.delim('['); err != nil {
		return err
	}
	for in.more() {
		row, err := in.row()
		f.read++
		if errors.Is(err, errLongRow) {
			return err
		}
		if err != nil {
			return f.wrong("it cannot be read")
		}
		if err := f.add(row); err != nil {
			return err
		}
	}
	if err := f.flush(); err != nil {
		return err
	}
	return in.delim(']')
}

func (f *tableFiller) wrong(why string) error {
	return fmt.Errorf("%w: row %d of %q: %s", ErrNotBackup, f.read, f.table, why)
}

func (f *tableFiller) add(row json.RawMessage) error {
	if why := f.unfit(row); why != "" {
		return f.wrong(why)
	}
	f.rows, f.bytes = append(f.rows, row), f.bytes+len(row)
	if len(f.rows) < rowsAtOnce && f.bytes < bytesAtOnce {
		return nil
	}
	return f.flush()
}

func (f *tableFiller) flush() error {
	if len(f.rows) == 0 {
		return nil
	}
	whole, err := json.Marshal(f.rows)
	if err != nil {
		return err
	}
	f.rows, f.bytes = nil, 0
	if err := f.tx.Exec(f.insert, string(whole)).Error; err != nil {
		if IsFull(err) {
			return err
		}
		return fmt.Errorf("%w: a row of %q, up to the %dth, cannot be kept (%w)", ErrNotBackup, f.table, f.read, err)
	}
	return nil
}

// unfit says what keeps a row from being one of the table: each of its values
// has to be a plain one of its column's kind. SQLite itself would take any.
func (f *tableFiller) unfit(row json.RawMessage) string {
	var values map[string]json.RawMessage
	if err := json.Unmarshal(row, &values); err != nil || values == nil {
		return "it is no object"
	}
	for name, value := range values {
		kind, known := f.columns[name]
		if !known {
			return fmt.Sprintf("there is no column %q", name)
		}
		if !fits(kind, value) {
			return fmt.Sprintf("%q does not hold %s", name, kindInWords(kind))
		}
	}
	return ""
}

func isText(kind string) bool { return kind == "TEXT" || kind == "DATETIME" }

func kindInWords(kind string) string {
	if isText(kind) {
		return "text"
	}
	return "a number"
}

func fits(kind string, value json.RawMessage) bool {
	switch first := value[0]; {
	case first == 'n': // null; the column says whether it may be
		return true
	case first == '"':
		return isText(kind)
	case first == '{' || first == '[':
		return false
	case first == 't' || first == 'f':
		return kind == "BOOLEAN"
	}
	var number float64
	return !isText(kind) && json.Unmarshal(value, &number) == nil && !math.IsInf(number, 0)
}

// RestoreCopy puts a daily copy in the place of a kitchen's file, which is kept
// beside it under the time. day is the copy's date; "" for the newest.
func RestoreCopy(path, day string, now func() time.Time) (copied, kept string, err error) {
	lock, err := lockFile(path)
	if err != nil {
		return "", "", err
	}
	defer func() { _ = lock.Close() }()
	if copied, err = copyOf(path, day); err != nil {
		return "", "", err
	}
	if err := checkContent(copied); err != nil {
		return "", "", fmt.Errorf("the copy %s will not do: %w", copied, err)
	}
	stamp := now().Format("2006-01-02-150405")
	for _, end := range append([]string{""}, besideEndings...) {
		from, to := path+end, path+beforeRestoreMark+stamp+".db"+end
		if err := os.Rename(from, to); err != nil && !errors.Is(err, os.ErrNotExist) {
			return "", "", inWords(err)
		}
	}
	return copied, path + beforeRestoreMark + stamp + ".db", copyFile(copied, path)
}

func copyFile(from, to string) error {
	in, err := os.Open(from)
	if err != nil {
		return err
	}
	defer func() { _ = in.Close() }()
	return WriteWhole(to, func(w io.Writer) error {
		_, err := io.Copy(w, in)
		return err
	})
}
