package quantity

import (
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

func (p *parser) acceptFoldWord(w string) {
	if hasWordPrefix(p.rest(), w) {
		p.at += len(w)
		p.skipSpace()
	}
}

// denominator reads "/2" behind a numerator that began at start.
func (p *parser) denominator(start int, top float64) (float64, bool) {
	p.at++ // the slash
	bottom, decimal, ok := p.plainNumber()
	if !ok || decimal || bottom == 0 {
		p.at = start
		return 0, false
	}
	return top / bottom, true
}

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

// plainNumber reads digits with a decimal point or comma. A comma with
// exactly three digits behind it separates thousands.
func (p *parser) plainNumber() (value float64, decimal, ok bool) {
	end := p.at
	for end < len(p.text) && isNumeric(p.text[end]) {
		end++
	}
	written := strings.TrimRight(p.text[p.at:end], ".,")
	if written == "" || !strings.ContainsAny(written, "0123456789") {
		return 0, false, false
	}
	if next := p.text[p.at+len(written):]; isExponent(next) {
		end = p.at + len(written) + 1
		for end < len(p.text) && (isNumeric(p.text[end]) || p.text[end] == '+' || p.text[end] == '-') {
			end++
		}
		written = p.text[p.at:end]
	}
	v, err := strconv.ParseFloat(plainDecimal(written), 64)
	if err != nil && v == 0 {
		return 0, false, false
	}
	p.at += len(written)
	return v, strings.ContainsAny(written, ".,eE"), true
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

func plainDecimal(written string) string {
	comma := strings.LastIndexByte(written, ',')
	if comma < 0 {
		return written
	}
	if strings.Contains(written, ".") || (comma > 0 && len(written)-comma-1 == 3) {
		return strings.ReplaceAll(written, ",", "")
	}
	return strings.Replace(written, ",", ".", 1)
}
