package reckon

import (
	"fmt"

	"plushladle/core/ingredient"
)

// DefaultRawC is the limit that cooks who mark a drink raw commonly keep to, °C
// (common practice).
const DefaultRawC = 46

// Temperatures of what is not measured, °C, from memory.
const (
	roastedC = 100
	brewedC  = 95
)

// Raw is a drink marked raw, held against the cook's own limit. The mark is a
// custom and says nothing of safety.
type Raw struct {
	LimitC   float64
	WarmestC float64
	Warmest  string // the step or the ingredient that gets that warm
	Kept     bool   // whether the mark holds
}

// Words say whether the mark holds, and what gets warmest.
func (r Raw) Words() string {
	if r.Kept {
		return fmt.Sprintf("Raw by your %s °C: the warmest is %s, %.0f °C.", ThreeFigures(r.LimitC), r.Warmest, r.WarmestC)
	}
	return fmt.Sprintf("Not raw by your %s °C: %s gets to %.0f °C.", ThreeFigures(r.LimitC), r.Warmest, r.WarmestC)
}

// raw finds the warmest step of a drink that is marked raw.
func (d *Drink) raw(b *Batch) *Raw {
	if d.RawLimitC == 0 {
		return nil
	}
	r := &Raw{LimitC: d.RawLimitC}
	see := func(tempC float64, what string) {
		if tempC > r.WarmestC {
			r.WarmestC, r.Warmest = tempC, what
		}
	}
	see(roomC, "the kitchen")
	see(b.Made.WaterC, "the grinding water")
	see(b.Made.GroundC, "the blender")
	for _, w := range b.Lines {
		name := w.Line.Ingredient.Name
		switch {
		case w.Line.Treatment.Roasted:
			see(roastedC, name+", roasted")
		case w.Line.When() == ingredient.Brew:
			see(brewedC, name+", brewed")
		case w.inProcess().TempC > 0:
			see(w.inProcess().TempC, name)
		}
	}
	see(b.Made.HeatedC, "the pan")
	r.Kept = r.WarmestC <= r.LimitC
	return r
}
