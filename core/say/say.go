// Package say carries what there is to tell as a code and the figures that belong to it.
//
// The craft knows that a soak has gone on too long, and for how many hours; it does not
// know English. A [Text] says which of the two it is, and package wording, outside the
// core, makes a sentence of it. So a text can be stored, compared and translated, and
// every sentence of the program stands in one place where it can be read aloud.
package say

import (
	"encoding/json"
	"errors"
	"fmt"
	"reflect"
	"strings"
	"time"
)

// Text is something to tell: a code, and what stands in its sentence, in the order in
// which the wording numbers it. The zero Text says nothing.
type Text struct {
	Code string // in internal/wording's tables
	Args []any  // string, float64, bool, time.Time, []string, Text or []Text
}

// AsWritten is the code of words that were written by the cook, or by a version of this
// program that kept sentences: its one argument is told as it is.
const AsWritten = "as-written"

// Of is the text of a code. Whole numbers of any kind become float64, so that a text is
// the same before it was stored and after.
func Of(code string, args ...any) Text {
	for n, a := range args {
		args[n] = plain(a)
	}
	return Text{Code: code, Args: args}
}

// Written is a text in words that are told as they are.
func Written(words string) Text {
	if words == "" {
		return Text{}
	}
	return Text{Code: AsWritten, Args: []any{words}}
}

// IsZero tells whether it says nothing.
func (t Text) IsZero() bool { return t.Code == "" }

// String is the code with its figures, for logs and tests: grind(60). Nobody is shown it.
func (t Text) String() string {
	if several, ok := t.Sentences(); ok {
		all := make([]string, len(several))
		for n, one := range several {
			all[n] = one.String()
		}
		return strings.Join(all, " ")
	}
	if len(t.Args) == 0 {
		return t.Code
	}
	args := make([]string, len(t.Args))
	for n, a := range t.Args {
		args[n] = fmt.Sprint(a)
	}
	return t.Code + "(" + strings.Join(args, ", ") + ")"
}

// Strings are texts as String has them, one a line.
func Strings(texts []Text) string {
	all := make([]string, len(texts))
	for n, t := range texts {
		all[n] = t.String()
	}
	return strings.Join(all, "\n")
}

// Is tells whether two texts say the same.
func (t Text) Is(other Text) bool { return reflect.DeepEqual(t, other) }

// Together is one text after another, as sentences that follow each other. Those that say
// nothing are left out.
func Together(texts ...Text) Text {
	var told []Text
	for _, t := range texts {
		if !t.IsZero() {
			told = append(told, t)
		}
	}
	switch len(told) {
	case 0:
		return Text{}
	case 1:
		return told[0]
	}
	return Text{Code: sentences, Args: []any{told}}
}

const sentences = "sentences" // the code of several texts, told one after the other

// Sentences are the texts that Together put one after another; ok is false of any other.
func (t Text) Sentences() (texts []Text, ok bool) {
	if t.Code != sentences {
		return nil, false
	}
	texts, ok = t.Args[0].([]Text)
	return texts, ok
}

// plain is a value as a Text holds it.
func plain(a any) any {
	switch v := a.(type) {
	case int:
		return float64(v)
	case int64:
		return float64(v)
	case uint:
		return float64(v)
	case float32:
		return float64(v)
	case string, float64, bool, time.Time, []string, Text, []Text:
		return v
	case fmt.Stringer:
		return v.String()
	}
	return fmt.Sprint(a)
}

// stored is the form in which an argument is kept that JSON has no word for.
type stored struct {
	Code  string            `json:"code,omitempty"`  // as its JSON is
	Args  []json.RawMessage `json:"args,omitempty"`  // numbers, strings or texts
	At    *time.Time        `json:"at,omitempty"`    // a moment, where it is an argument
	Texts []Text            `json:"texts,omitempty"` // likewise a list
}

var errNotText = errors.New("not a text to tell") // what is stored was not written by this package

// MarshalJSON writes {"code": …, "args": […]}.
func (t Text) MarshalJSON() ([]byte, error) {
	s := stored{Code: t.Code, Args: make([]json.RawMessage, len(t.Args))}
	for n, a := range t.Args {
		var v any = a
		switch a := a.(type) {
		case time.Time:
			v = stored{At: &a}
		case []Text:
			v = stored{Texts: a}
		}
		data, err := json.Marshal(v)
		if err != nil {
			return nil, err
		}
		s.Args[n] = data
	}
	return json.Marshal(s)
}

// UnmarshalJSON reads what MarshalJSON wrote.
func (t *Text) UnmarshalJSON(data []byte) error {
	var s stored
	if err := json.Unmarshal(data, &s); err != nil {
		return fmt.Errorf("%w: %w", errNotText, err)
	}
	*t = Text{Code: s.Code}
	for _, raw := range s.Args {
		a, err := argument(raw)
		if err != nil {
			return err
		}
		t.Args = append(t.Args, a)
	}
	return nil
}

// argument reads one argument back: an object is a text, a moment or a list of texts.
func argument(raw json.RawMessage) (any, error) {
	switch raw[0] {
	case '{':
		var s stored
		if err := json.Unmarshal(raw, &s); err != nil {
			return nil, fmt.Errorf("%w: %w", errNotText, err)
		}
		switch {
		case s.At != nil:
			return *s.At, nil
		case s.Texts != nil:
			return s.Texts, nil
		}
		var t Text
		return t, t.UnmarshalJSON(raw)
	case '[':
		var list []string
		return list, json.Unmarshal(raw, &list)
	}
	var v any
	return v, json.Unmarshal(raw, &v)
}
