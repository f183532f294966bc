package notices

import (
	"encoding/json"
	"os"
	"os/exec"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every module that the program is built of, and every package that the front end
// asks for, is named with its version: make notices gathers them anew.
func TestEverythingThatShipsIsNamed(t *testing.T) {
	t.Parallel()
	list := exec.Command("go", "list", "-deps", "-f", `{{with .Module}}{{if .Version}}{{.Path}} {{.Version}}{{end}}{{end}}`, "./cmd/plushladle")
	list.Dir = "../.."
	out, err := list.Output()
	require.NoError(t, err)
	named := map[string]bool{}
	for line := range strings.Lines(Text) {
		named[strings.TrimSpace(line)] = true
	}
	for line := range strings.Lines(string(out)) {
		if line = strings.TrimSpace(line); line != "" {
			assert.True(t, named[line], line)
		}
	}
	asked, err := os.ReadFile("../../web/package.json")
	require.NoError(t, err)
	var front struct{ Dependencies map[string]string }
	require.NoError(t, json.Unmarshal(asked, &front))
	for name, version := range front.Dependencies {
		assert.True(t, named[name+" "+version], name+" "+version)
	}
}
