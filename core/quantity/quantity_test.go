package quantity

import (
	"encoding/json"
	"errors"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
)

// Source: NIST Handbook 44, Appendix C (US customary); UK Weights and
// Measures Act 1985, schedule 1 (pint 0.56826125 L, ounce 1/20 of it); the
// metric cup and spoons and the 20 mL Australian tablespoon, as GNU Units
// 2.22 has them (metriccup, australiatablespoon).
func TestUnitsHoldWhatTheStandardsSay(t *testing.T) {
	t.Parallel()
	const cubicInchML = 16.387064
	tests := []struct {
		unit   Unit
		system System
		want   float64
	}{
		{Gallon, US, 231 * cubicInchML},
		{Quart, US, 231 * cubicInchML / 4},
		{Pint, US, 231 * cubicInchML / 8},
		{Cup, US, 231 * cubicInchML / 16},
		{FluidOunce, US, 231 * cubicInchML / 128},
		{Tablespoon, US, 231 * cubicInchML / 256},
		{Teaspoon, US, 231 * cubicInchML / 768},
		{Pint, Imperial, 568.26125},
		{FluidOunce, Imperial, 568.26125 / 20},
		{FluidOunce, Metric, 568.26125 / 20},
		{FluidOunce, Australian, 568.26125 / 20},
		{Cup, Imperial, 568.26125 / 2},
		{Cup, Metric, 250},
		{Cup, Australian, 250},
		{Tablespoon, Metric, 15},
		{Tablespoon, Australian, 20},
		{Teaspoon, Metric, 5},
		{Teaspoon, Australian, 5},
		{Pound, US, 453.59237},
		{Ounce, US, 453.59237 / 16},
		{Pinch, US, 231 * cubicInchML / 768 / 16}, // common practice, no source
	}
	for _, tt := range tests {
		assert.InEpsilon(t, tt.want, tt.unit.Size(tt.system), 1e-9, "%v %v", tt.system, tt.unit)
	}
}

func TestParseAmountReadsWhatPeopleWrite(t *testing.T) {
	t.Parallel()
	tests := []struct{ text, want string }{
		{"1 1/2 cups", "1½ cups"},
		{"1-1/2 cups", "1½ cups"},
		{"1½ cups", "1½ cups"},
		{"1 ½ cup", "1½ cups"},
		{"250g", "250 g"},
		{"1,5 dl", "1.5 dL"},
		{"1,250 ml", "1250 mL"},
		{"0.25 l", "0.25 L"},
		{"2 tbsp + 1 tsp", "2 tbsp + 1 tsp"},
		{"2 tablespoons plus 1 teaspoon", "2 tbsp + 1 tsp"},
		{"1 lb 4 oz", "1 lb + 4 oz"},
		{"1 (14 oz) can", "1 (14 oz) can"},
		{"1 can (14 oz)", "1 (14 oz) can"},
		{"1 14-oz can", "1 (14 oz) can"},
		{"2 14-oz cans", "2 (14 oz) cans"},
		{"2 x 400 ml", "2 x 400 mL"},
		{"a pinch", "1 pinch"},
		{"pinch", "1 pinch"},
		{"half a cup", "½ cup"},
		{"three quarters of a cup", "¾ cup"},
		{"3-4", "3–4 pieces"},
		{"3 to 4 pieces", "3–4 pieces"},
		{"~ 2 cups", "about 2 cups"},
		{"1 heaped tbsp", "1 heaped tbsp"},
		{"heaping 1 T", "1 heaped tbsp"},
		{"1 scant cup", "1 scant cup"},
		{"2 T", "2 tbsp"},
		{"2 t", "2 tsp"},
		{"8 fl. oz.", "8 fl oz"},
		{"8 fluid ounces", "8 fl oz"},
		{"two thumbs", "2 thumbs"},
		{"1 piece", "1 piece"},
		{"1/8 tsp", "⅛ tsp"},
		{"0 g", "0 g"},
		{"to cover", "to cover"},
		{"to a total of 6 cups", "to a total of 6 cups"},
		{"the rest, to a total of 1.5 l", "to a total of 1.5 L"},
		{"", ""},
	}
	for _, tt := range tests {
		got, err := ParseAmount(tt.text)
		require.NoError(t, err, tt.text)
		assert.Equal(t, tt.want, got.String(), tt.text)
	}
}

func TestParseLeadingLeavesTheIngredient(t *testing.T) {
	t.Parallel()
	tests := []struct{ text, amount, rest string }{
		{"1 1/2 cups raw hazelnuts, soaked", "1½ cups", "raw hazelnuts, soaked"},
		{"3-4 pitted dates", "3–4 pieces", "pitted dates"},
		{"a pinch of salt", "1 pinch", "of salt"},
		{"48 oz water", "48 oz", "water"},
		{"1 cinnamon stick", "1 piece", "cinnamon stick"},
		{"almonds", "", "almonds"},
		{"a little honey", "1 piece", "little honey"},
	}
	for _, tt := range tests {
		amount, rest, err := ParseLeading(tt.text)
		require.NoError(t, err, tt.text)
		assert.Equal(t, tt.amount, amount.String(), tt.text)
		assert.Equal(t, tt.rest, rest, tt.text)
	}
}

func TestParseAmountRefusesWithAReason(t *testing.T) {
	t.Parallel()
	tests := []struct{ text, code string }{
		{"some", "not-an-amount"},
		{"1 cupp", "not-an-amount"},
		{"-1 cup", "below-zero"},
		{"−1 cup", "below-zero"},
		{"0 cups", "too-little-to-measure"},
		{"1e300 kg", "more-than-a-kitchen-holds"},
		{"1e999 kg", "more-than-a-kitchen-holds"},
		{"NaN cups", "not-an-amount"},
		{"1/0 cup", "not-an-amount"},
		{"250/300 g", "not-an-amount"},
		{"a", "not-an-amount"},
	}
	for _, tt := range tests {
		_, err := ParseAmount(tt.text)
		var e *fault.Error
		require.True(t, errors.As(err, &e), tt.text)
		assert.Equal(t, "amount", e.Field, tt.text)
		assert.Equal(t, tt.code, e.Why.Code, tt.text)
	}
}

func TestKitchenUsesMeasuresThatExist(t *testing.T) {
	t.Parallel()
	tests := []struct {
		ml        float64
		system    System
		tolerance float64
		want      string
	}{
		{5*usTablespoonML + usTeaspoonML, US, Tight, "⅓ cup"},
		{1.5 * usCupML, US, Loose, "1½ cups"},
		{2*usTablespoonML + usTeaspoonML, US, Tight, "2 tbsp + 1 tsp"},
		{usTeaspoonML / 16, US, Loose, "1 pinch"},
		{20, Australian, Tight, "1 tbsp"},
		{0.05, US, Tight, "0.05 mL"},
		{6.25 * usCupML, US, Loose, "6¼ cups"},
		{2 * (2*usTablespoonML + usTeaspoonML), US, Loose, "¼ cup + 2 tsp"}, // exactly, before "4½ tbsp", which is near
		{.7 * usTablespoonML * 4, US, Tight, "2½ tbsp + ⅞ tsp"},             // no pinches beside tablespoons
		{1.4 * usTeaspoonML, US, Tight, "1⅜ tsp"},
		{2.7 * usTeaspoonML / 16, US, Tight, "⅛ tsp + 1 smidgen"}, // as near as it gets
	}
	for _, tt := range tests {
		got, _ := Kitchen(tt.ml, tt.system, tt.tolerance)
		assert.Equal(t, tt.want, got.String(), "%v mL", tt.ml)
	}
}

func TestScaledKeepsTheStyleItWasWrittenIn(t *testing.T) {
	t.Parallel()
	tests := []struct {
		text   string
		factor float64
		want   string
	}{
		{"1 1/2 cups", 2, "3 cups"},
		{"250 g", 1. / 3, "83.3 g"},
		{"600 g", 2, "1.2 kg"},
		{"0.5 L", 0.5, "250 mL"},
		{"1 tsp", 3, "1 tbsp"},
		{"3-4 pieces", 2, "6–8 pieces"},
		{"1 (14 oz) can", 0.5, "½ (14 oz) can"},
		{"to a total of 1 L", 3, "to a total of 3 L"},
		{"1 cup", 2.7, "about 2⅔ cups"},
		{"2 tbsp", 2.7, "about ⅓ cup"}, // what errs by more than a hundredth says so
	}
	for _, tt := range tests {
		a, err := ParseAmount(tt.text)
		require.NoError(t, err)
		scaled, _ := a.Scaled(tt.factor, US, Loose)
		assert.Equal(t, tt.want, scaled.String(), tt.text)
	}
}

// Numbers as they are typed: the same table is read by the front end's tests,
// so that a field and a line never differ.
func TestNumbersAreReadAsPeopleTypeThem(t *testing.T) {
	t.Parallel()
	data, err := os.ReadFile("testdata/numbers.json")
	require.NoError(t, err)
	var table [][]any
	require.NoError(t, json.Unmarshal(data, &table))
	for _, row := range table {
		typed := row[0].(string)
		v, ok := ReadNumber(typed)
		if row[1] == nil {
			assert.False(t, ok, "%q was read as %v", typed, v)
			continue
		}
		assert.True(t, ok, "%q", typed)
		assert.InDelta(t, row[1], v, 1e-9, "%q", typed)
	}
	for text, kg := range map[string]float64{"0,250 kg": .25, "1,5 kg": 1.5, "1,000 kg": 1000, "1.000 kg": 1} {
		a, err := ParseAmount(text)
		require.NoError(t, err)
		g, _ := a.Mass(Metric)
		assert.InDelta(t, kg*1000, g, 1e-9, text)
	}
}

func FuzzParseAmount(f *testing.F) {
	for _, seed := range []string{"1 1/2 cups", "1,5 dl", "2 x 400 ml", "1 (14 oz) can", "~ 3–4", "to cover", "to a total of 1 l", "half a cup", "1 heaped t", "1e3 g", "½", "1 lb 4 oz", "2 14-oz cans", "a", "-1", "1,000001 pieces", "1,200001", "1'200 g"} {
		f.Add(seed)
	}
	f.Fuzz(func(t *testing.T, text string) {
		first, err := ParseAmount(text)
		if err != nil {
			return
		}
		again, err := ParseAmount(first.String())
		require.NoError(t, err, "%q was written as %q", text, first)
		require.Equal(t, first.String(), again.String(), "from %q", text)
	})
}

func FuzzKitchenStaysWithinItsTolerance(f *testing.F) {
	f.Add(237.3, uint8(0), true)
	f.Add(0.31, uint8(2), false)
	f.Fuzz(func(t *testing.T, ml float64, system uint8, tight bool) {
		if !(ml > 1e-3 && ml < 1e5) {
			return
		}
		s := System(system % 4)
		tolerance := Loose
		if tight {
			tolerance = Tight
		}
		a, stated := Kitchen(ml, s, tolerance)
		held, ok := a.Volume(s)
		require.True(t, ok)
		require.LessOrEqual(t, math.Abs(held/ml-1), tolerance+1e-12, "%v mL as %v", ml, a)
		require.InDelta(t, held/ml-1, stated, 1e-12)
		read, err := ParseAmount(a.String())
		require.NoError(t, err, a.String())
		require.Equal(t, a.String(), read.String())
	})
}
