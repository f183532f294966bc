// Package wording turns the core's codes and numbers into the kitchen's words.
// Nothing here is stored or compared.
package wording

import (
	"cmp"
	"fmt"

	"plushladle/core/process"
	"plushladle/core/reckon"
)

var streams = map[string]string{
	"drink": "in the drink", "pulp": "in the pulp", "thrown": "poured away with the soak water", "walls": "on the walls and the cloth",
	"evaporated": "boiled away", "skimmed": "skimmed off as foam", "leftover": "left over from the brew",
}

// Stream says where a stream ended.
func Stream(code string) string { return streams[code] }

// SoakWater names the water that bases soak in, which is in no line.
const SoakWater = "Water to soak in"

// Title heads a working.
func Title(f reckon.Figure) string {
	return map[reckon.Figure]string{
		reckon.YieldFigure: "How much comes out", reckon.FatFigure: "Where the fat goes", reckon.SweetnessFigure: "Where the sweetness goes",
		reckon.KeepsFigure: "How long it keeps", reckon.CostFigure: "What it costs",
		reckon.FreeSugarsFigure: "Where the free sugars come from", reckon.SeleniumFigure: "Where the selenium comes from", reckon.IodineFigure: "Where the iodine comes from",
		reckon.CoumarinFigure: "Where the coumarin comes from", reckon.NutmegFigure: "How much nutmeg is in it", reckon.AddedOilFigure: "How much oil is added",
		reckon.CalciumFigure: "The calcium that is missing",
	}[f]
}

// Constant says what a number does, and where it is from.
func Constant(c reckon.Constant) string {
	switch c.Code {
	case "uptake":
		return fmt.Sprintf("%s: each gram takes up %s g of water in the soak (common practice).", c.Of, number(c.Value))
	case "released":
		return fmt.Sprintf("%s: %s s of grinding bring %s %% of the fat into the milk, and as much of the protein (our own model, until your batches tell better).", c.Of, number(c.With), number(100*c.Value))
	case "released-sugar":
		return fmt.Sprintf("%s: %s s of grinding bring %s %% of the sugar into the milk (our own model, until your batches tell better).", c.Of, number(c.With), number(100*c.Value))
	case "held":
		return fmt.Sprintf("%s: each gram of pulp keeps %s g of milk (our own model, until your batches tell better).", upper(Strainer(c.Of)), number(c.Value))
	case "walls":
		return fmt.Sprintf("%s %% stays on the walls and the cloth (common practice).", number(100*c.Value))
	case "evaporated":
		return fmt.Sprintf("At %s °C the pan loses %s g of water (by its open surface, from memory).", number(c.With), number(c.Value))
	case "skimmed":
		return fmt.Sprintf("%s g come off as foam, a hundredth (common practice).", number(c.Value))
	case "carton":
		return fmt.Sprintf("A fortified carton holds about %s mg of calcium in a mL (typical label, from memory). Home milk holds next to none.", number(c.Value))
	case "spread":
		return fmt.Sprintf("The range: a firm hand leaves %s %% less in the pulp, a light one %s %% more.", number(100*c.Value), number(100*c.Value))
	}
	return ""
}

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
		return fmt.Sprintf("%s g of drink are %.0f mL at 4 °C, by the densities of what is in it (Choi and Okos 1986). Likely between %.0f and %.0f mL.", number(w.DrinkG), w.Result, w.Low, w.High)
	case reckon.FatFigure:
		return fmt.Sprintf("%s g of fat in %s g of drink: %.1f %%.", number(inDrink(w)), number(w.DrinkG), w.Result)
	case reckon.SweetnessFigure:
		return fmt.Sprintf("As sweet as %s g of sugar in %.0f mL: %.1f g in 100 mL. Other sugars count by how sweet they taste beside it (Belitz, Grosch and Schieberle, from memory).", number(inDrink(w)), w.VolumeML, w.Result)
	case reckon.FreeSugarsFigure, reckon.SeleniumFigure, reckon.IodineFigure, reckon.CoumarinFigure, reckon.NutmegFigure:
		return fmt.Sprintf("A serving of %.0f mL holds %s %s. All that goes in is counted as if it came out, but for what is known to stay behind.", w.ServingML, number(w.Result), Unit(w.Figure, ""))
	case reckon.AddedOilFigure:
		return fmt.Sprintf("%s %% of the drink is added oil. Above 3 %% it wants help to stay in.", number(w.Result))
	case reckon.CalciumFigure:
		return fmt.Sprintf("A serving of %.0f mL from a fortified carton would bring about %s mg of calcium.", w.ServingML, number(w.Result))
	case reckon.KeepsFigure:
		return "The shortest life sets the date; what is done to it and how warm the fridge is change it. Smell it first, whatever the date says."
	case reckon.CostFigure:
		return fmt.Sprintf("%.2f %s for the batch, by what you pay in the Pantry. What is peeled and thrown away is paid for too.", w.Result, currency)
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
		return "days"
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
	what := map[string]string{process.Set: "What you set", process.AddAfter: "The step you added", process.Remove: "What you left out", process.MoveBefore: "The step you moved"}[c.Do]
	if c.Cue != "" {
		what = fmt.Sprintf("%s (“%s”)", what, c.Cue)
	}
	return fmt.Sprintf("%s hangs on a step that is not there now: %s. It is kept.", what, cmp.Or(c.To.Kind, c.At.Kind))
}

// ScaleGone says that the scale went away by itself.
const ScaleGone = "The scale is gone. What was taken down is safe, and what lay on it is remembered. Plug it in and connect it again, or type what you weigh."
