package store

import (
	"time"

	"gorm.io/gorm"

	"plushladle/core/keep"
)

// AllTastings are those of all batches, the earliest first.
func (s *Store) AllTastings() ([]Tasting, error) { return list[Tasting](s.db.Order("id")) }

// AllBottles are all that were ever filled, the earliest first.
func (s *Store) AllBottles() ([]Bottle, error) {
	return list[Bottle](s.db.Preload("Batch").Order("id"))
}

// AllPours are all that were ever poured, the earliest first.
func (s *Store) AllPours() ([]Pour, error) { return list[Pour](s.db.Order("id")) }

// ChangeTasting writes one anew.
func (s *Store) ChangeTasting(t Tasting) error {
	return removed(s.db.Model(&Tasting{}).Where("id = ? AND batch_id = ?", t.ID, t.BatchID).Select("*").Omit("id", "batch_id").Updates(&t))
}

// AddBottle puts a bottle of a batch on the record.
func (s *Store) AddBottle(b *Bottle) error {
	b.State, b.CreatedAt, b.FirstPlace = InUse, s.now(), b.Place
	return s.db.Omit("Batch", "Moves", "Joined").Create(b).Error
}

// ChangeBottle says what is left in a bottle, and where it stands; an empty place leaves it there.
// It answers what is wrong where it never held as much, or is never put where it was said.
func (s *Store) ChangeBottle(id int64, leftML float64, place string) error {
	if b, err := s.Bottle(id); err != nil || b.State != InUse && b.LeftML == leftML && (place == "" || place == b.Place) {
		return err // what is gone is not changed, and need not be
	}
	_, err := s.change(id, func(tx *gorm.DB, b *Bottle) error {
		if b.State != InUse || leftML > b.VolumeML {
			return &EmptyError{LeftML: b.VolumeML, State: b.State}
		}
		b.LeftML = leftML
		if leftML <= nothingML {
			b.LeftML = 0
			s.end(b, Finished, "poured")
		}
		if place == "" || place == b.Place {
			return nil
		}
		var moves []Move
		if err := tx.Where("bottle_id = ?", id).Find(&moves).Error; err != nil {
			return err
		}
		places := []keep.Place{keep.Place(b.FirstPlace)}
		for _, m := range moves {
			places = append(places, keep.Place(m.Place))
		}
		if place == Freezer && !keep.CanFreeze(places...) {
			return ErrFrozenOnce
		}
		b.Place = place
		return tx.Create(&Move{BottleID: id, Place: place, At: s.now()}).Error
	})
	return err
}

// AddPour takes from a bottle what was poured at a moment.
func (s *Store) AddPour(p Pour) error {
	_, err := s.Pour(p.BottleID, p.ML, s.now().Sub(p.PouredAt))
	return err
}

// ChangePour writes one anew; what its bottle holds stays as it is.
func (s *Store) ChangePour(p Pour) error {
	return removed(s.db.Model(&Pour{}).Where("id = ? AND bottle_id = ?", p.ID, p.BottleID).Updates(map[string]any{"ml": p.ML, "poured_at": p.PouredAt}))
}

// AllergensSince are the codes of all allergens that bottles held which were filled since a moment.
func (s *Store) AllergensSince(since time.Time) ([]string, error) {
	var out []string
	err := s.db.Raw("SELECT DISTINCT a.value FROM bottles b, json_each(b.allergens) a WHERE b.created_at >= ? ORDER BY a.value", since).Scan(&out).Error
	return out, err
}
