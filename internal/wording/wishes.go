package wording

import (
	"math"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/solve"
)

// WishKind is a kind of drink as one would ask for it.
func WishKind(k recipe.Kind) string { return phrase("wish-" + string(k)) }

// Flavour is a family of tastes in a word or three.
func Flavour(code string) string { return phrase("flavour-" + code) }

// baseName is a base as a drink's name has it: almonds give almond milk. Where the rule
// for English does not do, or for another language, it has a phrase.
func baseName(i *ingredient.Ingredient) string {
	if name := phrase("base-" + i.ID); name != "" {
		return name
	}
	plain, _, _ := strings.Cut(i.Name, ",")
	if style.Load().Language == "en" {
		return strings.TrimSuffix(plain, "s")
	}
	return strings.ToLower(plain)
}

// WishName names a drink by what it is made of: "Sunflower creamer with cardamom".
func WishName(bases []*ingredient.Ingredient, kind recipe.Kind, flavour string) string {
	names := make([]string, len(bases))
	for n, b := range bases {
		names[n] = baseName(b)
		if n > 0 {
			names[n] = strings.ToLower(names[n])
		}
	}
	name := upper(phrase("drink-of", And(names), phrase("drink-"+string(kind))))
	if flavour == "plain" || flavour == "" {
		return name
	}
	return phrase("drink-with", name, Flavour(flavour))
}

// InLine is an ingredient's name in the middle of a line.
func InLine(name string) string {
	if len(name) > 1 && name[1] >= 'a' && name[1] <= 'z' {
		return strings.ToLower(name[:1]) + name[1:]
	}
	return name
}

// Short is an ingredient to buy.
func Short(name string, g float64) string {
	if g < 1 {
		return phrase("a-little", InLine(name))
	}
	return phrase("grams-of", math.Ceil(g), InLine(name))
}

// Lasting is what can be done where a drink does not last as long as it is wanted.
func Lasting(l *solve.Lasting, days float64) []string {
	if l == nil {
		return []string{}
	}
	out := []string{
		phrase("keeps-and-wanted", Days(int(l.KeepsDays)), Days(int(days))), phrase("make-in-batches", l.Makings), phrase("freeze-some", l.FreezePct),
	}
	if l.InTheCupFor > 0 {
		out = append(out, phrase("sweeten-in-the-cup", Days(int(l.InTheCupFor))))
	}
	return out
}
