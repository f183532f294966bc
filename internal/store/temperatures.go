package store

import (
	"time"

	"gorm.io/gorm/clause"
)

// Temperatures lists the fridge's readings from a moment on, the earliest first.
func (s *Store) Temperatures(from time.Time) ([]Temperature, error) {
	var readings []Temperature
	err := s.db.Where("at >= ?", from.Unix()).Order("at").Find(&readings).Error
	return readings, err
}

// KeepTemperatures adds readings; of a moment that is there the newer counts.
func (s *Store) KeepTemperatures(readings []Temperature) error {
	if len(readings) == 0 {
		return nil
	}
	return s.db.Clauses(clause.OnConflict{UpdateAll: true}).CreateInBatches(readings, 500).Error
}
