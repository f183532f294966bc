package store

import (
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

const (
	// forgottenAfter is how long a device may stay away before it has to show
	// the passphrase again (a judgement, no source).
	forgottenAfter = 90 * 24 * time.Hour
	// seenEvery is how exactly it is kept when a device was last here, so that
	// not every request is a write.
	seenEvery = time.Hour
)

// PassphraseHash is what is kept of the passphrase; empty where there is none.
func (s *Store) PassphraseHash() (string, error) {
	var p Passphrase
	err := found(s.db.First(&p).Error)
	if errors.Is(err, ErrNotFound) {
		return "", nil
	}
	return p.Hash, err
}

// SetPassphrase keeps another, and signs out every device but one (0 for all).
func (s *Store) SetPassphrase(hash string, but int64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := tx.Delete(&Device{}, "id <> ?", but).Error; err != nil {
			return err
		}
		return tx.Clauses(clause.OnConflict{UpdateAll: true}).Create(&Passphrase{ID: 1, Hash: hash}).Error
	})
}

// SignIn lets a device in that will show a token with this hash.
func (s *Store) SignIn(d Device) (*Device, error) {
	d.SignedIn, d.Seen = s.now(), s.now()
	return &d, s.db.Create(&d).Error
}

// Device finds the one that shows a token with this hash, and marks it as
// seen. One that was away for long is forgotten.
func (s *Store) Device(tokenHash string) (*Device, error) {
	var d Device
	if err := found(s.db.Where("token_hash = ?", tokenHash).First(&d).Error); err != nil {
		return nil, err
	}
	away := s.now().Sub(d.Seen)
	if away > forgottenAfter {
		return nil, errors.Join(ErrNotFound, s.db.Delete(&d).Error)
	}
	if away < seenEvery {
		return &d, nil
	}
	d.Seen = s.now()
	return &d, s.db.Model(&d).Update("seen", d.Seen).Error
}

// Devices lists those that may come in, the last seen first.
func (s *Store) Devices() ([]Device, error) {
	return list[Device](s.db.Order("seen DESC, id"))
}

// SignOut forgets a device.
func (s *Store) SignOut(id int64) error { return removed(s.db.Delete(&Device{}, id)) }
