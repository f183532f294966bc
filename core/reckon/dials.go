package reckon

import (
	"math"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
)

// Dial is a figure on its scale, ready to be drawn.
type Dial struct {
	Code     DialName // which of them
	Value    float64  // in Unit
	Further  float64  // a second figure on the same scale, such as days by custom; 0 for none
	Unit     string   // of Value and Further
	Position float64  // 0 at the left end of the scale, 1 at the right
	FurtherP float64  // the position of Further
	Band     string   // the code of the band the figure falls in; "" with no figure
	Bands    []Band   // shared; not to be changed
	Known    bool     // false where the figure is not to be had
}

// Band is a stretch of a dial with a code of its own, as positions.
type Band struct {
	Code     string  // of the band's word
	From, To float64 // along the dial, 0 to 1
}

// scale is a dial's bands: names and the figures between them. Every band is
// drawn equally wide. Edges may run downwards.
type scale struct {
	names []string  // codes of the bands, from little to much
	edges []float64 // where one band ends and the next begins, in the dial's unit
	bands []Band    // as drawn
}

var (
	// Common practice, no source.
	sweetnessScale = newScale(
		[]string{"plain", "off-dry", "light", "sweet", "dessert", "creamer", "syrup"},
		[]float64{0, 0.5, 2, 4, 8, 14, 40, 80},
	)
	// Source: 21 CFR 131.110 (3.25 %), 131.180 (10.5), 131.155 (18), 131.157 (30), 131.150 (36).
	fatScale = newScale(
		[]string{"thin", "milk", "half", "light", "whipping", "heavy"},
		[]float64{0, 3.25, 10.5, 18, 30, 36, 50},
	)
	// Cups of water to one of dry base, halfway between the names' own
	// ratios. Common practice, no source.
	strengthScale = newScale(
		[]string{"light", "milk", "rich", "creamer", "cream", "paste"},
		[]float64{8, 4.5, 3.5, 2.5, 1.25, 0.875, 0.4},
	)
	// Multiples of the usual range: its low end is 1, its high end 2.
	spiceScale = newScale([]string{"faint", "there", "loud"}, []float64{0, 1, 2, 3})
)

// newScale draws bands of one width each, whatever their edges: a dial is read by its words.
func newScale(names []string, edges []float64) scale {
	s := scale{names: names, edges: edges, bands: make([]Band, len(names))}
	width := 1 / float64(len(names))
	for n, name := range names {
		s.bands[n] = Band{Code: name, From: float64(n) * width, To: float64(n+1) * width}
	}
	return s
}

// at is where a figure stands on the scale, and in which band.
func (s scale) at(value float64) (position float64, band string) {
	last := len(s.names) - 1
	for n := range s.names {
		from, to := s.edges[n], s.edges[n+1]
		share := (value - from) / (to - from)
		if share < 1 || n == last {
			share = math.Max(0, math.Min(1, share))
			return (float64(n) + share) / float64(last+1), s.names[n]
		}
	}
	return 1, s.names[last]
}

// dial puts a value on the scale; without a needle where it is not known.
func (s scale) dial(code DialName, unit string, value float64, known bool) Dial {
	d := Dial{Code: code, Unit: unit, Value: value, Bands: s.bands, Known: known}
	if known {
		d.Position, d.Band = s.at(value)
	}
	return d
}

// dials are sweetness, fat, strength, spice and keeping, in that order.
func (b *Batch) dials(r *Reckoning) []Dial {
	ratio := 0.
	if r.Ratio != nil {
		ratio = r.Ratio.ByVolume
	}
	gPerL, level := b.spice(r)
	spice := spiceScale.dial(SpiceDial, "g/L", level, gPerL > 0)
	spice.Value = gPerL
	return []Dial{
		sweetnessScale.dial(Sweetness, "g/100 mL", r.Per100mL.SucroseEquivalentG, true),
		fatScale.dial(Fat, "%", r.FatPct, true),
		strengthScale.dial(Strength, "cups", ratio, ratio > 0),
		spice,
		b.keepsDial(r),
	}
}

// spice is the total of all spices in g/L, and how the loudest one stands to
// its usual range, on spiceScale.
func (b *Batch) spice(r *Reckoning) (gPerL, level float64) {
	litres := r.Drink.VolumeML / 1000
	for _, w := range b.Lines {
		i := w.Line.Ingredient
		if i.Role != ingredient.Spice || w.Line.When() == ingredient.Serve {
			continue
		}
		here := w.MassG / litres
		gPerL += here
		level = math.Max(level, usualLevel(here, i.Usual, r.strongerBy()))
	}
	return gPerL, level
}

// usualLevel is below 1 under the usual range, 1 to 2 within it (by ratio, as
// tasted), above 2 beyond it.
func usualLevel(gPerL float64, usual ingredient.Usual, strongerBy float64) float64 {
	usual = known(usual)
	low, high := usual.LowGPerL*strongerBy, usual.HighGPerL*strongerBy
	switch {
	case gPerL <= 0:
		return 0
	case gPerL < low:
		return gPerL / low
	case gPerL <= high:
		return 1 + math.Log(gPerL/low)/math.Log(high/low)
	}
	return 2 + math.Min(1, gPerL/high-1)
}

const (
	creamerSpice    = 4.   // times a drink's spice, used by the spoon (common practice)
	DilutionGlassML = 200. // mL a serving of concentrate is let down with (common practice)
)

// strongerBy is how much more spice than a drink by the glass this kind bears.
func (r *Reckoning) strongerBy() float64 {
	switch r.Kind {
	case recipe.Creamer, recipe.Cream:
		return creamerSpice
	case recipe.Concentrate:
		return (DilutionGlassML + r.Servings.SizeML) / r.Servings.SizeML
	}
	return 1
}

const (
	weekDays     = 7  // where the week ends on the dial
	twoMonthDays = 60 // where the dial ends
)

// keepsDial runs over a week, or over two months for what keeps longer.
func (b *Batch) keepsDial(r *Reckoning) Dial {
	top := float64(weekDays)
	if r.Keeps.CustomaryDays > weekDays {
		top = twoMonthDays
	}
	d := Dial{Code: KeepsDial, Unit: "days", Known: r.Keeps.Known()}
	if !d.Known {
		return d
	}
	d.Value, d.Further = r.Keeps.CautiousDays, r.Keeps.CustomaryDays
	d.Position, d.FurtherP = math.Min(1, d.Value/top), math.Min(1, d.Further/top)
	return d
}

// DialName names a dial that can be set.
type DialName string

// The dials that can be set.
const (
	Sweetness DialName = "sweetness" // g of sucrose equivalents per 100 mL
	Fat       DialName = "fat"       // % by mass
	Strength  DialName = "strength"  // grinding liquid to 1 of dry base, by cups
	SpiceDial DialName = "spice"     // g/L
	KeepsDial DialName = "keeps"     // days in the fridge; shown, never set
)

var DialNames = [...]DialName{Sweetness, Fat, Strength, SpiceDial} // those that can be turned, in the order shown

// AtPosition is the figure of a dial at a place on its scale, 0 to 1.
func (r *Reckoning) AtPosition(dial DialName, position float64) float64 {
	position = math.Max(0, math.Min(1, position))
	switch dial {
	case Sweetness:
		return sweetnessScale.value(position)
	case Fat:
		return fatScale.value(position)
	case Strength:
		return strengthScale.value(position)
	}
	return r.spiceAt(spiceScale.value(position))
}

// value is the figure at a place on the scale.
func (s scale) value(position float64) float64 {
	along := position * float64(len(s.names))
	band := min(int(along), len(s.names)-1)
	return s.edges[band] + (along-float64(band))*(s.edges[band+1]-s.edges[band])
}

// spiceAt is the g/L of all spices at which the loudest stands at a level of
// its usual range.
func (r *Reckoning) spiceAt(level float64) float64 {
	if r.Batch == nil {
		return 0
	}
	times, gPerL := math.Inf(1), 0.
	for _, w := range r.Batch.Lines {
		i := w.Line.Ingredient
		if i.Role != ingredient.Spice || w.Line.When() == ingredient.Serve || w.MassG == 0 {
			continue
		}
		here := w.MassG / r.Drink.VolumeML * 1000
		gPerL += here
		times = math.Min(times, usualAt(level, i.Usual, r.strongerBy())/here)
	}
	if math.IsInf(times, 1) {
		return 0
	}
	return gPerL * times
}

// usualAt is the g/L at a level of a usual range: the inverse of usualLevel.
func usualAt(level float64, usual ingredient.Usual, strongerBy float64) float64 {
	usual = known(usual)
	low, high := usual.LowGPerL*strongerBy, usual.HighGPerL*strongerBy
	switch {
	case level < 1:
		return low * level
	case level <= 2:
		return low * math.Pow(high/low, level-1)
	}
	return high * (level - 1)
}

// known takes a middling range for a spice whose own is not known (from memory).
func known(u ingredient.Usual) ingredient.Usual {
	if u.LowGPerL == 0 {
		return ingredient.Usual{LowGPerL: 1, HighGPerL: 5}
	}
	return u
}

// NameOf is the name of the ingredient of a line that counts; "" for any other.
func (r *Reckoning) NameOf(place int) string {
	for _, w := range r.Batch.Lines {
		if w.Index == place {
			return w.Line.Ingredient.Name
		}
	}
	return ""
}

// SpiceG is how much spice is in the bottle, g, ground or whole; what goes in at serving is not.
func (b *Batch) SpiceG() float64 {
	g := 0.
	for _, w := range b.Lines {
		if w.Line.Ingredient.Role == ingredient.Spice && w.Line.When() != ingredient.Serve {
			g += w.MassG
		}
	}
	return g
}
