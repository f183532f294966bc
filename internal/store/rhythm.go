package store

import (
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Rhythm is how the cook wants to make drinks; none chosen where nothing was
// said yet.
func (s *Store) Rhythm() (Rhythm, error) {
	var r Rhythm
	err := found(s.db.First(&r).Error)
	if errors.Is(err, ErrNotFound) {
		return Rhythm{DrinkIDs: []int64{}}, nil
	}
	return r, err
}

// SetRhythm keeps it, where it still is at the revision given.
func (s *Store) SetRhythm(r Rhythm) error {
	r.ID = 1
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := raise(tx, "rhythms", "id", 1, &r.Revision); err != nil {
			return err
		}
		return tx.Clauses(clause.OnConflict{UpdateAll: true}).Create(&r).Error
	})
}

// Made is one batch of a drink: when, and how much went into bottles.
type Made struct {
	MadeOn string
	ML     float64
}

// MadeSince lists a drink's batches from a date on, the earliest first.
func (s *Store) MadeSince(drinkID int64, from time.Time) ([]Made, error) {
	var made []Made
	err := s.db.Model(&Batch{}).Select("batches.made_on, COALESCE(SUM(COALESCE(NULLIF(bottles.filled_ml, 0), bottles.volume_ml)), 0) AS ml").
		Joins("LEFT JOIN bottles ON bottles.batch_id = batches.id").
		Where("batches.drink_id = ? AND batches.made_on >= ?", drinkID, from.Format(time.DateOnly)).
		Group("batches.id").Order("batches.made_on, batches.id").Scan(&made).Error
	return made, err
}

// LastMadeOn is the date a drink was made last; empty where it never was.
func (s *Store) LastMadeOn(drinkID int64) (string, error) {
	var day string
	err := s.db.Model(&Batch{}).Where("drink_id = ?", drinkID).Select("COALESCE(MAX(made_on), '')").Scan(&day).Error
	return day, err
}

// ThrownOut is what was thrown out of a drink for one reason.
type ThrownOut struct {
	DrinkID int64
	Why     string
	ML      float64
	Bottles int
}

// ThrownSince lists what was thrown out since a moment, the most first.
func (s *Store) ThrownSince(since time.Time) ([]ThrownOut, error) {
	var thrown []ThrownOut
	err := s.db.Model(&Bottle{}).Select("batches.drink_id, bottles.ended_why AS why, SUM(bottles.left_ml) AS ml, COUNT(*) AS bottles").
		Joins("JOIN batches ON batches.id = bottles.batch_id").
		Where("bottles.state = ? AND bottles.ended_at >= ?", Thrown, since).
		Group("batches.drink_id, bottles.ended_why").Order("ml DESC, batches.drink_id, why").Scan(&thrown).Error
	return thrown, err
}

// PoursSince lists what was poured of some drinks since a moment.
func (s *Store) PoursSince(drinkIDs []int64, since time.Time) ([]Pour, error) {
	var pours []Pour
	err := s.db.Joins("JOIN bottles ON bottles.id = pours.bottle_id").Joins("JOIN batches ON batches.id = bottles.batch_id").
		Where("pours.poured_at >= ? AND batches.drink_id IN ?", since, drinkIDs).Order("pours.id").Find(&pours).Error
	return pours, err
}
