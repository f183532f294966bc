// Package fault is the one error type of the core: it names the field, the value that was
// given, and by a code what is wrong with it and what would be accepted. The words for
// the code are in package wording.
package fault

import (
	"errors"
	"fmt"

	"plushladle/core/say"
)

// Error says which input was refused, and why.
type Error struct {
	Field string   // the input's name as the caller knows it, such as "amount" or "lines[2].amount"
	Value string   // what was given, shortened for display
	Why   say.Text // the code, and the figures of what would be accepted
}

// shownValue is how many characters of a refused value are repeated back.
const shownValue = 60

// New builds an Error, shortening a long value so that it can be shown.
func New(field, value, code string, args ...any) *Error {
	if runes := []rune(value); len(runes) > shownValue {
		value = string(runes[:shownValue]) + "…"
	}
	return &Error{Field: field, Value: value, Why: say.Of(code, args...)}
}

// Error is for logs: the field, what was given and the code. What a cook reads is
// wording.Fault.
func (e *Error) Error() string {
	return fmt.Sprintf("%s %q: %s %v", e.Field, e.Value, e.Why.Code, e.Why.Args)
}

// Told is the error as something to tell: what was given, and why it will not do.
func (e *Error) Told() say.Text { return say.Of("fault", e.Value, e.Why) }

// Code is the code of what is wrong with err; "" where it is no Error.
func Code(err error) string {
	var e *Error
	if !errors.As(err, &e) {
		return ""
	}
	return e.Why.Code
}

// In returns a copy of err under the given field name. Errors of other types
// are returned as they are.
func In(field string, err error) error {
	var e *Error
	if !errors.As(err, &e) {
		return err
	}
	named := *e
	named.Field = field
	return &named
}
