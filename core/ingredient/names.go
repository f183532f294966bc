package ingredient

import (
	_ "embed"
	"encoding/csv"
	"fmt"
	"slices"
	"strings"
)

// namesCSV is what kitchens call things: regional names, the words that go with an
// ingredient without making another of it, and what tells two forms apart that are
// called the same.
//
//go:embed names.csv
var namesCSV string

// Name is one name of an ingredient, as words in the singular. It holds only where
// the line shows one of When, a unit ("stick") or a word ("minced"); always where
// that is empty.
type Name struct {
	Of    *Ingredient // nil where the name is of no ingredient
	Words []string    // folded to their stems, in the order written
	When  []string    // words that must stand near for the name to count; mostly none
}

// NamesWith are the names that hold a word, which is in the singular. The slice is
// not to be changed.
func (c *Catalogue) NamesWith(word string) []Name { return c.names[word] }

// Nearest is the one word of the catalogue that is a slip of the finger away from
// word: a letter too many, too few, wrong, or two swapped. The first letter is
// rarely the wrong one, and two words as near tell nothing.
func (c *Catalogue) Nearest(word string) (string, bool) {
	return NearestOf(word, c.spellings[firstLetter(word)])
}

// NearestOf is the one word of a list that is a slip of the finger away.
func NearestOf(word string, list []string) (string, bool) {
	typed := []rune(word)
	if len(typed) < minSlip || len(typed) > maxSearch {
		return "", false
	}
	allowed := 1
	if len(typed) >= minTwoSlips {
		allowed = 2
	}
	best, nearest := allowed+1, ""
	for _, known := range list {
		if diff := len(known) - len(word); diff > allowed || -diff > allowed || len(known) < minSlip-1 {
			continue
		}
		switch d := distance(typed, []rune(known)); {
		case d > 1 && !sameEnds(word, known):
		case d < best:
			best, nearest = d, known
		case d != best || nearest == known || d > allowed:
		case len(known) > len(nearest) && nearest != "": // a letter is sooner left out than put in
			nearest = known
		case len(known) == len(nearest):
			nearest = ""
		}
	}
	return nearest, nearest != ""
}

// sameEnds tells whether two words begin with the same two letters and end with the same
// one, as they do where the slips are inside: "cinammon", and not vanillin for vanilla.
func sameEnds(a, b string) bool {
	return a[:2] == b[:min(2, len(b))] && a[len(a)-1] == b[len(b)-1]
}

// minSlip is the shortest word that is taken for a slip of another, letters.
const minSlip = 5

// minTwoSlips is the shortest word that two slips are forgiven in, letters.
const minTwoSlips = 8

// firstLetter parts the spellings into lists short enough to be searched whole.
func firstLetter(word string) byte {
	if word == "" {
		return 0
	}
	return word[0]
}

// index files a name under each of its words.
func (c *Catalogue) index(i *Ingredient, name string, when []string) {
	words := strings.Fields(fold(name))
	for n, w := range words {
		words[n] = Singular(w)
	}
	named := Name{Of: i, Words: words, When: when}
	for n, w := range words {
		if slices.Contains(words[:n], w) {
			continue
		}
		if _, known := c.names[w]; !known {
			letter := firstLetter(w)
			c.spellings[letter] = append(slices.Clip(c.spellings[letter]), w)
		}
		c.names[w] = append(slices.Clip(c.names[w]), named)
	}
}

// readNames adds the names of names.csv: "also" is another name, "when" a name that
// holds where the line shows one of the words behind it, "fits" the words that may
// stand beside the ingredient's name, "not" those that may not.
func (c *Catalogue) readNames(text string) error {
	records, err := csv.NewReader(strings.NewReader(text)).ReadAll()
	if err != nil {
		return err
	}
	for n, record := range records[1:] {
		i, ok := c.ByID(record[0])
		if !ok {
			return fmt.Errorf("names, row %d: no ingredient %q", n+2, record[0])
		}
		words := strings.Split(record[2], ";")
		switch record[1] {
		case "also":
			if err := c.alsoCalled(i, words); err != nil {
				return fmt.Errorf("names, row %d: %w", n+2, err)
			}
		case "when":
			when := strings.Split(record[3], ";")
			for _, w := range words {
				c.index(i, w, when)
			}
		case "not":
			for _, w := range words {
				i.nots[Singular(fold(w))] = true
			}
		case "fits":
			for _, w := range words {
				i.fits[Singular(fold(w))] = true
			}
		default:
			return fmt.Errorf("names, row %d: %q", n+2, record[1])
		}
	}
	return nil
}

// alsoCalled adds names in other languages to an ingredient that is there already.
func (c *Catalogue) alsoCalled(i *Ingredient, names []string) error {
	for _, name := range names {
		key := fold(name)
		if other, taken := c.byName[key]; taken && other != i {
			return fmt.Errorf("%q is already a name of %s", name, other.ID)
		}
		c.byName[key] = i
		i.Aliases = append(i.Aliases, name)
		i.folded = append(i.folded, []rune(key))
		c.index(i, name, nil)
		i.learn(name)
	}
	return nil
}

// Taught is a name that a kitchen taught, for the ingredient of the name Of.
type Taught struct{ Name, Of string } // both as read, not folded

// Taught is the catalogue with names that a kitchen taught. One that is taken already, or
// whose ingredient is gone, is left out.
func (c *Catalogue) Taught(names []Taught) *Catalogue {
	if len(names) == 0 {
		return c
	}
	wider := c.copied()
	for _, n := range names {
		key := fold(n.Name)
		i, ok := c.Find(n.Of)
		if _, taken := wider.byName[key]; taken || !ok || key == "" {
			continue
		}
		wider.byName[key] = i
		wider.index(i, n.Name, nil)
	}
	return wider
}

// learn keeps the words of a name, all of which may stand beside the others.
func (i *Ingredient) learn(name string) {
	for _, w := range strings.Fields(fold(name)) {
		i.fits[Singular(w)] = true
	}
}

// Isnt tells whether a word beside the name makes another thing of it, though it makes
// none of others: soya chunks are no beans.
func (i *Ingredient) Isnt(word string) bool { return i.nots[word] }

// Fits tells whether a word, in the singular, may stand beside the ingredient's
// name without making another thing of it.
func (i *Ingredient) Fits(word string) bool { return i.fits[word] }

// Singular takes the ending of the plural off a word in lower case.
func Singular(word string) string {
	n := len(word)
	switch {
	case n < 3 || word[n-1] != 's' || word[n-2] == 's' || word[n-2] == 'u' || word[n-2] == 'i':
		return word
	case strings.HasSuffix(word, "ies") && n > 4:
		return word[:n-3] + "y"
	case word == "halves" || word == "leaves":
		return word[:n-3] + "f"
	case strings.HasSuffix(word, "sses"), strings.HasSuffix(word, "shes"), strings.HasSuffix(word, "ches"), strings.HasSuffix(word, "xes"), strings.HasSuffix(word, "oes"):
		return word[:n-2]
	}
	return word[:n-1]
}

// Fold brings a word to the spelling that names are compared in.
func Fold(word string) string { return fold(word) }
