package store

import (
	"gorm.io/gorm"
	"gorm.io/gorm/clause"

	"plushladle/core/record"
)

// lastLessons is how many batches a figure is learned from: hands and bags change over the years.
const lastLessons = 20

// Lessons are the shares that batches taught, by what and of what, the newest first. A life goes
// by its drink's name, as it is now.
func (s *Store) Lessons() (map[record.What]map[string][]float64, error) {
	var rows []struct {
		What  record.What
		Key   string
		Share float64
	}
	err := s.db.Raw(`SELECT l.what, CASE l.what WHEN ? THEN d.name ELSE l.key END AS key, l.share FROM lessons l
		JOIN batches b ON b.id = l.batch_id JOIN drinks d ON d.id = b.drink_id
		WHERE NOT l.forgotten ORDER BY b.made_on DESC, b.id DESC`, record.Life).Scan(&rows).Error
	out := map[record.What]map[string][]float64{}
	for _, row := range rows {
		if out[row.What] == nil {
			out[row.What] = map[string][]float64{}
		}
		if shares := out[row.What][row.Key]; len(shares) < lastLessons {
			out[row.What][row.Key] = append(shares, row.Share)
		}
	}
	return out, err
}

// Unstudied are the measured batches of older kitchens that nothing was worked back from yet.
func (s *Store) Unstudied() ([]Batch, error) {
	return list[Batch](s.db.Preload("Version").Where("NOT studied"))
}

// Study keeps what was worked back from a batch of an older kitchen.
func (s *Store) Study(batchID int64, lessons []record.Lesson) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		if err := keepLessons(tx, batchID, lessons); err != nil {
			return err
		}
		return tx.Model(&Batch{}).Where("id = ?", batchID).Update("studied", true).Error
	})
}

// KeepLesson keeps one more lesson of a batch, in the place of one of the same figure.
func (s *Store) KeepLesson(batchID int64, l record.Lesson) error {
	return keepLessons(s.db, batchID, []record.Lesson{l})
}

// ForgetLessons has the batches so far count no more for a figure; of a life by its drink's name.
func (s *Store) ForgetLessons(what record.What, key string) error {
	of := s.db.Model(&Lesson{}).Where("what = ? AND key = ?", what, key)
	if what == record.Life {
		of = s.db.Model(&Lesson{}).Where("what = ? AND batch_id IN (SELECT b.id FROM batches b JOIN drinks d ON d.id = b.drink_id WHERE d.name = ?)", what, key)
	}
	return of.Update("forgotten", true).Error
}

func keepLessons(tx *gorm.DB, batchID int64, lessons []record.Lesson) error {
	for _, l := range lessons {
		row := Lesson{BatchID: batchID, What: string(l.What), Key: l.Key, Share: l.Share}
		if err := tx.Clauses(clause.OnConflict{UpdateAll: true}).Create(&row).Error; err != nil {
			return err
		}
	}
	return nil
}
