package server

import (
	"errors"
	"fmt"
	"net/http"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

func (s *server) registerPantry(api huma.API) {
	get, post, put, remove := http.MethodGet, http.MethodPost, http.MethodPut, http.MethodDelete
	operation(s, api, get, "/api/allergens", "find-allergens", "Allergens by the words people use", s.findAllergens)
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
	Name    string  `json:"name" minLength:"1" maxLength:"30"`
	WaterG  float64 `json:"waterG"`
	Replace bool    `json:"replace,omitempty" doc:"it takes the place of one of that name"`
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
	out := Pantry{Measures: []OwnMeasure{}, Drinkers: make([]PantryDrinker, len(larder.Drinkers)), Currency: settings.Currency}
	for _, m := range larder.Measures {
		if !m.Retired {
			out.Measures = append(out.Measures, OwnMeasure{Name: m.Name, WaterG: m.WaterG})
		}
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
	for _, own := range larder.Ingredients {
		i, err := own.Row.Ingredient(ownID(own.ID))
		if err != nil || own.Retired {
			continue
		}
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
		row.PerKilogram = 1000 * reckon.PerGram(p.Price, p.PackG, p.EdibleShare)
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
	Anyway bool `query:"anyway" doc:"rename it also where drinks use it: their lines follow"`
	Body   ChangedRow
}

func (s *server) addIngredient(in *body[kitchen.OwnRow]) (Pantry, error) {
	return s.keepRow(0, in.Body, 0, false)
}

func (s *server) changeIngredient(in *ownInput) (Pantry, error) {
	out, err := s.keepRow(in.ID, in.Body.OwnRow, in.Body.Revision, in.Anyway)
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

func (s *server) keepRow(id int64, row kitchen.OwnRow, revision int, anyway bool) (Pantry, error) {
	row = row.Cleaned()
	codes, err := caution.ReadAllergens("allergens", row.Allergens)
	if err != nil {
		return Pantry{}, err
	}
	row.Allergens = caution.NamesOf(codes)
	if _, err := row.Ingredient("own"); err != nil {
		return Pantry{}, err
	}
	if i, ok := ingredient.Standard().Find(row.Name); ok {
		return Pantry{}, fault.New("name", row.Name, "name-in-catalogue", i.Name)
	}
	if err := s.askToRename(id, row.Name, anyway); err != nil {
		return Pantry{}, err
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

type removeInput struct {
	ByID
	Anyway bool `query:"anyway" doc:"also where drinks use it: they keep it, and it is no longer offered"`
}

func (s *server) removeIngredient(in *removeInput) (Pantry, error) {
	row, err := s.ownRow(in.ID)
	if err != nil {
		return Pantry{}, err
	}
	used, err := s.drinksThat(func(f kitchen.Recipe) bool { return f.Uses(row.Name) })
	if err != nil {
		return Pantry{}, err
	}
	if err := askFirst("name", used, in.Anyway); err != nil {
		return Pantry{}, err
	}
	if err := s.store.RemoveIngredient(in.ID, ownID(in.ID), len(used) > 0); err != nil {
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

const (
	leastPrice = 0.001
	maxPrice   = 1e6
)

func (s *server) setPrice(in *priceInput) (Pantry, error) {
	ways, err := s.setup()
	if err != nil {
		return Pantry{}, err
	}
	i, ok := ways.Catalogue.ByID(in.Ingredient)
	if !ok {
		return Pantry{}, store.ErrNotFound
	}
	if !(in.Body.Price >= leastPrice && in.Body.Price <= maxPrice) {
		return Pantry{}, fault.New("price", "", "price-needed")
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
func (s *server) packG(i *ingredient.Ingredient, pack string, ways kitchen.Setup) (float64, error) {
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
	g, err := recipe.Weigh(i, amount, system)
	if err != nil {
		return 0, fault.In("pack", err)
	}
	if g < 0.001 {
		return 0, fault.New("pack", pack, "pack-holds-nothing")
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
	larder, err := s.store.Larder()
	if err != nil {
		return Pantry{}, err
	}
	for _, m := range larder.Measures {
		if m.Name == own.Name && m.WaterG != in.Body.WaterG && !in.Body.Replace {
			return Pantry{}, huma.Error409Conflict("There is a measure of that name already.", &huma.ErrorDetail{
				Location: "body.name", Value: m.WaterG,
				Message: fmt.Sprintf("There is a %s already, which holds %g g of water. Use another name, or let this one, of %g g, take its place: drinks measured with it are then reckoned with this one.", own.Name, m.WaterG, in.Body.WaterG),
			})
		}
	}
	if err := s.store.KeepMeasure(store.OwnMeasure{Name: own.Name, WaterG: in.Body.WaterG}); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

type byName struct {
	Name   string `path:"name" maxLength:"30"`
	Anyway bool   `query:"anyway" doc:"also where drinks use it: they keep it, and it is no longer offered"`
}

func (s *server) removeMeasure(in *byName) (Pantry, error) {
	if err := s.canDoWithout(in.Name); err != nil {
		return Pantry{}, err
	}
	used, err := s.drinksThat(func(f kitchen.Recipe) bool { return f.MeasuresWith(in.Name) })
	if err != nil {
		return Pantry{}, err
	}
	if err := askFirst("name", used, in.Anyway); err != nil {
		return Pantry{}, err
	}
	if err := s.store.RemoveMeasure(in.Name, len(used) > 0); err != nil {
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
			return fault.New("name", name, "measure-in-drawer")
		}
	}
	return nil
}

// ChangedDrinker is someone who drinks here, and the revision they were read at.
type ChangedDrinker struct {
	kitchen.Drinker
	Revised
}

type allergensInput struct {
	Typed string `query:"typed" maxLength:"60" doc:"a word, or the beginning of one; empty for all"`
}

// AllergenChoice is an allergen that can be chosen.
type AllergenChoice struct {
	Code  string `json:"code"`
	Name  string `json:"name"`
	Group bool   `json:"group" doc:"it covers several"`
	Kin   string `json:"kin" doc:"the code of what is avoided with it unless it was cleared; empty for none"`
}

func (s *server) findAllergens(in *allergensInput) ([]AllergenChoice, error) {
	found := caution.FindAllergens(in.Typed)
	out := make([]AllergenChoice, len(found))
	for n, a := range found {
		out[n] = AllergenChoice{a.Code, a.Name, len(a.Of) > 0, a.Kin}
	}
	return out, nil
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
	var err error
	if d.Allergens, err = caution.ReadAllergens("allergens", d.Allergens); err != nil {
		return Pantry{}, err
	}
	if d.Cleared, err = caution.ReadAllergens("cleared", d.Cleared); err != nil {
		return Pantry{}, err
	}
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

// drinksThat are the names of drinks of which some recipe is like that.
func (s *server) drinksThat(is func(kitchen.Recipe) bool) ([]string, error) {
	drinks, err := s.store.Drinks()
	if err != nil {
		return nil, err
	}
	var names []string
	for _, d := range drinks {
		if is(d.Draft) || slices.ContainsFunc(d.Versions, func(v store.Version) bool { return is(v.Recipe) }) {
			names = append(names, d.Name)
		}
	}
	return names, nil
}

// askFirst refuses what touches drinks until it is said that it is meant.
func askFirst(field string, used []string, anyway bool) error {
	if len(used) == 0 || anyway {
		return nil
	}
	return huma.Error409Conflict("Drinks use it.", &huma.ErrorDetail{
		Location: "body." + field, Value: used,
		Message: strings.Join(used, ", ") + " use it. They keep it as it is; it is only no longer offered.",
	})
}

// askToRename refuses to rename what drinks use until it is said that it is
// meant.
func (s *server) askToRename(id int64, name string, anyway bool) error {
	if id == 0 {
		return nil
	}
	before, err := s.ownRow(id)
	if err != nil || before.Name == name {
		return err
	}
	used, err := s.drinksThat(func(f kitchen.Recipe) bool { return f.Uses(before.Name) })
	if err != nil || len(used) == 0 {
		return err
	}
	if !anyway {
		return huma.Error409Conflict("Drinks use it.", &huma.ErrorDetail{
			Location: "body.name", Value: used, Message: strings.Join(used, ", ") + " use it under the name so far. Save again to rename it in them too.",
		})
	}
	return s.store.RenameIngredient(before.Name, name)
}
