package quantity

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func drawer(t testing.TB, measures ...string) Drawer {
	t.Helper()
	d, err := Reader{}.NewDrawer(measures, US, 1)
	require.NoError(t, err)
	return d
}

// Common practice, no source: five tablespoons and a teaspoon are a third of a
// cup, and half of a quarter teaspoon stands in for the eighth.
func TestScoopTakesTheFewestMeasures(t *testing.T) {
	t.Parallel()
	tests := []struct {
		ml        float64
		tolerance float64
		drawer    []string
		want      string
	}{
		{5*usTablespoonML + usTeaspoonML, Tight, []string{"1 cup", "1/3 cup", "1 tbsp", "1 tsp"}, "⅓ cup"},
		{5*usTablespoonML + usTeaspoonML, Tight, []string{"1 cup", "1/2 cup", "1 tbsp", "1 tsp"}, "5 tbsp + 1 tsp"},
		{1.5 * usCupML, Loose, StandardDrawer, "1½ cups"},
		{2.5 * usCupML, Tight, StandardDrawer, "2½ cups"},
		{usTeaspoonML / 2, Tight, []string{"1 tbsp", "1 tsp", "1/4 tsp"}, "2 × ¼ tsp"},
		{usTeaspoonML / 8, Tight, []string{"1 tbsp", "1 tsp", "1/4 tsp"}, "half of ¼ tsp"},
		{usTeaspoonML * 3 / 8, Tight, []string{"1 tsp", "1/4 tsp"}, "¼ tsp + half of ¼ tsp"},
		{2*usTablespoonML + usTeaspoonML, Tight, StandardDrawer, "2 tbsp + 1 tsp"},
		{40 * usCupML, Loose, []string{"1 cup"}, ""},
	}
	for _, tt := range tests {
		got, ok := drawer(t, tt.drawer...).Scoop(tt.ml, tt.tolerance)
		assert.Equal(t, tt.want != "", ok)
		assert.Equal(t, tt.want, got.Text)
	}
}

// Common practice, no source: for an eighth of a teaspoon a teaspoon goes into
// seven of water, and one of that is used.
func TestBelowTheSmallestSpoonThereIsAStock(t *testing.T) {
	t.Parallel()
	got, ok := drawer(t, "1 tbsp", "1 tsp").Scoop(usTeaspoonML/8, Tight)
	assert.False(t, ok)
	require.NotNil(t, got.Stock)
	assert.Equal(t, "dilute-a-pinch(1 tsp, 7)", got.Stock.Told().String())
	got, ok = drawer(t, "1 cup").Scoop(1e-6, Tight)
	assert.False(t, ok)
	assert.Nil(t, got.Stock)
}

// bruteForce is the fewest whole measures within the tolerance, by adding up
// every choice of up to most of them.
func bruteForce(d Drawer, ml, tolerance float64, most int) int {
	sums := []float64{0}
	for n := 1; n <= most; n++ {
		var more []float64
		for _, sum := range sums {
			for _, m := range d.measures {
				if next := sum + m.ml; next <= ml*(1+tolerance)+1e-9 {
					more = append(more, next)
				}
			}
		}
		sums = more
		for _, sum := range sums {
			if math.Abs(sum-ml) <= tolerance*ml+1e-9 {
				return n
			}
		}
	}
	return 0
}

func TestScoopsAreNeverBeatenByBruteForce(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(1, 2))
	all := []string{"1 cup", "3/4 cup", "1/2 cup", "1/3 cup", "1/4 cup", "2 tbsp", "1 tbsp", "1 tsp", "3/4 tsp", "1/2 tsp", "1/4 tsp", "1/8 tsp"}
	for range 10_000 {
		random.Shuffle(len(all), func(a, b int) { all[a], all[b] = all[b], all[a] })
		d := drawer(t, all[:1+random.IntN(4)]...)
		ml := math.Exp(random.Float64()*7 - 1)
		tolerance := []float64{Tight, Loose}[random.IntN(2)]
		got, ok := d.Scoop(ml, tolerance)
		fewest := bruteForce(d, ml, tolerance, 5)
		if fewest > 0 {
			require.True(t, ok)
			require.False(t, got.Half)
			require.Equal(t, fewest, got.Scoops, "%v mL from %v", ml, all[:4])
		}
		if ok {
			require.LessOrEqual(t, math.Abs(got.ML/ml-1), tolerance+1e-8)
			require.True(t, got.Half || got.Scoops > 5 || fewest == got.Scoops)
		}
	}
}

func TestTheCooksOwnMeasures(t *testing.T) {
	t.Parallel()
	mug, err := Calibrated("Mug", 299.463)
	require.NoError(t, err)
	r := NewReader([]Own{mug, {"capful", 7}})
	for text, ml := range map[string]float64{"2 mugs": 600, "half a mug": 150, "1 1/2 mug": 450, "1 capful": 7} {
		a, err := r.ParseAmount(text)
		require.NoError(t, err, text)
		got, ok := a.Volume(US)
		require.True(t, ok, text)
		assert.InEpsilon(t, ml, got, 1e-6, text)
		again, err := r.ParseAmount(a.String())
		require.NoError(t, err)
		assert.Equal(t, a.String(), again.String())
	}
	_, err = ParseAmount("2 beakers")
	require.Error(t, err)
	for _, bad := range []struct {
		name  string
		water float64
	}{{"", 100}, {"two words", 100}, {"mug", 0}, {"mug", math.NaN()}} {
		_, err := Calibrated(bad.name, bad.water)
		assert.Error(t, err, bad)
	}
}

func TestDrawersThatCannotBe(t *testing.T) {
	t.Parallel()
	for _, measures := range [][]string{{"big"}, {"250 g"}, {"1-2 cups"}, {"1 tbsp + 1 tsp"}, make([]string, 30)} {
		_, err := Reader{}.NewDrawer(measures, US, 0)
		assert.Error(t, err, measures)
	}
	_, err := Reader{}.NewDrawer(nil, US, math.NaN())
	assert.Error(t, err)
}

func BenchmarkScoop(b *testing.B) {
	d := drawer(b, StandardDrawer...)
	amounts := []float64{1.3, 18.2, 77, 140, 405, 710, 33.3, 2.46}
	for n := 0; b.Loop(); n++ {
		d.Scoop(amounts[n%len(amounts)], Tight)
	}
}
