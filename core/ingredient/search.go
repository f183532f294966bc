package ingredient

import (
	"slices"
	"strings"
	"unicode"
)

// maxSearch is how many runes of what is typed are looked at.
const maxSearch = 120

// Find returns the ingredient that one of the names means, the first name that
// is known winning: as an id, name or alias, then with words left out that say
// only how it comes (raw, chopped …), then with words of size left out too.
func (c *Catalogue) Find(names ...string) (*Ingredient, bool) {
	for _, name := range names {
		if i, ok := c.exact[name]; ok {
			return i, true
		}
	}
	for _, left := range []map[string]bool{nil, formWords, sizeWords} {
		for _, name := range names {
			words := strings.Fields(fold(name))
			if len(words) > maxNameWords {
				continue
			}
			if i, ok := c.byWords(without(words, left)); ok {
				return i, true
			}
		}
	}
	return nil, false
}

// maxNameWords is how many words the name of an ingredient can have.
const maxNameWords = 12

// byWords tries the words as they are, and with the last one in the singular.
func (c *Catalogue) byWords(words []string) (*Ingredient, bool) {
	if len(words) == 0 {
		return nil, false
	}
	if i, ok := c.byName[strings.Join(words, " ")]; ok {
		return i, true
	}
	last := len(words) - 1
	singular, found := strings.CutSuffix(words[last], "s")
	if !found {
		return nil, false
	}
	i, ok := c.byName[strings.Join(append(words[:last:last], singular), " ")]
	return i, ok
}

// formWords say how an ingredient comes without changing which one it is;
// sizeWords are those and the words of size, which sometimes do.
var (
	formWords = wordSet(`raw soaked unsoaked drained rinsed roasted toasted chopped sliced slivered whole halved pitted
		shelled peeled skinned blanched unsalted salted organic fresh freshly ripe good quality fine finely
		ground grated crushed dry dried cold hot warm boiling filtered room temperature optional packed level
		plain pure unsweetened extra of the some more at pieces piece halves cooked lightly dark light natural
		split seeds from to taste for`)
	sizeWords = wordSet(`small medium large`, formWords)
)

func wordSet(words string, more ...map[string]bool) map[string]bool {
	set := map[string]bool{}
	for _, w := range strings.Fields(words) {
		set[w] = true
	}
	for _, m := range more {
		for w := range m {
			set[w] = true
		}
	}
	return set
}

func without(words []string, left map[string]bool) []string {
	var kept []string
	for _, w := range words {
		if !left[w] {
			kept = append(kept, w)
		}
	}
	return kept
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

type hit struct {
	i    *Ingredient
	rank int
}

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
	lettersPerError = 6
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
	space := false
	for _, r := range name {
		switch {
		case unicode.IsLetter(r) || unicode.IsDigit(r):
			if space && b.Len() > 0 {
				b.WriteByte(' ')
			}
			space = false
			b.WriteRune(unicode.ToLower(r))
		case r == '\'' || r == '’':
		default:
			space = true
		}
	}
	return b.String()
}
