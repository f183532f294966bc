// Package files is the kitchen's record as files that other programs read: tables as CSV, out and
// in again, drinks as JSON-LD and Markdown, and all of it in one archive.
package files

import (
	"plushladle/internal/app"
	"plushladle/internal/store"
)

// Store is the little this area needs of what is kept.
type Store interface {
	AllBottles() ([]store.Bottle, error)
	AllPours() ([]store.Pour, error)
	AllTastings() ([]store.Tasting, error)
	AddBottle(b *store.Bottle) error
	AddPour(p store.Pour) error
	Batch(id int64) (*store.Batch, error)
	Bottle(id int64) (*store.Bottle, error)
	ChangeBottle(id int64, leftML float64, place string) error
	ChangePour(p store.Pour) error
	ChangeTasting(t store.Tasting) error
	Drinks() ([]store.Drink, error)
	Low() (map[string]float64, error)
	Larder() (store.Larder, error)
	MadeBatches(drinkID int64) ([]store.MadeBatch, error)
	MakeBatch(made store.NewBatch) (*store.Batch, error)
	SetLow(ingredient string, lowG float64) error
	SetStock(ingredient string, massG float64) error
	Stock() (map[string]float64, error)
	WholeBatch(id int64) (*store.Batch, error)
}

// Service has the use cases of this area, in a kitchen.
type Service struct {
	*app.Kitchen
	store Store
}

// Of is the service of a kitchen.
func Of(k *app.Kitchen) Service { return Service{k, k.Store} }
