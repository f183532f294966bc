package ingredient

import (
	_ "embed"
	"encoding/csv"
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"
	"sync"

	"plushladle/core/quantity"
)

//go:embed catalogue.csv
var catalogueCSV string

// Catalogue is a set of ingredients found by id, name or alias.
type Catalogue struct {
	rows   []*Ingredient          // in the order of the file, which is the order of lists
	byName map[string]*Ingredient // folded ids, names and aliases
	exact  map[string]*Ingredient // names just as they are written, found without folding

	names     map[string][]Name // by each of their words
	spellings map[byte][]string // those words, by their first letter
}

// Standard is the catalogue that ships with the product. It panics if the
// embedded table is malformed, which a test rules out.
var Standard = sync.OnceValue(func() *Catalogue {
	c, err := readCatalogue(catalogueCSV)
	if err == nil {
		err = c.readNames(namesCSV)
	}
	for language, text := range translations {
		if err == nil {
			err = c.readTranslations(language, text)
		}
	}
	if err != nil {
		panic("ingredient: embedded catalogue: " + err.Error())
	}
	return c
})

// All are the ingredients in catalogue order. The slice is not to be changed.
func (c *Catalogue) All() []*Ingredient { return c.rows }

// ByID finds an ingredient by its id.
func (c *Catalogue) ByID(id string) (*Ingredient, bool) {
	i, ok := c.byName[fold(id)]
	if !ok || i.ID != id {
		return nil, false
	}
	return i, true
}

// readCatalogue reads catalogue.csv: a header, then a row an ingredient. A row that does
// not read fails the whole, since the file ships with the program.
func readCatalogue(text string) (*Catalogue, error) {
	records, err := csv.NewReader(strings.NewReader(text)).ReadAll()
	if err != nil {
		return nil, err
	}
	c := &Catalogue{byName: map[string]*Ingredient{}, exact: map[string]*Ingredient{}, names: map[string][]Name{}, spellings: map[byte][]string{}}
	for n, record := range records[1:] {
		i, err := readRow(records[0], record)
		if err != nil {
			return nil, fmt.Errorf("row %d: %w", n+2, err)
		}
		if err := c.add(i); err != nil {
			return nil, fmt.Errorf("row %d: %w", n+2, err)
		}
	}
	for n, i := range c.rows {
		if err := c.blend(i, records[n+1][slices.Index(records[0], "parts")]); err != nil {
			return nil, fmt.Errorf("row %d: %w", n+2, err)
		}
	}
	return c, nil
}

// blend gives a blend its parts, written "cinnamon=0.6;clove=0.4", and the
// composition and allergens that follow from them.
func (c *Catalogue) blend(i *Ingredient, parts string) error {
	if parts == "" {
		return nil
	}
	for _, part := range strings.Split(parts, ";") {
		id, share, _ := strings.Cut(part, "=")
		of, ok := c.ByID(id)
		v, err := strconv.ParseFloat(share, 64)
		if !ok || err != nil {
			return fmt.Errorf("parts: %q", part)
		}
		i.Parts = append(i.Parts, Share{of, v})
		i.PerGram = i.PerGram.Plus(of.PerGram.Times(v))
		i.tags |= of.tags
	}
	return nil
}

// With is the catalogue with more ingredients. One whose name is taken already
// is left out: what ships keeps its names.
func (c *Catalogue) With(more ...*Ingredient) *Catalogue {
	if len(more) == 0 {
		return c
	}
	wider := c.copied()
	for _, i := range more {
		if _, taken := wider.byName[fold(i.Name)]; !taken {
			_ = wider.add(i) // no name of it is taken
		}
	}
	return wider
}

// copied is a catalogue that can be added to without changing c.
func (c *Catalogue) copied() *Catalogue {
	return &Catalogue{
		rows: slices.Clone(c.rows), byName: maps.Clone(c.byName), exact: maps.Clone(c.exact),
		names: maps.Clone(c.names), spellings: maps.Clone(c.spellings),
	}
}

// add puts an ingredient under its identifier and every name it has. Two ingredients of
// one name are an error: a reader could not tell which was meant.
func (c *Catalogue) add(i *Ingredient) error {
	for _, name := range append([]string{i.ID, i.Name}, i.Aliases...) {
		key := fold(name)
		if other, taken := c.byName[key]; taken && other != i {
			return fmt.Errorf("%q is already a name of %s", name, other.ID)
		}
		c.byName[key] = i
	}
	i.folded, i.fits, i.nots = nil, map[string]bool{}, map[string]bool{}
	for _, name := range append([]string{i.Name}, i.Aliases...) {
		i.folded = append(i.folded, []rune(fold(name)))
		c.index(i, name, nil)
		i.learn(name)
	}
	for _, f := range i.Forms {
		i.learn(f.Name)
	}
	c.exact[i.Name] = i
	c.rows = append(c.rows, i)
	return nil
}

// row reads the named cells of one record and keeps the first error.
type row struct {
	cells map[string]string // by the name of the column
	err   error             // the first that was met; the row is refused with it
}

// number reads a column; 0 where it is empty. A cell that is no number is remembered in err.
func (r *row) number(column string) float64 {
	cell := r.cells[column]
	if cell == "" {
		return 0
	}
	v, err := strconv.ParseFloat(cell, 64)
	if err != nil && r.err == nil {
		r.err = fmt.Errorf("%s: %w", column, err)
	}
	return v
}

// numbers reads a cell of numbers parted by slashes.
func (r *row) numbers(column string, want int) []float64 {
	out := make([]float64, want)
	if r.cells[column] == "" {
		return out
	}
	parts := strings.Split(r.cells[column], "/")
	if len(parts) != want && r.err == nil {
		r.err = fmt.Errorf("%s: want %d numbers", column, want)
		return out
	}
	for i, part := range parts {
		v, err := strconv.ParseFloat(part, 64)
		if err != nil && r.err == nil {
			r.err = fmt.Errorf("%s: %w", column, err)
		}
		out[i] = v
	}
	return out
}

// list reads a column of things parted by semicolons.
func (r *row) list(column string) []string {
	if r.cells[column] == "" {
		return nil
	}
	return strings.Split(r.cells[column], ";")
}

// readRow turns one record into an ingredient. Nutrition stands per 100 g in the file and
// per gram in the ingredient; what is not eaten (shells, stones) is its own share.
func readRow(header, record []string) (*Ingredient, error) {
	r := row{cells: map[string]string{}}
	for i, column := range header {
		r.cells[column] = record[i]
	}
	soak := r.numbers("soak_h", 3)
	life := r.numbers("life_days", 2)
	usual := r.numbers("usual_g_per_l", 2)
	swells := r.numbers("gelatinises_c", 2)
	edible := r.number("edible_pct") / 100
	if edible == 0 {
		edible = 1
	}
	i := &Ingredient{
		ID: r.cells["id"], Name: r.cells["name"], Aliases: r.list("aliases"),
		Role: Role(r.cells["role"]), Class: Class(r.cells["class"]), Stage: Stage(r.cells["stage"]),
		BulkGPerML: r.number("density_g_per_ml"), Forms: r.forms(), PieceG: r.pieces(),
		Swelling: r.number("swelling"), UptakeGPerG: r.number("uptake"),
		SoakH: Span{soak[0], soak[1], soak[2]}, HasSoak: r.cells["soak_h"] != "",
		Life: Life{life[0], life[1]}, Usual: Usual{usual[0], usual[1]},
		PerGram: r.content(), Allergens: r.list("allergens"), Vegan: r.cells["vegan"] == "yes",
		EdibleShare: edible, CalciumMg: r.number("calcium_mg"), SkinShare: r.number("skin_pct") / 100, StoneShare: r.number("stone_pct") / 100,
		ReleaseMax: r.number("release_max"), GrindS: r.number("grind_s"), SwellsC: [2]float64{swells[0], swells[1]},
		Equals: r.equal(), CountsAs: r.countsAs(), Character: r.cells["character"], Source: r.cells["source"], tags: r.tags(),
	}
	i.PerGram[AddedSugars] = addedSugars(i)
	return i, r.err
}

// addedSugars are the free sugars of what is itself a sugar or sweetened with
// one; those of dates, fruit and juice are not.
func addedSugars(i *Ingredient) float64 {
	isSweet := i.Role == Sweetener || i.Role == Liquid || i.Role == Dairy
	if i.Class != Soluble || !isSweet {
		return 0
	}
	return i.PerGram[FreeSugars]
}

// tags reads the words of the tags' column into bits.
func (r *row) tags() Tag {
	var tags Tag
	for _, name := range strings.Fields(r.cells["tags"]) {
		t, ok := tagNames[name]
		if !ok && r.err == nil {
			r.err = fmt.Errorf("tags: %q", name)
		}
		tags |= t
	}
	return tags
}

// equal reads "group=grams": how much does the work of one unit of its group, such as
// one clove of garlic for another.
func (r *row) equal() Equal {
	if r.cells["equals"] == "" {
		return Equal{}
	}
	group, grams, _ := strings.Cut(r.cells["equals"], "=")
	v, err := strconv.ParseFloat(grams, 64)
	if err != nil && r.err == nil {
		r.err = fmt.Errorf("equals: %w", err)
	}
	return Equal{group, v}
}

// countsAs reads "id=pieces": a stick that counts as so many teaspoons of the powder.
func (r *row) countsAs() Count {
	if r.cells["counts_as"] == "" {
		return Count{}
	}
	id, pieces, _ := strings.Cut(r.cells["counts_as"], "=")
	v, err := strconv.ParseFloat(pieces, 64)
	if err != nil && r.err == nil {
		r.err = fmt.Errorf("counts_as: %w", err)
	}
	return Count{id, v}
}

// forms reads "ground=0.45;whole=0.6": the bulk density of each form, g/mL.
func (r *row) forms() []Form {
	var forms []Form
	for _, f := range r.list("forms_g_per_ml") {
		name, density, _ := strings.Cut(f, "=")
		v, err := strconv.ParseFloat(density, 64)
		if err != nil && r.err == nil {
			r.err = fmt.Errorf("forms: %q", f)
		}
		forms = append(forms, Form{name, v})
	}
	return forms
}

// pieces reads "pod=1.5": what one of a unit that is counted weighs, g.
func (r *row) pieces() map[quantity.Unit]float64 {
	pieces := map[quantity.Unit]float64{}
	for _, p := range r.list("pieces") {
		name, grams, _ := strings.Cut(p, "=")
		u, ok := quantity.UnitOf(name)
		g, err := strconv.ParseFloat(grams, 64)
		if (!ok || err != nil) && r.err == nil {
			r.err = fmt.Errorf("pieces: %q", p)
		}
		pieces[u] = g
	}
	return pieces
}

// columnOf names the column of each component; the table is per 100 g.
var columnOf = [componentCount]string{
	Water: "water", Protein: "protein", Fat: "fat", Sucrose: "sucrose", Glucose: "glucose", Fructose: "fructose",
	Galactose: "galactose", Lactose: "lactose", Maltose: "maltose", Starch: "starch", Fibre: "fibre",
	Xylitol: "xylitol", Erythritol: "erythritol", Alcohol: "alcohol", Ash: "ash",
	SaturatedFat: "sat_fat", FreeSugars: "free_sugars", SodiumMg: "sodium_mg", SeleniumUg: "selenium_ug",
	IodineUg: "iodine_ug", CoumarinMg: "coumarin_mg", SteviaG: "stevia", MonkFruitG: "monk_fruit",
}

// content reads the columns of composition, per 100 g in the file, per gram in memory.
func (r *row) content() Content {
	var c Content
	for i, column := range columnOf {
		if column == "" {
			continue
		}
		c[i] = r.number(column) / 100
	}
	return c
}
