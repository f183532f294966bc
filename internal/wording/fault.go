package wording

import (
	"errors"
	"fmt"
	"strings"
	"time"

	"plushladle/core/fault"
	"plushladle/core/say"
)

// Fault is what a refused value is told with, for showing beside its field.
func Fault(e *fault.Error) string { return told(e.Value, e.Why) }

// Error is any error in words: a fault with its field, others as they are.
func Error(err error) string {
	var e *fault.Error
	switch {
	case !errors.As(err, &e):
		return err.Error()
	case e.Field == "":
		return Fault(e)
	}
	return e.Field + ": " + Fault(e)
}

// Trouble is why a drink on the plan could not be planned, and when it would fit; laterAt
// is zero where that is not known.
func Trouble(code string, laterAt time.Time) string {
	words := refusalOf(code).problem
	if laterAt.IsZero() {
		return words
	}
	return words + "; " + Text(say.Of("would-fit-at", laterAt))
}

// told is a value, what is wrong with it, and what would do.
func told(value string, why say.Text) string {
	words := refusalOf(why.Code)
	message, accepts := fill(words.problem, why.Args), fill(words.accepts, why.Args)
	if why.Code == "unknown-allergen" {
		accepts = didYouMean(why.Args[0].([]string))
	}
	if value != "" {
		message = fmt.Sprintf("%q %s", value, message)
	}
	if accepts == "" {
		return message
	}
	return message + "; " + accepts
}

func didYouMean(names []string) string {
	if len(names) == 0 {
		return phrase("choose-an-allergen")
	}
	return phrase("did-you-mean", strings.Join(names, phrase("or")))
}
