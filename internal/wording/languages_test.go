package wording

import (
	"regexp"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"plushladle/core/fault"
	"plushladle/core/say"
)

// verbs are the figures and names that stand in a sentence.
var verbs = regexp.MustCompile(`%[.0-9]*\[(\d)\][a-z]`)

func verbsOf(sentence string) []string {
	var out []string
	for _, found := range verbs.FindAllString(sentence, -1) {
		if !slices.Contains(out, found) {
			out = append(out, found)
		}
	}
	slices.Sort(out)
	return out
}

// Each language says everything that English does, with the same figures written the same
// way, and nothing that English does not.
func TestLanguagesAreComplete(t *testing.T) {
	t.Parallel()
	for name, l := range languages {
		for code, sentence := range together(texts, phrases) {
			words, ok := l.texts[code]
			if assert.True(t, ok, "%s: %q is missing", name, code) && code != "quoted" {
				assert.Equal(t, verbsOf(sentence), verbsOf(words), "%s: %q", name, code)
			}
		}
		for code := range l.texts {
			_, isText := texts[code]
			_, isPhrase := phrases[code]
			assert.True(t, isText || isPhrase, "%s: %q is in no table", name, code)
		}
		for code, r := range refusals {
			words, ok := l.refusals[code]
			if assert.True(t, ok, "%s: %q is missing", name, code) {
				assert.Equal(t, verbsOf(r.problem), verbsOf(words.problem), "%s: %q", name, code)
				assert.Equal(t, verbsOf(r.accepts), verbsOf(words.accepts), "%s: %q", name, code)
			}
		}
		for code := range l.refusals {
			assert.Contains(t, refusals, code, name)
		}
	}
}

func TestSpanishIsSpokenWhereItIsAsked(t *testing.T) {
	in(t, Style{Language: "es", Locale: "es-ES", Volumes: "metric"})
	assert.Equal(t, "Remoja: almendras y dátiles", Text(say.Of("soak", []string{"almendras", "dátiles"})))
	assert.Equal(t, "avena e higos", And([]string{"avena", "higos"}))
	assert.Equal(t, `amount: "poco" no es una cantidad; escríbelo como "1 1/2 cups", "250 g", "2 tbsp + 1 tsp", "3-4 pieces" o "a pinch"`, Error(fault.New("amount", "poco", "not-an-amount")))
	assert.Equal(t, "lun 30 nov, mañana", PartOfDay(time.Date(2026, 11, 30, 9, 0, 0, 0, time.UTC)))
	assert.Equal(t, "2 días", DaysLeft(2))
	assert.Equal(t, "1,5 L", Volume(1500))
	assert.Equal(t, "grasa: de 3,33 a 12,3 %", Text(say.Of("fat-goes", 3.3333, 12.345)))
	in(t, Style{Language: "es", Volumes: "us", Fahrenheit: true})
	assert.Equal(t, "un frigorífico a 43,7 °F la envejece 1,39 veces más deprisa que a 39 °F", Text(say.Of("fridge-rate", 6.5, 1.3889)))
	assert.Equal(t, "0,5 fl oz", Volume(15))
}
