package reckon

import (
	"plushladle/core/ingredient"
	"plushladle/core/say"
)

// DefaultRawC is the limit that cooks who mark a drink raw commonly keep to, °C
// (common practice).
const DefaultRawC = 46

// Temperatures of what is not measured, °C, from memory.
const (
	roastedC = 100 // what roasting reaches
	brewedC  = 95  // what a brew is poured at
)

// Raw is a drink marked raw, held against the cook's own limit. The mark is a
// custom and says nothing of safety.
type Raw struct {
	LimitC   float64  // the cook's own
	WarmestC float64  // what anything in it met
	Warmest  say.Text // the step or the ingredient that gets that warm
	Kept     bool     // whether the mark holds
}

// Told says whether the mark holds, and what gets warmest.
func (r Raw) Told() say.Text {
	if r.Kept {
		return say.Of("is-raw", r.LimitC, r.Warmest, r.WarmestC)
	}
	return say.Of("is-not-raw", r.LimitC, r.Warmest, r.WarmestC)
}

// raw finds the warmest step of a drink that is marked raw.
func (d *Drink) raw(b *Batch) *Raw {
	if d.RawLimitC == 0 {
		return nil
	}
	r := &Raw{LimitC: d.RawLimitC}
	see := func(tempC float64, what say.Text) {
		if tempC > r.WarmestC {
			r.WarmestC, r.Warmest = tempC, what
		}
	}
	see(roomC, say.Of("raw-kitchen"))
	see(b.Made.WaterC, say.Of("raw-water"))
	see(b.Made.GroundC, say.Of("raw-blender"))
	for _, w := range b.Lines {
		name := w.Line.Ingredient.Name
		switch {
		case w.Line.Treatment.Roasted:
			see(roastedC, say.Of("raw-roasted", name))
		case w.Line.When() == ingredient.Brew:
			see(brewedC, say.Of("raw-brewed", name))
		case w.inProcess().TempC > 0:
			see(w.inProcess().TempC, say.Written(name))
		}
	}
	see(b.Made.HeatedC, say.Of("raw-pan"))
	r.Kept = r.WarmestC <= r.LimitC
	return r
}
