package bench

import (
	"math"
	"slices"
	"strings"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/solve"
	"plushladle/internal/kitchen"
	"plushladle/internal/wording"
)

// Wish is what a cook knows of a drink that is to be.
type Wish struct {
	Kind        string   `json:"kind" enum:"milk,creamer,cream,horchata,nog,chocolate,concentrate,cooler"`
	Bases       []string `json:"bases" nullable:"false" maxItems:"2" doc:"ids; of two the first is twice the second; empty to leave the choice"`
	Richness    string   `json:"richness" enum:"light,usual,rich"`
	Whole       bool     `json:"whole" doc:"not strained"`
	Flavour     string   `json:"flavour" maxLength:"40" doc:"a code of the kind's flavours; empty to leave the choice"`
	Sweetness   int      `json:"sweetness" minimum:"0" maximum:"3"`
	Sweetener   string   `json:"sweetener" maxLength:"60" doc:"an id"`
	People      float64  `json:"people" minimum:"1" maximum:"200"`
	Days        float64  `json:"days" minimum:"1" maximum:"60"`
	ServingsDay float64  `json:"servingsDay" minimum:"0.5" maximum:"20" doc:"for each of them"`
	Suits       []string `json:"suits" nullable:"false" maxItems:"50" doc:"drinkers of the kitchen, by name"`
	Without     []string `json:"without" nullable:"false" maxItems:"30" doc:"codes of allergens"`
	WithinH     float64  `json:"withinH,omitempty" minimum:"0" maximum:"480" doc:"hours until it is wanted; 0 where there is no hurry"`
	Idea        int      `json:"idea" minimum:"0" maximum:"1000"`
}

// Designed is a drink for a wish.
type Designed struct {
	Name        string         `json:"name"`
	Recipe      kitchen.Recipe `json:"recipe"`
	Lines       []string       `json:"lines"`
	Method      []string       `json:"method" doc:"its steps, in a few words"`
	VolumeML    float64        `json:"volumeML"`
	Servings    float64        `json:"servings"`
	ServingML   float64        `json:"servingML"`
	FatPct      float64        `json:"fatPct"`
	SweetG      float64        `json:"sweetG" doc:"as sucrose, in 100 mL"`
	KeepsDays   int            `json:"keepsDays"`
	Cost        CostFigure     `json:"cost"`
	Why         []string       `json:"why"`
	Lasting     []string       `json:"lasting" doc:"what can be done where it does not last as long as was asked"`
	Buy         []string       `json:"buy"`
	NotFor      []string       `json:"notFor" doc:"drinkers of the kitchen that were not asked for"`
	Ideas       int            `json:"ideas"`
	FlavourCode string         `json:"flavourCode"`
}

// WishChoice is an answer to one question of a wish.
type WishChoice struct {
	Code   string  `json:"code"`
	Name   string  `json:"name"`
	StockG float64 `json:"stockG" doc:"what the pantry holds; 0 for none"`
}

// WishChoices are the answers there are.
type WishChoices struct {
	Kinds      []WishChoice `json:"kinds"`
	Bases      []WishChoice `json:"bases" doc:"what the pantry holds first"`
	Flavours   []WishChoice `json:"flavours"`
	Sweeteners []WishChoice `json:"sweeteners"`
	Drinkers   []string     `json:"drinkers"`
	Basics     []Basic      `json:"basics"`
}

// Basic is a plain drink of one base, at the ratio of the trade.
type Basic struct {
	Name string `json:"name"`
	Wish Wish   `json:"wish"`
}

// sweeteners are those a wish offers; any other can be swapped in on the Bench.
var sweeteners = []string{"maple-syrup", "date-small", "white-sugar", "honey", "agave", "coconut-sugar", "brown-sugar", "date-syrup"}

// WishChoices are the answers to the questions of a wish for a kind of drink.
func (s Service) WishChoices(kind string) (WishChoices, error) {
	ways, err := s.Setup()
	if err != nil {
		return WishChoices{}, err
	}
	stock, err := s.store.Stock()
	if err != nil {
		return WishChoices{}, err
	}
	out := WishChoices{Sweeteners: []WishChoice{}, Drinkers: []string{}, Basics: basics(ways.Catalogue)}
	for _, k := range solve.Wishable {
		out.Kinds = append(out.Kinds, WishChoice{Code: string(k), Name: wording.WishKind(k)})
	}
	for _, b := range solve.Bases(recipe.Kind(kind), stock, ways.Catalogue) {
		out.Bases = append(out.Bases, WishChoice{b.ID, b.Name, stock[b.ID]})
	}
	for _, code := range solve.FlavoursOf(recipe.Kind(kind)) {
		out.Flavours = append(out.Flavours, WishChoice{Code: code, Name: wording.Flavour(code)})
	}
	for _, id := range sweeteners {
		if i, ok := ways.Catalogue.ByID(id); ok {
			out.Sweeteners = append(out.Sweeteners, WishChoice{id, i.Name, stock[id]})
		}
	}
	for _, d := range ways.Drinkers {
		out.Drinkers = append(out.Drinkers, d.Name)
	}
	return out, nil
}

// basics are a plain milk of every base, and a cream of the rich ones.
func basics(catalogue *ingredient.Catalogue) []Basic {
	out := []Basic{}
	add := func(i *ingredient.Ingredient, kind recipe.Kind) {
		wish := Wish{
			Kind: string(kind), Bases: []string{i.ID}, Richness: "usual", Flavour: "plain", Sweetener: "white-sugar",
			People: 2, Days: 2, ServingsDay: 1, Suits: []string{}, Without: []string{},
		}
		out = append(out, Basic{wording.WishName([]*ingredient.Ingredient{i}, kind, "plain"), wish})
	}
	for _, i := range solve.Bases(recipe.Milk, nil, catalogue) {
		add(i, recipe.Milk)
	}
	for _, id := range []string{"cashew", "macadamia", "almond", "coconut-desiccated"} {
		if i, ok := catalogue.ByID(id); ok {
			add(i, recipe.Cream)
		}
	}
	return out
}

// Design finds a drink for a wish; nothing of it is kept.
func (s Service) Design(in Wish) (Designed, error) {
	settings, err := s.store.Settings()
	if err != nil {
		return Designed{}, err
	}
	b, err := s.onBench("", kitchen.New(settings.System))
	if err != nil {
		return Designed{}, err
	}
	wish, err := b.wish(in)
	if err != nil {
		return Designed{}, err
	}
	if wish.StockG, err = s.store.Stock(); err != nil {
		return Designed{}, err
	}
	found, err := solve.Design(wish, b.drink, b.ways.Catalogue)
	if err != nil {
		return Designed{}, err
	}
	found.Drink.Drinkers = b.drink.Drinkers
	return b.designed(wish, found)
}

// wish is what was asked, with the ingredients and the drinkers that it names.
func (b *bench) wish(in Wish) (solve.Wish, error) {
	kind := recipe.Kind(in.Kind)
	w := solve.Wish{
		Kind: kind, Richness: solve.Richness(in.Richness), Whole: in.Whole, Flavour: in.Flavour, Sweetness: in.Sweetness,
		VolumeML: in.People * in.Days * in.ServingsDay * kind.ServingML(), Days: in.Days, WithinH: in.WithinH, Idea: in.Idea,
	}
	for n, id := range append(slices.Clone(in.Bases), in.Sweetener) {
		i, ok := b.ways.Catalogue.ByID(id)
		switch isSweetener := n == len(in.Bases); {
		case isSweetener && id == "":
		case !ok:
			return w, fault.New("bases", id, "not-in-catalogue-choose")
		case isSweetener:
			w.Sweetener = i
		default:
			w.Bases = append(w.Bases, i)
		}
	}
	for _, d := range b.drink.Drinkers {
		if slices.Contains(in.Suits, d.Name) {
			w.Avoid = append(w.Avoid, d)
		}
	}
	if len(in.Without) > 0 {
		codes, err := caution.ReadAllergens("without", in.Without)
		if err != nil {
			return w, err
		}
		w.Avoid = append(w.Avoid, caution.Drinker{Age: caution.Adult, Allergens: codes})
	}
	return w, nil
}

func (b *bench) designed(w solve.Wish, found *solve.Designed) (Designed, error) {
	bases := basesOf(found)
	name := wording.WishName(bases, w.Kind, found.Flavour)
	typed := b.typed
	typed.Kind = string(w.Kind)
	if w.Whole {
		typed.Strainer = found.Drink.Method.Strainer.String()
	}
	b.typed = typed
	f, r, err := b.changed(&found.Drink)
	if err != nil {
		return Designed{}, err
	}
	out := Designed{
		Name: name, Recipe: f, Lines: []string{}, Method: []string{}, VolumeML: r.DrinkML, Servings: math.Floor(r.Servings + 0.05), ServingML: r.ServingML,
		FatPct: r.Dials[1].Value, SweetG: r.Per100mL.SucroseEquivalentG, KeepsDays: r.Keeps.WholeDays, Cost: r.Cost, Why: wording.Texts(found.Why),
		Lasting: wording.Lasting(found.Lasting, w.Days), Buy: []string{}, NotFor: []string{}, Ideas: found.Ideas, FlavourCode: found.Flavour,
	}
	for _, l := range f.Lines {
		out.Lines = append(out.Lines, strings.TrimSpace(l.Amount+" "+wording.InLine(l.Ingredient)))
	}
	for _, step := range r.Process {
		out.Method = append(out.Method, step.Title)
	}
	for _, short := range found.Buy {
		out.Buy = append(out.Buy, wording.Short(short.Ingredient.Name, short.ShortG))
	}
	for _, f := range r.ForWhom {
		if f.Not {
			out.NotFor = append(out.NotFor, f.Name)
		}
	}
	return out, nil
}

func basesOf(d *solve.Designed) []*ingredient.Ingredient {
	var out []*ingredient.Ingredient
	for _, l := range d.Drink.Lines {
		if l.Ingredient.Role == ingredient.Base {
			out = append(out, l.Ingredient)
		}
	}
	return out
}
