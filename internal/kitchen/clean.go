package kitchen

import (
	"strings"
	"unicode"
)

// OneLine is a name or a remark as it is kept: on one line, without control
// characters, which would begin a line of their own in a calendar or a
// recipe.
func OneLine(text string) string {
	cleaned := strings.Map(func(r rune) rune {
		if unicode.IsControl(r) || r == '\u2028' || r == '\u2029' {
			return ' '
		}
		if unicode.Is(unicode.Bidi_Control, r) || r == '\ufeff' {
			return -1
		}
		return r
	}, text)
	return strings.TrimSpace(cleaned)
}

func oneLines(texts []string) []string {
	out := make([]string, len(texts))
	for n, t := range texts {
		out[n] = OneLine(t)
	}
	return out
}

// Cleaned is the recipe with each of its texts on one line.
func (f Recipe) Cleaned() Recipe {
	lines := make([]Line, len(f.Lines))
	for n, l := range f.Lines {
		l.Ingredient, l.Amount, l.Note = OneLine(l.Ingredient), OneLine(l.Amount), OneLine(l.Note)
		lines[n] = l
	}
	f.Lines = lines
	if f.Portions == nil {
		return f
	}
	portions := make([]Portion, len(f.Portions))
	for n, p := range f.Portions {
		p.Name, p.Lines = OneLine(p.Name), oneLines(p.Lines)
		portions[n] = p
	}
	f.Portions = portions
	return f
}

// Cleaned is the row with its texts on one line.
func (r OwnRow) Cleaned() OwnRow {
	r.Name, r.Allergens = OneLine(r.Name), oneLines(r.Allergens)
	return r
}

// Cleaned is the drinker with each text on one line.
func (d Drinker) Cleaned() Drinker {
	d.Name, d.Allergens, d.Dislikes = OneLine(d.Name), oneLines(d.Allergens), oneLines(d.Dislikes)
	return d
}
