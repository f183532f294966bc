package app

import (
	"errors"

	"plushladle/core/reckon"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
	"plushladle/internal/wording"
)

// Refused is what is not done until it is said that it is meant, or not at all.
type Refused struct {
	Text    string // what is refused
	Field   string // what the cook would set to have it done all the same; empty where nothing would
	Message string // beside that field
	Value   any
}

// WithoutLines asks before something is done with a drink some of whose lines no figure
// counts: how much it gives, how long it keeps and what it contains may be wrong. It is
// nil where none is missing, or where it is said that it is meant.
func WithoutLines(f kitchen.Recipe, r *reckon.Reckoning, anyway bool) error {
	names := f.Lacking(r)
	if len(names) == 0 || anyway {
		return nil
	}
	return &Refused{Text: wording.SomeNotCounted(), Field: "anyway", Value: names, Message: wording.WithoutLines(names)}
}

func (r *Refused) Error() string { return r.Text }

// ChangedSince says that something was changed elsewhere since it was read, with what
// was to be kept and what there is.
type ChangedSince struct{ Mine, Theirs any }

func (c *ChangedSince) Error() string { return "changed elsewhere since it was read" }

// BothOf is the error of a conflict with both values.
func BothOf(mine any, read func() (any, error)) error {
	theirs, err := read()
	if err != nil {
		return err
	}
	return &ChangedSince{Mine: mine, Theirs: theirs}
}

func IsConflict(err error) bool {
	var conflict *store.Conflict
	return errors.As(err, &conflict)
}
