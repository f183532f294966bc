package reading

import (
	"slices"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// piece is what stands between two words that may join ingredients.
type piece struct {
	from, to int    // tokens, half open
	by       string // what joins it to the one before: "and", "or", ","
}

// pieces parts the line where ingredients may be joined, outside brackets and
// explanations.
func (l *line) pieces() []piece {
	var list []piece
	last := piece{}
	for n := range l.tokens {
		by := l.joint(n)
		if by == "" || l.inMeasure(n) {
			continue
		}
		last.to = n
		if last.to > last.from {
			list = append(list, last)
		} else if last.by == "or" || by == "," {
			by = last.by
		}
		last = piece{from: n + 1, by: by}
	}
	last.to = len(l.tokens)
	if last.to > last.from {
		list = append(list, last)
	}
	return list
}

// joint is what a token joins by; "" where it does not.
func (l *line) joint(n int) string {
	t := l.tokens[n]
	if t.depth > 0 || t.tail && t.kind == word {
		return ""
	}
	switch {
	case l.isWord(n, "and", "plus"), l.isMark(n, '&'), l.isMark(n, '+'):
		return "and"
	case l.isMark(n, '/'):
		return "/"
	case l.isWord(n, "or"):
		return "or"
	case l.isMark(n, ','), l.isMark(n, ';'):
		return ","
	}
	return ""
}

// inMeasure tells whether a token is part of an amount, or joins two of them: the plus
// of "2 tbsp plus 1 tsp" joins no ingredients.
func (l *line) inMeasure(n int) bool {
	for _, m := range l.measures {
		if n >= m.from && n < m.to {
			return true
		}
	}
	for k := 1; k < len(l.measures); k++ { // "1 cup / 140 g"
		m := l.measures[k]
		if (m.plus || m.minus || m.instead) && n >= l.measures[k-1].to && n < m.from {
			return true
		}
	}
	return false
}

// hasAmount tells whether an amount of its own stands in a part of the line.
func (l *line) hasAmount(from, to int) bool {
	for _, m := range l.measures {
		if m.from >= from && m.to <= to && l.tokens[m.from].depth == 0 && !l.tokens[m.from].tail && !m.plus && !m.minus && !m.instead && !m.isLength() {
			return true
		}
	}
	return false
}

// readParts reads a line that may hold several ingredients.
func (l *line) readParts(out *Reading) error {
	pieces := l.pieces()
	if len(pieces) > 1 {
		groups := l.full(pieces)
		if len(groups) <= 1 && l.isBracketed(pieces) {
			groups = pieces
		}
		if len(groups) > 1 {
			return l.readGroups(out, groups)
		}
		if l.saysEach() {
			names := l.named(pieces, true)
			switch {
			case len(names) > 1 && l.saysMoreThan(names, pieces):
				return l.ask(out, nil)
			case len(names) > 1:
				return l.readEach(out, names, pieces)
			}
		}
	}
	whole := l.segmentOf(0, len(l.tokens))
	if kinds, ok := whole.kinds(); ok {
		return l.ask(out, kinds)
	}
	if done, err := l.readList(out, pieces); done || err != nil {
		return err
	}
	m, near := whole.findMatch()
	if m.of == nil && len(pieces) > 1 {
		if done, err := l.readJoined(out, pieces); done || err != nil {
			return err
		}
	}
	if m.of == nil {
		if other, ok := whole.bracketAsHead(); ok {
			m, _ = other.findMatch()
		}
	}
	return l.readOne(out, whole, m, near)
}

// full are the parts of the line that begin with a piece of its own amount and
// ingredient.
func (l *line) full(pieces []piece) []piece {
	var groups []piece
	for _, p := range pieces {
		if l.hasAmount(p.from, p.to) && l.namesOne(p) {
			groups = append(groups, p)
			continue
		}
		if len(groups) > 0 {
			groups[len(groups)-1].to = p.to
		}
	}
	if len(groups) > 0 {
		groups[0].from = 0
	}
	return groups
}

// isBracketed tells whether every piece names an ingredient with its amount in a bracket behind it:
// "water (1 cup), almonds (2 cups)".
func (l *line) isBracketed(pieces []piece) bool {
	for _, m := range l.measures {
		if l.tokens[m.from].depth == 0 {
			return false
		}
	}
	return !slices.ContainsFunc(pieces, func(p piece) bool {
		has := slices.ContainsFunc(l.measures, func(m measure) bool { return m.from >= p.from && m.to <= p.to })
		return !has || !l.namesOne(p)
	})
}

// namesOne tells whether every word of a piece can be accounted for by itself.
func (l *line) namesOne(p piece) bool {
	m, _ := l.segmentOf(p.from, p.to).findMatch()
	return m.of != nil
}

// readGroups reads parts that each have their amount; from "or" on they are only
// noted.
func (l *line) readGroups(out *Reading, groups []piece) error {
	for n, g := range groups {
		if n > 0 && (g.by == "or" || g.by == "/") {
			l.instead(out, g.from)
			return nil
		}
		s := l.segmentOf(g.from, g.to)
		m, near := s.findMatch()
		if err := l.readOne(out, s, m, near); err != nil {
			return err
		}
	}
	return nil
}

// readEach reads ingredients that have one amount each. What stands behind an "or" is noted.
func (l *line) readEach(out *Reading, names, pieces []piece) error {
	if err := l.readShared(out, names, pieces[len(pieces)-1], false); err != nil {
		return err
	}
	if n := slices.IndexFunc(pieces, func(p piece) bool { return p.by == "or" }); n > 0 {
		l.instead(out, pieces[n].from)
	}
	return nil
}

// saysEach tells whether the one amount of the line is for each of its ingredients.
func (l *line) saysEach() bool {
	for n := range l.tokens {
		if l.isWord(n, "each") && l.tokens[n].depth == 0 {
			return true
		}
	}
	return false
}

// named are the pieces that name an ingredient each, from the first on, by themselves or with the
// noun of the last of several: "pumpkin, sunflower and sesame seeds".
func (l *line) named(pieces []piece, skipOthers bool) []piece {
	var names []piece
	for n, p := range pieces {
		if n > 0 && p.by == "or" {
			break
		}
		if m, _ := l.segmentOf(p.from, p.to).meant(pieces[len(pieces)-1]); m.of == nil {
			if skipOthers {
				continue
			}
			break
		}
		names = append(names, p)
	}
	return names
}

// meant is what one of several names: by itself, or with the noun of the last, where it is nothing
// alone or half of a name: the cashew of "cashew and almond milk".
func (s *segment) meant(last piece) (match, []match) {
	m, near := s.findMatch()
	if s.from == last.from || m.of != nil && !s.line.mayBeHalf(m) {
		return m, near
	}
	if of, ok := s.line.withNounOf(piece{from: s.from, to: s.to}, last); ok {
		return match{of: of.of}, near
	}
	return m, near
}

// saysMoreThan tells whether a piece before an "or" is none of those that were named and has a word
// that does not only stand beside names: there is one more, and what it is is not known.
func (l *line) saysMoreThan(names, pieces []piece) bool {
	for _, p := range pieces {
		if p.by == "or" {
			return false
		}
		if slices.Contains(names, p) {
			continue
		}
		for n := p.from; n < p.to; n++ {
			t := &l.tokens[n]
			if t.kind == word && !t.tail && t.depth == 0 && !l.within(n) && !describes(t.word) && fills[t.word] == 0 {
				return true
			}
		}
	}
	return false
}

// readShared reads ingredients that share one amount: each has it.
func (l *line) readShared(out *Reading, names []piece, last piece, doubtful bool) error {
	shared := l.segmentOf(0, len(l.tokens))
	for _, p := range names {
		s := l.segmentOf(p.from, p.to)
		s.unit, s.hasUnit, s.counted = shared.unit, shared.hasUnit, shared.counted
		m, near := s.meant(last)
		line := s.write(m)
		amount, err := l.firstAmount()
		if err != nil {
			return err
		}
		line.Amount = amount
		out.Amounts = append(out.Amounts, amount)
		out.add(line, near)
	}
	if doubtful {
		out.Doubt = EachOrTogether
	}
	l.explain(out)
	return nil
}

// firstAmount is the amount that ingredients share.
func (l *line) firstAmount() (quantity.Amount, error) {
	for n := range l.measures {
		if l.measures[n].numbered && !l.measures[n].open && !l.measures[n].isLength() {
			a, next, err := l.amount(n)
			l.mark(n, next, AsAmount)
			return a, err
		}
	}
	return quantity.Amount{}, nil
}

// readJoined reads "salt and pepper", "cinnamon/nutmeg" and "almonds or cashews".
func (l *line) readJoined(out *Reading, pieces []piece) (bool, error) {
	if pieces[1].by == "or" || len(pieces) > 2 && pieces[2].by == "or" {
		return l.readEither(out, pieces)
	}
	if done, err := l.readSharedNoun(out, pieces); done || err != nil {
		return done, err
	}
	names := l.named(pieces, false)
	joined := false
	for _, p := range names[min(1, len(names)):] {
		joined = joined || p.by == "and" || p.by == "/"
	}
	if len(names) < 2 || !joined {
		return false, nil
	}
	doubtful := l.fillsCups(names, pieces[len(pieces)-1])
	if doubtful && names[1].by == "/" { // "maple syrup/honey": one or the other; of spices, both
		return l.readEither(out, pieces)
	}
	return true, l.readShared(out, names, pieces[len(pieces)-1], doubtful && len(l.measures) > 0)
}

// readList reads three or more with one amount: "almond, oat or soy milk" as the first of them,
// "cinnamon, nutmeg and cloves" as each.
func (l *line) readList(out *Reading, pieces []piece) (bool, error) {
	list, ok := l.listed(pieces)
	if !ok {
		return false, nil
	}
	last := list[len(list)-1]
	if last.by == "or" {
		return l.readEither(out, []piece{list[0], last})
	}
	if _, shares := l.withNounOf(list[0], last); shares { // which of them, and how much of each
		return true, l.ask(out, l.eachOf(list))
	}
	return true, l.readShared(out, list, last, l.fillsCups(list, last) && len(l.measures) > 0)
}

// fillsCups tells whether one of several is what there is much of in a drink: of bases, liquids and
// sweeteners "1 cup" may be of each or of all together, of spices it is of each.
func (l *line) fillsCups(pieces []piece, last piece) bool {
	return slices.ContainsFunc(pieces, func(p piece) bool {
		m, _ := l.segmentOf(p.from, p.to).meant(last)
		return m.of.Role == ingredient.Base || m.of.Role == ingredient.Sweetener || m.of.Role == ingredient.Liquid
	})
}

// listed are the parts of a line up to its first "and" or "or", where commas part all before it and
// each names an ingredient by itself: what is done to one names none.
func (l *line) listed(pieces []piece) ([]piece, bool) {
	for n, p := range pieces {
		if n > 0 && l.hasAmount(p.from, p.to) || !l.namesOne(p) {
			return nil, false
		}
		if n > 0 && (p.by == "and" || p.by == "or") {
			return pieces[:n+1], n > 1
		}
		if n > 0 && p.by != "," {
			return nil, false
		}
	}
	return nil, false
}

// ask leaves a line unread, with what it may mean to choose from.
func (l *line) ask(out *Reading, near []match) error {
	amount, err := l.firstAmount()
	if err != nil {
		return err
	}
	out.Amounts = append(out.Amounts, amount)
	out.add(recipe.Line{Name: l.text, Amount: amount}, near)
	l.asked = len(near) > 0
	l.explain(out)
	return nil
}

// eachOf are the ingredients that the parts of a list name, with the noun of its last.
func (l *line) eachOf(pieces []piece) []match {
	var near []match
	for n, p := range pieces {
		m, ok := l.withNounOf(p, pieces[len(pieces)-1])
		if n == len(pieces)-1 {
			m, _ = l.segmentOf(p.from, p.to).findMatch()
		}
		if ok || m.of != nil {
			near = append(near, m)
		}
	}
	return near
}

// readSharedNoun reads "cashew and almond milk" as cashew milk and almond milk: the
// last word belongs to both.
func (l *line) readSharedNoun(out *Reading, pieces []piece) (bool, error) {
	first, second := pieces[0], pieces[1]
	if len(pieces) > 2 && pieces[2].by != "," || second.by != "and" && second.by != "/" {
		return false, nil
	}
	m, ok := l.withNounOf(first, second)
	if !ok {
		return false, nil
	}
	s := l.segmentOf(second.from, len(l.tokens))
	other, near := s.findMatch()
	if other.of == nil {
		return false, nil
	}
	if second.by == "/" {
		return l.readEither(out, pieces)
	}
	amount, err := l.firstAmount()
	if err != nil {
		return true, err
	}
	line := l.segmentOf(first.from, first.to).write(match{of: m.of})
	line.Name, line.Amount = m.of.Name, amount
	out.add(line, nil)
	line = s.write(other)
	line.Amount = amount
	out.add(line, near)
	out.Doubt = EachOrTogether
	l.explain(out)
	return true, nil
}

// withNounOf matches the words of one piece together with the last word of the next.
func (l *line) withNounOf(first, second piece) (match, bool) {
	last := -1
	for n := second.from; n < second.to; n++ {
		if l.tokens[n].kind == word && l.tokens[n].depth == 0 && !l.tokens[n].tail && !l.inMeasure(n) && l.tokens[n].clause == l.tokens[second.from].clause {
			last = n
		}
	}
	if last <= second.from {
		return match{}, false
	}
	saved := make([]As, len(l.tokens))
	for n := range l.tokens {
		saved[n] = l.tokens[n].as
		if n >= first.to && n != last {
			l.tokens[n].as = AsInstead
		}
	}
	s := l.segmentOf(first.from, last+1)
	s.places[last-s.from] = head
	m, _ := s.findMatch()
	for n := range l.tokens {
		l.tokens[n].as = saved[n]
	}
	if m.of == nil {
		return match{}, false
	}
	for n := range m.name.Words {
		if m.words[n] == last {
			return m, true
		}
	}
	return match{}, false
}

// readEither reads the first of several that are as good, and notes the others.
func (l *line) readEither(out *Reading, pieces []piece) (bool, error) {
	first := pieces[0]
	if m, ok := l.withNounOf(first, pieces[1]); ok {
		s := l.segmentOf(first.from, first.to)
		amount, err := l.choose(out, s, m.of)
		if err != nil {
			return true, err
		}
		line := s.write(match{of: m.of})
		line.Name, line.Amount = m.of.Name, amount
		out.add(line, nil)
		l.instead(out, first.to)
		return true, nil
	}
	s := l.segmentOf(first.from, first.to)
	m, near := s.findMatch()
	if m.of == nil {
		return false, nil
	}
	if other, ok := l.halfOf(m, first, pieces[1]); ok {
		return true, l.readOther(out, first, pieces[1], other)
	}
	l.instead(out, first.to)
	return true, l.readOne(out, s, m, near)
}

// halfOf tells a base that shares its noun with the next, though nothing has that name: "hazelnut or
// almond milk" is no cup of hazelnuts. It gives what the other is.
func (l *line) halfOf(m match, first, second piece) (match, bool) {
	if !l.mayBeHalf(m) {
		return match{}, false
	}
	other, _ := l.segmentOf(second.from, second.to).findMatch()
	if other.of == nil || !l.isWord(other.last(), "milk", "butter", "cream") {
		return match{}, false
	}
	return other, true
}

// mayBeHalf tells whether a name may go on behind what follows it: hazelnuts are nuts, and a
// hazelnut may be of its milk.
func (l *line) mayBeHalf(m match) bool {
	last := m.last()
	return m.of.Role == ingredient.Base && strings.EqualFold(l.raw(last), l.tokens[last].word)
}

// last is the place of the last word of a name.
func (m match) last() int { return slices.Max(m.words[:len(m.name.Words)]) }

// readOther reads the second of two that are as good, and notes the first.
func (l *line) readOther(out *Reading, first, second piece, m match) error {
	amount, err := l.firstAmount()
	if err != nil {
		return err
	}
	line := l.segmentOf(second.from, second.to).write(m)
	line.Name, line.Amount = m.of.Name, amount
	var words []string
	for n := first.from; n < first.to; n++ {
		if l.tokens[n].kind == word && !l.inMeasure(n) {
			l.tokens[n].as = AsInstead
			words = append(words, l.raw(n))
		}
	}
	out.Instead = strings.Join(words, " ")
	line.Note = "or " + out.Instead
	out.Amounts = append(out.Amounts, amount)
	out.add(line, nil)
	l.explain(out)
	return nil
}

// instead notes what the cook wrote for another choice.
func (l *line) instead(out *Reading, from int) {
	for n := from; n < len(l.tokens); n++ {
		l.tokens[n].as = AsInstead
	}
	if from >= len(l.tokens) {
		return
	}
	text := strings.TrimLeft(l.text[l.tokens[from].from:], " ,/")
	out.Instead = strings.TrimPrefix(text, "or ")
	if n := len(out.Lines) - 1; n >= 0 {
		out.Lines[n].Note = strings.TrimPrefix(out.Lines[n].Note+", or "+out.Instead, ", ")
	}
	l.explain(out)
}

// readOne reads a segment as one ingredient with its amount.
func (l *line) readOne(out *Reading, s *segment, m match, near []match) error {
	amount, err := l.choose(out, s, m.of)
	if err != nil {
		return err
	}
	line := s.write(m)
	line.Amount = amount
	if line.Stage == "" && m.of != nil && m.of.Has(ingredient.TagIce) && amount.IsOpen() {
		line.Stage = ingredient.Serve // some ice is for the glass
	}
	if out.Instead != "" && !strings.Contains(line.Note, out.Instead) {
		line.Note = strings.TrimPrefix(line.Note+", or "+out.Instead, ", ")
	}
	if m.of == nil {
		line.Name, line.Note = l.text, ""
		if a := l.unreadUnit(s, near); a != "" {
			out.Doubt, out.About = UnknownUnit, a
		}
	}
	out.add(line, near)
	l.explain(out)
	return nil
}

// unreadUnit is a word behind a number that is the only one with no part: it is taken
// for a unit that is not known.
func (l *line) unreadUnit(s *segment, near []match) string {
	for _, m := range near {
		if len(m.unread) == 1 && m.unread[0] > 0 && (l.isNumber(m.unread[0]-1) || l.isWord(m.unread[0]-1, "a", "an", "one", "two", "three")) {
			return l.raw(m.unread[0])
		}
	}
	return ""
}

// mark says what the tokens of some measures were read as.
func (l *line) mark(from, to int, as As) {
	for n := from; n < to; n++ {
		for at := l.measures[n].from; at < l.measures[n].to; at++ {
			l.tokens[at].as = as
		}
	}
}

// differ is how far two amounts of one line may lie apart, as a ratio, before it is
// said.
const differ = 1.25

// choose is the amount of a segment: a mass before a volume before a count, and what
// one pack holds where a pack is counted. What is left over is held against it.
func (l *line) choose(out *Reading, s *segment, of *ingredient.Ingredient) (quantity.Amount, error) {
	var best quantity.Amount
	var others []quantity.Amount
	found, bestAt, bestTo := false, 0, 0
	var length *measure
	for n := 0; n < len(l.measures); {
		m := &l.measures[n]
		if m.from < s.from || m.to > s.to || m.from > 0 && l.tokens[m.from].tail || m.open {
			n++
			continue
		}
		if m.isLength() {
			length = m
			l.mark(n, n+1, AsSize)
			n++
			continue
		}
		if as := s.beyond(m); found && as != AsUnread {
			l.mark(n, n+1, as)
			n++
			continue
		}
		a, next, err := l.amount(n)
		if err != nil {
			return a, err
		}
		l.mark(n, next, AsCheck)
		out.Amounts = append(out.Amounts, a)
		switch {
		case !found:
			best, found, bestAt, bestTo = a, true, n, next
		case isPackOf(best, a):
			best = packed(best, a, m.each, of)
		case m.each:
			best = packed(best, a, true, of)
		case dimension(a, of) > dimension(best, of) && dimension(best, of) >= 0 && !hasPack(best):
			others = append(others, best)
			best, bestAt, bestTo = a, n, next
		default:
			others = append(others, a)
		}
		n = next
	}
	if length != nil {
		if a, err := quantity.Sum(length.about, length.term); err == nil {
			out.Amounts = append(out.Amounts, a)
		}
		best, found = withLength(best, found, length, of)
	}
	if found && bestTo > bestAt {
		l.mark(bestAt, bestTo, AsAmount)
	}
	if of == nil || !found {
		return best, nil
	}
	best = s.countedAs(best, of)
	for _, o := range others {
		l.compare(out, best, o, of)
	}
	return best, nil
}

// beyond is what a measure behind another is where it says no more of that one: "+ 250 ml for
// rinsing", "(or 1/4 tsp fine)".
func (s *segment) beyond(m *measure) As {
	l := s.line
	switch {
	case m.to < s.to && l.tokens[m.to].tail:
		return AsPurpose
	case l.tokens[m.from].depth > 0 && l.isWord(m.from-1, "or"):
		return AsInstead
	}
	return AsUnread
}

// rank of the ways to say an amount.
func dimension(a quantity.Amount, of *ingredient.Ingredient) int {
	t := a.Terms()[0]
	switch {
	case t.Unit == quantity.Ounce && of != nil && of.Has(ingredient.TagFluid):
		return 1
	case t.Unit.Dimension() == quantity.Mass:
		return 2
	case t.Unit.Dimension() == quantity.Volume:
		return 1
	}
	return 0
}

// hasPack tells whether what one of the counted holds is already known.
func hasPack(a quantity.Amount) bool { return len(a.Terms()) == 1 && a.Terms()[0].HasPack() }

// isPackOf tells whether one amount is what the packs of the other hold.
func isPackOf(packs, content quantity.Amount) bool {
	if len(packs.Terms()) != 1 || len(content.Terms()) != 1 {
		return false
	}
	t := packs.Terms()[0]
	return t.Unit.IsContainer() && !t.HasPack() && content.Terms()[0].Unit.Dimension() != quantity.Count
}

// packed is a count of packs or pieces with what one of them holds. Where "each" is not
// said, the content is that of one pack, unless less than a pack goes in or the
// usual pack says otherwise.
func packed(packs, content quantity.Amount, each bool, of *ingredient.Ingredient) quantity.Amount {
	t, c := packs.Terms()[0], content.Terms()[0]
	value := (c.Low + c.High) / 2
	if !each && t.Low != 1 {
		usual := 0.
		if of != nil {
			usual = of.PieceG[t.Unit]
		}
		per := value / t.Low
		isTotal := t.Low < 1
		if usual > 0 {
			size := c.Unit.Size(quantity.US)
			isTotal = ratio(per*size, usual) < ratio(value*size, usual)
		}
		if isTotal {
			value = per
		}
	}
	t.Pack = quantity.Pack{Value: value, Unit: c.Unit}
	out, err := quantity.Sum(packs.IsAbout(), t)
	if err != nil {
		return packs
	}
	return out
}

// ratio is how many times the larger of two is the smaller.
func ratio(a, b float64) float64 {
	if a <= 0 || b <= 0 {
		return 1e9
	}
	return max(a, b) / min(a, b)
}

// withLength is a root by its length: "2 (1-inch) pieces". The length of a stick is
// only its size.
func withLength(a quantity.Amount, found bool, length *measure, of *ingredient.Ingredient) (quantity.Amount, bool) {
	if of == nil || of.PieceG[quantity.Inch] == 0 || of.PieceG[quantity.Stick] > 0 && found {
		return a, found
	}
	t := length.term
	if found {
		count := a.Terms()[0]
		if count.Unit.Dimension() != quantity.Count || count.HasPack() {
			return a, true
		}
		t.Low, t.High = t.Low*count.Low, t.High*count.High
	}
	out, err := quantity.Sum(length.about, t)
	return out, err == nil
}

// countedAs is a bare count as pieces of the kind the name says: pods, sticks.
func (s *segment) countedAs(a quantity.Amount, of *ingredient.Ingredient) quantity.Amount {
	if len(a.Terms()) != 1 {
		return a
	}
	t := a.Terms()[0]
	if t.Unit != quantity.Piece || t.HasPack() || !s.counted {
		return a
	}
	for _, at := range s.words {
		if s.places[at-s.from] == rest {
			continue
		}
		u, ok := quantity.UnitOf(s.line.tokens[at].word)
		if ok && u.Dimension() == quantity.Count && u != quantity.Piece && of.PieceG[u] > 0 {
			t.Unit = u
			if out, err := quantity.Sum(a.IsAbout(), t); err == nil {
				return out
			}
		}
	}
	return a
}

// compare says so where two amounts of a line lie apart.
func (l *line) compare(out *Reading, a, b quantity.Amount, of *ingredient.Ingredient) {
	system := l.reader.System
	one, _, err := recipe.Line{Amount: a, Ingredient: of}.Grams(system)
	other, _, otherErr := recipe.Line{Amount: b, Ingredient: of}.Grams(system)
	if err != nil || otherErr != nil || one == 0 || other == 0 || ratio(one, other) <= differ {
		return
	}
	isVague := func(t quantity.Term) bool { return t.Unit.IsVague() }
	if a.IsRange() || b.IsRange() || slices.ContainsFunc(a.Terms(), isVague) || slices.ContainsFunc(b.Terms(), isVague) {
		return
	}
	out.Doubt, out.About = AmountsDiffer, b.String()
}
