package keep

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
)

func part(id string) Part {
	i, _ := ingredient.Standard().ByID(id)
	return Part{Name: i.Name, Life: i.Life, Base: i.Role == ingredient.Base}
}

// Reference lives: common practice, no source. Rules: FDA Food Code
// 3-501.17 and the order of the sweetening, the caps and the seven days.
func TestLife(t *testing.T) {
	t.Parallel()
	tests := []struct {
		name                string
		drink               Drink
		cautious, customary float64
	}{
		{"almond", Drink{Parts: []Part{part("almond")}, FridgeC: 4}, 3, 5},
		{"cashew at its longest", Drink{Parts: []Part{part("cashew")}, FridgeC: 4}, 4, 7},
		{"cashew in a colder fridge stops at seven days", Drink{Parts: []Part{part("cashew")}, FridgeC: 0}, 7, 7},
		{"mixed bases take the shortest", Drink{Parts: []Part{part("cashew"), part("tiger-nut")}, FridgeC: 4}, 2, 3},
		{"just not sweetened", Drink{Parts: []Part{part("almond")}, AddedSugarsG: 1, FridgeC: 4}, 3, 5},
		{"a little over", Drink{Parts: []Part{part("almond")}, AddedSugarsG: 1.1, FridgeC: 4}, 2.975, 5},
		{"half way", Drink{Parts: []Part{part("almond")}, AddedSugarsG: 3, FridgeC: 4}, 2.5, 5},
		{"sweet", Drink{Parts: []Part{part("cashew")}, AddedSugarsG: 14, FridgeC: 4}, 2, 7},
		{"sweetened, never under what it was", Drink{Parts: []Part{part("tiger-nut")}, AddedSugarsG: 9, FridgeC: 4}, 2, 3},
		{"boiled", Drink{Parts: []Part{part("almond")}, Boiled: true, FridgeC: 4}, 3, 6},
		{"boiled, and still capped by its juice", Drink{Parts: []Part{part("almond"), part("orange-juice")}, Boiled: true, FridgeC: 4}, 1, 2},
		{"fresh juice cuts it", Drink{Parts: []Part{part("almond"), part("orange-juice")}, FridgeC: 4}, 1, 2},
		{"a longer line does not lengthen it", Drink{Parts: []Part{part("tiger-nut"), part("dairy-milk")}, FridgeC: 4}, 2, 3},
		{"no base: the liquid's own", Drink{Parts: []Part{part("carton-oat")}, FridgeC: 4}, 3, 4},
		{"a warm fridge", Drink{Parts: []Part{part("almond")}, FridgeC: 7}, 1.5, 5 / 1.4745},
		{"a warmer one", Drink{Parts: []Part{part("almond")}, FridgeC: 7.5}, 1, 5 / 1.5625},
		{"never under a day", Drink{Parts: []Part{part("orange-juice")}, FridgeC: 10}, 1, 1},
		{"a concentrate filled hot", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .87, FridgeC: 4, HotFilled: true}, 30, 60},
		{"and in a sterilised bottle", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .84, FridgeC: 4, HotFilled: true, Boiled: true}, 30, 90},
		{"between", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .90, FridgeC: 4, HotFilled: true}, 22, 44},
		{"thinner", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .92, FridgeC: 4, HotFilled: true}, 14, 28},
		{"as any drink", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .95, FridgeC: 4, HotFilled: true}, 3, 4},
		{"not filled hot", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .86, FridgeC: 4}, 14, 30},
		{"not filled hot, between", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .89, FridgeC: 4}, 8.5, 17},
		{"not filled hot, as any drink", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .90, FridgeC: 4}, 3, 4},
		{"a concentrate with juice", Drink{Parts: []Part{part("pistachio"), part("orange-juice")}, WaterActivity: .86, FridgeC: 4, HotFilled: true}, 1, 2},
		{"a concentrate in a warm fridge", Drink{Parts: []Part{part("pistachio")}, WaterActivity: .86, FridgeC: 7, HotFilled: true}, 15, 60 / 1.4745},
		{"a concentrate with a line unsettled is any drink", Drink{Parts: []Part{part("pistachio")}, AddedSugarsG: 80, WaterActivity: .84, FridgeC: 4, Unsettled: true}, 2, 4},
		{"raw soy", Drink{Parts: []Part{part("soybean")}, FridgeC: 4, RawSoy: true}, 0, 0},
		{"nothing known", Drink{Parts: []Part{part("water")}, FridgeC: 4}, 0, 0},
	}
	for _, tt := range tests {
		life := Of(tt.drink)
		assert.InDelta(t, tt.cautious, life.CautiousDays, .001, tt.name)
		assert.InDelta(t, tt.customary, life.CustomaryDays, .001, tt.name)
		assert.NotEmpty(t, life.Reasons, tt.name)
	}
}

// Source: Olley & Ratkowsky 1973, the square-root model, 4 °C being 1.
func TestRelativeRate(t *testing.T) {
	t.Parallel()
	for tempC, want := range map[float64]float64{-1: .51, 0: .51, 4: 1, 7: 1.47, 10: 2.04} {
		assert.InDelta(t, want, RelativeRate(tempC), .005, "%v °C", tempC)
	}
}

// Source: Robinson & Stokes, sucrose at 25 °C by molality, from memory;
// Starzak & Peacock by °Brix, as quoted with GNU Units' tables.
func TestWaterActivityOfSucrose(t *testing.T) {
	t.Parallel()
	for molal, want := range map[float64]float64{1: .9806, 2: .958, 3: .933, 4: .906, 5: .878, 6: .849} {
		c := ingredient.Content{ingredient.Sucrose: molal * 342.3, ingredient.Water: 1000}
		assert.InDelta(t, want, WaterActivity(c), .002, "%v m", molal)
	}
	for brix, want := range map[float64]float64{12: .9925, 20: .9858, 40: .9585, 50: .9341, 60: .8947, 65: .8654, 67.5: .8472} {
		c := ingredient.Content{ingredient.Sucrose: brix, ingredient.Water: 100 - brix}
		assert.InDelta(t, want, WaterActivity(c), .0025, "%v °Bx", brix)
		assert.InDelta(t, brix, Brix(c), 1e-9)
	}
	assert.Zero(t, WaterActivity(ingredient.Content{ingredient.Sucrose: 1}))
	assert.InDelta(t, 1, WaterActivity(ingredient.Content{ingredient.Water: 1}), 1e-12)
}

func TestDates(t *testing.T) {
	t.Parallel()
	london, err := time.LoadLocation("Europe/London")
	if err != nil {
		t.Skip("no time zones on this machine")
	}
	day := func(month time.Month, d, hour int) time.Time {
		return time.Date(2026, month, d, hour, 30, 0, 0, london)
	}
	life := func(days float64) Life { return Life{CautiousDays: days} }
	assert.Equal(t, day(11, 27, 9), life(3).Moment(day(11, 24, 9), Cautious))
	assert.Equal(t, 26, LastWholeDay(day(11, 24, 9), day(11, 27, 9)).Day(), "the last day that is good to its end")
	assert.Equal(t, 24, LastWholeDay(day(11, 24, 9), day(11, 25, 9)).Day())
	assert.Equal(t, 30, LastWholeDay(day(11, 24, 9), life(7).Moment(day(11, 24, 9), Cautious)).Day(), "of seven days the first is one")
	standing, left := At(day(11, 27, 8), day(11, 27, 9))
	assert.Equal(t, LastDay, standing)
	assert.Zero(t, left)
	standing, _ = At(day(11, 27, 9), day(11, 27, 9))
	assert.Equal(t, Past, standing)
	tests := []struct {
		today, useBy time.Time
		standing     Standing
		left         int
		what         string
	}{
		{day(11, 24, 23), day(11, 26, 0), Fine, 2, "2 days"},
		{day(11, 25, 0), day(11, 26, 23), Soon, 1, "1 day"},
		{day(11, 26, 23), day(11, 26, 0), LastDay, 0, "last day"},
		{day(11, 27, 0), day(11, 26, 23), Past, -1, "past since yesterday"},
		{day(11, 29, 0), day(11, 26, 23), Past, -3, "past for 3 days"},
		{day(3, 28, 12), day(3, 30, 1), Fine, 2, "2 days"},   // the clock goes forward between
		{day(10, 24, 12), day(10, 26, 1), Fine, 2, "2 days"}, // and back
		{day(11, 1, 0), day(11, 24, 0), Fine, 23, "3 weeks"},
	}
	for _, tt := range tests {
		standing, left := On(tt.today, tt.useBy)
		assert.Equal(t, tt.standing, standing, tt.what)
		assert.Equal(t, tt.left, left, tt.what)
	}
	assert.InDelta(t, 1, LifeShare(day(11, 24, 9), day(11, 27, 9), day(11, 24, 9)), 1e-12)
	assert.InDelta(t, .5, LifeShare(day(11, 24, 9), day(11, 26, 9), day(11, 25, 9)), 1e-12)
	assert.Zero(t, LifeShare(day(11, 24, 9), day(11, 26, 0), day(11, 27, 0)))
}

// Only dissolved sugar binds water. Source of the saturation: ICUMSA, from
// memory; of the activity there, Norrish.
func TestASaturatedSyrupIsAsItsWaterPhase(t *testing.T) {
	t.Parallel()
	thick := ingredient.Content{ingredient.Sucrose: 80, ingredient.Water: 20}
	assert.InDelta(t, .87, WaterActivity(Dissolved(thick, 0)), .005)
	thin := ingredient.Content{ingredient.Sucrose: 50, ingredient.Water: 50}
	assert.Equal(t, thin, Dissolved(thin, 4))
}
