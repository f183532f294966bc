package quantity

import (
	"math"
	"strconv"
	"strings"
	"unicode/utf8"
)

// wordNumbers are the numbers people spell out. Articles count one, and are
// told apart because they cannot begin a range.
var wordNumbers = []struct {
	word    string
	value   float64
	article bool
}{
	{"one half", 0.5, false}, {"half a", 0.5, false}, {"half an", 0.5, false}, {"half", 0.5, false}, {"a half", 0.5, false},
	{"three quarters of a", 0.75, false}, {"three quarters", 0.75, false}, {"two thirds of a", 2. / 3, false}, {"two thirds", 2. / 3, false},
	{"a quarter of a", 0.25, false}, {"a quarter", 0.25, false}, {"one quarter", 0.25, false}, {"quarter of a", 0.25, false}, {"quarter", 0.25, false},
	{"a third of a", 1. / 3, false}, {"a third", 1. / 3, false}, {"one third", 1. / 3, false},
	{"a couple of", 2, false}, {"a couple", 2, false}, {"a dozen", 12, false},
	{"one", 1, false}, {"two", 2, false}, {"three", 3, false}, {"four", 4, false}, {"five", 5, false}, {"six", 6, false},
	{"seven", 7, false}, {"eight", 8, false}, {"nine", 9, false}, {"ten", 10, false}, {"eleven", 11, false}, {"twelve", 12, false},
	{"an", 1, true}, {"a", 1, true},
}

// number reads "1 1/2", "1-1/2", "1½", "½", "1,5", "1.5", "half a" or "two".
// The second result tells whether it was only an article.
func (p *parser) number() (value float64, article, ok bool) {
	p.skipSpace()
	if v, ok := p.digits(); ok {
		return v, false, true
	}
	if v, ok := p.vulgarFraction(); ok {
		return v, false, true
	}
	return p.spelledOut()
}

// spelledOut reads "two", "half a", "a": the number, whether it was only an article, and
// whether there was one at all. The longest word wins: "seventeen" is not seven.
func (p *parser) spelledOut() (float64, bool, bool) {
	longest := -1
	for i, n := range wordNumbers {
		if hasWordPrefix(p.rest(), n.word) && (longest < 0 || len(n.word) > len(wordNumbers[longest].word)) {
			longest = i
		}
	}
	if longest < 0 {
		return 0, false, false
	}
	n := wordNumbers[longest]
	p.at += len(n.word)
	return n.value, n.article, true
}

// hasWordPrefix tells whether s begins with the whole words given.
func hasWordPrefix(s, words string) bool {
	if !hasFoldPrefix(s, words) {
		return false
	}
	return len(s) == len(words) || s[len(words)] == ' '
}

// digits reads a number that begins with a digit, and the fraction behind it.
func (p *parser) digits() (float64, bool) {
	start := p.at
	whole, decimal, ok := p.plainNumber()
	if !ok {
		return 0, false
	}
	if decimal {
		return whole, true
	}
	if p.at < len(p.text) && p.text[p.at] == '/' {
		return p.denominator(start, whole)
	}
	if v, ok := p.vulgarFraction(); ok {
		return whole + v, true
	}
	return whole + p.fractionAfterWhole(), true
}

// fractionAfterWhole reads " 1/2", "-1/2" or " ½" behind a whole number.
func (p *parser) fractionAfterWhole() float64 {
	start := p.at
	if p.at < len(p.text) && (p.text[p.at] == '-' || p.text[p.at] == ' ') {
		p.at++
		p.skipSpace()
		p.acceptFoldWord("and")
		if v, ok := p.vulgarFraction(); ok {
			return v
		}
		top, decimal, ok := p.plainNumber()
		if ok && !decimal && p.at < len(p.text) && p.text[p.at] == '/' {
			if v, ok := p.denominator(p.at, top); ok && v < 1 {
				return v
			}
		}
	}
	p.at = start
	return 0
}

// acceptFoldWord steps over a word where it stands next, whatever its case.
func (p *parser) acceptFoldWord(w string) {
	if hasWordPrefix(p.rest(), w) {
		p.at += len(w)
		p.skipSpace()
	}
}

// mostParts is into how many parts a whole is divided, unless one of them is meant.
const mostParts = 64

// IsFraction tells whether two numbers with a slash between them are a fraction: "1/100 tsp" is one,
// "250/300 g" may be either or all between.
func IsFraction(top, bottom float64) bool { return bottom > 0 && (bottom <= mostParts || top == 1) }

// denominator reads "/2" behind a numerator that began at start.
func (p *parser) denominator(start int, top float64) (float64, bool) {
	p.at++ // the slash
	bottom, decimal, ok := p.plainNumber()
	if !ok || decimal || !IsFraction(top, bottom) {
		p.at = start
		return 0, false
	}
	return top / bottom, true
}

// vulgarFraction reads one sign such as ½.
func (p *parser) vulgarFraction() (float64, bool) {
	r, size := utf8.DecodeRuneInString(p.rest())
	for _, v := range vulgar {
		if v.rune == r {
			p.at += size
			return v.value, true
		}
	}
	return 0, false
}

// plainNumber reads digits with a decimal point or comma, and marks between
// thousands.
func (p *parser) plainNumber() (value float64, decimal, ok bool) {
	written := Numeral(p.text[p.at:])
	if written == "" || !strings.ContainsAny(written, "0123456789") {
		return 0, false, false
	}
	if next := p.text[p.at+len(written):]; isExponent(next) {
		end := p.at + len(written) + 1
		for end < len(p.text) && (isNumeric(p.text[end]) || p.text[end] == '+' || p.text[end] == '-') {
			end++
		}
		written = p.text[p.at:end]
	}
	plain, ok := plainDecimal(written)
	if !ok {
		return 0, false, false
	}
	v, err := strconv.ParseFloat(plain, 64)
	if err != nil && v == 0 {
		return 0, false, false
	}
	p.at += len(written)
	return v, strings.ContainsAny(plain, ".eE"), true
}

// Numeral is the digits at the start of a text, with what stands between them:
// points, commas, and blanks or apostrophes before three digits.
func Numeral(text string) string {
	end := 0
	for end < len(text) {
		if isNumeric(text[end]) {
			end++
			continue
		}
		size := thousandsMark(text[end:])
		if size == 0 || end == 0 || !isDigit(text[end-1]) || digitsAt(text[end+size:]) != 3 || digitsBefore(text[:end]) > 3 {
			break
		}
		end += size
	}
	return strings.TrimRight(text[:end], ".,")
}

// thousandsMark is the length of a mark that stands between thousands and
// nowhere else: an apostrophe, or a blank that does not break.
func thousandsMark(text string) int {
	for _, mark := range []string{"'", "’", "\u00a0", "\u202f", "\u2009"} {
		if strings.HasPrefix(text, mark) {
			return len(mark)
		}
	}
	return 0
}

func isDigit(c byte) bool { return c >= '0' && c <= '9' }

// digitsAt counts the digits a text begins with.
func digitsAt(text string) int {
	n := 0
	for n < len(text) && isDigit(text[n]) {
		n++
	}
	return n
}

// digitsBefore counts the digits a text ends with.
func digitsBefore(text string) int {
	n := 0
	for n < len(text) && isDigit(text[len(text)-1-n]) {
		n++
	}
	return n
}

func isNumeric(c byte) bool { return c >= '0' && c <= '9' || c == '.' || c == ',' }

// isExponent tells "e300" in "1e300 kg" from the e of an English word.
func isExponent(s string) bool {
	if len(s) < 2 || (s[0] != 'e' && s[0] != 'E') {
		return false
	}
	digits := strings.TrimLeft(s[1:], "+-")
	return digits != "" && digits[0] >= '0' && digits[0] <= '9'
}

// withoutMarks takes off what stands between thousands and nowhere else.
var withoutMarks = strings.NewReplacer("'", "", "’", "", "\u00a0", "", "\u202f", "", "\u2009", "")

// plainDecimal is a written number with a point, and nothing between
// thousands. Where there is one comma, it stands between thousands only before
// exactly three digits and behind one to three that do not begin with a zero:
// "1,200" is twelve hundred, "0,250" a quarter. One point is always a decimal
// one. Of both kinds the last is the decimal one; several of one kind are all
// between thousands.
func plainDecimal(written string) (string, bool) {
	written = withoutMarks.Replace(written)
	commas, points := strings.Count(written, ","), strings.Count(written, ".")
	switch {
	case commas > 0 && points > 0:
		thousands, decimal := ",", "."
		if strings.LastIndexByte(written, ',') > strings.LastIndexByte(written, '.') {
			thousands, decimal = ".", ","
		}
		whole, rest, _ := strings.Cut(written, decimal)
		return strings.ReplaceAll(whole, thousands, "") + "." + rest, inThousands(whole, thousands) && !strings.Contains(rest, thousands) && !strings.Contains(rest, decimal)
	case commas > 1:
		return strings.ReplaceAll(written, ",", ""), inThousands(written, ",")
	case points > 1:
		return strings.ReplaceAll(written, ".", ""), inThousands(written, ".")
	case commas == 1 && inThousands(written, ",") && written[0] != '0':
		return strings.Replace(written, ",", "", 1), true
	}
	return strings.Replace(written, ",", ".", 1), true
}

// inThousands tells whether a whole number is parted by a mark in groups of
// three.
func inThousands(written, mark string) bool {
	groups := strings.Split(written, mark)
	for n, g := range groups {
		if digitsAt(g) != len(g) || n > 0 && len(g) != 3 || n == 0 && (g == "" || len(g) > 3 && len(groups) > 1) {
			return false
		}
	}
	return true
}

// ReadNumber reads a number as it is typed into a field of its own.
func ReadNumber(text string) (float64, bool) {
	trimmed := strings.TrimSpace(text)
	if digits := strings.Split(trimmed, " "); len(digits) > 1 && inThousands(trimmed, " ") {
		trimmed = strings.Join(digits, "")
	}
	p := parser{text: trimmed}
	v, ok := p.digits()
	if !ok {
		v, ok = p.vulgarFraction()
	}
	return v, ok && strings.Trim(p.rest(), ".,") == "" && !math.IsInf(v, 0)
}

// Fraction is the value of a fraction written with one character, "½"; 0 for any
// other character.
func Fraction(r rune) float64 {
	for _, v := range vulgar {
		if v.rune == r {
			return v.value
		}
	}
	return 0
}
