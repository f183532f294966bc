package reading

import (
	"slices"

	"plushladle/core/ingredient"
)

// leftOpen say that any of a kind will do: "your favourite milk".
var leftOpen = setOf("any", "favourite", "favorite", "your", "preferred", "choice")

// ofPlants say that it is no cow's; "non-dairy" and "dairy-free" say so too.
var ofPlants = setOf("plant", "based", "vegan", "nondairy", "alternative")

// besideMilk are other words that do not say whose it is.
var besideMilk = setOf("unsweetened", "non", "free")

// offers begin what stands for a kind: "such as almond".
var offers = setOf("such", "like", "eg", "preferably", "ideally", "either", "or")

// usualMilks are offered where no kind is named (common practice, no source).
var usualMilks = []string{"oat", "almond", "soy"}

// saidMilk is what a line says of the milk in it, beside the amount.
type saidMilk struct {
	at          int  // the token
	open, plant bool // any will do; it is no cow's
}

// kinds are the milks to choose from where a line says only milk: "milk (almond, oat or soy)",
// "milk, such as almond", "any milk", "plant milk". A cow's, which the word alone means, is one of
// them unless it is ruled out or several others are named. What a bracket names alone is meant:
// "milk (oat)".
func (s *segment) kinds() ([]match, bool) {
	said, ok := s.onlyMilk()
	if !ok {
		return nil, false
	}
	var kinds []match
	offered := false
	for _, n := range s.words {
		if of, ok := s.line.reader.milkOf(s.line.tokens[n].word, "milk"); ok && s.mayBeKind(n, said) && !slices.ContainsFunc(kinds, func(m match) bool { return m.of == of }) {
			kinds = append(kinds, match{of: of})
			offered = offered || s.line.isOffered(n)
		}
	}
	switch {
	case len(kinds) > 1:
		return kinds, true
	case len(kinds) == 1 && !offered: // in a bracket
		return nil, false
	case len(kinds) == 0 && (said.open || said.plant):
		kinds = s.line.reader.usual(said.plant)
	}
	if cows, ok := s.line.reader.milkOf("milk"); ok && !said.plant {
		kinds = append(kinds, match{of: cows})
	}
	return kinds, said.open || said.plant || offered
}

// usual are milks to choose from, all that are offered where a cow's is ruled out.
func (r Reader) usual(all bool) []match {
	var list []match
	for _, w := range usualMilks {
		if of, ok := r.milkOf(w, "milk"); ok && (all || len(list) < maxChoices-1) {
			list = append(list, match{of: of})
		}
	}
	return list
}

// onlyMilk is what a line says of its milk that does not say whose it is.
func (s *segment) onlyMilk() (saidMilk, bool) {
	said := saidMilk{at: -1}
	for _, n := range s.words {
		if s.line.tokens[n].word == "milk" {
			said.at = n
			break
		}
	}
	if said.at < 0 || s.line.tokens[said.at].depth > 0 || s.line.tokens[said.at].tail {
		return said, false
	}
	for _, n := range s.words {
		w := s.line.tokens[n].word
		if n == said.at || s.line.tokens[n].tail {
			continue
		}
		isPlant := s.line.saysOfPlants(n)
		said.open, said.plant = said.open || leftOpen[w], said.plant || isPlant
		if s.line.isBeside(n, said.at) && !isPlant && !leftOpen[w] && !besideMilk[w] && !stops[w] && !neutrals[w] {
			return said, false
		}
	}
	return said, true
}

// saysOfPlants tells whether a word says that it is no cow's.
func (l *line) saysOfPlants(n int) bool {
	w := l.wordAt(n)
	return ofPlants[w] || w == "dairy" && l.isNegated(n)
}

// isBeside tells whether two words stand in the same part of the line, with no "or" between them.
func (l *line) isBeside(a, b int) bool {
	for n := min(a, b); n < max(a, b); n++ {
		if l.isWord(n, "or") {
			return false
		}
	}
	return l.tokens[a].clause == l.tokens[b].clause && l.tokens[a].depth == l.tokens[b].depth
}

// milkOf is the milk that some words name, by these alone.
func (r Reader) milkOf(words ...string) (*ingredient.Ingredient, bool) {
	for _, name := range r.Catalogue.NamesWith(words[0]) {
		if slices.Equal(name.Words, words) && name.Of.Role == ingredient.Liquid {
			return name.Of, true
		}
	}
	return nil, false
}

// mayBeKind tells whether a word says which milk: in a bracket, in a part of its own, or offered.
// What the milk is poured over is no kind of it.
func (s *segment) mayBeKind(n int, said saidMilk) bool {
	if s.line.isNegated(n) || s.line.isWord(n-1, "not", "no", "without") {
		return false
	}
	return s.line.isOffered(n) || !s.line.tokens[n].tail && !s.line.isBeside(n, said.at)
}

// isOffered tells whether "such as" or the like stands before a word, in its part of the line.
func (l *line) isOffered(at int) bool {
	for n := at; n >= 0 && l.tokens[n].depth == l.tokens[at].depth; n-- {
		if offers[l.wordAt(n)] {
			return true
		}
		if l.isMark(n, '(') {
			return false
		}
	}
	return false
}
