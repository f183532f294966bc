package http

import (
	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
)

type changedRowInput struct {
	ByID
	Anyway bool `query:"anyway" doc:"rename it also where drinks use it: their lines follow"`
	Body   pantry.ChangedRow
}

type removedInput struct {
	ByID
	Anyway bool `query:"anyway" doc:"also where drinks use it: they keep it, and it is no longer offered"`
}

type byIngredient struct {
	Ingredient string `path:"ingredient" maxLength:"60"`
}

type ofIngredient[T any] struct {
	Ingredient string `path:"ingredient" maxLength:"60"`
	Body       T
}

type removedMeasureInput struct {
	Name   string `path:"name" maxLength:"30"`
	Anyway bool   `query:"anyway" doc:"also where drinks use it: they keep it, and it is no longer offered"`
}

type nameInput struct {
	Name string `path:"name" maxLength:"80"`
}

type allergensInput struct {
	Typed string `query:"typed" maxLength:"60" doc:"a word, or the beginning of one; empty for all"`
}

// pantryOperations are those of the Pantry.
func (s *server) pantryOperations(api huma.API) {
	operation(s, api, get, "/api/allergens", "find-allergens", "Allergens by the words people use", pantry.Of, func(p pantry.Service, in *allergensInput) ([]pantry.AllergenChoice, error) {
		return p.FindAllergens(in.Typed)
	})
	operation(s, api, get, "/api/pantry", "pantry", "Ingredients, prices, measures and drinkers", pantry.Of, plain(pantry.Service.Pantry))
	act(s, api, post, "/api/pantry/ingredients", "add-ingredient", "Add a row of the cook's own", undoable, pantry.Of, bodied(pantry.Service.AddIngredient))
	act(s, api, put, "/api/pantry/ingredients/{id}", "change-ingredient", "Change a row of the cook's own", undoable, pantry.Of, func(p pantry.Service, in *changedRowInput) (pantry.Pantry, error) {
		return p.ChangeIngredient(in.ID, in.Body, in.Anyway)
	})
	act(s, api, remove, "/api/pantry/ingredients/{id}", "remove-ingredient", "Remove a row of the cook's own", undoable, pantry.Of, func(p pantry.Service, in *removedInput) (pantry.Pantry, error) {
		return p.RemoveIngredient(in.ID, in.Anyway)
	})
	act(s, api, put, "/api/pantry/prices/{ingredient}", "set-price", "Say what a pack costs", undoable, pantry.Of, func(p pantry.Service, in *ofIngredient[pantry.PackPrice]) (pantry.Pantry, error) {
		return p.SetPrice(in.Ingredient, in.Body)
	})
	operation(s, api, get, "/api/pantry/stock/{ingredient}", "stock", "All there is of an ingredient", pantry.Of, func(p pantry.Service, in *byIngredient) (pantry.StockPage, error) { return p.StockPage(in.Ingredient) })
	act(s, api, post, "/api/pantry/stock/{ingredient}/lots", "buy", "Put what was bought into the pantry", undoable, pantry.Of, func(p pantry.Service, in *ofIngredient[pantry.Purchase]) (pantry.StockPage, error) {
		return p.Buy(in.Ingredient, in.Body)
	})
	act(s, api, remove, "/api/pantry/lots/{id}", "remove-lot", "Take a lot out of the pantry", undoable, pantry.Of, byID(pantry.Service.RemoveLot))
	act(s, api, put, "/api/pantry/stock/{ingredient}/low", "set-low", "Say from how much down it runs low", undoable, pantry.Of, func(p pantry.Service, in *ofIngredient[pantry.LowAt]) (pantry.StockPage, error) {
		return p.SetLow(in.Ingredient, in.Body)
	})
	act(s, api, post, "/api/pantry/stock/{ingredient}/packs", "add-pack", "Keep a pack of another size", undoable, pantry.Of, func(p pantry.Service, in *ofIngredient[pantry.NewPack]) (pantry.StockPage, error) {
		return p.AddPack(in.Ingredient, in.Body)
	})
	act(s, api, remove, "/api/pantry/packs/{id}", "remove-pack", "Forget a pack of another size", undoable, pantry.Of, byID(pantry.Service.RemovePack))
	act(s, api, put, "/api/pantry/stock/{ingredient}/adjustment", "adjust", "Keep what the kitchen knows better of a row that ships", undoable, pantry.Of, func(p pantry.Service, in *ofIngredient[kitchen.Adjustment]) (pantry.StockPage, error) {
		return p.Adjust(in.Ingredient, in.Body)
	})
	act(s, api, remove, "/api/pantry/prices/{ingredient}", "remove-price", "Forget a price", undoable, pantry.Of, func(p pantry.Service, in *byIngredient) (pantry.Pantry, error) { return p.RemovePrice(in.Ingredient) })
	act(s, api, post, "/api/pantry/measures", "keep-measure", "Calibrate a measure of the cook's own by weight", undoable, pantry.Of, bodied(pantry.Service.KeepMeasure))
	act(s, api, remove, "/api/pantry/measures/{name}", "remove-measure", "Forget a measure", undoable, pantry.Of, func(p pantry.Service, in *removedMeasureInput) (pantry.Pantry, error) {
		return p.RemoveMeasure(in.Name, in.Anyway)
	})
	act(s, api, post, "/api/pantry/names", "teach-name", "Read a name as an ingredient from now on", undoable, pantry.Of, bodied(pantry.Service.TeachName))
	act(s, api, remove, "/api/pantry/names/{name}", "forget-name", "Forget a name that was taught", undoable, pantry.Of, func(p pantry.Service, in *nameInput) (pantry.Pantry, error) {
		return p.ForgetName(in.Name)
	})
	act(s, api, post, "/api/pantry/drinkers", "add-drinker", "Add someone who drinks here", undoable, pantry.Of, bodied(pantry.Service.AddDrinker))
	act(s, api, put, "/api/pantry/drinkers/{id}", "change-drinker", "Change someone who drinks here", undoable, pantry.Of, on(pantry.Service.ChangeDrinker))
	act(s, api, remove, "/api/pantry/drinkers/{id}", "remove-drinker", "Take someone off the list", undoable, pantry.Of, byID(pantry.Service.RemoveDrinker))
	act(s, api, put, "/api/pantry/stock/{ingredient}", "set-stock", "Say how much there is of an ingredient", undoable, pantry.Of, func(p pantry.Service, in *ofIngredient[pantry.StockOf]) (pantry.Pantry, error) {
		return p.SetStock(in.Ingredient, in.Body)
	})
}
