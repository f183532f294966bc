package http

import (
	"fmt"
	"regexp"
	"strconv"
	"strings"

	"github.com/danielgtaylor/huma/v2"
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
			message = "Please correct one entry."
		}
		return made(status, message, errs...)
	}
}

// plainWords are the validator's messages and what is said instead; %s is what
// the message names.
var plainWords = []struct {
	is   *regexp.Regexp
	says string
}{
	{regexp.MustCompile(`^expected number (?:<=|<) (\S+)$`), "Enter at most %s."},
	{regexp.MustCompile(`^expected number (?:>=|>) (\S+)$`), "Enter %s or more."},
	{regexp.MustCompile(`^expected length <= (\d+)$`), "Use at most %s characters."},
	{regexp.MustCompile(`^expected length >= (\d+)$`), "Enter something here."},
	{regexp.MustCompile(`^expected array length <= (\d+)$`), "Use at most %s."},
	{regexp.MustCompile(`^expected array length >= (\d+)$`), "Add at least %s."},
	{regexp.MustCompile(`^expected array items to be unique$`), "Name each only once."},
	{regexp.MustCompile(`^expected value to be one of "(.*)"$`), "Choose one of %s."},
	{regexp.MustCompile(`^expected (?:number|integer)$`), "Enter a number."},
	{regexp.MustCompile(`^expected string to (?:match pattern|be) (.*)$`), "Enter %s."},
	{regexp.MustCompile(`^expected required property (\S+) to be present$`), "%s is missing."},
	{regexp.MustCompile(`^expected (?:string|boolean|object|array)$`), "This entry is not of the right kind."},
	{regexp.MustCompile(`^unexpected property$`), "This is not known."},
}

func plainly(message string) string {
	for _, w := range plainWords {
		found := w.is.FindStringSubmatch(message)
		switch {
		case found == nil:
		case strings.Contains(w.says, "%s"):
			return fmt.Sprintf(w.says, plainNumber(found[1]))
		default:
			return w.says
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
