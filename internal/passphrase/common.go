package passphrase

import (
	_ "embed"
	"strings"
	"unicode"
)

// commonList are passphrases that are guessed first (from memory), and names
// of this product, one a line. NIST SP 800-63B-3 (5.1.1.2) asks to refuse such.
//
//go:embed common.txt
var commonList string

var common = func() map[string]bool {
	known := map[string]bool{}
	for line := range strings.Lines(commonList) {
		known[strings.TrimSpace(line)] = true
	}
	return known
}()

// rows are what fingers run along.
var rows = []string{"abcdefghijklmnopqrstuvwxyz", "01234567890", "qwertyuiopasdfghjklzxcvbnm", "qwertzuiopasdfghjklyxcvbnm", "azertyuiopqsdfghjklmwxcvbn", "1qaz2wsx3edc4rfv5tgb6yhn7ujm"}

// isCommon tells whether a text is guessed soon: one of the list, whatever its
// capitals, blanks and the figures behind it; one character or a few over and
// over; or a run along the alphabet or the keyboard.
func isCommon(text string) bool {
	bare := strings.ToLower(strings.Join(strings.Fields(text), ""))
	word := strings.TrimRightFunc(bare, func(r rune) bool { return !unicode.IsLetter(r) })
	return common[bare] || common[word] || isRepeated(bare) || isRun(bare)
}

// mostRepeated is the longest piece whose repetition is no passphrase.
const mostRepeated = 4

func isRepeated(text string) bool {
	for n := 1; n <= mostRepeated && n < len(text); n++ {
		if strings.HasPrefix(strings.Repeat(text[:n], len(text)/n+1), text) {
			return true
		}
	}
	return false
}

func isRun(text string) bool {
	for _, row := range rows {
		if strings.Contains(row+row, text) || strings.Contains(reversed(row+row), text) {
			return true
		}
	}
	return false
}

func reversed(text string) string {
	runes := []rune(text)
	for i, j := 0, len(runes)-1; i < j; i, j = i+1, j-1 {
		runes[i], runes[j] = runes[j], runes[i]
	}
	return string(runes)
}
