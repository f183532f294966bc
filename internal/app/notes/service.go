// Package notes is the record and what is learned from it: batches and what became of them,
// tastings and the next version, blind trials, and what is worth knowing of it all.
package notes

import (
	"time"

	"plushladle/internal/app"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Store is the little this area needs of what is kept.
type Store interface {
	Batch(id int64) (*store.Batch, error)
	Bottle(id int64) (*store.Bottle, error)
	CorrectBatch(id int64, c store.Correction) error
	DeleteBatch(id int64) error
	DrunkBetween(from, before time.Time) ([]store.WeekLine, error)
	MadeBetween(from, before time.Time) ([]store.WeekLine, error)
	TastedBetween(from, before time.Time) ([]store.WeekLine, error)
	ThrownBetween(from, before time.Time) ([]store.WeekLine, error)
	DeletePhoto(id int64) error
	DeleteTasting(id int64) error
	Photos(batchID int64) ([]store.Photo, error)
	DeleteTrial(id int64) error
	Drink(id int64) (*store.Drink, error)
	KeepFigures(id int64, f store.BatchFigures) error
	MadeBatches(drinkID int64) ([]store.MadeBatch, error)
	MakeTrial(t *store.Trial) error
	NextVersion(drinkID int64, recipe kitchen.Recipe, beforeNote, note string) (*store.Version, error)
	PouredOf(batchID int64) (map[int64]float64, error)
	SaveTrial(t *store.Trial) error
	Settings() (store.Settings, error)
	Taste(t *store.Tasting) error
	Temperatures(from time.Time) ([]store.Temperature, error)
	Trial(id int64) (*store.Trial, error)
	Trials(batchID int64) ([]store.Trial, error)
	Unfigured() ([]store.Batch, error)
	WholeBatch(id int64) (*store.Batch, error)
}

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }
