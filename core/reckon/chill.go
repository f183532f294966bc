package reckon

import (
	"plushladle/core/ingredient"
	"plushladle/core/process"
)

// Chill is how warm the ground base comes out of the blender, and the ice that
// brings it down.
type Chill struct {
	GroundC float64 // °C, as it leaves the blender
	IceG    float64 // in place of as much of the grinding water
}

const roomC = 20 // of what goes in besides the water

// chill reckons with the water's own temperature, what the blender adds, and the
// ice that is in it already.
func (b *Batch) chill() Chill {
	if !b.Made.Layout.IsGround || b.GroundG == 0 {
		return Chill{}
	}
	in := b.Made.Ground
	in[ingredient.Water] += b.takenUpG()
	for _, n := range b.Made.Layout.Ice {
		in = in.Plus(b.Through[n].Per.Times(b.Through[n].G))
	}
	return Chill{GroundC: b.Made.GroundC, IceG: process.IceForWaterG(in, b.Made.IcedC, FinishedC)}
}
