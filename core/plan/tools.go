package plan

import (
	"fmt"
	"math"

	"plushladle/core/process"
	"plushladle/core/reckon"
)

// Tools are the things to have out for a drink besides what goes in, each with
// its size where that matters.
func Tools(d *reckon.Drink, r *reckon.Reckoning, k Room) []string {
	if r.Drink == nil && r.Rough == nil {
		return nil
	}
	c := newCompiler(d, r, k, OnTheBench)
	var out []string
	if k.ScaleG > 0 {
		out = append(out, fmt.Sprintf("the scale, which reads to %g g", k.ScaleG))
	} else {
		out = append(out, "cups and spoons")
	}
	if c.anySoaks() {
		if dry, swollen, known := c.soakML(); known {
			out = append(out, fmt.Sprintf("a vessel of %.0f mL or more to soak in", vesselML(dry, swollen, c.soakLiquidML(dry))))
		} else {
			out = append(out, "a vessel with room to swell, to soak in")
		}
	}
	if len(c.layout.Brewed) > 0 {
		out = append(out, "a kettle, and a pot to brew in")
	}
	switch {
	case !c.layout.IsGround:
	case c.isJuicer():
		out = append(out, "the juicer")
	default:
		out = append(out, fmt.Sprintf("the blender, its jug to the %.0f mL line", r.Jug.FillML))
	}
	if len(c.layout.Whisked) > 0 {
		out = append(out, "a whisk")
	}
	if r.Made.SolidsG > 0 && c.method.Strainer != process.None {
		if !c.isJuicer() {
			out = append(out, c.method.Strainer.Words()+", clean and dry")
		}
		out = append(out, fmt.Sprintf("a bowl of %.0f mL or more to strain into, and one for the pulp", math.Ceil(c.groundML()/100)*100))
	}
	if c.layout.Heat != process.Unheated {
		out = append(out, "a pan, a spoon, and ice for its bath", "a thermometer, for the cooling")
	} else if r.Raw != nil {
		out = append(out, fmt.Sprintf("a thermometer: raw up to %g °C", r.Raw.LimitC))
	}
	if c.hotFills() {
		return append(out, fmt.Sprintf("clean bottles made for heat, for %.0f mL, a cloth to hold them, and labels", math.Ceil(c.highML()/50)*50))
	}
	return append(out, fmt.Sprintf("clean bottles for %.0f mL, and labels", math.Ceil(c.highML()/50)*50))
}

// highML is the most it may come to.
func (c *compiler) highML() float64 {
	if c.r.Drink == nil {
		return c.r.Rough.HighML
	}
	return c.r.Drink.HighML
}

// soakLiquidML is what it soaks in.
func (c *compiler) soakLiquidML(dryML float64) float64 {
	if c.keepsSoak() {
		return c.keptML()
	}
	return roundUp(soakWaterTimes * dryML)
}
