package reckon

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
)

// The edges of each scale, band by band. Fat is what US standards of identity ask at least of milk,
// half-and-half, light, light whipping and heavy cream (21 CFR 131.110, .180, .155, .157, .150); the
// others are common practice, no source.
func TestEveryBandBeginsAtItsEdge(t *testing.T) {
	t.Parallel()
	for _, scale := range []struct {
		scale scale
		bands []string
		edges []float64 // the last is the end of the scale
	}{
		{sweetnessScale, []string{"plain", "off-dry", "light", "sweet", "dessert", "creamer", "syrup"}, []float64{0, .5, 2, 4, 8, 14, 40, 80}},
		{fatScale, []string{"thin", "milk", "half", "light", "whipping", "heavy"}, []float64{0, 3.25, 10.5, 18, 30, 36, 50}},
		{strengthScale, []string{"light", "milk", "rich", "creamer", "cream", "paste"}, []float64{8, 4.5, 3.5, 2.5, 1.25, .875, .4}},
		{spiceScale, []string{"faint", "there", "loud"}, []float64{0, 1, 2, 3}},
	} {
		count := float64(len(scale.bands))
		for n, name := range scale.bands {
			from, to := scale.edges[n], scale.edges[n+1]
			for _, at := range []struct{ value, along float64 }{{from, 0}, {from + (to-from)/4, .25}, {from + (to-from)*.75, .75}} {
				position, band := scale.scale.at(at.value)
				assert.Equal(t, name, band, "%v", at.value)
				assert.InDelta(t, (float64(n)+at.along)/count, position, 1e-12, "%v", at.value)
				assert.InDelta(t, at.value, scale.scale.value(position), 1e-9, "%v", at.value)
			}
		}
		beyond := scale.edges[len(scale.bands)] * 2
		if scale.edges[0] > 1 {
			beyond = 0 // the scale runs downwards
		}
		position, band := scale.scale.at(beyond)
		assert.Equal(t, scale.bands[len(scale.bands)-1], band)
		assert.InDelta(t, 1, position, 1e-12)
		assert.InDelta(t, scale.edges[len(scale.bands)], scale.scale.value(1), 1e-12)
	}
}

// Within its usual range a spice is placed by ratio, as it is tasted: the middle of 2 to 8 g/L is 4.
func TestWhereASpiceStands(t *testing.T) {
	t.Parallel()
	of := ingredient.Usual{LowGPerL: 2, HighGPerL: 8}
	for _, tt := range []struct{ gPerL, times, level float64 }{
		{1, 1, .5}, {2, 1, 1}, {4, 1, 1.5}, {8, 1, 2}, {12, 1, 2.5}, {16, 1, 3},
		{16, 4, 1.5}, // a creamer bears four times as much
	} {
		assert.InDelta(t, tt.level, usualLevel(tt.gPerL, of, tt.times), 1e-12, "%v g/L", tt.gPerL)
		assert.InDelta(t, tt.gPerL, usualAt(tt.level, of, tt.times), 1e-12, "level %v", tt.level)
	}
	assert.Zero(t, usualLevel(0, of, 1))
	assert.InDelta(t, 3, usualLevel(100, of, 1), 1e-12, "the scale ends")
	assert.InDelta(t, 1, usualLevel(1, ingredient.Usual{}, 1), 1e-12, "from 1 g/L where no range is known")
	assert.InDelta(t, 2, usualLevel(5, ingredient.Usual{}, 1), 1e-12, "to 5")
}

// A creamer is used by the spoon and bears four times the spice; 50 mL of a concentrate are let
// down with 200 mL, to five times as much.
func TestHowMuchStrongerAKindIs(t *testing.T) {
	t.Parallel()
	for kind, times := range map[recipe.Kind]float64{recipe.Milk: 1, recipe.Nog: 1, recipe.Creamer: 4, recipe.Cream: 4, recipe.Concentrate: 5} {
		assert.InDelta(t, times, (&Reckoning{Kind: kind, Servings: Servings{SizeML: 50}}).strongerBy(), 1e-12, kind)
	}
}

// The spice dial goes by the loudest spice and shows the grams of all; what waits for the glass is no part of it.
func TestTheSpiceDial(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1000 g water", "3 g cinnamon", "1 g cardamom", "2 g nutmeg")
	d.Lines[3].Stage = ingredient.Serve
	d.Kind = recipe.Milk
	r := reckoned(t, d)
	litres := r.Drink.VolumeML / 1000
	cinnamon, cardamom := d.Lines[1].Ingredient.Usual, d.Lines[2].Ingredient.Usual
	loudest := math.Max(usualLevel(3/litres, cinnamon, 1), usualLevel(1/litres, cardamom, 1))
	dial := r.Dials[3]
	assert.InDelta(t, 4/litres, dial.Value, 1e-9)
	assert.InDelta(t, loudest/3, dial.Position, 1e-9)
	assert.InDelta(t, 4, r.Batch.SpiceG(), 1e-12)
	for _, level := range []float64{.4, 1.2, 2.5} {
		times := math.Min(usualAt(level, cinnamon, 1)/(3/litres), usualAt(level, cardamom, 1)/(1/litres))
		assert.InDelta(t, dial.Value*times, r.spiceAt(level), 1e-9, "all grow as the loudest does")
		assert.InDelta(t, r.spiceAt(level), r.AtPosition(SpiceDial, level/3), 1e-9)
	}
	assert.Zero(t, reckoned(t, drinkOf(t, "500 g water")).spiceAt(1), "there is none")
	assert.Zero(t, (&Reckoning{}).spiceAt(1), "nothing was reckoned")
}

// The dial of days runs over a week, and over sixty days for what keeps longer.
func TestTheKeepingDial(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct{ cautious, customary, position, further float64 }{
		{3.5, 7, .5, 1}, {2, 5, 2. / 7, 5. / 7}, {15, 30, .25, .5}, {90, 120, 1, 1}, {6, 7.5, .1, .125},
	} {
		r := &Reckoning{}
		r.Keeps.CautiousDays, r.Keeps.CustomaryDays = tt.cautious, tt.customary
		d := (&Batch{}).keepsDial(r)
		assert.Equal(t, []float64{tt.cautious, tt.customary}, []float64{d.Value, d.Further})
		assert.InDelta(t, tt.position, d.Position, 1e-12)
		assert.InDelta(t, tt.further, d.FurtherP, 1e-12)
	}
	assert.False(t, (&Batch{}).keepsDial(&Reckoning{}).Known)
}

func TestADialIsTurnedWithinItsScale(t *testing.T) {
	t.Parallel()
	r := &Reckoning{}
	for dial, ends := range map[DialName][2]float64{Sweetness: {0, 80}, Fat: {0, 50}, Strength: {8, .4}} {
		assert.Equal(t, ends, [2]float64{r.AtPosition(dial, -1), r.AtPosition(dial, 2)}, dial)
	}
	assert.InDelta(t, 3., r.AtPosition(Sweetness, 2.5/7), 1e-9, "halfway from 2 to 4")
}
