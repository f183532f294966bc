package store

import (
	"errors"

	"gorm.io/gorm"

	"plushladle/internal/kitchen"
)

// StartDrink begins a new drink with a draft.
func (s *Store) StartDrink(name string, draft kitchen.Recipe) (*Drink, error) {
	now := s.now()
	d := &Drink{Name: name, Draft: draft, Revision: 1, CreatedAt: now, ChangedAt: now}
	return d, s.db.Create(d).Error
}

// Drinks lists all drinks, the one worked on last first, with their versions.
func (s *Store) Drinks() ([]Drink, error) {
	return list[Drink](s.db.Preload("Versions", newestFirst).Order("changed_at DESC, id DESC"))
}

func newestFirst(db *gorm.DB) *gorm.DB { return db.Order("number DESC") }

// Drink finds one drink with its versions, the newest first.
func (s *Store) Drink(id int64) (*Drink, error) {
	var d Drink
	err := s.db.Preload("Versions", newestFirst).First(&d, id).Error
	return &d, found(err)
}

// SaveDraft keeps what the cook is working on. revision is the one the draft
// was read at: a *Conflict is returned, and nothing written, if another tab or
// device saved in between. The drink comes back at its new revision.
func (s *Store) SaveDraft(id int64, revision int, name string, draft kitchen.Recipe) (*Drink, error) {
	err := s.db.Transaction(func(tx *gorm.DB) error {
		return saveDraft(tx, id, revision, &Drink{Name: name, Draft: draft, Revision: revision + 1, ChangedAt: s.now()})
	})
	if err != nil {
		return nil, err
	}
	return s.Drink(id)
}

func saveDraft(tx *gorm.DB, id int64, revision int, changed *Drink) error {
	var current Drink
	if err := tx.Select("id", "name", "revision").First(&current, id).Error; err != nil {
		return found(err)
	}
	if current.Revision != revision {
		return &Conflict{Revision: current.Revision}
	}
	if current.Name != changed.Name { // drinks made of it go on being so
		if err := renameLines(tx, current.Name, changed.Name, id); err != nil {
			return err
		}
	}
	return tx.Model(&Drink{ID: id}).Select("name", "draft", "revision", "changed_at").Updates(changed).Error
}

// KeepVersion stores the drink's draft as its next version.
func (s *Store) KeepVersion(id int64, note string) (*Version, error) {
	var v Version
	err := s.db.Transaction(func(tx *gorm.DB) error {
		d, err := drinkWithNewest(tx, id)
		if err != nil {
			return err
		}
		v = Version{DrinkID: id, Number: 1, Note: note, Recipe: d.Draft, CreatedAt: s.now()}
		if len(d.Versions) > 0 {
			v.Number = d.Versions[0].Number + 1
		}
		return tx.Create(&v).Error
	})
	return &v, err
}

func drinkWithNewest(tx *gorm.DB, id int64) (*Drink, error) {
	var d Drink
	err := tx.Preload("Versions", newestFirst).First(&d, id).Error
	return &d, found(err)
}

// DeleteDrink removes a drink that was never made, with its versions. A drink
// with batches is kept, as its bottles still tell where they come from.
func (s *Store) DeleteDrink(id int64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		var made int64
		if err := tx.Model(&Batch{}).Where("drink_id = ?", id).Count(&made).Error; err != nil {
			return err
		}
		if made > 0 {
			return ErrMade
		}
		result := tx.Delete(&Drink{}, id)
		if result.Error == nil && result.RowsAffected == 0 {
			return ErrNotFound
		}
		return result.Error
	})
}

// ErrMade says that a drink cannot be removed because it has been made.
var ErrMade = errors.New("it has been made, and its batches are kept")

// Settings are the kitchen's own ways. They are asked for with every
// reckoning, so they are read once and remembered.
func (s *Store) Settings() (Settings, error) {
	if known := s.settings.Load(); known != nil {
		return *known, nil
	}
	var settings Settings
	if err := s.db.First(&settings, 1).Error; err != nil {
		return Settings{}, err
	}
	s.settings.CompareAndSwap(nil, &settings)
	return settings, nil
}

// SetSettings changes them, where they still are at the revision given, or
// whatever it is where none is given.
func (s *Store) SetSettings(settings Settings) error {
	settings.ID = 1
	defer s.settings.Store(nil)
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := raise(tx, "settings", "id", 1, &settings.Revision); err != nil {
			return err
		}
		return tx.Save(&settings).Error
	})
}

// raise counts a revision up by one. It is a *Conflict where the row is at
// another than given, so that no tab writes over what it has not seen; given 0,
// whatever there is is written over. A row that is not there begins at 1.
func raise(tx *gorm.DB, table, key string, id any, revision *int) error {
	var now int
	result := tx.Table(table).Where(key+" = ?", id).Select("revision").Scan(&now)
	if result.Error != nil {
		return result.Error
	}
	if *revision != 0 && *revision != now {
		return &Conflict{Revision: now}
	}
	*revision = now + 1
	return nil
}

// found turns gorm's "record not found" into ErrNotFound.
func found(err error) error {
	if errors.Is(err, gorm.ErrRecordNotFound) {
		return ErrNotFound
	}
	return err
}
