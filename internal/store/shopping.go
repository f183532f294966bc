package store

// ShoppingItems are the cook's own, in the order they were written down.
func (s *Store) ShoppingItems() ([]ShoppingItem, error) {
	return list[ShoppingItem](s.db.Order("id"))
}

// KeepShoppingItem adds one, or changes the one whose ID it bears.
func (s *Store) KeepShoppingItem(item ShoppingItem) error {
	if item.ID == 0 {
		return s.db.Create(&item).Error
	}
	changed := s.db.Model(&ShoppingItem{}).Where("id = ?", item.ID).Update("done", item.Done)
	if changed.Error == nil && changed.RowsAffected == 0 {
		return ErrNotFound
	}
	return changed.Error
}

// RemoveShoppingItem takes one off the list.
func (s *Store) RemoveShoppingItem(id int64) error {
	return s.db.Delete(&ShoppingItem{}, id).Error
}

// ArchiveDrink puts a drink out of the lists one chooses from, or back.
func (s *Store) ArchiveDrink(id int64, archived bool) error {
	changed := s.db.Model(&Drink{}).Where("id = ?", id).Update("archived", archived)
	if changed.Error == nil && changed.RowsAffected == 0 {
		return ErrNotFound
	}
	return changed.Error
}
