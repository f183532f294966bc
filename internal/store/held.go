package store

import "time"

// lastHeld is how many batches of a base in a strainer are learned from: hands and bags
// change over the years.
const lastHeld = 20

// HeldShares are the shares of the usual liquid that the pulp of measured batches kept, by
// base and strainer, the newest first.
func (s *Store) HeldShares() (map[string][]float64, error) {
	var rows []struct {
		HeldKey   string
		HeldShare float64
	}
	err := s.db.Model(&Batch{}).Where("held_key <> ''").Order("made_on DESC, id DESC").Find(&rows).Error
	shares := map[string][]float64{}
	for _, row := range rows {
		if len(shares[row.HeldKey]) < lastHeld {
			shares[row.HeldKey] = append(shares[row.HeldKey], row.HeldShare)
		}
	}
	return shares, err
}

// Unlearned are the measured batches that nothing was worked back from yet, as those of
// older kitchens; since is a moment before which they do not matter.
func (s *Store) Unlearned(since time.Time) ([]Batch, error) {
	return list[Batch](s.db.Preload("Version").
		Where("measured_ml IS NOT NULL AND held_key = '' AND held_share = 0 AND created_at >= ?", since))
}

// KeepHeld writes down what was worked back from a batch; a share below zero says that
// nothing can be, so that it is not asked for again.
func (s *Store) KeepHeld(id int64, key string, share float64) error {
	return s.db.Model(&Batch{}).Where("id = ?", id).Updates(map[string]any{"held_key": key, "held_share": share}).Error
}

// ForgetHeld has the batches so far count no more for a base in a strainer.
func (s *Store) ForgetHeld(key string) error {
	return s.db.Model(&Batch{}).Where("held_key = ?", key).Updates(map[string]any{"held_key": "", "held_share": -1}).Error
}
