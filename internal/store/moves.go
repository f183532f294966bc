package store

import (
	"errors"
	"fmt"
	"slices"

	"gorm.io/gorm"

	"plushladle/core/keep"
)

// PouredInto is why a bottle is finished whose rest went into another: the other's number
// follows.
const PouredInto = "poured-into/"

// UsedUp is why a pack is finished that was used up.
const UsedUp = "used-up"

// ErrFrozenOnce says that a bottle that was thawed is not frozen again.
var ErrFrozenOnce = errors.New("a thawed bottle is not frozen again")

// Move puts a bottle elsewhere. Where it stands there already nothing is done.
func (s *Store) Move(id int64, place string) (*Bottle, error) {
	return s.change(id, func(tx *gorm.DB, b *Bottle) error {
		if b.State != InUse {
			return &EmptyError{LeftML: b.LeftML, State: b.State}
		}
		if b.Place == place {
			return nil
		}
		frozen, err := wasFrozen(tx, b)
		if err != nil {
			return err
		}
		if place == Freezer && frozen {
			return ErrFrozenOnce
		}
		b.Place = place
		return tx.Create(&Move{BottleID: id, Place: place, At: s.now()}).Error
	})
}

// wasFrozen tells whether what is in a bottle was ever frozen, in it or in another.
func wasFrozen(tx *gorm.DB, b *Bottle) (bool, error) {
	var n int64
	err := tx.Model(&Move{}).Where("bottle_id = ? AND place = ?", b.ID, Freezer).Count(&n).Error
	return n > 0 || b.FirstPlace == Freezer || b.FrozenOnce, err
}

// MergeError says why two bottles are not poured together.
type MergeError struct {
	Why                   keep.Apart
	TogetherML, LargestML float64
}

func (e *MergeError) Error() string { return "not poured together: " + string(e.Why) }

func leftover(b *Bottle, drink int64) keep.Leftover {
	return keep.Leftover{Bottle: b.ID, Drink: drink, InUse: b.State == InUse, Frozen: b.Place == Freezer, FilledML: b.Filled(), HoldsML: b.VolumeML, LeftML: b.LeftML}
}

// Merge pours a leftover into another of the same drink. shorter is the one
// with the shorter life, whose life the whole takes; it goes on, in the larger
// of the two bottles, and other is empty. Both keep what was filled and what happened.
func (s *Store) Merge(shorter, other int64) (*Bottle, error) {
	return s.change(shorter, func(tx *gorm.DB, b *Bottle) error {
		var o Bottle
		if err := found(tx.Preload("Batch").First(&o, other).Error); err != nil {
			return err
		}
		var mine Batch
		if err := tx.First(&mine, b.BatchID).Error; err != nil {
			return err
		}
		largest, why := leftover(b, mine.DrinkID).Pour(leftover(&o, o.Batch.DrinkID))
		if why != keep.Together {
			return &MergeError{Why: why, TogetherML: b.LeftML + o.LeftML, LargestML: largest}
		}
		joined := Joined{BottleID: b.ID, OtherID: o.ID, ML: o.LeftML, At: s.now()}
		if err := tx.Create(&joined).Error; err != nil {
			return err
		}
		frozen, err := wasFrozen(tx, &o)
		if err != nil {
			return err
		}
		b.FrozenOnce = b.FrozenOnce || frozen
		b.FilledML = b.Filled()
		b.VolumeML, b.LeftML = largest, min(largest, b.LeftML+o.LeftML)
		for _, a := range o.Allergens {
			if !slices.Contains(b.Allergens, a) {
				b.Allergens = append(b.Allergens, a)
			}
		}
		o.LeftML = 0
		s.end(&o, Finished, fmt.Sprintf("%s%d", PouredInto, b.ID))
		return tx.Omit("Batch", "Moves", "Joined").Save(&o).Error
	})
}
