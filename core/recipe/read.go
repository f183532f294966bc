package recipe

import (
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
)

// maxLineText is how long an ingredient line can be, in bytes. What is longer is
// none, and is kept as it stands.
const maxLineText = 500

// ReadLine reads one line of an ingredient list: "1 1/2 cups raw hazelnuts,
// soaked overnight". A line whose ingredient is not in the catalogue comes
// back with a nil Ingredient and its Name as written. The error, a
// *fault.Error, is for an amount that cannot be one.
func ReadLine(text string, catalogue *ingredient.Catalogue) (Line, error) {
	return ReadLineWith(text, catalogue, quantity.Reader{})
}

// ReadLineWith reads a line with the kitchen's own measures.
func ReadLineWith(text string, catalogue *ingredient.Catalogue, reader quantity.Reader) (Line, error) {
	text = withoutBullet(strings.TrimSpace(text))
	if len(text) > maxLineText {
		return Line{Name: text}, nil
	}
	amount, rest, err := reader.ParseLeading(text)
	if err != nil {
		return Line{Name: text}, err
	}
	line := Line{Amount: amount}
	if amount.IsOpen() {
		line.Amount, rest = amountBehind(rest, reader)
	}
	line.readName(rest, catalogue)
	line.readWords(strings.ToLower(rest))
	return line, nil
}

// withoutBullet takes the mark of a list off a line. A dash right before a
// number is no bullet but a sign.
func withoutBullet(text string) string {
	for _, bullet := range []string{"- ", "* ", "– ", "— ", "•", "·", "▢", "☐"} {
		if rest, ok := strings.CutPrefix(text, bullet); ok {
			return strings.TrimSpace(rest)
		}
	}
	return text
}

// amountBehind finds an amount written after the name: "almonds, 250 g".
func amountBehind(text string, reader quantity.Reader) (quantity.Amount, string) {
	if withoutSeeds, ok := cutPrefixFold(text, "seeds of "); ok {
		if a, rest, err := reader.ParseLeading(withoutSeeds); err == nil && !a.IsOpen() {
			return a, rest
		}
	}
	for _, words := range []string{"to cover", "the rest, to a total of", "to a total of"} {
		at := strings.Index(strings.ToLower(text), words)
		if at <= 0 {
			continue
		}
		if a, err := reader.ParseAmount(text[at:]); err == nil {
			name, _ := cutPrefixFold(strings.TrimRight(text[:at], " ,:("), "enough ")
			return a, name
		}
	}
	at := strings.IndexAny(text, "0123456789½¼¾⅓⅔⅛")
	if at <= 0 {
		return quantity.Amount{}, text
	}
	a, err := reader.ParseAmount(strings.Trim(text[at:], " ()"))
	if err != nil {
		return quantity.Amount{}, text
	}
	return a, strings.TrimRight(text[:at], " ,:(–-")
}

func cutPrefixFold(s, prefix string) (string, bool) {
	if len(s) < len(prefix) || !strings.EqualFold(s[:len(prefix)], prefix) {
		return s, false
	}
	return s[len(prefix):], true
}

// readName finds the ingredient in what follows the amount, trying the whole
// text first, then what stands before a bracket or a comma.
func (l *Line) readName(text string, catalogue *ingredient.Catalogue) {
	text = strings.TrimSpace(text)
	text, _ = cutPrefixFold(text, "of ")
	l.Name = text
	name, note := splitNote(text)
	i, ok := catalogue.Find(text, name)
	if !ok {
		return
	}
	l.Ingredient = i
	l.Form = i.FormIn(strings.ToLower(text))
	l.Treatment = ingredient.TreatmentIn(strings.ToLower(text))
	if name != "" && note != "" {
		l.Name, l.Note = name, note
	}
}

// splitNote parts "hazelnuts (skinned), soaked" into the name and the rest.
func splitNote(text string) (name, note string) {
	if open := strings.IndexByte(text, '('); open > 0 {
		if length := strings.IndexByte(text[open:], ')'); length > 0 {
			inner := text[open+1 : open+length]
			name, note = splitNote(text[:open] + text[open+length+1:])
			return name, strings.Trim(inner+", "+note, ", ")
		}
	}
	for _, mark := range []string{",", ";", " - ", " – ", " after straining", " to finish", " to serve", " for serving", " to rinse", " for the second grind", " for a second grind", " to brew", " for soaking", " to soak", " to taste", " plus more", " or more"} {
		if at := strings.Index(text, mark); at > 0 {
			return strings.TrimSpace(text[:at]), strings.Trim(text[at:], " ,;-–")
		}
	}
	return strings.TrimSpace(text), ""
}

// secondGrind are the words for liquid the pulp is ground with once more.
const secondGrind = "second grind"

// GrindsAgain tells whether the pulp is ground once more with the line, rather
// than only rinsed through with it.
func (l Line) GrindsAgain() bool {
	return strings.Contains(strings.ToLower(l.Name+" "+l.Note), secondGrind)
}

// stageWords are what a cook writes for a stage other than the usual one.
var stageWords = []struct {
	words string
	stage ingredient.Stage
}{
	{"to serve", ingredient.Serve}, {"for serving", ingredient.Serve},
	{"after straining", ingredient.Strained}, {"to finish", ingredient.Strained},
	{"to rinse the pulp", ingredient.Rinse}, {secondGrind, ingredient.Rinse},
	{"to brew", ingredient.Brew}, {"while cooking", ingredient.CookIt},
	{"soaking water kept", ingredient.Soak},
}

// readWords takes the stage and the soak from what the cook wrote. Words that
// only name the stage need no note.
func (l *Line) readWords(text string) {
	for _, s := range stageWords {
		if strings.Contains(text, s.words) {
			l.Stage = s.stage
			if s.words != secondGrind { // which says more than when it goes in
				l.Note = strings.Trim(strings.Replace(l.Note, s.words, "", 1), " ,;")
			}
			break
		}
	}
	l.Unsoaked = strings.Contains(text, "unsoaked") || strings.Contains(text, "not soaked")
	named, _ := cutPrefixFold(strings.TrimSpace(text), "of ")
	l.SoakedCup = !l.Unsoaked && strings.HasPrefix(named, "soaked ")
}
