// Package wording turns the core's codes and numbers into the kitchen's words.
// Nothing here is stored or compared.
//
// # Languages
//
// What the core tells has a code, and its English stands in a table by that code (steps,
// cautions, keeping, …); what this package says itself stands in phrases. Another language
// is one file with the same codes (spanish.go); a test counts that none is missing and that
// each sentence takes the same figures. [Use] says which language, clock and units the
// kitchen wants.
package wording

import (
	"cmp"

	"plushladle/core/process"
	"plushladle/core/reckon"
)

// Stream says where a stream ended.
func Stream(code string) string { return phrase("stream-" + code) }

// SoakWater names the water that bases soak in, which is in no line.
func SoakWater() string { return phrase("soak-water") }

// Title heads a working.
func Title(f reckon.Figure) string { return phrase("working-" + string(f)) }

// Constant says what a number does, and where it is from.
func Constant(c reckon.Constant) string {
	switch c.Code {
	case "released", "released-sugar":
		return phrase("constant-"+c.Code, c.Of, c.With, 100*c.Value)
	case "held":
		return phrase("constant-held", upper(Strainer(c.Of)), c.Value)
	case "held-learned":
		return phrase("constant-held-learned", upper(Strainer(c.Of)), c.Value, c.With)
	case "walls", "spread", "spread-learned":
		return phrase("constant-"+c.Code, 100*c.Value)
	case "evaporated":
		return phrase("constant-evaporated", c.With, c.Value)
	case "uptake":
		return phrase("constant-uptake", c.Of, c.Value)
	}
	return phrase("constant-"+c.Code, c.Value)
}

// upper begins a sentence.
func upper(s string) string {
	if s == "" {
		return s
	}
	if s[0] >= 'a' && s[0] <= 'z' {
		return string(s[0]-'a'+'A') + s[1:]
	}
	return s
}

// Result says what the working comes to.
func Result(w reckon.Working, currency string) string {
	switch w.Figure {
	case reckon.YieldFigure:
		return phrase("result-yield", w.DrinkG, w.Result, w.Low, w.High)
	case reckon.FatFigure:
		return phrase("result-fat", inDrink(w), w.DrinkG, w.Result)
	case reckon.SweetnessFigure:
		return phrase("result-sweetness", inDrink(w), w.VolumeML, w.Result)
	case reckon.FreeSugarsFigure, reckon.SeleniumFigure, reckon.IodineFigure, reckon.CoumarinFigure, reckon.NutmegFigure:
		return phrase("result-in-a-serving", w.ServingML, w.Result, Unit(w.Figure, ""))
	case reckon.AddedOilFigure:
		return phrase("result-oil", w.Result)
	case reckon.CalciumFigure:
		return phrase("result-calcium", w.ServingML, w.Result)
	case reckon.KeepsFigure:
		return phrase("result-keeps")
	case reckon.CostFigure:
		return phrase("result-cost", w.Result, currency)
	}
	return ""
}

func inDrink(w reckon.Working) float64 {
	for _, s := range w.Streams {
		if s.Code == "drink" {
			return s.Amount
		}
	}
	return 0
}

// Unit is what a working's amounts are in.
func Unit(f reckon.Figure, currency string) string {
	switch f {
	case reckon.KeepsFigure:
		return phrase("unit-days")
	case reckon.CostFigure:
		return currency
	case reckon.SeleniumFigure, reckon.IodineFigure:
		return "µg"
	case reckon.CoumarinFigure, reckon.CalciumFigure:
		return "mg"
	}
	return "g"
}

// Unapplied says that a change of the cook's has no step now.
func Unapplied(c process.Change) string {
	what := phrase("change-" + c.Do)
	if c.Cue != "" {
		what = phrase("quoted", what, c.Cue)
	}
	return phrase("step-not-there", what, cmp.Or(c.To.Kind, c.At.Kind))
}

// ScaleGone says that the scale went away by itself.
func ScaleGone() string { return phrase("scale-gone") }
