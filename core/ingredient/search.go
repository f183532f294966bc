package ingredient

import (
	"slices"
	"strings"
	"unicode"
)

// maxSearch is how many runes of what is typed are looked at.
const maxSearch = 120

// Find returns the ingredient that has a name: its id, its name or an alias, in any
// case, in the singular or the plural. What stands beside a name in a line is
// for package reading to account for.
func (c *Catalogue) Find(name string) (*Ingredient, bool) {
	if i, ok := c.exact[name]; ok {
		return i, true
	}
	if len(name) > maxSearch {
		return nil, false
	}
	key := fold(name)
	if i, ok := c.byName[key]; ok {
		return i, true
	}
	i, ok := c.byName[Singular(key)]
	return i, ok
}

// Suggest returns up to limit ingredients for a type-ahead, best first: those
// with a name or alias that begins with what is typed, then those with a word
// that does, then those that contain it, then those it is a misspelling of.
func (c *Catalogue) Suggest(typed string, limit int) []*Ingredient {
	key := fold(typed)
	if runes := []rune(key); len(runes) > maxSearch {
		key = string(runes[:maxSearch])
	}
	hits := c.hits(key, (*Ingredient).rank)
	if len(hits) < limit && len(key) >= minMisspelt {
		for _, h := range c.hits(key, (*Ingredient).misspelt) {
			if !slices.ContainsFunc(hits, func(known hit) bool { return known.i == h.i }) {
				hits = append(hits, h)
			}
		}
	}
	found := make([]*Ingredient, 0, limit)
	for _, h := range hits[:min(limit, len(hits))] {
		found = append(found, h.i)
	}
	return found
}

// minLike is how many letters a word has, below which what is spelled nearly so is something else (a
// judgement, no source).
const minLike = 6

// Like returns up to limit ingredients that a word on its own may mean, in the catalogue's order:
// those with a name that has a word of which it is the first half or more, and for a long word those
// it is a misspelling of.
func (c *Catalogue) Like(word string, limit int) []*Ingredient {
	key := fold(word)
	var found []*Ingredient
	for _, i := range c.rows {
		if len(found) < limit && !i.Retired && i.hasWordLike(key) {
			found = append(found, i)
		}
	}
	if len(found) > 0 || len(key) < minLike {
		return found
	}
	for _, h := range c.hits(key, (*Ingredient).misspelt) {
		if len(found) < limit {
			found = append(found, h.i)
		}
	}
	return found
}

// hasWordLike tells whether a word is the first half or more of one of the ingredient's.
func (i *Ingredient) hasWordLike(key string) bool {
	return slices.ContainsFunc(i.folded, func(name []rune) bool {
		return slices.ContainsFunc(strings.Fields(string(name)), func(w string) bool {
			return strings.HasPrefix(w, key) && len(w) <= 2*len(key)
		})
	})
}

type hit struct { // an ingredient that was found, and how well
	i    *Ingredient // never nil
	rank int         // lower is better
}

// hits ranks every ingredient that ships and keeps the catalogue's order among equals.
func (c *Catalogue) hits(key string, rank func(*Ingredient, string) (int, bool)) []hit {
	var hits []hit
	for _, i := range c.rows {
		if r, ok := rank(i, key); ok && !i.Retired {
			hits = append(hits, hit{i, r})
		}
	}
	slices.SortStableFunc(hits, func(a, b hit) int { return a.rank - b.rank })
	return hits
}

// rank is 0 for the very name, growing as the match gets looser.
func (i *Ingredient) rank(key string) (int, bool) {
	best, found := 0, false
	for n, name := range i.folded {
		folded := string(name)
		rank := -1
		switch {
		case folded == key:
			rank = 0
		case strings.HasPrefix(folded, key):
			rank = 1
		case strings.Contains(folded, " "+key):
			rank = 2
		case strings.Contains(folded, key):
			rank = 3
		}
		if rank < 0 {
			continue
		}
		rank *= 2
		if n > 0 {
			rank++ // an alias comes after a name
		}
		if !found || rank < best {
			best, found = rank, true
		}
	}
	return best, found
}

const (
	minMisspelt     = 3 // letters, below which everything is near to everything
	lettersPerError = 6 // a word may be misspelt once for every so many letters
)

// misspelt ranks by how many letters are wrong, one in six being forgiven. A
// name may go on behind what is typed so far.
func (i *Ingredient) misspelt(key string) (int, bool) {
	typed := []rune(key)
	forgiven := (len(typed) + lettersPerError - 1) / lettersPerError
	best := forgiven + 1
	for _, full := range i.folded {
		if len(full) < len(typed)-forgiven {
			continue
		}
		best = min(best, 1+distance(typed, full[:min(len(full), len(typed))]))
		if len(full) <= len(typed)+forgiven {
			best = min(best, distance(typed, full))
		}
	}
	return best, best <= forgiven
}

// distance is how many letters must be changed, added, left out or swapped
// with their neighbour to make b of a.
func distance(a, b []rune) int {
	var rows [3][maxSearch + 2]int
	if len(b) > maxSearch {
		b = b[:maxSearch]
	}
	before, last, row := &rows[0], &rows[1], &rows[2]
	for m := range len(b) + 1 {
		last[m] = m
	}
	for n := 1; n <= len(a); n++ {
		row[0] = n
		for m := 1; m <= len(b); m++ {
			wrong := 1
			if a[n-1] == b[m-1] {
				wrong = 0
			}
			row[m] = min(last[m]+1, row[m-1]+1, last[m-1]+wrong)
			if n > 1 && m > 1 && a[n-1] == b[m-2] && a[n-2] == b[m-1] {
				row[m] = min(row[m], before[m-2]+1)
			}
		}
		before, last, row = last, row, before
	}
	return last[len(b)]
}

// fold brings a name to one spelling: lower case, letters and digits, single
// spaces, plain apostrophes left out.
func fold(name string) string {
	var b strings.Builder
	b.Grow(len(name))
	space := false
	for _, r := range name {
		switch {
		case unicode.IsLetter(r) || unicode.IsDigit(r):
			if space && b.Len() > 0 {
				b.WriteByte(' ')
			}
			space = false
			b.WriteRune(plainLetter(unicode.ToLower(r)))
		case r == '\'' || r == '’' || unicode.Is(unicode.Mn, r):
		default:
			space = true
		}
	}
	return b.String()
}

// plainLetter takes the accent off a letter: names are typed with it and without.
func plainLetter(r rune) rune {
	if r < 0x80 {
		return r
	}
	if plain, ok := accented[r]; ok {
		return plain
	}
	return r
}

// accented are the letters with an accent that kitchens of Europe and America write.
var accented = func() map[rune]rune {
	out := map[rune]rune{}
	for plain, letters := range map[rune]string{
		'a': "áàâäãåāă", 'c': "çćč", 'e': "éèêëēęě", 'i': "íìîïī", 'n': "ñń", 'o': "óòôöõøō", 's': "śš", 'u': "úùûüū", 'y': "ýÿ", 'z': "źżž",
	} {
		for _, r := range letters {
			out[r] = plain
		}
	}
	return out
}()
