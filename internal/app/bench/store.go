package bench

import (
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Store is the little this area needs of what is kept.
type Store interface {
	ArchiveDrink(id int64, archived bool) error
	DeleteDrink(id int64) error
	Drink(id int64) (*store.Drink, error)
	Drinks() ([]store.Drink, error)
	KeepVersion(id int64, note string) (*store.Version, error)
	LastMadeOn(drinkID int64) (string, error)
	SaveDraft(id int64, revision int, name string, draft kitchen.Recipe) (*store.Drink, error)
	Settings() (store.Settings, error)
	Stock() (map[string]float64, error)
	StartDrink(name string, draft kitchen.Recipe) (*store.Drink, error)
}
