package store

import (
	"gorm.io/gorm"

	"plushladle/core/plan"
)

// Plan lists what is planned, what is ready first first.
func (s *Store) Plan() ([]PlanItem, error) {
	return list[PlanItem](s.db.Order("ready_by, id"))
}

// KeepPlan writes all items of a plan as one: those with no id are new. An
// item whose times changed has had its sequence raised by the caller.
func (s *Store) KeepPlan(items []PlanItem) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		for n := range items {
			if items[n].Pins == nil {
				items[n].Pins = []plan.Pin{}
			}
			if items[n].CreatedAt.IsZero() {
				items[n].CreatedAt = s.now()
			}
			if err := tx.Save(&items[n]).Error; err != nil {
				return err
			}
		}
		return nil
	})
}

// KeepDrawn writes the plan, and takes from bowls what its drinks drew of them
// since: dryG by bowl, below nothing for what was given back.
func (s *Store) KeepDrawn(items []PlanItem, dryG map[int64]float64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		for id, g := range dryG {
			if err := draw(tx, id, g); err != nil {
				return err
			}
		}
		return (&Store{db: tx, now: s.now}).KeepPlan(items)
	})
}

// TakeOffPlan removes an item, and takes what it used from the stock where it
// was made.
func (s *Store) TakeOffPlan(id int64, usedG map[string]float64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		for ingredient, g := range usedG {
			if err := takeStock(tx, ingredient, g); err != nil {
				return err
			}
		}
		return removed(tx.Delete(&PlanItem{}, id))
	})
}

// Stock lists what there is.
func (s *Store) Stock() (map[string]float64, error) {
	var rows []Stock
	err := s.db.Find(&rows).Error
	there := make(map[string]float64, len(rows))
	for _, r := range rows {
		there[r.Ingredient] = r.MassG
	}
	return there, err
}

// SetStock says how much there is of an ingredient.
func (s *Store) SetStock(ingredient string, massG float64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		err := tx.Exec(`INSERT INTO stock (ingredient, mass_g) VALUES (?, ?)
			ON CONFLICT (ingredient) DO UPDATE SET mass_g = excluded.mass_g`, ingredient, massG).Error
		if err != nil {
			return err
		}
		return trimLots(tx, ingredient, massG)
	})
}

// AddStock puts more of an ingredient into the pantry.
func (s *Store) AddStock(ingredient string, massG float64) error {
	return addStock(s.db, ingredient, massG)
}

func addStock(db *gorm.DB, ingredient string, massG float64) error {
	return db.Exec(`INSERT INTO stock (ingredient, mass_g) VALUES (?, ?)
		ON CONFLICT (ingredient) DO UPDATE SET mass_g = mass_g + excluded.mass_g`, ingredient, massG).Error
}
