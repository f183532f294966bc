package process

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/fault"
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
	for _, tt := range []struct {
		code  string
		wrong Change
	}{
		{"step-not-left-out", Change{At: at("heat"), Do: Remove}},
		{"step-not-left-out", Change{At: at("drain"), Do: Remove}},
		{"step-not-left-out", Change{At: at("cool"), Do: Remove}},
		{"change-out-of-range", Change{At: at("soak"), Do: Set, Params: map[string]float64{"hours": 100}}},
		{"change-out-of-range", Change{At: at("grind"), Do: Set, Params: map[string]float64{"seconds": 0}}},
		{"not-set-at-step", Change{At: at("strain"), Do: Set, Params: map[string]float64{"seconds": 5}}},
		{"unknown-change", Change{At: at("grind"), Do: "double"}},
		{"change-names-no-step", Change{Do: Remove}},
		{"own-step-without-words", Change{At: at("strain"), Do: AddAfter}},
		{"cue-too-long", Change{At: at("grind"), Do: Set, Cue: strings.Repeat("long ", 200)}},
	} {
		assert.Equal(t, tt.code, fault.Code(tt.wrong.Check()))
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
