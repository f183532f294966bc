package plan

import (
	"testing"
	"time"

	"plushladle/core/fault"
	"plushladle/core/say"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// onThePlan is a drink on the plan: put to soak at nine, soaked till six in the
// evening, then drained, ground and bottled.
func onThePlan() []ItemStep {
	step := func(kind Kind, hands bool, from, to time.Time) ItemStep {
		return ItemStep{Kind: string(kind), Title: say.Of(string(kind)), HandsOn: hands, Start: from, End: to, Least: to, Most: to.Add(2 * time.Hour)}
	}
	return []ItemStep{
		step(GetReady, true, at(26, 9, 0), at(26, 9, 10)), step(Soak, false, at(26, 9, 10), at(26, 18, 0)), step(Drain, true, at(26, 18, 0), at(26, 18, 5)),
		step(Grind, true, at(26, 18, 5), at(26, 18, 10)), step(Bottle, true, at(26, 18, 10), at(26, 18, 20)),
	}
}

func TestWhatIsInFront(t *testing.T) {
	t.Parallel()
	steps := onThePlan()
	f, ok := FrontOf(steps, at(26, 8, 0))
	require.True(t, ok)
	assert.Equal(t, Front{Step: 0, Done: -1, Wait: -1, Place: 1, Of: 4}, f)
	steps, err := Mark(steps, 0, Marking{}, at(26, 9, 5))
	require.NoError(t, err)
	f, _ = FrontOf(steps, at(26, 12, 0))
	assert.Equal(t, []any{2, 1, at(26, 18, 0), false}, []any{f.Step, f.Wait, f.Until, f.TooEarly})
	early, err := Mark(onThePlan(), 0, Marking{}, at(26, 2, 0))
	require.NoError(t, err)
	f, _ = FrontOf(early, at(26, 3, 0))
	assert.Equal(t, []any{true, true, at(26, 12, 50)}, []any{f.TooEarly, f.ToFridge, f.Until}, "no longer than the most of the soak")
	_, ok = FrontOf([]ItemStep{steps[1]}, at(26, 9, 0))
	assert.False(t, ok, "a wait alone is nothing to do")
}

func TestMarking(t *testing.T) {
	t.Parallel()
	along, ahead := MarksAlong(onThePlan(), 3, at(26, 5, 0))
	assert.Equal(t, []int{0, 2}, along)
	assert.True(t, ahead, "more than twelve hours before its time")
	_, ahead = MarksAlong(onThePlan(), 3, at(26, 6, 10))
	assert.False(t, ahead)
	steps, err := Mark(onThePlan(), 3, Marking{Skip: true}, at(26, 18, 10))
	require.NoError(t, err)
	assert.True(t, steps[3].Skipped)
	assert.False(t, steps[2].Skipped, "what comes before it is done, not left out")
	assert.Nil(t, steps[1].DoneAt, "a wait is not marked")
	assert.False(t, IsMade(steps))
	assert.Equal(t, at(26, 18, 10), LifeBegan(onThePlan(), at(26, 18, 10)), "nothing is ground yet")
	steps, _ = Mark(onThePlan(), 3, Marking{}, at(26, 18, 30))
	steps, _ = Mark(steps, 4, Marking{}, at(26, 19, 0))
	assert.True(t, IsMade(steps))
	assert.Equal(t, at(26, 18, 30), LifeBegan(steps, at(26, 19, 0)), "from the grinding, not from the bottle")
	assert.Equal(t, []time.Time{at(26, 18, 20), at(26, 18, 25)}, Begun(steps), "each block reckoned back from its first mark")
	back, _ := Mark(steps, 3, Marking{Undo: true}, at(26, 19, 5))
	assert.Nil(t, back[4].DoneAt, "what comes after is taken back too")
	assert.NotNil(t, back[2].DoneAt)
	for _, n := range []int{-1, 1, 9} {
		_, err = Mark(onThePlan(), n, Marking{}, at(26, 9, 0))
		assert.Equal(t, "not-a-step-to-do", fault.Code(err))
	}
	steps[3].Never = say.Of("never-raw", "Soy")
	_, err = Mark(steps, 3, Marking{Skip: true}, at(26, 9, 0))
	assert.Equal(t, "never-left-out", fault.Code(err))
}

// What follows within a quarter of an hour is one visit to the kitchen.
func TestVisitsAndHandsOnTime(t *testing.T) {
	t.Parallel()
	span := func(from, to time.Time) Span { return Span{from, to} }
	e := EffortOf([]Span{
		span(at(26, 18, 0), at(26, 18, 20)), span(at(26, 9, 0), at(26, 9, 10)), span(at(26, 18, 35), at(26, 18, 45)), span(at(26, 19, 1), at(26, 19, 2)),
	})
	assert.Equal(t, Effort{Visits: 3, HandsOn: 41 * time.Minute}, e)
	assert.Zero(t, EffortOf(nil))
}
