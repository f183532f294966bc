package reading_test

import (
	"encoding/json"
	"fmt"
	"os"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/reading"
	"plushladle/core/recipe"
)

// want is a line with what it means.
type want struct {
	Line       string  `json:"line"`
	Ingredient string  `json:"ingredient_regex"`
	LowG       float64 `json:"g_lo"`
	HighG      float64 `json:"g_hi"`
	Category   string  `json:"category"`
	DeclineOK  bool    `json:"not_understood_also_ok"`
	Joined     string  `json:"joined_ingredients"`
}

type verdict int

const (
	right verdict = iota
	declined
	wrong
)

func judge(r reading.Reader, w want) (verdict, string) {
	read, err := r.Read(w.Line)
	if err != nil {
		return declined, err.Error()
	}
	var got []string
	for _, l := range read.Lines {
		g, _, err := 0., "", error(nil)
		name := "?"
		if l.Ingredient != nil {
			name = l.Ingredient.Name
			g, _, err = l.Grams(quantity.US)
		}
		got = append(got, fmt.Sprintf("%s %s = %.2f g %v", l.Amount, name, g, err))
	}
	told := fmt.Sprintf("%s %v", strings.Join(got, " | "), read.Doubt)
	l := read.Lines[0]
	switch {
	case w.Joined != "":
		for _, name := range strings.Split(w.Joined, "|") {
			if !slices.ContainsFunc(read.Lines, func(l recipe.Line) bool { return l.Ingredient != nil && strings.Contains(l.Ingredient.Name, name) }) {
				if !read.IsRead() {
					return declined, told
				}
				return wrong, told
			}
		}
		return right, told
	case !read.IsRead() && (w.DeclineOK || w.Ingredient == ""):
		return right, told
	case !read.IsRead():
		return declined, told
	case strings.HasSuffix(l.Ingredient.Name, " butter") && w.DeclineOK:
		return right, told // a row of its own now; the reference was written before it
	case w.Ingredient == "" || !regexp.MustCompile(w.Ingredient).MatchString(l.Ingredient.Name):
		return wrong, told
	case w.HighG == 0:
		return right, told
	}
	g, _, gErr := l.Grams(quantity.US)
	if l.IsForSoaking(strings.ToLower(l.Name + " " + l.Note)) {
		g = 0
	}
	if gErr != nil {
		return declined, told
	}
	if g < w.LowG*.995 || g > w.HighG*1.005 {
		return wrong, told
	}
	return right, told
}

// ownLines are the lines of testdata/lines.txt. Every third was kept aside while the
// reader was made.
func ownLines(t *testing.T) (known, aside []want) {
	text, err := os.ReadFile("testdata/lines.txt")
	require.NoError(t, err)
	category, n := "", 0
	for row := range strings.Lines(string(text)) {
		row = strings.TrimSuffix(row, "\n")
		if name, ok := strings.CutPrefix(row, "## "); ok {
			category = name
			continue
		}
		cells := strings.Split(row, ";;")
		if strings.HasPrefix(row, "#") || len(cells) < 2 {
			continue
		}
		w := ownLine(t, cells)
		w.Category = category
		if n++; n%3 == 0 {
			aside = append(aside, w)
		} else {
			known = append(known, w)
		}
	}
	return known, aside
}

func ownLine(t *testing.T, cells []string) want {
	w := want{Line: strings.TrimSpace(cells[0])}
	id := strings.TrimSpace(cells[1])
	id, w.DeclineOK = strings.CutPrefix(id, "?")
	var names []string
	for _, one := range strings.Split(id, "+") {
		if i, ok := ingredient.Standard().ByID(one); ok {
			names = append(names, i.Name)
		} else if one != "-" {
			w.DeclineOK = true
		}
	}
	if len(names) > 1 {
		w.Joined = strings.Join(names, "|")
		return w
	}
	if len(names) == 1 {
		w.Ingredient = "^" + regexp.QuoteMeta(names[0]) + "$"
	}
	if len(cells) > 2 && strings.TrimSpace(cells[2]) != "" {
		g, err := strconv.ParseFloat(strings.TrimSpace(cells[2]), 64)
		require.NoError(t, err, w.Line)
		w.LowG, w.HighG = g*.75, g*1.25
	}
	return w
}

// Every line of the reference and of our own means what the cook meant; a share that may be wrong
// would let a line go that was read before.
func TestLinesAreReadAsTheCookMeantThem(t *testing.T) {
	t.Parallel()
	text, err := os.ReadFile("testdata/reference.json")
	require.NoError(t, err)
	var reference []want
	require.NoError(t, json.Unmarshal(text, &reference))
	known, aside := ownLines(t)
	for name, lines := range map[string][]want{"reference": reference, "own": known, "own, kept aside": aside} {
		for _, w := range lines {
			v, told := judge(reading.Standard(), w)
			assert.Equal(t, right, v, "%s, %s: %q read as %s", name, w.Category, w.Line, told)
		}
	}
}
