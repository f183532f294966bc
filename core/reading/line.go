package reading

import (
	"strings"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// line is one line while it is read.
type line struct {
	reader   Reader    // whose catalogue and measures are used
	text     string    // without the marks of a list
	tokens   []token   // all words, numbers and marks
	measures []measure // the amounts among them
	slips    []Slip    // words that were taken for others
	asked    bool      // what it may mean is known, and nothing else
}

// segment is a part of a line that holds one ingredient.
type segment struct {
	line     *line         // it is a part of
	from, to int           // tokens of the line, half open
	words    []int         // tokens that are words and no amount
	places   []place       // by token
	unit     quantity.Unit // what its amount is counted in
	hasUnit  bool          // no amount of its own: "salt and pepper to taste"
	counted  bool          // there is a number with no unit
}

// raw is a token as it was written.
func (l *line) raw(at int) string { return l.text[l.tokens[at].from:l.tokens[at].to] }

// read reads the whole line into out.
func (l *line) read(out *Reading) error {
	l.tokens = tokens(l.text)
	if l.isMark(0, '-') && l.isNumber(1) && !l.tokens[1].gap {
		return fault.New("amount", "-"+l.raw(1), "below-zero")
	}
	if len(l.tokens) > 0 && l.isMark(len(l.tokens)-1, ':') { // a heading
		l.tokens = nil
	}
	l.unlabel()
	l.passOver()
	l.mend()
	if kind, from := l.follows(); kind != measured {
		return l.readFollowing(out, kind, from)
	}
	l.findMeasures()
	if numbers, ok := l.twoNumbers(); ok {
		return fault.New("amount", numbers, "two-numbers")
	}
	l.markTails()
	return l.readParts(out)
}

// unlabel takes off what stands before a colon and names no ingredient: "Optional:",
// "For the milk:".
func (l *line) unlabel() {
	for n, t := range l.tokens {
		if t.kind == number || t.depth > 0 || n > 6 {
			return
		}
		if t.kind != mark || t.mark != ':' {
			continue
		}
		isLabel := n > 0 && n+1 < len(l.tokens) && (l.isWord(0, "optional", "for", "base", "to", "topping", "garnish") || !l.namesSomething(0, n))
		if isLabel && !l.isWord(1, "cover") { // "to cover: water" is how much
			l.tokens = l.tokens[n+1:]
		}
		return
	}
}

// namesSomething tells whether a word of a label is one of the catalogue, or a slip of
// one: "Almonds: 250 g" is a line, "Base: 1 cup almonds" has a label.
func (l *line) namesSomething(from, to int) bool {
	for n := from; n < to; n++ {
		w := l.tokens[n].word
		if l.tokens[n].kind != word {
			continue
		}
		if len(l.reader.Catalogue.NamesWith(w)) > 0 {
			return true
		}
		if _, near := l.reader.Catalogue.Nearest(w); near {
			return true
		}
	}
	return false
}

// passOver marks brackets that belong to the page and not to the line: "(see note 1)",
// "($2.50)".
func (l *line) passOver() {
	for n := 0; n < len(l.tokens); n++ {
		if !l.isMark(n, '(') {
			continue
		}
		end, ofPage := n+1, false
		for ; end < len(l.tokens) && l.tokens[end].depth > 0 && !l.isMark(end, ')'); end++ {
			ofPage = ofPage || l.isWord(end, "note", "footnote", "link", "tip", "video", "photo") || l.isMark(end, '$') || l.isMark(end, '€') || l.isMark(end, '£')
		}
		if ofPage {
			l.tokens = append(l.tokens[:n:n], l.tokens[min(end+1, len(l.tokens)):]...)
			n--
		}
	}
	for n := 1; n < len(l.tokens); n++ { // "see note 2"
		if l.isWord(n-1, "see") && l.isWord(n, "note") {
			l.tokens = l.tokens[:n-1]
			return
		}
	}
}

// mend takes words that nothing is called for the one they are a slip of, and parts
// words that were run together.
func (l *line) mend() {
	for n := 0; n < len(l.tokens); n++ {
		t := &l.tokens[n]
		if t.kind != word || len(t.word) < 5 || l.knows(t.word) {
			continue
		}
		if n > 0 && (l.tokens[n-1].kind == number || shares[l.tokens[n-1].word] > 0 || cardinals[l.tokens[n-1].word] > 0 || l.isWord(n-1, "a", "heaped", "level", "rounded")) {
			if unit, ok := ingredient.NearestOf(t.word, unitSpellings); ok {
				l.slip(t, unit)
				continue
			}
		}
		if near, ok := l.reader.Catalogue.Nearest(t.word); ok && near[0] == t.word[0] {
			l.slip(t, near)
			continue
		}
		if first, second, ok := l.runTogether(t.word); ok {
			l.slip(t, first+" "+second)
			behind := *t
			t.word, behind.word = first, second
			l.tokens = append(l.tokens[:n+1:n+1], append([]token{behind}, l.tokens[n+1:]...)...)
			n++
		}
	}
}

// slip takes a word for another, and keeps that it did: what was mended is shown.
func (l *line) slip(t *token, to string) {
	l.slips = append(l.slips, Slip{Written: l.text[t.from:t.to], Read: to})
	t.word, t.slip = to, true
}

// knows tells whether a word is one that stands in a line for itself. Only words that
// nothing is called can be a slip of another.
func (l *line) knows(w string) bool {
	if len(l.reader.Catalogue.NamesWith(w)) > 0 || known[w] {
		return true
	}
	if _, isUnit := quantity.UnitOf(w); isUnit {
		return true
	}
	_, isOwn := l.reader.Measures.Own(w)
	return isOwn
}

// runTogether parts "tigernut" into two words that stand together in a name.
func (l *line) runTogether(w string) (first, second string, ok bool) {
	for at := 3; at+3 <= len(w); at++ {
		second = ingredient.Singular(w[at:])
		for _, name := range l.reader.Catalogue.NamesWith(w[:at]) {
			for n := 1; n < len(name.Words); n++ {
				if name.Words[n-1] == w[:at] && name.Words[n] == second {
					return w[:at], second, true
				}
			}
		}
	}
	return "", "", false
}

// following is an amount that follows from the rest of the drink.
type following uint8

const (
	measured following = iota // the amount stands before what it measures
	toCover                   // as much as covers it
	toTotal                   // as much as the whole comes to
)

// follows tells whether the line says "to cover" or "to a total of", and where.
func (l *line) follows() (following, int) {
	for n := range l.tokens {
		if !l.isWord(n, "to") {
			continue
		}
		switch {
		case l.isWord(n+1, "cover") && !l.hasNumberBefore(n):
			return toCover, n
		case l.isWord(n+1, "make") && l.isNumber(n+2), l.isWord(n+1, "a") && l.isWord(n+2, "total"):
			return toTotal, n
		}
	}
	return measured, 0
}

// hasNumberBefore tells whether something is measured before a place: "1 cup water, to
// cover" has its amount, and "to cover" only says what it is for.
func (l *line) hasNumberBefore(n int) bool {
	for at := range n {
		if l.isNumber(at) {
			return true
		}
	}
	return false
}

// readFollowing reads "water to cover" and "water, to a total of 1 litre".
func (l *line) readFollowing(out *Reading, kind following, from int) error {
	amount := quantity.ToCover()
	behind := from + 2
	if kind == toTotal {
		l.findMeasures()
		if len(l.measures) == 0 || l.measures[0].from < from {
			return l.readParts(out)
		}
		a, next, err := l.amount(0)
		if err != nil {
			return err
		}
		amount, behind = a.ToTotal(), l.measures[next-1].to
		l.measures = nil
	}
	name := *l
	name.tokens = l.tokens[:from:from]
	if from == 0 { // "to cover: water"
		name.tokens = l.tokens[behind:]
	}
	for n := range name.tokens {
		if name.isWord(n, "rest", "the", "enough") {
			name.tokens[n].tail = false
		}
	}
	if err := name.readParts(out); err != nil {
		return err
	}
	for n := range out.Lines {
		out.Lines[n].Amount = amount
	}
	return nil
}

// markTails marks what stands behind a word after which a clause only explains.
func (l *line) markTails() {
	taken := make([]bool, len(l.tokens)+1)
	for _, m := range l.measures {
		for n := m.from; n < m.to; n++ {
			taken[n] = true
		}
	}
	in, clause, depth := false, int8(-1), int8(-1)
	for n := range l.tokens {
		t := &l.tokens[n]
		if t.clause != clause || t.depth != depth && !(in && t.depth > depth) || t.kind == mark && t.mark == '(' {
			in, clause, depth = false, t.clause, t.depth
		}
		if !in && t.kind == word && !taken[n] && (tails[t.word] && !l.isWord(n+1, "cup") || l.isWord(n, "in") || l.purposeAfter(n)) {
			in = true
		}
		t.tail = in
	}
}

// purposeAfter tells whether "plus" or "or" begins what is not measured: "plus extra to
// dust", "or to taste".
func (l *line) purposeAfter(n int) bool {
	return l.isWord(n, "plus", "or", "and") && l.isWord(n+1, "extra", "more", "to", "as", "some", "so", "other", "any")
}

// segmentOf gathers the words of a part of the line, and where they stand.
func (l *line) segmentOf(from, to int) *segment {
	s := &segment{line: l, from: from, to: to, places: make([]place, to-from)}
	taken := make([]bool, to-from)
	for n := range l.measures {
		m := &l.measures[n]
		if m.from < from || m.to > to || (l.tokens[m.from].tail && m.from > 0) {
			continue
		}
		first := m.from
		if (m.plus || m.minus || m.instead) && l.measures[n-1].from >= from { // with the word that joins them
			first = l.measures[n-1].to
		}
		for at := first; at < m.to; at++ {
			taken[at-from] = true
		}
		if m.numbered && !s.hasUnit && !s.counted && !m.isLength() {
			s.unit, s.hasUnit, s.counted = m.term.Unit, m.hasUnit, !m.hasUnit
		} else if !s.hasUnit && m.isLength() {
			s.unit, s.hasUnit = m.term.Unit, true
		}
	}
	for n := from; n < to; n++ {
		if l.tokens[n].kind == word && !taken[n-from] && l.tokens[n].as == AsUnread {
			s.words = append(s.words, n)
		}
	}
	s.place()
	return s
}

// maxShort is how many words a part of its own may have to name a form.
const maxShort = 4

// place tells the words beside the name from those in parts of their own: the head is
// the first part of the line, outside brackets, that names something.
func (s *segment) place() {
	headClause := int8(-1)
	for _, n := range s.words {
		t := &s.line.tokens[n]
		if t.depth == 0 && !t.tail && !describes(t.word) && len(s.line.reader.Catalogue.NamesWith(t.word)) > 0 {
			headClause = t.clause
			break
		}
	}
	if headClause < 0 && len(s.words) > 0 {
		headClause = s.line.tokens[s.words[0]].clause
	}
	for _, n := range s.words {
		t := &s.line.tokens[n]
		switch {
		case t.tail:
			s.places[n-s.from] = rest
		case t.depth == 0 && t.clause == headClause:
			s.places[n-s.from] = head
		case s.lengthOfPart(n) <= maxShort && !s.isInstead(n):
			s.places[n-s.from] = short
		default:
			s.places[n-s.from] = rest
		}
	}
}

// describes tells whether a word is one that stands beside names: no part of the line
// is about it.
func describes(w string) bool {
	return neutrals[w] || prepared[w] || sizes[w] || basesOnly[w] || stops[w] || identity[w]
}

// lengthOfPart is how many words the part has that a word stands in.
func (s *segment) lengthOfPart(at int) int {
	t, count := s.line.tokens[at], 0
	for _, n := range s.words {
		if o := s.line.tokens[n]; o.depth == t.depth && o.clause == t.clause {
			count++
		}
	}
	return count
}

// isInstead tells whether "or" or "not" stands in the part before a word: what follows
// is another thing.
func (s *segment) isInstead(at int) bool {
	t := s.line.tokens[at]
	for n := at; n >= s.from && s.line.tokens[n].clause == t.clause && s.line.tokens[n].depth == t.depth; n-- {
		if s.line.isWord(n, "or", "not", "no", "without", "and") {
			return true
		}
	}
	return false
}

// mostForeign is how many words of another language may stand before what they mean.
const mostForeign = 3

// bracketAsHead is the segment with the words of its bracket for its name, where what
// stands before it is a word or two that may be another language's: "kaju (cashews)".
func (s *segment) bracketAsHead() (*segment, bool) {
	other := *s
	other.places = append([]place{}, s.places...)
	other.words = nil
	outside, inside := 0, 0
	for _, n := range s.words {
		switch {
		case s.places[n-s.from] == head && known[s.line.tokens[n].word] && !stops[s.line.tokens[n].word] && !neutrals[s.line.tokens[n].word]:
			return nil, false // "coconut cream (gata)" is not what is in its bracket
		case s.places[n-s.from] == head && !stops[s.line.tokens[n].word] && !neutrals[s.line.tokens[n].word]:
			outside++
		case s.line.tokens[n].depth > 0 && s.places[n-s.from] == short:
			inside++
			other.places[n-s.from] = head
			other.words = append(other.words, n)
		}
	}
	return &other, inside > 0 && outside <= mostForeign
}

// write makes the line of a recipe of a match. Where there is none, the line is what
// was written, and its amount.
func (s *segment) write(m match) recipe.Line {
	l := s.line
	out := recipe.Line{Ingredient: m.of}
	for _, at := range s.words {
		if m.of != nil && l.tokens[at].as == AsUnread {
			l.tokens[at].as = s.part(m.of, at)
			if l.tokens[at].as == AsUnread {
				l.tokens[at].as = AsNote
			}
		}
	}
	for n := range m.name.Words {
		l.tokens[m.words[n]].as = AsIngredient
	}
	out.Name, out.Note = s.nameAndNote(m)
	text := strings.ToLower(l.text)
	out.Stage = stageIn(text)
	out.Unsoaked = strings.Contains(text, "unsoaked") || strings.Contains(text, "not soaked") || strings.Contains(text, "no soak")
	if m.of != nil {
		out.Form, out.Treatment = m.of.FormIn(text), ingredient.TreatmentIn(text)
		out.SoakedCup = !out.Unsoaked && s.soakedBefore(m)
	}
	return out
}

// soakedBefore tells whether "soaked" stands before the name: it was measured soaked.
func (s *segment) soakedBefore(m match) bool {
	first := len(s.line.tokens)
	for n := range m.name.Words {
		first = min(first, m.words[n])
	}
	for n := s.from; n < first; n++ {
		if s.line.isWord(n, "soaked", "presoaked") && !s.line.tokens[n].tail {
			return true
		}
	}
	return false
}

// nameAndNote are the words beside the name, and those that say more.
func (s *segment) nameAndNote(m match) (name, note string) {
	l := s.line
	var names, notes strings.Builder
	isMeasure := func(n int) bool {
		for _, a := range l.measures {
			if n >= a.from && n < a.to && !(l.tokens[a.from].tail && a.from > 0) {
				return true
			}
		}
		return false
	}
	lastNote := -2
	for n := s.from; n < s.to; n++ {
		t := &l.tokens[n]
		if isMeasure(n) || t.as == AsAmount || t.as == AsInstead || t.kind == number && t.as == AsNeutral {
			continue
		}
		where := rest
		if t.kind == word {
			where = s.places[n-s.from]
		} else if t.kind == mark && (t.mark == '-' || t.mark == '/' || t.mark == '&' || t.mark == '+' || t.mark == '%') && n > s.from && n+1 < s.to {
			where = s.places[n-1-s.from]
			if t.tail {
				where = rest
			}
		} else if t.kind == mark {
			continue
		}
		if where == head && !t.tail {
			write(&names, l, n)
		}
		prepares := where == head && m.of != nil && (t.as == AsPrepared || l.isWord(n, "lightly", "roughly", "finely", "coarsely", "freshly") && n+1 < s.to && l.tokens[n+1].kind == word && prepared[l.tokens[n+1].word])
		if where != head || prepares {
			if lastNote >= 0 && (l.tokens[lastNote].clause != t.clause || l.tokens[lastNote].depth != t.depth) {
				notes.WriteString(", ")
			}
			write(&notes, l, n)
			lastNote = n
		}
	}
	return strings.Trim(names.String(), " -/,&+"), strings.Trim(notes.String(), " -/,;&+")
}

// write adds a token as it was written.
func write(b *strings.Builder, l *line, n int) {
	if b.Len() > 0 && l.tokens[n].gap && !strings.HasSuffix(b.String(), " ") {
		b.WriteByte(' ')
	}
	b.WriteString(l.raw(n))
}

// stageWords are what a cook writes for a stage other than the usual one.
var stageWords = []struct {
	words string
	stage ingredient.Stage
}{
	{"to serve", ingredient.Serve}, {"for serving", ingredient.Serve}, {"at serving", ingredient.Serve}, {"when serving", ingredient.Serve}, {"to garnish", ingredient.Serve}, {"for garnish", ingredient.Serve}, {"to decorate", ingredient.Serve},
	{"to dust", ingredient.Serve}, {"for dusting", ingredient.Serve}, {"to top", ingredient.Serve}, {"for topping", ingredient.Serve},
	{"after straining", ingredient.Strained}, {"to finish", ingredient.Strained},
	{"to rinse the pulp", ingredient.Rinse}, {recipe.SecondGrind, ingredient.Rinse},
	{"to brew", ingredient.Brew}, {"while cooking", ingredient.CookIt},
	{"soaking water kept", ingredient.Soak},
}

// stageIn is the stage that the words of a line name; none where they are said of more
// of the same, "plus extra to serve".
func stageIn(text string) ingredient.Stage {
	for _, s := range stageWords {
		if strings.Contains(text, s.words) && !strings.Contains(text, "plus extra "+s.words) && !strings.Contains(text, "plus more "+s.words) && !strings.Contains(text, "extra for dusting") {
			return s.stage
		}
	}
	return ""
}
