package pantry

import (
	"errors"
	"slices"
	"strings"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/internal/app"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Pantry is all of it.
type Pantry struct {
	Ingredients []PantryRow     `json:"ingredients"`
	Measures    []OwnMeasure    `json:"measures"`
	Names       []TaughtName    `json:"names" doc:"that the cook taught, each with what it is read as"`
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
	Low         bool            `json:"low" doc:"it runs low: as little is left as the cook wants to be told of"`
	PastDate    bool            `json:"pastDate" doc:"some of what is left is past its date"`
	Adjusted    bool            `json:"adjusted" doc:"a row that ships, with figures of the kitchen's own"`
	OwnRevision int             `json:"ownRevision" doc:"of a row of the cook's own"`
	Revision    int             `json:"priceRevision" doc:"of its price; 0 where there is none"`
}

// OwnMeasure is a measure calibrated by the water it holds.
type OwnMeasure struct {
	Name    string  `json:"name" minLength:"1" maxLength:"30"`
	WaterG  float64 `json:"waterG"`
	Replace bool    `json:"replace,omitempty" doc:"it takes the place of one of that name"`
}

// TaughtName is a name that lines are read by, and the ingredient it stands for.
type TaughtName struct {
	Name       string `json:"name" minLength:"2" maxLength:"80"`
	Ingredient string `json:"ingredient" minLength:"1" maxLength:"200"`
}

// PantryDrinker is someone who drinks here.
type PantryDrinker struct {
	ID int64 `json:"id"`
	kitchen.Drinker
	Revision int `json:"revision"`
}

func (s Service) Pantry() (Pantry, error) {
	larder, err := s.store.Larder()
	if err != nil {
		return Pantry{}, err
	}
	settings, err := s.store.Settings()
	if err != nil {
		return Pantry{}, err
	}
	out := Pantry{Measures: []OwnMeasure{}, Names: []TaughtName{}, Drinkers: make([]PantryDrinker, len(larder.Drinkers)), Currency: settings.Currency}
	for _, m := range larder.Measures {
		if !m.Retired {
			out.Measures = append(out.Measures, OwnMeasure{Name: m.Name, WaterG: m.WaterG})
		}
	}
	for _, n := range larder.Names {
		out.Names = append(out.Names, TaughtName(n))
	}
	for n, d := range larder.Drinkers {
		out.Drinkers[n] = PantryDrinker{d.ID, d.Drinker, d.Revision}
	}
	out.Ingredients = pantryRows(larder, settings.Language)
	return out, s.mark(out.Ingredients)
}

// mark says of each row how much there is, and what is to be said of that.
func (s Service) mark(rows []PantryRow) error {
	there, err := s.store.Stock()
	if err != nil {
		return err
	}
	low, err := s.store.Low()
	if err != nil {
		return err
	}
	adjusted, err := s.store.Adjustments()
	if err != nil {
		return err
	}
	lots, err := s.store.Lots("")
	if err != nil {
		return err
	}
	past, today := map[string]bool{}, s.Now().Format(app.DateLayout)
	for _, l := range lots {
		past[l.Ingredient] = past[l.Ingredient] || l.LeftG > 0 && l.BestBefore != "" && l.BestBefore < today
	}
	for n := range rows {
		row := &rows[n]
		_, row.Adjusted = adjusted[row.ID]
		row.StockG, row.Low, row.PastDate = there[row.ID], low[row.ID] > 0 && there[row.ID] <= low[row.ID], past[row.ID]
	}
	return nil
}

func pantryRows(larder store.Larder, language string) []PantryRow {
	prices := map[string]store.Price{}
	for _, p := range larder.Prices {
		prices[p.Ingredient] = p
	}
	rows := []PantryRow{}
	for _, own := range larder.Ingredients {
		i, err := own.Row.Ingredient(app.OwnID(own.ID))
		if err != nil || own.Retired {
			continue
		}
		row := pantryRow(i, prices[i.ID])
		row.OwnID, row.Own, row.OwnRevision = own.ID, &own.Row, own.Revision
		rows = append(rows, row)
	}
	for _, i := range ingredient.Standard().In(language).All() {
		if !i.Has(ingredient.TagRefused) {
			rows = append(rows, pantryRow(i, prices[i.ID]))
		}
	}
	return rows
}

func pantryRow(i *ingredient.Ingredient, p store.Price) PantryRow {
	row := PantryRow{
		ID: i.ID, Name: i.Name, Role: string(i.Role), Allergens: wording.Allergens(i.Allergens), Vegan: i.Vegan, Source: i.Source,
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
		parts = append(parts, wording.Say("nutrition-unknown"))
	}
	if i.BulkGPerML == 0 {
		parts = append(parts, wording.Say("cup-unknown"))
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

func (s Service) AddIngredient(in kitchen.OwnRow) (Pantry, error) {
	return s.keepRow(0, in, 0, false)
}

func (s Service) ChangeIngredient(id int64, in ChangedRow, anyway bool) (Pantry, error) {
	out, err := s.keepRow(id, in.OwnRow, in.Revision, anyway)
	if app.IsConflict(err) {
		return out, app.BothOf(in.OwnRow, func() (any, error) { return s.ownRow(id) })
	}
	return out, err
}

// ownRow is a row of the cook's own as it is kept.
func (s Service) ownRow(id int64) (kitchen.OwnRow, error) {
	larder, err := s.store.Larder()
	for _, i := range larder.Ingredients {
		if i.ID == id {
			return i.Row, err
		}
	}
	return kitchen.OwnRow{}, errors.Join(store.ErrNotFound, err)
}

func (s Service) keepRow(id int64, row kitchen.OwnRow, revision int, anyway bool) (Pantry, error) {
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

func (s Service) pantryChanged() (Pantry, error) {
	s.Changed()
	return s.Pantry()
}

func (s Service) RemoveIngredient(id int64, anyway bool) (Pantry, error) {
	row, err := s.ownRow(id)
	if err != nil {
		return Pantry{}, err
	}
	used, err := s.DrinksThat(func(f kitchen.Recipe) bool { return f.Uses(row.Name) })
	if err != nil {
		return Pantry{}, err
	}
	if err := askFirst("name", used, anyway); err != nil {
		return Pantry{}, err
	}
	if err := s.store.RemoveIngredient(id, app.OwnID(id), len(used) > 0); err != nil {
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

const (
	leastPrice = 0.001
	maxPrice   = 1e6
)

func (s Service) SetPrice(ingredientID string, in PackPrice) (Pantry, error) {
	ways, err := s.Setup()
	if err != nil {
		return Pantry{}, err
	}
	i, ok := ways.Catalogue.ByID(ingredientID)
	if !ok {
		return Pantry{}, store.ErrNotFound
	}
	if !(in.Price >= leastPrice && in.Price <= maxPrice) {
		return Pantry{}, fault.New("price", "", "price-needed")
	}
	packG, err := s.PackG(i, in.Pack, ways)
	if err != nil {
		return Pantry{}, err
	}
	price := store.Price{Revision: in.Revision, Ingredient: i.ID, Price: in.Price, Pack: kitchen.OneLine(in.Pack), PackG: packG, EdibleShare: 1}
	if in.InShell {
		price.EdibleShare = i.EdibleShare
	}
	err = s.store.SetPrice(price)
	if app.IsConflict(err) {
		return Pantry{}, app.BothOf(in, func() (any, error) { return s.packPrice(i.ID) })
	}
	if err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

// packPrice is what a pack costs as it is kept.
func (s Service) packPrice(ingredientID string) (PackPrice, error) {
	larder, err := s.store.Larder()
	for _, p := range larder.Prices {
		if p.Ingredient == ingredientID {
			return PackPrice{Price: p.Price, Pack: p.Pack, InShell: p.EdibleShare < 1}, err
		}
	}
	return PackPrice{}, err
}

// PackG is what a pack weighs.
func (s Service) PackG(i *ingredient.Ingredient, pack string, ways kitchen.Setup) (float64, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return 0, err
	}
	system, err := quantity.ParseSystem(settings.System)
	if err != nil {
		return 0, err
	}
	amount, err := ways.Lines().Amount(pack, i)
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

func (s Service) RemovePrice(ingredientID string) (Pantry, error) {
	if err := s.store.RemovePrice(ingredientID); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

func (s Service) KeepMeasure(in OwnMeasure) (Pantry, error) {
	own, err := quantity.Calibrated(kitchen.OneLine(in.Name), in.WaterG)
	if err != nil {
		return Pantry{}, err
	}
	larder, err := s.store.Larder()
	if err != nil {
		return Pantry{}, err
	}
	for _, m := range larder.Measures {
		if m.Name == own.Name && m.WaterG != in.WaterG && !in.Replace {
			return Pantry{}, &app.Refused{
				Text: wording.Say("measure-name-taken"), Field: "name", Value: m.WaterG,
				Message: wording.Say("measure-replaced", own.Name, m.WaterG, in.WaterG),
			}
		}
	}
	if err := s.store.KeepMeasure(store.OwnMeasure{Name: own.Name, WaterG: in.WaterG}); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

// TeachName has lines with a name read as an ingredient from now on. A name that ships
// with the product keeps its meaning.
func (s Service) TeachName(in TaughtName) (Pantry, error) {
	ways, err := s.Setup()
	if err != nil {
		return Pantry{}, err
	}
	of, ok := ways.Catalogue.Find(in.Ingredient)
	if !ok {
		return Pantry{}, fault.New("ingredient", in.Ingredient, "not-in-catalogue-choose")
	}
	name := ingredient.Fold(in.Name)
	if i, taken := ingredient.Standard().Find(name); taken || name == "" {
		if i == nil {
			return Pantry{}, fault.New("name", in.Name, "name-says-nothing")
		}
		return Pantry{}, fault.New("name", in.Name, "name-in-catalogue", i.Name)
	}
	if err := s.store.TeachName(store.TaughtName{Name: name, Ingredient: of.Name}); err != nil {
		return Pantry{}, err
	}
	s.Changed()
	return s.Pantry()
}

// ForgetName has a name that was taught mean nothing again.
func (s Service) ForgetName(name string) (Pantry, error) {
	if err := s.store.ForgetName(name); err != nil {
		return Pantry{}, err
	}
	s.Changed()
	return s.Pantry()
}

func (s Service) RemoveMeasure(name string, anyway bool) (Pantry, error) {
	if err := s.canDoWithout(name); err != nil {
		return Pantry{}, err
	}
	used, err := s.DrinksThat(func(f kitchen.Recipe) bool { return f.MeasuresWith(name) })
	if err != nil {
		return Pantry{}, err
	}
	if err := askFirst("name", used, anyway); err != nil {
		return Pantry{}, err
	}
	if err := s.store.RemoveMeasure(name, len(used) > 0); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

// canDoWithout tells whether the drawer can still be read without a measure.
func (s Service) canDoWithout(name string) error {
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

// AllergenChoice is an allergen that can be chosen.
type AllergenChoice struct {
	Code  string `json:"code"`
	Name  string `json:"name"`
	Group bool   `json:"group" doc:"it covers several"`
	Kin   string `json:"kin" doc:"the code of what is avoided with it unless it was cleared; empty for none"`
}

func (s Service) FindAllergens(typed string) ([]AllergenChoice, error) {
	found := caution.FindAllergens(typed)
	for _, a := range caution.Allergens() { // by its name in the kitchen's language too
		isIn := slices.ContainsFunc(found, func(f caution.Allergen) bool { return f.Code == a.Code })
		if !isIn && strings.Contains(strings.ToLower(wording.Allergen(a.Name)), strings.ToLower(strings.TrimSpace(typed))) {
			found = append(found, a)
		}
	}
	out := make([]AllergenChoice, len(found))
	for n, a := range found {
		out[n] = AllergenChoice{a.Code, wording.Allergen(a.Name), len(a.Of) > 0, a.Kin}
	}
	return out, nil
}

func (s Service) AddDrinker(in kitchen.Drinker) (Pantry, error) {
	return s.keepDrinker(0, in, 0)
}

func (s Service) ChangeDrinker(id int64, in ChangedDrinker) (Pantry, error) {
	out, err := s.keepDrinker(id, in.Drinker, in.Revision)
	if app.IsConflict(err) {
		return out, app.BothOf(in.Drinker, func() (any, error) { return s.drinker(id) })
	}
	return out, err
}

// drinker is someone who drinks here as they are kept.
func (s Service) drinker(id int64) (kitchen.Drinker, error) {
	larder, err := s.store.Larder()
	for _, d := range larder.Drinkers {
		if d.ID == id {
			return d.Drinker, err
		}
	}
	return kitchen.Drinker{}, errors.Join(store.ErrNotFound, err)
}

func (s Service) keepDrinker(id int64, d kitchen.Drinker, revision int) (Pantry, error) {
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

func (s Service) RemoveDrinker(id int64) (Pantry, error) {
	if err := s.store.RemoveDrinker(id); err != nil {
		return Pantry{}, err
	}
	return s.pantryChanged()
}

// DrinksThat are the names of drinks of which some recipe is like that.
func (s Service) DrinksThat(is func(kitchen.Recipe) bool) ([]string, error) {
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
	return &app.Refused{
		Text: wording.Say("your-drinks-use-it"), Field: field, Value: used,
		Message: wording.Say("used-and-kept", used),
	}
}

// askToRename refuses to rename what drinks use until it is said that it is
// meant.
func (s Service) askToRename(id int64, name string, anyway bool) error {
	if id == 0 {
		return nil
	}
	before, err := s.ownRow(id)
	if err != nil || before.Name == name {
		return err
	}
	used, err := s.DrinksThat(func(f kitchen.Recipe) bool { return f.Uses(before.Name) })
	if err != nil || len(used) == 0 {
		return err
	}
	if !anyway {
		return &app.Refused{
			Text: wording.Say("your-drinks-use-it"), Field: "name", Value: used, Message: wording.Say("used-and-renamed", used),
		}
	}
	return s.store.RenameIngredient(before.Name, name)
}
