package reading

import (
	"strings"

	"plushladle/core/fault"
	"plushladle/core/quantity"
)

// measure is one amount in a line: where it stands, and what it says.
type measure struct {
	term     quantity.Term // as read
	from, to int           // tokens, to being the one behind it
	numbered bool          // it has a number, or says "a pinch"
	hasUnit  bool          // a unit stood beside the number
	open     bool          // "a few": how many is not said
	about    bool          // "about" stood before it
	each     bool          // "14 oz each"
	plus     bool          // it joins the measure before it: "2 tbsp + 1 tsp"
	minus    bool          // "minus": it comes off the one before
	instead  bool          // it says the one before it otherwise: "1 cup / 140 g"
}

// dimension is what the measure measures.
func (m *measure) dimension() quantity.Dimension { return m.term.Unit.Dimension() }

// isLength tells whether it says how long a piece is.
func (m *measure) isLength() bool {
	return m.term.Unit == quantity.Inch || m.term.Unit == quantity.Centimetre
}

var (
	fills = map[string]quantity.Fill{ // words for how a spoon is filled
		"heaped": quantity.Heaped, "heaping": quantity.Heaped, "rounded": quantity.Heaped, "generous": quantity.Heaped, "good": quantity.Heaped,
		"big": quantity.Heaped, "large": quantity.Heaped, "scant": quantity.Scant, "small": quantity.Scant, "tiny": quantity.Scant, "little": quantity.Scant,
	}
)

// findMeasures finds every amount of the line.
func (l *line) findMeasures() {
	for at := 0; at < len(l.tokens); {
		next := l.measureAt(at)
		if next == at {
			next++
		}
		at = next
	}
	l.relate()
}

// measureAt reads the amount that begins at a token, if one does, and returns the
// place behind what it read.
func (l *line) measureAt(at int) int {
	m := measure{from: at}
	i := l.abouts(at, &m)
	if l.isWord(i, "between") {
		if low, ok := l.number(i + 1); ok && l.isWord(low.next, "and") {
			if high, ok := l.number(low.next + 1); ok {
				m.term.Low, m.term.High = low.value, high.value
				return l.finish(&m, high.next)
			}
		}
		return at
	}
	n, ok := l.number(i)
	if !ok {
		return l.bare(&m, i)
	}
	if next := l.noAmount(i, n.next); next > 0 {
		return next
	}
	if u, next, ok := l.unit(n.next); ok && n.article && l.isWord(i-1, "from", "in") && u.IsContainer() { // "from a carton"
		return l.pass(i-1, next)
	}
	if n.open {
		m.open = true
		m.term.Low, m.term.High = 1, 1
		return l.finish(&m, n.next)
	}
	m.term.Low, m.term.High = n.value, n.value
	i = n.next
	if !n.article {
		if high, ok := l.rangeEnd(i); ok && high.value >= n.value {
			m.term.High, i = high.value, high.next
		}
	}
	next := l.finish(&m, i)
	if n.article && !m.hasUnit { // "a" before a noun: one of it, where nothing else says how much
		if !l.mayBeOne(next) {
			l.measures = l.measures[:len(l.measures)-1]
			return at
		}
	}
	return next
}

// mayBeOne tells whether "a" stands before what can be counted: at the start of a line
// or behind its name.
func (l *line) mayBeOne(next int) bool { return next <= 2 && next < len(l.tokens) }

// noAmount passes over a number that is no amount: a time, a share, a temperature, a
// price. It returns 0 where it is none of these.
func (l *line) noAmount(at, next int) int {
	if l.isMark(at-1, '$') || l.isMark(at-1, '€') || l.isMark(at-1, '£') {
		for n := at - 1; n < next; n++ {
			l.tokens[n].as = AsNeutral
		}
		return next
	}
	behind := next
	for l.isMark(behind, '-') || l.isMark(behind, '—') || l.isWord(behind, "to") || l.isWord(behind, "or") {
		high, ok := l.number(behind + 1)
		if !ok {
			break
		}
		behind = high.next
	}
	if l.isMark(behind, '-') {
		behind++
	}
	switch {
	case l.isMark(behind, '%') && behind == at+1 && l.tokens[at].numeral != "": // "2% milk": part of the name
		l.tokens[at].kind, l.tokens[at].word = word, l.tokens[at].numeral
		return behind + 1
	case l.isMark(behind, '%'):
		return l.pass(at, behind+1)
	case l.isMark(behind, '°'):
		return l.pass(at, min(behind+2, len(l.tokens)))
	case behind < len(l.tokens) && times[l.wordAt(behind)]:
		return l.pass(at, behind+1)
	}
	return 0
}

// pass marks tokens as saying something, though no amount.
func (l *line) pass(from, to int) int {
	for n := from; n < to; n++ {
		l.tokens[n].as = AsPrepared
	}
	return to
}

// abouts passes over words that make an amount a rough one.
func (l *line) abouts(at int, m *measure) int {
	for at < len(l.tokens) {
		switch {
		case abouts[l.wordAt(at)], l.isMark(at, '~'), l.isMark(at, '≈'):
			at++
		case l.isWord(at, "up") && l.isWord(at+1, "to"), l.isWord(at, "at") && l.isWord(at+1, "least", "most"), l.isWord(at, "or") && l.isWord(at+1, "so"):
			at += 2
		default:
			return at
		}
		m.about = true
	}
	return at
}

// rangeEnd reads "-4", "to 4" or "or 4" behind a number.
func (l *line) rangeEnd(at int) (counted, bool) {
	if !l.isMark(at, '-') && !l.isMark(at, '—') && !l.isWord(at, "to", "or", "till") {
		return counted{}, false
	}
	high, ok := l.number(at + 1)
	if !ok || high.article || high.open {
		return counted{}, false
	}
	if l.isWord(at, "or") { // "2 or 3 dates", and not "2 or 1 tbsp honey"
		if _, _, isUnit := l.unit(high.next); isUnit && high.value < 1 {
			return counted{}, false
		}
	}
	return high, true
}

// finish reads what stands behind a number: how the measure is filled, the unit, and
// what one of it holds.
func (l *line) finish(m *measure, at int) int {
	m.numbered = true
	at = l.packBefore(m, at)
	fill, behind := l.filled(at)
	if u, next, ok := l.unit(behind); ok && !l.isNoun(behind, next) {
		m.term.Unit, m.hasUnit, at = u, true, next
		if u == quantity.OwnMeasure {
			m.term.Own, _ = l.own(behind)
		}
		if u.Dimension() == quantity.Volume {
			m.term.Fill = fill
		}
		l.thousands(m)
		at = l.rangeAgain(m, at)
		at = l.behindUnit(m, at)
	}
	m.to = at
	l.measures = append(l.measures, *m)
	return at
}

// thousands reads "1.000 ml" as a litre: a point before three digits is a decimal one
// in a number field, and in a recipe none for grams and millilitres, which nobody
// measures to a thousandth.
func (l *line) thousands(m *measure) {
	t := l.tokens[m.from]
	whole, rest, found := strings.Cut(t.numeral, ".")
	if !found || len(rest) != 3 || whole == "" || whole == "0" || (m.term.Unit != quantity.Gram && m.term.Unit != quantity.Millilitre) {
		return
	}
	m.term.Low, m.term.High = m.term.Low*1000, m.term.High*1000
}

// isNoun tells whether a word that may be a unit is the ingredient's own name: the bean
// of "soya beans", the drop of "lemon drops".
func (l *line) isNoun(from, to int) bool {
	u, _, _ := l.unit(from)
	if u != quantity.Bean && u != quantity.Jar && u != quantity.Sachet {
		return false
	}
	return to < len(l.tokens) && l.isWord(to, "milk", "powder", "seasoning")
}

// packBefore reads what one piece holds where it is written before the unit: "2 (13.5
// oz) cans", "2 14-oz cans", "2 x 400 ml".
func (l *line) packBefore(m *measure, at int) int {
	open, by := l.isMark(at, '('), l.isWord(at, "x") || l.isMark(at, '*')
	i := at
	if open || by {
		i++
	}
	if !open && !by && !l.isNumber(at) {
		return at
	}
	n, ok := l.number(i)
	if !ok || n.article {
		return at
	}
	i = n.next
	if l.isMark(i, '-') {
		i++
	}
	u, next, ok := l.unit(i)
	if !ok || u.Dimension() == quantity.Count || u == quantity.OwnMeasure {
		return at
	}
	if open {
		n, u, next = l.saidAgain(n, u, next)
		next = l.skip(next, "each")
		if !l.isMark(next, ')') {
			return at
		}
		next++
	}
	if l.isMark(next, '-') {
		next++
	}
	if container, behind, ok := l.unit(next); ok && container.IsContainer() {
		m.term.Pack = quantity.Pack{Value: n.value, Unit: u}
		m.term.Unit, m.hasUnit = container, true
		return behind
	}
	if open || !by { // a size, or another amount
		return at
	}
	m.term.Pack, m.hasUnit = quantity.Pack{Value: n.value, Unit: u}, true
	return next
}

// saidAgain is what a pack holds where it is said in two units: "(13.5 oz / 400 ml)". Of the two the
// metric one says whether it is weighed or poured.
func (l *line) saidAgain(n counted, u quantity.Unit, at int) (counted, quantity.Unit, int) {
	if !l.isMark(at, '/') && !l.isMark(at, ',') && !l.isMark(at, '=') && !l.isWord(at, "or") {
		return n, u, at
	}
	other, ok := l.number(at + 1)
	if !ok || other.article {
		return n, u, at
	}
	v, next, ok := l.unit(other.next)
	if !ok || v.Dimension() == quantity.Count {
		return n, u, at
	}
	if v == quantity.Gram || v == quantity.Millilitre || v == quantity.Litre || v == quantity.Kilogram {
		return other, v, next
	}
	return n, u, next
}

// filled reads how a measure is filled: "generous", "level".
func (l *line) filled(at int) (quantity.Fill, int) {
	fill, i := quantity.Level, at
	for n := 0; n < 3 && i < len(l.tokens); n++ {
		if l.isMark(i, '-') && !l.tokens[i].gap {
			i++
			continue
		}
		w := l.wordAt(i)
		f, isFill := fills[w]
		if !isFill && !beforeUnit[w] {
			break
		}
		if u, _, ok := l.unit(i); ok && u != quantity.Piece { // "c" is a cup and no adjective
			break
		}
		if isFill {
			fill = f
		}
		i++
	}
	if _, _, ok := l.unit(i); ok {
		return fill, i
	}
	return quantity.Level, at
}

// unit reads a unit, the longest there is: "fl oz" before "fl".
func (l *line) unit(at int) (quantity.Unit, int, bool) {
	if at >= len(l.tokens) || l.tokens[at].kind != word {
		return 0, at, false
	}
	if _, ok := l.own(at); ok {
		return quantity.OwnMeasure, at + 1, true
	}
	if at+1 < len(l.tokens) && l.tokens[at+1].kind == word && mayBeTwo[l.tokens[at].word] {
		if u, ok := quantity.UnitOf(l.tokens[at].word + " " + l.tokens[at+1].word); ok {
			return u, at + 2, true
		}
	}
	if l.isWord(at, "thumb") && l.isMark(at+1, '-') && l.isWord(at+2, "size", "sized") {
		return quantity.Thumb, at + 3, true
	}
	if l.tokens[at].word == "in" && l.isNumber(at-1) && (l.isMark(at+1, ')') || l.isWord(at+1, "piece", "stick", "knob", "length", "long")) {
		return quantity.Inch, at + 1, true
	}
	if raw := l.raw(at); raw == "T" || raw == "t" {
		u, _ := quantity.UnitOf(raw)
		return u, at + 1, true
	}
	if u, ok := quantity.UnitOf(l.tokens[at].word); ok {
		return u, at + 1, true
	}
	return 0, at, false
}

// mayBeTwo are the words that begin a unit of two.
var mayBeTwo = setOf("fl", "fluid", "tea", "table", "thumb", "dessert")

// own is the measure of the cook's own that a word names. It comes before all others:
// a mug that was weighed is no longer anybody's mug.
func (l *line) own(at int) (quantity.Own, bool) {
	if at >= len(l.tokens) || l.tokens[at].kind != word {
		return quantity.Own{}, false
	}
	return l.reader.Measures.Own(l.tokens[at].word)
}

// rangeAgain reads "2 tbsp to 3 tbsp".
func (l *line) rangeAgain(m *measure, at int) int {
	if !l.isMark(at, '-') && !l.isMark(at, '—') && !l.isWord(at, "to", "or") {
		return at
	}
	high, ok := l.number(at + 1)
	if !ok || high.article || high.value < m.term.Low {
		return at
	}
	if u, next, ok := l.unit(high.next); ok && u == m.term.Unit {
		m.term.High = high.value
		return next
	}
	return at
}

// behindUnit reads what goes on behind a unit: "400 ml can", "1-inch piece", "400 ml
// each".
func (l *line) behindUnit(m *measure, at int) int {
	i := at
	if l.isMark(i, '-') {
		i++
	}
	d := m.dimension()
	if container, next, ok := l.unit(i); ok && container.IsContainer() && d != quantity.Count && m.term.Low == m.term.High && !m.term.HasPack() {
		m.term = quantity.Term{Low: 1, High: 1, Unit: container, Pack: quantity.Pack{Value: m.term.Low, Unit: m.term.Unit}}
		return next
	}
	if m.isLength() || m.term.Unit == quantity.Thumb {
		for l.isMark(i, '-') || l.isWord(i, "piece", "knob", "chunk", "length", "long", "thick", "size", "sized", "root", "hunk") {
			i++
		}
		return i
	}
	if l.isWord(at, "each") || l.isWord(at, "apiece") {
		m.each = true
		return at + 1
	}
	if more := l.andAShare(at); more > 0 {
		m.term.Low, m.term.High = m.term.Low+more, m.term.High+more
		return at + 3
	}
	return at
}

// andAShare is what "and a half" behind a unit adds to it: "a cup and a half". A half cup more is
// an amount of its own.
func (l *line) andAShare(at int) float64 {
	if !l.isWord(at, "and") || !l.isWord(at+1, "a") {
		return 0
	}
	if _, _, isUnit := l.unit(at + 3); isUnit {
		return 0
	}
	return shares[l.wordAt(at+2)]
}

// bare reads a unit with no number: "pinch of salt", and at the start of a line "cup of
// almonds".
func (l *line) bare(m *measure, at int) int {
	first := at == 0 || l.tokens[at-1].kind == mark && l.tokens[at-1].mark != '-' && l.tokens[at-1].mark != '(' || l.isWord(at-1, "optional", "of", "and")
	if at >= len(l.tokens) || !first {
		return m.from
	}
	fill, behind := l.filled(at)
	u, next, ok := l.unit(behind)
	if !ok || (u.Dimension() != quantity.Volume && !l.isWord(next, "of")) || (len(l.raw(behind)) < 3 && !l.isWord(next, "of")) {
		return m.from
	}
	m.term.Low, m.term.High, m.term.Unit, m.hasUnit, m.numbered = 1, 1, u, true, true
	if u.Dimension() == quantity.Volume {
		m.term.Fill = fill
	}
	if u == quantity.OwnMeasure {
		m.term.Own, _ = l.own(behind)
	}
	m.to = next
	l.measures = append(l.measures, *m)
	return next
}

// relate finds how measures that follow each other belong together: added up, taken
// off, or the same said twice.
func (l *line) relate() {
	for n := 1; n < len(l.measures); n++ {
		before, m := &l.measures[n-1], &l.measures[n]
		m.each = m.each || l.isWord(m.from-1, "each")
		between := l.tokens[before.to:m.from]
		if l.tokens[before.from].depth != l.tokens[m.from].depth || len(between) > 1 {
			continue
		}
		smaller := m.hasUnit && before.hasUnit && m.dimension() == before.dimension() && m.dimension() != quantity.Count &&
			m.term.Unit.Size(quantity.US) < before.term.Unit.Size(quantity.US)
		switch {
		case len(between) == 0:
			m.plus = smaller
			m.instead = !smaller && m.hasUnit && before.hasUnit
		case between[0].kind == mark && between[0].mark == '/':
			m.instead = true
		case between[0].kind == mark && between[0].mark == '+' || between[0].word == "plus":
			m.plus = m.hasUnit
		case between[0].word == "and" || between[0].kind == mark && between[0].mark == '&':
			m.plus = smaller
		case between[0].word == "minus" || between[0].word == "less":
			m.minus = m.hasUnit
		case between[0].word == "or" || between[0].kind == mark && between[0].mark == '=':
			m.instead = m.hasUnit && before.hasUnit && m.dimension() != before.dimension()
		}
	}
}

// amount is the measure at a place of the list with those that join it, and the place
// behind them.
func (l *line) amount(n int) (quantity.Amount, int, error) {
	m := l.measures[n]
	terms := []quantity.Term{m.term}
	next := n + 1
	for ; next < len(l.measures) && len(terms) < maxTerms; next++ {
		t := l.measures[next].term
		if l.measures[next].minus {
			var ok bool
			if terms[len(terms)-1], ok = less(terms[len(terms)-1], t); !ok {
				return quantity.Amount{}, next, fault.New("amount", l.measured(next-1, next), "other-unit")
			}
			continue
		}
		if !l.measures[next].plus {
			break
		}
		terms = append(terms, t)
	}
	a, err := quantity.Sum(m.about, terms...)
	return a, next, err
}

const maxTerms = 8 // in one amount

// measured are the words of some measures and of what joins them.
func (l *line) measured(first, last int) string {
	return l.text[l.tokens[l.measures[first].from].from:l.tokens[l.measures[last].to-1].to]
}

// less is a measure with a smaller one taken off, in the measures of the United
// States, whose cups are whole numbers of spoons: "1 cup minus 1 tbsp". Grams come off no cup.
func less(from, off quantity.Term) (quantity.Term, bool) {
	size := from.Unit.Size(quantity.US)
	if size == 0 || off.Unit.Dimension() != from.Unit.Dimension() {
		return from, false
	}
	share := off.Low * off.Unit.Size(quantity.US) / size
	from.Low, from.High = max(from.Low-share, 0), max(from.High-share, 0)
	return from, true
}
