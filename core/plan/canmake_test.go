package plan

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestWhatSpoilsFirstIsMadeFirst(t *testing.T) {
	t.Parallel()
	today := time.Date(2026, 11, 24, 0, 0, 0, 0, time.UTC)
	in := func(days int) time.Time { return today.AddDate(0, 0, days) }
	haves := []Have{
		{ID: "almond", MassG: 500}, {ID: "coconut", MassG: 300, UseBy: in(2)}, {ID: "coconut", MassG: 100, UseBy: in(9)},
		{ID: "milk", MassG: 900, UseBy: in(1)}, {ID: "pecan", MassG: 10, UseBy: in(0)}, {ID: "juice", MassG: 500, UseBy: in(-1)},
		{ID: "dates", MassG: 50},
	}
	drinks := [][]Need{
		0: {{"almond", 150, false}},                         // nothing hurries
		1: {{"coconut", 400, false}, {"mace", 1, true}},     // two packs of it
		2: {{"milk", 300, false}, {"almond", 100, false}},   // spoils tomorrow
		3: {{"milk", 900, false}},                           // and uses more of it
		4: {{"pecan", 200, false}},                          // a twentieth of it
		5: {{"juice", 200, false}},                          // past its date
		6: {{"fig", 80, false}, {"rice", 200, false}},       // two things short
		7: {{"almond", 1000, false}, {"nothing", 0, false}}, // enough for half
	}
	got := Makeable(drinks, haves, today)
	var order []int
	for _, c := range got {
		order = append(order, c.Drink)
	}
	assert.Equal(t, []int{3, 2, 1, 0, 7, 4, 5, 6}, order)
	by := map[int]CanMake{}
	for _, c := range got {
		by[c.Drink] = c
	}
	assert.Equal(t, "mace", by[1].ToCheck[0].ID)
	assert.InDelta(t, 1, by[1].Share, 1e-9)
	assert.Equal(t, in(2), by[1].First)
	assert.InDelta(t, .5, by[7].Share, 1e-9)
	assert.True(t, by[7].Now())
	assert.False(t, by[4].Now(), "a twentieth is not worth the washing-up")
	assert.Equal(t, "juice", by[5].Missing[0].ID)
	assert.Len(t, by[6].Missing, 2)
	assert.Empty(t, Makeable(nil, haves, today))
}
