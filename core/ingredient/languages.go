package ingredient

import (
	_ "embed"
	"encoding/csv"
	"fmt"
	"strings"
)

// translations are the names of ingredients in other languages, an id and a name a row.
//
//go:embed names_es.csv
var spanishCSV string

var translations = map[string]string{"es": spanishCSV}

// readTranslations gives every ingredient its name in a language. It goes by that name as
// well as by its own from then on, in whatever language the kitchen speaks, so that a
// recipe stays read when the kitchen changes its language.
func (c *Catalogue) readTranslations(language, text string) error {
	records, err := csv.NewReader(strings.NewReader(text)).ReadAll()
	if err != nil {
		return err
	}
	for n, record := range records[1:] {
		i, ok := c.ByID(record[0])
		if !ok {
			return fmt.Errorf("%s, row %d: no ingredient %q", language, n+2, record[0])
		}
		if i.inLanguage == nil {
			i.inLanguage = map[string]string{}
		}
		i.inLanguage[language] = record[1]
		if err := c.alsoCalled(i, record[1:]); err != nil {
			return fmt.Errorf("%s, row %d: %w", language, n+2, err)
		}
	}
	return nil
}

// In is the catalogue with the names of a language; c itself where that is its own. The
// ingredients are others than c's: what is told apart is told apart by ID.
func (c *Catalogue) In(language string) *Catalogue {
	if _, ok := translations[language]; !ok {
		return c
	}
	named := map[*Ingredient]*Ingredient{}
	out := &Catalogue{byName: map[string]*Ingredient{}, exact: map[string]*Ingredient{}, names: map[string][]Name{}, spellings: c.spellings}
	for _, i := range c.rows {
		local := *i
		if name, ok := i.inLanguage[language]; ok {
			local.Name = name
		}
		named[i] = &local
		out.rows = append(out.rows, &local)
	}
	for _, i := range out.rows {
		parts := make([]Share, len(i.Parts))
		for n, p := range i.Parts {
			parts[n] = Share{named[p.Ingredient], p.Share}
		}
		i.Parts = parts
	}
	for key, i := range c.byName {
		out.byName[key] = named[i]
	}
	for key, i := range c.exact {
		out.exact[key] = named[i]
	}
	for word, names := range c.names {
		for _, n := range names {
			n.Of = named[n.Of]
			out.names[word] = append(out.names[word], n)
		}
	}
	return out
}

// Is tells whether two are the same ingredient, whatever language each is named in.
func (i *Ingredient) Is(other *Ingredient) bool {
	return i == other || i != nil && other != nil && i.ID != "" && i.ID == other.ID
}
