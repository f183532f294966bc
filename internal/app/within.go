package app

import (
	"time"

	"plushladle/internal/store"
)

// Stale is what an act made out of date of all that is remembered.
type Stale struct{ Ways, Record bool }

// Within is the server inside a transaction. What it puts together there is
// its own, and what it makes out of date is so once it is kept.
func (s *Kitchen) Within(tx *store.Store, seen *Stale) *Kitchen {
	in := *s
	in.Store, in.caches, in.stale = tx, s.caches.copy(), seen
	return &in
}

// Ago is how long ago something was done that could not be told at once.
func Ago(seconds float64) time.Duration { return time.Duration(seconds * float64(time.Second)) }
