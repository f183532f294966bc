package app

import (
	"fmt"
	"sync"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/reckon"
	"plushladle/core/stock"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// caches remember the kitchen's ways, catalogue and pantry until something in
// them changes. Both reading and forgetting take the lock, so that what was
// read before a change is never remembered after it.
type caches struct {
	mu   sync.Mutex
	ways *kitchen.Setup
}

// copy remembers the same from here on for itself.
func (k *caches) copy() *caches {
	k.mu.Lock()
	defer k.mu.Unlock()
	return &caches{ways: k.ways}
}

// ways are the kitchen's own ways, with a catalogue of what ships, the cook's
// own rows, and the kitchen's own drinks, each as its newest version gives it,
// so that a milk from the shelf can go into another drink.
func (s *Kitchen) Setup() (kitchen.Setup, error) {
	s.caches.mu.Lock()
	defer s.caches.mu.Unlock()
	if s.caches.ways != nil {
		return *s.caches.ways, nil
	}
	ways, err := s.readWays()
	if err != nil {
		return kitchen.Setup{}, err
	}
	ways.Seen = &kitchen.Seen{}
	s.caches.ways = &ways
	return ways, nil
}

func (s *Kitchen) readWays() (kitchen.Setup, error) {
	settings, err := s.Store.Settings()
	if err != nil {
		return kitchen.Setup{}, err
	}
	larder, err := s.Store.Larder()
	if err != nil {
		return kitchen.Setup{}, err
	}
	wording.Use(wording.Style{
		Language: settings.Language, Locale: settings.Locale, Fahrenheit: settings.Temperature == "f", Volumes: settings.Volumes,
	})
	ways := kitchen.Setup{
		School: settings.School, FridgeC: settings.FridgeC, JugML: settings.JugML,
		HighSpeed: settings.Blender == "high-speed", TapC: settings.TapC, PanCM: settings.PanCM, RoomC: settings.KitchenC,
	}
	if ways.System, err = quantity.ParseSystem(settings.System); err != nil {
		return kitchen.Setup{}, err
	}
	ways.Reader = readerOf(larder.Measures)
	if ways.Drawer, err = drawerOf(ways.Reader, settings); err != nil {
		return kitchen.Setup{}, err
	}
	lots, err := s.Store.Lots("")
	if err != nil {
		return kitchen.Setup{}, err
	}
	ways.Prices, ways.Drinkers = pricesOf(larder.Prices, lots), drinkersOf(larder.Drinkers)
	ships := ingredient.Standard().In(settings.Language)
	adjusted, err := s.adjusted(ships)
	if err != nil {
		return kitchen.Setup{}, err
	}
	ways.Catalogue = ships.Instead(adjusted...).With(ownRows(larder.Ingredients)...)
	if ways.Learned, err = s.learned(); err != nil {
		return kitchen.Setup{}, err
	}
	drinks, err := s.Store.Drinks()
	if err != nil {
		return kitchen.Setup{}, err
	}
	var own []*ingredient.Ingredient
	for _, d := range drinks {
		if i, ok := asIngredient(d, ways); ok {
			own = append(own, i)
		}
	}
	ways.Catalogue = ways.Catalogue.With(own...).Taught(taught(larder.Names))
	if told, err := s.workBack(ways); err != nil || !told {
		return ways, err
	}
	return s.readWays() // with what those batches tell
}

// taught are the names the cook taught, as the core takes them.
func taught(names []store.TaughtName) []ingredient.Taught {
	out := make([]ingredient.Taught, len(names))
	for n, t := range names {
		out[n] = ingredient.Taught{Name: t.Name, Of: t.Ingredient}
	}
	return out
}

func readerOf(measures []store.OwnMeasure) quantity.Reader {
	var own []quantity.Own
	for _, m := range measures {
		if o, err := quantity.Calibrated(m.Name, m.WaterG); err == nil { // what was kept was checked
			own = append(own, o)
		}
	}
	return quantity.NewReader(own)
}

// drawerOf is the kitchen's drawer; nil for an empty one.
func drawerOf(reader quantity.Reader, settings store.Settings) (*quantity.Drawer, error) {
	if len(settings.Measures) == 0 {
		return nil, nil
	}
	system, err := quantity.ParseSystem(settings.System)
	if err != nil {
		return nil, err
	}
	drawer, err := reader.NewDrawer(settings.Measures, system, settings.ScaleG)
	return &drawer, err
}

// pricesOf are what a gram costs: what was really paid of what there is, where it was written
// down, and else what the pack costs.
func pricesOf(kept []store.Price, lots []store.Lot) reckon.Prices {
	prices := reckon.Prices{}
	for _, p := range kept {
		prices[p.Ingredient] = reckon.PerGram(p.Price, p.PackG, p.EdibleShare)
	}
	for ingredient, of := range store.CoreLots(lots) {
		if perG, ok := stock.PaidPerG(of); ok {
			prices[ingredient] = perG
		}
	}
	return prices
}

// adjusted are the rows that ship with what the kitchen knows better of them.
func (s *Kitchen) adjusted(ships *ingredient.Catalogue) ([]*ingredient.Ingredient, error) {
	kept, err := s.Store.Adjustments()
	if err != nil {
		return nil, err
	}
	var rows []*ingredient.Ingredient
	for id, a := range kept {
		i, ok := ships.ByID(id)
		if !ok {
			continue
		}
		if row, err := a.Adjusted(i); err == nil { // what was kept was checked
			rows = append(rows, row)
		}
	}
	return rows, nil
}

func drinkersOf(kept []store.Drinker) []caution.Drinker {
	drinkers := make([]caution.Drinker, len(kept))
	for n, d := range kept {
		drinkers[n] = d.Drinker.Core()
	}
	return drinkers
}

func ownRows(kept []store.OwnIngredient) []*ingredient.Ingredient {
	var rows []*ingredient.Ingredient
	for _, o := range kept {
		if i, err := o.Row.Ingredient(OwnID(o.ID)); err == nil {
			i.Retired = o.Retired
			rows = append(rows, i)
		}
	}
	return rows
}

// asIngredient reckons a drink from what it was made of; a drink made of
// drinks is no ingredient itself.
func asIngredient(d store.Drink, ways kitchen.Setup) (*ingredient.Ingredient, bool) {
	if len(d.Versions) == 0 {
		return nil, false
	}
	drink, _, err := d.Versions[0].Recipe.Drink(d.Name, ways)
	if err != nil {
		return nil, false
	}
	r, err := drink.Reckon()
	if err != nil {
		return nil, false
	}
	return r.AsIngredient(IngredientID(d.ID), d.Name)
}

func IngredientID(drinkID int64) string { return fmt.Sprintf("drink-%d", drinkID) }

func OwnID(id int64) string { return fmt.Sprintf("own-%d", id) }

// Changed makes the ways be put together anew.
func (s *Kitchen) Changed() {
	if s.stale != nil {
		s.stale.Ways = true
	}
	s.caches.mu.Lock()
	defer s.caches.mu.Unlock()
	s.caches.ways = nil
}

// DrinkNamed does so where a drink is known by another name; drafts are saved
// too often to do it every time.
func (s *Kitchen) DrinkNamed(id int64, name string) {
	s.caches.mu.Lock()
	defer s.caches.mu.Unlock()
	if s.caches.ways == nil {
		return
	}
	if i, ok := s.caches.ways.Catalogue.ByID(IngredientID(id)); ok && i.Name != name {
		s.caches.ways = nil
	}
}
