package ingredient

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"plushladle/core/fault"
	"plushladle/core/quantity"
)

// Own is a row the cook adds. Only the name and the role are needed; nil
// figures are not known, and what hangs on them is not reckoned.
type Own struct {
	ID        string      // begins with "own-", which no row that ships does
	Name      string      // what the cook calls it
	Role      Role        // as those that ship have it
	GPerCup   *float64    // US cup
	PieceG    *float64    // g of one; nil where it is not counted
	Per100G   *OwnContent // nil where nobody copied the pack's table
	LifeDays  *float64    // opened, in the fridge
	Allergens []string    // codes of caution.Allergens
	Vegan     bool        // as the cook says
}

// OwnContent is what a label says of 100 g, in g except for sodium.
type OwnContent struct {
	ProteinG, FatG, SaturatedFatG, CarbohydrateG, SugarsG, FibreG, SodiumMg float64 // per 100 g, as packs print them
}

var usCupML = quantity.Cup.Size(quantity.US) // Own's weights are per cup of 236.6 mL, whatever system the recipe has

// Limits of what a label can say.
const (
	maxPer100G  = 100.5 // rounding on a label
	maxSodiumMg = 40000 // table salt has 39,000 mg in 100 g; nothing has more
	maxGPerCup  = 5000  // of lead it would be 2,700
)

// Row is the own row as an ingredient. The error, a *fault.Error, names the
// field as the cook sees it.
func (o Own) Row() (*Ingredient, error) {
	if strings.TrimSpace(o.Name) == "" {
		return nil, fault.New("name", "", "ingredient-needs-a-name")
	}
	i := &Ingredient{
		ID: o.ID, Name: strings.TrimSpace(o.Name), Role: o.Role, Class: Soluble, Stage: Grind,
		PieceG: map[quantity.Unit]float64{}, Allergens: o.Allergens, Vegan: o.Vegan, EdibleShare: 1, Bare: true, Source: "the cook's own",
	}
	i.Class, i.Stage = usualOf(o.Role)
	if err := o.measures(i); err != nil {
		return nil, err
	}
	if o.LifeDays != nil {
		i.Life = Life{*o.LifeDays, *o.LifeDays}
	}
	if o.Per100G == nil {
		return i, nil
	}
	return i, o.Per100G.fill(i)
}

// usualOf is how an ingredient of a role gives up what it holds, and when it
// goes in, where nothing else is known.
func usualOf(r Role) (Class, Stage) {
	switch r {
	case Base:
		return Nut, Grind
	case Spice:
		return SpiceDry, Grind
	case Liquid, Salt:
		return Soluble, Grind
	}
	return Soluble, Strained
}

// measures takes the weights the cook gave. The error names the field it belongs to.
func (o Own) measures(i *Ingredient) error {
	if o.GPerCup != nil {
		if !(*o.GPerCup >= 0.1 && *o.GPerCup <= maxGPerCup) {
			return fault.New("gPerCup", fmt.Sprint(*o.GPerCup), "cup-weight-out-of-range")
		}
		i.BulkGPerML = *o.GPerCup / usCupML
	}
	if o.PieceG != nil {
		i.PieceG[quantity.Piece] = *o.PieceG
	}
	return nil
}

// fill sets the content. What the label leaves out is taken as water.
func (c OwnContent) fill(i *Ingredient) error {
	named := map[string]float64{
		"proteinG": c.ProteinG, "fatG": c.FatG, "saturatedFatG": c.SaturatedFatG, "carbohydrateG": c.CarbohydrateG,
		"sugarsG": c.SugarsG, "fibreG": c.FibreG,
	}
	for field, v := range named {
		if !(v >= 0 && v <= 100) {
			return fault.New(field, fmt.Sprint(v), "nutrient-out-of-range")
		}
	}
	if !(c.SodiumMg >= 0 && c.SodiumMg <= maxSodiumMg) {
		return fault.New("sodiumMg", fmt.Sprint(c.SodiumMg), "sodium-out-of-range")
	}
	dry := c.ProteinG + c.FatG + c.CarbohydrateG + c.FibreG
	switch {
	case dry > maxPer100G:
		return fault.New("carbohydrateG", "", "nutrients-over-100", dry)
	case c.SugarsG > c.CarbohydrateG:
		return fault.New("sugarsG", fmt.Sprint(c.SugarsG), "sugars-over-carbohydrate")
	case c.SaturatedFatG > c.FatG:
		return fault.New("saturatedFatG", fmt.Sprint(c.SaturatedFatG), "saturated-over-fat")
	}
	i.Bare = false
	i.PerGram = Content{
		Water: math.Max(0, 100-dry), Protein: c.ProteinG, Fat: c.FatG, SaturatedFat: c.SaturatedFatG,
		Sucrose: c.SugarsG, Starch: c.CarbohydrateG - c.SugarsG, Fibre: c.FibreG, SodiumMg: c.SodiumMg,
	}.Times(0.01)
	if i.Role == Sweetener {
		i.PerGram[FreeSugars] = c.SugarsG / 100
		i.PerGram[AddedSugars] = c.SugarsG / 100
	}
	return nil
}

// Adjusted is a row that ships with what a kitchen knows better of it: a weight, a life that is
// shorter, what the label says. A life is never lengthened, and what cautions go by stays: who
// copies a label does not know of them.
func (i *Ingredient) Adjusted(o Own) (*Ingredient, error) {
	out := *i
	out.PieceG = maps.Clone(i.PieceG)
	if out.PieceG == nil {
		out.PieceG = map[quantity.Unit]float64{}
	}
	if err := o.measures(&out); err != nil {
		return nil, err
	}
	if o.LifeDays != nil {
		out.Life = Life{shorter(i.Life.CautiousDays, *o.LifeDays), shorter(i.Life.CustomaryDays, *o.LifeDays)}
	}
	if o.Per100G == nil {
		return &out, nil
	}
	if err := o.Per100G.fill(&out); err != nil {
		return nil, err
	}
	for _, c := range []Component{SeleniumUg, IodineUg, CoumarinMg} {
		out.PerGram[c] = i.PerGram[c]
	}
	return &out, nil
}

// shorter is the less of two lives; 0 is none that is known.
func shorter(ships, here float64) float64 {
	if ships == 0 {
		return here
	}
	return math.Min(ships, here)
}

// Instead is a catalogue in which rows stand in the place of those with their identifiers, under
// the same names.
func (c *Catalogue) Instead(rows ...*Ingredient) *Catalogue {
	if len(rows) == 0 {
		return c
	}
	out := c.copied()
	by := map[*Ingredient]*Ingredient{}
	for _, row := range rows {
		if was, ok := c.ByID(row.ID); ok {
			by[was] = row
		}
	}
	for n, i := range out.rows {
		if row, ok := by[i]; ok {
			out.rows[n] = row
		}
	}
	for _, names := range []map[string]*Ingredient{out.byName, out.exact} {
		for name, i := range names {
			if row, ok := by[i]; ok {
				names[name] = row
			}
		}
	}
	for word, names := range out.names {
		for n, name := range names {
			if row, ok := by[name.Of]; ok {
				names = slices.Clone(names)
				names[n].Of = row
				out.names[word] = names
			}
		}
	}
	return out
}
