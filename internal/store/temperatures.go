package store

import (
	"math"
	"time"

	"gorm.io/gorm/clause"
)

// Temperatures lists the fridge's readings from a moment on, the earliest
// first. They are scanned one by one: there are a thousand and a half a day.
func (s *Store) Temperatures(from time.Time) ([]Temperature, error) {
	rows, err := s.db.Raw("SELECT at, temp_c FROM temperatures WHERE at >= ? ORDER BY at", from.Unix()).Rows()
	if err != nil {
		return nil, err
	}
	defer func() { _ = rows.Close() }()
	var readings []Temperature
	for rows.Next() {
		var t Temperature
		if err := rows.Scan(&t.At, &t.TempC); err != nil {
			return nil, err
		}
		readings = append(readings, t)
	}
	return readings, rows.Err()
}

// temperaturesAtOnce is how many readings are held while all are gone through.
const temperaturesAtOnce = 10_000

// EachTemperature goes through all readings, the earliest first. There may be
// years of them, so that they are not held at once.
func (s *Store) EachTemperature(take func(Temperature) bool) error {
	for last := int64(math.MinInt64); ; {
		var some []Temperature
		if err := s.db.Where("at > ?", last).Order("at").Limit(temperaturesAtOnce).Find(&some).Error; err != nil {
			return err
		}
		for _, t := range some {
			if !take(t) {
				return nil
			}
			last = t.At
		}
		if len(some) < temperaturesAtOnce {
			return nil
		}
	}
}

// KeepTemperatures adds readings; of a moment that is there the newer counts.
func (s *Store) KeepTemperatures(readings []Temperature) error {
	if len(readings) == 0 {
		return nil
	}
	return s.db.Clauses(clause.OnConflict{UpdateAll: true}).CreateInBatches(readings, 500).Error
}
