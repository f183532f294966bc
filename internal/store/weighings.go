package store

import "gorm.io/gorm/clause"

// Weighings lists what really went in, by planned drink and amount.
func (s *Store) Weighings() (map[int64]map[string]Weighing, error) {
	var rows []Weighing
	err := s.db.Find(&rows).Error
	all := map[int64]map[string]Weighing{}
	for _, w := range rows {
		if all[w.ItemID] == nil {
			all[w.ItemID] = map[string]Weighing{}
		}
		all[w.ItemID][w.Key] = w
	}
	return all, err
}

// Weigh takes down what went in of an amount, in the place of what was taken
// down before.
func (s *Store) Weigh(w Weighing) error {
	w.At = s.now()
	return s.db.Clauses(clause.OnConflict{UpdateAll: true}).Create(&w).Error
}

// Unweigh forgets what went in of an amount; one that was not weighed stays so.
func (s *Store) Unweigh(itemID int64, key string) error {
	return s.db.Delete(&Weighing{ItemID: itemID, Key: key}).Error
}
