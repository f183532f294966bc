package reading

import (
	"slices"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
)

// How far an unread line is looked for (judgements, no source).
const (
	mostCut   = 2 // letters taken off a word that is looked for by its beginning
	leastWord = 3 // letters of a word that means something
	searched  = 8 // ingredients looked at for a word that is in no name
	mostAlike = 6 // of which a word that mostly ends their names tells nothing: "seed"
)

// scored is an ingredient that an unread line may mean.
type scored struct {
	of    *ingredient.Ingredient
	score int // higher is likelier
}

// suggest is what the words of an unread line may mean: the names with most of them, and of those
// the ones that begin with one. A word that is in no name is looked for without its ending, "oaty"
// by "oat", and by how names begin. Nothing is offered for the sake of offering: mint is nearly
// nothing else.
func (r Reader) suggest(l *line) []*ingredient.Ingredient {
	var found []scored
	for n, t := range l.tokens {
		if t.kind != word || len(t.word) < leastWord || describes(t.word) || t.tail || t.as == AsAmount || t.as == AsCheck {
			continue
		}
		if l.isNegated(n) || t.word == "free" {
			continue
		}
		for _, s := range r.meantBy(l, t.word) {
			at := slices.IndexFunc(found, func(f scored) bool { return f.of == s.of })
			if at < 0 {
				found = append(found, s)
			} else {
				found[at].score = max(found[at].score, s.score)
			}
		}
	}
	slices.SortStableFunc(found, func(a, b scored) int {
		if d := l.suits(b.of) - l.suits(a.of); d != 0 {
			return d
		}
		return b.score - a.score
	})
	var choices []*ingredient.Ingredient
	for _, s := range found[:min(len(found), maxChoices)] {
		choices = append(choices, s.of)
	}
	if len(choices) == 0 && slices.ContainsFunc(l.tokens, func(t token) bool { return t.word == "milk" && !t.tail }) {
		return r.milks()
	}
	return choices
}

// milks are those to choose from where nothing is known of a milk but that it is one.
func (r Reader) milks() []*ingredient.Ingredient {
	var list []*ingredient.Ingredient
	for _, m := range r.usual(false) {
		list = append(list, m.of)
	}
	if cows, ok := r.milkOf("milk"); ok {
		list = append(list, cows)
	}
	return list
}

// meantBy is what one word of a line may mean, with what its other words say of it.
func (r Reader) meantBy(l *line, w string) []scored {
	names, stem := r.Catalogue.NamesWith(w), w
	for cut := 1; len(names) == 0 && cut <= mostCut && len(w)-cut >= leastWord; cut++ {
		stem = w[:len(w)-cut]
		names = r.Catalogue.NamesWith(stem)
	}
	var found []scored
	begins := 0
	if len(names) == 0 {
		for _, i := range r.Catalogue.Like(w, searched) {
			found = append(found, scored{i, 1})
		}
		return found
	}
	for _, name := range names {
		if name.Of.Retired {
			continue
		}
		s := scored{name.Of, 2 * l.shared(name.Words, stem)}
		if name.Words[0] == stem {
			s.score++
			begins++
		}
		if at := slices.IndexFunc(found, func(f scored) bool { return f.of == s.of }); at >= 0 {
			found[at].score = max(found[at].score, s.score)
			continue
		}
		found = append(found, s)
	}
	if len(found) <= mostAlike {
		return found
	}
	alone := 2 // the score of the word and nothing else
	if 2*begins < len(found) {
		alone++ // nor does it where it begins one
	}
	return slices.DeleteFunc(found, func(s scored) bool { return s.score <= alone })
}

// shared is how many words of a name stand in the line, one of them perhaps as its stem.
func (l *line) shared(name []string, stem string) int {
	n := 0
	for _, w := range name {
		if w == stem || slices.ContainsFunc(l.tokens, func(t token) bool { return t.kind == word && t.word == w }) {
			n++
		}
	}
	return n
}

// suits tells what is measured as the line measures: a liquid by the litre, and what is sold in
// such packs by the pack.
func (l *line) suits(i *ingredient.Ingredient) int {
	for _, m := range l.measures {
		if m.term.Unit.IsContainer() && i.PieceG[m.term.Unit] > 0 {
			return 1
		}
	}
	if l.isPoured() && i.Role == ingredient.Liquid {
		return 1
	}
	return 0
}

// isPoured tells whether the line is measured as liquids are.
func (l *line) isPoured() bool {
	for _, m := range l.measures {
		switch m.term.Unit {
		case quantity.Millilitre, quantity.Centilitre, quantity.Decilitre, quantity.Litre, quantity.FluidOunce, quantity.Pint, quantity.Quart, quantity.Carton, quantity.Bottle:
			return true
		}
	}
	return false
}
