package wording

import (
	"fmt"
	"maps"
	"strconv"
	"strings"
	"time"
	"unicode"

	"plushladle/core/say"
)

// texts are the sentences of all codes that are not faults, in English; another language
// has the same codes. In a sentence %[1]s is the first of what the text holds: a name, a
// list, another text, or a number to three figures; %.0[1]f is a number as fmt writes it.
var texts = together(cautions, keeping, figures, cups, steps, tools, notes)

// phrase is what this package itself says, by its code.
func phrase(code string, args ...any) string {
	return fill(inLanguage(code, phrases), args)
}

// Say is what an area of the kitchen says that the core does not: one of phrases, by its code.
func Say(code string, args ...any) string { return phrase(code, args...) }

// sentence is the words of a code that the core tells.
func sentence(code string) string { return inLanguage(code, texts) }

// inLanguage is the words of a code in the kitchen's language; in English where it has none,
// which a test does not let happen.
func inLanguage(code string, english map[string]string) string {
	if words, ok := languages[style.Load().Language].texts[code]; ok {
		return words
	}
	return english[code]
}

// refusalOf is what is said of a value that will not do.
func refusalOf(code string) refusal {
	if words, ok := languages[style.Load().Language].refusals[code]; ok {
		return words
	}
	return refusals[code]
}

func together(tables ...map[string]string) map[string]string {
	all := map[string]string{}
	for _, t := range tables {
		maps.Copy(all, t)
	}
	return all
}

// Text makes a sentence of what there is to tell; "" of a zero Text.
func Text(t say.Text) string {
	if several, ok := t.Sentences(); ok {
		return strings.Join(Texts(several), " ")
	}
	switch t.Code {
	case "":
		return ""
	case say.AsWritten:
		return fmt.Sprint(t.Args[0])
	case "part-of-day":
		return PartOfDay(t.Args[0].(time.Time))
	case "contains-allergen", "contains-kin", "adds-allergen", "takes-out":
		return fill(sentence(t.Code), named(t.Args))
	case "fault":
		return told(fmt.Sprint(t.Args[0]), t.Args[1].(say.Text))
	}
	return fill(sentence(t.Code), t.Args)
}

// named are names of allergens in the kitchen's language.
func named(args []any) []any {
	out := make([]any, len(args))
	for n, a := range args {
		switch a := a.(type) {
		case string:
			out[n] = Allergen(a)
		case []string:
			out[n] = Allergens(a)
		default:
			out[n] = a
		}
	}
	return out
}

// Texts are sentences, one of each text.
func Texts(all []say.Text) []string {
	out := make([]string, len(all))
	for n, t := range all {
		out[n] = Text(t)
	}
	return out
}

// fill puts into a sentence what stands in it.
func fill(sentence string, args []any) string {
	if len(args) == 0 {
		return inUnits(strings.ReplaceAll(sentence, "%%", "%"))
	}
	shown := make([]any, len(args)+1)
	for n, a := range args {
		shown[n] = show(a)
	}
	shown[len(args)] = "" // so that a sentence may leave out some of them
	return inUnits(one(fmt.Sprintf(sentence+fmt.Sprintf("%%[%d]s", len(shown)), shown...)))
}

// ofOne are words after a 1 that stands alone, in the plural that every sentence has them in.
var ofOne = map[string]string{
	"days": "day", "hours": "hour", "minutes": "minute", "seconds": "second", "weeks": "week", "batches": "batch", "loads": "load", "bottles": "bottle", "cups": "cup",
	"días": "día", "horas": "hora", "minutos": "minuto", "segundos": "segundo", "semanas": "semana", "cargas": "carga", "botellas": "botella", "tazas": "taza",
}

// one has a single one of something told as one: 1 day, and 1.1 days.
func one(sentence string) string {
	for at := 0; ; {
		found := strings.Index(sentence[at:], "1 ")
		if found < 0 {
			return sentence
		}
		begin, behind := at+found, at+found+2
		at = behind
		if begin > 0 && strings.ContainsRune("0123456789.,-", rune(sentence[begin-1])) || strings.HasSuffix(sentence[:begin], "–") {
			continue
		}
		word := sentence[behind:]
		if end := strings.IndexFunc(word, func(r rune) bool { return !unicode.IsLetter(r) }); end >= 0 {
			word = word[:end]
		}
		if single, ok := ofOne[word]; ok {
			sentence = sentence[:behind] + single + sentence[behind+len(word):]
		}
	}
}

func show(a any) any {
	switch v := a.(type) {
	case float64:
		return figure(v)
	case []string:
		return And(v)
	case say.Text:
		return Text(v)
	case []say.Text:
		return And(Texts(v))
	case time.Time:
		return dayClock(v)
	}
	return a
}

// figure is a number in a sentence: three figures where no more is asked for.
type figure float64

// Format writes %s to three figures and %.1f and the like as for any number.
func (f figure) Format(s fmt.State, verb rune) {
	if verb == 's' || verb == 'v' {
		_, _ = s.Write([]byte(decimal(number(float64(f)))))
		return
	}
	_, _ = s.Write([]byte(decimal(fmt.Sprintf(fmt.FormatString(s, verb), float64(f)))))
}

// decimal writes a figure with the language's decimal mark.
func decimal(figure string) string {
	if style.Load().Language == "es" {
		return strings.Replace(figure, ".", ",", 1)
	}
	return figure
}

// number writes three figures.
func number(v float64) string {
	rounded, _ := strconv.ParseFloat(strconv.FormatFloat(v, 'g', 3, 64), 64)
	return strconv.FormatFloat(rounded, 'f', -1, 64)
}

// And lists names as a sentence does: almonds, oats and dates.
func And(names []string) string {
	last := len(names) - 1
	if last < 1 {
		return strings.Join(names, "")
	}
	and := "and"
	if startsWithI(names[last]) {
		and = "and-before-i" // which Spanish says otherwise
	}
	return phrase(and, strings.Join(names[:last], ", "), names[last])
}

func startsWithI(name string) bool {
	folded := strings.ToLower(name)
	return strings.HasPrefix(folded, "i") || strings.HasPrefix(folded, "hi") && !strings.HasPrefix(folded, "hie")
}
