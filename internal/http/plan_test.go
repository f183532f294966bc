package http

import (
	"fmt"
	"net/http"
	"regexp"
	"strings"
	"testing"
	"time"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// planned is a kitchen with a version of almond milk on the plan. It is
// Tuesday the 24th, 09:30.
func planned(t *testing.T) (*client, planning.Plan) {
	t.Helper()
	c := newClient(t)
	c.begun()
	return c, call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-25T14:00"})
}

func step(t *testing.T, p planning.Plan, kind string) (planning.ItemStep, int) {
	t.Helper()
	for n, s := range p.Items[0].Steps {
		if s.Kind == kind {
			return s, n
		}
	}
	t.Fatalf("there is no step %q", kind)
	return planning.ItemStep{}, 0
}

func TestADrinkIsPlannedBackwardsFromWhenItIsWanted(t *testing.T) {
	t.Parallel()
	_, p := planned(t)
	require.Len(t, p.Items, 1)
	assert.InDelta(t, p.Items[0].ML, p.VolumeML, 1e-9)
	soak, _ := step(t, p, "soak")
	assert.Equal(t, 12*time.Hour, soak.End.Sub(soak.Start))
	grind, _ := step(t, p, "grind")
	assert.Greater(t, grind.Start.Hour()*60+grind.Start.Minute(), 7*60+29, "no blender in the quiet")
	chill, _ := step(t, p, "chill")
	assert.Equal(t, "2026-11-25T14:00:00Z", chill.End.UTC().Format(time.RFC3339))
	assert.Equal(t, 2, p.Visits)
	assert.NotEmpty(t, p.Quiet)
	require.NotEmpty(t, p.Next)
	assert.Contains(t, p.Next[0].Title, "almonds")
	assert.False(t, p.Late)
	assert.True(t, p.Proved)
	assert.Zero(t, p.More, "only the soak is put in this evening")
}

func TestWhatDoesNotFitIsSaidAndNothingIsKept(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	p := c.refused("POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-24T15:00"})
	assert.Equal(t, "body.readyBy", p.Errors[0].Location)
	assert.Contains(t, p.Errors[0].Message, "not enough time")
	assert.Contains(t, p.Errors[0].Message, "it could be ready by")
	c.now = time.Date(2026, 11, 24, 20, 0, 0, 0, time.UTC)
	p = c.refused("POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-25T09:00"})
	assert.Contains(t, p.Errors[0].Message, "quiet hours")
	for _, when := range []string{"soon", "2026-11-20T09:00", "2027-11-20T09:00"} {
		assert.Equal(t, "body.readyBy", c.refused("POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: when}).Errors[0].Location)
	}
	assert.Empty(t, call[planning.Plan](c, "GET", "/api/plan", nil).Items)
	call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "nothing yet"})
	assert.Contains(t, c.refused("POST", "/api/plan/items", planning.NewItem{DrinkID: 2, ReadyBy: "2026-11-26T09:00"}).Errors[0].Message, "has no yield yet")
	assert.Equal(t, http.StatusNotFound, c.refused("POST", "/api/plan/items", planning.NewItem{DrinkID: 9, ReadyBy: "2026-11-26T09:00"}).Status)
}

func TestTryingIsNotKeeping(t *testing.T) {
	t.Parallel()
	c, p := planned(t)
	tried := call[planning.Plan](c, "POST", "/api/plan/items/1/tries", planning.ReadyBy{ReadyBy: "2026-11-25T18:00"})
	assert.NotEqual(t, p.Items[0].Steps[0].Start, tried.Items[0].Steps[0].Start)
	assert.Equal(t, p.Items[0].ReadyBy.UTC(), call[planning.Plan](c, "GET", "/api/plan", nil).Items[0].ReadyBy.UTC())
	moved := call[planning.Plan](c, "PUT", "/api/plan/items/1", planning.ReadyBy{ReadyBy: "2026-11-25T18:00"})
	assert.True(t, tried.Items[0].Steps[0].Start.Equal(moved.Items[0].Steps[0].Start))
}

// Begun two hours late, the rest follows from when it really began.
func TestItFollowsWhatReallyHappened(t *testing.T) {
	t.Parallel()
	c, p := planned(t)
	first := p.Items[0].Steps[0]
	c.now = first.End.Add(2 * time.Hour)
	late := call[planning.Plan](c, "GET", "/api/plan", nil)
	assert.True(t, late.Late)
	assert.True(t, late.Next[0].Late)
	after := call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: 0})
	assert.True(t, after.Items[0].Steps[0].DoneAt.Equal(c.now))
	soak, _ := step(t, after, "soak")
	assert.True(t, soak.Start.After(c.now.Add(-6*time.Minute)), "the soak begins when it was put in")
	undone := call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: 0, Undo: true})
	assert.Nil(t, undone.Items[0].Steps[0].DoneAt)
	assert.Equal(t, "body.step", c.refused("POST", "/api/plan/items/1/done", planning.Done{Step: 1}).Errors[0].Location, "a soak is not done by hand")

	c.now = p.Items[0].ReadyBy
	_, wash := step(t, after, "wash up")
	made := call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: wash, Ahead: true})
	assert.True(t, made.Items[0].Made)
	assert.Empty(t, made.Next)
	assert.Empty(t, call[planning.Plan](c, "DELETE", "/api/plan/items/1", nil).Items)
}

func TestWhatToBuy(t *testing.T) {
	t.Parallel()
	c, p := planned(t)
	require.Len(t, p.ToBuy, 1, "water is from the tap")
	assert.InDelta(t, 143, p.ToBuy[0].BuyG, .1)
	assert.Zero(t, p.ToBuy[0].Packs)
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 2, Pack: "100 g"})
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 30})
	p = call[planning.Plan](c, "GET", "/api/plan", nil)
	assert.InDelta(t, 113, p.ToBuy[0].BuyG, .1)
	assert.Equal(t, 2, p.ToBuy[0].Packs)
	p = call[planning.Plan](c, "POST", "/api/plan/bought", planning.Bought{Ingredient: "almond", MassG: p.ToBuy[0].PacksG})
	assert.Zero(t, p.ToBuy[0].BuyG)
	assert.InDelta(t, 230, p.ToBuy[0].HaveG, .1)
	c.now = p.Items[0].ReadyBy
	_, wash := step(t, p, "wash up")
	call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: wash, Ahead: true})
	call[planning.Plan](c, "DELETE", "/api/plan/items/1", nil)
	thePantry := call[pantry.Pantry](c, "GET", "/api/pantry", nil)
	assert.InDelta(t, 230-143, thePantry.Ingredients[0].StockG, .1, "what was made is used up")
}

// Source: RFC 5545: lines end in CRLF and are at most 75 octets (3.1); a
// VEVENT has UID and DTSTAMP (3.6.1); times in UTC end in Z (3.3.5).
func TestTheCalendarKeepsToItsStandard(t *testing.T) {
	t.Parallel()
	c, _ := planned(t)
	text := func() string {
		status, body, header := c.send(request("GET", "/api/plan.ics", nil))
		require.Equal(t, http.StatusOK, status)
		assert.Contains(t, header.Get("Content-Type"), "text/calendar")
		return body
	}
	before := text()
	assert.Equal(t, strings.Count(before, "\n"), strings.Count(before, "\r\n"))
	for _, line := range strings.Split(before, "\r\n") {
		assert.LessOrEqual(t, len(line), 75, line)
	}
	assert.True(t, strings.HasPrefix(before, "BEGIN:VCALENDAR\r\n"))
	assert.True(t, strings.HasSuffix(before, "END:VCALENDAR\r\n"))
	for what, count := range map[string]int{
		"BEGIN:VEVENT": 2, "UID:plan-1-": 2, "DTSTAMP:20261124T093000Z": 2, "SEQUENCE:1": 2, "BEGIN:VALARM": 2, "TRIGGER:-PT10M": 2, "END:VEVENT": 2, "VERSION:2.0": 1,
	} {
		assert.Equal(t, count, strings.Count(before, what), what)
	}
	assert.Len(t, regexp.MustCompile(`DTSTART:\d{8}T\d{6}Z\r\n`).FindAllString(before, -1), 2)
	call[planning.Plan](c, "PUT", "/api/plan/items/1", planning.ReadyBy{ReadyBy: "2026-11-25T18:00"})
	after := text()
	uid := regexp.MustCompile(`UID:\S+`)
	assert.Equal(t, uid.FindAllString(before, -1), uid.FindAllString(after, -1), "it is the same task")
	assert.Equal(t, 2, strings.Count(after, "SEQUENCE:2"), "at another time")
}

func TestQuietHoursThatCannotBe(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	k := app.Settings{System: "us", School: "cautious", FridgeC: 4, JugML: 1000, Theme: "day", Currency: "GBP", Measures: []string{}, KitchenC: 20}
	for _, quiet := range []string{"night", "22:30", "25:00-06:00", "22:70-06:00"} {
		k.HandsQuiet = quiet
		assert.Equal(t, "body.handsQuiet", c.refused("PUT", "/api/kitchen", k).Errors[0].Location)
	}
}

// A bowl that drinks draw from is not emptied unasked; without it they soak for themselves. What
// it is short of is to be bought, and its water is not due after it is to be used up.
func TestABowlThatIsDrawnFrom(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	call[planning.Plan](c, "POST", "/api/bowls", planning.NewBowl{Ingredient: "almond", DryG: 100, Fridge: true})
	p := call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: "2026-11-25T14:00", BowlID: 1})
	require.Len(t, p.ToBuy, 1)
	assert.InDelta(t, 43, p.ToBuy[0].NeedG, .1, "143 g wanted, 100 in the bowl")
	assert.False(t, p.Bowls[0].ChangeBy.After(p.Bowls[0].Within))
	asked := c.refused("DELETE", "/api/bowls/1", nil)
	assert.Equal(t, "body.anyway", asked.Errors[0].Location)
	assert.Contains(t, asked.Errors[0].Message, "Almond milk draws from this bowl")
	require.Len(t, call[planning.Plan](c, "GET", "/api/plan", nil).Bowls, 1, "nothing was done")
	p = call[planning.Plan](c, "DELETE", "/api/bowls/1?anyway=true", nil)
	assert.Empty(t, p.Bowls)
	assert.Zero(t, p.Items[0].BowlID)
	step(t, p, "soak")
	assert.InDelta(t, 143, p.ToBuy[0].NeedG, .1)
}

// What was marked stands there with what it marked along, and is taken back together.
func TestWhatWasMarkedIsTakenBack(t *testing.T) {
	t.Parallel()
	c, p := planned(t)
	assert.Empty(t, p.Marked)
	_, strain := step(t, p, "strain")
	c.now = p.Items[0].Steps[strain].End
	p = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: strain, Ahead: true})
	require.Len(t, p.Marked, 1)
	marked := p.Marked[0]
	assert.Greater(t, len(marked.Titles), 3)
	assert.Zero(t, marked.Step)
	c.now = c.now.Add(10 * time.Minute)
	_, bottle := step(t, p, "bottle")
	p = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: bottle, Ahead: true})
	require.Len(t, p.Marked, 2)
	assert.Equal(t, strain+1, p.Marked[0].Step, "the latest first")
	p = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: p.Marked[0].Step, Undo: true})
	require.Len(t, p.Marked, 1)
	p = call[planning.Plan](c, "POST", "/api/plan/items/1/done", planning.Done{Step: marked.Step, Undo: true})
	assert.Empty(t, p.Marked)
	for _, s := range p.Items[0].Steps {
		assert.Nil(t, s.DoneAt)
	}
}

// A drink that no longer fits says so for itself, with when it would; the others are planned on.
func TestOneThatNoLongerFitsIsInNoOthersWay(t *testing.T) {
	t.Parallel()
	c, _ := planned(t)
	other := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Oat milk"})
	oats := almondMilk()
	oats.Lines[0].Ingredient, oats.Lines[0].Note = "oats", ""
	call[bench.Drink](c, "PUT", "/api/drinks/2/draft", bench.Draft{Name: other.Name, Recipe: oats, Revision: other.Revision})
	call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 2, ReadyBy: "2026-11-27T14:00"})
	c.now = time.Date(2026, 11, 25, 12, 0, 0, 0, time.UTC) // too late for the first to be begun
	p := call[planning.Plan](c, "POST", "/api/plan/anew", nil)
	require.Len(t, p.Items, 2)
	assert.Contains(t, p.Items[0].Trouble, p.Items[0].Name)
	assert.Contains(t, p.Items[0].Trouble, "it could be ready by")
	assert.Empty(t, p.Items[1].Trouble)
	assert.True(t, p.Items[1].Steps[0].Start.After(c.now))
	p = call[planning.Plan](c, "POST", fmt.Sprintf("/api/plan/items/%d/done", p.Items[1].ID), planning.Done{Step: 0, Ahead: true})
	assert.Len(t, p.Marked, 1, "and worked on")
}
