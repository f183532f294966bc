package http

import (
	"bufio"
	"io"
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/plan"
	"plushladle/core/say"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/cooking"
	"plushladle/internal/app/planning"
)

func TestATimerIsAMomentAndNotACounter(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	started := call[cooking.Timers](c, "POST", "/api/timers", cooking.NewTimer{Name: "Simmer, soy milk", Minute: 20})
	require.Len(t, started.Timers, 1)
	at := func(by time.Duration) cooking.Timer {
		c.now = c.now.Add(by)
		return call[cooking.Timers](c, "GET", "/api/timers", nil).Timers[0]
	}
	assert.Equal(t, cooking.Timer{ID: 1, Name: "Simmer, soy milk", LengthS: 1200, State: "runs", LeftS: 1200, OverS: 0}, started.Timers[0])
	assert.Equal(t, 300, at(15*time.Minute).LeftS, "nobody asked meanwhile")
	assert.Equal(t, "held", call[cooking.Timers](c, "POST", "/api/timers/1/hold", nil).Timers[0].State)
	assert.Equal(t, cooking.Timer{ID: 1, Name: "Simmer, soy milk", LengthS: 1200, State: "held", LeftS: 300, OverS: 0}, at(time.Hour))
	assert.Equal(t, "runs", call[cooking.Timers](c, "POST", "/api/timers/1/hold", nil).Timers[0].State)
	assert.Equal(t, cooking.Timer{ID: 1, Name: "Simmer, soy milk", LengthS: 1200, State: "rings", LeftS: 0, OverS: 60}, at(6*time.Minute))
	assert.Equal(t, "rings", call[cooking.Timers](c, "POST", "/api/timers/1/hold", nil).Timers[0].State, "what is over stays over")
	assert.Equal(t, 1200, at(-3*time.Hour).LeftS, "with the clock set back, never more than it was set to")
	assert.Empty(t, call[cooking.Timers](c, "DELETE", "/api/timers/1", nil).Timers)
	assert.Empty(t, call[cooking.Timers](c, "DELETE", "/api/timers/1", nil).Timers, "another device had answered it")
}

func TestTimersThatCannotBe(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	for _, minutes := range []float64{0, -1, .001, 4321, 1e300} {
		assert.Equal(t, "body.minutes", c.refused("POST", "/api/timers", cooking.NewTimer{Name: "Soak", Minute: minutes}).Errors[0].Location, minutes)
	}
	assert.Equal(t, "body.name", c.refused("POST", "/api/timers", cooking.NewTimer{Name: "  ", Minute: 1}).Errors[0].Location)
	for range cooking.MaxTimers {
		call[cooking.Timers](c, "POST", "/api/timers", cooking.NewTimer{Name: "Soak", Minute: 1})
	}
	assert.Contains(t, c.refused("POST", "/api/timers", cooking.NewTimer{Name: "Soak", Minute: 1}).Errors[0].Message, "one timer too many")
}

func TestTheStepInFront(t *testing.T) {
	t.Parallel()
	c, p := planned(t)
	mark := func(step int, undo bool) planning.Front {
		return *call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: step, Undo: undo}).Items[0].Front
	}
	first := *p.Items[0].Front
	assert.Equal(t, 1, first.Place)
	assert.Equal(t, -1, first.Undo)
	assert.Empty(t, first.Wait)
	assert.Contains(t, p.Items[0].Steps[first.Step].Title, "in water to soak")

	second := mark(first.Step, false)
	assert.Contains(t, second.Wait, "Soak the almonds")
	assert.Equal(t, planning.Seconds(second.WaitUntil.Sub(c.now)), second.WaitS)
	assert.Equal(t, 2, second.Place)
	assert.False(t, second.TooEarly)
	assert.Equal(t, first, mark(second.Undo, true), "undone, it is in front again")

	at := mark(first.Step, false)
	for at.Step >= 0 {
		at = mark(at.Step, false)
	}
	assert.Equal(t, at.Of, at.Place)
	assert.True(t, call[planning.Plan](c, "GET", "/api/plan", nil).Items[0].Made)
}

// With the clock set back what was done stays done, the cook goes on, and
// nothing is planned before it.
func TestACookGoesOnWithTheClockSetBack(t *testing.T) {
	t.Parallel()
	c, p := planned(t)
	c.now = c.now.Add(9 * time.Hour)
	call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: p.Items[0].Front.Step, Ahead: true})
	c.now = c.now.Add(-2 * time.Hour)
	item := c.plan()
	require.NotNil(t, item.Steps[0].DoneAt)
	assert.Equal(t, 2, item.Front.Place)
	call[cooking.WeighedChange](c, "POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: item.Steps[0].Amounts[0].Key, MassG: 143, Taken: false})
	item = c.done(item.Front.Step)
	assert.Equal(t, 3, item.Front.Place)
	c.now = c.now.Add(5 * time.Hour)
	assert.Equal(t, 4, c.done(item.Front.Step).Front.Place)
}

func TestASoakBegunTooEarlyIsSaid(t *testing.T) {
	t.Parallel()
	now := time.Date(2026, 11, 24, 9, 30, 0, 0, time.UTC)
	planned := now.AddDate(0, 0, 2)
	steps := []plan.ItemStep{
		{Kind: "get ready", HandsOn: true, DoneAt: &now, End: planned},
		{Kind: "soak", Title: say.Of("soak", []string{"almonds"}), Start: planned, Most: planned.Add(12 * time.Hour)},
		{Kind: "drain", HandsOn: true, Start: planned.Add(10 * time.Hour)},
	}
	f := planning.InFront(steps, now.Add(time.Hour))
	assert.Equal(t, now.Add(12*time.Hour), *f.WaitUntil, "12 hours from when it was begun, not from when it was to be")
	assert.Equal(t, 11*3600, f.WaitS)
	assert.True(t, f.TooEarly && f.ToFridge)
	steps[1].Fridge = true
	assert.False(t, planning.InFront(steps, now).ToFridge, "it stands there already")
	assert.Zero(t, planning.InFront(steps, now.AddDate(0, 0, 1)).WaitS, "and is over")
}

func TestADeviceThatListensIsTold(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	url := listening(t, c.app)
	answer, err := http.Get(url + "/api/changes")
	require.NoError(t, err)
	defer func() { _ = answer.Body.Close() }()
	assert.Equal(t, "text/event-stream", answer.Header.Get("Content-Type"))
	event := streamed(answer.Body)
	assert.True(t, event(), "at once, for what was missed")
	call[cooking.Timers](c, "POST", "/api/timers", cooking.NewTimer{Name: "Soak", Minute: 1})
	assert.True(t, event())
	begun := time.Now()
	require.NoError(t, c.app.ShutdownWithTimeout(10*time.Second))
	assert.False(t, event(), "the stream ends")
	assert.Less(t, time.Since(begun), 9*time.Second, "and does not hold up closing")
}

// events reads a stream's events one by one; false where it has ended.
func streamed(stream io.Reader) func() bool {
	lines := bufio.NewScanner(stream)
	return func() bool {
		for lines.Scan() {
			if lines.Text() == "data: changed" {
				return true
			}
		}
		return false
	}
}

// BenchmarkCookStream is from a step being marked to two devices having heard.
func BenchmarkCookStream(b *testing.B) {
	c := newClient(b)
	url := listening(b, c.app)
	var hear []func() bool
	for range 2 {
		answer, err := http.Get(url + "/api/changes")
		require.NoError(b, err)
		b.Cleanup(func() { _ = answer.Body.Close() })
		event := streamed(answer.Body)
		require.True(b, event())
		hear = append(hear, event)
	}
	require.NoError(b, c.store.StartTimer("Soak", 3600))
	for b.Loop() {
		respond(b, "POST", url+"/api/timers/1/hold", nil)
		require.True(b, hear[0]() && hear[1]())
	}
}

// A cooked drink is told whether it comes down in time, what helps where it
// does not, and rings before it is too late.
// What is ground with boiling water is watched as it cools like what was boiled.
func TestWhatWasGroundHotIsCooled(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	hot := almondMilk()
	hot.Lines[1] = call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: "4 cups boiling water"}).Lines[0]
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: "Almond milk", Recipe: hot, Revision: 2})
	plan := call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-25T18:00"})
	for !plan.Items[0].Front.Cools {
		f := plan.Items[0].Front
		c.now = plan.Items[0].Steps[f.Step].End
		plan = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: f.Step})
	}
	ice := call[cooking.CoolingFigure](c, "POST", "/api/plan/items/1/cooling", cooking.CoolingWay{Bath: "ice bath", Vessels: 1})
	assert.True(t, ice.InTime)
	assert.InDelta(t, 98, ice.FromC, 1)
}

func TestCoolingIsWatched(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	cooked := almondMilk()
	cooked.Heat = "boil"
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: "Almond milk", Recipe: cooked, Revision: 2})
	plan := call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-25T18:00"})
	const path = "/api/plan/items/1/cooling"
	fridge := cooking.CoolingWay{Bath: "fridge", Vessels: 1}
	assert.Contains(t, c.refused("POST", path, fridge).Errors[0].Message, "is not cooling")
	for !plan.Items[0].Front.Cools {
		f := plan.Items[0].Front
		c.now = plan.Items[0].Steps[f.Step].End
		plan = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: f.Step})
	}
	slow := call[cooking.CoolingFigure](c, "POST", path, fridge)
	assert.False(t, slow.InTime)
	assert.Equal(t, 100., slow.FromC)
	assert.Contains(t, slow.Words, "Too slow: it reaches 21 °C at about")
	assert.NotEmpty(t, slow.Helps)
	ice := call[cooking.CoolingFigure](c, "POST", path, cooking.CoolingWay{Bath: "ice bath", Vessels: 1})
	assert.True(t, ice.InTime)
	assert.True(t, ice.Cold.Before(ice.ColdBy))

	rings := call[cooking.Timers](c, "POST", path+"/watch", fridge).Timers
	require.Len(t, rings, 2)
	assert.Contains(t, rings[0].Name, "Almond milk: 21 °C by")
	assert.Less(t, time.Duration(rings[0].LeftS)*time.Second, slow.FirstBy.Sub(c.now), "before it is too late")

	c.now = c.now.Add(time.Hour)
	measured := 60.
	warm := call[cooking.CoolingFigure](c, "POST", path, cooking.CoolingWay{Bath: "fridge", Vessels: 1, NowC: &measured})
	assert.False(t, warm.InTime)
	c.now = c.now.Add(30 * time.Minute)
	later := call[cooking.CoolingFigure](c, "POST", path, cooking.CoolingWay{Bath: "fridge", Vessels: 1, NowC: &measured, AgoS: 1800})
	assert.WithinDuration(t, *warm.First, *later.First, time.Second, "what was measured half an hour ago says the same")
	c.now = c.now.Add(-30 * time.Minute)
	for _, cannotBe := range []float64{100, 3} {
		assert.Equal(t, "body.nowC", c.refused("POST", path, cooking.CoolingWay{Bath: "fridge", Vessels: 1, NowC: &cannotBe}).Errors[0].Location)
	}
	c.now = slow.Began.Add(6 * time.Hour)
	still := 30.
	assert.Contains(t, call[cooking.CoolingFigure](c, "POST", path, cooking.CoolingWay{Bath: "fridge", Vessels: 1, NowC: &still}).Words, "Throw it away")
}
