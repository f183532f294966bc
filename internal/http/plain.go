package http

import (
	"regexp"
	"strconv"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"plushladle/internal/wording"
)

// The limits of an operation are checked by huma, which says what it expected
// as a program would. A cook is told what works instead.

func init() {
	made := huma.NewError
	huma.NewError = func(status int, message string, errs ...error) huma.StatusError {
		for n, err := range errs {
			if detail, ok := err.(*huma.ErrorDetail); ok && detail != nil {
				plain := *detail
				plain.Message = plainly(detail.Message)
				errs[n] = &plain
			}
		}
		if message == "validation failed" {
			message = wording.Say("correct-one-entry")
		}
		return made(status, message, errs...)
	}
}

// plainWords are the validator's messages and the code of what is said instead,
// with what the message names.
var plainWords = []struct {
	is   *regexp.Regexp
	says string
}{
	{regexp.MustCompile(`^expected number (?:<=|<) (\S+)$`), "enter-at-most"},
	{regexp.MustCompile(`^expected number (?:>=|>) (\S+)$`), "enter-or-more"},
	{regexp.MustCompile(`^expected length <= (\d+)$`), "at-most-characters"},
	{regexp.MustCompile(`^expected length >= (\d+)$`), "enter-something"},
	{regexp.MustCompile(`^expected array length <= (\d+)$`), "use-at-most"},
	{regexp.MustCompile(`^expected array length >= (\d+)$`), "add-at-least"},
	{regexp.MustCompile(`^expected array items to be unique$`), "each-only-once"},
	{regexp.MustCompile(`^expected value to be one of "(.*)"$`), "choose-one-of"},
	{regexp.MustCompile(`^expected (?:number|integer)$`), "enter-a-number"},
	{regexp.MustCompile(`^expected string to (?:match pattern|be) (.*)$`), "enter-this"},
	{regexp.MustCompile(`^expected required property (\S+) to be present$`), "is-missing"},
	{regexp.MustCompile(`^expected (?:string|boolean|object|array)$`), "not-the-right-kind"},
	{regexp.MustCompile(`^unexpected property$`), "entry-not-known"},
}

func plainly(message string) string {
	for _, w := range plainWords {
		found := w.is.FindStringSubmatch(message)
		switch {
		case found == nil:
		case len(found) > 1:
			return wording.Say(w.says, plainNumber(found[1]))
		default:
			return wording.Say(w.says)
		}
	}
	return message
}

// plainNumber writes 1,000,000 for 1e+06.
func plainNumber(text string) string {
	v, err := strconv.ParseFloat(text, 64)
	if err != nil {
		return text
	}
	whole, rest, _ := strings.Cut(strconv.FormatFloat(v, 'f', -1, 64), ".")
	for at := len(whole) - 3; at > 0 && whole[at-1] != '-'; at -= 3 {
		whole = whole[:at] + "," + whole[at:]
	}
	if rest != "" {
		return whole + "." + rest
	}
	return whole
}
