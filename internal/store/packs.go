package store

import (
	"fmt"
	"gorm.io/gorm"
)

// Packs lists the open packs, the one opened first first.
func (s *Store) Packs() ([]Pack, error) {
	return list[Pack](s.db.Where("state = ?", InUse).Order("opened_on, id"))
}

// OpenPack puts an open pack on the shelf. What is in it is part of the stock,
// which grows to that where less was known of.
func (s *Store) OpenPack(p Pack) error {
	return s.db.Transaction(func(tx *gorm.DB) error { return openPack(tx, p) })
}

func openPack(tx *gorm.DB, p Pack) error {
	p.State = InUse
	if err := tx.Create(&p).Error; err != nil {
		return err
	}
	return tx.Exec(`INSERT INTO stock (ingredient, mass_g) SELECT ingredient, SUM(mass_g) FROM packs WHERE ingredient = ? AND state = ? GROUP BY ingredient
		ON CONFLICT (ingredient) DO UPDATE SET mass_g = max(mass_g, excluded.mass_g)`, p.Ingredient, InUse).Error
}

// UsePack takes something out of an open pack, and of the stock. An empty one
// is finished.
func (s *Store) UsePack(id int64, massG float64) error {
	return s.changePack(id, func(tx *gorm.DB, p *Pack) error {
		if massG > p.MassG+nothingML {
			return &PackError{HasG: p.MassG}
		}
		p.takeOut(massG)
		return lessStock(tx, p.Ingredient, massG)
	})
}

// PackError says that an open pack holds less than is to be taken from it.
type PackError struct{ HasG float64 }

func (e *PackError) Error() string { return fmt.Sprintf("the pack holds %.0f g", e.HasG) }

// EndPack says that an open pack is used up, or thrown out and why.
func (s *Store) EndPack(id int64, state, why string) error {
	return s.changePack(id, func(tx *gorm.DB, p *Pack) error {
		left := p.MassG
		p.State, p.EndedWhy = state, why
		return lessStock(tx, p.Ingredient, left)
	})
}

func (s *Store) changePack(id int64, how func(*gorm.DB, *Pack) error) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		var p Pack
		if err := found(tx.Where("state = ?", InUse).First(&p, id).Error); err != nil {
			return err
		}
		if err := how(tx, &p); err != nil {
			return err
		}
		return tx.Save(&p).Error
	})
}

// takeOut takes from the pack, which is finished once nothing is left.
func (p *Pack) takeOut(massG float64) {
	p.MassG = max(0, p.MassG-massG)
	if p.MassG <= nothingML {
		p.MassG, p.State, p.EndedWhy = 0, Finished, UsedUp
	}
}

// takeFromPacks takes what was used of an ingredient out of its open packs,
// the one opened first first, as a cook does.
func takeFromPacks(tx *gorm.DB, ingredient string, massG float64) error {
	var packs []Pack
	if err := tx.Where("ingredient = ? AND state = ?", ingredient, InUse).Order("opened_on, id").Find(&packs).Error; err != nil {
		return err
	}
	for _, p := range packs {
		if massG <= 0 {
			return nil
		}
		g := min(massG, p.MassG)
		massG -= g
		p.takeOut(g)
		if err := tx.Save(&p).Error; err != nil {
			return err
		}
	}
	return nil
}

// takeStock takes what was used of an ingredient from the stock, out of open
// packs before others.
func takeStock(tx *gorm.DB, ingredient string, g float64) error {
	if err := takeFromPacks(tx, ingredient, g); err != nil {
		return err
	}
	return lessStock(tx, ingredient, g)
}

func lessStock(tx *gorm.DB, ingredient string, g float64) error {
	if err := takeFromLots(tx, ingredient, g); err != nil {
		return err
	}
	return tx.Exec("UPDATE stock SET mass_g = max(0, mass_g - ?) WHERE ingredient = ?", g, ingredient).Error
}
