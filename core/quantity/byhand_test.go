package quantity

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
)

// Every number that people spell out, with what it is.
func TestNumbersInWords(t *testing.T) {
	t.Parallel()
	for word, want := range map[string]float64{
		"one half": .5, "half a": .5, "half an": .5, "half": .5, "a half": .5, "three quarters of a": .75, "three quarters": .75,
		"two thirds of a": 2. / 3, "two thirds": 2. / 3, "a quarter of a": .25, "a quarter": .25, "one quarter": .25, "quarter of a": .25, "quarter": .25,
		"a third of a": 1. / 3, "a third": 1. / 3, "one third": 1. / 3, "a couple of": 2, "a couple": 2, "a dozen": 12,
		"one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10, "eleven": 11, "twelve": 12, "an": 1, "a": 1,
	} {
		for _, w := range []string{word, strings.ToUpper(word)} {
			a, err := ParseAmount(w + " cups")
			require.NoError(t, err, w)
			require.Len(t, a.Terms(), 1, w)
			assert.InDelta(t, want, a.Terms()[0].Low, 1e-12, w)
		}
	}
	_, err := ParseAmount("seventeen cups")
	assert.Error(t, err, "is not seven and a half-read word")
}

// Numbers as they are typed, and those that are none.
func TestNumbersInFigures(t *testing.T) {
	t.Parallel()
	for text, want := range map[string]float64{
		"1 1/2": 1.5, "1-1/2": 1.5, "1½": 1.5, "½": .5, "1 ½": 1.5, "1,5": 1.5, "1.5": 1.5, ".5": .5, "0.5": .5, "3/4": .75, "11/4": 2.75, "2⅔": 8. / 3, "⅛": .125, "7": 7, "10": 10,
	} {
		a, err := ParseAmount(text + " tsp")
		require.NoError(t, err, text)
		assert.InDelta(t, want, a.Terms()[0].Low, 1e-12, text)
	}
	for _, text := range []string{"1/0", "1/1.5", "1/", "/2"} {
		_, err := ParseAmount(text + " tsp")
		assert.Error(t, err, text)
	}
}

// How a value is written: whole, with a fraction that cooks know, or in figures.
func TestMixedNumbers(t *testing.T) {
	t.Parallel()
	for value, want := range map[float64]string{1: "1", 2: "2", 1.5: "1½", .5: "½", .25: "¼", 2.75: "2¾", 1. / 3: "⅓", 2. / 3: "⅔", .125: "⅛", 3.375: "3⅜", 12: "12"} {
		got, ok := mixedNumber(value)
		assert.True(t, ok, value)
		assert.Equal(t, want, got)
	}
	for _, value := range []float64{0, .3, 1.55, .99} {
		_, ok := mixedNumber(value)
		assert.False(t, ok, value)
	}
}

// Three eggs and a bit: halves, to the nearest and below, with what they err by.
func TestPiecesInHalves(t *testing.T) {
	t.Parallel()
	count := func(n float64) Amount { return Of(n, Piece) }
	for _, c := range []struct {
		n, near, nearErr, below, left float64
		nearOK, belowOK               bool
	}{
		{2.2, 2, 2/2.2 - 1, 2, 1 - 2/2.2, true, true},
		{2.3, 2.5, 2.5/2.3 - 1, 2, 1 - 2/2.3, true, true},
		{1.9, 2, 2/1.9 - 1, 1.5, 1 - 1.5/1.9, true, true},
		{.5, .5, 0, .5, 0, true, true},
		{.4, .5, .25, 0, 0, true, false},
		{.2, 0, 0, 0, 0, false, false},
		{3, 3, 0, 3, 0, true, true},
	} {
		near, err, ok := count(c.n).InHalves()
		assert.Equal(t, c.nearOK, ok, c.n)
		if ok {
			assert.InDelta(t, c.near, near.Terms()[0].Low, 1e-12, c.n)
			assert.InDelta(t, c.nearErr, err, 1e-12, c.n)
			assert.Equal(t, c.n != c.near, near.IsAbout(), "%g is said to be about so many", c.n)
		}
		below, left, ok := count(c.n).HalvesBelow()
		assert.Equal(t, c.belowOK, ok, c.n)
		if ok {
			assert.InDelta(t, c.below, below.Terms()[0].Low, 1e-12, c.n)
			assert.InDelta(t, c.left, left, 1e-12, c.n)
		}
	}
	for _, text := range []string{"2 cups", "50 g"} {
		a, err := ParseAmount(text)
		require.NoError(t, err)
		_, _, ok := a.InHalves()
		assert.False(t, ok, text)
		_, _, ok = a.HalvesBelow()
		assert.False(t, ok, text)
	}
	between, err := ParseAmount("2-3")
	require.NoError(t, err)
	_, _, ok := between.HalvesBelow()
	assert.False(t, ok, "of what may be two or three")
	near, errorShare, ok := between.InHalves()
	assert.True(t, ok)
	assert.Zero(t, errorShare)
	assert.Equal(t, between.String(), near.String())
}

// What scaling rounds away is at most a two-hundredth, and is told.
func TestScalingIsRoundedToThreeFigures(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		text   string
		factor float64
		want   string
		wrong  float64
	}{
		{"125 g", 1.5, "188 g", 188/187.5 - 1}, {"100 g", 3, "300 g", 0}, {"3 oz + 10 g", 1, "3 oz + 10 g", 0}, {"2", 1.5, "3 pieces", 0},
	} {
		a, err := ParseAmount(c.text)
		require.NoError(t, err)
		got, wrong := a.Scaled(c.factor, US, .05)
		assert.Equal(t, c.want, got.String(), c.text)
		assert.InDelta(t, c.wrong, wrong, 1e-9, c.text)
	}
}

func TestWhatIsNoAmount(t *testing.T) {
	t.Parallel()
	for text, code := range map[string]string{
		"to cover, 2 cups": "not-an-amount", "to cover 2 cups": "not-an-amount", "2 cups of it": "not-an-amount", "cups": "not-an-amount", "to make": "not-an-amount",
		strings.Repeat("1 cup + ", 60) + "1 cup": "amount-too-long",
	} {
		_, err := ParseAmount(text)
		assert.Equal(t, code, fault.Code(err), text)
	}
	cover, err := ParseAmount("enough to cover")
	require.NoError(t, err)
	assert.True(t, cover.IsToCover())
	assert.False(t, cover.IsToTotal())
	rest, err := ParseAmount("to a total of 2 cups")
	require.NoError(t, err)
	assert.True(t, rest.IsToTotal())
	assert.False(t, rest.IsToCover())
	blank, err := ParseAmount("  ")
	require.NoError(t, err)
	assert.True(t, blank.IsOpen())
}

// Which units are a pack from a shop, every one of them, and the systems by name.
func TestPacksAndSystems(t *testing.T) {
	t.Parallel()
	packs := map[Unit]bool{Can: true, Carton: true, Jar: true, Bottle: true, Sachet: true}
	for _, word := range []string{"g", "ml", "cup", "tbsp", "tsp", "piece", "can", "carton", "jar", "bottle", "sachet", "glass", "mug", "pinch"} {
		u, ok := UnitOf(word)
		require.True(t, ok, word)
		assert.Equal(t, packs[u], u.IsContainer(), word)
	}
	for name, want := range map[string]System{"us": US, "metric": Metric, "au": Australian, "imperial": Imperial} {
		got, err := ParseSystem(name)
		require.NoError(t, err)
		assert.Equal(t, want, got)
		assert.Equal(t, name, got.String())
	}
	_, err := ParseSystem("troy")
	assert.Error(t, err)
}

// A measure of the cook's own: a name, and from a hundredth of a gram of water to twenty litres.
func TestAMeasureOfOnesOwn(t *testing.T) {
	t.Parallel()
	for waterG, ok := range map[float64]bool{.009: false, .01: true, 20000: true, 20000.1: false, -1: false} {
		own, err := Calibrated("dipper", waterG)
		assert.Equal(t, ok, err == nil, waterG)
		if ok {
			assert.InDelta(t, waterG/.99821, own.ML, 1e-9*waterG) // water at 20 °C: IAPWS
		}
	}
	for name, code := range map[string]string{"": "not-a-measure-name", "cup": "measure-is-taken", strings.Repeat("n", 30): "", strings.Repeat("n", 31): "not-a-measure-name"} {
		_, err := Calibrated(name, 100)
		assert.Equal(t, code, fault.Code(err), name)
	}
}
