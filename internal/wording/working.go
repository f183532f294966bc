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
	"drink": "in the drink", "pulp": "in the pulp", "thrown": "poured away with the soaking water", "walls": "on the walls and the cloth",
	"evaporated": "boiled away", "skimmed": "skimmed off as foam", "leftover": "left over from the brew",
}

// Stream says where a stream ended.
func Stream(code string) string { return streams[code] }

// SoakWater names the water that bases soak in, which is in no line.
const SoakWater = "Soaking water"

// Title heads a working.
func Title(f reckon.Figure) string {
	return map[reckon.Figure]string{
		reckon.YieldFigure: "Yield", reckon.FatFigure: "Where the fat goes", reckon.SweetnessFigure: "Where the sweetness goes",
		reckon.KeepsFigure: "How long it keeps", reckon.CostFigure: "What it costs",
		reckon.FreeSugarsFigure: "Where the free sugars come from", reckon.SeleniumFigure: "Where the selenium comes from", reckon.IodineFigure: "Where the iodine comes from",
		reckon.CoumarinFigure: "Where the coumarin comes from", reckon.NutmegFigure: "How much nutmeg is in it", reckon.AddedOilFigure: "How much oil is added",
		reckon.CalciumFigure: "Missing calcium",
	}[f]
}

// Constant says what a number does, and where it is from.
func Constant(c reckon.Constant) string {
	switch c.Code {
	case "uptake":
		return fmt.Sprintf("%s: each gram takes up %s g of water while soaking (common practice).", c.Of, number(c.Value))
	case "released":
		return fmt.Sprintf("%s: %s s of blending brings %s %% of the fat and protein into the milk (our own estimate, until your batches show better).", c.Of, number(c.With), number(100*c.Value))
	case "released-sugar":
		return fmt.Sprintf("%s: %s s of blending brings %s %% of the sugar into the milk (our own estimate, until your batches show better).", c.Of, number(c.With), number(100*c.Value))
	case "held":
		return fmt.Sprintf("%s: each gram of pulp holds %s g of milk (our own estimate, until your batches show better).", upper(Strainer(c.Of)), number(c.Value))
	case "walls":
		return fmt.Sprintf("%s %% stays on the walls and the cloth (common practice).", number(100*c.Value))
	case "evaporated":
		return fmt.Sprintf("At %s °C the pan loses %s g of water (from its open surface, from memory).", number(c.With), number(c.Value))
	case "skimmed":
		return fmt.Sprintf("%s g is skimmed off as foam, one hundredth (common practice).", number(c.Value))
	case "carton":
		return fmt.Sprintf("A fortified carton has about %s mg of calcium per mL (typical label, from memory). Homemade milk has almost none.", number(c.Value))
	case "spread":
		return fmt.Sprintf("The range: a firm squeeze leaves %s %% less in the pulp, a light one %s %% more.", number(100*c.Value), number(100*c.Value))
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
		return fmt.Sprintf("%s g of drink is %.0f mL at 4 °C, from the densities of what is in it (Choi and Okos 1986). Likely between %.0f and %.0f mL.", number(w.DrinkG), w.Result, w.Low, w.High)
	case reckon.FatFigure:
		return fmt.Sprintf("%s g of fat in %s g of drink: %.1f %%.", number(inDrink(w)), number(w.DrinkG), w.Result)
	case reckon.SweetnessFigure:
		return fmt.Sprintf("As sweet as %s g of sugar in %.0f mL: %.1f g in 100 mL. Other sugars count by how sweet they taste beside it (Belitz, Grosch and Schieberle, from memory).", number(inDrink(w)), w.VolumeML, w.Result)
	case reckon.FreeSugarsFigure, reckon.SeleniumFigure, reckon.IodineFigure, reckon.CoumarinFigure, reckon.NutmegFigure:
		return fmt.Sprintf("A serving of %.0f mL contains %s %s. Everything that goes in is counted, except what is known to stay behind.", w.ServingML, number(w.Result), Unit(w.Figure, ""))
	case reckon.AddedOilFigure:
		return fmt.Sprintf("%s %% of the drink is added oil. Above 3 %% it needs help to stay mixed.", number(w.Result))
	case reckon.CalciumFigure:
		return fmt.Sprintf("A serving of %.0f mL from a fortified carton would have about %s mg of calcium.", w.ServingML, number(w.Result))
	case reckon.KeepsFigure:
		return "The ingredient that keeps shortest sets the date. Heating, sugar and the fridge temperature change it. Smell it first, whatever the date says."
	case reckon.CostFigure:
		return fmt.Sprintf("%.2f %s for the batch, at your Pantry prices. Peel and shells are paid for too.", w.Result, currency)
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
	what := map[string]string{process.Set: "What you set", process.AddAfter: "The step you added", process.Remove: "The step you skipped", process.MoveBefore: "The step you moved"}[c.Do]
	if c.Cue != "" {
		what = fmt.Sprintf("%s (“%s”)", what, c.Cue)
	}
	return fmt.Sprintf("%s belongs to a step that is not there now: %s. It is kept in case the step comes back.", what, cmp.Or(c.To.Kind, c.At.Kind))
}

// ScaleGone says that the scale went away by itself.
const ScaleGone = "The scale is disconnected. What you recorded is safe, and what was on it is remembered. Plug it in and reconnect, or type what you weigh."
