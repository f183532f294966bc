package planning

import (
	"time"

	"plushladle/internal/store"
)

// Store is the little this area needs of what is kept.
type Store interface {
	Buy(l store.Lot) error
	Bowls() ([]store.Bowl, error)
	ChangeBowl(id int64, freshWater, fridge bool) error
	Drink(id int64) (*store.Drink, error)
	Drinks() ([]store.Drink, error)
	DrunkSince(drinkID int64, since time.Time) (first time.Time, ml float64, err error)
	EndBowl(id int64) error
	KeepShoppingItem(item store.ShoppingItem) error
	RemoveShoppingItem(id int64) error
	ShoppingItems() ([]store.ShoppingItem, error)
	KeepDrawn(items []store.PlanItem, dryG map[int64]float64) error
	KeepPlan(items []store.PlanItem) error
	LastMadeOn(drinkID int64) (string, error)
	MadeSince(drinkID int64, from time.Time) ([]store.Made, error)
	Packs() ([]store.Pack, error)
	Plan() ([]store.PlanItem, error)
	PoursSince(drinkIDs []int64, since time.Time) ([]store.Pour, error)
	Rhythm() (store.Rhythm, error)
	SetRhythm(r store.Rhythm) error
	Settings() (store.Settings, error)
	Shelf() ([]store.Bottle, error)
	StartBowl(ingredient string, dryG float64, fridge bool) error
	Stock() (map[string]float64, error)
	TakeOffPlan(id int64, usedG map[string]float64) error
	ThrownSince(since time.Time) ([]store.ThrownOut, error)
	TopUpBowl(id int64, dryG float64) error
	Weighings() (map[int64]map[string]store.Weighing, error)
}
