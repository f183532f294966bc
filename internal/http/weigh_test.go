package http

import (
	"fmt"
	"net/http"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/plan"
	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/cooking"
	"plushladle/internal/app/notes"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/device"
	"plushladle/internal/kitchen"
)

// scripted is a scale that reads what a test says.
type scripted struct {
	mu       sync.Mutex
	readings chan device.Reading
	tares    int
	at       time.Time
}

func (s *scripted) Name() string { return "scripted scale" }

func (s *scripted) Connect() (<-chan device.Reading, error) {
	s.readings = make(chan device.Reading)
	return s.readings, nil
}

func (s *scripted) Tare() error {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.tares++
	return nil
}

func (s *scripted) Disconnect() {}

// rests lets the scale come to rest at a mass for two seconds.
func (s *scripted) rests(massG float64) {
	for range 20 {
		s.at = s.at.Add(100 * time.Millisecond)
		s.readings <- device.Reading{MassG: massG, Unit: "g", Steady: true, At: s.at}
	}
}

// onTheScale is a kitchen with a spiced almond milk on the plan and on the scale.
func onTheScale(t *testing.T, lines ...string) *client {
	t.Helper()
	c := newClient(t)
	drink := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Almond milk"})
	f := kitchen.New("us")
	for n, text := range lines {
		line := call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: text}).Lines[0]
		line.Key = fmt.Sprint("line-", n+1)
		f.Lines = append(f.Lines, line)
	}
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: "Almond milk", Recipe: f, Revision: drink.Revision})
	call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-25T14:00"})
	return c
}

func (c *client) plan() planning.PlanItem {
	return call[planning.Plan](c, "GET", "/api/plan", nil).Items[0]
}

func (c *client) done(step int) planning.PlanItem {
	return call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: step, Ahead: true}).Items[0]
}

func usedOfFront(i planning.PlanItem, n int) *plan.Weighed {
	return i.Steps[i.Front.Step].Amounts[n].Used
}

func TestAScaleWeighsOutLineByLine(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "200 g almonds", "800 g water", "20 g maple syrup, after straining", "1 g salt")
	now := call[cooking.ScaleNow](c, "POST", "/api/scale/connect", cooking.OnScale{ItemID: 1})
	assert.True(t, now.Connected)
	assert.Equal(t, "Almonds", now.Amount)
	assert.InDelta(t, 200, now.TargetG, .01)
	tares := c.scale.tares
	c.scale.rests(120)
	now = call[cooking.ScaleNow](c, "GET", "/api/scale", nil)
	assert.Equal(t, "under", string(now.Verdict))
	assert.InDelta(t, 80, now.ToGoG, .01)
	assert.Nil(t, usedOfFront(c.plan(), 0), "nothing is taken down before its time")
	c.scale.rests(203)
	assert.Eventually(t, func() bool { return c.plan().Front.Amount == -1 }, 5*time.Second, 5*time.Millisecond)
	used := usedOfFront(c.plan(), 0)
	assert.Equal(t, 203., used.MassG)
	assert.Equal(t, "scale", used.By)
	assert.Empty(t, call[cooking.ScaleNow](c, "GET", "/api/scale", nil).Key, "all of this step is weighed")
	assert.Greater(t, c.scale.tares, tares, "tared in between")

	item := c.done(c.plan().Front.Step)
	item = c.done(item.Front.Step) // drained
	require.Equal(t, "grind", item.Steps[item.Front.Step].Kind)
	assert.Equal(t, "Water", call[cooking.ScaleNow](c, "GET", "/api/scale", nil).Amount, "the soaked almonds go in whole")
	assert.Equal(t, "Salt", call[cooking.ScaleNow](c, "POST", "/api/scale/amount", cooking.ForAmount{Key: "line-4"}).Amount)
	assert.Equal(t, "body.key", c.refused("POST", "/api/scale/amount", cooking.ForAmount{Key: "line-3"}).Errors[0].Location, "syrup comes later")
}

// Whoever weighs is up: the rest follows at any hour, and the drink is ready later where
// it has to be.
func TestTheRestFollowsAtAnyHour(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "200 g almonds", "800 g water")
	k := app.Settings{
		System: "us", School: "cautious", FridgeC: 4, JugML: 1000, Theme: "day", Currency: "GBP", Measures: []string{}, KitchenC: 20, ScaleG: 1,
		HandsQuiet: "20:00-07:30", NoiseQuiet: "18:00-09:30",
	}
	call[app.SettingsNow](c, "PUT", "/api/kitchen", k)
	key := c.plan().Steps[c.plan().Front.Step].Amounts[0].Key
	for _, hour := range []int{20, 23, 26, 30} {
		c.now = time.Date(2026, 11, 25, 0, 0, 0, 0, time.UTC).Add(time.Duration(hour) * time.Hour)
		before := c.plan()
		call[cooking.WeighedChange](c, "POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: key, MassG: before.Steps[before.Front.Step].Amounts[0].MassG * 1.2})
		item := call[planning.Plan](c, "POST", "/api/plan/items/1/rescale", cooking.Rescale{Key: key}).Items[0]
		assert.Nil(t, item.Front.Over, hour)
		assert.Empty(t, item.Trouble)
		assert.False(t, item.ReadyBy.Before(before.ReadyBy), "not before it was asked for")
	}
}

func TestUnpluggedMidPourNothingIsLost(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "200 g almonds", "800 g water")
	call[cooking.ScaleNow](c, "POST", "/api/scale/connect", cooking.OnScale{ItemID: 1})
	c.scale.rests(130)
	close(c.scale.readings)
	gone := func() cooking.ScaleNow { return call[cooking.ScaleNow](c, "GET", "/api/scale", nil) }
	require.Eventually(t, func() bool { return !gone().Connected }, 5*time.Second, 5*time.Millisecond)
	assert.Contains(t, gone().Note, "The scale is disconnected.")
	assert.InDelta(t, 130, gone().MassG, .01, "what lay on it is remembered")
	now := call[cooking.ScaleNow](c, "POST", "/api/scale/connect", cooking.OnScale{ItemID: 1})
	assert.Empty(t, now.Note)
	c.scale.rests(70)
	require.Eventually(t, func() bool { return usedOfFront(c.plan(), 0) != nil }, 5*time.Second, 5*time.Millisecond)
	assert.Equal(t, 200., usedOfFront(c.plan(), 0).MassG, "before and after together")
	call[cooking.ScaleNow](c, "POST", "/api/scale/disconnect", nil)
	assert.Empty(t, gone().Note, "disconnected by the cook is no fault")
	assert.Equal(t, "body.massG", c.refused("POST", "/api/scale/take", nil).Errors[0].Location)
	assert.Equal(t, "body.pourG", c.refused("POST", "/api/scale/stand-in", cooking.Drive{PourG: 5}).Errors[0].Location)
}

func TestTooMuchIsTakenOrFollowed(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "200 g almonds", "800 g water", "20 g maple syrup, after straining")
	call[cooking.ScaleNow](c, "POST", "/api/scale/connect", cooking.OnScale{ItemID: 1})
	c.scale.rests(240)
	require.Eventually(t, func() bool { return c.plan().Front.Over != nil }, 5*time.Second, 5*time.Millisecond)
	item := c.plan()
	over := item.Front.Over
	assert.InDelta(t, 40, over.OverG, .01)
	assert.Contains(t, over.AsItIs, "fat ")
	assert.True(t, over.CanRescale)
	assert.Contains(t, over.Rescaled, "mL")
	assert.Equal(t, 0, item.Front.Amount, "it is not settled")
	key := item.Steps[item.Front.Step].Amounts[0].Key
	c.scale.rests(204)
	require.Eventually(t, func() bool { return c.plan().Front.Over == nil }, 5*time.Second, 5*time.Millisecond, "some was taken out again")

	weigh := func(g float64, taken bool) planning.PlanItem {
		change := call[cooking.WeighedChange](c, "POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: key, MassG: g, Taken: taken})
		item := c.plan()
		assert.Equal(t, item.Front, change.Front, "what is sent is what the plan says")
		assert.Equal(t, usedOfFront(item, 0), change.Used)
		return item
	}
	require.NotNil(t, weigh(250, false).Front.Over)
	assert.Nil(t, weigh(250, true).Front.Over, "taken as it is")
	require.NotNil(t, weigh(240, false).Front.Over)
	item = call[planning.Plan](c, "POST", "/api/plan/items/1/rescale", cooking.Rescale{Key: key}).Items[0]
	assert.Nil(t, item.Front.Over)
	assert.True(t, usedOfFront(item, 0).Settled)
	for _, s := range item.Steps {
		for _, a := range s.Amounts {
			switch {
			case a.Extra:
			case a.Name == "Water":
				assert.InDelta(t, 960, a.MassG, .1, "more water for more almonds")
			case a.Name == "Maple syrup":
				assert.InDelta(t, 24, a.MassG, .01)
			}
		}
	}
	assert.Equal(t, "body.massG", c.refused("POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: key, MassG: 0, Taken: false}).Errors[0].Location)
	assert.Equal(t, "body.key", c.refused("POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: "gone", MassG: 5, Taken: false}).Errors[0].Location)
	assert.Nil(t, call[cooking.WeighedChange](c, "DELETE", "/api/plan/items/1/weighings?key="+key, nil).Used)
	assert.Nil(t, usedOfFront(c.plan(), 0))

	weigh(240, true)
	call[cooking.WeighedChange](c, "POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: "taste/line-3", MassG: 6, Taken: false})
	assert.Empty(t, call[[]app.LearnedFigure](c, "GET", "/api/learned", nil))
	measured := 1120.
	call[planning.Plan](c, "POST", "/api/plan/items/1/batch", cooking.Bottling{MeasuredML: &measured, PulpG: nil, Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}}})
	assert.Len(t, call[[]app.LearnedFigure](c, "GET", "/api/learned", nil), 1, "of what was really used, and at once")
	used := call[notes.BatchPage](c, "GET", "/api/batches/1", nil).Used
	assert.InDelta(t, 200, used[0].PlannedG, .01, "what was planned first")
	assert.Equal(t, 240., used[0].UsedG)
	assert.Equal(t, 1, call[notes.BatchPage](c, "GET", "/api/batches/1", nil).Version, "the version is the one that was planned")
	last := used[len(used)-1]
	assert.Equal(t, "Maple syrup", last.Name)
	assert.Equal(t, 6., last.UsedG, "more of it, to taste")
}

// What was really used, and when, is on the batch; what was left open is worked
// back from the milk and the pulp.
func TestABatchRecordsHowItWasReallyMade(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "200 g almonds", "water", "20 g maple syrup, after straining", "1 g salt")
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 1000})
	item := c.plan()
	require.Len(t, item.Ready.Lines, 3)
	assert.Equal(t, 2, item.Ready.Short, "syrup and salt are not in")
	assert.NotEmpty(t, item.Ready.Tools)
	key := item.Steps[0].Amounts[0].Key
	call[cooking.WeighedChange](c, "POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: key, MassG: 204, Taken: false})
	begun := c.now
	item = c.done(0)
	assert.Nil(t, item.Ready, "it is begun")
	c.now = c.now.Add(12 * time.Hour)
	for item.Steps[item.Front.Step].Kind != "stir in" {
		item = c.done(item.Front.Step)
	}
	item = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: item.Front.Step, Skip: true}).Items[0]
	for item.Steps[item.Front.Step].Kind != "bottle" {
		item = c.done(item.Front.Step)
	}
	measured, pulp := 840., 330.
	assert.Equal(t, "body.bottles", c.refused("POST", "/api/plan/items/1/batch", cooking.Bottling{MeasuredML: &measured, PulpG: &pulp, Bottles: []shelf.NewBottle{{VolumeML: 2000, Place: "fridge"}}}).Errors[0].Location)
	item = call[planning.Plan](c, "POST", "/api/plan/items/1/batch", cooking.Bottling{MeasuredML: &measured, PulpG: &pulp, Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}, {VolumeML: 300, Place: "freezer"}}}).Items[0]
	assert.Equal(t, int64(1), item.BatchID)
	assert.Equal(t, "wash up", item.Steps[item.Front.Step].Kind)
	status, _, _ := c.send(request("POST", "/api/plan/items/1/batch", cooking.Bottling{MeasuredML: &measured, PulpG: nil, Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}}}))
	assert.Equal(t, http.StatusConflict, status, "bottled once")

	assert.Empty(t, call[[]app.LearnedFigure](c, "GET", "/api/learned", nil), "the water was worked back from the yield: nothing is left to learn from")
	b := call[notes.BatchPage](c, "GET", "/api/batches/1", nil)
	how := map[string]kitchen.UsedLine{}
	for _, l := range b.Used {
		how[l.Name] = l
	}
	assert.Equal(t, "typed", how["Almonds"].How)
	assert.Equal(t, 204., how["Almonds"].UsedG)
	assert.Equal(t, "left out", how["Maple syrup"].How)
	water := how["Water"]
	assert.Equal(t, "worked back", water.How)
	assert.InDelta(t, 900, water.UsedG, 60)
	assert.Less(t, water.LeastG, water.UsedG)
	assert.Equal(t, pulp, *b.PulpG)
	assert.True(t, b.Times[0].DoneAt.Equal(begun), "when it really was")
	assert.Len(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Bottles, 2)
	assert.InDelta(t, 1000-204, call[pantry.Pantry](c, "GET", "/api/pantry", nil).Ingredients[0].StockG, .01, "what was really used is out of the pantry")
	call[planning.Plan](c, "DELETE", "/api/plan/items/1", nil)
	assert.InDelta(t, 1000-204, call[pantry.Pantry](c, "GET", "/api/pantry", nil).Ingredients[0].StockG, .01, "and not twice")
}

func TestSoyIsNeverLeftRaw(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "100 g soybeans", "700 g water")
	drink := call[bench.Drink](c, "GET", "/api/drinks/1", nil)
	f := drink.Draft
	f.Heat, f.CookMin = "simmer", 15
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: "Soy", Recipe: f, Revision: drink.Revision})
	call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-26T14:00"})
	p := call[planning.Plan](c, "GET", "/api/plan", nil)
	for n, s := range p.Items[1].Steps {
		if s.Kind == "heat" {
			refused := c.refused("POST", "/api/plan/items/2/done", planning.Done{Step: n, Skip: true})
			assert.Contains(t, refused.Errors[0].Message, "must not be drunk raw")
			return
		}
	}
	t.Fatal("it has no step of heating")
}

func TestABowlIsDrawnFrom(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 1000})
	p := call[planning.Plan](c, "POST", "/api/bowls", planning.NewBowl{Ingredient: "almond", DryG: 300, Fridge: true})
	require.Len(t, p.Bowls, 1)
	bowl := p.Bowls[0]
	assert.InDelta(t, 300*1.45, bowl.WetG, .01)
	assert.Equal(t, c.now.Add(36*time.Hour), bowl.Within.UTC())
	assert.Contains(t, p.Next[0].Title, "Change the water of the almonds")
	assert.Contains(t, bowl.Enough, "no planned drink")
	assert.InDelta(t, 700, call[pantry.Pantry](c, "GET", "/api/pantry", nil).Ingredients[0].StockG, .01)
	c.now = c.now.Add(23 * time.Hour)
	p = call[planning.Plan](c, "PUT", "/api/bowls/1", planning.BowlChange{FreshWater: true, Fridge: true})
	assert.Equal(t, c.now, p.Bowls[0].Changed.UTC())

	p = call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, StartNow: true, BowlID: 1})
	assert.Contains(t, p.Items[0].Steps[0].Title, "from the bowl")
	assert.Contains(t, p.Bowls[0].Enough, "157 g left over")
	assert.Empty(t, p.ToBuy, "what soaks is not bought again")
	p = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: 0})
	assert.InDelta(t, 157, p.Bowls[0].DryG, .1)
	p = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: 0, Undo: true})
	assert.InDelta(t, 300, p.Bowls[0].DryG, .1, "given back")
	call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: 0})
	p = call[planning.Plan](c, "POST", "/api/bowls/1/top-up", planning.MoreIn{DryG: 100})
	assert.InDelta(t, 257, p.Bowls[0].DryG, .1)

	assert.Equal(t, "body.ingredient", c.refused("POST", "/api/bowls", planning.NewBowl{Ingredient: "hemp", DryG: 300, Fridge: true}).Errors[0].Location)
	call[planning.Plan](c, "POST", "/api/bowls", planning.NewBowl{Ingredient: "cashew", DryG: 300, Fridge: true})
	assert.Equal(t, "body.bowlID", c.refused("POST", "/api/plan/items", planning.NewItem{DrinkID: 1, StartNow: true, BowlID: 2}).Errors[0].Location)
	c.now = c.now.Add(30 * time.Hour)
	p = call[planning.Plan](c, "GET", "/api/plan", nil)
	assert.True(t, p.Bowls[0].Past)
	assert.Equal(t, "body.dryG", c.refused("POST", "/api/bowls/1/top-up", planning.MoreIn{DryG: 100}).Errors[0].Location)
	assert.Equal(t, "body.fridge", c.refused("PUT", "/api/bowls/1", planning.BowlChange{}).Errors[0].Location)
	assert.Len(t, call[planning.Plan](c, "DELETE", "/api/bowls/1", nil).Bowls, 1)
}

func TestABlockIsMovedAndLetGo(t *testing.T) {
	t.Parallel()
	c, p := planned(t)
	block := p.Items[0].Blocks[1]
	earlier := block.From.Add(-15 * time.Minute)
	to := planning.BlockAt{At: earlier.Format(time.RFC3339)}
	tried := call[planning.Plan](c, "POST", "/api/plan/items/1/blocks/1/tries", to)
	assert.True(t, tried.Items[0].Blocks[1].From.Equal(earlier))
	assert.True(t, c.plan().Blocks[1].From.Equal(block.From), "a try keeps nothing")
	moved := call[planning.Plan](c, "PUT", "/api/plan/items/1/blocks/1", to)
	assert.True(t, moved.Items[0].Blocks[1].Pinned)
	assert.True(t, moved.Items[0].Blocks[0].From.Before(p.Items[0].Blocks[0].From), "the soak before it follows")
	refused := c.refused("PUT", "/api/plan/items/1/blocks/1", planning.BlockAt{At: "2026-11-25T03:00"})
	assert.Equal(t, "body.at", refused.Errors[0].Location)
	assert.Contains(t, refused.Errors[0].Message, "it can start from Tue 15:40 to Wed 10:30")
	assert.True(t, c.plan().Blocks[1].From.Equal(earlier), "it stays where it was")
	free := call[planning.Plan](c, "DELETE", "/api/plan/items/1/blocks", nil)
	assert.True(t, free.Items[0].Blocks[1].From.Equal(block.From))
	c.done(0)
	assert.Equal(t, "body.at", c.refused("PUT", "/api/plan/items/1/blocks/0", to).Errors[0].Location, "what is begun is not moved")
}

// Recording a weight moves what changed, not the plan: with the event that tells the
// others of it, under two kilobytes, also where it went over.
func TestAWeighingIsSmall(t *testing.T) {
	t.Parallel()
	c := onTheScale(t, "200 g almonds", "800 g water", "20 g maple syrup, after straining", "1 g salt", "2 dates", "1/2 tsp cinnamon")
	key := c.plan().Steps[0].Amounts[0].Key
	_, whole, _ := c.send(request("GET", "/api/plan", nil))
	for _, g := range []float64{200, 260} {
		_, change, _ := c.send(request("POST", "/api/plan/items/1/weighings", cooking.WeighedNow{Key: key, MassG: g, Taken: false}))
		assert.Less(t, 2*len(change), 2000, change)
		assert.Less(t, 4*len(change), len(whole))
	}
}
