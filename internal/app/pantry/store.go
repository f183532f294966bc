package pantry

import (
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Store is the little this area needs of what is kept.
type Store interface {
	AddPack(p store.MorePack) error
	Adjust(ingredient string, row kitchen.Adjustment) error
	Adjustments() (map[string]kitchen.Adjustment, error)
	Buy(l store.Lot) error
	Drinks() ([]store.Drink, error)
	Lots(ingredient string) ([]store.Lot, error)
	Low() (map[string]float64, error)
	MorePacks() ([]store.MorePack, error)
	OpenG() (map[string]float64, error)
	RemoveLot(id int64) error
	RemovePack(id int64) error
	SetLow(ingredient string, lowG float64) error
	KeepDrinker(id int64, d kitchen.Drinker, revision int) (int64, error)
	KeepIngredient(id int64, row kitchen.OwnRow, revision int) (int64, error)
	KeepMeasure(m store.OwnMeasure) error
	ForgetName(name string) error
	Larder() (store.Larder, error)
	RemoveDrinker(id int64) error
	RemoveIngredient(id int64, ingredientID string, inUse bool) error
	RemoveMeasure(name string, inUse bool) error
	RemovePrice(ingredientID string) error
	RenameIngredient(from, to string) error
	SetPrice(p store.Price) error
	SetStock(ingredient string, massG float64) error
	TeachName(n store.TaughtName) error
	Settings() (store.Settings, error)
	Stock() (map[string]float64, error)
}
