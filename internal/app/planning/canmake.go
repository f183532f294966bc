package planning

import (
	"fmt"
	"math"
	"strings"

	"plushladle/core/plan"
	"plushladle/internal/app"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

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

func (s Service) CanMake() ([]CanMake, error) {
	recipes, err := s.Recipes()
	if err != nil {
		return nil, err
	}
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	haves, err := s.haves(ways)
	if err != nil {
		return nil, err
	}
	needs := make([][]plan.Need, len(recipes))
	for n, r := range recipes {
		needs[n] = r.Needs
	}
	name := func(id string) string {
		if i, ok := ways.Catalogue.ByID(id); ok {
			return i.Name
		}
		return id
	}
	out := []CanMake{}
	for _, c := range plan.Makeable(needs, haves, app.Date(s.Now())) {
		r := recipes[c.Drink]
		made := CanMake{
			DrinkID: r.Drink.ID, DrinkName: r.Drink.Name, Now: c.Now(), WrittenML: r.DrinkML, EnoughML: r.DrinkML * math.Min(1, c.Share),
			Missing: []string{}, ToCheck: []string{},
		}
		if c.FirstID != "" {
			made.First, made.FirstBy = name(c.FirstID), c.First.Format(app.DateLayout)
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
func (s Service) haves(ways kitchen.Setup) ([]plan.Have, error) {
	stock, err := s.store.Stock()
	if err != nil {
		return nil, err
	}
	packs, err := s.store.Packs()
	if err != nil {
		return nil, err
	}
	school, err := shelf.Of(s.Kitchen).School()
	if err != nil {
		return nil, err
	}
	var haves []plan.Have
	for _, p := range packs {
		haves = append(haves, plan.Have{ID: p.Ingredient, MassG: p.MassG, UseBy: shelf.LastOf(p, ways, school)})
		stock[p.Ingredient] -= p.MassG // the rest of it is closed
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
func (s Service) bowlsAsHad() ([]plan.Have, error) {
	l, err := s.PlanView()
	if err != nil {
		return nil, err
	}
	var haves []plan.Have
	for _, b := range l.bowls {
		core := l.bowlOf(b)
		if core.Ingredient == nil {
			continue
		}
		if state := core.In(l.Room, l.Now); !state.Past {
			haves = append(haves, plan.Have{ID: b.Ingredient, MassG: b.DryG, UseBy: app.Date(state.Within.In(l.Now.Location()))})
		}
	}
	return haves, nil
}

// bottlesAsHad are the kitchen's own drinks, which may go into others.
func (s Service) bottlesAsHad(ways kitchen.Setup) ([]plan.Have, error) {
	kept, err := s.store.Shelf()
	if err != nil {
		return nil, err
	}
	l, err := shelf.Of(s.Kitchen).LifeLook(kept)
	if err != nil {
		return nil, err
	}
	var haves []plan.Have
	for n := range kept {
		b := &kept[n]
		i, ok := ways.Catalogue.ByID(app.IngredientID(b.Batch.DrinkID))
		last, past := l.LastDay(b)
		if !ok || past || b.Place == store.Freezer {
			continue
		}
		haves = append(haves, plan.Have{ID: i.ID, MassG: b.LeftML * i.BulkGPerML, UseBy: last})
	}
	return haves, nil
}
