package wording

import (
	"fmt"
	"go/ast"
	"regexp"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"plushladle/core/say"
)

// in has words in a style for the length of a test; such tests do not run beside others.
func in(t *testing.T, s Style) {
	t.Helper()
	before := *style.Load()
	Use(s)
	t.Cleanup(func() { Use(before) })
}

func TestFiguresInTheKitchensUnits(t *testing.T) {
	for _, c := range []struct {
		volumes    string
		fahrenheit bool
		is, says   string
	}{
		{"metric", false, "21 °C, and 500 mL", "21 °C, and 500 mL"},
		// The Food Code gives both: 57 °C (135 °F), 21 °C (70 °F), 5 °C (41 °F); 3-501.14.
		{"metric", true, "from 57 °C to 21 °C within two hours, and to 5 °C", "from 135 °F to 70 °F within two hours, and to 41 °F"},
		{"metric", true, "4.2 °C", "39.6 °F"},
		{"metric", true, "Enter a temperature from −2 to 30 °C.", "Enter a temperature from 28 to 86 °F."},
		// 21 CFR 101.9(b)(5)(viii) rounds a fluid ounce to 30 mL; NIST SP 811 has 29.57.
		{"us", false, "Likely between 690 and 765 mL.", "Likely between 23 and 26 fl oz."},
		{"us", false, "a spoon of 15 mL", "a spoon of 0.5 fl oz"},
		{"us", false, "1.5 L", "51 fl oz"},
		{"us", false, "1,020 instead of 980 mL", "34 instead of 33 fl oz"},
		{"imperial", false, "568 mL", "20 fl oz"}, // a pint
		{"us", false, "4.4 g/100 mL, 3 g per 100 mL", "4.4 g/100 mL, 3 g per 100 mL"},
		{"us", true, "500 mL at 4 °C", "17 fl oz at 39 °F"},
	} {
		in(t, Style{Language: "en", Volumes: c.volumes, Fahrenheit: c.fahrenheit})
		assert.Equal(t, c.says, inUnits(c.is))
	}
	in(t, Style{Language: "en", Volumes: "us", Fahrenheit: true})
	assert.Contains(t, Text(say.Of("cooling-limits")), "To 70 °F within two hours, and to 41 °F")
	assert.Equal(t, "25 fl oz", Volume(733))
}

func TestDaysAndTheClockAsAPlaceHasThem(t *testing.T) {
	at := time.Date(2026, 11, 30, 15, 4, 0, 0, time.UTC)
	in(t, Style{Language: "en", Locale: "en-GB"})
	assert.Equal(t, "Mon 30 Nov, 15:04", DayAndClock(at))
	in(t, Style{Language: "en", Locale: "en-US"})
	assert.Equal(t, "Mon Nov 30, 3:04 pm", DayAndClock(at))
	assert.Equal(t, "Mon Nov 30, afternoon", PartOfDay(at))
}

// manyOf are the beginnings of phrases that there is one of for each code of something.
var manyOf = regexp.MustCompile(`^(apart|cooling|stored-in|pulp|state|doubt|offer-heat|offer-strain|one|many|known-from|swap|wish|drink|base|stream|working|constant|change|dial|band|flavour|place|stage|longest-gap|allergen|unit)-`)

// Every phrase that is said has words, and none is there that nobody says.
func TestEveryPhraseIsSaid(t *testing.T) {
	t.Parallel()
	said := map[string]bool{}
	for _, root := range []string{"../../internal", "../../cmd"} {
		eachFile(t, root, func(path string, file *ast.File) {
			if strings.HasSuffix(path, "phrases.go") || strings.HasSuffix(path, "spanish.go") {
				return
			}
			ast.Inspect(file, func(n ast.Node) bool {
				if text, ok := literal(n); ok {
					said[text] = true
				}
				call, isCall := n.(*ast.CallExpr)
				if !isCall || len(call.Args) == 0 {
					return true
				}
				name := fmt.Sprint(call.Fun)
				if f, is := call.Fun.(*ast.SelectorExpr); is {
					name = fmt.Sprint(f.X, ".", f.Sel.Name)
				}
				if code, ok := literal(call.Args[0]); ok && (name == "phrase" || name == "wording.Say") {
					assert.Contains(t, phrases, code, path)
				}
				return true
			})
		})
	}
	for code := range phrases {
		assert.True(t, said[code] || manyOf.MatchString(code), "%q is never said", code)
	}
}
