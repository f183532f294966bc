package store

import (
	"fmt"

	"gorm.io/gorm"
)

// Bowls lists what soaks, the oldest first.
func (s *Store) Bowls() ([]Bowl, error) {
	return list[Bowl](s.db.Order("since, id"))
}

// StartBowl puts a lot in to soak, out of the stock where there is any.
func (s *Store) StartBowl(ingredient string, dryG float64, fridge bool) error {
	now := s.now()
	return s.db.Transaction(func(tx *gorm.DB) error {
		b := Bowl{Ingredient: ingredient, DryG: dryG, Fridge: fridge, Since: now, Topped: now, Changed: now}
		if err := tx.Create(&b).Error; err != nil {
			return err
		}
		return takeStock(tx, ingredient, dryG)
	})
}

// TopUpBowl puts more in, with fresh water.
func (s *Store) TopUpBowl(id int64, dryG float64) error {
	return s.changeBowl(id, func(tx *gorm.DB, b *Bowl) error {
		now := s.now()
		if b.DryG == 0 {
			b.Since = now // nothing old is left in it
		}
		b.DryG, b.Topped, b.Changed = b.DryG+dryG, now, now
		return takeStock(tx, b.Ingredient, dryG)
	})
}

// ChangeBowl changes a bowl's water, and where it stands.
func (s *Store) ChangeBowl(id int64, freshWater, fridge bool) error {
	return s.changeBowl(id, func(_ *gorm.DB, b *Bowl) error {
		if freshWater {
			b.Changed = s.now()
		}
		b.Fridge = fridge
		return nil
	})
}

// EndBowl takes a bowl off the shelf: used up or thrown out.
func (s *Store) EndBowl(id int64) error { return removed(s.db.Delete(&Bowl{}, id)) }

// TooLittleError says that a bowl does not hold what was to be drawn.
type TooLittleError struct{ HasG, WantedG float64 }

func (e *TooLittleError) Error() string {
	return fmt.Sprintf("%.0f g dry, %.0f g wanted", e.HasG, e.WantedG)
}

// draw takes from a bowl, or gives back where dryG is below nothing.
func draw(tx *gorm.DB, id int64, dryG float64) error {
	var b Bowl
	if err := found(tx.First(&b, id).Error); err != nil {
		return err
	}
	if dryG > b.DryG+nothingG {
		return &TooLittleError{b.DryG, dryG}
	}
	b.DryG = max(0, b.DryG-dryG)
	return tx.Save(&b).Error
}

// nothingG is what a scale does not show.
const nothingG = 0.5

func (s *Store) changeBowl(id int64, how func(*gorm.DB, *Bowl) error) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		var b Bowl
		if err := found(tx.First(&b, id).Error); err != nil {
			return err
		}
		if err := how(tx, &b); err != nil {
			return err
		}
		return tx.Save(&b).Error
	})
}
