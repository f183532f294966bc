package reading

import (
	"html"
	"strings"
	"unicode"
	"unicode/utf8"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
)

// kind is what a token is.
type kind uint8

const (
	word   kind = iota // letters
	number             // digits, signs or words of number
	mark               // punctuation
)

// token is a word, a number or a mark of a line, with where it stands.
type token struct {
	kind     kind    // which of the three
	word     string  // in plain letters and the singular; of a word
	mark     rune    // of a mark
	value    float64 // of a number
	numeral  string  // a number as written in digits; "" where it is a fraction of one character
	from, to int     // in the line, bytes
	depth    int8    // how many brackets it stands in
	clause   int8    // which part between commas, semicolons, colons and dashes
	gap      bool    // a blank stands before it
	tail     bool    // behind a word after which a line only explains: "with", "until"
	as       As      // what the reader made of it
	slip     bool    // the word is not as written, but what it was taken for
}

// As is what a word of a line was read as.
type As string

// What words are read as. Unread words are the ones a line is asked about for.
const (
	AsUnread     As = ""              // nothing, and the cook is asked
	AsAmount     As = "amount"        // a number or a unit
	AsCheck      As = "second-amount" // the same amount in another unit
	AsSize       As = "size"          // small, large
	AsIngredient As = "ingredient"    // its name
	AsForm       As = "form"          // ground, whole
	AsPrepared   As = "prepared"      // chopped, soaked
	AsPurpose    As = "purpose"       // for the pulp, to serve
	AsNeutral    As = "neutral"       // of, the, fresh: says nothing about the amount
	AsNote       As = "note"          // kept as the line's remark
	AsInstead    As = "instead"       // what may be taken instead
)

// clean takes off a line what is layout: bullets, boxes to tick, numbering, the marks
// of text formats, and characters that are another way of writing a plain one.
func clean(text string) string {
	if strings.ContainsRune(text, '&') && strings.ContainsRune(text, ';') {
		text = html.UnescapeString(text)
	}
	text = plainCharacters.Replace(text)
	text = strings.TrimSpace(withoutLinks(text))
	for {
		rest := strings.TrimSpace(withoutNumbering(withoutBullet(text)))
		if rest == text {
			return rest
		}
		text = rest
	}
}

// plainCharacters bring characters that are written in several ways to one.
var plainCharacters = strings.NewReplacer(
	"\u2044", "/", "\u2215", "/", "\u00a0", " ", "\u2009", " ", "\u202f", " ", "\u3000", " ", "\ufe0f", "", "\u200b", "",
	"¹", "", "²", "", "³", "", "†", "", "‡", "", "**", "", "__", "", "`", "", "−", "-", "‐", "-", "‑", "-", "×", "x",
	"０", "0", "１", "1", "２", "2", "３", "3", "４", "4", "５", "5", "６", "6", "７", "7", "８", "8", "９", "9", "\t", " ",
)

// withoutLinks leaves the words of a link and takes off where it leads.
func withoutLinks(text string) string {
	for {
		at := strings.Index(text, "](")
		if at < 0 {
			return text
		}
		end := strings.IndexByte(text[at:], ')')
		if end < 0 {
			return text
		}
		text = strings.Replace(text[:at], "[", "", 1) + text[at+end+1:]
	}
}

// bullets are marks that begin an item of a list.
const bullets = "*•·▢☐☑☒✓✔✅▪▫◦●○■□◆◇►▸‣⁃>#|"

// withoutBullet takes the mark of a list off a line. A dash right before a number is
// no bullet but a sign.
func withoutBullet(text string) string {
	for _, box := range []string{"[ ]", "[x]", "[X]", "- ", "– ", "— ", "o "} {
		if rest, ok := strings.CutPrefix(text, box); ok {
			return rest
		}
	}
	return strings.TrimLeft(text, bullets+" ")
}

// withoutNumbering takes "1." and "2)" off a line that goes on behind them.
func withoutNumbering(text string) string {
	digits := 0
	for digits < len(text) && text[digits] >= '0' && text[digits] <= '9' {
		digits++
	}
	if digits == 0 || digits > 2 || digits+1 >= len(text) || (text[digits] != ')' && text[digits] != '.') || text[digits+1] != ' ' {
		return text
	}
	return text[digits+1:]
}

// maxTokens is how many tokens of a line are looked at.
const maxTokens = 160

// tokens parts a line into words, numbers and marks.
func tokens(text string) []token {
	list := make([]token, 0, 16)
	gap, depth, clause := true, int8(0), int8(0)
	add := func(t token, size int) int {
		t.to, t.gap, t.depth, t.clause = t.from+size, gap, depth, clause
		list, gap = append(list, t), false
		return t.to
	}
	for at := 0; at < len(text) && len(list) < maxTokens; {
		r, size := utf8.DecodeRuneInString(text[at:])
		digits := startsNumber(text, at)
		switch {
		case unicode.IsSpace(r) || r == utf8.RuneError:
			gap, at = true, at+size
		case digits:
			numeral := numeralAt(text[at:])
			value, ok := quantity.ReadNumber(numeral)
			if !ok {
				return nil
			}
			at = add(token{kind: number, value: value, numeral: numeral, from: at}, len(numeral))
		case fraction(r) > 0:
			at = add(token{kind: number, value: fraction(r), from: at}, size)
		case unicode.IsLetter(r):
			end := wordEnd(text, at)
			at = add(token{kind: word, word: plainWord(text[at:end]), from: at}, end-at)
			if at < len(text) && text[at] == '.' { // of an abbreviation
				at++
			}
		case (r == '"' || r == '”' || r == '″') && !gap && len(list) > 0 && list[len(list)-1].kind == number:
			at = add(token{kind: word, word: "inch", from: at}, size)
		case r == '(' || r == '[' || r == '{':
			depth++
			at = add(token{kind: mark, mark: '(', from: at}, size)
		case r == ')' || r == ']' || r == '}':
			at = add(token{kind: mark, mark: ')', from: at}, size)
			depth = max(0, depth-1)
		case r == ',' || r == ';' || r == ':' || r == '=' || r == '…' || isDash(text, at, r, gap):
			if isDash(text, at, r, gap) && betweenNumbers(list, text[at+size:]) {
				at = add(token{kind: mark, mark: '-', from: at}, size)
				continue
			}
			m := r
			if r == '-' || r == '–' || r == '—' {
				m = '—'
			}
			clause++
			at = add(token{kind: mark, mark: m, from: at}, size)
		case r == '-' || r == '–' || r == '—':
			at = add(token{kind: mark, mark: '-', from: at}, size)
		case strings.ContainsRune("/+&%°$€£~≈", r):
			at = add(token{kind: mark, mark: r, from: at}, size)
		default:
			gap, at = true, at+size
		}
	}
	return list
}

// startsNumber tells whether digits begin at a place. A point begins a number only
// before a digit and behind a blank: ".5".
func startsNumber(text string, at int) bool {
	c := text[at]
	if c >= '0' && c <= '9' {
		return true
	}
	return c == '.' && at+1 < len(text) && text[at+1] >= '0' && text[at+1] <= '9' && (at == 0 || text[at-1] == ' ')
}

// numeralAt is the number at the start of a text in digits, with its power of ten:
// "1e300" is too much for a kitchen and no 1.
func numeralAt(text string) string {
	numeral := quantity.Numeral(text)
	behind := text[len(numeral):]
	if len(behind) < 2 || (behind[0] != 'e' && behind[0] != 'E') || behind[1] < '0' || behind[1] > '9' {
		return numeral
	}
	end := len(numeral) + 1
	for end < len(text) && text[end] >= '0' && text[end] <= '9' {
		end++
	}
	return text[:end]
}

// isDash tells a dash that parts a line from one that joins words: a blank stands on
// both sides of it, or it is doubled or long.
func isDash(text string, at int, r rune, gap bool) bool {
	switch r {
	case '-':
		next := text[at+1:]
		return strings.HasPrefix(next, "-") || gap && (next == "" || next[0] == ' ') || strings.HasPrefix(next, " ") && !gap
	case '–', '—':
		return gap || strings.HasPrefix(text[at+len(string(r)):], " ")
	}
	return false
}

// betweenNumbers tells whether a dash stands between two numbers: a range.
func betweenNumbers(before []token, behind string) bool {
	behind = strings.TrimLeft(behind, " ")
	if len(before) == 0 || behind == "" || before[len(before)-1].kind != number {
		return false
	}
	r, _ := utf8.DecodeRuneInString(behind)
	return r >= '0' && r <= '9' || fraction(r) > 0
}

// wordEnd is where a word ends. An apostrophe between letters is part of it.
func wordEnd(text string, at int) int {
	for at < len(text) {
		r, size := utf8.DecodeRuneInString(text[at:])
		isApostrophe := (r == '\'' || r == '’') && at+size < len(text)
		if !unicode.IsLetter(r) && !unicode.Is(unicode.Mn, r) && !isApostrophe {
			return at
		}
		at += size
	}
	return at
}

// plainWord is a word in plain letters and the singular.
func plainWord(w string) string {
	plain := true
	for n := range len(w) {
		if w[n] < 'a' || w[n] > 'z' {
			plain = false
			break
		}
	}
	if !plain {
		w = ingredient.Fold(w)
	}
	return ingredient.Singular(w)
}

// fraction is the value of a fraction written as one character; 0 for any other.
func fraction(r rune) float64 {
	if r < 0xbc {
		return 0
	}
	return quantity.Fraction(r)
}
