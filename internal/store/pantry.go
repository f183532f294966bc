package store

import (
	"errors"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"

	"plushladle/internal/kitchen"
)

// ErrNameTaken says that another goes by the name already.
var ErrNameTaken = errors.New("that name is taken")

// Larder is all a kitchen keeps besides its drinks: the cook's own rows,
// prices, measures and who drinks.
type Larder struct {
	Ingredients []OwnIngredient
	Prices      []Price
	Measures    []OwnMeasure
	Drinkers    []Drinker
	Names       []TaughtName
}

// Larder reads it all.
func (s *Store) Larder() (Larder, error) {
	ingredients, err1 := list[OwnIngredient](s.db.Order("name"))
	prices, err2 := list[Price](s.db.Order("ingredient"))
	measures, err3 := list[OwnMeasure](s.db.Order("name"))
	drinkers, err4 := list[Drinker](s.db.Order("id"))
	names, err5 := list[TaughtName](s.db.Order("name"))
	return Larder{ingredients, prices, measures, drinkers, names}, errors.Join(err1, err2, err3, err4, err5)
}

// KeepIngredient adds a row of the cook's own, or changes it where id is not 0
// and it still is at the revision given.
func (s *Store) KeepIngredient(id int64, row kitchen.OwnRow, revision int) (int64, error) {
	if id == 0 { // one of that name that was taken out before comes back
		var before OwnIngredient
		if err := s.db.Where("name = ? AND retired", row.Name).First(&before).Error; err == nil {
			id = before.ID
		}
	}
	kept := OwnIngredient{ID: id, Name: row.Name, Row: row, Revision: revision}
	err := s.keep(&kept, "own_ingredients", id, &kept.Revision)
	return kept.ID, err
}

// RemoveIngredient takes a row of the cook's own out again, and its price. One
// that is in use is kept for the drinks made with it, and no longer offered.
func (s *Store) RemoveIngredient(id int64, ingredientID string, inUse bool) error {
	if inUse {
		return removed(s.db.Model(&OwnIngredient{}).Where("id = ?", id).Update("retired", true))
	}
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := tx.Delete(&Price{}, "ingredient = ?", ingredientID).Error; err != nil {
			return err
		}
		return removed(tx.Delete(&OwnIngredient{}, id))
	})
}

// RenameIngredient has every line of that name bear another, in drafts, in
// versions and on the plan.
func (s *Store) RenameIngredient(from, to string) error {
	return s.db.Transaction(func(tx *gorm.DB) error { return renameLines(tx, from, to, 0) })
}

// renameLines renames lines in all drinks but one.
func renameLines(tx *gorm.DB, from, to string, but int64) error {
	drinks, err := list[Drink](tx.Preload("Versions").Where("id <> ?", but))
	if err != nil {
		return err
	}
	for _, d := range drinks {
		if f, changed := d.Draft.Renamed(from, to); changed {
			if err := tx.Model(&Drink{ID: d.ID}).Select("draft", "revision").Updates(&Drink{Draft: f, Revision: d.Revision + 1}).Error; err != nil {
				return err
			}
		}
		for _, v := range d.Versions {
			if f, changed := v.Recipe.Renamed(from, to); changed {
				if err := tx.Model(&Version{ID: v.ID}).Select("recipe").Updates(&Version{Recipe: f}).Error; err != nil {
					return err
				}
			}
		}
	}
	items, err := list[PlanItem](tx)
	if err != nil {
		return err
	}
	for _, i := range items {
		if f, changed := i.Recipe.Renamed(from, to); changed {
			if err := tx.Model(&PlanItem{ID: i.ID}).Select("recipe").Updates(&PlanItem{Recipe: f}).Error; err != nil {
				return err
			}
		}
	}
	return nil
}

// SetPrice says what a pack of an ingredient costs, where that still is at the
// revision given.
func (s *Store) SetPrice(p Price) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := raise(tx, "prices", "ingredient", p.Ingredient, &p.Revision); err != nil {
			return err
		}
		return tx.Clauses(clause.OnConflict{UpdateAll: true}).Create(&p).Error
	})
}

// RemovePrice forgets it.
func (s *Store) RemovePrice(ingredientID string) error {
	return removed(s.db.Delete(&Price{}, "ingredient = ?", ingredientID))
}

// KeepMeasure calibrates a measure of the cook's own.
func (s *Store) KeepMeasure(m OwnMeasure) error {
	return s.db.Clauses(clause.OnConflict{UpdateAll: true}).Create(&m).Error
}

// RemoveMeasure forgets it. One that is in use is kept for the drinks measured
// with it, and no longer offered.
func (s *Store) RemoveMeasure(name string, inUse bool) error {
	if inUse {
		return removed(s.db.Model(&OwnMeasure{}).Where("name = ?", name).Update("retired", true))
	}
	return removed(s.db.Delete(&OwnMeasure{}, "name = ?", name))
}

// TeachName keeps a name for an ingredient, the last one taught.
func (s *Store) TeachName(n TaughtName) error {
	return s.db.Clauses(clause.OnConflict{UpdateAll: true}).Create(&n).Error
}

// ForgetName forgets it.
func (s *Store) ForgetName(name string) error {
	return removed(s.db.Delete(&TaughtName{}, "name = ?", name))
}

// KeepDrinker adds someone who drinks here, or changes them where id is not 0
// and they still are at the revision given.
func (s *Store) KeepDrinker(id int64, d kitchen.Drinker, revision int) (int64, error) {
	kept := Drinker{ID: id, Name: d.Name, Drinker: d, Revision: revision}
	err := s.keep(&kept, "drinkers", id, &kept.Revision)
	return kept.ID, err
}

// RemoveDrinker takes them off the list.
func (s *Store) RemoveDrinker(id int64) error { return removed(s.db.Delete(&Drinker{}, id)) }

// keep creates a row, or writes over the one with the id.
func (s *Store) keep(row any, table string, id int64, revision *int) error {
	if id == 0 {
		*revision = 1
		return nameTaken(s.db.Create(row).Error)
	}
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := raise(tx, table, "id", id, revision); err != nil {
			return err
		}
		result := tx.Model(row).Select("*").Updates(row)
		if result.Error == nil && result.RowsAffected == 0 {
			return ErrNotFound
		}
		return nameTaken(result.Error)
	})
}

func nameTaken(err error) error {
	if errors.Is(err, gorm.ErrDuplicatedKey) {
		return ErrNameTaken
	}
	return err
}

func removed(result *gorm.DB) error {
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}
