package store

import (
	"errors"
	"fmt"
	"strings"
	"time"

	"gorm.io/gorm"
)

// Act is something a cook does, as one: it is done whole or not at all, once
// however often it is asked for, and may be taken back.
type Act struct {
	Key      string // of the request; "" where it may be done again
	What     string // the request itself: the same key with another is refused
	Undoable bool
}

const (
	// requestsFor is how long an answer is kept for a request that comes again.
	requestsFor = 24 * time.Hour
	// undosFor is how long something can be taken back.
	undosFor = 7 * 24 * time.Hour
)

var (
	// ErrKeyReused says that a key came with another request than before.
	ErrKeyReused = errors.New("this request bears the key of another one")
	// ErrChangedSince says that what is to be taken back was changed since.
	ErrChangedSince = errors.New("it was changed since")
)

// Request is what was answered to a request, for when it comes again.
type Request struct {
	Key    string `gorm:"primaryKey"`
	What   string
	Answer string
	At     time.Time
}

// Done is an act done: its answer, whether it was answered before, and by what
// number it is taken back; 0 where it is not.
type Done struct {
	Answer []byte
	Before bool
	Undo   int64
}

// Act does something within one transaction, together with the answer to be
// given should the same request come again: whoever sends it twice, because
// the first answer was lost, does it once. do is given a store that is only
// good until it returns.
func (s *Store) Act(a Act, do func(*Store) ([]byte, error)) (Done, error) {
	var done Done
	err := s.db.Transaction(func(tx *gorm.DB) error {
		before, err := s.answered(tx, a)
		if err != nil || before != nil {
			done = Done{Answer: before, Before: true}
			return err
		}
		if a.Undoable {
			if done.Undo, err = s.beginUndoable(tx); err != nil {
				return err
			}
		}
		if done.Answer, err = do(&Store{db: tx, path: s.path, now: s.now}); err != nil {
			return err
		}
		if a.Undoable {
			if done.Undo, err = endUndoable(tx, done.Undo); err != nil {
				return err
			}
		}
		if a.Key == "" {
			return nil
		}
		return tx.Create(&Request{a.Key, a.What, string(done.Answer), s.now()}).Error
	})
	s.settings.Store(nil)
	return done, err
}

// answered is what was answered to the request before; nil where it is new.
func (s *Store) answered(tx *gorm.DB, a Act) ([]byte, error) {
	if a.Key == "" {
		return nil, nil
	}
	if err := tx.Delete(&Request{}, "at < ?", s.now().Add(-requestsFor)).Error; err != nil {
		return nil, err
	}
	var r Request
	err := found(tx.Where("key = ?", a.Key).First(&r).Error)
	switch {
	case errors.Is(err, ErrNotFound):
		return nil, nil
	case err != nil:
		return nil, err
	case r.What != a.What:
		return nil, ErrKeyReused
	}
	return []byte(r.Answer), nil
}

// Taking back follows SQLite's own recipe (https://sqlite.org/undoredo.html):
// triggers write down, for every row that an undoable act changes, the
// statement that changes it back. Each only holds for a row that still is as
// the act left it, so that nothing done since is lost.

type undoAct struct {
	ID     int64 `gorm:"primaryKey"`
	Active bool
	At     time.Time
}

func (undoAct) TableName() string { return "undo_acts" }

func (s *Store) beginUndoable(tx *gorm.DB) (int64, error) {
	if err := tx.Delete(&undoAct{}, "at < ?", s.now().Add(-undosFor)).Error; err != nil {
		return 0, err
	}
	act := undoAct{Active: true, At: s.now()}
	err := tx.Create(&act).Error
	return act.ID, err
}

// endUndoable closes an act; its number is 0 where it changed nothing.
func endUndoable(tx *gorm.DB, id int64) (int64, error) {
	if err := tx.Model(&undoAct{ID: id}).Update("active", false).Error; err != nil {
		return 0, err
	}
	var changes int64
	if err := tx.Table("undo_log").Where("act = ?", id).Count(&changes).Error; err != nil || changes == 0 {
		return 0, err
	}
	return id, nil
}

// Undo takes an act back, whole or not at all.
func (s *Store) Undo(id int64) error {
	defer s.settings.Store(nil)
	return s.db.Transaction(func(tx *gorm.DB) error {
		var back []string
		if err := tx.Table("undo_log").Where("act = ?", id).Order("id DESC").Pluck("sql", &back).Error; err != nil {
			return err
		}
		if len(back) == 0 {
			return ErrNotFound
		}
		if err := tx.Exec("PRAGMA defer_foreign_keys = ON").Error; err != nil {
			return err
		}
		for _, statement := range back {
			result := tx.Exec(statement)
			if result.Error != nil {
				return errors.Join(ErrChangedSince, result.Error)
			}
			if result.RowsAffected == 0 {
				return ErrChangedSince
			}
		}
		return tx.Delete(&undoAct{}, id).Error
	})
}

// isActive is the condition under which a trigger writes down anything.
const isActive = "EXISTS (SELECT 1 FROM undo_acts WHERE active)"

// watchChanges sets the triggers anew, for the columns there are now.
func watchChanges(db *gorm.DB) error {
	tables, err := tablesOf(db)
	if err != nil {
		return err
	}
	var there []struct{ Name, SQL string }
	if err := db.Raw("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'").Scan(&there).Error; err != nil {
		return err
	}
	now := make(map[string]string, len(there))
	for _, t := range there {
		now[t.Name] = t.SQL
	}
	return db.Transaction(func(tx *gorm.DB) error { // one write to the disk, not one a trigger
		for _, table := range tables {
			columns, err := columnsOf(tx, table)
			if err != nil {
				return err
			}
			if err := watchTable(tx, table, columns, now); err != nil {
				return err
			}
		}
		return nil
	})
}

// unwatchChanges takes them away.
func unwatchChanges(db *gorm.DB) error {
	var names []string
	if err := db.Raw("SELECT name FROM sqlite_master WHERE type = 'trigger' AND name LIKE 'undo_%'").Scan(&names).Error; err != nil {
		return err
	}
	for _, name := range names {
		if err := db.Exec("DROP TRIGGER " + quoted(name)).Error; err != nil {
			return err
		}
	}
	return nil
}

// watchTable gives a table the triggers it lacks; now are those that are there.
func watchTable(db *gorm.DB, table string, columns []string, now map[string]string) error {
	for _, t := range undoTriggers(table, columns) {
		if now[t.name] == t.sql {
			continue
		}
		if err := errors.Join(db.Exec("DROP TRIGGER IF EXISTS "+t.name).Error, db.Exec(t.sql).Error); err != nil {
			return err
		}
	}
	return nil
}

type trigger struct{ name, sql string }

// undoTriggers are those of one table.
func undoTriggers(table string, columns []string) []trigger {
	row := func(of, between, equals string) string {
		parts := make([]string, len(columns))
		for n, c := range columns {
			parts[n] = fmt.Sprintf("'%s%s' || quote(%s.%s)", quoted(c), equals, of, quoted(c))
		}
		return strings.Join(parts, " || '"+between+"' || ")
	}
	values := make([]string, len(columns))
	for n, c := range columns {
		values[n] = "quote(old." + quoted(c) + ")"
	}
	name := quoted(table)
	return []trigger{
		undoTrigger(table, "INSERT", fmt.Sprintf("'DELETE FROM %s WHERE rowid = ' || new.rowid || ' AND ' || %s", name, row("new", " AND ", " IS "))),
		undoTrigger(table, "UPDATE", fmt.Sprintf("'UPDATE %s SET ' || %s || ' WHERE rowid = ' || new.rowid || ' AND ' || %s", name, row("old", ", ", " = "), row("new", " AND ", " IS "))),
		undoTrigger(table, "DELETE", fmt.Sprintf("'INSERT INTO %s (%s) VALUES (' || %s || ')'", name, quotedList(columns), strings.Join(values, " || ', ' || "))),
	}
}

func undoTrigger(table, event, back string) trigger {
	name := fmt.Sprintf("undo_%s_%s", table, strings.ToLower(event))
	return trigger{name, fmt.Sprintf("CREATE TRIGGER %s AFTER %s ON %s WHEN %s BEGIN INSERT INTO undo_log (act, sql) SELECT id, %s FROM undo_acts WHERE active; END",
		name, event, quoted(table), isActive, back)}
}

func quotedList(columns []string) string {
	out := make([]string, len(columns))
	for n, c := range columns {
		out[n] = quoted(c)
	}
	return strings.Join(out, ", ")
}
