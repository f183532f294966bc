package store

import (
	"encoding/json"
	"errors"
	"math"
	"time"

	"gorm.io/gorm"
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

// importedAtOnce is how many readings are written in one go: few enough that whoever else writes
// does not wait for all of a large file.
const importedAtOnce = 5_000

// ImportTemperatures takes in what each gives away, as one import under a name. What was read of
// a moment already stays; so an import that was cut off can be done again.
func (s *Store) ImportTemperatures(name string, each func(take func(Temperature) error) error) (TemperatureImport, error) {
	in := TemperatureImport{Name: name, At: s.now()}
	if err := s.db.Create(&in).Error; err != nil {
		return in, err
	}
	var waiting [][2]float64
	write := func() error {
		err := s.addNew(&in, waiting)
		waiting = waiting[:0]
		return err
	}
	err := each(func(t Temperature) error {
		if waiting = append(waiting, [2]float64{float64(t.At), t.TempC}); len(waiting) < importedAtOnce {
			return nil
		}
		return write()
	})
	if err == nil {
		err = write()
	}
	if err != nil {
		return in, errors.Join(err, s.RemoveImport(in.ID))
	}
	in.Whole = true
	return in, s.db.Save(&in).Error
}

// addNew adds the readings of moments that have none, and counts them. They go in as one
// statement: the driver compiles one anew each time, which takes longer than a row.
func (s *Store) addNew(in *TemperatureImport, some [][2]float64) error {
	if len(some) == 0 {
		return nil
	}
	rows, err := json.Marshal(some)
	if err != nil {
		return err
	}
	return s.db.Transaction(func(tx *gorm.DB) error {
		made := tx.Exec("INSERT INTO temperatures (at, temp_c, import_id) SELECT value ->> 0, value ->> 1, ? FROM json_each(?) WHERE true ON CONFLICT DO NOTHING", in.ID, string(rows))
		if made.Error != nil {
			return made.Error
		}
		in.Readings += int(made.RowsAffected)
		return tx.Model(in).Update("readings", in.Readings).Error
	})
}

// Imports are the files of readings that were taken in, the last first.
func (s *Store) Imports(most int) ([]TemperatureImport, error) {
	return list[TemperatureImport](s.db.Order("id DESC").Limit(most))
}

// RemoveImport takes an import back: its readings go, and no other.
func (s *Store) RemoveImport(id int64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := tx.Delete(&Temperature{}, "import_id = ?", id).Error; err != nil {
			return err
		}
		return removed(tx.Delete(&TemperatureImport{}, id))
	})
}

// HasRead counts which of some moments, in order and each once, were read already.
func (s *Store) HasRead(moments []int64) (int, error) {
	if len(moments) == 0 {
		return 0, nil
	}
	rows, err := s.db.Raw("SELECT at FROM temperatures WHERE at BETWEEN ? AND ? ORDER BY at", moments[0], moments[len(moments)-1]).Rows()
	if err != nil {
		return 0, err
	}
	defer func() { _ = rows.Close() }()
	has, n := 0, 0
	for rows.Next() {
		var at int64
		if err := rows.Scan(&at); err != nil {
			return 0, err
		}
		for n < len(moments) && moments[n] < at {
			n++
		}
		if n < len(moments) && moments[n] == at {
			has++
		}
	}
	return has, rows.Err()
}
