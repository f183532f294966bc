package exchange

import (
	"bufio"
	"encoding/csv"
	"errors"
	"io"
	"iter"
	"strings"
	"unicode/utf8"

	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/transform"
)

// line is one of a file, as it stands.
type line struct {
	number int // from 1
	text   string
}

// longestLine is more than a thermometer writes in one, bytes: what is longer is cut, and then
// not understood.
const longestLine = 8 << 10

// shownOfLine is what is shown of a line that was not understood, characters.
const shownOfLine = 120

func (l line) isEmpty() bool {
	return strings.Trim(l.text, " \t;,|\"\x00") == "" || strings.HasPrefix(l.text, "#")
}

func (l line) shortened() string {
	if utf8.RuneCountInString(l.text) <= shownOfLine {
		return l.text
	}
	return string([]rune(l.text)[:shownOfLine]) + "…"
}

// lines are those of a text file, whatever ends them and whatever marks a spreadsheet put before
// them: a byte order mark tells UTF-8 from both kinds of UTF-16 (Unicode, chapter 23.8).
func lines(r io.Reader) iter.Seq2[line, error] {
	return func(yield func(line, error) bool) {
		text := transform.NewReader(r, unicode.BOMOverride(unicode.UTF8.NewDecoder()))
		in := bufio.NewReaderSize(text, longestLine)
		for n := 1; ; n++ {
			part, err := in.ReadSlice('\n')
			whole := string(part)
			for errors.Is(err, bufio.ErrBufferFull) {
				_, err = in.ReadSlice('\n') // the rest of a line that is none
			}
			if err != nil && !errors.Is(err, io.EOF) {
				yield(line{}, err)
				return
			}
			if (whole != "" || err == nil) && !yield(line{n, strings.TrimRight(whole, "\r\n")}, nil) {
				return
			}
			if err != nil {
				return
			}
		}
	}
}

// cells are a line's, between separators; quotes around them are taken off, and the "=" before
// them with which spreadsheets keep a date as it is written.
func cells(text string, separator rune) []string {
	out := strings.Split(text, string(separator))
	if strings.Contains(text, `"`) {
		in := csv.NewReader(strings.NewReader(strings.ReplaceAll(text, `="`, `"`)))
		in.Comma, in.LazyQuotes, in.FieldsPerRecord = separator, true, -1
		if quoted, err := in.Read(); err == nil {
			out = quoted
		}
	}
	for n := range out {
		out[n] = strings.TrimSpace(out[n])
	}
	return out
}
