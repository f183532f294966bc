package reading

import (
	"cmp"
	"slices"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
)

// match is one way to read the words of a line as an ingredient.
type match struct {
	of     *ingredient.Ingredient // what it would be
	name   ingredient.Name        // the name it was found by
	score  int                    // higher is likelier
	words  [maxNameWords]int      // the tokens of the name
	unread []int                  // tokens that no part of it accounts for
}

// isCowsByDefault tells whether a match has nothing but "milk" or the like: the milk of "chocolate
// milk" is no cow's for that.
func (m match) isCowsByDefault() bool {
	return len(m.name.Words) == 1 && identity[m.name.Words[0]] && m.of.Has(ingredient.TagDairy)
}

const maxNameWords = 8 // no name of the catalogue is longer

// place is where a word of a segment stands.
type place uint8

const (
	head  place = iota // beside the name
	short              // in a bracket or a part of its own: "(fresh)", ", brown"
	rest               // in an explanation
)

// findMatch is the best way to account for every word of the segment. Where none
// does, the matches that come nearest are the choices.
func (s *segment) findMatch() (match, []match) {
	found := s.candidates()
	for n := range found {
		if s.account(&found[n]); len(found[n].unread) == 0 {
			return found[n], found
		}
	}
	return match{}, found
}

// weights of a match: a word more of the name is worth more than all else.
const (
	perWord       = 20 // a word of the name that is there
	perEvidence   = 7  // a form that the unit or a word tells
	perContiguous = 3  // where all of them stand together
	perSize       = 4  // a size that the ingredient has rows for
	perOutside    = 2  // a word of the name that stands in a bracket or behind a comma
	maxMatches    = 8  // more are not looked at
)

// candidates are the names of which every word is there, one at least in the head.
func (s *segment) candidates() []match {
	var found []match
	for _, at := range s.words {
		if s.places[at-s.from] != head {
			continue
		}
		w := s.line.tokens[at].word
		for _, name := range s.line.reader.Catalogue.NamesWith(w) {
			if len(name.Words) > maxNameWords || name.Of.Retired || name.Words[0] != w && s.headHas(name.Words[0]) {
				continue
			}
			m, ok := s.try(name)
			if ok {
				found = append(found, m)
			}
		}
	}
	slices.SortStableFunc(found, func(a, b match) int { return cmp.Compare(b.score, a.score) })
	return found[:min(len(found), maxMatches*3)]
}

// headHas tells whether a word stands beside the name. A name is tried once, at the
// first of its words that is there.
func (s *segment) headHas(w string) bool {
	for _, at := range s.words {
		if s.places[at-s.from] == head && s.line.tokens[at].word == w {
			return true
		}
	}
	return false
}

// try looks for every word of a name.
func (s *segment) try(name ingredient.Name) (match, bool) {
	m := match{of: name.Of, name: name, score: len(name.Words) * perWord}
	last, contiguous := -1, true
	for n, w := range name.Words {
		at := s.find(w, m.words[:n])
		if at < 0 {
			return m, false
		}
		if s.places[at-s.from] != head {
			m.score -= perOutside
		}
		if sizes[w] {
			m.score += perSize
		}
		contiguous = contiguous && (last < 0 || at == last+1)
		m.words[n], last = at, at
	}
	if contiguous {
		m.score += perContiguous
	}
	if len(name.When) > 0 {
		if !s.shows(name.When) {
			return m, false
		}
		m.score += perEvidence
	}
	return m, true
}

// find is the place of a word that the name has not taken yet, in the head before
// elsewhere; -1 where there is none.
func (s *segment) find(w string, taken []int) int {
	elsewhere := -1
	for _, at := range s.words {
		if s.line.tokens[at].word != w || slices.Contains(taken, at) {
			continue
		}
		switch s.places[at-s.from] {
		case head:
			return at
		case short:
			elsewhere = at
		}
	}
	return elsewhere
}

// shows tells whether the line has one of the units or words that tell a form.
func (s *segment) shows(any []string) bool {
	for _, w := range any {
		if u, ok := quantity.UnitOf(w); ok && s.unit == u && (s.hasUnit || u == quantity.Piece && s.counted) {
			return true
		}
		for n := s.from; n < s.to; n++ {
			if s.line.tokens[n].kind == word && s.line.tokens[n].word == w && !s.line.tokens[n].tail {
				return true
			}
		}
	}
	return false
}

// account gives every word of the segment its part beside a match, and keeps those
// that have none.
func (s *segment) account(m *match) {
	m.unread = m.unread[:0]
	for _, at := range s.words {
		if slices.Contains(m.words[:len(m.name.Words)], at) {
			continue
		}
		if s.part(m.of, at) == AsUnread {
			m.unread = append(m.unread, at)
		}
	}
	for _, at := range m.words[:len(m.name.Words)] {
		if s.line.isNegated(at) { // "milk-free" names no milk
			m.unread = append(m.unread, at)
		}
	}
}

// part is what one word is beside an ingredient.
func (s *segment) part(of *ingredient.Ingredient, at int) As {
	t := &s.line.tokens[at]
	w := t.word
	switch where := s.places[at-s.from]; {
	case s.line.isNegated(at):
		return negatedPart(of, w)
	case of.Isnt(w), (w == "vegan" || w == "plant") && !of.Vegan: // vegan condensed milk is none of a cow
		return AsUnread
	case w == "unsweetened":
		if of.Fits("sweetened") && !of.Fits("unsweetened") {
			return AsUnread
		}
		return AsNeutral
	case fits(of, w):
		return AsForm
	case where == rest:
		return AsNote
	case where == short:
		return s.shortPart(of, w)
	}
	switch {
	case prepared[w]:
		return AsPrepared
	case basesOnly[w] && of.Role == ingredient.Base && !of.Has(ingredient.TagRefused):
		return AsPrepared
	case sizes[w]:
		return AsSize
	case stops[w], neutrals[w], fills[w] != 0:
		return AsNeutral
	case w == "free" && s.line.isNegated(at-1), w == "free" && s.line.isNegated(at-2), w == "non":
		return AsNeutral
	}
	return AsUnread
}

// shortPart is what a word behind a comma or in a bracket is. Only words that make
// another thing of the ingredient need to be its own there; what is ground after it
// was measured is only prepared, unless it is sold ready to drink.
func (s *segment) shortPart(of *ingredient.Ingredient, w string) As {
	switch {
	case prepared[w]:
		return AsPrepared
	case basesOnly[w], sameGroup(w) == "ground" && w == "ground" && !of.Has(ingredient.TagBrewed):
		return AsPrepared
	case w == "stick" || w == "pod" || w == "bean" || w == "skin" || w == "root":
		return AsForm
	case identity[w]:
		return AsUnread
	}
	return AsNote
}

// isNegated tells whether a word says what is not in it: "dairy-free", "non-dairy".
func (l *line) isNegated(at int) bool {
	if at < 0 || at >= len(l.tokens) || l.tokens[at].kind != word {
		return false
	}
	behind, before := at+1, at-1
	if l.isMark(behind, '-') {
		behind++
	}
	if l.isMark(before, '-') {
		before--
	}
	return l.isWord(behind, "free") || l.isWord(before, "non")
}

// negatedPart is what a word is that says what is not in it. What is free of dairy is no
// milk of a cow, what is free of nuts no almond milk, and what is free of sugar may be another
// syrup, unless it is sold unsweetened; gluten-free oats are oats.
func negatedPart(of *ingredient.Ingredient, w string) As {
	isWithout := freeOf[w] || w == "sugar" && of.Fits("unsweetened")
	if isWithout && !of.Has(ingredient.TagDairy) && !holds(of, w) {
		return AsNeutral
	}
	return AsUnread
}

// holds tells whether an ingredient has the allergen that a word names. Oats are sold without gluten.
func holds(of *ingredient.Ingredient, w string) bool {
	a, ok := caution.AllergenOf(w)
	return ok && a.Code != "gluten" && slices.ContainsFunc(of.Allergens, func(code string) bool {
		b, ok := caution.AllergenOf(code)
		return ok && a.Covers(b)
	})
}

// isFreeOf tells whether the line says of something that is in an ingredient that it is not.
func (l *line) isFreeOf(of *ingredient.Ingredient) bool {
	for n := range l.tokens {
		if l.tokens[n].kind == word && !l.tokens[n].tail && (l.isNegated(n) && holds(of, l.tokens[n].word) || l.saysOfPlants(n) && of.Has(ingredient.TagDairy)) {
			return true
		}
	}
	return false
}

// freeOf is what an ingredient may be free of and stay what it is.
var freeOf = setOf("alcoholic", "gluten", "dairy", "alcohol", "gmo", "additive", "preservative", "soy", "nut", "lactose", "cruelty", "pesticide")

// fits tells whether a word, or one that says the same, may stand beside the
// ingredient's name.
func fits(of *ingredient.Ingredient, w string) bool {
	if of.Fits(w) {
		return true
	}
	g := sameGroup(w)
	if g != w && of.Fits(g) {
		return true
	}
	for other, in := range groups {
		if in == g && of.Fits(other) {
			return true
		}
	}
	return false
}
