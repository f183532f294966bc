package plan

import (
	"math"

	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// Tools are the things to have out for a drink besides what goes in, each with
// its size where that matters.
func Tools(d *reckon.Drink, r *reckon.Reckoning, k Room) []say.Text {
	if r.Drink == nil && r.Rough == nil {
		return nil
	}
	c := newCompiler(d, r, k, OnTheBench)
	var out []say.Text
	if k.ScaleG > 0 {
		out = append(out, say.Of("tool-scale", k.ScaleG))
	} else {
		out = append(out, say.Of("tool-cups-and-spoons"))
	}
	if c.anySoaks() {
		if dry, swollen, known := c.soakML(); known {
			out = append(out, say.Of("tool-soak-vessel", vesselML(dry, swollen, c.soakLiquidML(dry))))
		} else {
			out = append(out, say.Of("tool-soak-vessel-roomy"))
		}
	}
	if len(c.layout.Brewed) > 0 {
		out = append(out, say.Of("tool-kettle"))
	}
	switch {
	case !c.layout.IsGround:
	case c.isJuicer():
		out = append(out, say.Of("tool-juicer"))
	default:
		out = append(out, say.Of("tool-blender", r.Jug.FillML))
	}
	if len(c.layout.Whisked) > 0 {
		out = append(out, say.Of("tool-whisk"))
	}
	if r.Made.SolidsG > 0 && c.method.Strainer != process.None {
		if !c.isJuicer() {
			out = append(out, say.Of("tool-strainer", c.method.Strainer.Tool()))
		}
		out = append(out, say.Of("tool-bowl", math.Ceil(c.groundML()/100)*100))
	}
	if c.layout.Heat != process.Unheated {
		out = append(out, say.Of("tool-pan"), say.Of("tool-thermometer"))
	} else if c.hotC() > 0 {
		out = append(out, say.Of("tool-ice"), say.Of("tool-thermometer"))
	} else if r.Raw != nil {
		out = append(out, say.Of("tool-thermometer-raw", r.Raw.LimitC))
	}
	if c.hotFills() {
		return append(out, say.Of("tool-hot-bottles", math.Ceil(c.highML()/50)*50))
	}
	return append(out, say.Of("tool-bottles", math.Ceil(c.highML()/50)*50))
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
