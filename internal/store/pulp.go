package store

import "gorm.io/gorm"

// Pulps lists the pulp in use, the oldest first.
func (s *Store) Pulps() ([]Pulp, error) {
	return list[Pulp](s.db.Where("state = ?", InUse).Preload("Batch").Order("since, id"))
}

// FreezePulp puts a pulp into the freezer.
func (s *Store) FreezePulp(id int64) error {
	return s.changePulp(id, func(p *Pulp) { p.Place, p.Since = Freezer, s.now() })
}

// EndPulp says that a pulp was used or thrown out, and for what or why.
func (s *Store) EndPulp(id int64, state, why string) error {
	return s.changePulp(id, func(p *Pulp) { p.State, p.EndedWhy = state, why })
}

func (s *Store) changePulp(id int64, how func(*Pulp)) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		var p Pulp
		if err := found(tx.Where("state = ?", InUse).First(&p, id).Error); err != nil {
			return err
		}
		how(&p)
		return tx.Omit("Batch").Save(&p).Error
	})
}
