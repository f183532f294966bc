package files

import (
	"archive/zip"
	"encoding/json"
	"fmt"
	"io"
	"strings"
	"unicode"

	"plushladle/internal/exchange"
	"plushladle/internal/store"
)

// sheet is a drink in open formats; ok is false where nothing is reckoned of it.
func (s Service) sheet(d store.Drink) (sheet exchange.Sheet, ok bool) {
	read, _, err := s.Kitchen.Read(d.Name, d.Draft)
	if err != nil {
		return sheet, false
	}
	r, err := read.Reckon()
	if err != nil || r.Drink == nil {
		return sheet, false
	}
	return exchange.SheetOf(&read, r), true
}

// WriteRecipes writes all drinks as one JSON-LD document, a schema.org Recipe each.
func (s Service) WriteRecipes(w io.Writer) error {
	drinks, err := s.store.Drinks()
	if err != nil {
		return err
	}
	all := []json.RawMessage{}
	for _, d := range drinks {
		sheet, ok := s.sheet(d)
		if !ok {
			continue
		}
		one, err := sheet.JSONLD()
		if err != nil {
			return err
		}
		all = append(all, one)
	}
	out := json.NewEncoder(w)
	out.SetIndent("", "  ")
	return out.Encode(map[string]any{"@context": "https://schema.org", "@graph": all})
}

// WriteArchive writes everything readable: a page in Markdown and a Recipe in JSON-LD for each
// drink, and every table. It is written file by file, so that no memory holds it all.
func (s Service) WriteArchive(w io.Writer, temperatures func(io.Writer) error) error {
	z := zip.NewWriter(w)
	write := func(name string, how func(io.Writer) error) error {
		to, err := z.Create(name)
		if err != nil {
			return err
		}
		return how(to)
	}
	if err := s.writeDrinks(write); err != nil {
		return err
	}
	for _, t := range tables() {
		if err := write("tables/"+t.name+".csv", func(to io.Writer) error { return s.Write(t.name, to) }); err != nil {
			return err
		}
	}
	if err := write("tables/temperatures.csv", temperatures); err != nil {
		return err
	}
	return z.Close()
}

func (s Service) writeDrinks(write func(string, func(io.Writer) error) error) error {
	drinks, err := s.store.Drinks()
	if err != nil {
		return err
	}
	for _, d := range drinks {
		sheet, ok := s.sheet(d)
		if !ok {
			continue
		}
		recipe, err := sheet.JSONLD()
		if err != nil {
			return err
		}
		name := fmt.Sprintf("drinks/%d-%s", d.ID, fileName(d.Name))
		for ending, text := range map[string]string{".md": sheet.Markdown(), ".jsonld": string(recipe)} {
			if err := write(name+ending, func(to io.Writer) error { _, err := io.WriteString(to, text); return err }); err != nil {
				return err
			}
		}
	}
	return nil
}

// longestName is how many letters of a drink's name a file bears.
const longestName = 60

// fileName is a name that every file system takes.
func fileName(name string) string {
	safe := strings.Map(func(r rune) rune {
		if unicode.IsLetter(r) || unicode.IsDigit(r) {
			return unicode.ToLower(r)
		}
		return '-'
	}, name)
	runes := []rune(strings.Trim(safe, "-"))
	return string(runes[:min(len(runes), longestName)])
}
