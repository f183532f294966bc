package reading

import (
	"slices"

	"plushladle/core/quantity"
)

// numbers as words. An article counts one.
var cardinals = map[string]float64{
	"one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10, "eleven": 11, "twelve": 12,
	"thirteen": 13, "fourteen": 14, "fifteen": 15, "sixteen": 16, "seventeen": 17, "eighteen": 18, "nineteen": 19, "twenty": 20, "thirty": 30, "forty": 40, "fifty": 50, "hundred": 100,
}

// shares are fractions as words.
var shares = map[string]float64{"half": .5, "third": 1. / 3, "quarter": .25, "fourth": .25, "fifth": .2, "sixth": 1. / 6, "eighth": .125, "sixteenth": .0625}

// counted is a number that was found: its value and the token behind it.
type counted struct {
	value   float64 // what it comes to
	next    int     // the token after it
	article bool    // it was no more than "a"
	open    bool    // "a few": how many is not said
}

// isWord tells whether the token at a place is one of some words, in the singular.
func (l *line) isWord(at int, any ...string) bool {
	if at < 0 || at >= len(l.tokens) || l.tokens[at].kind != word {
		return false
	}
	for _, w := range any {
		if l.tokens[at].word == w {
			return true
		}
	}
	return false
}

// isMark tells whether the token at a place is a mark.
func (l *line) isMark(at int, m rune) bool {
	return at >= 0 && at < len(l.tokens) && l.tokens[at].kind == mark && l.tokens[at].mark == m
}

// isNumber tells whether the token at a place is a number in digits, or a fraction.
func (l *line) isNumber(at int) bool {
	return at >= 0 && at < len(l.tokens) && l.tokens[at].kind == number
}

// number reads a number in digits or in words: "1½", "1-1/2", "1 & 1/2", "one and a
// half", "three-quarters of a", "half a dozen", "a few".
func (l *line) number(at int) (counted, bool) {
	if l.isNumber(at) {
		return l.digits(at), true
	}
	if at < len(l.tokens) && l.tokens[at].kind == word && l.mayCount(at) {
		return l.spelled(at)
	}
	return counted{}, false
}

// mayCount tells whether a word can be a number where it stands: "half" is one in
// "half a cup", and none in "almonds, cut in half" or "walnut halves".
func (l *line) mayCount(at int) bool {
	if at == 0 || l.tokens[at-1].kind == mark && l.tokens[at-1].mark != '-' {
		return true
	}
	if l.isWord(at-1, "of", "plus", "or", "to", "about", "around", "roughly", "approx", "approximately", "between", "just", "only", "x", "another", "optional", "from") {
		return true
	}
	if l.isWord(at-1, "and") && l.isWord(at, "a", "an") { // and not "half and half"
		return true
	}
	if l.tokens[at-1].kind == number {
		return false
	}
	_, _, isUnit := l.unit(at + 1)
	return isUnit && !l.isWord(at, "half", "third", "quarter")
}

// digits reads a number that begins with a digit or a fraction, and the fraction
// behind it.
func (l *line) digits(at int) counted {
	t := l.tokens[at]
	if top, next, ok := l.quotient(at); ok {
		return counted{value: top, next: next}
	}
	if t.numeral == "" || t.value != float64(int(t.value)) {
		return counted{value: t.value, next: at + 1}
	}
	behind := at + 1
	joined := l.isMark(behind, '-') || l.isMark(behind, '&') || l.isMark(behind, '+') || l.isWord(behind, "and")
	if joined {
		behind++
	}
	if f, next, ok := l.fractionAt(behind, joined); ok {
		return counted{value: t.value + f, next: next}
	}
	return counted{value: t.value, next: at + 1}
}

// fractionAt reads a fraction below one: "½", "1/2", and, behind "and", "a half".
func (l *line) fractionAt(at int, joined bool) (float64, int, bool) {
	if l.isNumber(at) && l.tokens[at].numeral == "" {
		return l.tokens[at].value, at + 1, true
	}
	if v, next, ok := l.quotient(at); ok && v < 1 {
		return v, next, true
	}
	if joined {
		return l.share(at)
	}
	return 0, at, false
}

// quotient reads "1/2".
func (l *line) quotient(at int) (float64, int, bool) {
	if !l.isNumber(at) || !l.isMark(at+1, '/') || !l.isNumber(at+2) {
		return 0, at, false
	}
	top, bottom := l.tokens[at].value, l.tokens[at+2].value
	if !quantity.IsFraction(top, bottom) || l.tokens[at+2].numeral == "" || l.tokens[at].numeral == "" {
		return 0, at, false
	}
	return top / bottom, at + 3, true
}

// spelled reads a number in words.
func (l *line) spelled(at int) (counted, bool) {
	if l.isWord(at, "several", "few", "some") {
		return counted{next: at + 1, open: true}, true
	}
	if l.isWord(at, "a") && l.isWord(at+1, "few", "little", "bit", "touch", "hint") {
		next := at + 2
		return counted{next: l.skip(next, "of"), open: true}, true
	}
	if v, next, ok := l.share(at); ok {
		if l.isWord(next, "dozen") {
			return counted{value: 12 * v, next: next + 1}, true
		}
		return counted{value: v, next: next}, true
	}
	value, known := cardinals[l.tokens[at].word]
	article := !known && l.isWord(at, "a", "an")
	if article {
		value = 1
	}
	next := at + 1
	switch {
	case (article || known) && l.isWord(next, "dozen"):
		return counted{value: 12 * value, next: next + 1}, true
	case article && l.isWord(next, "couple"):
		return counted{value: 2, next: l.skip(next+1, "of")}, true
	case l.isWord(at, "couple"):
		return counted{value: 2, next: l.skip(next, "of")}, true
	case l.isWord(at, "dozen"):
		return counted{value: 12, next: next}, true
	case !article && !known:
		return counted{}, false
	case l.isWord(next, "and"):
		if f, behind, ok := l.share(next + 1); ok {
			return counted{value: value + f, next: behind}, true
		}
	}
	return counted{value: value, next: next, article: article}, true
}

// share reads a fraction in words: "half a", "three-quarters of a", "one third".
func (l *line) share(at int) (float64, int, bool) {
	times, next := 1., at
	if l.isWord(at, "a", "an") {
		next++
	} else if v, ok := cardinals[l.wordAt(at)]; ok {
		times = v
		next++
	}
	if l.isMark(next, '-') {
		next++
	}
	f, ok := shares[l.wordAt(next)]
	if !ok {
		return 0, at, false
	}
	next = l.skip(l.skip(next+1, "of"), "a", "an")
	return times * f, next, true
}

// wordAt is the word at a place; "" where there is none.
func (l *line) wordAt(at int) string {
	if at < 0 || at >= len(l.tokens) {
		return ""
	}
	return l.tokens[at].word
}

// skip is the place behind a word, where it is one of those.
func (l *line) skip(at int, any ...string) int {
	if l.isWord(at, any...) {
		return at + 1
	}
	return at
}

// twoNumbers finds numbers that a slash joins and that are no fraction, as written: "250/300 g" may
// be either, or all between.
func (l *line) twoNumbers() (string, bool) {
	for n := 1; n+1 < len(l.tokens); n++ {
		if !l.isMark(n, '/') || !l.isNumber(n-1) || !l.isNumber(n+1) || l.within(n) || l.tokens[n].as != AsUnread {
			continue
		}
		from, to := n-1, n+1
		for l.isMark(from-1, '/') && l.isNumber(from-2) {
			from -= 2
		}
		for l.isMark(to+1, '/') && l.isNumber(to+2) {
			to += 2
		}
		return l.text[l.tokens[from].from:l.tokens[to].to], true
	}
	return "", false
}

// within tells whether a token is part of one amount.
func (l *line) within(n int) bool {
	return slices.ContainsFunc(l.measures, func(m measure) bool { return n >= m.from && n < m.to })
}
