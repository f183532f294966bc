package house

import (
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// gone are the words the product once spoke with and no cook would say; what is said
// instead stands in the voice of the house.
var gone = regexp.MustCompile(`(?i)\b(` + strings.Join([]string{
	"keeping school", "by its own lines", "what gives", "let it down", "let down", "work on it",
	"to the spoons you have", "match figures", "take elsewhere", "take it elsewhere", "to have out", "by the pantry",
	"take down", "taken down", "leave it out", "not done after all", "nobody is up", "what can be made now",
	"what the other", "take readings in", "read it no more", "no plan lies nearer", "was to be done",
	`till (?:mon|tue|wed|thu|fri|sat|sun|%|\$)`, "the day of", "goes out", "keep these", "leave as it was", "good till",
	"what became of it", "no arithmetic", "is reckoned", "are reckoned", "cannot be reckoned", "by custom", "cautious school", "customary school",
	"throw it out", "thrown out", "stand-in", "they go by", "who drinks here",
}, "|") + `)\b`)

// said is what stands between quotes in a source.
var said = regexp.MustCompile("\"(?:[^\"\\\\\n]|\\\\.)*\"|`[^`]*`|'(?:[^'\\\\\n]|\\\\.)*'")

// isForProgrammers are lines whose words stand in the document of the operations only.
var isForProgrammers = regexp.MustCompile(`json:"|operation\(|act\(|told\(`)

// spoken are the files whose quoted words a user sees.
func spoken(t *testing.T) []string {
	t.Helper()
	files := []string{"../../web/src/copy/en.ts", "../../web/src/copy/enMore.ts"}
	for _, dir := range []string{"../wording", "../exchange", "../http", "../app", "../../cmd"} {
		require.NoError(t, filepath.WalkDir(dir, func(path string, d os.DirEntry, err error) error {
			if err == nil && strings.HasSuffix(path, ".go") && !strings.HasSuffix(path, "_test.go") {
				files = append(files, path)
			}
			return err
		}))
	}
	return files
}

// The words that were put right do not come back, in what is shown or in the papers.
func TestTheOldWordsStayAway(t *testing.T) {
	t.Parallel()
	for _, file := range spoken(t) {
		source, err := os.ReadFile(file)
		require.NoError(t, err)
		for _, line := range strings.Split(string(source), "\n") {
			if isForProgrammers.MatchString(line) {
				continue
			}
			for _, words := range said.FindAllString(line, -1) {
				assert.NotRegexp(t, gone, words, file)
			}
		}
	}
	for _, paper := range []string{"../../README.md", "../../docs/guide.md"} {
		text, err := os.ReadFile(paper)
		require.NoError(t, err)
		for n, line := range strings.Split(string(text), "\n") {
			assert.NotRegexp(t, gone, line, "%s:%d", paper, n+1)
		}
	}
}
