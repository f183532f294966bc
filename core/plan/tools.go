package plan

import (
	"fmt"
	"math"

	"plushladle/core/extract"
	"plushladle/core/formula"
	"plushladle/core/ingredient"
)

// Tools are the things to have out for a drink besides what goes in, each with
// its size where that matters.
func Tools(d *formula.Drink, r *formula.Reckoning, k Kitchen) []string {
	if r.Drink == nil {
		return nil
	}
	c := compiler{d: d, r: r, kitchen: k}
	var out []string
	if k.ScaleG > 0 {
		out = append(out, fmt.Sprintf("the scale, which reads to %g g", k.ScaleG))
	} else {
		out = append(out, "cups and spoons")
	}
	if c.anySoaks() {
		if dry, swollen, known := c.soakML(); known {
			out = append(out, fmt.Sprintf("a vessel of %.0f mL or more to soak in", vesselML(dry, swollen)))
		} else {
			out = append(out, "a vessel with room to swell, to soak in")
		}
	}
	if len(c.at(ingredient.Brew)) > 0 {
		out = append(out, "a kettle, and a pot to brew in")
	}
	if r.PulpG > 0 {
		out = append(out, fmt.Sprintf("the blender, its jug to the %.0f mL line", r.Jug.FillML))
		if d.Method.Strainer != extract.None {
			out = append(out, d.Method.Strainer.Words()+", clean and dry")
		}
		out = append(out, fmt.Sprintf("a bowl of %.0f mL or more to strain into, and one for the pulp", math.Ceil(r.Drink.VolumeML/100)*100))
	}
	if d.Cooking.Heat != extract.Unheated {
		out = append(out, "a pan, a spoon, and ice for its bath", "a thermometer, for the cooling")
	} else if r.Raw != nil {
		out = append(out, fmt.Sprintf("a thermometer: raw up to %g °C", r.Raw.LimitC))
	}
	return append(out, fmt.Sprintf("clean bottles for %.0f mL, and labels", math.Ceil(r.Drink.HighML/50)*50))
}
