package server

import (
	"cmp"
	"fmt"
	"math"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/plan"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// makeable is a drink with what it takes as it is written.
type makeable struct {
	drink   store.Drink
	needs   []plan.Need
	drinkML float64
}

func (r makeable) needsOf(id string) float64 {
	g := 0.
	for _, n := range r.needs {
		if n.ID == id {
			g += n.MassG
		}
	}
	return g
}

// compareNearOne puts the size nearer to as-written first.
func compareNearOne(a, b float64) int {
	return cmp.Compare(math.Abs(math.Log(a)), math.Abs(math.Log(b)))
}

// recipes are the kitchen's drinks that can be reckoned.
func (s *server) recipes() ([]makeable, error) {
	drinks, err := s.store.Drinks()
	if err != nil {
		return nil, err
	}
	ways, err := s.setup()
	if err != nil {
		return nil, err
	}
	var out []makeable
	for _, d := range drinks {
		if r, ok := recipeOf(d, ways); ok {
			out = append(out, r)
		}
	}
	return out, nil
}

func recipeOf(d store.Drink, ways kitchen.Setup) (makeable, bool) {
	drink, _, err := d.Draft.Drink(d.Name, ways)
	if err != nil {
		return makeable{}, false
	}
	r, err := drink.Reckon()
	if err != nil || r.Drink == nil {
		return makeable{}, false
	}
	out := makeable{drink: d, drinkML: r.Drink.VolumeML}
	for n, l := range r.Lines {
		i := drink.Lines[n].Ingredient
		if i == nil || l.Err != nil || i.Has(ingredient.TagWater) || i.Has(ingredient.TagIce) {
			continue
		}
		minor := i.Role == ingredient.Spice || i.Role == ingredient.Salt || i.Role == ingredient.Flavour || i.Role == ingredient.Other
		out.needs = append(out.needs, plan.Need{ID: i.ID, MassG: l.MassG, Minor: minor})
	}
	return out, len(out.needs) > 0
}

// CanMake is a drink and how far what there is goes towards it.
type CanMake struct {
	DrinkID   int64    `json:"drinkID"`
	DrinkName string   `json:"drinkName"`
	Now       bool     `json:"now"`
	EnoughML  float64  `json:"enoughML" doc:"of drink, what there is does for; at most as written"`
	WrittenML float64  `json:"writtenML"`
	First     string   `json:"first" doc:"what of it spoils first; empty where nothing hurries"`
	FirstBy   string   `json:"firstBy" doc:"its last good day"`
	Missing   []string `json:"missing"`
	ToCheck   []string `json:"toCheck" doc:"spices and the like that no stock is kept of"`
}

func (s *server) canMake(*noInput) ([]CanMake, error) {
	recipes, err := s.recipes()
	if err != nil {
		return nil, err
	}
	ways, err := s.setup()
	if err != nil {
		return nil, err
	}
	haves, err := s.haves(ways)
	if err != nil {
		return nil, err
	}
	needs := make([][]plan.Need, len(recipes))
	for n, r := range recipes {
		needs[n] = r.needs
	}
	name := func(id string) string {
		if i, ok := ways.Catalogue.ByID(id); ok {
			return i.Name
		}
		return id
	}
	out := []CanMake{}
	for _, c := range plan.Makeable(needs, haves, parseDate(s.now().Format(dateLayout))) {
		r := recipes[c.Drink]
		made := CanMake{
			DrinkID: r.drink.ID, DrinkName: r.drink.Name, Now: c.Now(), WrittenML: r.drinkML, EnoughML: r.drinkML * math.Min(1, c.Share),
			Missing: []string{}, ToCheck: []string{},
		}
		if c.FirstID != "" {
			made.First, made.FirstBy = name(c.FirstID), c.First.Format(dateLayout)
		}
		for _, n := range c.Missing {
			made.Missing = append(made.Missing, fmt.Sprintf("%.0f g %s", n.MassG, strings.ToLower(name(n.ID))))
		}
		for _, n := range c.ToCheck {
			made.ToCheck = append(made.ToCheck, strings.ToLower(name(n.ID)))
		}
		out = append(out, made)
	}
	return out, nil
}

// haves are what there is: open packs and bowls with their dates, the rest of
// the stock, and the kitchen's own drinks in bottles.
func (s *server) haves(ways kitchen.Setup) ([]plan.Have, error) {
	stock, err := s.store.Stock()
	if err != nil {
		return nil, err
	}
	packs, err := s.packs(nil)
	if err != nil {
		return nil, err
	}
	var haves []plan.Have
	for _, p := range packs {
		haves = append(haves, plan.Have{ID: p.Ingredient, MassG: p.LeftG, UseBy: parseDate(p.UseBy)})
		stock[p.Ingredient] -= p.LeftG // the rest of it is closed
	}
	for id, g := range stock {
		haves = append(haves, plan.Have{ID: id, MassG: g})
	}
	soaking, err := s.bowlsAsHad()
	if err != nil {
		return nil, err
	}
	bottles, err := s.bottlesAsHad(ways)
	return append(append(haves, soaking...), bottles...), err
}

// bowlsAsHad are what soaks, until it has soaked too long.
func (s *server) bowlsAsHad() ([]plan.Have, error) {
	l, err := s.planView()
	if err != nil {
		return nil, err
	}
	var haves []plan.Have
	for _, b := range l.bowls {
		core := l.bowlOf(b)
		if core.Ingredient == nil {
			continue
		}
		if state := core.In(l.room, l.now); !state.Past {
			haves = append(haves, plan.Have{ID: b.Ingredient, MassG: b.DryG, UseBy: parseDate(state.Within.In(l.now.Location()).Format(dateLayout))})
		}
	}
	return haves, nil
}

// bottlesAsHad are the kitchen's own drinks, which may go into others.
func (s *server) bottlesAsHad(ways kitchen.Setup) ([]plan.Have, error) {
	kept, err := s.store.Shelf()
	if err != nil {
		return nil, err
	}
	l, err := s.lifeLook(kept)
	if err != nil {
		return nil, err
	}
	var haves []plan.Have
	for n := range kept {
		b := l.present(&kept[n])
		i, ok := ways.Catalogue.ByID(ingredientID(b.DrinkID))
		if !ok || b.Standing == string(keep.Past) || b.Place == store.Freezer {
			continue
		}
		haves = append(haves, plan.Have{ID: i.ID, MassG: b.LeftML * i.BulkGPerML, UseBy: parseDate(b.UseBy)})
	}
	return haves, nil
}
