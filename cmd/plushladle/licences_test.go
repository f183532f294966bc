package main

import (
	"bytes"
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestTheCommandsAreListed(t *testing.T) {
	t.Parallel()
	said := func(args ...string) (int, string, string) {
		var out, err bytes.Buffer
		code := run(args, streams{nil, &out, &err})
		return code, out.String(), err.String()
	}
	code, out, _ := said("licences")
	assert.Equal(t, exitOK, code)
	assert.Contains(t, out, "github.com/gofiber/fiber/v3")
	code, out, _ = said("--help")
	assert.Equal(t, exitOK, code)
	assert.Contains(t, out, "replace everything with a backup or a daily copy")
	code, _, _ = said()
	assert.Equal(t, exitUsage, code, "nothing was asked for")
	code, out, _ = said("--version")
	assert.Equal(t, exitOK, code)
	assert.Equal(t, "plushladle "+version+"\n", out)
	for _, args := range [][]string{{"brew"}, {"serve", "--loud"}, {"restore"}, {"backup"}} {
		code, _, errs := said(args...)
		assert.Equal(t, exitUsage, code, args)
		assert.Regexp(t, `^plushladle [a-z]+: .+\n$`, errs, "one line: %v", args)
	}
}
