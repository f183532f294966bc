package plan

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var anyDay = Week{true, true, true, true, true, true, true}

// lived goes through four weeks of a rhythm day by day: what is drunk from the
// fridge, what from thawed bottles, what passes its date.
func lived(d Drinking, makings []Making) (wastedML, missingML, frozenML float64) {
	type lot struct {
		ml   float64
		last int
	}
	var fridge []lot
	frozen := 0.
	for day := range 28 {
		for _, m := range makings {
			if m.Day == day%7 {
				fridge = append(fridge, lot{m.BatchML - m.FreezeML, day + d.LifeDays - 1})
				frozen += m.FreezeML
				frozenML += m.FreezeML
			}
		}
		if day < 7 && len(fridge) == 0 {
			continue // before the first batch
		}
		want := d.PerDayML
		for n := range fridge {
			take := min(want, fridge[n].ml)
			fridge[n].ml -= take
			want -= take
		}
		if want > 0 && frozen > 0 {
			take := min(want, frozen)
			frozen, want = frozen-take, want-take
		}
		missingML += want
		var kept []lot
		for _, l := range fridge {
			if l.last <= day {
				wastedML += l.ml
				continue
			}
			kept = append(kept, l)
		}
		fridge = kept
	}
	return wastedML, missingML, frozenML
}

// Each rhythm is lived through: nothing is wasted and nothing is missing; and
// no set of days with fewer batches does it with as little frozen, checked
// against every one.
func TestARhythmIsLivedThrough(t *testing.T) {
	t.Parallel()
	for _, willing := range []Week{anyDay, {true}, {false, true, false, false, true}, {true, false, false, true, false, false, true}} {
		for life := 1; life <= 7; life++ {
			d := Drinking{PerDayML: 300, LifeDays: life, FreezerDays: 30, Willing: willing}
			r, ok := d.Propose()
			require.True(t, ok)
			wasted, missing, _ := lived(d, r.Makings)
			assert.Zero(t, wasted, "%v %d days", willing, life)
			assert.Zero(t, missing, "%v %d days", willing, life)
			for set := 1; set < 1<<7; set++ {
				other, can := d.week(set)
				if can && len(other.Makings) < len(r.Makings) {
					assert.Greater(t, other.FreezeShare, r.FreezeShare, "fewer batches only with more in the freezer")
				}
			}
		}
	}
}

func TestUsualRhythms(t *testing.T) {
	t.Parallel()
	tests := []struct {
		what    string
		d       Drinking
		batches int
		share   float64
	}{
		{"three days' life, any day: two batches, a day's worth frozen", Drinking{200, 3, 30, anyDay}, 2, 1. / 7},
		{"a week's life: one", Drinking{200, 7, 30, anyDay}, 1, 0},
		{"Sundays only: the rest is frozen", Drinking{200, 3, 30, Week{true}}, 1, 4. / 7},
		{"a day's life: one batch, and most of it frozen", Drinking{200, 1, 30, anyDay}, 1, 6. / 7},
		{"two days' life", Drinking{200, 2, 30, anyDay}, 3, 1. / 7},
	}
	for _, tt := range tests {
		r, ok := tt.d.Propose()
		require.True(t, ok, tt.what)
		assert.Len(t, r.Makings, tt.batches, tt.what)
		assert.InDelta(t, tt.share, r.FreezeShare, 1e-9, tt.what)
	}
	r, _ := Drinking{200, 3, 30, anyDay}.Propose()
	assert.InDelta(t, 800, r.OnceAWeekML, 1e-9, "one batch a week of three days' life wastes four days of it")
	assert.Equal(t, 200., Drinking{200, 1, 30, anyDay}.BottleOfFrozenML(), "a day's life is a day's once thawed")
	assert.Equal(t, 400., Drinking{200, 5, 30, anyDay}.BottleOfFrozenML())
	for _, none := range []Drinking{{0, 3, 30, anyDay}, {200, 0, 30, anyDay}, {200, 3, 30, Week{}}, {200, 3, 3, Week{true}}} {
		_, ok := none.Propose()
		assert.False(t, ok, none)
	}
}
