package http

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/keep"
	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
)

// shelved is a kitchen with half a litre of almond milk in the fridge and a
// fifth in the freezer, made now: Tuesday the 24th, 09:30.
func shelved(t *testing.T) *client {
	t.Helper()
	c := newClient(t)
	c.begun()
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{MadeOn: "2026-11-24", Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}, {VolumeML: 200, Place: "freezer"}}})
	return c
}

func (c *client) bottle(id int64) shelf.Bottle {
	return call[shelf.Story](c, "GET", fmt.Sprintf("/api/bottles/%d/story", id), nil).Bottle
}

func TestADateFollowsWhereTheBottleStood(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	assert.Equal(t, "2026-11-26", c.bottle(1).UseBy)
	c.now = c.now.Add(24 * time.Hour)
	frozen := call[shelf.Bottle](c, "POST", "/api/bottles/1/move", shelf.Moved{Place: "freezer"})
	assert.Equal(t, "2026-12-24", frozen.UseBy, "30 days, the day it is frozen being day 1")
	c.now = c.now.Add(10 * 24 * time.Hour)
	thawing := call[shelf.Bottle](c, "POST", "/api/bottles/1/move", shelf.Moved{Place: "fridge"})
	assert.NotEmpty(t, thawing.Thawing)
	assert.False(t, thawing.CanFreeze)
	assert.Equal(t, "2026-12-06", thawing.UseBy, "half a day to thaw, and two days")
	assert.Equal(t, "body.place", c.refused("POST", "/api/bottles/1/move", shelf.Moved{Place: "freezer"}).Errors[0].Location, "frozen once")
	call[shelf.Bottle](c, "POST", "/api/bottles/1/move", shelf.Moved{Place: "outside"})
	c.now = c.now.Add(3 * time.Hour)
	out := c.bottle(1)
	assert.Contains(t, out.Out, "3 hours outside the fridge in all")
	assert.Equal(t, "past", out.Standing)
	assert.False(t, out.OtherGood, "no school overrides that")
	story := call[shelf.Story](c, "GET", "/api/bottles/1/story", nil).Events
	require.Len(t, story, 5)
	assert.Contains(t, story[0].What, "filled with 500 mL")
	assert.Contains(t, story[3].What, "moved to the counter")
	assert.Contains(t, story[4].What, "above 5 °C")
}

func TestAWarmFridgeCostsLife(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	var file strings.Builder
	file.WriteString("time,temp_c\n")
	for n := range 24 * 4 {
		tempC := 4.
		if n >= 20 && n < 28 { // two hours at 9 °C
			tempC = 9
		}
		fmt.Fprintf(&file, "%s,%g\n", c.now.Add(time.Duration(n)*15*time.Minute).Format(time.RFC3339), tempC)
	}
	file.WriteString("soon,4\n")
	c.now = c.now.Add(24 * time.Hour)
	look := c.importsReadings(file.String())
	assert.Equal(t, 96, look.Readings)
	assert.Equal(t, "soon,4", look.Refused[0].Text)
	require.Len(t, look.Costs, 1, "shown before anything is taken in")
	assert.Contains(t, look.Costs[0].Words, "0.1 days less, use by Fri 27 Nov, morning")
	b := c.bottle(1)
	assert.Contains(t, b.Reasons[0], "fridge warmer than 4 °C: 0.1 days shorter")
	assert.Equal(t, "2026-11-26", b.UseBy)
	assert.Equal(t, "Fri 27 Nov, morning", b.UseByWords)
	assert.True(t, b.UseByAt.Before(c.now.Add(48*time.Hour)), "less than the two days that were left")
	seen := call[shelf.Thermo](c, "GET", "/api/thermometer", nil)
	require.Len(t, seen.Spells, 1)
	assert.InDelta(t, 2, seen.Spells[0].To.Sub(seen.Spells[0].From).Hours(), .01)
	assert.Empty(t, seen.Note)
	c.now = c.now.Add(5 * time.Hour)
	assert.Contains(t, call[shelf.Thermo](c, "GET", "/api/thermometer", nil).Note, "without a reading was 5.2 hours")
	_, csv, _ := c.send(request("GET", "/api/thermometer.csv", nil))
	assert.Equal(t, 97, strings.Count(csv, "\n"))
	sent := call[shelf.SentReadings](c, "POST", readingsPath, "a shopping list")
	assert.Equal(t, "body.file", c.refused("POST", fmt.Sprintf("%s/%d/look", readingsPath, sent.ID), shelf.ReadAs{}).Errors[0].Location)
}

// importsReadings sends a file, looks at it, and takes it in as it was shown.
func (c *client) importsReadings(file string) shelf.FoundReadings {
	sent := call[shelf.SentReadings](c, "POST", readingsPath+"?name=fridge.csv", file)
	look := call[shelf.FoundReadings](c, "POST", fmt.Sprintf("%s/%d/look", readingsPath, sent.ID), shelf.ReadAs{})
	call[shelf.ImportedReadings](c, "POST", fmt.Sprintf("%s/%d/import", readingsPath, sent.ID), shelf.ReadAs{Order: look.Order, Scale: look.Scale})
	return look
}

// A file with the day first, in °F, with an hour that is read already and one still to come: all
// of it is said before it is taken in, and only what the file brought goes with it again.
func TestAFileOfReadingsIsLookedAtFirst(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	c.now = c.now.Add(24 * time.Hour)
	at := func(minutes int) time.Time { return c.now.Add(time.Duration(minutes-600) * time.Minute) }
	c.importsReadings("time,temp_c\n" + at(0).Format(time.RFC3339) + ",4\n" + at(10).Format(time.RFC3339) + ",4\n")
	var file strings.Builder
	file.WriteString("\uFEFFsep=;\r\nDatum;Temperatur °F\r\n")
	for m := 0; m <= 300; m += 10 {
		fmt.Fprintf(&file, "%s;59,0\r\n", at(m).Format("02/01/2006 15:04"))
	}
	fmt.Fprintf(&file, "%s;59,0\r\n%s;39,2\r\n", at(300).Format("02/01/2006 15:04"), c.now.Add(24*time.Hour).Format("02/01/2006 15:04"))
	sent := call[shelf.SentReadings](c, "POST", readingsPath+"?name=probe.csv", file.String())
	path := fmt.Sprintf("%s/%d", readingsPath, sent.ID)
	look := call[shelf.FoundReadings](c, "POST", path+"/look", shelf.ReadAs{})
	assert.Equal(t, []string{"dmy", "f", "true"}, []string{look.Order, look.Scale, fmt.Sprint(look.SaysScale)})
	assert.Equal(t, 29, look.Readings, "of 31 moments two were there")
	assert.Contains(t, look.ReadsAs, "15.0 °C")
	said := strings.Join(look.Summary, " ")
	for _, what := range []string{"31 readings from", "once: 1.", "left as they are: 2.", "in the future: 1."} {
		assert.Contains(t, said, what)
	}
	require.Len(t, look.Costs, 1)
	assert.Contains(t, look.Costs[0].Words, "throw it away", "above 10 °C for more than two hours")
	assert.Empty(t, c.bottle(1).Out, "nothing is taken in yet")
	as := call[shelf.FoundReadings](c, "POST", path+"/look", shelf.ReadAs{Order: "ymd"})
	assert.NotEmpty(t, as.Problem, "no date can be read with the year first")
	as = call[shelf.FoundReadings](c, "POST", path+"/look", shelf.ReadAs{Scale: "c"})
	assert.NotEmpty(t, as.Problem, "no fridge is at 59 °C")
	c.refused("POST", path+"/import", shelf.ReadAs{Scale: "c"})
	done := call[shelf.ImportedReadings](c, "POST", path+"/import", shelf.ReadAs{Order: "dmy", Scale: "f"})
	require.Len(t, done.Thermo.Imports, 2)
	assert.Contains(t, done.Thermo.Imports[0].Words, "29 readings imported on")
	assert.NotEmpty(t, c.bottle(1).Out)
	call[shelf.Thermo](c, "DELETE", fmt.Sprintf("/api/thermometer/imports/%d", done.Import.ID), nil)
	assert.Empty(t, c.bottle(1).Out, "taken back")
	_, csv, _ := c.send(request("GET", "/api/thermometer.csv", nil))
	assert.Equal(t, 1+2, strings.Count(csv, "\n"), "what was there before is there still")
	assert.Equal(t, "body.file", c.refused("POST", path+"/look", shelf.ReadAs{}).Errors[0].Location, "the file is let go")
}

func TestAPourIsTakenBack(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{ML: 100})
	assert.InDelta(t, 500, call[shelf.Bottle](c, "POST", "/api/bottles/1/undo-pour", nil).LeftML, .01)
	status, _, _ := c.send(request("POST", "/api/bottles/1/undo-pour", nil))
	assert.Equal(t, 409, status, "there is nothing more to take back")
	call[shelf.Bottle](c, "POST", "/api/bottles/1/finish", nil)
	assert.Len(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Bottles, 1)
	assert.Equal(t, "in use", call[shelf.Bottle](c, "POST", "/api/bottles/1/undo-pour", nil).State, "finished by mistake")
	call[shelf.Bottle](c, "POST", "/api/bottles/1/throw-out", shelf.Why{Why: "sour"})
	status, _, _ = c.send(request("POST", "/api/bottles/1/undo-pour", nil))
	assert.Equal(t, 409, status, "thrown out is thrown out")
}

func TestTheStandInThermometerIsRead(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	assert.True(t, call[shelf.Thermo](c, "POST", "/api/thermometer/connect", nil).Connected)
	c.now = time.Now()
	assert.Eventually(t, func() bool { return call[shelf.Thermo](c, "GET", "/api/thermometer", nil).LastC != nil }, 5*time.Second, 10*time.Millisecond)
	for _, what := range []string{"door", "power cut", "warm load", "silence", "nonsense"} {
		call[shelf.Thermo](c, "POST", "/api/thermometer/stand-in", shelf.FridgeDrive{What: what, Minutes: 5})
	}
	assert.False(t, call[shelf.Thermo](c, "POST", "/api/thermometer/disconnect", nil).Connected)
}

// Two leftovers poured together keep as short as the shorter; a full bottle is
// not topped up onto an old one.
func TestLeftoversArePouredTogether(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	c.now = c.now.Add(24 * time.Hour)
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{MadeOn: "2026-11-25", Bottles: []shelf.NewBottle{{VolumeML: 700, Place: "fridge"}}})
	merge := func(id, other int64) string {
		return c.refused("POST", fmt.Sprintf("/api/bottles/%d/merge", id), shelf.MergeInto{Other: other}).Errors[0].Message
	}
	assert.Contains(t, merge(1, 3), "one of them is full")
	assert.Contains(t, merge(1, 1), "two bottles in use")
	call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{ML: 300})
	call[shelf.Bottle](c, "POST", "/api/bottles/3/pours", shelf.Poured{ML: 100})
	assert.Contains(t, merge(3, 1), "together they are 800 mL, and the larger bottle holds 700 mL")
	assert.Contains(t, merge(1, 2), "thaw first")
	pour := func() string {
		return c.refused("POST", "/api/bottles/2/pours", shelf.Poured{ML: 50}).Errors[0].Message
	}
	assert.Contains(t, pour(), "frozen")
	call[shelf.Bottle](c, "POST", "/api/bottles/3/pours", shelf.Poured{ML: 200})
	old, fresh := c.bottle(1), c.bottle(3)
	whole := call[shelf.Bottle](c, "POST", "/api/bottles/3/merge", shelf.MergeInto{Other: 1})
	assert.Equal(t, old.UseBy, whole.UseBy)
	assert.Less(t, whole.UseBy, fresh.UseBy)
	assert.InDelta(t, 600, whole.LeftML, .01)
	assert.Equal(t, 500., whole.VolumeML, "what was filled stays what was filled")
	story := call[shelf.Story](c, "GET", "/api/bottles/1/story", nil)
	var told strings.Builder
	for _, e := range story.Events {
		told.WriteString(e.What + "\n")
	}
	for _, want := range []string{"filled with 500 ml", "300 ml poured", "400 ml poured in from bottle 3", "bottle 3: filled with 700 ml", "bottle 3: 200 ml poured"} {
		assert.Contains(t, strings.ToLower(told.String()), want)
	}
	undone := call[shelf.Bottle](c, "POST", "/api/bottles/1/undo-pour", nil)
	assert.InDelta(t, 700, undone.LeftML, .01, "no more than the larger of the two holds")
	assert.Len(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Bottles, 2)
}

// What thaws is neither poured nor poured onto until it has.
func TestAThawingBottleIsLeftAlone(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{ML: 300})
	c.now = c.now.Add(24 * time.Hour)
	thawing := call[shelf.Bottle](c, "POST", "/api/bottles/2/move", shelf.Moved{Place: "fridge"})
	require.NotEmpty(t, thawing.Thawing)
	assert.Contains(t, c.refused("POST", "/api/bottles/2/pours", shelf.Poured{ML: 50}).Errors[0].Message, "still thawing")
	assert.Contains(t, c.refused("POST", "/api/bottles/1/merge", shelf.MergeInto{Other: 2}).Errors[0].Message, "thaw")
	c.now = c.now.Add(13 * time.Hour)
	call[shelf.Bottle](c, "POST", "/api/bottles/2/pours", shelf.Poured{ML: 50})
	whole := call[shelf.Bottle](c, "POST", "/api/bottles/1/merge", shelf.MergeInto{Other: 2})
	assert.False(t, whole.CanFreeze, "some of it was frozen once")
}

func TestLabels(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	labels := call[[]shelf.BottleLabel](c, "GET", "/api/labels?ids=1,2", nil)
	require.Len(t, labels, 2)
	assert.Equal(t, "Almond milk", labels[0].Name)
	assert.Equal(t, "2026-11-26", labels[0].UseBy)
	assert.Equal(t, []string{"almond"}, labels[0].Allergens)
	assert.Empty(t, labels[0].Dilution, "a milk is drunk as it is")
	served := almondMilk()
	served.Lines = append(served.Lines, kitchen.Line{Key: "g", Ingredient: "Cinnamon, ground (cassia)", Amount: "1 tsp", Stage: "at serving"})
	made := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Dusted milk"})
	made = call[bench.Drink](c, "PUT", fmt.Sprintf("/api/drinks/%d/draft", made.ID), bench.Draft{Name: "Dusted milk", Recipe: served, Revision: made.Revision})
	call[bench.Drink](c, "POST", fmt.Sprintf("/api/drinks/%d/versions", made.ID), bench.VersionNote{})
	bottles := call[[]shelf.Bottle](c, "POST", fmt.Sprintf("/api/drinks/%d/batches", made.ID), shelf.NewBatch{MadeOn: "2026-11-24", Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}}})
	dusted := call[[]shelf.BottleLabel](c, "GET", fmt.Sprintf("/api/labels?ids=%d", bottles[0].ID), nil)
	assert.Equal(t, "In the glass: cinnamon", dusted[0].Dilution)
	status, picture, header := c.send(request("GET", labels[0].QR, nil))
	assert.Equal(t, 200, status)
	assert.Equal(t, "image/png", header.Get("Content-Type"))
	assert.True(t, strings.HasPrefix(picture, "\x89PNG"))
	status, _, _ = c.send(request("GET", "/api/bottles/99/qr.png", nil))
	assert.Equal(t, 404, status)
	status, _, _ = c.send(request("GET", "/api/labels?ids=one", nil))
	assert.Equal(t, 422, status)
}

var anyDay = []bool{true, true, true, true, true, true, true}

func TestARhythmFollowsWhatIsDrunk(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	said := call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 200, Days: anyDay, Revised: pantry.Revised{}})
	assert.Equal(t, 3, said.Drinks[0].LifeDays)
	assert.Len(t, said.Makings, 2)
	assert.InDelta(t, 3.5, said.LastsDays, .01, "700 mL at 200 a day, some of it frozen")
	assert.Zero(t, said.PassesML)
	assert.InDelta(t, 350, call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 50, Days: anyDay, Revised: pantry.Revised{}}).PassesML, .01, "half a litre does for ten days, and keeps three")
	call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 200, Days: anyDay, Revised: pantry.Revised{}})
	assert.InDelta(t, 800, said.Drinks[0].WasteML, .01)
	assert.Contains(t, said.Drinks[0].Habit, "One batch a week", "one batch is no habit yet")
	assert.False(t, said.Next.Planned)
	planned := call[planning.Plan](c, "POST", "/api/plan/items", planning.NewItem{DrinkID: 1, ReadyBy: said.Next.ReadyBy, VolumeML: said.Next.BatchML})
	assert.InDelta(t, said.Next.BatchML, planned.Items[0].ML, 1, "at the size the rhythm wants")
	assert.True(t, call[planning.Rhythm](c, "GET", "/api/rhythm", nil).Next.Planned, "kept, and known to be planned")
	told := call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 0, Days: anyDay, Revised: pantry.Revised{}})
	assert.Equal(t, 240., told.Drinks[0].PerDayML)
	assert.Contains(t, told.Drinks[0].From, "one serving a day")
	assert.Equal(t, "body.days", c.refused("PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 200, Days: make([]bool, 7), Revised: pantry.Revised{}}).Errors[0].Location)
	assert.Equal(t, 404, c.refused("PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{9}, PerDayML: 200, Days: anyDay, Revised: pantry.Revised{}}).Status)
	assert.Equal(t, told.Words, call[planning.Rhythm](c, "GET", "/api/rhythm", nil).Words, "what was refused was not kept")
	for range 3 {
		call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{ML: 70})
		c.now = c.now.Add(7 * 24 * time.Hour)
	}
	idle := c.now
	c.now = c.now.Add(60 * 24 * time.Hour)
	assert.Contains(t, call[planning.Rhythm](c, "GET", "/api/rhythm", nil).Drinks[0].From, "one serving a day", "nothing was poured for weeks")
	c.now = idle
	learned := call[planning.Rhythm](c, "GET", "/api/rhythm", nil)
	assert.Equal(t, "from two weeks of pouring", learned.Drinks[0].From)
	assert.InDelta(t, 10, learned.Drinks[0].PerDayML, .01, "two pours of 70 mL in fourteen days")
}

// A pour is told in servings as well, and one of nothing is none.
func TestPouringByServings(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	assert.InDelta(t, 260, call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{Servings: 1}).LeftML, 1e-9)
	assert.InDelta(t, 140, call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{Servings: .5}).LeftML, 1e-9)
	assert.Contains(t, c.refused("POST", "/api/bottles/1/pours", shelf.Poured{Servings: 2}).Errors[0].Message, "holds 140 mL")
	assert.Equal(t, "body.ml", c.refused("POST", "/api/bottles/1/pours", shelf.Poured{}).Errors[0].Location)
	assert.InDelta(t, 260, call[shelf.Bottle](c, "POST", "/api/bottles/1/undo-pour", nil).LeftML, 1e-9)
}

// A habit is learned from the batches, what it wastes is told in mL and money,
// and what was thrown out stands beside it.
func TestAHabitAndWhatItWastes(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 4, Pack: "1 kg"})
	for _, day := range []string{"2026-11-10", "2026-11-15", "2026-11-20"} {
		call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{MadeOn: day, Bottles: []shelf.NewBottle{{VolumeML: 900, Place: "fridge"}}})
	}
	call[shelf.Bottle](c, "POST", "/api/bottles/1/throw-out", shelf.Why{Why: "smelled sour"})
	r := call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1}, PerDayML: 100, Days: anyDay, Revised: pantry.Revised{}})
	assert.Contains(t, r.Drinks[0].Habit, "900 mL about every 5 days, from your last 3 batches")
	assert.InDelta(t, (900-3*100)*7/5., r.Drinks[0].WasteML, .1, "three days' life of every five")
	assert.InDelta(t, 2.8, r.Drinks[0].DryDays, 1e-9)
	assert.Positive(t, r.Drinks[0].WasteCost)
	assert.InDelta(t, 900, r.ThrownML, 1e-9)
	assert.InDelta(t, r.ThrownFor/900, r.Drinks[0].WasteCost/r.Drinks[0].WasteML, 1e-9)
	assert.Equal(t, []string{"smelled sour, 900 mL"}, r.Thrown)
	call[shelf.Bottle](c, "POST", "/api/bottles/3/pours", shelf.Poured{ML: 120})
	r = call[planning.Rhythm](c, "GET", "/api/rhythm", nil)
	assert.Equal(t, planning.PouredDay{Day: "2026-11-24", ML: 120, Share: 1}, r.Poured[6])
}

// Drinks take turns, the one not made for longest first.
func TestDrinksTakeTurns(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Cashew milk"})
	cashew := almondMilk()
	cashew.Lines[0].Ingredient = "Cashews"
	call[bench.Drink](c, "PUT", "/api/drinks/2/draft", bench.Draft{Name: "Cashew milk", Recipe: cashew, Revision: 1})
	r := call[planning.Rhythm](c, "PUT", "/api/rhythm", planning.RhythmWays{DrinkIDs: []int64{1, 2}, PerDayML: 200, Days: anyDay, Revised: pantry.Revised{}})
	names := map[string]bool{}
	for _, m := range r.Makings {
		names[m.DrinkName] = true
	}
	assert.Len(t, names, 2)
	assert.Equal(t, "Cashew milk", r.Next.DrinkName, "it was never made")
	call[struct{}](c, "DELETE", "/api/drinks/2", nil)
	assert.Equal(t, []int64{1}, call[planning.Rhythm](c, "GET", "/api/rhythm", nil).DrinkIDs, "what is gone takes no turn")
}

func TestOpenPacksAreOnTheShelfAndGoFirst(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Cooler"})
	cooler := almondMilk()
	cooler.Lines = []kitchen.Line{{Key: "c", Ingredient: "Coconut milk, canned", Amount: "400 g"}, {Key: "w", Ingredient: "Water", Amount: "2 cups"}, {Key: "s", Ingredient: "Salt", Amount: "1 pinch"}}
	call[bench.Drink](c, "PUT", "/api/drinks/2/draft", bench.Draft{Name: "Cooler", Recipe: cooler, Revision: 1})
	makeable := func() []planning.CanMake { return call[[]planning.CanMake](c, "GET", "/api/can-make", nil) }
	assert.False(t, makeable()[0].Now, "there is nothing yet")
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 1000})
	assert.Equal(t, "Almond milk", makeable()[0].DrinkName)

	theShelf := call[shelf.Shelf](c, "POST", "/api/packs", shelf.OpenedPack{What: "300 g coconut milk, canned"})
	require.Len(t, theShelf.Packs, 1)
	p := theShelf.Packs[0]
	assert.Equal(t, "2026-11-26", p.UseBy, "three days, today being the first")
	require.Len(t, p.GoesInto, 1)
	assert.InDelta(t, .75, p.GoesInto[0].Times, 1e-9, "at three quarters of its size the cooler uses it up")
	first := makeable()[0]
	assert.Equal(t, "Cooler", first.DrinkName, "what spoils first")
	assert.Equal(t, "Coconut milk, canned", first.First)
	assert.Equal(t, []string{"salt"}, first.ToCheck)
	assert.InDelta(t, .75*first.WrittenML, first.EnoughML, .01)

	theShelf = call[shelf.Shelf](c, "POST", "/api/packs/1/use", shelf.PackUse{MassG: 100})
	assert.InDelta(t, 200, theShelf.Packs[0].LeftG, 1e-9)
	stock, err := c.store.Stock()
	require.NoError(t, err)
	assert.InDelta(t, 200, stock["coconut-milk-can"], 1e-9, "it is part of the stock")
	assert.Equal(t, 422, c.refused("POST", "/api/packs/1/use", shelf.PackUse{MassG: 500}).Status)
	c.now = c.now.AddDate(0, 0, 5)
	assert.True(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Packs[0].Past)
	assert.Equal(t, "Almond milk", makeable()[0].DrinkName, "what is past its date is not there")
	assert.Equal(t, "body.why", c.refused("POST", "/api/packs/1/end", shelf.PackEnd{Thrown: true}).Errors[0].Location)
	assert.Empty(t, call[shelf.Shelf](c, "POST", "/api/packs/1/end", shelf.PackEnd{Thrown: true, Why: "past its date"}).Packs)
	stock, err = c.store.Stock()
	require.NoError(t, err)
	assert.Zero(t, stock["coconut-milk-can"])
	for what, field := range map[string]string{"lots of joy": "body.what", "300 g moon dust": "body.what", "0 g almonds": "body.what"} {
		assert.Equal(t, field, c.refused("POST", "/api/packs", shelf.OpenedPack{What: what}).Errors[0].Location, what)
	}
	assert.Equal(t, "body.openedOn", c.refused("POST", "/api/packs", shelf.OpenedPack{What: "1 kg almonds", OpenedOn: "2027-01-01"}).Errors[0].Location)
	assert.Equal(t, "body.printed", c.refused("POST", "/api/packs", shelf.OpenedPack{What: "1 kg almonds", Printed: "soon"}).Errors[0].Location)
}

func TestPulpIsAProduct(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	theShelf := call[shelf.Shelf](c, "GET", "/api/shelf", nil)
	require.Len(t, theShelf.Pulps, 1)
	p := theShelf.Pulps[0]
	assert.Equal(t, "Almond milk", p.DrinkName)
	assert.Positive(t, p.ProteinG)
	assert.Equal(t, "2026-11-25", p.UseBy, "two days by caution")
	assert.Equal(t, "2027-01-22", call[shelf.Shelf](c, "POST", "/api/pulps/1/freeze", nil).Pulps[0].UseBy)
	assert.Equal(t, "body.for", c.refused("POST", "/api/pulps/1/end", shelf.PulpEnd{}).Errors[0].Location)
	assert.Empty(t, call[shelf.Shelf](c, "POST", "/api/pulps/1/end", shelf.PulpEnd{For: "crackers", Thrown: false}).Pulps)
	status, _, _ := c.send(request("POST", "/api/pulps/1/end", shelf.PulpEnd{For: "crackers", Thrown: false}))
	assert.Equal(t, 404, status, "it is used once")
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{MadeOn: "2026-11-20", Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}}})
	assert.Empty(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Pulps, "of a batch written down later it is long used")
}

// Nothing past or out comes back by way of the freezer.
func TestWhatIsPastIsNotFrozenBack(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	c.now = c.now.Add(80 * time.Hour)
	require.Equal(t, "past", c.bottle(1).Standing)
	assert.False(t, c.bottle(1).CanFreeze)
	p := c.refused("POST", "/api/bottles/1/move", shelf.Moved{Place: "freezer"})
	assert.Contains(t, p.Errors[0].Message, "does not save a drink that is past its date")
	assert.Equal(t, "past", c.bottle(1).Standing)
}

// A bottle of before this version keeps its date or gets an earlier one.
func TestBottlesOfBeforeKeepTheirDates(t *testing.T) {
	t.Parallel()
	c := shelved(t)
	bottles, err := c.store.Shelf()
	require.NoError(t, err)
	for _, days := range []float64{1, 1.5, 2, 2.7, 3, 4.9, 7} {
		b := bottles[0]
		b.BegunAt, b.CautiousDays = nil, days
		before := shelf.ParseDate(b.Batch.MadeOn).AddDate(0, 0, keep.WholeDays(days)-1).Format(app.DateLayout)
		l := shelf.LifeLook{Now: c.now, Record: keep.Record{SetC: 4}, School: keep.Cautious, RoomC: 20}
		assert.LessOrEqual(t, l.Present(&b).UseBy, before, "%g days", days)
	}
}

// A drink that goes into another takes everything along.
func TestADrinkTakesEverythingAlong(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink := func(name, heat string, lines ...kitchen.Line) {
		f := kitchen.New("us")
		f.Lines, f.Heat = lines, heat
		d := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: name})
		path := fmt.Sprintf("/api/drinks/%d", d.ID)
		call[bench.Drink](c, "PUT", path+"/draft", bench.Draft{Name: name, Recipe: f, Revision: d.Revision})
		call[bench.Drink](c, "POST", path+"/versions", bench.VersionNote{})
	}
	line := func(amount, name string) kitchen.Line {
		return kitchen.Line{Key: name, Amount: amount, Ingredient: name}
	}
	drink("Towpath soy", "none", line("1 cup", "Soybeans, dry"), line("4 cups", "Water"))
	drink("Weir soy", "simmer", line("1 cup", "Soybeans, dry"), line("4 cups", "Water"))
	drink("Bank milk", "", line("1 cup", "Brazil nuts"), line("4 cups", "Water"), line("1/4 tsp", "Nutmeg"), line("1/2 tsp", "Cinnamon, ground (cassia)"))
	call[pantry.Pantry](c, "POST", "/api/pantry/drinkers", kitchen.Drinker{Name: "rower", Age: "adult", Allergens: []string{}, Dislikes: []string{"cinnamon"}})
	with := func(name string) bench.Reckoning {
		f := kitchen.New("us")
		f.Heat = "none"
		f.Lines = []kitchen.Line{line("1 cup", "Almonds"), line("2 cups", "Water"), line("2 cups", name)}
		return call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "mixed", Recipe: f})
	}
	codes := func(r bench.Reckoning) map[string]bench.Caution {
		out := map[string]bench.Caution{}
		for _, one := range r.Cautions {
			out[one.Code] = one
		}
		return out
	}
	raw := with("Towpath soy")
	assert.True(t, codes(raw)["soy-boil"].Raised)
	assert.False(t, raw.Keeps.Known, "raw soy has no date")
	assert.NotContains(t, codes(raw), "nutmeg")
	done := with("Weir soy")
	assert.False(t, codes(done)["soy-boil"].Raised)
	assert.Contains(t, codes(done), "soy-boil")
	assert.True(t, done.Keeps.Known)
	milk := with("Bank milk")
	require.Contains(t, codes(milk), "selenium")
	f := kitchen.New("us")
	f.Lines = []kitchen.Line{line("1 cup", "Brazil nuts"), line("4 cups", "Water"), line("1/4 tsp", "Nutmeg")}
	alone := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "alone", Recipe: f})
	inOne, inAll := *codes(alone)["selenium"].Value/alone.ServingML*alone.DrinkML, *codes(milk)["selenium"].Value/milk.ServingML*milk.DrinkML
	assert.InEpsilon(t, inOne*473/alone.DrinkML, inAll, .05, "the share of it that two cups hold, and the almonds' own")
	assert.InEpsilon(t, *codes(alone)["nutmeg"].Value/alone.ServingML*473, *codes(milk)["nutmeg"].Value/milk.ServingML*milk.DrinkML, .05)
	assert.Contains(t, fmt.Sprint(milk.ForWhom), "dislikes cinnamon")
	assert.Contains(t, milk.Allergens, "Brazil nut")
}

// An allergen is chosen by the words people use; one that means nothing is
// refused, and kin are avoided together.
func TestAllergensAreChosenByPeoplesWords(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	who := func(words ...string) kitchen.Drinker {
		return kitchen.Drinker{Name: strings.Join(words, " "), Age: "adult", Allergens: words, Dislikes: []string{}}
	}
	p := call[pantry.Pantry](c, "POST", "/api/pantry/drinkers", who("nut", "dairy", "soya", "wheat", "sesame seeds", "coeliac"))
	assert.Equal(t, []string{"nuts", "milk", "soy", "wheat", "sesame", "gluten"}, p.Drinkers[0].Allergens)
	bad := c.refused("POST", "/api/pantry/drinkers", who("amond"))
	assert.Equal(t, "body.allergens", bad.Errors[0].Location)
	assert.Contains(t, bad.Errors[0].Message, "did you mean almond")
	call[pantry.Pantry](c, "POST", "/api/pantry/drinkers", who("walnuts"))
	cleared := who("cashew")
	cleared.Cleared = []string{"pistachio"}
	call[pantry.Pantry](c, "POST", "/api/pantry/drinkers", cleared)
	f := kitchen.New("us")
	f.Lines = []kitchen.Line{{Key: "p", Amount: "1 cup", Ingredient: "Pecans"}, {Key: "i", Amount: "1/2 cup", Ingredient: "Pistachios"}, {Key: "w", Amount: "4 cups", Ingredient: "Water"}}
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "mixed", Recipe: f})
	assert.True(t, r.ForWhom[0].Not)
	assert.Contains(t, r.ForWhom[1].Reasons, "contains pecan, which is related to walnut")
	assert.False(t, r.ForWhom[2].Not, "an allergist cleared it")
	found := call[[]pantry.AllergenChoice](c, "GET", "/api/allergens?typed=lact", nil)
	require.NotEmpty(t, found)
	assert.Equal(t, "milk", found[0].Code)
	assert.Len(t, call[[]pantry.AllergenChoice](c, "GET", "/api/allergens", nil), 29)
	// kept by a version that took any word
	_, err := c.store.KeepDrinker(0, kitchen.Drinker{Name: "old hand", Age: "adult", Allergens: []string{"amond"}}, 0)
	require.NoError(t, err)
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 1})
	r = call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "mixed", Recipe: f})
	assert.True(t, r.ForWhom[3].Not, "what is not understood is never taken for nothing to avoid")
}

// What drinks use is kept whole when it is renamed or taken away.
func TestWhatDrinksUseIsKeptWhole(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	gram := 320.
	row := kitchen.OwnRow{Name: "Towpath syrup", Role: "sweetener", GPerCup: &gram, Allergens: []string{}, Label: &kitchen.Label{CarbohydrateG: 70, SugarsG: 65}}
	call[pantry.Pantry](c, "POST", "/api/pantry/ingredients", row)
	call[pantry.Pantry](c, "POST", "/api/pantry/measures", pantry.OwnMeasure{Name: "mug", WaterG: 310})
	d := c.begun()
	f := almondMilk()
	f.Lines = append(f.Lines, kitchen.Line{Key: "s", Amount: "1 mug", Ingredient: "Towpath syrup"})
	d = call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: f, Revision: d.Revision})
	before := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: d.Name, Recipe: d.Draft})

	bad := c.refused("POST", "/api/pantry/measures", pantry.OwnMeasure{Name: "mug", WaterG: 63})
	assert.Contains(t, bad.Errors[0].Message, "310 g of water")
	for _, name := range []string{"cup", "Cups", "tsp", "g", "kg", "T", "can", "litres"} {
		assert.Contains(t, c.refused("POST", "/api/pantry/measures", pantry.OwnMeasure{Name: name, WaterG: 63}).Errors[0].Message, "is already a measure", name)
	}
	assert.Contains(t, c.refused("DELETE", "/api/pantry/measures/mug", nil).Errors[0].Message, "Used by Almond milk")
	p := call[pantry.Pantry](c, "DELETE", "/api/pantry/measures/mug?anyway=true", nil)
	assert.Empty(t, p.Measures)
	assert.Contains(t, c.refused("DELETE", "/api/pantry/ingredients/1", nil).Errors[0].Message, "Used by Almond milk")

	row.Name = "Lock syrup"
	assert.Equal(t, http.StatusConflict, c.refused("PUT", "/api/pantry/ingredients/1", pantry.ChangedRow{OwnRow: row, Revised: pantry.Revised{Revision: 1}}).Status)
	call[pantry.Pantry](c, "PUT", "/api/pantry/ingredients/1?anyway=true", pantry.ChangedRow{OwnRow: row, Revised: pantry.Revised{Revision: 1}})
	d = call[bench.Drink](c, "GET", "/api/drinks/1", nil)
	assert.Equal(t, "Lock syrup", d.Draft.Lines[2].Ingredient)
	call[pantry.Pantry](c, "DELETE", "/api/pantry/ingredients/1?anyway=true", nil)
	after := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: d.Name, Recipe: d.Draft})
	assert.InDelta(t, before.Per100mL.SugarsG, after.Per100mL.SugarsG, 1e-9)
	assert.InDelta(t, before.Lines[2].MassG, after.Lines[2].MassG, 1e-9)
}

// A label names what the equipment was used for besides, of late.
func TestALabelNamesWhatTheEquipmentWasUsedFor(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	_, bottles := tastedMilk(t, c)
	labels := func() []shelf.BottleLabel {
		return call[[]shelf.BottleLabel](c, "GET", fmt.Sprintf("/api/labels?ids=%d", bottles[0].ID), nil)
	}
	assert.Empty(t, labels()[0].Equipment)
	other := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Walnut milk"})
	f := kitchen.New("us")
	f.Lines = []kitchen.Line{{Key: "a", Ingredient: "Walnuts", Amount: "1 cup"}, {Key: "w", Ingredient: "Water", Amount: "4 cups"}}
	call[bench.Drink](c, "PUT", fmt.Sprintf("/api/drinks/%d/draft", other.ID), bench.Draft{Name: other.Name, Recipe: f, Revision: other.Revision})
	call[[]shelf.Bottle](c, "POST", fmt.Sprintf("/api/drinks/%d/batches", other.ID), shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 300, Place: "fridge"}}})
	assert.Equal(t, []string{"walnut"}, labels()[0].Equipment)
	assert.Equal(t, []string{"almond"}, labels()[0].Allergens)
	c.now = c.now.AddDate(0, 0, 90)
	assert.Empty(t, labels()[0].Equipment)
}
