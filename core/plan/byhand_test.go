package plan

import (
	"math"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/reckon"
)

// A quiet from eleven to half past six, one within a day, and none: to the minute, how long each
// is, and the last slot before it.
func TestQuietToTheMinute(t *testing.T) {
	t.Parallel()
	asleep, nap, none := Quiet{23 * 60, 6*60 + 30}, Quiet{13 * 60, 14 * 60}, Quiet{9 * 60, 9 * 60}
	for _, c := range []struct {
		q            Quiet
		hour, minute int
		covers       bool
	}{
		{asleep, 22, 59, false}, {asleep, 23, 0, true}, {asleep, 0, 0, true}, {asleep, 6, 29, true}, {asleep, 6, 30, false}, {asleep, 12, 0, false},
		{nap, 12, 59, false}, {nap, 13, 0, true}, {nap, 13, 59, true}, {nap, 14, 0, false}, {none, 9, 0, false}, {none, 8, 59, false},
	} {
		assert.Equal(t, c.covers, c.q.covers(at(26, c.hour, c.minute)), c)
	}
	assert.Equal(t, [3]int{450, 60, 0}, [3]int{asleep.Minutes(), nap.Minutes(), none.Minutes()})
	assert.Equal(t, at(26, 22, 55), asleep.Before(at(27, 3, 2)))
	assert.Equal(t, at(26, 12, 55), nap.Before(at(26, 13, 0)))
	assert.Equal(t, at(26, 12, 58), nap.Before(at(26, 12, 58)), "outside it the moment itself")
	assert.Equal(t, at(26, 9, 3), none.Before(at(26, 9, 3)))
	all := Quiet{0, 24 * 60}
	assert.Equal(t, at(26, 9, 3), all.Before(at(26, 9, 3)), "where all day is quiet")
}

// A soak's window: in a kitchen above its usual warmth the most halves every so many degrees, in
// the fridge it is three times as long, and the least and the usual never beyond it.
func TestASoaksWindowByHand(t *testing.T) {
	t.Parallel()
	span := ingredient.Span{Min: 4, Ideal: 8, Max: 12}
	h := func(w Window) [3]float64 { return [3]float64{w.Min.Hours(), w.Ideal.Hours(), w.Max.Hours()} }
	assert.Equal(t, [3]float64{4, 8, 12}, h(window(span, warmsFromC, OnTheBench)))
	twice := h(window(span, warmsFromC+halvesEveryC, OnTheBench))
	assert.InDeltaSlice(t, []float64{4, 6, 6}, twice[:], 1e-6)
	four := h(window(span, warmsFromC+2*halvesEveryC, OnTheBench))
	assert.InDeltaSlice(t, []float64{3, 3, 3}, four[:], 1e-6)
	cold := h(window(span, 30, InTheFridge))
	assert.InDeltaSlice(t, []float64{4, 8, math.Min(fridgeMostH, 12*fridgeTimes)}, cold[:], 1e-6)
	assert.Equal(t, ingredient.Span{Min: 2, Ideal: 4, Max: 4}, keptSoak(OnTheBench), "what stays in the drink stands out for four hours at most")
	assert.InDelta(t, 24, h(window(keptSoak(InTheFridge), 20, InTheFridge))[2], 1e-6)
}

// What is ground with the liquid it soaked in takes all of that liquid along, each base by its mass.
func TestAKeptSoakIsWeighedWithItsLiquid(t *testing.T) {
	t.Parallel()
	d, r := drink(t, nil, "100 g pearl barley", "50 g white rice", "600 g water, soaking water kept")
	for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
		wetG := map[int]float64{}
		for _, a := range s.Amounts {
			if a.Soaked {
				wetG[a.At] = a.WetG
				assert.InDelta(t, r.Lines[a.At].MassG+a.WetG, a.MassG, 1e-9)
			}
		}
		if len(wetG) == 2 {
			assert.InDelta(t, 400, wetG[0], 1)
			assert.InDelta(t, 200, wetG[1], 1)
			return
		}
	}
	t.Fatal("nothing is weighed soaked")
}

// What is left is marked along; a wait is not, nor what is done, and only what is more than twelve
// hours ahead is asked about.
func TestWhatIsMarkedAlong(t *testing.T) {
	t.Parallel()
	steps := onThePlan()
	_, ahead := MarksAlong(steps, 3, steps[3].Start.Add(-aheadOf))
	assert.False(t, ahead, "twelve hours to the minute")
	_, ahead = MarksAlong(steps, 3, steps[3].Start.Add(-aheadOf-time.Second))
	assert.True(t, ahead)
	done := at(26, 9, 0)
	steps[0].DoneAt = &done
	along, _ := MarksAlong(steps, 3, at(26, 12, 0))
	assert.Equal(t, []int{2}, along)
	steps[3].Kind = string(Cool)
	for n := range steps[:4] {
		steps[n].DoneAt = &done
	}
	f, ok := FrontOf(steps, at(26, 12, 0))
	require.True(t, ok)
	assert.True(t, f.Cools, "it stands and cools before it is bottled")
	assert.Equal(t, [2]int{4, 3}, [2]int{f.Step, f.Done})
}

// Pieces by halves, with how many; what comes out otherwise, or may be two or three, is parted by
// weight.
func TestPiecesAreHalved(t *testing.T) {
	t.Parallel()
	for n, halves := range map[float64]float64{1: 2, 1.5: 3, .5: 1, 2.001: 4} {
		_, got, ok := inHalves(quantity.Of(n, quantity.Piece))
		assert.True(t, ok, n)
		assert.InDelta(t, halves, got, 1e-9)
	}
	for _, a := range []quantity.Amount{quantity.Of(1.3, quantity.Piece), quantity.Of(2, quantity.Cup), quantity.Of(.2, quantity.Piece), quantity.Of(1, quantity.Piece).And(quantity.Of(2, quantity.Piece))} {
		_, _, ok := inHalves(a)
		assert.False(t, ok, a.String())
	}
}

// Of two rhythms the one with less bother, then with the fresher bottles, then the one in which it
// is the next one's turn. A batch less a week is worth a fifth of the freezer.
func TestWhichRhythmIsLiked(t *testing.T) {
	t.Parallel()
	d := Drinking{From: 1, Turn: 0}
	of := func(weeks int, freeze float64, makings ...Making) Rhythm {
		return Rhythm{Weeks: weeks, FreezeShare: freeze, Makings: makings}
	}
	once, twice := of(1, 0, Making{Day: 2, LastsDays: 7}), of(1, 0, Making{Day: 2, LastsDays: 4}, Making{Day: 5, LastsDays: 3})
	assert.True(t, d.prefers(once, twice))
	assert.False(t, d.prefers(twice, once))
	assert.InDelta(t, 2, twice.bother(), 1e-12)
	assert.InDelta(t, .5, of(2, 0, Making{}).bother(), 1e-12)
	assert.InDelta(t, 2, of(1, .2, Making{}).bother(), 1e-12)
	fresh, old := of(1, 0, Making{Day: 2, LastsDays: 5}), of(1, 0, Making{Day: 2, LastsDays: 6})
	assert.True(t, d.prefers(fresh, old))
	assert.False(t, d.prefers(old, fresh))
	mine, other := of(1, 0, Making{Day: 2, LastsDays: 5, Drink: 0}), of(1, 0, Making{Day: 2, LastsDays: 5, Drink: 1})
	assert.True(t, d.prefers(mine, other))
	assert.False(t, d.prefers(other, mine))
	assert.False(t, d.prefers(mine, mine))
	for set, want := range map[int]int{1 << 3: 2, 1 << 1: 7, 1 << 0: 6, 1<<2 | 1<<4: 1, 0: 7} {
		assert.Equal(t, want, daysToNext(set, 1), set)
	}
	assert.Equal(t, [3]int{4, 7, 5}, [3]int{commonDivisor(12, 8), commonDivisor(7, 0), commonDivisor(0, 5)})
}

// What was ground at room temperature and would be too slow to get cold says what helps; what was
// cooked was cooled before, and a small bottle is cold in time.
func TestWhatIsTooSlowToChill(t *testing.T) {
	t.Parallel()
	code := func(way func(*reckon.Drink), lines ...string) string {
		d, r := drink(t, way, lines...)
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			if s.Kind == Chill {
				return s.Caution.Code + s.Right.Code
			}
		}
		return "no chill"
	}
	plain := code(nil, "1 cup almonds", "4 cups water")
	iced := code(nil, "1 cup almonds", "3 cups water", "300 g ice")
	assert.Contains(t, plain, "chill-too-slow-ground")
	assert.NotContains(t, iced, "chill-too-slow", "ground with ice it is cold already")
}

// The least within a window that moves along, against looking at each of them; and what a wait before
// a block costs, by its own definition.
func TestTheLeastWithinAWindow(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(2, 29))
	for range 400 {
		costs := make([]int64, 1+random.IntN(60))
		for n := range costs {
			if costs[n] = int64(random.IntN(9)) * costLength; random.IntN(4) == 0 {
				costs[n] = never
			}
		}
		low := random.IntN(10)
		w := wait{min: low, ideal: random.IntN(30), max: low + random.IntN(25)}
		var r room
		r.next(1, len(costs))
		got := w.before(costs, &r)
		for end := range costs {
			least := int64(never)
			for length := w.min; length <= w.max && end+length < len(costs); length++ {
				if after := costs[end+length]; after < never {
					least = min(least, after+costLength*int64(abs(length-w.ideal)))
				}
			}
			require.Equal(t, least, got[end], "from %d, %+v, %v", end, w, costs)
		}
	}
}
