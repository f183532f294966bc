package process

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
)

// What guards people is never left out, and nothing is set that a step does not
// have; the refusal says what works.
func TestChangesThatAreRefused(t *testing.T) {
	t.Parallel()
	at := func(kind string) At { return At{Kind: kind, N: 1} }
	for _, fine := range []Change{
		{At: at("grind"), Do: Set, Params: map[string]float64{"seconds": 45}, Cue: "until it hums"},
		{At: at("soak"), Do: Set, Params: map[string]float64{"hours": 24, "fridge": 1}},
		{At: at("strain"), Do: AddAfter, Cue: "rest it", Params: map[string]float64{"minutes": 5}},
		{At: at("taste"), Do: Remove},
	} {
		assert.NoError(t, fine.Check())
	}
	for says, wrong := range map[string]Change{
		"cannot be left out":    {At: at("heat"), Do: Remove},
		"are needed":            {At: at("drain"), Do: Remove},
		"the others are needed": {At: at("cool"), Do: Remove},
		"is out of range for":   {At: at("soak"), Do: Set, Params: map[string]float64{"hours": 100}},
		"is not set at":         {At: at("strain"), Do: Set, Params: map[string]float64{"seconds": 5}},
		"is not done to a step": {At: at("grind"), Do: "double"},
		"names no step":         {Do: Remove},
		"adds a step without":   {At: at("strain"), Do: AddAfter},
		"is too long for a cue": {At: at("grind"), Do: Set, Cue: strings.Repeat("long ", 200)},
		"use 1 to 600":          {At: at("grind"), Do: Set, Params: map[string]float64{"seconds": 0}},
	} {
		assert.ErrorContains(t, wrong.Check(), says)
	}
}

func TestWhatIsSetIsReckonedWith(t *testing.T) {
	t.Parallel()
	m := Method{Seconds: 90}.With([]Change{
		{At: At{Kind: "grind"}, Do: Set, Params: map[string]float64{"seconds": 45}},
		{At: At{Kind: "soak"}, Do: Set, Params: map[string]float64{"hours": 3, "fridge": 1}},
	})
	assert.Equal(t, Method{Seconds: 45, SoakHours: 3, SoakCold: true}, m)
	soaked, short := line(t, "almond", 143), line(t, "almond", 143)
	short.SoakHours, short.SoakCold = 3, true
	fat := func(l Line) float64 {
		return Make([]Line{l, line(t, "water", 900)}, m).Balance.Drink[ingredient.Fat]
	}
	assert.Less(t, fat(short), fat(soaked), "a short, cold soak gives less")
}
