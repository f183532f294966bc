package shelf

import (
	"time"

	"plushladle/internal/store"
)

// Store is the little this area needs of what is kept.
type Store interface {
	AllergensSince(since time.Time) ([]string, error)
	Bottle(id int64) (*store.Bottle, error)
	Drink(id int64) (*store.Drink, error)
	EachTemperature(take func(store.Temperature) bool) error
	EndPack(id int64, state, why string) error
	EndPulp(id int64, state, why string) error
	Finish(id int64) (*store.Bottle, error)
	FreezePulp(id int64) error
	HasRead(moments []int64) (int, error)
	ImportTemperatures(name string, each func(take func(store.Temperature) error) error) (store.TemperatureImport, error)
	Imports(most int) ([]store.TemperatureImport, error)
	KeepTemperatures(readings []store.Temperature) error
	MakeBatch(made store.NewBatch) (*store.Batch, error)
	Merge(shorter, other int64) (*store.Bottle, error)
	Move(id int64, place string) (*store.Bottle, error)
	OpenPack(p store.Pack) error
	Packs() ([]store.Pack, error)
	Pour(id int64, ml float64, ago time.Duration) (*store.Bottle, error)
	Pours(bottleID int64) ([]store.Pour, error)
	Pulps() ([]store.Pulp, error)
	RemoveImport(id int64) error
	Settings() (store.Settings, error)
	Shelf() ([]store.Bottle, error)
	ShelfML() (ml float64, err error)
	Temperatures(from time.Time) ([]store.Temperature, error)
	ThrowOut(id int64, why, cause string) (*store.Bottle, error)
	UndoPour(id int64) (*store.Bottle, error)
	UsePack(id int64, massG float64) error
}
