package reckon

import (
	"math"

	"plushladle/core/ingredient"
	"plushladle/core/process"
)

// Jug is the blender's jug drawn to scale: everything that is ground, pulp and
// milk together, against the line it may be filled to.
type Jug struct {
	TopML    float64   // the top of the scale
	FillML   float64   // the line one load may reach
	MilkML   float64   // finished liquid, as drawn
	PulpML   float64   // what stays in the strainer, as drawn
	GroundML float64   // all that is ground and goes to the strainer
	TicksML  []float64 // lines on the drawing
	Loads    int       // fillings of the blender
	Strains  int       // fillings of the strainer; 0 where nothing is strained
}

// DefaultJugML is a common blender's jug, until the kitchen says its own.
const DefaultJugML = 1500

const (
	jugHeadroom = 1.12 // the scale's top over what is drawn
	jugTicks    = 6    // no more than this many
)

// jug draws what the batch needs. What joins after straining is part of the
// milk but not of the loads.
func (b *Batch) jug(r *Reckoning) Jug {
	j := Jug{
		FillML: b.d.JugML,
		MilkML: r.Drink.VolumeML,
		PulpML: process.VolumeML(b.Made.Balance.Pulp, FinishedC),
	}
	if j.FillML == 0 {
		j.FillML = DefaultJugML
	}
	if b.goesInHot() {
		j.FillML *= hotShare
	}
	ground := b.Made.Ground
	ground[ingredient.Water] += b.takenUpG()
	iced := ground
	for _, n := range b.Made.Layout.Ice {
		iced = iced.Plus(b.Through[n].Per.Times(b.Through[n].G))
	}
	j.GroundML = process.VolumeML(iced, FinishedC)
	j.Loads = int(math.Max(1, math.Ceil(process.VolumeML(ground, FinishedC)/j.FillML-1e-9)))
	if capacity := b.Method.Strainer.CapacityML(); capacity > 0 && b.Made.SolidsG > 0 {
		j.Strains = int(math.Max(1, math.Ceil(process.VolumeML(ground, FinishedC)/capacity-1e-9)))
	}
	j.TopML = math.Max(j.FillML, j.MilkML+j.PulpML) * jugHeadroom
	step := tickStep(j.TopML)
	for ml := step; ml < j.TopML*0.97; ml += step {
		j.TicksML = append(j.TicksML, ml)
	}
	return j
}

// hotShare is how full a jug may be with hot liquid, its lid vented (common
// practice).
const hotShare = 0.5

// goesInHot tells whether steam would lift the lid.
func (b *Batch) goesInHot() bool {
	return b.Made.Layout.IsGround && !b.Method.Coarse && b.Made.WaterC >= process.VentFromC
}

// takenUpG is the water that bases took up before they were ground, g.
func (b *Batch) takenUpG() float64 {
	g := 0.
	for n := range b.Through {
		g += b.Made.Layout.TakenUpG(b.Through, n)
	}
	return g
}

// tickStep is a round step that gives at most jugTicks ticks.
func tickStep(top float64) float64 {
	step := math.Pow(10, math.Floor(math.Log10(top/jugTicks)))
	for _, times := range []float64{1, 2, 2.5, 5, 10} {
		if top/(step*times) <= jugTicks {
			return step * times
		}
	}
	return step * 10
}
