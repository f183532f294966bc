package server

import (
	"errors"
	"net/http"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/core/fault"
	"plushladle/core/formula"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

func (s *server) registerPantry(api huma.API) {
	get, post, put, remove := http.MethodGet, http.MethodPost, http.MethodPut, http.MethodDelete
	operation(s, api, get, "/api/pantry", "pantry", "Ingredients, prices, measures and drinkers", s.pantry)
	act(s, api, post, "/api/pantry/ingredients", "add-ingredient", "Add a row of the cook's own", undoable, (*server).addIngredient)
	act(s, api, put, "/api/pantry/ingredients/{id}", "change-ingredient", "Change a row of the cook's own", undoable, (*server).changeIngredient)
	act(s, api, remove, "/api/pantry/ingredients/{id}", "remove-ingredient", "Remove a row of the cook's own", undoable, (*server).removeIngredient)
	act(s, api, put, "/api/pantry/prices/{ingredient}", "set-price", "Say what a pack costs", undoable, (*server).setPrice)
	act(s, api, remove, "/api/pantry/prices/{ingredient}", "remove-price", "Forget a price", undoable, (*server).removePrice)
	act(s, api, post, "/api/pantry/measures", "keep-measure", "Calibrate a measure of the cook's own by weight", undoable, (*server).keepMeasure)
	act(s, api, remove, "/api/pantry/measures/{name}", "remove-measure", "Forget a measure", undoable, (*server).removeMeasure)
	act(s, api, post, "/api/pantry/drinkers", "add-drinker", "Add someone who drinks here", undoable, (*server).addDrinker)
	act(s, api, put, "/api/pantry/drinkers/{id}", "change-drinker", "Change someone who drinks here", undoable, (*server).changeDrinker)
	act(s, api, remove, "/api/pantry/drinkers/{id}", "remove-drinker", "Take someone off the list", undoable, (*server).removeDrinker)
}

// Pantry is all of it.
type Pantry struct {
	Ingredients []PantryRow     `json:"ingredients"`
	Measures    []OwnMeasure    `json:"measures"`
	Drinkers    []PantryDrinker `json:"drinkers"`
	Currency    string          `json:"currency"`
}

// PantryRow is an ingredient with what it costs here.
type PantryRow struct {
	ID          string          `json:"id"`
	OwnID       int64           `json:"ownID" doc:"0 for a row that ships"`
	Own         *kitchen.OwnRow `json:"own,omitempty"`
	Name        string          `json:"name"`
	Role        string          `json:"role"`
	Allergens   []string        `json:"allergens"`
	Vegan       bool            `json:"vegan"`
	Source      string          `json:"source"`
	Lacks       string          `json:"lacks" doc:"what cannot be reckoned with it; empty for nothing"`
	InShellPct  float64         `json:"inShellPct" doc:"what is left of it when bought in shell or peel; 100 where nothing is thrown away"`
	Price       float64         `json:"price" doc:"of a pack; 0 where it is not known"`
	Pack        string          `json:"pack"`
	InShell     bool            `json:"inShell" doc:"the pack is bought in shell or peel"`
	PerKilogram float64         `json:"perKilogram" doc:"of what can be eaten; 0 where it is not known"`
	StockG      float64         `json:"stockG" doc:"what there is"`
	OwnRevision int             `json:"ownRevision" doc:"of a row of the cook's own"`
	Revision    int             `json:"priceRevision" doc:"of its price; 0 where there is none"`
}

// OwnMeasure is a measure calibrated by the water it holds.
type OwnMeasure struct {
	Name   string  `json:"name" minLength:"1" maxLength:"30"`
	WaterG float64 `json:"waterG"`
}

// PantryDrinker is someone who drinks here.
type PantryDrinker struct {
	ID int64 `json:"id"`
	kitchen.Drinker
	Revision int `json:"revision"`
}

func (s *server) pantry(*noInput) (Pantry, error) {
	larder, err := s.store.Larder()
	if err != nil {
		return Pantry{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return Pantry{}, err
	}
	out := Pantry{Measures: make([]OwnMeasure, len(larder.Measures)), Drinkers: make([]PantryDrinker, len(larder.Drinkers)), Currency: settings.Currency}
	for n, m := range larder.Measures {
		out.Measures[n] = OwnMeasure{m.Name, m.WaterG}
	}
	for n, d := range larder.Drinkers {
		out.Drinkers[n] = PantryDrinker{d.ID, d.Drinker, d.Revision}
	}
	out.Ingredients = pantryRows(larder)
	there, err := s.store.Stock()
	for n := range out.Ingredients {
		out.Ingredients[n].StockG = there[out.Ingredients[n].ID]
	}
	return out, err
}

func pantryRows(larder store.Larder) []PantryRow {
	prices := map[string]store.Price{}
	for _, p := range larder.Prices {
		prices[p.Ingredient] = p
	}
	rows := []PantryRow{}
	for n, i := range ownRows(larder.Ingredients) {
		own := larder.Ingredients[n]
		row := pantryRow(i, prices[i.ID])
		row.OwnID, row.Own, row.OwnRevision = own.ID, &own.Row, own.Revision
		rows = append(rows, row)
	}
	for _, i := range ingredient.Standard().All() {
		if !i.Has(ingredient.TagRefused) {
			rows = append(rows, pantryRow(i, prices[i.ID]))
		}
	}
	return rows
}

func pantryRow(i *ingredient.Ingredient, p store.Price) PantryRow {
	row := PantryRow{
		ID: i.ID, Name: i.Name, Role: string(i.Role), Allergens: orEmpty(i.Allergens), Vegan: i.Vegan, Source: i.Source,
		Revision: p.Revision, InShellPct: i.EdibleShare * 100, Price: p.Price, Pack: p.Pack, InShell: p.EdibleShare > 0 && p.EdibleShare < 1, Lacks: lacks(i),
	}
	if p.Price > 0 {
		row.PerKilogram = 1000 * formula.PerGram(p.Price, p.PackG, p.EdibleShare)
	}
	return row
}

func lacks(i *ingredient.Ingredient) string {
	var parts []string
	if i.Bare {
		parts = append(parts, "what is in it is not known, so no figure of a drink counts it")
	}
	if i.BulkGPerML == 0 {
		parts = append(parts, "what a cup weighs is not known, so it is measured in grams")
	}
	return strings.Join(parts, "; ")
}

// Revised says at which revision something was read that is changed.
type Revised struct {
	Revision int `json:"revision,omitempty" minimum:"0" doc:"as it was read, so that nothing changed since is written over; 0 writes over whatever there is"`
}

// ChangedRow is a row of the cook's own, and the revision it was read at.
type ChangedRow struct {
	kitchen.OwnRow
	Revised
}

type ownInput struct {
	ByID
	Body ChangedRow
}

func (s *server) addIngredient(in *body[kitchen.OwnRow]) (Pantry, error) {
	return s.keepRow(0, in.Body, 0)
}

func (s *server) changeIngredient(in *ownInput) (Pantry, error) {
	out, err := s.keepRow(in.ID, in.Body.OwnRow, in.Body.Revision)
	if isConflict(err) {
		return out, s.bothOf(in.Body.OwnRow, func() (any, error) { return s.ownRow(in.ID) })
	}
	return out, err
}

// ownRow is a row of the cook's own as it is kept.
func (s *server) ownRow(id int64) (kitchen.OwnRow, error) {
	larder, err := s.store.Larder()
	for _, i := range larder.Ingredients {
		if i.ID == id {
			return i.Row, err
		}
	}
	return kitchen.OwnRow{}, errors.Join(store.ErrNotFound, err)
}

func (s *server) keepRow(id int64, row kitchen.OwnRow, revision int) (Pantry, error) {
	row = row.Cleaned()
	if _, err := row.Ingredient("own"); err != nil {
		return Pantry{}, err
	}
	if i, ok := ingredient.Standard().Find(row.Name); ok {
		return Pantry{}, fault.New("name", row.Name, "is in the catalogue already, as "+i.Name, "use another name, such as one with its maker's")
	}
	if _, err := s.store.KeepIngredient(id, row, revision); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

func (s *server) pantryChanged() (Pantry, error) {
	s.changed()
	return s.pantry(nil)
}

func (s *server) removeIngredient(in *ByID) (Pantry, error) {
	if err := s.store.RemoveIngredient(in.ID, ownID(in.ID)); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

// PackPrice is what a pack costs.
type PackPrice struct {
	Price   float64 `json:"price"`
	Pack    string  `json:"pack" maxLength:"60" doc:"what is in it: 500 g, 1 L, 1 piece"`
	InShell bool    `json:"inShell" doc:"it is bought in shell or peel, which is thrown away"`
	Revised
}

type priceInput struct {
	Ingredient string `path:"ingredient" maxLength:"60"`
	Body       PackPrice
}

const maxPrice = 1e6

func (s *server) setPrice(in *priceInput) (Pantry, error) {
	ways, err := s.ways()
	if err != nil {
		return Pantry{}, err
	}
	i, ok := ways.Catalogue.ByID(in.Ingredient)
	if !ok {
		return Pantry{}, store.ErrNotFound
	}
	if !(in.Body.Price > 0 && in.Body.Price <= maxPrice) {
		return Pantry{}, fault.New("price", "", "a pack has a price", "use a price above 0, or forget the price")
	}
	packG, err := s.packG(i, in.Body.Pack, ways)
	if err != nil {
		return Pantry{}, err
	}
	price := store.Price{Revision: in.Body.Revision, Ingredient: i.ID, Price: in.Body.Price, Pack: kitchen.OneLine(in.Body.Pack), PackG: packG, EdibleShare: 1}
	if in.Body.InShell {
		price.EdibleShare = i.EdibleShare
	}
	err = s.store.SetPrice(price)
	if isConflict(err) {
		return Pantry{}, s.bothOf(in.Body, func() (any, error) { return s.packPrice(i.ID) })
	}
	if err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

// packPrice is what a pack costs as it is kept.
func (s *server) packPrice(ingredientID string) (PackPrice, error) {
	larder, err := s.store.Larder()
	for _, p := range larder.Prices {
		if p.Ingredient == ingredientID {
			return PackPrice{Price: p.Price, Pack: p.Pack, InShell: p.EdibleShare < 1}, err
		}
	}
	return PackPrice{}, err
}

// packG is what a pack weighs.
func (s *server) packG(i *ingredient.Ingredient, pack string, ways kitchen.Ways) (float64, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return 0, err
	}
	system, err := quantity.ParseSystem(settings.System)
	if err != nil {
		return 0, err
	}
	amount, err := ways.Reader.ParseAmount(pack)
	if err != nil {
		return 0, fault.In("pack", err)
	}
	g, err := formula.Weigh(i, amount, system)
	if err != nil {
		return 0, fault.In("pack", err)
	}
	if g <= 0 {
		return 0, fault.New("pack", pack, "holds nothing", "say what is in a pack: 500 g, 1 L or 1 piece")
	}
	return g, nil
}

type byIngredient struct {
	Ingredient string `path:"ingredient" maxLength:"60"`
}

func (s *server) removePrice(in *byIngredient) (Pantry, error) {
	if err := s.store.RemovePrice(in.Ingredient); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

func (s *server) keepMeasure(in *body[OwnMeasure]) (Pantry, error) {
	own, err := quantity.Calibrated(kitchen.OneLine(in.Body.Name), in.Body.WaterG)
	if err != nil {
		return Pantry{}, err
	}
	if err := s.store.KeepMeasure(store.OwnMeasure{Name: own.Name, WaterG: in.Body.WaterG}); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

type byName struct {
	Name string `path:"name" maxLength:"30"`
}

func (s *server) removeMeasure(in *byName) (Pantry, error) {
	if err := s.canDoWithout(in.Name); err != nil {
		return Pantry{}, err
	}
	if err := s.store.RemoveMeasure(in.Name); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

// canDoWithout tells whether the drawer can still be read without a measure.
func (s *server) canDoWithout(name string) error {
	settings, err := s.store.Settings()
	if err != nil {
		return err
	}
	for _, m := range settings.Measures {
		if strings.Contains(m, name) {
			return fault.New("name", name, "is in the drawer of measures", "take it out of the drawer first")
		}
	}
	return nil
}

// ChangedDrinker is someone who drinks here, and the revision they were read at.
type ChangedDrinker struct {
	kitchen.Drinker
	Revised
}

type drinkerInput struct {
	ByID
	Body ChangedDrinker
}

func (s *server) addDrinker(in *body[kitchen.Drinker]) (Pantry, error) {
	return s.keepDrinker(0, in.Body, 0)
}

func (s *server) changeDrinker(in *drinkerInput) (Pantry, error) {
	out, err := s.keepDrinker(in.ID, in.Body.Drinker, in.Body.Revision)
	if isConflict(err) {
		return out, s.bothOf(in.Body.Drinker, func() (any, error) { return s.drinker(in.ID) })
	}
	return out, err
}

// drinker is someone who drinks here as they are kept.
func (s *server) drinker(id int64) (kitchen.Drinker, error) {
	larder, err := s.store.Larder()
	for _, d := range larder.Drinkers {
		if d.ID == id {
			return d.Drinker, err
		}
	}
	return kitchen.Drinker{}, errors.Join(store.ErrNotFound, err)
}

func (s *server) keepDrinker(id int64, d kitchen.Drinker, revision int) (Pantry, error) {
	d = d.Cleaned()
	if err := d.Core().Check(); err != nil {
		return Pantry{}, err
	}
	if _, err := s.store.KeepDrinker(id, d, revision); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

func (s *server) removeDrinker(in *ByID) (Pantry, error) {
	if err := s.store.RemoveDrinker(in.ID); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}
