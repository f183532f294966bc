// Package passphrase keeps the words that let a device into the kitchen: as
// an argon2id hash, never as they are.
package passphrase

import (
	"strings"
	"sync"
	"unicode/utf8"

	"github.com/alexedwards/argon2id"
	"golang.org/x/text/unicode/norm"

	"plushladle/core/fault"
)

// A passphrase has at least the eight characters NIST SP 800-63B-3 (5.1.1.2)
// asks for, and no more than anyone types.
const (
	least = 8
	most  = 200
)

// cost is OWASP's for argon2id (Password Storage Cheat Sheet, from memory):
// 19 MiB, gone over twice. It is what a small machine has to spare.
var cost = &argon2id.Params{Memory: 19 << 10, Iterations: 2, Parallelism: 1, SaltLength: 16, KeyLength: 32}

// oneAtATime keeps many tries at once from taking the memory of each.
var oneAtATime sync.Mutex

// Check tells whether a text will do as a passphrase.
func Check(text string) error {
	n := utf8.RuneCountInString(plain(text))
	switch {
	case n < least:
		return fault.New("passphrase", "", "passphrase-too-short", least, most)
	case n > most:
		return fault.New("passphrase", "", "passphrase-too-long", least, most)
	case isCommon(plain(text)):
		return fault.New("passphrase", "", "passphrase-is-guessed")
	}
	return nil
}

// Hash is what is kept of a passphrase.
func Hash(text string) (string, error) {
	oneAtATime.Lock()
	defer oneAtATime.Unlock()
	return argon2id.CreateHash(plain(text), cost)
}

// Matches tells whether a text is the passphrase of which the hash was kept.
func Matches(text, hash string) bool {
	if utf8.RuneCountInString(text) > most {
		return false
	}
	oneAtATime.Lock()
	defer oneAtATime.Unlock()
	same, err := argon2id.ComparePasswordAndHash(plain(text), hash)
	return err == nil && same
}

// plain makes the same words the same bytes, whichever keyboard typed them
// (SP 800-63B asks for it), without blanks around them.
func plain(text string) string { return norm.NFKC.String(strings.TrimSpace(text)) }
