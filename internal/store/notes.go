package store

import (
	"strings"
	"time"

	"gorm.io/gorm"

	"plushladle/core/record"
	"plushladle/internal/kitchen"
)

// MadeBatch is one line of the record: a batch with what became of it, added up.
type MadeBatch struct {
	ID, DrinkID                       int64
	DrinkName                         string
	Version                           int
	MadeOn                            string
	ForecastML                        float64
	MeasuredML                        *float64
	HeldKey                           string // what was learned of its pulp goes by; empty where nothing was
	PerL, ShopPerL, Sweetness         float64
	MadeML, ThrownML, DrunkML, LeftML float64
	InUse                             int
	Soured                            bool // thrown away as soured, or tasted as sour early
	Tasted                            int
	Stars, Sweet                      float64 // means of its tastings
	Words                             string  // of its last tasting
	Flags                             string  // of all its tastings, as they are kept
	Notes                             string
}

// madeBatches adds up what became of each batch: one look at each table, however many there are.
const madeBatches = `SELECT b.id, b.drink_id, b.drink_name, v.number AS version, b.made_on, b.forecast_ml, b.measured_ml, COALESCE(l.key, '') AS held_key,
	b.per_l, b.shop_per_l, b.sweetness, b.notes,
	COALESCE(x.made_ml, 0) AS made_ml, COALESCE(x.thrown_ml, 0) AS thrown_ml, COALESCE(x.left_ml, 0) AS left_ml, COALESCE(x.in_use, 0) AS in_use,
	COALESCE(p.drunk_ml, 0) AS drunk_ml, COALESCE(x.soured, 0) OR COALESCE(t.soured, 0) AS soured,
	COALESCE(t.tasted, 0) AS tasted, COALESCE(t.stars, 0) AS stars, COALESCE(t.sweet, 0) AS sweet, COALESCE(t.words, '') AS words, COALESCE(t.flags, '') AS flags
	FROM batches b JOIN versions v ON v.id = b.version_id
	LEFT JOIN (SELECT batch_id, SUM(COALESCE(NULLIF(filled_ml, 0), volume_ml)) AS made_ml, SUM(CASE state WHEN 'thrown out' THEN left_ml ELSE 0 END) AS thrown_ml,
		SUM(CASE state WHEN 'in use' THEN left_ml ELSE 0 END) AS left_ml, SUM(state = 'in use') AS in_use, MAX(ended_cause = 'soured') AS soured
		FROM bottles GROUP BY batch_id) x ON x.batch_id = b.id
	LEFT JOIN lessons l ON l.batch_id = b.id AND l.what = 'held'
	LEFT JOIN (SELECT bottles.batch_id, SUM(pours.ml) AS drunk_ml FROM pours JOIN bottles ON bottles.id = pours.bottle_id GROUP BY bottles.batch_id) p ON p.batch_id = b.id
	LEFT JOIN (SELECT batch_id, COUNT(*) AS tasted, AVG(NULLIF(stars, 0)) AS stars, AVG(sweet) AS sweet, MAX(flags LIKE '%"sour-early"%') AS soured,
		GROUP_CONCAT(NULLIF(words, ''), ' ') AS words, GROUP_CONCAT(flags, '') AS flags FROM tastings GROUP BY batch_id) t ON t.batch_id = b.id`

// MadeBatches are all batches, the newest first; of one drink where it is not 0.
func (s *Store) MadeBatches(drinkID int64) ([]MadeBatch, error) {
	var out []MadeBatch
	err := s.db.Raw(madeBatches+" WHERE ? IN (0, b.drink_id) ORDER BY b.made_on DESC, b.id DESC", drinkID).Scan(&out).Error
	return out, err
}

// WholeBatch is a batch with all that hangs on it.
func (s *Store) WholeBatch(id int64) (*Batch, error) {
	var b Batch
	err := s.db.Preload("Version").Preload("Bottles", func(db *gorm.DB) *gorm.DB { return db.Order("id") }).Preload("Bottles.Moves", inOrder).
		Preload("Tastings", inOrder).First(&b, id).Error
	return &b, found(err)
}

// PouredOf is what was poured of a batch's bottles, by bottle.
func (s *Store) PouredOf(batchID int64) (map[int64]float64, error) {
	var rows []Pour
	err := s.db.Model(&Pour{}).Select("pours.bottle_id, SUM(pours.ml) AS ml").Joins("JOIN bottles ON bottles.id = pours.bottle_id").
		Where("bottles.batch_id = ?", batchID).Group("pours.bottle_id").Scan(&rows).Error
	out := map[int64]float64{}
	for _, p := range rows {
		out[p.BottleID] = p.ML
	}
	return out, err
}

// Correction is what a cook puts right of a batch.
type Correction struct {
	MadeOn     string
	MeasuredML *float64
	PulpG      *float64
	DriedPulpG *float64
	Notes      string
	Lessons    []record.Lesson
}

// CorrectBatch writes a batch's own figures anew.
func (s *Store) CorrectBatch(id int64, c Correction) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		result := tx.Model(&Batch{}).Where("id = ?", id).Updates(map[string]any{
			"made_on": c.MadeOn, "measured_ml": c.MeasuredML, "pulp_g": c.PulpG, "dried_pulp_g": c.DriedPulpG, "notes": c.Notes,
		})
		if result.Error == nil && result.RowsAffected == 0 {
			return ErrNotFound
		}
		if result.Error != nil {
			return result.Error
		}
		measured := []record.What{record.Held, record.Frees, record.Steam}
		if err := tx.Where("batch_id = ? AND what IN ?", id, measured).Delete(&Lesson{}).Error; err != nil {
			return err
		}
		return keepLessons(tx, id, c.Lessons)
	})
}

// DeleteBatch takes a batch out of the record with all that hangs on it: bottles and pours, its
// pulp, its tastings, and the planned drink it came of.
func (s *Store) DeleteBatch(id int64) error {
	return s.db.Transaction(func(tx *gorm.DB) error {
		of := "bottle_id IN (SELECT id FROM bottles WHERE batch_id = ?)"
		for _, d := range []struct {
			model any
			where string
		}{{&Pour{}, of}, {&Move{}, of}, {&Joined{}, of}, {&Joined{}, "other_id IN (SELECT id FROM bottles WHERE batch_id = ?)"}, {&Bottle{}, "batch_id = ?"}, {&Pulp{}, "batch_id = ?"}, {&Tasting{}, "batch_id = ?"}, {&Trial{}, "batch_id = ?"}, {&Lesson{}, "batch_id = ?"}, {&Photo{}, "batch_id = ?"},
			{&Weighing{}, "item_id IN (SELECT id FROM plan_items WHERE batch_id = ?)"}, {&PlanItem{}, "batch_id = ?"}} {
			if err := tx.Where(d.where, id).Delete(d.model).Error; err != nil {
				return err
			}
		}
		result := tx.Delete(&Batch{}, id)
		if result.Error == nil && result.RowsAffected == 0 {
			return ErrNotFound
		}
		return result.Error
	})
}

// Taste keeps what a taster said of a batch.
func (s *Store) Taste(t *Tasting) error {
	if _, err := s.Batch(t.BatchID); err != nil {
		return err
	}
	t.At = s.now()
	return s.db.Create(t).Error
}

// DeleteTasting takes one back.
func (s *Store) DeleteTasting(id int64) error {
	result := s.db.Delete(&Tasting{}, id)
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}

// NextVersion keeps a recipe as the newest version of a drink, and as its draft. A draft that no
// version says becomes one first, so that nothing that was worked on is lost.
func (s *Store) NextVersion(drinkID int64, recipe kitchen.Recipe, beforeNote, note string) (*Version, error) {
	var v *Version
	err := s.db.Transaction(func(tx *gorm.DB) error {
		in := &Store{db: tx, path: s.path, now: s.now}
		d, err := drinkWithNewest(tx, drinkID)
		if err != nil {
			return err
		}
		if !isKept(d) {
			if _, err := in.KeepVersion(drinkID, beforeNote); err != nil {
				return err
			}
		}
		if _, err := in.SaveDraft(drinkID, d.Revision, d.Name, recipe); err != nil {
			return err
		}
		v, err = in.KeepVersion(drinkID, note)
		return err
	})
	return v, err
}

func isKept(d *Drink) bool {
	for _, v := range d.Versions {
		if kitchen.Same(v.Recipe, d.Draft) {
			return true
		}
	}
	return false
}

// Unfigured are the batches whose cost and sweetness were not worked out yet, as those of older
// kitchens.
func (s *Store) Unfigured() ([]Batch, error) {
	return list[Batch](s.db.Preload("Version").Where("NOT figured"))
}

// KeepFigures writes down what a batch cost and how sweet it is.
func (s *Store) KeepFigures(id int64, f BatchFigures) error {
	return s.db.Model(&Batch{}).Where("id = ?", id).Updates(map[string]any{"per_l": f.PerL, "shop_per_l": f.ShopPerL, "sweetness": f.Sweetness, "figured": true}).Error
}

// BatchFigures are those of a batch that the record is read by.
type BatchFigures struct{ PerL, ShopPerL, Sweetness float64 }

// MakeTrial keeps a blind trial.
func (s *Store) MakeTrial(t *Trial) error {
	if _, err := s.Batch(t.BatchID); err != nil {
		return err
	}
	t.CreatedAt = s.now()
	return s.db.Create(t).Error
}

// Trial finds one.
func (s *Store) Trial(id int64) (*Trial, error) {
	var t Trial
	err := s.db.First(&t, id).Error
	return &t, found(err)
}

// SaveTrial writes one back.
func (s *Store) SaveTrial(t *Trial) error { return s.db.Save(t).Error }

// DeleteTrial takes one out of the record.
func (s *Store) DeleteTrial(id int64) error {
	result := s.db.Delete(&Trial{}, id)
	if result.Error == nil && result.RowsAffected == 0 {
		return ErrNotFound
	}
	return result.Error
}

// Trials are those of a batch, or of all where it is 0, the newest first.
func (s *Store) Trials(batchID int64) ([]Trial, error) {
	return list[Trial](s.db.Where("? IN (0, batch_id)", batchID).Order("created_at DESC, id DESC"))
}

// Has tells whether what was written of a batch holds all words that are looked for.
func (b *MadeBatch) Has(words string) bool {
	all := strings.ToLower(strings.Join([]string{b.DrinkName, b.MadeOn, b.Words, b.Notes, b.Flags}, " "))
	for _, w := range strings.Fields(strings.ToLower(words)) {
		if !strings.Contains(all, w) {
			return false
		}
	}
	return true
}

// Day is the date it was made.
func (b *MadeBatch) Day() time.Time {
	day, _ := time.ParseInLocation(time.DateOnly, b.MadeOn, time.UTC)
	return day
}

// WeekLine is a sum of a stretch of days for a drink.
type WeekLine struct {
	DrinkID int64
	Name    string
	ML      float64
	Cost    float64 // of what has both a cost and a price in the shop
	Shop    float64
	Stars   float64
	Tasted  int
}

// MadeBetween is what went into bottles of each drink from a date on, and before another.
func (s *Store) MadeBetween(from, before time.Time) ([]WeekLine, error) {
	return s.weekLines(`SELECT b.drink_id, b.drink_name AS name, SUM(COALESCE(NULLIF(x.filled_ml, 0), x.volume_ml)) AS ml FROM batches b JOIN bottles x ON x.batch_id = b.id
		WHERE b.made_on >= ? AND b.made_on < ? GROUP BY b.drink_id`, from.Format(time.DateOnly), before.Format(time.DateOnly))
}

// DrunkBetween is what was poured of each drink between two moments.
func (s *Store) DrunkBetween(from, before time.Time) ([]WeekLine, error) {
	return s.weekLines(`SELECT b.drink_id, b.drink_name AS name, SUM(p.ml) AS ml,
		SUM(CASE WHEN b.per_l > 0 AND b.shop_per_l > 0 THEN p.ml * b.per_l / 1000 ELSE 0 END) AS cost,
		SUM(CASE WHEN b.per_l > 0 AND b.shop_per_l > 0 THEN p.ml * b.shop_per_l / 1000 ELSE 0 END) AS shop
		FROM pours p JOIN bottles x ON x.id = p.bottle_id JOIN batches b ON b.id = x.batch_id
		WHERE p.poured_at >= ? AND p.poured_at < ? GROUP BY b.drink_id`, from, before)
}

// ThrownBetween is what was thrown away of each drink between two moments, and what that had cost.
func (s *Store) ThrownBetween(from, before time.Time) ([]WeekLine, error) {
	return s.weekLines(`SELECT b.drink_id, b.drink_name AS name, SUM(x.left_ml) AS ml, SUM(x.left_ml * b.per_l / 1000) AS cost
		FROM bottles x JOIN batches b ON b.id = x.batch_id WHERE x.state = ? AND x.ended_at >= ? AND x.ended_at < ? GROUP BY b.drink_id`, Thrown, from, before)
}

// TastedBetween is how each drink was rated between two moments.
func (s *Store) TastedBetween(from, before time.Time) ([]WeekLine, error) {
	return s.weekLines(`SELECT b.drink_id, b.drink_name AS name, AVG(t.stars) AS stars, COUNT(*) AS tasted
		FROM tastings t JOIN batches b ON b.id = t.batch_id WHERE t.stars > 0 AND t.at >= ? AND t.at < ? GROUP BY b.drink_id`, from, before)
}

func (s *Store) weekLines(query string, args ...any) ([]WeekLine, error) {
	var out []WeekLine
	err := s.db.Raw(query+" ORDER BY b.drink_id", args...).Scan(&out).Error
	return out, err
}
