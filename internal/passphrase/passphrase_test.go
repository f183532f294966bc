package passphrase

import (
	"strings"
	"testing"

	"plushladle/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestOnlyTheWordsThemselvesMatch(t *testing.T) {
	t.Parallel()
	hash, err := Hash("lock gate crème")
	require.NoError(t, err)
	assert.True(t, strings.HasPrefix(hash, "$argon2id$v=19$m=19456,t=2,p=1$"), "RFC 9106's function, and its cost beside it: %s", hash)
	assert.NotContains(t, hash, "lock")
	other, err := Hash("lock gate crème")
	require.NoError(t, err)
	assert.NotEqual(t, hash, other, "a salt of its own each time")

	assert.True(t, Matches("lock gate crème", hash))
	assert.True(t, Matches(" lock gate cre\u0300me\n", hash), "typed with another keyboard, and a blank after it")
	for _, wrong := range []string{"", "lock gate creme", "Lock gate crème", "lock gate crème 2", strings.Repeat("lock gate crème", 100_000)} {
		assert.False(t, Matches(wrong, hash))
	}
	assert.False(t, Matches("lock gate crème", "not a hash"))
}

func TestWhatWillDo(t *testing.T) {
	t.Parallel()
	tests := []struct {
		text, wrong string
	}{
		{"", "passphrase-too-short"}, {"       ladle       ", "passphrase-too-short"}, {"sevench", "passphrase-too-short"}, {"eightcha", ""},
		{"rowers at the lock", ""}, {strings.Repeat("øåæ-1ß", most/6), ""}, {strings.Repeat("ø", most+1), "passphrase-too-long"},
		{"Password123!", "passphrase-is-guessed"}, {"i love you", "passphrase-is-guessed"}, {"Plush Ladle 2026", "passphrase-is-guessed"}, {"almond milk", "passphrase-is-guessed"},
		{"aaaaaaaaaa", "passphrase-is-guessed"}, {"abcabcabc", "passphrase-is-guessed"}, {"12345678", "passphrase-is-guessed"}, {"87654321", "passphrase-is-guessed"}, {"qwertyuiop", "passphrase-is-guessed"},
		{"almond rowers 7", ""},
	}
	for _, tt := range tests {
		err := Check(tt.text)
		if tt.wrong == "" {
			assert.NoError(t, err, tt.text)
			continue
		}
		assert.Equal(t, tt.wrong, fault.Code(err), tt.text)
	}
}
