package store

import (
	"time"

	"gorm.io/gorm"
)

// Timers lists the timers that were not stopped, the oldest first.
func (s *Store) Timers() ([]Timer, error) {
	return list[Timer](s.db.Order("id"))
}

// StartTimer starts a timer that runs for lengthS seconds from now.
func (s *Store) StartTimer(name string, lengthS int) error {
	now := s.now()
	end := now.Add(time.Duration(lengthS) * time.Second)
	return s.db.Create(&Timer{Name: name, LengthS: lengthS, EndsAt: &end, CreatedAt: now}).Error
}

// HoldTimer holds a timer that runs, with what is left of it, and lets a held
// one run on. One that is over stays over.
func (s *Store) HoldTimer(id int64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		var t Timer
		if err := found(tx.First(&t, id).Error); err != nil {
			return err
		}
		now := s.now()
		switch {
		case t.EndsAt == nil:
			end := now.Add(time.Duration(t.LeftS) * time.Second)
			t.EndsAt = &end
		case t.EndsAt.After(now):
			t.LeftS, t.EndsAt = int((t.EndsAt.Sub(now)+time.Second-1)/time.Second), nil
		}
		return tx.Save(&t).Error
	})
}

// StopTimer stops a timer, or answers one that is over.
func (s *Store) StopTimer(id int64) error { return removed(s.db.Delete(&Timer{}, id)) }
