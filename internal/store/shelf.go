package store

import (
	"errors"
	"fmt"
	"time"

	"gorm.io/gorm"

	"plushladle/core/plan"
	"plushladle/core/record"
	"plushladle/internal/kitchen"
)

// NewBatch is a batch to be recorded, with the bottles it goes into.
type NewBatch struct {
	DrinkID    int64
	MadeOn     string
	ForecastML float64
	MeasuredML *float64
	Bottles    []Bottle
	Pulp       *kitchen.Pulp // nil where nothing was strained
	Figures    BatchFigures
	Lessons    []record.Lesson
	StockG     map[string]float64 // what it took from the pantry
	Opened     []Pack             // what is left open of packs that it took from
	Cooked     *Cooked            // where it was cooked step by step
}

// Cooked is how a planned drink was really made.
type Cooked struct {
	ItemID int64
	Recipe kitchen.Recipe // as it was planned
	PulpG  *float64
	Used   []kitchen.UsedLine
	Times  []kitchen.StepTaken
	Steps  []plan.ItemStep // of the plan, as they are now
}

// ErrBottled says that a planned drink is in bottles already.
var ErrBottled = errors.New("it is already bottled")

// MakeBatch records that a drink was made and bottled. A draft that differs
// from the newest version becomes a version of its own first, so that the
// batch always says what was made. All of it is written, or nothing.
func (s *Store) MakeBatch(made NewBatch) (*Batch, error) {
	var batch Batch
	err := s.db.Transaction(func(tx *gorm.DB) error {
		d, err := drinkWithNewest(tx, made.DrinkID)
		if err != nil {
			return err
		}
		if made.Cooked != nil {
			d.Draft = made.Cooked.Recipe
		}
		version, err := s.versionOf(tx, d)
		if err != nil {
			return err
		}
		batch = Batch{
			DrinkID: d.ID, VersionID: version.ID, DrinkName: d.Name, MadeOn: made.MadeOn,
			ForecastML: made.ForecastML, MeasuredML: made.MeasuredML, Studied: true, CreatedAt: s.now(), Bottles: made.Bottles,
			PerL: made.Figures.PerL, ShopPerL: made.Figures.ShopPerL, Sweetness: made.Figures.Sweetness, Figured: true,
			Used: []kitchen.UsedLine{}, Times: []kitchen.StepTaken{},
		}
		for n := range batch.Bottles {
			batch.Bottles[n].State, batch.Bottles[n].CreatedAt = InUse, s.now()
			batch.Bottles[n].FirstPlace = batch.Bottles[n].Place
		}
		if made.Cooked != nil {
			batch.PulpG, batch.Used, batch.Times = made.Cooked.PulpG, made.Cooked.Used, made.Cooked.Times
		}
		if err := tx.Omit("Tastings").Create(&batch).Error; err != nil {
			return err
		}
		if err := keepLessons(tx, batch.ID, made.Lessons); err != nil {
			return err
		}
		for ingredient, g := range made.StockG {
			if err := takeStock(tx, ingredient, g); err != nil {
				return err
			}
		}
		if err := leaveOpen(tx, made.Opened); err != nil {
			return err
		}
		if made.Pulp != nil && made.MadeOn == s.now().Format(time.DateOnly) { // that of a batch written down later is long used
			pulp := Pulp{BatchID: batch.ID, Pulp: *made.Pulp, Place: Fridge, Since: s.now(), State: InUse}
			if err := tx.Omit("Batch").Create(&pulp).Error; err != nil {
				return err
			}
		}
		if made.Cooked == nil {
			return nil
		}
		return made.Cooked.settle(tx, batch.ID)
	})
	return &batch, err
}

// settle marks the planned drink as bottled and takes what it used from the
// stock. Bottled once, it is not bottled again.
func (c *Cooked) settle(tx *gorm.DB, batchID int64) error {
	var item PlanItem
	if err := found(tx.First(&item, c.ItemID).Error); err != nil {
		return err
	}
	if item.BatchID != 0 {
		return ErrBottled
	}
	item.BatchID, item.Steps = batchID, c.Steps
	return tx.Save(&item).Error
}

// Batch finds one batch.
func (s *Store) Batch(id int64) (*Batch, error) {
	var b Batch
	err := s.db.Preload("Version").First(&b, id).Error
	return &b, found(err)
}

// versionOf is the drink's version that says what its draft does; a new one
// where none does.
func (s *Store) versionOf(tx *gorm.DB, d *Drink) (*Version, error) {
	next := 1
	for n := range d.Versions {
		if kitchen.Same(d.Versions[n].Recipe, d.Draft) {
			return &d.Versions[n], nil
		}
		next = max(next, d.Versions[n].Number+1)
	}
	v := Version{DrinkID: d.ID, Number: next, Note: "as made", Recipe: d.Draft, CreatedAt: s.now()}
	return &v, tx.Create(&v).Error
}

// Shelf lists the bottles in use, the one to use first first: by its last
// good day, then by the day it was made.
func (s *Store) Shelf() ([]Bottle, error) {
	return list[Bottle](s.db.Where("state = ?", InUse).Preload("Batch.Version").Preload("Batch.Tastings").Preload("Moves", inOrder).Order("use_by, id"))
}

// ShelfML is what all bottles in use hold.
func (s *Store) ShelfML() (ml float64, err error) {
	err = s.db.Model(&Bottle{}).Where("state = ?", InUse).Select("COALESCE(sum(left_ml), 0)").Scan(&ml).Error
	return ml, err
}

// Bottle finds one bottle.
func (s *Store) Bottle(id int64) (*Bottle, error) {
	var b Bottle
	err := s.db.Preload("Batch.Version").Preload("Batch.Tastings").Preload("Moves", inOrder).Preload("Joined", inOrder).First(&b, id).Error
	return &b, found(err)
}

func inOrder(db *gorm.DB) *gorm.DB { return db.Order("at, id") }

// ErrNothingPoured says that there is no pour to be taken back.
var ErrNothingPoured = errors.New("nothing has been poured from it")

// UndoPour puts the last pour back, and a bottle that it emptied into use again.
func (s *Store) UndoPour(id int64) (*Bottle, error) {
	return s.change(id, func(tx *gorm.DB, b *Bottle) error {
		var last Pour
		err := found(tx.Where("bottle_id = ?", id).Order("id DESC").First(&last).Error)
		if errors.Is(err, ErrNotFound) || b.State == Thrown {
			return ErrNothingPoured
		}
		if err != nil {
			return err
		}
		b.LeftML = min(b.VolumeML, b.LeftML+last.ML)
		b.State, b.EndedWhy, b.EndedCause, b.EndedAt = InUse, "", "", nil
		return tx.Delete(&last).Error
	})
}

// Pours lists what was poured from a bottle, the latest first.
func (s *Store) Pours(bottleID int64) ([]Pour, error) {
	return list[Pour](s.db.Where("bottle_id = ?", bottleID).Order("id DESC"))
}

// EmptyError says that a bottle does not hold what was to be poured, or is no
// longer in use.
type EmptyError struct {
	LeftML float64
	State  string
}

func (e *EmptyError) Error() string {
	return fmt.Sprintf("bottle %s, %.0f mL left", e.State, e.LeftML)
}

// ErrFrozen says that nothing is poured from what is frozen.
var ErrFrozen = errors.New("it is frozen")

// nothing is what is too little to call a rest, in mL.
const nothingML = 0.5

// Pour takes ml from a bottle, or says so a while after; a bottle left empty is finished.
func (s *Store) Pour(id int64, ml float64, ago time.Duration) (*Bottle, error) {
	return s.change(id, func(tx *gorm.DB, b *Bottle) error {
		if b.Place == Freezer {
			return ErrFrozen
		}
		if b.State != InUse || ml > b.LeftML+nothingML {
			return &EmptyError{LeftML: b.LeftML, State: b.State}
		}
		b.LeftML = max(0, b.LeftML-ml)
		if b.LeftML <= nothingML {
			b.LeftML = 0
			s.end(b, Finished, "poured")
		}
		return tx.Create(&Pour{BottleID: id, ML: ml, PouredAt: s.now().Add(-ago)}).Error
	})
}

// DrunkSince is when a drink was first poured at all, and how much of it was
// since a moment. The zero time where it never was.
func (s *Store) DrunkSince(drinkID int64, since time.Time) (first time.Time, ml float64, err error) {
	ofDrink := s.db.Model(&Pour{}).Joins("JOIN bottles ON bottles.id = pours.bottle_id").
		Joins("JOIN batches ON batches.id = bottles.batch_id").Where("batches.drink_id = ?", drinkID)
	var earliest Pour
	err = found(ofDrink.Session(&gorm.Session{}).Order("pours.poured_at").First(&earliest).Error)
	if errors.Is(err, ErrNotFound) {
		return time.Time{}, 0, nil
	}
	if err != nil {
		return time.Time{}, 0, err
	}
	err = ofDrink.Session(&gorm.Session{}).Where("pours.poured_at >= ?", since).Select("COALESCE(SUM(pours.ml), 0)").Scan(&ml).Error
	return earliest.PouredAt, ml, err
}

// Finish says that a bottle was used up.
func (s *Store) Finish(id int64) (*Bottle, error) {
	return s.change(id, func(tx *gorm.DB, b *Bottle) error {
		if b.State != InUse {
			return &EmptyError{LeftML: b.LeftML, State: b.State}
		}
		if b.LeftML > 0 {
			if err := tx.Create(&Pour{BottleID: id, ML: b.LeftML, PouredAt: s.now()}).Error; err != nil {
				return err
			}
		}
		b.LeftML = 0
		s.end(b, Finished, "used up")
		return nil
	})
}

// ThrowOut says that a bottle was thrown out, and why: in words, and as a code where it is one
// of Causes. What it held stays on record as waste.
func (s *Store) ThrowOut(id int64, why, cause string) (*Bottle, error) {
	return s.change(id, func(_ *gorm.DB, b *Bottle) error {
		if b.State != InUse {
			return &EmptyError{LeftML: b.LeftML, State: b.State}
		}
		s.end(b, Thrown, why)
		b.EndedCause = cause
		return nil
	})
}

func (s *Store) end(b *Bottle, state, why string) {
	now := s.now()
	b.State, b.EndedWhy, b.EndedAt = state, why, &now
}

// change reads a bottle, changes it and writes it back as one.
func (s *Store) change(id int64, how func(*gorm.DB, *Bottle) error) (*Bottle, error) {
	err := s.db.Transaction(func(tx *gorm.DB) error {
		var b Bottle
		if err := tx.First(&b, id).Error; err != nil {
			return found(err)
		}
		if err := how(tx, &b); err != nil {
			return err
		}
		return tx.Omit("Batch", "Moves", "Joined").Save(&b).Error
	})
	if err != nil {
		return nil, err
	}
	return s.Bottle(id)
}
