package app

import (
	"errors"

	"plushladle/internal/store"
)

// Refused is what is not done until it is said that it is meant, or not at all.
type Refused struct {
	Text    string // what is refused
	Field   string // what the cook would set to have it done all the same; empty where nothing would
	Message string // beside that field
	Value   any
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
