package plan

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var anyDay = Week{true, true, true, true, true, true, true}

// single is the drinking of a single drink.
func single(perDayML float64, lifeDays, freezerDays int, willing Week) Drinking {
	return Drinking{Drinks: []Keeping{{perDayML, lifeDays, freezerDays}}, Willing: willing}
}

// lived goes through two rounds day by day: what is drunk of the drink whose
// turn it is from the fridge, what from thawed bottles, what passes its date.
func lived(d Drinking, r Rhythm) (wastedML, missingML float64) {
	type lot struct {
		drink int
		ml    float64
		last  int
	}
	var fridge []lot
	frozen := map[int]float64{}
	turn := -1
	for day := range 14 * r.Weeks {
		for _, m := range r.Makings {
			if m.Day == day%7 && m.Week == day/7%r.Weeks {
				fridge = append(fridge, lot{m.Drink, m.BatchML - m.FreezeML, day + d.Drinks[m.Drink].LifeDays - 1})
				frozen[m.Drink] += m.FreezeML
				turn = m.Drink
			}
		}
		if turn < 0 {
			continue // before the first batch
		}
		want := d.Drinks[turn].PerDayML
		for n := range fridge {
			if fridge[n].drink == turn {
				take := min(want, fridge[n].ml)
				fridge[n].ml -= take
				want -= take
			}
		}
		take := min(want, frozen[turn])
		frozen[turn] -= take
		missingML += want - take
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
	return wastedML, missingML
}

// Each rhythm is lived through: nothing is wasted and nothing is missing; and
// no set of days with fewer batches does it with as little frozen, checked
// against every one.
func TestARhythmIsLivedThrough(t *testing.T) {
	t.Parallel()
	for _, willing := range []Week{anyDay, {true}, {false, true, false, false, true}, {true, false, false, true, false, false, true}} {
		for life := 1; life <= 7; life++ {
			d := single(300, life, 30, willing)
			r, ok := d.Propose()
			require.True(t, ok)
			wasted, missing := lived(d, r)
			assert.Zero(t, wasted, "%v %d days", willing, life)
			assert.Zero(t, missing, "%v %d days", willing, life)
			for set := 1; set < 1<<7; set++ {
				other, can := d.round(set, 0)
				if can && len(other.Makings) < len(r.Makings) {
					assert.Greater(t, other.FreezeShare, r.FreezeShare, "fewer batches only with more in the freezer")
				}
			}
		}
	}
}

// Drinks that take turns are lived through likewise; each gets its turn in the
// cook's order, and no other choice of days and beginning is less bother.
func TestDrinksThatTakeTurnsAreLivedThrough(t *testing.T) {
	t.Parallel()
	drinks := []Keeping{{300, 3, 30}, {60, 7, 30}, {240, 1, 14}, {200, 5, 60}}
	for n := 2; n <= len(drinks); n++ {
		for _, willing := range []Week{anyDay, {true, false, false, true}, {false, true, true, false, false, true}} {
			d := Drinking{Drinks: drinks[:n], Willing: willing}
			r, ok := d.Propose()
			require.True(t, ok)
			wasted, missing := lived(d, r)
			assert.InDelta(t, 0, wasted, 1e-9, "%d drinks, %v", n, willing)
			assert.InDelta(t, 0, missing, 1e-9, "%d drinks, %v", n, willing)
			turns := map[int]int{}
			for k, m := range r.Makings {
				turns[m.Drink]++
				assert.Equal(t, (r.Makings[0].Drink+k)%n, m.Drink, "in the cook's order")
			}
			assert.Len(t, turns, n, "each has its turn")
			for set := 1; set < 1<<7; set++ {
				for begins := range n {
					if other, can := d.round(set, begins); can {
						assert.GreaterOrEqual(t, other.bother()+1e-9, r.bother())
					}
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
		{"three days' life, any day: two batches, a day's worth frozen", single(200, 3, 30, anyDay), 2, 1. / 7},
		{"a week's life: one", single(200, 7, 30, anyDay), 1, 0},
		{"Sundays only: the rest is frozen", single(200, 3, 30, Week{true}), 1, 4. / 7},
		{"a day's life: one batch, and most of it frozen", single(200, 1, 30, anyDay), 1, 6. / 7},
		{"two days' life", single(200, 2, 30, anyDay), 3, 1. / 7},
	}
	for _, tt := range tests {
		r, ok := tt.d.Propose()
		require.True(t, ok, tt.what)
		assert.Len(t, r.Makings, tt.batches, tt.what)
		assert.InDelta(t, tt.share, r.FreezeShare, 1e-9, tt.what)
	}
	assert.Equal(t, 200., Keeping{200, 1, 30}.BottleOfFrozenML(), "a day's life is a day's once thawed")
	assert.Equal(t, 400., Keeping{200, 5, 30}.BottleOfFrozenML())
	for _, none := range []Drinking{single(0, 3, 30, anyDay), single(200, 0, 30, anyDay), single(200, 3, 30, Week{}), single(200, 3, 3, Week{true}), {Willing: anyDay}} {
		_, ok := none.Propose()
		assert.False(t, ok, none)
	}
}

// What a habit wastes is what living with it for two years wastes.
func TestAHabitIsLivedThrough(t *testing.T) {
	t.Parallel()
	const days = 7 * 104
	for _, k := range []Keeping{{200, 3, 30}, {60, 7, 30}, {300, 1, 30}} {
		for _, every := range []int{1, 2, 4, 7, 14} {
			for _, batchML := range []float64{100, 400, 700, 1400, 5000} {
				type lot struct {
					ml   float64
					last int
				}
				var fridge []lot
				wasted, dry := 0., 0.
				for day := range days {
					if day%every == 0 {
						for _, old := range fridge { // a fresh batch is there: what is left of the last goes to waste
							wasted += old.ml
						}
						fridge = []lot{{batchML, day + k.LifeDays - 1}}
					}
					want := k.PerDayML
					for n := range fridge {
						take := min(want, fridge[n].ml)
						fridge[n].ml, want = fridge[n].ml-take, want-take
					}
					dry += want / k.PerDayML
					var kept []lot
					for _, l := range fridge {
						if l.last <= day {
							wasted += l.ml
							continue
						}
						kept = append(kept, l)
					}
					fridge = kept
				}
				got := k.Wastes(Habit{batchML, float64(every)})
				assert.InDelta(t, wasted/104, got.ML, batchML*.02, "%v every %d days, %g mL", k, every, batchML)
				assert.InDelta(t, dry/104, got.DryDays, .05, "%v every %d days, %g mL", k, every, batchML)
			}
		}
	}
	k := Keeping{200, 3, 30}
	assert.InDelta(t, 800, k.Wastes(k.OnceAWeek()).ML, 1e-9, "one batch a week of three days' life wastes four days of it")
	assert.Zero(t, k.Wastes(Habit{}))
}

func TestWhatSpoilsFirstIsDrunkFirst(t *testing.T) {
	t.Parallel()
	tests := []struct {
		what   string
		lots   []Lot
		days   float64
		passed []float64
	}{
		{"nothing", nil, 0, []float64{}},
		{"two days' worth, good for three", []Lot{{2, 3}}, 2, []float64{0}},
		{"five days' worth, good till tomorrow", []Lot{{5, 1}}, 2, []float64{3}},
		{"past its date", []Lot{{5, -1}}, 0, []float64{5}},
		{"the other first", []Lot{{2, 5}, {1, 0}}, 3, []float64{0, 0}},
		{"both today", []Lot{{1, 0}, {1, 0}}, 1, []float64{0, 1}},
		{"half a day's, then the freezer", []Lot{{1.5, 30}, {.5, 0}}, 2, []float64{0, 0}},
	}
	for _, tt := range tests {
		days, passed := Lasts(tt.lots)
		assert.InDelta(t, tt.days, days, 1e-9, tt.what)
		assert.InDeltaSlice(t, tt.passed, passed, 1e-9, tt.what)
	}
}

func TestWhatIsDrunkAndHowItIsMade(t *testing.T) {
	t.Parallel()
	now := at(26, 12, 0)
	for _, c := range []struct {
		poured   PouredSince
		servings float64
		ml       float64
		from     Known
	}{
		{PouredSince{now.Add(-LearnFrom), 1400}, 4, 100, FromPours},
		{PouredSince{now.Add(-LearnFrom + time.Minute), 1400}, 4, 120, FromDrinkers},
		{PouredSince{}, 0, 30, FromAServing},
	} {
		ml, from := PerDayML(c.poured, c.servings, 30, now)
		assert.InDelta(t, c.ml, ml, 1e-9)
		assert.Equal(t, c.from, from)
	}
	made := []MadeOnce{{at(5, 0, 0), 600}, {at(8, 0, 0), 700}, {at(13, 0, 0), 800}}
	habit, ok := HabitOf(made)
	assert.True(t, ok)
	assert.Equal(t, Habit{700, 4}, habit)
	_, ok = HabitOf(made[:2])
	assert.False(t, ok, "two batches are no habit")
	_, ok = HabitOf([]MadeOnce{made[0], made[0], made[0]})
	assert.False(t, ok, "all on one day")
}

func TestWhatIsMadeNext(t *testing.T) {
	t.Parallel()
	assert.Equal(t, at(26, 18, 0), NextFrom(0, at(26, 12, 0)))
	assert.Equal(t, at(27, 18, 0), NextFrom(0, at(26, 17, 5)), "not within the hour")
	assert.Equal(t, at(28, 18, 0), NextFrom(3, at(26, 12, 0)), "a day before the last is gone")
	friday := int(at(27, 0, 0).Weekday())
	round := Rhythm{Makings: []Making{{Day: friday, Drink: 0}, {Day: friday, Drink: 1}, {Day: (friday + 2) % 7, Drink: 0}}}
	next, when, ok := round.Next(at(26, 18, 0), []string{"2026-11-20", "2026-11-13"})
	assert.True(t, ok)
	assert.Equal(t, []any{1, at(27, 18, 0)}, []any{next.Drink, when}, "the one that was not made for longest")
	assert.Equal(t, 1, LongestAgo([]string{"2026-11-20", "2026-11-13", "2026-11-13"}))
	_, _, ok = Rhythm{}.Next(at(26, 18, 0), nil)
	assert.False(t, ok)
}
