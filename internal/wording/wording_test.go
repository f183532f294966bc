package wording

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/say"
)

// families are codes that are put together from a prefix and the code of something
// there are several of.
var families = regexp.MustCompile(`^(strainer|kind)-`)

// prefixes are put before a code that stands in the core by itself.
var prefixes = []string{"a-little-", "much-", "flag-", "cause-over-", "cause-short-", "cause-"}

// isPut tells whether a code is one of these before one that the core knows.
func isPut(code string, literals map[string]bool) bool {
	return slices.ContainsFunc(prefixes, func(prefix string) bool {
		rest, ok := strings.CutPrefix(code, prefix)
		return ok && literals[rest]
	})
}

// Every code that is told has words, and all words have a code that tells them.
func TestEveryCodeHasWords(t *testing.T) {
	t.Parallel()
	literals := map[string]bool{}
	for _, root := range []string{"../../core", "../../internal", "../../cmd"} {
		eachFile(t, root, func(path string, file *ast.File) {
			if strings.Contains(path, "/wording/") {
				return
			}
			ast.Inspect(file, func(n ast.Node) bool {
				call, isCall := n.(*ast.CallExpr)
				if text, ok := literal(n); ok {
					literals[text] = true
				}
				if !isCall {
					return true
				}
				if code, isFault, ok := toldCode(call); ok {
					_, isText := texts[code]
					_, isRefusal := refusals[code]
					assert.True(t, isText && !isFault || isRefusal && isFault || code == "part-of-day" || code == "fault", "%s: %q has no words", path, code)
				}
				return true
			})
		})
	}
	for code := range texts {
		assert.True(t, literals[code] || families.MatchString(code) || isPut(code, literals), "%q is never told", code)
	}
	for code := range refusals {
		assert.True(t, literals[code], "%q is never told", code)
	}
}

// toldCode is the code that a call tells, where it is written out.
func toldCode(call *ast.CallExpr) (code string, isFault, ok bool) {
	f, isSelector := call.Fun.(*ast.SelectorExpr)
	if !isSelector {
		return "", false, false
	}
	of, _ := f.X.(*ast.Ident)
	switch {
	case of == nil:
		return "", false, false
	case of.Name == "fault" && f.Sel.Name == "New" && len(call.Args) > 2:
		code, ok = literal(call.Args[2])
		return code, true, ok
	case of.Name == "say" && f.Sel.Name == "Of", f.Sel.Name == "because":
		code, ok = literal(call.Args[0])
		return code, false, ok
	}
	return "", false, false
}

func literal(n ast.Node) (string, bool) {
	l, ok := n.(*ast.BasicLit)
	if !ok || l.Kind != token.STRING {
		return "", false
	}
	text, err := strconv.Unquote(l.Value)
	return text, err == nil
}

func eachFile(t *testing.T, root string, see func(path string, file *ast.File)) {
	t.Helper()
	require.NoError(t, filepath.WalkDir(root, func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return err
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.SkipObjectResolution)
		require.NoError(t, err)
		see(path, file)
		return nil
	}))
}

// written are the files that hold words on purpose: those that cooks write and the
// program reads, what stands on a measure, and what older kitchens kept.
var written = []string{
	"core/quantity/", "core/reading/", "core/recipe/line.go", "core/recipe/kind.go", "core/ingredient/", "core/process/process.go", "core/caution/allergens.go",
	"core/plan/prepare.go", "core/reckon/reckontest/", "internal/store/oldwords.go", "internal/store/migrations.go", "internal/store/storetest/",
	"internal/store/verify.go", "internal/store/restore.go", "internal/store/store.go", // for whoever mends a broken file: tables and columns by name
}

var english = regexp.MustCompile(`[A-Za-z']+,? [a-z']+,? [a-z']+`)

// The core and the store know no English: what they tell are codes.
func TestTheCoreAndTheStoreTellCodes(t *testing.T) {
	t.Parallel()
	for _, root := range []string{"../../core", "../../internal/store"} {
		eachFile(t, root, func(path string, file *ast.File) {
			for _, w := range written {
				if strings.Contains(path, w) {
					return
				}
			}
			ast.Inspect(file, func(n ast.Node) bool {
				switch n := n.(type) {
				case *ast.FuncDecl:
					return n.Name.Name != "Error" // for logs
				case *ast.Field:
					return false // what documents a field
				case *ast.CallExpr:
					if isForTheLog(n) {
						return false
					}
				}
				if text, ok := literal(n); ok && !isSQL(text) {
					assert.NotRegexp(t, english, text, path)
				}
				return true
			})
		})
	}
}

// isForTheLog tells whether a call makes an error that a program reads, or panics.
func isForTheLog(call *ast.CallExpr) bool {
	switch f := call.Fun.(type) {
	case *ast.Ident:
		return f.Name == "panic"
	case *ast.SelectorExpr:
		of, _ := f.X.(*ast.Ident)
		return of != nil && (of.Name == "errors" || of.Name == "slog" || of.Name == "fmt" && f.Sel.Name == "Errorf")
	}
	return false
}

func isSQL(text string) bool {
	return regexp.MustCompile(`\b(SELECT|INSERT|UPDATE|DELETE|CREATE|ALTER|FROM|WHERE|VACUUM|PRAGMA|ORDER|AND|IN)\b|[a-z_]+ (=|<|>|IS|DESC|ASC|<=|>=|!=) ?`).MatchString(text) || regexp.MustCompile(`^[a-z_]+( DESC)?(, [a-z_]+( DESC)?)*$`).MatchString(text)
}

func TestWhatIsTold(t *testing.T) {
	t.Parallel()
	london := time.FixedZone("", 0)
	for want, text := range map[string]say.Text{
		"":                           {},
		"until it hums":              say.Written("until it hums"),
		"Soak the almonds and dates": say.Of("soak", []string{"almonds", "dates"}),
		"Blend load 1 of 2 for 45 seconds, adding the oats for the last 30 only": say.Of("joined-late", say.Of("grind-load", 1, 2, say.Of("for-seconds", 45.)), []string{"oats"}, 30.),
		"a fridge at 6.5 °C ages it 1.39 times as fast as 4 °C":                  say.Of("fridge-rate", 6.5, 1.3889),
		"fat: 3.33 to 12.3 %":                          say.Of("fat-goes", 3.3333, 12.345),
		"over 4 hours above 5 °C, from Mon 09:30":      say.Of("warm-too-long", 5, time.Date(2026, 11, 30, 9, 30, 0, 0, london)),
		"a fridge at 1 °C: use by Mon 30 Nov, morning": say.Of("colder-fridge", 1, say.Of("part-of-day", time.Date(2026, 11, 30, 9, 30, 0, 0, london))),
		"Let the almonds steep Chill":                  say.Together(say.Of("steep", []string{"almonds"}), say.Text{}, say.Of("chill")),
	} {
		assert.Equal(t, want, Text(text))
	}
}

func TestRefusalsSayWhatWorks(t *testing.T) {
	t.Parallel()
	assert.Equal(t, `amount: "some" is not an amount; write it as "1 1/2 cups", "250 g", "2 tbsp + 1 tsp", "3-4 pieces" or "a pinch"`, Error(fault.New("amount", "some", "not-an-amount")))
	assert.Equal(t, `"120" is out of range; use 0 to 90 %`, Fault(fault.New("fat", "120", "fat-out-of-range")))
	assert.Equal(t, "portions: the portions add up to 1000 mL and there is 910 mL; take less for some, or make more", Error(fault.New("portions", "", "portions-over-base", 1000, 910.2)))
	assert.Equal(t, `"wallnut" is not a known allergen; did you mean walnut?`, Fault(fault.New("allergens", "wallnut", "unknown-allergen", []string{"walnut"})))
	assert.Equal(t, os.ErrNotExist.Error(), Error(os.ErrNotExist))
	for code, words := range refusals {
		assert.NotEmpty(t, words.problem, code)
		assert.True(t, words.accepts != "" || code == "unknown-allergen", code)
	}
}

func TestTheTimeThatIsLeft(t *testing.T) {
	t.Parallel()
	for n, want := range map[int]string{2: "2 days", 1: "1 day", 0: "last day", -1: "past its date since today", -3: "past its date for 3 days", 23: "3 weeks"} {
		assert.Equal(t, want, DaysLeft(n))
	}
	at := time.Date(2026, 11, 27, 9, 30, 0, 0, time.UTC)
	assert.Equal(t, "Fri 27 Nov, morning", PartOfDay(at))
	assert.Equal(t, "Thu 26 Nov, night", PartOfDay(at.Add(-7*time.Hour)))
}

// A single one of something is told as one, in either language; a part of one, and a range, are not.
func TestOneIsToldAsOne(t *testing.T) {
	t.Parallel()
	for sentence, want := range map[string]string{
		"Lemon juice shortens it: 1 days, 2 by the traditional rule": "Lemon juice shortens it: 1 day, 2 by the traditional rule",
		"1 hours": "1 hour", "in 1 batches": "in 1 batch", "se acorta: 1 días": "se acorta: 1 día",
		"1.1 days": "1.1 days", "1,1 días": "1,1 días", "11 days": "11 days", "1–2 days": "1–2 days", "0–1 days": "0–1 days", "1 daysack": "1 daysack",
	} {
		assert.Equal(t, want, one(sentence))
	}
	assert.Equal(t, "Lemon juice shortens it: 1 day, 2 by the traditional rule", Text(say.Of("life-cut-by", "Lemon juice", 1, 2)))
}
