package store

import (
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"

	"plushladle/core/stock"
	"plushladle/internal/kitchen"
)

// Buy puts a lot into the pantry, whose stock grows by it.
func (s *Store) Buy(l Lot) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		l.LeftG = l.BoughtG
		if err := tx.Create(&l).Error; err != nil {
			return err
		}
		return addStock(tx, l.Ingredient, l.BoughtG)
	})
}

// RemoveLot takes a lot out of the record, with what is left of it.
func (s *Store) RemoveLot(id int64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		var l Lot
		if err := found(tx.First(&l, id).Error); err != nil {
			return err
		}
		if err := tx.Delete(&l).Error; err != nil {
			return err
		}
		return tx.Exec("UPDATE stock SET mass_g = max(0, mass_g - ?) WHERE ingredient = ?", l.LeftG, l.Ingredient).Error
	})
}

// Lots are those of an ingredient, or of all where it is empty, the newest first.
func (s *Store) Lots(ingredient string) ([]Lot, error) {
	return list[Lot](s.db.Where("? IN ('', ingredient)", ingredient).Order("bought_on DESC, id DESC"))
}

// CoreLots are lots as the core takes them, by ingredient.
func CoreLots(lots []Lot) map[string][]stock.Lot {
	out := map[string][]stock.Lot{}
	for _, l := range lots {
		out[l.Ingredient] = append(out[l.Ingredient], stock.Lot{ID: l.ID, BoughtG: l.BoughtG, LeftG: l.LeftG, Price: l.Price, BoughtOn: date0(l.BoughtOn), BestBefore: date0(l.BestBefore)})
	}
	return out
}

// date0 is a date this program wrote; the zero time of an empty one.
func date0(text string) time.Time {
	day, _ := time.ParseInLocation(time.DateOnly, text, time.UTC)
	return day
}

// takeFromLots takes what was used of an ingredient out of its lots.
func takeFromLots(tx *gorm.DB, ingredient string, massG float64) error {
	var lots []Lot
	if err := tx.Where("ingredient = ? AND left_g > 0", ingredient).Find(&lots).Error; err != nil {
		return err
	}
	for _, l := range stock.Take(CoreLots(lots)[ingredient], massG) {
		if err := tx.Model(&Lot{ID: l.ID}).Update("left_g", l.LeftG).Error; err != nil {
			return err
		}
	}
	return nil
}

// trimLots has the lots hold no more than the stock that was counted.
func trimLots(tx *gorm.DB, ingredient string, stockG float64) error {
	var inLots float64
	if err := tx.Model(&Lot{}).Where("ingredient = ?", ingredient).Select("COALESCE(SUM(left_g), 0)").Scan(&inLots).Error; err != nil {
		return err
	}
	if inLots <= stockG {
		return nil
	}
	return takeFromLots(tx, ingredient, inLots-stockG)
}

// SetLow says from how much down an ingredient runs low; 0 for never.
func (s *Store) SetLow(ingredient string, lowG float64) error {
	return s.db.Exec(`INSERT INTO stock (ingredient, mass_g, low_g) VALUES (?, 0, ?)
		ON CONFLICT (ingredient) DO UPDATE SET low_g = excluded.low_g`, ingredient, lowG).Error
}

// Low are the amounts from which ingredients run low.
func (s *Store) Low() (map[string]float64, error) {
	var rows []Stock
	err := s.db.Where("low_g > 0").Find(&rows).Error
	out := map[string]float64{}
	for _, r := range rows {
		out[r.Ingredient] = r.LowG
	}
	return out, err
}

// MorePacks are the packs of other sizes.
func (s *Store) MorePacks() ([]MorePack, error) {
	return list[MorePack](s.db.Order("ingredient, pack_g"))
}

// AddPack keeps a pack of another size.
func (s *Store) AddPack(p MorePack) error { return s.db.Create(&p).Error }

// RemovePack forgets one.
func (s *Store) RemovePack(id int64) error { return removed(s.db.Delete(&MorePack{}, id)) }

// Adjustments are what the kitchen knows better, by ingredient.
func (s *Store) Adjustments() (map[string]kitchen.Adjustment, error) {
	rows, err := list[Adjustment](s.db)
	out := map[string]kitchen.Adjustment{}
	for _, r := range rows {
		out[r.Ingredient] = r.Row
	}
	return out, err
}

// Adjust keeps what the kitchen knows better of a row; nothing has it as it ships.
func (s *Store) Adjust(ingredient string, row kitchen.Adjustment) error {
	if row.IsNothing() {
		return s.db.Delete(&Adjustment{}, "ingredient = ?", ingredient).Error
	}
	return s.db.Clauses(clause.OnConflict{UpdateAll: true}).Create(&Adjustment{Ingredient: ingredient, Row: row}).Error
}

// leaveOpen puts what a batch left open of its packs on the shelf.
func leaveOpen(tx *gorm.DB, left []Pack) error {
	for _, p := range left {
		if err := openPack(tx, p); err != nil {
			return err
		}
	}
	return nil
}

// OpenG is what stands open of an ingredient.
func (s *Store) OpenG() (map[string]float64, error) {
	packs, err := s.Packs()
	out := map[string]float64{}
	for _, p := range packs {
		out[p.Ingredient] += p.MassG
	}
	return out, errors.Join(err)
}
