package quantity

import (
	"math"
	"strconv"
	"strings"
	"unicode"
	"unicode/utf8"

	"plushladle/core/fault"
)

// Limits of what is taken for an amount.
const (
	maxValue  = 1e6  // of any unit
	minValue  = 1e-6 // less than that is a slip of the pen
	maxTerms  = 8    // "1 cup + 2 tbsp + …" ends somewhere
	maxAmount = 200  // bytes of an amount written on its own
)

// ParseAmount reads an amount written on its own, such as "1 1/2 cups",
// "250g" or "1 (14 oz) can". Blank text is the open amount. The error is a
// *fault.Error for the field "amount".
func (r Reader) ParseAmount(text string) (Amount, error) {
	trimmed := strings.TrimSpace(text)
	if trimmed == "" {
		return Amount{}, nil
	}
	if len(trimmed) > maxAmount {
		return Amount{}, fault.New("amount", trimmed, "amount-too-long")
	}
	p := parser{text: trimmed, own: r.own}
	kind := p.kind()
	if kind == toCover && p.rest() == "" {
		return Amount{kind: toCover}, nil
	}
	a, rest, err := r.ParseLeading(p.rest())
	if err != nil {
		return Amount{}, err
	}
	a.kind = kind
	if len(a.terms) == 0 || kind == toCover || strings.TrimSpace(rest) != "" {
		return Amount{}, fault.New("amount", trimmed, "not-an-amount")
	}
	return a, nil
}

// kind reads "to cover" or "to a total of" before an amount.
func (p *parser) kind() kind {
	switch {
	case p.acceptAny("to cover", "enough to cover"):
		return toCover
	case p.acceptAny("the rest, to a total of ", "to a total of ", "to make "):
		return toTotal
	}
	return measured
}

// ParseLeading reads the amount at the start of text and returns what follows
// it. Text that starts with no amount gives the open amount and all of text.
// The error is for a number that is there but cannot be an amount: negative,
// or beyond a million.
func (r Reader) ParseLeading(text string) (Amount, string, error) {
	p := parser{text: text, own: r.own}
	p.skipSpace()
	if isNegative(p.text[p.at:]) {
		return Amount{}, text, fault.New("amount", firstWords(p.text[p.at:]), "below-zero")
	}
	about := p.acceptAny("~", "≈", "about ", "approx. ", "approximately ", "around ", "circa ", "ca. ")
	a := Amount{about: about}
	for len(a.terms) < maxTerms {
		start := p.at
		if len(a.terms) > 0 && !p.joins(a.terms) {
			p.at = start
			break
		}
		t, ok := p.term()
		if !ok {
			p.at = start
			break
		}
		if err := t.check(); err != nil {
			return Amount{}, text, err
		}
		a.terms = append(a.terms, t)
	}
	if a.IsOpen() {
		return Amount{}, text, nil
	}
	return a, strings.TrimLeft(p.text[p.at:], " \t"), nil
}

// check refuses what no kitchen holds or measures, by the field it was typed in.
func (t Term) check() error {
	for _, v := range []float64{t.Low, t.High, t.Pack.Value} {
		if math.IsNaN(v) || v > maxValue {
			return fault.New("amount", strconv.FormatFloat(v, 'g', 6, 64), "more-than-a-kitchen-holds")
		}
	}
	if t.Low == 0 && t.High == 0 && t.Unit == Gram && t.Pack.Value == 0 {
		return nil // none of it: where a dial was turned all the way down
	}
	if t.Low < minValue {
		return fault.New("amount", strconv.FormatFloat(t.Low, 'g', 6, 64), "too-little-to-measure")
	}
	return nil
}

// isNegative tells a minus before a number from a dash before words.
func isNegative(s string) bool {
	rest, ok := strings.CutPrefix(s, "-")
	if !ok {
		rest, ok = strings.CutPrefix(s, "−")
	}
	return ok && rest != "" && (rest[0] >= '0' && rest[0] <= '9' || rest[0] == '.')
}

// firstWords is enough of what was typed to find it again in an error.
func firstWords(s string) string {
	fields := strings.Fields(s)
	return strings.Join(fields[:min(len(fields), 2)], " ")
}

// parser walks over the text of an amount.
type parser struct {
	text string         // what is read
	at   int            // the byte it is read from next
	own  map[string]Own // the cook's measures, by their names
	last Own            // the measure of the cook's own that unit read last
}

func (p *parser) rest() string { return p.text[p.at:] }

// skipSpace steps over spaces of any kind.
func (p *parser) skipSpace() {
	for p.at < len(p.text) {
		r, size := utf8.DecodeRuneInString(p.rest())
		if !unicode.IsSpace(r) {
			return
		}
		p.at += size
	}
}

// acceptAny skips the first of the given beginnings that is there.
func (p *parser) acceptAny(beginnings ...string) bool {
	p.skipSpace()
	for _, b := range beginnings {
		if hasFoldPrefix(p.rest(), b) {
			p.at += len(b)
			p.skipSpace()
			return true
		}
	}
	return false
}

// hasFoldPrefix looks at the first letter before it folds the rest: most prefixes fail there.
func hasFoldPrefix(s, prefix string) bool {
	return len(s) > 0 && (s[0]|0x20 == prefix[0]|0x20) && len(s) >= len(prefix) && strings.EqualFold(s[:len(prefix)], prefix)
}

// joins reads what stands between two terms of one amount: a plus sign, or
// nothing where a smaller unit of the same kind follows, as in "1 lb 4 oz".
func (p *parser) joins(before []Term) bool {
	if p.acceptAny("+", "plus ", "& ") {
		return true
	}
	last := before[len(before)-1]
	p.acceptAny("and ")
	ahead := parser{text: p.text, at: p.at, own: p.own}
	t, ok := ahead.term()
	if !ok || t.Unit == Piece || last.Unit == Piece {
		return false
	}
	d := last.Unit.Dimension()
	return d != Count && t.Unit.Dimension() == d && t.size(US) < last.size(US)
}

// term reads a number or a range, what it is heaped or packed as, and a unit.
func (p *parser) term() (Term, bool) {
	p.skipSpace()
	fill := p.fill()
	low, article, ok := p.number()
	if !ok {
		return p.bareUnit(fill)
	}
	high := low
	if !article {
		high = p.rangeEnd(low)
	}
	t := Term{Low: low, High: high, Fill: max(fill, p.fill())}
	p.packInBrackets(&t)
	if u, ok := p.unit(); ok {
		t.Unit, t.Own = u, p.last
		p.packBefore(&t)
		if u.IsContainer() {
			p.packInBrackets(&t)
		}
	}
	p.packTimes(&t)
	if article && t.Unit == Piece && !t.HasPack() && strings.TrimSpace(p.rest()) == "" {
		return Term{}, false // "a" alone is no amount
	}
	return t, true
}

// standsAlone tells whether u says how much with no number before it: "pinch of salt".
func (u Unit) standsAlone() bool {
	switch u {
	case Pinch, Dash, Smidgen, Drizzle, Capful, Drop, Splash, Glug, Handful:
		return true
	}
	return false
}

// bareUnit reads a unit with no number: "pinch of salt".
func (p *parser) bareUnit(fill Fill) (Term, bool) {
	start := p.at
	u, ok := p.unit()
	if !ok || !u.standsAlone() {
		p.at = start
		return Term{}, false
	}
	return Term{Low: 1, High: 1, Unit: u, Fill: fill}, true
}

// fill reads how a spoon is filled; level where nothing says so.
func (p *parser) fill() Fill {
	switch {
	case p.acceptAny("heaped ", "heaping ", "rounded ", "generous "):
		return Heaped
	case p.acceptAny("scant "):
		return Scant
	case p.acceptAny("level "):
		return Level
	}
	return Level
}

// rangeEnd reads "-4" or "to 4" after a number; without it the range ends
// where it began.
func (p *parser) rangeEnd(low float64) float64 {
	start := p.at
	if !p.acceptAny("-", "–", "—", "to ", "or ") {
		return low
	}
	high, article, ok := p.number()
	if !ok || article || high < low {
		p.at = start
		return low
	}
	return high
}

// packInBrackets reads "(14 oz)" between a number and its unit.
func (p *parser) packInBrackets(t *Term) {
	start := p.at
	if t.HasPack() || !p.acceptAny("(") {
		return
	}
	pack, ok := p.pack()
	if !ok || !p.acceptAny(")") {
		p.at = start
		return
	}
	t.Pack = pack
}

// packBefore reads "14-oz can": the measure read first was the pack's.
func (p *parser) packBefore(t *Term) {
	if t.Unit.Dimension() == Count || t.HasPack() {
		return
	}
	start := p.at
	p.acceptAny("-")
	if u, ok := p.unit(); ok && u.IsContainer() {
		t.Pack = Pack{Value: t.Low, Unit: t.Unit}
		t.Low, t.High, t.Unit = 1, 1, u
		return
	}
	p.at = start
}

// packTimes reads "2 x 400 ml", with the container after it if it is named.
func (p *parser) packTimes(t *Term) {
	if t.HasPack() || t.Unit.Dimension() != Count {
		return
	}
	start := p.at
	if !p.acceptAny("x ", "× ", "×") {
		p.packOfMany(t)
		return
	}
	pack, ok := p.pack()
	if !ok {
		p.at = start
		return
	}
	t.Pack = pack
	if u, ok := p.unit(); ok && t.Unit == Piece && u.IsContainer() {
		t.Unit = u
	}
}

// packOfMany reads "2 14-oz cans".
func (p *parser) packOfMany(t *Term) {
	start := p.at
	pack, ok := p.pack()
	if ok && t.Unit == Piece {
		p.acceptAny("-")
		if u, ok := p.unit(); ok && u.IsContainer() {
			t.Pack, t.Unit = pack, u
			return
		}
	}
	p.at = start
}

// pack reads a measure with a unit of mass or volume.
func (p *parser) pack() (Pack, bool) {
	value, article, ok := p.number()
	if !ok || article {
		return Pack{}, false
	}
	p.acceptAny("-")
	u, ok := p.unit()
	if !ok || u == OwnMeasure || u.Dimension() == Count || value < minValue {
		return Pack{}, false
	}
	return Pack{Value: value, Unit: u}, true
}

// unit reads the longest unit written here, "fl. oz." before "fl".
func (p *parser) unit() (Unit, bool) {
	p.skipSpace()
	first, afterFirst := word(p.text, p.at)
	p.last = Own{}
	if first == "" {
		return Piece, false
	}
	if own, ok := p.own[strings.ToLower(first)]; ok {
		p.last, p.at = own, afterFirst
		return OwnMeasure, true
	}
	if second, afterSecond := word(p.text, afterFirst); second != "" {
		if u, ok := UnitOf(first + " " + second); ok {
			p.at = afterSecond
			return u, true
		}
	}
	u, ok := UnitOf(first)
	if ok {
		p.at = afterFirst
	}
	return u, ok
}

// word reads the letters at or after position at, a full stop behind them
// included, and returns the position after it.
func word(text string, at int) (string, int) {
	p := parser{text: text, at: at}
	p.skipSpace()
	end := p.at
	for end < len(text) {
		r, size := utf8.DecodeRuneInString(text[end:])
		if !unicode.IsLetter(r) {
			break
		}
		end += size
	}
	letters := text[p.at:end]
	if letters != "" && end < len(text) && text[end] == '.' {
		end++
	}
	return letters, end
}
