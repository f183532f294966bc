// Package fault is the one error type of the core: it names the field, the
// value that was given, what is wrong with it and what would be accepted.
package fault

import (
	"errors"
	"fmt"
	"strings"
)

// Error says which input was refused and what would be accepted instead.
type Error struct {
	Field   string // the input's name as the caller knows it, such as "amount" or "lines[2].amount"
	Value   string // what was given, shortened for display
	Problem string // what is wrong, without the value
	Accepts string // what would be accepted
}

// shownValue is how many characters of a refused value are repeated back.
const shownValue = 60

// New builds an Error, shortening a long value so that it can be shown.
func New(field, value, problem, accepts string) *Error {
	if runes := []rune(value); len(runes) > shownValue {
		value = string(runes[:shownValue]) + "…"
	}
	return &Error{Field: field, Value: value, Problem: problem, Accepts: accepts}
}

func (e *Error) Error() string {
	var b strings.Builder
	if e.Field != "" {
		b.WriteString(e.Field + ": ")
	}
	b.WriteString(e.Message())
	return b.String()
}

// Message is the error without the field's name, for showing beside the field.
func (e *Error) Message() string {
	message := e.Problem
	if e.Value != "" {
		message = fmt.Sprintf("%q %s", e.Value, e.Problem)
	}
	if e.Accepts == "" {
		return message
	}
	return message + "; " + e.Accepts
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
