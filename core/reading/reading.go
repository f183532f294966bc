// Package reading understands what a cook writes: a line of an ingredient list, or a
// whole page with its title, headings and method.
//
// # A line
//
// A line is parted into words, numbers and marks. Every amount in it is found, wherever
// it stands: before the name, behind it, in brackets, behind a slash. The words that are
// left are held against the names of the catalogue, without regard to their order; the
// name of most words wins, and every other word must have a part beside it: it praises
// ("organic"), prepares ("chopped"), says a size, or is known to go with the ingredient.
// A word that has none is no noise. "Almond flour" is not almonds, and "dried stevia" is
// no extract: such a line is not read, and the ingredients that come nearest are offered.
//
// The words are data: what kitchens call things stands in the catalogue's tables, what
// stands beside a name in words.go. There is no line that the code knows.
//
// # Amounts
//
// A line may say how much in several places and ways, and package-wise: "2 (14 oz)
// cans", "10 dates (200 g)", "1 cup / 140 g", "2 tbsp + 1 tsp", "1 cup minus 1 tbsp".
// Measures that follow each other are added up, taken off, or the same said twice. Of
// what is said twice a mass says more than a volume, and a volume more than a count; what
// is left over is held against it, and told where the two lie a quarter apart. What one
// pack holds is told from the whole by "each", by where it stands, and by what the pack
// usually holds. Times, shares and temperatures are no amounts, and neither is what
// stands behind a word that only explains: "soaked in 2 cups of water".
//
// A number is read as people say it, "one and a half", "three-quarters of a", "half a
// dozen", and only where one can stand: the half of "walnut halves" is none. "Several"
// and "a few" leave the amount open.
//
// # The form of an ingredient
//
// Much is called the same and is not: fresh ginger and ground, the stick and the powder
// of cinnamon. The unit is evidence (a stick, an inch, a teaspoon), and so are words of
// the line; the catalogue's table of names says which. A word of identity, dried or
// sweetened or cooked, must belong to the ingredient that is taken, wherever in the line
// it stands.
//
// # Several in one line
//
// "1 tsp each cinnamon and nutmeg" is two lines, as is "½ cup almonds, ½ cup cashews";
// "cashew and almond milk" shares its last word. Of "honey or maple syrup" the first is
// taken and the other noted. Where one amount may be meant for each or for all together,
// the line is asked about, and so is one that leaves open which milk: "non-dairy milk",
// "milk (almond or oat)". A cow's is never taken where it may be another's.
//
// # What is taken for granted
//
// A letter that slipped is forgiven in words of five or more, and told. Where two words
// lie as near, neither is taken. Words of the kitchen that are no ingredient here are
// known, so that butter is not read as bitter.
//
// # A page
//
// Of a whole recipe each line is a title, a yield, a heading, an ingredient, a step or a
// note, and none is dropped. A heading says when the lines below it go in. What the
// method says of soaking, blending, heating, straining and keeping is offered beside its
// sentence, and never taken by itself.
package reading

import (
	"slices"
	"strings"
	"unicode"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// Reader reads lines with the names and the measures of a kitchen.
type Reader struct {
	Catalogue *ingredient.Catalogue // the kitchen's, its own ingredients included
	Measures  quantity.Reader       // the kitchen's own measures
	System    quantity.System       // what a cup is
}

// Doubt is why a line is asked about.
type Doubt string

// The doubts. A line with no ingredient has the first.
const (
	Sure           Doubt = ""                 // nothing
	Unread         Doubt = "unread"           // no ingredient was found
	UnknownUnit    Doubt = "unknown-unit"     // a number with a word that is no unit
	AmountsDiffer  Doubt = "amounts-differ"   // "1 cup (100 g)" of what weighs 150
	EachOrTogether Doubt = "each-or-together" // a number that may be of each or of all
)

// Slip is a word that was taken for another.
type Slip struct{ Written, Read string } // a word and what it was taken for

// Part is some words of a line, as written, and what they were read as.
type Part struct {
	Words string // as written
	As    As     // what they were taken for
}

// Reading is what was understood of a line.
type Reading struct {
	Written string                   // the whole line, untouched
	Lines   []recipe.Line            // one for each ingredient; one with none where it was not read
	Doubt   Doubt                    // Sure where nothing is to be asked
	About   string                   // what the doubt is about: the unit, the other amount
	Choices []*ingredient.Ingredient // what an unread line may mean, the likeliest first
	Slips   []Slip                   // so that the cook can see what was guessed
	Teach   string                   // of a line that was settled: its words that no name has, to be taught
	Instead string                   // what the cook wrote for another choice
	Amounts []quantity.Amount        // as written, in their order; the line has the one that says most
	Parts   []Part                   // every word of the line, in its order
}

// IsRead tells whether every line of the reading has its ingredient.
func (r *Reading) IsRead() bool {
	return !slices.ContainsFunc(r.Lines, func(l recipe.Line) bool { return l.Ingredient == nil })
}

// maxLineText is how long an ingredient line can be, in bytes. What is longer is none,
// and is kept as it stands.
const maxLineText = 500

// Read reads one line. The error, a *fault.Error, is for an amount that cannot be one:
// below zero, or beyond a million.
func (r Reader) Read(text string) (Reading, error) {
	out := Reading{Written: strings.TrimSpace(text)}
	if len(text) > maxLineText {
		out.add(recipe.Line{Name: out.Written}, nil)
		return out, nil
	}
	l := line{reader: r, text: clean(text)}
	if err := l.read(&out); err != nil {
		return Reading{Written: out.Written, Lines: []recipe.Line{{Name: out.Written}}, Doubt: Unread}, err
	}
	out.Slips = l.slips
	out.Choices = slices.DeleteFunc(out.Choices, l.isFreeOf)
	if !out.IsRead() && !l.asked && len(out.Choices) == 0 {
		out.Choices = slices.DeleteFunc(r.suggest(&l), l.isFreeOf)
	}
	return out, nil
}

// Line reads one line and gives the first ingredient of it.
func (r Reader) Line(text string) (recipe.Line, error) {
	read, err := r.Read(text)
	return read.Lines[0], err
}

// Name finds the ingredient that a name on its own means.
func (r Reader) Name(text string) (*ingredient.Ingredient, bool) {
	if i, ok := r.Catalogue.Find(text); ok {
		return i, true
	}
	read, err := r.Read(text)
	if err != nil || len(read.Lines) != 1 || read.Lines[0].Ingredient == nil || !read.Lines[0].Amount.IsOpen() {
		return nil, false
	}
	return read.Lines[0].Ingredient, true
}

// maxChoices is how many ingredients are offered for an unread line.
const maxChoices = 3

// add keeps a line. One without an ingredient brings the matches that came nearest as
// choices: their names are there, and some word of the line has no part beside them.
func (r *Reading) add(line recipe.Line, near []match) {
	r.Lines = append(r.Lines, line)
	if line.Ingredient != nil {
		return
	}
	if r.Doubt == Sure {
		r.Doubt = Unread
	}
	for _, m := range near {
		if !m.isCowsByDefault() {
			r.choose(m.of)
		}
	}
}

// choose adds to the choices, as far as there may be more.
func (r *Reading) choose(more ...*ingredient.Ingredient) {
	for _, i := range more {
		if len(r.Choices) < maxChoices && !slices.Contains(r.Choices, i) {
			r.Choices = append(r.Choices, i)
		}
	}
}

// unnamed is what the cook calls the ingredient: the words beside the name that nothing
// is called. Where they are words of the kitchen, flour or butter, they mean it only
// together with the others.
func (s *segment) unnamed(of *ingredient.Ingredient) string {
	var own, all []string
	plain := true
	for _, at := range s.words {
		if s.places[at-s.from] != head || describes(s.line.tokens[at].word) && !identity[s.line.tokens[at].word] {
			continue
		}
		written := strings.ToLower(s.line.raw(at))
		all = append(all, written)
		if s.part(of, at) == AsUnread {
			own = append(own, written)
			plain = plain && !s.line.knows(s.line.tokens[at].word)
		}
	}
	switch {
	case len(own) == 0:
		return ""
	case !plain:
		own = all
	}
	if len(own) > maxTaught || !plain && len(own) < 2 {
		return ""
	}
	return strings.Join(own, " ")
}

// maxTaught is how many words a name may have that is offered to be taught.
const maxTaught = 4

// explain tells of every word what it was read as.
func (l *line) explain(out *Reading) {
	out.Parts = out.Parts[:0]
	end := 0
	for n := range l.tokens {
		t := &l.tokens[n]
		if t.kind == mark {
			continue
		}
		if t.as == AsUnread && stops[t.word] {
			t.as = AsNeutral
		}
		if last := len(out.Parts) - 1; last >= 0 && out.Parts[last].As == t.as {
			out.Parts[last].Words += l.between(end, t.from) + l.raw(n)
		} else {
			out.Parts = append(out.Parts, Part{Words: l.raw(n), As: t.as})
		}
		end = t.to
	}
}

// between is what stands between two words that are told together: "3/4", "1-2", "pistachios,
// shelled". A bracket, what was passed over and what was moved is no part of either.
func (l *line) between(from, to int) string {
	if from > to {
		return " "
	}
	isSomething := func(r rune) bool {
		return unicode.IsLetter(r) || unicode.IsNumber(r) || strings.ContainsRune("()[]{}", r)
	}
	if strings.ContainsFunc(l.text[from:to], isSomething) {
		return " "
	}
	return l.text[from:to]
}

// Standard reads with the catalogue that ships with the product and the common
// measures.
func Standard() Reader { return Reader{Catalogue: ingredient.Standard()} }

// Amount reads how much there is of an ingredient, as it stands on a pack or in a field:
// "2 x 400 ml", "1 bag (500 g)".
func (r Reader) Amount(text string, of *ingredient.Ingredient) (quantity.Amount, error) {
	amount, refusal := r.Measures.ParseAmount(text)
	if refusal == nil || fault.Code(refusal) != "not-an-amount" {
		return amount, refusal
	}
	read, err := r.ReadAs(text, of)
	if err != nil || read.Lines[0].Amount.IsOpen() {
		return quantity.Amount{}, refusal
	}
	t := read.Lines[0].Amount.Terms()[0]
	if t.Unit == quantity.Piece && !t.HasPack() { // "a big one" says nothing
		return quantity.Amount{}, refusal
	}
	return read.Lines[0].Amount, nil
}

// ReadAs reads a line whose ingredient the cook has settled: its amounts are found anew
// with what is known of that one, and what was written beside them is kept as a note.
func (r Reader) ReadAs(text string, of *ingredient.Ingredient) (Reading, error) {
	out := Reading{Written: strings.TrimSpace(text)}
	l := line{reader: r, text: clean(text)}
	l.tokens = tokens(l.text)
	l.unlabel()
	l.passOver()
	l.mend()
	l.findMeasures()
	l.markTails()
	s := l.segmentOf(0, len(l.tokens))
	amount, err := l.choose(&out, s, of)
	if err != nil {
		return out, err
	}
	out.Teach = s.unnamed(of)
	line := s.write(match{of: of})
	line.Name, line.Amount = of.Name, amount
	out.add(line, nil)
	out.Slips = l.slips
	l.explain(&out)
	return out, nil
}
