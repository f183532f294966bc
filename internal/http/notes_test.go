package http

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/notes"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
)

// tastedMilk is a drink with one version, and a batch of it bottled.
func tastedMilk(t *testing.T, c *client, lines ...string) (drink bench.Drink, bottles []shelf.Bottle) {
	t.Helper()
	drink = call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Almond milk"})
	f := kitchen.New("us")
	for n, text := range append([]string{"1 cup almonds", "4 cups water", "2 tbsp maple syrup"}, lines...) {
		for _, l := range call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: text}).Lines {
			l.Key = fmt.Sprintf("line-%d", n)
			f.Lines = append(f.Lines, l)
		}
	}
	drink = call[bench.Drink](c, "PUT", fmt.Sprintf("/api/drinks/%d/draft", drink.ID), bench.Draft{Name: "Almond milk", Recipe: f, Revision: drink.Revision})
	return drink, makeMilk(c, drink.ID, 880)
}

func makeMilk(c *client, drinkID int64, ml float64) []shelf.Bottle {
	return call[[]shelf.Bottle](c, "POST", fmt.Sprintf("/api/drinks/%d/batches", drinkID), shelf.NewBatch{MeasuredML: &ml, Bottles: []shelf.NewBottle{{VolumeML: 400, Place: "fridge"}, {VolumeML: 400, Place: "fridge"}}})
}

// From the first pour to the next version: what was found is proposed with what it does, and only
// what is accepted changes.
func TestATastingBecomesAVersion(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, bottles := tastedMilk(t, c, "1/2 tsp salt")
	batch := fmt.Sprintf("/api/batches/%d", bottles[0].BatchID)
	taste := notes.Taste{BottleID: bottles[0].ID, Who: "keeper", Sweet: 1, Salt: 1, Stars: 3.5, Flags: []string{"bitter"}, Words: "sharp at the end"}

	next := call[notes.Next](c, "POST", batch+"/proposals", taste)
	assert.Equal(t, 2, next.Version)
	require.NotEmpty(t, next.Proposals)
	byCode := map[string]notes.TasteProposal{}
	for _, p := range next.Proposals {
		byCode[p.Code] = p
	}
	sweet := byCode["too-sweet/sweetness"]
	assert.Equal(t, "A little too sweet", sweet.Reason)
	assert.Equal(t, "Maple syrup 2 tbsp → 1 tbsp + 2 tsp", sweet.What)
	assert.InEpsilon(t, .85, sweet.To/sweet.From, .05)
	assert.Contains(t, sweet.Effect, "g/100 mL")
	assert.Equal(t, "rub the skins off after soaking", byCode["bitter/skins"].What)

	made := call[notes.NextMade](c, "POST", batch+"/next-version", notes.Accepted{Taste: taste, Accept: []string{"too-sweet/sweetness", "bitter/skins"}})
	assert.Equal(t, notes.NextMade{DrinkID: drink.ID, Version: 2}, made)
	now := call[bench.Drink](c, "GET", fmt.Sprintf("/api/drinks/%d", drink.ID), nil)
	require.Len(t, now.Versions, 2)
	assert.Equal(t, 2, now.IsVersion, "the draft is the new version")
	assert.Contains(t, now.Versions[0].Note, "Maple syrup 2 tbsp → 1 tbsp + 2 tsp; rub the skins off after soaking")
	assert.Equal(t, []string{"1 cup", "4 cups", "1 tbsp + 2 tsp", "½ tsp"}, amounts(now.Draft), "the salt was not accepted")
	assert.Contains(t, now.Draft.Lines[0].Note, "skinned")

	page := call[notes.BatchPage](c, "GET", batch, nil)
	require.Len(t, page.Tastings, 1)
	assert.Equal(t, taste, page.Tastings[0].Taste)
	assert.Equal(t, []string{"bitter"}, page.Flags)
	assert.Contains(t, fmt.Sprint(c.refused("POST", batch+"/next-version", notes.Accepted{Taste: taste, Accept: []string{"too-thin/strength"}})), "not proposed")
	assert.Contains(t, fmt.Sprint(c.refused("POST", batch+"/tastings", notes.Taste{Flags: []string{"blue"}})), "gritty")
}

func amounts(f kitchen.Recipe) []string {
	out := []string{}
	for _, l := range f.Lines {
		out = append(out, l.Amount)
	}
	return out
}

// What was worked on is kept as a version of its own before the next one takes its place.
func TestADraftIsKeptBeforeTheNextVersion(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, bottles := tastedMilk(t, c)
	worked := call[bench.Drink](c, "GET", fmt.Sprintf("/api/drinks/%d", drink.ID), nil)
	f := worked.Draft
	f.Strainer = "cloth"
	call[bench.Drink](c, "PUT", fmt.Sprintf("/api/drinks/%d/draft", drink.ID), bench.Draft{Name: drink.Name, Recipe: f, Revision: worked.Revision})
	made := call[notes.NextMade](c, "POST", fmt.Sprintf("/api/batches/%d/next-version", bottles[0].BatchID), notes.Accepted{Taste: notes.Taste{Sweet: 1}, Accept: []string{"too-sweet/sweetness"}})
	assert.Equal(t, 3, made.Version)
	now := call[bench.Drink](c, "GET", fmt.Sprintf("/api/drinks/%d", drink.ID), nil)
	assert.Equal(t, "cloth", now.Versions[1].Recipe.Strainer)
	assert.Equal(t, "bag", now.Versions[0].Recipe.Strainer, "the batch was made through the bag")
}

// A batch is put right, and what it taught follows; it is deleted with its bottles, and comes back.
func TestABatchIsCorrectedAndDeleted(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	_, bottles := tastedMilk(t, c)
	batch := fmt.Sprintf("/api/batches/%d", bottles[0].BatchID)
	before := call[[]app.LearnedFigure](c, "GET", "/api/learned", nil)
	require.Len(t, before, 1)
	ml, pulp := 780., 240.
	page := call[notes.BatchPage](c, "PUT", batch, notes.BatchCorrection{MadeOn: c.now.AddDate(0, 0, -1).Format(time.DateOnly), MeasuredML: &ml, PulpG: &pulp, Notes: "new bag"})
	assert.Equal(t, []any{780., 240., "new bag"}, []any{*page.MeasuredML, *page.PulpG, page.Notes})
	after := call[[]app.LearnedFigure](c, "GET", "/api/learned", nil)
	assert.Greater(t, after[0].UsualPct, before[0].UsualPct+10, "100 mL more stayed in the pulp")
	assert.Contains(t, fmt.Sprint(c.refused("PUT", batch, notes.BatchCorrection{MadeOn: "2030-01-01"})), "madeOn")

	call[notes.BatchPage](c, "POST", batch+"/tastings", notes.Taste{Stars: 4})
	_, _, header := c.send(request("DELETE", batch, nil))
	assert.Empty(t, call[notes.Notes](c, "GET", "/api/notes", nil).Lines)
	assert.Empty(t, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Bottles)
	assert.Empty(t, call[[]app.LearnedFigure](c, "GET", "/api/learned", nil))
	call[app.Nothing](c, "POST", "/api/undo/"+header.Get("Undo"), nil)
	back := call[notes.BatchPage](c, "GET", batch, nil)
	assert.Len(t, back.Bottles, 2)
	assert.Equal(t, 4., back.Stars)
}

// What became of each bottle adds up, and a word finds a batch.
func TestNotesAddUp(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, bottles := tastedMilk(t, c)
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/pours", bottles[0].ID), shelf.Poured{ML: 150})
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/throw-out", bottles[1].ID), shelf.Why{Why: "smelled sour", Cause: "soured"})
	call[notes.BatchPage](c, "POST", fmt.Sprintf("/api/batches/%d/tastings", bottles[0].BatchID), notes.Taste{Stars: 4.5, Words: "lovely in porridge"})
	second := makeMilk(c, drink.ID, 860)
	n := call[notes.Notes](c, "GET", "/api/notes", nil)
	assert.Equal(t, []any{2, 1600., 150., 400.}, []any{n.Batches, n.MadeML, n.DrunkML, n.ThrownML})
	assert.Equal(t, []notes.DrinkMade{{ID: drink.ID, Name: "Almond milk", Batches: 2}}, n.DrinkMade)
	found := call[notes.Notes](c, "GET", "/api/notes?find=lovely+almond", nil)
	require.Len(t, found.Lines, 1)
	assert.Equal(t, bottles[0].BatchID, found.Lines[0].ID)
	assert.Equal(t, 2, found.Batches)

	h := call[notes.History](c, "GET", fmt.Sprintf("/api/drinks/%d/history", drink.ID), nil)
	require.Len(t, h.Points, 2)
	assert.Equal(t, second[0].BatchID, h.Points[1].ID)
	require.NotEmpty(t, h.Charts)
	assert.Equal(t, "yield", h.Charts[0].Figure)
	require.Len(t, h.Charts[0].Dots, 2)
	assert.Greater(t, h.Charts[0].Dots[0].Y, h.Charts[0].Dots[1].Y, "880 mL stand above 860")
	assert.Equal(t, 870., h.Versions[0].YieldML)
	require.Len(t, h.Gap, 5)
	assert.Equal(t, "calcium", h.Gap[1].Nutrient)
	assert.Positive(t, h.Gap[1].Less)
}

// Two jars, coded: nobody who tastes is told, the answer is what was filled.
func TestABlindTrial(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, bottles := tastedMilk(t, c)
	batch := fmt.Sprintf("/api/batches/%d", bottles[0].BatchID)
	jars := call[notes.JarsToFill](c, "POST", batch+"/trials", notes.NewTrial{Changed: "with a pinch of salt", Jars: 2})
	trial := fmt.Sprintf("/api/trials/%d", jars.Trial.ID)
	require.Len(t, jars.Fill, 2)
	assert.NotEqual(t, jars.Fill[0].Changed, jars.Fill[1].Changed)
	with, without := "A", "B"
	if jars.Fill[1].Changed {
		with, without = "B", "A"
	}
	assert.Contains(t, fmt.Sprint(c.refused("POST", trial+"/open", nil)), "nobody has tasted")
	assert.Contains(t, fmt.Sprint(c.refused("POST", trial+"/verdicts", notes.TrialVerdict{Who: "mate", Stars: map[string]float64{"A": 4}})), "both jars")
	shown := call[notes.BlindTrial](c, "POST", trial+"/verdicts", notes.TrialVerdict{Who: "mate", Stars: map[string]float64{with: 5, without: 3}})
	assert.Nil(t, shown.Answer)
	assert.Contains(t, fmt.Sprint(c.refused("GET", trial+"/fill", nil)), "tasted already")
	opened := call[notes.BlindTrial](c, "POST", trial+"/open", nil)
	require.NotNil(t, opened.Answer)
	assert.Equal(t, []string{with}, opened.Answer.WithChange)
	assert.Equal(t, "With the change it got 5.0 stars, without it 3.0.", opened.Answer.Text)
	assert.Contains(t, fmt.Sprint(c.refused("POST", trial+"/verdicts", notes.TrialVerdict{Stars: map[string]float64{"A": 4, "B": 4}})), "shown already")
	h := call[notes.History](c, "GET", fmt.Sprintf("/api/drinks/%d/history", drink.ID), nil)
	require.Len(t, h.Trials, 1)
	assert.True(t, strings.Contains(h.Trials[0].Changed, "salt"))
}

// A week begins on the kitchen's first day; the one that is to come cannot be asked for.
func TestWhatTheWeekWasWorth(t *testing.T) {
	t.Parallel()
	c, bottles := recorded(t) // on a Tuesday
	week := call[notes.Week](c, "GET", "/api/notes/week", nil)
	assert.Equal(t, []any{"2026-11-23", "2026-11-29", "2026-11-16", ""}, []any{week.From, week.To, week.Before, week.After})
	assert.Equal(t, []float64{800, 150, 400}, []float64{week.MadeML, week.DrunkML, week.ThrownML})
	assert.Equal(t, 4.5, week.Stars)
	require.Len(t, week.Drinks, 1)
	assert.False(t, week.Drinks[0].Known, "nobody said what the shop asks")
	assert.Equal(t, 1, week.Unpriced)
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/pours", bottles[0].ID), shelf.Poured{ML: 50})
	assert.Equal(t, 200., call[notes.Week](c, "GET", "/api/notes/week?of=2026-11-23", nil).DrunkML)
	before := call[notes.Week](c, "GET", "/api/notes/week?of=2026-11-18", nil)
	assert.Empty(t, before.Drinks)
	assert.Equal(t, "2026-11-23", before.After)
	c.refused("GET", "/api/notes/week?of=2026-12-24", nil)
}

// The kitchen's weeks stand beside one another from the first in which anything was made.
func TestWeeksStandBesideOneAnother(t *testing.T) {
	t.Parallel()
	c, bottles := recorded(t)
	assert.Empty(t, call[notes.KitchenHistory](c, "GET", "/api/notes/weeks", nil).Charts, "one week is no line")
	c.now = c.now.AddDate(0, 0, 7)
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/pours", bottles[0].ID), shelf.Poured{ML: 50})
	h := call[notes.KitchenHistory](c, "GET", "/api/notes/weeks", nil)
	require.Len(t, h.Weeks, 2)
	assert.Equal(t, []float64{150, 50}, []float64{h.Weeks[0].DrunkML, h.Weeks[1].DrunkML})
	require.GreaterOrEqual(t, len(h.Charts), 2)
	assert.Equal(t, []notes.Dot{{X: 0, Y: 1}, {X: 1, Y: 50. / 150}}, h.Charts[1].Dots)
}

// What was tasted blind stays with both versions where the change is one of its own.
func TestATrialStaysWithBothVersions(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, bottles := tastedMilk(t, c)
	batch := fmt.Sprintf("/api/batches/%d", bottles[0].BatchID)
	call[notes.NextMade](c, "POST", batch+"/next-version", notes.Accepted{Taste: notes.Taste{Sweet: 1}, Accept: []string{"too-sweet/sweetness"}})
	assert.Equal(t, []int{2}, call[notes.BatchPage](c, "GET", batch, nil).Others)
	call[notes.JarsToFill](c, "POST", batch+"/trials", notes.NewTrial{Changed: "less maple", Jars: 3, Other: 2})
	trials := call[notes.History](c, "GET", fmt.Sprintf("/api/drinks/%d/history", drink.ID), nil).Trials
	require.Len(t, trials, 1)
	assert.Equal(t, [2]int{1, 2}, [2]int{trials[0].Version, trials[0].Other})
	c.refused("POST", batch+"/trials", notes.NewTrial{Changed: "less maple", Jars: 2, Other: 9})
}
