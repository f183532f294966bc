package server

import (
	"fmt"
	"sync"

	"plushladle/core/ingredient"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// ownCatalogue remembers the catalogue until a drink changes. Both reading and
// forgetting take the lock, so that what was read before a change is never
// remembered after it.
type ownCatalogue struct {
	mu    sync.Mutex
	known *ingredient.Catalogue
}

// catalogue is what ships and the kitchen's own drinks, each as its newest
// version gives it, so that a milk from the shelf can go into another drink.
func (s *server) catalogue() (*ingredient.Catalogue, error) {
	s.own.mu.Lock()
	defer s.own.mu.Unlock()
	if s.own.known != nil {
		return s.own.known, nil
	}
	drinks, err := s.store.Drinks()
	if err != nil {
		return nil, err
	}
	ways, err := s.ways()
	if err != nil {
		return nil, err
	}
	var own []*ingredient.Ingredient
	for _, d := range drinks {
		if i, ok := asIngredient(d, ways); ok {
			own = append(own, i)
		}
	}
	s.own.known = ingredient.Standard().With(own...)
	return s.own.known, nil
}

// asIngredient reckons a drink from what ships alone: a drink made of drinks
// is no ingredient itself.
func asIngredient(d store.Drink, ways kitchen.Ways) (*ingredient.Ingredient, bool) {
	if len(d.Versions) == 0 {
		return nil, false
	}
	drink, _, err := d.Versions[0].Formula.Drink(d.Name, ways, ingredient.Standard())
	if err != nil {
		return nil, false
	}
	r, err := drink.Reckon()
	if err != nil {
		return nil, false
	}
	return r.AsIngredient(ingredientID(d.ID), d.Name)
}

func ingredientID(drinkID int64) string { return fmt.Sprintf("drink-%d", drinkID) }

// drinksChanged makes the catalogue be put together anew.
func (s *server) drinksChanged() {
	s.own.mu.Lock()
	defer s.own.mu.Unlock()
	s.own.known = nil
}

// drinkNamed does so where a drink is known by another name; drafts are saved
// too often to do it every time.
func (s *server) drinkNamed(id int64, name string) {
	s.own.mu.Lock()
	defer s.own.mu.Unlock()
	if s.own.known == nil {
		return
	}
	if i, ok := s.own.known.ByID(ingredientID(id)); ok && i.Name != name {
		s.own.known = nil
	}
}
